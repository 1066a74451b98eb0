import type { LoadPiece } from '../steel/lists/loads';
import type { Rules } from '../rules/rule-sets';
import { memberWeight } from './member-weight';
import { Missing } from './missing';
import type { Member, Plan } from './schema';
import { carriedOf } from './way-pieces';

/** States of a member that has been delivered. */
export const delivered: ReadonlySet<Member['state']> = new Set(['stored', 'set', 'braced', 'bolted', 'torqued', 'accepted']);

/** What still has to travel, packed, each piece on its own; a member cut on the way in travels in its parts. Lacking: weight or width not known. */
export function lorryPieces(plan: Plan, rules: Rules): { pieces: LoadPiece[]; lacking: string[] } {
  const last = Math.max(0, ...plan.members.map((member) => member.order ?? 0)) + 1;
  const pieces: LoadPiece[] = [];
  const lacking: string[] = [];
  const carried = carriedOf(plan, rules);
  for (const member of plan.members) {
    if (delivered.has(member.state)) continue;
    const weight = memberWeight(member, rules);
    if (weight instanceof Missing || weight.size === null) {
      lacking.push(member.mark);
      continue;
    }
    const width = weight.size.width + member.packing.sides;
    const order = member.order ?? last;
    const parts =
      !(carried instanceof Missing) && carried.member.id === member.id ? carried.pieces : [{ name: member.mark, length: member.length, mass: weight.lifted }];
    for (let n = 1; n <= member.count; n += 1)
      for (const { name, length, mass } of parts) pieces.push({ name: member.count === 1 ? name : `${name} (${n})`, length, width, mass, order });
  }
  return { pieces, lacking };
}
