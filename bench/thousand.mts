import { sections } from '../src/core/steel/sections';

/** A piece list of a thousand marks as it is pasted from a spreadsheet. */
export const thousandRows = (): string =>
  [
    'Mark\tSection\tLength\tNo\tGrade',
    ...Array.from({ length: 1000 }, (_, i) => `B${i + 1}\t${sections[(i * 7) % sections.length]!.designation}\t${(2 + (i % 90) / 10).toFixed(1)}\t1\tS355`),
  ].join('\n');
