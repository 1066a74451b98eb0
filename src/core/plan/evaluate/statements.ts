import { statementCompare } from '../../checks/statement.calc';
import type { Check } from '../check';
import type { Finding } from '../findings';
import { Missing } from '../missing';
import { pieceWeight } from '../piece-weight';
import type { Piece } from '../schema';
import { seatLine } from '../seat-geometry';
import { ratioCheck, sourced, traced, type Context } from './context';

/** Two statements of one quantity that differ are told side by side; neither is taken silently. */
export function statementChecks(context: Context, piece: Piece): Check[] {
  const { plan, rules } = context;
  const checks: Check[] = [];
  const compare = (
    id: string,
    subject: string,
    stated: number | null,
    computed: number | null,
    kind: 'mass' | 'length',
    station: 'measure' | 'steel',
    say: (difference: number) => Finding,
  ) => {
    if (stated === null || computed === null) return;
    const { outcome, traces } = traced(statementCompare, { stated, computed });
    if (!outcome.ok) return;
    const allowed = rules.value('statementDifference');
    const place = { id, subject, station, move: null, calc: statementCompare.id, source: sourced(statementCompare.source.text, rules, 'statementDifference') };
    const check = ratioCheck(place, { demand: stated, capacity: computed, quantity: kind, caution: null, ratio: 0 }, say(outcome.output.difference), traces);
    checks.push({ ...check, ratio: null, verdict: outcome.output.difference > allowed ? 'tight' : 'clear' });
  };
  const weight = pieceWeight(piece, rules);
  const line = seatLine(plan, piece);
  const computedMass = weight instanceof Missing ? null : weight.bareMass;
  const span = line instanceof Missing ? null : line.span;
  compare('statement.mass', piece.mark, piece.stated.mass, computedMass, 'mass', 'steel', (difference) => ({
    code: 'statement.mass',
    mark: piece.mark,
    stated: piece.stated.mass ?? 0,
    computed: computedMass ?? 0,
    difference,
  }));
  compare('statement.length', piece.mark, piece.stated.length, piece.length, 'length', 'steel', (difference) => ({
    code: 'statement.length',
    mark: piece.mark,
    stated: piece.stated.length ?? 0,
    computed: piece.length,
    difference,
  }));
  const between = line instanceof Missing ? '' : `${line.left.name} to ${line.right.name}`;
  compare('statement.span', between, piece.seat.statedSpan, span, 'length', 'measure', (difference) => ({
    code: 'statement.span',
    between,
    stated: piece.seat.statedSpan ?? 0,
    computed: span ?? 0,
    difference,
  }));
  return checks;
}
