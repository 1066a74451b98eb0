'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { newPlan, type NewPlan } from '@/core/plan/new-plan';
import { ruleSetName, type RuleSetId } from '@/core/rules/rule-sets';
import { ChoiceField } from '@/ui/fields/choice-field';
import { TextField } from '@/ui/fields/text-field';
import { Modal, PlainButton } from '@/ui/dialogs/modal';

export function NewJobDialog() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState<NewPlan>({ name: '', place: '', units: 'metric', ruleSet: 'eu-ls' });
  const [problem, setProblem] = useState<string | null>(null);
  const set = <K extends keyof NewPlan>(key: K, value: NewPlan[K]) => {
    setDraft((now) => ({ ...now, [key]: value }));
    return null;
  };
  const make = async () => {
    if (draft.name.trim() === '') return setProblem('Give the job a name.');
    const response = await fetch('/api/jobs', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(newPlan({ ...draft, name: draft.name.trim() })),
    });
    if (!response.ok) return setProblem(((await response.json()) as { detail?: string }).detail ?? 'The server did not take it. Try again.');
    const { id } = (await response.json()) as { id: string };
    router.push(`/jobs/${id}`);
  };
  return (
    <Modal
      title="New job"
      about="One beam on two bearings, set by one crane. What only the site, a tag or the maker’s chart can tell starts as missing."
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button type="button" className="sign border-2 border-ink bg-ink px-3.5 py-1.5 text-[16px] leading-5 text-white hover:bg-gear">
          New job
        </button>
      }
    >
      <form
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          void make();
        }}
      >
        <TextField label="Name" value={draft.name} onValue={(name) => set('name', name)} />
        <TextField label="Place" value={draft.place} onValue={(place) => set('place', place)} />
        <ChoiceField
          label="Units"
          value={draft.units}
          choices={[
            { value: 'metric', label: 'metric (m, kg, kN)' },
            { value: 'us', label: 'US customary (ft-in, lb)' },
          ]}
          onValue={(units) => set('units', units)}
          note="Switch at any time; nothing typed is rounded."
        />
        <ChoiceField
          label="Rule set"
          value={draft.ruleSet}
          choices={(Object.keys(ruleSetName) as RuleSetId[]).map((value) => ({ value, label: ruleSetName[value] }))}
          onValue={(ruleSet) => set('ruleSet', ruleSet)}
          note="Every threshold can be seen and changed."
        />
        {problem && (
          <p role="alert" className="font-semibold text-stop">
            {problem}
          </p>
        )}
        <PlainButton strong type="submit">
          Begin
        </PlainButton>
      </form>
    </Modal>
  );
}
