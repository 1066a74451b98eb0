'use client';
import { ChevronDown } from 'lucide-react';
import * as Select from '@radix-ui/react-select';
import { useId } from 'react';
import { FieldShell } from './field-shell';

interface ChoiceFieldProps<V extends string> {
  label: string;
  value: V;
  choices: readonly { value: V; label: string }[];
  onValue: (value: V) => void;
  note?: string;
  labelHidden?: boolean;
}

export function ChoiceField<V extends string>({ label, value, choices, onValue, note, labelHidden }: ChoiceFieldProps<V>) {
  const id = useId();
  return (
    <FieldShell id={id} label={label} note={note} labelHidden={labelHidden}>
      <Choice id={id} value={value} choices={choices} onValue={onValue} look="py-0.5 text-[15px] leading-5 font-semibold" />
    </FieldShell>
  );
}

/** One of several, without a label of its own: in a row of a list. */
export function Choice<V extends string>({
  id,
  name,
  value,
  choices,
  onValue,
  look,
}: Pick<ChoiceFieldProps<V>, 'value' | 'choices' | 'onValue'> & { id?: string; name?: string; look: string }) {
  return (
    <Select.Root value={value} onValueChange={(next) => onValue(next as V)}>
      <Select.Trigger id={id} aria-label={name} className={`flex w-full min-w-0 items-center justify-between gap-1 text-left ${look}`}>
        <span className="truncate">
          <Select.Value />
        </span>
        <Select.Icon>
          <ChevronDown size={15} aria-hidden />
        </Select.Icon>
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={2}
          className="z-50 max-h-80 min-w-(--radix-select-trigger-width) overflow-auto border border-ink bg-white shadow-[3px_3px_0_rgba(34,40,44,.18)]"
        >
          <Select.Viewport>
            {choices.map((choice) => (
              <Select.Item
                key={choice.value}
                value={choice.value}
                className="cursor-pointer px-2.5 py-1.5 outline-none data-[highlighted]:bg-tray data-[state=checked]:font-semibold"
              >
                <Select.ItemText>{choice.label}</Select.ItemText>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
