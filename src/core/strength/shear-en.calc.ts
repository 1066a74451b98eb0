import { closed, nonNegative, partialFactor, positive, yieldStress } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Plastic shear of a rolled section, EN 1993-1-1 6.2.6: A_v = A − 2·b·t_f + (t_w + 2r)·t_f, not less than h_w·t_w. */
export const shearEn = defineCalc({
  id: 'member.shearEn',
  title: 'Shear resistance, limit state',
  input: closed({
    yield: yieldStress(),
    area: positive('m2'),
    depth: positive('m'),
    width: positive('m'),
    web: positive('m'),
    flange: positive('m'),
    root: nonNegative('m', 'root radius; 0 where it is not known'),
    gammaM0: partialFactor(),
  }),
  output: closed({ shearArea: positive('m2'), design: positive('N') }),
  source: { basis: 'published', text: 'EN 1993-1-1 6.2.6 (6.18); web limit 72ε of 6.2.6(6), η = 1' },
  compute(i) {
    const clear = i.depth - 2 * i.flange;
    if (!(clear > 0)) refuse('depth', `A depth of ${i.depth} m leaves no web between flanges of ${i.flange} m: check the section.`);
    const slender = 72 * Math.sqrt(235e6 / i.yield);
    if (clear / i.web > slender)
      refuse('web', `A web of ${(clear / i.web).toFixed(0)} times its thickness buckles in shear (over ${slender.toFixed(0)}): the engineer decides.`);
    const shearArea = Math.max(clear * i.web, i.area - 2 * i.width * i.flange + (i.web + 2 * i.root) * i.flange);
    return { shearArea, design: (shearArea * i.yield) / Math.sqrt(3) / i.gammaM0 };
  },
  work: (i, o) => [
    { label: 'Shear area', formula: 'A_v', result: q(o.shearArea, 'area') },
    { label: 'Resistance', formula: 'A_v·f_y/(√3·γ_M0)', numbers: phrase`f_y = ${q(i.yield, 'stress')}`, result: q(o.design, 'force') },
  ],
});
