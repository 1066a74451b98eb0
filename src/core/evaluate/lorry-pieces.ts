import type { LoadPiece } from '../steel/lists/loads';
import type { Rules } from '../rules/rule-sets';
import type { Plan, Truck } from '../document/schema';
import { delivered, travellersOf, truckOf, truckRefuses } from '../settle/travel';
import { settle } from '../settle/settle';

export interface TruckLoad {
  truck: Truck;
  pieces: LoadPiece[];
}

export interface Bundles {
  /** what goes on which truck; trucks with nothing to carry are left out */
  byTruck: TruckLoad[];
  /** weight or width not known */
  lacking: string[];
  /** no truck of the list takes them, or the one chosen does not */
  refused: string[];
}

/** What still has to travel, packed, each piece on its own, on the truck chosen for it or the smallest that takes it. */
export function lorryPieces(drawn: Plan, rules: Rules): Bundles {
  const plan = settle(drawn);
  const last = Math.max(0, ...plan.members.map((member) => member.order ?? 0)) + 1;
  const loads = new Map<string, TruckLoad>(plan.transport.trucks.map((truck) => [truck.id, { truck, pieces: [] }]));
  const lacking: string[] = [];
  const refused: string[] = [];
  for (const member of plan.members) {
    if (delivered.has(member.state)) continue;
    const parts = travellersOf(plan, member, rules);
    if (parts.some((part) => part.mass === null || part.width === null)) {
      lacking.push(member.mark);
      continue;
    }
    const order = member.order ?? last;
    for (let n = 1; n <= member.count; n += 1)
      for (const part of parts) {
        const truck = truckOf(plan, member, part);
        const name = member.count === 1 ? part.name : `${part.name} (${n})`;
        if (!truck || truckRefuses(truck, part) !== null) refused.push(name);
        else loads.get(truck.id)?.pieces.push({ name, length: part.length, width: part.width ?? 0, mass: part.mass ?? 0, order });
      }
  }
  return { byTruck: [...loads.values()].filter((one) => one.pieces.length > 0), lacking, refused };
}
