'use client';
import { Plus, X } from 'lucide-react';
import type { Bearing } from '@/core/document/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { SmallButton } from '@/ui/small-button';
import { usePlan } from '@/job/job-context';
import { useField } from '@/job/editing/use-edit';

/** What a thing stands on, and how its load is shared. */
export function StandsOn({
  name,
  standsOn,
  not,
  onChange,
}: {
  name: string;
  standsOn: Bearing['standsOn'];
  /** itself */ not?: string;
  onChange: (next: Bearing['standsOn']) => void;
}) {
  const { links } = usePlan();
  const field = useField();
  const free = links.filter((link) => link.id !== not);
  const put = (i: number, changes: Partial<Bearing['standsOn'][number]>) => {
    onChange(standsOn.map((one, n) => (n === i ? { ...one, ...changes } : one)));
    return null;
  };
  return (
    <div className="mt-2">
      <div className="flex items-baseline justify-between text-[12.5px] text-soft">
        <span>{standsOn.length === 0 ? `${name} stands on nothing written down yet` : 'Its load goes down to'}</span>
        {free.length > 0 && (
          <SmallButton onClick={() => onChange([...standsOn, { link: free[0]!.id, share: standsOn.length === 0 ? 1 : 0 }])}>
            <Plus size={13} aria-hidden /> Link
          </SmallButton>
        )}
      </div>
      {standsOn.map((one, i) => (
        <div key={i} className="mt-1 grid grid-cols-[1.6fr_1fr_auto] items-end gap-2">
          <ChoiceField
            label="Stands on"
            value={one.link}
            choices={free.map((link) => ({ value: link.id, label: link.name }))}
            onValue={(link) => put(i, { link })}
          />
          <QuantityField {...field} label="Share" kind="fraction" value={one.share} onValue={(share) => put(i, { share: share ?? 0 })} />
          <SmallButton danger label="Take this link out" onClick={() => onChange(standsOn.filter((_, n) => n !== i))}>
            <X size={13} />
          </SmallButton>
        </div>
      ))}
    </div>
  );
}
