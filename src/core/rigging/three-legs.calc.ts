import { Type } from 'typebox';
import { closed, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { cross3, dot3, minus, norm3, plus, unit3, type Vec3 } from '../geometry/space';

const spot = () => closed({ x: real('m'), y: real('m'), z: real('m') });
const three = <T extends ReturnType<typeof spot> | ReturnType<typeof positive> | ReturnType<typeof real>>(item: T) =>
  Type.Array(item, { minItems: 3, maxItems: 3 });
const degrees = 180 / Math.PI;

/** Where three legs meet above the plane of their picks; null: they do not reach each other. */
function apexOf([a, b, c]: readonly Vec3[], [ra, rb, rc]: readonly number[]): Vec3 | null {
  const ex = unit3(minus(b!, a!));
  const side = minus(c!, a!);
  const i = dot3(ex, side);
  const ey = unit3(plus(side, ex, -i));
  const up = cross3(ex, ey);
  const d = norm3(minus(b!, a!));
  const j = dot3(ey, side);
  const x = (ra! ** 2 - rb! ** 2 + d ** 2) / (2 * d);
  const y = (ra! ** 2 - rc! ** 2 + i ** 2 + j ** 2 - 2 * i * x) / (2 * j);
  const high = ra! ** 2 - x ** 2 - y ** 2;
  if (!(high > 0)) return null;
  return plus(plus(plus(a!, ex, x), ey, y), up, (up.z >= 0 ? 1 : -1) * Math.sqrt(high));
}

/** Three legs to one hook: how the piece hangs and what each leg pulls. */
export const threeLegs = defineCalc({
  id: 'rigging.threeLegs',
  title: 'Piece on three legs to one hook',
  input: closed({ weight: positive('N'), picks: three(spot()), cg: spot(), legs: three(positive('m')) }),
  output: closed({
    tension: three(real('N')),
    angleDeg: three(real('deg', { description: 'of each leg from the horizontal, as it hangs' })),
    tiltDeg: real('deg', { description: 'of the piece, from how it is drawn' }),
    hook: spot(),
  }),
  source: { basis: 'statics', text: 'Four concurrent forces; the piece turns until its balance point is plumb below the hook' },
  compute({ weight, picks, cg, legs }) {
    const area = norm3(cross3(minus(picks[1]!, picks[0]!), minus(picks[2]!, picks[0]!)));
    if (!(area > 1e-6)) refuse('picks', 'The three picks lie in one line: the piece may turn about it.');
    const hook = apexOf(picks, legs) ?? refuse('legs', `Legs of ${legs.join(', ')} m do not meet above these picks: make them longer.`);
    const lift = minus(hook, cg);
    if (!(norm3(lift) > 1e-6)) refuse('cg', 'The hook would lie in the balance point.');
    const plumb = unit3(lift);
    const ways = picks.map((pick) => unit3(minus(hook, pick as Vec3)));
    const whole = dot3(ways[0]!, cross3(ways[1]!, ways[2]!));
    const tension = [0, 1, 2].map((n) => {
      const [a, b] = [ways[(n + 1) % 3]!, ways[(n + 2) % 3]!];
      return (weight * dot3(plumb, cross3(a, b))) / whole;
    });
    const slack = tension.findIndex((one) => one < -1e-9 * weight);
    if (slack >= 0) refuse('cg', `Leg ${slack + 1} goes slack: the balance point lies outside the three picks. Move the picks round it.`);
    return {
      tension,
      angleDeg: ways.map((way) => Math.asin(dot3(way, plumb)) * degrees),
      tiltDeg: Math.acos(Math.min(1, Math.max(-1, plumb.z))) * degrees,
      hook,
    };
  },
  work: (i, o) => [
    {
      label: 'The legs meet at',
      numbers: phrase`x ${q(o.hook.x, 'length')}, y ${q(o.hook.y, 'length')}, z ${q(o.hook.z, 'length')} of the piece`,
      result: q(o.hook.z, 'length'),
    },
    { label: 'The piece hangs out of level by', formula: 'angle of hook over balance point', result: q(o.tiltDeg, 'angle') },
    ...o.tension.flatMap((one, n) => [
      {
        label: `Leg ${n + 1} pulls`,
        formula: 'Σ T·u = W·n',
        numbers: phrase`${q(i.legs[n]!, 'length')} at ${q(o.angleDeg[n]!, 'angle')}`,
        result: q(one, 'force'),
      },
    ]),
  ],
});
