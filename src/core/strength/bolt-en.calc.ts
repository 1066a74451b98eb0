import { closed, oneOf, partialFactor, positive, positiveInteger } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

export const boltGrades = ['4.6', '5.6', '8.8', '10.9'] as const;

/** Stress area of ISO metric coarse threads, mm² by nominal diameter in mm (ISO 898-1). */
const STRESS_AREA: Readonly<Record<number, number>> = { 12: 84.3, 16: 157, 20: 245, 22: 303, 24: 353, 27: 459, 30: 561, 36: 817 };
const ULTIMATE = { '4.6': 400e6, '5.6': 500e6, '8.8': 800e6, '10.9': 1000e6 } as const;

/** One bolt in shear through the thread and in tension, EN 1993-1-8 Table 3.4. */
export const boltEn = defineCalc({
  id: 'connection.boltEn',
  title: 'Bolt in shear and tension, design',
  input: closed({ diameter: positive('m'), grade: oneOf(boltGrades), planes: positiveInteger('shear planes'), gammaM2: partialFactor() }),
  output: closed({ shear: positive('N'), tension: positive('N') }),
  source: { basis: 'published', text: 'EN 1993-1-8 Table 3.4, threads in the shear plane; stress areas ISO 898-1' },
  compute({ diameter, grade, planes, gammaM2 }) {
    const size = Math.round(diameter * 1000);
    const area = STRESS_AREA[size];
    if (area === undefined || Math.abs(size - diameter * 1000) > 0.05)
      refuse('diameter', `No M${(diameter * 1000).toFixed(1)} in the table: use one of M${Object.keys(STRESS_AREA).join(', M')}.`);
    const share = grade === '10.9' ? 0.5 : 0.6;
    const force = (ULTIMATE[grade] * (area as number) * 1e-6) / gammaM2;
    return { shear: share * force * planes, tension: 0.9 * force };
  },
  work: (i, o) => [
    {
      label: 'Shear',
      formula: 'α_v·f_ub·A_s·n/γ_M2',
      numbers: phrase`M${String(Math.round(i.diameter * 1000))} ${i.grade}, ${String(i.planes)} plane(s)`,
      result: q(o.shear, 'force'),
    },
    { label: 'Tension', formula: '0.9·f_ub·A_s/γ_M2', result: q(o.tension, 'force') },
  ],
});
