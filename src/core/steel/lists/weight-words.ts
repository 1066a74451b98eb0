import { GRAVITY, kilogramsPer } from '../../units';
import type { Per } from './rows';

const force = (newtons: number): number => newtons / GRAVITY;
/** A hundredweight: 100 lb in America, 112 lb in Britain. */
const SHORT_CWT = 100 * kilogramsPer.lb;
const LONG_CWT = 112 * kilogramsPer.lb;

/** Units a weight is written in, kilograms each. A force is the weight that pulls so hard. */
export const weightUnits = {
  kg: 1,
  t: kilogramsPer.tonne,
  lb: kilogramsPer.lb,
  kip: kilogramsPer.kip,
  kN: force(1000),
  N: force(1),
  daN: force(10),
  'short ton': kilogramsPer.shortTon,
  'long ton': kilogramsPer.longTon,
  'short cwt': SHORT_CWT,
  'long cwt': LONG_CWT,
} as const;
export type WeightUnit = keyof typeof weightUnits;

/** What a heading, or what stands behind a figure, says of a weight. Null: nothing. Several units: it does not say which of them. */
export interface WeightWords {
  units: readonly WeightUnit[] | null;
  per: readonly Per[] | null;
  /** words where a unit stands and that name none known here */
  strange: string | null;
}

const tons: readonly WeightUnit[] = ['short ton', 't', 'long ton'];
/** In this order: the first that fits. Letters count where they tell Mg from mg, and t from T. */
const unitPatterns: readonly (readonly [RegExp, readonly WeightUnit[]])[] = [
  [/\bshort[ -]?tons?\b|\bus[ -]?tons?\b|\bn\.?tons?\b/i, ['short ton']],
  [/\blong[ -]?tons?\b|\b(uk|imperial)[ -]?tons?\b/i, ['long ton']],
  [/\bmetric[ -]?tons?\b|\btonnes?\b|\btonnen?\b|\btonnellat[ae]\b|\btoneladas?\b|\bmt\b|\bte\b/i, ['t']],
  [/\bshort[ -]?cwt\b/i, ['short cwt']],
  [/\blong[ -]?cwt\b/i, ['long cwt']],
  [/\bcwts?\b|\bhundredweights?\b/i, ['short cwt', 'long cwt']],
  [/\btons?\b|(?<![A-Za-z.])T(?![A-Za-z])/, tons],
  [/\btons?\b/i, tons],
  [/(?<![A-Za-z])(Mg|MG|mg)(?![A-Za-z])/, ['t']],
  [/(?<![A-Za-z])t(?![A-Za-z'’])/, ['t']],
  [/(?<![a-z])(kgs?|kgf|kp|kilos?|kilogram(me)?s?)(?![a-z])/i, ['kg']],
  [/(?<![a-z])(lbs?|lbf|lbm|pounds?|plf)(?![a-z])|#/i, ['lb']],
  [/(?<![a-z])(kips?|klf)(?![a-z])/i, ['kip']],
  [/(?<![a-z])kn(?![a-z])|kilonewtons?/i, ['kN']],
  [/(?<![a-z])dan(?![a-z])/i, ['daN']],
  [/(?<![A-Za-z])N(?![A-Za-z])|\bnewtons?\b/, ['N']],
];

const perFoot = /(\/|per|je|par)\s*(l\.?f\.?(?![a-z])|lin(ear)?\.? ?f(oo)?t|ft|foot|feet|')|\b[pk]lf\b/i;
const perMetre = /(\/|per|je|pro|par|au)\s*(running |lin(ear)?\.? ?)?(lfm|lfdm|lm|ml|mtr|met(er|re)|m)(?![a-z²2])|metergewicht/i;
const ofRow = /\b(total|totale?s?|totaal|gesamt|ges|summe|sum|all|tot|subtotal|ext|extended|toplam|line)\b|gesamt/i;
const ofOne =
  /\b(each|ea|one|single|piece|pc|unitaire|unitario|unitaria)\b|(\/|per|pro|je|par)\s*(pcs?|piece|ea|each|item|st|stk|stück|stueck|pi[eè]ce|one)\b|einzel|stückgewicht|stueckgewicht/i;
const perUnit = /\bunit\b/i;
/** Words that may stand where a unit does, and are none. */
const noUnit =
  /^(net|netto|gross|brutto|approx|approximate|ca|calc|calculated|theor\w*|nominal|steel|est|estimated|total|gesamt|each|ea|one|all|sum|summe|unit|of|per|piece|pc|pcs|stk|stück|drawing|by|weighed)*$/i;

/** What words say a weight is in, and of. */
export function weightWords(text: string): WeightWords {
  const words = text.replace(/[_\s]+/g, ' ').trim();
  const units = unitPatterns.find(([pattern]) => pattern.test(words))?.[1] ?? null;
  const per: readonly Per[] | null = perFoot.test(words)
    ? ['foot']
    : perMetre.test(words)
      ? ['metre']
      : ofRow.test(words)
        ? ['row']
        : ofOne.test(words)
          ? ['one']
          : perUnit.test(words)
            ? ['one', 'metre', 'foot']
            : null;
  const [, where] = /[([/]\s*([^)\]]+?)\s*[)\]]?\s*$/.exec(words) ?? [];
  const strange = units === null && per === null && where !== undefined && !noUnit.test(where.replace(/[\s.]/g, '')) ? where : null;
  return { units, per, strange };
}
