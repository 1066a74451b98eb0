'use client';
import { lazy, Suspense, useMemo, useState } from 'react';
import { ChartLine, Plus, Table2 } from 'lucide-react';
import type { Chart } from '@/core/cranes/chart-shape';
import { chartsOf, type ChartOf } from '@/core/settle/duties';
import type { Crane, Duty } from '@/core/document/schema';
import { shownIn } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { Fold } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { again } from '@/ui/again';
import { ChartChecked } from './chart-checked';
import { ChartDialog } from './chart-dialog';
import { ChartTable, useReadOff } from './chart-table';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { Group } from '../shared/panel';
import { ThingTools } from '../shared/thing-tools';
import { useInputs } from '@/job/editing/use-inputs';

// The chart library is read only when somebody wants to see a chart drawn.
const Graph = lazy(() => again(() => import('@/ui/workings/chart-graph')));

/** The charts of a crane: its own, and those for its other set-ups and sides, each with what it is good for. */
export function ChartFields({ crane }: { crane: Crane }) {
  const plan = usePlan();
  const act = useAct();
  const more = (plan.duties ?? []).filter((one) => one.crane === crane.id);
  const add = () => {
    const { chartGust } = crane;
    const thing: Duty = {
      id: freshId('d'),
      crane: crane.id,
      name: `Chart ${more.length + 2}`,
      chart: null,
      chartSource: '',
      chartGust,
      chartBase: null,
      chartOver: null,
      chartCounterweight: null,
    };
    act('addTo', { list: 'duties', thing });
  };
  const own: ChartOf = { ...crane, name: chartsOf(plan, crane)[0]?.name ?? crane.name };
  return (
    <section>
      <OneChart crane={crane} chart={own} />
      <div className="mt-2">
        <ChoiceField
          label="Between rows"
          value={plan.job.chartRule}
          choices={[
            { value: 'step', label: 'next longer radius, lower boom figure' },
            { value: 'linear', label: 'straight line between cells' },
          ]}
          onValue={(chartRule) => act('editJob', { changes: { chartRule } })}
        />
      </div>
      <div className="mt-2">
        {more.map((duty) => (
          <Fold
            key={duty.id}
            thing={duty.id}
            title={duty.name || 'Chart'}
            note={duty.chart ? duty.chartSource : 'no figures yet'}
            tools={<ThingTools station="gear" list="duties" thing={duty} />}
          >
            <OneChart crane={crane} chart={duty} />
          </Fold>
        ))}
      </div>
      <div className="mt-1">
        <SmallButton onClick={add}>
          <Plus size={13} aria-hidden /> A chart for another set-up or side
        </SmallButton>
      </div>
    </section>
  );
}

function OneChart({ crane, chart }: { crane: Crane; chart: ChartOf }) {
  const plan = usePlan();
  const act = useAct();
  const { open, words } = useInputs();
  const [drawn, setDrawn] = useState(false);
  const own = chart.id === crane.id;
  // Of one of several charts it is asked; of the only one it need not be said.
  const asked = own && !plan.duties?.some((one) => one.crane === crane.id) ? { placeholder: 'not said' } : {};
  const edit = (changes: Partial<Omit<Duty, 'id' | 'crane'>>, field: string) =>
    own
      ? act('editCrane', { id: crane.id, changes }, `crane chart ${field}`)
      : act('editIn', { list: 'duties', id: chart.id, changes }, `chart ${chart.id} ${field}`);
  // Of a base both measures are wanted: the other is taken as the crane stands until it is typed.
  const base = (changes: { length?: number | null; width?: number | null }) => {
    const next = { length: chart.chartBase?.length ?? null, width: chart.chartBase?.width ?? null, ...changes };
    const whole = next.length === null && next.width === null ? null : { length: next.length ?? crane.baseLength, width: next.width ?? crane.baseWidth };
    return edit({ chartBase: whole }, 'base');
  };
  const over = (changes: { from?: number | null; to?: number | null }) => {
    const next = { from: chart.chartOver?.from ?? null, to: chart.chartOver?.to ?? null, ...changes };
    return edit({ chartOver: next.from === null && next.to === null ? null : next }, 'over');
  };
  const { chart: figures } = chart;
  return (
    <>
      <div className="mb-1 flex items-baseline justify-between gap-2">
        <h3 className="text-[15px] text-gear">{own ? 'Chart' : 'Its figures'}</h3>
        <span className="flex gap-1">
          {figures && (
            <SmallButton onClick={() => setDrawn(!drawn)}>
              {drawn ? <Table2 size={13} aria-hidden /> : <ChartLine size={13} aria-hidden />} {drawn ? 'As a table' : 'Drawn'}
            </SmallButton>
          )}
          <ChartDialog chart={chart} crane={crane.name} />
        </span>
      </div>
      {figures === null && <p className="font-semibold text-missing">No chart yet: paste or import the maker’s chart for this set-up.</p>}
      {figures && drawn && <Drawn crane={crane} chart={chart} figures={figures} />}
      {figures && !drawn && <ChartTable crane={crane} chart={chart} />}
      {figures && <ChartChecked chart={chart} edit={edit} />}
      <div className="mt-2">
        <Group title="What this chart is good for">
          {!own && words('Name of the chart', chart.name, (name) => edit({ name }, 'name'))}
          {figures &&
            words('Chart comes from', chart.chartSource, (source) => act('setChart', { id: chart.id, chart: figures, source }, `chart source ${chart.id}`))}
          {open('Chart is good up to gusts of', 'speed', chart.chartGust, (chartGust) => edit({ chartGust }, 'gust'))}
          {open('Chart’s base, front to rear', 'length', chart.chartBase?.length ?? null, (length) => base({ length }))}
          {open('Chart’s base, side to side', 'length', chart.chartBase?.width ?? null, (width) => base({ width }))}
          {open(
            'Chart’s counterweight',
            'mass',
            chart.chartCounterweight ?? null,
            (chartCounterweight) => edit({ chartCounterweight }, 'counterweight'),
            asked,
          )}
          {open('Boom off the front, from', 'angle', chart.chartOver?.from ?? null, (from) => over({ from }), asked)}
          {open('Boom off the front, up to', 'angle', chart.chartOver?.to ?? null, (to) => over({ to }), asked)}
        </Group>
      </div>
    </>
  );
}

/** Capacity against radius, every boom, and where each lift that is read off it comes to stand. */
function Drawn({ crane, chart, figures }: { crane: Crane; chart: ChartOf; figures: Chart }) {
  const system = usePlan().job.units;
  const checks = useJob((state) => state.survey.evaluation.checks);
  const mine = useReadOff(crane, chart);
  const length = shownIn.length[system];
  const mass = shownIn.mass[system];
  const rows = useMemo(
    () =>
      figures.radii.map((radius, i) => ({
        radius: radius / length.factor,
        ...Object.fromEntries(figures.booms.map((boom, j) => [`b${boom}`, figures.capacity[i]![j] === null ? null : figures.capacity[i]![j]! / mass.factor])),
      })),
    [figures, length.factor, mass.factor],
  );
  const marks = checks.flatMap((check, i) =>
    check.finding.code === 'lift.chart' && mine(check)
      ? [{ id: `${i}`, radius: check.finding.radius / length.factor, mass: check.finding.gross / mass.factor, verdict: check.verdict }]
      : [],
  );
  return (
    <figure>
      <Suspense fallback={<div className="h-[210px]" />}>
        <Graph
          rows={rows}
          booms={figures.booms.map((boom) => ({ key: `b${boom}`, name: String(Math.round((boom / length.factor) * 10) / 10) }))}
          marks={marks}
          units={{ radius: length.symbol, mass: mass.symbol }}
        />
      </Suspense>
      <figcaption className="text-[12.5px] text-soft">
        A line for each boom, {length.symbol}.{' '}
        {marks.length === 0 ? 'No lift is read off it yet.' : 'A dot for each lift: what hangs on the hook, at its worst radius.'}
      </figcaption>
    </figure>
  );
}
