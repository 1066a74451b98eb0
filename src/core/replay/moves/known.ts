import { keepOne } from '../../document/keep';
import type { Beam, Brace, Joint, Plan, PutLoad, Support } from '../../document/schema';

interface Known {
  beams: Map<string, Beam>;
  supports: Map<string, Support>;
  joints: Map<string, Joint>;
  braces: Map<string, Brace>;
  loads: Map<string, PutLoad>;
  /** supports with a seat under each piece, and joints by which it is carried or met */
  under: Map<string, Support[]>;
  carriedBy: Map<string, Joint[]>;
  splices: Map<string, Joint[]>;
  /** place in the run sheet of the first move that makes a support ready, and of each move */
  readyAt: Map<string, number>;
  placeOf: Map<string, number>;
}

export function knownOf(plan: Plan): Known {
  const things = keepOne('structure.known', [plan.structure], () => {
    const { pieces, supports, joints, braces, loads } = plan.structure;
    const found = {
      beams: byId(pieces),
      supports: byId(supports),
      joints: byId(joints),
      braces: byId(braces),
      loads: byId(loads),
      under: new Map<string, Support[]>(),
      carriedBy: new Map<string, Joint[]>(),
      splices: new Map<string, Joint[]>(),
    };
    for (const support of supports) for (const { piece } of support.seats) push(found.under, piece, support);
    for (const joint of joints) {
      if (joint.kind !== 'splice') push(found.carriedBy, joint.a.piece, joint);
      else for (const piece of new Set([joint.a.piece, joint.b.piece])) push(found.splices, piece, joint);
    }
    return found;
  });
  const order = keepOne('structure.order', [plan.moves], () => {
    const readyAt = new Map<string, number>();
    const placeOf = new Map<string, number>();
    plan.moves.forEach((move, i) => {
      placeOf.set(move.id, i);
      if (move.kind === 'support.ready' && !readyAt.has(move.support)) readyAt.set(move.support, i);
    });
    return { readyAt, placeOf };
  });
  return keepOne('structure.both', [things, order], () => ({ ...things, ...order }));
}
export const supportOf = (plan: Plan, id: string): Support => knownOf(plan).supports.get(id)!;
export const jointOf = (plan: Plan, id: string): Joint => knownOf(plan).joints.get(id)!;
export const braceOf = (plan: Plan, id: string): Brace => knownOf(plan).braces.get(id)!;
export const loadOf = (plan: Plan, id: string): PutLoad => knownOf(plan).loads.get(id)!;

const byId = <T extends { id: string }>(list: readonly T[]): Map<string, T> => new Map(list.map((one) => [one.id, one]));
function push<T>(map: Map<string, T[]>, key: string, one: T): void {
  const list = map.get(key);
  if (list) list.push(one);
  else map.set(key, [one]);
}

/** The mark of a piece of the structure. */
export const markOf = (plan: Plan, id: string): string => knownOf(plan).beams.get(id)?.mark || id;
