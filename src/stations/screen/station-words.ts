import type { StationId } from '@/core/verdict/check';

export interface StationWords {
  id: StationId;
  name: string;
  /** false: nothing of it is checked by this release, and the screen says so */
  made: boolean;
}

export const walk: readonly StationWords[] = [
  { id: 'measure', name: 'Measure', made: true },
  { id: 'steel', name: 'Steel', made: true },
  { id: 'wayIn', name: 'Way in', made: true },
  { id: 'shores', name: 'Shores', made: true },
  { id: 'gear', name: 'Gear', made: true },
  { id: 'picks', name: 'Picks', made: true },
  { id: 'runSheet', name: 'Run sheet', made: true },
  { id: 'days', name: 'Days', made: false },
  { id: 'log', name: 'Log', made: false },
];
