import type { ShoreTag } from './schema';

/** A shore nobody has put a name to yet. */
export const untagged = (): ShoreTag => ({ designer: '', checker: '', loadedOn: '', days: null });
