'use client';
import { useMemo, useState } from 'react';
import { dayOf } from '@/core/units/day';
import { describe } from '@/core/verdict/describe';
import { bestPicks, type PickPoints } from '@/core/checks/lift/best-picks';
import { levelled } from '@/core/checks/lift/tilt';
import { Missing } from '@/core/verdict/missing';
import { pickContext } from '@/core/checks/lift/pick-context';
import { replay } from '@/core/replay/replay';
import type { Pick } from '@/core/document/schema';
import { settle } from '@/core/settle/settle';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { SmallButton } from '@/ui/small-button';
import { VerdictMark, verdictWord } from '@/ui/verdict/verdict-mark';
import { useAct, usePlan } from '@/job/job-context';

/** Legs that hang it level, and the pick points that ask least of the piece. */
export function PickPointTools({ pick }: { pick: Pick }) {
  const [open, setOpen] = useState(false);
  return (
    <div className="col-span-2 space-y-1.5">
      <div className="flex flex-wrap gap-1.5">
        <Level pick={pick} />
        <SmallButton onClick={() => setOpen(!open)}>{open ? 'Close the pick points' : 'Where is it best picked up?'}</SmallButton>
      </div>
      {open && <Best pick={pick} />}
    </div>
  );
}

/** Out of level by more than this, legs that hang it level are offered [°]. */
const LEVEL = 0.5;

function Level({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const act = useAct();
  const picked = useMemo(() => pickContext(settle(plan), pick), [plan, pick]);
  const { hanging } = picked;
  if (hanging instanceof Missing || 'impossible' in hanging || Math.abs(hanging.tiltDeg) < LEVEL) return null;
  const legs = levelled(picked);
  if (!legs) return null;
  const show = (value: number) => formatQuantity(value, 'length', plan.job.units);
  return (
    <SmallButton onClick={() => act('editPick', { id: pick.id, changes: { legs } }, `${pick.id} level`)}>
      Hang it level by legs of {show(legs.left)} and {show(legs.right)}
    </SmallButton>
  );
}

function Best({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const act = useAct();
  const found = useMemo(() => {
    const settled = settle(plan);
    return bestPicks({ plan: settled, today: dayOf(new Date()), rules: rulesOf(plan.job.ruleSet, plan.job.thresholds), replayed: replay(settled) }, pick);
  }, [plan, pick]);
  if (!found) return <p className="text-[13px] text-missing">What it weighs and where it balances is to be known first.</p>;
  const { now, best } = found;
  const take = ({ left, right, legs }: PickPoints) => act('editPick', { id: pick.id, changes: { left, right, legs } }, `${pick.id} best`);
  const same = best !== null && best.left === now.left && best.right === now.right && best.legs.left === now.legs.left && best.legs.right === now.legs.right;
  return (
    <section aria-label="Pick points" className="text-[13px]">
      <Points name="As it is" points={now} />
      {best ? (
        same ? (
          <p className="pt-1">
            {found.tried.length === 1 ? 'It hangs level below the ends of its bar.' : `Of ${found.tried.length} places looked at, none asks less of the piece.`}
          </p>
        ) : (
          <>
            <Points name="Least asked of the piece" points={best} />
            <p className="flex flex-wrap items-baseline gap-2 pt-1.5">
              <SmallButton onClick={() => take(best)}>Pick it up there</SmallButton>
              <span className="text-soft">
                {found.tried.length === 1 ? 'level below the ends of its bar' : `of ${found.tried.length} places looked at, level, legs at 60°`}
              </span>
            </p>
          </>
        )
      ) : (
        <p className="pt-1 font-semibold text-stop">Wherever it is picked up level, something stops this lift: look at what is told below.</p>
      )}
    </section>
  );
}

function Points({ name, points }: { name: string; points: PickPoints }) {
  const { units } = usePlan().job;
  const show = (value: number) => formatQuantity(value, 'length', units);
  const part = (value: number | null) => (value === null ? 'not known' : formatQuantity(value, 'fraction', units));
  const { left, right, legs, body, verdict, governs } = points;
  return (
    <dl className="border-t border-dotted border-line py-1.5" data-points={name}>
      <dt className="flex items-baseline gap-1.5 font-semibold">
        <VerdictMark verdict={verdict} /> {name}, {verdictWord[verdict]}
      </dt>
      <dd>
        {show(left)} and {show(right)} from its ends, slings of {show(legs.left)} and {show(legs.right)}; bends to {part(body)} of what it is good for.
      </dd>
      {governs && <dd className="text-soft">{describe(governs, units)}</dd>}
    </dl>
  );
}
