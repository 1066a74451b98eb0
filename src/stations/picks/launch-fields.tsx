'use client';
import { Plus, X } from 'lucide-react';
import { newRoller } from '@/core/document/things/launch';
import type { Launch, Roller } from '@/core/document/schema';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, usePlan } from '@/job/job-context';
import { AlongTravel } from './launch-graph';
import { StandsOn } from '../shared/stands-on';
import { ThingTools } from '../shared/thing-tools';
import { useInputs } from '@/job/editing/use-inputs';

/** What is pushed to its place over rollers. */
export function Launches() {
  const { launches = [] } = usePlan();
  return (
    <div className="border-b border-line">
      {launches.map((launch) => (
        <Fold
          key={launch.id}
          thing={launch.id}
          title={launch.name || 'Launch'}
          note={`${launch.pieces.length} ${launch.pieces.length === 1 ? 'piece' : 'pieces'} over ${launch.rollers.length} rollers`}
          first={launches.length === 1}
          tools={<ThingTools station="picks" list="launches" thing={{ id: launch.id, name: launch.name || 'the launch' }} />}
        >
          <LaunchFields launch={launch} />
        </Fold>
      ))}
    </div>
  );
}

const yesNo = (value: boolean | null): 'open' | 'yes' | 'no' => (value === null ? 'open' : value ? 'yes' : 'no');
const said = (answer: 'open' | 'yes' | 'no'): boolean | null => (answer === 'open' ? null : answer === 'yes');

function LaunchFields({ launch }: { launch: Launch }) {
  const act = useAct();
  const { open, words, choice } = useInputs();
  const edit = (changes: Partial<Omit<Launch, 'id'>>, field: string) => act('editIn', { list: 'launches', id: launch.id, changes }, `${launch.id} ${field}`);
  const { nose, tail, pull, brake, laid } = launch;
  const ofNose = (changes: Partial<NonNullable<Launch['nose']>>, field: string) =>
    edit({ nose: { length: 0, mass: null, stiffness: null, rise: null, carries: null, ...nose, ...changes } }, `nose ${field}`);
  const put = (rollers: Roller[], field: string) => edit({ rollers }, field);
  return (
    <div className="space-y-3 pb-3">
      <Pair>
        {words('Launch is called', launch.name, (name) => edit({ name }, 'name'))}
        {words('Worked out by', launch.by, (by) => edit({ by }, 'by'), { placeholder: 'nobody yet' })}
        {open('Pushed towards, in plan', 'angle', launch.towardsDeg, (towardsDeg) => edit({ towardsDeg }, 'towards'))}
        {open('Pushed in all', 'length', launch.travel, (travel) => edit({ travel }, 'travel'))}
        {open('Not pushed in gusts of', 'speed', launch.gust, (gust) => edit({ gust }, 'gust'))}
        {open('Slope of the launch, uphill', 'angle', launch.slopeDeg, (slopeDeg) => edit({ slopeDeg }, 'slope'))}
        {open('Friction of the rollers', 'factor', launch.friction, (friction) => edit({ friction }, 'friction'))}
        {open('Yard behind, long', 'length', launch.room, (room) => edit({ room }, 'room'))}
        {open('Flanges held sideways every', 'length', launch.free, (free) => edit({ free }, 'free'), { note: 'both flanges; none: as its cross-frames lie' })}
        {choice('What rollers press is spread', yesNo(launch.stiffened), spread, (answer) => edit({ stiffened: said(answer) }, 'stiffened'))}
        {words('Laid on the rollers by', laid?.how ?? '', (how) => edit({ laid: { by: laid?.by ?? '', how } }, 'laid'), { placeholder: 'nothing named' })}
        {words('Those lifts worked out by', laid?.by ?? '', (by) => edit({ laid: { how: laid?.how ?? '', by } }, 'laid by'), { placeholder: 'nobody yet' })}
      </Pair>
      <Part title="Nose and weight behind">
        {open('Nose is long', 'length', nose?.length ?? null, (length) => (length === null ? edit({ nose: null }, 'nose') : ofNose({ length }, 'length')), {
          note: '0: it has none',
        })}
        {open('Tip stands up, or is jacked, by', 'dimension', nose?.rise ?? null, (rise) => ofNose({ rise }, 'rise'))}
        {nose !== null && nose.length > 0 && (
          <>
            {open('Nose weighs, each line', 'mass', nose.mass, (mass) => ofNose({ mass }, 'mass'))}
            {open('Nose stiffness, EI', 'stiffness', nose.stiffness, (stiffness) => ofNose({ stiffness }, 'stiffness'))}
            {open('Nose and its joint carry', 'moment', nose.carries, (carries) => ofNose({ carries }, 'carries'))}
          </>
        )}
        {open(
          'Weight on its rear end, each line',
          'mass',
          tail?.mass ?? null,
          (mass) => edit({ tail: mass === null ? null : { at: tail?.at ?? null, mass } }, 'tail'),
          { note: '0: none' },
        )}
        {tail !== null && tail.mass > 0 && open('That lies from the rear end', 'length', tail.at, (at) => edit({ tail: { ...tail, at } }, 'tail at'))}
      </Part>
      <Part title="Pulled and held back">
        {words('Pulled by, anchored to', pull?.what ?? '', (what) => edit({ pull: { carries: pull?.carries ?? null, what } }, 'pull'), {
          placeholder: 'nothing named',
        })}
        {open('That pulls up to', 'force', pull?.carries ?? null, (carries) => edit({ pull: { what: pull?.what ?? '', carries } }, 'pull carries'))}
        {words('Held back by, anchored to', brake?.what ?? '', (what) => edit({ brake: { carries: brake?.carries ?? null, what } }, 'brake'), {
          placeholder: 'nothing named',
        })}
        {open('That holds up to', 'force', brake?.carries ?? null, (carries) => edit({ brake: { what: brake?.what ?? '', carries } }, 'brake carries'))}
      </Part>
      <Part title="Lowered onto its seats">
        {open('Underside over its seats', 'length', launch.over, (over) => edit({ over }, 'over'), { note: 'while it is on rollers' })}
        {open('Lowered in one go', 'dimension', launch.step, (step) => edit({ step }, 'step'))}
        {open('Packing lies under it within', 'dimension', launch.packing, (packing) => edit({ packing }, 'packing'))}
        {open('Jacks at one support carry', 'force', launch.jacks, (jacks) => edit({ jacks }, 'jacks'), { note: 'under one girder line' })}
      </Part>
      <Pieces launch={launch} onPieces={(pieces, field) => edit({ pieces }, field)} />
      {launch.rollers.map((roller, n) => (
        <RollerFields
          key={roller.id}
          roller={roller}
          onRoller={(changed, field) => put(launch.rollers.with(n, changed), `${roller.id} ${field}`)}
          onRemove={() => put(launch.rollers.toSpliced(n, 1), `${roller.id} gone`)}
        />
      ))}
      <SmallButton onClick={() => put([...launch.rollers, newRoller(freshId('ro'), `Roller ${launch.rollers.length + 1}`)], 'new roller')}>
        <Plus size={13} aria-hidden /> Another roller
      </SmallButton>
      <AlongTravel launch={launch} />
    </div>
  );
}

const spread = [
  ['open', 'not said yet'],
  ['yes', 'yes: a beam or plates under the webs'],
  ['no', 'no: the bare web passes over'],
] as const;

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="border-t border-line pt-2">
      <h4 className="mb-1 font-semibold text-gear">{title}</h4>
      <Pair>{children}</Pair>
    </section>
  );
}

/** Which of its pieces are there from the first, and which are joined on behind after how much travel. */
function Pieces({ launch, onPieces }: { launch: Launch; onPieces: (pieces: Launch['pieces'], field: string) => ReturnType<ReturnType<typeof useAct>> }) {
  const plan = usePlan();
  const { open } = useInputs();
  const mark = (id: string): string => plan.structure.pieces.find((one) => one.id === id)?.mark ?? id;
  const whole = launch.pieces.some(({ joined }) => joined === null);
  return (
    <Fold title="When each piece is joined on" note="after so much travel; 0: before the first push">
      <Pair>
        {launch.pieces.map(({ piece, joined }, n) =>
          open(mark(piece), 'length', joined, (at) => onPieces(launch.pieces.with(n, { piece, joined: at }), `${piece} joined`)),
        )}
      </Pair>
      {whole && (
        <SmallButton
          onClick={() =>
            onPieces(
              launch.pieces.map(({ piece, joined }) => ({ piece, joined: joined ?? 0 })),
              'all joined',
            )
          }
        >
          All others before the first push
        </SmallButton>
      )}
    </Fold>
  );
}

function RollerFields({
  roller,
  onRoller,
  onRemove,
}: {
  roller: Roller;
  onRoller: (roller: Roller, field: string) => ReturnType<ReturnType<typeof useAct>>;
  onRemove: () => void;
}) {
  const { open, words, choice } = useInputs();
  const set = (changes: Partial<Roller>, field: string) => onRoller({ ...roller, ...changes }, field);
  return (
    <section aria-label={roller.name} data-thing={roller.id} className="border-t border-line pt-2">
      <div className="flex items-center justify-between">
        <h4 className="font-semibold text-gear">{roller.name}</h4>
        <SmallButton danger label={`Remove ${roller.name}`} onClick={onRemove}>
          <X size={14} />
        </SmallButton>
      </div>
      <Pair>
        {words('Name', roller.name, (name) => set({ name }, 'name'))}
        {open('Ahead of its rear end, at last', 'length', roller.x, (x) => set({ x }, 'x'), { note: 'in the yard behind it: negative' })}
        {open('Above the line of the launch', 'dimension', roller.off, (off) => set({ off }, 'off'), { note: '0: on it' })}
        {open('Roller may carry', 'force', roller.carries, (carries) => set({ carries }, 'carries'), { note: 'under one girder line' })}
        {open('Presses on the web over', 'dimension', roller.length, (length) => set({ length }, 'length'))}
        {open('Wide across the load', 'dimension', roller.width, (width) => set({ width }, 'width'))}
        {choice('Guides it sideways', yesNo(roller.guides), guided, (answer) => set({ guides: said(answer) }, 'guides'))}
      </Pair>
      <StandsOn name={roller.name} standsOn={roller.standsOn} onChange={(standsOn) => set({ standsOn }, 'stands on')} />
    </section>
  );
}

const guided = [
  ['open', 'not said yet'],
  ['yes', 'yes'],
  ['no', 'no'],
] as const;
