import type { LinePlan } from '../../document/views';
import type { Rules } from '../../rules/rule-sets';
import { timberValues } from '../../shoring/timber-grades';
import { Missing } from '../../verdict/missing';
import type { ShoreRow, ShoreWall, Storey } from '../../document/schema';
import { needlePlaces, runsThrough, shoredOpening, wallAt } from '../../settle/shore-layout';
import { studLength, type KnownStuds } from '../../settle/wall-studs';
import { needleOf, needleStrength } from './needles';
import { propStrength } from './props';
import { plateContact, soleContact, studStrength, wallTotal } from './walls';

/** Of a round tube. */
const tubeArea = ({ diameter, wall }: { diameter: number; wall: number }): number => Math.PI * wall * (diameter - wall);

/** One stud, studs set together, or one needle: where it stands, what it may carry, what it carries before anything is struck. */
export interface Unit {
  shore: string;
  name: string;
  number: number;
  /** along the new beam from its left seat */
  x: number;
  spring: number;
  /** brought to the line where the floor is cut there; where joists run through, and in storeys above, what it carries itself */
  load: number;
  capacity: number;
  /** what the unit itself takes for one newton of `load` */
  lever: number;
  /** joists run through over it: which one, from 0, and how far along from its left far bearing */
  joist: { index: number; at: number } | null;
  /** it stands in a storey above: what it lays on the floor at the line, and what it lets down onto the line when it goes */
  above: { storey: number; lays: number; passes: number } | null;
  /** of the line; null: it holds both */
  side: 'left' | 'right' | null;
}

/** Every stud and needle of the opening’s storey, and every stud of the storeys above it. */
export function unitsOf(plan: LinePlan, rules: Rules, known?: KnownStuds): Unit[] | Missing {
  const [storey] = plan.shoring.storeys;
  const opening = shoredOpening(plan);
  if (!storey || !opening) return new Missing('Which opening do the shores stand for?');
  const offset = opening.bearing.left / 2;
  const units: Unit[] = [];
  for (const wall of plan.shoring.walls.filter((one) => one.storey === storey.id)) {
    const found = wallUnits(plan, wall, storey, offset, rules, known);
    if (found instanceof Missing) return found;
    units.push(...found);
  }
  for (const row of plan.shoring.rows.filter((one) => one.storey === storey.id)) {
    const found = rowUnits(plan, row, offset, rules);
    if (found instanceof Missing) return found;
    units.push(...found);
  }
  const above = aboveUnits(plan, offset, rules, known);
  return above instanceof Missing ? above : [...units, ...above];
}

/** What a stud takes before the weakest of it, its plates and what is under the sole plate gives. */
function weakest(wall: ShoreWall, storey: Storey, rules: Rules): { capacity: number; length: number; e: number } | Missing {
  const length = studLength(wall, storey);
  const values = timberValues(wall.stud.grade, rules.id);
  if (length === null || !values) return new Missing(`How stiff is ${wall.name}? Its height and grade are wanted.`);
  const strength = studStrength(wall, length, rules);
  if (strength instanceof Missing) return strength;
  const plate = plateContact(wall, rules);
  const sole = soleContact(wall);
  if (!plate || !sole) return new Missing(`What may what is under ${wall.name} take? The strike loads it more than standing does.`);
  const pressed = [plate, sole].map((one) => one.length * one.width * one.allowable);
  return { capacity: typeof strength === 'string' ? 0 : Math.min(strength.capacity, ...pressed), length, e: values.e };
}

function wallUnits(plan: LinePlan, wall: ShoreWall, storey: Storey, offset: number, rules: Rules, known?: KnownStuds): Unit[] | Missing {
  const total = wallTotal(plan, wall, rules, known);
  const stud = weakest(wall, storey, rules);
  if (total instanceof Missing) return total;
  if (stud instanceof Missing) return stud;
  const span = storey[wall.side].span ?? 0;
  const through = runsThrough(storey);
  // Where the joist is cut it levers over its far bearing: a newton at the line is more than a newton on the stud.
  const lever = !through && span > 0 ? span / (span - wall.setback) : 1;
  const left = storey.left.span ?? 0;
  const at = wall.side === 'left' ? left - wall.setback : left + wall.setback;
  return total.studs.map(({ number, x, together, load }) => ({
    shore: wall.id,
    name: wall.name,
    number,
    x: x + offset,
    spring: (together * stud.e * wall.stud.width * wall.stud.depth) / stud.length / lever ** 2,
    load: load / lever,
    capacity: (together * stud.capacity) / lever,
    lever,
    joist: through ? { index: number - 1, at } : null,
    above: null,
    side: wall.side,
  }));
}

function rowUnits(plan: LinePlan, row: ShoreRow, offset: number, rules: Rules): Unit[] | Missing {
  const answer = needleOf(plan, row, rules);
  const strength = propStrength(row, rules);
  const bends = needleStrength(row, rules);
  if (answer instanceof Missing) return answer;
  if (strength instanceof Missing) return strength;
  if (bends instanceof Missing) return bends;
  if (row.pad.allowable === null) return new Missing(`What may the floor under the pads of ${row.name} take? The strike loads it more than standing does.`);
  const { prop } = row;
  const { left, right } = row.arms;
  // Half the needle’s own weight is on each prop already.
  const own = (answer.leftProp + answer.rightProp - answer.load) / 2;
  const foot = Math.min(typeof strength === 'string' ? 0 : strength.capacity, row.pad.length * row.pad.width * row.pad.allowable);
  // The weakest of prop, pad and needle decides.
  const capacity = Math.max(0, Math.min(((foot - own) * (left + right)) / Math.max(left, right), (bends.capacity * (left + right)) / (left * right)));
  const length = prop.length ?? 1;
  // A steel prop gives like its inner tube over the whole of its length, a little more than it does.
  const stiff = prop.kind === 'steel' ? rules.steel.modulus * tubeArea(prop.tube) : (timberValues(prop.grade, rules.id)?.e ?? 0) * prop.width * prop.depth;
  return needlePlaces(row).map((x, i) => ({
    shore: row.id,
    name: row.name,
    number: i + 1,
    x: x + offset,
    spring: (2 * stiff) / length,
    load: answer.load,
    capacity,
    lever: 1,
    joist: null,
    above: null,
    side: null,
  }));
}

/**
 * Studs of the storeys above. Each stands on the floor below it, over a shore; going, it takes its load off that floor and lets
 * down onto the wall on the line what its own floor brings there. A joist that runs through lets it all down: the safe side.
 */
function aboveUnits(plan: LinePlan, offset: number, rules: Rules, known?: KnownStuds): Unit[] | Missing {
  const { storeys } = plan.shoring;
  const [lowest] = storeys;
  const units: Unit[] = [];
  for (const [i, storey] of storeys.entries()) {
    if (i === 0 || !lowest) continue;
    for (const side of ['left', 'right'] as const) {
      const wall = wallAt(plan, storey, side);
      if (!wall) continue;
      const total = wallTotal(plan, wall, rules, known);
      const stud = weakest(wall, storey, rules);
      if (total instanceof Missing) return total;
      if (stud instanceof Missing) return stud;
      const higher = wallAt(plan, storeys[i + 1] ?? storey, side);
      const carried = higher && higher.id !== wall.id ? wallTotal(plan, higher, rules, known) : null;
      if (carried instanceof Missing) return carried;
      const onFloor = standsOver(plan, i, side);
      const span = storey[side].span ?? 0;
      const lets = runsThrough(storey) || !(span > 0) ? 1 : (span - wall.setback) / span;
      // The floor below spreads them evenly: as much comes down on it as its own joists are told of.
      const even = lowest.joists.spacing !== null && storey.joists.spacing !== null ? lowest.joists.spacing / storey.joists.spacing : 1;
      const own = carried ? Math.max(0, 1 - carried.load / Math.max(total.load, 1e-9)) : 1;
      units.push(
        ...total.studs.map(({ number, x, together, load }): Unit => ({
          shore: wall.id,
          name: wall.name,
          number,
          x: x + offset,
          spring: 0,
          load,
          capacity: together * stud.capacity,
          lever: 1,
          joist: onFloor.joist,
          above: { storey: i, lays: load * own * even * onFloor.factor, passes: onFloor.factor === 0 ? 0 : load * own * even * lets },
          side,
        })),
      );
    }
  }
  return units;
}

/** How a shore of storey `i` reaches the line of the opening: brought there where the floors are cut, where it stands where they run through. */
function standsOver(plan: LinePlan, i: number, side: 'left' | 'right'): { factor: number; joist: Unit['joist'] } {
  const { storeys } = plan.shoring;
  let factor = 1;
  for (let n = i - 1; n >= 0; n -= 1) {
    const floor = storeys[n]!;
    const over = wallAt(plan, storeys[n + 1]!, side);
    const under = wallAt(plan, floor, side);
    // Needles carry all that is above already; nothing under it on this side takes it either.
    if (!over || !under) return { factor: 0, joist: null };
    const span = floor[side].span ?? 0;
    if (runsThrough(floor)) {
      if (n === 0) {
        const left = floor.left.span ?? 0;
        return { factor, joist: { index: 0, at: side === 'left' ? left - over.setback : left + over.setback } };
      }
    } else if (span > 0) factor *= n === 0 ? (span - over.setback) / span : (span - over.setback) / (span - under.setback);
  }
  return { factor, joist: null };
}
