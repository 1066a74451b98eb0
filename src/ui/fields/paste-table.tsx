'use client';
import { useState, type ReactNode } from 'react';
import { SmallButton } from '@/ui/small-button';

/** A table pasted from elsewhere: read when somebody says so, refused with what is wrong with it. */
export function PasteTable({
  label,
  example,
  rows,
  onRead,
  children,
}: {
  label: string;
  example: string;
  rows: number;
  /** takes the table; null when it was read, or else why not */
  onRead: (text: string) => Promise<string | null> | string | null;
  /** further buttons */
  children?: ReactNode;
}) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const read = async () => setProblem(await onRead(text));
  return (
    <div className="space-y-1.5">
      <label className="block text-[12.5px] text-soft">
        {label}
        <textarea
          value={text}
          rows={rows}
          onChange={(event) => {
            setText(event.target.value);
            setProblem(null);
          }}
          placeholder={example}
          className="mt-1 block w-full border-[1.5px] border-ink bg-white p-1.5 font-mono text-[12.5px] text-ink"
        />
      </label>
      {problem && (
        <p role="alert" className="font-semibold text-stop">
          {problem}
        </p>
      )}
      <div className="flex gap-1.5">
        <SmallButton onClick={() => void read()}>Read it</SmallButton>
        {children}
      </div>
    </div>
  );
}
