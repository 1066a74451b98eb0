'use client';
import { useState } from 'react';
import type { Derived } from '@/core/checks/steel/derived';
import { formatQuantity, type UnitSystem } from '@/core/units';
import { Traces } from './check-line';

/** A length to cut is told to the millimetre. */
const shown = ({ value, kind }: Derived, system: UnitSystem): string =>
  kind === 'length' && system === 'metric' ? `${value.toFixed(3)} m` : formatQuantity(value, kind, system);

/** Figures that follow from what was measured; each opens to its working. */
export function DerivedList({ figures, system }: { figures: readonly Derived[]; system: UnitSystem }) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <ul>
      {figures.map((figure) => {
        const key = `${figure.id}/${figure.subject}`;
        return (
          <li key={key} className="border-b border-dotted border-line last:border-0" data-figure={figure.id}>
            <button
              type="button"
              aria-expanded={open === key}
              onClick={() => setOpen(open === key ? null : key)}
              className="flex w-full items-baseline justify-between gap-3 py-1 text-left hover:bg-board"
            >
              <span className="text-[13.5px]">
                <span className="font-semibold">{figure.subject}</span> · {figure.title}
              </span>
              <span className="sign shrink-0 text-[16px]">{shown(figure, system)}</span>
            </button>
            {open === key && (
              <div className="bg-white/60 px-2 py-1">
                <Traces traces={figure.traces} system={system} sources />
              </div>
            )}
          </li>
        );
      })}
    </ul>
  );
}
