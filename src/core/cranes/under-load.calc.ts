import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { boomLine } from './boom-geometry';

/**
 * How far a hook goes out from where it was set as the load comes on: the boom bends, the crane leans by what it is out of level, and
 * leans further as the pad under the load settles.
 */
export const radiusUnderLoad = defineCalc({
  id: 'crane.underLoad',
  title: 'Radius as the load comes on',
  input: closed({
    pivotBack: real('m', { description: 'foot pin behind the slew centre' }),
    pivotHeight: nonNegative('m', undefined, { maximum: 50 }),
    boom: positive('m', undefined, { maximum: 300 }),
    radius: nonNegative('m', 'as set, before the load is on'),
    bend: nonNegative('1', 'how far the boom tip goes out under a full load, as a share of the boom', { maximum: 0.2 }),
    level: nonNegative('1', 'slope the crane may stand at', { maximum: 0.1 }),
    settles: nonNegative('m', 'worst pad, as the load comes on', { maximum: 0.5 }),
    base: positive('m', 'narrower side of the base it stands on'),
  }),
  output: closed({ byBend: nonNegative('m'), byLevel: nonNegative('m'), bySettling: nonNegative('m'), radius: nonNegative('m') }),
  source: {
    basis: 'geometry',
    text: 'A crane that leans by a slope carries its boom tip out by that slope times its height. The bend of the boom is taken whole, whatever the load',
  },
  compute({ pivotBack, pivotHeight, boom, radius, bend, level, settles, base }) {
    const line = boomLine(pivotBack, pivotHeight, boom, radius);
    if (!line) refuse('boom', `A ${boom} m boom cannot reach a radius of ${radius} m from a foot pin ${pivotBack} m behind the slew centre.`);
    const byBend = bend * boom;
    const byLevel = level * line.tipHeight;
    const bySettling = (settles / base) * line.tipHeight;
    return { byBend, byLevel, bySettling, radius: radius + byBend + byLevel + bySettling };
  },
  work: (i, o) => [
    { label: 'The boom bends', formula: 'β·L', numbers: phrase`${q(i.bend, 'fraction')} of ${q(i.boom, 'length')}`, result: q(o.byBend, 'dimension') },
    {
      label: 'It stands out of level',
      formula: 'i·z',
      numbers: phrase`${q(i.level, 'fraction')} of the height of the boom tip over the ground`,
      result: q(o.byLevel, 'dimension'),
    },
    {
      label: 'Its worst pad settles',
      formula: '(s/b)·z',
      numbers: phrase`${q(i.settles, 'dimension')} on a base of ${q(i.base, 'length')}`,
      result: q(o.bySettling, 'dimension'),
    },
    { label: 'Radius under load', formula: 'R + β·L + i·z + (s/b)·z', numbers: phrase`set at ${q(i.radius, 'length')}`, result: q(o.radius, 'length') },
  ],
});
