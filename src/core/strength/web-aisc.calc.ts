import { Type } from 'typebox';
import { closed, positive, yieldStress } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Web over a bearing: local yielding J10.2 (Ω 1.50) and crippling J10.3 (Ω 2.00). All three results are allowable loads. */
export const webAisc = defineCalc({
  id: 'member.webAisc',
  title: 'Web yielding and crippling, allowable',
  input: closed({
    yield: yieldStress(),
    modulus: positive('Pa'),
    depth: positive('m'),
    web: positive('m'),
    flange: positive('m'),
    k: positive('m', 'outer face of flange to toe of fillet'),
    bearing: positive('m'),
    atEnd: Type.Boolean({ description: 'within a depth (yielding) or half a depth (crippling) of the member end' }),
  }),
  output: closed({ yielding: positive('N'), crippling: positive('N'), allowable: positive('N') }),
  source: { basis: 'published', text: 'AISC 360 J10.2 (Ω 1.50) and J10.3 (Ω 2.00)' },
  compute({ yield: fy, modulus, depth, web, flange, k, bearing, atEnd }) {
    const yielding = (fy * web * ((atEnd ? 2.5 : 5) * k + bearing)) / 1.5;
    const thickness = (web / flange) ** 1.5;
    const stiff = Math.sqrt((modulus * fy * flange) / web);
    const relative = bearing / depth;
    const spread = atEnd && relative > 0.2 ? 4 * relative - 0.2 : 3 * relative;
    const crippling = ((atEnd ? 0.4 : 0.8) * web ** 2 * (1 + spread * thickness) * stiff) / 2;
    return { yielding, crippling, allowable: Math.min(yielding, crippling) };
  },
  work: (i, o) => [
    {
      label: 'Web yielding',
      formula: `F_y·t_w·(${i.atEnd ? '2.5' : '5'}k + l_b)/1.50`,
      numbers: phrase`t_w = ${q(i.web, 'dimension')}, k = ${q(i.k, 'dimension')}, l_b = ${q(i.bearing, 'dimension')}`,
      result: q(o.yielding, 'force'),
    },
    { label: 'Web crippling', formula: `${i.atEnd ? '0.40' : '0.80'}·t_w²·[1 + …(t_w/t_f)^1.5]·√(E·F_y·t_f/t_w)/2.00`, result: q(o.crippling, 'force') },
    { label: 'The lower governs', formula: 'min', result: q(o.allowable, 'force') },
  ],
});
