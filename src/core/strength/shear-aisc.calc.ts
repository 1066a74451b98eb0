import { Type } from 'typebox';
import { closed, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/**
 * Strong-axis shear of an unstiffened rolled shape, AISC 360 G2.1 and G4: V_n = 0.6·F_y·A_w·C_v.
 * C_v = 1 up to h/t = 1.10·√(k_v·E/F_y), falling as its inverse beyond. Ω 1.50 for the webs of rolled I-shapes up to
 * 2.24·√(E/F_y), else 1.67.
 */
export const shearAisc = defineCalc({
  id: 'member.shearAisc',
  title: 'Shear strength, allowable stress',
  input: closed({
    yield: positive('Pa'),
    modulus: positive('Pa'),
    depth: positive('m'),
    web: positive('m'),
    clearWeb: positive('m', 'between fillets'),
    box: Type.Boolean({ description: 'two webs of a tube' }),
  }),
  output: closed({ slenderness: positive('1'), coefficient: positive('1'), omega: positive('1'), nominal: positive('N'), allowable: positive('N') }),
  source: { basis: 'published', text: 'AISC 360 G2.1 and G4' },
  compute(i) {
    const slenderness = i.clearWeb / i.web;
    const kv = i.box ? 5 : 5.34;
    const limit = 1.1 * Math.sqrt((kv * i.modulus) / i.yield);
    const coefficient = slenderness <= limit ? 1 : limit / slenderness;
    const omega = !i.box && slenderness <= 2.24 * Math.sqrt(i.modulus / i.yield) ? 1.5 : 1.67;
    const area = i.box ? 2 * i.clearWeb * i.web : i.depth * i.web;
    const nominal = 0.6 * i.yield * area * coefficient;
    return { slenderness, coefficient, omega, nominal, allowable: nominal / omega };
  },
  work: (i, o) => [
    {
      label: 'Web slenderness',
      formula: 'h/t_w',
      numbers: phrase`${q(i.clearWeb, 'dimension')} / ${q(i.web, 'dimension')}`,
      result: q(o.slenderness, 'factor'),
    },
    { label: 'Web shear coefficient', formula: 'C_v', result: q(o.coefficient, 'factor') },
    { label: 'Nominal', formula: 'V_n = 0.6·F_y·A_w·C_v', numbers: phrase`F_y = ${q(i.yield, 'stress')}`, result: q(o.nominal, 'force') },
    { label: 'Allowable', formula: 'V_n/Ω', numbers: phrase`Ω = ${q(o.omega, 'factor')}`, result: q(o.allowable, 'force') },
  ],
});
