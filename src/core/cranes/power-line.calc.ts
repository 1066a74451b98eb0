import { closed, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { q } from '../calc/work';
import { metresPer } from '../units';

/** 29 CFR 1926.1408 Table A: nominal voltage up to [V] → minimum clearance [ft]. */
export const tableA: readonly { upTo: number; feet: number }[] = [
  { upTo: 50e3, feet: 10 },
  { upTo: 200e3, feet: 15 },
  { upTo: 350e3, feet: 20 },
  { upTo: 500e3, feet: 25 },
  { upTo: 750e3, feet: 35 },
  { upTo: 1000e3, feet: 45 },
];

export const cranePowerLine = defineCalc({
  id: 'crane.powerLine',
  title: 'Clearance to a power line',
  input: closed({ volts: positive('V', 'nominal, phase to phase', { maximum: 1e7 }) }),
  output: closed({ clearance: positive('m') }),
  source: { basis: 'published', text: '29 CFR 1926.1408 Table A' },
  compute({ volts }) {
    const row = tableA.find(({ upTo }) => volts <= upTo);
    if (!row) refuse('volts', `${volts / 1000} kV is above the table’s 1000 kV: the line’s owner or a registered electrical engineer must set the clearance.`);
    return { clearance: row.feet * metresPer.ft };
  },
  work: ({ volts }, o) => [
    { label: `Table A at ${volts / 1000} kV`, formula: 'least distance of any part of crane, line or load', result: q(o.clearance, 'length') },
  ],
});
