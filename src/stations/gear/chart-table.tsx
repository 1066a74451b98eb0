'use client';
import { useMemo, useState } from 'react';
import type { Chart } from '@/core/cranes/chart-shape';
import type { Check } from '@/core/verdict/check';
import { chartsOf, type ChartOf } from '@/core/settle/duties';
import type { Crane } from '@/core/document/schema';
import { formatForInput, formatNumber, formatQuantity, parseQuantity, shownIn } from '@/core/units';
import { useAct, useJob, usePlan } from '@/job/job-context';

/** Which row or column a value is read from: the next longer radius, and the booms either side. */
const nextUp = (values: readonly number[], at: number): number => values.findIndex((value) => value >= at);

/** Whether a check is of a lift that is read off this chart. */
export function useReadOff(crane: Crane, chart: ChartOf): (check: Check) => boolean {
  const plan = usePlan();
  return useMemo(() => {
    const stands = new Set(plan.stands.flatMap((one) => (one.crane === crane.id ? [one.id] : [])));
    const hooks = new Set(
      plan.picks.flatMap((pick) => [
        ...(stands.has(pick.stand) ? [`${pick.id} `] : []),
        ...(pick.second && stands.has(pick.second.stand) ? [`${pick.id} ${pick.second.stand}`] : []),
      ]),
    );
    const only = chartsOf(plan, crane).length === 1;
    return ({ finding, about }) => finding.code === 'lift.chart' && hooks.has(`${about.id} ${about.part ?? ''}`) && (only || finding.chartId === chart.id);
  }, [plan, crane, chart.id]);
}

/** The chart as a table whose cells can be typed in; the cells read for this pick are marked. */
export function ChartTable({ crane, chart: of }: { crane: Crane; chart: ChartOf }) {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const checks = useJob((state) => state.survey.evaluation.checks);
  const mine = useReadOff(crane, of);
  // Of the lifts read off it the one nearest its limit is marked.
  const finding = useMemo(
    () =>
      checks
        .filter(mine)
        .sort((a, b) => (b.ratio ?? 0) - (a.ratio ?? 0))
        .at(0)?.finding,
    [checks, mine],
  );
  const [draft, setDraft] = useState<{ i: number; j: number; text: string; problem: string | null } | null>(null);
  const { chart } = of;
  if (!chart) return null;
  const system = plan.job.units;
  const read = finding?.code === 'lift.chart' ? finding : null;
  const row = read ? nextUp(chart.radii, read.radius - 1e-9) : -1;
  const high = read ? nextUp(chart.booms, read.boom - 1e-9) : -1;
  const low = high > 0 && read && chart.booms[high]! > read.boom + 1e-9 ? high - 1 : high;
  const put = (i: number, j: number, value: number | null): string | null => {
    const next: Chart = { ...chart, capacity: chart.capacity.map((cells, r) => (r === i ? cells.map((cell, c) => (c === j ? value : cell)) : cells)) };
    return act('setChart', { id: of.id, chart: next, source: of.chartSource }, `cell ${of.id} ${i} ${j}`)?.[0]?.error ?? null;
  };
  const type = (i: number, j: number, text: string) => {
    if (text.trim() === '') return setDraft({ i, j, text, problem: put(i, j, null) });
    const parsed = parseQuantity(text, 'mass', system);
    setDraft({
      i,
      j,
      text,
      problem: parsed.ok
        ? put(i, j, parsed.value)
        : `Radius ${formatQuantity(chart.radii[i]!, 'length', system)}, boom ${formatQuantity(chart.booms[j]!, 'length', system)}: ${parsed.reason}`,
    });
  };
  const leave = () => {
    if (draft?.problem === null) setDraft(null);
    done();
  };
  const heading = (metres: number) => formatNumber(metres / shownIn.length[system].factor, 1, system);
  return (
    <div>
      <table className="w-full border-collapse text-[12.5px]" aria-label={of.id === crane.id ? `Chart of ${crane.name}` : `Chart of ${crane.name}, ${of.name}`}>
        <thead>
          <tr>
            <th className="py-0.5 pr-1 text-left font-normal text-soft">
              {shownIn.mass[system].symbol} at {shownIn.length[system].symbol}
            </th>
            {chart.booms.map((boom, j) => (
              <th key={boom} scope="col" className={`px-0.5 text-right font-semibold ${j === low || j === high ? 'text-steel' : ''}`}>
                {heading(boom)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {chart.radii.map((radius, i) => (
            <tr key={radius} className="border-t border-dotted border-line">
              <th scope="row" className={`pr-1 text-left font-semibold ${i === row ? 'text-steel' : ''}`}>
                {heading(radius)}
              </th>
              {chart.booms.map((boom, j) => {
                const value = chart.capacity[i]![j] ?? null;
                const mine = draft?.i === i && draft.j === j;
                const readHere = i === row && (j === low || j === high);
                return (
                  <td key={boom} className={`p-0 ${readHere ? 'bg-[#f1ddd2] font-semibold' : ''}`}>
                    <input
                      aria-label={`Capacity at radius ${heading(radius)}, boom ${heading(boom)}`}
                      className="w-full min-w-0 bg-transparent px-0.5 py-[3.5px] text-right outline-none focus:bg-white"
                      value={mine ? draft.text : value === null ? '' : formatForInput(Math.round(value * 1000) / 1000, 'mass', system).replace(/^≈/, '')}
                      aria-invalid={mine && draft.problem ? true : undefined}
                      onChange={(event) => type(i, j, event.target.value)}
                      onBlur={leave}
                    />
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {draft?.problem && (
        <p role="alert" className="mt-1 text-[12.5px] font-semibold text-stop">
          {draft.problem}
        </p>
      )}
    </div>
  );
}
