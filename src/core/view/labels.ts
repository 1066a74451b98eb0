import type { Vec } from '../geometry/plane';
import type { Shape, Side } from './draw-list';
import { toScreen, type View } from './view';

export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface PlacedLabel extends Box {
  label: Extract<Shape, { shape: 'label' }>;
  /** text anchor point, on the baseline */
  baseline: number;
}

/** Sizes of the words in the units of the view: pixels on a screen, points on paper. */
export interface LabelMetrics {
  height: number;
  largeHeight: number;
  gap: number;
  widthOf: (text: string, bold: boolean, large: boolean) => number;
}

const LABEL_COST = 6;
/** A word on steel is as bad as a word on a word. */
const SOLID_COST = 5;
/** How thick a solid line counts [px]. */
const BAND = 5;
const OUTSIDE_COST = 14;
const LATER_SIDE_COST = 40;
const SHIFTED_COST = 12;
const BESIDE_COST = 24;
const FURTHER_COST = 60;
/** A label that may be left out is, when more than this of it would be written over. */
const OVERWRITTEN = 0.12;
/** Steel that covers more of one of many than this is across it [px²]. */
const TOUCHED = 1.5;
/** Places no further apart than this are one [px]. */
const ALIKE = 3;
/** What one of many keeps clear on either side [px]. */
const ASIDE = 6;

const overlapArea = (a: Box, b: Box): number =>
  Math.max(0, Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)) * Math.max(0, Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y));

function boxAt(point: Vec, side: Side, width: number, height: number, gap: number): Box {
  switch (side) {
    case 'right':
      return { x: point.x + gap, y: point.y - height / 2, width, height };
    case 'left':
      return { x: point.x - gap - width, y: point.y - height / 2, width, height };
    case 'above':
      return { x: point.x - width / 2, y: point.y - gap - height, width, height };
    case 'below':
      return { x: point.x - width / 2, y: point.y + gap, width, height };
    case 'centre':
      return { x: point.x - width / 2, y: point.y - height / 2, width, height };
  }
}

/** A solid shape as it stands on the drawing, inclined ones too: not the box round it, which of a boom is mostly air. */
interface Solid {
  points: readonly Vec[];
  round: Box;
  /** it is the box round it */
  square: boolean;
}

function solidOf(points: readonly Vec[]): Solid {
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  const round = { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
  const [right, foot] = [x + round.width, y + round.height];
  const corner = (p: Vec) => (p.x === x || p.x === right) && (p.y === y || p.y === foot);
  // From each corner to the next along a side, never across.
  const square = points.length === 4 && points.every((p, i) => corner(p) && (p.x === points[(i + 1) % 4]!.x) !== (p.y === points[(i + 1) % 4]!.y));
  return { points, round, square };
}

function bandOf(from: Vec, to: Vec): Vec[] {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const off = { x: ((to.y - from.y) / length) * (BAND / 2), y: (-(to.x - from.x) / length) * (BAND / 2) };
  return [
    { x: from.x + off.x, y: from.y + off.y },
    { x: to.x + off.x, y: to.y + off.y },
    { x: to.x - off.x, y: to.y - off.y },
    { x: from.x - off.x, y: from.y - off.y },
  ];
}

/** Area of a box that a solid shape covers: the shape cut to the box side by side, and measured. */
export function coveredArea(box: Box, { points, round, square }: Omit<Solid, 'square'> & { square?: boolean }): number {
  const within = overlapArea(box, round);
  if (within === 0 || square) return within;
  const sides: readonly (readonly [(p: Vec) => number, (a: Vec, b: Vec) => Vec])[] = [
    [(p) => p.x - box.x, (a, b) => ({ x: box.x, y: a.y + ((b.y - a.y) * (box.x - a.x)) / (b.x - a.x) })],
    [(p) => box.x + box.width - p.x, (a, b) => ({ x: box.x + box.width, y: a.y + ((b.y - a.y) * (box.x + box.width - a.x)) / (b.x - a.x) })],
    [(p) => p.y - box.y, (a, b) => ({ y: box.y, x: a.x + ((b.x - a.x) * (box.y - a.y)) / (b.y - a.y) })],
    [(p) => box.y + box.height - p.y, (a, b) => ({ y: box.y + box.height, x: a.x + ((b.x - a.x) * (box.y + box.height - a.y)) / (b.y - a.y) })],
  ];
  let left = [...points];
  for (const [inside, cross] of sides) {
    const was = left;
    left = was.flatMap((to, i) => {
      const from = was[(i + was.length - 1) % was.length]!;
      const [a, b] = [inside(from), inside(to)];
      if (a >= 0 !== b >= 0) return b >= 0 ? [cross(from, to), to] : [cross(from, to)];
      return b >= 0 ? [to] : [];
    });
  }
  return (
    Math.abs(left.reduce((sum, to, i) => sum + left[(i + left.length - 1) % left.length]!.x * to.y - to.x * left[(i + left.length - 1) % left.length]!.y, 0)) /
    2
  );
}

/** The place beside the point, then the same slid along its side, then one line further off. */
function placesAt(point: Vec, side: Side, width: number, height: number, gap: number, near: boolean): { box: Box; cost: number }[] {
  const box = boxAt(point, side, width, height, gap);
  if (side === 'centre') return [{ box, cost: 0 }];
  const flat = side === 'above' || side === 'below';
  const slid = (by: number): Box => (flat ? { ...box, x: box.x + by * width } : { ...box, y: box.y + by * height });
  const sign = side === 'above' || side === 'left' ? -1 : 1;
  const further = (one: Box): Box => (flat ? { ...one, y: one.y + sign * (height + 2) } : one);
  return [
    { box, cost: 0 },
    ...[-0.42, 0.42].map((by) => ({ box: slid(by), cost: SHIFTED_COST })),
    // Wholly to one side of what stands under or over the point.
    ...(flat ? [point.x + gap, point.x - gap - width].map((x) => ({ box: { ...box, x }, cost: BESIDE_COST })) : []),
    ...(flat && !near
      ? [0, -0.42, 0.42].flatMap((by) => [
          { box: further(slid(by)), cost: FURTHER_COST },
          { box: further(further(slid(by))), cost: 2 * FURTHER_COST },
        ])
      : []),
  ];
}

/** What a label must not cover besides other labels: dimension figures and their lines, and dots. */
function markBoxes(shape: Shape, view: View, { widthOf, height }: LabelMetrics): Box[] {
  if (shape.shape === 'dot') {
    const at = toScreen(view, shape.centre);
    return [{ x: at.x - shape.size - 2, y: at.y - shape.size - 2, width: 2 * shape.size + 4, height: 2 * shape.size + 4 }];
  }
  if (shape.shape !== 'dimension') return [];
  const line = dimensionLine(shape, view);
  if (!line) return [];
  const width = widthOf(shape.text, true, false);
  const { text, from, to } = line;
  const words: Box = { x: text.x - { start: 0, middle: width / 2, end: width }[line.anchor], y: text.y - height * 0.86, width, height: height * 1.07 };
  const rule: Box = { x: Math.min(from.x, to.x) - 3, y: Math.min(from.y, to.y) - 3, width: Math.abs(from.x - to.x) + 6, height: Math.abs(from.y - to.y) + 6 };
  return [words, rule];
}

export interface DimensionLine {
  from: Vec;
  to: Vec;
  /** unit normal on screen, towards which `offset` moves the line */
  normal: Vec;
  upright: boolean;
  /** where the figure stands, and which point of it that is */
  text: Vec;
  anchor: 'start' | 'middle' | 'end';
}

/** Where a dimension stands on screen; null when it is too short to draw. */
export function dimensionLine(shape: Extract<Shape, { shape: 'dimension' }>, view: View): DimensionLine | null {
  const a = toScreen(view, shape.from);
  const b = toScreen(view, shape.to);
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length < 8) return null;
  // Screen y runs down: this normal is to the right of the way from → to on paper.
  const normal = { x: -(b.y - a.y) / length, y: (b.x - a.x) / length };
  const shift = (p: Vec) => ({ x: p.x + normal.x * shape.offset, y: p.y + normal.y * shape.offset });
  const [from, to] = [shift(a), shift(b)];
  const upright = Math.abs(normal.x) > 0.7;
  const anchor = !upright ? 'middle' : shape.right ? 'start' : 'end';
  const beside = { start: 6, middle: 0, end: -6 }[anchor];
  // High up on its right, where no dimension across stands.
  const along = anchor === 'start' ? 0.75 : 0.5;
  return { from, to, normal, upright, anchor, text: { x: (from.x + to.x) / 2 + beside, y: from.y + (to.y - from.y) * along + (upright ? 4 : -4) } };
}

/** Side of a field of the drawing [px]; and how far beyond its edge things are still looked at. */
const FIELD = 32;
const BEYOND = 200;

/** Things by the fields of the drawing they lie in, so that a word looks only at what is near it. */
class Fields<T> {
  private readonly fields = new Map<number, { one: T; asked: number }[]>();
  private asked = 0;

  constructor(private readonly view: { width: number; height: number }) {}

  private range(from: number, to: number, most: number): [number, number] {
    return [Math.floor(Math.max(from, -BEYOND) / FIELD), Math.floor(Math.min(to, most + BEYOND) / FIELD)];
  }

  private each({ x, y, width, height }: Box, visit: (field: number) => void): void {
    const [left, right] = this.range(x, x + width, this.view.width);
    const [top, foot] = this.range(y, y + height, this.view.height);
    for (let row = top; row <= foot; row += 1) for (let column = left; column <= right; column += 1) visit(row * 4096 + column);
  }

  put(one: T, box: Box): void {
    const entry = { one, asked: 0 };
    this.each(box, (field) => {
      const there = this.fields.get(field);
      if (there) there.push(entry);
      else this.fields.set(field, [entry]);
    });
  }

  near(box: Box): T[] {
    // What lies in several fields is found once.
    this.asked += 1;
    const found: T[] = [];
    this.each(box, (field) => {
      for (const entry of this.fields.get(field) ?? []) {
        if (entry.asked === this.asked) continue;
        entry.asked = this.asked;
        found.push(entry.one);
      }
    });
    return found;
  }
}

/** Each label where it covers least of the other labels and of the solid shapes; bold ones choose first, then the first in the list. */
export function placeLabels(shapes: readonly Shape[], view: View, metrics: LabelMetrics, reserved: readonly Box[] = []): PlacedLabel[] {
  const solids = new Fields<Solid>(view);
  const words = new Fields<Box>(view);
  for (const shape of shapes) {
    if (!('solid' in shape) || !shape.solid || (shape.shape !== 'polygon' && shape.shape !== 'line')) continue;
    const points = shape.points.map((p) => toScreen(view, p));
    const found = shape.shape === 'line' ? points.slice(1).map((to, i) => solidOf(bandOf(points[i]!, to))) : points.length < 3 ? [] : [solidOf(points)];
    for (const one of found) solids.put(one, one.round);
  }
  for (const box of [...reserved, ...shapes.flatMap((shape) => markBoxes(shape, view, metrics))]) words.put(box, box);
  const placed: PlacedLabel[] = [];
  const left = new Set<string>();
  const frame: Box = { x: 2, y: 2, width: view.width - 4, height: view.height - 4 };
  const labels = shapes.filter((shape) => shape.shape === 'label');
  for (const label of [...labels.filter((one) => one.bold), ...labels.filter((one) => !one.bold)]) {
    const height = label.large ? metrics.largeHeight : metrics.height;
    const width = metrics.widthOf(label.text, label.bold ?? false, label.large ?? false);
    const point = toScreen(view, label.at);
    const mayGo = (label.optional ?? false) || (label.near ?? false);
    const spot = mayGo ? [point.x / ALIKE, point.y / ALIKE, width / (4 * ALIKE), height].map(Math.round).join() + label.sides.join() : null;
    // Where one such word had no room, the next of its length has none: of many pieces behind one another one is looked at.
    if (spot !== null && left.has(spot)) continue;
    let best: { box: Box; cost: number } | null = null;
    const places = label.sides.flatMap((side, rank) =>
      placesAt(point, side, width, height, metrics.gap, label.near ?? false).map((place) => ({ ...place, cost: place.cost + rank * LATER_SIDE_COST })),
    );
    for (const { box, cost: from } of places) {
      let cost = from + (width * height - overlapArea(box, frame)) * OUTSIDE_COST;
      // As soon as it is dearer than another it is not looked at further.
      const most: number = best?.cost ?? Infinity;
      if (cost >= most) continue;
      const others = words.near(box);
      const steel = solids.near(box);
      for (let i = 0; i < others.length && cost < most; i += 1) cost += LABEL_COST * overlapArea(box, others[i]!);
      for (let i = 0; i < steel.length && cost < most; i += 1) cost += SOLID_COST * coveredArea(box, steel[i]!);
      if (cost < most) best = { box, cost };
    }
    // A word that would stand wholly outside the drawing is not written.
    if (!best || overlapArea(best.box, frame) === 0) continue;
    const { box } = best;
    // One of many keeps a little off its neighbour, so that two marks do not read as one.
    const room = label.near ? { ...box, x: box.x - ASIDE, width: box.width + 2 * ASIDE } : box;
    const over = words.near(room).reduce((sum, other) => sum + overlapArea(room, other), 0);
    const across = (): boolean => (label.near ?? false) && solids.near(box).some((solid) => coveredArea(box, solid) > TOUCHED);
    // However thin the steel is drawn, one of many is not written across it.
    if (spot !== null && (over > OVERWRITTEN * width * height || across())) {
      left.add(spot);
      continue;
    }
    const word = { ...box, label, baseline: box.y + height * 0.76 };
    placed.push(word);
    words.put(word, word);
  }
  return placed;
}
