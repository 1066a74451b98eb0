import { Type } from 'typebox';
import { closed, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const spot = () => closed({ y: real('m'), z: real('m') });
const rad = Math.PI / 180;

/** A piece rolled up on one edge by one hook. */
export const liftTurn = defineCalc({
  id: 'lift.turn',
  title: 'Rolling a piece up on its edge',
  input: closed({
    weight: positive('N'),
    pivot: spot(),
    cg: spot(),
    hook: spot(),
    anglesDeg: Type.Array(real('deg', { minimum: 0, maximum: 180 }), { minItems: 1, maxItems: 2000 }),
  }),
  output: closed({
    positions: Type.Array(closed({ angleDeg: real('deg'), hook: real('N', { description: 'negative: it has to be held back' }), edge: real('N') })),
    overCentreDeg: real('deg', { description: 'from here on it falls over by itself' }),
  }),
  source: { basis: 'statics', text: 'Moments about the edge it rolls on, plumb hook line' },
  compute({ weight, pivot, cg, hook, anglesDeg }) {
    const side = Math.sign(hook.y - pivot.y);
    if (side === 0) refuse('hook', 'The hook is plumb over the edge: it turns nothing.');
    const place = ({ y, z }: { y: number; z: number }) => ({ y: side * (y - pivot.y), z: z - pivot.z });
    const [g, h] = [place(cg), place(hook)];
    if (!(g.y > 0)) refuse('cg', 'The balance point is not on the side of the hook: the piece turns over by itself.');
    const out = ({ y, z }: { y: number; z: number }, turn: number) => y * Math.cos(turn) - z * Math.sin(turn);
    return {
      positions: anglesDeg.map((angleDeg) => {
        const lever = out(h, angleDeg * rad);
        if (!(lever > 1e-9)) refuse('anglesDeg', `At ${angleDeg}° the hook is over the edge it rolls on: it turns nothing more.`);
        const force = (weight * out(g, angleDeg * rad)) / lever;
        return { angleDeg, hook: force, edge: weight - force };
      }),
      overCentreDeg: Math.atan2(g.y, g.z) / rad,
    };
  },
  work: (i, o) => [
    ...o.positions.slice(0, 12).map(({ angleDeg, hook, edge }) => ({
      label: hook < 0 ? `At ${angleDeg}° it is held back with` : `At ${angleDeg}° the hook pulls`,
      formula: 'W·y_g(θ)/y_h(θ), y(θ) = y·cos θ − z·sin θ',
      numbers: phrase`${q(i.weight, 'force')}; the edge carries ${q(edge, 'force')}`,
      result: q(Math.abs(hook), 'force'),
    })),
    { label: 'It falls over by itself from', formula: 'atan(y_g/z_g)', result: q(o.overCentreDeg, 'angle') },
  ],
});
