import type { Chart } from './chart-shape';

/** A cell of a chart that a person must hold against the maker's own chart. */
export interface OddCell {
  /** row and column in `radii` and `booms` */
  row: number;
  column: number;
  radius: number;
  boom: number;
  capacity: number;
  /** `rises`: more than at the shorter radius of the same boom, which no chart gives; `jumps`: out of line with its neighbours */
  why: 'rises' | 'jumps';
}

/** Rows from which, or columns in which, all figures seem to be in another unit. */
export interface OddRun {
  of: 'radius' | 'boom';
  at: number;
  /** by how much they seem too large (over 1) or too small */
  factor: number;
}

export interface ChartAudit {
  cells: OddCell[];
  runs: OddRun[];
}

/** A rounded figure may rise by this share and be the same. */
const ROUNDED = 1e-6;
/** A cell this far over, or under, the curve through its neighbours is out of line: charts read smoother than 7 %. */
const OVER = 1.075;
const UNDER = 0.93;
/** A short ton for a tonne is 1.1023, a pound for a kilogram 2.2046: a whole row or column this far off its neighbours is another unit. */
const ROW_JUMP = 1.06;
const COLUMN_OVER = 1.08;
const COLUMN_UNDER = 0.975;

type Cells = readonly (readonly (number | null)[])[];
const at = (cells: Cells, i: number, j: number): number | null => cells[i]?.[j] ?? null;

/** A figure over the one its two neighbours along a scale make between them, both taken as powers of the scale. */
function againstNeighbours(before: number, here: number, after: number, x: readonly [number, number, number]): number {
  const t = Math.log(x[1] / x[0]) / Math.log(x[2] / x[0]);
  return here / Math.exp(Math.log(before) * (1 - t) + Math.log(after) * t);
}

const mean = (list: readonly number[]): number => Math.exp(list.reduce((sum, one) => sum + Math.log(one), 0) / list.length);

/**
 * What in a chart looks mistyped: cells that rise with radius, cells out of line with their neighbours along the radius or along the
 * boom, and whole rows or columns that look like another unit. A shape of figures, not a proof: the maker's chart decides.
 */
export function auditChart({ radii, booms, capacity }: Chart): ChartAudit {
  const cells = new Map<string, OddCell>();
  const put = (row: number, column: number, why: OddCell['why']) => {
    const key = `${row}/${column}`;
    if (cells.get(key)?.why === 'rises') return;
    cells.set(key, { row, column, radius: radii[row]!, boom: booms[column]!, capacity: at(capacity, row, column)!, why });
  };
  const rowDeviation = radii.map((): number[] => []);
  const columnDeviation = booms.map((): number[] => []);
  for (let j = 0; j < booms.length; j += 1)
    for (let i = 0; i < radii.length; i += 1) {
      const here = at(capacity, i, j);
      if (here === null) continue;
      const nearer = at(capacity, i - 1, j);
      const further = at(capacity, i + 1, j);
      if (nearer !== null && here > nearer * (1 + ROUNDED)) put(i, j, 'rises');
      if (nearer !== null && further !== null) {
        const off = againstNeighbours(nearer, here, further, [radii[i - 1]!, radii[i]!, radii[i + 1]!]);
        // A flat top that ends here is the limit of the hook or of the reeving, whatever the row.
        const ends = off > 1 && Math.abs(nearer - here) <= here * ROUNDED;
        if (!ends) rowDeviation[i]!.push(off);
        if ((off > OVER && !ends) || off < UNDER) put(i, j, 'jumps');
      }
      const shorter = at(capacity, i, j - 1);
      const longer = at(capacity, i, j + 1);
      if (shorter !== null && longer !== null) {
        const off = againstNeighbours(shorter, here, longer, [booms[j - 1]!, booms[j]!, booms[j + 1]!]);
        columnDeviation[j]!.push(off);
        // Along the boom a capacity may bend where the boom’s strength gives way to tipping: twice the room is left.
        if (off > OVER ** 2 || off < UNDER ** 2) put(i, j, 'jumps');
      }
    }
  const runs: OddRun[] = [];
  for (let i = 1; i < radii.length; i += 1) {
    const [before, here] = [rowDeviation[i - 1]!, rowDeviation[i]!];
    if (before.length < 2 || here.length < 2) continue;
    const jump = mean(here) / mean(before);
    if (jump > ROW_JUMP || jump < 1 / ROW_JUMP) runs.push({ of: 'radius', at: radii[i]!, factor: jump });
  }
  columnDeviation.forEach((list, j) => {
    if (list.length < 3) return;
    const off = mean(list);
    if (off > COLUMN_OVER || off < COLUMN_UNDER) runs.push({ of: 'boom', at: booms[j]!, factor: off });
  });
  return { cells: [...cells.values()].sort((a, b) => a.row - b.row || a.column - b.column), runs };
}

/** What a person who compared a chart with the maker's has confirmed: it stands for these cells with these figures and no others. */
export const auditKey = ({ cells, runs }: ChartAudit): string =>
  [...cells.map((one) => `${one.radius}/${one.boom}=${one.capacity}`), ...runs.map((one) => `${one.of} ${one.at}`)].join(' ');
