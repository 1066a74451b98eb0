/** Pieces bundled into lorry loads: every piece on one lorry, weight and deck kept, nothing needed sooner on a later lorry. */
export interface LoadPiece {
  name: string;
  length: number;
  width: number;
  mass: number;
  /** smaller is needed first; pieces of one number may come in any order */
  order: number;
}

export interface Lorry {
  deckLength: number;
  deckWidth: number;
  mass: number;
  layers: number;
  /** a piece may stand past the end of the deck; no more than the deck is filled */
  overhang?: number;
}

export interface Load {
  /** as they are put on: last needed first, so that the first needed lies on top */
  pieces: LoadPiece[];
  mass: number;
  /** share of the deck layers used */
  deck: number;
}

export interface LoadPlan {
  loads: Load[];
  /** no plan of fewer loads can exist */
  least: number;
  how: 'solver' | 'in order';
}

/** Of the deck: what stands past its end takes none of it. */
const area = (piece: LoadPiece, lorry: Lorry): number => Math.min(piece.length, lorry.deckLength) * piece.width;
const deckOf = (lorry: Lorry): number => lorry.deckLength * lorry.deckWidth * lorry.layers;

/** Pieces no lorry of this kind takes at all. */
export const tooBig = (pieces: readonly LoadPiece[], lorry: Lorry): LoadPiece[] =>
  pieces.filter((piece) => piece.length > lorry.deckLength + (lorry.overhang ?? 0) || piece.width > lorry.deckWidth || piece.mass > lorry.mass);

function loadOf(pieces: readonly LoadPiece[], lorry: Lorry): Load {
  return {
    pieces: [...pieces].sort((a, b) => b.order - a.order || b.mass - a.mass),
    mass: pieces.reduce((sum, piece) => sum + piece.mass, 0),
    deck: pieces.reduce((sum, piece) => sum + area(piece, lorry), 0) / deckOf(lorry),
  };
}

/** Fewest loads by weight or deck alone: a bound no plan can beat. */
export function leastLoads(pieces: readonly LoadPiece[], lorry: Lorry): number {
  const mass = pieces.reduce((sum, piece) => sum + piece.mass, 0) / lorry.mass;
  const deck = pieces.reduce((sum, piece) => sum + area(piece, lorry), 0) / deckOf(lorry);
  return Math.max(pieces.length > 0 ? 1 : 0, Math.ceil(Math.max(mass, deck) - 1e-9));
}

/** Fill lorries in order, heaviest first within one order number: quick, and never out of order. */
export function loadsInOrder(pieces: readonly LoadPiece[], lorry: Lorry): LoadPlan {
  const loads: LoadPiece[][] = [];
  let mass = 0;
  let deck = 0;
  for (const piece of [...pieces].sort((a, b) => a.order - b.order || b.mass - a.mass)) {
    const last = loads[loads.length - 1];
    if (last && mass + piece.mass <= lorry.mass + 1e-9 && deck + area(piece, lorry) <= deckOf(lorry) + 1e-9) {
      last.push(piece);
      mass += piece.mass;
      deck += area(piece, lorry);
    } else {
      loads.push([piece]);
      mass = piece.mass;
      deck = area(piece, lorry);
    }
  }
  return { loads: loads.map((load) => loadOf(load, lorry)), least: leastLoads(pieces, lorry), how: 'in order' };
}

/** The same as a whole-number programme in LP text: fewest loads. Lorries are numbered in the order they come. */
export function loadsModel(pieces: readonly LoadPiece[], lorry: Lorry, lorries: number): string {
  const number = (value: number) => value.toFixed(6);
  const sum = (terms: string[]) => terms.join(' + ');
  const each = Array.from({ length: lorries }, (_, k) => k);
  const lines = ['Minimize', ` loads: ${sum(each.map((k) => `y${k}`))}`, 'Subject To'];
  pieces.forEach((_, i) => lines.push(` once${i}: ${sum(each.map((k) => `x${i}_${k}`))} = 1`));
  for (const k of each) {
    lines.push(` mass${k}: ${sum(pieces.map((piece, i) => `${number(piece.mass)} x${i}_${k}`))} - ${number(lorry.mass)} y${k} <= 0`);
    lines.push(` deck${k}: ${sum(pieces.map((piece, i) => `${number(area(piece, lorry))} x${i}_${k}`))} - ${number(deckOf(lorry))} y${k} <= 0`);
    if (k > 0) lines.push(` used${k}: y${k} - y${k - 1} <= 0`);
  }
  const orders = [...new Set(pieces.map((piece) => piece.order))].sort((a, b) => a - b);
  // Whatever is needed later is not on an earlier lorry: by lorry k the later piece is there only when the sooner one is.
  orders.slice(1).forEach((later, g) => {
    const sooner = orders[g];
    pieces.forEach((a, i) => {
      if (a.order !== sooner) return;
      pieces.forEach((b, j) => {
        if (b.order !== later) return;
        for (const k of each.slice(0, -1)) {
          const upTo = each.slice(0, k + 1);
          lines.push(` o${i}_${j}_${k}: ${sum(upTo.map((n) => `x${j}_${n}`))} - ${upTo.map((n) => `x${i}_${n}`).join(' - ')} <= 0`);
        }
      });
    });
  });
  lines.push('Binary', ` ${[...each.map((k) => `y${k}`), ...pieces.flatMap((_, i) => each.map((k) => `x${i}_${k}`))].join(' ')}`, 'End');
  return lines.join('\n');
}

/** What the solver chose, back to loads; checked here, whatever the solver says. */
export function loadsFrom(pieces: readonly LoadPiece[], lorry: Lorry, lorries: number, chosen: (name: string) => number): LoadPlan | null {
  const loads: LoadPiece[][] = Array.from({ length: lorries }, () => []);
  for (const [i, piece] of pieces.entries()) {
    const k = loads.findIndex((_, n) => chosen(`x${i}_${n}`) > 0.5);
    if (k < 0) return null;
    loads[k]?.push(piece);
  }
  const made = loads.filter((load) => load.length > 0).map((load) => loadOf(load, lorry));
  return keepsOrder(made) && made.every((load) => load.mass <= lorry.mass + 1e-6 && load.deck <= 1 + 1e-6)
    ? { loads: made, least: leastLoads(pieces, lorry), how: 'solver' }
    : null;
}

export const keepsOrder = (loads: readonly Load[]): boolean =>
  loads.every((load, i) => {
    const next = loads[i + 1];
    return !next || Math.max(...load.pieces.map((piece) => piece.order)) <= Math.min(...next.pieces.map((piece) => piece.order));
  });
