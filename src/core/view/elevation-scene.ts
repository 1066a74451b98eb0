import { lookAxis } from './look-axis';
import { shoredLine } from '../edit/shore-place';
import { shoredOpening } from '../settle/shore-layout';
import { lineOver } from '../cranes/boom-geometry';
import { add, direction, dot, leftOf, rectangle, scale, type Vec } from '../geometry/plane';
import { Missing } from '../verdict/missing';
import type { StationId } from '../verdict/check';
import type { PieceWeight } from '../settle/piece-weight';
import type { Moment } from '../replay/now';
import type { Plan } from '../document/schema';
import { formatQuantity } from '../units';
import { extentOf, type Drawing, type Shape } from './draw-list';
import { bentsBeside } from './bent-shapes';
import type { ShoreMoment, ShoresMoment } from './shore-moment';
import { hasShores, shoresBeside } from './shore-shapes';
import { openingsBeside } from './way-shapes';
import { posesAt, type Pose } from './moment-pose';
import type { SettledPlan } from '../settle/settle';
import type { Walk } from '../settle/walk-way';
import { structureBeside, type StructurePose, LIFTED } from './structure-shapes';
import { waitingBoom } from './waiting-boom';

/** Which way the elevation is seen: square to the beam line, square to the boom, or along the line that is opened. */
export type Look = 'beam' | 'boom' | 'across';

/** The site from the side at a moment: x along the look, y height. At the shores the drawing is as close as they and their seats allow. */
export function elevationScene(
  plan: SettledPlan,
  moment: Moment,
  look: Look,
  shores: ShoresMoment,
  about: StationId = 'runSheet',
  structure: StructurePose | null = null,
  walk: Walk | null = null,
): Drawing {
  const poses = posesAt(plan, moment, walk);
  // Of several lines the shores of one are looked at: along it, and without what stands at the others.
  const one = about === 'shores' && plan.shoring.lines.length > 1 && shores.lines.length === 1 ? shores.lines[0]! : null;
  const axis = (one && shoredLine(one.line)?.along) ?? lookAxis(plan, poses, look);
  const along = (p: Vec): number => dot(p, axis);
  const close = about === 'shores' && hasShores(plan);
  const site = siteShapes(plan, along);
  const near: Shape[] = [
    ...(structure ? structureBeside(plan, structure, along) : []),
    ...bearingShapes(one ? { ...plan, bearings: seatsOfLine(one) } : plan, moment, along),
    ...shoresBeside(shores, along),
    ...bentsBeside(plan, along, shores),
    ...openingsBeside(
      one ? { ...plan, survey: { ...plan.survey, openings: plan.survey.openings.filter(({ id }) => id === one.line.shoring.opening) } } : plan,
      along,
      shores,
    ),
  ];
  const lifted: Shape[] = poses.flatMap((pose) =>
    pose.pieceOnly
      ? pieceShapes(pose, along)
      : [...craneShapes(pose, along), ...pieceShapes(pose, along), ...hookShapes(pose, along), ...measureShapes(plan, pose, along)],
  );
  const shapes: Shape[] = [...(close ? site.filter((shape) => shape.shape !== 'label') : site), ...lifted, ...near];
  const points = (close ? near : shapes).flatMap((shape) =>
    shape.shape === 'polygon' || (shape.shape === 'line' && shape.style.stroke !== 'ground') ? shape.points : [],
  );
  const extent = extentOf(points, 0.4);
  extent.min.y = Math.min(extent.min.y, -0.6);
  shapes.unshift({
    shape: 'line',
    points: [
      { x: extent.min.x - 60, y: 0 },
      { x: extent.max.x + 60, y: 0 },
    ],
    style: { stroke: 'ground', width: 1.6 },
  });
  return { shapes, extent };
}

/** The bearings the piece over the opening of a line rests on. */
function seatsOfLine({ line }: ShoreMoment): SettledPlan['bearings'] {
  const opening = shoredOpening(line);
  return line.bearings.filter(({ id }) => id === opening?.left || id === opening?.right);
}

const span = (points: readonly Vec[], along: (p: Vec) => number): [number, number] => {
  const values = points.map(along);
  return [Math.min(...values), Math.max(...values)];
};

const upright = ([from, to]: readonly [number, number], low: number, high: number): Vec[] => [
  { x: from, y: low },
  { x: to, y: low },
  { x: to, y: high },
  { x: from, y: high },
];

function siteShapes(plan: Plan, along: (p: Vec) => number): Shape[] {
  return plan.site.obstructions.flatMap((o): Shape[] => {
    const range = span(rectangle(o.at, o.length, o.width, o.azimuthDeg), along);
    return [
      {
        shape: 'polygon',
        points: upright(range, 0, o.height),
        style: { fill: 'faint', stroke: 'pencil', width: 1, hatch: true, opacity: 0.75 },
        of: { kind: 'obstruction', id: o.id },
      },
      {
        shape: 'label',
        at: { x: range[0] + (range[1] - range[0]) * 0.5, y: o.height * 0.6 },
        text: o.name,
        ink: 'pencil',
        sides: ['centre', 'above', 'right', 'left', 'below'],
      },
    ];
  });
}

function bearingShapes(plan: Plan, moment: Moment, along: (p: Vec) => number): Shape[] {
  return plan.bearings.flatMap((bearing): Shape[] => {
    const u = along(bearing.at);
    const half = bearing.seatLength / 2;
    const ready = moment.bearingsReady[bearing.id] ?? false;
    const of = { kind: 'bearing' as const, id: bearing.id };
    const style = ready
      ? ({ fill: 'timber', stroke: 'timberEdge', width: 1.2 } as const)
      : ({ fill: 'paper', stroke: 'timberEdge', width: 1.2, dash: 'dash' } as const);
    return [
      { shape: 'polygon', points: upright([u - half * 0.8, u + half * 0.8], 0.1, bearing.level - 0.05), style, of, solid: true },
      {
        shape: 'polygon',
        points: upright([u - half, u + half], bearing.level - 0.05, bearing.level),
        style: { fill: 'steelEdge', stroke: 'steelEdge', width: 0.8 },
        of,
      },
      { shape: 'polygon', points: upright([u - 0.45, u + 0.45], -0.35, 0.1), style: { fill: 'faint', stroke: 'pencil', width: 1, hatch: !ready }, of },
      {
        shape: 'label',
        at: { x: u, y: -0.35 },
        text: ready ? bearing.name : `${bearing.name}, not ready`,
        ink: 'ink',
        bold: true,
        sides: ['below', 'right', 'left'],
        of,
      },
    ];
  });
}

/** Two tracks, on the ground under the body of the crane. */
function trackShapes({ context: { stand, crane }, craneThere }: Pose, along: (p: Vec) => number): Shape[] {
  const side = leftOf(direction(stand.azimuthDeg));
  return [1, -1].map((s) => ({
    shape: 'polygon',
    points: upright(
      span(rectangle(add(stand.at, scale(side, (s * crane.baseWidth) / 2)), crane.baseLength, crane.tracks?.shoe ?? 0.6, stand.azimuthDeg), along),
      0,
      TRACK_HEIGHT,
    ),
    style: { fill: craneThere ? 'timber' : 'paper', stroke: craneThere ? 'timberEdge' : 'pencil', width: 1 },
    of: { kind: 'stand', id: stand.id },
  }));
}
/** As tracks are high (common practice) [m]. */
const TRACK_HEIGHT = 0.9;

function craneShapes(pose: Pose, along: (p: Vec) => number): Shape[] {
  const { stand, crane, pick } = pose.context;
  const of = { kind: 'stand' as const, id: stand.id };
  const there = pose.craneThere;
  const stroke = there ? ('gear' as const) : ('pencil' as const);
  const dash = there ? undefined : ('dash' as const);
  if (crane.tower) return towerShapes(pose, along);
  const front = direction(stand.azimuthDeg);
  const body = span(
    crane.tracks
      ? rectangle(stand.at, crane.baseLength * 0.7, crane.baseWidth, stand.azimuthDeg)
      : rectangle(add(stand.at, scale(front, 0.4)), crane.baseLength + 2.2, 2.5, stand.azimuthDeg),
    along,
  );
  const corners = [1, -1].flatMap((f) =>
    [1, -1].map((s) => along(add(stand.at, add(scale(front, (f * crane.baseLength) / 2), scale(leftOf(front), (s * crane.baseWidth) / 2))))),
  );
  const shapes: Shape[] = [
    { shape: 'polygon', points: upright(body, 0.45, 1.15), style: { fill: there ? 'gearPale' : 'paper', stroke, width: 1.4, dash }, of, solid: true },
    ...(crane.tracks
      ? trackShapes(pose, along)
      : corners.flatMap((u): Shape[] => [
          {
            shape: 'line',
            points: [
              { x: u, y: 0.8 },
              { x: u, y: 0.1 },
            ],
            style: { stroke, width: 3, dash },
            of,
          },
          {
            shape: 'polygon',
            points: upright([u - 0.32, u + 0.32], 0, 0.1),
            style: { fill: there ? 'timber' : 'paper', stroke: there ? 'timberEdge' : 'pencil', width: 1 },
            of,
          },
        ])),
  ];
  const { hook } = pose;
  shapes.push({
    shape: 'label',
    at: { x: (body[0] + body[1]) / 2, y: 0 },
    text: `${stand.name} · ${crane.name}`,
    ink: there ? 'ink' : 'pencil',
    bold: true,
    sides: ['below', 'above'],
    of,
  });
  const waits = hook || !there ? null : waitingBoom(pose.context);
  if (waits) {
    const points = [waits.foot, waits.tip].map((end) => ({ x: along(end), y: end.z }));
    shapes.push({ shape: 'line', points, style: { stroke, width: 5, dash: 'dash' }, of });
  }
  if (!hook) return shapes;
  const out = direction(hook.station.bearingDeg);
  const tail = span([add(stand.at, scale(out, -crane.tailRadius)), add(stand.at, scale(out, 0.9))], along);
  shapes.push({
    shape: 'polygon',
    points: upright([Math.min(tail[0], along(stand.at) - 0.9), Math.max(tail[1], along(stand.at) + 0.9)], 1.15, crane.pivotHeight + 0.35),
    style: there ? { fill: 'gear', stroke: 'gear', width: 1 } : { stroke: 'pencil', width: 1, dash: 'dash' },
    of,
    solid: true,
  });
  const line = lineOver(crane, pick.boom, hook.station.radius);
  if (!line) return shapes;
  const foot = along(add(stand.at, scale(out, -crane.pivotBack)));
  const tip = along(add(stand.at, scale(out, hook.station.radius)));
  shapes.push({
    shape: 'line',
    points: [
      { x: foot, y: crane.pivotHeight },
      { x: tip, y: line.tipHeight },
    ],
    style: { stroke, width: there ? 6 : 2, dash },
    of,
  });
  return shapes;
}

/** So far out of a mast what holds it is drawn [m]. */
const TIE = 0.8;

/** A mast, its jib and counter-jib at a height, and its trolley over the hook. */
function towerShapes({ context: { stand, crane, pick }, hook, craneThere }: Pose, along: (p: Vec) => number): Shape[] {
  const of = { kind: 'stand' as const, id: stand.id };
  const [stroke, dash] = craneThere ? (['gear', undefined] as const) : (['pencil', 'dash'] as const);
  const u = along(stand.at);
  const half = Math.max(0.4, crane.boomWidth / 2);
  const shapes: Shape[] = [
    {
      shape: 'polygon',
      points: upright([u - crane.baseWidth / 2, u + crane.baseWidth / 2], 0, 0.4),
      style: { fill: 'faint', stroke, width: 1, dash },
      of,
      solid: true,
    },
    {
      shape: 'polygon',
      points: upright([u - half, u + half], 0.4, crane.pivotHeight),
      style: { fill: craneThere ? 'gearPale' : 'paper', stroke, width: 1.4, dash },
      of,
    },
    {
      shape: 'label',
      at: { x: u, y: 0 },
      text: `${stand.name} · ${crane.name}`,
      ink: craneThere ? 'ink' : 'pencil',
      bold: true,
      sides: ['below', 'above'],
      of,
    },
    ...(crane.tower?.heldAt ?? []).flatMap(({ name, level }): Shape[] => {
      if (level === null || level > crane.pivotHeight) return [];
      const reach = half + TIE;
      return [
        {
          shape: 'line',
          points: [
            { x: u - reach, y: level },
            { x: u + reach, y: level },
          ],
          style: { stroke, width: 3, dash },
          of,
        },
        { shape: 'label', at: { x: u + reach, y: level }, text: name, ink: craneThere ? 'ink' : 'pencil', sides: ['right', 'left', 'above'], of },
      ];
    }),
  ];
  if (!hook) return shapes;
  const out = direction(hook.station.bearingDeg);
  const ends = [-crane.tailRadius, pick.boom].map((reach) => along(add(stand.at, scale(out, reach))));
  shapes.push({
    shape: 'polygon',
    points: upright([Math.min(...ends), Math.max(...ends)], crane.pivotHeight - crane.boomDepth / 2, crane.pivotHeight + crane.boomDepth / 2),
    style: { fill: craneThere ? 'gear' : 'paper', stroke, width: 1, dash },
    of,
  });
  return shapes;
}

/** A point of the hanging piece: x along it, z from its underside, turned by the tilt about the left end. */
function onPiece(pose: Pose, along: (p: Vec) => number, x: number, z: number): Vec {
  const at = pose.piece!;
  const tilt = (at.tiltDeg * Math.PI) / 180;
  const u = along(at.leftEnd) + dotAxis(along, at.azimuthDeg) * (x * Math.cos(tilt) - z * Math.sin(tilt));
  const low = Math.min(0, pose.context.piece.length * Math.sin(tilt));
  return { x: u, y: at.underside - low + x * Math.sin(tilt) + z * Math.cos(tilt) };
}

const dotAxis = (along: (p: Vec) => number, azimuthDeg: number): number => along(direction(azimuthDeg));

function pieceShapes(pose: Pose, along: (p: Vec) => number): Shape[] {
  const { piece, weight } = pose.context;
  const at = pose.piece;
  if (!at || weight instanceof Missing) return [];
  const { depth, flange, width } = weight.section;
  const of = { kind: 'piece' as const, id: piece.id };
  const corner = (x: number, z: number) => onPiece(pose, along, x, z);
  if (at.upright) {
    const range = span([at.leftEnd, add(at.leftEnd, scale(direction(at.azimuthDeg), at.seen ?? width))], along);
    const half = Math.max(range[1] - range[0], width) / 2;
    const middle = (range[0] + range[1]) / 2;
    return [
      {
        shape: 'polygon',
        points: upright([middle - half, middle + half], at.underside, at.underside + piece.length),
        style: { fill: 'steel', stroke: 'steelEdge', width: 1.2 },
        of,
        solid: true,
      },
    ];
  }
  const ends = span([at.leftEnd, add(at.leftEnd, scale(direction(at.azimuthDeg), piece.length))], along);
  if (ends[1] - ends[0] < width) {
    const middle = (ends[0] + ends[1]) / 2;
    return [
      {
        shape: 'polygon',
        points: upright([middle - width / 2, middle + width / 2], at.underside, at.underside + depth),
        style: { fill: 'steel', stroke: 'steelEdge', width: 1.2 },
        of,
        solid: true,
      },
    ];
  }
  const band = (from: number, to: number, low: number, high: number) => [corner(from, low), corner(to, low), corner(to, high), corner(from, high)];
  const shapes: Shape[] = [
    { shape: 'polygon', points: band(0, piece.length, 0, depth), style: { fill: 'steel', stroke: 'steelEdge', width: 1.2 }, of, solid: true },
    { shape: 'line', points: [corner(0, flange), corner(piece.length, flange)], style: { stroke: 'steelEdge', width: 0.7 }, of },
    { shape: 'line', points: [corner(0, depth - flange), corner(piece.length, depth - flange)], style: { stroke: 'steelEdge', width: 0.7 }, of },
    ...piece.packing.map((one): Shape => {
      const [low, high] = one.side === 'top' ? [depth, depth + one.thickness] : one.side === 'bottom' ? [-one.thickness, 0] : [depth * 0.3, depth * 0.7];
      return {
        shape: 'polygon',
        points: band(Math.max(0, one.from), Math.min(piece.length, one.to), low, high),
        style: { fill: 'timber', stroke: 'timberEdge', width: 0.6 },
        of,
      };
    }),
    { shape: 'dot', centre: corner(weight.cg.x, weight.cg.z), size: 4, style: { fill: 'paper', stroke: 'ink', width: 1.6 }, of },
  ];
  shapes.push({
    shape: 'label',
    at: corner(0, depth / 2),
    text: `${piece.mark} · ${weight.section.designation}`,
    ink: 'steel',
    bold: true,
    large: true,
    sides: ['left', 'below', 'above', 'right'],
    of,
  });
  return shapes;
}

/** Where its slings take a load, over its lowest end. */
const slungAt = ({ section, bent }: PieceWeight): number => section.depth + (bent?.slung ?? 0);

function hookShapes(pose: Pose, along: (p: Vec) => number): Shape[] {
  const { hook, context, craneThere } = pose;
  if (!hook || !craneThere) return [];
  const { crane, pick, piece, weight, seat } = context;
  const u = along(hook.station.hook);
  const line = lineOver(crane, pick.boom, hook.station.radius);
  const shapes: Shape[] = [];
  if (line)
    shapes.push({
      shape: 'line',
      points: [
        { x: u, y: line.tipHeight },
        { x: u, y: hook.height },
      ],
      style: { stroke: 'gear', width: 1.4 },
    });
  shapes.push({
    shape: 'polygon',
    points: upright([u - 0.16, u + 0.16], hook.height, hook.height + 0.5),
    style: { fill: 'gear', stroke: 'gear', width: 1 },
    solid: true,
  });
  if (hook.loaded && !pose.piece && !(weight instanceof Missing) && !(seat instanceof Missing)) {
    // A piece of the structure hangs where it is to be, a little over its seats.
    const over = {
      ...pose,
      piece: { leftEnd: seat.leftEnd, azimuthDeg: seat.azimuthDeg, underside: Math.max(seat.left.level, seat.right.level) + LIFTED, tiltDeg: 0 },
    };
    const spots = [pick.left, piece.length - pick.right].map((x) => onPiece(over, along, x, slungAt(weight)));
    shapes.push(...slingShapes(pose, along, { x: u, y: hook.height }, spots));
  }
  if (hook.loaded && pose.piece && pose.piece.seen === undefined && !(weight instanceof Missing)) {
    const ends = [
      ['left', pick.left],
      ['right', piece.length - pick.right],
    ] as const;
    const spots = ends.map(([, x]) => onPiece(pose, along, x, slungAt(weight)));
    shapes.push(...slingShapes(pose, along, { x: u, y: hook.height }, spots));
    for (const [n, [end]] of ends.entries()) {
      const at = spots[n]!;
      shapes.push({ shape: 'dot', centre: at, size: 4.5, style: { fill: 'ink', stroke: 'paper', width: 1 }, of: { kind: 'pickPoint', id: pick.id, end } });
    }
  }
  return shapes;
}

/** Slings from the hook to where they take the piece, straight or by way of a spreader or lifting beam. */
function slingShapes({ context }: Pose, along: (p: Vec) => number, hook: Vec, spots: readonly Vec[]): Shape[] {
  const { hanging, piece } = context;
  const line = (points: Vec[], width = 1.5): Shape => ({ shape: 'line', points, style: { stroke: 'ink', width } });
  const bar = hanging instanceof Missing || 'impossible' in hanging ? null : hanging.bar;
  if (!bar || hanging instanceof Missing || 'impossible' in hanging) return spots.map((spot) => line([hook, spot]));
  // Seen along its own length a bar is as short as the piece under it.
  const [l, r] = [spots[0]!, spots[1]!];
  const seen = Math.hypot(r.x - l.x, r.y - l.y) / Math.max(piece.length - context.pick.left - context.pick.right, 1e-6);
  const tilt = Math.atan2(r.y - l.y, r.x - l.x);
  const half = { x: (Math.cos(tilt) * seen * bar.length) / 2, y: (Math.sin(tilt) * seen * bar.length) / 2 };
  const middle = { x: hook.x, y: hook.y - (hanging.hookAbovePick - bar.above) };
  const ends = [
    { x: middle.x - half.x, y: middle.y - half.y },
    { x: middle.x + half.x, y: middle.y + half.y },
  ] as const;
  const over = bar.top ? ends.map((end) => line([hook, end])) : [line([hook, middle])];
  return [...over, line([...ends], 4), ...spots.map((spot, n) => line([ends[n]!, spot]))];
}

function measureShapes(plan: Plan, pose: Pose, along: (p: Vec) => number): Shape[] {
  const { units } = plan.job;
  const show = (metres: number) => formatQuantity(metres, 'length', units);
  const { seat, crane, pick, lifted } = pose.context;
  const shapes: Shape[] = [];
  if (!(seat instanceof Missing) && lifted.kind === 'piece') {
    const [l, r] = [along(seat.left.at), along(seat.right.at)];
    const low = Math.min(seat.left.level, seat.right.level) * 0.32;
    if (Math.abs(r - l) > 0.5) shapes.push({ shape: 'dimension', from: { x: l, y: low }, to: { x: r, y: low }, offset: 0, text: show(seat.span), ink: 'ink' });
    const outer = l < r ? seat.left : seat.right;
    shapes.push({
      shape: 'dimension',
      from: { x: along(outer.at), y: 0 },
      to: { x: along(outer.at), y: outer.level },
      offset: 26,
      text: show(outer.level),
      ink: 'ink',
      // On its left a digit would stand behind the post.
      right: true,
    });
  }
  const { hook } = pose;
  const line = hook ? lineOver(crane, pick.boom, hook.station.radius) : null;
  if (hook && line && pose.craneThere && hook.loaded) {
    const u = along(hook.station.hook);
    const highest = line.tipHeight - crane.hookDrop;
    if (highest > hook.height)
      shapes.push({
        shape: 'dimension',
        from: { x: u, y: hook.height },
        to: { x: u, y: highest },
        offset: 24,
        text: `head room ${formatQuantity(highest - hook.height, 'reach', units)}`,
        ink: 'gear',
      });
  }
  return shapes;
}
