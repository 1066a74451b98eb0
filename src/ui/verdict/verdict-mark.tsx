import type { Verdict } from '@/core/verdict/check';

export const verdictWord: Record<Verdict, string> = { clear: 'clear', tight: 'tight', stop: 'stop', missing: 'missing' };

/** Shape and colour of a verdict: open ring with a tick, half-filled diamond, solid block with a bar, dashed ring with a question mark. */
export function VerdictMark({ verdict, size = 16, bare = false }: { verdict: Verdict; size?: number; /** the word stands beside it */ bare?: boolean }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      role={bare ? 'presentation' : 'img'}
      aria-label={bare ? undefined : verdictWord[verdict]}
      className="shrink-0"
    >
      {verdict === 'clear' && (
        <g fill="none" stroke="var(--color-clear)" strokeWidth="1.6">
          <circle cx="8" cy="8" r="6" />
          <path d="M5 8.2l2.2 2.2L11.2 6" />
        </g>
      )}
      {verdict === 'tight' && (
        <g>
          <path d="M8 1.2L14.8 8 8 14.8 1.2 8z" fill="#fff" stroke="var(--color-tight)" strokeWidth="1.5" />
          <path d="M8 1.2L14.8 8 8 14.8z" fill="var(--color-tight)" />
        </g>
      )}
      {verdict === 'stop' && (
        <g>
          <rect x="1" y="1" width="14" height="14" rx="1.5" fill="var(--color-stop)" />
          <rect x="3.6" y="6.6" width="8.8" height="2.8" fill="#fff" />
        </g>
      )}
      {verdict === 'missing' && (
        <g>
          <circle cx="8" cy="8" r="6.4" fill="#fff" stroke="var(--color-missing)" strokeWidth="1.6" strokeDasharray="2.6 1.8" />
          <path
            d="M6.2 6.4c0-1.2.8-1.9 1.9-1.9s1.9.7 1.9 1.7c0 1.3-1.8 1.4-1.8 2.9M8.1 11.4v.2"
            fill="none"
            stroke="var(--color-missing)"
            strokeWidth="1.5"
            strokeLinecap="round"
          />
        </g>
      )}
    </svg>
  );
}
