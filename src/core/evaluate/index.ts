import { rulesOf } from '../rules/rule-sets';
import { gist, keep, keepOne } from '../document/keep';
import { settle } from '../settle/settle';
import { keyOf, worst, type Check, type Verdict } from '../verdict/check';
import { craneAt } from '../settle/duties';
import { liftedBy, pickOfPiece, standOf, standsOfPick } from '../document/lookups';
import { pieceWeight } from '../settle/piece-weight';
import { replay, type Replay } from '../replay/replay';
import type { Pick, Piece, Plan } from '../document/schema';
import { seatOf } from '../settle/seat-geometry';
import { stringFrom } from '../document/strings';
import { moveFor, type Context } from '../checks/context';
import { cranesBeside, cranesStanding } from '../settle/cranes-standing';
import { cranesTogetherChecks } from '../checks/lift/other-cranes';
import { laidChecks } from '../checks/site/laid';
import { craneSizeChecks } from '../checks/gear/crane-sizes';
import { assemblyChecks } from '../checks/gear/assembly';
import { towerChecks } from '../checks/gear/tower';
import { dayChecks } from '../checks/order/days';
import { concreteCheck, journeyChecks, orderChecks } from '../checks/order/order';
import { launchChecks } from '../checks/launch/checks';
import { raiseChecks } from '../checks/raise';
import { weightCheck } from '../checks/lift/rigging';
import { peopleChecks } from '../checks/order/people';
import { liftChecks } from '../checks/lift/ways-up';
import { seatingChecks } from '../checks/seats/seating';
import { holdChecks } from '../checks/order/hold-points';
import { leftOutChecks } from '../checks/said/left-out';
import { loadPathChecks } from '../checks/seats/load-path';
import { onOneLink } from '../checks/seats/on-one-link';
import { floorChecks } from '../checks/said/rule-floors';
import { derivedFigures, type Derived } from '../checks/steel/derived';
import { surveyChecks } from '../checks/measure/measure';
import { statementChecks } from '../checks/said/statements';
import { steelListChecks } from '../checks/steel/steel-list';
import { shoreChecks, type Strikes } from '../checks/shores';
import { wayOfMember, wayViews } from '../document/views';
import { structureChecks, type StructureAnswer } from '../checks/structure/checks';
import { bentsUnder } from '../checks/structure/bents';
import { carriesChecks } from '../checks/measure/carries';
import { overlayChecks } from '../checks/measure/overlays';
import { spliceBoltChecks } from '../checks/steel/splice-bolts';
import { spliceFigures } from '../checks/steel/splice-figures';
import { transportChecks } from '../checks/steel/transport';
import { believableChecks } from '../checks/said/believable';
import { unsaidChecks } from '../checks/said/unsaid';
import { inTheWayChecks, inTheWayFrom } from '../checks/lift/in-the-way';
import { namelessChecks } from '../checks/said/nameless';
import { oldRecordChecks } from '../checks/said/old-records';
import { onePostTwoPlaces, saidTwiceChecks } from '../checks/said/said-twice';
import { edgeChecks } from '../checks/site/edges';
import { lookedForChecks } from '../checks/site/power-lines';
import { steelNearLines } from '../checks/site/steel-near-lines';
import { seatsFitChecks } from '../checks/seats/seats-fit';
import { twoListChecks } from '../checks/steel/two-lists';
import { wayInChecks } from '../checks/way-in/way-in';
import { standZoneChecks } from '../checks/site/stand-zones';
import { laydownChecks } from '../checks/site/laydowns';
import { stringChecks } from '../checks/lift/string';
import { weatherChecks } from '../checks/site/weather';
import { yardChecks } from '../checks/gear/yard';

export interface Evaluation {
  verdict: Verdict;
  /** figures that follow from the survey and the splices, with their working */
  derived: Derived[];
  counts: Record<Verdict, number>;
  checks: Check[];
  /** how each move of the structure stands, also by what is worse at another move and has its row there */
  standing: Record<string, Verdict>;
  replay: Replay;
  /** what each shore carries, step by step, line by line */
  strikes: Strikes;
}

function pieceChecks(context: Context, piece: Piece): Check[] {
  const { plan, rules } = context;
  const pick = pickOfPiece(plan, piece.id);
  const weight = pieceWeight(piece, rules);
  return [
    ...statementChecks(context, piece),
    ...journeyChecks(context, piece),
    weightCheck(context, piece, weight, pick ? moveFor(plan, 'piece.sling', pick.id) : null),
    ...seatingChecks(context, piece, weight, seatOf(plan, piece)),
  ];
}

/** All that is said of a thing but for some of it. */
const but =
  <T extends object>(...less: readonly string[]) =>
  (one: T): readonly unknown[] =>
    Object.entries(one).flatMap(([key, value]) => (less.includes(key) ? [] : [key, value]));

/**
 * Of the steel and the moves what a lift of one piece goes by: where the others lie and what room they take, and what is done when. What
 * another piece weighs, or how many bolts are in, does nothing to it. What hangs with others goes by all of it.
 */
function aroundLift(plan: Plan, pick: Pick): readonly unknown[] {
  const { structure, moves } = plan;
  const { pieces, makes, joints, braces } = structure;
  const strung = stringFrom(plan, pick);
  if (pick.joined || strung.length > 0) return [pieces, makes, joints, braces, moves, ...strung];
  return [
    gist('lift pieces', pieces, but('weighed')),
    gist('lift makes', makes, but('mass', 'allowance', 'attachments', 'grade', 'yield')),
    gist('lift joints', joints, ({ id, kind, a, b }) => [id, kind, a, b]),
    // When another stands goes by what hangs with it.
    gist('lift picks', plan.picks, ({ id, piece, joined = null }) => [id, piece, joined]),
    plan.strings,
    gist('lift moves', moves, but('note', 'bolts', 'pins', 'tight', 'fit', 'off')),
  ];
}

/** Checks of a lift, kept while the pick, what it lifts, what it is lifted with, where and past what are the same. */
function pickChecks(context: Context, pick: Pick): Check[] {
  const { plan, today, rules } = context;
  const { job } = plan;
  const lifted = liftedBy(plan, pick);
  const gear = standsOfPick(pick).flatMap((id) => {
    const stand = standOf(plan, id);
    return [stand, craneAt(plan, stand)];
  });
  const piece = lifted.kind === 'piece' ? [lifted.piece] : [lifted.beam, lifted.make];
  // Of the job only how a chart is read and the rules go into a lift; of the structure what stands when it is made.
  const from = [
    ...piece,
    ...gear,
    plan.duties,
    plan.site,
    plan.gusts,
    plan.people.radioChannel,
    plan.yard,
    plan.bearings,
    plan.pieces,
    plan.launches,
    ...aroundLift(plan, pick),
    // Where the other cranes stand, and when.
    gist('lift cranes', cranesStanding(plan), ({ stand, crane, from, to }) => [
      stand.id,
      stand.name,
      stand.at,
      stand.azimuthDeg,
      stand.base,
      crane,
      stand.waits,
      from,
      to,
    ]),
    // How long their booms may be, where any stand by.
    ...(cranesBeside(plan, pick).length > 0 ? [gist('lift booms', plan.picks, ({ stand, boom, second }) => [stand, boom, second])] : []),
    rules,
    job.chartRule,
    today,
  ];
  return keep('pick.checks', pick, from, () => liftChecks(context, pick));
}

/**
 * Every check of the plan. Pure: the same plan on the same day gives the same answer.
 * @param today year-month-day; null where nobody can say: what depends on the calendar is then left to whoever can
 */
export const evaluate = (drawn: Plan, today: string | null = null): Evaluation => evaluateWhole(drawn, today).evaluation;

/** An evaluation with what the structure felt, and what was asked of it, at every move. */
export interface Whole {
  evaluation: Evaluation;
  structure: StructureAnswer;
}

/** Everything asked at one move: also what is worse at another and has its row there. Null: before the first. */
export const checksAt = (whole: Whole, move: string | null): Check[] => checksByMove(whole)(move);

export function checksByMove({ evaluation, structure }: Whole): (move: string | null) => Check[] {
  const own = new Map<string | null, Check[]>();
  for (const check of evaluation.checks) {
    const list = own.get(check.move);
    if (list) list.push(check);
    else own.set(check.move, [check]);
  }
  const atMove = structure.at();
  return (move) => {
    const mine = own.get(move) ?? [];
    if (move === null) return mine;
    const have = new Set(mine.map(keyOf));
    return [...mine, ...atMove(move).filter((check) => !have.has(keyOf(check)))];
  };
}

/** The same as `evaluate`, with the structure at every move, which not everybody wants. */
export function evaluateWhole(drawn: Plan, today: string | null): Whole {
  const plan = settle(drawn);
  const context: Context = {
    plan,
    today,
    rules: keep('rules', plan.job.thresholds, [plan.job.ruleSet], () => rulesOf(plan.job.ruleSet, plan.job.thresholds)),
    replayed: replay(plan),
  };
  const structure = structureChecks(context);
  const shores = shoreChecks({ ...context, plan: bentsUnder(plan, structure.onward) });
  // A piece on a second way is asked about there and worked out on its first.
  const ways = wayViews(plan).filter(({ wayIn }) => wayIn.member === null || wayOfMember(plan, wayIn.member)?.id === wayIn.id);
  const lifts = plan.picks.flatMap((pick) => pickChecks(context, pick));
  const checks = [
    ...plan.pieces.flatMap((piece) => pieceChecks(context, piece)),
    ...plan.bearings.flatMap((bearing) => concreteCheck(context, bearing)),
    ...lifts,
    ...lookedForChecks(context),
    ...keepOne(
      'steel.powerLine',
      [plan.site.powerLines, plan.structure.pieces, plan.structure.makes, plan.pieces, plan.bearings, plan.picks.length > 0, context.rules],
      () => steelNearLines(context),
    ),
    ...edgeChecks(context),
    ...peopleChecks(context),
    ...yardChecks(context),
    ...stringChecks(context),
    ...raiseChecks(context),
    ...launchChecks(context),
    ...craneSizeChecks(context),
    ...towerChecks(context),
    ...assemblyChecks(context),
    ...orderChecks(context),
    ...dayChecks(context),
    ...surveyChecks(context, drawn),
    ...loadPathChecks(context, structure.onward),
    ...onOneLink(context),
    ...overlayChecks(context),
    ...steelListChecks(context),
    ...transportChecks(context),
    ...carriesChecks(context),
    ...wayInChecks(context),
    ...ways.flatMap((view) => spliceBoltChecks({ ...context, plan: view })),
    ...structure.checks,
    ...shores.checks,
    ...holdChecks(context, structure.onward, lifts),
    ...leftOutChecks(context),
    ...unsaidChecks(context),
    ...believableChecks(context),
    ...keepOne('inTheWay', inTheWayFrom(context), () => inTheWayChecks(context)),
    ...cranesTogetherChecks(context),
    ...laidChecks(context),
    ...laydownChecks(context),
    ...standZoneChecks(context),
    ...seatsFitChecks(context),
    ...twoListChecks(context),
    ...saidTwiceChecks(context),
    ...onePostTwoPlaces(context),
    ...oldRecordChecks(context),
    ...namelessChecks(context),
    ...floorChecks(context),
  ];
  checks.push(...weatherChecks(context, drawn, checks));
  const derived = [...derivedFigures(context, drawn), ...ways.flatMap((view) => spliceFigures(view, context.rules))];
  const counts: Record<Verdict, number> = { stop: 0, missing: 0, tight: 0, clear: 0 };
  for (const check of checks) counts[check.verdict] += 1;
  const evaluation: Evaluation = {
    verdict: checks.length === 0 ? 'missing' : worst(checks.map((check) => check.verdict)),
    counts,
    checks,
    standing: structure.standing,
    derived,
    replay: context.replayed,
    strikes: shores.strikes,
  };
  return { evaluation, structure };
}
