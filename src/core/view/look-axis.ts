import { direction, scale, sub, type Vec } from '../geometry/plane';
import type { SettledPlan } from '../settle/settle';
import { placeOf } from '../document/place';
import type { Look } from './elevation-scene';
import type { Pose } from './moment-pose';

/** Along the boom that has something in hand, or along the longest thing that spans: a piece, an opening, a piece of the structure. */
export function lookAxis(plan: SettledPlan, poses: readonly Pose[], look: Look): Vec {
  const swings = poses.filter((pose) => pose.hook && !pose.pieceOnly);
  const boom = swings.find((pose) => pose.craneThere && pose.hook!.loaded) ?? swings.find((pose) => pose.craneThere) ?? swings[0];
  if (look === 'boom' && boom?.hook) return direction(boom.hook.station.bearingDeg);
  let longest = { length: 0, along: { x: 1, y: 0 } };
  for (const set of [...plan.pieces.map(({ seat }) => seat), ...plan.survey.openings]) {
    const left = plan.bearings.find((one) => one.id === set.left);
    const right = plan.bearings.find((one) => one.id === set.right);
    if (!left || !right) continue;
    const across = sub(right.at, left.at);
    const length = Math.hypot(across.x, across.y);
    if (length > longest.length) longest = { length, along: scale(across, 1 / length) };
  }
  for (const beam of plan.structure.pieces) {
    const place = placeOf(beam);
    if (place && !place.upright && place.length > longest.length) longest = place;
  }
  return longest.along;
}
