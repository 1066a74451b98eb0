import type { SettledPlan } from '../../settle/settle';
import type { LinePlan } from '../../document/views';
import { simpleSpan } from '../../beams/simple-span.calc';
import type { Trace } from '../../calc/evidence';
import { phrase, q } from '../../calc/work';
import { rulesOf, type Rules } from '../../rules/rule-sets';
import { strikeThrough } from '../../shoring/strike-through.calc';
import { strikeSteps } from '../../shoring/strike.calc';
import { timberValues } from '../../shoring/timber-grades';
import { yieldOf } from '../../steel/grades';
import { findSection } from '../../steel/sections';
import type { Check } from '../../verdict/check';
import { clearOf } from '../../settle/settle';
import { isDoneDay, namesSomebody } from '../../document/records';
import { memberSize } from '../../settle/member-weight';
import { Missing } from '../../verdict/missing';
import { factored, lineLoads } from '../../settle/shoring';
import { runsThrough, shoredOpening, studPlaces } from '../../settle/shore-layout';
import { strikeGroups } from '../../document/strike-groups';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { bendingCapacity } from '../../settle/section-strength';
import { shorePlace, wholeStrike } from './place';
import { ownLoad, standingOver, under } from './standing';
import { unitsOf, type Unit } from './units';

/** What the shores carry after each step of the strike. */
export interface StrikeAnswer {
  units: Unit[];
  steps: { id: string; name: string; loads: number[]; left: number; right: number; deflection: number }[];
  traces: Trace[];
  /** shores never struck */
  lasting: number;
  span: number;
  /** joists run through over the opening */
  through: boolean;
  /** steps, from 0, that take a shore from under one still standing on it */
  undercut: { step: number; lower: string; upper: string }[];
  /** steps, from 0, that strike nothing that still stands */
  idle: number[];
}

interface Solved {
  steps: { shores: number[]; left: number; right: number; deflection: number }[];
  traces: Trace[];
}

/** The new beam under its shores with `share` of the load left on them, struck in these steps. */
type Solve = (share: number, steps: readonly number[][]) => Solved | Missing;

/** Joists cut at the line: everything brought to the line, shores as springs there. */
function solveBroken(units: readonly Unit[], beam: { span: number; stiffness: number }): Solve {
  return (share, steps) => {
    const shores = units.map(({ x, spring, load, above }) => ({
      x: Math.min(x, beam.span),
      spring,
      load: (above ? above.lays : load) * share,
      ...(above ? { passes: above.passes * share } : {}),
    }));
    const run = traced(strikeSteps, { ...beam, shores, steps: steps.map((one) => [...one]) });
    return run.outcome.ok ? { steps: run.outcome.output.steps, traces: run.traces } : new Missing(run.outcome.error);
  };
}

/** Joists that run through: each a beam of its own over shores and new beam. */
function solveThrough(plan: LinePlan, units: readonly Unit[], beam: { span: number; stiffness: number }, offset: number, rules: Rules): Solve | Missing {
  const storey = plan.shoring.storeys[0]!;
  const { width, depth, grade, plies, doubled } = storey.joists;
  const values = timberValues(grade, rules.id);
  const wall = plan.shoring.walls.find((one) => one.storey === storey.id);
  const places = wall ? studPlaces(plan, wall) : new Missing(`The joists over ${storey.name} run through and stand on no temporary wall.`);
  if (places instanceof Missing) return places;
  if (width === null || depth === null || !values)
    return new Missing(`What size and grade are the joists over ${storey.name}? They run through, and share the load out by how stiff they are.`);
  const line = storey.left.span ?? 0;
  const stiff = (number: number) => (values.e * width * (plies + (doubled.some((one) => one.number === number) ? 1 : 0)) * depth ** 3) / 12;
  const joists = places.map((x, i) => ({ x: Math.min(beam.span, x + offset), stiffness: stiff(i + 1) }));
  const nearest = (x: number): number => joists.reduce((best, one, i) => (Math.abs(one.x - x) < Math.abs(joists[best]!.x - x) ? i : best), 0);
  return (share, steps) => {
    const shores = units.map(({ x, spring, load, above, joist }) => ({
      joist: above || !joist ? nearest(x) : joist.index,
      at: joist?.at ?? line,
      spring,
      load: (above ? above.lays : load) * share,
      passes: above ? above.passes * share : null,
    }));
    const run = traced(strikeThrough, {
      ...beam,
      joist: { length: line + (storey.right.span ?? 0), line },
      joists,
      shores,
      steps: steps.map((one) => [...one]),
    });
    return run.outcome.ok ? { steps: run.outcome.output.steps, traces: run.traces } : new Missing(run.outcome.error);
  };
}

export function strikeOf(plan: LinePlan, rules: Rules, known: Unit[] | Missing = unitsOf(plan, rules)): StrikeAnswer | Missing {
  const units = known;
  if (units instanceof Missing) return units;
  const weak = units.find((unit) => unit.load >= unit.capacity);
  if (weak) return new Missing(`${weak.name} does not hold as it stands: mend it first, then the strike can be worked out.`);
  const opening = shoredOpening(plan);
  const clear = opening && clearOf(opening);
  const member = plan.members.find((one) => one.id === opening?.member);
  const size = member ? memberSize(member) : null;
  const [lowest] = plan.shoring.storeys;
  if (!opening || !lowest || clear === null) return new Missing('How wide is the opening the shores stand for?');
  if (!size || size instanceof Missing || !size.section) return new Missing(`Which section goes over ${opening.name}? The shores are struck onto it.`);
  const beam = { span: clear + (opening.bearing.left + opening.bearing.right) / 2, stiffness: rules.steel.modulus * size.section.iStrong };
  const numbered = strikeGroups(plan.shoring).map(({ id, steps, name }) => ({
    id,
    name,
    own: steps.flatMap((step) =>
      units.flatMap((unit, i) => (unit.shore === step.shore && (step.units.length === 0 || step.units.includes(unit.number)) ? [i] : [])),
    ),
  }));
  const through = runsThrough(lowest) && units.some((unit) => unit.joist !== null);
  const solve = through ? solveThrough(plan, units, beam, opening.bearing.left / 2, rules) : solveBroken(units, beam);
  if (solve instanceof Missing) return solve;
  const { preload } = plan.shoring;
  // What is wedged onto the beam first goes there from every shore alike.
  const wedged = preload > 0 ? solve(preload, [units.map((_, i) => i)]) : null;
  const run = solve(
    1 - preload,
    numbered.map((one) => one.own),
  );
  if (run instanceof Missing) return run;
  if (wedged instanceof Missing) return wedged;
  const first = wedged?.steps[0];
  const struck = new Set(numbered.flatMap((one) => one.own));
  // Strength goes by factored loads, sag by what really lies there.
  const service = serviceShare(plan, rules);
  const gone = new Set<number>();
  const over = standingOver(units);
  const undercut: StrikeAnswer['undercut'] = [];
  const idle: number[] = [];
  return {
    units,
    span: beam.span,
    through,
    steps: run.steps.map((step, i) => {
      const now = numbered[i]!;
      if (now.own.every((n) => gone.has(n))) idle.push(i);
      for (const n of now.own) gone.add(n);
      const left = under(units, over, now.own, gone);
      if (left) undercut.push({ step: i, ...left });
      return {
        id: now.id,
        name: now.name,
        loads: step.shores.map((load, n) => (units[n]!.above ? ownLoad(units, over, n, gone) * (1 - preload) : load)),
        left: step.left + (first?.left ?? 0),
        right: step.right + (first?.right ?? 0),
        deflection: (step.deflection + (first?.deflection ?? 0)) * service,
      };
    }),
    undercut,
    idle,
    traces: [...(wedged?.traces ?? []), ...run.traces],
    lasting: units.length - struck.size,
  };
}

function serviceShare(plan: LinePlan, rules: Rules): number {
  const lowest = plan.shoring.storeys[0];
  const load = lowest && lineLoads(plan, rules).get(lowest.id);
  if (!load || load instanceof Missing) return 1;
  return (load.dead + load.live) / factored(load, rules);
}

/** Step by step, the shore nearest to its capacity; and at the end, how far the beam has sagged. */
export function strikeChecks({ plan, rules }: Pick<Context<LinePlan<SettledPlan>>, 'plan' | 'rules'>, answer: StrikeAnswer | Missing): Check[] {
  const { walls, rows, strike } = plan.shoring;
  if (walls.length + rows.length === 0) return [];
  const source = sourced(strikeSteps.source.text, rules, 'contactCaution');
  const place = (thing = wholeStrike(plan)) => shorePlace('strike', thing, strikeSteps, source, 'strikeStep');
  if (strike.length === 0) return [missingCheck(place(), 'force', 'In what order are the shores struck? Write the steps down; each is worked out.')];
  if (answer instanceof Missing) return [missingCheck(place(), 'force', answer.questions.join(' '))];
  const checks: Check[] = [...restraintCheck(plan, answer, rules)];
  for (const [n, step] of answer.steps.entries()) {
    const cut = answer.undercut.find((one) => one.step === n);
    if (cut)
      return [
        ...checks,
        flatStop(
          shorePlace(
            'order',
            { id: step.id, name: `step ${n + 1}` },
            strikeSteps,
            'Common practice: what stands above goes before what it stands on',
            'strikeStep',
          ),
          'count',
          told([`Step ${n + 1} takes ${cut.lower} from under ${cut.upper}, which still stands on it. Strike the storey above first.`]),
          [],
        ),
      ];
    if (answer.idle.includes(n)) {
      checks.push(
        missingCheck(
          place({ id: step.id, name: `step ${n + 1}` }),
          'force',
          `Step ${n + 1}, ${step.name}, strikes nothing that still stands. Which shores come out then?`,
        ),
      );
      continue;
    }
    const check = stepCheck(answer, step, n, place({ id: step.id, name: `step ${n + 1}` }), rules);
    checks.push(check);
    // What comes after a step that brings the shores down is not worth a figure.
    if (check.verdict === 'stop') return checks;
  }
  if (answer.lasting > 0)
    checks.push(missingCheck(place(), 'force', `${answer.lasting} shores are never struck in the steps written down. When do they come out?`));
  else checks.push(...sagCheck(plan, answer, rules));
  return checks;
}

function stepCheck(answer: StrikeAnswer, step: StrikeAnswer['steps'][number], n: number, place: ReturnType<typeof shorePlace>, rules: Rules): Check {
  const most = step.loads.reduce(
    (best, load, i) => {
      const unit = answer.units[i];
      const ratio = unit && load > 1e-6 ? load / Math.max(unit.capacity, 1e-9) : 0;
      return ratio > best.ratio ? { ratio, i } : best;
    },
    { ratio: 0, i: -1 },
  );
  const unit = answer.units[most.i];
  const head = `After step ${n + 1}, ${step.name}: `;
  if (!unit)
    return {
      ...ratioCheck(
        place,
        { demand: 0, capacity: 1, quantity: 'force', caution: null, ratio: 0 },
        told(
          phrase`${head}the beam carries it all, ${q(step.left, 'force')} and ${q(step.right, 'force')} at its seats; it has sagged ${q(step.deflection, 'dimension')}.`,
        ),
        answer.traces,
      ),
      demand: null,
      capacity: null,
      ratio: null,
    };
  const load = (step.loads[most.i] ?? 0) * unit.lever;
  const capacity = unit.capacity * unit.lever;
  return ratioCheck(
    place,
    { demand: load, capacity, quantity: 'force', caution: rules.value('contactCaution') },
    told(
      phrase`${head}${unit.name} ${String(unit.number)} carries most, ${q(load, 'force')} of ${q(capacity, 'force')}; the beam has sagged ${q(step.deflection, 'dimension')}.`,
    ),
    answer.traces,
  );
}

/** Wedged before the joists are fixed to it, the new beam’s top flange is free from seat to seat. */
function restraintCheck(plan: LinePlan, answer: StrikeAnswer, rules: Rules): Check[] {
  const { preload } = plan.shoring;
  const opening = shoredOpening(plan);
  const member = plan.members.find((one) => one.id === opening?.member);
  if (preload === 0 || !member || member.make.kind !== 'section') return [];
  const place = shorePlace(
    'restraint',
    { id: member.id, name: member.mark },
    simpleSpan,
    sourced(rules.id === 'us-asd' ? 'AISC 360 F2, F3' : 'EN 1993-1-1 6.3.2.2', rules, 'strengthCaution'),
    'member',
  );
  const section = findSection(member.make.section);
  const fy = yieldOf(member.grade, section?.flange);
  if (!section || fy === null) return [missingCheck(place, 'moment', `What does grade “${member.grade}” of ${member.mark} yield at?`)];
  const load = (preload * answer.units.reduce((sum, unit) => sum + (unit.above ? 0 : unit.load), 0)) / answer.span;
  const run = traced(simpleSpan, { span: answer.span, load, pointLoads: [], stiffness: rules.steel.modulus * section.iStrong });
  const capacity = bendingCapacity(section, fy, rules, { length: answer.span, factor: 1 });
  if (!run.outcome.ok) return [missingCheck(place, 'moment', run.outcome.error)];
  if (capacity instanceof Missing) return [missingCheck(place, 'moment', capacity.questions.join(' '))];
  return [
    ratioCheck(
      place,
      { demand: run.outcome.output.moment, capacity: capacity.capacity, quantity: 'moment', caution: rules.value('strengthCaution') },
      told(
        phrase`Wedged up before the joists are fixed to it, ${member.mark} bends with ${q(run.outcome.output.moment, 'moment')}; free over ${q(answer.span, 'length')} it takes ${q(capacity.capacity, 'moment')}.`,
      ),
      [...run.traces, ...capacity.traces],
    ),
  ];
}

function sagCheck(plan: LinePlan, answer: StrikeAnswer, rules: Rules): Check[] {
  const last = answer.steps[answer.steps.length - 1];
  if (!last) return [];
  const most = answer.span / rules.value('deflectionTotalShare');
  const cracks = answer.span / rules.value('crackShare');
  const other = rulesOf(rules.id === 'eu-ls' ? 'us-asd' : 'eu-ls', {});
  const theirs = answer.span / other.value('deflectionTotalShare');
  const school = other.id === 'us-asd' ? 'US' : 'European';
  return [
    ratioCheck(
      shorePlace('sag', wholeStrike(plan), strikeSteps, sourced(strikeSteps.source.text, rules, 'deflectionTotalShare', 'crackShare'), 'strikeStep'),
      { demand: last.deflection, capacity: most, quantity: 'dimension', caution: cracks / most },
      told(
        last.deflection > cracks
          ? phrase`All struck, the beam has sagged ${q(last.deflection, 'dimension')} of ${q(most, 'dimension')} (${school} rules ${q(theirs, 'dimension')}): plaster may crack past ${q(cracks, 'dimension')}. Pre-load it, or tell the owner.`
          : phrase`All struck, the beam has sagged ${q(last.deflection, 'dimension')} of ${q(most, 'dimension')} (${school} rules ${q(theirs, 'dimension')}); plaster stands ${q(cracks, 'dimension')}.`,
      ),
      answer.traces,
    ),
  ];
}

/** Readings before and after: what has not been read is missing, what has moved too far is a stop. */
export function watchChecks({ plan, rules, today }: Pick<Context<LinePlan<SettledPlan>>, 'plan' | 'rules' | 'today'>): Check[] {
  const most = rules.value('settleMost');
  return plan.shoring.watch.map((one) => {
    const name = one.at.trim() || one.id;
    const place = shorePlace('watch', { id: one.id, name }, strikeSteps, sourced('Record: readings before and after', rules, 'settleMost'), 'watch');
    if (one.before === null) return missingCheck(place, 'dimension', `What did ${name} read before anything was struck?`);
    if (one.after === null) return missingCheck(place, 'dimension', `What does ${name} read after striking?`);
    if (!namesSomebody(one.by) || !isDoneDay(one.on, today)) return missingCheck(place, 'dimension', `Who read ${name}, and when?`);
    const moved = Math.abs(one.after - one.before);
    return ratioCheck(
      place,
      { demand: moved, capacity: most, quantity: 'dimension', caution: null, inclusive: true },
      told(phrase`${name} has moved ${q(moved, 'dimension')}; past ${q(most, 'dimension')}, stop and look.`),
      [],
    );
  });
}
