'use client';
import { ArrowUp, Plus, X } from 'lucide-react';
import { newString, type LiftString } from '@/core/document/things/string';
import { isTurned, markLifted } from '@/core/document/lookups';
import type { Pick } from '@/core/document/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { SmallButton } from '@/ui/small-button';
import { Fold, Pair } from '@/ui/workings/fold';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, usePlan } from '@/job/job-context';
import { ThingTools } from '../shared/thing-tools';
import { useInputs } from '@/job/editing/use-inputs';

/** Beams that hang one below the other on one hook, and a way to hang two of one stand so. */
export function Strings() {
  const plan = usePlan();
  const act = useAct();
  const strings = plan.strings ?? [];
  const free = freePicks(plan, strings);
  const stands = plan.stands.filter(({ id }) => free.filter(({ stand }) => stand === id).length > 1);
  if (strings.length === 0 && stands.length === 0) return null;
  return (
    <div className="border-b border-line pb-2">
      {strings.map((string) => (
        <Fold
          key={string.id}
          thing={string.id}
          title={string.name || 'String of beams'}
          note={`${string.picks.length} beams on one hook`}
          tools={<ThingTools station="picks" list="strings" thing={{ id: string.id, name: string.name || 'the string' }} />}
        >
          <StringFields string={string} free={free} />
        </Fold>
      ))}
      <div className="flex flex-wrap gap-1.5 pt-2">
        {stands.map(({ id, name }) => {
          // The last to be set is on top: the run sheet begins with the lowest.
          const [low, high] = free.filter(({ stand }) => stand === id);
          return (
            <SmallButton
              key={id}
              onClick={() => act('addTo', { list: 'strings', thing: newString(freshId('st'), `String ${strings.length + 1}`, [high!.id, low!.id]) })}
            >
              <Plus size={13} aria-hidden /> Hang {markLifted(plan, low!)} below {markLifted(plan, high!)} on one hook, from {name}
            </SmallButton>
          );
        })}
      </div>
    </div>
  );
}

/** Picks that may hang in a string and hang in none. */
function freePicks(plan: ReturnType<typeof usePlan>, strings: readonly LiftString[]): Pick[] {
  const used = new Set(strings.flatMap(({ picks }) => picks));
  return plan.picks.filter((pick) => !used.has(pick.id) && !pick.second && !pick.joined?.length && !isTurned(plan, pick));
}

function StringFields({ string, free }: { string: LiftString; free: readonly Pick[] }) {
  const plan = usePlan();
  const act = useAct();
  const { open, words, choice } = useInputs();
  const edit = (changes: Partial<Omit<LiftString, 'id'>>, field: string) => act('editIn', { list: 'strings', id: string.id, changes }, `${string.id} ${field}`);
  const byId = new Map(plan.picks.map((pick) => [pick.id, pick]));
  const mark = (id: string) => {
    const pick = byId.get(id);
    return pick ? markLifted(plan, pick) : id;
  };
  const stand = byId.get(string.picks[0] ?? '')?.stand;
  const next = free.filter((pick) => pick.stand === stand);
  const { picks } = string;
  return (
    <div className="space-y-2 pb-3">
      <p className="text-[13px] text-soft" id={`${string.id}-down`}>
        From the top down
      </p>
      <ol aria-labelledby={`${string.id}-down`} className="space-y-1">
        {picks.map((id, n) => (
          <li key={id} className="flex items-center gap-2">
            <span className="w-6 text-right text-soft tabular-nums">{n + 1}</span>
            <span className="min-w-0 flex-1 truncate font-semibold">{mark(id)}</span>
            {n > 0 && (
              <SmallButton
                label={`${mark(id)} higher`}
                onClick={() => edit({ picks: picks.map((one, i) => (i === n - 1 ? id : i === n ? picks[n - 1]! : one)) }, 'order')}
              >
                <ArrowUp size={13} />
              </SmallButton>
            )}
            {picks.length > 2 && (
              <SmallButton danger label={`${mark(id)} by itself`} onClick={() => edit({ picks: picks.filter((one) => one !== id) }, 'out')}>
                <X size={13} />
              </SmallButton>
            )}
          </li>
        ))}
      </ol>
      {next.length > 0 && (
        <ChoiceField
          label="Hang a beam below them"
          value="none"
          choices={[{ value: 'none', label: 'choose …' }, ...next.map((pick) => ({ value: pick.id, label: markLifted(plan, pick) }))]}
          onValue={(id) => id !== 'none' && edit({ picks: [...picks, id] }, 'in')}
        />
      )}
      <Pair>
        {words('String is called', string.name, (name) => edit({ name }, 'name'))}
        {open('Beams hang apart, clear', 'length', string.apart, (apart) => edit({ apart }, 'apart'))}
        {open('The assembly may carry', 'mass', string.rating, (rating) => edit({ rating }, 'rating'))}
        {open('One point may carry', 'mass', string.each, (each) => edit({ each }, 'each'))}
        {choice<'open' | 'power' | 'brake'>('Lowered', string.lowered === null ? 'open' : string.lowered ? 'power' : 'brake', lowering, (answer) =>
          edit({ lowered: answer === 'open' ? null : answer === 'power' }, 'lowered'),
        )}
        {words('Made up by', string.by, (by) => edit({ by }, 'by'), { placeholder: 'nobody yet' })}
      </Pair>
    </div>
  );
}

const lowering = [
  ['open', 'not said'],
  ['power', 'under power'],
  ['brake', 'on its brake'],
] as const;
