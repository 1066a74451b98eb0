import { figureOf, type Line, type Model } from './model';
import { cross, dot, plus, squareTo, times, unit, vectorOf, type Vector } from './vectors';

/** Where a corner of a mapped shape comes to stand. */
export type Placing = (corner: Vector) => Vector;

const scalesOf = (target: Line | null): Vector => {
  const first = figureOf(target?.Scale) ?? 1;
  return [first, figureOf(target?.Scale2) ?? first, figureOf(target?.Scale3) ?? first];
};

/** How much larger a mapped shape is than the one it is mapped from; null when not the same every way. */
export function scaleOf(model: Model, target: unknown): number | null {
  const [x, y, z] = scalesOf(model.line(target));
  return Math.abs(x - y) < 1e-9 * x && Math.abs(x - z) < 1e-9 * x ? x : null;
}

/** IfcCartesianTransformationOperator3D: turned axes, a scale along each, and where the origin goes. */
export function placingOf(model: Model, at: unknown): Placing {
  const target = model.line(at);
  const direction = (field: string) => vectorOf(model.line(target?.[field])?.DirectionRatios);
  const z = unit(direction('Axis3') ?? [0, 0, 1]);
  const x = squareTo(direction('Axis1') ?? [1, 0, 0], z);
  const right = cross(z, x);
  // A second axis against the right hand mirrors the shape.
  const y = dot(direction('Axis2') ?? right, right) < 0 ? times(right, -1) : right;
  const origin = vectorOf(model.line(target?.LocalOrigin)?.Coordinates) ?? [0, 0, 0];
  const [a, b, c] = scalesOf(target);
  return ([u, v, w]) => [times(x, u * a), times(y, v * b), times(z, w * c)].reduce(plus, origin);
}
