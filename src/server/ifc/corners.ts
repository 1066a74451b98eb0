import { placingOf, type Placing } from './mapping';
import { kindOf, listOf, refOf, textOf, type Line, type Model } from './model';
import { vectorOf, type Vector } from './vectors';

/** Lines looked at for one shape, at the most: a shape of more faces than this is no piece of steel. */
const MOST_LINES = 200_000;
/** They say where a shape is put, not what it is. */
const elsewhere =
  /^Ifc(Axis|Local|Cartesian(Transformation)|Direction|Plane|Representation(Context|Map)|GeometricRepresentation|Presentation|Styled|OwnerHistory)/;

interface Left {
  ref: unknown;
  /** the maps it is seen through, the innermost first */
  through: readonly Placing[];
  /** the sources of these maps: a shape mapped into itself has no size */
  from: readonly Line[];
  /** lines met through these maps: a shape stands once in each */
  met: Set<number>;
}

/** Corners of an element’s body as its faces give them, in metres and in its own frame: a size needs no place. */
export function cornersOf(model: Model, representation: unknown, metres: number): Vector[] {
  const corners: Vector[] = [];
  const body = model.lines(model.line(representation)?.Representations).filter((one) => /^(body|facetation)?$/i.test(textOf(one.RepresentationIdentifier)));
  const plain = { through: [], from: [], met: new Set<number>() };
  const left: Left[] = body.flatMap((one) => listOf(one.Items)).map((ref) => ({ ref, ...plain }));
  let lines = 0;
  for (let next = left.pop(); next && lines < MOST_LINES; next = left.pop()) {
    const { through, from, met } = next;
    const ref = refOf(next.ref);
    if (ref === null || met.has(ref)) continue;
    met.add(ref);
    lines += 1;
    const line = model.line(ref);
    if (!line) continue;
    const add = (list: unknown) => {
      const corner = listOf(list).length === 3 ? vectorOf(list) : null;
      if (corner) corners.push(through.reduce((at, placing) => placing(at), corner));
    };
    const follow = (values: unknown[]) => {
      for (const one of values) if (refOf(one) !== null) left.push({ ref: one, through, from, met });
    };
    const kind = kindOf(line);
    if (kind === 'IfcCartesianPoint') add(line.Coordinates);
    else if (kind === 'IfcCartesianPointList3D') listOf(line.CoordList).forEach(add);
    else if (kind === 'IfcMappedItem') {
      const source = model.line(line.MappingSource);
      if (!source || from.includes(source)) continue;
      const inside = { through: [placingOf(model, line.MappingTarget), ...through], from: [...from, source], met: new Set<number>() };
      for (const one of listOf(model.line(source.MappedRepresentation)?.Items)) left.push({ ref: one, ...inside });
    }
    // Of a cut shape what was there before the cut.
    else if (line.FirstOperand) follow([line.FirstOperand]);
    else if (!elsewhere.test(kind)) for (const value of Object.values(line)) follow(listOf(value));
  }
  return corners.map((one) => [one[0] * metres, one[1] * metres, one[2] * metres]);
}
