import type { Trace } from '../../calc/evidence';
import { phrase, q } from '../../calc/work';
import { padPressure } from '../../cranes/pad-pressure.calc';
import { handRung } from '../../handling/rung.calc';
import { twoPlaces } from '../../handling/two-places.calc';
import { teamCarry } from '../../handling/team.calc';
import { GRAVITY } from '../../units';
import type { Check } from '../check';
import { keep } from '../keep';
import { memberSize, memberWeight } from '../member-weight';
import { Missing } from '../missing';
import { namesPerson, saysSomething } from '../records';
import type { Moment } from '../replay';
import type { Raise, RaisePoint } from '../schema';
import type { SettledPlan } from '../settle';
import { allStrikeGroups } from '../strike-groups';
import { settleBeams } from '../structure/model';
import { isInclined } from '../structure/place';
import { beamAt, standsAt } from '../structure/state';
import { allShores, viewOfWay, wayOfMember } from '../views';
import { carriedOf } from '../way-pieces';
import { flatStop, missingCheck, moveFor, on, ratioCheck, sourced, told, traced, type Context, type Place } from './context';

const PRACTICE = 'Common practice: a rating that equals its load is a stop';
/** One place alone has to be this near the balance point [share of the length]. */
const BALANCED = 0.02;
/** Two places nearer than this are one [m]. */
const APART = 0.1;

/** What is raised: how heavy, how long, where it balances, how deep, and how high its seats are. */
interface Load {
  name: string;
  weight: number;
  length: number;
  cg: number;
  depth: number | null;
  /** level its underside comes to */
  level: number | null;
}

function loadOf(plan: SettledPlan, raise: Raise, rules: Context['rules']): Load | Missing {
  const opening = plan.survey.openings.find(({ id }) => id === raise.load);
  if (!opening) {
    const settled = settleBeams(plan, rules).get(raise.load)!;
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

interface Share {
  /** the most it comes to carry [N] */
  most: number;
  traces: Trace[];
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
  return (context.plan.raises ?? []).flatMap((raise) => [...oneRaise(context, raise), ...raisedTwice(context, raise)]);
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

function oneRaise(context: Context, raise: Raise): Check[] {
  const { plan, rules, replayed } = context;
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
  if (move === null) checks.push(ask('moves.raise', `No move sets ${name}. When is it raised?`));
  if (raise.points.length === 0 || unplaced.length > 0 || past.length > 0 || (raise.points.length > 1 && !raise.uneven)) return checks;
  const shares = sharesOf(load, raise, raise.uneven ?? 0);
  if ('impossible' in shares) return [...checks, flatStop(whole('raise.balance'), 'length', { code: 'sling.impossible', reason: shares.impossible }, [])];
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
    if (point.kind === 'mastLift') checks.push(...mastLiftChecks(ground, point));
    else if (point.kind === 'hoist') checks.push(...hoistChecks(ground, point));
    else checks.push(...handChecks(ground, point));
  }
  return checks;
}

interface Ground {
  context: Context;
  raise: Raise;
  load: Load;
  share: Share;
  moment: Moment;
  at: (id: string, calc: { id: string; source: { text: string } }, source: string, part?: string) => Place;
}
type Of<K extends RaisePoint['kind']> = Extract<RaisePoint, { kind: K }>;

/** A mast lift: its plate at this load centre, how high it goes, and the floor under it. */
function mastLiftChecks({ context, raise, load, share, at }: Ground, lift: Of<'mastLift'>): Check[] {
  const { rules } = context;
  const mass = share.most / GRAVITY;
  const checks: Check[] = [];
  const plate = at('raise.share', twoPlaces, sourced(PRACTICE, rules, 'contactCaution'));
  if (lift.rating === null || lift.plateCentre === null || lift.centre === null)
    checks.push(
      missingCheck(
        plate,
        'mass',
        lift.rating === null
          ? `What may ${lift.name} lift? Read its plate.`
          : lift.plateCentre === null
            ? `At which load centre is the plate of ${lift.name} good?`
            : `How far from the mast of ${lift.name} does the middle of ${load.name} lie?`,
        share.traces,
      ),
    );
  else {
    // Past the load centre of the plate no more than the same moment about the mast; nearer, no more than the plate.
    const capacity = lift.rating * Math.min(1, lift.plateCentre / lift.centre);
    checks.push(
      ratioCheck(
        plate,
        { demand: mass, capacity, quantity: 'mass', caution: rules.value('contactCaution') },
        told(
          phrase`${lift.name} comes to carry ${q(mass, 'mass')} of ${load.name}; ${q(lift.centre, 'dimension')} from its mast it may lift ${q(capacity, 'mass')}, by the moment of its plate. The maker’s own figure decides.`,
        ),
        share.traces,
      ),
    );
  }
  const reach = at('raise.reach', twoPlaces, 'Geometry');
  if (lift.reach === null || raise.floor === null || load.level === null)
    checks.push(
      missingCheck(
        reach,
        'length',
        lift.reach === null ? `How high do the forks of ${lift.name} go?` : `At which level is the floor the gear stands on, and the seats of ${load.name}?`,
      ),
    );
  else {
    const needed = load.level - raise.floor;
    checks.push(
      ratioCheck(
        reach,
        { demand: needed, capacity: lift.reach, quantity: 'length', caution: null, inclusive: true },
        told(phrase`The forks of ${lift.name} have to go ${q(needed, 'length')} up; they go ${q(lift.reach, 'length')}.`),
        [],
      ),
    );
  }
  const floor = at('raise.floor', padPressure, sourced(padPressure.source.text, rules, 'strengthCaution'));
  if (lift.own === null || lift.foot === null || raise.floorCarries === null)
    checks.push(
      missingCheck(
        floor,
        'pressure',
        lift.own === null
          ? `What does ${lift.name} itself weigh? The floor carries it too.`
          : lift.foot === null
            ? `On how much floor do the legs of ${lift.name} stand?`
            : 'What may the floor under the gear take? Who says so?',
      ),
    );
  else {
    const { outcome, traces } = traced(padPressure, { reaction: share.most + lift.own * GRAVITY, area: lift.foot });
    if (outcome.ok)
      checks.push(
        ratioCheck(
          floor,
          { demand: outcome.output.pressure, capacity: raise.floorCarries, quantity: 'pressure', caution: rules.value('strengthCaution') },
          told(
            phrase`${lift.name} with its share presses ${q(outcome.output.pressure, 'pressure')} on the floor; it may take ${q(raise.floorCarries, 'pressure')}.`,
          ),
          traces,
        ),
      );
  }
  return checks;
}

/** A hoist: its rating, head room and travel, how straight it pulls, and what it hangs from. */
function hoistChecks({ context, raise, load, share, moment, at }: Ground, hoist: Of<'hoist'>): Check[] {
  const { plan, rules } = context;
  const dynamic = rules.value('dynamicFactor');
  const checks: Check[] = [];
  const rating = at('raise.share', twoPlaces, sourced(PRACTICE, rules, 'dynamicFactor', 'contactCaution'));
  const mass = (share.most * dynamic) / GRAVITY;
  checks.push(
    hoist.rating === null
      ? missingCheck(rating, 'mass', `What is ${hoist.name} rated for? Read its tag.`, share.traces)
      : ratioCheck(
          rating,
          { demand: mass, capacity: hoist.rating, quantity: 'mass', caution: rules.value('contactCaution') },
          told(
            phrase`${hoist.name} comes to pull ${q(mass, 'mass')} of ${load.name} with the dynamic factor ${q(dynamic, 'factor')}; it is rated ${q(hoist.rating, 'mass')}.`,
          ),
          share.traces,
        ),
  );
  const head = at('raise.headRoom', twoPlaces, 'Geometry');
  if (hoist.hangsAt === null || hoist.closed === null || hoist.sling === null || load.depth === null || load.level === null)
    checks.push(
      missingCheck(
        head,
        'length',
        hoist.hangsAt === null
          ? `At which level does ${hoist.name} hang?`
          : hoist.closed === null
            ? `How long is ${hoist.name} from what it hangs on to its hook run right up?`
            : hoist.sling === null
              ? `How far is it from the hook of ${hoist.name} to the top of ${load.name}?`
              : `How deep is ${load.name}, and at which level are its seats?`,
      ),
    );
  else {
    const needed = load.level + load.depth + hoist.sling + hoist.closed;
    checks.push(
      ratioCheck(
        head,
        { demand: needed, capacity: hoist.hangsAt, quantity: 'length', caution: null, inclusive: true },
        told(
          phrase`With its hook right up ${hoist.name} sets ${load.name} only if it hangs ${q(needed, 'length')} up; it hangs at ${q(hoist.hangsAt, 'length')}.`,
        ),
        [],
      ),
    );
  }
  const travel = at('raise.travel', twoPlaces, 'Geometry');
  if (hoist.travel === null || raise.lies === null || load.level === null)
    checks.push(
      missingCheck(
        travel,
        'length',
        hoist.travel === null ? `How far does the hook of ${hoist.name} travel?` : `At which level does ${load.name} lie before it is raised?`,
      ),
    );
  else {
    const rise = Math.max(0, load.level - raise.lies);
    checks.push(
      ratioCheck(
        travel,
        { demand: rise, capacity: hoist.travel, quantity: 'length', caution: null, inclusive: true },
        told(phrase`${load.name} rises ${q(rise, 'length')}; the hook of ${hoist.name} travels ${q(hoist.travel, 'length')}.`),
        [],
      ),
    );
  }
  const side = at('raise.side', twoPlaces, sourced('Common practice: a hoist pulls straight', rules, 'hoistSide'));
  const most = rules.value('hoistSide');
  checks.push(
    hoist.sideDeg === null
      ? missingCheck(side, 'angle', `How far out of plumb does ${hoist.name} pull at the worst, by angle?`)
      : ratioCheck(
          side,
          { demand: hoist.sideDeg, capacity: most, quantity: 'angle', caution: null, inclusive: true },
          told(phrase`${hoist.name} pulls ${q(hoist.sideDeg, 'angle')} out of plumb; ${q(most, 'angle')} may be. Move what it hangs from over the load.`),
          [],
        ),
  );
  const hung = share.most * dynamic + (hoist.own ?? 0) * GRAVITY;
  const from = at('raise.hangsFrom', twoPlaces, sourced('Statics; whoever says what it may carry', rules, 'dynamicFactor', 'strengthCaution'));
  const holdfast = hoist.hangsOn ? holdfastOf(plan, hoist.hangsOn) : null;
  const what = holdfast?.name ?? hoist.hangsFrom.trim();
  if (holdfast && !stands(plan, moment, hoist.hangsOn!))
    checks.push(
      flatStop(
        at('raise.stands', twoPlaces, 'Common practice: a hoist hangs from what stands'),
        'force',
        told(
          phrase`${hoist.name} hangs from ${what}, which does not stand when ${load.name} is raised. Hang it from what stands, or raise it while that does.`,
        ),
        [],
      ),
    );
  if (!saysSomething(what)) checks.push(missingCheck(from, 'force', `What does ${hoist.name} hang from?`));
  else if (hoist.own === null) checks.push(missingCheck(from, 'force', `What does ${hoist.name} itself weigh, with its chain? ${what} carries it too.`));
  else if (hoist.carries === null) checks.push(missingCheck(from, 'force', `What may ${what} carry where ${hoist.name} hangs, and who says so?`));
  else
    checks.push(
      ratioCheck(
        from,
        { demand: hung, capacity: hoist.carries, quantity: 'force', caution: rules.value('strengthCaution') },
        told(phrase`${hoist.name} hangs from ${what} with ${q(hung, 'force')}, itself counted; that carries ${q(hoist.carries, 'force')}.`),
        share.traces,
      ),
    );
  return checks;
}

/** A crew that walks one end up from rest to rest: what each has in hand, and whether it slides on the other end. */
function handChecks({ context, raise, load, share, at }: Ground, crew: Of<'hands'>): Check[] {
  const { rules } = context;
  const checks: Check[] = [];
  const perPerson = rules.value('personLift');
  const team = at('raise.share', teamCarry, sourced(teamCarry.source.text, rules, 'personLift'));
  const mass = share.most / GRAVITY;
  if (crew.people === null) checks.push(missingCheck(team, 'count', `How many people lift at ${crew.name}?`, share.traces));
  else {
    const { outcome, traces } = traced(teamCarry, { mass, perPerson, people: crew.people });
    if (outcome.ok)
      checks.push(
        ratioCheck(
          team,
          { demand: outcome.output.needed, capacity: crew.people, quantity: 'count', caution: null, inclusive: true },
          told(
            phrase`${crew.name} has ${q(mass, 'mass')} of ${load.name} in hand: ${String(outcome.output.needed)} people by the guideline; ${String(crew.people)} are named.`,
          ),
          [...share.traces, ...traces],
        ),
      );
  }
  const keepers = at('raise.keepers', handRung, 'Common practice: each rest has its keeper before the next step');
  if (crew.keepers !== true)
    checks.push(
      crew.keepers === null
        ? missingCheck(keepers, 'count', `Does a keeper hold ${load.name} at each rest at ${crew.name} before the next step?`)
        : flatStop(
            keepers,
            'count',
            told(phrase`No keeper holds ${load.name} at the rests at ${crew.name}: it can roll or slide off while the other end is lifted.`),
            [],
          ),
    );
  const other = raise.points.find((one) => one.id !== crew.id && one.at !== null);
  const slides = at('raise.slides', handRung, handRung.source.text);
  if (!other) return checks;
  const apart = Math.abs((other.at ?? 0) - (crew.at ?? 0));
  if (crew.rung === null || crew.friction === null)
    checks.push(
      missingCheck(
        slides,
        'angle',
        crew.rung === null ? `How far apart are the rests at ${crew.name}?` : `How rough are the rests at ${crew.name}: which friction?`,
      ),
    );
  else if (crew.rung >= apart)
    checks.push(
      flatStop(
        slides,
        'length',
        told(phrase`A step of ${q(crew.rung, 'length')} is more than the ${q(apart, 'length')} between the places it is lifted at.`),
        [],
      ),
    );
  else {
    const slopeDeg = (Math.asin(crew.rung / apart) * 180) / Math.PI;
    const { outcome, traces } = traced(handRung, {
      weight: load.weight,
      length: load.length,
      cg: load.cg,
      rest: other.at ?? 0,
      lift: crew.at ?? 0,
      slopeDeg,
      friction: crew.friction,
    });
    if (!outcome.ok) checks.push(flatStop(slides, 'angle', { code: 'sling.impossible', reason: outcome.error }, []));
    else {
      const allowed = (Math.atan(crew.friction) * 180) / Math.PI;
      checks.push(
        ratioCheck(
          slides,
          { demand: slopeDeg, capacity: allowed, quantity: 'angle', caution: rules.value('contactCaution') },
          told(phrase`A step at ${crew.name} tilts ${load.name} by ${q(slopeDeg, 'angle')}; past ${q(allowed, 'angle')} it slides on its other rest.`),
          traces,
        ),
      );
    }
  }
  const rung = at('raise.rung', handRung, sourced('Statics; whoever says what a rest may carry', rules, 'strengthCaution'));
  checks.push(
    crew.rungCarries === null
      ? missingCheck(rung, 'force', `What may a rest at ${crew.name} carry? It holds that end while the other is lifted.`)
      : ratioCheck(
          rung,
          { demand: share.most, capacity: crew.rungCarries, quantity: 'force', caution: rules.value('strengthCaution') },
          told(phrase`A rest at ${crew.name} holds up to ${q(share.most, 'force')}; it may carry ${q(crew.rungCarries, 'force')}.`),
          share.traces,
        ),
  );
  return checks;
}

/** What a hoist may hang from, by its id. */
function holdfastOf(plan: SettledPlan, id: string): { name: string } | null {
  const named = [...allShores(plan), ...plan.links, ...plan.bearings, ...plan.structure.supports].find((one) => one.id === id);
  if (named) return { name: named.name };
  const beam = plan.structure.pieces.find((one) => one.id === id);
  return beam ? { name: beam.mark } : null;
}

/** Whether it stands when the load is raised: shores set and not struck, supports ready, pieces let go; links and bearings are the building. */
function stands(plan: SettledPlan, moment: Moment, id: string): boolean {
  if (allShores(plan).some((one) => one.id === id)) return (moment.shoresSet[id] ?? false) && !struckShores(plan, moment).has(id);
  if (plan.structure.supports.some((one) => one.id === id)) return standsAt(moment.structure, id);
  if (plan.structure.pieces.some((one) => one.id === id)) return beamAt(moment.structure, id).where === 'set';
  return true;
}

const struckShores = (plan: SettledPlan, moment: Moment): ReadonlySet<string> =>
  keep('struck.shores', moment, [plan.shoring], () => {
    const struck = new Set<string>();
    // A shore of which a part is struck holds nothing that is hung from it.
    for (const group of allStrikeGroups(plan)) if (moment.struck[group.id]) for (const step of group.steps) struck.add(step.shore);
    return struck;
  });
