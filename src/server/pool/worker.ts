import { evaluate, evaluateWhole } from '@/core/evaluate';
import type { Plan } from '@/core/document/schema';
import { scenesAt } from '@/core/view/survey';
import { openingMove } from '@/core/view/surveyed';
import { readIfc } from '../ifc';
import { fewestStands } from '../cover';
import { planLoads } from '../loads';
import { renderSheet } from '../sheets/render';
import type { Task, TaskName, Tasks } from './tasks';

function open(plan: Plan, today: string): Tasks['open']['output'] {
  const whole = evaluateWhole(plan, today);
  const { evaluation } = whole;
  const cursor = openingMove(plan, evaluation);
  return { cursor, survey: { evaluation, ...scenesAt(plan, whole, { cursor, look: 'beam', about: 'runSheet' }) } };
}

const work: { [N in TaskName]: (input: Tasks[N]['input']) => Tasks[N]['output'] | Promise<Tasks[N]['output']> } = {
  summary: ({ plan, today }) => {
    const { verdict, counts } = evaluate(plan, today);
    return { verdict, counts, pieces: [...plan.pieces, ...plan.structure.pieces].map((piece) => piece.mark), moves: plan.moves.length };
  },
  open: ({ plan, today }) => open(plan, today),
  sheet: async ({ name, job, paper, day, port }) => {
    const pdf = await renderSheet(name, job, { paper, day }, (done, of) => port?.postMessage({ done, of }));
    port?.close();
    return pdf;
  },
  ifc: ({ bytes, shapes }) => readIfc(bytes, shapes),
  loads: ({ pieces, lorry }) => planLoads(pieces, lorry),
  cover: ({ sets }) => fewestStands(sets),
  warm: () => null,
};

/** One task on a thread of its own: whatever it costs, the server goes on answering. */
export default async function run({ name, input }: Task): Promise<unknown> {
  return (work[name] as (input: unknown) => unknown)(input);
}
