import { extentOf } from './extent';
import { placingOf } from './mapping';
import { figureOf, listOf, textOf, type Line, type Model } from './model';
import { curvePoints } from './curve';
import { frameOf, framesOf, type Frame } from './placement';
import { cross, dot, plus, squareTo, times, unit, vectorOf, type Vector } from './vectors';

/** Where a piece runs in the model’s world, in metres, and the box round it. */
export interface Axis {
  from: Vector;
  to: Vector;
  /** square to the axis and to each other: along the depth and along the width of its box */
  sides: [Vector, Vector];
  /** half of the box along each side, and how far its middle lies off the axis */
  half: [number, number];
  off: [number, number];
  /** how it was come by: the model’s own line, its extrusion, or a guess from the shape */
  by: 'axis' | 'extrusion' | 'shape';
  /** by how much the body ends elsewhere than the model’s own line, in metres; 0 where it does not */
  differs: number;
}

const minus = (a: Vector, b: Vector): Vector => plus(a, times(b, -1));
const length = (a: Vector): number => Math.hypot(...a);
/** A line shorter than this has no direction [m]. */
const SHORT = 1e-3;

const along = ({ axes, at }: Frame, [x, y, z]: Vector): Vector => [times(axes[0], x), times(axes[1], y), times(axes[2], z)].reduce(plus, at);

/** Places and turns a corner of an element’s own shape into the world, in the model’s units; null: it has no place, or one in a ring. */
function toWorld(model: Model, element: Line): ((corner: Vector) => Vector) | null {
  const frames = framesOf(element.ObjectPlacement, (at) => model.line(at));
  return frames && ((corner) => frames.reduce((at, frame) => along(frame, at), corner));
}

interface Swept {
  from: Vector;
  to: Vector;
  side: Vector;
}

/** Two ends of the extrusion a body is made of, in the element’s own frame, seen through its maps. Of a cut piece the whole before the cut. */
function extrusionOf(model: Model, item: Line | null): Swept | null {
  const through: ((corner: Vector) => Vector)[] = [];
  let solid = item;
  for (let deep = 0; solid && deep < 32; deep += 1) {
    if (solid.SweptArea) {
      const depth = figureOf(solid.Depth);
      const direction = vectorOf(model.line(solid.ExtrudedDirection)?.DirectionRatios) ?? [0, 0, 1];
      if (depth === null || length(direction) === 0) return null;
      const position = frameOf(model.line(solid.Position), (at) => model.line(at));
      const seen = (corner: Vector) => through.reduce((at, placing) => placing(at), along(position, corner));
      const area = frameOf2(model, model.line(solid.SweptArea)?.Position);
      const start = seen([0, 0, 0]);
      return { from: start, to: seen(times(unit(direction), depth)), side: minus(seen(area), start) };
    }
    if (solid.MappingSource) {
      through.unshift(placingOf(model, solid.MappingTarget));
      solid = model.line(listOf(model.line(model.line(solid.MappingSource)?.MappedRepresentation)?.Items)[0]);
    } else if (solid.FirstOperand) solid = model.line(solid.FirstOperand);
    else return null;
  }
  return null;
}

/** Upwards in a profile as it is turned in its plane: IfcAxis2Placement2D. */
function frameOf2(model: Model, at: unknown): Vector {
  const turned = vectorOf(model.line(model.line(at)?.RefDirection)?.DirectionRatios) ?? [1, 0, 0];
  return [-turned[1], turned[0], 0];
}

const representations = (model: Model, element: Line, kind: RegExp): Line[] =>
  model.lines(model.line(element.Representation)?.Representations).filter((one) => kind.test(textOf(one.RepresentationIdentifier)));

/** The model’s own line of an element: two ends, straight. */
function drawnAxis(model: Model, element: Line): [Vector, Vector] | null {
  for (const one of representations(model, element, /^axis$/i))
    for (const item of listOf(one.Items)) {
      const points = curvePoints(model, item).map(({ x, y, z }): Vector => [x, y, z]);
      const [first, last] = [points[0], points.at(-1)];
      if (!first || !last || length(minus(last, first)) === 0) continue;
      const way = unit(minus(last, first));
      const bowed = points.some((point) => length(minus(minus(point, first), times(way, dot(minus(point, first), way)))) > 1e-3 * length(minus(last, first)));
      return bowed ? null : [first, last];
    }
  return null;
}

/**
 * The axis of a piece: the model’s own line, else the line of its extrusion, else the longest direction of its shape. Where the body
 * is drawn, it ends where the body ends. `corners` are those of its mesh, in metres in the world.
 */
export function axisOf(model: Model, element: Line, corners: readonly Vector[], metres: number): Axis | null {
  const world = toWorld(model, element);
  if (!world) return null;
  const place = (corner: Vector): Vector => times(world(corner), metres);
  const swept = representations(model, element, /^(body)?$/i)
    .flatMap((one) => listOf(one.Items))
    .map((item) => extrusionOf(model, model.line(item)))
    .find((one) => one !== null);
  const drawn = drawnAxis(model, element);
  const own: [Vector, Vector] | null = drawn ? [place(drawn[0]), place(drawn[1])] : swept ? [place(swept.from), place(swept.to)] : null;
  const extent = own === null ? extentOf(corners) : null;
  const way = own ? minus(own[1], own[0]) : extent?.axis;
  if (!way || length(way) < SHORT) return null;
  const u = unit(way);
  const up = swept ? minus(place(plus(swept.from, swept.side)), place(swept.from)) : (extent?.side ?? ([0, 0, 1] as Vector));
  const v = length(squareOff(up, u)) > 1e-9 ? squareTo(up, u) : squareTo(Math.abs(u[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0], u);
  const sides: [Vector, Vector] = [v, cross(u, v)];
  const start = own ? own[0] : corners[0]!;
  if (corners.length < 4) return own && { from: own[0], to: own[1], sides, half: [0, 0], off: [0, 0], by: drawn ? 'axis' : 'extrusion', differs: 0 };
  const range = (side: Vector): [number, number] => {
    let [low, high] = [Infinity, -Infinity];
    for (const one of corners) {
      const at = dot(minus(one, start), side);
      low = Math.min(low, at);
      high = Math.max(high, at);
    }
    return [low, high];
  };
  const [low, high] = range(u);
  const [deep, wide] = [range(sides[0]), range(sides[1])];
  const half: [number, number] = [(deep[1] - deep[0]) / 2, (wide[1] - wide[0]) / 2];
  const middle: [number, number] = [(deep[1] + deep[0]) / 2, (wide[1] + wide[0]) / 2];
  const box = { sides, half };
  if (drawn && own) {
    const differs = Math.max(Math.abs(low), Math.abs(high - length(way)));
    return { ...box, from: own[0], to: own[1], off: middle, by: 'axis', differs: differs > 0.02 ? differs : 0 };
  }
  // A profile is drawn about the middle of its box; where it is not, the axis runs there.
  const base = plus(start, plus(times(sides[0], middle[0]), times(sides[1], middle[1])));
  return { ...box, from: plus(base, times(u, low)), to: plus(base, times(u, high)), off: [0, 0], by: own ? 'extrusion' : 'shape', differs: 0 };
}

const squareOff = (a: Vector, u: Vector): Vector => minus(a, times(u, dot(a, u)));
