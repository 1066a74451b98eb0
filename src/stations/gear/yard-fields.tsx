'use client';
import { Plus } from 'lucide-react';
import { useEffect, useState } from 'react';
import { elsewhere, type Elsewhere } from '@/core/document/across-jobs';
import { dayWords } from '@/core/units/day';
import { nameOfGear, yardKinds, yardWords } from '@/core/document/things/yard';
import type { YardThing } from '@/core/document/schema';
import type { JobGear } from '@/core/document/shared-gear';
import { isPulled } from '@/core/document/yard';
import { formatQuantity } from '@/core/units';
import { SmallButton } from '@/ui/small-button';
import { Fold, Pair } from '@/ui/workings/fold';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { Group } from '../shared/panel';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

/** Lifting gear with its papers, which the lifts of this job take from. */
export function YardFields() {
  const yard = usePlan().yard ?? [];
  const act = useAct();
  const add = () => act('addTo', { list: 'yard', thing: { id: freshId('y'), kind: 'slings', name: '', rating: null, inspected: null } });
  return (
    <section className="space-y-1">
      <Group
        title="Yard"
        tools={
          <SmallButton onClick={add}>
            <Plus size={13} aria-hidden /> Lifting gear
          </SmallButton>
        }
      >
        {yard.length === 0 && (
          <p className="col-span-2 text-[13px] text-soft">
            Slings, shackles, bars, hoists, jacks, winches and skates with their tags and inspections. Each lift, and each leg of a way in, then says which of
            them it is made with.
          </p>
        )}
      </Group>
      {yard.length > 0 && <SaidElsewhere yard={yard} />}
      {yard.map((one) => (
        <YardThingFields key={one.id} thing={one} />
      ))}
    </section>
  );
}

/** What other jobs say of the same things; nothing while they are read, or where the server is away. */
function SaidElsewhere({ yard }: { yard: readonly YardThing[] }) {
  const id = useJob((state) => state.id);
  const plan = usePlan();
  const act = useAct();
  const [jobs, setJobs] = useState<JobGear[]>([]);
  useEffect(() => {
    const gone = new AbortController();
    void fetch(`/api/gear?except=${encodeURIComponent(id)}`, { signal: gone.signal })
      .then(async (response) => response.ok && setJobs((await response.json()) as JobGear[]))
      .catch(() => undefined);
    return () => gone.abort();
  }, [id]);
  const told = yard.flatMap((thing) => elsewhere(plan, thing, jobs).map((one) => ({ thing, one })));
  if (told.length === 0) return null;
  const take = (thing: YardThing, changes: Partial<YardThing>) => act('editIn', { list: 'yard', id: thing.id, changes });
  return (
    <ul aria-label="What other jobs say of it" className="space-y-1 border-l-2 border-missing py-1 pl-2.5 text-[13px]">
      {told.map(({ thing, one }) => (
        <li key={`${thing.id} ${one.job.id} ${one.says}`} className="flex items-baseline justify-between gap-2">
          <span>
            <a href={`/jobs/${one.job.id}`} className="underline">
              {one.job.name}
            </a>{' '}
            {says(thing, one, (mass) => formatQuantity(mass, 'mass', plan.job.units))}
          </span>
          {one.says !== 'day' && (
            <SmallButton onClick={() => take(thing, one.says === 'rating' ? { rating: one.rating } : { inspected: one.inspected })}>Take that</SmallButton>
          )}
        </li>
      ))}
    </ul>
  );
}

function says(thing: YardThing, one: Elsewhere, mass: (value: number) => string): string {
  const name = nameOfGear(thing);
  switch (one.says) {
    case 'rating':
      return `reads ${mass(one.rating)} on the tag of ${name}${thing.rating === null ? '' : `, here it is ${mass(thing.rating)}`}.`;
    case 'inspected':
      return `has ${name} inspected on ${dayWords(one.inspected.on)} by ${one.inspected.by}${thing.inspected ? `, here it is ${dayWords(thing.inspected.on)}` : ''}.`;
    case 'day':
      return `lifts with ${name} on ${dayWords(one.day)} too.`;
  }
}

const kinds = yardKinds.map((kind) => [kind, yardWords[kind]] as const);
function YardThingFields({ thing }: { thing: YardThing }) {
  const plan = usePlan();
  const edit = useEdit('yard', thing.id);
  const { date, open, words, choice } = useInputs();
  const { inspected, kind, name, rating } = thing;
  const say = (changes: Partial<NonNullable<YardThing['inspected']>>, field: string) => edit({ inspected: inspectedOf(inspected, changes) }, field);
  const legs = plan.ways.flatMap((way) => way.legs).filter(isPulled);
  const uses = [...plan.picks, ...(plan.raises ?? []), ...legs].filter(({ gear }) => gear?.includes(thing.id)).length;
  return (
    <Fold
      thing={thing.id}
      title={nameOfGear(thing)}
      note={`${yardWords[kind]}${rating === null ? '' : `, ${formatQuantity(rating, 'mass', plan.job.units)}`}, used ${uses === 1 ? 'once' : `${uses} times`}`}
      tools={<ThingTools station="gear" list="yard" thing={{ id: thing.id, name: nameOfGear(thing) }} />}
    >
      <Pair>
        {words('Number on it', name, (next) => edit({ name: next }, 'name'))}
        {choice('Gear is', kind, kinds, (next) => edit({ kind: next }, 'kind'))}
        {open('Its tag says', 'mass', rating, (next) => edit({ rating: next }, 'rating'))}
        {words('Inspected by', inspected?.by ?? '', (by) => say({ by }, 'by'), { placeholder: 'nobody yet' })}
        {date('Inspected on', inspected?.on ?? '', (on) => say({ on }, 'on'))}
      </Pair>
    </Fold>
  );
}

/** An inspection with what is now said of it; none where nothing is. */
export function inspectedOf(now: YardThing['inspected'] | undefined, changes: { by?: string; on?: string }): YardThing['inspected'] {
  const next = { by: '', on: '', ...now, ...changes };
  return next.by.trim() === '' && next.on.trim() === '' ? null : next;
}
