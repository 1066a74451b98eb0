import { closed, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Two plumb hoist lines; the piece turns by the tilt, so a centre of gravity below the picks walks towards the raised hook. */
export const craneTandem = defineCalc({
  id: 'crane.tandem',
  title: 'Share of two hooks',
  input: closed({
    weight: positive('N'),
    pickSpacing: positive('m'),
    cgFromA: real('m'),
    cgBelowPicks: real('m'),
    tiltDeg: real('deg', { exclusiveMinimum: -90, exclusiveMaximum: 90, description: 'positive raises hook B' }),
  }),
  output: closed({ a: real('N'), b: real('N') }),
  source: { basis: 'statics', text: 'Statics, plumb hoist lines' },
  compute({ weight, pickSpacing, cgFromA, cgBelowPicks, tiltDeg }) {
    const b = (weight * (cgFromA + cgBelowPicks * Math.tan((tiltDeg * Math.PI) / 180))) / pickSpacing;
    const a = weight - b;
    if (a < 0 || b < 0)
      refuse('cgFromA', `The centre of gravity hangs outside the two hooks: hook ${a < 0 ? 'A' : 'B'} would have to push. Move the hooks to straddle it.`);
    return { a, b };
  },
  work: (i, o) => [
    {
      label: 'Hook B',
      formula: 'B = W·(c + h·tan δ)/s',
      numbers: phrase`${q(i.weight, 'force')} × (${q(i.cgFromA, 'length')} + ${q(i.cgBelowPicks, 'length')} × tan ${q(i.tiltDeg, 'angle')}) / ${q(i.pickSpacing, 'length')}`,
      result: q(o.b, 'force'),
    },
    { label: 'Hook A', formula: 'A = W − B', result: q(o.a, 'force') },
  ],
});
