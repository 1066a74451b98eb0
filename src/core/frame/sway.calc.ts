import { Type } from 'typebox';
import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { q } from '../calc/work';
import { swayIn } from './sway';
import type { SwayAnswer } from './sway-frame';

const spot = () =>
  Type.Array(closed({ column: Type.Integer({ minimum: 0 }), node: Type.Integer({ minimum: 0 }), share: real('1', { minimum: -10, maximum: 10 }) }), {
    minItems: 1,
    maxItems: 4,
    description: 'a node of a column, or a place between nodes by their shares',
  });
const node = () => closed({ column: Type.Integer({ minimum: 0 }), node: Type.Integer({ minimum: 0 }) });
const named = () => Type.String({ minLength: 1, maxLength: 200 });

type Nodes = { nodes: { down: number; pushX: number; pushY: number }[] };
const total = (columns: readonly Nodes[], of: 'down' | 'pushX' | 'pushY'): number =>
  columns.reduce((sum, { nodes }) => sum + nodes.reduce((all, one) => all + one[of], 0), 0);

/** Plumb columns joined by beams and held by ropes, struts and their own feet, pushed sideways. */
export const frameSway = defineCalc({
  id: 'frame.sway',
  title: 'Frame pushed sideways',
  input: closed({
    columns: Type.Array(
      closed({
        id: named(),
        x: real('m'),
        y: real('m'),
        stiffness: positive('N·m2', 'EI about the weaker axis'),
        ways: Type.Optional(
          Type.Union([closed({ x: positive('N·m2'), y: positive('N·m2') }), Type.Null()], {
            description: 'EI against leaning along x and along y, where it is known how it stands about its own axis; null: the weaker axis both ways',
          }),
        ),
        canStand: Type.Boolean({ description: 'its foot may hold a moment where nothing else holds it' }),
        rides: Type.Optional(
          Type.Union([spot(), Type.Null()], { description: 'where on the frame it stands, on a beam, turning freely there; null: on the ground' }),
        ),
        nodes: Type.Array(closed({ z: positive('m', 'above the foot, from the lowest up'), down: real('N'), pushX: real('N'), pushY: real('N') }), {
          minItems: 1,
          maxItems: 60,
        }),
      }),
      { minItems: 1, maxItems: 2000 },
    ),
    ties: Type.Array(closed({ id: named(), a: spot(), b: spot(), stiffness: positive('N/m', 'EA/L') }), { maxItems: 20000 }),
    braces: Type.Array(
      closed({
        id: named(),
        a: spot(),
        b: Type.Union([spot(), Type.Null()], { description: 'null: tied to what does not move' }),
        towards: closed({ x: real('1'), y: real('1'), z: real('1') }),
        stiffness: positive('N/m', 'along itself'),
        pullsOnly: Type.Boolean(),
      }),
      { maxItems: 20000 },
    ),
    rails: Type.Optional(
      Type.Array(
        closed({
          id: named(),
          a: node(),
          b: node(),
          stiffness: positive('N·m2', 'EI of the beam in its upright plane'),
          keeps: closed({ a: Type.Boolean({ description: 'this end keeps its angle to the column' }), b: Type.Boolean() }),
          ends: closed({ a: real('N·m', { description: 'what its load hogs this end with while both are held from turning' }), b: real('N·m') }),
        }),
        { maxItems: 20000, description: 'level beams stiffly joined to columns' },
      ),
    ),
    rafters: Type.Optional(
      Type.Array(
        closed({
          id: named(),
          a: node(),
          b: node(),
          keeps: closed({ a: Type.Boolean({ description: 'this end keeps its angle to the column' }), b: Type.Boolean() }),
          legs: Type.Array(
            closed({
              from: real('m', { description: 'along, seen from above' }),
              to: real('m'),
              low: real('m', { description: 'where it begins, above the line between its columns' }),
              high: real('m', { description: 'where it ends' }),
              stiffness: positive('N·m2', 'EI in its upright plane'),
            }),
            { minItems: 1, maxItems: 60 },
          ),
          pin: Type.Union([Type.Integer({ minimum: 0, maximum: 58 }), Type.Null()], { description: 'the leg whose far end turns freely; null: none' }),
          gives: closed({
            near: real('m', { description: 'how far its load brings its ends nearer while they turn and move freely' }),
            a: real('rad', { description: 'how its load turns this end, up positive' }),
            b: real('rad'),
            atPin: real('N·m', { description: 'what its load sags it where it is pinned, if it were not' }),
          }),
        }),
        { maxItems: 20000, description: 'rafters between two columns, bent in one upright plane' },
      ),
    ),
  }),
  output: closed({
    alpha: Type.Union([nonNegative('1'), Type.Null()], { description: 'the weights times this sway the frame by themselves; null: nothing weighs on it' }),
    drift: nonNegative('m'),
    braces: Type.Array(closed({ id: named(), pull: real('N') })),
    ties: Type.Array(closed({ id: named(), pull: real('N') })),
    rails: Type.Array(closed({ id: named(), a: real('N·m', { description: 'hogging positive' }), b: real('N·m') })),
    rafters: Type.Array(
      closed({ id: named(), thrust: real('N', { description: 'pressed positive' }), a: real('N·m', { description: 'hogging positive' }), b: real('N·m') }),
    ),
    columns: Type.Array(
      closed({
        id: named(),
        moment: nonNegative('N·m'),
        momentX: nonNegative('N·m', 'as it leans along x'),
        momentY: nonNegative('N·m'),
        footMoment: nonNegative('N·m'),
        shear: nonNegative('N'),
        standsX: Type.Boolean(),
        standsY: Type.Boolean(),
      }),
    ),
  }),
  source: {
    basis: 'statics',
    text: 'Equilibrium in the moved place (second order): columns elastic, beams as ties or, stiffly joined, bent by the turning of their ends (4EI/L, 2EI/L), rafters by what they give (∫ m·m/EI), ropes pull only; a column on a beam turns freely at its foot and goes where that goes; a cantilever sways at π²EI/4L²',
  },
  compute({ columns, ties, braces, rails = [], rafters = [] }) {
    const known = ({ column, node }: { column: number; node: number }) => node < (columns[column]?.nodes.length ?? 0);
    for (const { id, a, b } of [...ties, ...braces]) if (![...a, ...(b ?? [])].every(known)) refuse('columns', `${id} is fixed to a place that is not there.`);
    columns.forEach(({ id, rides = null, canStand }, c) => {
      if (!rides) return;
      if (!rides.every((one) => known(one) && one.column !== c)) refuse('columns', `${id} stands on a place that is not there, or on itself.`);
      if (canStand) refuse('columns', `${id} stands on a beam: its foot turns freely there.`);
    });
    for (const [list, all] of [
      ['rails', rails],
      ['rafters', rafters],
    ] as const)
      for (const { id, a, b } of all) {
        if (!known(a) || !known(b)) refuse(list, `${id} is fixed to a place that is not there.`);
        const [from, to] = [columns[a.column]!, columns[b.column]!];
        if (Math.hypot(to.x - from.x, to.y - from.y) < 0.01) refuse(list, `${id} goes from a column to one at the same place.`);
      }
    for (const { id, legs, pin } of rafters) {
      if (legs.some(({ from, to }, n) => !(to - from > 0.01) || (n > 0 && Math.abs(from - legs[n - 1]!.to) > 1e-6)))
        refuse('rafters', `The legs of ${id} go on one after the other, each at least 10 mm.`);
      if (!legs.some(({ low, high }) => Math.max(Math.abs(low), Math.abs(high)) > 0.01)) refuse('rafters', `${id} is level: it is a rail.`);
      if (pin !== null && !(pin < legs.length - 1 && Math.abs(legs[pin]!.high) > 0.01)) refuse('rafters', `${id} has no place above its ends to be pinned at.`);
    }
    columns.forEach(({ id, nodes }) =>
      nodes.forEach(({ z }, n) => {
        if (n > 0 && !(z - nodes[n - 1]!.z > 0.01)) refuse('columns', `The nodes of ${id} go from the lowest up, at least 10 mm apart.`);
      }),
    );
    const found: SwayAnswer = swayIn(
      { columns, ties, braces, rails, rafters },
      columns.map(({ nodes }) => nodes.map(({ pushX, pushY }) => ({ x: pushX, y: pushY }))),
      true,
    );
    if (!found.stable) {
      if (found.why === 'unheld')
        refuse(
          'braces',
          `Nothing holds ${found.unheld.map(({ column, way }) => `${columns[column]!.id} along ${way}`).join(', ')}: it falls over as it is pushed.`,
        );
      return refuse('braces', `The frame sways by itself: it would stand ${found.alpha.toFixed(3)} times these weights.`);
    }
    return {
      alpha: Number.isFinite(found.alpha) ? found.alpha : null,
      drift: found.drift,
      braces: braces.map(({ id }, i) => ({ id, pull: found.braces[i]! })),
      ties: ties.map(({ id }, i) => ({ id, pull: found.ties[i]! })),
      rails: rails.map(({ id }, i) => ({ id, ...found.rails[i]! })),
      rafters: rafters.map(({ id }, i) => ({ id, ...found.rafters[i]! })),
      columns: columns.map(({ id }, i) => {
        const { moment, moments, footMoment, shear, stands } = found.columns[i]!;
        return { id, moment, momentX: moments.x, momentY: moments.y, footMoment, shear, standsX: stands.x, standsY: stands.y };
      }),
    };
  },
  work: (i, o) => [
    {
      label: `Sideways on ${i.columns.length} columns`,
      result: q(Math.hypot(total(i.columns, 'pushX'), total(i.columns, 'pushY')), 'force'),
    },
    { label: 'Weight on them', result: q(total(i.columns, 'down'), 'force') },
    {
      label: 'It sways by itself at so many times its weights',
      formula: 'det(K − α·K_G) = 0',
      result: o.alpha === null ? 'nothing weighs on it' : q(o.alpha, 'factor'),
    },
    { label: 'It goes', formula: '(K − K_G)·u = F', result: q(o.drift, 'dimension') },
    ...[...o.braces]
      .sort((a, b) => Math.abs(b.pull) - Math.abs(a.pull))
      .slice(0, 8)
      .map(({ id, pull }) => ({ label: `${id} ${pull < 0 ? 'is pressed' : 'pulls'}`, result: q(Math.abs(pull), 'force') })),
    ...[...o.rails]
      .sort((a, b) => Math.max(Math.abs(b.a), Math.abs(b.b)) - Math.max(Math.abs(a.a), Math.abs(a.b)))
      .slice(0, 8)
      .map(({ id, a, b }) => ({ label: `${id} bends at its ends`, result: q(Math.max(Math.abs(a), Math.abs(b)), 'moment') })),
    ...[...o.rafters]
      .sort((a, b) => Math.abs(b.thrust) - Math.abs(a.thrust))
      .slice(0, 8)
      .map(({ id, thrust }) => ({
        label: `${id} ${thrust < 0 ? 'pull their columns together' : 'push their columns apart'}`,
        formula: 'H = K·(u − u₀)',
        result: q(Math.abs(thrust), 'force'),
      })),
  ],
});
