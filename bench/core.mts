import { evaluate } from '../src/core/evaluate';
import { candidatesOf } from '../src/core/checks/measure/candidates';
import { previewImport } from '../src/core/edit/import-members';
import type { Plan } from '../src/core/document/schema';
import { openPlan } from '../src/core/document/open';
import { settle } from '../src/core/settle/settle';
import { surveyPlan } from '../src/core/view/survey';
import { readSheet, rowsOf } from '../src/core/steel/lists/table';
import { sections } from '../src/core/steel/sections';
import { demoPlan, ticketHall } from '../tests/demo-plan';
import { longLine, thousandRows } from './thousand.mts';
import { time, yardstick } from './timing.mts';

/** A wall a little further from the line each time, as it is while it is dragged: nothing of the last answer serves the next. */
function dragged(plan: Plan): () => void {
  let n = 0;
  return () => {
    n += 1;
    const setback = 0.8 + 0.002 * (n % 50);
    const lines = plan.shoring.lines.map((line) => ({ ...line, walls: line.walls.map((wall) => (wall.id === 'sh1' ? { ...wall, setback } : wall)) }));
    void evaluate({ ...plan, shoring: { ...plan.shoring, lines } });
  };
}

function through(plan: Plan): Plan {
  for (const storey of plan.shoring.lines.flatMap((line) => line.storeys)) storey.joists.over = 'through';
  return plan;
}

export function core(): void {
  const plan = demoPlan();
  const hall = ticketHall();
  const settled = settle(hall);
  const opening = hall.survey.openings[0]!;
  const among = { ...opening, choice: { ...opening.choice, candidates: sections.slice(0, 100).map((one) => one.designation) } };
  const text = thousandRows();
  const unit = time(yardstick, 100);
  console.log(`yardstick: 100,000 sines and roots, ${unit.toFixed(2)} ms`);
  for (const [name, rounds, work] of [
    ['open the demo plan', 200, () => void openPlan(plan)],
    ['evaluate the demo plan', 200, () => void evaluate(plan)],
    ['evaluate and draw it', 200, () => void surveyPlan(plan, null, 6, 'beam')],
    ['evaluate the ticket hall', 100, () => void evaluate(hall)],
    ['drag a shore: 200 studs struck in 12 steps, worked out whole', 60, dragged(longLine(50))],
    ['the same with 400 studs', 30, dragged(longLine(100))],
    ['the same with 200 studs, joists running through', 30, dragged(through(longLine(50)))],
    ['a hundred sections side by side', 20, () => void candidatesOf(settled, among)],
    [
      'read and preview 1,000 members',
      10,
      () => {
        const sheet = readSheet(text);
        const read = rowsOf(sheet, sheet.columns, 'metric');
        previewImport(hall, read.rows, read.faults, (n) => `m${n}`);
      },
    ],
  ] as const) {
    const took = time(work, rounds);
    console.log(`${name}: ${(took / unit).toFixed(2)} yardsticks (${took.toFixed(2)} ms)`);
  }
}
