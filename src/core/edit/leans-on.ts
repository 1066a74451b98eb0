import type { Check } from '../verdict/check';
import type { Plan } from '../document/schema';

/**
 * The thing a check is about, and after it what it leans on: what is asked of a lift may stand with its stand, the crane there, what it
 * lifts or what that is made of.
 */
export function leansOn({ picks, stands, structure }: Pick<Plan, 'picks' | 'stands' | 'structure'>, { id, part }: Check['about']): string[] {
  const found = new Set<string>();
  const add = (one: string | null | undefined): void => {
    if (one === null || one === undefined || found.has(one)) return;
    found.add(one);
    const pick = picks.find((lift) => lift.id === one);
    if (pick) [pick.stand, pick.second?.stand, pick.piece].forEach(add);
    add(stands.find((stand) => stand.id === one)?.crane);
    add(structure.pieces.find((piece) => piece.id === one)?.make);
  };
  add(id);
  add(part);
  return [...found];
}
