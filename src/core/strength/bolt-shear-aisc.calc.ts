import { closed, positive, positiveInteger } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Shear of one bolt, AISC 360 J3.6, Ω 2.00, on the nominal body area. */
export const boltShearAisc = defineCalc({
  id: 'connection.boltShearAisc',
  title: 'Bolt in shear, allowable',
  input: closed({ diameter: positive('m'), nominalStress: positive('Pa', 'F_nv'), planes: positiveInteger('shear planes') }),
  output: closed({ allowable: positive('N') }),
  source: { basis: 'published', text: 'AISC 360 J3.6, Ω 2.00' },
  compute: ({ diameter, nominalStress, planes }) => ({ allowable: (nominalStress * (Math.PI / 4) * diameter ** 2 * planes) / 2 }),
  work: (i, o) => [
    {
      label: 'Bolt',
      formula: 'F_nv·A_b·n/2.00',
      numbers: phrase`${q(i.diameter, 'dimension')}, ${q(i.nominalStress, 'stress')}, ${String(i.planes)} plane(s)`,
      result: q(o.allowable, 'force'),
    },
  ],
});
