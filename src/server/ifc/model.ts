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
