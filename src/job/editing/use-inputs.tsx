'use client';
import { later } from '@/ui/later';
import type { ReactElement } from 'react';
import type { Fault } from '@/core/calc/schema';
import type { QuantityKind } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { again } from '@/ui/again';
import { useField } from './use-edit';

/** The section tables come with the field that needs them. */
const SectionField = later(() => again(() => import('@/ui/fields/section-field')).then((part) => part.SectionField));
/** So does the calendar. */
const DateField = later(() => again(() => import('@/ui/fields/date-field')).then((part) => part.DateField));

type Said = Fault[] | null;
type Extra = { placeholder?: string; note?: string };

/** Fields of a form in the units of the job, a line each. The label is the key too: it is said once in a form. */
export function useInputs() {
  const field = useField();
  return {
    /** a figure that may be left open */
    open: (label: string, kind: QuantityKind, value: number | null, onValue: (value: number | null) => Said, extra: Extra = {}): ReactElement => (
      <QuantityField key={label} {...field} {...extra} label={label} kind={kind} value={value} clearable onValue={onValue} />
    ),
    /** a figure there must be; null while nobody has said it */
    figure: (label: string, kind: QuantityKind, value: number | null, onValue: (value: number) => Said, extra: Extra = {}): ReactElement => (
      <QuantityField
        key={label}
        {...field}
        placeholder={value === null ? 'not known' : undefined}
        {...extra}
        label={label}
        kind={kind}
        value={value}
        onValue={(one) => onValue(one ?? 0)}
      />
    ),
    /** a whole number, no less than `least` */
    whole: (label: string, value: number, least: number, onValue: (value: number) => Said): ReactElement => (
      <QuantityField key={label} {...field} label={label} kind="count" value={value} onValue={(one) => onValue(Math.max(least, Math.round(one ?? least)))} />
    ),
    words: (label: string, value: string, onValue: (value: string) => Said, extra: Extra = {}): ReactElement => (
      <TextField key={label} {...field} {...extra} label={label} value={value} onValue={onValue} />
    ),
    date: (label: string, value: string, onValue: (value: string) => Said, extra: { note?: string } = {}): ReactElement => (
      <DateField key={label} {...field} {...extra} label={label} value={value} onValue={onValue} />
    ),
    section: (label: string, value: string, onValue: (value: string) => Said): ReactElement => (
      <SectionField key={label} label={label} value={value} system={field.system} onValue={onValue} />
    ),
    choice: <V extends string>(label: string, value: V, choices: readonly (readonly [V, string])[], onValue: (value: V) => Said): ReactElement => (
      <ChoiceField key={label} label={label} value={value} choices={choices.map(([one, said]) => ({ value: one, label: said }))} onValue={onValue} />
    ),
  };
}

export const same = <V extends string>(values: readonly V[]): (readonly [V, V])[] => values.map((one) => [one, one] as const);
