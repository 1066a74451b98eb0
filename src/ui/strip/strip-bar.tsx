'use client';
import { useMemo, useRef } from 'react';
import type { Verdict } from '@/core/verdict/check';

const HIGH = 10;
const look: Record<Exclude<Verdict, 'clear'>, { colour: string; height: number }> = {
  stop: { colour: '#b3261e', height: HIGH },
  missing: { colour: '#5b5470', height: 7 },
  tight: { colour: '#8f5a00', height: 4 },
};

/** All moves at once, a hair each, those that are not clear raised by how they stand: a press or a stroke along it goes there. */
export function StripBar({ cards, cursor, onGo }: { cards: readonly { verdict: Verdict }[]; cursor: number; onGo: (cursor: number) => void }) {
  const bar = useRef<SVGSVGElement>(null);
  const runs = useMemo(() => runsOf(cards.map(({ verdict }) => verdict)), [cards]);
  const go = (x: number) => {
    const box = bar.current?.getBoundingClientRect();
    if (!box || box.width === 0) return;
    onGo(Math.min(cards.length - 1, Math.max(0, Math.floor(((x - box.left) / box.width) * cards.length))));
  };
  return (
    <svg
      ref={bar}
      aria-hidden
      data-strip-bar
      viewBox={`0 0 ${cards.length} ${HIGH}`}
      preserveAspectRatio="none"
      className="mt-1 h-[12px] w-full shrink-0 cursor-pointer touch-none border border-line bg-paper"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        go(event.clientX);
      }}
      onPointerMove={(event) => event.buttons === 1 && go(event.clientX)}
    >
      {cursor >= 0 && <rect x={0} y={0} width={cursor + 1} height={HIGH} fill="#e4dcca" />}
      {runs.map(({ from, count, verdict }) => (
        // No run so short that it is not seen.
        <rect
          key={from}
          x={from}
          y={HIGH - look[verdict].height}
          width={Math.max(count, cards.length / 400)}
          height={look[verdict].height}
          fill={look[verdict].colour}
        />
      ))}
      {cursor >= 0 && <rect x={cursor} y={0} width={Math.max(1, cards.length / 300)} height={HIGH} fill="#22282c" />}
    </svg>
  );
}

interface Run {
  from: number;
  count: number;
  verdict: Exclude<Verdict, 'clear'>;
}

/** Moves one after another that stand alike and are not clear. */
export function runsOf(verdicts: readonly Verdict[]): Run[] {
  const runs: Run[] = [];
  verdicts.forEach((verdict, i) => {
    if (verdict === 'clear') return;
    const last = runs.at(-1);
    if (last && last.verdict === verdict && last.from + last.count === i) last.count += 1;
    else runs.push({ from: i, count: 1, verdict });
  });
  return runs;
}
