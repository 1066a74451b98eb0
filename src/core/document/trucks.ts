import type { WayPlan } from './views';
import type { Truck } from './schema';

export const truckLength = (truck: Truck): number => truck.deckLength + truck.overhang;

/** Longest piece that can be brought for the way in: the figure given there, or else what its trucks take; null when neither is known. */
export function longestBrought(plan: WayPlan): number | null {
  if (plan.wayIn.transport !== null) return plan.wayIn.transport;
  const member = plan.members.find((one) => one.id === plan.wayIn.member);
  const trucks = plan.transport.trucks.filter((one) => !member?.travel.truck || one.id === member.travel.truck);
  return trucks.length === 0 ? null : Math.max(...trucks.map(truckLength));
}
