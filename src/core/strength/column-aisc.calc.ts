import { closed, positive, yieldStress } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Ω for compression, AISC 360 E1. */
export const OMEGA_COMPRESSION = 1.67;

/** Flexural buckling of a member without slender elements, AISC 360 E3. */
export const columnAisc = defineCalc({
  id: 'member.columnAisc',
  title: 'Column strength, allowable',
  input: closed({ yield: yieldStress(), modulus: positive('Pa'), area: positive('m2'), radius: positive('m', 'of gyration'), effectiveLength: positive('m') }),
  output: closed({ slenderness: positive('1'), allowable: positive('N') }),
  source: { basis: 'published', text: 'AISC 360 E3, Ω 1.67' },
  compute({ yield: fy, modulus, area, radius, effectiveLength }) {
    const slenderness = effectiveLength / radius;
    const euler = (Math.PI ** 2 * modulus) / slenderness ** 2;
    const critical = slenderness <= 4.71 * Math.sqrt(modulus / fy) ? 0.658 ** (fy / euler) * fy : 0.877 * euler;
    return { slenderness, allowable: (critical * area) / OMEGA_COMPRESSION };
  },
  work: (i, o) => [
    {
      label: 'Slenderness',
      formula: 'L_c/r',
      numbers: phrase`${q(i.effectiveLength, 'length')} / ${q(i.radius, 'dimension')}`,
      result: q(o.slenderness, 'factor'),
    },
    { label: 'Critical stress', formula: 'F_cr = 0.658^(F_y/F_e)·F_y or 0.877·F_e', result: q((o.allowable * OMEGA_COMPRESSION) / i.area, 'stress') },
    { label: 'Allowable', formula: 'F_cr·A/1.67', result: q(o.allowable, 'force') },
  ],
});
