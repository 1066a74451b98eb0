import type { Trace } from '../../calc/evidence';
import type { Rules } from '../../rules/rule-sets';
import { sizeFactors, timberValues, type TimberGrade } from '../../shoring/timber-grades';
import { timberPost } from '../../shoring/timber-post.calc';
import { timberPostEn } from '../../shoring/timber-post-en.calc';
import { Missing } from '../../verdict/missing';
import { traced } from '../../verdict/build';

export interface Strut {
  /** along the line */
  width: number;
  /** across it */
  depth: number;
  grade: TimberGrade;
  /** rows of bracing along the line: they hold it in that direction only */
  braces: number;
}

/** What a sawn stud, post or dead shore may carry, braced as it is; a string is why it may carry nothing. */
export function timberStrut(
  { width, depth, grade, braces }: Strut,
  name: string,
  length: number,
  rules: Rules,
): { capacity: number; traces: Trace[] } | Missing | string {
  const values = timberValues(grade, rules.id);
  if (!values) return new Missing(`Grade ${grade} has no values in this rule set: choose a grade of its own tables for ${name}.`);
  const free = { width, depth, unbracedWidth: length / (braces + 1), unbracedDepth: length };
  if (rules.id === 'eu-ls') {
    const run = traced(timberPostEn, { ...free, fc: values.fc, eLow: values.eLow, kmod: rules.value('timberDuration'), gammaM: rules.value('timberGamma') });
    return run.outcome.ok ? { capacity: run.outcome.output.design, traces: run.traces } : run.outcome.error;
  }
  const run = traced(timberPost, {
    ...free,
    fc: values.fc,
    eMin: values.eLow,
    loadDuration: rules.value('timberDuration'),
    sizeFactor: sizeFactors(grade, Math.max(width, depth)).compression,
  });
  return run.outcome.ok ? { capacity: run.outcome.output.allowable, traces: run.traces } : run.outcome.error;
}

/** Bending and shear stress timber may take, with the factors of the rule set. */
export function timberStress(grade: TimberGrade, depth: number, rules: Rules): { bending: number; shear: number } | null {
  const values = timberValues(grade, rules.id);
  if (!values) return null;
  const factor = rules.id === 'eu-ls' ? rules.value('timberDuration') / rules.value('timberGamma') : rules.value('timberDuration');
  return {
    bending: values.fb * factor * (rules.id === 'eu-ls' ? 1 : sizeFactors(grade, depth).bending),
    shear: values.fv * factor * (rules.id === 'eu-ls' ? 0.67 : 1),
  };
}

/** What wood takes square to the grain, with the factors of the rule set; NDS has no load duration there. */
export function timberAcross(grade: TimberGrade, rules: Rules): number | null {
  const values = timberValues(grade, rules.id);
  if (!values) return null;
  return rules.id === 'eu-ls' ? (values.fcPerp * rules.value('timberDuration')) / rules.value('timberGamma') : values.fcPerp;
}
