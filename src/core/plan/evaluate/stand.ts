import { cornerName, craneOutriggers } from '../../cranes/outriggers.calc';
import { padPressure } from '../../cranes/pad-pressure.calc';
import { cranePowerLine } from '../../cranes/power-line.calc';
import { add, angleOf, clip, direction, leftOf, rectangle, scale, sub, wrapDeg, type Vec } from '../../geometry/plane';
import { segmentDistance, type Vec3 } from '../../geometry/space';
import { GRAVITY } from '../../units';
import type { Check } from '../check';
import { outlineAt, type LiftPath, type Station } from '../lift-path';
import { Missing } from '../missing';
import type { PieceWeight } from '../piece-weight';
import type { Bearing, Crane, PowerLine, Stand } from '../schema';
import { flatStop, missingCheck, moveFor, ratioCheck, sourced, traced, type Context, type PickContext } from './context';
import { travelHeight } from './crane';

type Place = Parameters<typeof missingCheck>[0];
export type CornerKey = keyof typeof cornerName;

export interface StandLoad {
  corner: CornerKey;
  reaction: number;
  azimuthDeg: number;
  traces: Check['traces'];
}

type PartInput = { weight: number; x: number; y: number } | { weight: number; r: number };

function outriggerParts(crane: Crane, boom: number, radius: number, loadMass: number): PartInput[] {
  const parts = crane.parts.map((part): PartInput => {
    const weight = part.mass * GRAVITY;
    if (part.on === 'chassis') return { weight, x: part.x, y: part.y };
    if (part.on === 'slewing') return { weight, r: part.r };
    // A straight boom: its mass stands at its share of the way from the foot pin to the tip, seen from above.
    return { weight, r: part.along * (radius + crane.pivotBack) - crane.pivotBack };
  });
  return [...parts, { weight: loadMass * GRAVITY, r: radius }];
}

/** Worst outrigger over the whole way of the lift; null when the crane tips at a station. */
export function worstOutrigger(crane: Crane, stand: Stand, boom: number, path: LiftPath, loadMass: number): StandLoad | { tipsAtDeg: number } | Missing {
  if (crane.parts.length === 0) return new Missing(`What do the parts of ${crane.name} weigh, and where? Outrigger loads need them.`);
  let worst: StandLoad | null = null;
  for (const station of path.stations) {
    const azimuthDeg = wrapDeg(station.bearingDeg - stand.azimuthDeg);
    const input = { baseLength: crane.baseLength, baseWidth: crane.baseWidth, parts: outriggerParts(crane, boom, station.radius, loadMass), azimuthDeg };
    const output = craneOutriggers.compute(input);
    if (output.reaction === null) return { tipsAtDeg: azimuthDeg };
    for (const [corner, reaction] of Object.entries(output.reaction) as [CornerKey, number][])
      if (worst === null || !(reaction <= worst.reaction)) worst = { corner, reaction, azimuthDeg, traces: [{ calc: craneOutriggers.id, input, output }] };
  }
  return worst ?? new Missing('The lift has no way to follow.');
}

/** Ground, tail swing and power lines: what the stand itself must have. */
export function standChecks(context: Context, picked: PickContext): Check[] {
  const { plan, rules } = context;
  const { stand, crane, pick, path, gross, weight } = picked;
  const move = moveFor(plan, 'crane.set', stand.id);
  const place = (id: string, calc: { id: string; source: { text: string } }, subject = stand.name): Place => ({
    id,
    subject,
    station: 'gear',
    move,
    calc: calc.id,
    source: calc.source.text,
  });
  const ground = { ...place('stand.ground', padPressure), source: sourced(padPressure.source.text, rules, 'strengthCaution') };
  const checks: Check[] = [];
  if (path instanceof Missing || gross instanceof Missing)
    checks.push(missingCheck(ground, 'pressure', 'Outrigger loads cannot be worked out until the load and its way are known.'));
  else {
    const load = worstOutrigger(crane, stand, pick.boom, path, gross.mass);
    if (load instanceof Missing) checks.push(missingCheck(ground, 'pressure', load.questions.join(' ')));
    else if ('tipsAtDeg' in load)
      checks.push(flatStop({ ...place('stand.tips', craneOutriggers) }, 'force', { code: 'crane.tips', stand: stand.name, overDeg: load.tipsAtDeg }, []));
    else if (stand.padArea === null || stand.groundAllowable === null)
      checks.push(
        missingCheck(
          ground,
          'pressure',
          stand.padArea === null ? `How large is the mat under each outrigger at ${stand.name}?` : `What may the ground at ${stand.name} carry? Who says so?`,
          load.traces,
        ),
      );
    else {
      const { outcome, traces } = traced(padPressure, { reaction: load.reaction, area: stand.padArea });
      if (outcome.ok)
        checks.push(
          ratioCheck(
            ground,
            { demand: outcome.output.pressure, capacity: stand.groundAllowable, quantity: 'pressure', caution: rules.value('strengthCaution') },
            { code: 'ground', stand: stand.name, corner: cornerName[load.corner], pressure: outcome.output.pressure, allowable: stand.groundAllowable },
            [...load.traces, ...traces],
          ),
        );
    }
  }
  checks.push(
    ...tailChecks(context, picked, {
      ...place('stand.tail', { id: 'crane.boom', source: { text: 'Geometry of the slewing tail' } }),
      source: sourced('Geometry of the slewing tail', rules, 'tailClearance', 'clearanceCaution'),
    }),
  );
  if (!(path instanceof Missing) && !(weight instanceof Missing))
    for (const line of plan.site.powerLines) checks.push(lineCheck(context, picked, path, line, place('stand.powerLine', cranePowerLine, line.name)));
  return checks;
}

/** Nearest point of a rectangle to a point: 0 inside. */
function toOutline(point: Vec, centre: Vec, length: number, width: number, azimuthDeg: number): number {
  const offset = sub(point, centre);
  const along = direction(azimuthDeg);
  const across = leftOf(along);
  const dx = Math.max(0, Math.abs(offset.x * along.x + offset.y * along.y) - length / 2);
  const dy = Math.max(0, Math.abs(offset.x * across.x + offset.y * across.y) - width / 2);
  return Math.hypot(dx, dy);
}

/** What of an outline the tail can reach: it sweeps opposite the boom, a little wider than the slew itself. */
function tailChecks({ plan, rules }: Context, { stand, crane, path, seat }: PickContext, place: Place): Check[] {
  if (path instanceof Missing) return [];
  const least = rules.value('tailClearance');
  const seatDeg = seat instanceof Missing ? 0 : seat.azimuthDeg;
  const posts = plan.bearings.map((b: Bearing) => ({ name: b.name, height: b.level, at: b.at, length: b.seatLength, width: b.seatWidth, azimuthDeg: seatDeg }));
  const things = [...posts, ...plan.site.obstructions].filter((thing) => thing.height > TAIL_UNDERSIDE && inTailSweep(thing, stand, crane, path));
  const nearest = things
    .map((thing) => ({ what: thing.name, gap: toOutline(stand.at, thing.at, thing.length, thing.width, thing.azimuthDeg) - crane.tailRadius }))
    .sort((a, b) => a.gap - b.gap)[0];
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
/** Degrees either side of the tail's centreline that the counterweight covers. */
const TAIL_HALF_WIDTH_DEG = 35;

function inTailSweep(thing: { at: Vec; length: number; width: number; azimuthDeg: number }, stand: Stand, crane: Crane, path: LiftPath): boolean {
  const outline = rectangle(thing.at, thing.length, thing.width, thing.azimuthDeg);
  const reach = crane.tailRadius + 5;
  return path.stations.some((station) => {
    const tail = wrapDeg(station.bearingDeg + 180);
    const near = clipToReach(outline, stand.at, reach);
    return near.some((point) => Math.abs(wrapDeg(angleOf(sub(point, stand.at)) - tail)) <= TAIL_HALF_WIDTH_DEG);
  });
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

/** Boom, hoist line and load against a line, at every station, at the height the load travels. */
function lineCheck({ plan, rules }: Context, picked: PickContext, path: LiftPath, line: PowerLine, place: Place): Check {
  if (line.volts === null) return missingCheck(place, 'length', `What voltage does ${line.name} carry? Ask its owner.`);
  const required = traced(cranePowerLine, { volts: line.volts });
  if (!required.outcome.ok) return missingCheck(place, 'length', required.outcome.error);
  const { clearance } = required.outcome.output;
  if (picked.weight instanceof Missing) return missingCheck(place, 'length', picked.weight.questions.join(' '));
  const { weight } = picked;
  const { underside } = travelHeight(plan, picked, path, weight, rules.value('loadClearance'));
  const near = Math.min(...path.stations.map((station) => stationToLine(picked, weight, underside, station, line)));
  return ratioCheck(
    place,
    { demand: clearance, capacity: near, quantity: 'length', caution: rules.value('clearanceCaution'), inclusive: true },
    { code: 'line.clearance', line: line.name, distance: near, required: clearance },
    required.traces,
  );
}

function stationToLine({ crane, pick, stand, piece }: PickContext, weight: PieceWeight, underside: number, station: Station, line: PowerLine): number {
  const a: Vec3 = { ...line.from, z: line.height };
  const b: Vec3 = { ...line.to, z: line.height };
  const out = direction(station.bearingDeg);
  const rise = Math.sqrt(Math.max(0, pick.boom ** 2 - (station.radius + crane.pivotBack) ** 2));
  const foot = add(stand.at, scale(out, -crane.pivotBack));
  const tip: Vec3 = { ...add(stand.at, scale(out, station.radius)), z: crane.pivotHeight + rise };
  const outline = outlineAt(station, piece, weight.cg.x, weight.section.width);
  const edges = outline.map((p, i): [Vec3, Vec3] => {
    const next = outline[(i + 1) % outline.length]!;
    return [
      { ...p, z: underside + weight.section.depth },
      { ...next, z: underside + weight.section.depth },
    ];
  });
  const hoist: Vec3 = { ...station.hook, z: underside };
  return Math.min(
    segmentDistance({ ...foot, z: crane.pivotHeight }, tip, a, b) - crane.boomDepth / 2,
    segmentDistance(hoist, tip, a, b),
    ...edges.map(([p, n]) => segmentDistance(p, n, a, b)),
  );
}
