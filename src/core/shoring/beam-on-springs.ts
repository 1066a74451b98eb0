import { solveContinuous, type Bent } from '../beams/continuous';

export interface BeamOnSprings {
  left: number;
  right: number;
  /** what each spring takes, by its place */
  springs: Map<number, number>;
  /** at its ends, at every place asked for and at every spring and force; a cubic between them */
  deflection: Bent[];
}

/** Within this of a seat a load goes straight into the seat. */
const AT_SEAT = 5e-3;

/**
 * The new beam on its two seats with springs between them, under forces along it; null when it does not stand. Its shape is told at
 * `places` too, so that the shapes of several steps can be added place by place.
 */
export function beamOnSprings(
  { span, stiffness }: { span: number; stiffness: number },
  springs: ReadonlyMap<number, number>,
  forces: ReadonlyMap<number, number>,
  places: readonly number[],
): BeamOnSprings | null {
  const inner = [...springs].filter(([x]) => x > AT_SEAT && x < span - AT_SEAT).sort((a, b) => a[0] - b[0]);
  const solved = solveContinuous({
    length: span,
    stiffness,
    load: 0,
    supports: [{ x: 0 }, ...inner.map(([x, spring]) => ({ x, spring })), { x: span }],
    pointLoads: [...[...forces].map(([x, force]) => ({ x, force })), ...places.map((x) => ({ x, force: 0 }))],
    upliftFree: false,
  });
  if (!solved.stable) return null;
  const { reactions, deflection } = solved;
  return {
    left: reactions[0] ?? 0,
    right: reactions[reactions.length - 1] ?? 0,
    springs: new Map(inner.map(([x], n) => [x, reactions[n + 1] ?? 0])),
    deflection,
  };
}
