import { closed, loadDurationNds, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Slenderness a sawn post may have in service, and while building only (NDS 3.7.1.4). */
export const SLENDERNESS_LIMIT = { service: 50, construction: 75 } as const;

/** Solid sawn post, NDS 3.7.1 with c = 0.8: C_P from F_cE = 0.822·E_min′/(l_e/d)². */
export const timberPost = defineCalc({
  id: 'shore.timberPost',
  title: 'Sawn timber post or stud',
  input: closed({
    fc: positive('Pa', 'reference compression along the grain'),
    eMin: positive('Pa', 'adjusted minimum modulus'),
    width: positive('m'),
    depth: positive('m'),
    unbracedWidth: positive('m', 'free length for buckling in the direction of width'),
    unbracedDepth: positive('m', 'free length for buckling in the direction of depth'),
    loadDuration: loadDurationNds(),
    sizeFactor: positive('1', 'C_F, NDS Supplement Table 4A', { minimum: 0.4, maximum: 1.5 }),
  }),
  output: closed({ slenderness: positive('1'), stability: positive('1'), allowable: positive('N') }),
  source: { basis: 'published', text: 'ANSI/AWC NDS 3.7.1 (c = 0.8, sawn lumber); slenderness limit 50, 75 during construction (3.7.1.4)' },
  compute(i) {
    const slenderness = Math.max(i.unbracedWidth / i.width, i.unbracedDepth / i.depth);
    if (!(slenderness <= SLENDERNESS_LIMIT.construction))
      refuse(
        i.unbracedWidth / i.width >= i.unbracedDepth / i.depth ? 'unbracedWidth' : 'unbracedDepth',
        `Slenderness ${slenderness.toFixed(1)} is over ${SLENDERNESS_LIMIT.construction}, the most NDS 3.7.1.4 lets a post have even during construction: brace it or use a thicker post.`,
      );
    const fcStar = i.fc * i.loadDuration * i.sizeFactor;
    const ratio = (0.822 * i.eMin) / slenderness ** 2 / fcStar;
    const c = 0.8;
    const mean = (1 + ratio) / (2 * c);
    const stability = mean - Math.sqrt(mean ** 2 - ratio / c);
    return { slenderness, stability, allowable: stability * fcStar * i.width * i.depth };
  },
  work: (i, o) => [
    {
      label: 'Slenderness',
      formula: 'l_e/d, the larger',
      numbers: phrase`${q(i.unbracedWidth, 'length')} / ${q(i.width, 'dimension')}; ${q(i.unbracedDepth, 'length')} / ${q(i.depth, 'dimension')}`,
      result: q(o.slenderness, 'factor'),
    },
    { label: 'Compression stress, factored', formula: 'F_c* = F_c·C_D·C_F', result: q(i.fc * i.loadDuration * i.sizeFactor, 'strength') },
    { label: 'Column stability factor', formula: 'C_P = (1+β)/1.6 − √(((1+β)/1.6)² − β/0.8), β = F_cE/F_c*', result: q(o.stability, 'factor') },
    { label: 'Allowable load', formula: 'P = C_P·F_c*·A', result: q(o.allowable, 'force') },
  ],
});
