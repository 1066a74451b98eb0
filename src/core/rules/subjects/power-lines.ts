import { alike, bound, practice, published, under, type Threshold } from '../threshold';

export const powerLines = {
  lineWarning: {
    key: 'lineWarning',
    title: 'Power line: warn where crane, line or load could come within',
    kind: 'length',
    value: alike(6.096),
    least: 0,
    most: 100,
    floor: under({ 'us-asd': bound(6.096, '29 CFR 1926.1408(a), 20 ft') }),
    source: {
      'us-asd': published('29 CFR 1926.1408(a): 20 ft, up to 350 kV'),
      'eu-ls': practice('20 ft of 29 CFR 1926.1408(a), taken here too; the line’s owner decides'),
    },
  },
  lineWarningHigh: {
    key: 'lineWarningHigh',
    title: 'Power line over 350 kV: warn where crane, line or load could come within',
    kind: 'length',
    value: alike(15.24),
    least: 0,
    most: 200,
    floor: under({ 'us-asd': bound(15.24, '29 CFR 1926.1409, 50 ft') }),
    source: {
      'us-asd': published('29 CFR 1926.1409: 50 ft, over 350 kV'),
      'eu-ls': practice('50 ft of 29 CFR 1926.1409, taken here too; the line’s owner decides'),
    },
  },
} as const satisfies Record<string, Threshold>;
