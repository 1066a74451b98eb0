import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

export const padPressure = defineCalc({
  id: 'crane.padPressure',
  title: 'Ground pressure under an outrigger',
  input: closed({ reaction: nonNegative('N'), area: positive('m2') }),
  output: closed({ pressure: nonNegative('Pa') }),
  source: { basis: 'statics', text: 'Reaction over pad area; a stiff pad' },
  compute: ({ reaction, area }) => ({ pressure: reaction / area }),
  work: (i, o) => [
    { label: 'Pressure', formula: 'p = R/A', numbers: phrase`${q(i.reaction, 'force')} / ${q(i.area, 'floorArea')}`, result: q(o.pressure, 'pressure') },
  ],
});
