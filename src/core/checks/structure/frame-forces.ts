import type { SwayAnswer, SwayLoad } from '../../frame/sway-frame';
import { leaningsOf } from '../../replay/answers';
import type { StructureMoment } from '../../replay/moment';
import { AIR_DENSITY } from '../../settle/wind';
import { frameOf, type FrameAsked, type FrameModel, type Portal } from './frame-model';
import type { Ground } from './ground';

/** Winds are tried from so many directions, the first along the first beam. */
const WINDS = 8;

/** Columns and beams that are joined, in an order of their own, with a beam to look along. */
export interface FrameParts {
  members: readonly string[];
  columns: readonly string[];
  /** null: columns alone */
  beam: string | null;
}

/** A frame and how it leans in each wind (null: nobody has said how hard it blows), or what is not known of it; null: none of it stands. */
export type FrameForces = { model: FrameModel; winds: readonly Wind[] | null } | FrameAsked | null;

export interface Wind {
  load: SwayLoad;
  answer: SwayAnswer;
}

function windsOf({ context, beams }: Ground, { beam, columns }: FrameParts, model: FrameModel, gust: number): Wind[] {
  const { rules } = context;
  const pressure = 0.5 * AIR_DENSITY * gust ** 2 * rules.value('girderDrag') * rules.value('windFactor');
  const along = (beam === null ? null : beams.get(beam)!.place!.along) ?? { x: 1, y: 0 };
  const start = Math.atan2(along.y, along.x);
  // A column by itself stands alike whichever way the wind blows.
  const count = columns.length === 1 && model.braces.length === 0 ? 2 : WINDS;
  const loads = Array.from({ length: count }, (_, i) => {
    const turn = start + (2 * Math.PI * i) / count;
    return model.push({ x: Math.cos(turn), y: Math.sin(turn) }, pressure, rules.value('lean'));
  });
  const answers = leaningsOf(model.frame, loads);
  return loads.map((load, i) => ({ load, answer: answers[i]! }));
}

/** How a frame leans as it stands after a move. */
export function frameForces(ground: Ground, parts: FrameParts, moment: StructureMoment): FrameForces {
  const found = frameOf(ground, parts.members, parts.columns, moment);
  if (found === null || 'question' in found) return found;
  const { gust } = ground.wind;
  return { model: found, winds: gust === null ? null : windsOf(ground, parts, found, gust) };
}

/** The same frame told of the things as they are now: what they may carry is another, and nothing by which it leans. */
export function toldAnew(forces: FrameForces, { beams, latest, context }: Ground): FrameForces {
  if (forces === null || 'question' in forces) return forces;
  const { model } = forces;
  const { structure } = context.plan;
  if (model.of === structure) return forces;
  const supports = new Map(structure.supports.map((one) => [one.id, one]));
  const joints = new Map(structure.joints.map((one) => [one.id, one]));
  const braces = new Map(structure.braces.map((one) => [one.id, one]));
  const joint = <T extends { id: string }>({ id }: T) => joints.get(id)!;
  const portal = ({ line, length, ends }: Portal): Portal => ({
    line: latest.get(line.beams[0]!)!,
    length,
    ends: { a: { ...ends.a, joint: joint(ends.a.joint) }, b: { ...ends.b, joint: joint(ends.b.joint) } },
  });
  return {
    winds: forces.winds,
    model: {
      ...model,
      of: structure,
      stacks: model.stacks.map((stack) => ({
        ...stack,
        pieces: stack.pieces.map(({ beam }) => beams.get(beam.id)!),
        on: 'support' in stack.on ? { support: supports.get(stack.on.support.id)! } : { joint: joint(stack.on.joint) },
      })),
      braces: model.braces.map(({ brace, drags }) => ({ brace: braces.get(brace.id)!, drags })),
      diagonals: {
        from: model.diagonals.from,
        all: model.diagonals.all.map(({ diagonal, drags }) => ({
          drags,
          diagonal: { ...diagonal, settled: beams.get(diagonal.settled.beam.id)!, low: joint(diagonal.low), high: joint(diagonal.high) },
        })),
      },
      ties: model.ties.map((one) => ({ joints: one.joints.map(({ brings, joint: own }) => ({ brings, joint: joint(own) })) })),
      rails: model.rails.map(portal),
      rafters: model.rafters.map(portal),
    },
  };
}
