'use client';
import { useState } from 'react';
import { ruleSetName, rulesOf, thresholds, thresholdSubjects, type RuleSetId, type ThresholdKey } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { QuantityField } from '@/ui/fields/quantity-field';
import { SmallButton } from '@/ui/small-button';
import { useAct, useJob, usePlan } from '@/job/job-context';

const allKeys = Object.keys(thresholds) as ThresholdKey[];

/** Every threshold with its source, those this job has its own value of on top; the others by subject. */
export function RulesDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { job } = usePlan();
  const [wanted, setWanted] = useState('');
  // Those that were changed when the dialog opened: a row does not leave the place where it is being typed in.
  const [onTop, setOnTop] = useState<ReadonlySet<ThresholdKey>>(new Set());
  const [seen, setSeen] = useState(false);
  if (seen !== open) {
    setSeen(open);
    if (open) {
      setWanted('');
      setOnTop(new Set(allKeys.filter((key) => job.thresholds[key] !== undefined)));
    }
  }
  const rules = rulesOf(job.ruleSet, job.thresholds);
  const other: RuleSetId = job.ruleSet === 'us-asd' ? 'eu-ls' : 'us-asd';
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const subjects = [
    { title: 'This job’s own', keys: allKeys.filter((key) => onTop.has(key)) },
    ...thresholdSubjects.map(({ title, of }) => ({ title, keys: (Object.keys(of) as ThresholdKey[]).filter((key) => !onTop.has(key)) })),
  ].flatMap(({ title, keys }) => {
    const found = keys.filter((key) => {
      const text = `${title} ${thresholds[key].title} ${rules.source(key).text} ${thresholds[key].source[job.ruleSet].text}`.toLowerCase();
      return words.every((word) => text.includes(word));
    });
    return found.length > 0 ? [{ title, keys: found }] : [];
  });
  const shown = subjects.reduce((sum, { keys }) => sum + keys.length, 0);
  return (
    <Modal
      wide
      title={`Rules: ${ruleSetName[job.ruleSet]}`}
      about={`${rules.steel.source}. Change a value to use your own for this job; local codes come first.`}
      open={open}
      onOpenChange={onOpenChange}
    >
      <div className="sticky top-0 z-10 flex flex-wrap items-end gap-3 bg-paper pb-2">
        <label className="block text-[12.5px] text-soft">
          Find a rule by its words or its source
          <input
            type="text"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
            className="block h-8 w-[300px] border-[1.5px] border-ink bg-white px-2 text-[14px] text-ink"
          />
        </label>
        <p role="status" className="pb-1 text-[13px] text-soft">
          {words.length > 0 ? `${shown} of ${allKeys.length} rules` : `${allKeys.length} rules, ${onTop.size} of them this job’s own`}
        </p>
      </div>
      {shown === 0 && <p>No rule has these words. Try a shorter one, or the number of a clause.</p>}
      {shown > 0 && (
        <table className="w-full text-[13.5px]">
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th className="py-1 font-semibold">Threshold</th>
              <th className="w-[140px] font-semibold">This job</th>
              <th className="w-[100px] pl-4 font-semibold">{other === 'us-asd' ? 'US rules' : 'European rules'}</th>
              <th className="font-semibold">Source</th>
            </tr>
          </thead>
          {subjects.map(({ title, keys }) => (
            <tbody key={title}>
              <tr>
                <th colSpan={4} scope="rowgroup" className="sign pt-4 pb-1 text-left text-[15px] text-gear">
                  {title}
                </th>
              </tr>
              {keys.map((key) => (
                <RuleRow key={key} of={key} other={other} />
              ))}
            </tbody>
          ))}
        </table>
      )}
    </Modal>
  );
}

function RuleRow({ of: key, other }: { of: ThresholdKey; other: RuleSetId }) {
  const { job } = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const rules = rulesOf(job.ruleSet, job.thresholds);
  const one = thresholds[key];
  const { text, basis } = rules.source(key);
  return (
    <tr className="border-b border-dotted border-line align-top">
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
        {job.thresholds[key] !== undefined && (
          <span className="mt-1 block">
            <SmallButton onClick={() => act('setThreshold', { key, value: null })}>
              Back to {formatQuantity(one.value[job.ruleSet], one.kind, job.units)}
            </SmallButton>
          </span>
        )}
      </td>
      <td className="py-2 pl-4 text-soft">{formatQuantity(one.value[other], one.kind, job.units)}</td>
      <td className="py-2 pl-2 text-[12.5px] text-soft">
        {text}
        {basis === 'memory' ? ' (from memory)' : ''}
      </td>
    </tr>
  );
}
