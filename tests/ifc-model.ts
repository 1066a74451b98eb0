type Vector = [number, number, number];

/** A bar of a model to be: its two ends in metres, the profile drawn about its axis, and how it is written down. */
export interface IfcBar {
  mark: string;
  kind?: 'IFCBEAM' | 'IFCCOLUMN' | 'IFCMEMBER';
  from: Vector;
  to: Vector;
  /** height and width of an I drawn about its axis [m] */
  depth?: number;
  /** as the model names its profile */
  section?: string;
  width?: number;
  /** in a frame of its own, mapped, mapped and mirrored, as faces only, or cut at its end by so much drawn too long */
  as?: 'extrusion' | 'map' | 'nested' | 'mirrored' | 'faces' | 'cut';
  /** the model’s own line beside the body */
  axis?: [Vector, Vector];
}

export interface IfcModelOptions {
  /** metres in a unit of the model: 0.001 for millimetres, 0.3048 for feet */
  metres?: number;
  /** the site is turned by so much about z and moved */
  turnDeg?: number;
  moved?: Vector;
  /** pairs the model says are connected */
  connects?: [string, string][];
}

const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const unit = (a: Vector): Vector => {
  const size = Math.hypot(...a);
  return [a[0] / size, a[1] / size, a[2] / size];
};
const number = (value: number): string => {
  const text = value.toFixed(9).replace(/0+$/, '');
  return text.startsWith('-0.') && Number(text) === 0 ? '0.' : text;
};
const list = (vector: readonly number[]): string => `(${vector.map(number).join(',')})`;

/** An IFC4 file of these bars. */
export function ifcModel(bars: readonly IfcBar[], { metres = 0.001, turnDeg = 0, moved = [0, 0, 0], connects = [] }: IfcModelOptions = {}): string {
  const lines: string[] = [];
  const put = (text: string): string => {
    lines.push(`#${lines.length + 1}=${text};`);
    return `#${lines.length}`;
  };
  const point = (at: readonly number[]) => put(`IFCCARTESIANPOINT(${list(at.map((one) => one / metres))})`);
  const direction = (way: readonly number[]) => put(`IFCDIRECTION(${list(way)})`);
  const place = (at: Vector, z?: Vector, x?: Vector) => put(`IFCAXIS2PLACEMENT3D(${point(at)},${z ? direction(z) : '$'},${x ? direction(x) : '$'})`);
  const length =
    metres === 0.001
      ? put('IFCSIUNIT(*,.LENGTHUNIT.,.MILLI.,.METRE.)')
      : metres === 1
        ? put('IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.)')
        : put(
            `IFCCONVERSIONBASEDUNIT(${put('IFCDIMENSIONALEXPONENTS(1,0,0,0,0,0,0)')},.LENGTHUNIT.,'FOOT',${put(
              `IFCMEASUREWITHUNIT(IFCLENGTHMEASURE(${metres}),${put('IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.)')})`,
            )})`,
          );
  const units = put(`IFCUNITASSIGNMENT((${length},${put('IFCSIUNIT(*,.MASSUNIT.,.KILO.,.GRAM.)')}))`);
  const context = put(`IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,1.E-05,${place([0, 0, 0])},$)`);
  put(`IFCPROJECT('0project00000000000000',$,'Harbour',$,$,$,$,(${context}),${units})`);
  const turn = (turnDeg * Math.PI) / 180;
  const site = put(`IFCLOCALPLACEMENT($,${place(moved, [0, 0, 1], [Math.cos(turn), Math.sin(turn), 0])})`);
  const numberOf = new Map<string, string>();
  bars.forEach(({ mark, kind = 'IFCBEAM', from, to, depth = 0.3, width = 0.15, section = 'IPE 300', as = 'extrusion', axis }, i) => {
    const way = minus(to, from);
    const long = Math.hypot(...way);
    const u = unit(way);
    // The profile’s x lies flat, its y up as far as the piece lets it.
    const flat = Math.hypot(u[0], u[1]) > 1e-9 ? unit(cross([0, 0, 1], u)) : ([1, 0, 0] as Vector);
    const profile = put(`IFCISHAPEPROFILEDEF(.AREA.,'${section}',$,${list([width, depth, 0.0071, 0.0107].map((one) => one / metres)).slice(1, -1)},$,$,$)`);
    const solid = (at: string, by: number) => put(`IFCEXTRUDEDAREASOLID(${profile},${at},${direction([0, 0, 1])},${number(by / metres)})`);
    let placement = put(`IFCLOCALPLACEMENT(${site},${place(from, u, flat)})`);
    let type = 'SweptSolid';
    let item: string;
    if (as === 'map' || as === 'mirrored') {
      // The map’s source runs along x from 1 m away; the target brings it to where it belongs.
      const source = solid(place([1, 0, 0], [1, 0, 0], [0, 1, 0]), long);
      const map = put(`IFCREPRESENTATIONMAP(${place([0, 0, 0])},${put(`IFCSHAPEREPRESENTATION(${context},'Body','SweptSolid',(${source}))`)})`);
      const side = cross(u, flat);
      const second: Vector = as === 'mirrored' ? [-flat[0], -flat[1], -flat[2]] : flat;
      const origin: Vector = [from[0] - u[0], from[1] - u[1], from[2] - u[2]];
      const target = put(
        `IFCCARTESIANTRANSFORMATIONOPERATOR3D(${direction(u)},${direction(second)},${point(origin)},1.,${direction(as === 'mirrored' ? [-side[0], -side[1], -side[2]].map((one) => -one) : side)})`,
      );
      item = put(`IFCMAPPEDITEM(${map},${target})`);
      placement = put(`IFCLOCALPLACEMENT(${site},${place([0, 0, 0])})`);
      type = 'MappedRepresentation';
    } else if (as === 'nested') {
      // A map in a map: the inner one turns what runs along y to x and brings it to the origin, the outer one to where it belongs.
      const mapped = (source: string, type: string, target: string) =>
        put(
          `IFCMAPPEDITEM(${put(`IFCREPRESENTATIONMAP(${place([0, 0, 0])},${put(`IFCSHAPEREPRESENTATION(${context},'Body','${type}',(${source}))`)})`)},${target})`,
        );
      const to = (at: Vector, x: Vector, y: Vector, z: Vector) =>
        put(`IFCCARTESIANTRANSFORMATIONOPERATOR3D(${direction(x)},${direction(y)},${point(at)},1.,${direction(z)})`);
      const inner = mapped(solid(place([1, 2, 0], [0, 1, 0], [-1, 0, 0]), long), 'SweptSolid', to([-2, 1, 0], [0, -1, 0], [1, 0, 0], [0, 0, 1]));
      item = mapped(inner, 'MappedRepresentation', to(from, u, flat, cross(u, flat)));
      placement = put(`IFCLOCALPLACEMENT(${site},${place([0, 0, 0])})`);
      type = 'MappedRepresentation';
    } else if (as === 'faces') {
      const corners = [0, long].flatMap((z) =>
        [
          [-1, -1],
          [1, -1],
          [1, 1],
          [-1, 1],
        ].map(([x, y]) => [(x! * width) / 2, (y! * depth) / 2, z]),
      );
      const points = put(`IFCCARTESIANPOINTLIST3D((${corners.map((one) => list(one.map((value) => value / metres))).join(',')}))`);
      const sides = [0, 1, 2, 3].map((n) => [n + 1, ((n + 1) % 4) + 1, ((n + 1) % 4) + 5, n + 5]);
      const faces = [[4, 3, 2, 1], [5, 6, 7, 8], ...sides].map((one) => put(`IFCINDEXEDPOLYGONALFACE((${one.join(',')}))`));
      item = put(`IFCPOLYGONALFACESET(${points},.T.,(${faces.join(',')}),$)`);
      type = 'Tessellation';
    } else if (as === 'cut') {
      // Drawn 0.4 m too long and cut off square where it ends.
      const body = solid(place([0, 0, 0]), long + 0.4);
      const plane = put(`IFCPLANE(${place([0, 0, long], [0, 0, 1], [1, 0, 0])})`);
      item = put(`IFCBOOLEANCLIPPINGRESULT(.DIFFERENCE.,${body},${put(`IFCHALFSPACESOLID(${plane},.F.)`)})`);
      type = 'Clipping';
    } else item = solid(place([0, 0, 0]), long);
    const shapes = [put(`IFCSHAPEREPRESENTATION(${context},'Body','${type}',(${item}))`)];
    if (axis) {
      const own = (at: Vector): number[] => {
        const off = minus(at, from);
        return [dot(off, flat), dot(off, cross(u, flat)), dot(off, u)];
      };
      shapes.push(put(`IFCSHAPEREPRESENTATION(${context},'Axis','Curve3D',(${put(`IFCPOLYLINE((${axis.map((one) => point(own(one))).join(',')}))`)}))`));
    }
    const shape = put(`IFCPRODUCTDEFINITIONSHAPE($,$,(${shapes.join(',')}))`);
    const id = String(i).padStart(22, '0');
    numberOf.set(mark, put(`${kind}('${id}',$,'${mark}',$,$,${placement},${shape},'${mark}',$)`));
  });
  connects.forEach(([a, b], i) => put(`IFCRELCONNECTSELEMENTS('1${String(i).padStart(21, '0')}',$,$,$,$,${numberOf.get(a)!},${numberOf.get(b)!})`));
  return `ISO-10303-21;
HEADER;
FILE_DESCRIPTION((''),'2;1');
FILE_NAME('m.ifc','2026-11-28',(''),(''),'','','');
FILE_SCHEMA(('IFC4'));
ENDSEC;
DATA;
${lines.join('\n')}
ENDSEC;
END-ISO-10303-21;
`;
}
