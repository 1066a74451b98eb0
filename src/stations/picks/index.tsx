'use client';
import { CopyCheck, Layers, Link2, Plus, Unlink2 } from 'lucide-react';
import { later } from '@/ui/later';
import { useMemo, useState } from 'react';
import type { Fault } from '@/core/calc/schema';
import { slungAsUsual } from '@/core/edit/alike';
import { newLaunch } from '@/core/document/things/launch';
import { pushable } from '@/core/checks/launch/pushable';
import { isTurned, markLifted } from '@/core/document/lookups';
import { joinable, liftsPair, loadOf } from '@/core/document/joined';
import { isUnslung, liftsFrom, newPick, pickLike, unlifted, usualSlinging } from '@/core/checks/lift/plan-lifts';
import { pickContext } from '@/core/checks/lift/pick-context';
import { saidOf } from '@/core/document/things/unsaid';
import { Missing } from '@/core/verdict/missing';
import type { Pick, Plan } from '@/core/document/schema';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { Fold } from '@/ui/workings/fold';
import { again } from '@/ui/again';
import { AlikeButton } from '../shared/alike-button';
import { AlongWay } from './along-graph';
import { UnderCrane } from './all-round';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { Group, Panel } from '../shared/panel';
import { Raises } from './raise-fields';
import { HitchFields } from './hitch-fields';
import { RigFields } from './rig-fields';
import { RollFields } from './roll-fields';
import { ThingTools } from '../shared/thing-tools';
import { useInputs } from '@/job/editing/use-inputs';
import { FromYard } from '../shared/from-yard';
import { settle } from '@/core/settle/settle';
import { SmallButton } from '@/ui/small-button';

type Place = { x: number; y: number };

/** How each piece hangs and how it travels. */
export function PicksStation() {
  const plan = usePlan();
  const [only, ...others] = plan.picks;
  if (!only)
    return (
      <Panel title="Picks" about={aboutNone(plan)} station="picks">
        <Pushed />
        <Raises />
        <NewPick />
      </Panel>
    );
  if (others.length === 0)
    return (
      <Panel title={`Pick · ${pickContext(settle(plan), only).piece.mark}`} about={<AboutPick pick={only} />} station="picks">
        <PickFields pick={only} />
        <Pushed />
        <Raises />
        <NewPick />
      </Panel>
    );
  return (
    <Panel title="Picks" about={`${plan.picks.length} picks, in the order they were planned`} station="picks">
      <div className="border-b border-line">
        {plan.picks.map((pick) => {
          const { mark } = pickContext(settle(plan), pick).piece;
          return (
            <Fold
              key={pick.id}
              thing={pick.id}
              title={mark}
              note={<AboutPick pick={pick} short />}
              tools={<ThingTools station="picks" list="picks" thing={{ id: pick.id, name: `the pick of ${mark}` }} />}
            >
              <div className="space-y-4 pb-3">
                <PickFields pick={pick} />
              </div>
            </Fold>
          );
        })}
      </div>
      <Strings />
      <Pushed />
      <Raises />
      <NewPick />
    </Panel>
  );
}

/** Read where there are several picks. */
const Strings = later(() => again(() => import('./string-fields')).then((part) => part.Strings));
/** Read where something is pushed. */
const Launches = later(() => again(() => import('./launch-fields')).then((part) => part.Launches));

/** What is pushed over rollers, and a way to say so of what nothing lifts. */
function Pushed() {
  const plan = usePlan();
  const act = useAct();
  const idle = pushable(plan);
  if ((plan.launches ?? []).length > 0) return <Launches />;
  if (idle.length === 0) return null;
  return (
    <SmallButton onClick={() => act('addTo', { list: 'launches', thing: newLaunch(freshId('la'), 'Launch', idle) })}>
      <Plus size={13} aria-hidden /> Push {idle.length === 1 ? 'the piece' : `${idle.length} pieces`} over rollers
    </SmallButton>
  );
}

/** What the station is about while no crane lifts anything. */
function aboutNone(plan: Plan): string {
  const pushed = plan.launches?.length ?? 0;
  if (pushed > 0) return `${pushed === 1 ? 'One launch' : `${pushed} launches`} over rollers`;
  const raised = plan.raises?.length ?? 0;
  if (raised > 0) return `${raised === 1 ? 'One lift' : `${raised} lifts`} without a crane`;
  return plan.stands.length === 0 ? 'A pick needs a crane and a stand: see Gear. What a crew, lifts or hoists raise is planned here too.' : 'No pick yet';
}

function AboutPick({ pick, short }: { pick: Pick; short?: boolean }) {
  const plan = usePlan();
  const system = plan.job.units;
  const { path, gross } = pickContext(settle(plan), pick);
  if (path instanceof Missing) return path.questions[0];
  if (short && !(gross instanceof Missing)) return `${formatQuantity(gross.mass, 'mass', system)}, to ${formatQuantity(path.most, 'reach', system)}`;
  return `${gross instanceof Missing ? '' : `${formatQuantity(gross.mass, 'mass', system)} on the hook, `}radius ${formatQuantity(path.least, 'reach', system)} to ${formatQuantity(path.most, 'reach', system)}`;
}

/** A pick of another piece, slung and swung as the last one; its boom and slings are asked where there is none before it. */
function NewPick() {
  const plan = usePlan();
  const act = useAct();
  const next = unlifted(plan);
  const stand = plan.stands[plan.stands.length - 1];
  const like = plan.picks[plan.picks.length - 1];
  if (!stand || next.length === 0) return null;
  const add = ({ id, length }: (typeof next)[number]) =>
    act('addTo', { list: 'picks', thing: like ? pickLike(like, freshId('k'), id, length) : newPick(freshId('k'), id, stand.id, length) });
  return (
    <div className="flex flex-wrap gap-1.5">
      {plan.stands.map(({ id, name }) => (
        <LiftAll key={id} stand={id} name={name} />
      ))}
      {next.slice(0, 6).map((one) => (
        <SmallButton key={one.id} onClick={() => add(one)}>
          <Plus size={13} aria-hidden /> A pick of {one.mark}
        </SmallButton>
      ))}
      {next.length > 6 && <span className="text-[12.5px] text-soft">and {next.length - 6} more that no pick lifts</span>}
    </div>
  );
}

/** All that hangs in the run sheet and nobody has said by what, lifted from one stand. */
function LiftAll({ stand, name }: { stand: string; name: string }) {
  const plan = usePlan();
  const act = useAct();
  const lifts = useMemo(() => liftsFrom(plan, stand, freshId), [plan, stand]);
  if (!lifts || lifts.picks.length < 2) return null;
  return (
    <SmallButton onClick={() => act('planLifts', lifts)}>
      <Layers size={13} aria-hidden /> Lift {lifts.picks.length} pieces from {name}
    </SmallButton>
  );
}

/** Slings as they usually take such a piece, for this one and for all that nobody has slung. */
function AsUsual({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const act = useAct();
  const settled = useMemo(() => settle(plan), [plan]);
  const system = plan.job.units;
  const balanceOf = (one: Pick) => {
    const { weight } = pickContext(settled, one);
    return weight instanceof Missing ? null : weight.cg.x;
  };
  if (!isUnslung(plan, pick)) return null;
  const balance = balanceOf(pick);
  const usual = balance === null ? null : usualSlinging(plan, pick, balance);
  if (!usual) return null;
  const show = (value: number) => formatQuantity(value, 'length', system);
  const words = usual.turned
    ? `${show(usual.turned.top ?? 0)} from its upper end, its tail ${show(usual.turned.tail ?? 0)} from its lower`
    : `${show(usual.left ?? 0)} and ${show(usual.right ?? 0)} from its ends, ${pick.second ? 'slings' : 'legs at 60°'} of ${show(usual.legs?.left ?? 0)}`;
  const others = plan.picks.filter((one) => one.id !== pick.id && isUnslung(plan, one)).length;
  const slingAll = () => {
    const all = slungAsUsual(plan, balanceOf);
    if (all) act('editEach', all);
  };
  return (
    <div className="col-span-2 flex flex-wrap gap-1.5">
      <SmallButton onClick={() => act('editPick', { id: pick.id, changes: usual }, `${pick.id} usual`)}>Sling it {words}</SmallButton>
      {others > 0 && (
        <SmallButton onClick={slingAll}>
          <CopyCheck size={13} aria-hidden /> Sling it and {others} others so, each by its own length
        </SmallButton>
      )}
    </div>
  );
}

/** What is spliced to it on the ground and hangs with it. */
function JoinedFields({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const act = useAct();
  const joined = pick.joined ?? [];
  const offered = joinable(plan, pick);
  if (joined.length + offered.length === 0) return null;
  const mark = (id: string) => plan.structure.pieces.find((one) => one.id === id)?.mark ?? id;
  const lift = (next: string[]) => {
    const freed = joined.filter((id) => !next.includes(id)).map((piece) => ({ piece, hang: freshId('mv'), letGo: freshId('mv') }));
    act('liftAsOne', { pick: pick.id, joined: next, freed });
  };
  return (
    <div className="col-span-2 flex flex-wrap items-center gap-1.5">
      {joined.length > 0 && <span>Joined on the ground and lifted as one: {loadOf(pick).map(mark).join(', ')}</span>}
      {offered.map(({ beam, by }) => (
        <SmallButton key={beam.id} onClick={() => lift([...joined, beam.id])}>
          <Link2 size={13} aria-hidden />{' '}
          {by === 'splice' ? `Splice ${beam.mark} to it on the ground, lift as one` : `Tie ${beam.mark} beside it on the ground, lift as a pair`}
        </SmallButton>
      ))}
      {joined.map((id) => (
        <SmallButton key={id} onClick={() => lift(joined.filter((one) => one !== id))}>
          <Unlink2 size={13} aria-hidden /> Lift {mark(id)} by itself
        </SmallButton>
      ))}
    </div>
  );
}

function PickFields({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const act = useAct();
  const { open, figure, words } = useInputs();
  const edit = (changes: Partial<Omit<Pick, 'id'>>, field: string) => act('editPick', { id: pick.id, changes }, `${pick.id} ${field}`);
  const turned = isTurned(plan, pick);
  const { second } = pick;
  const pair = liftsPair(plan, pick);
  const onOne = pair ? 'Legs' : 'Sling';
  const stands = plan.stands.map(({ id, name, crane }) => ({ value: id, label: `${name}, ${plan.cranes.find((one) => one.id === crane)?.name ?? ''}` }));
  const legs = saidOf(pick, 'legs', pick.legs);
  const barred = pick.rig != null && pick.rig.kind !== 'legs';
  return (
    <>
      <Group title={turned ? 'Turned upright under the hook' : 'Pick points and slings'}>
        {plan.stands.length > 1 && (
          <div className="col-span-2">
            <ChoiceField label="Lifted from" value={pick.stand} choices={stands} onValue={(stand) => edit({ stand }, 'stand')} />
          </div>
        )}
        <JoinedFields pick={pick} />
        <AsUsual pick={pick} />
        {turned ? (
          <TurnedFields pick={pick} />
        ) : (
          <>
            {figure('Left end to pick', 'length', saidOf(pick, 'left', pick.left), (left) => edit({ left }, 'left'))}
            {figure('Right end to pick', 'length', saidOf(pick, 'right', pick.right), (right) => edit({ right }, 'right'))}
            {figure(second ? `${onOne} of the first hook` : barred ? 'Left sling' : 'Left leg', 'length', legs?.left ?? null, (left) =>
              edit({ legs: { ...pick.legs, left } }, 'leg left'),
            )}
            {figure(second ? `${onOne} of the second hook` : barred ? 'Right sling' : 'Right leg', 'length', legs?.right ?? null, (right) =>
              edit({ legs: { ...pick.legs, right } }, 'leg right'),
            )}
          </>
        )}
        {!turned && !second && !isUnslung(plan, pick) && <PickPointTools pick={pick} />}
        {turned && second && figure('Sling of the second hook', 'length', legs?.right ?? null, (right) => edit({ legs: { ...pick.legs, right } }, 'leg right'))}
        {open(
          turned || (second && !pair) ? 'Rating of the sling' : barred ? 'Rating of a sling below' : 'Rating of one leg',
          'mass',
          pick.slingRating,
          (slingRating) => edit({ slingRating }, 'rating'),
        )}
        {open('Slings and shackles weigh', 'mass', pick.riggingMass, (riggingMass) => edit({ riggingMass }, 'rigging'))}
      </Group>
      {(pick.rig || (!turned && (pair || !second))) && <RigFields pick={pick} />}
      <HitchFields pick={pick} turned={turned} />
      {!turned && <RollFields pick={pick} />}
      <Group title="The way">
        {figure('Boom', 'length', saidOf(pick, 'boom', pick.boom), (boom) => edit({ boom }, 'boom'))}
        {(turned || !second) && (
          <>
            <ChoiceField
              label="Swing"
              value={pick.swing}
              choices={[
                { value: 'short', label: 'the short way' },
                { value: 'left', label: 'to the left' },
                { value: 'right', label: 'to the right' },
              ]}
              onValue={(swing) => edit({ swing }, 'swing')}
            />
            {open('Radius while slewing', 'length', pick.swingRadius, (swingRadius) => edit({ swingRadius }, 'swing radius'), { placeholder: 'straight over' })}
          </>
        )}
        {figure('Over the seats before lowering', 'length', saidOf(pick, 'liftOver', pick.liftOver), (liftOver) => edit({ liftOver }, 'lift over'))}
        {words('Past what stands over its place', pick.threads?.how ?? '', (how) => edit({ threads: threadsOf(pick, { how }) }, 'threads'), {
          placeholder: 'straight down',
        })}
        {pick.threads &&
          words('That was worked out by', pick.threads.by, (by) => edit({ threads: threadsOf(pick, { by }) }, 'threads by'), { placeholder: 'nobody yet' })}
      </Group>
      <div className="flex flex-col gap-1.5">
        <AlongWay pick={pick} />
        <UnderCrane pick={pick} />
        <WaysButton pick={pick} />
      </div>
      <FromYard gear={pick.gear ?? []} onGear={(gear) => edit({ gear }, 'gear')} />
      <SecondHook pick={pick} stands={stands} turned={turned} />
      <OwnPlan pick={pick} />
      <AlikeButton list="picks" id={pick.id} others="picks alike" />
    </>
  );
}

/** Nothing is left of it once it says nothing. */
function threadsOf(pick: Pick, changes: Partial<NonNullable<Pick['threads']>>): Pick['threads'] {
  const next = { how: '', by: '', ...pick.threads, ...changes };
  return next.how === '' && next.by === '' ? null : next;
}

const PickPointTools = later(() => again(() => import('./pick-points')).then((part) => part.PickPointTools));
/** Read when it is opened. */
const WaysDialog = later(() => again(() => import('./ways-dialog')).then((part) => part.WaysDialog));

function WaysButton({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const [open, setOpen] = useState(false);
  return (
    <div>
      <SmallButton onClick={() => setOpen(true)}>Other ways to lift it</SmallButton>
      {open && <WaysDialog mark={markLifted(plan, pick)} pick={pick} onClose={() => setOpen(false)} />}
    </div>
  );
}

const unturned = { top: null, tail: null, sling: null };

function TurnedFields({ pick }: { pick: Pick }) {
  const act = useAct();
  const { open } = useInputs();
  const edit = (changes: Partial<NonNullable<Pick['turned']>>, field: string) =>
    act('editPick', { id: pick.id, changes: { turned: { ...(pick.turned ?? unturned), ...changes } } }, `${pick.id} ${field}`);
  return (
    <>
      {open('Slung from its upper end', 'length', pick.turned?.top ?? null, (top) => edit({ top }, 'top'))}
      {open('Sling from there to the hook', 'length', pick.turned?.sling ?? null, (sling) => edit({ sling }, 'sling'))}
      {open('Tail from its lower end', 'length', pick.turned?.tail ?? null, (tail) => edit({ tail }, 'tail'), {
        note: 'where it rests, or hangs on a second crane, until it stands',
      })}
    </>
  );
}

/** Who signed the plan of a lift that asks for one of its own. */
function OwnPlan({ pick }: { pick: Pick }) {
  const act = useAct();
  const { date, words } = useInputs();
  const asked = useJob(({ survey }) => survey.evaluation.checks.some(({ id, about }) => id === 'pick.critical' && about.id === pick.id));
  if (!asked && !pick.second && !pick.signed) return null;
  const sign = (signed: NonNullable<Pick['signed']>) => act('editPick', { id: pick.id, changes: { signed } }, `${pick.id} signed`);
  return (
    <Group title="A plan of its own">
      {words('Lift plan signed by', pick.signed?.by ?? '', (by) => sign({ by, on: pick.signed?.on ?? '' }), { placeholder: 'nobody yet' })}
      {date('Signed on', pick.signed?.on ?? '', (on) => sign({ by: pick.signed?.by ?? '', on }))}
    </Group>
  );
}

/** A second crane that takes the right end, or holds the tail of what is turned upright. */
function SecondHook({ pick, stands, turned }: { pick: Pick; stands: { value: string; label: string }[]; turned: boolean }) {
  const plan = usePlan();
  const act = useAct();
  const { open } = useInputs();
  const { second } = pick;
  const crane = plan.stands.find(({ id }) => id === pick.stand)?.crane;
  const others = plan.stands.filter((one) => one.crane !== crane);
  if (!second && others.length === 0) return null;
  const set = (next: NonNullable<Pick['second']> | null, field: string) => act('editPick', { id: pick.id, changes: { second: next } }, `${pick.id} ${field}`);
  const edit = (changes: Partial<NonNullable<Pick['second']>>, field: string) => set({ ...second!, ...changes }, field);
  return (
    <Group title={turned ? 'Tail on a second crane' : 'Second crane'}>
      <div className="col-span-2">
        <ChoiceField
          label={turned ? 'Its tail is held from' : 'Its right end is lifted from'}
          value={second?.stand ?? 'none'}
          choices={[
            { value: 'none', label: 'no second crane' },
            ...stands.filter(({ value }) => value === second?.stand || others.some(({ id }) => id === value)),
          ]}
          onValue={(stand) => (stand === 'none' ? set(null, 'second') : set({ boom: null, slingRating: null, riggingMass: null, ...second, stand }, 'second'))}
        />
      </div>
      {second && (
        <>
          {open('Boom of the second crane', 'length', second.boom, (boom) => edit({ boom }, 'second boom'))}
          {open('Rating of its sling', 'mass', second.slingRating, (slingRating) => edit({ slingRating }, 'second rating'))}
          {open('Its slings and shackles weigh', 'mass', second.riggingMass, (riggingMass) => edit({ riggingMass }, 'second rigging'))}
          {!turned && <Via pick={pick} via={second.via ?? null} onVia={(via) => edit({ via }, 'via')} />}
          {!turned && <Lands lands={second.lands ?? null} onLands={(lands) => edit({ lands }, 'lands')} />}
        </>
      )}
    </Group>
  );
}

type LandsAs = NonNullable<NonNullable<Pick['second']>['lands']>;

/** Which end comes to rest first, where, and how much higher the other is then. */
function Lands({ lands, onLands }: { lands: LandsAs | null; onLands: (lands: LandsAs | null) => Fault[] | null }) {
  const { open, choice } = useInputs();
  return (
    <>
      <div className="col-span-2">
        {choice<LandsAs['first'] | 'unsaid'>(
          'Its ends land',
          lands?.first ?? 'unsaid',
          [
            ['unsaid', 'not said yet'],
            ['together', 'both at once'],
            ['left', 'the left one first'],
            ['right', 'the right one first'],
          ],
          (first) => onLands(first === 'unsaid' ? null : { rest: null, high: null, ...lands, first }),
        )}
      </div>
      {lands && lands.first !== 'together' && (
        <>
          {open('It rests first, from that end', 'length', lands.rest, (rest) => onLands({ ...lands, rest }))}
          {open('The other pick is then higher by', 'dimension', lands.high, (high) => onLands({ ...lands, high }), { note: 'than when it is set' })}
        </>
      )}
    </>
  );
}

/** A place the middle of the piece is carried over on its way, where it does not go straight. */
function Via({ pick, via, onVia }: { pick: Pick; via: Place | null; onVia: (via: Place | null) => Fault[] | null }) {
  const plan = usePlan();
  const { open } = useInputs();
  const path = pickContext(settle(plan), pick).path;
  const half = path instanceof Missing ? { x: 0, y: 0 } : path.stations[Math.floor(path.stations.length / 2)]!.hook;
  const place = (key: 'x' | 'y', value: number | null) => (value === null ? onVia(null) : onVia({ ...(via ?? half), [key]: value }));
  return (
    <>
      {open('Carried over a place, east', 'length', via?.x ?? null, (x) => place('x', x), { placeholder: 'straight' })}
      {open('Carried over a place, north', 'length', via?.y ?? null, (y) => place('y', y), { placeholder: 'straight' })}
    </>
  );
}
