import { rulesOf } from '../../rules/rule-sets';
import { gist, keep, keepOne } from '../keep';
import { settle } from '../settle';
import { keyOf, worst, type Check, type Verdict } from '../check';
import { craneAt } from '../duties';
import { liftedBy, pickOfPiece, standOf, standsOfPick } from '../lookups';
import { pieceWeight } from '../piece-weight';
import { replay, type Replay } from '../replay';
import type { Pick, Piece, Plan } from '../schema';
import { seatOf } from '../seat-geometry';
import { stringFrom } from '../strings';
import { moveFor, type Context } from './context';
import { cranesStanding } from '../cranes-standing';
import { laidChecks } from './laid';
import { craneSizeChecks } from './crane-sizes';
import { assemblyChecks } from './assembly';
import { towerChecks } from './tower';
import { concreteCheck, journeyChecks, orderChecks } from './order';
import { launchChecks } from '../launch/checks';
import { raiseChecks } from './raise';
import { weightCheck } from './rigging';
import { peopleChecks } from './people';
import { liftChecks } from './ways-up';
import { seatingChecks } from './seating';
import { holdChecks } from './hold-points';
import { leftOutChecks } from './left-out';
import { loadPathChecks } from './load-path';
import { floorChecks } from './rule-floors';
import { derivedFigures, type Derived } from './derived';
import { surveyChecks } from './measure';
import { statementChecks } from './statements';
import { steelListChecks } from './steel-list';
import { shoreChecks, type Strikes } from './shores';
import { wayOfMember, wayViews } from '../views';
import { structureChecks, type StructureAnswer } from '../structure/checks';
import { bentsUnder } from '../structure/bents';
import { carriesChecks } from './carries';
import { overlayChecks } from './overlays';
import { spliceBoltChecks } from './splice-bolts';
import { spliceFigures } from './splice-figures';
import { transportChecks } from './transport';
import { believableChecks } from './believable';
import { unsaidChecks } from './unsaid';
import { inTheWayChecks, inTheWayFrom } from './in-the-way';
import { namelessChecks } from './nameless';
import { oldRecordChecks } from './old-records';
import { onePostTwoPlaces, saidTwiceChecks } from './said-twice';
import { edgeChecks } from './edges';
import { lookedForChecks } from './power-lines';
import { steelNearLines } from './steel-near-lines';
import { seatsFitChecks } from './seats-fit';
import { twoListChecks } from './two-lists';
import { wayInChecks } from './way-in';
import { standZoneChecks } from './stand-zones';
import { stringChecks } from './string';
import { weatherChecks } from './weather';
import { yardChecks } from './yard';

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
      crane.id,
      crane.name,
      crane.baseLength,
      crane.baseWidth,
      crane.pivotHeight,
      from,
      to,
    ]),
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
    ...surveyChecks(context, drawn),
    ...loadPathChecks(context, structure.onward),
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
    ...laidChecks(context),
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
