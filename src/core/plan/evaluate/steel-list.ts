import { phrase, q } from '../../calc/work';
import { weightTruth } from '../../steel/weight-truth.calc';
import type { Check } from '../check';
import { delivered } from '../lorry-pieces';
import { memberWeight } from '../member-weight';
import { Missing } from '../missing';
import type { Member } from '../schema';
import { flatStop, missingCheck, ratioCheck, sourced, told, type Context } from './context';

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
    checks.push(...permitCheck(member, { plan, rules }));
  }
  return [...checks, ...stackChecks(plan.members)];
}

type Ground = Pick<Context, 'plan' | 'rules'>;

/** A piece over the free length travels on a permit, or not at all. One that is cut on the way in travels in its parts. */
function permitCheck(member: Member, { plan, rules }: Ground): Check[] {
  const free = rules.value('freeTransport');
  if (member.length <= free || delivered.has(member.state) || (member.id === plan.wayIn.member && plan.wayIn.cuts.length > 0)) return [];
  const place = {
    id: 'steel.permit',
    subject: member.mark,
    station: 'steel' as const,
    move: null,
    calc: 'steel.loads',
    source: sourced('Record: permit of a long transport', rules, 'freeTransport'),
  };
  if (member.permit.trim() === '')
    return [
      missingCheck(
        place,
        'length',
        `${member.mark} is longer than travels without a permit. Which permit covers it, and does the truck need a steered rear axle?`,
      ),
    ];
  const check = ratioCheck(
    place,
    { demand: member.length, capacity: free, quantity: 'length', caution: null, ratio: 0 },
    told(phrase`${member.mark}, ${q(member.length, 'length')}, travels on permit ${member.permit}; ${q(free, 'length')} goes without.`),
    [],
  );
  return [{ ...check, ratio: null, capacity: null }];
}

/** In one pile the piece wanted first lies on top: a lower layer wanted before a higher one is buried. */
function stackChecks(members: readonly Member[]): Check[] {
  const piles = new Map<string, Member[]>();
  for (const member of members) {
    if (member.stack === null || member.place.trim() === '' || (delivered.has(member.state) && member.state !== 'stored')) continue;
    const key = member.place.trim().toLowerCase();
    piles.set(key, [...(piles.get(key) ?? []), member]);
  }
  return [...piles.values()].flatMap((pile): Check[] => {
    const name = pile[0]?.place.trim() ?? '';
    const place = {
      id: 'steel.pile',
      subject: name,
      station: 'steel' as const,
      move: null,
      calc: 'steel.loads',
      source: 'Common practice: first needed on top',
    };
    const lacking = pile.filter((member) => member.order === null);
    if (lacking.length > 0)
      return [
        missingCheck(place, 'count', `When is ${lacking.map((member) => member.mark).join(', ')} wanted? Without its order the pile ${name} cannot be judged.`),
      ];
    const buried = pile.flatMap((low) =>
      pile.filter((high) => (high.stack ?? 0) > (low.stack ?? 0) && (high.order ?? 0) > (low.order ?? 0)).map((high) => ({ low, high })),
    );
    const worstOne = buried[0];
    if (worstOne)
      return [
        flatStop(place, 'count', told([`${worstOne.low.mark} is wanted before ${worstOne.high.mark} and lies under it in ${name}. Stack the pile again.`]), []),
      ];
    const check = ratioCheck(
      place,
      { demand: 0, capacity: 1, quantity: 'count', caution: null, ratio: 0 },
      told([`${name}: ${pile.length} marks lie so that the first wanted is on top.`]),
      [],
    );
    return [{ ...check, ratio: null, demand: null, capacity: null }];
  });
}
