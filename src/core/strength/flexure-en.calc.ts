import { Type } from 'typebox';
import { closed, oneOf, partialFactor, positive, yieldStress } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';
import { reduction } from './curves-en';

/**
 * Lateral-torsional buckling, EN 1993-1-1 6.3.2.2 general case: fork ends, load at the shear centre,
 * M_cr = C₁·π²·E·I_z/L²·√(I_w/I_z + L²·G·I_t/(π²·E·I_z)).
 */
export const flexureEn = defineCalc({
  id: 'member.flexureEn',
  title: 'Bending strength of an I-shape, limit state',
  input: closed({
    yield: yieldStress(),
    modulus: positive('Pa'),
    shearModulus: positive('Pa'),
    wPlastic: positive('m3'),
    iWeak: positive('m4'),
    torsion: positive('m4'),
    warping: positive('m6'),
    unbraced: positive('m'),
    c1: Type.Number({ unit: '1', minimum: 1, maximum: 5 }),
    curve: oneOf(['a', 'b', 'c', 'd']),
    gammaM1: partialFactor(),
  }),
  output: closed({ critical: positive('N·m'), chi: positive('1'), design: positive('N·m') }),
  source: { basis: 'published', text: 'EN 1993-1-1 6.3.2.2 general case, fork ends, load at the shear centre' },
  compute(i) {
    const euler = (Math.PI ** 2 * i.modulus * i.iWeak) / i.unbraced ** 2;
    const critical = i.c1 * euler * Math.sqrt(i.warping / i.iWeak + (i.shearModulus * i.torsion) / euler);
    const chi = reduction(Math.sqrt((i.wPlastic * i.yield) / critical), i.curve);
    return { critical, chi, design: (chi * i.wPlastic * i.yield) / i.gammaM1 };
  },
  work: (i, o) => [
    {
      label: 'Critical moment',
      formula: 'M_cr = C₁·π²EI_z/L²·√(I_w/I_z + L²GI_t/π²EI_z)',
      numbers: phrase`C₁ = ${q(i.c1, 'factor')}, L = ${q(i.unbraced, 'length')}`,
      result: q(o.critical, 'moment'),
    },
    { label: 'Reduction', formula: `χ_LT, curve ${i.curve}`, result: q(o.chi, 'factor') },
    { label: 'Design strength', formula: 'M_b,Rd = χ_LT·W_pl·f_y/γ_M1', result: q(o.design, 'moment') },
  ],
});
