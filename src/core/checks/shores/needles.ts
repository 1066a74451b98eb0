import type { LinePlan } from '../../document/views';
import { phrase, q, type Phrase } from '../../calc/work';
import type { Trace } from '../../calc/evidence';
import { contactPressure } from '../../path/contact-pressure.calc';
import type { Rules } from '../../rules/rule-sets';
import { needle } from '../../shoring/needle.calc';
import { timberBeam } from '../../shoring/timber-beam.calc';
import { TIMBER_SOURCE } from '../../shoring/timber-grades';
import { yieldOf } from '../../steel/grades';
import type { SectionRow } from '../../steel/section-row';
import { findSection } from '../../steel/sections';
import { GRAVITY, type QuantityKind } from '../../units';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import type { ShoreRow } from '../../document/schema';
import { needleMass, needleName } from '../../settle/shore-parts';
import { rowLine } from '../../settle/shoring';
import { missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { bendingCapacity, shearCapacity, webCapacity } from '../../settle/section-strength';
import { shorePlace } from './place';
import { timberAcross, timberStress } from './timber';

export interface NeedleAnswer {
  load: number;
  leftProp: number;
  rightProp: number;
  moment: number;
  shear: number;
  traces: Trace[];
}

/** One needle of the row under the wall it carries. */
export function needleOf(plan: LinePlan, row: ShoreRow, rules: Rules): NeedleAnswer | Missing {
  const line = rowLine(plan, row, rules);
  if (line instanceof Missing) return line;
  if (!(line.line > 0)) return new Missing(`What comes down on ${row.name}? Nothing is known to.`);
  const own = needleMass(row);
  if (own instanceof Missing) return own;
  const { left, right } = row.arms;
  const run = traced(needle, {
    line: line.line,
    spacing: row.spacing,
    left,
    right,
    own: own * (left + right) * GRAVITY * rules.value('loadFactor'),
  });
  if (!run.outcome.ok) return new Missing(run.outcome.error);
  return { ...run.outcome.output, traces: [...line.traces, ...run.traces] };
}

type Strength = { capacity: number; traces: Trace[] } | Missing;

/** What the needles take in bending, free between their props. */
export function needleStrength(row: ShoreRow, rules: Rules): Strength {
  const { needle: one } = row;
  if (one.kind === 'timber') return timberNeedle(row, rules, 'moment');
  const steel = steelNeedle(row);
  return steel instanceof Missing ? steel : bendingCapacity(steel.section, steel.fy, rules, { length: row.arms.left + row.arms.right, factor: 1 });
}

function steelNeedle({ needle: one, name }: ShoreRow): { section: SectionRow; fy: number } | Missing {
  if (one.kind === 'timber') return new Missing(`The needles of ${name} are timber.`);
  const section = findSection(one.section);
  const fy = yieldOf(one.grade, section?.flange);
  if (!section) return new Missing(`“${one.section}” is not in the section tables. What are the needles of ${name}?`);
  if (fy === null) return new Missing(`What does grade “${one.grade}” of the needles of ${name} yield at?`);
  return { section, fy };
}

function timberNeedle({ needle: one, name }: ShoreRow, rules: Rules, what: 'moment' | 'shear'): Strength {
  if (one.kind === 'steel') return new Missing(`The needles of ${name} are steel.`);
  const stress = timberStress(one.grade, one.depth, rules);
  if (!stress) return new Missing(`Grade ${one.grade} has no values in this rule set: what are the needles of ${name}?`);
  const run = traced(timberBeam, { ...stress, width: one.width, depth: one.depth });
  return run.outcome.ok ? { capacity: run.outcome.output[what], traces: run.traces } : new Missing(run.outcome.error);
}

/** Shear over the needle, and what its web or its wood takes over a prop and under the wall. */
function needleShear(row: ShoreRow, rules: Rules): Strength {
  if (row.needle.kind === 'timber') return timberNeedle(row, rules, 'shear');
  const steel = steelNeedle(row);
  return steel instanceof Missing ? steel : shearCapacity(steel.section, steel.fy, rules);
}

function needleSeat(row: ShoreRow, length: number, atEnd: boolean, rules: Rules): Strength {
  if (row.needle.kind === 'timber') {
    const across = timberAcross(row.needle.grade, rules);
    if (across === null) return new Missing(`Grade ${row.needle.grade} has no values in this rule set: what are the needles of ${row.name}?`);
    return { capacity: across * length * row.needle.width, traces: [] };
  }
  const steel = steelNeedle(row);
  return steel instanceof Missing ? steel : webCapacity(steel.section, steel.fy, { length, past: 0, atEnd }, rules);
}

const needleWidth = ({ needle: one }: ShoreRow): number | null => (one.kind === 'timber' ? one.width : (findSection(one.section)?.width ?? null));

/** The needle itself: bending, shear, over a prop, and the wall on it. */
export function needleChecks(row: ShoreRow, answer: NeedleAnswer, rules: Rules): Check[] {
  const name = needleName(row);
  const caution = rules.value('strengthCaution');
  const of = (id: string, quantity: QuantityKind, demand: number, capacity: Strength, source: string, words: (takes: number) => Phrase): Check => {
    const place = shorePlace(id, row, needle, sourced(source, rules, 'strengthCaution'));
    return capacity instanceof Missing
      ? missingCheck(place, quantity, capacity.questions.join(' '), answer.traces)
      : ratioCheck(place, { demand, capacity: capacity.capacity, quantity, caution }, told(words(capacity.capacity)), [...answer.traces, ...capacity.traces]);
  };
  const { head, masonry } = row;
  const prop = Math.max(answer.leftProp, answer.rightProp);
  const seat =
    head === null
      ? missingCheck(shorePlace('needleSeat', row, needle), 'force', `How much of a needle of ${row.name} lies on the head of a prop?`, answer.traces)
      : of(
          'needleSeat',
          'force',
          prop,
          needleSeat(row, head, true, rules),
          needleSeatSource(row, rules),
          (takes) => phrase`Over a prop a needle of ${row.name} is pressed with ${q(prop, 'force')}; on ${q(head, 'dimension')} it takes ${q(takes, 'force')}.`,
        );
  const width = needleWidth(row);
  const wallPlace = shorePlace('masonry', row, contactPressure, sourced('Load over area, taken as even', rules, 'contactCaution'));
  const pressed = (): Check => {
    if (masonry.width === null || masonry.allowable === null || width === null)
      return missingCheck(wallPlace, 'pressure', `How thick is the wall on the needles of ${row.name}, and what may its masonry be pressed?`, answer.traces);
    const run = traced(contactPressure, { load: answer.load, length: masonry.width, width, allowable: masonry.allowable });
    if (!run.outcome.ok) return missingCheck(wallPlace, 'pressure', run.outcome.error);
    return ratioCheck(
      wallPlace,
      { demand: run.outcome.output.pressure, capacity: masonry.allowable, quantity: 'pressure', caution: rules.value('contactCaution') },
      told(
        phrase`The wall presses a needle of ${row.name} with ${q(run.outcome.output.pressure, 'pressure')}; its masonry may take ${q(masonry.allowable, 'pressure')}.`,
      ),
      [...answer.traces, ...run.traces],
    );
  };
  return [
    of(
      'needle',
      'moment',
      answer.moment,
      needleStrength(row, rules),
      needle.source.text,
      (takes) =>
        phrase`A needle of ${row.name} takes ${q(answer.load, 'force')} of wall and bends with ${q(answer.moment, 'moment')}; ${name} takes ${q(takes, 'moment')}.`,
    ),
    of(
      'needleShear',
      'force',
      answer.shear,
      needleShear(row, rules),
      needle.source.text,
      (takes) => phrase`A needle of ${row.name} shears with ${q(answer.shear, 'force')}; ${name} takes ${q(takes, 'force')}.`,
    ),
    seat,
    pressed(),
  ];
}

const needleSeatSource = (row: ShoreRow, rules: Rules): string =>
  row.needle.kind === 'timber' ? `Square to the grain · ${TIMBER_SOURCE[rules.id]}` : rules.id === 'us-asd' ? 'AISC 360 J10.2, J10.3' : 'EN 1993-1-5 section 6';
