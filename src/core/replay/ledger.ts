/**
 * Many things by their ids, of which one is another after each step: kept in a fixed number of small records, so that a step copies
 * one of them and not the whole. Plain data: it goes to a worker and back.
 */
export type Ledger<T> = readonly Readonly<Record<string, T>>[];

const PARTS = 64;
const NOTHING: Readonly<Record<string, never>> = {};

export const emptyLedger: Ledger<never> = Array.from({ length: PARTS }, () => NOTHING);

/** Parts worked out before; more ids than this and all are forgotten. */
const MOST = 100_000;
const parts = new Map<string, number>();

/** The same id always comes to the same part. */
function partOf(id: string): number {
  const known = parts.get(id);
  if (known !== undefined) return known;
  let hash = 0;
  for (let i = 0; i < id.length; i += 1) hash = (hash * 31 + id.charCodeAt(i)) | 0;
  const part = (hash >>> 0) % PARTS;
  if (parts.size >= MOST) parts.clear();
  parts.set(id, part);
  return part;
}

export const readLedger = <T>(ledger: Ledger<T>, id: string): T | undefined => {
  const part = ledger[partOf(id)]!;
  return Object.hasOwn(part, id) ? part[id] : undefined;
};

export function writeLedger<T>(ledger: Ledger<T>, id: string, value: T | undefined): Ledger<T> {
  const at = partOf(id);
  const { [id]: _, ...rest } = ledger[at]!;
  const next = [...ledger];
  next[at] = (value === undefined ? rest : { ...rest, [id]: value }) as Readonly<Record<string, T>>;
  return next;
}

/** What of it is another than before; null for what is gone. */
export function ledgerChanges<T>(was: Ledger<T>, is: Ledger<T>): Record<string, T | null> {
  const changes: Record<string, T | null> = {};
  is.forEach((part, at) => {
    const before = was[at]!;
    if (part === before) return;
    for (const [id, value] of Object.entries(part)) if (before[id] !== value) changes[id] = value;
    for (const id of Object.keys(before)) if (!Object.hasOwn(part, id)) changes[id] = null;
  });
  return changes;
}
