'use client';
import { useEffect, useState } from 'react';
import { dayWords } from '@/core/units/day';
import { nameOfGear, yardWords } from '@/core/document/things/yard';
import {
  hasCrane,
  hasThing,
  isBlank,
  modelKinds,
  models,
  nameHere,
  takenAs,
  takenCrane,
  takenThing,
  type JobGear,
  type Taken,
} from '@/core/document/shared-gear';
import type { Crane, YardThing } from '@/core/document/schema';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { PlainButton } from '@/ui/plain-button';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';

/** Cranes and lifting gear as other jobs have them, taken over with charts, tags and inspections. */
export function TakeGearDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Modal
      open={open}
      onOpenChange={onOpenChange}
      wide
      title="Gear to take over"
      about="A crane comes with its charts, lifting gear with its tag and its inspection, as the other job has them. What is changed here later stays here. A model is made up: its chart is to try with."
    >
      {open && <GearOfJobs />}
    </Modal>
  );
}

function GearOfJobs() {
  const id = useJob((state) => state.id);
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const [jobs, setJobs] = useState<JobGear[] | 'wait' | 'away'>('wait');
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    const gone = new AbortController();
    void fetch(`/api/gear?except=${encodeURIComponent(id)}`, { signal: gone.signal })
      .then(async (response) => setJobs(response.ok ? ((await response.json()) as JobGear[]) : 'away'))
      .catch(() => !gone.signal.aborted && setJobs('away'));
    return () => gone.abort();
  }, [id]);
  if (jobs === 'wait') return <p>Reading the other jobs …</p>;
  if (jobs === 'away') return <p className="text-stop">The server does not answer. Try again.</p>;
  const take = (key: string, what: Taken) => {
    if (act('takeGear', what) === null) setTaken(new Set([...taken, key]));
  };
  const takeAs = (key: string, from: JobGear, crane: Crane, blank: string) => {
    const { changes, duties } = takenAs(from, { ...crane, name: nameHere(plan, crane) }, blank, freshId);
    const group = `take as ${blank} ${freshId('g')}`;
    if (act('editCrane', { id: blank, changes }, group) !== null) return;
    if (duties.length > 0) act('takeGear', { cranes: [], duties, yard: [] }, group);
    done();
    setTaken(new Set([...taken, key]));
  };
  const blanks = plan.cranes.filter(isBlank);
  const row = (key: string, name: string, note: string, has: boolean, what: () => Taken, as?: (blank: string) => void) => (
    <tr key={key} className="border-b border-line">
      <th scope="row" className="w-56 py-1.5 pr-3 text-left font-semibold">
        {name}
      </th>
      <td className="py-1.5 pr-3 text-[13px] text-soft">
        {note}
        {has && !taken.has(key) && <span className="font-semibold text-ink"> · this job has one of that name</span>}
      </td>
      <td className="py-1.5 text-right whitespace-nowrap [&>button]:ml-1.5">
        {taken.has(key) && <span className="mr-2 text-clear">taken</span>}
        {as &&
          blanks.map((blank) => (
            <PlainButton key={blank.id} onClick={() => as(blank.id)}>
              As {blank.name}
            </PlainButton>
          ))}
        <PlainButton onClick={() => take(key, what())}>{taken.has(key) ? 'Take another' : 'Take'}</PlainButton>
      </td>
    </tr>
  );
  return (
    <div className="max-h-[60vh] space-y-4 overflow-y-auto" tabIndex={0} role="region" aria-label="Gear to take over">
      {jobs.length === 0 && <p>No other job has a crane or lifting gear yet.</p>}
      {[...jobs, models].map((job) => (
        <section key={job.id}>
          <h3 className="text-[15px] text-gear">{job.name}</h3>
          <table className="w-full border-t border-line">
            <tbody>
              {job.cranes.map((crane) =>
                row(
                  `${job.id} ${crane.id}`,
                  crane.name || 'Crane',
                  craneNote(job, crane),
                  hasCrane(plan, crane),
                  () => takenCrane(job, { ...crane, name: nameHere(plan, crane) }, freshId),
                  (blank) => takeAs(`${job.id} ${crane.id}`, job, crane, blank),
                ),
              )}
              {job.yard.map((thing) =>
                row(
                  `${job.id} ${thing.id}`,
                  nameOfGear(thing),
                  thingNote(thing, (mass) => formatQuantity(mass, 'mass', plan.job.units)),
                  hasThing(plan, thing),
                  () => takenThing(thing, freshId),
                ),
              )}
            </tbody>
          </table>
        </section>
      ))}
    </div>
  );
}

const inspected = (one: { inspected?: { on: string } | null }): string =>
  one.inspected ? `inspected ${dayWords(one.inspected.on)}` : 'never inspected, it says';

function craneNote({ duties }: JobGear, crane: Crane): string {
  const charts = (crane.chart ? 1 : 0) + duties.filter((one) => one.crane === crane.id && one.chart).length;
  const model = modelKinds.get(crane.id);
  if (model) return `${model}, a chart that no maker answers for`;
  return `${crane.tracks ? 'crane on tracks' : 'crane'}, ${charts === 0 ? 'no chart' : charts === 1 ? 'one chart' : `${charts} charts`}, ${inspected(crane)}`;
}

const thingNote = (thing: YardThing, mass: (value: number) => string): string =>
  [yardWords[thing.kind], ...(thing.rating === null ? [] : [mass(thing.rating)]), inspected(thing)].join(', ');
