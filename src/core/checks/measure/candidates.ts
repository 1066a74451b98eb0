import { simpleSpan } from '../../beams/simple-span.calc';
import type { Trace } from '../../calc/evidence';
import { pocketSize } from '../../fit/pocket.calc';
import { rulesOf, type Rules, type RuleSetId } from '../../rules/rule-sets';
import { yieldOf } from '../../steel/grades';
import type { SectionRow } from '../../steel/section-row';
import { findSection } from '../../steel/sections';
import { GRAVITY } from '../../units';
import { clearOf } from '../../settle/settle';
import { judge, worst, type Verdict } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import type { Opening } from '../../document/schema';
import { traced } from '../../verdict/build';
import { bendingCapacity, shearCapacity, webCapacity } from '../../settle/section-strength';
import type { SettledPlan } from '../../settle/settle';

export type Limit = 'bending' | 'shear' | 'web' | 'liveSag' | 'totalSag';

/** One limit of one candidate under one rule set: used share, or what has to be known first. */
export interface Used {
  limit: Limit;
  demand: number | null;
  capacity: number | null;
  ratio: number | null;
  verdict: Verdict;
  question: string | null;
  traces: Trace[];
}

/** Room for the piece: flush, inside the joists; or dropped, under them. */
export interface Fit {
  needed: number | null;
  room: number | null;
  verdict: Verdict;
  question: string | null;
}

export interface Candidate {
  designation: string;
  section: SectionRow;
  /** of the piece as cut for the opening, bare */
  mass: number;
  flush: Fit;
  dropped: Fit;
  schools: Record<RuleSetId, { uses: Used[]; worst: Used; verdict: Verdict }>;
}

const fit = (needed: number, room: number | null, question: string): Fit =>
  room === null ? { needed, room, verdict: 'missing', question } : { needed, room, verdict: needed <= room ? 'clear' : 'stop', question: null };

const asked = (limit: Limit, question: string, traces: Trace[] = []): Used => ({
  limit,
  demand: null,
  capacity: null,
  ratio: null,
  verdict: 'missing',
  question,
  traces,
});

const used = (limit: Limit, demand: number, capacity: number, caution: number | null, traces: Trace[]): Used => {
  const { ratio, verdict } = judge(demand, capacity, caution, true);
  return { limit, demand, capacity, ratio, verdict, question: null, traces };
};

/** The worst comes first; among equals what is not known, then the highest use. */
const first = (uses: Used[]): Used =>
  uses.reduce((a, b) => {
    if (a.verdict !== b.verdict) return worst([a.verdict, b.verdict]) === a.verdict ? a : b;
    return (b.ratio ?? 0) > (a.ratio ?? 0) ? b : a;
  });

function usesOf(opening: Opening, section: SectionRow, grade: string, span: number, rules: Rules): Used[] {
  const fy = yieldOf(grade, section.flange);
  const { live, unbraced } = opening.choice;
  if (opening.lineLoad === null) return [asked('bending', `What does the piece over ${opening.name} carry along its length?`)];
  const service = opening.lineLoad + section.massPerLength * GRAVITY;
  const stiffness = rules.steel.modulus * section.iStrong;
  const run = (load: number) => traced(simpleSpan, { span, load, pointLoads: [], stiffness });
  const factored = run(service * rules.value('serviceFactor'));
  const whole = run(service);
  const moving = live === null ? null : run(Math.min(live, opening.lineLoad));
  if (!factored.outcome.ok || !whole.outcome.ok || (moving && !moving.outcome.ok)) return [asked('bending', 'The span cannot be worked out.')];
  const caution = rules.value('strengthCaution');
  const { moment, left } = factored.outcome.output;
  const strength = (limit: Limit, demand: number, capacity: { capacity: number; traces: Trace[] } | Missing): Used =>
    capacity instanceof Missing
      ? asked(limit, capacity.questions.join(' '), factored.traces)
      : used(limit, demand, capacity.capacity, caution, [...factored.traces, ...capacity.traces]);
  const noYield = new Missing(`What does grade “${grade}” yield at? Write a grade such as S275 or A992.`);
  const bearing = Math.min(opening.bearing.left, opening.bearing.right);
  return [
    strength(
      'bending',
      moment,
      fy === null
        ? noYield
        : unbraced === null
          ? new Missing('How far apart is the top flange held sideways once it carries?')
          : bendingCapacity(section, fy, rules, { length: unbraced, factor: 1 }),
    ),
    strength('shear', left, fy === null ? noYield : shearCapacity(section, fy, rules)),
    strength(
      'web',
      left,
      fy === null
        ? noYield
        : bearing > 0
          ? webCapacity(section, fy, { length: bearing, past: 0, atEnd: true }, rules)
          : new Missing(`How long does the piece bear at each end of ${opening.name}?`),
    ),
    moving?.outcome.ok
      ? used('liveSag', moving.outcome.output.deflection, span / rules.value('deflectionShare'), null, moving.traces)
      : asked('liveSag', `What part of the load over ${opening.name} comes and goes?`),
    used('totalSag', whole.outcome.output.deflection, span / rules.value('deflectionTotalShare'), null, whole.traces),
  ];
}

/**
 * Sections side by side for one opening: what each weighs, whether it goes between the joists or under them, and how much
 * of it is used by both code schools. Simple span, bearing centre to bearing centre.
 */
export function candidatesOf(plan: SettledPlan, opening: Opening): Candidate[] | Missing {
  const clear = clearOf(opening);
  if (clear === null) return new Missing(`How wide is ${opening.name}, clear?`);
  const member = plan.members.find((one) => one.id === opening.member);
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const length = clear + opening.bearing.left + opening.bearing.right - (opening.clearance ?? rules.value('trapClearance'));
  const span = clear + (opening.bearing.left + opening.bearing.right) / 2;
  const current = member?.make.kind === 'section' ? [member.make.section] : [];
  const names = [...new Set([...current, ...opening.choice.candidates])];
  return names.flatMap((name): Candidate[] => {
    const section = findSection(name);
    if (!section) return [];
    const pocket = traced(pocketSize, {
      width: section.width,
      depth: section.depth,
      packingSides: member?.packing.sides ?? 0,
      packingHeight: member?.packing.height ?? 0,
      clearance: rules.value('pocketClearance'),
    });
    const tall = pocket.outcome.ok ? pocket.outcome.output.pocketHeight : section.depth;
    const packed = section.depth + (member?.packing.height ?? 0);
    const { ceiling, headLeast } = opening.choice;
    const school = (id: RuleSetId) => {
      // The job's own thresholds were set for the job's rule set; the other school keeps its own.
      const uses = usesOf(opening, section, member?.grade ?? '', span, rulesOf(id, id === plan.job.ruleSet ? plan.job.thresholds : {}));
      return { uses, worst: first(uses), verdict: worst(uses.map((one) => one.verdict)) };
    };
    return [
      {
        designation: section.designation,
        section,
        mass: section.massPerLength * length,
        flush: fit(tall, opening.bay.height, `How high is the pocket or the joist bay at ${opening.name}?`),
        dropped: fit(
          packed,
          ceiling === null || headLeast === null ? null : ceiling - headLeast,
          ceiling === null ? 'How high are the joists over the floor?' : 'What head room must stay under it?',
        ),
        schools: { 'us-asd': school('us-asd'), 'eu-ls': school('eu-ls') },
      },
    ];
  });
}

/** Listed sections of the same families as the ones named, lightest first, that hold in the job's rule set and fit one way or the other. */
export function lightestThatDo(plan: SettledPlan, opening: Opening, among: readonly string[], most = 3): string[] {
  const trial = { ...opening, choice: { ...opening.choice, candidates: [...among] } };
  const all = candidatesOf(plan, trial);
  if (all instanceof Missing) return [];
  const passes = (v: Verdict) => v === 'clear' || v === 'tight';
  return all
    .filter((one) => passes(one.schools[plan.job.ruleSet].verdict) && (one.flush.verdict === 'clear' || one.dropped.verdict === 'clear'))
    .sort((a, b) => a.mass - b.mass)
    .slice(0, most)
    .map((one) => one.designation);
}
