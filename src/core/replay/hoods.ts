import { loadOf } from '../document/joined';
import { gist, keep, keepOne } from '../document/keep';
import type { Beam, Plan } from '../document/schema';
import { holdsOf } from './held';

/** A piece with all that touches it in the plan: the same thing from one evaluation to the next while none of it differs. */
export interface Hood {
  beam: Beam;
  /** pieces at the other side of its joints and braces, and beside it on its supports */
  others: readonly string[];
  /** the same thing while nothing differs that forces depend on */
  forces: object;
  /** the same thing while nothing differs by which a frame leans */
  leans: object;
}

/** What says only how much a thing may carry, or who says so: it moves no frame. All else of a thing does, also what is added later. */
const MAY_CARRY = {
  support: new Set(['capacity', 'capacityBasis', 'seatLength', 'seatWidth', 'stiffened', 'footing', 'standsOn', 'anchors']),
  joint: new Set(['boltShear', 'bolt', 'ownBolts', 'shear', 'traffic', 'opened', 'stiffened']),
  brace: new Set(['capacity', 'anchor', 'liftedBy']),
};
const besides = (thing: object, left: ReadonlySet<string>): unknown[] =>
  Object.entries(thing).flatMap(([field, value]) => (left.has(field) ? [] : [field, value]));

/** Where hooks hold what: the same thing while none of that is another. */
const hookTies = ({ picks }: Plan): object =>
  gist('hoods.hooks', picks, ({ id, piece, left, right, turned = null, joined = null }) => [id, piece, left, right, turned, joined]);

/** The surroundings of every piece of the structure. */
export const hoodsOf = (plan: Plan): ReadonlyMap<string, Hood> =>
  keepOne('hoods', [plan.structure, hookTies(plan)], () => {
    const by = holdsOf(plan);
    const makes = new Map(plan.structure.makes.map((one) => [one.id, one]));
    const pieces = new Map(plan.structure.pieces.map((one) => [one.id, one]));
    const picks = new Map<string, unknown[]>();
    // Where the hook goes on pulling while it eases off is where it was slung.
    for (const pick of plan.picks) {
      const { id, left, right, turned, joined } = pick;
      for (const piece of loadOf(pick)) picks.set(piece, [...(picks.get(piece) ?? []), id, left, right, turned, joined]);
    }
    return new Map(
      plan.structure.pieces.map((beam): [string, Hood] => {
        const seats = by.seats.get(beam.id) ?? [];
        const joints = by.joints.get(beam.id) ?? [];
        const braces = by.braces.get(beam.id) ?? [];
        const others = new Set<string>();
        for (const { support } of seats) for (const { piece } of support.seats) others.add(piece);
        for (const { other } of joints) others.add(other);
        for (const { other } of braces) if (other !== null) others.add(other);
        others.delete(beam.id);
        const list = [...others];
        const from: unknown[] = [makes.get(beam.make)];
        from.push(...(picks.get(beam.id) ?? []));
        for (const { support } of seats) from.push(support);
        for (const { joint } of joints) from.push(joint);
        for (const { brace } of braces) from.push(brace);
        for (const put of by.puts.get(beam.id) ?? []) from.push(put);
        for (const other of list) from.push(pieces.get(other), makes.get(pieces.get(other)?.make ?? ''));
        const loads: unknown[] = [makes.get(beam.make)];
        for (const { support, at } of seats)
          loads.push(support.id, at, support.seats, support.level, support.measured?.level, support.spring, support.holdsDown === null);
        for (const { joint } of joints) loads.push(joint.id, joint.kind, joint.a, joint.b, joint.holes, joint.name);
        for (const put of by.puts.get(beam.id) ?? []) loads.push(put);
        loads.push(...(picks.get(beam.id) ?? []));
        for (const other of list) loads.push(pieces.get(other));
        const forces = keep('hood.forces', beam, loads, () => ({}));
        const ways: unknown[] = [makes.get(beam.make), ...(picks.get(beam.id) ?? []), ...(by.puts.get(beam.id) ?? [])];
        for (const { support } of seats) ways.push(...besides(support, MAY_CARRY.support), support.anchors?.count);
        for (const { joint } of joints) ways.push(...besides(joint, MAY_CARRY.joint));
        for (const { brace } of braces) ways.push(...besides(brace, MAY_CARRY.brace));
        for (const other of list) ways.push(pieces.get(other), makes.get(pieces.get(other)?.make ?? ''));
        const leans = keep('hood.leans', beam, ways, () => ({}));
        return [beam.id, keep('hood', beam, from, () => ({ beam, others: list, forces, leans }))];
      }),
    );
  });
