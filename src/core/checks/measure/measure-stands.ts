import { offDrawing } from '../../fit/off-drawing.calc';
import { angleOf, distance, overlap, rectangle, sub, type Vec } from '../../geometry/plane';
import { phrase, q } from '../../calc/work';
import type { Check } from '../../verdict/check';
import type { Bearing, Plan } from '../../document/schema';
import { flatStop, told } from '../../verdict/build';
import { measurePlace } from './measure-place';

/** Way of the line a bearing is on; as the drawing lies when it is on none. */
function azimuthOf(bearing: Bearing, plan: Plan): number {
  const line = plan.survey.openings.find((one) => one.left === bearing.id || one.right === bearing.id);
  const seat = line ?? plan.pieces.find((one) => one.seat.left === bearing.id || one.seat.right === bearing.id)?.seat;
  const left = plan.bearings.find((one) => one.id === seat?.left)?.at;
  const right = plan.bearings.find((one) => one.id === seat?.right)?.at;
  return left && right && distance(left, right) > 0 ? angleOf(sub(right, left)) : 0;
}

/** A bearing the tape found inside something it stood clear of on the drawing: a post under a future wall, a seat in a counter. */
export function standsInChecks(drawn: Bearing, plan: Plan): Check[] {
  const { measured } = drawn;
  if (measured?.x == null || measured.y == null) return [];
  const azimuth = azimuthOf(drawn, plan);
  const seat = (at: Vec) => rectangle(at, measured.seatLength ?? drawn.seatLength, measured.seatWidth ?? drawn.seatWidth, azimuth);
  const found = { x: measured.x, y: measured.y };
  return plan.site.obstructions.flatMap((one): Check[] => {
    const outline = rectangle(one.at, one.length, one.width, one.azimuthDeg);
    if (!overlap(seat(found), outline) || overlap(seat(drawn.at), outline)) return [];
    return [
      flatStop(
        measurePlace(
          'measure.standsIn',
          'bearing',
          { id: drawn.id, name: `${drawn.name}, ${one.name}`, part: one.id },
          offDrawing,
          'Geometry: seat as measured against what is drawn there',
        ),
        'dimension',
        told(
          phrase`${drawn.name}, ${q(distance(found, drawn.at), 'dimension')} off the drawing, stands in ${one.name}; as drawn it stood clear. Settle which of them moves.`,
        ),
        [],
      ),
    ];
  });
}
