import { closed, kMod, partialFactor, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Tensile strength of the wire or screw, N/mm². */
const WIRE = 600;

/**
 * One nail or screw holding a board to a stud, square to its length: the least of the six modes of EN 1995-1-1 (8.6), without the
 * rope effect and without a bored hole. f_h,k = 0.082·ρ_k·d^−0.3 and M_y,Rk = 0.3·f_u·d^2.6, N and mm. The wood of both is taken alike.
 */
export const timberScrewEn = defineCalc({
  id: 'shore.screwEn',
  title: 'Screw or nail through a board into a stud, limit state',
  input: closed({
    diameter: positive('m', 'of the shank in the wood, up to 8 mm'),
    side: positive('m', 'thickness of the board'),
    into: positive('m', 'length in the stud'),
    density: positive('kg/m3', 'characteristic, of the wood', { minimum: 200, maximum: 1200 }),
    kmod: kMod(),
    gammaM: partialFactor(),
  }),
  output: closed({ characteristic: positive('N'), design: positive('N'), mode: positive('1') }),
  source: { basis: 'published', text: 'EN 1995-1-1 8.2.2 (8.6), 8.3.1.1 (8.14, 8.15), single shear, rope effect left out' },
  compute(i) {
    const [d, t1, t2] = [i.diameter * 1000, i.side * 1000, i.into * 1000];
    if (!(d <= 8)) refuse('diameter', `${d.toFixed(1)} mm is over 8 mm: bolts follow other rules.`);
    if (!(t2 >= 6 * d)) refuse('into', `${t2.toFixed(0)} mm in the stud is under six diameters: use a longer screw.`);
    const fh = 0.082 * i.density * d ** -0.3;
    const my = 0.3 * WIRE * d ** 2.6;
    // Both woods alike: β = 1.
    const r = t2 / t1;
    const one = (t: number) => 1.05 * ((fh * t * d) / 3) * (Math.sqrt(4 + (12 * my) / (fh * d * t ** 2)) - 1);
    const modes = [
      fh * t1 * d,
      fh * t2 * d,
      ((fh * t1 * d) / 2) * (Math.sqrt(1 + 2 * (1 + r + r ** 2) + r ** 2) - (1 + r)),
      one(t1),
      one(t2),
      1.15 * Math.sqrt(2 * my * fh * d),
    ];
    const characteristic = Math.min(...modes);
    return { characteristic, design: (characteristic * i.kmod) / i.gammaM, mode: modes.indexOf(characteristic) + 1 };
  },
  work: (i, o) => [
    {
      label: 'Embedding',
      formula: '0.082·ρ_k·d^−0.3',
      numbers: phrase`ρ_k = ${String(i.density)} kg/m³`,
      result: q(0.082e6 * i.density * (i.diameter * 1000) ** -0.3, 'strength'),
    },
    {
      label: 'Least of the six modes',
      formula: '(8.6) a to f',
      numbers: phrase`d ${q(i.diameter, 'dimension')}, board ${q(i.side, 'dimension')}, in the stud ${q(i.into, 'dimension')}; ${'abcdef'[o.mode - 1] ?? ''} rules, mode ${String(o.mode)} of six`,
      result: q(o.characteristic, 'force'),
    },
    { label: 'Design', formula: 'R_k·k_mod/γ_M', numbers: phrase`${q(i.kmod, 'factor')} / ${q(i.gammaM, 'factor')}`, result: q(o.design, 'force') },
  ],
});
