import { renderToBuffer } from '@react-pdf/renderer';
import { sha256 } from '../fingerprint';
import type { StoredPlan } from '../jobs';
import { registerFonts } from './fonts';
import type { SheetName } from './names';
import type { Paper, SheetHead } from './parts';
import { PickCard } from './pick-card';
import { RunSheet } from './run-sheet';
import { ShoringSheet } from './shoring-sheet';
import { SteelSheet } from './steel-sheet';

/** A sheet of a saved revision as PDF; null when the plan has nothing to put on it. */
export async function renderSheet(name: SheetName, job: StoredPlan, paper: Paper): Promise<Buffer | null> {
  registerFonts();
  const head: SheetHead = { plan: job.plan, revision: job.revision, sha256: sha256(job.plan), savedAt: job.savedAt };
  if (name === 'run-sheet') return renderToBuffer(<RunSheet head={head} paper={paper} />);
  if (name === 'steel') return renderToBuffer(<SteelSheet head={head} paper={paper} />);
  if (name === 'shoring') return renderToBuffer(<ShoringSheet head={head} paper={paper} />);
  const pick = job.plan.picks[0];
  return pick ? renderToBuffer(<PickCard head={head} pick={pick} paper={paper} />) : null;
}
