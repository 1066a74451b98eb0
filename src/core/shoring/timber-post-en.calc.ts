import { closed, kMod, partialFactor, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Solid timber post, EN 1995-1-1 6.3.2: k_c from λ_rel with β_c = 0.2. */
export const timberPostEn = defineCalc({
  id: 'shore.timberPostEn',
  title: 'Timber post or stud, limit state',
  input: closed({
    fc: positive('Pa', 'f_c,0,k'),
    eLow: positive('Pa', 'E_0.05'),
    width: positive('m'),
    depth: positive('m'),
    unbracedWidth: positive('m', 'free length for buckling in the direction of width'),
    unbracedDepth: positive('m', 'free length for buckling in the direction of depth'),
    kmod: kMod(),
    gammaM: partialFactor(),
  }),
  output: closed({ slenderness: positive('1'), relative: positive('1'), kc: positive('1'), design: positive('N') }),
  source: { basis: 'published', text: 'EN 1995-1-1 6.3.2 (6.21 to 6.29), solid timber' },
  compute(i) {
    const slenderness = Math.max(i.unbracedWidth / i.width, i.unbracedDepth / i.depth) * Math.sqrt(12);
    if (!(slenderness <= 250))
      refuse('unbracedWidth', `Slenderness λ ${slenderness.toFixed(0)} is far past what a post is built to: brace it or use a thicker one.`);
    const relative = (slenderness / Math.PI) * Math.sqrt(i.fc / i.eLow);
    const k = 0.5 * (1 + 0.2 * (relative - 0.3) + relative ** 2);
    const kc = relative <= 0.3 ? 1 : 1 / (k + Math.sqrt(k ** 2 - relative ** 2));
    return { slenderness, relative, kc, design: (kc * i.kmod * i.fc * i.width * i.depth) / i.gammaM };
  },
  work: (i, o) => [
    {
      label: 'Slenderness',
      formula: 'λ = l/i, the larger',
      numbers: phrase`${q(i.unbracedWidth, 'length')} on ${q(i.width, 'dimension')}; ${q(i.unbracedDepth, 'length')} on ${q(i.depth, 'dimension')}`,
      result: q(o.slenderness, 'factor'),
    },
    { label: 'Relative slenderness', formula: 'λ_rel = λ/π·√(f_c,0,k/E_0.05)', result: q(o.relative, 'factor') },
    { label: 'Buckling factor', formula: 'k_c', result: q(o.kc, 'factor') },
    { label: 'Design strength', formula: 'k_c·k_mod·f_c,0,k·A/γ_M', result: q(o.design, 'force') },
  ],
});
