import { STEEL_DENSITY } from '../plate-girder.calc';
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

/** Read the ST block. Comments (**), CRLF, a byte-order mark and stray blank lines before the block do not disturb it. */
export function readNc1(text: string): NcRead {
  const lines = text.replace(/^\ufeff/, '').split(/\r\n|\r|\n/);
  const start = lines.findIndex((line) => /^\s*ST\b/.test(line));
  if (start < 0) return { ok: false, error: 'There is no ST line: this is not a DSTV NC file. Export the piece again as NC1.' };
  const fields = lines.slice(start + 1).filter((line) => !line.trimStart().startsWith('**'));
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
  if (length === null || !(length > 0)) return { ok: false, error: `${mark}: the length “${at(9)}” on line 9 is not a length in millimetres.` };
  if (count === null || !Number.isInteger(count) || count < 1)
    return { ok: false, error: `${mark}: the number of pieces “${at(6)}” on line 6 is not a whole number.` };
  const [height, flangeWidth, flange, web] = [10, 11, 12, 13].map((line) => millimetres(at(line)));
  const measures = measuresOf(at(8), height ?? null, flangeWidth ?? null, flange ?? null, web ?? null);
  const written = mass !== null && mass > 0 ? mass : null;
  const massPerLength = at(8).toUpperCase() === 'B' ? plateMass(written, height ?? null, web ?? flange ?? null) : written;
  return { ok: true, header: { mark, grade: at(5), count, profile, length: length / 1000, massPerLength, measures } };
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
