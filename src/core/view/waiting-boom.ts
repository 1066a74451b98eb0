import { lineOver } from '../cranes/boom-geometry';
import { add, direction, scale, type Vec } from '../geometry/plane';
import type { PickContext } from '../checks/context';

/** The boom of a crane that waits while another lifts, from its foot to its tip; null: how it waits is not said. */
export function waitingBoom({ stand, crane, pick }: PickContext): { foot: Vec & { z: number }; tip: Vec & { z: number } } | null {
  const { boom = null, bearingDeg = null, radius = null } = stand.waits ?? {};
  if (bearingDeg === null || radius === null || crane.tower) return null;
  const line = lineOver(crane, boom ?? pick.boom, radius);
  const out = direction(bearingDeg);
  return (
    line && {
      foot: { ...add(stand.at, scale(out, line.pivot.x)), z: line.pivot.z },
      tip: { ...add(stand.at, scale(out, radius)), z: line.tipHeight },
    }
  );
}
