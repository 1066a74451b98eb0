'use client';
import { lazy, Suspense, useMemo, useState } from 'react';
import { alongLaunch, type LaunchPlace } from '@/core/checks/launch/along';
import { Missing } from '@/core/verdict/missing';
import type { Launch } from '@/core/document/schema';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity, shownIn } from '@/core/units';
import { SmallButton } from '@/ui/small-button';
import { again } from '@/ui/again';
import { usePlan } from '@/job/job-context';

// The chart library is read only when somebody wants to see the travel.
const Graph = lazy(() => again(() => import('@/ui/workings/launch-graph')));

/** How near to tipping it is, and what its rollers carry, over the travel of each girder line. */
export function AlongTravel({ launch }: { launch: Launch }) {
  const [open, setOpen] = useState(false);
  return (
    <div>
      <SmallButton onClick={() => setOpen(!open)}>{open ? 'Close the graphs of its travel' : 'Over its travel'}</SmallButton>
      {open && <Graphs launch={launch} />}
    </div>
  );
}

function Graphs({ launch }: { launch: Launch }) {
  const plan = usePlan();
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const wanted = rules.value('launchFactor');
  const found = useMemo(() => alongLaunch(plan, launch, rulesOf(plan.job.ruleSet, plan.job.thresholds)), [plan, launch]);
  if (found instanceof Missing) return <p className="mt-1 font-semibold text-missing">{found.questions.join(' ')}</p>;
  return (
    <>
      {found.map(({ line, mark, places }) => (
        <Travelled key={line} mark={found.length > 1 ? `${mark}: ` : ''} places={places} wanted={wanted} />
      ))}
    </>
  );
}

function Travelled({ mark, places, wanted }: { mark: string; places: readonly LaunchPlace[]; wanted: number }) {
  const system = usePlan().job.units;
  const perForce = shownIn.force[system].factor;
  const far = (travel: number) => formatQuantity(travel, 'length', system);
  const least = places.reduce<LaunchPlace | null>((a, b) => (b.factor !== null && (a === null || b.factor < a.factor!) ? b : a), null);
  const heaviest = places.reduce<LaunchPlace | null>((a, b) => (b.most && (!a?.most || b.most.load > a.most.load) ? b : a), null);
  const falls = places.find(({ down }) => down === null);
  return (
    <>
      {least && (
        <figure className="mt-1">
          <Suspense fallback={<div className="h-[120px]" />}>
            <Graph
              points={places.map(({ travel, factor }) => ({ travel, value: factor }))}
              limit={wanted}
              most={Math.max(4, 2 * wanted)}
              worst={{ travel: least.travel, value: least.factor!, bad: least.factor! < wanted }}
              tick={(value) => String(Math.round(value * 10) / 10)}
              far={far}
            />
          </Suspense>
          <figcaption className="text-[12.5px]">
            {mark}
            {falls
              ? `It does not stand after ${far(falls.travel)}.`
              : `Least ${formatQuantity(least.factor!, 'factor', system)} against tipping forward, after ${far(least.travel)}; ${formatQuantity(wanted, 'factor', system)} are wanted.`}
          </figcaption>
        </figure>
      )}
      {heaviest?.most && (
        <figure className="mt-1">
          <Suspense fallback={<div className="h-[120px]" />}>
            <Graph
              points={places.map(({ travel, most }) => ({ travel, value: most?.load ?? null }))}
              limit={null}
              most={heaviest.most.load * 1.15}
              worst={{ travel: heaviest.travel, value: heaviest.most.load, bad: false }}
              tick={(value) => String(Math.round(value / perForce))}
              far={far}
            />
          </Suspense>
          <figcaption className="text-[12.5px]">
            {mark}Most on one roller {formatQuantity(heaviest.most.load, 'force', system)}, {heaviest.most.roller}, after {far(heaviest.travel)}.
          </figcaption>
        </figure>
      )}
    </>
  );
}
