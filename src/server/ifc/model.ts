import * as WebIFC from 'web-ifc';

/** One line of the file as web-ifc gives it: plain values, and handles to other lines. */
export interface Line {
  expressID: number;
  [field: string]: unknown;
}

/** A model read line by line: nothing is followed that is not asked for, so that heavy shapes cost nothing. */
export class Model {
  private readonly seen = new Map<number, Line | null>();
  constructor(
    private readonly api: WebIFC.IfcAPI,
    private readonly id: number,
  ) {}

  ids(...types: number[]): number[] {
    return types.flatMap((type) => {
      const found = this.api.GetLineIDsWithType(this.id, type);
      return Array.from({ length: found.size() }, (_, i) => found.get(i));
    });
  }

  /** The line a handle or a number points at; null when it points at nothing. */
  line(at: unknown): Line | null {
    const number = typeof at === 'number' ? at : refOf(at);
    if (number === null) return null;
    const known = this.seen.get(number);
    if (known !== undefined) return known;
    let line: Line | null = null;
    try {
      line = (this.api.GetLine(this.id, number, false) as Line | undefined) ?? null;
    } catch {
      line = null;
    }
    this.seen.set(number, line);
    return line;
  }

  lines(list: unknown): Line[] {
    return listOf(list).flatMap((one) => this.line(one) ?? []);
  }

  /** Corners of an element’s shape in the model, in metres, as they are drawn. */
  corners(element: number): [number, number, number][] {
    const corners: [number, number, number][] = [];
    try {
      const mesh = this.api.GetFlatMesh(this.id, element);
      for (let n = 0; n < mesh.geometries.size(); n += 1) {
        const { geometryExpressID, flatTransformation: t } = mesh.geometries.get(n);
        const geometry = this.api.GetGeometry(this.id, geometryExpressID);
        const values = this.api.GetVertexArray(geometry.GetVertexData(), geometry.GetVertexDataSize());
        // Six numbers a corner: place and normal.
        for (let i = 0; i + 5 < values.length; i += 6) {
          const [x, y, z] = [values[i] ?? 0, values[i + 1] ?? 0, values[i + 2] ?? 0];
          const row = (k: number) => (t[k] ?? 0) * x + (t[k + 4] ?? 0) * y + (t[k + 8] ?? 0) * z + (t[k + 12] ?? 0);
          corners.push([row(0), row(1), row(2)]);
        }
        geometry.delete();
      }
    } catch {
      return [];
    }
    return corners;
  }

  /** A line with all it points at, for small things such as a placement. */
  whole(at: unknown): unknown {
    const number = refOf(at);
    try {
      return number === null ? null : this.api.GetLine(this.id, number, true);
    } catch {
      return null;
    }
  }
}

export const listOf = (value: unknown): unknown[] => (Array.isArray(value) ? value : value === null || value === undefined ? [] : [value]);

/** The number a handle points at. */
export const refOf = (value: unknown): number | null =>
  typeof value === 'object' && value !== null && 'type' in value && (value as { type: unknown }).type === WebIFC.REF && 'value' in value
    ? Number((value as { value: unknown }).value)
    : null;

export const textOf = (value: unknown): string =>
  typeof value === 'object' && value !== null && 'value' in value ? String((value as { value: unknown }).value ?? '').trim() : '';

/** A figure more than nothing; null otherwise. */
export const figureOf = (value: unknown): number | null => {
  const raw = typeof value === 'object' && value !== null && 'value' in value ? Number((value as { value: unknown }).value) : Number.NaN;
  return Number.isFinite(raw) && raw > 0 ? raw : null;
};

/** The type of a value or a line: IfcBeam, IFCLENGTHMEASURE. */
export const kindOf = (value: unknown): string => {
  if (typeof value !== 'object' || value === null) return '';
  const { name } = value as { name?: unknown };
  return typeof name === 'string' && /^IFC/.test(name) ? name : value.constructor.name;
};
