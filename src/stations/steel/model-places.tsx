'use client';
import { useMemo, useState } from 'react';
import type { PlacedModel } from '@/core/model/placed';
import { structureOf } from '@/core/edit/import-structure';
import type { Asked, SteelRow } from '@/core/steel/lists/rows';
import { PlainButton } from '@/ui/plain-button';
import { freshId } from '@/job/editing/fresh-id';
import { Guesses, SHOWN } from './guesses';
import { useAct, useJob, usePlan } from '@/job/job-context';

const kindWords = { splice: 'in line with', onWeb: 'on the web of', onColumn: 'on the column', other: 'at' } as const;
/** Where the pieces of a model stand, and each joint and support that was found, to be taken or refused before anything changes. */
export function ModelPlaces({ rows, asked, placed, onDone }: { rows: SteelRow[]; asked: Asked[]; placed: PlacedModel; onDone: () => void }) {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const [joints, setJoints] = useState<ReadonlySet<number>>(new Set());
  const [supports, setSupports] = useState<ReadonlySet<number>>(new Set());
  const [sheet, setSheet] = useState(true);
  const [problem, setProblem] = useState<string | null>(null);
  const { command, left } = useMemo(
    () => structureOf(plan, { rows, asked }, placed, { joints, supports }, sheet, freshId),
    [plan, rows, asked, placed, joints, supports, sheet],
  );
  const take = () => {
    const faults = act('addStructure', command);
    done();
    if (faults) setProblem(faults[0]?.error ?? 'It was refused.');
    else onDone();
  };
  const nothing = command.pieces.length === 0;
  return (
    <section aria-label="Where they stand" className="border-t border-line pt-2">
      <p className="sign text-[17px]">
        {placed.pieces.length} stand in the model; {placed.joints.length} joints and {placed.supports.length} supports found
        {placed.asked.length > 0 && <span className="text-missing">, {placed.asked.length} asked</span>}
      </p>
      <p className="text-[13px] text-soft">
        Found is not known: look through the reasons and take out what is not so. Nothing is moved to meet; bolts, levels and strengths stay open.
      </p>
      {placed.asked.length > 0 && (
        <ul aria-label="Asked of the model" className="my-1 max-h-[110px] overflow-auto border-2 border-missing bg-white px-2 py-1 text-[13px]">
          {placed.asked.slice(0, SHOWN).map(({ question }, i) => (
            <li key={i}>{question}</li>
          ))}
        </ul>
      )}
      <div className="grid grid-cols-2 gap-3">
        <Guesses
          label="Joints"
          list={placed.joints.map(({ a, b, kind, declared, why }) => ({ text: `${a} ${kindWords[kind]} ${b}`, why: declared ? why : `found: ${why}` }))}
          refused={joints}
          onRefused={setJoints}
        />
        <Guesses
          label="Supports"
          list={placed.supports.map(({ piece, kind, why, end }) => ({
            text: `${kind} of ${piece}${kind === 'foot' ? '' : end === 0 ? ', first end' : ', second end'}`,
            why,
          }))}
          refused={supports}
          onRefused={setSupports}
        />
      </div>
      <label className="mt-2 flex min-h-[28px] items-center gap-2 text-[13.5px]">
        <input type="checkbox" checked={sheet} onChange={(event) => setSheet(event.target.checked)} />
        With a run sheet from the ground up, for you to put in order
      </label>
      {left.map((one) => (
        <p key={one} className="text-[13px] text-missing">
          {one}
        </p>
      ))}
      {problem && <p className="text-stop">{problem}</p>}
      <div className="mt-2 flex justify-end">
        <PlainButton strong disabled={nothing} onClick={take}>
          {nothing
            ? 'All of it stands here already'
            : `Put ${command.pieces.length} pieces, ${command.joints.length} joints and ${command.supports.length} supports in place`}
        </PlainButton>
      </div>
    </section>
  );
}
