import { allShores, wayOfMember } from '../../document/views';
import type { ShoredLine } from '../../document/schema';
import { sequenceNeeds } from '../../gates/sequence.calc';
import type { Check } from '../../verdict/check';
import { delivered } from '../../settle/travel';
import { saysSomething } from '../../document/records';
import { strikeGroups } from '../../document/strike-groups';
import type { Context } from '../context';
import { missingCheck, on, type Place } from '../../verdict/build';

const SOURCE = 'Common practice: what no move does is not done';
const place = (id: string, about: ReturnType<typeof on>, move: string | null = null): Place => ({
  id,
  ...about,
  station: 'runSheet',
  move,
  calc: sequenceNeeds.id,
  source: SOURCE,
});

/** What the plan has and no move of the run sheet does: a shore never set, a line never opened, a listed piece nothing sets. */
export function leftOutChecks(context: Context): Check[] {
  return [...noMoves(context), ...cranesLeft(context), ...shoresLeftOut(context), ...lateShores(context), ...unsetMembers(context), ...unbrought(context)];
}

const toDo = ({ plan }: Context): boolean => plan.pieces.length + plan.picks.length + allShores(plan).length > 0;

function noMoves(context: Context): Check[] {
  if (context.plan.moves.length > 0 || !toDo(context)) return [];
  return [missingCheck(place('moves.none', on('job', { id: 'moves' }, 'Run sheet')), 'count', 'The run sheet has no moves. In which order does it go up?')];
}

/** A crane that is set and never leaves stands in what was built round it. */
function cranesLeft({ plan }: Context): Check[] {
  const there = new Map<string, string>();
  for (const move of plan.moves) {
    if (move.kind === 'crane.set') there.set(move.stand, move.id);
    if (move.kind === 'crane.leave') there.delete(move.stand);
  }
  return [...there.keys()].map((id) => {
    const stand = plan.stands.find((one) => one.id === id)!;
    return missingCheck(
      place('moves.leave', on('stand', stand, stand.name)),
      'count',
      `The crane is set at ${stand.name} and no move takes it away. When does it leave?`,
    );
  });
}

/** Each shore is set, the line opened, the new piece put in, and each step of the strike made, each by a move of its own. */
function shoresLeftOut({ plan }: Context): Check[] {
  if (plan.moves.length === 0) return [];
  const made = new Set(
    plan.moves.flatMap((move) =>
      move.kind === 'shore.set'
        ? [`set ${move.shore}`]
        : move.kind === 'shore.strike'
          ? [`strike ${move.step}`]
          : move.kind === 'member.set'
            ? [`in ${move.opening}`]
            : move.kind === 'line.open'
              ? [`open ${move.line}`]
              : [],
    ),
  );
  const checks = allShores(plan).flatMap((shore) =>
    made.has(`set ${shore.id}`)
      ? []
      : [missingCheck(place('moves.shore', on('shore', shore, shore.name)), 'count', `No move sets ${shore.name}. When is it set?`)],
  );
  return [...checks, ...plan.shoring.lines.flatMap((line) => (line.walls.length + line.rows.length === 0 ? [] : lineLeftOut(plan, line, made)))];
}

function lineLeftOut(plan: Context['plan'], line: ShoredLine, made: ReadonlySet<string>): Check[] {
  const { opening } = line;
  const checks: Check[] = [];
  if (!made.has(`open ${line.id}`))
    checks.push(
      missingCheck(
        place('moves.line', on('line', line, line.name || 'Line')),
        'count',
        `No move opens the line ${plan.shoring.lines.length > 1 ? line.name : 'the shores stand for'}. When is it opened?`,
      ),
    );
  if (opening !== null && !made.has(`in ${opening}`)) {
    const name = plan.survey.openings.find((one) => one.id === opening)?.name ?? 'the opening';
    checks.push(missingCheck(place('moves.member', on('opening', { id: opening }, name)), 'count', `No move sets the piece over ${name}. When does it go in?`));
  }
  const groups = strikeGroups(line);
  for (const [n, group] of groups.entries())
    if (!group.steps.some((step) => made.has(`strike ${step.id}`)))
      checks.push(
        missingCheck(
          place('moves.strike', on('strikeStep', group, plan.shoring.lines.length > 1 ? `step ${n + 1} of ${line.name}` : `step ${n + 1}`)),
          'count',
          `No move makes step ${n + 1} of the strike, ${group.name}. When is it struck?`,
        ),
      );
  return checks;
}

/** A bent set after the last crane has left: nothing is there to set it. */
function lateShores({ plan }: Context): Check[] {
  const leaves = plan.moves.flatMap((move, i) => (move.kind === 'crane.leave' ? [i] : []));
  const comes = plan.moves.flatMap((move, i) => (move.kind === 'crane.set' ? [i] : []));
  const lastLeft = leaves[leaves.length - 1];
  if (lastLeft === undefined || comes.some((i) => i > lastLeft)) return [];
  return plan.moves.slice(lastLeft + 1).flatMap((move) => {
    if (move.kind !== 'shore.set') return [];
    const shore = allShores(plan).find((one) => one.id === move.shore);
    if (!shore) return [];
    return [
      missingCheck(
        place('moves.late', on('shore', shore, shore.name), move.id),
        'count',
        `${shore.name} is set after the last crane has left. What sets it, and what carried until then?`,
      ),
    ];
  });
}

/** What is set over an opening by hand came into the building somehow. */
function unbrought({ plan }: Context): Check[] {
  return plan.moves.flatMap((move) => {
    if (move.kind !== 'member.set') return [];
    const opening = plan.survey.openings.find(({ id }) => id === move.opening);
    const member = plan.members.find(({ id }) => id === opening?.member);
    if (!member || wayOfMember(plan, member.id)) return [];
    return [
      missingCheck(
        place('way.none', on('member', member, member.mark), move.id),
        'count',
        `No way in is planned for ${member.mark}. How is it brought from the truck to ${opening?.name || 'its opening'}?`,
      ),
    ];
  });
}

/** A mark of the piece list that no pick lifts, no move sets and nobody says is set elsewhere. */
function unsetMembers({ plan }: Context): Check[] {
  if (plan.moves.length === 0) return [];
  const lifted = new Set(plan.pieces.filter((piece) => plan.picks.some((pick) => pick.piece === piece.id)).map((piece) => piece.mark));
  const opened = new Set(plan.moves.flatMap((move) => (move.kind === 'member.set' ? [move.opening] : [])));
  const carried = new Set(plan.survey.openings.filter((one) => opened.has(one.id)).map((one) => one.member));
  return plan.members.flatMap((member) => {
    const done = delivered.has(member.state) && member.state !== 'stored';
    if (done || lifted.has(member.mark) || carried.has(member.id) || saysSomething(member.elsewhere ?? '')) return [];
    return [
      missingCheck(
        place('moves.unset', on('member', member, member.mark)),
        'count',
        `${member.mark} is in the piece list and no move sets it. When and how is it set, or who sets it elsewhere?`,
      ),
    ];
  });
}
