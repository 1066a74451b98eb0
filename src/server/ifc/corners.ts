import { kindOf, listOf, refOf, textOf, type Model } from './model';

type Corner = [number, number, number];

/** Lines looked at for one shape, at the most: a shape of more faces than this is no piece of steel. */
const MOST_LINES = 200_000;
/** They say where a shape is put, not what it is. */
const elsewhere =
  /^Ifc(Axis|Local|Cartesian(Transformation)|Direction|Plane|Representation(Context|Map)|GeometricRepresentation|Presentation|Styled|OwnerHistory)/;

const triple = (list: unknown[]): Corner | null => {
  const numbers = list.map((one) => (typeof one === 'object' && one !== null && 'value' in one ? Number((one as { value: unknown }).value) : Number(one)));
  return numbers.length === 3 && numbers.every(Number.isFinite) ? [numbers[0]!, numbers[1]!, numbers[2]!] : null;
};

/** Corners of an element’s body as its faces give them, in metres and in its own frame: a size needs no place. */
export function cornersOf(model: Model, representation: unknown, metres: number): Corner[] {
  const corners: Corner[] = [];
  const seen = new Set<number>();
  const body = model.lines(model.line(representation)?.Representations).filter((one) => /^(body|facetation)?$/i.test(textOf(one.RepresentationIdentifier)));
  const left: unknown[] = body.flatMap((one) => listOf(one.Items));
  while (left.length > 0 && seen.size < MOST_LINES) {
    const ref = refOf(left.pop());
    if (ref === null || seen.has(ref)) continue;
    seen.add(ref);
    const line = model.line(ref);
    if (!line) continue;
    const kind = kindOf(line);
    if (kind === 'IfcCartesianPoint') {
      const corner = triple(listOf(line.Coordinates));
      if (corner) corners.push(corner);
    } else if (kind === 'IfcCartesianPointList3D')
      for (const row of listOf(line.CoordList)) {
        const corner = triple(listOf(row));
        if (corner) corners.push(corner);
      }
    else if (kind === 'IfcMappedItem') left.push(...listOf(model.line(model.line(line.MappingSource)?.MappedRepresentation)?.Items));
    // Of a cut shape what was there before the cut.
    else if (line.FirstOperand) left.push(line.FirstOperand);
    else if (!elsewhere.test(kind)) for (const value of Object.values(line)) left.push(...listOf(value).filter((one) => refOf(one) !== null));
  }
  return corners.map((one) => [one[0] * metres, one[1] * metres, one[2] * metres]);
}
