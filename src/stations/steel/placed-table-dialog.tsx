'use client';
import { useMemo, useState } from 'react';
import { readGrid, readPlacedTable, type LevelOf } from '@/core/model/placed-table';
import { inputUnit } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { PlainButton } from '@/ui/plain-button';
import { ChoiceField } from '@/ui/fields/choice-field';
import { usePlan } from '@/job/job-context';
import { ModelPlaces } from './model-places';

const EXAMPLE = 'mark\tsection\tfrom\tto\tlevel\nC1\tUC 203x203x60\tA/1\tA/1\t0 to 4.2\nB1\tUB 305x165x40\tA/1\tB/1\t4.0';
const NOTHING_ASKED: never[] = [];

/** Pieces with their places pasted from a spreadsheet: where each stands, what meets what, before anything changes. */
export function PlacedTableDialog({ onClose }: { onClose: () => void }) {
  const { units } = usePlan().job;
  const [text, setText] = useState('');
  const [east, setEast] = useState('');
  const [north, setNorth] = useState('');
  const [levelOf, setLevelOf] = useState<LevelOf>('underside');
  const grid = useMemo(() => ({ east: readGrid(east, units), north: readGrid(north, units) }), [east, north, units]);
  const read = useMemo(
    () => (text.trim() === '' ? null : readPlacedTable(text, { east: grid.east.lines, north: grid.north.lines }, levelOf, units)),
    [text, grid, levelOf, units],
  );
  const faults = [...grid.east.faults, ...grid.north.faults].map((error) => ({ from: 'Grid', error })).concat(read?.faults ?? []);
  return (
    <Modal
      open
      onOpenChange={(next) => !next && onClose()}
      wide
      title="Places from a table"
      about={`Mark, section, from, to, level: ends by grid reference (A/1) or as east, north, level in ${inputUnit('length', units)}. A column has two levels. Nothing changes until you take it.`}
    >
      <div className="space-y-3">
        <div className="grid grid-cols-[1fr_1fr_220px] gap-4">
          <Line label="Grid lines running north, each with its east" value={east} onValue={setEast} example="A 0; B 6; C 12.5" />
          <Line label="Grid lines running east, each with its north" value={north} onValue={setNorth} example="1 0; 2 5" />
          <ChoiceField
            label="Levels in the table are of"
            value={levelOf}
            choices={[
              { value: 'underside', label: 'the underside of a beam' },
              { value: 'top', label: 'the top of a beam' },
              { value: 'axis', label: 'the axis of a beam' },
            ]}
            onValue={setLevelOf}
          />
        </div>
        <label className="block">
          <span className="text-soft">Paste the cells here</span>
          <textarea
            value={text}
            onChange={(event) => setText(event.target.value)}
            rows={7}
            spellCheck={false}
            placeholder={EXAMPLE}
            className="mt-1 w-full border-[1.5px] border-ink bg-white p-2 font-mono text-[12.5px] placeholder:text-pencil"
          />
        </label>
        {faults.length > 0 && (
          <ul aria-label="Not read" className="max-h-[140px] overflow-auto border border-stop bg-white px-2 py-1 text-[13px]">
            {faults.slice(0, 200).map(({ from, error }, i) => (
              <li key={i}>
                <b>{from}</b>: {error}
              </li>
            ))}
          </ul>
        )}
        {read && read.placed.pieces.length > 0 && <ModelPlaces rows={read.rows} asked={NOTHING_ASKED} placed={read.placed} onDone={onClose} />}
        <div className="flex justify-end">
          <PlainButton onClick={onClose}>Leave it</PlainButton>
        </div>
      </div>
    </Modal>
  );
}

function Line({ label, value, onValue, example }: { label: string; value: string; onValue: (value: string) => void; example: string }) {
  return (
    <label className="block text-[12.5px] text-soft">
      {label}
      <input
        value={value}
        onChange={(event) => onValue(event.target.value)}
        placeholder={example}
        className="block h-8 w-full border-[1.5px] border-ink bg-white px-2 text-[14px] text-ink placeholder:text-pencil"
      />
    </label>
  );
}
