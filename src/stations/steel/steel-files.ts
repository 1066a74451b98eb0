import { rowsOfNc } from '@/core/steel/lists/nc1-rows';
import type { RowFault, SteelRows } from '@/core/steel/lists/rows';
import { notATable, textOf } from '@/core/steel/lists/text-of';
import { again } from '@/ui/again';

/** What chosen files hold: rows of NC files and models, or one table as text. */
export type SteelFiles = { rows: SteelRows } | { table: string };

/** No one piece is written in more. */
const MOST_NC = 8e6;
const MOST_MODEL = 128 * 1024 * 1024;

interface Sorted {
  nc: { name: string; text: string }[];
  models: { name: string; body: Blob }[];
  tables: string[];
  faults: RowFault[];
}

const bytesOf = async (file: Blob): Promise<Uint8Array> => new Uint8Array(await file.arrayBuffer());
const isNc = (name: string): boolean => /\.nc1?$/i.test(name);
const isModel = (name: string): boolean => /\.ifc$/i.test(name);

/** Every file put where it belongs; an archive gives what is in it. */
async function sort(files: readonly File[]): Promise<Sorted> {
  const sorted: Sorted = { nc: [], models: [], tables: [], faults: [] };
  const put = (name: string, bytes: Uint8Array) => {
    if (isNc(name)) sorted.nc.push({ name, text: textOf(bytes) });
    else sorted.models.push({ name, body: new Blob([bytes as BlobPart]) });
  };
  for (const file of files) {
    if (isNc(file.name)) put(file.name, await bytesOf(file));
    else if (isModel(file.name)) sorted.models.push({ name: file.name, body: file });
    else if (/\.(zip|ifczip)$/i.test(file.name)) {
      const found = await opened(file);
      if (typeof found === 'string') sorted.faults.push({ from: file.name, error: found });
      else for (const [name, bytes] of found) put(name, bytes);
    } else {
      const bytes = await bytesOf(file);
      const other = notATable(bytes);
      if (other) sorted.faults.push({ from: file.name, error: other });
      else sorted.tables.push(textOf(bytes));
    }
  }
  return sorted;
}

/** NC files and models in an archive, or what is wrong with it. */
async function opened(file: File): Promise<[string, Uint8Array][] | string> {
  const { unzipSync } = await again(() => import('fflate'));
  const skipped: string[] = [];
  try {
    const inside = unzipSync(await bytesOf(file), {
      filter: ({ name, originalSize }) => {
        if (!isNc(name) && !isModel(name)) return false;
        const fits = originalSize <= (isNc(name) ? MOST_NC : MOST_MODEL);
        if (!fits) skipped.push(name);
        return fits;
      },
    });
    const found = Object.entries(inside);
    if (skipped.length > 0) return `${skipped.join(', ')} in it is too large to be read: take it out, or export only the steel.`;
    return found.length > 0 ? found : 'There is no .nc1 or .ifc file in this archive.';
  } catch {
    return 'It is not a ZIP archive that can be opened: make it again.';
  }
}

/** A model is read on the server. */
async function rowsOfModel({ name, body }: Sorted['models'][number]): Promise<SteelRows> {
  const failed = (error: string): SteelRows => ({ rows: [], faults: [{ from: name, error }] });
  try {
    const answer = await fetch('/api/import/ifc', { method: 'POST', body });
    if (answer.ok) return (await answer.json()) as SteelRows;
    const said = (await answer.json().catch(() => null)) as { detail?: string } | null;
    return failed(said?.detail ?? 'The server could not read it. Try again.');
  } catch {
    return failed('The server does not answer: nothing was read. Try again.');
  }
}

/** What stands in several models, each by itself: they may have origins of their own, so nothing is said to meet across them. */
function placedOf(read: readonly SteelRows[]): Pick<SteelRows, 'placed'> {
  const models = read.flatMap(({ placed }) => placed ?? []);
  if (models.length === 0) return {};
  return {
    placed: {
      pieces: models.flatMap(({ pieces }) => pieces),
      joints: models.flatMap(({ joints }) => joints),
      supports: models.flatMap(({ supports }) => supports),
      asked: models.flatMap(({ asked }) => asked),
      left: models.reduce((sum, { left }) => sum + left, 0),
    },
  };
}

/** Chosen files read into rows: NC files here, all together, so that a mark in two of them is seen; models on the server. */
export async function readSteelFiles(files: readonly File[]): Promise<SteelFiles> {
  const { nc, models, tables, faults } = await sort(files);
  const [table] = tables;
  const others = nc.length + models.length + faults.length;
  if (table !== undefined && tables.length === 1 && others === 0) return { table };
  const read = [...(nc.length > 0 ? [rowsOfNc(nc)] : []), ...(await Promise.all(models.map(rowsOfModel)))];
  if (tables.length > 0) faults.push({ from: 'the tables', error: 'One table at a time, and nothing with it: choose each by itself.' });
  return {
    rows: {
      rows: read.flatMap((one) => one.rows),
      faults: [...faults, ...read.flatMap((one) => one.faults)],
      notes: read.flatMap((one) => one.notes ?? []),
      asked: read.flatMap((one) => one.asked ?? []),
      ...placedOf(read),
    },
  };
}
