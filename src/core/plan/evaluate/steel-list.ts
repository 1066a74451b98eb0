import { phrase, q } from '../../calc/work';
import { weightTruth } from '../../steel/weight-truth.calc';
import type { Check } from '../check';
import { memberWeight } from '../member-weight';
import { Missing } from '../missing';
import { missingCheck, ratioCheck, sourced, type Context } from './context';

/** Members whose weight nobody knows, and those of which people say different things. */
export function steelListChecks({ plan, rules }: Context): Check[] {
  const checks: Check[] = [];
  const allowed = rules.value('statementDifference');
  const place = (id: string, subject: string) => ({
    id,
    subject,
    station: 'steel' as const,
    move: null,
    calc: weightTruth.id,
    source: sourced(weightTruth.source.text, rules, 'statementDifference'),
  });
  for (const member of plan.members) {
    const weight = memberWeight(member, rules);
    if (weight instanceof Missing) {
      checks.push(missingCheck(place('steel.weight', member.mark), 'mass', weight.questions.join(' ')));
      continue;
    }
    if (member.stated.drawing !== null || member.stated.weighed !== null) {
      const apart = weight.spread - 1;
      const by = { calculated: 'the calculated weight', drawing: 'the drawing', weighed: 'the scale' }[weight.by];
      const check = ratioCheck(
        place('steel.truth', member.mark),
        { demand: weight.bare, capacity: weight.bare, quantity: 'mass', caution: null, ratio: 0 },
        {
          code: 'told',
          words:
            apart > allowed
              ? phrase`${member.mark} is given weights ${q(apart, 'fraction')} apart. The plan goes by ${by}, ${q(weight.bare, 'mass')} bare. Find out which is right.`
              : phrase`${member.mark}: the weights agree within ${q(allowed, 'fraction')}; the plan goes by ${by}, ${q(weight.bare, 'mass')} bare.`,
        },
        weight.traces,
      );
      checks.push({ ...check, ratio: null, capacity: null, verdict: apart > allowed ? 'tight' : 'clear' });
    }
    // The member that goes the way in is cut into pieces: those are checked there.
    if (plan.truck && member.id !== plan.wayIn.member && member.length > plan.truck.deckLength)
      checks.push(
        ratioCheck(
          { ...place('steel.truck', member.mark), calc: 'steel.loads', source: 'Geometry: piece on the deck' },
          { demand: member.length, capacity: plan.truck.deckLength, quantity: 'length', caution: null, inclusive: true },
          {
            code: 'told',
            words: phrase`${member.mark} is ${q(member.length, 'length')}; ${plan.truck.name || 'the truck'} takes ${q(plan.truck.deckLength, 'length')}.`,
          },
          [],
        ),
      );
  }
  return checks;
}
