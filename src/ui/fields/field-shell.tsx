import type { ReactNode } from 'react';

/** Label above, one ruled line, unit at its end, and under it what is wrong or worth knowing. */
export function FieldShell({
  id,
  label,
  unit,
  problem,
  note,
  labelHidden,
  children,
}: {
  id: string;
  label: string;
  unit?: string;
  problem?: ReactNode;
  note?: ReactNode;
  /** what stands beside it says it already */
  labelHidden?: boolean;
  children: ReactNode;
}) {
  return (
    <div className="min-w-0" data-field>
      <label htmlFor={id} className={labelHidden ? 'sr-only' : 'block truncate text-[12.5px] leading-4 text-soft'} title={label}>
        {label}
      </label>
      <div className={`flex items-baseline gap-1 border-b-[1.5px] ${problem ? 'border-stop' : 'border-ink'} focus-within:bg-white`}>
        {children}
        {unit && <span className="shrink-0 text-[12.5px] text-soft">{unit}</span>}
      </div>
      {problem && (
        <div id={`${id}-problem`} role="alert" className="mt-1 text-[12.5px] leading-[1.3] font-semibold text-stop">
          {problem}
        </div>
      )}
      {!problem && note && (
        <div id={`${id}-note`} className="mt-0.5 text-[12px] leading-[1.3] text-soft">
          {note}
        </div>
      )}
    </div>
  );
}
