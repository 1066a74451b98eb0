'use client';
import type { ReactNode } from 'react';

/** A button among the figures of a form. */
export function SmallButton({
  onClick,
  children,
  label,
  danger,
  disabled,
}: {
  onClick: () => void;
  children: ReactNode;
  label?: string;
  danger?: boolean;
  disabled?: boolean;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      onClick={onClick}
      disabled={disabled}
      className={`inline-flex items-center justify-center gap-1 self-start whitespace-nowrap border px-1.5 py-0.5 text-[12.5px] disabled:opacity-60 ${danger ? 'border-line text-stop hover:border-stop' : 'border-line hover:border-ink hover:bg-white'}`}
    >
      {children}
    </button>
  );
}
