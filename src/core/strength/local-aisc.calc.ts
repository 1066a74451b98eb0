import { Type } from 'typebox';
import { closed, positive, yieldStress } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { q } from '../calc/work';
import { OMEGA_FLEXURE } from './flexure-aisc.calc';

/**
 * Cap on strong-axis bending from flange and web slenderness, AISC 360 Table B4.1b and F3 (rolled I-shapes).
 * A slender web is outside F2/F3 and gets the elastic cap of a slender flange; the engineer decides there.
 */
export const localAisc = defineCalc({
  id: 'member.localAisc',
  title: 'Local slenderness of a rolled I-shape',
  input: closed({
    yield: yieldStress(),
    modulus: positive('Pa'),
    zStrong: positive('m3'),
    sStrong: positive('m3'),
    width: positive('m'),
    flange: positive('m'),
    web: positive('m'),
    clearWeb: positive('m'),
    builtUp: Type.Optional(Type.Boolean({ description: 'welded of plates' })),
  }),
  output: closed({ flangeRatio: positive('1'), webRatio: positive('1'), compact: Type.Boolean(), nominal: positive('N·m'), allowable: positive('N·m') }),
  source: { basis: 'published', text: 'AISC 360 Table B4.1b cases 10, 11 and 15; F3' },
  compute(i) {
    if (i.zStrong < i.sStrong)
      refuse('zStrong', `Z of ${i.zStrong} m³ is less than S of ${i.sStrong} m³: the plastic modulus is never the smaller. Check which is which.`);
    const root = Math.sqrt(i.modulus / i.yield);
    const flangeRatio = i.width / (2 * i.flange);
    const webRatio = i.clearWeb / i.web;
    const plastic = i.yield * i.zStrong;
    const elastic = 0.7 * i.yield * i.sStrong;
    const kc = Math.min(0.76, Math.max(0.35, 4 / Math.sqrt(webRatio)));
    // A flange welded to its web is held less: case 11 of the table.
    const [lp, lr] = [0.38 * root, i.builtUp ? 0.95 * Math.sqrt(kc / 0.7) * root : root];
    let nominal = plastic;
    if (flangeRatio > lr || webRatio > 3.76 * root) {
      nominal = Math.min(elastic, (0.9 * i.modulus * kc * i.sStrong) / flangeRatio ** 2);
    } else if (flangeRatio > lp) nominal = plastic - (plastic - elastic) * ((flangeRatio - lp) / (lr - lp));
    return { flangeRatio, webRatio, compact: flangeRatio <= lp && webRatio <= 3.76 * root, nominal, allowable: nominal / OMEGA_FLEXURE };
  },
  work: (i, o) => [
    { label: 'Flange slenderness', formula: 'b_f/2t_f against 0.38·√(E/F_y)', result: q(o.flangeRatio, 'factor') },
    { label: 'Web slenderness', formula: 'h/t_w against 3.76·√(E/F_y)', result: q(o.webRatio, 'factor') },
    { label: o.compact ? 'Compact: full plastic moment' : 'Not compact: reduced (F3)', formula: 'M_n', result: q(o.nominal, 'moment') },
    { label: 'Allowable', formula: 'M_n/Ω, Ω 1.67', result: q(o.allowable, 'moment') },
  ],
});
