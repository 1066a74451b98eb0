/** bench:core. Speed of the core on girder lines of 600 pieces and 2,000 moves and on a frame on a grid; the last line is one JSON object. */
import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { evaluate } from '../src/core/evaluate';
import { openPlan } from '../src/core/document/open';
import { replay } from '../src/core/replay/replay';
import type { Plan } from '../src/core/document/schema';
import { solveLine } from '../src/core/stage/line';
import { calculixCases } from '../tests/calculix-cases';
import { framed } from '../tests/framed';
import { girderLines } from '../tests/girder-lines';
import { time, yardstick } from './timing.mts';

const once = (work: () => void): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};
const middle = (list: number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;

/** Another figure each time, so that no answer of before serves the whole of it. */
let turn = 0;
function edited(plan: Plan): Plan {
  turn += 1;
  const supports = plan.structure.supports.map((one, i) => (i === 17 ? { ...one, capacity: 400e3 + turn } : one));
  return { ...plan, structure: { ...plan.structure, supports } };
}
const whole = (plan: Plan): number => middle([0, 1, 2].map(() => once(() => void evaluate(edited(structuredClone(plan)), '2026-11-27'))));

const unit = time(yardstick, 100);
const plan = girderLines(20, 30, 2000);
const openMs = middle([0, 1, 2].map(() => once(() => void openPlan(structuredClone(plan)))));
const replayMs = middle([0, 1, 2].map(() => once(() => void replay(structuredClone(plan)))));
const wholeMs = whole(plan);
evaluate(plan, '2026-11-27');
// As a person at work meets it: one edit after the other.
const editMs = middle(Array.from({ length: 21 }, () => once(() => void evaluate(edited(plan), '2026-11-27'))));
// Twice the pieces, and twice the moves, over what they took: 2 is as they grow, 2.2 is n log n here.
const growthPieces = whole(girderLines(20, 30)) / whole(girderLines(10, 30));
const growthMoves = whole(girderLines(20, 30, 2000)) / whole(girderLines(20, 30, 1000));

// Columns, beams between them and beams from beam to beam, all one frame: how it leans is asked each time a piece of it is let go.
const frame = framed({ bays: new Array<number>(9).fill(7.5), rows: new Array<number>(5).fill(7), levels: [4, 8], between: 1 });
const frameMs = once(() => void evaluate(frame, '2026-11-27'));
const frameEditMs = middle([0, 1, 2].map(() => once(() => void evaluate(edited(frame), '2026-11-27'))));

/** Cut as finely as CalculiX’s deck: a load of nothing at each of its nodes. */
const PARTS = 72;
const meshed = (pieces: (typeof calculixCases)[number]['pieces']) =>
  pieces.map((piece) => ({
    ...piece,
    loads: [...piece.loads, ...Array.from({ length: PARTS - 1 }, (_, i) => ({ x: piece.from + ((piece.to - piece.from) * (i + 1)) / PARTS, force: 0 }))],
  }));
const stageMs = middle(
  calculixCases.map(({ pieces, supports, joints }) => {
    const fine = meshed(pieces);
    return time(() => void solveLine(fine, supports, joints), 100);
  }),
);
const told = JSON.parse(readFileSync('src/core/stage/reference/calculix.json', 'utf8')) as { name: string; reactions: Record<string, number> }[];
let stageWorstDifference = 0;
for (const { name, pieces, supports, joints } of calculixCases) {
  const answer = solveLine(pieces, supports, joints);
  if (!answer.stable) throw new Error(`${name} does not stand`);
  const total = [...answer.reactions.values()].reduce((sum, one) => sum + one, 0);
  for (const [id, reaction] of Object.entries(told.find((one) => one.name === name)!.reactions))
    stageWorstDifference = Math.max(stageWorstDifference, Math.abs(answer.reactions.get(id)! - reaction) / (reaction || total));
}
/** CalculiX's own figure for its solve, without reading the deck or starting; null where it is not installed. */
function calculix(): number | null {
  if (!existsSync('/usr/bin/ccx')) return null;
  const times = calculixCases.map(({ name }) => {
    const room = mkdtempSync(join(tmpdir(), 'bench-'));
    execFileSync('cp', [`src/core/stage/reference/${name}.inp`, join(room, 'line.inp')]);
    const said = execFileSync('ccx', ['line'], { cwd: room, encoding: 'utf8' });
    return 1000 * Number(/Total CalculiX Time:\s*([\d.]+)/.exec(said)?.[1] ?? NaN);
  });
  return middle(times);
}
const calculixMs = calculix();
const round = (value: number | null): number | null => (value === null ? null : Number(value.toPrecision(4)));
console.log(`600 pieces, ${plan.moves.length} moves: whole ${(wholeMs / unit).toFixed(1)} yardsticks, one edit ${(editMs / unit).toFixed(1)}`);
console.log(
  `a frame of ${frame.structure.pieces.length} pieces and ${frame.moves.length} moves: whole ${(frameMs / unit).toFixed(1)} yardsticks, one edit ${(frameEditMs / unit).toFixed(1)}`,
);
if (calculixMs !== null) console.log(`one stage: ${(calculixMs / stageMs).toFixed(0)} times as fast as CalculiX`);
console.log(
  JSON.stringify({
    wholeMs: round(wholeMs),
    editMs: round(editMs),
    replayMs: round(replayMs),
    openMs: round(openMs),
    stageMs: round(stageMs),
    calculixMs: round(calculixMs),
    stageWorstDifference: round(stageWorstDifference),
    growthPieces: round(growthPieces),
    growthMoves: round(growthMoves),
    frameMs: round(frameMs),
    frameEditMs: round(frameEditMs),
    yardstickMs: round(unit),
  }),
);
