'use client';
import { useMemo } from 'react';
import { describe } from '@/core/verdict/describe';
import { arrangements } from '@/core/evaluate/shore-compare';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { VerdictMark } from '@/ui/verdict/verdict-mark';
import { SmallButton } from '@/ui/small-button';
import { useAct } from '@/job/job-context';
import { useLinePlan } from '../shared/parts-of';

/** The shores as drawn beside other distances, one side alone, and needles with props. */
export function ShoresCompareDialog({ onClose }: { onClose: () => void }) {
  const plan = useLinePlan();
  const act = useAct();
  const list = useMemo(() => arrangements(plan, plan.shoring), [plan]);
  const { units } = plan.job;
  return (
    <Modal
      wide
      open
      onOpenChange={onClose}
      title="Arrangements side by side"
      about="Each is worked out whole, with the same takedown. The check named is what stops it, what is not known, or what it uses most of."
    >
      <table className="w-full border-collapse text-[14px]">
        <thead>
          <tr className="border-b border-ink text-left text-[12.5px] text-soft">
            <th className="py-1 pr-2 font-normal">Arrangement</th>
            <th className="px-2 font-normal">Stands</th>
            <th className="px-2 text-right font-normal">Most used</th>
            <th className="px-2 text-right font-normal">Parts</th>
            <th className="px-2 text-right font-normal">Hours</th>
            <th className="px-2 text-right font-normal">Clear between</th>
            <th>
              <span className="sr-only">Choose</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {list.map((one, i) => (
            <tr key={one.name} className={`border-b border-line align-top ${i === 0 ? 'bg-white' : ''}`} data-arrangement={one.name} data-verdict={one.verdict}>
              <th scope="row" className="py-1.5 pr-2 text-left font-semibold whitespace-nowrap">
                {one.name}
              </th>
              <td className="px-2 py-1.5">
                <span className="flex items-start gap-1.5">
                  <VerdictMark verdict={one.verdict} size={15} />
                  <span className="text-[12.5px] leading-[1.3]">{one.governs ? describe(one.governs, units) : ''}</span>
                </span>
              </td>
              <td className="px-2 py-1.5 text-right whitespace-nowrap">{one.governs?.ratio ? `${Math.round(one.governs.ratio * 100)} %` : ''}</td>
              <td className="px-2 py-1.5 text-right">{one.parts}</td>
              <td className="px-2 py-1.5 text-right">{one.hours.toFixed(0)}</td>
              <td className="px-2 py-1.5 text-right whitespace-nowrap">{one.between === null ? 'not asked' : formatQuantity(one.between, 'length', units)}</td>
              <td className="py-1.5 text-right">
                {i > 0 && one.name.startsWith('walls') && (
                  <SmallButton
                    onClick={() => {
                      for (const wall of one.line.walls) act('editIn', { list: 'shoreWalls', id: wall.id, changes: { setback: wall.setback } }, 'arrangement');
                      onClose();
                    }}
                  >
                    <span className="whitespace-nowrap">Set them so</span>
                  </SmallButton>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Modal>
  );
}
