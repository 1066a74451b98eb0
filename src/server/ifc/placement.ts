/** A place in the model: turned axes as columns, and where its origin lies, in the model’s own units. */
interface Frame {
  axes: [number[], number[], number[]];
  at: number[];
}

const numbers = (value: unknown): number[] | null => {
  if (!Array.isArray(value)) return null;
  const list = value.map((one: unknown) =>
    typeof one === 'object' && one !== null && 'value' in one ? Number((one as { value: unknown }).value) : Number(one),
  );
  return list.every(Number.isFinite) ? [list[0] ?? 0, list[1] ?? 0, list[2] ?? 0] : null;
};
const unit = (v: number[]): number[] => {
  const l = Math.hypot(...v);
  return l > 0 ? v.map((one) => one / l) : v;
};
const cross = (a: number[], b: number[]): number[] => [a[1]! * b[2]! - a[2]! * b[1]!, a[2]! * b[0]! - a[0]! * b[2]!, a[0]! * b[1]! - a[1]! * b[0]!];
const dot = (a: number[], b: number[]): number => a[0]! * b[0]! + a[1]! * b[1]! + a[2]! * b[2]!;

/** The fields of what a value points at, or of the value itself; nothing for what is neither. */
export type Look = (at: unknown) => Record<string, unknown> | null;

/** IfcAxis2Placement3D: z along Axis, x along RefDirection made square to it, y to suit; x and z of the world when left out. */
function frameOf(placement: Record<string, unknown> | null, look: Look): Frame {
  const ratios = (field: string) => numbers(look(placement?.[field])?.DirectionRatios);
  const z = unit(ratios('Axis') ?? [0, 0, 1]);
  const wanted = ratios('RefDirection') ?? [1, 0, 0];
  const along = dot(wanted, z);
  const x = unit(wanted.map((one, i) => one - along * z[i]!));
  return { axes: [x, cross(z, x), z], at: numbers(look(placement?.Location)?.Coordinates) ?? [0, 0, 0] };
}

/**
 * Where an element’s own origin lies in the model, its placements followed up to the site; null when it has none, or when they
 * stand on one another in a ring. Only the fields of a placement are followed, so that a broken file costs no more than a sound one.
 */
export function originOf(placement: unknown, look: Look): number[] | null {
  let local = look(placement);
  if (!local || !('RelativePlacement' in local)) return null;
  let at = [0, 0, 0];
  const passed = new Set<Record<string, unknown>>();
  while (local) {
    if (passed.has(local)) return null;
    passed.add(local);
    const frame = frameOf(look(local.RelativePlacement), look);
    at = [0, 1, 2].map((i) => frame.at[i]! + frame.axes[0][i]! * at[0]! + frame.axes[1][i]! * at[1]! + frame.axes[2][i]! * at[2]!);
    local = look(local.PlacementRelTo);
  }
  return at;
}
