import { solveContinuous } from '../beams/continuous';

export interface BeamOnSprings {
  left: number;
  right: number;
  /** what each spring takes, by its place */
  springs: Map<number, number>;
  deflection: { x: number; down: number }[];
}

/** Within this of a seat a load goes straight into the seat. */
const AT_SEAT = 5e-3;

/** The new beam on its two seats with springs between them, under forces along it; null when it does not stand. */
export function beamOnSprings(
  { span, stiffness }: { span: number; stiffness: number },
  springs: ReadonlyMap<number, number>,
  forces: ReadonlyMap<number, number>,
): BeamOnSprings | null {
  const inner = [...springs].filter(([x]) => x > AT_SEAT && x < span - AT_SEAT).sort((a, b) => a[0] - b[0]);
  const solved = solveContinuous({
    length: span,
    stiffness,
    load: 0,
    supports: [{ x: 0 }, ...inner.map(([x, spring]) => ({ x, spring })), { x: span }],
    // Nodes at the middle and the quarters too, so that the sag is read where it is largest.
    pointLoads: [...[...forces].map(([x, force]) => ({ x, force })), ...[0.25, 0.5, 0.75].map((share) => ({ x: share * span, force: 0 }))],
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
