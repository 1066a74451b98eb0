import { closed, nonNegative, oneOf, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

const LOAD_CONSTANT = 23;

/** Table 5 of DHHS (NIOSH) 94-110: frequency → up to 1 h, 2 h, 8 h; each below and from 75 cm height. From memory, checked against its worked examples. */
const FREQUENCY: readonly (readonly [number, number, number, number, number, number, number])[] = [
  [0.2, 1, 1, 0.95, 0.95, 0.85, 0.85],
  [0.5, 0.97, 0.97, 0.92, 0.92, 0.81, 0.81],
  [1, 0.94, 0.94, 0.88, 0.88, 0.75, 0.75],
  [2, 0.91, 0.91, 0.84, 0.84, 0.65, 0.65],
  [3, 0.88, 0.88, 0.79, 0.79, 0.55, 0.55],
  [4, 0.84, 0.84, 0.72, 0.72, 0.45, 0.45],
  [5, 0.8, 0.8, 0.6, 0.6, 0.35, 0.35],
  [6, 0.75, 0.75, 0.5, 0.5, 0.27, 0.27],
  [7, 0.7, 0.7, 0.42, 0.42, 0.22, 0.22],
  [8, 0.6, 0.6, 0.35, 0.35, 0.18, 0.18],
  [9, 0.52, 0.52, 0.3, 0.3, 0, 0.15],
  [10, 0.45, 0.45, 0.26, 0.26, 0, 0.13],
  [11, 0.41, 0.41, 0, 0.23, 0, 0],
  [12, 0.37, 0.37, 0, 0.21, 0, 0],
  [13, 0, 0.34, 0, 0, 0, 0],
  [14, 0, 0.31, 0, 0, 0, 0],
  [15, 0, 0.28, 0, 0, 0, 0],
];

/** The table is read at the next higher frequency; past its end there is nothing left. */
export function frequencyMultiplier(perMinute: number, hours: '1' | '2' | '8', height: number): number {
  const row = FREQUENCY.find((one) => one[0] >= perMinute);
  if (!row) return 0;
  const column = { '1': 1, '2': 3, '8': 5 }[hours] + (height < 0.75 ? 0 : 1);
  return row[column] ?? 0;
}

const COUPLING = { good: [1, 1], fair: [0.95, 1], poor: [0.9, 0.9] } as const;

/** Revised NIOSH lifting equation, for one person’s share. */
export const nioshLift = defineCalc({
  id: 'handling.niosh',
  title: 'Recommended weight limit for one lifter',
  input: closed({
    load: positive('kg', 'one person’s share'),
    reach: positive('m', 'hands from the ankles'),
    height: nonNegative('m', 'hands above the floor at the start'),
    travel: nonNegative('m', 'how far it is lifted'),
    twistDeg: nonNegative('deg'),
    perMinute: nonNegative('1'),
    hours: oneOf(['1', '2', '8'], 'work of this kind lasts up to this many hours'),
    coupling: oneOf(['good', 'fair', 'poor']),
  }),
  output: closed({ limit: nonNegative('kg'), index: nonNegative('1', '0 when the limit is 0 and no index can be given') }),
  source: { basis: 'published', text: 'NIOSH 94-110, revised lifting equation: 23 kg·HM·VM·DM·AM·FM·CM; frequency table from memory' },
  compute(i) {
    const parts = multipliers(i);
    const limit = LOAD_CONSTANT * parts.hm * parts.vm * parts.dm * parts.am * parts.fm * parts.cm;
    return { limit, index: limit > 0 ? i.load / limit : 0 };
  },
  work(i, o) {
    const m = multipliers(i);
    return [
      { label: 'Reach', formula: 'HM = 25/H (cm)', numbers: phrase`H = ${q(i.reach, 'dimension')}`, result: q(m.hm, 'factor') },
      { label: 'Height', formula: 'VM = 1 − 0.003·|V − 75|', numbers: phrase`V = ${q(i.height, 'dimension')}`, result: q(m.vm, 'factor') },
      { label: 'Travel', formula: 'DM = 0.82 + 4.5/D', numbers: phrase`D = ${q(i.travel, 'dimension')}`, result: q(m.dm, 'factor') },
      { label: 'Twist', formula: 'AM = 1 − 0.0032·A', result: q(m.am, 'factor') },
      { label: 'How often', formula: 'FM, Table 5', numbers: phrase`${String(i.perMinute)} a minute, up to ${i.hours} h`, result: q(m.fm, 'factor') },
      { label: 'Grip', formula: 'CM', numbers: phrase`${i.coupling}`, result: q(m.cm, 'factor') },
      { label: 'Recommended limit', formula: '23 kg × all of them', result: q(o.limit, 'mass') },
      { label: 'Lifting index', formula: 'load / limit', result: o.limit > 0 ? q(o.index, 'factor') : 'no lift of this kind is recommended at all' },
    ];
  },
});

interface Lift {
  reach: number;
  height: number;
  travel: number;
  twistDeg: number;
  perMinute: number;
  hours: '1' | '2' | '8';
  coupling: 'good' | 'fair' | 'poor';
}

function multipliers(i: Lift) {
  return {
    hm: i.reach <= 0.25 ? 1 : i.reach > 0.63 ? 0 : 0.25 / i.reach,
    vm: i.height > 1.75 ? 0 : 1 - 0.3 * Math.abs(i.height - 0.75),
    dm: i.travel <= 0.25 ? 1 : i.travel > 1.75 ? 0 : 0.82 + 0.045 / i.travel,
    am: i.twistDeg > 135 ? 0 : 1 - 0.0032 * i.twistDeg,
    fm: frequencyMultiplier(i.perMinute, i.hours, i.height),
    cm: COUPLING[i.coupling][i.height < 0.75 ? 0 : 1],
  };
}
