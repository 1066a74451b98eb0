import { steelWeight } from '../../steel/weight.calc';
import type { Check } from '../check';
import { missingCheck } from '../evaluate/context';
import type { Brace } from '../schema';
import { about, place } from './places';

/** Rods and ropes weigh next to nothing beside what they hold; everything else that ties two pieces is weighed. */
const LIGHT: ReadonlySet<Brace['kind']> = new Set(['guy', 'bridging']);
export const isWeighed = ({ kind }: Brace): boolean => !LIGHT.has(kind);

/** A brace rests on what it ties: one that nobody weighed is missing in every sum there. */
export function unweighed(brace: Brace, markOf: (piece: string) => string): Check[] {
  if (brace.mass || !isWeighed(brace)) return [];
  const [first, second] = [markOf(brace.a.piece), brace.b && markOf(brace.b.piece)];
  const rests = second === null ? `Half of it hangs on ${first}.` : `Half of it rests on ${first} and half on ${second}.`;
  return [
    missingCheck(
      place('brace.weight', about('brace', brace, brace.name), null, steelWeight.id, steelWeight.source.text, 'steel'),
      'mass',
      `What does ${brace.name} weigh, with its bolts? ${rests}`,
    ),
  ];
}
