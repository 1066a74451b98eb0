'use client';
import { useId, useState, type ReactNode } from 'react';
import type { Fault } from '@/core/calc/schema';
import { formatForInput, inputUnit, parseQuantity, type QuantityKind, type Reading, type UnitSystem } from '@/core/units';
import { FieldShell } from './field-shell';

export interface QuantityFieldProps {
  label: string;
  value: number | null;
  kind: QuantityKind;
  system: UnitSystem;
  /** takes the value; null when refused nothing, otherwise what is wrong with it */
  onValue: (value: number | null) => Fault[] | null;
  /** the field was left: the next edit is a step of its own for undo */
  onDone?: () => void;
  /** clearing it means “not known” */
  clearable?: boolean;
  note?: ReactNode;
  placeholder?: string;
  labelHidden?: boolean;
}

interface Draft {
  text: string;
  problem: string | null;
  choices: Reading[];
}

/** A number with its unit. Every keystroke that can be read is taken at once; what cannot be read says why and changes nothing. */
export function QuantityField({ label, value, kind, system, onValue, onDone, clearable, note, placeholder, labelHidden }: QuantityFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState<Draft | null>(null);
  const text = draft?.text ?? formatForInput(value, kind, system);

  const read = (next: string) => {
    if (next.trim() === '' && clearable) {
      const faults = onValue(null);
      return setDraft({ text: next, problem: faults?.[0]?.error ?? null, choices: [] });
    }
    const parsed = parseQuantity(next, kind, system);
    if (!parsed.ok) return setDraft({ text: next, problem: parsed.reason, choices: parsed.choices ?? [] });
    const faults = onValue(parsed.value);
    setDraft({ text: next, problem: faults?.[0]?.error ?? null, choices: [] });
  };
  const choose = (reading: Reading) => {
    const faults = onValue(reading.value);
    setDraft(faults ? { text, problem: faults[0]?.error ?? null, choices: [] } : null);
    onDone?.();
  };
  const leave = () => {
    if (draft && draft.problem === null) setDraft(null);
    onDone?.();
  };

  const problem = draft?.problem && (
    <>
      {draft.problem}
      {draft.choices.length > 0 && (
        <span className="mt-1 flex flex-wrap gap-1">
          {draft.choices.map((reading) => (
            <button
              key={reading.label}
              type="button"
              onClick={() => choose(reading)}
              className="border border-ink bg-white px-1.5 py-0.5 font-normal text-ink hover:bg-tray"
            >
              {reading.label}
            </button>
          ))}
        </span>
      )}
    </>
  );
  return (
    <FieldShell id={id} label={label} unit={inputUnit(kind, system)} problem={problem || undefined} note={note} labelHidden={labelHidden}>
      <input
        id={id}
        className="w-full min-w-0 bg-transparent py-0.5 text-[15px] leading-5 font-semibold outline-none placeholder:font-normal placeholder:text-missing"
        value={text}
        placeholder={placeholder ?? (clearable ? 'not known' : undefined)}
        inputMode="text"
        autoComplete="off"
        spellCheck={false}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? `${id}-problem` : note ? `${id}-note` : undefined}
        onChange={(event) => read(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={leave}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            setDraft(null);
            event.currentTarget.blur();
          } else if (event.key === 'Enter') event.currentTarget.blur();
        }}
      />
    </FieldShell>
  );
}
