import type { Tower } from './things/tower';

/** A mast of which nothing is said yet. */
export const newTower = (): Tower => ({
  standsOn: '',
  corner: null,
  carries: null,
  uplift: null,
  holds: null,
  by: '',
  on: '',
  slewsFree: null,
  tied: '',
  down: '',
});
