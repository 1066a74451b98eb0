import { keepOne } from './keep';
import type { Joint } from './schema';

/** The joint whose bolts go on through the web into another, whichever of the two says so. */
export const sharersOf = (joints: readonly Joint[]): ReadonlyMap<string, Joint> =>
  keepOne('shared.bolts', [joints], () => {
    const byId = new Map(joints.map((one) => [one.id, one]));
    const found = new Map<string, Joint>();
    for (const one of joints) {
      const other = one.sharesWith === null ? undefined : byId.get(one.sharesWith);
      if (!other) continue;
      found.set(one.id, other);
      if (!found.has(other.id)) found.set(other.id, one);
    }
    return found;
  });
