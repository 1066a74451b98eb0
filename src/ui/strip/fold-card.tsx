import { memo } from 'react';
import type { Folded } from '@/core/evaluate/by-piece';
import { verdicts, type Verdict } from '@/core/verdict/check';
import { VerdictMark, verdictWord } from '../verdict/verdict-mark';
import { BayPicture } from './bay-picture';
import { edgeOf } from './edge';
import { setAt, type Picture } from './pictures';
import type { Card } from './strip';

const ground: Record<Verdict, string> = { stop: '#b3261e', missing: '#5b5470', tight: '#8f5a00', clear: '#b9b2a2' };
/** Of a tick [px], by how its move stands: what hurts stands higher. */
const high: Record<Verdict, number> = { stop: 22, missing: 16, tight: 12, clear: 8 };
const WIDE = 100;
const HIGH = 24;

/** A tick no wider than this, so that three moves do not look like a wall. */
const TICK = 12;

/**
 * All moves of one piece or one bay on one card: the steel up to it, and a tick for each move, raised by how it stands. A press goes to the worst of
 * them, on a tick to its own, on the picture to where the piece is set: drawn along the pictures the job goes up.
 */
export const FoldCard = memo(function FoldCard({
  fold,
  picture,
  cursor,
  onGo,
}: {
  fold: Folded<Card>;
  picture: Picture | null;
  cursor: number;
  onGo: (cursor: number) => void;
}) {
  const { items, mark } = fold;
  const [first] = items;
  const worst = items.reduce((a, b) => (verdicts.indexOf(b.verdict) < verdicts.indexOf(a.verdict) ? b : a));
  const here = items.some(({ number }) => number - 1 === cursor);
  const name = mark ?? first!.title;
  const counts = verdicts.flatMap((verdict) => {
    const of = items.filter((one) => one.verdict === verdict).length;
    return of > 0 && verdict !== 'clear' ? [`${of} ${verdictWord[verdict]}`] : [];
  });
  const step = Math.min(TICK, WIDE / items.length);
  const edge = edgeOf[worst.verdict];
  const set = setAt(items) - 1;
  return (
    <li className="flex w-[84px] shrink-0 flex-col select-none">
      {picture && (
        <div
          data-bay={fold.key}
          className={`cursor-pointer touch-pan-x border-x border-t border-line ${here ? 'bg-white' : 'bg-paper'}`}
          onPointerDown={(event) => {
            // The next picture hears of the pointer too.
            event.currentTarget.releasePointerCapture(event.pointerId);
            onGo(set);
          }}
          onPointerEnter={(event) => event.buttons === 1 && onGo(set)}
        >
          <BayPicture picture={picture} verdict={worst.verdict} />
        </div>
      )}
      <button
        type="button"
        data-fold={fold.key}
        data-verdict={worst.verdict}
        aria-current={here ? 'step' : undefined}
        aria-label={`${name}: ${items.length === 1 ? 'one move' : `${items.length} moves`}, from move ${first!.number}. ${counts.join(', ') || 'clear'}.`}
        onClick={() => onGo(worst.number - 1)}
        className={`flex min-h-0 w-full flex-1 flex-col border px-1.5 py-1 text-left ${edge} ${here ? 'bg-white ring-2 ring-ink' : 'bg-paper'}`}
      >
        <span className="flex w-full items-center justify-between">
          <span className="text-[12px] leading-5 text-soft">from {first!.number}</span>
          <VerdictMark verdict={worst.verdict} size={14} bare />
        </span>
        <span className="sign line-clamp-2 text-[15px] leading-[1.12]">{name}</span>
        <svg aria-hidden viewBox={`0 0 ${WIDE} ${HIGH}`} preserveAspectRatio="none" className="mt-auto h-[24px] w-full">
          {items.map(({ id, number, verdict }, n) => (
            <rect
              key={id}
              x={n * step}
              y={HIGH - high[verdict]}
              width={step * 0.72}
              height={high[verdict]}
              fill={number - 1 === cursor ? '#22282c' : ground[verdict]}
              className="cursor-pointer"
              onClick={(event) => (event.stopPropagation(), onGo(number - 1))}
            />
          ))}
        </svg>
      </button>
    </li>
  );
});
