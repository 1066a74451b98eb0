'use client';
import { ruleSetName, rulesOf, thresholds, type RuleSetId, type ThresholdKey } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { QuantityField } from '@/ui/fields/quantity-field';
import { SmallButton } from './panel';
import { useAct, useJob, usePlan } from './job-context';

/** Every threshold with its source; the job's own value beside the rule set's and the other school's. */
export function RulesDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { job } = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const rules = rulesOf(job.ruleSet, job.thresholds);
  const other: RuleSetId = job.ruleSet === 'us-asd' ? 'eu-ls' : 'us-asd';
  return (
    <Modal
      wide
      title={`Rules: ${ruleSetName[job.ruleSet]}`}
      about={`${rules.steel.source}. Change a value to use your own for this job; local codes come first.`}
      open={open}
      onOpenChange={onOpenChange}
    >
      <table className="w-full text-[13.5px]">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className="py-1 font-semibold">Threshold</th>
            <th className="w-[140px] font-semibold">This job</th>
            <th className="w-[100px] pl-4 font-semibold">{other === 'us-asd' ? 'US rules' : 'European rules'}</th>
            <th className="font-semibold">Source</th>
          </tr>
        </thead>
        <tbody>
          {(Object.keys(thresholds) as ThresholdKey[]).map((key) => {
            const one = thresholds[key];
            const own = job.thresholds[key] !== undefined;
            return (
              <tr key={key} className="border-b border-dotted border-line align-top">
                <td className="py-2 pr-3">{one.title}</td>
                <td className="pb-2">
                  <QuantityField
                    label={one.title}
                    labelHidden
                    kind={one.kind}
                    system={job.units}
                    value={rules.value(key)}
                    onValue={(value) => act('setThreshold', { key, value }, `threshold ${key}`)}
                    onDone={done}
                  />
                  {own && (
                    <span className="mt-1 block">
                      <SmallButton onClick={() => act('setThreshold', { key, value: null })}>
                        Back to {formatQuantity(one.value[job.ruleSet], one.kind, job.units)}
                      </SmallButton>
                    </span>
                  )}
                </td>
                <td className="py-2 pl-4 text-soft">{formatQuantity(one.value[other], one.kind, job.units)}</td>
                <td className="py-2 pl-2 text-[12.5px] text-soft">
                  {rules.source(key).text}
                  {rules.source(key).basis === 'memory' ? ' (from memory)' : ''}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Modal>
  );
}
