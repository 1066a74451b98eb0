'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { NewPlan } from '@/core/document/new-plan';
import type { Plan } from '@/core/document/schema';
import { NotSo, templateIds, templates, type Said, type Template, type TemplateField, type TemplateId } from '@/core/edit/templates';
import { ruleSetName, type RuleSetId } from '@/core/rules/rule-sets';
import { PlainButton } from '@/ui/plain-button';
import { ChoiceField } from '@/ui/fields/choice-field';
import { TextField } from '@/ui/fields/text-field';

/** What is built and how it goes up, then what only this kind of job is asked; the rest is asked by the plan. */
export function NewJobForm() {
  const router = useRouter();
  const form = useRef<HTMLFormElement>(null);
  // It comes a moment after the sheet is open: one types into its first field at once all the same.
  useEffect(() => form.current?.querySelector('input')?.focus(), []);
  const [job, setJob] = useState<NewPlan>({ name: '', place: '', units: 'metric', ruleSet: 'eu-ls' });
  const [kind, setKind] = useState<TemplateId>('beam');
  const [said, setSaid] = useState<Said>({});
  const [problem, setProblem] = useState<string | null>(null);
  const set = <K extends keyof NewPlan>(key: K, value: NewPlan[K]) => {
    setJob((now) => ({ ...now, [key]: value }));
    return null;
  };
  const template: Template = templates[kind];
  const given: Said = { ...Object.fromEntries(template.fields.flatMap(({ key, choices }) => (choices ? [[key, choices[0]![0]]] : []))), ...said };

  const make = async () => {
    if (job.name.trim() === '') return setProblem('Give the job a name.');
    let plan: Plan;
    try {
      plan = template.build({ ...job, name: job.name.trim() }, given);
    } catch (fault) {
      if (fault instanceof NotSo) return setProblem(fault.message);
      throw fault;
    }
    const response = await fetch('/api/jobs', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(plan) });
    if (!response.ok) return setProblem(((await response.json()) as { detail?: string }).detail ?? 'The server did not take it. Try again.');
    const { id } = (await response.json()) as { id: string };
    router.push(`/jobs/${id}`);
  };

  return (
    <form
      ref={form}
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        void make();
      }}
    >
      <div className="grid grid-cols-2 gap-x-6 gap-y-4 max-[560px]:grid-cols-1">
        <TextField label="Name" value={job.name} onValue={(name) => set('name', name)} />
        <TextField label="Place" value={job.place} onValue={(place) => set('place', place)} />
        <ChoiceField
          label="Units"
          value={job.units}
          choices={[
            { value: 'metric', label: 'metric (m, kg, kN)' },
            { value: 'us', label: 'US customary (ft-in, lb)' },
          ]}
          onValue={(units) => set('units', units)}
          note="Switch at any time; nothing typed is rounded."
        />
        <ChoiceField
          label="Rule set"
          value={job.ruleSet}
          choices={(Object.keys(ruleSetName) as RuleSetId[]).map((value) => ({ value, label: ruleSetName[value] }))}
          onValue={(ruleSet) => set('ruleSet', ruleSet)}
          note="Every threshold can be seen and changed."
        />
      </div>
      <ChoiceField
        label="What is built, and how it goes up"
        value={kind}
        choices={templateIds.map((value) => ({ value, label: templates[value].name }))}
        onValue={(next) => {
          setKind(next);
          setProblem(null);
        }}
        note={template.about}
      />
      {template.fields.length > 0 && (
        <div className="grid grid-cols-2 gap-x-6 gap-y-3 border-t border-line pt-3 max-[560px]:grid-cols-1">
          {template.fields
            .filter(({ when }) => !when || given[when.key] === when.is)
            .map((field) => (
              <Asked
                key={field.key}
                field={field}
                units={job.units}
                value={given[field.key] ?? ''}
                onValue={(value) => {
                  setSaid((now) => ({ ...now, [field.key]: value }));
                  setProblem(null);
                }}
              />
            ))}
        </div>
      )}
      <div className="sticky -bottom-4 -mb-4 space-y-2 border-t border-line bg-paper pt-3 pb-4">
        {problem && (
          <p role="alert" className="font-semibold text-stop">
            {problem}
          </p>
        )}
        <PlainButton strong type="submit">
          Begin
        </PlainButton>
      </div>
    </form>
  );
}

function Asked({ field, units, value, onValue }: { field: TemplateField; units: NewPlan['units']; value: string; onValue: (value: string) => void }) {
  const { label, note, choices, example } = field;
  if (choices)
    return <ChoiceField label={label} value={value} choices={choices.map(([one, words]) => ({ value: one, label: words }))} onValue={onValue} note={note} />;
  return (
    <TextField
      label={label}
      value={value}
      placeholder={example && `e.g. ${example[units]}`}
      note={note}
      onValue={(text) => {
        onValue(text);
        return null;
      }}
    />
  );
}
