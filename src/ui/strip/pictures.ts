import type { BayStrokes } from '@/core/view/bay-strokes';
import type { Folded } from '@/core/evaluate/by-piece';
import type { Verdict } from '@/core/verdict/check';

/** The strokes of a picture: what went up before, what of that is stopped, and the piece itself. */
export interface Picture {
  wide: number;
  high: number;
  /** all of the steel, as far as it has a place */
  all: string;
  before: string;
  stopped: string;
  own: string;
}

/** Of each fold of the strip the steel up to it, by the key of the fold; what belongs to no piece that has a place shows no stroke of its own. */
export function picturesOf(folds: readonly Folded<{ id: string; verdict: Verdict }>[], { wide, high, strokes }: BayStrokes): Map<string, Picture> {
  const all = [...new Set(strokes.values())].join('');
  const pictures = new Map<string, Picture>();
  if (all === '') return pictures;
  let [before, stopped] = ['', ''];
  for (const { key, pieces, items } of folds) {
    const own = pieces.map((piece) => strokes.get(piece) ?? '').join('');
    pictures.set(key, { wide, high, all, before, stopped, own });
    if (items.some(({ verdict }) => verdict === 'stop')) stopped += own;
    else before += own;
  }
  return pictures;
}

/** Number of the last of the moves made right after one another, of the first such row that is longest: those that set a piece, not what is read or tightened later. */
export function setAt(items: readonly { number: number }[]): number {
  let [best, run] = [items.slice(0, 1), items.slice(0, 1)];
  for (const one of items.slice(1)) {
    run = one.number === run.at(-1)!.number + 1 ? [...run, one] : [one];
    if (run.length > best.length) best = run;
  }
  return best.at(-1)!.number;
}
