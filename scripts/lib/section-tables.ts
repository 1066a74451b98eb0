import Papa from 'papaparse';
import { kilogramsPer, metresPer } from '../../src/core/units';
import type { SectionRow } from '../../src/core/steel/section-row';

type Cells = Record<string, string>;

function cell(row: Cells, name: string, factor: number): number | null {
  const text = row[name]?.trim() ?? '';
  if (text === '') return null;
  const value = Number(text);
  if (!Number.isFinite(value)) throw new Error(`${row.designation}: ${name} is “${text}”, not a number`);
  return Number((value * factor).toPrecision(15));
}

function needed(row: Cells, name: string, factor: number): number {
  const value = cell(row, name, factor);
  if (value === null) throw new Error(`${row.designation}: ${name} is blank`);
  return value;
}

function rowsOf(csv: string): Cells[] {
  return Papa.parse<Cells>(csv, { header: true, skipEmptyLines: true }).data;
}

/** The two CSV tables as one list in SI, in the order of the files. */
export function readSectionTables(us: string, eu: string): SectionRow[] {
  const inch = metresPer.in;
  const usRows = rowsOf(us).map((row): SectionRow => ({
    designation: row.designation ?? '',
    family: row.family ?? '',
    massPerLength: (needed(row, 'nominal_weight_lb_ft', 1) * kilogramsPer.lb) / metresPer.ft,
    area: needed(row, 'area_in2', inch ** 2),
    depth: needed(row, 'd_in', inch),
    width: needed(row, 'bf_in', inch),
    flange: needed(row, 'tf_in', inch),
    web: needed(row, 'tw_in', inch),
    k: cell(row, 'kdes_in', inch),
    iStrong: needed(row, 'Ix_in4', inch ** 4),
    iWeak: needed(row, 'Iy_in4', inch ** 4),
    sStrong: cell(row, 'Sx_in3', inch ** 3),
    zStrong: cell(row, 'Zx_in3', inch ** 3),
    rStrong: cell(row, 'rx_in', inch),
    rWeak: cell(row, 'ry_in', inch),
    torsion: cell(row, 'J_in4', inch ** 4),
    warping: cell(row, 'Cw_in6', inch ** 6),
    basis: row.basis ?? '',
  }));
  const euRows = rowsOf(eu).map((row): SectionRow => {
    const flange = needed(row, 'tf_mm', 1e-3);
    const root = cell(row, 'r_mm', 1e-3);
    return {
      designation: row.designation ?? '',
      family: row.family ?? '',
      massPerLength: needed(row, 'mass_kg_m', 1),
      area: needed(row, 'area_cm2', 1e-4),
      depth: needed(row, 'h_mm', 1e-3),
      width: needed(row, 'b_mm', 1e-3),
      flange,
      web: needed(row, 'tw_mm', 1e-3),
      k: root === null ? null : Number((flange + root).toPrecision(15)),
      iStrong: needed(row, 'Iy_cm4', 1e-8),
      iWeak: needed(row, 'Iz_cm4', 1e-8),
      sStrong: cell(row, 'Wel_y_cm3', 1e-6),
      zStrong: cell(row, 'Wpl_y_cm3', 1e-6),
      rStrong: cell(row, 'iy_cm', 1e-2),
      rWeak: cell(row, 'iz_cm', 1e-2),
      torsion: cell(row, 'It_cm4', 1e-8),
      warping: cell(row, 'Iw_dm6', 1e-6),
      basis: row.basis ?? '',
    };
  });
  return [...usRows, ...euRows];
}
