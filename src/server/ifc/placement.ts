import { cross, plus, squareTo, times, unit, vectorOf, type Vector } from './vectors';

/** A place in the model: turned axes, and where its origin lies, in the model’s own units. */
export interface Frame {
  axes: [Vector, Vector, Vector];
  at: Vector;
}

/** The fields of what a value points at, or of the value itself; nothing for what is neither. */
export type Look = (at: unknown) => Record<string, unknown> | null;

/** IfcAxis2Placement3D: z along Axis, x along RefDirection made square to it, y to suit; x and z of the world when left out. */
export function frameOf(placement: Record<string, unknown> | null, look: Look): Frame {
  const ratios = (field: string) => vectorOf(look(placement?.[field])?.DirectionRatios);
  const z = unit(ratios('Axis') ?? [0, 0, 1]);
  const x = squareTo(ratios('RefDirection') ?? [1, 0, 0], z);
  return { axes: [x, cross(z, x), z], at: vectorOf(look(placement?.Location)?.Coordinates) ?? [0, 0, 0] };
}

/** How an element is turned: the axes of each placement up to the site, rounded. Empty when it has none. */
export function axesOf(placement: unknown, look: Look): string[] {
  const found: string[] = [];
  const passed = new Set<Record<string, unknown>>();
  for (let local = look(placement); local && 'RelativePlacement' in local && !passed.has(local); local = look(local.PlacementRelTo)) {
    passed.add(local);
    const { axes } = frameOf(look(local.RelativePlacement), look);
    found.push(axes.map((axis) => axis.map((one) => one.toFixed(4)).join()).join(' '));
  }
  return found;
}

/**
 * Where an element’s own origin lies in the model, its placements followed up to the site; null when it has none, or when they
 * stand on one another in a ring. Only the fields of a placement are followed, so that a broken file costs no more than a sound one.
 */
export function originOf(placement: unknown, look: Look): Vector | null {
  const frames = framesOf(placement, look);
  return frames && frames.reduce<Vector>((at, { axes, at: origin }) => axes.map((axis, i) => times(axis, at[i] ?? 0)).reduce(plus, origin), [0, 0, 0]);
}

/** The frames an element stands in, the innermost first; null when it has none, or when they stand on one another in a ring. */
export function framesOf(placement: unknown, look: Look): Frame[] | null {
  let local = look(placement);
  if (!local || !('RelativePlacement' in local)) return null;
  const frames: Frame[] = [];
  const passed = new Set<Record<string, unknown>>();
  while (local) {
    if (passed.has(local)) return null;
    passed.add(local);
    frames.push(frameOf(look(local.RelativePlacement), look));
    local = look(local.PlacementRelTo);
  }
  return frames;
}
