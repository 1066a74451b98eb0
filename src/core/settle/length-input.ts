import { memberSize } from './member-weight';
import { Missing } from '../verdict/missing';
import type { Opening, Plan } from '../document/schema';

/** What goes into the length to cut. */
export function lengthInput(opening: Opening, plan: Plan, clear: number, clearance: number) {
  const member = plan.members.find((one) => one.id === opening.member);
  const size = member ? memberSize(member) : null;
  const skewed = opening.skewDeg !== null && opening.skewDeg !== 0 && size && !(size instanceof Missing);
  return {
    clear,
    bearingLeft: opening.bearing.left,
    bearingRight: opening.bearing.right,
    clearance,
    ...(skewed ? { skewDeg: opening.skewDeg ?? 0, width: size.width } : {}),
  };
}
