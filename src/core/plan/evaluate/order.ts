import { concreteGate } from '../../checks/concrete-gate.calc';
import { releaseBolts } from '../../checks/release.calc';
import { sequenceNeeds } from '../../checks/sequence.calc';
import type { Check } from '../check';
import { bearingOf, pickOf, pieceOf, standOf } from '../lookups';
import { moveWords } from '../move-words';
import type { PieceState } from '../replay';
import type { Bearing, Move, MoveKind, Piece, Plan } from '../schema';
import { flatStop, missingCheck, moveFor, ratioCheck, sourced, traced, type Context } from './context';

/** Whether each move finds done what it needs, and what the hook may let go of. */
export function orderChecks(context: Context): Check[] {
  const { plan, replayed } = context;
  return replayed.steps.flatMap((step, i) => {
    const before = i === 0 ? replayed.before : replayed.steps[i - 1]!.after;
    const { title } = moveWords(plan, step.move);
    const checks: Check[] = [];
    if (step.needs.length > 0) {
      const { outcome, traces } = traced(sequenceNeeds, { needs: step.needs });
      const lacking = outcome.ok ? outcome.output.lacking : [];
      const place = {
        id: 'move.order',
        subject: subjectOf(plan, step.move) ?? title,
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
      checks.push(releaseCheck(context, piece, before.pieces[piece.id]!, step.move.id, title));
    }
    return checks;
  });
}

/** The name of what a move is done to. */
function subjectOf(plan: Plan, move: Move): string | null {
  if ('piece' in move) return pieceOf(plan, move.piece).mark;
  if ('pick' in move) return pieceOf(plan, pickOf(plan, move.pick).piece).mark;
  if ('stand' in move) return standOf(plan, move.stand).name;
  return 'bearing' in move ? bearingOf(plan, move.bearing).name : null;
}

function releaseCheck({ plan, rules }: Context, piece: Piece, state: PieceState, move: string, title: string): Check {
  const least = rules.value('boltsLeast');
  const place = {
    id: 'release.bolts',
    subject: piece.mark,
    station: 'runSheet' as const,
    move,
    calc: releaseBolts.id,
    source: sourced(releaseBolts.source.text, rules, 'boltsLeast'),
  };
  const ends = (['left', 'right'] as const).map((end) => ({ at: bearingOf(plan, piece.seat[end]).name, bolts: state.bolts[end] }));
  const untold = ends.filter((end) => end.bolts === null).map((end) => end.at);
  if (untold.length > 0) return missingCheck(place, 'count', `How many bolts are in at ${untold.join(' and ')} before the hook lets go of ${piece.mark}?`);
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
export function concreteCheck({ plan, rules }: Context, bearing: Bearing): Check[] {
  if (bearing.footing.kind !== 'concrete') return [];
  const { intended, result, by, on } = bearing.footing;
  const place = {
    id: 'bearing.concrete',
    subject: bearing.name,
    station: 'measure' as const,
    move: moveFor(plan, 'bearing.ready', bearing.id),
    calc: concreteGate.id,
    source: sourced(concreteGate.source.text, rules, 'concreteShare'),
  };
  if (intended === null) return [missingCheck(place, 'strength', `What strength is ${bearing.name}’s concrete meant to reach?`)];
  if (result === null) return [missingCheck(place, 'strength', `No strength result for ${bearing.name}’s concrete. Who tested it, and when?`)];
  if (by.trim() === '' || on.trim() === '')
    return [missingCheck(place, 'strength', `${bearing.name}’s concrete result has no name or date. Who tested it, and when?`)];
  const { outcome, traces } = traced(concreteGate, { intended, result, share: rules.value('concreteShare') });
  if (!outcome.ok) return [missingCheck(place, 'strength', outcome.error)];
  const { needed } = outcome.output;
  return [
    ratioCheck(
      place,
      { demand: needed, capacity: result, quantity: 'strength', caution: null, inclusive: true },
      { code: 'concrete', bearing: bearing.name, result, needed, by },
      traces,
    ),
  ];
}

const journey: readonly { kind: MoveKind; what: string }[] = [
  { kind: 'piece.sling', what: 'sling it' },
  { kind: 'pick.lift', what: 'lift it over' },
  { kind: 'piece.land', what: 'land it' },
  { kind: 'hook.release', what: 'let the hook go' },
];

/** A run sheet that never lands a piece or never lets go is not finished. */
export function journeyCheck({ plan }: Context, piece: Piece): Check {
  const pick = plan.picks.find((one) => one.piece === piece.id);
  const place = {
    id: 'moves.complete',
    subject: piece.mark,
    station: 'runSheet' as const,
    move: null,
    calc: sequenceNeeds.id,
    source: sequenceNeeds.source.text,
  };
  const needs = journey.map(({ kind, what }) => ({ what, done: pick !== undefined && moveFor(plan, kind, pick.id) !== null }));
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
