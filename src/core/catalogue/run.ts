import { attempt, type Outcome } from '../calc/attempt';
import { nearest } from '../calc/nearest';
import { registry } from './registry';
import { faultsOf } from '../calc/schema';

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
