'use client';
import type { ShoreTag } from '@/core/plan/schema';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { useField } from './use-edit';

/** Its line in the temporary works register. */
export function TagFields({ tag, onChange }: { tag: ShoreTag; onChange: (tag: ShoreTag, field: string) => null }) {
  const field = useField();
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-4 gap-y-2">
      <TextField {...field} label="Designed by" value={tag.designer} onValue={(designer) => onChange({ ...tag, designer }, 'designer')} />
      <TextField {...field} label="Checked by" value={tag.checker} onValue={(checker) => onChange({ ...tag, checker }, 'checker')} />
      <TextField {...field} label="Loaded since" type="date" value={tag.loadedOn} onValue={(loadedOn) => onChange({ ...tag, loadedOn }, 'loaded')} />
      <QuantityField
        {...field}
        label="Inspected every, days"
        kind="count"
        value={tag.days}
        clearable
        onValue={(days) => onChange({ ...tag, days: days === null ? null : Math.max(1, Math.round(days)) }, 'days')}
      />
    </div>
  );
}
