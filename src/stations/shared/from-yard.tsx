'use client';
import { X } from 'lucide-react';
import type { Fault } from '@/core/calc/schema';
import { nameOfGear, yardWords } from '@/core/document/things/yard';
import { ChoiceField } from '@/ui/fields/choice-field';
import { SmallButton } from '@/ui/small-button';
import { usePlan } from '@/job/job-context';
import { Group } from './panel';

/** Which things of the yard a lift is made with. */
export function FromYard({ gear, onGear }: { gear: readonly string[]; onGear: (gear: string[]) => Fault[] | null }) {
  const yard = usePlan().yard ?? [];
  const left = yard.filter(({ id }) => !gear.includes(id));
  if (yard.length === 0) return null;
  return (
    <Group title="With gear of the yard">
      <ul aria-label="Gear it is done with" className="col-span-2 flex flex-wrap gap-1.5">
        {gear.map((id) => {
          const one = yard.find((thing) => thing.id === id);
          return one ? (
            <li key={id} className="flex items-center gap-1 rounded border border-line px-1.5 py-0.5 text-[13px]">
              {nameOfGear(one)}
              <SmallButton danger label={`Without ${nameOfGear(one)}`} onClick={() => onGear(gear.filter((each) => each !== id))}>
                <X size={13} />
              </SmallButton>
            </li>
          ) : null;
        })}
        {gear.length === 0 && <li className="text-[13px] text-soft">none named yet</li>}
      </ul>
      {left.length > 0 && (
        <div className="col-span-2">
          <ChoiceField
            label="Take from the yard"
            value="none"
            choices={[{ value: 'none', label: 'choose …' }, ...left.map((one) => ({ value: one.id, label: `${nameOfGear(one)}, ${yardWords[one.kind]}` }))]}
            onValue={(id) => id !== 'none' && onGear([...gear, id])}
          />
        </div>
      )}
    </Group>
  );
}
