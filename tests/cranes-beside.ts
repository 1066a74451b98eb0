import type { Plan, Stand } from '../src/core/document/schema';
import { vehicleRamp } from './demo-plan';

/** The ramp with another crane on the site: at a place, how it waits there, and from which move to which. */
export function beside(at: { x: number; y: number }, waits: Stand['waits'] = null, from = 'mv5', to = 'mv7'): Plan {
  const plan = vehicleRamp();
  const [first] = plan.cranes;
  plan.cranes.push({ ...structuredClone(first!), id: 'c9', name: 'Dunlin 50', operator: 'T. Varga' });
  plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 's9', name: 'Stand 9', crane: 'c9', at, waits });
  const index = (id: string) => plan.moves.findIndex((move) => move.id === id);
  plan.moves.splice(index(from) + 1, 0, { id: 'n1', kind: 'crane.set', stand: 's9' });
  plan.moves.splice(index(to), 0, { id: 'n2', kind: 'crane.leave', stand: 's9' });
  return plan;
}
