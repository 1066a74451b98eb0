import type { Plan, Zone } from './schema';

/** Pits, trenches and basement walls: where the ground ends. */
export const pitsOf = ({ site }: Plan): Zone[] => (site.zones ?? []).filter(({ kind }) => kind === 'pit');
