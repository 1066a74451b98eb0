import type { Assembly } from './things/assembly';

/** A boom that is put together on site, of which nothing is said yet. */
export const newAssembly = (): Assembly => ({ towardsDeg: null, director: '', held: '' });
