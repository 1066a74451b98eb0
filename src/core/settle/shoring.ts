import type { LinePlan } from '../document/views';
import { beamContinuous } from '../beams/continuous.calc';
import type { Trace } from '../calc/evidence';
import { attempt } from '../calc/attempt';
import type { Rules } from '../rules/rule-sets';
import { joistOnShore } from '../shoring/joist-on-shore.calc';
import { takedown } from '../shoring/takedown.calc';
import { Missing } from '../verdict/missing';
import type { ShoreRow, ShoreWall, Storey } from '../document/schema';
import { rowAt, runsThrough, sides, wallAt, type Side } from './shore-layout';

/** A load told apart, for the factors of the rule set. */
export interface Parted {
  dead: number;
  live: number;
}

export const factored = ({ dead, live }: Parted, rules: Rules): number => dead * rules.value('loadFactor') + live * rules.value('liveFactor');

/** Floor or roof on one side of the line, Pa; null where there is nothing on that side. */
function area(storey: Storey, side: Side, rules: Rules): (Parted & { span: number }) | Missing | null {
  const { span, dead, live } = storey[side];
  if (span === null) return new Missing(`How far do the joists over ${storey.name} span on the ${side} of the line? 0 if there are none.`);
  if (span === 0) return null;
  if (dead === null) return new Missing(`What does the floor or roof over ${storey.name} weigh on the ${side}, by the square metre?`);
  // Nothing weighs nothing, and somebody always walks there: a 0 is a blank that was filled in.
  if (dead === 0) return new Missing(`The floor or roof over ${storey.name} is said to weigh 0 on the ${side}. What does it weigh, by the square metre?`);
  if (live === 0)
    return new Missing(
      `No live load is counted on the ${side} over ${storey.name}. Who and what stands there while the work goes on? Leave it open for the rule set’s load.`,
    );
  return { span, dead, live: live ?? rules.value('constructionLive') };
}

/** What comes down on the line at the head of a storey, per metre, with what stands on the line above it. */
export interface LineLoad extends Parted {
  /** from the storeys above alone */
  above: Parted;
  traces: Trace[];
}

/** The load on the line, storey by storey from the top. */
export function lineLoads(plan: LinePlan, rules: Rules): Map<string, LineLoad | Missing> {
  const found = new Map<string, LineLoad | Missing>();
  let over: LineLoad | Missing | null = null;
  let upper: Storey | null = null;
  for (const storey of [...plan.shoring.storeys].reverse()) {
    const answer = lineLoad(storey, upper, over, rules);
    found.set(storey.id, answer);
    over = answer;
    upper = storey;
  }
  return found;
}

function lineLoad(storey: Storey, upper: Storey | null, over: LineLoad | Missing | null, rules: Rules): LineLoad | Missing {
  const above: Parted = { dead: 0, live: 0 };
  const traces: Trace[] = [];
  if (upper) {
    if (upper.bears === null) return new Missing(`Does a wall, a post or a ridge post stand on the line in ${upper.name}?`);
    if (upper.bears === 'nothing' && upper.wall !== null && upper.wall > 0)
      return new Missing(`${upper.name} is said to bear nothing on the line, and a wall on it is weighed. Does a wall stand there?`);
    if (upper.bears === 'wall') {
      if (upper.wall === 0) return new Missing(`The wall on the line in ${upper.name} is said to weigh 0. What does it weigh, by the metre?`);
      if (over instanceof Missing) return over;
      if (upper.wall === null) return new Missing(`What does the wall on the line in ${upper.name} weigh, by the metre?`);
      above.dead = upper.wall + (over?.dead ?? 0);
      above.live = over?.live ?? 0;
      traces.push(...(over?.traces ?? []));
    }
  }
  const [left, right] = sides.map((side) => area(storey, side, rules));
  if (left instanceof Missing) return left;
  if (right instanceof Missing) return right;
  const nothing = { span: 0, dead: 0, live: 0 };
  const input = {
    through: runsThrough(storey),
    left: left ?? nothing,
    right: right ?? nothing,
    aboveDead: above.dead,
    aboveLive: above.live,
  };
  const outcome = attempt(takedown, input);
  if (!outcome.ok) return new Missing(outcome.error);
  return { dead: outcome.output.dead, live: outcome.output.live, above, traces: [...traces, { calc: takedown.id, input, output: outcome.output }] };
}

/** What one joist does to the shore under it, factored by the rule set. */
export interface JoistAnswer {
  shore: number;
  farBearing: number;
  moment: number;
  shear: number;
  traces: Trace[];
}

/** A shore of the storey above, standing on this storey's joists. */
interface Standing {
  force: number;
  setback: number;
  traces: Trace[];
}

function standingOn(plan: LinePlan, upper: Storey | null, side: Side, spacing: number, rules: Rules): Standing | Missing | null {
  const upperWall = upper && wallAt(plan, upper, side);
  if (!upper || !upperWall) return null;
  const onIt = joistOf(plan, upperWall, rules);
  if (onIt instanceof Missing) return onIt;
  return { force: (onIt.shore / (upper.joists.spacing ?? spacing)) * spacing, setback: upperWall.setback, traces: onIt.traces };
}

/** What hangs on the joists at the line, per metre: the wall above, and all it carries when nothing else holds that. */
function hangingOn(plan: LinePlan, storey: Storey, upper: Storey | null, rules: Rules): { line: number; traces: Trace[] } | Missing {
  // Needles in this storey take the wall above: nothing of it hangs on the joists.
  if (upper === null || upper.bears === 'nothing' || rowAt(plan, storey)) return { line: 0, traces: [] };
  if (upper.bears === null) return new Missing(`Does a wall, a post or a ridge post stand on the line in ${upper.name}?`);
  if (upper.wall === null) return new Missing(`What does the wall on the line in ${upper.name} weigh, by the metre?`);
  const own = upper.wall * rules.value('loadFactor');
  // Shored above, only the wall itself still hangs on the cut joists.
  if (sides.some((side) => wallAt(plan, upper, side))) return { line: own, traces: [] };
  const over = lineLoads(plan, rules).get(upper.id);
  if (!over || over instanceof Missing) return over ?? new Missing(`What comes down on the line in ${upper.name}?`);
  return { line: own + factored(over, rules), traces: over.traces };
}

/** One stud under one joist: what it takes from its own floor, from what hangs on the line above, and from the shore above. */
export function joistOf(plan: LinePlan, wall: ShoreWall, rules: Rules): JoistAnswer | Missing {
  const { storeys } = plan.shoring;
  const index = storeys.findIndex((one) => one.id === wall.storey);
  const storey = storeys[index];
  if (!storey) return new Missing(`Which storey is ${wall.name} in?`);
  const { spacing } = storey.joists;
  if (spacing === null) return new Missing(`How far apart are the joists over ${storey.name}?`);
  const mine = area(storey, wall.side, rules);
  if (mine instanceof Missing) return mine;
  if (mine === null) return new Missing(`Nothing spans to the ${wall.side} of the line over ${storey.name}: what does ${wall.name} hold up?`);
  const upper = storeys[index + 1] ?? null;
  const hanging = hangingOn(plan, storey, upper, rules);
  if (hanging instanceof Missing) return hanging;
  if (runsThrough(storey)) return throughJoist(plan, storey, upper, wall, hanging, rules);
  const above = standingOn(plan, upper, wall.side, spacing, rules);
  if (above instanceof Missing) return above;
  const ends = sides.filter((side) => (storey[side].span ?? 0) > 0).length;
  const input = {
    load: factored(mine, rules) * spacing,
    span: mine.span,
    setback: wall.setback,
    tip: (hanging.line * spacing) / ends,
    above: above?.force ?? 0,
    aboveSetback: above?.setback ?? 0,
  };
  const outcome = attempt(joistOnShore, input);
  if (!outcome.ok) return new Missing(outcome.error);
  const { shore, farBearing, hogging, sagging, shear } = outcome.output;
  return {
    shore,
    farBearing,
    moment: Math.max(hogging, sagging),
    shear,
    traces: [...hanging.traces, ...(above?.traces ?? []), { calc: joistOnShore.id, input, output: outcome.output }],
  };
}

/** A joist that runs through over the line, the line's support gone: on its far bearings and whatever shores stand. */
function throughJoist(
  plan: LinePlan,
  storey: Storey,
  upper: Storey | null,
  wall: ShoreWall,
  hanging: { line: number; traces: Trace[] },
  rules: Rules,
): JoistAnswer | Missing {
  const spacing = storey.joists.spacing ?? 0;
  const left = storey.left.span ?? 0;
  const length = left + (storey.right.span ?? 0);
  const from = (side: Side, setback: number) => (side === 'left' ? left - setback : left + setback);
  const walls = sides.map((side) => wallAt(plan, storey, side)).filter((one): one is ShoreWall => one !== null);
  const dead: { from: number; to: number; load: number }[] = [];
  const live: { from: number; to: number; load: number }[] = [];
  const pointLoads = hanging.line > 0 ? [{ x: left, force: hanging.line * spacing }] : [];
  const traces = [...hanging.traces];
  for (const side of sides) {
    const floor = area(storey, side, rules);
    if (floor instanceof Missing) return floor;
    if (floor) {
      const over = side === 'left' ? { from: 0, to: left } : { from: left, to: length };
      dead.push({ ...over, load: factored({ dead: floor.dead, live: 0 }, rules) * spacing });
      live.push({ ...over, load: factored({ dead: 0, live: floor.live }, rules) * spacing });
    }
    const above = standingOn(plan, upper, side, spacing, rules);
    if (above instanceof Missing) return above;
    if (above) {
      pointLoads.push({ x: from(side, above.setback), force: above.force });
      traces.push(...above.traces);
    }
  }
  // Live load lies on both sides, or on either alone: each figure is taken where it is worst.
  const answers: (JoistAnswer | Missing)[] = [live, ...live.map((one) => [one])].map((on) =>
    throughUnder(
      { length, runs: [...dead, ...on], pointLoads },
      walls.map((one) => from(one.side, one.setback)),
      from(wall.side, wall.setback),
      storey,
    ),
  );
  const solved = answers.filter((one): one is JoistAnswer => !(one instanceof Missing));
  const failed = answers.find((one): one is Missing => one instanceof Missing);
  if (failed || solved.length === 0) return failed ?? new Missing(`The joists over ${storey.name} carry nothing.`);
  const worst = solved.reduce((a, b) => (b.shore > a.shore ? b : a));
  return {
    shore: worst.shore,
    farBearing: Math.min(...solved.map((one) => one.farBearing)),
    moment: Math.max(...solved.map((one) => one.moment)),
    shear: Math.max(...solved.map((one) => one.shear)),
    traces: [...traces, ...worst.traces],
  };
}

/** One joist on its far bearings and on the shores at `shores` under one arrangement of loads; `own` is the shore asked about. */
function throughUnder(
  loads: { length: number; runs: { from: number; to: number; load: number }[]; pointLoads: { x: number; force: number }[] },
  shores: readonly number[],
  own: number,
  storey: Storey,
): JoistAnswer | Missing {
  const { length } = loads;
  // A shore only pushes: one the joist would lift off is taken away, the worst first, and the rest solved again.
  let places = [...new Set(shores)].sort((a, b) => a - b);
  for (;;) {
    const supports = [0, ...places, length].map((x) => ({ x }));
    const input = { ...loads, stiffness: 1e6, load: 0, supports, upliftFree: false };
    const outcome = attempt(beamContinuous, input);
    if (!outcome.ok) return new Missing(outcome.error);
    const { reactions = [], maxHogging = 0, maxSagging = 0, stable } = outcome.output;
    if (!stable) return new Missing(`The joists over ${storey.name} do not stand on these shores.`);
    const onShores = reactions.slice(1, -1);
    const least = Math.min(...onShores);
    if (least < -1e-6) {
      const lifted = onShores.indexOf(least);
      places = places.filter((_, i) => i !== lifted);
      continue;
    }
    const at = places.indexOf(own);
    return {
      shore: at < 0 ? 0 : Math.max(0, reactions[at + 1] ?? 0),
      farBearing: Math.min(reactions[0] ?? 0, reactions[reactions.length - 1] ?? 0),
      moment: Math.max(maxHogging, maxSagging),
      shear: Math.max(...reactions.map(Math.abs)),
      traces: [{ calc: beamContinuous.id, input, output: outcome.output }],
    };
  }
}

/**
 * What stands along the line under a row of needles, factored: the wall over the needles and all it carries. Where temporary
 * walls hold the floors of that storey on both sides, the needles take the wall and what is above alone.
 */
export function rowLine(plan: LinePlan, row: ShoreRow, rules: Rules): { line: number; traces: Trace[] } | Missing {
  const storey = plan.shoring.storeys.find((one) => one.id === row.storey);
  const load = lineLoads(plan, rules).get(row.storey);
  if (!storey || !load) return new Missing(`Which storey is ${row.name} in?`);
  if (load instanceof Missing) return load;
  if (storey.wall === null) return new Missing(`What does the wall over the needles of ${row.name} weigh, by the metre?`);
  const floors = sides.filter((side) => (storey[side].span ?? 0) > 0);
  const held = floors.length > 0 && floors.every((side) => wallAt(plan, storey, side));
  return { line: factored(held ? load.above : load, rules) + storey.wall * rules.value('loadFactor'), traces: load.traces };
}
