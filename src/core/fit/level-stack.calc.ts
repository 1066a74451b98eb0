import { Type } from 'typebox';
import { closed, nonNegative, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Layers over the piece up to the finished floor, against the level the floor must meet. */
export const levelStack = defineCalc({
  id: 'fit.levelStack',
  title: 'Finished level over the piece',
  input: closed({
    top: real('m', { description: 'top of the bare piece' }),
    layers: Type.Array(closed({ what: Type.String(), thickness: nonNegative('m') })),
    meets: real('m', { description: 'finished level beside it' }),
  }),
  output: closed({ finished: real('m'), step: real('m', { description: 'up positive' }) }),
  source: { basis: 'geometry', text: 'Sum of the layers' },
  compute({ top, layers, meets }) {
    const finished = layers.reduce((sum, one) => sum + one.thickness, top);
    return { finished, step: finished - meets };
  },
  work: (i, o) => [
    { label: 'Top of the piece', result: q(i.top, 'length') },
    ...i.layers.map((one) => ({ label: one.what || 'Layer', result: q(one.thickness, 'dimension') })),
    { label: 'Finished level', formula: 'top + layers', result: q(o.finished, 'length') },
    { label: 'Step', numbers: phrase`against ${q(i.meets, 'length')}`, result: q(o.step, 'dimension') },
  ],
});
