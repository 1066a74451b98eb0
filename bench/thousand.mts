import type { Plan } from '../src/core/document/schema';
import { sections } from '../src/core/steel/sections';
import { shoringMoves } from '../src/core/edit/shoring-moves';
import { ticketHall } from '../tests/demo-plan';

/** A piece list of a thousand marks as it is pasted from a spreadsheet. */
export const thousandRows = (): string =>
  [
    'Mark\tSection\tLength\tNo\tGrade',
    ...Array.from({ length: 1000 }, (_, i) => `B${i + 1}\t${sections[(i * 7) % sections.length]!.designation}\t${(2 + (i % 90) / 10).toFixed(1)}\t1\tS355`),
  ].join('\n');

/**
 * The ticket hall with a line so long that each of its four walls has so many studs, struck in twelve steps, the storey above
 * first, with every step a move of the run sheet.
 */
export function longLine(studsEach: number): Plan {
  const plan = ticketHall();
  const clear = 0.4 * (studsEach - 1);
  plan.survey.openings[0]!.clear = { drawn: clear, measured: clear };
  plan.members[0]!.length = clear + 0.3;
  plan.members[0]!.make = { kind: 'section', section: 'UB 610x305x238' };
  const [line] = plan.shoring.lines;
  line!.preload = 0.9;
  const every = Array.from({ length: studsEach }, (_, n) => n + 1);
  line!.strike = [
    { id: 'k0', shore: 'sh3', units: [], together: false },
    { id: 'k0b', shore: 'sh4', units: [], together: true },
    ...Array.from({ length: 11 }, (_, step) => ({
      id: `k${step + 1}`,
      shore: step % 2 === 0 ? 'sh1' : 'sh2',
      units: every.filter((n) => n % 6 === Math.floor(step / 2)),
      together: false,
    })),
  ];
  let n = 0;
  plan.moves = [];
  plan.moves = shoringMoves(plan, () => `m${(n += 1)}`);
  return plan;
}
