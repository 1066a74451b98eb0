import { closed, oneOf, partialFactor, positive, yieldStress } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';
import { curves, reduction } from './curves-en';

/** Flexural buckling, EN 1993-1-1 6.3.1, class 1–3 cross-sections. */
export const columnEn = defineCalc({
  id: 'member.columnEn',
  title: 'Column strength, limit state',
  input: closed({
    yield: yieldStress(),
    modulus: positive('Pa'),
    area: positive('m2'),
    radius: positive('m', 'of gyration'),
    effectiveLength: positive('m'),
    curve: oneOf(['a0', 'a', 'b', 'c', 'd']),
    gammaM1: partialFactor(),
  }),
  output: closed({ relativeSlenderness: positive('1'), chi: positive('1'), design: positive('N') }),
  source: { basis: 'published', text: 'EN 1993-1-1 6.3.1' },
  compute({ yield: fy, modulus, area, radius, effectiveLength, curve, gammaM1 }) {
    const relativeSlenderness = (effectiveLength / radius / Math.PI) * Math.sqrt(fy / modulus);
    const chi = reduction(relativeSlenderness, curve);
    return { relativeSlenderness, chi, design: (chi * area * fy) / gammaM1 };
  },
  work: (i, o) => [
    {
      label: 'Relative slenderness',
      formula: 'λ̄ = (L_cr/i)/(π·√(E/f_y))',
      numbers: phrase`${q(i.effectiveLength, 'length')} / ${q(i.radius, 'dimension')}`,
      result: q(o.relativeSlenderness, 'factor'),
    },
    { label: `Reduction, curve ${i.curve} (α ${curves[i.curve]})`, formula: 'χ = 1/(φ + √(φ² − λ̄²))', result: q(o.chi, 'factor') },
    { label: 'Design strength', formula: 'N_b,Rd = χ·A·f_y/γ_M1', result: q(o.design, 'force') },
  ],
});
