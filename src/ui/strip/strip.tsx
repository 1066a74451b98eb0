'use client';
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { horizontalListSortingStrategy, SortableContext, sortableKeyboardCoordinates, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useVirtualizer } from '@tanstack/react-virtual';
import { later } from '@/ui/later';
import { memo, useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { foldByDay, foldByPiece, type OfPiece } from '@/core/evaluate/by-piece';
import type { WorkDay } from '@/core/document/work-days';
import type { Verdict } from '@/core/verdict/check';
import type { Bay } from '@/core/settle/bays';
import type { BayStrokes } from '@/core/view/bay-strokes';
import { VerdictMark, verdictWord } from '../verdict/verdict-mark';
import { again } from '../again';
import { edgeOf } from './edge';
import { picturesOf } from './pictures';
import { StripBar } from './strip-bar';

export interface Card {
  id: string;
  number: number;
  title: string;
  about: string;
  verdict: Verdict;
  /** number of an earlier move that may not be made yet: nobody gets here; null when there is none */
  waitsFor: number | null;
  /** the piece it belongs to; null: to none */
  piece: OfPiece;
  /** it brings that piece to its place */
  sets: boolean;
}

interface StripProps {
  cards: Card[];
  /** of each piece its stroke in a small picture of the steel */
  strokes: BayStrokes | null;
  /** in which bay each piece is; empty: the steel has none */
  bays: ReadonlyMap<string, Bay>;
  /** the days the run sheet is cut into; empty: none ends */
  days: readonly WorkDay[];
  start: Verdict;
  cursor: number;
  standing: string;
  tools: ReactNode;
  onGo: (cursor: number) => void;
  onShift: (id: string, to: number) => void;
}

/** Read when the strip is first folded. */
const FoldCard = later(() => again(() => import('./fold-card')).then((part) => part.FoldCard));

/** More moves than this are drawn as they come into sight, and can be looked for. */
const MANY = 60;
/** Of a card with the gap after it [px], where there are many. */
const STEP = 90;
const isTrouble = ({ verdict, waitsFor }: Card): boolean => verdict === 'stop' || verdict === 'missing' || (verdict === 'tight' && waitsFor === null);

/** The moves in order. The raised card is the moment the board shows; cards are dragged, or moved with space and the arrow keys. */
export const Strip = memo(function Strip({ cards, strokes, bays, days, start, cursor, standing, tools, onGo, onShift }: StripProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates, keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space'] } }),
  );
  const rail = useRef<HTMLOListElement>(null);
  const many = cards.length > MANY;
  const [wanted, setWanted] = useState('');
  const [trouble, setTrouble] = useState(false);
  const [by, setBy] = useState<'piece' | 'bay' | 'day' | null>(null);
  const shown = useMemo(() => {
    const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
    if (!many || (words.length === 0 && !trouble)) return cards;
    return cards.filter(
      (card) => (!trouble || isTrouble(card)) && words.every((word) => `${card.number} ${card.title} ${card.about}`.toLowerCase().includes(word)),
    );
  }, [cards, many, wanted, trouble]);
  const fold = useCallback(
    (of: Card[]) => (by === 'day' ? foldByDay(of, days) : foldByPiece(of, ({ piece }) => piece, by === 'bay' ? bays : null)),
    [by, bays, days],
  );
  const folds = useMemo(() => (many && by ? fold(shown) : null), [many, by, fold, shown]);
  const pictures = useMemo(() => (many && by && strokes ? picturesOf(fold(cards), strokes) : null), [many, by, fold, cards, strokes]);
  const inOrder = shown.length === cards.length && folds === null;
  const troubles = useMemo(() => cards.filter(isTrouble).length, [cards]);
  const here = (card: Card) => card.number - 1 === cursor;
  const at = folds ? folds.findIndex(({ items }) => items.some(here)) : shown.findIndex(here);
  const seen = useVirtualizer({
    horizontal: true,
    enabled: many,
    count: folds?.length ?? shown.length,
    getScrollElement: () => rail.current,
    estimateSize: () => STEP,
    overscan: 10,
    paddingStart: START,
    initialRect: { width: 1280, height: 90 },
    initialOffset: Math.max(0, at * STEP - 600),
  });
  useEffect(() => {
    if (many && at >= 0) seen.scrollToIndex(at, { align: 'auto' });
  }, [many, at, seen]);
  useEffect(() => {
    const card = many ? undefined : (rail.current?.children[cursor + 1] as HTMLElement | undefined);
    if (!card || !rail.current) return;
    // Along the rail only: the page stays where it is, which on a phone is at its top.
    const { offsetLeft, offsetWidth } = card;
    const { scrollLeft, clientWidth, offsetLeft: start } = rail.current;
    const left = offsetLeft - start;
    if (left < scrollLeft) rail.current.scrollLeft = left;
    else if (left + offsetWidth > scrollLeft + clientWidth) rail.current.scrollLeft = left + offsetWidth - clientWidth;
  }, [cursor, many]);
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id || !inOrder) return;
    onShift(
      String(active.id),
      cards.findIndex((card) => card.id === over.id),
    );
  };
  const ids = useMemo(() => shown.map((one) => one.id), [shown]);
  const items = many ? seen.getVirtualItems().filter(({ index }) => index < (folds?.length ?? shown.length)) : [];
  const card = (one: Card) => (
    <MoveCard
      key={one.id}
      card={one}
      state={one.number - 1 === cursor ? 'now' : one.number - 1 < cursor ? 'done' : 'ahead'}
      of={many ? cards.length : null}
      onGo={onGo}
    />
  );
  const title = (id: string | number) => cards.find((card) => card.id === id)?.title ?? '';
  return (
    <section
      aria-label="Moves"
      className={`flex min-w-0 flex-col bg-tray px-3 pt-1.5 pb-2 max-[900px]:h-full ${pictures ? 'h-[184px]' : many ? 'h-[152px] min-[901px]:pointer-coarse:h-[178px]' : 'h-[136px] min-[901px]:pointer-coarse:h-[158px]'}`}
    >
      <div className="flex items-baseline gap-3 overflow-hidden max-[900px]:gap-1">
        <h2 className="text-[17px]">Moves</h2>
        <p className="min-w-0 flex-1 truncate text-[13px] text-soft max-[900px]:invisible" aria-live="polite">
          {standing}
        </p>
        {many && (
          <span className="flex shrink-0 items-center gap-2 text-[13px] max-[900px]:hidden">
            <input
              aria-label="Find a move"
              placeholder="Find a move"
              value={wanted}
              onChange={(event) => setWanted(event.target.value)}
              className="h-6 w-[130px] border border-line bg-white px-1.5 outline-none focus:border-ink"
            />
            <button
              type="button"
              aria-pressed={trouble}
              onClick={() => setTrouble(!trouble)}
              className={`h-6 border px-1.5 ${trouble ? 'border-ink bg-ink text-white' : 'border-line bg-paper hover:border-ink'}`}
            >
              Not clear: {troubles}
            </button>
            {(['piece', 'bay', 'day'] as const).map(
              (what) =>
                (what === 'piece' || (what === 'bay' ? bays.size > 0 : days.length > 0)) && (
                  <button
                    key={what}
                    type="button"
                    aria-pressed={by === what}
                    onClick={() => setBy(by === what ? null : what)}
                    className={`h-6 border px-1.5 ${by === what ? 'border-ink bg-ink text-white' : 'border-line bg-paper hover:border-ink'}`}
                  >
                    By {what}
                  </button>
                ),
            )}
            {shown.length !== cards.length && <span role="status">{shown.length} shown</span>}
          </span>
        )}
        {tools}
      </div>
      {many && <StripBar cards={cards} cursor={cursor} onGo={onGo} />}
      <DndContext
        id="moves"
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={drop}
        accessibility={{
          screenReaderInstructions: { draggable: 'Press space to pick the move up, arrow keys to shift it, space to put it down, escape to leave it.' },
          announcements: {
            onDragStart: ({ active }) => `Picked up ${title(active.id)}.`,
            onDragOver: ({ active, over }) => (over ? `${title(active.id)} is over ${title(over.id)}.` : undefined),
            onDragEnd: ({ active, over }) => (over ? `${title(active.id)} put at ${title(over.id)}.` : undefined),
            onDragCancel: ({ active }) => `${title(active.id)} left where it was.`,
          },
        }}
      >
        <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
          <ol ref={rail} className="mt-1 flex min-h-0 flex-1 items-stretch gap-1.5 overflow-x-auto overflow-y-hidden px-1 pt-1.5 pb-1.5">
            <li className="shrink-0">
              <button
                type="button"
                onClick={() => onGo(-1)}
                aria-current={cursor === -1 ? 'step' : undefined}
                className={`flex h-full w-[58px] flex-col justify-between border px-2 py-1.5 text-left ${cursor === -1 ? '-translate-y-1 border-ink bg-white ring-2 ring-ink' : 'border-line bg-board'}`}
              >
                <VerdictMark verdict={start} size={15} />
                <span className="sign text-[14px] leading-[1.1]">Before work</span>
              </button>
            </li>
            {many ? (
              <>
                <li aria-hidden className="shrink-0" style={{ width: Math.max(0, (items[0]?.start ?? START) - START) }} />
                {items.map(({ index }) =>
                  folds ? (
                    <FoldCard key={folds[index]!.key} fold={folds[index]!} picture={pictures?.get(folds[index]!.key) ?? null} cursor={cursor} onGo={onGo} />
                  ) : (
                    card(shown[index]!)
                  ),
                )}
                <li aria-hidden className="shrink-0" style={{ width: Math.max(0, seen.getTotalSize() - (items.at(-1)?.end ?? 0)) }} />
              </>
            ) : (
              cards.map(card)
            )}
          </ol>
        </SortableContext>
      </DndContext>
    </section>
  );
});

/** Where the first card begins: after the one of before work [px]. */
const START = 68;

const MoveCard = memo(function MoveCard({
  card,
  state,
  of,
  onGo,
}: {
  card: Card;
  state: 'now' | 'done' | 'ahead';
  /** of how many, where not all of them are drawn */ of: number | null;
  onGo: (cursor: number) => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: card.id });
  const waits = card.waitsFor !== null && (card.verdict === 'clear' || card.verdict === 'tight');
  const edge = edgeOf[card.verdict];
  const ground =
    state === 'now' ? 'bg-white ring-2 ring-ink -translate-y-1 shadow-[2px_3px_0_rgba(34,40,44,.2)]' : state === 'done' ? 'bg-[#efe9db]' : 'bg-paper';
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      aria-setsize={of ?? undefined}
      aria-posinset={of === null ? undefined : card.number}
      className={`${of === null ? 'min-w-[78px] flex-1 basis-0' : 'w-[84px] shrink-0'} ${isDragging ? 'z-20 opacity-80' : ''}`}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        onClick={() => onGo(card.number - 1)}
        aria-current={state === 'now' ? 'step' : undefined}
        aria-label={`Move ${card.number}: ${card.title}, ${card.about}. ${waits ? `waits for move ${card.waitsFor}` : verdictWord[card.verdict]}.`}
        data-move={card.id}
        data-verdict={card.verdict}
        className={`flex h-full w-full flex-col border px-1.5 py-1 text-left ${edge} ${ground}`}
      >
        <span className="flex w-full items-center justify-between">
          <span className="sign text-[16px] leading-5">{card.number}</span>
          {waits ? (
            <span className="text-[11.5px] leading-4 whitespace-nowrap text-soft">after {card.waitsFor}</span>
          ) : (
            <VerdictMark verdict={card.verdict} size={14} bare />
          )}
        </span>
        <span className="sign line-clamp-2 text-[15px] leading-[1.12]">{card.title}</span>
        <span className="mt-auto w-full truncate text-[12px] leading-4 text-soft">{card.about}</span>
      </button>
    </li>
  );
});
