import { crawler } from '../../cranes/crawler.calc';
import { cornerName, craneOutriggers } from '../../cranes/outriggers.calc';
import { padPressure } from '../../cranes/pad-pressure.calc';
import { angleOf, clip, rectangle, sub, toOutline, wrapDeg, type Vec } from '../../geometry/plane';
import type { Check } from '../../verdict/check';
import { standingAt } from '../../settle/bodies';
import { cranesStanding } from '../../settle/cranes-standing';
import { loadOf } from '../../document/joined';
import { laidOut, liesAt } from '../../settle/laid';
import type { LiftPath } from '../../settle/lift-path';
import { Missing } from '../../verdict/missing';
import type { Crane, Stand } from '../../document/schema';
import { phrase, q } from '../../calc/work';
import { moveFor, type Context, type PickContext } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced, on } from '../../verdict/build';
import { powerLineChecks } from './power-lines';
import { asksGround, asksMat, worstOutrigger, worstTrack, type StandLoad } from './under-crane';

type Place = Parameters<typeof missingCheck>[0];
/** Ground, tail swing and power lines: what the stand itself must have. */
export function standChecks(context: Context, picked: PickContext): Check[] {
  const { plan, rules } = context;
  const { stand, crane, pick, path, gross } = picked;
  const move = moveFor(plan, 'crane.set', stand.id);
  const place = (id: string, calc: { id: string; source: { text: string } }): Place => ({
    id,
    ...on('stand', stand, stand.name, pick.id),
    station: 'gear',
    move,
    calc: calc.id,
    source: calc.source.text,
  });
  const ground = { ...place('stand.ground', padPressure), source: sourced(padPressure.source.text, rules, 'strengthCaution') };
  // What a mast stands on is asked of the crane, once for all its picks.
  if (crane.tower) return roundIt(context, picked, place);
  const checks: Check[] = widerThanItIs(context, picked, place('stand.base', craneOutriggers));
  const stands = crane.tracks ? 'tracks' : 'outriggers';
  if (path instanceof Missing || gross instanceof Missing)
    checks.push(missingCheck(ground, 'pressure', `What the ${stands} press with cannot be worked out until the load and its way are known.`));
  else if (crane.tracks) checks.push(trackCheck(context, picked, path, gross, ground, place('stand.tips', crawler)));
  else {
    const load = worstOutrigger(crane, stand, pick.boom, path, gross, picked.loaded);
    if (load instanceof Missing) checks.push(missingCheck(ground, 'pressure', load.questions.join(' ')));
    else if ('tipsAtDeg' in load)
      checks.push(flatStop({ ...place('stand.tips', craneOutriggers) }, 'force', { code: 'crane.tips', stand: stand.name, overDeg: load.tipsAtDeg }, []));
    else checks.push(matCheck(context, stand, load, ground));
  }
  return [...checks, ...roundIt(context, picked, place)];
}

/** What the crane comes near to as it slews. */
const roundIt = (context: Context, picked: PickContext, place: (id: string, calc: { id: string; source: { text: string } }) => Place): Check[] => [
  ...tailChecks(context, picked, {
    ...place('stand.tail', { id: 'crane.boom', source: { text: 'Geometry of the slewing tail' } }),
    source: sourced('Geometry of the slewing tail', context.rules, 'tailClearance', 'clearanceCaution'),
  }),
  ...powerLineChecks(context, picked),
];

/** The mat under the worst outrigger. */
function matCheck({ rules }: Context, stand: Stand, load: StandLoad, ground: Place): Check {
  if (stand.padArea === null || stand.groundAllowable === null)
    return missingCheck(ground, 'pressure', stand.padArea === null ? asksMat(stand) : asksGround(stand), load.traces);
  const { outcome, traces } = traced(padPressure, { reaction: load.reaction, area: stand.padArea });
  if (!outcome.ok) return missingCheck(ground, 'pressure', outcome.error);
  return ratioCheck(
    ground,
    { demand: outcome.output.pressure, capacity: stand.groundAllowable, quantity: 'pressure', caution: rules.value('strengthCaution') },
    { code: 'ground', stand: stand.name, corner: cornerName[load.corner], pressure: outcome.output.pressure, allowable: stand.groundAllowable },
    [...load.traces, ...traces],
  );
}

/** A crane on tracks: the greatest pressure under either of them, over all of the way. */
function trackCheck(
  { rules }: Context,
  { crane, stand, pick, loaded }: PickContext,
  path: LiftPath,
  gross: { mass: number; least: number },
  at: Place,
  tips: Place,
): Check {
  const ground: Place = { ...at, calc: crawler.id, source: sourced(crawler.source.text, rules, 'strengthCaution') };
  const worst = worstTrack(crane, stand, pick.boom, path, gross, loaded);
  if (worst instanceof Missing) return missingCheck(ground, 'pressure', worst.questions.join(' '));
  if ('tipsAtDeg' in worst) return flatStop(tips, 'force', { code: 'crane.tips', stand: stand.name, overDeg: worst.tipsAtDeg }, []);
  if (stand.groundAllowable === null) return missingCheck(ground, 'pressure', asksGround(stand), worst.traces);
  return ratioCheck(
    ground,
    { demand: worst.pressure, capacity: stand.groundAllowable, quantity: 'pressure', caution: rules.value('strengthCaution') },
    told(
      phrase`At ${stand.name} the ${worst.side} track presses the ground with up to ${q(worst.pressure, 'pressure')} over ${q(worst.bearing, 'length')} of its length, the boom ${q(Math.abs(worst.azimuthDeg), 'angle')} off its front; ${q(stand.groundAllowable, 'pressure')} is allowed.`,
    ),
    worst.traces,
  );
}

/** Measures this close are the same [m]. */
const SAME = 0.02;

/** A base at a stand that is more than the crane’s outriggers run out to: the ground would feel less than it does. */
function widerThanItIs({ plan }: Context, { stand }: PickContext, place: Place): Check[] {
  const own = plan.cranes.find(({ id }) => id === stand.crane);
  if (!stand.base || !own) return [];
  const [stands, reach] = own.tracks ? ['tracks', 'are'] : ['outriggers', 'run out to'];
  return (
    [
      ['front to rear', stand.base.length, own.baseLength],
      ['side to side', stand.base.width, own.baseWidth],
    ] as const
  ).flatMap(([way, here, most]) => {
    if (here === null || here <= most + SAME) return [];
    const asked = { ...missingCheck({ ...place, about: { ...place.about, part: `${place.about.part ?? ''} ${way}` } }, 'length', ''), demand: here };
    const words = phrase`${own.name} is said to stand ${q(here, 'length')} ${way} at ${stand.name}; its ${stands} ${reach} ${q(most, 'length')}. Which is right?`;
    return [{ ...asked, finding: told(words) }];
  });
}

/** What the tail can reach: it sweeps opposite the boom, a little wider than the slew itself. */
function tailChecks({ plan, rules }: Context, { pick, stand, crane, path, seat }: PickContext, place: Place): Check[] {
  if (path instanceof Missing) return [];
  const least = rules.value('tailClearance');
  const seatDeg = seat instanceof Missing ? 0 : seat.azimuthDeg;
  const posts = plan.bearings.map((b) => ({ name: b.name, height: b.level, outline: rectangle(b.at, b.seatLength, b.seatWidth, seatDeg) }));
  const walls = plan.site.obstructions.map((one) => ({
    name: one.name,
    height: one.height,
    outline: rectangle(one.at, one.length, one.width, one.azimuthDeg),
  }));
  // Of the steel that stands by then only what comes down as far as a tail reaches up.
  const steel = standingAt(plan, rules, pick)
    .filter(({ from }) => from < crane.pivotHeight + TAIL_TOP)
    .map(({ name, to, outline }) => ({ name, height: to, outline }));
  const own = new Set(loadOf(pick));
  const at = plan.moves.findIndex((move) => (move.kind === 'piece.hang' || move.kind === 'pick.lift') && move.pick === pick.id);
  const lying = laidOut(plan, rules)
    .filter((one) => at >= 0 && !own.has(one.body.id) && liesAt(one, at))
    .map(({ body }) => ({ name: `${body.name}, where it lies,`, height: body.to, outline: body.outline }));
  const cranes = cranesStanding(plan)
    .filter((one) => at >= 0 && one.stand.id !== stand.id && one.stand.crane !== stand.crane && one.from < at && at < one.to)
    .map((one) => ({ name: `${one.crane.name} on ${one.stand.name}`, height: one.crane.pivotHeight, outline: one.base }));
  const things = [...posts, ...walls, ...steel, ...lying, ...cranes].filter(
    (thing) => thing.height > (crane.tower ? crane.pivotHeight - COUNTERWEIGHT : TAIL_UNDERSIDE) && inTailSweep(thing.outline, stand, crane, path),
  );
  const nearest = things.map((thing) => ({ what: thing.name, gap: toOutline(stand.at, thing.outline) - crane.tailRadius })).sort((a, b) => a.gap - b.gap)[0];
  if (!nearest) return [];
  return [
    ratioCheck(
      place,
      { demand: least, capacity: nearest.gap, quantity: 'length', caution: rules.value('clearanceCaution'), inclusive: true },
      { code: 'crane.tail', stand: stand.name, what: nearest.what, gap: nearest.gap, least },
      [],
    ),
  ];
}

/** Things lower than this pass under a slewing tail (common practice: deck height of a mobile crane). */
const TAIL_UNDERSIDE = 1;
/** So far under a counter-jib its weights hang (common practice) [m]. */
const COUNTERWEIGHT = 3;
/** So far above the foot pin of the boom a counterweight reaches (common practice) [m]. */
const TAIL_TOP = 1.5;
/** Degrees either side of the tail's centreline that the counterweight covers. */
const TAIL_HALF_WIDTH_DEG = 35;

function inTailSweep(outline: readonly Vec[], { at }: Stand, crane: Crane, path: LiftPath): boolean {
  const reach = crane.tailRadius + 5;
  // Most of what stands is nowhere near it.
  for (const axis of ['x', 'y'] as const)
    if (outline.every((one) => one[axis] > at[axis] + reach) || outline.every((one) => one[axis] < at[axis] - reach)) return false;
  const bearings = clipToReach(outline, at, reach).map((point) => angleOf(sub(point, at)));
  return (
    bearings.length > 0 && path.stations.some(({ bearingDeg }) => bearings.some((one) => Math.abs(wrapDeg(one - bearingDeg - 180)) <= TAIL_HALF_WIDTH_DEG))
  );
}

function clipToReach(outline: readonly Vec[], centre: Vec, reach: number): Vec[] {
  const box: [Vec, number][] = [
    [{ x: 1, y: 0 }, centre.x + reach],
    [{ x: -1, y: 0 }, reach - centre.x],
    [{ x: 0, y: 1 }, centre.y + reach],
    [{ x: 0, y: -1 }, reach - centre.y],
  ];
  return box.reduce<Vec[]>((polygon, [normal, limit]) => (polygon.length ? clip(polygon, normal, limit) : polygon), [...outline]);
}
