import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** What a brace at one point of a beam must hold, and how stiff it must be, for the beam to count as held there. */
export const braceBeam = defineCalc({
  id: 'brace.beam',
  title: 'Point brace of a beam',
  input: closed({
    moment: nonNegative('N·m', 'the greatest in the unbraced length, of the loads as they are (ASD)'),
    flangeCentres: positive('m', 'between the middles of the flanges', { maximum: 20 }),
    unbraced: positive('m', 'length between braces', { maximum: 500 }),
    cd: real('1', { minimum: 1, maximum: 2, description: '1 in single curvature, 2 for the brace nearest a turning point' }),
  }),
  output: closed({ force: nonNegative('N'), stiffness: nonNegative('N/m') }),
  source: { basis: 'memory', text: 'AISC 360 Appendix 6.3.1b, point bracing, Ω 2.00, from memory' },
  compute: ({ moment, flangeCentres, unbraced, cd }) => ({
    force: (0.02 * moment * cd) / flangeCentres,
    stiffness: (2 * 10 * moment * cd) / (unbraced * flangeCentres),
  }),
  work: (i, o) => [
    {
      label: 'It must hold',
      formula: '0.02·M·Cd / h₀',
      numbers: phrase`0.02 × ${q(i.moment, 'moment')} × ${q(i.cd, 'factor')} / ${q(i.flangeCentres, 'dimension')}`,
      result: q(o.force, 'force'),
    },
    {
      label: 'It must be as stiff as',
      formula: 'Ω·10·M·Cd / (Lb·h₀)',
      numbers: phrase`Ω = 2.00, Lb = ${q(i.unbraced, 'length')}`,
      result: q(o.stiffness, 'forcePerLength'),
    },
  ],
});
