import type { ReactNode } from 'react';

/** A button with a word on it; `strong` for the one that does it. */
export function PlainButton({
  children,
  onClick,
  disabled,
  strong,
  type = 'button',
}: {
  children: ReactNode;
  onClick?: () => void;
  disabled?: boolean;
  strong?: boolean;
  type?: 'button' | 'submit';
}) {
  return (
    <button
      type={type}
      onClick={onClick}
      disabled={disabled}
      className={`sign border-2 px-3.5 py-1.5 text-[16px] leading-5 ${strong ? 'border-ink bg-ink text-white hover:bg-gear disabled:border-faint disabled:bg-faint' : 'border-ink bg-paper hover:bg-tray disabled:border-faint disabled:text-pencil'}`}
    >
      {children}
    </button>
  );
}
