import type { Brace, Joint, Plan, Support } from '../document/schema';
import { putsOf } from './put-on';
import { beamAt, isMade, standsAt, jointAt, braceAt, type StructureMoment } from './moment';

/** Where a piece is held against rolling over and sideways, from its first end; `length` is the longest it stands free. */
export interface Held {
  places: number[];
  /** longest stretch between two holds, or from the last to a free end */
  free: number;
  /** something of the line stops it from rolling over */
  twist: boolean;
  /** nothing but its seats does: no joint and no brace */
  seatsOnly: boolean;
  /** something holds it along */
  along: boolean;
}

/** Pieces that carry as one, and where each lies along them. */
export interface Row {
  beams: readonly string[];
  spans: readonly { id: string; from: number; to: number; flipped: boolean }[];
}

/**
 * A seat holds against rolling only where its joint, tie-down or diaphragm does. A brace to another piece holds against twist, not
 * sideways: two loose girders tied together lean together. A brace to what is anchored holds as it is told to.
 */
export function heldOf(line: Row, moment: StructureMoment, by: Holds): Map<string, Held> {
  const spots: { beam: string; at: number }[] = [];
  let along = false;
  let seatsOnly = true;
  for (const id of line.beams) {
    for (const { support, at } of by.seats.get(id) ?? []) {
      if (!standsAt(moment, support.id)) continue;
      if (support.twist) spots.push({ beam: id, at });
      if (support.along === 'fixed') along = true;
    }
    for (const { joint, at, other } of by.joints.get(id) ?? []) {
      if (!isMade(jointAt(moment, joint.id)) || beamAt(moment, other).where === 'away') continue;
      if (joint.kind !== 'splice') {
        if (joint.a.piece === id && joint.kind !== 'seat') {
          spots.push({ beam: id, at });
          seatsOnly = false;
        }
        along = true;
      }
    }
    for (const { brace, at, other } of by.braces.get(id) ?? []) {
      if (!braceAt(moment, brace.id)) continue;
      const tied = other === null || beamAt(moment, other).where === 'set';
      if (tied && (other === null || brace.stops !== 'sideways')) {
        spots.push({ beam: id, at });
        seatsOnly = false;
      }
      if (other === null && brace.kind === 'guy') along = true;
    }
  }
  const spans = new Map(line.spans.map((one) => [one.id, one]));
  const whole = line.spans.at(-1)?.to ?? 0;
  const held = [
    ...new Set(
      spots.flatMap(({ beam, at }) => {
        const span = spans.get(beam);
        return span ? [span.flipped ? span.to - at : span.from + at] : [];
      }),
    ),
  ].sort((a, b) => a - b);
  return new Map(
    line.beams.map((id): [string, Held] => {
      const { from, to } = spans.get(id) ?? { from: 0, to: 0 };
      const edges = [0, ...held, whole];
      const free = edges.slice(1).reduce((most, edge, i) => (edge > from + 1e-9 && edges[i]! < to - 1e-9 ? Math.max(most, edge - edges[i]!) : most), 0);
      return [id, { places: held, free, twist: held.length > 0, seatsOnly, along }];
    }),
  );
}

export interface Holds {
  seats: Map<string, { support: Support; at: number; key: string }[]>;
  joints: Map<string, { joint: Joint; at: number; other: string }[]>;
  braces: Map<string, { brace: Brace; at: number; other: string | null }[]>;
  /** what may be put on it */
  puts: ReturnType<typeof putsOf>;
}

/** What sits at each piece, by its id. */
export function holdsOf(plan: Plan): Holds {
  const { structure } = plan;
  const holds: Holds = { seats: new Map(), joints: new Map(), braces: new Map(), puts: putsOf(plan) };
  const push = <T>(map: Map<string, T[]>, key: string, one: T) => void (map.get(key)?.push(one) ?? map.set(key, [one]));
  for (const support of structure.supports) support.seats.forEach(({ piece, at }, n) => push(holds.seats, piece, { support, at, key: `${support.id}/${n}` }));
  for (const joint of structure.joints) {
    push(holds.joints, joint.a.piece, { joint, at: joint.a.at, other: joint.b.piece });
    push(holds.joints, joint.b.piece, { joint, at: joint.b.at, other: joint.a.piece });
  }
  for (const brace of structure.braces) {
    push(holds.braces, brace.a.piece, { brace, at: brace.a.at, other: brace.b?.piece ?? null });
    if (brace.b) push(holds.braces, brace.b.piece, { brace, at: brace.b.at, other: brace.a.piece });
  }
  return holds;
}
