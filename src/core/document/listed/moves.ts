import type { Move, MoveKind } from '../schema';
import { asked, goes, type Kind, type Ref } from './thing';

/** Words in a move that point at nothing: whatever else is a string in one is the id of a thing. */
type Words = 'id' | 'kind' | 'note' | 'what' | 'by' | 'checkedBy' | 'end' | 'fit' | 'on';
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
  'day.end': {},
};

/** Fields that may say nothing: the move stays, and is asked. Where any other thing is gone its move goes too. */
const mayBeAsked: { readonly [K in MoveKind]?: readonly string[] } = { 'piece.hang': ['pick'] };

/** All that a move points at. */
export function refsOfMove(move: Move): Ref<Move>[] {
  const fields = moveRefs[move.kind] as Readonly<Record<string, Kind>>;
  return Object.entries(fields).flatMap(([field, kind]) => {
    const id = (move as unknown as Record<string, unknown>)[field];
    if (typeof id !== 'string') return [];
    return mayBeAsked[move.kind]?.includes(field)
      ? asked<Move>(kind, id, field, (one) => void ((one as unknown as Record<string, unknown>)[field] = null))
      : [goes(kind, id, field)];
  });
}
