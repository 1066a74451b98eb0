import { lineOver } from '../cranes/boom-geometry';
import { add, direction, leftOf, mix, rectangle, scale, sub, type Vec } from '../geometry/plane';
import { dutiesAt, readOnWay } from '../settle/duties';
import { Missing } from '../verdict/missing';
import { pathGrip } from '../edit/path-hands';
import { breadthOf } from '../settle/piece-weight';
import type { Check, StationId } from '../verdict/check';
import type { Moment } from '../replay/now';
import type { Plan, Zone } from '../document/schema';
import { formatQuantity } from '../units';
import { boomShapes } from './boom-shapes';
import { extentOf, type Drawing, type Shape, type Style } from './draw-list';
import { bentsAbove } from './bent-shapes';
import type { ShoresMoment } from './shore-moment';
import { hasShores, shoresAbove } from './shore-shapes';
import { carriedShapes, openingsAbove, wayShapes } from './way-shapes';
import { posesAt, type Pose } from './moment-pose';
import { powerLineShapes } from './power-line-shapes';
import type { SettledPlan } from '../settle/settle';
import type { Walk } from '../settle/walk-way';
import { structureAbove, type StructurePose } from './structure-shapes';
import { waitingBoom } from './waiting-boom';

/**
 * The site from above at a moment. At the shores the way in is left out, and the drawing is as close as they and their seats allow;
 * on the way in what stands there keeps its outline and loses its words.
 */
export function planScene(
  plan: SettledPlan,
  moment: Moment,
  shores: ShoresMoment,
  about: StationId = 'runSheet',
  checks: readonly Check[] = [],
  structure: StructurePose | null = null,
  walk: Walk | null = null,
): Drawing {
  const poses = posesAt(plan, moment, walk);
  const close = about === 'shores' && hasShores(plan);
  const onWay = about === 'wayIn' && plan.ways.some((way) => way.legs.length > 0);
  const standing = [...shoresAbove(shores), ...bentsAbove(plan, shores), ...openingsAbove(plan, shores)];
  const near: Shape[] = [
    ...(structure ? structureAbove(plan, structure) : []),
    ...bearingShapes(plan, moment),
    ...(onWay ? standing.filter((one) => one.shape !== 'label' && one.shape !== 'dimension') : standing),
  ];
  const shapes: Shape[] = [
    ...siteShapes(plan, onWay),
    ...poses.flatMap((pose) => (pose.pieceOnly ? [] : pathShapes(plan, pose, about))),
    ...poses.flatMap((pose) => (pose.pieceOnly ? [] : craneShapes(pose))),
    ...poses.flatMap((pose) => pieceShapes(pose)),
    ...poses.flatMap((pose) => (pose.pieceOnly ? [] : measureShapes(plan, pose))),
    ...near,
    ...(about === 'gear' && !close ? boomShapes(plan) : []),
    ...(about === 'wayIn' ? carriedShapes(plan) : []),
    ...(close ? [] : wayShapes(plan, onWay, checks)),
  ];
  const points = (close ? near : shapes).flatMap((shape) =>
    shape.shape === 'polygon' || shape.shape === 'line' ? shape.points : shape.shape === 'circle' ? roundOf(shape) : [],
  );
  return { shapes, extent: extentOf(points, close ? 0.9 : 0.5) };
}

/** What a circle reaches to on all four sides. */
const roundOf = ({ centre, radius }: { centre: Vec; radius: number }): Vec[] => [
  { x: centre.x - radius, y: centre.y - radius },
  { x: centre.x + radius, y: centre.y + radius },
];

function siteShapes(plan: Plan, onWay: boolean): Shape[] {
  const { units } = plan.job;
  const things = plan.site.obstructions.flatMap((o): Shape[] => [
    {
      shape: 'polygon',
      points: rectangle(o.at, o.length, o.width, o.azimuthDeg),
      style: { fill: 'faint', stroke: 'pencil', width: 1, hatch: true },
      of: { kind: 'obstruction', id: o.id },
      solid: true,
    },
    {
      shape: 'label',
      at: add(o.at, scale(leftOf(direction(o.azimuthDeg)), o.width / 2)),
      text: onWay ? o.name : `${o.name}, ${formatQuantity(o.height, 'reach', units)} high`,
      ink: 'pencil',
      sides: ['above', 'below', 'left', 'right', 'centre'],
    },
  ]);
  const zones = (plan.site.zones ?? []).flatMap((zone): Shape[] => [
    {
      shape: 'polygon',
      points: rectangle(zone.at, zone.length, zone.width, zone.azimuthDeg),
      style: zoneStyle(zone),
      of: { kind: 'zone', id: zone.id },
    },
    {
      shape: 'label',
      at: add(zone.at, scale(leftOf(direction(zone.azimuthDeg)), zone.width / 2)),
      text: zoneText(zone, units),
      ink: zone.kind === 'pit' ? 'ink' : zone.closed || zone.kind === 'laydown' ? 'pencil' : 'stop',
      sides: ['above', 'below', 'left', 'right', 'centre'],
    },
  ]);
  const people = (plan.site.signallers ?? []).flatMap((one): Shape[] => [
    { shape: 'dot', centre: one.at, size: 5, style: { fill: 'gear', stroke: 'paper', width: 1 }, of: { kind: 'signaller', id: one.id } },
    { shape: 'label', at: one.at, text: one.name || 'signal person', ink: 'gear', sides: ['above', 'below', 'left', 'right'] },
  ]);
  return [...zones, ...people, ...things, ...plan.site.powerLines.flatMap((line) => powerLineShapes(plan, line))];
}

/** A laydown is pencilled, a pit is inked, and what no load may pass over stands out until it is closed. */
function zoneStyle({ kind, closed }: Zone): Style {
  if (kind === 'pit') return { fill: 'faint', stroke: 'ink', width: 1.4 };
  if (kind === 'laydown') return { fill: 'faint', stroke: 'pencil', width: 1, dash: 'dot' };
  return { stroke: closed ? 'pencil' : 'stop', width: 1.2, dash: 'dash' };
}

function zoneText({ name, kind, depth, carries, closed }: Zone, units: Plan['job']['units']): string {
  if (kind === 'pit') return `${name}, ${depth ? formatQuantity(depth, 'reach', units) : '?'} deep`;
  if (kind === 'laydown') return `${name}, ${carries ? `takes ${formatQuantity(carries, 'pressure', units)}` : 'takes ?'}`;
  return closed ? `${name}, closed` : name;
}

function bearingShapes(plan: Plan, moment: Moment): Shape[] {
  return plan.bearings.flatMap((bearing): Shape[] => {
    const ready = moment.bearingsReady[bearing.id] ?? false;
    const azimuth = lineAzimuth(plan, bearing.id);
    const size = Math.max(bearing.seatLength, bearing.seatWidth, 0.3);
    return [
      {
        shape: 'polygon',
        points: rectangle(bearing.at, Math.max(bearing.seatLength, size * 0.8), Math.max(bearing.seatWidth, size), azimuth),
        style: ready ? { fill: 'timber', stroke: 'timberEdge', width: 1.4 } : { fill: 'paper', stroke: 'timberEdge', width: 1.4, dash: 'dash' },
        of: { kind: 'bearing', id: bearing.id },
        solid: true,
      },
      {
        shape: 'label',
        at: bearing.at,
        text: ready ? bearing.name : `${bearing.name}, not ready`,
        ink: 'ink',
        bold: true,
        sides: ['below', 'above', 'left', 'right'],
        of: { kind: 'bearing', id: bearing.id },
      },
    ];
  });
}

function lineAzimuth(plan: Plan, bearing: string): number {
  const piece = plan.pieces.find((one) => one.seat.left === bearing || one.seat.right === bearing);
  const left = plan.bearings.find((one) => one.id === piece?.seat.left);
  const right = plan.bearings.find((one) => one.id === piece?.seat.right);
  if (!left || !right) return 0;
  return (Math.atan2(right.at.y - left.at.y, right.at.x - left.at.x) * 180) / Math.PI;
}

function outline(leftEnd: Vec, azimuthDeg: number, length: number, width: number): Vec[] {
  return rectangle(add(leftEnd, scale(direction(azimuthDeg), length / 2)), length, width, azimuthDeg);
}

function pieceShapes(pose: Pose): Shape[] {
  const { context, piece: at, state } = pose;
  const { piece, weight, seat } = context;
  const width = weight instanceof Missing ? 0.2 : breadthOf(weight);
  const shapes: Shape[] = [];
  const startEnd = add({ x: piece.start.x, y: piece.start.y }, scale(direction(piece.start.azimuthDeg), -piece.length / 2));
  if (context.lifted.kind === 'beam' && at === null) return shapes;
  const ofPiece = context.lifted.kind === 'beam' ? ({ kind: 'start', id: piece.id } as const) : ({ kind: 'piece', id: piece.id } as const);
  const onTruck = state.where === 'away' || state.where === 'delivered' || state.where === 'slung';
  shapes.push({
    shape: 'polygon',
    points: rectangle({ x: piece.start.x, y: piece.start.y }, piece.length + 0.6, 2.4, piece.start.azimuthDeg),
    style: { fill: 'paper', stroke: 'pencil', width: 1, dash: onTruck ? undefined : 'dot' },
    of: { kind: 'start', id: piece.id },
  });
  shapes.push({
    shape: 'label',
    at: add({ x: piece.start.x, y: piece.start.y }, scale(leftOf(direction(piece.start.azimuthDeg)), 1.2)),
    text: onTruck ? `Truck with ${piece.mark}` : 'Truck',
    ink: 'pencil',
    sides: ['above', 'right', 'below'],
    of: { kind: 'start', id: piece.id },
  });
  if (state.where === 'away')
    shapes.push({
      shape: 'polygon',
      points: outline(startEnd, piece.start.azimuthDeg, piece.length, width),
      style: { stroke: 'pencil', width: 1, dash: 'dash' },
      of: { kind: 'start', id: piece.id },
    });
  if (!(seat instanceof Missing) && onTruck) {
    shapes.push({
      shape: 'polygon',
      points: outline(seat.leftEnd, seat.azimuthDeg, piece.length, width),
      style: { stroke: 'steel', width: 1, dash: 'dash' },
      of: ofPiece,
      solid: true,
    });
    shapes.push({
      shape: 'label',
      at: mix(seat.left.at, seat.right.at, 0.3),
      text: `${piece.mark} lands here`,
      ink: 'steel',
      bold: true,
      sides: ['above', 'below'],
    });
  }
  if (at) {
    shapes.push({
      shape: 'polygon',
      points: outline(at.leftEnd, at.azimuthDeg, at.seen ?? piece.length, width),
      style: { fill: 'steel', stroke: 'steelEdge', width: 1.2 },
      of: onTruck ? { kind: 'start', id: piece.id } : ofPiece,
      solid: true,
    });
    if (!onTruck)
      shapes.push({
        shape: 'label',
        at: add(at.leftEnd, scale(direction(at.azimuthDeg), (at.seen ?? piece.length) * 0.28)),
        text: state.where === 'hanging' ? `${piece.mark} on the hook` : piece.mark,
        ink: 'steel',
        bold: true,
        large: true,
        sides: ['above', 'below'],
      });
  }
  return shapes;
}

function craneShapes(pose: Pose): Shape[] {
  const { context, hook, craneThere } = pose;
  const { stand, crane, pick } = context;
  const front = direction(stand.azimuthDeg);
  const side = leftOf(front);
  const stroke = craneThere ? ('gear' as const) : ('pencil' as const);
  const of = { kind: 'stand' as const, id: stand.id };
  const dash = craneThere ? undefined : ('dash' as const);
  if (crane.tower) return towerShapes(pose);
  const corners = [1, -1].flatMap((f) =>
    [1, -1].map((s) => add(stand.at, add(scale(front, (f * crane.baseLength) / 2), scale(side, (s * crane.baseWidth) / 2)))),
  );
  const tracks = [1, -1].map((s) => add(stand.at, scale(side, (s * crane.baseWidth) / 2)));
  const shapes: Shape[] = crane.tracks
    ? tracks.map((middle) => ({
        shape: 'polygon',
        points: rectangle(middle, crane.baseLength, crane.tracks?.shoe ?? 0.6, stand.azimuthDeg),
        style: { fill: craneThere ? 'timber' : 'paper', stroke: craneThere ? 'timberEdge' : 'pencil', width: 1, dash },
        of,
        solid: true,
      }))
    : corners.flatMap((corner, i): Shape[] => {
        const f = i < 2 ? 1 : -1;
        const root = add(stand.at, scale(front, (f * crane.baseLength) / 2));
        const pad = Math.sqrt(context.stand.padArea ?? 0.25);
        return [
          { shape: 'line', points: [root, corner], style: { stroke, width: 4, dash }, of },
          {
            shape: 'polygon',
            points: rectangle(corner, pad, pad, stand.azimuthDeg),
            style: { fill: craneThere ? 'timber' : 'paper', stroke: craneThere ? 'timberEdge' : 'pencil', width: 1, dash },
            of,
            solid: true,
          },
        ];
      });
  shapes.push({
    shape: 'polygon',
    points: crane.tracks
      ? rectangle(stand.at, crane.baseLength * 0.7, Math.max(1, crane.baseWidth - (crane.tracks.shoe ?? 0.6)), stand.azimuthDeg)
      : rectangle(add(stand.at, scale(front, 0.4)), crane.baseLength + 2.2, 2.5, stand.azimuthDeg),
    style: { fill: craneThere ? 'gearPale' : 'paper', stroke, width: 1.4, dash },
    of,
    solid: true,
  });
  shapes.push({ shape: 'circle', centre: stand.at, radius: crane.tailRadius, style: { stroke: 'stop', width: 1, dash: 'dash', opacity: 0.7 }, of });
  if (hook) {
    const out = direction(hook.station.bearingDeg);
    const line = lineOver(crane, pick.boom, hook.station.radius);
    const tailEnd = add(stand.at, scale(out, -crane.tailRadius + 0.1));
    shapes.push({
      shape: 'polygon',
      points: rectangle(mix(tailEnd, add(stand.at, scale(out, 0.9)), 0.5), crane.tailRadius + 0.8, 1.9, hook.station.bearingDeg),
      style: craneThere ? { fill: 'gear', stroke: 'gear', width: 1 } : { stroke: 'pencil', width: 1, dash: 'dash' },
      of,
      solid: true,
    });
    if (craneThere)
      shapes.push({
        shape: 'line',
        points: [add(stand.at, scale(out, -crane.pivotBack)), hook.station.hook],
        style: { stroke: line ? 'gear' : 'stop', width: 5 },
        of,
        solid: false,
      });
  }
  const waits = hook || !craneThere ? null : waitingBoom(context);
  if (waits) shapes.push({ shape: 'line', points: [waits.foot, waits.tip], style: { stroke: 'gear', width: 4, dash: 'dash' }, of, solid: false });
  return [...shapes, standLabel(stand, crane, craneThere)];
}

const standLabel = (stand: Pose['context']['stand'], crane: Pose['context']['crane'], craneThere: boolean): Shape => ({
  shape: 'label',
  at: add(stand.at, scale(direction(stand.azimuthDeg), -crane.baseLength / 2 - 0.9)),
  text: `${stand.name} · ${crane.name}`,
  ink: craneThere ? 'ink' : 'pencil',
  bold: true,
  sides: ['below', 'right', 'above', 'left'],
  of: { kind: 'stand', id: stand.id },
});

/** A mast on its base, its jib to its end and its counter-jib, and the circle of both when they turn free. */
function towerShapes({ context: { stand, crane, pick }, hook, craneThere }: Pose): Shape[] {
  const of = { kind: 'stand' as const, id: stand.id };
  const [stroke, dash] = craneThere ? (['gear', undefined] as const) : (['pencil', 'dash'] as const);
  const shapes: Shape[] = [
    {
      shape: 'polygon',
      points: rectangle(stand.at, crane.baseLength, crane.baseWidth, stand.azimuthDeg),
      style: { fill: craneThere ? 'gearPale' : 'paper', stroke, width: 1.4, dash },
      of,
      solid: true,
    },
    { shape: 'circle', centre: stand.at, radius: Math.max(pick.boom, crane.tailRadius), style: { stroke: 'stop', width: 1, dash: 'dash', opacity: 0.7 }, of },
  ];
  if (hook) {
    const out = direction(hook.station.bearingDeg);
    const reaches = lineOver(crane, pick.boom, hook.station.radius) !== null;
    shapes.push({
      shape: 'line',
      points: [add(stand.at, scale(out, -crane.tailRadius)), add(stand.at, scale(out, pick.boom))],
      style: { stroke: reaches ? stroke : 'stop', width: craneThere ? 4 : 2, dash },
      of,
    });
  }
  return [...shapes, standLabel(stand, crane, craneThere)];
}

function pathShapes(plan: SettledPlan, pose: Pose, about: StationId): Shape[] {
  const { path } = pose.context;
  if (path instanceof Missing) return [];
  const first = path.stations[0]!;
  const last = path.stations[path.stations.length - 1]!;
  const hooks = path.stations.map((station) => station.hook);
  const shapes: Shape[] = [
    { shape: 'line', points: hooks, style: { stroke: 'ink', width: 1.6, dash: 'dash' } },
    { shape: 'dot', centre: first.hook, size: 3, style: { fill: 'ink' } },
    { shape: 'dot', centre: last.hook, size: 3, style: { fill: 'ink' } },
  ];
  const grip = about === 'picks' ? pathGrip(pose.context) : null;
  if (grip)
    shapes.push({ shape: 'dot', centre: grip, size: 6, style: { fill: 'paper', stroke: 'ink', width: 2 }, of: { kind: 'path', id: pose.context.drawn.id } });
  const worst = worstRadius(plan, pose);
  if (worst) {
    const arc = arcPoints(path.stand.at, worst.loaded, first.bearingDeg - 12, first.bearingDeg + path.slewDeg + Math.sign(path.slewDeg || 1) * 12);
    shapes.push({ shape: 'line', points: arc, style: { stroke: worst.capacity === null ? 'stop' : 'pencil', width: 1, dash: 'dot' } });
  }
  return shapes;
}

function arcPoints(centre: Vec, radius: number, fromDeg: number, toDeg: number): Vec[] {
  const steps = Math.max(8, Math.ceil(Math.abs(toDeg - fromDeg) / 4));
  return Array.from({ length: steps + 1 }, (_, i) => add(centre, scale(direction(fromDeg + ((toDeg - fromDeg) * i) / steps), radius)));
}

/**
 * The radius on the way where the chart allows least, as it was set and where the hook comes to with the load on; capacity null when the way
 * leaves the chart there.
 */
export function worstRadius(plan: SettledPlan, pose: Pose): { radius: number; loaded: number; capacity: number | null } | null {
  const { path, stand, pick } = pose.context;
  if (path instanceof Missing) return null;
  const read = readOnWay(plan, dutiesAt(plan, stand), stand, path, pick.boom);
  if (read === null || read.kind === 'none') return { radius: path.most, loaded: path.most, capacity: null };
  return { radius: Math.min(read.radius, path.most), loaded: read.radius, capacity: read.kind === 'off' ? null : read.capacity };
}

const worstWords = ({ radius, loaded }: { radius: number; loaded: number }, show: (value: number) => string): string =>
  loaded > radius ? `worst ${show(radius)}, loaded ${show(loaded)}` : `worst ${show(radius)}`;

function measureShapes(plan: SettledPlan, pose: Pose): Shape[] {
  const { units } = plan.job;
  const { path, seat, stand, lifted } = pose.context;
  const shapes: Shape[] = [];
  if (!(seat instanceof Missing) && lifted.kind === 'piece')
    shapes.push({ shape: 'dimension', from: seat.left.at, to: seat.right.at, offset: 30, text: formatQuantity(seat.span, 'length', units), ink: 'ink' });
  if (path instanceof Missing) return shapes;
  const worst = worstRadius(plan, pose);
  const first = path.stations[0]!;
  const last = path.stations[path.stations.length - 1]!;
  for (const station of [first, last]) {
    const isWorst = worst !== null && Math.abs(station.radius - worst.radius) < 1e-6;
    const at = add(stand.at, scale(sub(station.hook, stand.at), isWorst ? 0.6 : 0.46));
    if (station === first || !pose.craneThere || pose.hook?.station !== station)
      shapes.push({ shape: 'line', points: [stand.at, station.hook], style: { stroke: isWorst ? 'steel' : 'pencil', width: 1, dash: 'dash' } });
    shapes.push({
      shape: 'label',
      at,
      text: isWorst ? worstWords(worst, (value) => formatQuantity(value, 'reach', units)) : formatQuantity(station.radius, 'reach', units),
      ink: isWorst ? 'steel' : 'ink',
      bold: isWorst,
      large: isWorst,
      sides: isWorst ? ['right', 'left', 'above', 'below'] : ['above', 'right', 'below', 'left'],
    });
  }
  return shapes;
}
