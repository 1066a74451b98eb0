import { kindOf, listOf, type Line, type Model } from './model';

export interface CurvePoint {
  x: number;
  y: number;
  /** nought in a profile */
  z: number;
}

const figure = (value: unknown): number =>
  typeof value === 'object' && value !== null && 'value' in value ? Number((value as { value: unknown }).value) : Number(value);

function pointOf(list: unknown): CurvePoint[] {
  const [x = Number.NaN, y = Number.NaN, z = 0] = listOf(list).map(figure);
  return Number.isFinite(x + y + z) ? [{ x, y, z }] : [];
}

/**
 * Points a curve runs through, in its order, in the model’s units: corners of its straight parts, ends of its arcs. No part is run
 * twice: a curve put together of itself, however often, costs no more than its lines.
 */
export function curvePoints(model: Model, at: unknown, met = new Set<Line>()): CurvePoint[] {
  const line = model.line(at);
  if (!line || met.has(line)) return [];
  met.add(line);
  switch (kindOf(line)) {
    case 'IfcPolyline':
      return listOf(line.Points).flatMap((one) => pointOf(model.line(one)?.Coordinates));
    case 'IfcIndexedPolyCurve':
      return listOf(model.line(line.Points)?.CoordList).flatMap(pointOf);
    case 'IfcCompositeCurve':
      return listOf(line.Segments).flatMap((one) => {
        const segment = model.line(one);
        const points = curvePoints(model, segment?.ParentCurve, met);
        return isFalse(segment?.SameSense) ? points.reverse() : points;
      });
    case 'IfcTrimmedCurve':
      return [line.Trim1, line.Trim2].flatMap((trim) => listOf(trim).flatMap((one) => pointOf(model.line(one)?.Coordinates)));
    default:
      return [];
  }
}

/** .F. as the reader gives it. */
const isFalse = (value: unknown): boolean => {
  const raw = typeof value === 'object' && value !== null && 'value' in value ? (value as { value: unknown }).value : value;
  return raw === false || raw === 'F' || raw === '.F.';
};
