import type { Trace } from '../../../calc/evidence';
import { phrase, q } from '../../../calc/work';
import type { Rules } from '../../../rules/rule-sets';
import { strikeSteps } from '../../../shoring/strike.calc';
import { timberValues } from '../../../shoring/timber-grades';
import type { Check } from '../../check';
import { clearOf } from '../../as-measured';
import { isDay } from '../../day';
import { memberSize } from '../../member-weight';
import { Missing } from '../../missing';
import { factored, lineLoads, needlePlaces, shoredOpening, studPlaces } from '../../shoring';
import type { Plan, ShoreRow, ShoreWall, Storey, StrikeStep } from '../../schema';
import { missingCheck, ratioCheck, sourced, told, traced, type Context } from '../context';
import { shorePlace } from './place';
import { needleOf, needleStrength, propStrength } from './rows';
import { plateContact, soleContact, studLength, studStrength, wallTotal } from './walls';

const STEEL_MODULUS = 210e9;
/** A prop gives like a tube of about 4 cm² of steel over its length. */
const PROP_AREA = 4e-4;

/** One stud or one needle: where it stands, what it may carry, what it carries before anything is struck. */
export interface Unit {
  shore: string;
  name: string;
  number: number;
  x: number;
  spring: number;
  load: number;
  capacity: number;
  /** what the unit itself takes for one newton at the line */
  lever: number;
}

/** Every stud and needle of the opening's storey, with its load brought to the line. */
export function unitsOf(plan: Plan, rules: Rules): Unit[] | Missing {
  const [storey] = plan.shoring.storeys;
  const opening = shoredOpening(plan);
  if (!storey || !opening) return new Missing('Which opening do the shores stand for?');
  const offset = opening.bearing.left / 2;
  const units: Unit[] = [];
  for (const wall of plan.shoring.walls.filter((one) => one.storey === storey.id)) {
    const found = wallUnits(plan, wall, storey, offset, rules);
    if (found instanceof Missing) return found;
    units.push(...found);
  }
  for (const row of plan.shoring.rows.filter((one) => one.storey === storey.id)) {
    const found = rowUnits(plan, row, offset, rules);
    if (found instanceof Missing) return found;
    units.push(...found);
  }
  return units;
}

function wallUnits(plan: Plan, wall: ShoreWall, storey: Storey, offset: number, rules: Rules): Unit[] | Missing {
  const total = wallTotal(plan, wall, rules);
  const places = studPlaces(plan, wall);
  const length = studLength(wall, storey);
  const values = timberValues(wall.stud.grade, rules.id);
  if (total instanceof Missing) return total;
  if (places instanceof Missing) return places;
  if (length === null || !values) return new Missing(`How stiff is ${wall.name}? Its height and grade are wanted.`);
  const strength = studStrength(wall, length, rules);
  if (strength instanceof Missing) return strength;
  if (storey.joists.over === 'through')
    return new Missing(`The joists over ${storey.name} run through: how they let go onto the beam is not worked out here. Ask the engineer for the order.`);
  const plate = plateContact(wall, rules);
  const sole = soleContact(wall);
  if (!plate || !sole) return new Missing(`What may what is under ${wall.name} take? The strike loads it more than standing does.`);
  const span = storey[wall.side].span ?? 0;
  // The joist levers over its far bearing: a newton at the line is more than a newton on the stud.
  const lever = span > 0 ? span / (span - wall.setback) : 1;
  const spring = (values.e * wall.stud.width * wall.stud.depth) / length / lever ** 2;
  // While the others go, the weakest of stud, plates and what is under the sole plate decides.
  const pressed = [plate, sole].map((one) => one.length * one.width * one.allowable);
  const capacity = typeof strength === 'string' ? 0 : Math.min(strength.capacity, ...pressed);
  return places.map((x, i) => ({
    shore: wall.id,
    name: wall.name,
    number: i + 1,
    x: x + offset,
    spring,
    load: total.each / lever,
    capacity: capacity / lever,
    lever,
  }));
}

function rowUnits(plan: Plan, row: ShoreRow, offset: number, rules: Rules): Unit[] | Missing {
  const answer = needleOf(plan, row, rules);
  const strength = propStrength(row, rules);
  if (answer instanceof Missing) return answer;
  if (strength instanceof Missing) return strength;
  const { left, right } = row.arms;
  // Half the needle’s own weight is on each prop already.
  const own = (answer.leftProp + answer.rightProp - answer.load) / 2;
  const bends = needleStrength(row, rules);
  if (bends instanceof Missing) return bends;
  if (row.pad.allowable === null) return new Missing(`What may the floor under the pads of ${row.name} take? The strike loads it more than standing does.`);
  const foot = Math.min(typeof strength === 'string' ? 0 : strength.capacity, row.pad.length * row.pad.width * row.pad.allowable);
  // The weakest of prop, pad and needle decides.
  const capacity = Math.max(0, Math.min(((foot - own) * (left + right)) / Math.max(left, right), (bends.capacity * (left + right)) / (left * right)));
  const spring = (2 * STEEL_MODULUS * PROP_AREA) / (row.prop.length ?? row.prop.maxLength);
  return needlePlaces(row).map((x, i) => ({ shore: row.id, name: row.name, number: i + 1, x: x + offset, spring, load: answer.load, capacity, lever: 1 }));
}

/** What the shores carry after each step of the strike. */
export interface StrikeAnswer {
  units: Unit[];
  steps: { name: string; loads: number[]; left: number; right: number; deflection: number }[];
  traces: Trace[];
  /** shores never struck */
  lasting: number;
  span: number;
}

/** Steps that go together, as one. */
function groups(plan: Plan): StrikeStep[][] {
  const found: StrikeStep[][] = [];
  for (const step of plan.shoring.strike) {
    const last = found[found.length - 1];
    if (step.together && last) last.push(step);
    else found.push([step]);
  }
  return found;
}

export function strikeOf(plan: Plan, rules: Rules): StrikeAnswer | Missing {
  const units = unitsOf(plan, rules);
  if (units instanceof Missing) return units;
  const weak = units.find((unit) => unit.load >= unit.capacity);
  if (weak) return new Missing(`${weak.name} does not hold as it stands: mend it first, then the strike can be worked out.`);
  const opening = shoredOpening(plan);
  const clear = opening && clearOf(opening);
  const member = plan.members.find((one) => one.id === opening?.member);
  const size = member ? memberSize(member) : null;
  if (!opening || clear === null) return new Missing('How wide is the opening the shores stand for?');
  if (!size || size instanceof Missing || !size.section) return new Missing(`Which section goes over ${opening.name}? The shores are struck onto it.`);
  const span = clear + (opening.bearing.left + opening.bearing.right) / 2;
  const shores = [...plan.shoring.walls, ...plan.shoring.rows];
  const numbered = groups(plan).map((steps) => ({
    own: steps.flatMap((step) =>
      units.flatMap((unit, i) => (unit.shore === step.shore && (step.units.length === 0 || step.units.includes(unit.number)) ? [i] : [])),
    ),
    name: steps
      .map((step) => `${shores.find((one) => one.id === step.shore)?.name ?? step.shore}${step.units.length === 0 ? '' : ` ${step.units.join(', ')}`}`)
      .join(' and '),
  }));
  const { preload } = plan.shoring;
  const stiffness = rules.steel.modulus * size.section.iStrong;
  const placed = (share: number) => units.map(({ x, spring, load }) => ({ x: Math.min(x, span), spring, load: load * share }));
  // What is wedged onto the beam first goes there from every shore alike.
  const wedged = traced(strikeSteps, { span, stiffness, shores: placed(preload), steps: [units.map((_, i) => i)] });
  const run = traced(strikeSteps, { span, stiffness, shores: placed(1 - preload), steps: numbered.map((one) => one.own) });
  if (!run.outcome.ok) return new Missing(run.outcome.error);
  if (!wedged.outcome.ok) return new Missing(wedged.outcome.error);
  const first = wedged.outcome.output.steps[0];
  const struck = new Set(numbered.flatMap((one) => one.own));
  // Strength goes by factored loads, sag by what really lies there.
  const service = serviceShare(plan, rules);
  return {
    units,
    span,
    steps: run.outcome.output.steps.map((step, i) => ({
      name: numbered[i]?.name ?? '',
      loads: step.shores,
      left: step.left + (first?.left ?? 0),
      right: step.right + (first?.right ?? 0),
      deflection: (step.deflection + (first?.deflection ?? 0)) * service,
    })),
    traces: [...(preload > 0 ? wedged.traces : []), ...run.traces],
    lasting: units.length - struck.size,
  };
}

function serviceShare(plan: Plan, rules: Rules): number {
  const lowest = plan.shoring.storeys[0];
  const load = lowest && lineLoads(plan, rules).get(lowest.id);
  if (!load || load instanceof Missing) return 1;
  return (load.dead + load.live) / factored(load, rules);
}

/** Step by step, the shore nearest to its capacity; and at the end, how far the beam has sagged. */
export function strikeChecks({ plan, rules }: Pick<Context, 'plan' | 'rules'>, answer: StrikeAnswer | Missing): Check[] {
  const { walls, rows, strike } = plan.shoring;
  if (walls.length + rows.length === 0) return [];
  const source = sourced(strikeSteps.source.text, rules, 'contactCaution');
  const place = (subject: string) => shorePlace('strike', subject, strikeSteps, source);
  if (strike.length === 0) return [missingCheck(place('Strike'), 'force', 'In what order are the shores struck? Write the steps down; each is worked out.')];
  if (answer instanceof Missing) return [missingCheck(place('Strike'), 'force', answer.questions.join(' '))];
  const checks: Check[] = [];
  for (const [n, step] of answer.steps.entries()) {
    const check = stepCheck(answer, step, n, place(`step ${n + 1}`), rules);
    checks.push(check);
    // What comes after a step that brings the shores down is not worth a figure.
    if (check.verdict === 'stop') return checks;
  }
  if (answer.lasting > 0)
    checks.push(missingCheck(place('Strike'), 'force', `${answer.lasting} shores are never struck in the steps written down. When do they come out?`));
  else checks.push(...sagCheck(answer, rules));
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

function sagCheck(answer: StrikeAnswer, rules: Rules): Check[] {
  const last = answer.steps[answer.steps.length - 1];
  if (!last) return [];
  const most = answer.span / rules.value('deflectionTotalShare');
  const cracks = answer.span / rules.value('crackShare');
  return [
    ratioCheck(
      shorePlace('sag', 'Strike', strikeSteps, sourced(strikeSteps.source.text, rules, 'deflectionTotalShare', 'crackShare')),
      { demand: last.deflection, capacity: most, quantity: 'dimension', caution: cracks / most },
      told(
        last.deflection > cracks
          ? phrase`All struck, the beam has sagged ${q(last.deflection, 'dimension')} of ${q(most, 'dimension')}: plaster may crack past ${q(cracks, 'dimension')}. Pre-load it, or tell the owner.`
          : phrase`All struck, the beam has sagged ${q(last.deflection, 'dimension')} of ${q(most, 'dimension')}; plaster stands ${q(cracks, 'dimension')}.`,
      ),
      answer.traces,
    ),
  ];
}

/** Readings before and after: what has not been read is missing, what has moved too far is a stop. */
export function watchChecks({ plan, rules }: Pick<Context, 'plan' | 'rules'>): Check[] {
  const most = rules.value('settleMost');
  return plan.shoring.watch.map((one) => {
    const name = one.at.trim() || one.id;
    const place = shorePlace('watch', name, strikeSteps, sourced('Record: readings before and after', rules, 'settleMost'));
    if (one.before === null) return missingCheck(place, 'dimension', `What did ${name} read before anything was struck?`);
    if (one.after === null) return missingCheck(place, 'dimension', `What does ${name} read after striking?`);
    if (one.by.trim() === '' || !isDay(one.on)) return missingCheck(place, 'dimension', `Who read ${name}, and when?`);
    const moved = Math.abs(one.after - one.before);
    return ratioCheck(
      place,
      { demand: moved, capacity: most, quantity: 'dimension', caution: null, inclusive: true },
      told(phrase`${name} has moved ${q(moved, 'dimension')}; past ${q(most, 'dimension')}, stop and look.`),
      [],
    );
  });
}
