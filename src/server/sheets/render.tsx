import { Document, renderToBuffer } from '@react-pdf/renderer';
import { PDFDocument, StandardFonts } from 'pdf-lib';
import type { ReactElement } from 'react';
import { evaluateWhole } from '@/core/evaluate';
import { workDays } from '@/core/document/work-days';
import { sha256 } from '../fingerprint';
import type { StoredPlan } from '../jobs';
import { localDay } from '../today';
import { registerFonts } from './fonts';
import type { SheetName } from './names';
import type { Paper, SheetHead, SheetWork } from './parts';
import { connectionPages } from './connections';
import { briefingPages, coverPages, overviewPages, type Part } from './lift-plan';
import { pickCardPages } from './pick-card';
import { runSheetPages } from './run-sheet';
import { shoringPages } from './shoring-sheet';
import { steelPages } from './steel-sheet';

type Pages = (work: SheetWork) => ReactElement[];
const sheets: Record<Exclude<SheetName, 'lift-plan'>, { title: string; pages: Pages }> = {
  'pick-card': { title: 'Pick card', pages: pickCardPages },
  'run-sheet': { title: 'Run sheet', pages: runSheetPages },
  connections: { title: 'Connections', pages: connectionPages },
  steel: { title: 'Steel and way in', pages: steelPages },
  shoring: { title: 'Shoring', pages: shoringPages },
};

/** The parts of the whole set behind its cover, in the order they are read on the day. */
const liftPlan: readonly { title: string; pages: Pages; unless?: (plan: StoredPlan['plan']) => boolean }[] = [
  { title: 'Before anybody lifts', pages: briefingPages },
  { title: 'The job and its lifts', pages: overviewPages },
  { title: 'Cards of the lifts', pages: pickCardPages },
  { title: 'Run sheet', pages: runSheetPages },
  { title: 'Connections', pages: connectionPages },
  {
    title: 'Steel and way in',
    pages: steelPages,
    unless: ({ members, ways, pieces, survey }) => members.length + ways.length + pieces.length + survey.openings.length === 0,
  },
  { title: 'Shoring', pages: shoringPages, unless: ({ shoring }) => shoring.lines.length + shoring.bents.length === 0 },
];

const laidOut = async (stretch: ReactElement): Promise<PDFDocument> => PDFDocument.load(await renderToBuffer(<Document>{stretch}</Document>));

/**
 * A sheet of a saved revision as PDF, stretch of pages by stretch; null when the plan has nothing to put on it.
 * @param ask its paper, and for which day of work it is, where not for all of them
 * @param told after each stretch: how many are laid out, of how many
 */
export async function renderSheet(
  name: SheetName,
  job: StoredPlan,
  { paper, day }: { paper: Paper; day?: number | undefined },
  told?: (done: number, of: number) => void,
): Promise<Uint8Array | null> {
  registerFonts();
  const today = localDay();
  const head: SheetHead = { plan: job.plan, revision: job.revision, sha256: sha256(job.plan), savedAt: new Date(job.savedAt), today };
  const only = workDays(job.plan.moves).find(({ number }) => number === day);
  const work: SheetWork = { head, paper, ...evaluateWhole(job.plan, today), ...(only ? { day: only } : {}) };
  const whole = await PDFDocument.create();
  const put = async (part: PDFDocument) => {
    for (const page of await whole.copyPages(part, part.getPageIndices())) whole.addPage(page);
  };
  const title = name === 'lift-plan' ? 'Lift plan' : sheets[name].title;
  if (name === 'lift-plan') await layOutSet(work, put, told);
  else {
    const stretches = sheets[name].pages(work);
    if (stretches.length === 0) return null;
    for (const [i, stretch] of stretches.entries()) {
      await put(await laidOut(stretch));
      told?.(i + 1, stretches.length);
    }
  }
  whole.setTitle(`${title}, ${job.plan.job.name}`);
  whole.setCreator('Keen Trestle');
  whole.setCreationDate(head.savedAt);
  const font = await whole.embedFont(StandardFonts.Helvetica);
  const all = whole.getPages();
  all.forEach((page, i) => page.drawText(`page ${i + 1} of ${all.length}`, { x: 30, y: 20, size: 7, font }));
  return whole.save();
}

/** The whole set: its parts are laid out first, so that the cover can say on which page each begins. */
async function layOutSet(work: SheetWork, put: (part: PDFDocument) => Promise<void>, told?: (done: number, of: number) => void): Promise<void> {
  const { plan } = work.head;
  const parts = liftPlan
    .filter(({ unless }) => !unless?.(plan))
    .map(({ title, pages }) => ({ title, stretches: pages(work) }))
    .filter(({ stretches }) => stretches.length > 0);
  const of = parts.reduce((sum, { stretches }) => sum + stretches.length, 2);
  let done = 0;
  const step = () => told?.((done += 1), of);
  const ready: { title: string; files: PDFDocument[] }[] = [];
  for (const { title, stretches } of parts) {
    const files: PDFDocument[] = [];
    for (const stretch of stretches) {
      files.push(await laidOut(stretch));
      step();
    }
    ready.push({ title, files });
  }
  // Once to see how many pages the cover takes, once with the pages that follow from that.
  const listed = (first: number): Part[] => {
    let page = first;
    return ready.map(({ title, files }) => {
      const pages = files.reduce((sum, file) => sum + file.getPageCount(), 0);
      page += pages;
      return { title, page: page - pages, pages };
    });
  };
  const cover = async (first: number) => Promise.all(coverPages(work, listed(first)).map(laidOut));
  const count = (await cover(2)).reduce((sum, file) => sum + file.getPageCount(), 0);
  step();
  for (const file of await cover(count + 1)) await put(file);
  step();
  for (const { files } of ready) for (const file of files) await put(file);
}
