'use client';
import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import type { Ref } from '@/core/view/draw-list';
import { lookAxis } from '@/core/view/look-axis';
import { lookWords, nextLook } from '@/core/view/looks';
import type { Vec } from '@/core/geometry/plane';
import { settle } from '@/core/settle/settle';
import { formatQuantity, roundLengths, metresPer } from '@/core/units';
import { Sheet } from '@/ui/board/sheet';
import { again } from '@/ui/again';
import { boardHands, isSteel, steelOf, type PlacedBeam } from './board-hands';
import { useJob, useJobStore } from '@/job/job-context';
import { drawnBehind } from '@/job/view/looking';

const ModelView = lazy(() => again(() => import('./model-view')));

type Shown = 'both' | 'above' | 'side' | 'model';
const shownWords: Record<Shown, string> = { both: 'Both', above: 'Plan', side: 'Elevation', model: 'Model' };

const ABOVE_MARGINS = { top: 36, right: 22, bottom: 30, left: 22 };
const SIDE_MARGINS = { top: 40, right: 22, bottom: 26, left: 40 };

const movesAbove = (ref: Ref) =>
  ref.kind === 'stand' ||
  ref.kind === 'bearing' ||
  ref.kind === 'start' ||
  ref.kind === 'obstruction' ||
  ref.kind === 'zone' ||
  ref.kind === 'signaller' ||
  ref.kind === 'powerLine' ||
  ref.kind === 'powerLineEnd' ||
  ref.kind === 'leg' ||
  ref.kind === 'shore' ||
  ref.kind === 'path';
const movesSide = (ref: Ref) => ref.kind === 'pickPoint';

/** By its ends a piece is turned, by its middle it is put elsewhere, also where others are drawn over it. */
function gripsOf({ id, from, to }: PlacedBeam, seen: (at: PlacedBeam['from']) => Vec): { ref: Ref; at: Vec }[] {
  const [a, b] = [seen(from), seen(to)];
  return [
    { ref: { kind: 'beamEnd', id, end: 'from' }, at: a },
    { ref: { kind: 'beamEnd', id, end: 'to' }, at: b },
    { ref: { kind: 'beam', id }, at: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 } },
  ];
}

/** Plan and elevation of the moment, with hands to move what stands in them. */
export function Board() {
  const store = useJobStore();
  const chosen = useJob((state) => state.chosen);
  const above = useJob((state) => state.survey.above);
  const side = useJob((state) => state.survey.side);
  const look = useJob((state) => state.look);
  const turned = useJob((state) => nextLook(state.history.plan, state.look));
  const cursor = useJob((state) => state.cursor);
  const system = useJob((state) => state.history.plan.job.units);
  const inSpace = useJob((state) => state.history.plan.structure.pieces.some(({ from, to }) => from !== null && to !== null));
  const behind = useJob(drawnBehind);
  const known = useJob((state) => state.cursor < state.history.plan.moves.length);
  const [wanted, setShown] = useState<Shown>('both');
  const shown = wanted === 'model' && !inSpace ? 'both' : wanted;
  const step = system === 'us' ? metresPer.in * 3 : 0.05;
  const ends = useJob((state) => steelOf(state.history.plan, state.chosen));
  const lies = useJob((state) => (steelOf(state.history.plan, state.chosen) ? state.history.plan : null));
  const axis = useMemo(() => lies && lookAxis(settle(lies), [], 'beam'), [lies]);
  // What is to be moved is chosen first: a board full of steel is not dragged apart by panning it.
  const ours = useCallback((ref: Ref) => ends !== null && isSteel(ref) && ref.id === ends.id, [ends]);
  const draggableAbove = useCallback((ref: Ref) => movesAbove(ref) || ours(ref), [ours]);
  const draggableSide = useCallback((ref: Ref) => movesSide(ref) || (look === 'beam' && ours(ref)), [ours, look]);
  const gripsAbove = useMemo(() => (ends ? gripsOf(ends, ({ x, y }) => ({ x, y })) : undefined), [ends]);
  const gripsSide = useMemo(
    () => (ends && axis && look === 'beam' ? gripsOf(ends, ({ x, y, z }) => ({ x: x * axis.x + y * axis.y, y: z })) : undefined),
    [ends, axis, look],
  );
  const hands = useMemo(() => boardHands(store, step), [store, step]);
  const measureText = useMemo(() => (metres: number) => formatQuantity(metres, 'length', system), [system]);
  const moment = known && cursor >= 0 ? `at move ${cursor + 1}` : 'before the first move';
  const views = useMemo(
    () => (
      <span className="flex" role="group" aria-label="Drawings shown">
        {(Object.keys(shownWords) as Shown[])
          .filter((one) => one !== 'model' || inSpace)
          .map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={shown === one}
              onClick={() => setShown(one)}
              className={`h-6 border-r border-line px-2 text-[12.5px] ${shown === one ? 'bg-ink text-white' : 'hover:bg-tray'}`}
            >
              {shownWords[one]}
            </button>
          ))}
      </span>
    ),
    [shown, inSpace],
  );
  const sideTools = useMemo(
    () => (
      <>
        {shown === 'side' && views}
        {turned !== look && (
          <button
            type="button"
            onClick={() => store.getState().lookAlong(turned)}
            className="h-6 border-r border-line px-2 text-[12.5px] hover:bg-tray"
            title="Turn the elevation (E)"
          >
            Turn: {lookWords[turned].toLowerCase()}
          </button>
        )}
      </>
    ),
    [shown, views, store, look, turned],
  );
  const aboveTitle = useMemo(() => <Title view="Plan" moment={moment} />, [moment]);
  const modelTitle = useMemo(() => <Title view="Model" moment={moment} />, [moment]);
  const sideTitle = useMemo(() => <Title view={lookWords[look]} moment={moment} />, [look, moment]);
  const shared = { behind, chosen, measureText, roundLengths: roundLengths[system], onChoose: hands.choose, onDrop: hands.drop, nudgeStep: step };
  return (
    <div className="flex h-full min-h-0 min-w-0 flex-col divide-y divide-line">
      {shown === 'model' && (
        <Suspense fallback={<p className="p-10 text-soft">Opening the model …</p>}>
          <ModelView title={modelTitle} tools={views} />
        </Suspense>
      )}
      {(shown === 'both' || shown === 'above') && (
        <Sheet
          {...shared}
          name="Plan"
          title={aboveTitle}
          drawing={above}
          margins={ABOVE_MARGINS}
          draggable={draggableAbove}
          grips={gripsAbove}
          onDrag={hands.dragAbove}
          onNudge={hands.nudgeAbove}
          tools={views}
        />
      )}
      {(shown === 'both' || shown === 'side') && (
        <Sheet
          {...shared}
          name="Elevation"
          title={sideTitle}
          drawing={side}
          margins={SIDE_MARGINS}
          draggable={draggableSide}
          grips={gripsSide}
          onDrag={hands.dragSide}
          onNudge={hands.nudgeSide}
          tools={sideTools}
        />
      )}
    </div>
  );
}

function Title({ view, moment }: { view: string; moment: string }) {
  return (
    <>
      <span className="text-[#696456]">{view}</span> · {moment}
    </>
  );
}
