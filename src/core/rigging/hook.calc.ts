import { closed, pair, point, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const degrees = 180 / Math.PI;

/**
 * A piece hung at rest from one hook by two legs. Picks and centre of gravity are in the piece's own axes (x along it, z up)
 * while it is level; the piece then turns until the hook stands plumb over the centre of gravity.
 * Three forces through one point: T₁ = W·cos θ₂ / sin(θ₁+θ₂), T₂ = W·cos θ₁ / sin(θ₁+θ₂), θ from the horizontal.
 */
export const riggingHook = defineCalc({
  id: 'rigging.hook',
  title: 'Two unequal legs on one hook',
  input: closed({
    weight: positive('N', 'everything below the hook'),
    picks: pair(point()),
    cg: point(),
    legs: pair(positive('m'), 'length of each leg, hook to pick'),
  }),
  output: closed({
    tension: pair(positive('N')),
    angleDeg: pair(real('deg', { description: 'each leg from the horizontal' })),
    tiltDeg: real('deg', { description: 'counter-clockwise positive' }),
    hookAbovePick: real('m', { description: 'above the higher pick' }),
  }),
  source: { basis: 'statics', text: 'Statics of a two-leg bridle: three forces through one point' },
  compute({ weight, picks, cg, legs }) {
    const [p1, p2] = picks as [typeof cg, typeof cg];
    const [l1, l2] = legs as [number, number];
    if (!(p2.x > p1.x)) refuse('picks', `Pick 1 is at ${p1.x} m and pick 2 at ${p2.x} m: put the left pick first and keep them apart.`);
    const spread = Math.hypot(p2.x - p1.x, p2.z - p1.z);
    if (!(l1 + l2 > spread))
      refuse('legs', `Legs of ${l1} m and ${l2} m together do not reach between picks ${spread.toFixed(3)} m apart: use longer legs or bring the picks in.`);
    if (!(Math.abs(l1 - l2) < spread))
      refuse('legs', `Legs of ${l1} m and ${l2} m differ by more than the ${spread.toFixed(3)} m between the picks: the hook cannot hang between them.`);
    const ex = (p2.x - p1.x) / spread;
    const ez = (p2.z - p1.z) / spread;
    const along = (spread ** 2 + l1 ** 2 - l2 ** 2) / (2 * spread);
    const up = Math.sqrt(l1 ** 2 - along ** 2);
    const hook = { x: p1.x + along * ex - up * ez, z: p1.z + along * ez + up * ex };
    if (!(hook.z > cg.z)) refuse('legs', 'The hook would stand below the centre of gravity: the piece would turn over. Use longer legs or pick higher.');
    const tilt = Math.atan2(hook.x - cg.x, hook.z - cg.z);
    const turn = (p: { x: number; z: number }) => ({ x: p.x * Math.cos(tilt) - p.z * Math.sin(tilt), z: p.x * Math.sin(tilt) + p.z * Math.cos(tilt) });
    const h = turn(hook);
    const a = turn(p1);
    const b = turn(p2);
    const t1 = Math.atan2(h.z - a.z, h.x - a.x);
    const t2 = Math.atan2(h.z - b.z, b.x - h.x);
    const tension = [(weight * Math.cos(t2)) / Math.sin(t1 + t2), (weight * Math.cos(t1)) / Math.sin(t1 + t2)];
    if (!(tension[0]! > 0 && tension[1]! > 0))
      refuse(
        'cg',
        `The centre of gravity at ${cg.x} m hangs outside the picks: leg ${tension[0]! > 0 ? 2 : 1} goes slack. Move the picks so that they straddle it.`,
      );
    return { tension, angleDeg: [t1 * degrees, t2 * degrees], tiltDeg: tilt * degrees, hookAbovePick: h.z - Math.max(a.z, b.z) };
  },
  work: ({ weight, picks, legs }, o) => [
    { label: 'Hanging weight', formula: 'W', result: q(weight, 'force') },
    {
      label: 'Hook above the higher pick',
      formula: 'picks apart and both legs fix the hook',
      numbers: phrase`${q(Math.hypot(picks[1]!.x - picks[0]!.x, picks[1]!.z - picks[0]!.z), 'length')}; ${q(legs[0]!, 'length')}, ${q(legs[1]!, 'length')}`,
      result: q(o.hookAbovePick, 'length'),
    },
    { label: 'Tilt that puts the hook over the centre of gravity', formula: 'φ = atan((x_h − x_g)/(z_h − z_g))', result: q(o.tiltDeg, 'angle') },
    { label: 'Leg 1 from the horizontal', formula: 'θ₁', result: q(o.angleDeg[0]!, 'angle') },
    { label: 'Leg 2 from the horizontal', formula: 'θ₂', result: q(o.angleDeg[1]!, 'angle') },
    {
      label: 'Tension in leg 1',
      formula: 'T₁ = W·cos θ₂ / sin(θ₁+θ₂)',
      numbers: phrase`${q(weight, 'force')} × cos ${q(o.angleDeg[1]!, 'angle')} / sin ${q(o.angleDeg[0]! + o.angleDeg[1]!, 'angle')}`,
      result: q(o.tension[0]!, 'force'),
    },
    {
      label: 'Tension in leg 2',
      formula: 'T₂ = W·cos θ₁ / sin(θ₁+θ₂)',
      numbers: phrase`${q(weight, 'force')} × cos ${q(o.angleDeg[0]!, 'angle')} / sin ${q(o.angleDeg[0]! + o.angleDeg[1]!, 'angle')}`,
      result: q(o.tension[1]!, 'force'),
    },
  ],
});
