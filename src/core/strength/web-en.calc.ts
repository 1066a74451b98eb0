import { closed, nonNegative, partialFactor, positive, yieldStress } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/**
 * Unstiffened web over an end bearing, EN 1993-1-5 section 6, type (c): k_F = 2 + 6(s_s + c)/h_w ≤ 6,
 * l_y the least of 6.11 and 6.12, χ_F = 0.5/λ̄_F ≤ 1, F_Rd = f_y·χ_F·l_y·t_w/γ_M1.
 */
export const webEn = defineCalc({
  id: 'member.webEn',
  title: 'Web resistance over an end bearing, limit state',
  input: closed({
    yield: yieldStress(),
    modulus: positive('Pa'),
    depth: positive('m'),
    web: positive('m'),
    width: positive('m', 'of the flange'),
    flange: positive('m'),
    bearing: positive('m', 's_s'),
    endDistance: nonNegative('m', 'c, end of the member to the bearing'),
    gammaM1: partialFactor(),
  }),
  output: closed({ effectiveLength: positive('m'), slenderness: positive('1'), chi: positive('1'), design: positive('N') }),
  source: { basis: 'published', text: 'EN 1993-1-5 6.1 to 6.5, type (c)' },
  compute(i) {
    const hw = i.depth - 2 * i.flange;
    if (!(hw > 0)) refuse('depth', `A depth of ${i.depth} m leaves no web between flanges of ${i.flange} m: check the section.`);
    const kf = Math.min(6, 2 + (6 * (i.bearing + i.endDistance)) / hw);
    const critical = (0.9 * kf * i.modulus * i.web ** 3) / hw;
    const m1 = i.width / i.web;
    const reach = Math.min((kf * i.modulus * i.web ** 2) / (2 * i.yield * hw), i.bearing + i.endDistance);
    const solve = (m2: number) => {
      const spread = i.bearing + 2 * i.flange * (1 + Math.sqrt(m1 + m2));
      const short = reach + i.flange * Math.sqrt(m1 / 2 + (reach / i.flange) ** 2 + m2);
      const long = reach + i.flange * Math.sqrt(m1 + m2);
      const effectiveLength = Math.min(spread, short, long);
      return { effectiveLength, slenderness: Math.sqrt((effectiveLength * i.web * i.yield) / critical) };
    };
    // m₂ applies only where λ̄_F > 0.5 (6.8); if it does not hold with m₂, it is 0.
    const withM2 = solve(0.02 * (hw / i.flange) ** 2);
    const { effectiveLength, slenderness } = withM2.slenderness > 0.5 ? withM2 : solve(0);
    const chi = Math.min(1, 0.5 / slenderness);
    return { effectiveLength, slenderness, chi, design: (i.yield * chi * effectiveLength * i.web) / i.gammaM1 };
  },
  work: (i, o) => [
    {
      label: 'Loaded length',
      formula: 'l_y, least of 6.10, 6.11, 6.12',
      numbers: phrase`s_s = ${q(i.bearing, 'dimension')}, c = ${q(i.endDistance, 'dimension')}`,
      result: q(o.effectiveLength, 'dimension'),
    },
    { label: 'Slenderness', formula: 'λ̄_F = √(l_y·t_w·f_y/F_cr)', result: q(o.slenderness, 'factor') },
    { label: 'Reduction', formula: 'χ_F = 0.5/λ̄_F ≤ 1', result: q(o.chi, 'factor') },
    { label: 'Design strength', formula: 'F_Rd = f_y·χ_F·l_y·t_w/γ_M1', result: q(o.design, 'force') },
  ],
});
