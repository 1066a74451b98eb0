import type { Verdict } from '@/core/verdict/check';
import type { Picture } from './pictures';

const ink: Record<Verdict, string> = { stop: '#b3261e', missing: '#5b5470', tight: '#8f5a00', clear: '#22282c' };

/** The steel as it is after a piece: each picture has one stroke more than the one before it. */
export function BayPicture({ picture: { wide, high, all, before, stopped, own }, verdict }: { picture: Picture; verdict: Verdict }) {
  return (
    <svg aria-hidden data-bay-picture viewBox={`0 0 ${wide} ${high}`} className="block w-full" style={{ height: high }} fill="none" strokeLinecap="round">
      <path d={all} stroke="#d8d0be" strokeWidth={0.8} />
      <path d={before} stroke="#a5452f" strokeWidth={0.9} />
      <path d={stopped} stroke={ink.stop} strokeWidth={2} />
      <path d={own} stroke={ink[verdict]} strokeWidth={3} strokeDasharray={verdict === 'missing' ? '3 4' : undefined} />
    </svg>
  );
}
