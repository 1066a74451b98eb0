import type { Static, TObject } from 'typebox';
import { Refusal, type Calc } from './define';
import type { Fault } from './schema';

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
