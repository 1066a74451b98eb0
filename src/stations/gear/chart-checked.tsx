'use client';
import { auditChart, auditKey } from '@/core/cranes/chart-audit';
import type { Fault } from '@/core/calc/schema';
import type { ChartOf } from '@/core/settle/duties';
import { useInputs } from '@/job/editing/use-inputs';

/** Where figures of a chart are out of line: who held them against the maker's chart. It stands for these figures only. */
export function ChartChecked({ chart: of, edit }: { chart: ChartOf; edit: (changes: Pick<ChartOf, 'chartChecked'>, field: string) => Fault[] | null }) {
  const { date, words } = useInputs();
  if (!of.chart) return null;
  const found = auditChart(of.chart);
  if (found.cells.length + found.runs.length === 0 || found.cells.some((one) => one.why === 'rises')) return null;
  const cells = auditKey(found);
  const known = of.chartChecked?.cells === cells ? of.chartChecked : { by: '', on: '' };
  const put = (changes: { by?: string; on?: string }, field: string) => edit({ chartChecked: { ...known, ...changes, cells } }, `checked ${field}`);
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-4 gap-y-2">
      {words('Held against the maker’s chart by', known.by, (by) => put({ by }, 'by'))}
      {date('Held on', known.on, (on) => put({ on }, 'on'))}
    </div>
  );
}
