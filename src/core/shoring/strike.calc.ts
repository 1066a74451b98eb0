import { Type } from 'typebox';
import { closed, nonNegative, nullable, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import type { Bent } from '../beams/continuous';
import { beamOnSprings } from './beam-on-springs';
import { Sag } from './sag';

/** Shores within a centimetre stand at one place. */
const key = (x: number): number => Math.round(x * 1e2) / 1e2;

interface Shore {
  x: number;
  spring: number;
  load: number;
  passes?: number | null;
}

/** A shore of a storey above stands on the floor: it shares nothing out, and going, it lets down onto the line what it held there. */
const standsOnFloor = ({ passes }: Shore): boolean => passes !== null && passes !== undefined;

/** Release some shores: what they carried goes onto the beam and the shores still standing, by stiffness. */
function release(span: number, stiffness: number, shores: readonly Shore[], loads: number[], standing: boolean[], gone: readonly number[]) {
  const seats = { left: 0, right: 0 };
  const bends: Bent[][] = [];
  const places = new Map<number, number[]>();
  shores.forEach(({ x }, i) => places.set(key(x), [...(places.get(key(x)) ?? []), i]));
  let pending = gone.filter((i) => standing[i]);
  for (let round = 0; pending.length > 0; round += 1) {
    if (round > shores.length) refuse('steps', 'The shores go slack one after another and the beam does not settle: check the stiffnesses.');
    const forces = new Map<number, number>();
    for (const i of pending) {
      standing[i] = false;
      const { x, passes } = shores[i]!;
      forces.set(key(x), (forces.get(key(x)) ?? 0) + (passes === null || passes === undefined ? (loads[i] ?? 0) : passes - (loads[i] ?? 0)));
      loads[i] = 0;
    }
    if ([...forces.values()].every((force) => Math.abs(force) < 1e-6)) break;
    const springs = new Map<number, number>();
    shores.forEach(({ x, spring }, i) => {
      if (standing[i] && spring > 0) springs.set(key(x), (springs.get(key(x)) ?? 0) + spring);
    });
    const solved = beamOnSprings({ span, stiffness }, springs, forces, [...places.keys()]);
    if (!solved) refuse('shores', 'The beam does not stand on its seats: check the span.');
    for (const [x, reaction] of solved.springs)
      for (const i of places.get(x) ?? [])
        if (standing[i] && !standsOnFloor(shores[i]!)) loads[i] = (loads[i] ?? 0) + (reaction * shores[i]!.spring) / (springs.get(x) ?? 1);
    seats.left += solved.left;
    seats.right += solved.right;
    bends.push(solved.deflection);
    // A shore the beam springs up from carries nothing: what it would have pulled goes back onto the others.
    pending = loads.flatMap((load, i) => (standing[i] && load < -1e-6 ? [i] : []));
  }
  return { seats, bends };
}

/**
 * Shores struck step by step under the new beam. At first they carry everything and the beam nothing; each shore that goes gives
 * its load to the beam and to the shores still standing, by stiffness. Nothing is lost: shores and seats always sum to the load.
 */
export const strikeSteps = defineCalc({
  id: 'shore.strike',
  title: 'What each shore carries while they are struck',
  input: closed({
    span: positive('m', 'seat to seat'),
    stiffness: positive('N·m2', 'EI of the new beam'),
    shores: Type.Array(
      closed({
        x: nonNegative('m', 'from the left seat'),
        spring: nonNegative('N/m', 'brought to the line; 0 only where it passes its load on'),
        load: real('N', { description: 'at the line, before the first is struck' }),
        passes: Type.Optional(
          nullable(nonNegative('N', 'onto the line when it goes, for a shore of the storey above that stands on the floor; null: it holds the floor up')),
        ),
      }),
      { maxItems: 400 },
    ),
    steps: Type.Array(Type.Array(Type.Integer({ minimum: 0 })), { description: 'which shores go, by number from 0, step by step' }),
  }),
  output: closed({
    steps: Type.Array(closed({ shores: Type.Array(real('N')), left: real('N'), right: real('N'), deflection: real('m') })),
  }),
  source: { basis: 'statics', text: 'Stiffness method step by step, shores as springs (beam.continuous)' },
  compute({ span, stiffness, shores, steps }) {
    shores.forEach(({ x, spring }, n) => {
      if (!(spring > 0) && !standsOnFloor(shores[n]!)) refuse(`shores[${n}].spring`, `Shore ${n + 1} holds the floor up and has no stiffness.`);
      if (x > span) refuse(`shores[${n}].x`, `Shore ${n + 1} at ${x} m is past the span of ${span} m.`);
    });
    const loads = shores.map((one) => one.load);
    const standing = shores.map(() => true);
    // A shore right at a seat never loads the beam: its load goes straight into the seat.
    const seats = { left: 0, right: 0 };
    const sag = new Sag();
    return {
      steps: steps.map((gone, s) => {
        gone.forEach((i, n) => {
          if (i >= shores.length) refuse(`steps[${s}][${n}]`, `Step ${s + 1} strikes shore ${i + 1} and there are ${shores.length}.`);
        });
        const more = release(span, stiffness, shores, loads, standing, gone);
        seats.left += more.seats.left;
        seats.right += more.seats.right;
        more.bends.forEach((bend) => sag.add(bend));
        return { shores: [...loads], left: seats.left, right: seats.right, deflection: sag.greatest() };
      }),
    };
  },
  work: (i, o) => [
    {
      label: 'At first',
      numbers: phrase`${String(i.shores.length)} shores`,
      result: q(
        i.shores.reduce((sum, one) => sum + one.load, 0),
        'force',
      ),
    },
    ...o.steps.flatMap((step, n) => [
      { label: `Step ${n + 1}: most in one shore`, formula: 'load given up, shared by stiffness', result: q(Math.max(0, ...step.shores), 'force') },
      {
        label: `Step ${n + 1}: on the beam’s seats`,
        numbers: phrase`${q(step.left, 'force')} + ${q(step.right, 'force')}`,
        result: q(step.left + step.right, 'force'),
      },
      { label: `Step ${n + 1}: beam sags`, result: q(step.deflection, 'dimension') },
    ]),
  ],
});
