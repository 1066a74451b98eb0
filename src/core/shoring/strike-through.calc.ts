import { Type } from 'typebox';
import { solveContinuous } from '../beams/continuous';
import { closed, nonNegative, nullable, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { beamOnSprings } from './beam-on-springs';
import { Sag } from './sag';

interface Shore {
  joist: number;
  at: number;
  spring: number;
  load: number;
  passes: number | null;
}
interface Through {
  span: number;
  stiffness: number;
  joist: { length: number; line: number };
  joists: readonly { x: number; stiffness: number }[];
  shores: readonly Shore[];
}

const EPSILON = 1e-6;
const key = (x: number): number => Math.round(x * 1e6) / 1e6;

/** What the line, each standing shore (in their order) and the two far bearings take of a newton on the joist. */
interface Response {
  line: number;
  shares: number[];
  far: number;
}
/** A joist while some of its shores stand: joists alike in this answer alike, and are solved once. */
class Held {
  /** newtons at the line for a metre of its sinking, with no seat on the beam */
  readonly spring: number;
  /** of a newton let down onto the line, with no seat on the beam */
  readonly free: Response;
  private readonly fixed = new Map<number, Response>();
  constructor(
    private readonly joist: Through['joist'],
    private readonly stiffness: number,
    private readonly shores: readonly { at: number; spring: number }[],
  ) {
    const solved = this.solve([], joist.line);
    this.spring = 1 / (solved.deflection.find(({ x }) => x === joist.line)?.down ?? 0);
    this.free = this.respond(solved.reactions, 0);
  }
  /** Held at the line, of a newton at `x`. */
  heldAtLine(x: number): Response {
    const known = this.fixed.get(x);
    if (known) return known;
    const fresh = this.respond(this.solve([{ x: this.joist.line }], x).reactions, 1);
    this.fixed.set(x, fresh);
    return fresh;
  }
  private solve(seat: readonly { x: number }[], at: number) {
    const { joist, stiffness } = this;
    const supports = [{ x: 0 }, ...seat, ...this.shores.map((one) => ({ x: one.at, spring: one.spring })), { x: joist.length }];
    const solved = solveContinuous({ length: joist.length, stiffness, load: 0, supports, pointLoads: [{ x: at, force: 1 }], upliftFree: false });
    if (!solved.stable) refuse('joist', 'The joist does not stand on its far bearings: check the spans.');
    return solved;
  }
  private respond(reactions: readonly number[], seats: number): Response {
    return {
      line: seats > 0 ? (reactions[1] ?? 0) : 0,
      shares: this.shores.map((_, n) => reactions[1 + seats + n] ?? 0),
      far: (reactions[0] ?? 0) + (reactions[reactions.length - 1] ?? 0),
    };
  }
}

/**
 * Shores struck step by step where the joists run through over the line: every joist a beam on its far bearings, on the shores still
 * standing and on the new beam, which gives under it. At first the shores carry everything and the new beam nothing. A shore that
 * goes leaves its load on its joist; one of the storey above takes its load off the joist and brings it down on the line.
 * Joists and beam are taken as fixed to each other, as strikeSteps takes them: the beam, sinking, lets more down on the shores
 * still standing than if it could come away from under their joists.
 */
export const strikeThrough = defineCalc({
  id: 'shore.strikeThrough',
  title: 'What each shore carries while they are struck, joists running through',
  input: closed({
    span: positive('m', 'of the new beam, seat to seat'),
    stiffness: positive('N·m2', 'EI of the new beam'),
    joist: closed({ length: positive('m', 'far bearing to far bearing'), line: positive('m', 'left far bearing to the line') }),
    joists: Type.Array(closed({ x: nonNegative('m', 'from the left seat of the new beam'), stiffness: positive('N·m2', 'EI of the joist') }), {
      maxItems: 200,
    }),
    shores: Type.Array(
      closed({
        joist: Type.Integer({ minimum: 0 }),
        at: positive('m', 'along the joist from its left far bearing'),
        spring: nonNegative('N/m'),
        load: nonNegative('N', 'before the first is struck'),
        passes: nullable(nonNegative('N', 'onto the line when it goes, for a shore that stands on the joist; null: it holds the joist up')),
      }),
      { maxItems: 800 },
    ),
    steps: Type.Array(Type.Array(Type.Integer({ minimum: 0 })), { description: 'which shores go, by number from 0, step by step' }),
  }),
  output: closed({
    steps: Type.Array(closed({ shores: Type.Array(real('N')), left: real('N'), right: real('N'), far: real('N'), deflection: real('m') })),
  }),
  source: { basis: 'statics', text: 'Joists and beam as a grillage, stiffness method joist by joist (beam.continuous), shores as springs that only push' },
  compute(input) {
    const { span, stiffness, joist, joists, shores, steps } = input;
    if (!(joist.line < joist.length)) refuse('joist.line', `The line at ${joist.line} m is not inside the joist of ${joist.length} m.`);
    joists.forEach(({ x }, n) => {
      if (x > span) refuse(`joists[${n}].x`, `Joist ${n + 1} at ${x} m is past the span of ${span} m.`);
    });
    shores.forEach((shore, n) => {
      if (shore.joist >= joists.length) refuse(`shores[${n}].joist`, `Shore ${n + 1} stands at joist ${shore.joist + 1} and there are ${joists.length}.`);
      if (!(shore.at < joist.length)) refuse(`shores[${n}].at`, `Shore ${n + 1} at ${shore.at} m is past the joist of ${joist.length} m.`);
      if (shore.passes === null && !(shore.spring > 0)) refuse(`shores[${n}].spring`, `Shore ${n + 1} holds a joist up and has no stiffness.`);
    });
    const loads = shores.map((one) => one.load);
    const standing = shores.map(() => true);
    const sag = new Sag();
    const places = [...new Set(joists.map(({ x }) => key(x)))];
    const seats = { left: 0, right: 0, far: 0 };
    const solvedJoists = new Map<string, Held>();
    // Shores that hold a joist up, joist by joist; those of storeys above only stand on it.
    const under = joists.map((): { i: number; shore: Shore }[] => []);
    shores.forEach((shore, i) => {
      if (shore.passes === null) under[shore.joist]!.push({ i, shore });
    });
    const release = (gone: readonly number[]) => {
      let pending = gone.filter((i) => standing[i]);
      for (let round = 0; pending.length > 0; round += 1) {
        if (round > shores.length) refuse('steps', 'The shores go slack one after another and nothing settles: check the stiffnesses.');
        const onJoist = joists.map((): { x: number; force: number }[] => []);
        for (const i of pending) {
          const shore = shores[i]!;
          standing[i] = false;
          if (shore.passes === null) onJoist[shore.joist]!.push({ x: shore.at, force: loads[i] ?? 0 });
          else onJoist[shore.joist]!.push({ x: shore.at, force: -shore.load }, { x: joist.line, force: shore.passes });
          loads[i] = 0;
        }
        const holding = under.map((list) => list.filter(({ i }) => standing[i]));
        const gives = holding.map((held, j) => {
          const name = `${joists[j]!.stiffness};` + held.map(({ shore }) => `${shore.at} ${shore.spring}`).join(';');
          const known =
            solvedJoists.get(name) ??
            new Held(
              joist,
              joists[j]!.stiffness,
              held.map(({ shore }) => shore),
            );
          solvedJoists.set(name, known);
          return known;
        });
        // Held at the line under what the shores that go leave on it.
        const fixed = onJoist.map((list, j): Response => {
          const sum: Response = { line: 0, shares: holding[j]!.map(() => 0), far: 0 };
          for (const { x, force } of list) {
            if (Math.abs(force) <= EPSILON) continue;
            const one = gives[j]!.heldAtLine(x);
            sum.line += force * one.line;
            sum.far += force * one.far;
            one.shares.forEach((share, n) => (sum.shares[n] = (sum.shares[n] ?? 0) + force * share));
          }
          return sum;
        });
        const springs = new Map<number, number>();
        const forces = new Map<number, number>();
        joists.forEach(({ x }, j) => {
          springs.set(key(x), (springs.get(key(x)) ?? 0) + gives[j]!.spring);
          forces.set(key(x), (forces.get(key(x)) ?? 0) + fixed[j]!.line);
        });
        const solved = beamOnSprings({ span, stiffness }, springs, forces, places);
        if (!solved) refuse('span', 'The beam does not stand on its seats: check the span.');
        seats.left += solved.left;
        seats.right += solved.right;
        const down = new Map(solved.deflection.map((one) => [key(one.x), one.down]));
        sag.add(solved.deflection);
        joists.forEach(({ x }, j) => {
          const sinks = down.get(key(x)) ?? 0;
          // What the beam lets down by sinking under the joist goes back onto its shores and far bearings.
          const back = gives[j]!.spring * sinks;
          const { free } = gives[j]!;
          seats.far += fixed[j]!.far + back * free.far;
          holding[j]!.forEach(({ i }, n) => (loads[i] = (loads[i] ?? 0) + (fixed[j]!.shares[n] ?? 0) + back * (free.shares[n] ?? 0)));
        });
        pending = loads.flatMap((load, i) => (standing[i] && load < -EPSILON ? [i] : []));
      }
    };
    return {
      steps: steps.map((gone, s) => {
        gone.forEach((i, n) => {
          if (i >= shores.length) refuse(`steps[${s}][${n}]`, `Step ${s + 1} strikes shore ${i + 1} and there are ${shores.length}.`);
        });
        release(gone);
        return { shores: [...loads], ...seats, deflection: sag.greatest() };
      }),
    };
  },
  work: (i, o) => [
    {
      label: 'At first',
      numbers: phrase`${String(i.shores.length)} shores under ${String(i.joists.length)} joists that run through`,
      result: q(
        i.shores.reduce((sum, one) => sum + one.load, 0),
        'force',
      ),
    },
    ...o.steps.flatMap((step, n) => [
      {
        label: `Step ${n + 1}: most in one shore`,
        formula: 'load given up, shared by joist, shores and beam',
        result: q(Math.max(0, ...step.shores), 'force'),
      },
      {
        label: `Step ${n + 1}: on the beam’s seats; more at the far bearings`,
        numbers: phrase`${q(step.left, 'force')} + ${q(step.right, 'force')}; ${q(step.far, 'force')}`,
        result: q(step.left + step.right, 'force'),
      },
      { label: `Step ${n + 1}: beam sags`, result: q(step.deflection, 'dimension') },
    ]),
  ],
});
