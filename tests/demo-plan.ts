import { readFileSync } from 'node:fs';
import { openPlanText } from '../src/core/document/open';
import type { Plan } from '../src/core/document/schema';

/** The luggage hall demo, fresh for each test. */
export const demoPlan = (): Plan => planIn('demo/luggage-hall.trestle.json');

/** The ticket hall demo, fresh for each test. */
export const ticketHall = (): Plan => planIn('demo/ticket-hall.trestle.json');

/** The quay footbridge demo, fresh for each test. */
export const quayFootbridge = (): Plan => planIn('demo/quay-footbridge.trestle.json');

/** The passenger canopy demo, fresh for each test. */
export const passengerCanopy = (): Plan => planIn('demo/passenger-canopy.trestle.json');

/** The vehicle ramp demo, fresh for each test. */
export const vehicleRamp = (): Plan => planIn('demo/vehicle-ramp.trestle.json');

/** The link span demo, fresh for each test. */
export const linkSpan = (): Plan => planIn('demo/link-span.trestle.json');

const read = new Map<string, Plan>();

/** A file is read and checked once; who asks for it may change what he gets. */
function planIn(file: string): Plan {
  const known = read.get(file);
  if (known) return structuredClone(known);
  const opened = openPlanText(readFileSync(file, 'utf8'));
  if (!opened.ok) throw new Error(opened.faults.map((fault) => `${fault.path}: ${fault.error}`).join('\n'));
  read.set(file, opened.plan);
  return structuredClone(opened.plan);
}

/** A plan whose cranes do not give as the load comes on: what is worked out by hand is the radius as set. */
export function stiff(plan: Plan): Plan {
  Object.assign(plan.job.thresholds, { boomBend: 0, craneLevel: 0, padSettles: 0 });
  return plan;
}
