import type { Check } from '../check';
import { holdsOf, waitsFor } from '../holds';
import { moveWords } from '../move-words';
import { flatStop, missingCheck, type Context } from './context';

const SOURCE = 'Record: a named person’s pass with its evidence and date';

/** Hold points of the work before the lift: each missing until someone has recorded it with all it asks for. */
export function holdChecks({ plan }: Context): Check[] {
  return holdsOf(plan).map((hold) => {
    const place = { id: `hold.${hold.id}`, subject: hold.id, station: 'runSheet' as const, move: waitsFor(plan, hold), calc: 'record', source: SOURCE };
    const record = plan.holds.find((one) => one.id === hold.id);
    const waiting = plan.moves.findIndex((move) => move.id === place.move);
    const halt = waiting < 0 ? '' : ` Move ${waiting + 1}, ${moveWords(plan, plan.moves[waiting]!).title}, waits for it.`;
    if (!record) return missingCheck(place, 'count', `${hold.id} ${hold.title}: not recorded. It asks for ${hold.evidence}; signed by ${hold.signs}.${halt}`);
    const lacks = [record.by.trim() === '' && 'who', record.evidence.trim() === '' && 'evidence', record.on.trim() === '' && 'when'].filter(Boolean);
    if (lacks.length > 0) return missingCheck(place, 'count', `${hold.id} ${hold.title}: the record lacks ${lacks.join(', ')}.${halt}`);
    const stale = hold.id === 'HP5' && plan.survey.strippedOn !== '' && record.on < plan.survey.strippedOn;
    if (stale)
      return flatStop(
        place,
        'count',
        { code: 'told', words: [`HP5 was signed on ${record.on}, before the strip-out of ${plan.survey.strippedOn}. Measure and sign again.`] },
        [],
      );
    return {
      ...place,
      demand: null,
      capacity: null,
      quantity: 'count' as const,
      ratio: null,
      caution: null,
      verdict: 'clear' as const,
      finding: {
        code: 'told' as const,
        words: [`${hold.id} ${hold.title}: passed by ${record.by} on ${record.on} (${record.evidence}${record.value ? `; ${record.value}` : ''}).`],
      },
      traces: [],
    };
  });
}
