'use client';
import { useState } from 'react';
import { distance } from '@/core/geometry/plane';
import { sharedOut, unserved, widestSets, type Cover, type CoverPlace } from '@/core/checks/map/fewest-stands';
import type { Crane, Stand } from '@/core/document/schema';
import type { StandMap } from '@/core/checks/map/stand-map';
import { formatQuantity } from '@/core/units';
import { PlainButton } from '@/ui/plain-button';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';

interface Found {
  of: StandMap;
  cover: Cover;
  places: { place: CoverPlace; lifts: number[] }[];
}

async function ask(sets: readonly CoverPlace[]): Promise<Cover | string> {
  const reply = await fetch('/api/stands', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ sets: sets.map(({ lifts, worst }) => ({ lifts, worst })) }),
  }).catch(() => null);
  const said = (await reply?.json().catch(() => null)) as (Cover & { detail?: string }) | null;
  return reply?.ok && said ? said : (said?.detail ?? 'The server did not answer. Try again.');
}

/** The fewest places of a crane that serve all lifts on a map, and each lift put to the place where it takes least of the chart. */
export function FewestStands({ map, crane, onDone }: { map: StandMap; crane: Crane; onDone: () => void }) {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const [found, setFound] = useState<Found | null>(null);
  const [looking, setLooking] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const show = (value: number) => formatQuantity(value, 'length', plan.job.units);
  const look = async () => {
    const sets = widestSets(map.served.values());
    if (sets.length === 0) return setProblem('No place serves any of its lifts.');
    setLooking(true);
    const cover = await ask(sets).finally(() => setLooking(false));
    if (typeof cover === 'string') return setProblem(cover);
    setProblem(null);
    setFound({
      of: map,
      cover,
      places: sharedOut(
        cover.chosen.map((i) => sets[i]!),
        map.share,
      ),
    });
  };
  const take = ({ places }: Found) => {
    const group = `fewest stands ${freshId('g')}`;
    const free = plan.stands.filter((one) => one.crane === crane.id);
    let failed: string | null = null;
    places.forEach(({ place, lifts }, n) => {
      const at = { x: Math.round(place.at.x * 100) / 100, y: Math.round(place.at.y * 100) / 100 };
      // The nearest of the stands there are is moved; what ground a new one stands on is asked.
      const own = free.sort((a, b) => distance(a.at, place.at) - distance(b.at, place.at)).shift();
      const stand: Stand = own ?? {
        id: freshId('s'),
        unsaid: ['azimuthDeg'],
        name: `Stand ${plan.stands.length + n + 1}`,
        crane: crane.id,
        at,
        azimuthDeg: 0,
        padArea: null,
        groundAllowable: null,
      };
      const faults = own
        ? act('editStand', { id: own.id, changes: { at, groundAllowable: distance(own.at, at) > MOVED ? null : own.groundAllowable } }, group)
        : act('addTo', { list: 'stands', thing: stand }, group);
      failed ??= faults?.[0]?.error ?? null;
      for (const lift of lifts) act('editPick', { id: map.of[lift]!.pick, changes: { stand: stand.id } }, group);
    });
    done();
    if (failed) setProblem(failed);
    else onDone();
  };
  const now = found && found.of === map ? found : null;
  const without = unserved([...map.served.values()], map.lifts);
  return (
    <section aria-label="The fewest places" className="border-t border-line pt-2 text-[13.5px]">
      {!now && (
        <PlainButton onClick={() => void look()} disabled={looking}>
          {looking ? 'Looking …' : 'The fewest places that serve them all'}
        </PlainButton>
      )}
      {without.length > 0 && <p className="text-stop">Served from nowhere: {without.map((lift) => map.of[lift]!.mark).join(', ')}.</p>}
      {problem && <p className="text-stop">{problem}</p>}
      {now && (
        <>
          <p className="sign text-[16px] text-gear">
            {now.places.length === 1 ? 'One place serves' : `${now.places.length} places serve`} {without.length > 0 ? 'all that can be served' : 'all of them'}
            {now.cover.least < now.places.length ? `; it may be done from ${now.cover.least}` : '; no fewer do'}
          </p>
          <ol className="list-decimal pl-5">
            {now.places.map(({ place, lifts }) => (
              <li key={`${place.at.x} ${place.at.y}`} data-cover>
                <b className="font-semibold">
                  {show(place.at.x)}, {show(place.at.y)}
                </b>
                : {lifts.length} of them, up to {Math.max(...lifts.map((lift) => map.share(lift, place.at))).toFixed(2)} of the chart ({named(map, lifts)})
              </li>
            ))}
          </ol>
          <p className="text-soft">
            Where the crane goes first, how it comes and leaves, ground, power lines and what the boom passes are asked of the plan once it stands there.
          </p>
          <PlainButton strong onClick={() => take(now)}>
            Stand there and lift so
          </PlainButton>
        </>
      )}
    </section>
  );
}

/** A stand put farther than this stands on other ground: what that may take is asked again [m]. */
const MOVED = 1;
/** Called by name; the rest are counted. */
const NAMED = 6;
const named = ({ of }: StandMap, lifts: readonly number[]): string =>
  lifts
    .slice(0, NAMED)
    .map((lift) => of[lift]!.mark)
    .join(', ') + (lifts.length > NAMED ? ` and ${lifts.length - NAMED} more` : '');
