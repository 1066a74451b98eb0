import * as WebIFC from 'web-ifc';
import type { Vector } from './vectors';

/** Corners of one shape that are looked at: a shape of more is no piece of steel. */
const MOST_CORNERS = 100_000;

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

  /**
   * Corners of the meshes of these elements in the model’s world, x and y flat and z up, in metres, an element at a time. They are
   * read while they are made: read later, mirrored ones would be turned inside out.
   */
  meshes(ids: number[], each: (id: number, corners: Vector[]) => void): void {
    try {
      this.api.StreamMeshes(this.id, ids, (mesh) => {
        const corners = new Map<string, Vector>();
        for (let i = 0; i < mesh.geometries.size(); i += 1) {
          const { geometryExpressID, flatTransformation: m } = mesh.geometries.get(i);
          const geometry = this.api.GetGeometry(this.id, geometryExpressID);
          const values = this.api.GetVertexArray(geometry.GetVertexData(), geometry.GetVertexDataSize());
          for (let k = 0; k + 2 < values.length && corners.size < MOST_CORNERS; k += 6) {
            const [x, y, z] = [values[k]!, values[k + 1]!, values[k + 2]!];
            const at = (row: number) => m[row]! * x + m[row + 4]! * y + m[row + 8]! * z + m[row + 12]!;
            // The library has y up.
            const corner: Vector = [at(0), -at(2), at(1)];
            if (corner.every(Number.isFinite)) corners.set(corner.map((one) => one.toFixed(4)).join(), corner);
          }
          geometry.delete();
        }
        each(mesh.expressID, [...corners.values()]);
      });
    } catch {
      // A shape the library stumbles over has no corners; the rest of the model is read.
    }
  }

  lines(list: unknown): Line[] {
    return listOf(list).flatMap((one) => this.line(one) ?? []);
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
