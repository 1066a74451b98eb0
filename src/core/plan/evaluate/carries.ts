import { simpleSpan } from '../../beams/simple-span.calc';
import { phrase, q } from '../../calc/work';
import type { Check } from '../check';
import { Missing } from '../missing';
import { candidatesOf, type Limit } from './candidates';
import { missingCheck, sourced, told, type Context } from './context';

export const limitWords: Record<Limit, string> = {
  bending: 'bending',
  shear: 'shear',
  web: 'the web over its seat',
  liveSag: 'sag under what comes and goes',
  totalSag: 'sag under the whole load',
};

/** The section chosen for each opening under the load it will carry: its worst use by the job's rule set. */
export function carriesChecks({ plan, rules }: Context): Check[] {
  return plan.survey.openings.flatMap((opening): Check[] => {
    const member = plan.members.find((one) => one.id === opening.member);
    if (!member || member.make.kind !== 'section') return [];
    const place = {
      id: 'steel.carries',
      subject: opening.name,
      station: 'steel' as const,
      move: null,
      calc: simpleSpan.id,
      source: sourced(simpleSpan.source.text, rules, 'serviceFactor', 'strengthCaution', 'deflectionShare', 'deflectionTotalShare'),
    };
    const candidates = candidatesOf(plan, { ...opening, choice: { ...opening.choice, candidates: [] } });
    if (candidates instanceof Missing) return [missingCheck(place, 'moment', candidates.questions.join(' '))];
    const mine = candidates[0];
    if (!mine) return [];
    const { worst: use } = mine.schools[plan.job.ruleSet];
    const quantity = use.limit === 'bending' ? 'moment' : use.limit === 'shear' || use.limit === 'web' ? 'force' : 'dimension';
    if (use.question !== null || use.demand === null || use.capacity === null) return [missingCheck(place, quantity, use.question ?? '', use.traces)];
    return [
      {
        ...place,
        demand: use.demand,
        capacity: use.capacity,
        quantity,
        ratio: use.ratio,
        caution: use.limit === 'liveSag' || use.limit === 'totalSag' ? null : rules.value('strengthCaution'),
        verdict: use.verdict,
        finding: told(
          phrase`${mine.designation} over ${opening.name}: most used in ${limitWords[use.limit]}, ${q(use.demand, quantity)} of ${q(use.capacity, quantity)}. The engineer decides the section.`,
        ),
        traces: use.traces,
      },
    ];
  });
}
