import { simpleSpan } from '../../beams/simple-span.calc';
import { phrase, q } from '../../calc/work';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import { candidatesOf, type Limit } from './candidates';
import type { Context } from '../context';
import { missingCheck, ratioCheck, sourced, told, on } from '../../verdict/build';

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
    if (!member) return [];
    const place = {
      id: 'steel.carries',
      ...on('opening', opening, opening.name),
      station: 'steel' as const,
      move: null,
      calc: simpleSpan.id,
      source: sourced(simpleSpan.source.text, rules, 'serviceFactor', 'strengthCaution', 'deflectionShare', 'deflectionTotalShare'),
    };
    if (member.make.kind !== 'section') return [byDesign(place, member.mark, opening.name, plan)];
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

/** What is of plates or parts is not worked out here: the design that was issued answers for it, or nobody does. */
function byDesign(place: Parameters<typeof missingCheck>[0], mark: string, opening: string, plan: Context['plan']): Check {
  const design = plan.holds.find((one) => one.id === 'HP1' && one.by.trim() !== '' && one.evidence.trim() !== '');
  if (!design)
    return missingCheck(
      place,
      'moment',
      `What may ${mark} carry over ${opening}? It is no listed section: the engineer’s design is wanted, recorded as hold point HP1.`,
    );
  const check = ratioCheck(
    place,
    { demand: 0, capacity: 1, quantity: 'moment', caution: null, ratio: 0 },
    told([`${mark} over ${opening} is no listed section and is not worked out here; the design of ${design.by} answers for it (${design.evidence}).`]),
    [],
  );
  return { ...check, ratio: null, demand: null, capacity: null };
}
