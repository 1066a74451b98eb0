import { closed, positive, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Free change of length with temperature, ΔL = α·L·ΔT. */
export const fitThermal = defineCalc({
  id: 'fit.thermal',
  title: 'Change of length with temperature',
  input: closed({ length: positive('m'), deltaT: real('K'), coefficient: positive('1/K') }),
  output: closed({ change: real('m') }),
  source: { basis: 'published', text: 'ΔL = α·L·ΔT; steel 12e-6 per K (EN 1991-1-5 Annex C)' },
  compute: ({ length, deltaT, coefficient }) => ({ change: coefficient * length * deltaT }),
  work: (i, o) => [
    {
      label: 'Change of length',
      formula: 'ΔL = α·L·ΔT',
      numbers: phrase`${i.coefficient.toExponential(1)} × ${q(i.length, 'length')} × ${q(i.deltaT, 'temperature')}`,
      result: q(o.change, 'dimension'),
    },
  ],
});
