/**
 * read <file> → what the importers of the interface read in it, as JSON, in SI. Exit 0 read, 1 asked, 2 unreadable.
 * A field that is asked about is null in its rows; `told` is what was read otherwise than written.
 */
import { readFileSync } from 'node:fs';
import { basename, extname } from 'node:path';
import { looksLikeChart, readChartCsv } from '../src/core/cranes/chart-csv';
import { rowsOfNc } from '../src/core/steel/lists/nc1-rows';
import type { Asked, SteelRow, SteelRows } from '../src/core/steel/lists/rows';
import { readSheet, rowsOf } from '../src/core/steel/lists/table';
import { notATable, textOf } from '../src/core/steel/lists/text-of';
import type { PlacedModel } from '../src/core/model/placed';
import { readIfc } from '../src/server/ifc';

interface Read {
  kind: 'csv' | 'nc1' | 'ifc' | 'chart';
  rows: Record<string, unknown>[];
  asked: { about: string; question: string; marks?: string[]; answers?: string[] }[];
  notRead: { what: string; why: string }[];
  told?: { what: string; how: string }[];
  /** of a model: an end of `a` meets `b` */
  joints?: { a: string; b: string; kind: string; declared: boolean; atA: number; atB: number; why: string }[];
  /** of a model: what stands on the ground, so many metres from the first end of the piece */
  supports?: { piece: string; at: number; kind: string; why: string }[];
}

function finish(value: unknown, code: number): void {
  process.stdout.write(JSON.stringify(value, null, 2) + '\n', () => process.exit(code));
}

const questions = (asked: readonly Asked[]): Read['asked'] =>
  asked.map(({ about, question, marks, answers }) => ({
    about,
    question,
    ...(marks ? { marks } : {}),
    ...(answers ? { answers: answers.map((one) => one.label) } : {}),
  }));

/** A row with nothing in the fields that are asked about. */
function rowOf(row: SteelRow, asked: readonly Asked[]): Record<string, unknown> {
  const open = asked.filter(({ marks }) => marks === undefined || marks.includes(row.mark)).map(({ about }) => about);
  return Object.fromEntries(Object.entries(row).map(([field, value]) => [field, open.includes(field) ? null : (value as unknown)]));
}

/** Where the pieces of a row run in the model’s world, the first of them beside the row; null: the model does not say. */
function runs(row: SteelRow, { pieces }: PlacedModel): Record<string, unknown> {
  const all = pieces.filter(({ mark }) => mark === row.mark);
  const ends = all.map(({ id, name, from, to, by }) => ({ id, name, from, to, by }));
  return { line: row.from, from: ends[0]?.from ?? null, to: ends[0]?.to ?? null, ...(row.count > 1 ? { pieces: ends } : {}) };
}

function steel(kind: Read['kind'], { rows, faults, notes = [], asked = [], placed }: SteelRows): Read {
  const open = placed?.asked.map(({ question, pieces }) => ({ about: 'joint', question, marks: pieces })) ?? [];
  return {
    kind,
    rows: rows.map((row) => ({ ...rowOf(row, asked), ...(placed ? runs(row, placed) : {}) })),
    ...(placed && {
      joints: placed.joints.map(({ a, b, kind: how, declared, atA, atB, why }) => ({ a, b, kind: how, declared, atA, atB, why })),
      supports: placed.supports.map(({ piece, at, kind: how, why }) => ({ piece, at, kind: how, why })),
    }),
    asked: [...questions(asked), ...open],
    notRead: faults.map(({ from, error }) => ({ what: from, why: error })),
    told: notes.map(({ from, error }) => ({ what: from, how: error })),
  };
}

function chart(text: string): Read {
  const said = readChartCsv(text, { radius: null, capacity: null });
  const reading = readChartCsv(text, { radius: said.radiusUnit, capacity: said.capacityUnit });
  const cells = reading.chart?.radii.flatMap((radius, i) =>
    (reading.chart?.booms ?? []).map((boom, j) => ({ radius, boom, capacity: reading.chart?.capacity[i]?.[j] ?? null })),
  );
  return {
    kind: 'chart',
    rows: cells ?? [],
    asked: questions(reading.asked),
    notRead: reading.faults.map(({ row, column, error }) => ({ what: `row ${row}, column ${column}`, why: error })),
    told: reading.holes.map((how) => ({ what: 'blanks', how })),
  };
}

async function read(path: string, bytes: Uint8Array): Promise<Read> {
  const kind = extname(path).toLowerCase();
  const begins = new TextDecoder('latin1').decode(bytes.subarray(0, 200));
  if (kind === '.ifc' || begins.includes('ISO-10303-21')) return steel('ifc', await readIfc(bytes));
  const text = textOf(bytes);
  if (/^\.nc1?$/.test(kind) || /^\s*ST\s*$/m.test(text.slice(0, 400))) return steel('nc1', rowsOfNc([{ name: basename(path), text }]));
  const other = notATable(bytes);
  if (other) return { kind: 'csv', rows: [], asked: [], notRead: [{ what: basename(path), why: other }] };
  return looksLikeChart(text) ? chart(text) : steel('csv', rowsOf(readSheet(text), null, null));
}

async function main(path: string | undefined): Promise<void> {
  if (!path) return finish({ error: 'Write: read <file>.' }, 2);
  let bytes: Uint8Array;
  try {
    bytes = new Uint8Array(readFileSync(path));
  } catch {
    return finish({ error: `${path} cannot be read: check the path.` }, 2);
  }
  const found = await read(path, bytes);
  finish(found, found.asked.length > 0 ? 1 : found.rows.length > 0 ? 0 : 2);
}

void main(process.argv[2]);
