import { Type, type Static } from 'typebox';
import { defineCalc, refuse } from '../calc/define';
import { closed, nonNegative, oneOf, positive, real } from '../calc/fields';
import { q, type WorkLine } from '../calc/work';
import { solveLine, type LineJoint, type LinePiece, type LineStands, type LineSupport } from './line';

const named = (description?: string) => Type.String({ minLength: 1, maxLength: 64, ...(description ? { description } : {}) });

const stepSchema = Type.Union([
  closed({ do: Type.Literal('support'), id: named('a support comes to stand') }),
  closed({ do: Type.Literal('remove'), id: named('a support goes') }),
  closed({ do: Type.Literal('set'), id: named('a piece is set on what stands') }),
  closed({ do: Type.Literal('pin'), x: real('m', { description: 'the two ends there are drawn to one height' }) }),
  closed({
    do: Type.Literal('join'),
    x: real('m'),
    fit: oneOf(['asLies', 'drawn'], 'the angle between the ends is held as it lies, or drawn to none'),
  }),
  closed({ do: Type.Literal('free'), x: real('m', { description: 'pin or join there is undone' }) }),
  closed({ do: Type.Literal('load'), x: real('m'), force: real('N', { description: 'downwards' }) }),
  closed({ do: Type.Literal('level'), id: named('a support is raised or lowered'), level: real('m') }),
]);

const input = closed({
  pieces: Type.Array(closed({ id: named(), from: real('m'), to: real('m'), stiffness: positive('N·m2', 'EI'), load: nonNegative('N/m', 'downwards') }), {
    minItems: 1,
    maxItems: 2000,
    description: 'straight and unstressed by themselves',
  }),
  supports: Type.Array(
    closed({
      id: named(),
      x: real('m'),
      level: Type.Optional(real('m', { description: 'absolute; left out: 0' })),
      spring: Type.Optional(positive('N/m', 'left out: it does not give')),
      tie: Type.Optional(Type.Boolean({ description: 'it holds down as well' })),
    }),
    { maxItems: 2000 },
  ),
  steps: Type.Array(stepSchema, { maxItems: 5000 }),
});
type Input = Static<typeof input>;

const SAME = 1e-9;
const meet = (a: number, b: number): boolean => Math.abs(a - b) < SAME;

/** What stands now: the stage that is solved. */
interface Now {
  set: Set<string>;
  standing: Set<string>;
  levels: Map<string, number>;
  joints: LineJoint[];
  loads: { x: number; force: number }[];
}

/** Everything about the drawing that cannot be, before the first step. */
function refuseDrawing({ pieces, supports }: Input): void {
  const known = new Map<string, string>();
  pieces.forEach(({ id, from, to }, i) => {
    if (known.has(id)) refuse(`pieces[${i}].id`, `Piece ${id} is there twice: give each its own id.`);
    known.set(id, 'piece');
    if (!(to > from + SAME)) refuse(`pieces[${i}].to`, `Piece ${id} goes from ${from} m to ${to} m: make “to” the larger.`);
  });
  const order = [...pieces].sort((a, b) => a.from - b.from);
  order.slice(1).forEach((piece, i) => {
    const before = order[i]!;
    if (piece.from < before.to - SAME)
      refuse(
        `pieces[${pieces.indexOf(piece)}].from`,
        `Pieces ${before.id} and ${piece.id} overlap between ${piece.from} m and ${before.to} m: lay them end to end.`,
      );
  });
  const seats = new Set<string>();
  supports.forEach(({ id, x }, i) => {
    if (seats.has(id)) refuse(`supports[${i}].id`, `Support ${id} is there twice: give each its own id.`);
    seats.add(id);
    const other = supports.findIndex((one, n) => n < i && meet(one.x, x));
    if (other >= 0) refuse(`supports[${i}].x`, `Supports ${supports[other]!.id} and ${id} are both at ${x} m: give one.`);
    const [left, right] = [pieces.find((one) => meet(one.to, x)), pieces.find((one) => meet(one.from, x))];
    if (left && right) refuse(`supports[${i}].x`, `Support ${id} is at ${x} m, exactly where ${left.id} and ${right.id} meet: put a seat under each end.`);
  });
}

function take(input: Input, now: Now, step: Input['steps'][number], i: number, last: LineStands | null): void {
  const place = `steps[${i}]`;
  const supportOf = (id: string): Input['supports'][number] =>
    input.supports.find((one) => one.id === id) ?? refuse(`${place}.id`, `There is no support ${id}: name one of the supports.`);
  const joinedAt = (x: number): number => now.joints.findIndex((one) => meet(one.x, x));
  const endsAt = (x: number): [string, string] => {
    const [left, right] = [input.pieces.find((one) => meet(one.to, x)), input.pieces.find((one) => meet(one.from, x))];
    if (!left || !right) return refuse(`${place}.x`, `No two pieces meet at ${x} m: give the place where one ends and the next begins.`);
    for (const { id } of [left, right]) if (!now.set.has(id)) refuse(`${place}.x`, `Piece ${id} is not set yet: set it before its end is joined.`);
    return [left.id, right.id];
  };
  switch (step.do) {
    case 'support':
      supportOf(step.id);
      if (now.standing.has(step.id)) refuse(`${place}.id`, `Support ${step.id} stands already.`);
      now.standing.add(step.id);
      return;
    case 'remove':
      supportOf(step.id);
      if (!now.standing.delete(step.id)) refuse(`${place}.id`, `Support ${step.id} does not stand: it cannot be taken away.`);
      return;
    case 'set':
      if (!input.pieces.some((one) => one.id === step.id)) refuse(`${place}.id`, `There is no piece ${step.id}: name one of the pieces.`);
      if (now.set.has(step.id)) refuse(`${place}.id`, `Piece ${step.id} is set already.`);
      now.set.add(step.id);
      return;
    case 'level':
      supportOf(step.id);
      now.levels.set(step.id, step.level);
      return;
    case 'load': {
      const under = input.pieces.filter(({ id, from, to }) => now.set.has(id) && step.x > from - SAME && step.x < to + SAME);
      if (under.length === 0) refuse(`${place}.x`, `No set piece is at ${step.x} m: set it before it is loaded.`);
      if (under.length > 1 && joinedAt(step.x) < 0)
        refuse(`${place}.x`, `Two ends are at ${step.x} m and are not joined: put the load a little to one side, on the piece it stands on.`);
      now.loads.push({ x: step.x, force: step.force });
      return;
    }
    case 'free': {
      const at = joinedAt(step.x);
      if (at < 0) refuse(`${place}.x`, `Nothing is pinned or joined at ${step.x} m.`);
      if (now.loads.some(({ x }) => meet(x, step.x)))
        refuse(`${place}.x`, `A load stands on the joint at ${step.x} m: put it to one side before the ends are freed.`);
      now.joints.splice(at, 1);
      return;
    }
    case 'pin':
    case 'join': {
      const [left, right] = endsAt(step.x);
      const at = joinedAt(step.x);
      if (at >= 0 && (step.do === 'pin' || now.joints[at]!.angle !== null))
        refuse(`${place}.x`, `The ends at ${step.x} m are joined already: free them first.`);
      const lies = (last?.pieces.get(right)?.left.slope ?? 0) - (last?.pieces.get(left)?.right.slope ?? 0);
      if (at >= 0) now.joints.splice(at, 1);
      now.joints.push({ x: step.x, angle: step.do === 'pin' ? null : step.fit === 'drawn' ? 0 : lies });
      return;
    }
  }
}

function stageOf({ pieces, supports }: Input, now: Now): { pieces: LinePiece[]; supports: LineSupport[] } {
  const set = pieces.filter(({ id }) => now.set.has(id));
  const loaded = new Set<number>();
  return {
    pieces: set.map(({ id, from, to, stiffness, load }) => ({
      id,
      from,
      to,
      stretches: [{ to, stiffness, load }],
      // A load where two joined ends meet stands on one of them.
      loads: now.loads.filter(({ x }, n) => x > from - SAME && x < to + SAME && !loaded.has(n) && loaded.add(n)),
    })),
    supports: supports
      .filter(({ id, x }) => now.standing.has(id) && set.some(({ from, to }) => x > from - SAME && x < to + SAME))
      .map(({ id, x, level, spring, tie }) => ({ id, x, level: now.levels.get(id) ?? level ?? 0, spring: spring ?? null, tie: tie ?? false })),
  };
}

const output = closed({
  steps: Type.Array(
    closed({
      stable: Type.Boolean(),
      reactions: Type.Optional(Type.Record(Type.String(), real('N'))),
      sagging: Type.Optional(nonNegative('N·m')),
      hogging: Type.Optional(nonNegative('N·m')),
    }),
    { description: 'one for each step, up to the first that does not stand' },
  ),
});

export const stageLine = defineCalc({
  id: 'stage.line',
  title: 'Pieces on a line, step by step',
  input,
  output,
  source: { basis: 'statics', text: 'Stiffness method (Euler beam) on the whole of what stands at each step, contact by active set' },
  compute(input) {
    refuseDrawing(input);
    const now: Now = { set: new Set(), standing: new Set(), levels: new Map(), joints: [], loads: [] };
    const steps: Static<typeof output>['steps'] = [];
    let last: LineStands | null = null;
    for (const [i, step] of input.steps.entries()) {
      take(input, now, step, i, last);
      const { pieces, supports } = stageOf(input, now);
      const answer = solveLine(pieces, supports, now.joints);
      if (!answer.stable) {
        steps.push({ stable: false });
        break;
      }
      last = answer;
      steps.push({ stable: true, reactions: Object.fromEntries(answer.reactions), sagging: answer.sagging, hogging: answer.hogging });
    }
    return { steps };
  },
  work: (i, o) =>
    o.steps.flatMap((step, n): WorkLine[] => {
      const label = `${n + 1}. ${stepWords(i.steps[n]!)}`;
      if (!step.stable) return [{ label, result: 'it does not stand' }];
      return [
        { label, formula: 'sagging, hogging', result: q(step.sagging ?? 0, 'moment') },
        ...Object.entries(step.reactions ?? {}).map(([id, reaction]) => ({
          label: `support ${id}`,
          formula: reaction === 0 ? 'does not touch' : 'pushes',
          result: q(reaction, 'force'),
        })),
      ];
    }),
});

function stepWords(step: Input['steps'][number]): string {
  switch (step.do) {
    case 'support':
      return `${step.id} stands`;
    case 'remove':
      return `${step.id} is taken away`;
    case 'set':
      return `${step.id} is set`;
    case 'level':
      return `${step.id} is brought to another level`;
    case 'load':
      return 'a load comes on';
    case 'free':
      return 'the joint is freed';
    case 'pin':
      return 'the ends are pinned';
    case 'join':
      return step.fit === 'drawn' ? 'the ends are drawn straight and joined' : 'the ends are joined as they lie';
  }
}
