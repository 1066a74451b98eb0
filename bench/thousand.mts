import type { Plan } from '../src/core/plan/schema';
import { sections } from '../src/core/steel/sections';
import { ticketHall } from '../tests/demo-plan';

/** A piece list of a thousand marks as it is pasted from a spreadsheet. */
export const thousandRows = (): string =>
  [
    'Mark\tSection\tLength\tNo\tGrade',
    ...Array.from({ length: 1000 }, (_, i) => `B${i + 1}\t${sections[(i * 7) % sections.length]!.designation}\t${(2 + (i % 90) / 10).toFixed(1)}\t1\tS355`),
  ].join('\n');

/** The ticket hall with a line so long that its two walls have a hundred studs each, struck in twelve steps. */
export function twoHundredStuds(): Plan {
  const plan = ticketHall();
  plan.survey.openings[0]!.clear = { drawn: 39.6, measured: 39.6 };
  plan.members[0]!.length = 39.9;
  plan.members[0]!.make = { kind: 'section', section: 'UB 610x305x238' };
  plan.shoring.preload = 0.9;
  plan.shoring.strike = Array.from({ length: 12 }, (_, step) => ({
    id: `k${step}`,
    shore: step % 2 === 0 ? 'sh1' : 'sh2',
    units: Array.from({ length: 100 }, (_, n) => n + 1).filter((n) => n % 6 === Math.floor(step / 2)),
    together: false,
  }));
  return plan;
}
