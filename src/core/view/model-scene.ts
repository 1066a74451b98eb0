import { Missing } from '../verdict/missing';
import type { Check } from '../verdict/check';
import type { Plan } from '../document/schema';
import { rulesOf } from '../rules/rule-sets';
import { settleBeams, type SettledBeam } from '../settle/model';
import { pointAt, type Point } from '../document/place';
import { beamAt, braceAt, supportAt, type StructureMoment } from '../replay/moment';
import { rollingPose } from '../checks/launch/pose';
import { LIFTED } from './structure-shapes';

/** How a piece stands at a moment: not there yet, on the rollers of its launch, on the hook, in place. */
export type Stands = 'away' | 'rolling' | 'hanging' | 'set';

/** A piece as a body: plates along its axis, each with its height and width, and how far its middle lies off the middle of the piece. */
export interface Body {
  id: string;
  mark: string;
  stands: Stands;
  /** the worst that is asked of it at the moment, where that is a stop */
  stopped: boolean;
  /** the middle of its first and of its last section */
  from: Point;
  to: Point;
  depth: number;
  width: number;
  plates: { up: number; side: number; height: number; width: number }[];
}

/** A brace or a rope from place to place. */
export interface Tie {
  id: string;
  name: string;
  in: boolean;
  from: Point;
  to: Point;
}

export interface Foot {
  id: string;
  name: string;
  stands: boolean;
  struck: boolean;
  at: Point;
  size: number;
}

/** The structure at a moment, in space. */
export interface ModelScene {
  bodies: Body[];
  ties: Tie[];
  feet: Foot[];
  min: Point;
  max: Point;
}

/** A rope whose slope nobody has said is drawn so long, level [m]. */
const ROPE = 4;

export function modelScene(plan: Plan, moment: StructureMoment, here: readonly Check[]): ModelScene {
  const beams = settleBeams(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds));
  const rolling = rollingPose(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds), moment);
  const stopped = new Set(here.flatMap(({ verdict, about }) => (verdict === 'stop' && about.kind === 'beam' ? [about.id] : [])));
  const bodies = [...beams.values()].flatMap((settled): Body[] => {
    const { place, beam } = settled;
    if (!place) return [];
    const stands = beamAt(moment, beam.id).where;
    const { depth, width, plates } = platesOf(settled);
    // A beam’s place is its underside, a column’s its axis.
    const up = (place.upright ? 0 : depth / 2) + (stands === 'hanging' ? LIFTED : 0);
    const by = rolling.shift.get(beam.id) ?? { x: 0, y: 0, z: 0 };
    const lifted = ({ x, y, z }: Point): Point => ({ x: x + by.x, y: y + by.y, z: z + by.z + up });
    return [{ id: beam.id, mark: beam.mark, stands, stopped: stopped.has(beam.id), from: lifted(place.from), to: lifted(place.to), depth, width, plates }];
  });
  const byId = new Map(bodies.map((one) => [one.id, one]));
  /** on the axis of the body, where a brace is fixed to its piece */
  const spot = ({ piece, at }: { piece: string; at: number }): Point | null => {
    const body = byId.get(piece);
    const place = beams.get(piece)?.place;
    return body && place ? pointAt({ ...place, from: body.from, to: body.to }, Math.min(at, place.length)) : null;
  };
  const ties = plan.structure.braces.flatMap((brace): Tie[] => {
    const from = spot(brace.a);
    const to = brace.b ? spot(brace.b) : from && ropeEnd(from, brace.towardsDeg, brace.slopeDeg ?? null);
    return from && to ? [{ id: brace.id, name: brace.name, in: braceAt(moment, brace.id), from, to }] : [];
  });
  for (const { line, from, to } of rolling.noses) ties.push({ id: `nose ${line}`, name: 'Nose', in: true, from, to });
  const feet = plan.structure.supports.flatMap((support): Foot[] =>
    support.seats.flatMap(({ piece, at }) => {
      const place = beams.get(piece)?.place;
      if (!place) return [];
      const { stands, struck } = supportAt(moment, support.id);
      return [
        {
          id: support.id,
          name: support.name,
          stands,
          struck,
          at: pointAt(place, Math.min(at, place.length)),
          size: Math.max(support.seatLength ?? 0, support.seatWidth ?? 0, 0.35),
        },
      ];
    }),
  );
  const points = [...bodies.flatMap(({ from, to }) => [from, to]), ...ties.flatMap(({ to }) => [to]), ...feet.map(({ at }) => at)];
  const bound = (pick: (...values: number[]) => number, none: number): Point =>
    points.length === 0 ? { x: none, y: none, z: none } : points.reduce((a, b) => ({ x: pick(a.x, b.x), y: pick(a.y, b.y), z: pick(a.z, b.z) }));
  return { bodies, ties, feet, min: bound(Math.min, 0), max: bound(Math.max, 1) };
}

/** Down to the level of the feet is not known here: a rope is drawn as far as it is told to go. */
function ropeEnd(from: Point, towardsDeg: number | null, slopeDeg: number | null): Point | null {
  if (towardsDeg === null) return null;
  const turn = (towardsDeg * Math.PI) / 180;
  const slope = ((slopeDeg ?? 0) * Math.PI) / 180;
  // To the ground at level 0 where it slopes and starts above it.
  const long = slope > 0 && from.z > 0 ? Math.min(from.z / Math.tan(slope), 60) : ROPE;
  return { x: from.x + long * Math.cos(turn), y: from.y + long * Math.sin(turn), z: from.z - long * Math.tan(slope) };
}

/** The plates of an I; a block where the section is another or not known. */
function platesOf({ section }: SettledBeam): Pick<Body, 'depth' | 'width' | 'plates'> {
  if (section instanceof Missing) return { depth: 0.3, width: 0.2, plates: [{ up: 0, side: 0, height: 0.3, width: 0.2 }] };
  const { depth, width, flange, web, family } = section;
  if (!flange || !web || family === 'HSS' || depth <= 2 * flange || width <= web) return { depth, width, plates: [{ up: 0, side: 0, height: depth, width }] };
  return {
    depth,
    width,
    plates: [
      { up: (depth - flange) / 2, side: 0, height: flange, width },
      { up: 0, side: 0, height: depth - 2 * flange, width: web },
      { up: (flange - depth) / 2, side: 0, height: flange, width },
    ],
  };
}
