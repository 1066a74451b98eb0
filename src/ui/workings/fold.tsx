'use client';
import { ChevronRight } from 'lucide-react';
import { useState, type ReactNode } from 'react';

/** A part of the workings that folds away; open parts stay open while one works. */
export function Fold({
  title,
  note,
  tools,
  first,
  thing,
  children,
}: {
  title: string;
  note?: ReactNode;
  tools?: ReactNode;
  /** open at first */ first?: boolean;
  /** id of the thing it is about, so that a check of it can be shown here */
  thing?: string;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(first ?? false);
  return (
    <section className="border-t border-line" data-thing={thing}>
      <div className="flex items-center justify-between gap-2 py-1.5">
        <h3 className="min-w-0 flex-1 font-text font-normal">
          <button type="button" aria-expanded={open} onClick={() => setOpen(!open)} className="flex w-full min-w-0 items-center gap-1.5 text-left">
            <ChevronRight size={13} aria-hidden className={`shrink-0 self-center transition-transform ${open ? 'rotate-90' : ''}`} />
            <span className="sign shrink-0 text-[15px] text-gear">{title}</span>
            {note && <span className="truncate text-[12.5px] text-soft">{note}</span>}
          </button>
        </h3>
        {tools}
      </div>
      {open && <div className="pb-2.5">{children}</div>}
    </section>
  );
}

export function Pair({ children }: { children: ReactNode }) {
  return <div className="grid grid-cols-2 gap-x-4 gap-y-2">{children}</div>;
}
