import { GRAVITY } from '../units';
import { keep, keepOne } from '../document/keep';
import type { Brace, Plan, PutLoad } from '../document/schema';
import { braceAt, loadAt, type StructureMoment } from './moment';

/** What weighs on a piece beside its own steel: a load put on it for a time, or a brace tied to it. */
export interface PutOn {
  /** from the first end of the piece [m], downwards [N] */
  at: number;
  force: number;
  there: (moment: StructureMoment) => boolean;
}

const ofLoad = (load: PutLoad): PutOn => ({ at: load.at, force: load.force, there: (moment) => loadAt(moment, load.id) });

/** Half of a brace at either of the pieces it ties; half of one to the ground. One nobody weighed adds nothing, and is asked about. */
const ofBrace = ({ id, a, b, mass }: Brace): readonly { piece: string; on: PutOn }[] =>
  mass ? [a, ...(b ? [b] : [])].map(({ piece, at }) => ({ piece, on: { at, force: (mass * GRAVITY) / 2, there: (moment) => braceAt(moment, id) } })) : [];

/** Everything that may be put on each piece. */
export const putsOf = ({ structure }: Plan): ReadonlyMap<string, readonly PutOn[]> =>
  keepOne('puts', [structure.loads, structure.braces], () => {
    const puts = new Map<string, PutOn[]>();
    const push = (piece: string, on: PutOn) => void (puts.get(piece)?.push(on) ?? puts.set(piece, [on]));
    for (const load of structure.loads)
      push(
        load.piece,
        keep('put.load', load, [], () => ofLoad(load)),
      );
    for (const brace of structure.braces) for (const { piece, on } of keep('put.brace', brace, [], () => ofBrace(brace))) push(piece, on);
    return puts;
  });
