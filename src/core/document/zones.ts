import type { Plan, Zone } from './schema';

/** Pits, trenches and basement walls: where the ground ends. */
export const pitsOf = ({ site }: Plan): Zone[] => (site.zones ?? []).filter(({ kind }) => kind === 'pit');

/** Where steel lies before it is lifted. */
export const laydownsOf = ({ site }: Plan): Zone[] => (site.zones ?? []).filter(({ kind }) => kind === 'laydown');

/** A zone that something may pass over or stand in only while it is closed: of a pit and of a laydown other things are asked. */
export type OpenZone = Zone & { kind: Exclude<Zone['kind'], 'pit' | 'laydown'> };
export const zonesOf = ({ site }: Plan): OpenZone[] =>
  (site.zones ?? []).flatMap((one) => (one.kind === 'pit' || one.kind === 'laydown' ? [] : [{ ...one, kind: one.kind }]));
