import type { Rules } from '../rules/rule-sets';
import { memberWeight } from './member-weight';
import { hangsPast } from './member-parts';
import { Missing } from './missing';
import { truckLength } from './trucks';
import type { Member, Plan, Truck } from './schema';
import { carriedOf } from './way-pieces';

/** States of a member that has been delivered. */
export const delivered: ReadonlySet<Member['state']> = new Set(['stored', 'set', 'braced', 'bolted', 'torqued', 'accepted']);

/** One piece of a mark as it travels, packed; width and mass are null while nobody knows them. */
export interface Traveller {
  name: string;
  length: number;
  width: number | null;
  mass: number | null;
}

/** What of a mark has to travel, each different piece once: a member cut on the way in travels in its parts. */
export function travellersOf(plan: Plan, member: Member, rules: Rules): Traveller[] {
  if (member.id === plan.wayIn.member && plan.wayIn.cuts.length > 0) {
    const carried = carriedOf(plan, rules);
    if (!(carried instanceof Missing)) {
      const width = (carried.weight.size?.width ?? 0) + member.packing.sides;
      return carried.pieces.map(({ name, length, mass }) => ({ name, length, width, mass }));
    }
  }
  const weight = memberWeight(member, rules);
  const known = weight instanceof Missing ? null : weight;
  const past = hangsPast(member);
  return [
    {
      name: member.mark,
      length: past.left + member.length + past.right,
      width: known?.size ? known.size.width + member.packing.sides : null,
      mass: known?.lifted ?? null,
    },
  ];
}

/** What is against a piece on a truck; what nobody knows of the piece is not held against it here, the piece list asks for it. */
export function truckRefuses(truck: Truck, piece: Traveller): 'length' | 'width' | 'mass' | null {
  if (!(piece.length <= truckLength(truck))) return 'length';
  if (piece.width !== null && !(piece.width <= truck.deckWidth)) return 'width';
  // A rating that equals its load is none to spare.
  if (piece.mass !== null && !(piece.mass < truck.mass)) return 'mass';
  return null;
}

/** The truck chosen for a mark, or else the smallest that takes the piece, or else the longest there is; null when there is none. */
export function truckOf(plan: Plan, member: Member, piece: Traveller): Truck | null {
  const { trucks } = plan.transport;
  const chosen = trucks.find((one) => one.id === member.travel.truck);
  const bySize = [...trucks].sort((a, b) => truckLength(a) - truckLength(b) || a.mass - b.mass);
  return chosen ?? bySize.find((one) => truckRefuses(one, piece) === null) ?? bySize[bySize.length - 1] ?? null;
}
