/**
 * Unknowns by the islands they make, which nothing couples, and within each in an order in which those that are coupled stand near each
 * other (Cuthill and McKee 1969, turned round as George has it): in a frame on a grid what moves along and what moves across hardly know
 * of each other, and a band of them is much narrower.
 *
 * @param groups unknowns of which each is coupled with each other one of the same group
 * @returns the island of each unknown, its place there, and how large each island is and how wide a band it takes
 */
export function bandOrder(
  size: number,
  groups: readonly (readonly number[])[],
): { isle: Int32Array; place: Int32Array; isles: { size: number; width: number }[] } {
  const of: number[][] = Array.from({ length: size }, () => []);
  groups.forEach((group, g) => group.forEach((one) => of[one]!.push(g)));
  const ties = of.map((own) => own.reduce((sum, g) => sum + groups[g]!.length, 0));
  const seen = new Uint8Array(size);
  /** All that one is coupled with, be it by others, those fewer steps away first. */
  const spread = (start: number): number[] => {
    const order = [start];
    seen[start] = 1;
    const done = new Set<number>();
    for (let i = 0; i < order.length; i += 1) {
      const next: number[] = [];
      for (const g of of[order[i]!]!) {
        if (done.has(g)) continue;
        done.add(g);
        for (const other of groups[g]!)
          if (seen[other] === 0) {
            seen[other] = 1;
            next.push(other);
          }
      }
      order.push(...next.sort((a, b) => ties[a]! - ties[b]! || a - b));
    }
    return order;
  };
  const isle = new Int32Array(size);
  const place = new Int32Array(size);
  const isles: { size: number; width: number }[] = [];
  for (let i = 0; i < size; i += 1) {
    if (seen[i] === 1) continue;
    // From an end of it: what was reached last the first time.
    const once = spread(i);
    for (const one of once) seen[one] = 0;
    const order = spread(once.at(-1)!);
    order.forEach((one, at) => {
      isle[one] = isles.length;
      place[one] = order.length - 1 - at;
    });
    isles.push({ size: order.length, width: 0 });
  }
  for (const group of groups) {
    if (group.length < 2) continue;
    const own = isles[isle[group[0]!]!]!;
    let [low, high] = [Infinity, -Infinity];
    for (const one of group) {
      low = Math.min(low, place[one]!);
      high = Math.max(high, place[one]!);
    }
    own.width = Math.max(own.width, high - low);
  }
  return { isle, place, isles };
}
