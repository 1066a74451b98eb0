import type { Trace } from '../../calc/evidence';
import { phrase, q } from '../../calc/work';
import { twoPlaces } from '../../handling/two-places.calc';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { memberSize, memberWeight } from '../../settle/member-weight';
import { Missing } from '../../verdict/missing';
import { namesPerson } from '../../document/records';
import type { Raise } from '../../document/schema';
import type { SettledPlan } from '../../settle/settle';
import { settleBeams } from '../../settle/model';
import { isInclined } from '../../document/place';
import { viewOfWay, wayOfMember } from '../../document/views';
import { carriedOf } from '../../settle/way-pieces';
import { raiseWithItsGear } from '../../document/yard';
import { moveFor, type Context } from '../context';
import { flatStop, missingCheck, on, told, traced, type Place } from '../../verdict/build';
import type { Ground, Load, Share } from './ground';
import { handChecks } from './hands';
import { hoistChecks } from './hoist';
import { jackChecks } from './jack';
import { mastLiftChecks } from './mast-lift';
import { oneHangerChecks, wayUpChecks } from './way-up';

/** One place alone has to be this near the balance point [share of the length]. */
const BALANCED = 0.02;
/** Two places nearer than this are one [m]. */
const APART = 0.1;

/** What goes over an opening, or a piece of the structure, as it is raised without a crane. */
export const raisedLoad = ({ plan, rules }: Pick<Context, 'plan' | 'rules'>, load: string): Load | Missing => loadOf(plan, { load }, rules);

function loadOf(plan: SettledPlan, raise: { load: string }, rules: Context['rules']): Load | Missing {
  const opening = plan.survey.openings.find(({ id }) => id === raise.load);
  if (!opening) {
    const settled = settleBeams(plan, rules).get(raise.load);
    if (!settled) return new Missing('What is raised is no piece of the structure, and goes over no opening.');
    const { beam, make, heavy, section, place } = settled;
    if (heavy instanceof Missing) return heavy;
    // Carried level it is worked out; what is stood up or set inclined on the way is not.
    if (place && (place.upright || isInclined(place)))
      return new Missing(`${beam.mark} is not set level: how it is turned without a crane is not worked out here. Who has checked it?`);
    const points = heavy.points.reduce((sum, { x, force }) => sum + force * x, 0);
    return {
      name: beam.mark,
      weight: heavy.total,
      length: make.length,
      cg: ((heavy.total - heavy.points.reduce((sum, { force }) => sum + force, 0)) * (make.length / 2) + points) / heavy.total,
      depth: section instanceof Missing ? null : section.depth,
      level: place ? Math.max(place.from.z, place.to.z) : null,
    };
  }
  const member = plan.members.find(({ id }) => id === opening.member);
  if (!member) return new Missing(`Which piece of the list goes over ${opening.name}?`);
  const seats = [opening.left, opening.right].flatMap((id) => plan.bearings.find((one) => one.id === id) ?? []);
  const level = seats.length > 0 ? Math.max(...seats.map((one) => one.level)) : null;
  const weight = memberWeight(member, rules);
  if (weight instanceof Missing) return weight;
  const size = memberSize(member);
  const depth = size === null || size instanceof Missing ? null : size.depth + member.packing.height;
  const way = wayOfMember(plan, member.id);
  const carried = way ? carriedOf(viewOfWay(plan, way), rules) : null;
  if (carried && !(carried instanceof Missing)) {
    const { name, mass, length, cg } = carried.heaviest;
    return { name, weight: mass * GRAVITY, length, cg, depth, level };
  }
  return { name: member.mark, weight: weight.lifted * GRAVITY, length: member.length, cg: weight.cg, depth, level };
}

/**
 * What each place comes to carry, the load level and with one place above the next by as much as is said. With more than two, any two on
 * either side of the balance point may come to carry all: nobody rises evenly.
 */
function sharesOf(load: Load, raise: Raise, uneven: number): Map<string, Share> | { impossible: string } {
  const { points } = raise;
  const shares = new Map<string, Share>();
  if (points.length === 1) {
    const [only] = points;
    if (Math.abs((only!.at ?? 0) - load.cg) > BALANCED * load.length)
      return { impossible: `${load.name} is raised at one place, which is not under its balance point: it would tip off.` };
    return shares.set(only!.id, { most: load.weight, traces: [] });
  }
  const placed = points.map((point) => ({ point, at: point.at ?? 0 }));
  const left = placed.filter(({ at }) => at <= load.cg);
  const right = placed.filter(({ at }) => at > load.cg);
  if (left.length === 0 || right.length === 0)
    return { impossible: `Every place ${load.name} is raised at is on one side of its balance point: it would tip off.` };
  const put = (id: string, most: number, trace: Trace[]) => {
    const before = shares.get(id);
    if (!before || most > before.most) shares.set(id, { most, traces: trace });
  };
  for (const a of left)
    for (const b of right) {
      const apart = b.at - a.at;
      if (apart < APART) return { impossible: `Two of the places ${load.name} is raised at are at one place.` };
      // On forks or hands the balance point is over what carries it, under a hook below: either way it walks by as much.
      const { outcome, traces } = traced(twoPlaces, { weight: load.weight, apart, cg: load.cg - a.at, height: (load.depth ?? 0) / 2, uneven });
      if (!outcome.ok) return { impossible: outcome.error };
      put(a.point.id, outcome.output.a, traces);
      put(b.point.id, outcome.output.b, traces);
    }
  return shares;
}

/** Every lift without a crane: what each place carries, whether it reaches, and what it hangs from or stands on at that moment. */
export function raiseChecks(context: Context): Check[] {
  return [...(context.plan.raises ?? []).flatMap((raise) => [...raiseChecksOf(context, raise), ...raisedTwice(context, raise)]), ...unraised(context)];
}

/** What a move sets over an opening comes up there somehow. */
function unraised({ plan }: Context): Check[] {
  const raised = new Set((plan.raises ?? []).map(({ load }) => load));
  return plan.moves.flatMap((move) => {
    if (move.kind !== 'member.set' || raised.has(move.opening)) return [];
    const opening = plan.survey.openings.find(({ id }) => id === move.opening);
    const mark = plan.members.find(({ id }) => id === opening?.member)?.mark ?? opening?.name ?? move.opening;
    const place: Place = {
      id: 'raise.with',
      ...on('opening', { id: move.opening }, mark),
      station: 'picks',
      move: move.id,
      calc: twoPlaces.id,
      source: 'Common practice: what is set was raised by something that carries it',
    };
    return [missingCheck(place, 'count', `Nothing raises ${mark} to its seats yet. By what does it come up: mast lifts, hoists, jacks, hands?`)];
  });
}

/** One load with two ways up: each is worked out, and nobody has said which of them lifts it. */
function raisedTwice({ plan, rules }: Context, raise: Raise): Check[] {
  const more = (plan.raises ?? []).filter((one) => one.load === raise.load && one.id !== raise.id).length;
  const picks = plan.picks.filter((pick) => pick.piece === raise.load).length;
  if (more + picks === 0) return [];
  const load = loadOf(plan, raise, rules);
  const name = load instanceof Missing ? 'the load' : load.name;
  const also = [...(picks > 0 ? ['by a crane'] : []), ...(more > 0 ? ['in another way without one'] : [])].join(' and ');
  const place: Place = {
    id: 'raise.twice',
    ...on('raise', raise, name),
    station: 'picks',
    move: null,
    calc: twoPlaces.id,
    source: 'Common practice: one load is lifted one way',
  };
  return [missingCheck(place, 'count', `${name} is raised without a crane here, and ${also} too. Which of them lifts it? Take the other out.`)];
}

/** All that is asked of one lift without a crane. */
export function raiseChecksOf(context: Context, drawn: Raise): Check[] {
  const { plan, rules, replayed } = context;
  const raise = raiseWithItsGear(plan, drawn);
  const move = moveFor(plan, 'member.set', raise.load) ?? moveFor(plan, 'piece.hang', raise.load);
  const load = loadOf(plan, raise, rules);
  const name = load instanceof Missing ? 'the load' : load.name;
  const at = (id: string, subject: string, calc: { id: string; source: { text: string } }, source: string, part?: string): Place => ({
    id,
    ...on('raise', raise, subject, part),
    station: 'picks',
    move,
    calc: calc.id,
    source,
  });
  const whole = (id: string) => at(id, name, twoPlaces, twoPlaces.source.text);
  const ask = (id: string, question: string) => missingCheck(whole(id), 'mass', question);
  if (load instanceof Missing) return [ask('raise.load', load.questions.join(' '))];
  const checks: Check[] = [];
  if (raise.points.length === 0) checks.push(ask('raise.points', `By what is ${name} raised, and at which places along it?`));
  if (!namesPerson(raise.by)) checks.push(ask('raise.by', `Who answers for raising ${name}?`));
  const unplaced = raise.points.filter((point) => point.at === null);
  if (unplaced.length > 0) checks.push(ask('raise.at', `Where along ${name} is ${unplaced.map((one) => one.name).join(', ')}, from its left end?`));
  const past = raise.points.filter((point) => (point.at ?? 0) > load.length);
  if (past.length > 0)
    checks.push(flatStop(whole('raise.at'), 'length', told(phrase`${past[0]!.name} stands past the end of ${name}, ${q(load.length, 'length')} long.`), []));
  if (raise.points.length > 1 && !raise.uneven)
    checks.push(ask('raise.uneven', `By how much may one place of ${name} stand above the next on the way up? Two never rise evenly.`));
  if (raise.lies !== null && load.level !== null && raise.lies > load.level)
    checks.push(
      flatStop(
        whole('raise.lies'),
        'length',
        told(
          phrase`${name} is said to lie at ${q(raise.lies, 'length')}, over its seats at ${q(load.level, 'length')}: it is not raised to them. Which level is wrong?`,
        ),
        [],
      ),
    );
  checks.push(...wayUpChecks(context, raise, load, whole('raise.clear')));
  if (move === null) checks.push(ask('moves.raise', `No move sets ${name}. When is it raised?`));
  if (raise.points.length === 0 || unplaced.length > 0 || past.length > 0 || (raise.points.length > 1 && !raise.uneven)) return checks;
  const shares = sharesOf(load, raise, raise.uneven ?? 0);
  if ('impossible' in shares) return [...checks, flatStop(whole('raise.balance'), 'length', { code: 'sling.impossible', reason: shares.impossible }, [])];
  checks.push(...oneHangerChecks(context, raise, shares, whole('raise.hangsFrom')));
  const moment = replayed.steps.find((step) => step.move.id === move)?.after ?? replayed.steps.at(-1)?.after ?? replayed.before;
  for (const point of raise.points) {
    const ground: Ground = {
      context,
      raise,
      load,
      share: shares.get(point.id)!,
      moment,
      at: (id, calc, source, part) => at(id, `${point.name}, ${name}`, calc, source, part ?? point.id),
    };
    checks.push(...checksOf(ground, point));
  }
  return checks;
}

function checksOf(ground: Ground, point: Raise['points'][number]): Check[] {
  switch (point.kind) {
    case 'mastLift':
      return mastLiftChecks(ground, point);
    case 'hoist':
      return hoistChecks(ground, point);
    case 'jack':
      return jackChecks(ground, point);
    case 'hands':
      return handChecks(ground, point);
  }
}
