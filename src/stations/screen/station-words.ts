import type { StationId } from '@/core/verdict/check';

export interface StationWords {
  id: StationId;
  name: string;
}

export const walk: readonly StationWords[] = [
  { id: 'measure', name: 'Measure' },
  { id: 'steel', name: 'Steel' },
  { id: 'wayIn', name: 'Way in' },
  { id: 'shores', name: 'Shores' },
  { id: 'gear', name: 'Gear' },
  { id: 'picks', name: 'Picks' },
  { id: 'runSheet', name: 'Run sheet' },
];
