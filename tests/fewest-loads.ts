import type { LoadPiece, Lorry } from '../src/core/steel/lists/loads';

/** Fewest loads by trying every way there is: no piece needed sooner comes on a later lorry. For a handful of pieces only. */
export function fewestLoads(pieces: readonly LoadPiece[], lorry: Lorry): number {
  const fits = (load: readonly LoadPiece[]) =>
    load.reduce((sum, one) => sum + one.mass, 0) <= lorry.mass + 1e-9 &&
    load.reduce((sum, one) => sum + Math.min(one.length, lorry.deckLength) * one.width, 0) <= lorry.deckLength * lorry.deckWidth * lorry.layers + 1e-9;
  let best = pieces.length;
  const place = (n: number, loads: LoadPiece[][]): void => {
    if (loads.length >= best) return;
    if (n === pieces.length) {
      // Loads come in some order: there is one when no two of them each need to come before the other.
      const spans = loads.map((load) => load.map((one) => one.order)).map((orders) => ({ first: Math.min(...orders), last: Math.max(...orders) }));
      const sorted = [...spans].sort((a, b) => a.first - b.first || a.last - b.last);
      if (sorted.every((one, i) => i === 0 || sorted[i - 1]!.last <= one.first)) best = loads.length;
      return;
    }
    const piece = pieces[n]!;
    for (const load of loads) {
      load.push(piece);
      if (fits(load)) place(n + 1, loads);
      load.pop();
    }
    loads.push([piece]);
    place(n + 1, loads);
    loads.pop();
  };
  place(0, []);
  return best;
}
