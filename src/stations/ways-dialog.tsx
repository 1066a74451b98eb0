'use client';
import { useMemo } from 'react';
import { describe } from '@/core/plan/describe';
import { craneWays, withoutCrane, type WayUp } from '@/core/plan/evaluate/ways-up';
import { markLifted } from '@/core/plan/lookups';
import { replay } from '@/core/plan/replay';
import type { Pick } from '@/core/plan/schema';
import { settle } from '@/core/plan/settle';
import { dayOf } from '@/core/plan/day';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { VerdictMark, verdictWord } from '@/ui/verdict/verdict-mark';
import { SmallButton } from '@/ui/small-button';
import { useAct, useJob, usePlan } from './job-context';

/** More people than this find no room at the end of a piece. */
const MOST_PEOPLE = 12;

/** One load, and every way it may go up that this job has gear for: from each stand, and what it would take without a crane. */
export function WaysDialog({ pick, onClose }: { pick: Pick; onClose: () => void }) {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const system = plan.job.units;
  const { ways, without } = useMemo(() => {
    const settled = settle(plan);
    const context = { plan: settled, today: dayOf(new Date()), rules: rulesOf(plan.job.ruleSet, plan.job.thresholds), replayed: replay(settled) };
    return { ways: craneWays(context, pick), without: withoutCrane(context, pick) };
  }, [plan, pick]);
  const take = ({ stand, boom }: WayUp) => {
    act('editPick', { id: pick.id, changes: { stand: stand.id, boom } });
    done();
  };
  const mark = markLifted(plan, pick);
  return (
    <Modal
      open
      onOpenChange={(next) => !next && onClose()}
      wide
      title={`Ways to lift ${mark}`}
      about="From each stand, slung as it is, with the boom that suits it best. All else is kept. Whether the crane stands there at that move is asked of the run sheet."
    >
      <table className="w-full text-[13.5px]">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className="py-1 font-semibold">From</th>
            <th className="font-semibold">Boom</th>
            <th className="pr-3 text-right font-semibold">Of the chart</th>
            <th className="font-semibold">Stands</th>
            <th className="font-semibold">What governs it</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {ways.map((way) => (
            <tr
              key={`${way.stand.id} ${way.boom}`}
              data-way={way.stand.id}
              className={`border-b border-dotted border-line align-top ${way.now ? 'bg-tray' : ''}`}
            >
              <td className="py-2 pr-3 font-semibold">
                {way.stand.name}
                <span className="block text-[12.5px] font-normal whitespace-nowrap text-soft">{way.crane}</span>
              </td>
              <td className="py-2 pr-3">{formatQuantity(way.boom, 'length', system)}</td>
              <td className="py-2 pr-3 text-right">{way.share === null ? 'not known' : formatQuantity(way.share, 'fraction', system)}</td>
              <td className="py-2 pr-3 whitespace-nowrap">
                <span className="inline-flex items-center gap-1.5">
                  <VerdictMark verdict={way.verdict} /> {verdictWord[way.verdict]}
                </span>
              </td>
              <td className="py-2 pr-3 text-[12.5px]">{way.governs ? describe(way.governs, system) : ''}</td>
              <td className="py-2 text-right whitespace-nowrap">{way.now ? 'as it is' : <SmallButton onClick={() => take(way)}>Lift it so</SmallButton>}</td>
            </tr>
          ))}
          {ways.length === 0 && (
            <tr>
              <td colSpan={6} className="py-2">
                No stand of this job reaches it with any boom of its charts, or where it lies and goes is not known yet.
              </td>
            </tr>
          )}
        </tbody>
      </table>
      <h3 className="sign mt-4 text-[16px] text-gear">Without a crane it would take</h3>
      {without === null ? (
        <p className="text-[13.5px]">What {mark} weighs, or where it balances, is not known.</p>
      ) : (
        <ul className="list-disc pl-5 text-[13.5px]">
          <li>
            two mast lifts or two hoists, each good for {formatQuantity(without.each, 'mass', system)} at that load centre and height, taking it{' '}
            {formatQuantity(without.in, 'length', system)} in from either end and rising no more than {formatQuantity(without.uneven, 'dimension', system)}{' '}
            unevenly
          </li>
          <li>
            {without.people > MOST_PEOPLE
              ? `by hand: no, ${formatQuantity(without.each, 'mass', system)} at an end is not carried by people`
              : `or ${without.people} people at each end for one short lift, one end at a time from rest to rest (${formatQuantity(without.each, 'mass', system)} at an end)`}
          </li>
          <li className="text-soft">Hours and cost are not worked out here: a day of each is for you to price.</li>
        </ul>
      )}
    </Modal>
  );
}
