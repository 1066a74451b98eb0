import type { LinePlan } from '../document/views';
import { simpleSpan } from '../beams/simple-span.calc';
import type { Trace } from '../calc/evidence';
import { attempt } from '../calc/attempt';
import type { Rules } from '../rules/rule-sets';
import { timberValues } from '../shoring/timber-grades';
import { Missing } from '../verdict/missing';
import type { ShoreGap, ShoreWall, Storey } from '../document/schema';
import { joistOf, type JoistAnswer } from './shoring';
import { runsThrough, studLayout, studPlaces, wallAt, type Stud } from './shore-layout';

/** A header over a gap in the wall, on the studs at its ends. */
export interface Header {
  gap: ShoreGap;
  /** joist numbers of the studs it stands on */
  ends: [number, number];
  span: number;
  left: number;
  right: number;
  moment: number;
  trace: Trace;
}

export interface WallStuds {
  studs: Stud[];
  headers: Header[];
  joist: JoistAnswer;
  traces: Trace[];
  /** numbers of the joists over the opening that have neither a stud nor a header under them */
  bare: number[];
}

/** Walls worked out already in one look at a plan, by id: the one below asks for the one above. */
export type KnownStuds = Map<string, WallStuds | Missing>;

/** How many times the floor of a plain joist the joist of that number carries. */
export function joistShare(storey: Storey, number: number): number {
  const { doubled, spacing } = storey.joists;
  const one = doubled.find((joist) => joist.number === number);
  return one && spacing !== null ? one.carries / spacing : 1;
}

/** Length of a stud: floor to joists, less the plates. */
export const studLength = (wall: ShoreWall, storey: Storey): number | null =>
  storey.height === null ? null : storey.height - wall.plate.count * wall.plate.thickness;

/**
 * What a stud gets beside its even share where the wall above stands unevenly: more under the studs at the ends of a gap or under a
 * doubled joist, less in the gap. Only where the joists of both storeys are as far apart; elsewhere the sole plate spreads it.
 */
function unevenAbove(
  plan: LinePlan,
  wall: ShoreWall,
  storey: Storey,
  places: readonly number[],
  rules: Rules,
  known: KnownStuds,
): Map<number, number> | Missing {
  const { storeys } = plan.shoring;
  const upper = storeys[storeys.indexOf(storey) + 1];
  const over = upper && wallAt(plan, upper, wall.side);
  const found = new Map<number, number>();
  if (!upper || !over || upper.joists.spacing !== storey.joists.spacing) return found;
  const answer = studsOf(plan, over, rules, known);
  if (answer instanceof Missing) return answer;
  const span = storey[wall.side].span ?? 0;
  const lever = runsThrough(storey) || !(span > 0) ? 1 : (span - over.setback) / (span - wall.setback);
  const stands = new Map(answer.studs.map((stud) => [stud.number, stud.load]));
  for (const i of places.keys()) {
    const more = (stands.get(i + 1) ?? 0) - answer.joist.shore;
    if (Math.abs(more) > 1e-9) found.set(i + 1, more * lever);
  }
  return found;
}

/** Every stud of a wall with its load, headers brought to the studs at their ends. */
export function studsOf(plan: LinePlan, wall: ShoreWall, rules: Rules, known: KnownStuds = new Map()): WallStuds | Missing {
  const before = known.get(wall.id);
  if (before) return before;
  const answer = workOut(plan, wall, rules, known);
  known.set(wall.id, answer);
  return answer;
}

function workOut(plan: LinePlan, wall: ShoreWall, rules: Rules, known: KnownStuds): WallStuds | Missing {
  const storey = plan.shoring.storeys.find((one) => one.id === wall.storey);
  const joist = joistOf(plan, wall, rules);
  const layout = studLayout(plan, wall);
  const places = studPlaces(plan, wall);
  if (!storey) return new Missing(`Which storey is ${wall.name} in?`);
  if (joist instanceof Missing) return joist;
  if (layout instanceof Missing) return layout;
  if (places instanceof Missing) return places;
  const uneven = unevenAbove(plan, wall, storey, places, rules, known);
  if (uneven instanceof Missing) return uneven;
  const loadAt = (number: number): number => joist.shore * joistShare(storey, number) + (uneven.get(number) ?? 0);
  const studs = layout.map((stud): Stud => ({ ...stud, load: loadAt(stud.number) }));
  const at = (number: number): Stud | undefined => studs.find((stud) => stud.number === number);
  const headers: Header[] = [];
  const bare: number[] = [];
  for (const gap of wall.gaps) {
    const [first, last] = [at(gap.from - 1), at(gap.to + 1)];
    const carried = places.flatMap((x, i) => (i + 1 >= gap.from && i + 1 <= gap.to ? [{ number: i + 1, x }] : []));
    if (!first || !last) {
      bare.push(...carried.map((one) => one.number));
      continue;
    }
    const values = timberValues(gap.header.grade, rules.id);
    if (!values) return new Missing(`Grade ${gap.header.grade} has no values in this rule set: choose another for the header of ${wall.name}.`);
    const span = last.x - first.x;
    const { width, plies, depth } = gap.header;
    const input = {
      span,
      load: 0,
      pointLoads: carried.map(({ number, x }) => ({ x: x - first.x, force: loadAt(number) })),
      stiffness: (values.e * width * plies * depth ** 3) / 12,
    };
    const outcome = attempt(simpleSpan, input);
    if (!outcome.ok) return new Missing(outcome.error);
    const { left, right, moment } = outcome.output;
    first.load += left;
    last.load += right;
    headers.push({ gap, ends: [first.number, last.number], span, left, right, moment, trace: { calc: simpleSpan.id, input, output: outcome.output } });
  }
  return { studs, headers, joist, traces: joist.traces, bare };
}
