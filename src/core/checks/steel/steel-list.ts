import { phrase, q } from '../../calc/work';
import { weightTruth } from '../../steel/weight-truth.calc';
import type { Check } from '../../verdict/check';
import { isDay } from '../../units/day';
import { delivered } from '../../settle/travel';
import { memberWeight } from '../../settle/member-weight';
import { Missing } from '../../verdict/missing';
import type { Member } from '../../document/schema';
import { namesPerson, saysSomething } from '../../document/records';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, on } from '../../verdict/build';

/** Members whose weight nobody knows, and those of which people say different things. */
export function steelListChecks(context: Context): Check[] {
  const { plan, rules } = context;
  const checks: Check[] = [];
  const allowed = rules.value('statementDifference');
  const place = (id: string, member: Member) => ({
    id,
    ...on('member', member, member.mark),
    station: 'steel' as const,
    move: null,
    calc: weightTruth.id,
    source: sourced(weightTruth.source.text, rules, 'statementDifference'),
  });
  for (const member of plan.members) {
    const weight = memberWeight(member, rules);
    if (weight instanceof Missing) {
      checks.push(missingCheck(place('steel.weight', member), 'mass', weight.questions.join(' ')));
      continue;
    }
    if (member.stated.drawing !== null || member.stated.weighed !== null) {
      const apart = weight.spread - 1;
      const by = { calculated: 'the calculated weight', drawing: 'the drawing', weighed: 'the scale' }[weight.by];
      const check = ratioCheck(
        place('steel.truth', member),
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
      const chosen = member.use !== 'worst' && namesPerson(member.useBy ?? '') && saysSomething(member.useWhy ?? '');
      // Past this somebody must choose; a lighter figure chosen without a reason is no choice.
      const asked = !chosen && (apart > rules.value('statementChoice') || (apart > allowed && member.use !== 'worst' && weight.bare < weight.heaviest));
      if (asked)
        checks.push({
          ...missingCheck(place('steel.truth', member), 'mass', '', weight.traces),
          demand: weight.heaviest,
          finding: told(
            phrase`${member.mark} is given weights ${q(apart, 'fraction')} apart, up to ${q(weight.heaviest, 'mass')} bare; the plan goes by ${by}, ${q(weight.bare, 'mass')}. Which is right, who says so, and why?`,
          ),
        });
      else checks.push({ ...check, ratio: null, capacity: null, verdict: apart > allowed ? 'tight' : 'clear' });
    }
  }
  return [...checks, ...stackChecks(plan.members), ...stateChecks(context)];
}

/** What is said to be set is set by no move that is still to come, here or elsewhere; what has arrived did not arrive tomorrow. */
function stateChecks({ plan, today }: Context): Check[] {
  const lifted = new Set(plan.picks.map((pick) => pick.piece));
  const hung = new Set(plan.moves.flatMap((move) => (move.kind === 'piece.hang' ? [move.beam] : [])));
  const marks = new Set([...plan.pieces.filter(({ id }) => lifted.has(id)), ...plan.structure.pieces.filter(({ id }) => hung.has(id))].map(({ mark }) => mark));
  const over = new Set(plan.moves.flatMap((move) => (move.kind === 'member.set' ? [move.opening] : [])));
  const byHand = new Set(plan.survey.openings.flatMap(({ id, member }) => (over.has(id) ? [member] : [])));
  return plan.members.flatMap((member) => {
    if (!delivered.has(member.state)) return [];
    const { mark, state } = member;
    const where = {
      id: 'steel.state',
      ...on('member', member, mark),
      station: 'steel' as const,
      move: null,
      calc: weightTruth.id,
      source: 'Two statements of one thing; common practice',
    };
    const elsewhere = (member.elsewhere ?? '').trim();
    const setBy = marks.has(mark) || byHand.has(member.id) ? 'a move of this plan sets it' : saysSomething(elsewhere) ? `it is “${elsewhere}”` : null;
    const still = isDay(member.travel.on) && today !== null && member.travel.on > today;
    return [
      ...(state !== 'stored' && setBy !== null ? [missingCheck(where, 'count', `${mark} is said to be ${state}, and ${setBy}. Does it stand already?`)] : []),
      ...(still
        ? [
            missingCheck(
              { ...where, ...on('member', member, mark, 'arrives') },
              'count',
              `${mark} is said to be ${state}, and to arrive on ${member.travel.on}. Is it here?`,
            ),
          ]
        : []),
    ];
  });
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
      ...on('yardPlace', { id: name.toLowerCase() }, name),
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
