'use client';
import type { Fault } from '@/core/calc/schema';
import type { ShoreTag } from '@/core/document/schema';
import { useInputs } from '@/job/editing/use-inputs';

/** Its line in the temporary works register. */
export function TagFields({ tag, onChange }: { tag: ShoreTag; onChange: (tag: ShoreTag, field: string) => Fault[] | null }) {
  const { date, open, words } = useInputs();
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-4 gap-y-2">
      {words('Designed by', tag.designer, (designer) => onChange({ ...tag, designer }, 'designer'))}
      {words('Checked by', tag.checker, (checker) => onChange({ ...tag, checker }, 'checker'))}
      {date('Loaded since', tag.loadedOn, (loadedOn) => onChange({ ...tag, loadedOn }, 'loaded'))}
      {date('Last inspected', tag.lastOn ?? '', (lastOn) => onChange({ ...tag, lastOn }, 'last'))}
      {open('Inspected every, days', 'count', tag.days, (days) => onChange({ ...tag, days: days === null ? null : Math.max(1, Math.round(days)) }, 'days'))}
    </div>
  );
}
