import { statementCompare } from '../../gates/statement.calc';
import { phrase, q, type Phrase } from '../../calc/work';
import { offDrawing } from '../../fit/off-drawing.calc';
import { yieldOf } from '../../steel/grades';
import { findSection } from '../../steel/sections';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import { chosenWeight, pieceWeight, type Statement, type WeightBy } from '../../settle/piece-weight';
import { STRONGEST } from '../../document/reckoned-yield';
import type { Piece } from '../../document/schema';
import { seatLine } from '../../settle/seat-geometry';
import type { Context } from '../context';
import { missingCheck, on, ratioCheck, sourced, told, traced } from '../../verdict/build';

/** Two statements of one quantity that differ are told side by side; neither is taken silently. */
export function statementChecks(context: Context, piece: Piece): Check[] {
  return [...massCheck(context, piece), ...lengthChecks(context, piece), ...gradeCheck(piece)];
}

const says: Record<WeightBy, string> = { computed: 'section and length make', drawing: 'the drawing says', weighed: 'the scale says' };
const listed = (statements: readonly Statement[]): Phrase =>
  statements.flatMap((one, i) => [...(i > 0 ? [', '] : []), ...phrase`${says[one.by]} ${q(one.mass, 'mass')}`]);

/** A check of figures that agree or were chosen between: it has a verdict and no ratio. */
const toldAs = (check: Check, verdict: Check['verdict']): Check => ({ ...check, ratio: null, capacity: check.capacity, verdict });

function massCheck({ rules }: Context, piece: Piece): Check[] {
  const weight = pieceWeight(piece, rules);
  if (weight instanceof Missing || weight.statements.length < 2) return [];
  const { statements } = weight;
  const masses = statements.map((one) => one.mass);
  const { outcome, traces } = traced(statementCompare, { stated: Math.max(...masses), computed: Math.min(...masses) });
  if (!outcome.ok) return [];
  const apart = outcome.output.difference;
  const place = {
    id: 'statement.mass',
    ...on('piece', piece, piece.mark),
    station: 'steel' as const,
    move: null,
    calc: statementCompare.id,
    source: sourced(statementCompare.source.text, rules, 'statementDifference', 'statementChoice'),
  };
  const numbers = { demand: Math.max(...masses), capacity: Math.min(...masses), quantity: 'mass' as const, caution: null, ratio: 0 };
  const plain = (words: Phrase, verdict: Check['verdict']) => toldAs(ratioCheck(place, numbers, told(words), traces), verdict);
  if (apart <= rules.value('statementDifference')) return [plain([...phrase`${piece.mark}, bare: `, ...listed(statements), '; they agree.'], 'clear')];
  const chosen = chosenWeight(piece, statements);
  if (chosen) {
    const { who = '', why = '' } = piece.stated.chosen ?? {};
    return [
      plain(
        [...phrase`${piece.mark}, bare: `, ...listed(statements), ...phrase`. The plan goes by ${q(chosen.mass, 'mass')}: ${why.trim()} (${who.trim()}).`],
        'tight',
      ),
    ];
  }
  const governs = phrase`Until somebody chooses and says why, ${q(weight.bareMass, 'mass')} must be carried and no more than ${q(weight.light.bareMass, 'mass')} holds down.`;
  const head = [...phrase`${piece.mark}, bare: `, ...listed(statements), ...phrase`, ${q(apart, 'fraction')} apart. `];
  if (apart <= rules.value('statementChoice')) return [plain([...head, 'Find out which is right. ', ...governs], 'tight')];
  const check = missingCheck(place, 'mass', '', traces);
  return [{ ...check, demand: numbers.demand, finding: told([...head, 'Which is right? ', ...governs]) }];
}

/** A tape differs from a drawing by no more than this; past it one of them is of another span [m]. */
const TAPED = 0.05;

/** Lengths have a tolerance of their own, in millimetres: two per cent of a beam is another beam. */
function lengthChecks({ plan, rules }: Context, piece: Piece): Check[] {
  const line = seatLine(plan, piece);
  const tolerance = rules.value('lengthDifference');
  const compare = (
    id: string,
    subject: ReturnType<typeof on>,
    station: 'steel' | 'measure',
    drawn: number | null,
    found: number | null,
    words: string,
    has: string,
  ): Check[] => {
    if (drawn === null || found === null) return [];
    const place = { id, ...subject, station, move: null, calc: offDrawing.id, source: sourced(offDrawing.source.text, rules, 'lengthDifference') };
    const { outcome, traces } = traced(offDrawing, { drawn, measured: found, tolerance });
    if (!outcome.ok) return [missingCheck(place, 'length', outcome.error)];
    const apart = Math.abs(drawn - found);
    // Where the tape has been, it governs: what it found off the drawing is told with the bearing.
    const taped = id === 'statement.span' && !(line instanceof Missing) && [line.left, line.right].every((one) => one.measured !== null);
    if (apart > tolerance && taped && apart <= TAPED) {
      const words2 = phrase`${words} ${q(drawn, 'length')} by drawing; measured, ${has} ${q(found, 'length')}, ${q(apart, 'dimension')} apart. The plan goes by the tape.`;
      return [toldAs(ratioCheck(place, { demand: drawn, capacity: found, quantity: 'length', caution: null, ratio: 0 }, told(words2), traces), 'tight')];
    }
    if (apart > tolerance) {
      const question = phrase`${words} ${q(drawn, 'length')} by drawing; ${has} ${q(found, 'length')}, ${q(apart, 'dimension')} apart. Which is right?`;
      return [{ ...missingCheck(place, 'length', '', traces), demand: drawn, finding: told(question) }];
    }
    const check = ratioCheck(
      place,
      { demand: drawn, capacity: found, quantity: 'length', caution: null, ratio: 0 },
      told(phrase`${words} ${q(drawn, 'length')} by drawing; ${has} ${q(found, 'length')}: they agree within ${q(tolerance, 'dimension')}.`),
      traces,
    );
    return [toldAs(check, 'clear')];
  };
  const between = line instanceof Missing ? piece.mark : `${line.left.name} to ${line.right.name}`;
  return [
    ...compare('statement.length', on('piece', piece, piece.mark, 'length'), 'steel', piece.stated.length, piece.length, `${piece.mark} is`, 'the plan has'),
    ...compare(
      'statement.span',
      on('piece', piece, between, 'span'),
      'measure',
      piece.seat.statedSpan,
      line instanceof Missing ? null : line.span,
      `${between} is`,
      'the bearings stand',
    ),
  ];
}

/** Past this a yield is not the grade’s: mill certificates and thick plates lie under the nominal figure, never over it. */
const SAME_YIELD = 0.01;

/** A yield over that of the named grade contradicts it: nothing goes by the stronger one. */
function gradeCheck(piece: Piece): Check[] {
  const nominal = yieldOf(piece.grade, findSection(piece.section)?.flange);
  const place = {
    id: 'statement.yield',
    ...on('piece', piece, piece.mark, 'yield'),
    station: 'steel' as const,
    move: null,
    calc: statementCompare.id,
    source: 'Nominal yield of the grade: EN 1993-1-1 Table 3.1, ASTM minimums, from memory',
  };
  if (nominal === null) {
    if (piece.yield <= STRONGEST) return [];
    return [
      {
        ...missingCheck(place, 'stress', ''),
        finding: told(phrase`${piece.mark} yields at ${q(piece.yield, 'stress')}? No structural steel does. Which grade is it?`),
      },
    ];
  }
  const { outcome, traces } = traced(statementCompare, { stated: piece.yield, computed: nominal });
  if (!outcome.ok || Math.abs(piece.yield / nominal - 1) <= SAME_YIELD) return [];
  if (piece.yield < nominal) {
    const check = ratioCheck(
      place,
      { demand: piece.yield, capacity: nominal, quantity: 'stress', caution: null, ratio: 0 },
      told(phrase`${piece.mark} is ${piece.grade}, ${q(nominal, 'stress')}; the plan goes by ${q(piece.yield, 'stress')}, the weaker.`),
      traces,
    );
    return [toldAs(check, piece.yield < nominal * WEAKEST_SHARE ? 'tight' : 'clear')];
  }
  const question = phrase`${piece.mark} is ${piece.grade}, which yields at ${q(nominal, 'stress')}; the plan says ${q(piece.yield, 'stress')}. Which is right? The plan goes by the weaker.`;
  return [{ ...missingCheck(place, 'stress', '', traces), demand: piece.yield, finding: told(question) }];
}

/** Thick plates of a grade lose up to about a tenth of its yield (EN 10025); less than this is another grade. */
const WEAKEST_SHARE = 0.85;
