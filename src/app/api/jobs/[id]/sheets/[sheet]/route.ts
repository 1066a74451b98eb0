import { database } from '@/server/db/connect';
import { handle } from '@/server/http/handle';
import { notFound, problem } from '@/server/http/problem';
import { findJob } from '@/server/jobs';
import { sheetNames, type SheetName } from '@/server/sheets/names';
import { MessageChannel } from 'node:worker_threads';
import type { StoredPlan } from '@/server/jobs';
import { inPool, NotFinished } from '@/server/pool';
import type { Paper } from '@/server/sheets/parts';
import type { Plan } from '@/core/document/schema';
import { workDays } from '@/core/document/work-days';

/** Past these a sheet is no paper a gang can work from. */
const tooManyMoves = ({ moves }: Plan) =>
  moves.length > 4000 ? `The run sheet has ${moves.length} moves; no more than 4,000 are printed. Split the job.` : null;
const tooManyLifts = ({ picks, raises = [] }: Plan) =>
  picks.length + raises.length > 200
    ? `The plan has ${picks.length + raises.length} lifts; no more than 200 cards are printed at a time. Split the job.`
    : null;
const MOST: Partial<Record<SheetName, (plan: Plan) => string | null>> = {
  'run-sheet': tooManyMoves,
  'pick-card': tooManyLifts,
  'lift-plan': (plan) => tooManyMoves(plan) ?? tooManyLifts(plan),
};

/** Sheets that are also printed for one day of work. */
const BY_DAY: ReadonlySet<SheetName> = new Set(['pick-card', 'run-sheet']);

const papers = { a4: 'A4', letter: 'LETTER' } as const;

export const GET = handle<{ id: string; sheet: string }>('read', async (request, actor, { id, sheet }) => {
  const name = sheetNames.find((one): one is SheetName => one === sheet);
  if (!name) return notFound(`There is no sheet “${sheet}”: ask for ${sheetNames.join(', ')}.`);
  const asked = new URL(request.url).searchParams.get('paper') ?? 'a4';
  const paper = Object.hasOwn(papers, asked) ? papers[asked as keyof typeof papers] : null;
  if (!paper) return problem({ status: 422, title: 'Which paper?', detail: `“${asked}” is not a paper here: ask for a4 or letter.`, path: 'paper' });
  const job = await findJob(database(), actor.owner, id);
  if (!job) return notFound(`There is no job “${id}”.`);
  const over = MOST[name]?.(job.plan) ?? null;
  if (over !== null) return problem({ status: 422, title: 'Too much for one sheet', detail: over });
  const days = workDays(job.plan.moves);
  const told = new URL(request.url).searchParams.get('day');
  const day = days.find(({ number }) => String(number) === told)?.number;
  if (told !== null && (day === undefined || !BY_DAY.has(name)))
    return problem({
      status: 422,
      title: 'Which day?',
      detail: BY_DAY.has(name) ? `“${told}” is no day of this job: its run sheet has ${days.length}.` : `A ${name} is of the whole job, not of a day.`,
      path: 'day',
    });
  const file = `${name}${day === undefined ? '' : `-day-${day}`}-rev-${job.revision}.pdf`;
  if (request.headers.get('accept')?.includes('application/x-ndjson')) return inSight({ name, job, paper, day }, file, request.signal);
  const pdf = await inPool('sheet', { name, job, paper, day }, { signal: request.signal });
  if (!pdf) return notFound('The plan has nothing to put on this sheet.');
  return new Response(new Uint8Array(pdf), {
    headers: { 'Content-Type': 'application/pdf', 'Content-Disposition': `inline; filename="${file}"`, 'Cache-Control': 'no-store' },
  });
});

/** The sheet told as it is laid out: a line of JSON for each stretch of pages, the last with the paper itself. */
function inSight(input: { name: SheetName; job: StoredPlan; paper: Paper; day: number | undefined }, file: string, signal: AbortSignal): Response {
  const { port1, port2 } = new MessageChannel();
  const encoder = new TextEncoder();
  const gone = new AbortController();
  const body = new ReadableStream<Uint8Array>({
    start: async (controller) => {
      const say = (line: unknown) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      port1.on('message', (laid: unknown) => say(laid));
      try {
        const pdf = await inPool('sheet', { ...input, port: port2 as never }, { signal: AbortSignal.any([signal, gone.signal]), transfer: [port2 as never] });
        port1.close();
        say(pdf ? { pdf: Buffer.from(pdf).toString('base64'), name: file } : { error: 'The plan has nothing to put on this sheet.' });
      } catch (failure) {
        port1.close();
        if (gone.signal.aborted || signal.aborted) return;
        say({ error: failure instanceof NotFinished ? failure.message : 'Something broke on the server; what was saved before is safe. Try again.' });
      }
      controller.close();
    },
    cancel: () => gone.abort(),
  });
  return new Response(body, { headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' } });
}
