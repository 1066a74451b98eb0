'use client';
import { Command } from 'cmdk';
import { useId } from 'react';
import { findSection, searchSections } from '@/core/steel/sections';
import { formatQuantity, type UnitSystem } from '@/core/units';
import { FieldShell } from './field-shell';
import { FindList, findRow } from './find-list';

const SHOWN = 80;

/** A searchable list of the section tables; a mark is found however it is written. */
export function SectionField({ label, value, system, onValue }: { label: string; value: string; system: UnitSystem; onValue: (designation: string) => void }) {
  const id = useId();
  const known = findSection(value);
  return (
    <FieldShell
      id={id}
      label={label}
      problem={known || value === '' ? undefined : `“${value}” is not in the tables: choose one.`}
      note={
        known &&
        `${formatQuantity(known.massPerLength, 'massPerLength', system)}, ${formatQuantity(known.depth, 'dimension', system)} deep · ${known.basis}; confirm against the current table`
      }
    >
      <FindList
        id={id}
        says={known?.designation ?? (value || 'none said')}
        look="w-full py-0.5 text-[15px] leading-5"
        width="w-[320px]"
        finds="Find a section"
        placeholder="W10x88, ub 533, HE 200 A …"
        none="No listed section has that mark."
        rows={(search, close) =>
          searchSections(search, SHOWN).map((row) => (
            <Command.Item
              key={row.designation}
              value={row.designation}
              onSelect={() => {
                onValue(row.designation);
                close();
              }}
              className={`flex justify-between gap-2 ${findRow}`}
            >
              <span className="font-semibold">{row.designation}</span>
              <span className="text-soft">
                {formatQuantity(row.massPerLength, 'massPerLength', system)} · {formatQuantity(row.depth, 'dimension', system)}
              </span>
            </Command.Item>
          ))
        }
      />
    </FieldShell>
  );
}
