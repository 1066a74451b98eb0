import type { Static, TObject } from 'typebox';
import type { WorkLine } from './work';

export interface Source {
  /** how far it can be trusted, in a word */
  basis: 'published' | 'statics' | 'geometry' | 'practice' | 'memory' | 'record';
  text: string;
}

export interface Calc<I extends TObject = TObject, O extends TObject = TObject> {
  id: string;
  title: string;
  input: I;
  output: O;
  source: Source;
  /** Pure. Gives the answer, or refuses with the place and the remedy when the geometry cannot be. */
  compute(input: Static<I>): Static<O>;
  /** The same answer told line by line. */
  work(input: Static<I>, output: Static<O>): WorkLine[];
}

export function defineCalc<I extends TObject, O extends TObject>(calc: Calc<I, O>): Calc<I, O> {
  return calc;
}

/** An input of the right form that has no answer: legs that cannot close, a length past the prop. */
export class Refusal extends Error {
  readonly path: string;
  constructor(path: string, message: string) {
    super(message);
    this.name = 'Refusal';
    this.path = path;
  }
}

export function refuse(path: string, message: string): never {
  throw new Refusal(path, message);
}
