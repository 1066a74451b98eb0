'use client';
import { saidOf } from '@/core/document/things/unsaid';
import { Plus, X } from 'lucide-react';
import { useMemo } from 'react';
import { Missing } from '@/core/verdict/missing';
import { shoreParts, shortOf } from '@/core/settle/shore-parts';
import { shortTogether } from '@/core/checks/shores/stock';
import { partKinds, type StockLine } from '@/core/document/schema';
import { formatQuantity } from '@/core/units';
import { Fold } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { useEdit, useField } from '@/job/editing/use-edit';
import { same, useInputs } from '@/job/editing/use-inputs';

/** What the shores are built from, and whether the yard has it. */
export function ShorePartsFields() {
  const plan = usePlan();
  const act = useAct();
  const { system } = useField();
  const parts = useMemo(() => shoreParts(plan), [plan]);
  const strikes = useJob((state) => state.survey.evaluation.strikes);
  const lacking = useMemo(() => shortTogether(plan, strikes), [plan, strikes]);
  return (
    <Fold
      title="Cut list and yard"
      note={parts instanceof Missing ? 'not known' : lacking.length === 0 ? 'the yard has it' : `${lacking.length} lines short`}
      tools={
        <SmallButton
          onClick={() => act('addTo', { list: 'stock', thing: { id: freshId('stk'), unsaid: ['length'], what: 'stud', size: '', length: 3, count: 0 } })}
        >
          <Plus size={13} aria-hidden /> In the yard
        </SmallButton>
      }
    >
      {parts instanceof Missing ? (
        <p className="text-missing">{parts.questions.join(' ')}</p>
      ) : (
        <table className="w-full text-[12.5px]" aria-label="Cut list">
          <thead className="text-left text-soft">
            <tr>
              <th className="font-normal">For</th>
              <th className="font-normal">Part</th>
              <th className="text-right font-normal">Long</th>
              <th className="text-right font-normal">No.</th>
              <th className="text-right font-normal">Each</th>
            </tr>
          </thead>
          <tbody>
            {parts.map((part, i) => {
              const short = shortOf(lacking, part);
              return (
                <tr key={i} className={`border-t border-line ${short ? 'font-semibold text-stop' : ''}`}>
                  <td className="py-0.5">{part.for}</td>
                  <td>
                    {part.what} {part.size}
                  </td>
                  <td className="text-right">
                    {part.length === null ? '' : system === 'metric' ? `${part.length.toFixed(3)} m` : formatQuantity(part.length, 'length', system)}
                  </td>
                  <td className="text-right">{short ? `${short.have} of ${part.count}` : part.count}</td>
                  <td className="text-right">{part.mass === null ? '' : formatQuantity(part.mass, 'mass', system)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {plan.shoring.stock.map((line) => (
        <StockRow key={line.id} line={line} />
      ))}
    </Fold>
  );
}

function StockRow({ line }: { line: StockLine }) {
  const act = useAct();
  const { open, whole, words, choice } = useInputs();
  const edit = useEdit('stock', line.id);
  return (
    <div className="mt-1.5 grid grid-cols-[0.8fr_1.2fr_0.9fr_0.6fr_auto] items-end gap-2">
      {choice('In the yard', line.what, same(partKinds), (what) => edit({ what }, 'what'))}
      {words('Size or class', line.size, (size) => edit({ size }, 'size'))}
      {open('Long', 'length', saidOf(line, 'length', line.length), (length) => edit({ length }, 'length'))}
      {whole('No.', line.count, 0, (count) => edit({ count }, 'count'))}
      <SmallButton danger label={`Remove ${line.size || 'the line'}`} onClick={() => act('removeFrom', { list: 'stock', id: line.id })}>
        <X size={14} />
      </SmallButton>
    </div>
  );
}
