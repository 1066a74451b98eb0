'use client';
import { useId, useRef, useState } from 'react';
import { SmallButton } from '@/ui/small-button';

/** Files from this machine: a button that says what it does, and beside it what was chosen. */
export function FileField({ label, accept, many, onFiles }: { label: string; accept: string; many?: boolean; onFiles: (files: FileList | null) => void }) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const [names, setNames] = useState<readonly string[]>([]);
  return (
    <div className="flex min-w-0 flex-wrap items-center gap-x-2 gap-y-1 text-[14px]">
      <label htmlFor={id} className="text-soft">
        {label}
      </label>
      <SmallButton onClick={() => input.current?.click()}>{many ? 'Choose files …' : 'Choose a file …'}</SmallButton>
      <span className="min-w-0 truncate text-soft">
        {names.slice(0, 3).join(', ')}
        {names.length > 3 && ` and ${names.length - 3} more`}
      </span>
      <input
        id={id}
        ref={input}
        type="file"
        accept={accept}
        multiple={many}
        tabIndex={-1}
        className="sr-only"
        onChange={(event) => {
          setNames([...(event.target.files ?? [])].map(({ name }) => name));
          onFiles(event.target.files);
        }}
      />
    </div>
  );
}
