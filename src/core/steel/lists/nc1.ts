import { STEEL_DENSITY } from '../plate-girder.calc';
import { findSection } from '../sections';
import { LONGEST, SHORTEST } from './length-unit';
import type { ProfileMeasures } from '../by-measures';

/** Header of a DSTV NC file (the plain-text format of fabricators): mark, profile, length, weight. Lengths there are millimetres. */
export interface NcHeader {
  mark: string;
  grade: string;
  count: number;
  profile: string;
  /** m */
  length: number;
  /** kg/m; null where the file gives none, or one that fits neither the plate nor its square metre */
  massPerLength: number | null;
  /** of the cross-section, where the file gives them and they are of a shape known here */
  measures: ProfileMeasures | null;
}

export type NcRead = { ok: true; header: NcHeader } | { ok: false; error: string };

const plainNumber = (text: string): number | null => {
  // “6000.00, 6005.00” gives the length and the saw length; “6000,50” is one number with a decimal comma.
  const first = /^\s*[-+]?\d+,\d+\s*$/.test(text) ? text.replace(',', '.') : (text.split(',')[0] ?? '');
  return /^\s*[-+]?\d+(\.\d*)?\s*$/.test(first) ? Number(first) : null;
};

/** Codes of the profiles; anything else on line 8 shows that a line is missing or one too many. */
const codes = new Set(['I', 'U', 'L', 'M', 'B', 'RU', 'RO', 'C', 'T', 'SO']);
/** A block of the file ends where the next begins. */
const nextBlock = /^(BO|SI|AK|IK|PU|KO|SC|TO|UE|PR|KA|EN|E[0-9]|B[0-9]|S[0-9]|ST)\s*$/;

/** Every ST block of a file: there should be one, and a second is another piece. */
export function readNc1Blocks(text: string): NcRead[] {
  const lines = text.replace(/^\ufeff/, '').split(/\r\n|\r|\n/);
  const starts = lines.flatMap((line, i) => (/^\s*ST\b/.test(line) ? [i] : []));
  if (starts.length === 0) return [{ ok: false, error: 'There is no ST line: this is not a DSTV NC file. Export the piece again as NC1.' }];
  return starts.map((start) => {
    const rest = lines.slice(start + 1).filter((line) => !line.trimStart().startsWith('**'));
    const end = rest.findIndex((line) => nextBlock.test(line));
    return readBlock(end < 0 ? rest : rest.slice(0, end));
  });
}

/** The one ST block of a file. Comments (**), CRLF, a byte-order mark and stray blank lines before the block do not disturb it. */
export function readNc1(text: string): NcRead {
  const [one, other] = readNc1Blocks(text);
  if (other) return { ok: false, error: 'There are two ST blocks in this file: one piece, one file.' };
  return one ?? { ok: false, error: 'There is no ST line: this is not a DSTV NC file. Export the piece again as NC1.' };
}

function readBlock(fields: readonly string[]): NcRead {
  const at = (n: number) => (fields[n - 1] ?? '').trim();
  if (fields.length < 15)
    return { ok: false, error: `The ST block has ${fields.length} lines and 15 are needed for the weight: the file is cut short. Export it again.` };
  const mark = at(4);
  const profile = at(7);
  const length = plainNumber(at(9));
  const count = at(6) === '' ? 1 : plainNumber(at(6));
  const mass = plainNumber(at(15));
  if (mark === '') return { ok: false, error: 'Line 4 of the ST block, the mark, is empty: give the piece a mark.' };
  if (profile === '') return { ok: false, error: `${mark}: line 7 of the ST block, the profile, is empty.` };
  if (!codes.has(at(8).toUpperCase()))
    return {
      ok: false,
      error: `${mark}: “${at(8)}” on line 8 of the ST block is no code of a profile: a line is missing above it, or one too many. Export it again.`,
    };
  if (length === null || !(length > 0)) return { ok: false, error: `${mark}: the length “${at(9)}” on line 9 is not a length in millimetres.` };
  if (count === null || !Number.isInteger(count) || count < 1)
    return { ok: false, error: `${mark}: the number of pieces “${at(6)}” on line 6 is not a whole number.` };
  if (length / 1000 > LONGEST || length / 1000 < SHORTEST) return { ok: false, error: `${mark}: ${length} mm on line 9 is no length of a piece.` };
  const [height, flangeWidth, flange, web] = [10, 11, 12, 13].map((line) => millimetres(at(line)));
  const measures = measuresOf(at(8), height ?? null, flangeWidth ?? null, flange ?? null, web ?? null);
  const written = mass !== null && mass > 0 ? mass : null;
  const massPerLength = at(8).toUpperCase() === 'B' ? plateMass(written, height ?? null, web ?? flange ?? null) : written;
  const other = otherThanWritten(profile, measures, massPerLength);
  if (other !== null) return { ok: false, error: `${mark}: ${other}: a line of the ST block is missing or wrong. Export it again.` };
  // What no table bears out must at least have a figure on every line that holds one.
  const gap = [10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20].find((line) => plainNumber(at(line)) === null);
  if (gap !== undefined && !(findSection(profile) && measures))
    return { ok: false, error: `${mark}: “${at(gap)}” on line ${gap} of the ST block is no figure: a line is missing above it. Export it again.` };
  return { ok: true, header: { mark, grade: at(5), count, profile, length: length / 1000, massPerLength, measures } };
}

/** How the figures of a block differ from the profile it names, or from one another; null when they agree. */
function otherThanWritten(profile: string, measures: ProfileMeasures | null, massPerLength: number | null): string | null {
  const row = findSection(profile);
  const apart = (a: number, b: number, share: number, least: number) => Math.abs(a - b) > Math.max(share * b, least);
  if (row && measures) {
    const pair = [measures.depth, measures.width].sort((a, b) => b - a);
    const listed = [row.depth, row.width].sort((a, b) => b - a);
    if (pair.some((one, i) => apart(one, listed[i] ?? 0, 0.03, 1.5e-3))) return `its measures are not those of ${row.designation}`;
    if (measures.wall !== null && apart(measures.wall, row.web, 0.15, 8e-4)) return `its web or wall is not that of ${row.designation}`;
    if (measures.flange !== null && row.flange > 0 && apart(measures.flange, row.flange, 0.15, 8e-4)) return `its flange is not that of ${row.designation}`;
  }
  if (row && massPerLength !== null && apart(massPerLength, row.massPerLength, 0.08, 0.3))
    return `${massPerLength} kg/m on line 15 is not what ${row.designation} weighs, ${row.massPerLength} kg/m`;
  if (!row && measures && massPerLength !== null) {
    const made = areaOf(measures);
    if (made !== null && (massPerLength < 0.8 * made * STEEL_DENSITY || massPerLength > 1.25 * made * STEEL_DENSITY))
      return `${massPerLength} kg/m on line 15 is not what its measures make, ${(made * STEEL_DENSITY).toFixed(1)} kg/m`;
  }
  return null;
}

/** Of a cross-section by its measures, without its roots; null when one is missing. */
function areaOf({ kind, depth, width, wall, flange }: ProfileMeasures): number | null {
  if (kind === 'rectangle') return depth * width;
  if (kind === 'round') return (Math.PI * depth ** 2) / 4;
  if (wall === null) return null;
  if (kind === 'tube') return Math.PI * (depth - wall) * wall;
  if (kind === 'box') return 2 * wall * (depth + width - 2 * wall);
  if (kind === 'L') return wall * (depth + width - wall);
  return flange === null ? null : 2 * width * flange + (depth - 2 * flange) * wall;
}

/** A measure of the header in metres; nought there means there is none. */
function millimetres(text: string): number | null {
  const value = plainNumber(text);
  return value !== null && value > 0 ? value / 1000 : null;
}

const shapes: Record<string, ProfileMeasures['kind']> = { I: 'I', U: 'U', L: 'L', M: 'box', B: 'rectangle', RU: 'round', RO: 'tube' };

/** Lines 8 and 10 to 13: code of the profile, height, flange width, flange and web thickness. */
function measuresOf(code: string, height: number | null, width: number | null, flange: number | null, web: number | null): ProfileMeasures | null {
  const kind = shapes[code.toUpperCase()];
  if (!kind || height === null) return null;
  if (kind === 'round' || kind === 'tube') return { kind, depth: height, width: height, wall: web, flange: null };
  // A plate is as wide as its height is written, and as thick as its web.
  if (kind === 'rectangle') return web === null && flange === null ? null : { kind, depth: height, width: web ?? flange ?? 0, wall: null, flange: null };
  if (width === null) return null;
  return { kind, depth: height, width, wall: web, flange: kind === 'box' ? null : flange };
}

/** Of a plate line 15 may be the weight of a metre or of a square metre: whichever its own measures bear out, within a twentieth. */
function plateMass(written: number | null, width: number | null, thickness: number | null): number | null {
  if (written === null || width === null || thickness === null) return null;
  const perArea = thickness * STEEL_DENSITY;
  const near = (one: number) => Math.abs(written / one - 1) <= 0.05;
  if (near(perArea * width)) return written;
  return near(perArea) ? written * width : null;
}
