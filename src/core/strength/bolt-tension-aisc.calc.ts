import { closed, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** One bolt in tension, AISC 360 J3.6, Ω 2.00. */
export const boltTensionAisc = defineCalc({
  id: 'connection.boltTensionAisc',
  title: 'Bolt in tension, allowable',
  input: closed({ diameter: positive('m'), nominalStress: positive('Pa', 'F_nt') }),
  output: closed({ allowable: positive('N') }),
  source: { basis: 'published', text: 'AISC 360 J3.6, Ω 2.00' },
  compute: ({ diameter, nominalStress }) => ({ allowable: (nominalStress * (Math.PI / 4) * diameter ** 2) / 2 }),
  work: (i, o) => [
    {
      label: 'Bolt',
      formula: 'F_nt·A_b/2.00',
      numbers: phrase`${q(i.diameter, 'dimension')}, ${q(i.nominalStress, 'stress')}`,
      result: q(o.allowable, 'force'),
    },
  ],
});
