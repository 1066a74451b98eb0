import { concreteGate } from '../../gates/concrete-gate.calc';
import { releaseBolts } from '../../gates/release.calc';
import { sequenceNeeds } from '../../gates/sequence.calc';
import type { Check } from '../../verdict/check';
import { bearingOf, markLifted, pickOf, pieceOf, standOf } from '../../document/lookups';
import { phrase, q } from '../../calc/work';
import { moveWords } from '../../settle/move-words';
import { dayFault, namesPerson, saysSomething } from '../../document/records';
import { keep } from '../../document/keep';
import { releaseHold } from '../structure/hold-rows';
import type { Step } from '../../replay/replay';
import type { Moment, PieceState } from '../../replay/now';
import type { Bearing, Move, MoveKind, Pick, Piece, Plan } from '../../document/schema';
import { moveFor, type Context } from '../context';
import { flatStop, missingCheck, on, ratioCheck, sourced, told, traced } from '../../verdict/build';

/** Whether each move finds done what it needs, and what the hook may let go of. */
export function orderChecks(context: Context): Check[] {
  const { rules, replayed } = context;
  return replayed.steps.flatMap((step, i) => {
    const before = i === 0 ? replayed.before : replayed.steps[i - 1]!.after;
    // A step is another as soon as anything is that its needs or its names are read from.
    return keep('order', step, [rules], () => stepChecks(context, step, before));
  });
}

function stepChecks(context: Context, step: Step, before: Moment): Check[] {
  const { plan } = context;
  const { title } = moveWords(plan, step.move);
  const checks: Check[] = [];
  if (step.needs.length > 0) {
    const { outcome, traces } = traced(sequenceNeeds, { needs: step.needs.map(({ what, done }) => ({ what, done })) });
    const lacking = outcome.ok ? outcome.output.lacking : [];
    const place = {
      id: 'move.order',
      ...on('move', step.move, subjectOf(plan, step.move) ?? title),
      station: 'runSheet' as const,
      move: step.move.id,
      calc: sequenceNeeds.id,
      source: sequenceNeeds.source.text,
    };
    const finding = { code: 'order' as const, title, lacking };
    if (lacking.length > 0) checks.push(flatStop(place, 'count', finding, traces, step.needs.length));
    else
      checks.push(
        ratioCheck(place, { demand: step.needs.length, capacity: step.needs.length, quantity: 'count', caution: null, inclusive: true }, finding, traces),
      );
  }
  if (step.move.kind === 'hook.release') {
    const piece = pieceOf(plan, pickOf(plan, step.move.pick).piece);
    const release = releaseCheck(context, piece, before.pieces[piece.id]!, step.move.id, title);
    checks.push(release, ...releaseHold(piece, step.move.id, release));
  }
  return checks;
}

/** The name of what a move is done to. */
function subjectOf(plan: Plan, move: Move): string | null {
  if ('piece' in move) return pieceOf(plan, move.piece).mark;
  if ('pick' in move && typeof move.pick === 'string') return markLifted(plan, pickOf(plan, move.pick));
  if ('stand' in move) return standOf(plan, move.stand).name;
  return 'bearing' in move ? bearingOf(plan, move.bearing).name : null;
}

function releaseCheck({ plan, rules }: Context, piece: Piece, state: PieceState, move: string, title: string): Check {
  const least = rules.value('boltsLeast');
  const place = {
    id: 'release.bolts',
    ...on('piece', piece, piece.mark),
    station: 'runSheet' as const,
    move,
    calc: releaseBolts.id,
    source: sourced(releaseBolts.source.text, rules, 'boltsLeast'),
  };
  const ends = (['left', 'right'] as const).map((end) => ({ at: bearingOf(plan, piece.seat[end]).name, bolts: state.bolts[end] }));
  const untold = ends.filter((end) => end.bolts === null).map((end) => end.at);
  if (untold.length > 0) return missingCheck(place, 'count', `How many bolts are in at ${untold.join(' and ')} before the hook lets go of ${piece.mark}?`);
  const loose = (['left', 'right'] as const).filter((end) => state.untold[end]).map((end) => bearingOf(plan, piece.seat[end]).name);
  if (loose.length > 0 && ends.every((end) => (end.bolts ?? 0) >= least))
    return missingCheck(
      place,
      'count',
      `Are the bolts of ${piece.mark} at ${loose.join(' and ')} of the drawn size and grade, and wrench-tight? Only such bolts count.`,
    );
  const counted = ends.map((end) => ({ at: end.at, bolts: end.bolts ?? 0 }));
  const fewest = Math.min(...counted.map((end) => end.bolts));
  const { traces } = traced(releaseBolts, { bolts: fewest, least });
  return ratioCheck(
    place,
    { demand: least, capacity: fewest, quantity: 'count', caution: null, inclusive: true },
    { code: 'release', title, ends: counted, least },
    traces,
  );
}

/** Concrete that has not reached its strength stops the move that calls its bearing ready. */
export const concreteCheck = (context: Context, bearing: Bearing): Check[] =>
  footingChecks(context, {
    id: bearing.id,
    name: bearing.name,
    footing: bearing.footing,
    kind: 'bearing',
    move: moveFor(context.plan, 'bearing.ready', bearing.id),
  });

/** Something that stands on a footing, and the move that calls it ready. */
export interface Footed {
  id: string;
  name: string;
  footing: Bearing['footing'];
  kind: 'bearing' | 'support';
  move: string | null;
}

/** The same for whatever stands on a footing. */
export function footingChecks({ rules, today }: Context, bearing: Footed): Check[] {
  if (bearing.footing.kind !== 'concrete') return otherFooting(bearing);
  const { intended, result, by, on: day } = bearing.footing;
  const place = {
    id: 'bearing.concrete',
    ...on(bearing.kind, bearing, bearing.name),
    station: 'measure' as const,
    move: bearing.move,
    calc: concreteGate.id,
    source: sourced(concreteGate.source.text, rules, 'concreteShare'),
  };
  if (intended === null) return [missingCheck(place, 'strength', `What strength is ${bearing.name}’s concrete meant to reach?`)];
  const odd =
    [intended, result ?? intended].find((one) => one < PLAUSIBLE.least || one > PLAUSIBLE.most) ??
    (result !== null && result > PLAUSIBLE.over * intended ? result : undefined);
  if (odd !== undefined)
    return [
      {
        ...missingCheck(place, 'strength', ''),
        demand: odd,
        finding: told(
          phrase`${bearing.name}’s concrete is said to have ${q(odd, 'strength')}, against ${q(intended, 'strength')} intended: no concrete has. Which unit was meant?`,
        ),
      },
    ];
  if (result === null) return [missingCheck(place, 'strength', `No strength result for ${bearing.name}’s concrete. Who tested it, and when?`)];
  const fault = dayFault(day, today);
  if (!saysSomething(by) || fault !== null)
    return [missingCheck(place, 'strength', `${bearing.name}’s concrete result ${fault ?? 'has no name'}. Who tested it, and when?`)];
  const { outcome, traces } = traced(concreteGate, { intended, result, share: rules.value('concreteShare') });
  if (!outcome.ok) return [missingCheck(place, 'strength', outcome.error)];
  const { needed } = outcome.output;
  const { erection } = bearing.footing;
  const enough = erection && namesPerson(erection.by) && dayFault(erection.on, today) === null ? erection : null;
  if (result < needed && enough && result >= enough.strength) {
    const words = phrase`${bearing.name}: concrete tested ${q(result, 'strength')}, under the share of its intended strength; ${enough.by} signed on ${enough.on} that ${q(enough.strength, 'strength')} carries the loads of the erection (29 CFR 1926.752(a)(1)).`;
    return [
      {
        ...ratioCheck(place, { demand: enough.strength, capacity: result, quantity: 'strength', caution: null, inclusive: true }, told(words), traces),
        verdict: 'tight',
      },
    ];
  }
  return [
    ratioCheck(
      place,
      { demand: needed, capacity: result, quantity: 'strength', caution: null, inclusive: true },
      { code: 'concrete', bearing: bearing.name, result, needed, by },
      traces,
    ),
  ];
}

/** Between these lies the strength of any concrete steel is set on; a result is never so many times what was intended [Pa]. */
const PLAUSIBLE = { least: 2e6, most: 150e6, over: 3 } as const;

/** Concrete by another name: in the languages of the lists that come in. */
const CONCRETE = /concrete|grout|mortar|screed|cement|beton|béton|hormig|calcestruzzo|mörtel|betong|beton/i;

/** A footing that is no concrete says what it is; one called green concrete, or grout, is concrete and wants its strength. */
function otherFooting(bearing: Footed): Check[] {
  const what = bearing.footing.kind === 'other' ? bearing.footing.what.trim() : '';
  const place = {
    id: 'bearing.concrete',
    ...on(bearing.kind, bearing, bearing.name),
    station: 'measure' as const,
    move: bearing.move,
    calc: concreteGate.id,
    source: concreteGate.source.text,
  };
  if (CONCRETE.test(what))
    return [
      missingCheck(place, 'strength', `${bearing.name} stands on “${what}”: that is concrete. What strength is it meant to reach, and what did the test give?`),
    ];
  if (!saysSomething(what)) return [missingCheck(place, 'strength', `What does ${bearing.name} stand on, if not on concrete?`)];
  return [];
}

const journey: readonly { kind: MoveKind; of: 'pick' | 'piece'; what: string }[] = [
  { kind: 'piece.deliver', of: 'piece', what: 'bring it to the site' },
  { kind: 'piece.sling', of: 'pick', what: 'sling it' },
  { kind: 'pick.trial', of: 'pick', what: 'raise it a little, hold it and read the hook weight' },
  { kind: 'pick.lift', of: 'pick', what: 'lift it over' },
  { kind: 'piece.land', of: 'pick', what: 'land it' },
  { kind: 'hook.release', of: 'pick', what: 'let the hook go' },
  { kind: 'piece.plumb', of: 'piece', what: 'plumb and level it' },
  { kind: 'piece.tighten', of: 'piece', what: 'tighten and grout it' },
];

/** A run sheet that leaves out a step of a piece, from the truck to the last bolt, is not finished: of every pick of the piece. */
export function journeyChecks(context: Context, piece: Piece): Check[] {
  const picks = context.plan.picks.filter((one) => one.piece === piece.id);
  return (picks.length === 0 ? [undefined] : picks).map((pick) => journeyCheck(context, piece, pick));
}

function journeyCheck({ plan }: Context, piece: Piece, pick: Pick | undefined): Check {
  const place = {
    id: 'moves.complete',
    ...on('piece', piece, piece.mark, pick?.id),
    station: 'runSheet' as const,
    move: null,
    calc: sequenceNeeds.id,
    source: sequenceNeeds.source.text,
  };
  const needs = journey.map(({ kind, of, what }) => {
    const about = of === 'piece' ? piece.id : pick?.id;
    return { what, done: about !== undefined && moveFor(plan, kind, about) !== null };
  });
  const { traces } = traced(sequenceNeeds, { needs });
  const lacks = needs.filter(({ done }) => !done).map(({ what }) => what);
  if (lacks.length > 0) return { ...missingCheck(place, 'count', '', traces), finding: { code: 'moves.lacking', mark: piece.mark, lacks } };
  return ratioCheck(
    place,
    { demand: journey.length, capacity: journey.length, quantity: 'count', caution: null, inclusive: true },
    { code: 'moves.complete', mark: piece.mark },
    traces,
  );
}
