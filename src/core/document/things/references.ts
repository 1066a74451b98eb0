import type { Move, MoveKind, Plan } from '../schema';

/** What of a plan may be pointed at by its id. */
export type Kind =
  | 'link'
  | 'opening'
  | 'storey'
  | 'shore'
  | 'shoring'
  | 'step'
  | 'line'
  | 'member'
  | 'bearing'
  | 'piece'
  | 'crane'
  | 'stand'
  | 'pick'
  | 'lifted'
  | 'raised'
  | 'launch'
  | 'yard'
  | 'holdfast'
  | 'truck'
  | 'permit'
  | 'make'
  | 'beam'
  | 'support'
  | 'joint'
  | 'brace'
  | 'bent'
  | 'load';

/** Words in a move that point at nothing: whatever else is a string in one is the id of a thing. */
type Words = 'id' | 'kind' | 'note' | 'what' | 'by' | 'checkedBy' | 'end' | 'fit';
type Pointing<M> = { [F in keyof M]-?: Exclude<M[F], null | undefined> extends string ? (F extends Words ? never : F) : never }[keyof M];

/** What the fields of each kind of move point at. A kind, or a field of one, that is left out here does not compile. */
export const moveRefs: { readonly [K in MoveKind]: { readonly [F in Pointing<Extract<Move, { kind: K }>>]: Kind } } = {
  'bearing.ready': { bearing: 'bearing' },
  'crane.set': { stand: 'stand' },
  'piece.deliver': { piece: 'piece' },
  'piece.sling': { pick: 'pick' },
  'pick.trial': { pick: 'pick' },
  'pick.lift': { pick: 'pick' },
  'piece.land': { pick: 'pick' },
  'end.bolt': { piece: 'piece' },
  'hook.release': { pick: 'pick' },
  'piece.plumb': { piece: 'piece' },
  'piece.tighten': { piece: 'piece' },
  'crane.leave': { stand: 'stand' },
  'shore.set': { shore: 'shoring' },
  'line.open': { line: 'line' },
  'member.set': { opening: 'opening' },
  'shore.strike': { step: 'step' },
  other: {},
  'support.ready': { support: 'support' },
  'support.level': { support: 'support' },
  'support.strike': { support: 'support' },
  'piece.hang': { beam: 'beam', pick: 'pick' },
  'piece.letGo': { beam: 'beam' },
  'beam.plumb': { beam: 'beam' },
  'joint.make': { joint: 'joint' },
  'joint.free': { joint: 'joint' },
  'brace.fix': { brace: 'brace' },
  'brace.free': { brace: 'brace' },
  'load.on': { load: 'load' },
  'load.off': { load: 'load' },
  'launch.build': { launch: 'launch' },
  'launch.push': { launch: 'launch' },
  'launch.stop': { launch: 'launch' },
  'launch.lower': { launch: 'launch' },
};

export interface Reference {
  kind: Kind;
  id: string;
  /** where it stands in the thing that points */
  field: string;
}

/** All that a move points at. */
export function refsOfMove(move: Move): Reference[] {
  const fields = moveRefs[move.kind] as Readonly<Record<string, Kind>>;
  return Object.entries(fields).flatMap(([field, kind]) => {
    const id = (move as unknown as Record<string, unknown>)[field];
    return typeof id === 'string' ? [{ kind, id, field }] : [];
  });
}

type Lists = Plan['structure'];
const spot = (field: string, { piece }: { piece: string }): Reference => ({ kind: 'beam', id: piece, field: `${field}.piece` });

/** What the things of each list of the structure point at. A list that is left out here does not compile. */
export const structureRefs: { readonly [L in keyof Lists]: (thing: Lists[L][number]) => Reference[] } = {
  makes: () => [],
  pieces: ({ make }) => [{ kind: 'make', id: make, field: 'make' }],
  supports: ({ seats, onBent, standsOn }) => [
    ...seats.map((one, j) => spot(`seats[${j}]`, one)),
    ...(onBent === null ? [] : [{ kind: 'bent' as const, id: onBent.bent, field: 'onBent.bent' }]),
    ...standsOn.map(({ link }, j) => ({ kind: 'link' as const, id: link, field: `standsOn[${j}].link` })),
  ],
  joints: ({ a, b, sharesWith }) => [
    spot('a', a),
    spot('b', b),
    ...(sharesWith === null ? [] : [{ kind: 'joint' as const, id: sharesWith, field: 'sharesWith' }]),
  ],
  braces: ({ a, b }) => [spot('a', a), ...(b === null ? [] : [spot('b', b)])],
  loads: ({ piece }) => [{ kind: 'beam', id: piece, field: 'piece' }],
};
