'use client';
import { useVirtualizer } from '@tanstack/react-virtual';
import { CopyPlus, FlipHorizontal2, Move3d, Plus, X } from 'lucide-react';
import { useMemo, useState, type KeyboardEvent } from 'react';
import { copyPieces, movePieces, type Shift } from '@/core/edit/many-places';
import { newMake } from '@/core/edit/templates/base';
import type { Beam } from '@/core/document/schema';
import { formatForInput, inputUnit, parseQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { PlainButton } from '@/ui/plain-button';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { MeetsFinder } from './meets-finder';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { TableCell } from './table-cell';

const ROW = 28;
const GRID = 'grid grid-cols-[30px_120px_150px_repeat(6,minmax(0,1fr))] items-center gap-x-2';
const ends = ['from', 'to'] as const;
const axes = ['x', 'y', 'z'] as const;
const axisName = { x: 'east', y: 'north', z: 'level' } as const;
type End = (typeof ends)[number];
type Point = NonNullable<Beam['from']>;

/** Where the pieces of the structure are to be: typed, and many at once put elsewhere, set once more or mirrored. */
export function PlacesDialog({ onClose }: { onClose: () => void }) {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const system = plan.job.units;
  const { pieces, makes } = plan.structure;
  const [filter, setFilter] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [last, setLast] = useState<string | null>(null);
  // Of an end nobody has placed yet, what has been typed of it so far.
  const [begun, setBegun] = useState<ReadonlyMap<string, Partial<Point>>>(new Map());
  const [problem, setProblem] = useState<string | null>(null);
  // The list is measured once the dialog has put it on the page.
  const [frame, setFrame] = useState<HTMLDivElement | null>(null);
  const makeOf = useMemo(() => new Map(makes.map((one) => [one.id, one])), [makes]);
  const shown = useMemo(() => {
    const words = filter.trim().toLowerCase();
    return words === '' ? pieces : pieces.filter(({ mark, make }) => `${mark} ${makeOf.get(make)?.mark ?? ''}`.toLowerCase().includes(words));
  }, [pieces, filter, makeOf]);
  // eslint-disable-next-line react-hooks/incompatible-library -- the list scrolls by its own state; nothing memoised leans on it
  const rows = useVirtualizer({ count: shown.length, getScrollElement: () => frame, estimateSize: () => ROW, overscan: 10 });
  const picked = useMemo(() => new Set(pieces.filter(({ id }) => chosen.has(id)).map(({ id }) => id)), [pieces, chosen]);

  const choose = (id: string, on: boolean, range: boolean) => {
    const next = new Set(chosen);
    const [a, b] = [shown.findIndex((one) => one.id === last), shown.findIndex((one) => one.id === id)];
    const several = range && a >= 0 ? shown.slice(Math.min(a, b), Math.max(a, b) + 1).map((one) => one.id) : [id];
    for (const one of several)
      if (on) next.add(one);
      else next.delete(one);
    setChosen(next);
    setLast(id);
  };
  const put = (beam: Beam, end: End, axis: keyof Point, text: string): string | null => {
    const parsed = parseQuantity(text, 'length', system);
    if (!parsed.ok) return parsed.reason;
    const key = `${beam.id} ${end}`;
    const point = { ...(beam[end] ?? begun.get(key)), [axis]: parsed.value } as Partial<Point>;
    if (axes.some((one) => point[one] === undefined)) {
      setBegun(new Map(begun).set(key, point));
      return null;
    }
    return act('editIn', { list: 'beams', id: beam.id, changes: { [end]: point } }, `place ${key}`)?.[0]?.error ?? null;
  };
  const travel = (event: KeyboardEvent<HTMLInputElement>, row: number, column: string) => {
    const by = event.key === 'Enter' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const to = row + by;
    if (by === 0 || to < 0 || to >= shown.length) return;
    event.preventDefault();
    rows.scrollToIndex(to);
    requestAnimationFrame(() => frame?.querySelector<HTMLInputElement>(`[data-cell="${to} ${column}"]`)?.focus());
  };
  const add = () => {
    const make = makes.at(-1) ?? newMake(freshId('mk'), 'New make', { kind: 'section', section: '' }, 6, '');
    if (!makes.includes(make)) act('addTo', { list: 'makes', thing: make }, 'new piece');
    act(
      'addTo',
      { list: 'beams', thing: { id: freshId('pc'), mark: `New ${pieces.length + 1}`, make: make.id, weighed: null, from: null, to: null } },
      'new piece',
    );
    done();
    setFilter('');
  };
  const takeOut = () => {
    for (const id of picked) act('removeFrom', { list: 'beams', id }, `take out ${[...picked].join(' ')}`);
    done();
    setChosen(new Set());
  };
  const shift = (by: Shift, copies: number | null) => {
    const faults = copies === null ? act('editEach', movePieces(plan, picked, by)) : act('addStructure', copyPieces(plan, picked, by, copies, freshId));
    done();
    setProblem(faults?.[0]?.error ?? null);
  };
  const value = (beam: Beam, end: End, axis: keyof Point): string => {
    const known = beam[end]?.[axis] ?? begun.get(`${beam.id} ${end}`)?.[axis];
    return known === undefined ? '' : formatForInput(known, 'length', system);
  };
  return (
    <Modal
      open
      onOpenChange={(next) => !next && onClose()}
      wide
      title="Pieces and their places"
      about={`Underside of a beam, axis of a column; ${inputUnit('length', system)} unless you write a unit. Each change is one step to undo.`}
    >
      <div className="space-y-2">
        <div className="flex flex-wrap items-end gap-3">
          <label className="block text-[12.5px] text-soft">
            Find by mark or make
            <input
              type="text"
              value={filter}
              onChange={(event) => setFilter(event.target.value)}
              className="block h-8 w-[220px] border-[1.5px] border-ink bg-white px-2 text-[14px] text-ink"
            />
          </label>
          <p role="status" className="pb-1 text-[13px]">
            {picked.size} of {pieces.length} chosen
          </p>
          <span className="flex flex-wrap gap-1.5 pb-0.5">
            <SmallButton onClick={() => setChosen(new Set([...picked, ...shown.map(({ id }) => id)]))}>Choose all {shown.length} listed</SmallButton>
            {picked.size > 0 && <SmallButton onClick={() => setChosen(new Set())}>Choose none</SmallButton>}
            {picked.size > 0 && (
              <SmallButton onClick={takeOut}>
                <X size={13} aria-hidden /> Take {picked.size} out
              </SmallButton>
            )}
            <SmallButton onClick={add}>
              <Plus size={13} aria-hidden /> A new piece
            </SmallButton>
          </span>
        </div>
        <ShiftTools count={picked.size} onShift={shift} />
        <MeetsFinder />
        {problem && <p className="text-stop">{problem}</p>}
        <div role="table" aria-label="Pieces and their places" aria-rowcount={shown.length + 1} className="border border-line bg-white text-[13px]">
          <div role="row" className={`${GRID} border-b-2 border-ink px-1 py-1 font-semibold`}>
            <span role="columnheader" />
            <span role="columnheader">Mark</span>
            <span role="columnheader">Make</span>
            {ends.flatMap((end) =>
              axes.map((axis) => (
                <span key={`${end} ${axis}`} role="columnheader" className="text-right">
                  {end === 'from' ? 'from' : 'to'} {axisName[axis]}
                </span>
              )),
            )}
          </div>
          <div ref={setFrame} className="h-[300px] overflow-auto">
            <div className="relative" style={{ height: rows.getTotalSize() }}>
              {rows.getVirtualItems().map(({ index, start }) => {
                const beam = shown[index]!;
                return (
                  <div
                    key={beam.id}
                    role="row"
                    aria-rowindex={index + 2}
                    className={`${GRID} absolute inset-x-0 border-b border-dotted border-line px-1 ${picked.has(beam.id) ? 'bg-tray' : ''}`}
                    style={{ top: start, height: ROW }}
                  >
                    <span role="cell">
                      <input
                        type="checkbox"
                        aria-label={`Choose ${beam.mark}`}
                        checked={picked.has(beam.id)}
                        onChange={({ target, nativeEvent }) => choose(beam.id, target.checked, nativeEvent instanceof MouseEvent && nativeEvent.shiftKey)}
                        className="h-4 w-4"
                      />
                    </span>
                    <TableCell
                      name={`Mark of ${beam.mark}`}
                      cell={`${index} mark`}
                      text={beam.mark}
                      onText={(mark) => act('editIn', { list: 'beams', id: beam.id, changes: { mark } })?.[0]?.error ?? null}
                      onDone={done}
                      onTravel={(event) => travel(event, index, 'mark')}
                    />
                    <span role="cell" className="truncate">
                      <ChoiceField
                        label={`Make of ${beam.mark}`}
                        labelHidden
                        value={beam.make}
                        choices={makes.map((one) => ({ value: one.id, label: one.mark || 'no mark' }))}
                        onValue={(make) => act('editIn', { list: 'beams', id: beam.id, changes: { make } })}
                      />
                    </span>
                    {ends.flatMap((end) =>
                      axes.map((axis) => (
                        <TableCell
                          key={`${end} ${axis}`}
                          name={`${beam.mark}, ${end} ${axisName[axis]}`}
                          cell={`${index} ${end} ${axis}`}
                          text={value(beam, end, axis)}
                          right
                          onText={(text) => put(beam, end, axis, text)}
                          onDone={done}
                          onTravel={(event) => travel(event, index, `${end} ${axis}`)}
                        />
                      )),
                    )}
                  </div>
                );
              })}
            </div>
          </div>
        </div>
        <div className="flex justify-end">
          <PlainButton strong onClick={onClose}>
            Done
          </PlainButton>
        </div>
      </div>
    </Modal>
  );
}

/** What may be done to all that are chosen. */
function ShiftTools({ count, onShift }: { count: number; onShift: (by: Shift, copies: number | null) => void }) {
  const system = usePlan().job.units;
  const [by, setBy] = useState<Point>({ x: 0, y: 0, z: 0 });
  const [times, setTimes] = useState(1);
  const [across, setAcross] = useState<'x' | 'y'>('x');
  const [at, setAt] = useState<number | null>(null);
  const still = by.x === 0 && by.y === 0 && by.z === 0;
  const take =
    <V,>(set: (value: V) => void) =>
    (value: V) => (set(value), null);
  return (
    <fieldset disabled={count === 0} className="flex flex-wrap items-end gap-x-4 gap-y-2 border border-line px-3 py-2 disabled:opacity-60">
      <legend className="px-1 text-[12.5px] text-soft">{count === 0 ? 'Choose pieces to put them elsewhere' : `All ${count} chosen`}</legend>
      {axes.map((axis) => (
        <span key={axis} className="w-[86px]">
          <QuantityField
            label={`By ${axisName[axis]}`}
            kind="length"
            system={system}
            value={by[axis]}
            onValue={take((value: number | null) => setBy({ ...by, [axis]: value ?? 0 }))}
          />
        </span>
      ))}
      <SmallButton disabled={count === 0 || still} onClick={() => onShift({ kind: 'by', ...by }, null)}>
        <Move3d size={13} aria-hidden /> Put there
      </SmallButton>
      <span className="w-[64px]">
        <QuantityField
          label="Times"
          kind="count"
          system={system}
          value={times}
          onValue={take((value: number | null) => setTimes(Math.min(200, Math.max(1, Math.round(value ?? 1)))))}
        />
      </span>
      <SmallButton disabled={count === 0 || still} onClick={() => onShift({ kind: 'by', ...by }, times)}>
        <CopyPlus size={13} aria-hidden /> Set once more, each so much on
      </SmallButton>
      <span className="w-[236px]">
        <ChoiceField
          label="Mirror along a line"
          value={across}
          choices={[
            { value: 'x', label: 'running north, at an east of' },
            { value: 'y', label: 'running east, at a north of' },
          ]}
          onValue={setAcross}
        />
      </span>
      <span className="w-[86px]">
        <QuantityField label="The line lies at" kind="length" system={system} value={at} clearable placeholder="not said" onValue={take(setAt)} />
      </span>
      <SmallButton disabled={count === 0 || at === null} onClick={() => at !== null && onShift({ kind: 'mirror', across, at }, 1)}>
        <FlipHorizontal2 size={13} aria-hidden /> Set in the mirror
      </SmallButton>
    </fieldset>
  );
}
