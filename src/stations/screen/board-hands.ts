import { lineOf, wayOf } from '@/core/document/views';
import { startOf } from '@/core/document/lies';
import { sameRef, type Ref } from '@/core/view/draw-list';
import { lookAxis } from '@/core/view/look-axis';
import { snap } from '@/core/view/view';
import type { Vec } from '@/core/geometry/plane';
import { pickOf, pieceOf } from '@/core/document/lookups';
import type { StationId } from '@/core/verdict/check';
import type { Command } from '@/core/edit/table';
import type { Beam, Plan } from '@/core/document/schema';
import { shoreGrip, shoreTo } from '@/core/edit/shore-place';
import type { Drag } from '@/ui/board/sheet';
import { again } from '@/ui/again';
import type { JobStore } from '@/job/job-store';
import { settle } from '@/core/settle/settle';

/** Where a thing stands on the plan before it is moved. */
function placeOf(plan: Plan, ref: Ref): Vec | null {
  switch (ref.kind) {
    case 'bearing':
      return plan.bearings.find((one) => one.id === ref.id)?.at ?? null;
    case 'stand':
      return plan.stands.find((one) => one.id === ref.id)?.at ?? null;
    case 'leg':
      return wayOf(plan, ref.id)?.legs.find((one) => one.id === ref.id)?.at ?? null;
    case 'shore':
      return shoreGrip(plan, ref.id);
    case 'obstruction':
      return plan.site.obstructions.find((one) => one.id === ref.id)?.at ?? null;
    case 'zone':
      return plan.site.zones?.find((one) => one.id === ref.id)?.at ?? null;
    case 'signaller':
      return plan.site.signallers?.find((one) => one.id === ref.id)?.at ?? null;
    case 'powerLine':
      return plan.site.powerLines.find((one) => one.id === ref.id)?.from ?? null;
    case 'powerLineEnd':
      return plan.site.powerLines.find((one) => one.id === ref.id)?.[ref.end] ?? null;
    case 'start': {
      const beam = plan.structure.pieces.find((one) => one.id === ref.id);
      const start = plan.pieces.find((one) => one.id === ref.id)?.start ?? (beam && startOf(beam));
      return start ? { x: start.x, y: start.y } : null;
    }
    default:
      return null;
  }
}

type Point = NonNullable<Beam['from']>;
/** A piece of the structure that is in its place. */
export type PlacedBeam = Beam & { from: Point; to: Point };

export const isSteel = ({ kind }: Ref): boolean => kind === 'beam' || kind === 'beamEnd';

/** The piece of the structure that is chosen; null: none is, or it has no place. */
export function steelOf(plan: Plan, ref: Ref | null): PlacedBeam | null {
  if (ref === null || !isSteel(ref)) return null;
  const beam = plan.structure.pieces.find((one) => one.id === ref.id);
  return beam?.from && beam.to ? (beam as PlacedBeam) : null;
}

const stationOf: Record<Ref['kind'], StationId> = {
  bearing: 'measure',
  piece: 'steel',
  start: 'steel',
  pickPoint: 'picks',
  stand: 'gear',
  obstruction: 'gear',
  zone: 'gear',
  signaller: 'gear',
  powerLine: 'gear',
  powerLineEnd: 'gear',
  leg: 'wayIn',
  opening: 'measure',
  shore: 'shores',
  path: 'picks',
  beam: 'steel',
  beamEnd: 'steel',
};

/** What the pointer and the arrow keys do to the things on the drawings. `step` is the snap, in metres. */
export function boardHands(store: JobStore, step: number) {
  let hold: Vec | null = null;
  let heldEnd: Point | null = null;
  let grip = 0;
  const plan = () => store.getState().history.plan;
  /** The grip of a way is where it is drawn. */
  const placeNow = (ref: Ref): Vec | null => {
    if (ref.kind !== 'path') return placeOf(plan(), ref);
    const grip = store.getState().survey.above.shapes.find((one) => one.shape === 'dot' && one.of !== undefined && sameRef(one.of, ref));
    return grip?.shape === 'dot' ? grip.centre : null;
  };

  const put = (ref: Ref, at: Vec, group: string): void => {
    const { act } = store.getState();
    if (ref.kind === 'bearing') act({ name: 'editBearing', args: { id: ref.id, changes: { at } } }, group);
    else if (ref.kind === 'stand') act({ name: 'editStand', args: { id: ref.id, changes: { at } } }, group);
    else if (ref.kind === 'obstruction') act({ name: 'editObstruction', args: { id: ref.id, changes: { at } } }, group);
    else if (ref.kind === 'zone') act({ name: 'editIn', args: { list: 'zones', id: ref.id, changes: { at } } }, group);
    else if (ref.kind === 'signaller') act({ name: 'editIn', args: { list: 'signallers', id: ref.id, changes: { at } } }, group);
    else if (ref.kind === 'powerLineEnd') act({ name: 'editPowerLine', args: { id: ref.id, changes: ref.end === 'from' ? { from: at } : { to: at } } }, group);
    else if (ref.kind === 'powerLine') {
      // The whole line goes along with the end it is held by.
      const line = plan().site.powerLines.find((one) => one.id === ref.id);
      if (!line?.from || !line.to) return;
      const to = { x: line.to.x + at.x - line.from.x, y: line.to.y + at.y - line.from.y };
      act({ name: 'editPowerLine', args: { id: ref.id, changes: { from: at, to } } }, group);
    } else if (ref.kind === 'path') {
      act({ name: 'drawPath', args: { pick: ref.id, to: at } }, group);
    } else if (ref.kind === 'leg') act({ name: 'editIn', args: { list: 'legs', id: ref.id, changes: { at } } }, group);
    else if (ref.kind === 'shore') {
      const move = shoreTo(plan(), ref.id, at, 0);
      if (move) act({ name: 'editIn', args: { ...move, id: ref.id } } as Command, group);
    } else if (ref.kind === 'start') {
      const beam = plan().structure.pieces.find((one) => one.id === ref.id);
      if (beam) act({ name: 'editIn', args: { list: 'beams', id: ref.id, changes: { lies: { azimuthDeg: null, level: null, ...beam.lies, ...at } } } }, group);
      else act({ name: 'editPiece', args: { id: ref.id, changes: { start: { ...pieceOf(plan(), ref.id).start, ...at } } } }, group);
    }
  };
  /** A pick slides along the piece; in the turned elevation the piece may run the other way. */
  const slide = (ref: Ref, shift: number, group: string, from: number, free: boolean): void => {
    if (ref.kind !== 'pickPoint') return;
    const along = store.getState().look === 'beam' ? 1 : lookAxis(settle(plan()), [], 'beam').x;
    const distance = from + (ref.end === 'left' ? shift : -shift) * Math.sign(along || 1);
    const value = Math.max(0, free ? distance : snap(distance, step));
    store.getState().act({ name: 'editPick', args: { id: ref.id, changes: ref.end === 'left' ? { left: value } : { right: value } } }, group);
  };
  /** What is held of a piece of the structure: one of its ends, or all of it by its first. */
  const endOf = (ref: Ref): Point | null => {
    const ends = steelOf(plan(), ref);
    return ends && (ref.kind === 'beamEnd' ? ends[ref.end] : ends.from);
  };
  const place = (ref: Ref, at: Point, seen: 'above' | 'side', group: string, to: number | null): void => {
    const end = ref.kind === 'beamEnd' ? ref.end : null;
    store.getState().act({ name: 'placePiece', args: { id: ref.id, end, at, step: to, seen } }, group);
  };
  /** So far along the elevation, which stands square to the longest piece, and so far up. */
  const beside = (at: Point, by: Vec): Point => {
    const axis = lookAxis(settle(plan()), [], 'beam');
    return { x: at.x + axis.x * by.x, y: at.y + axis.y * by.x, z: at.z + by.y };
  };
  const reach = (ref: Extract<Ref, { kind: 'pickPoint' }>): number => pickOf(plan(), ref.id)[ref.end];

  return {
    dragAbove({ ref, from, to, free, first }: Drag): void {
      if (isSteel(ref)) {
        if (first) [heldEnd, grip] = [endOf(ref), grip + 1];
        if (heldEnd) place(ref, { ...heldEnd, x: heldEnd.x + to.x - from.x, y: heldEnd.y + to.y - from.y }, 'above', `drag ${grip}`, free ? null : step);
        return;
      }
      if (first) {
        hold = placeNow(ref);
        grip += 1;
      }
      if (!hold) return;
      const at = { x: hold.x + to.x - from.x, y: hold.y + to.y - from.y };
      if (ref.kind === 'shore') {
        const move = shoreTo(plan(), ref.id, at, free ? 0 : step);
        if (move) store.getState().act({ name: 'editIn', args: { ...move, id: ref.id } } as Command, `drag ${grip}`);
        return;
      }
      put(ref, free ? at : { x: snap(at.x, step), y: snap(at.y, step) }, `drag ${grip}`);
    },
    nudgeAbove(ref: Ref, by: Vec): void {
      const end = endOf(ref);
      if (end) return place(ref, { ...end, x: end.x + by.x, y: end.y + by.y }, 'above', `nudge ${ref.kind} ${ref.id}`, null);
      const at = placeNow(ref);
      if (at) put(ref, { x: snap(at.x + by.x, 0.0001), y: snap(at.y + by.y, 0.0001) }, `nudge ${ref.kind} ${ref.id}`);
    },
    dragSide({ ref, from, to, free, first }: Drag): void {
      if (isSteel(ref)) {
        if (first) [heldEnd, grip] = [endOf(ref), grip + 1];
        if (heldEnd) place(ref, beside(heldEnd, { x: to.x - from.x, y: to.y - from.y }), 'side', `drag ${grip}`, free ? null : step);
        return;
      }
      if (ref.kind !== 'pickPoint') return;
      if (first) {
        hold = { x: reach(ref), y: 0 };
        grip += 1;
      }
      if (hold) slide(ref, to.x - from.x, `slide ${grip}`, hold.x, free);
    },
    nudgeSide(ref: Ref, by: Vec): void {
      const end = endOf(ref);
      if (end) return place(ref, beside(end, by), 'side', `nudge ${ref.kind} ${ref.id}`, null);
      if (ref.kind === 'pickPoint') slide(ref, by.x, `nudge ${ref.end}`, reach(ref), true);
    },
    drop(): void {
      [hold, heldEnd] = [null, null];
      store.getState().done();
    },
    choose(ref: Ref | null): void {
      store.getState().choose(ref);
      if (!ref) return;
      const { openStation, chooseLine, chooseWay } = store.getState();
      const line = ref.kind === 'shore' ? lineOf(plan(), ref.id) : undefined;
      const way = ref.kind === 'leg' ? wayOf(plan(), ref.id) : undefined;
      if (line) chooseLine(line.id);
      if (way) chooseWay(way.id);
      openStation(stationOf[ref.kind]);
      if (ref.kind === 'beam') void again(() => import('@/job/view/go-to')).then(({ unfold }) => unfold(ref.id));
    },
  };
}
