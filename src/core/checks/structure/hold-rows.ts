import { sequenceNeeds } from '../../gates/sequence.calc';
import { verdicts, type Check, type Verdict } from '../../verdict/check';
import { told } from '../../verdict/build';
import { keep } from '../../document/keep';
import type { Move, Plan } from '../../document/schema';
import { about, place } from './places';
import { Said, type Offer } from './worst';

/** A hold point that is worked out: passed when none of its checks at the move stops it or lacks anything. */
interface WorkedOut {
  id: 'HP15' | 'HP16' | 'HP17' | 'HP18';
  what: string;
  at: (move: Move) => boolean;
  checks: ReadonlySet<string>;
  /** what lets nobody pass and passes nobody by itself: a column that stands by its foot is not braced */
  also?: ReadonlySet<string>;
}

const letsGo = (move: Move): boolean => move.kind === 'piece.letGo' && move.keeps === 0;

/** What wind and lean ask of a frame when a hook lets go in it, or something is put on it. */
const FRAME: readonly string[] = [
  'frame.sideways',
  'frame.second',
  'frame.sway',
  'frame.wind',
  'brace.sway',
  'brace.anchor',
  'brace.slope',
  'brace.towards',
  'anchors.sway',
  'support.sway',
  'column.sway',
  'joint.sway',
];

const worked: readonly WorkedOut[] = [
  {
    id: 'HP15',
    what: 'hook release',
    at: letsGo,
    checks: new Set([
      'release.ends',
      'joint.filled',
      'joint.strength',
      'column.splice',
      'anchors.count',
      'anchors.repaired',
      'anchors.depth',
      'anchors.hold',
      'anchors.under',
      'line.stands',
      'joist.ends',
      'joist.bridging',
      'joist.tandem',
      'brace.force',
      'brace.stiffness',
      ...FRAME,
    ]),
  },
  { id: 'HP17', what: 'standing alone in the wind', at: letsGo, checks: new Set(['line.roll', 'line.tied', 'line.twist']) },
  { id: 'HP16', what: 'load put on', at: (move) => move.kind === 'load.on', checks: new Set(['joist.bundle', 'load.held']) },
  {
    id: 'HP18',
    what: 'braced before it is loaded',
    at: (move) => letsGo(move) || move.kind === 'load.on',
    checks: new Set(['group.system', 'frame.sideways', 'line.along', 'brace.force', 'brace.stiffness']),
    also: new Set(FRAME),
  },
];

/** The hold points that are passed, one row for each move that waits for one. One that is not passed has the rows of what it waits for. */
export function holdRows(plan: Plan, moves: ReadonlyMap<string, Move>, said: readonly { id: string; said: Said }[], whole: Said): Check[] {
  const beside = new Map<string, Offer[]>();
  for (const one of whole.offers) if (one.move !== null) beside.set(one.move, [...(beside.get(one.move) ?? []), one]);
  const marks = new Map(plan.structure.pieces.map((one) => [one.id, one.mark]));
  const rows: Check[] = [];
  for (const { id, said: own } of said) {
    const move = moves.get(id)!;
    if (move.kind !== 'piece.letGo' && move.kind !== 'load.on') continue;
    const also = beside.get(id) ?? [];
    for (const hold of worked) {
      if (!hold.at(move)) continue;
      const mine = keep(`hold.${hold.id}`, own, [], () => ({ of: Said.worstOf(own.offers, hold.checks) })).of;
      const found = also.length === 0 ? mine : Said.worstOf([...(mine ? [mine.worst] : []), ...also], hold.checks);
      const held = hold.also && Said.worstOf(also, hold.also);
      if (!found || isOpen(verdicts[found.worst.rank]!) || (held && isOpen(verdicts[held.worst.rank]!))) continue;
      const piece = move.kind === 'load.on' ? plan.structure.loads.find((one) => one.id === move.load)!.piece : move.beam;
      const mark = marks.get(piece) ?? piece;
      const count = Math.max(found.count, mine?.count ?? 0);
      const of = about('beam', { id: piece }, mark, move.kind === 'load.on' ? move.load : undefined);
      rows.push(
        keep(`hold.row.${hold.id}`, move, [piece, mark, count], () =>
          passed(`${hold.id}, ${hold.what} of ${mark}`, place(`hold.${hold.id}`, of, id, sequenceNeeds.id, SOURCE), count),
        ),
      );
    }
  }
  return rows;
}

const SOURCE = 'Hold point worked out from the checks of its move';

/** Letting go of a piece on bearings: passed with its bolts. */
export const releaseHold = (piece: { id: string; mark: string }, move: string, release: Check): Check[] =>
  isOpen(release.verdict)
    ? []
    : [passed(`HP15, hook release of ${piece.mark}`, place('hold.HP15', about('piece', piece, piece.mark), move, sequenceNeeds.id, SOURCE), 1)];

const isOpen = (verdict: Verdict): boolean => verdict === 'stop' || verdict === 'missing';

function passed(head: string, where: ReturnType<typeof place>, count: number): Check {
  return {
    ...where,
    demand: null,
    capacity: null,
    quantity: 'count',
    ratio: null,
    caution: null,
    verdict: 'clear',
    finding: told([`${head}: ${count === 1 ? 'its check stands' : `its ${count} checks stand`}.`]),
    traces: [],
  };
}
