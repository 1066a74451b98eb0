import type { Static, TObject } from 'typebox';
import { Refusal, type Calc } from './define';
import { nearest } from './nearest';
import { faultsOf, type Fault } from './schema';
import { registry } from './registry';

export type Outcome<T> = { ok: true; output: T } | ({ ok: false } & Fault);

/** Compute without checking the form of the input; a refusal comes back as a value. */
export function attempt<I extends TObject, O extends TObject>(calc: Calc<I, O>, input: Static<I>): Outcome<Static<O>> {
  try {
    const output = calc.compute(input);
    const lost = finite(output) ? null : firstNonFinite(output, '');
    if (lost !== null) return { ok: false, path: lost, error: `${lost || 'the answer'} has no finite value for these numbers: check their size.` };
    return { ok: true, output };
  } catch (problem) {
    if (problem instanceof Refusal) return { ok: false, path: problem.path, error: problem.message };
    throw problem;
  }
}

/** The quick look: most answers are all finite, and need no paths. */
function finite(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value);
  if (typeof value !== 'object' || value === null) return true;
  for (const key in value) if (!finite((value as Record<string, unknown>)[key])) return false;
  return true;
}

function firstNonFinite(value: unknown, path: string): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : path;
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, inner] of Object.entries(value)) {
    const found = firstNonFinite(inner, path ? `${path}.${key}` : key);
    if (found !== null) return found;
  }
  return null;
}

/** The door for outsiders (API, command): any id, any input; answers or says what is wrong and where. */
export function runCalc(id: string, input: unknown): Outcome<Record<string, unknown>> {
  const calc = registry.get(id);
  if (!calc) {
    const near = nearest(id, [...registry.keys()], 3);
    return { ok: false, path: 'id', error: `There is no calculation “${id}”${near.length ? `: nearest are ${near.join(', ')}` : ''}.` };
  }
  const fault = faultsOf(calc.input, input)[0];
  if (fault) return { ok: false, ...fault };
  return attempt(calc, input as never) as Outcome<Record<string, unknown>>;
}
