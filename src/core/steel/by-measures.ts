import type { SectionRow } from './section-row';
import { sections } from './sections';

/** What a model says of a profile it does not name, or names in its own way. SI; `wall` is the web of an I or U. */
export interface ProfileMeasures {
  kind: 'I' | 'U' | 'L' | 'box' | 'rectangle' | 'round' | 'tube';
  depth: number;
  width: number;
  wall: number | null;
  flange: number | null;
}

const families: Partial<Record<ProfileMeasures['kind'], ReadonlySet<string>>> = {
  I: new Set(['W', 'UB', 'UC', 'IPE', 'HEA', 'HEB', 'HEM']),
  U: new Set(['C', 'PFC']),
  box: new Set(['HSS']),
};
/** Models round to the millimetre, or to a sixteenth of an inch; thicknesses to a tenth. */
const OUTSIDE = 1.6e-3;
const THICK = 3e-4;
/** Design wall of a formed tube in the tables, of its nominal one (AISC B4.2). */
const FORMED = 0.93;

/** How far a listed section is off these measures, all within what models round to; null when one is not. */
function offBy(row: SectionRow, { kind, depth, width, wall, flange }: ProfileMeasures): number | null {
  if (wall === null || !families[kind]?.has(row.family)) return null;
  const thick = kind === 'box' ? Math.min(Math.abs(row.web - wall), Math.abs(row.web / FORMED - wall)) : Math.abs(row.web - wall);
  const off = [Math.abs(row.depth - depth) / OUTSIDE, Math.abs(row.width - width) / OUTSIDE, thick / THICK];
  if (kind !== 'box') off.push(flange === null ? Infinity : Math.abs(row.flange - flange) / THICK);
  return off.every((one) => one <= 1) ? off.reduce((sum, one) => sum + one, 0) : null;
}

/** Whether a listed section may have these measures. */
export const fitsMeasures = (row: SectionRow, measures: ProfileMeasures | null): boolean => measures !== null && offBy(row, measures) !== null;

/** The listed section these measures are of; null when none fits, or when two fit equally well. */
export function sectionByMeasures(measures: ProfileMeasures): SectionRow | null {
  const fits = sections.flatMap((row) => {
    const off = offBy(row, measures);
    return off === null ? [] : [{ row, off }];
  });
  fits.sort((a, b) => a.off - b.off);
  const [best, next] = fits;
  return best && !(next && next.off - best.off < 0.05) ? best.row : null;
}

const mm = (metres: number): string => String(Number((metres * 1000).toFixed(1)));

/** A profile told by its measures, for a list: “rectangle 240 × 200 mm”. */
export function measuresWords({ kind, depth, width, wall, flange }: ProfileMeasures): string {
  const size = kind === 'round' || kind === 'tube' ? mm(depth) : `${mm(depth)} × ${mm(width)}`;
  const walls = kind === 'rectangle' || kind === 'round' ? [] : [wall, flange].filter((one) => one !== null).map(mm);
  return `${kind} ${[size, ...walls].join(' × ')} mm`;
}
