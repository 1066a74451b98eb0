import { Type } from 'typebox';
import { closed, nonNegative, positive, yieldStress } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Ω for flexure, AISC 360 F1. */
export const OMEGA_FLEXURE = 1.67;

/** Strong-axis bending of a compact doubly symmetric I-shape: yielding and lateral-torsional buckling, AISC 360 F2 (c = 1). */
export const flexureAisc = defineCalc({
  id: 'member.flexureAisc',
  title: 'Bending strength of a compact I-shape, allowable',
  input: closed({
    yield: yieldStress(),
    modulus: positive('Pa'),
    zStrong: positive('m3'),
    sStrong: positive('m3'),
    torsion: positive('m4'),
    rts: positive('m'),
    flangeCentres: positive('m', 'between flange centroids'),
    rWeak: positive('m'),
    unbraced: nonNegative('m'),
    cb: Type.Number({ unit: '1', minimum: 1, maximum: 3 }),
  }),
  output: closed({ nominal: positive('N·m'), allowable: positive('N·m'), lp: positive('m'), lr: positive('m') }),
  source: { basis: 'published', text: 'AISC 360 F2, Ω 1.67, compact doubly symmetric' },
  compute(i) {
    if (i.zStrong < i.sStrong)
      refuse('zStrong', `Z of ${i.zStrong} m³ is less than S of ${i.sStrong} m³: the plastic modulus is never the smaller. Check which is which.`);
    const plastic = i.yield * i.zStrong;
    const lp = 1.76 * i.rWeak * Math.sqrt(i.modulus / i.yield);
    const jc = i.torsion / (i.sStrong * i.flangeCentres);
    const residual = 0.7 * i.yield;
    const lr = 1.95 * i.rts * (i.modulus / residual) * Math.sqrt(jc + Math.sqrt(jc ** 2 + 6.76 * (residual / i.modulus) ** 2));
    const slender = i.unbraced / i.rts;
    let nominal = plastic;
    if (i.unbraced > lr) {
      const stress = ((i.cb * Math.PI ** 2 * i.modulus) / slender ** 2) * Math.sqrt(1 + 0.078 * jc * slender ** 2);
      nominal = Math.min(plastic, stress * i.sStrong);
    } else if (i.unbraced > lp) nominal = Math.min(plastic, i.cb * (plastic - (plastic - residual * i.sStrong) * ((i.unbraced - lp) / (lr - lp))));
    return { nominal, allowable: nominal / OMEGA_FLEXURE, lp, lr };
  },
  work: (i, o) => [
    { label: 'Plastic moment', formula: 'M_p = F_y·Z', result: q(i.yield * i.zStrong, 'moment') },
    {
      label: 'Free length against limits',
      formula: 'L_p, L_r (F2-5, F2-6)',
      numbers: phrase`L_b = ${q(i.unbraced, 'length')}, L_p = ${q(o.lp, 'length')}`,
      result: q(o.lr, 'length'),
    },
    {
      label: 'Nominal strength',
      formula: i.unbraced <= o.lp ? 'M_n = M_p (F2-1)' : i.unbraced <= o.lr ? 'F2-2' : 'F2-3, F2-4',
      result: q(o.nominal, 'moment'),
    },
    { label: 'Allowable', formula: 'M_n/1.67', result: q(o.allowable, 'moment') },
  ],
});
