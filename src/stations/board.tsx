'use client';
import { useMemo, useRef, useState } from 'react';
import type { Ref } from '@/core/drawing/draw-list';
import { lookAxis } from '@/core/drawing/elevation-scene';
import { snap } from '@/core/drawing/view';
import type { Vec } from '@/core/geometry/plane';
import { pickOf, pieceOf } from '@/core/plan/lookups';
import type { Plan } from '@/core/plan/schema';
import { formatQuantity, metresPer } from '@/core/units';
import { Sheet, type Drag } from '@/ui/board/sheet';
import { useAct, useJob, usePlan } from './job-context';

type Shown = 'both' | 'above' | 'side';
const shownWords: Record<Shown, string> = { both: 'Both', above: 'Plan', side: 'Elevation' };

const ABOVE_MARGINS = { top: 36, right: 22, bottom: 30, left: 22 };
const SIDE_MARGINS = { top: 40, right: 22, bottom: 26, left: 40 };

/** Where a thing stands on the plan before it is dragged. */
function placeOf(plan: Plan, ref: Ref): Vec | null {
  switch (ref.kind) {
    case 'bearing':
      return plan.bearings.find((one) => one.id === ref.id)?.at ?? null;
    case 'stand':
      return plan.stands.find((one) => one.id === ref.id)?.at ?? null;
    case 'obstruction':
      return plan.site.obstructions.find((one) => one.id === ref.id)?.at ?? null;
    case 'start': {
      const start = plan.pieces.find((one) => one.id === ref.id)?.start;
      return start ? { x: start.x, y: start.y } : null;
    }
    default:
      return null;
  }
}

/** Things on the drawing and what dragging them does, in the plan and in the elevation. */
export function Board() {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const choose = useJob((state) => state.choose);
  const chosen = useJob((state) => state.chosen);
  const open = useJob((state) => state.openStation);
  const survey = useJob((state) => state.survey);
  const look = useJob((state) => state.look);
  const lookAlong = useJob((state) => state.lookAlong);
  const cursor = useJob((state) => state.cursor);
  const [shown, setShown] = useState<Shown>('both');
  const hold = useRef<Vec | null>(null);
  const grip = useRef(0);
  const system = plan.job.units;
  const step = system === 'us' ? metresPer.in * 3 : 0.05;
  const measureText = useMemo(() => (metres: number) => formatQuantity(metres, 'length', system), [system]);
  const move = plan.moves[cursor];
  const moment = move ? `at move ${cursor + 1}` : 'before the first move';

  const put = (ref: Ref, at: Vec, group: string) => {
    if (ref.kind === 'bearing') act('editBearing', { id: ref.id, changes: { at } }, group);
    else if (ref.kind === 'stand') act('editStand', { id: ref.id, changes: { at } }, group);
    else if (ref.kind === 'obstruction') act('editObstruction', { id: ref.id, changes: { at } }, group);
    else if (ref.kind === 'start') {
      const start = pieceOf(plan, ref.id).start;
      act('editPiece', { id: ref.id, changes: { start: { ...start, ...at } } }, group);
    }
  };
  const dragAbove = ({ ref, from, to, free, first }: Drag) => {
    if (first) {
      hold.current = placeOf(plan, ref);
      grip.current += 1;
    }
    if (!hold.current) return;
    const at = { x: hold.current.x + to.x - from.x, y: hold.current.y + to.y - from.y };
    put(ref, free ? at : { x: snap(at.x, step), y: snap(at.y, step) }, `drag ${grip.current}`);
  };
  const nudgeAbove = (ref: Ref, by: Vec) => {
    const at = placeOf(plan, ref);
    if (at) put(ref, { x: snap(at.x + by.x, 0.0001), y: snap(at.y + by.y, 0.0001) }, `nudge ${ref.kind} ${ref.id}`);
  };
  const slidePick = (ref: Ref, shift: number, group: string, from: number, free: boolean) => {
    if (ref.kind !== 'pickPoint') return;
    const pick = pickOf(plan, ref.id);
    const axis = lookAxis(plan, null, 'beam');
    const along = look === 'beam' ? 1 : axis.x;
    const distance = from + (ref.end === 'left' ? shift : -shift) * Math.sign(along || 1);
    const value = Math.max(0, free ? distance : snap(distance, step));
    act('editPick', { id: pick.id, changes: ref.end === 'left' ? { left: value } : { right: value } }, group);
  };
  const dragSide = ({ ref, from, to, free, first }: Drag) => {
    if (ref.kind !== 'pickPoint') return;
    if (first) {
      const pick = pickOf(plan, ref.id);
      hold.current = { x: ref.end === 'left' ? pick.left : pick.right, y: 0 };
      grip.current += 1;
    }
    if (hold.current) slidePick(ref, to.x - from.x, `slide ${grip.current}`, hold.current.x, free);
  };
  const nudgeSide = (ref: Ref, by: Vec) => {
    if (ref.kind !== 'pickPoint') return;
    const pick = pickOf(plan, ref.id);
    slidePick(ref, by.x, `nudge ${ref.end}`, ref.end === 'left' ? pick.left : pick.right, true);
  };
  const drop = () => {
    hold.current = null;
    done();
  };
  const select = (ref: Ref | null) => {
    choose(ref);
    if (ref) open(ref.kind === 'bearing' ? 'measure' : ref.kind === 'piece' || ref.kind === 'start' ? 'steel' : ref.kind === 'pickPoint' ? 'picks' : 'gear');
  };
  const views = (
    <span className="flex" role="group" aria-label="Drawings shown">
      {(Object.keys(shownWords) as Shown[]).map((one) => (
        <button key={one} type="button" aria-pressed={shown === one} onClick={() => setShown(one)} className={`h-6 border-r border-line px-2 text-[12.5px] ${shown === one ? 'bg-ink text-white' : 'hover:bg-tray'}`}>
          {shownWords[one]}
        </button>
      ))}
    </span>
  );
  const looks = (
    <button type="button" onClick={() => lookAlong(look === 'beam' ? 'boom' : 'beam')} className="h-6 border-r border-line px-2 text-[12.5px] hover:bg-tray" title="Turn the elevation">
      {look === 'beam' ? 'Look square to the boom' : 'Look square to the beam'}
    </button>
  );
  return (
    <div className="flex h-full min-h-0 min-w-0 flex-col divide-y divide-line">
      {shown !== 'side' && (
        <Sheet
          name="Plan"
          title={
            <>
              <span className="text-pencil">Plan</span> · {moment}
            </>
          }
          drawing={survey.above}
          chosen={chosen}
          margins={ABOVE_MARGINS}
          measureText={measureText}
          onChoose={select}
          draggable={(ref) => ref.kind === 'stand' || ref.kind === 'bearing' || ref.kind === 'start' || ref.kind === 'obstruction'}
          onDrag={dragAbove}
          onDrop={drop}
          onNudge={nudgeAbove}
          nudgeStep={step}
          tools={views}
        />
      )}
      {shown !== 'above' && (
        <Sheet
          name="Elevation"
          title={
            <>
              <span className="text-pencil">{look === 'beam' ? 'Square to the beam' : 'Square to the boom'}</span> · {moment}
            </>
          }
          drawing={survey.side}
          chosen={chosen}
          margins={SIDE_MARGINS}
          measureText={measureText}
          onChoose={select}
          draggable={(ref) => ref.kind === 'pickPoint'}
          onDrag={dragSide}
          onDrop={drop}
          onNudge={nudgeSide}
          nudgeStep={step}
          tools={
            <>
              {shown === 'side' && views}
              {looks}
            </>
          }
        />
      )}
    </div>
  );
}
