import { database } from '@/server/db/connect';
import { handle } from '@/server/http/handle';
import { notFound, problem } from '@/server/http/problem';
import { findJob } from '@/server/jobs';
import { sheetNames, type SheetName } from '@/server/sheets/names';
import { renderSheet } from '@/server/sheets/render';

const papers = { a4: 'A4', letter: 'LETTER' } as const;

export const GET = handle<{ id: string; sheet: string }>('read', async (request, actor, { id, sheet }) => {
  const name = sheetNames.find((one): one is SheetName => one === sheet);
  if (!name) return notFound(`There is no sheet “${sheet}”: ask for ${sheetNames.join(', ')}.`);
  const asked = new URL(request.url).searchParams.get('paper') ?? 'a4';
  const paper = Object.hasOwn(papers, asked) ? papers[asked as keyof typeof papers] : null;
  if (!paper) return problem({ status: 422, title: 'Which paper?', detail: `“${asked}” is not a paper here: ask for a4 or letter.`, path: 'paper' });
  const job = await findJob(database(), actor.owner, id);
  if (!job) return notFound(`There is no job “${id}”.`);
  const pdf = await renderSheet(name, job, paper);
  if (!pdf) return notFound('The plan has no pick to put on a card. Add one first.');
  return new Response(new Uint8Array(pdf), {
    headers: { 'Content-Type': 'application/pdf', 'Content-Disposition': `inline; filename="${name}-rev-${job.revision}.pdf"`, 'Cache-Control': 'no-store' },
  });
});
