'use client';
import { lazy, Suspense, useMemo, useState } from 'react';
import { alongWay } from '@/core/plan/along-way';
import { Missing } from '@/core/plan/missing';
import { hooksOf } from '@/core/plan/pick-context';
import type { Pick } from '@/core/plan/schema';
import { settle } from '@/core/plan/settle';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { SmallButton } from '@/ui/small-button';
import { usePlan } from './job-context';

// The chart library is read only when somebody wants to see the way.
const Graph = lazy(() => import('@/ui/workings/along-way-graph'));

/** How much of the chart a lift takes along its way, a graph for each hook, with its worst place. */
export function AlongWay({ pick }: { pick: Pick }) {
  const [open, setOpen] = useState(false);
  return (
    <div>
      <SmallButton onClick={() => setOpen(!open)}>{open ? 'Close the graph of its way' : 'Of the chart, along its way'}</SmallButton>
      {open && <Graphs pick={pick} />}
    </div>
  );
}

function Graphs({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const system = plan.job.units;
  const hooks = useMemo(() => {
    const settled = settle(plan);
    const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
    return hooksOf(settled, pick).map((picked) => ({ hook: picked.hook, found: alongWay(settled, picked, rules), caution: rules.value('chartCaution') }));
  }, [plan, pick]);
  return (
    <>
      {hooks.map(({ hook, found, caution }) => {
        const name = hooks.length > 1 ? (hook === 'main' ? 'First hook: ' : 'Second hook: ') : '';
        if (found instanceof Missing)
          return (
            <p key={hook} className="mt-1 font-semibold text-missing">
              {name}
              {found.questions.join(' ')}
            </p>
          );
        const off = found.find(({ share }) => share === null);
        const worst = found.reduce((a, b) => ((b.share ?? 0) >= (a.share ?? 0) ? b : a));
        return (
          <figure key={hook} className="mt-1">
            <Suspense fallback={<div className="h-[130px]" />}>
              <Graph points={found} caution={caution} />
            </Suspense>
            <figcaption className="text-[12.5px]">
              {name}
              {off
                ? `The chart gives nothing at ${formatQuantity(off.radius, 'length', system)}, ${off.phase}.`
                : `Most ${formatQuantity(worst.share!, 'fraction', system)} of the chart, at ${formatQuantity(worst.radius, 'length', system)}, ${worst.phase}.`}
            </figcaption>
          </figure>
        );
      })}
    </>
  );
}
