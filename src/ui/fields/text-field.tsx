'use client';
import { useId, useState, type ReactNode } from 'react';
import type { Fault } from '@/core/calc/schema';
import { FieldShell } from './field-shell';

interface TextFieldProps {
  label: string;
  value: string;
  onValue: (value: string) => Fault[] | null;
  onDone?: () => void;
  placeholder?: string;
  note?: ReactNode;
}

export function TextField({ label, value, onValue, onDone, placeholder, note }: TextFieldProps) {
  const id = useId();
  const [refused, setRefused] = useState<{ text: string; problem: string } | null>(null);
  const take = (text: string) => {
    const faults = onValue(text);
    setRefused(faults?.[0] ? { text, problem: faults[0].error } : null);
  };
  return (
    <FieldShell id={id} label={label} problem={refused?.problem} note={note}>
      <input
        id={id}
        type="text"
        className="w-full min-w-0 bg-transparent py-0.5 text-[15px] leading-5 outline-none placeholder:text-missing"
        value={refused?.text ?? value}
        placeholder={placeholder}
        aria-invalid={refused ? true : undefined}
        aria-describedby={refused ? `${id}-problem` : undefined}
        onChange={(event) => take(event.target.value)}
        onBlur={() => onDone?.()}
      />
    </FieldShell>
  );
}
