'use client';
import { useMemo, useState } from 'react';
import { allRound } from '@/core/checks/map/all-round';
import { Missing } from '@/core/verdict/missing';
import { hooksOf } from '@/core/checks/lift/pick-context';
import type { Pick } from '@/core/document/schema';
import { settle } from '@/core/settle/settle';
import { formatQuantity } from '@/core/units';
import { SmallButton } from '@/ui/small-button';
import { PolarLoad } from '@/ui/workings/polar-load';
import { usePlan } from '@/job/job-context';

/** What stands under the crane of a lift, whichever way its boom points. */
export function UnderCrane({ pick }: { pick: Pick }) {
  const [open, setOpen] = useState(false);
  return (
    <div>
      <SmallButton onClick={() => setOpen(!open)}>{open ? 'Close what stands under the crane' : 'Under the crane, all round'}</SmallButton>
      {open && <Polars pick={pick} />}
    </div>
  );
}

function Polars({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const system = plan.job.units;
  const hooks = useMemo(() => hooksOf(settle(plan), pick).map((picked) => ({ picked, found: allRound(picked) })), [plan, pick]);
  return (
    <>
      {hooks.map(({ picked: { hook, crane }, found }) => {
        const name = hooks.length > 1 ? (hook === 'main' ? 'First crane: ' : 'Second crane: ') : '';
        if (found instanceof Missing)
          return (
            <p key={hook} className="mt-1 font-semibold text-missing">
              {name}
              {found.questions.join(' ')}
            </p>
          );
        const { kind, round, way, limit } = found;
        const quantity = kind === 'tracks' ? 'pressure' : 'force';
        const show = (value: number) => formatQuantity(value, quantity, system);
        const most = Math.max(...way.map((one) => one.most ?? Infinity));
        const tips = round.filter((one) => one.most === null).length;
        const under = kind === 'tracks' ? 'under a track' : 'on one outrigger';
        return (
          <figure key={hook} className="mt-1">
            <PolarLoad round={round} way={way} limit={limit} base={{ length: crane.baseLength, width: crane.baseWidth }} told={show} />
            <figcaption className="text-[12.5px]">
              {name}
              {Number.isFinite(most) ? `On its way ${show(most)} at the most ${under}` : 'On its way it tips'}
              {limit === null ? '; what the ground may take is not known.' : `; ${show(limit)} may be (dashed).`}{' '}
              {tips > 0
                ? `With the boom at the greatest radius of this lift it tips over ${Math.round((tips / round.length) * 360)}° (red): never swing there.`
                : 'The thin line is its greatest radius, all round.'}
            </figcaption>
          </figure>
        );
      })}
    </>
  );
}
