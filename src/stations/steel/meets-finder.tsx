'use client';
import { useState } from 'react';
import { firstRunSheet } from '@/core/edit/import-structure';
import { whatMeets, type Meets } from '@/core/edit/meeting';
import { PlainButton } from '@/ui/plain-button';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { Guesses, SHOWN } from './guesses';
import { useAct, useJob, usePlan } from '@/job/job-context';

const counted = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;

/** Joints and supports that the places of the pieces speak of and the plan does not have: each with its reason, to be taken or refused. */
export function MeetsFinder() {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const [found, setFound] = useState<Meets | null>(null);
  const [joints, setJoints] = useState<ReadonlySet<number>>(new Set());
  const [supports, setSupports] = useState<ReadonlySet<number>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const unset = plan.moves.every(({ kind }) => kind !== 'piece.hang' && kind !== 'launch.push');
  const [sheet, setSheet] = useState(true);
  const look = () => {
    setFound(whatMeets(plan, freshId));
    setJoints(new Set());
    setSupports(new Set());
    setProblem(null);
  };
  if (!found)
    return (
      <SmallButton disabled={plan.structure.pieces.every(({ from }) => from === null)} onClick={look}>
        Find what meets
      </SmallButton>
    );
  const taken = {
    joints: found.joints.filter((_, i) => !joints.has(i)).map(({ thing }) => thing),
    supports: found.supports.filter((_, i) => !supports.has(i)).map(({ thing }) => thing),
  };
  const nothing = taken.joints.length + taken.supports.length === 0;
  const take = () => {
    const all = { joints: [...plan.structure.joints, ...taken.joints], supports: [...plan.structure.supports, ...taken.supports] };
    const moves = unset && sheet ? firstRunSheet(plan, all.supports, all.joints, freshId) : [];
    const faults = act('addStructure', { makes: [], pieces: [], ...taken, moves });
    done();
    if (faults) setProblem(faults[0]?.error ?? 'It was refused.');
    else setFound(null);
  };
  return (
    <section aria-label="What meets" className="w-full border-2 border-ink bg-white px-3 py-2">
      <p className="sign text-[16px]">
        {found.joints.length + found.supports.length === 0
          ? 'Nothing more is found: every end that meets something is joined or stands on a support.'
          : `${counted(found.joints.length, 'joint')} and ${counted(found.supports.length, 'support')} found that the plan does not have`}
      </p>
      {found.joints.length + found.supports.length > 0 && (
        <p className="text-[13px] text-soft">Found is not known: take out what is not so. Bolts, levels and strengths stay open, and are asked.</p>
      )}
      {found.asked.length > 0 && (
        <ul aria-label="Asked of the places" className="my-1 max-h-[90px] overflow-auto border-2 border-missing px-2 py-1 text-[13px]">
          {found.asked.slice(0, SHOWN).map((question, i) => (
            <li key={i}>{question}</li>
          ))}
        </ul>
      )}
      <div className="mt-1 grid grid-cols-2 gap-3">
        <Guesses label="Joints" list={found.joints.map(({ thing, why }) => ({ text: thing.name, why }))} refused={joints} onRefused={setJoints} />
        <Guesses label="Supports" list={found.supports.map(({ thing, why }) => ({ text: thing.name, why }))} refused={supports} onRefused={setSupports} />
      </div>
      {unset && !nothing && (
        <label className="mt-1 flex min-h-[28px] items-center gap-2 text-[13.5px]">
          <input type="checkbox" checked={sheet} onChange={(event) => setSheet(event.target.checked)} />
          With a run sheet from the ground up, for you to put in order
        </label>
      )}
      {problem && <p className="text-stop">{problem}</p>}
      <div className="mt-2 flex justify-end gap-2">
        <PlainButton onClick={() => setFound(null)}>{nothing ? 'Close' : 'Take none'}</PlainButton>
        {!nothing && (
          <PlainButton strong onClick={take}>
            {`Take ${counted(taken.joints.length, 'joint')} and ${counted(taken.supports.length, 'support')}`}
          </PlainButton>
        )}
      </div>
    </section>
  );
}
