/** How people write a section: one spelling for all of it, or the parts that name one without the rest. */

const FAMILY_LAST = /^(\d.*?)(UB|UC|PFC|IPE|HEA|HEB|HEM)X?(\d+(?:\.\d+)?)?$/;
/** Written behind a section on a list: a grade, or the unit of its weight. */
const BEHIND = /(?:[\s,(]+(?:S ?\d{3}\w*|A ?\d{2,3}(?:-\d+)?|GR(?:ADE)?\.? ?\d+)\)?|\s*(?:LBS?\/FT|LB\/FT|PLF|#|KG\/M|"|”|″))+$/i;
const BEFORE = /^(?:(?:DIN|EN|BS|ASTM) ?[\d-]+ ?[:,]?\s+|[[\]]\s*)/i;
/** Older or other names of the same families: DIN 1025 for wide flanges, the tube and wide flange of older American tables. */
const OTHER_NAMES: readonly [RegExp, string][] = [
  [/^IPBL(?=\d)/, 'HEA'],
  [/^IPBV(?=\d)/, 'HEM'],
  [/^IPB(?=\d)/, 'HEB'],
  [/^TS(?=\d)/, 'HSS'],
  [/^WF(?=\d)/, 'W'],
];

/**
 * Case, blanks, × and *, comma decimals, dashes, `HE 200 A`, `254x146x37 UB`, `254x146 UB 37`, `UB 254/146/37`, `10W88`,
 * `HSS6x6x0.375`, and a grade or a unit written behind.
 */
export function normaliseMark(text: string): string {
  let mark = text
    .trim()
    .replace(BEFORE, (found) => (/^\[/.test(found) ? 'PFC' : ''))
    .replace(BEHIND, '')
    .toUpperCase()
    .replace(/[×✕*]/g, 'X')
    .replace(/,/g, '.')
    .replace(/[\s\u00a0\u2009\u202f_]+/g, ' ')
    .replace(/([A-Z]) ?[-–] ?(?=[A-Z\d])/g, '$1')
    .replace(/(\d) ?[-–] ?(?=[A-Z])/g, '$1')
    .replace(/(\d) ?[-–] ?(?=\d)/g, '$1X');
  // A W is named by two numbers: a blank between them parts them as well as an x.
  mark = mark.replace(/^(W ?\d+) (?=\d+(?:\.\d+)?$)/, '$1X').replace(/ /g, '');
  if (/UB|UC|PFC/.test(mark)) mark = mark.replace(/\//g, 'X');
  for (const [other, family] of OTHER_NAMES) mark = mark.replace(other, family);
  const wide = /^(\d+)WF?(\d+(?:\.\d+)?)$/.exec(mark);
  if (wide) mark = `W${wide[1]}X${wide[2]}`;
  const he = /^HE(\d+)([ABM])$/.exec(mark);
  if (he) mark = `HE${he[2]}${he[1]}`;
  const last = FAMILY_LAST.exec(mark);
  if (last) mark = `${last[2]}${last[1]?.replace(/X$/, '')}${last[3] ? `X${last[3]}` : ''}`;
  const hss = /^(HSS.*X)(0?\.\d+)$/.exec(mark);
  if (hss) mark = hss[1] + sixteenths(Number(hss[2]));
  return mark;
}

function sixteenths(inches: number): string {
  for (const denominator of [1, 2, 4, 8, 16]) {
    const numerator = inches * denominator;
    if (Math.abs(numerator - Math.round(numerator)) < 1e-3) return `${Math.round(numerator)}/${denominator}`;
  }
  return String(inches);
}

/** Nominal depths of the W series, inches to millimetres (ASTM A6/A6M, from memory). */
const METRIC_DEPTH: Record<number, number> = {
  4: 100,
  5: 130,
  6: 150,
  8: 200,
  10: 250,
  12: 310,
  14: 360,
  16: 410,
  18: 460,
  21: 530,
  24: 610,
  27: 690,
  30: 760,
  33: 840,
  36: 920,
  40: 1000,
  44: 1100,
};

interface Named {
  designation: string;
  family: string;
  massPerLength: number;
}

/**
 * Sections a shortened or converted name can mean: `203 UC 46` without its second number, `PFC 200x75` without its weight,
 * `W250x73` in the metric names of the W series. A name that means two means none.
 */
export function meantBy<T extends Named>(mark: string, sections: readonly T[]): T | undefined {
  const only = (list: readonly T[]): T | undefined => (list.length === 1 ? list[0] : undefined);
  const short = /^(UB|UC|PFC)(\d+)X(\d+(?:\.\d+)?)$/.exec(mark);
  if (short) {
    const [, family, depth, next] = short;
    const numbers = (one: T) => one.designation.slice(one.family.length).trim().split('x');
    const ofDepth = sections.filter((one) => one.family === family && numbers(one)[0] === depth);
    return only(ofDepth.filter((one) => numbers(one)[2] === next)) ?? only(ofDepth.filter((one) => numbers(one)[1] === next));
  }
  const metric = /^W(\d{3,4})X(\d+(?:\.\d+)?)$/.exec(mark);
  if (!metric) return undefined;
  return only(
    sections.filter(
      (one) =>
        one.family === 'W' &&
        METRIC_DEPTH[Number(/^W(\d+)x/.exec(one.designation)?.[1])] === Number(metric[1]) &&
        Math.abs(one.massPerLength - Number(metric[2])) <= 0.6,
    ),
  );
}
