import { applyCommand } from '../apply';
import { unknownCrane } from '../../document/new-plan';
import { liftsFrom } from '../../checks/lift/plan-lifts';
import type { Move, Plan, Stand } from '../../document/schema';

/** How far beside what is built a crane is drawn until somebody says where it stands [m]. */
const BESIDE = 10;

/** A stand beside what is built, so far along it: where it really is, is asked. */
function beside({ structure }: Plan, id: string, name: string, crane: string, along: number): Stand {
  const ends = structure.pieces.flatMap(({ from, to }) => [from, to]).filter((end) => end !== null);
  const xs = ends.map(({ x }) => x);
  const [low, high] = [Math.min(...xs), Math.max(...xs)];
  return {
    id,
    unsaid: ['at', 'azimuthDeg'],
    name,
    crane,
    at: { x: Math.round((low + (high - low) * along) * 10) / 10, y: Math.min(...ends.map(({ y }) => y)) - BESIDE },
    azimuthDeg: 0,
    padArea: null,
    groundAllowable: null,
  };
}

/** Every piece lifted from the first stand of a plan. */
function lifted(standing: Plan): Plan {
  const made = new Map<string, number>();
  const lifts = liftsFrom(standing, standing.stands[0]!.id, (prefix) => {
    const n = (made.get(prefix) ?? 0) + 1;
    made.set(prefix, n);
    return `${prefix}${n}`;
  });
  if (!lifts) return standing;
  const done = applyCommand(standing, { name: 'planLifts', args: lifts });
  if (!done.ok) throw new Error(done.faults[0]!.error);
  return done.plan;
}

/** The plan with one crane beside it, at one stand, that lifts every piece: all its measures, its chart and its place are asked for. */
export const liftedByOne = (plan: Plan): Plan =>
  lifted({ ...plan, cranes: [{ ...unknownCrane(), id: 'c1' }], stands: [beside(plan, 's1', 'Stand 1', 'c1', 0.5)] });

/** The plan with two cranes beside it, each at one end of what is built, that lift every piece between them. */
export function liftedByTwo(plan: Plan): Plan {
  const crane = unknownCrane();
  const done = lifted({
    ...plan,
    cranes: [
      { ...crane, id: 'c1', name: 'Crane 1' },
      { ...crane, id: 'c2', name: 'Crane 2' },
    ],
    stands: [beside(plan, 's1', 'Stand 1', 'c1', 0.15), beside(plan, 's2', 'Stand 2', 'c2', 0.85)],
  });
  // The second crane comes and goes with the first.
  const moves = done.moves.flatMap((move): Move[] =>
    (move.kind === 'crane.set' || move.kind === 'crane.leave') && move.stand === 's1' ? [move, { id: `${move.id}-2`, kind: move.kind, stand: 's2' }] : [move],
  );
  const second = { stand: 's2', boom: null, slingRating: null, riggingMass: null };
  return { ...done, moves, picks: done.picks.map((pick) => ({ ...pick, second })) };
}
