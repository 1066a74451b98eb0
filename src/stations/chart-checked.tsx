'use client';
import { auditChart, auditKey } from '@/core/cranes/chart-audit';
import type { Crane } from '@/core/plan/schema';
import { useAct } from './job-context';
import { useInputs } from './use-inputs';

/** Where figures of a chart are out of line: who held them against the maker's chart. It stands for these figures only. */
export function ChartChecked({ crane }: { crane: Crane }) {
  const act = useAct();
  const { words } = useInputs();
  if (!crane.chart) return null;
  const found = auditChart(crane.chart);
  if (found.cells.length + found.runs.length === 0 || found.cells.some((one) => one.why === 'rises')) return null;
  const cells = auditKey(found);
  const known = crane.chartChecked?.cells === cells ? crane.chartChecked : { by: '', on: '' };
  const put = (changes: { by?: string; on?: string }, field: string) =>
    act('editCrane', { id: crane.id, changes: { chartChecked: { ...known, ...changes, cells } } }, `chart checked ${field}`);
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-4 gap-y-2">
      {words('Held against the maker’s chart by', known.by, (by) => put({ by }, 'by'))}
      {words('Held on', known.on, (on) => put({ on }, 'on'), { type: 'date' })}
    </div>
  );
}
