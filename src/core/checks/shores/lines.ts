import type { SettledPlan } from '../../settle/settle';
import type { LinePlan } from '../../document/views';
import { phrase, q } from '../../calc/work';
import { takedown } from '../../shoring/takedown.calc';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import { lineLoads } from '../../settle/shoring';
import { rowAt, runsThrough, shoredOpening, sides, wallAt } from '../../settle/shore-layout';
import type { Storey } from '../../document/schema';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told } from '../../verdict/build';
import { shorePlace } from './place';

type Ground = Pick<Context<LinePlan<SettledPlan>>, 'plan' | 'rules'>;

/** What comes down on the line, whether every storey and side of it is held, and whether the gear still gets between the shores. */
export function lineChecks(context: Ground): Check[] {
  const { storeys, lines, id, name, opening } = context.plan.shoring;
  const place = (check: string) =>
    shorePlace(check, { id, name: name || 'Line' }, takedown, 'Common practice: a line is opened once, and whatever rests on it is held', 'line');
  const other = lines.find((one) => one.opening !== null && one.opening === opening);
  if (other && other.id !== id)
    return [
      missingCheck(
        place('twice'),
        'count',
        `${other.name} and ${name} are both to open ${shoredOpening(context.plan)?.name ?? opening}. Which shores stand for it?`,
      ),
    ];
  if (storeys.length === 0)
    return [missingCheck(place('storeys'), 'forcePerLength', `What rests on ${name || 'the line'} that is opened? Draw the storeys over it.`)];
  return [...typedCheck(context), ...storeys.flatMap((storey, i) => heldChecks(storey, i, context)), ...roomChecks(context)];
}

/** The takedown against the line load the new beam was chosen for. */
function typedCheck({ plan, rules }: Ground): Check[] {
  const opening = shoredOpening(plan);
  const lowest = plan.shoring.storeys[0];
  if (!lowest) return [];
  const load = lineLoads(plan, rules).get(lowest.id);
  const place = shorePlace('line', lowest, takedown, sourced(takedown.source.text, rules, 'constructionLive'), 'storey');
  if (!load || load instanceof Missing) return [missingCheck(place, 'forcePerLength', load?.questions.join(' ') ?? 'What comes down on the line?')];
  const total = load.dead + load.live;
  if (!opening) return [missingCheck(place, 'forcePerLength', 'Which opening do the shores stand for?', load.traces)];
  if (opening.lineLoad === null) return [missingCheck(place, 'forcePerLength', `What load was the beam over ${opening.name} chosen for?`, load.traces)];
  return [
    ratioCheck(
      place,
      { demand: total, capacity: opening.lineLoad, quantity: 'forcePerLength', caution: null, inclusive: true },
      told(
        phrase`${q(total, 'forcePerLength')} comes down on the line over ${opening.name} (${q(load.dead, 'forcePerLength')} dead, ${q(load.live, 'forcePerLength')} live); the beam was chosen for ${q(opening.lineLoad, 'forcePerLength')}.`,
      ),
      load.traces,
    ),
  ];
}

/** Is what rests on the line in this storey held while the line is gone? */
function heldChecks(storey: Storey, index: number, { plan }: Ground): Check[] {
  const lowest = plan.shoring.storeys[0];
  const needles = lowest ? rowAt(plan, lowest) : null;
  const clear = (id: string, words: string): Check => ({
    ...ratioCheck(
      shorePlace(id, storey, takedown, 'Common practice: every storey and side that loads the line is held', 'storey'),
      { demand: 0, capacity: 1, quantity: 'count', caution: null, ratio: 0 },
      told([words]),
      [],
    ),
    demand: null,
    capacity: null,
    ratio: null,
  });
  const place = (id: string) => shorePlace(id, storey, takedown, 'Common practice: every storey and side that loads the line is held', 'storey');
  if (index > 0) {
    if (storey.bears === null)
      return [missingCheck(place('storey'), 'count', `Does a wall, a post, a ridge post or a chimney stand on the line in ${storey.name}?`)];
    if (storey.bears === 'nothing' && storey.wall !== null && storey.wall > 0)
      return [
        missingCheck(place('storey'), 'count', `${storey.name} is said to bear nothing on the line, and a wall on it is weighed. Does a wall stand there?`),
      ];
    if (storey.bears === 'nothing') return [clear('storey', `Nothing stands on the line in ${storey.name}.`)];
    if (needles && !sides.some((side) => wallAt(plan, storey, side)))
      return [clear('storey', `The wall in ${storey.name} goes down into the needles of ${needles.name}.`)];
  }
  if (rowAt(plan, storey)) return [clear('storey', `${rowAt(plan, storey)?.name} holds the wall over ${storey.name}, and both floors that rest on it.`)];
  const wanted = sides.filter((side) => (storey[side].span ?? 0) > 0);
  const held = wanted.filter((side) => wallAt(plan, storey, side));
  if (held.length === wanted.length && wanted.length > 0)
    return [clear('storey', `${storey.name} is held on ${held.length === 2 ? 'both sides' : `the ${held[0]}`} of the line.`)];
  if (held.length === 0)
    return [
      index === 0 || plan.shoring.walls.length === 0
        ? missingCheck(place('storey'), 'count', `What holds up the floor over ${storey.name} while the line is open? Draw the shores.`)
        : flatStop(
            place('storey'),
            'count',
            told([
              `A wall stands on the line in ${storey.name} and nothing there holds what it carries: it would hang on the floor below. Shore ${storey.name} too, in line.`,
            ]),
            [],
          ),
    ];
  const bare = wanted.find((side) => !held.includes(side)) ?? 'left';
  if (runsThrough(storey)) return [clear('storey', `The joists over ${storey.name} run through: one side is held and they are solved on it.`)];
  return [
    flatStop(
      place('side'),
      'count',
      told([`The joists over ${storey.name} break over the line and nothing holds the ${bare} side. Put a shore on the ${bare} too.`]),
      [],
    ),
  ];
}

/** Clear width left between the two walls of the opening’s storey, for the lifting gear. */
function roomChecks({ plan }: Ground): Check[] {
  const [storey] = plan.shoring.storeys;
  const [left, right] = storey ? sides.map((side) => wallAt(plan, storey, side)) : [];
  if (!storey || !left || !right) return [];
  const between = left.setback + right.setback - (left.stud.depth + right.stud.depth) / 2;
  const place = shorePlace('room', storey, takedown, 'Geometry: ask the maker for the width and turn of the lifting gear before a wall is built', 'storey');
  if (plan.shoring.room === null) return [missingCheck(place, 'length', 'What clear width do the legs of the lifting gear need between the shores?')];
  return [
    ratioCheck(
      place,
      { demand: plan.shoring.room, capacity: Math.max(0, between), quantity: 'length', caution: null, inclusive: true },
      told(phrase`Between the walls ${q(Math.max(0, between), 'length')} is clear; the lifting gear needs ${q(plan.shoring.room, 'length')}.`),
      [],
    ),
  ];
}
