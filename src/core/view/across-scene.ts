import type { Vec } from '../geometry/plane';
import { clearOf } from '../settle/settle';
import { memberSize } from '../settle/member-weight';
import { Missing } from '../verdict/missing';
import type { ShoreRow, ShoreWall, Storey } from '../document/schema';
import { lineLoads } from '../settle/shoring';
import { needlePlaces, rowAt, runsThrough, shoredOpening, wallAt, type Side } from '../settle/shore-layout';
import { studLayout } from '../settle/shore-layout';
import { rulesOf } from '../rules/rule-sets';
import { formatQuantity, type QuantityKind } from '../units';
import { extentOf, type Drawing, type Shape } from './draw-list';
import { lookOf, standingOf, standsAs, type ShoreMoment } from './shore-moment';
import type { LinePlan } from '../document/views';

/** How far joists that nobody has measured are drawn. */
const UNKNOWN_SPAN = 3;

/**
 * What leans on what: the house cut across the line, looking along it. Floors and roofs with their spans and loads, what stands on
 * the line, the shores at their distances with what each carries, and what comes down on the line at each storey.
 */
export function acrossScene(moment: ShoreMoment): Drawing {
  const plan = moment.line;
  const { storeys } = plan.shoring;
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const loads = lineLoads(plan, rules);
  const shapes: Shape[] = [];
  const write = (value: number, kind: QuantityKind): string => formatQuantity(value, kind, plan.job.units);
  let floor = 0;
  storeys.forEach((storey, i) => {
    const height = storey.height ?? 2.5;
    const head = floor + height;
    const deep = storey.joists.depth ?? 0.2;
    shapes.push(...lineShapes(storey, i, floor, head, moment));
    for (const side of ['left', 'right'] as const) {
      shapes.push(...floorShapes(storey, side, head, deep, write));
      const wall = wallAt(plan, storey, side);
      if (wall) shapes.push(...wallAcross(plan, wall, floor, head, moment, write));
    }
    const row = rowAt(plan, storey);
    if (row) shapes.push(...rowAcross(row, floor, moment, write));
    const load = loads.get(storey.id);
    shapes.push({
      shape: 'label',
      // Clear of the shore on that side, under the floor it speaks of.
      at: { x: (wallAt(plan, storey, 'right')?.setback ?? rowAt(plan, storey)?.arms.right ?? 0.1) + 0.15, y: head - 0.3 },
      text:
        !load || load instanceof Missing ? `${storey.name}: what comes down is not known` : `${write(load.dead + load.live, 'forcePerLength')} onto the line`,
      ink: !load || load instanceof Missing ? 'stop' : 'ink',
      bold: true,
      sides: ['right'],
    });
    floor = head + deep;
  });
  shapes.push(...pieceAcross(plan, storeys[0] ?? null, moment));
  const points = shapes.flatMap((shape) => (shape.shape === 'polygon' || shape.shape === 'line' ? shape.points : []));
  const extent = extentOf(points, 0.35);
  // Room over the roof for what is written there.
  extent.max.y += 0.35;
  shapes.unshift({
    shape: 'line',
    points: [
      { x: extent.min.x - 40, y: 0 },
      { x: extent.max.x + 40, y: 0 },
    ],
    style: { stroke: 'ground', width: 1.6 },
  });
  return { shapes, extent };
}

const out = (side: Side): number => (side === 'left' ? -1 : 1);
const box = (x: number, width: number, low: number, high: number): Vec[] => [
  { x: x - width / 2, y: low },
  { x: x + width / 2, y: low },
  { x: x + width / 2, y: high },
  { x: x - width / 2, y: high },
];

/** An arrow down onto a point. */
const arrow = (x: number, from: number, to: number): Shape[] => [
  {
    shape: 'line',
    points: [
      { x, y: from },
      { x, y: to },
    ],
    style: { stroke: 'ink', width: 1.4 },
  },
  {
    shape: 'polygon',
    points: [
      { x, y: to },
      { x: x - 0.05, y: to + 0.13 },
      { x: x + 0.05, y: to + 0.13 },
    ],
    style: { fill: 'ink' },
  },
];

/** What stands on the line in a storey: the wall above stays, the lowest is what goes. */
function lineShapes(storey: Storey, index: number, floor: number, head: number, { state }: ShoreMoment): Shape[] {
  const label = (text: string, ink: 'pencil' | 'stop'): Shape => ({ shape: 'label', at: { x: 0, y: (floor + head) / 2 }, text, ink, sides: ['right', 'left'] });
  if (index === 0)
    return state.open
      ? []
      : [
          { shape: 'polygon', points: box(0, 0.2, floor, head), style: { fill: 'faint', stroke: 'pencil', width: 1, hatch: true }, solid: true },
          label('to be taken out', 'pencil'),
        ];
  if (storey.bears === 'nothing') return [];
  if (storey.bears === null) return [label('stands a wall or post here?', 'stop')];
  return [
    { shape: 'polygon', points: box(0, 0.16, floor, head), style: { fill: 'faint', stroke: 'pencil', width: 1.2, hatch: true }, solid: true },
    ...arrow(0, head - 0.1, floor + 0.02),
  ];
}

/** The floor or roof over a storey on one side: its joists, where they are cut, and its far bearing. */
function floorShapes(storey: Storey, side: Side, head: number, deep: number, write: (value: number, kind: QuantityKind) => string): Shape[] {
  const { span, dead, live } = storey[side];
  if (span === 0) return [];
  const long = span ?? UNKNOWN_SPAN;
  const far = out(side) * long;
  const near = runsThrough(storey) ? 0 : out(side) * 0.02;
  const known = span !== null && dead !== null;
  return [
    {
      shape: 'polygon',
      points: [
        { x: near, y: head },
        { x: far, y: head },
        { x: far, y: head + deep },
        { x: near, y: head + deep },
      ],
      style: known ? { fill: 'timber', stroke: 'timberEdge', width: 1 } : { stroke: 'stop', width: 1.4, dash: 'dash' },
      solid: true,
    },
    {
      shape: 'polygon',
      points: box(far + out(side) * 0.1, 0.2, head - 0.5, head),
      style: { fill: 'faint', stroke: 'pencil', width: 1, hatch: true },
      solid: true,
    },
    {
      shape: 'label',
      at: { x: far * 0.55, y: head + deep },
      text: [
        span === null ? 'span not known' : write(span, 'length'),
        dead === null ? 'load not known' : `${write(dead, 'pressure')} dead, ${live === null ? 'people at work' : `${write(live, 'pressure')} live`}`,
      ].join(' · '),
      ink: known ? 'pencil' : 'stop',
      sides: ['above'],
    },
  ];
}

function wallAcross(
  plan: LinePlan,
  wall: ShoreWall,
  floor: number,
  head: number,
  moment: ShoreMoment,
  write: (value: number, kind: QuantityKind) => string,
): Shape[] {
  const x = out(wall.side) * wall.setback;
  const layout = studLayout(plan, wall);
  const states = layout instanceof Missing ? [] : layout.map(({ number }) => standingOf(moment, wall.id, number));
  const worst = states.reduce((most, one) => ((one.load ?? -1) > (most?.load ?? -1) ? one : most), states[0]);
  const style = worst ? lookOf(worst) : lookOf({ now: 'carries', verdict: 'missing', load: null });
  const of = { kind: 'shore' as const, id: wall.id };
  const foot = wall.plate.thickness * Math.ceil(wall.plate.count / 2);
  const cap = wall.plate.thickness * Math.floor(wall.plate.count / 2);
  return [
    { shape: 'polygon', points: box(x, wall.stud.depth, floor + foot, head - cap), style, of, solid: true },
    { shape: 'polygon', points: box(x, wall.plate.width * 1.3, floor, floor + foot), style, of },
    { shape: 'polygon', points: box(x, wall.plate.width * 1.3, head - cap, head), style, of },
    {
      shape: 'label',
      at: { x, y: (floor + head) / 2 },
      text: standsAs(wall.name, states, (load) => `${write(load, 'force')} a stud`),
      ink: 'timberEdge',
      bold: true,
      sides: [wall.side],
      of,
    },
    {
      shape: 'label',
      at: { x, y: (floor + head) / 2 - 0.34 },
      text: `${write(wall.setback, 'length')} from the line`,
      ink: 'timberEdge',
      sides: [wall.side],
      of,
    },
  ];
}

function rowAcross(row: ShoreRow, floor: number, moment: ShoreMoment, write: (value: number, kind: QuantityKind) => string): Shape[] {
  const states = needlePlaces(row).map((_, i) => standingOf(moment, row.id, i + 1));
  const worst = states.reduce((most, one) => ((one.load ?? -1) > (most?.load ?? -1) ? one : most), states[0]);
  const style = worst ? lookOf(worst) : lookOf({ now: 'carries', verdict: 'missing', load: null });
  const of = { kind: 'shore' as const, id: row.id };
  const high = floor + (row.prop.length ?? (row.prop.kind === 'steel' ? row.prop.maxLength : 2.4));
  const { left, right } = row.arms;
  return [
    ...[-left, right].map((x): Shape => ({ shape: 'polygon', points: box(x, 0.08, floor + 0.05, high), style, of, solid: true })),
    ...[-left, right].map((x): Shape => ({
      shape: 'polygon',
      points: box(x, row.pad.length, floor, floor + 0.05),
      style: { fill: 'timber', stroke: 'timberEdge', width: 1 },
      of,
    })),
    {
      shape: 'polygon',
      points: [
        { x: -left - 0.15, y: high },
        { x: right + 0.15, y: high },
        { x: right + 0.15, y: high + 0.15 },
        { x: -left - 0.15, y: high + 0.15 },
      ],
      style: row.needle.kind === 'steel' ? { fill: 'steel', stroke: 'steelEdge', width: 1 } : { fill: 'timber', stroke: 'timberEdge', width: 1 },
      of,
      solid: true,
    },
    {
      shape: 'label',
      at: { x: right, y: (floor + high) / 2 },
      text: standsAs(row.name, states, (load) => `${write(load, 'force')} a needle`),
      ink: 'timberEdge',
      bold: true,
      sides: ['right', 'left'],
      of,
    },
  ];
}

/** The new piece in its place, its own shape. */
function pieceAcross(plan: LinePlan, lowest: Storey | null, { memberIn }: ShoreMoment): Shape[] {
  const opening = shoredOpening(plan);
  const member = plan.members.find((one) => one.id === opening?.member);
  const size = member ? memberSize(member) : null;
  if (!lowest || !opening || clearOf(opening) === null || !member || !size || size instanceof Missing || !size.section) return [];
  const seats = plan.bearings.filter(({ id }) => id === opening.left || id === opening.right);
  const low = seats.length > 0 ? seats.reduce((sum, one) => sum + one.level, 0) / seats.length : (lowest.height ?? 2.5) - size.depth;
  const { width, depth, flange, web } = size.section;
  const half = width / 2;
  const thin = web / 2;
  const outline: Vec[] = [
    { x: -half, y: low },
    { x: half, y: low },
    { x: half, y: low + flange },
    { x: thin, y: low + flange },
    { x: thin, y: low + depth - flange },
    { x: half, y: low + depth - flange },
    { x: half, y: low + depth },
    { x: -half, y: low + depth },
    { x: -half, y: low + depth - flange },
    { x: -thin, y: low + depth - flange },
    { x: -thin, y: low + flange },
    { x: -half, y: low + flange },
  ];
  return [
    {
      shape: 'polygon',
      points: outline,
      style: memberIn ? { fill: 'steel', stroke: 'steelEdge', width: 1.2 } : { stroke: 'steel', width: 1.2, dash: 'dash' },
      of: { kind: 'opening', id: opening.id },
      solid: true,
    },
    { shape: 'label', at: { x: 0, y: low }, text: memberIn ? member.mark : `${member.mark}, not in yet`, ink: 'steel', bold: true, sides: ['below', 'right'] },
  ];
}
