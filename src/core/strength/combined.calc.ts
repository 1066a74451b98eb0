import { closed, nonNegative, oneOf, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Bending with compression. aisc: H1-1a/b. en: plain sum, EN 1993-1-1 6.2.1(7), on the safe side. */
export const combined = defineCalc({
  id: 'member.combined',
  title: 'Bending with the squeeze of sloping slings',
  input: closed({
    moment: nonNegative('N·m'),
    momentCapacity: positive('N·m'),
    axial: nonNegative('N'),
    axialCapacity: positive('N'),
    rule: oneOf(['aisc', 'en']),
  }),
  output: closed({ ratio: nonNegative('1') }),
  source: { basis: 'published', text: 'AISC 360 H1-1; EN 1993-1-1 6.2.1(7)' },
  compute(i) {
    const n = i.axial / i.axialCapacity;
    const m = i.moment / i.momentCapacity;
    if (i.rule === 'en') return { ratio: n + m };
    return { ratio: n >= 0.2 ? n + (8 / 9) * m : n / 2 + m };
  },
  work: (i, o) => [
    {
      label: 'Squeeze between the picks',
      formula: 'P/P_c',
      numbers: phrase`${q(i.axial, 'force')} / ${q(i.axialCapacity, 'force')}`,
      result: q(i.axial / i.axialCapacity, 'factor'),
    },
    {
      label: 'Bending',
      formula: 'M/M_c',
      numbers: phrase`${q(i.moment, 'moment')} / ${q(i.momentCapacity, 'moment')}`,
      result: q(i.moment / i.momentCapacity, 'factor'),
    },
    { label: 'Together', formula: i.rule === 'en' ? 'P/P_c + M/M_c' : 'H1-1', result: q(o.ratio, 'factor') },
  ],
});
