import { Document, renderToBuffer } from '@react-pdf/renderer';
import { PDFDocument, StandardFonts } from 'pdf-lib';
import type { ReactElement } from 'react';
import { evaluateWhole } from '@/core/plan/evaluate';
import { sha256 } from '../fingerprint';
import type { StoredPlan } from '../jobs';
import { localDay } from '../today';
import { registerFonts } from './fonts';
import type { SheetName } from './names';
import type { Paper, SheetHead, SheetWork } from './parts';
import { pickCardPages } from './pick-card';
import { runSheetPages } from './run-sheet';
import { shoringPages } from './shoring-sheet';
import { steelPages } from './steel-sheet';

const sheets: Record<SheetName, { title: string; pages: (work: SheetWork) => ReactElement[] }> = {
  'pick-card': { title: 'Pick card', pages: pickCardPages },
  'run-sheet': { title: 'Run sheet', pages: runSheetPages },
  steel: { title: 'Steel and way in', pages: steelPages },
  shoring: { title: 'Shoring', pages: shoringPages },
};

/**
 * A sheet of a saved revision as PDF, stretch of pages by stretch; null when the plan has nothing to put on it.
 * @param told after each stretch: how many are laid out, of how many
 */
export async function renderSheet(name: SheetName, job: StoredPlan, paper: Paper, told?: (done: number, of: number) => void): Promise<Uint8Array | null> {
  registerFonts();
  const today = localDay();
  const head: SheetHead = { plan: job.plan, revision: job.revision, sha256: sha256(job.plan), savedAt: new Date(job.savedAt), today };
  const { title, pages } = sheets[name];
  const stretches = pages({ head, paper, ...evaluateWhole(job.plan, today) });
  if (stretches.length === 0) return null;
  const whole = await PDFDocument.create();
  whole.setTitle(`${title}, ${job.plan.job.name}`);
  whole.setCreator('Keen Trestle');
  whole.setCreationDate(head.savedAt);
  for (const [i, stretch] of stretches.entries()) {
    const part = await PDFDocument.load(await renderToBuffer(<Document>{stretch}</Document>));
    for (const page of await whole.copyPages(part, part.getPageIndices())) whole.addPage(page);
    told?.(i + 1, stretches.length);
  }
  const font = await whole.embedFont(StandardFonts.Helvetica);
  const all = whole.getPages();
  all.forEach((page, i) => page.drawText(`page ${i + 1} of ${all.length}`, { x: 30, y: 20, size: 7, font }));
  return whole.save();
}
