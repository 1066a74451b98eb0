import { Type } from 'typebox';
import { closed, positive, yieldStress } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/**
 * Strong-axis shear of an unstiffened shape: V_n = 0.6·F_y·A_w·C_v. C_v = 1 up to h/t = 1.10·√(k_v·E/F_y).
 * I-shapes (G2.1): C_v1 = 1.10·√(k_v·E/F_y)/(h/t) beyond; Ω 1.50 for rolled webs up to 2.24·√(E/F_y), else 1.67.
 * Tubes and boxes (G4, k_v 5): C_v2 by G2.2, the same up to 1.37·√(k_v·E/F_y), then 1.51·k_v·E/((h/t)²·F_y).
 */
export const shearAisc = defineCalc({
  id: 'member.shearAisc',
  title: 'Shear strength, allowable stress',
  input: closed({
    yield: yieldStress(),
    modulus: positive('Pa'),
    depth: positive('m'),
    web: positive('m'),
    clearWeb: positive('m', 'between fillets'),
    box: Type.Boolean({ description: 'two webs of a tube' }),
  }),
  output: closed({ slenderness: positive('1'), coefficient: positive('1'), omega: positive('1'), nominal: positive('N'), allowable: positive('N') }),
  source: { basis: 'published', text: 'AISC 360-16 G2.1; G4 with C_v2 of G2.2' },
  compute(i) {
    if (i.clearWeb > i.depth) refuse('clearWeb', `A web of ${i.clearWeb} m does not go into a depth of ${i.depth} m: check the section.`);
    const slenderness = i.clearWeb / i.web;
    const kv = i.box ? 5 : 5.34;
    const root = Math.sqrt((kv * i.modulus) / i.yield);
    const coefficient =
      slenderness <= 1.1 * root ? 1 : i.box && slenderness > 1.37 * root ? (1.51 * kv * i.modulus) / (slenderness ** 2 * i.yield) : (1.1 * root) / slenderness;
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
