import { closed, loadDurationNds, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const psi = 6894.757293168;
const inch = 0.0254;

/** NDS 12.3.1: dowel bending yield of common nails and wood screws by diameter, psi (Table I1, from memory). */
const bendingYield = (inches: number): number =>
  inches <= 0.142 ? 100_000 : inches <= 0.177 ? 90_000 : inches <= 0.236 ? 80_000 : inches <= 0.273 ? 70_000 : 45_000;

/**
 * One nail or screw holding a board to a stud, square to its length: the least of the six yield modes, under 6.35 mm (¼ in) thick,
 * with F_e = 16 600·G^1.84 psi and R_d = K_D. The wood of both is taken alike.
 */
export const timberScrew = defineCalc({
  id: 'shore.screw',
  title: 'Screw or nail through a board into a stud',
  input: closed({
    diameter: positive('m', 'of the shank in the wood, under 6.35 mm'),
    side: positive('m', 'thickness of the board'),
    into: positive('m', 'length in the stud'),
    gravity: positive('1', 'specific gravity of the wood', { minimum: 0.2, maximum: 1.2 }),
    loadDuration: loadDurationNds(),
  }),
  output: closed({ reference: positive('N'), allowable: positive('N'), mode: positive('1') }),
  source: { basis: 'published', text: 'ANSI/AWC NDS 12.3.1, Table 12.3.1A yield limit equations, single shear; C_D by 2.3.2' },
  compute(i) {
    const d = i.diameter / inch;
    if (!(d < 0.25)) refuse('diameter', `${(i.diameter * 1000).toFixed(1)} mm is not under 6.35 mm: bolts and lag screws follow other equations.`);
    const [ls, lm] = [i.side / inch, i.into / inch];
    if (!(lm >= 6 * d)) refuse('into', `${(i.into * 1000).toFixed(0)} mm in the stud is under six diameters: use a longer screw.`);
    const rd = d <= 0.17 ? 2.2 : 10 * d + 0.5;
    const fe = 16_600 * i.gravity ** 1.84;
    const fyb = bendingYield(d);
    // Both woods alike: R_e = 1.
    const rt = lm / ls;
    const k1 = (Math.sqrt(1 + 2 * (1 + rt + rt ** 2) + rt ** 2) - (1 + rt)) / 2;
    const k2 = -1 + Math.sqrt(4 + (2 * fyb * 3 * d ** 2) / (3 * fe * lm ** 2));
    const k3 = -1 + Math.sqrt(4 + (2 * fyb * 3 * d ** 2) / (3 * fe * ls ** 2));
    const modes = [
      (d * lm * fe) / rd,
      (d * ls * fe) / rd,
      (k1 * d * ls * fe) / rd,
      (k2 * d * lm * fe) / (3 * rd),
      (k3 * d * ls * fe) / (3 * rd),
      (d ** 2 / rd) * Math.sqrt((2 * fe * fyb) / 6),
    ];
    const pounds = Math.min(...modes);
    // Shallower than ten diameters counts in proportion (12.1.6.4).
    const depth = Math.min(1, lm / (10 * d));
    const reference = pounds * depth * psi * inch ** 2;
    return { reference, allowable: reference * i.loadDuration, mode: modes.indexOf(pounds) + 1 };
  },
  work: (i, o) => [
    {
      label: 'Dowel bearing',
      formula: 'F_e = 16 600·G^1.84 psi',
      numbers: phrase`G = ${q(i.gravity, 'factor')}`,
      result: q(16_600 * i.gravity ** 1.84 * psi, 'strength'),
    },
    {
      label: 'Least of the yield modes',
      formula: 'I_m, I_s, II, III_m, III_s, IV over R_d; less below ten diameters in the stud',
      numbers: phrase`D ${q(i.diameter, 'dimension')}, board ${q(i.side, 'dimension')}, in the stud ${q(i.into, 'dimension')}; ${['I_m', 'I_s', 'II', 'III_m', 'III_s', 'IV'][o.mode - 1] ?? ''} rules, mode ${String(o.mode)} of six`,
      result: q(o.reference, 'force'),
    },
    { label: 'Allowed', formula: 'Z·C_D', numbers: phrase`C_D = ${q(i.loadDuration, 'factor')}`, result: q(o.allowable, 'force') },
  ],
});
