import { viewOfWay, wayOfMember } from '../document/views';
import type { Rules } from '../rules/rule-sets';
import { memberWeight } from './member-weight';
import { Missing } from '../verdict/missing';
import { truckLength } from '../document/trucks';
import type { Member, Truck } from '../document/schema';
import { carriedOf, pieceLengths } from './way-pieces';
import type { SettledPlan } from './settle';

/** States of a member that has been delivered. */
export const delivered: ReadonlySet<Member['state']> = new Set(['stored', 'set', 'braced', 'bolted', 'torqued', 'accepted']);

/** One piece of a mark as it travels, packed; width and mass are null while nobody knows them. */
export interface Traveller {
  /** its mark in the piece list, by id */
  member: string;
  name: string;
  length: number;
  width: number | null;
  mass: number | null;
}

/** What of a mark has to travel, each different piece once: a member cut on the way in travels in its parts. */
export function travellersOf(plan: SettledPlan, member: Member, rules: Rules): Traveller[] {
  const lengths = pieceLengths(plan, member);
  const weight = memberWeight(member, rules);
  const known = weight instanceof Missing ? null : weight;
  const width = known?.size ? known.size.width + member.packing.sides : null;
  if (lengths.length === 1) return lengths.map(({ name, length }) => ({ member: member.id, name, length, width, mass: known?.lifted ?? null }));
  const way = wayOfMember(plan, member.id);
  const carried = way ? carriedOf(viewOfWay(plan, way), rules) : new Missing(`Which way is ${member.mark} brought in?`);
  return lengths.map(({ name, length }, i) => ({
    member: member.id,
    name,
    length,
    width,
    mass: carried instanceof Missing ? null : (carried.pieces[i]?.mass ?? null),
  }));
}

/** Limits of the truck that this piece exceeds, the first of them. Unknown length, width or mass is skipped here: the piece list reports it as missing. */
export function truckRefuses(truck: Truck, piece: Traveller): 'length' | 'width' | 'mass' | null {
  if (!(piece.length <= truckLength(truck))) return 'length';
  if (piece.width !== null && !(piece.width <= truck.deckWidth)) return 'width';
  // A rating that equals its load is none to spare.
  if (piece.mass !== null && !(piece.mass < truck.mass)) return 'mass';
  return null;
}

/** The truck chosen for a mark, or else the smallest that takes the piece, or else the longest there is; null when there is none. */
export function truckOf(plan: SettledPlan, member: Member, piece: Traveller): Truck | null {
  const { trucks } = plan.transport;
  const chosen = trucks.find((one) => one.id === member.travel.truck);
  const bySize = [...trucks].sort((a, b) => truckLength(a) - truckLength(b) || a.mass - b.mass);
  return chosen ?? bySize.find((one) => truckRefuses(one, piece) === null) ?? bySize[bySize.length - 1] ?? null;
}
