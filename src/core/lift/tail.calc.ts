import { Type } from 'typebox';
import { closed, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const spot = () => closed({ x: real('m'), z: real('m') });
const rad = Math.PI / 180;

/** A piece stood up end over end by two hooks, its main end rising. */
export const liftTail = defineCalc({
  id: 'lift.tail',
  title: 'Standing a piece up with two hooks',
  input: closed({
    weight: positive('N'),
    main: spot(),
    tail: spot(),
    cg: spot(),
    anglesDeg: Type.Array(real('deg', { minimum: 0, maximum: 90 }), { minItems: 1, maxItems: 2000 }),
  }),
  output: closed({ positions: Type.Array(closed({ angleDeg: real('deg'), main: real('N'), tail: real('N') })) }),
  source: { basis: 'statics', text: 'Two plumb hoist lines, from lying (0°) to standing (90°)' },
  compute({ weight, main, tail, cg, anglesDeg }) {
    const side = Math.sign(main.x - tail.x);
    if (side === 0) refuse('main', 'The two hooks are at one place along the piece.');
    const place = ({ x, z }: { x: number; z: number }) => ({ x: side * (x - tail.x), z: z - tail.z });
    const [g, m] = [place(cg), place(main)];
    const along = ({ x, z }: { x: number; z: number }, turn: number) => x * Math.cos(turn) - z * Math.sin(turn);
    return {
      positions: anglesDeg.map((angleDeg) => {
        const apart = along(m, angleDeg * rad);
        if (Math.abs(apart) < 1e-9) refuse('anglesDeg', `At ${angleDeg}° the two lines hang in one plumb line: what each carries is not decided by statics.`);
        const share = along(g, angleDeg * rad) / apart;
        if (share < -1e-12 || share > 1 + 1e-12)
          refuse('anglesDeg', `At ${angleDeg}° the ${share < 0 ? 'main' : 'tail'} line would have to push: the balance point hangs outside the two.`);
        return { angleDeg, main: weight * share, tail: weight * (1 - share) };
      }),
    };
  },
  work: (i, o) =>
    o.positions.slice(0, 12).map(({ angleDeg, main, tail }) => ({
      label: `At ${angleDeg}° the main line carries`,
      formula: 'W·x_g(θ)/x_m(θ) from the tail, x(θ) = x·cos θ − z·sin θ',
      numbers: phrase`${q(i.weight, 'force')}; the tail ${q(tail, 'force')}`,
      result: q(main, 'force'),
    })),
});
