'use client';
import { useState, type KeyboardEvent } from 'react';

/** A cell takes its text when it is left or on Enter; what cannot be read stays, says why and changes nothing. */
export function TableCell({
  name,
  cell,
  text,
  right,
  onText,
  onDone,
  onTravel,
}: {
  name: string;
  cell: string;
  text: string;
  right?: boolean;
  onText: (text: string) => string | null;
  onDone: () => void;
  onTravel: (event: KeyboardEvent<HTMLInputElement>) => void;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const take = () => {
    if (draft === null) return;
    const wrong = draft === text ? null : onText(draft);
    setProblem(wrong);
    if (wrong === null) setDraft(null);
    onDone();
  };
  return (
    <span role="cell" className="relative min-w-0">
      <input
        aria-label={name}
        data-cell={cell}
        value={draft ?? text}
        aria-invalid={problem ? true : undefined}
        title={problem ?? (text === '' ? undefined : text)}
        onChange={(event) => setDraft(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            setDraft(null);
            setProblem(null);
          } else {
            if (event.key === 'Enter') take();
            onTravel(event);
          }
        }}
        className={`w-full min-w-0 bg-transparent px-1 text-[14px] text-ellipsis outline-none focus:bg-white focus:ring-1 focus:ring-ink ${right ? 'text-right' : ''} ${problem ? 'text-stop underline decoration-wavy' : ''}`}
      />
      {problem && (
        <span role="alert" className="absolute top-full left-0 z-20 w-[220px] border border-stop bg-white px-2 py-1 text-[12.5px] text-stop">
          {problem}
        </span>
      )}
    </span>
  );
}
