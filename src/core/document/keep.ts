/**
 * Answers kept from one evaluation to the next. An answer is used again only where everything it was worked out from is the same
 * thing; nobody marks anything as changed by hand. All of them live in one place, so that `afresh` can work without any.
 */
export interface Kept<V> {
  from: readonly unknown[];
  value: V;
}
type Shelf = WeakMap<object, Kept<unknown>>;

let shelves = new Map<string, Shelf>();
let slots = new Map<string, unknown>();

export const sameThings = (a: readonly unknown[], b: readonly unknown[]): boolean => {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i += 1) if (!Object.is(a[i], b[i])) return false;
  return true;
};

function shelfOf(name: string): Shelf {
  let shelf = shelves.get(name);
  if (!shelf) shelves.set(name, (shelf = new WeakMap()));
  return shelf;
}

/** What was worked out for a thing from these things before, or else now. */
export function keep<V>(name: string, thing: object, from: readonly unknown[], make: () => V): V {
  const shelf = shelfOf(name);
  const before = shelf.get(thing);
  if (before && sameThings(before.from, from)) return before.value as V;
  const value = make();
  shelf.set(thing, { from, value });
  return value;
}

/** One answer for the whole plan, from these things. */
export function keepOne<V>(name: string, from: readonly unknown[], make: () => V): V {
  const before = slots.get(name) as Kept<V> | undefined;
  if (before && sameThings(before.from, from)) return before.value;
  const value = make();
  slots.set(name, { from, value });
  return value;
}

/** A place of one’s own that lasts from one evaluation to the next. */
export function lasting<V>(name: string, make: () => V): V {
  if (!slots.has(name)) slots.set(name, make());
  return slots.get(name) as V;
}

/** A list as far as somebody goes by it: the same thing while of everything in it what is taken is the same. */
export function gist<T>(name: string, list: readonly T[], taken: (one: T) => readonly unknown[]): object {
  const slot = lasting(`gist ${name}`, (): { list: readonly T[] | null; parts: readonly unknown[]; token: object } => ({ list: null, parts: [], token: {} }));
  if (slot.list === list) return slot.token;
  const parts = list.flatMap(taken);
  if (!sameThings(parts, slot.parts)) Object.assign(slot, { parts, token: {} });
  slot.list = list;
  return slot.token;
}

/** Work with nothing kept, and leave what is kept as it was. */
export function afresh<V>(work: () => V): V {
  const before = { shelves, slots };
  shelves = new Map();
  slots = new Map();
  try {
    return work();
  } finally {
    ({ shelves, slots } = before);
  }
}

/**
 * The new plan, but with the things of the old one wherever nothing in them differs: what comes over a wire or out of a file is all
 * new things, and nothing would be found again.
 */
export function sharing<T>(old: unknown, fresh: T): T {
  if (Object.is(old, fresh)) return fresh;
  if (Array.isArray(old) && Array.isArray(fresh)) {
    // Things of a list are found again by their ids, wherever in it they now stand.
    const byId = new Map(old.flatMap((one: unknown) => (hasId(one) ? [[one.id, one]] : [])));
    const next = fresh.map((one: unknown, i) => sharing(hasId(one) ? byId.get(one.id) : old[i], one));
    return (next.length === old.length && next.every((one, i) => Object.is(one, old[i])) ? old : next) as T;
  }
  if (isRecord(old) && isRecord(fresh)) {
    const keys = Object.keys(fresh);
    let same = keys.length === Object.keys(old).length;
    const next: Record<string, unknown> = {};
    for (const key of keys) {
      next[key] = sharing(old[key], fresh[key]);
      if (!Object.hasOwn(old, key) || !Object.is(next[key], old[key])) same = false;
    }
    return (same ? old : next) as T;
  }
  return fresh;
}
const isRecord = (one: unknown): one is Record<string, unknown> => typeof one === 'object' && one !== null && !Array.isArray(one);
const hasId = (one: unknown): one is { id: string } => isRecord(one) && typeof one.id === 'string';
