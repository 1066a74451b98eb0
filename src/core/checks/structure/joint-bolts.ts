import { phrase, q, type Phrase } from '../../calc/work';
import type { Rules } from '../../rules/rule-sets';
import { boltEn } from '../../strength/bolt-en.calc';
import { isMetric, nominalStress } from '../../strength/bolt-grades';
import { boltShearAisc } from '../../strength/bolt-shear-aisc.calc';
import type { Trace } from '../../calc/evidence';
import type { UnitSystem } from '../../units';
import { traced } from '../../verdict/build';
import type { Joint } from '../../document/schema';

export type Bolt = NonNullable<Joint['bolt']>;

/** Its bolts as somebody has said them, all of it; null: not yet. */
export const drawnBolt = ({ bolt, unsaid }: Pick<Joint, 'bolt' | 'unsaid'>): Bolt | null =>
  !bolt || unsaid?.some((key) => key === 'bolt.grade' || key === 'bolt.planes') ? null : bolt;

/** What one bolt carries in shear by its size and grade; `why` where no table of this rule set has it. */
export type BoltShear = { shear: number; traces: Trace[]; calc: string; source: string } | { why: string };

export function boltShearOf({ diameter, grade, planes }: Bolt, rules: Rules): BoltShear {
  const european = rules.id === 'eu-ls';
  if (european && !isMetric(grade)) return { why: `grade ${grade} is not one of EN 1993-1-8` };
  if (european) {
    const { outcome, traces } = traced(boltEn, { diameter, grade: grade as never, planes, gammaM2: rules.value('gammaM2') });
    return outcome.ok ? { shear: outcome.output.shear, traces, calc: boltEn.id, source: boltEn.source.text } : { why: outcome.error };
  }
  const { outcome, traces } = traced(boltShearAisc, { diameter, nominalStress: nominalStress[grade].shear, planes });
  return outcome.ok ? { shear: outcome.output.allowable, traces, calc: boltShearAisc.id, source: boltShearAisc.source.text } : { why: outcome.error };
}

const SIXTEENTH = 0.0254 / 16;
const FRACTIONS = ['', '1/16', '1/8', '3/16', '1/4', '5/16', '3/8', '7/16', '1/2', '9/16', '5/8', '11/16', '3/4', '13/16', '7/8', '15/16'];

/** A bolt as it is called: M20 8.8; 3/4" A325. */
export function boltName({ diameter, grade }: Pick<Bolt, 'diameter' | 'grade'>, units: UnitSystem): string {
  if (isMetric(grade) && (units === 'metric' || Math.abs(diameter * 1000 - Math.round(diameter * 1000)) < 0.02)) {
    const size = diameter * 1000;
    return `M${Math.abs(size - Math.round(size)) < 0.05 ? Math.round(size) : size.toFixed(1)} ${grade}`;
  }
  const sixteenths = Math.round(diameter / SIXTEENTH);
  if (Math.abs(diameter - sixteenths * SIXTEENTH) > 1e-4) return `${(diameter * 1000).toFixed(1)} mm ${grade}`;
  const whole = Math.floor(sixteenths / 16);
  const part = FRACTIONS[sixteenths % 16]!;
  return `${[whole > 0 ? String(whole) : '', part].filter(Boolean).join(' ')}" ${grade}`;
}

/** In words: what the size says against what is said of it. */
export const shearWords = (name: string, bolt: Bolt, units: UnitSystem, shear: number): Phrase =>
  phrase`${boltName(bolt, units)} in ${bolt.planes === 1 ? 'one shear plane' : `${bolt.planes} shear planes`} carries ${q(shear, 'force')}, threads in the plane, before the plates of ${name} are looked at`;
