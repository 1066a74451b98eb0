'use client';
import { later } from '@/ui/later';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { newArm, newPoint, newRaise, pointWords, raiseKinds, type Arm, type RaiseKind } from '@/core/document/things/raise';
import { loadOf } from '@/core/document/joined';
import type { Plan, Raise, RaisePoint } from '@/core/document/schema';
import { allShores } from '@/core/document/views';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { again } from '@/ui/again';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, usePlan } from '@/job/job-context';
import { ThingTools } from '../shared/thing-tools';
import { useInputs } from '@/job/editing/use-inputs';
import { FromYard } from '../shared/from-yard';

const inWords: Record<RaiseKind, string> = { mastLift: 'mast lifts', hoist: 'hoists', jack: 'jacks', hands: 'hands' };

/** What a lift without a crane raises, by name. */
function nameOf(plan: Plan, load: string): string {
  const opening = plan.survey.openings.find(({ id }) => id === load);
  if (opening) return plan.members.find(({ id }) => id === opening.member)?.mark || opening.name;
  return plan.structure.pieces.find(({ id }) => id === load)?.mark ?? load;
}

/** Lifts by mast lifts, hoists, jacks and hands, and a way to plan one of what nothing lifts yet. */
export function Raises() {
  const plan = usePlan();
  const raises = plan.raises ?? [];
  return (
    <>
      {raises.length > 0 && (
        <div className="border-b border-line">
          {raises.map((raise) => {
            const name = nameOf(plan, raise.load);
            const kinds = [...new Set(raise.points.map(({ kind }) => inWords[kind]))];
            return (
              <Fold
                key={raise.id}
                thing={raise.id}
                title={name || 'Lift'}
                note={kinds.length > 0 ? `by ${kinds.join(' and ')}, at ${raise.points.length} places` : 'by nothing yet'}
                tools={<ThingTools station="picks" list="raises" thing={{ id: raise.id, name: `the lift of ${name}` }} />}
              >
                <RaiseFields raise={raise} />
              </Fold>
            );
          })}
        </div>
      )}
      <NewRaise />
    </>
  );
}

/** Read when it is opened. */
const WaysDialog = later(() => again(() => import('./ways-dialog')).then((part) => part.WaysDialog));

function RaiseFields({ raise }: { raise: Raise }) {
  const plan = usePlan();
  const act = useAct();
  const [ways, setWays] = useState(false);
  const { open, words } = useInputs();
  const edit = (changes: Partial<Omit<Raise, 'id'>>, field: string) => act('editIn', { list: 'raises', id: raise.id, changes }, `${raise.id} ${field}`);
  const put = (points: RaisePoint[], field: string) => edit({ points }, field);
  return (
    <div className="space-y-3 pb-3">
      <Pair>
        {open('Gear stands at level', 'length', raise.floor, (floor) => edit({ floor }, 'floor'))}
        {open('Load lies at level', 'length', raise.lies, (lies) => edit({ lies }, 'lies'))}
        {open('One end ahead by, most', 'dimension', raise.uneven, (uneven) => edit({ uneven }, 'uneven'))}
        {open('Floor may take', 'pressure', raise.floorCarries, (floorCarries) => edit({ floorCarries }, 'floor carries'))}
        {words('Answers for it', raise.by, (by) => edit({ by }, 'by'), { placeholder: 'nobody yet' })}
      </Pair>
      <div>
        <SmallButton onClick={() => setWays(true)}>Other ways to lift it</SmallButton>
        {ways && <WaysDialog mark={nameOf(plan, raise.load)} raise={raise} onClose={() => setWays(false)} />}
      </div>
      <FromYard gear={raise.gear ?? []} onGear={(gear) => edit({ gear }, 'gear')} />
      {raise.points.map((point, n) => (
        <section key={point.id} aria-label={point.name} className="border-t border-line pt-2">
          <div className="flex items-center justify-between">
            <h4 className="font-semibold text-gear">{point.name}</h4>
            <SmallButton danger label={`Remove ${point.name}`} onClick={() => put(raise.points.toSpliced(n, 1), `${point.id} gone`)}>
              <X size={14} />
            </SmallButton>
          </div>
          <PointFields point={point} onPoint={(changed, field) => put(raise.points.with(n, changed), `${point.id} ${field}`)} />
        </section>
      ))}
      <div className="flex flex-wrap gap-1.5">
        {raiseKinds.map((kind) => (
          <SmallButton
            key={kind}
            onClick={() => put([...raise.points, newPoint(kind, freshId('lp'), `${capital(pointWords[kind])} ${raise.points.length + 1}`)], 'new place')}
          >
            <Plus size={13} aria-hidden /> Another {pointWords[kind]}
          </SmallButton>
        ))}
      </div>
    </div>
  );
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

type OnPoint = (point: RaisePoint, field: string) => ReturnType<ReturnType<typeof useAct>>;

function PointFields({ point, onPoint }: { point: RaisePoint; onPoint: OnPoint }) {
  const plan = usePlan();
  const { open, words, choice, whole } = useInputs();
  const set = <P extends RaisePoint>(of: P, changes: Partial<P>, field: string) => onPoint({ ...of, ...changes }, field);
  const common = (
    <>
      {words('Name', point.name, (name) => set(point, { name }, 'name'))}
      {open('From the left end of the load', 'length', point.at, (at) => set(point, { at }, 'at'))}
    </>
  );
  switch (point.kind) {
    case 'mastLift':
      return (
        <Pair>
          {common}
          {open('Lifts by its plate', 'mass', point.rating, (rating) => set(point, { rating }, 'rating'))}
          {open('Load centre of the plate', 'dimension', point.plateCentre, (plateCentre) => set(point, { plateCentre }, 'plate centre'))}
          {open('Mast to middle of this load', 'dimension', point.centre, (centre) => set(point, { centre }, 'centre'))}
          {open('Forks go up to', 'length', point.reach, (reach) => set(point, { reach }, 'reach'))}
          {open('The lift weighs', 'mass', point.own, (own) => set(point, { own }, 'own'))}
          {open('Floor under its legs', 'floorArea', point.foot, (foot) => set(point, { foot }, 'foot'))}
        </Pair>
      );
    case 'hoist': {
      const holdfasts = [...allShores(plan), ...plan.links, ...plan.bearings, ...plan.structure.supports].map(({ id, name }): [string, string] => [
        id,
        name || id,
      ]);
      const beams = plan.structure.pieces.map(({ id, mark }): [string, string] => [id, mark]);
      return (
        <Pair>
          {common}
          {open('Rated', 'mass', point.rating, (rating) => set(point, { rating }, 'rating'))}
          {open('The hoist weighs, with chain', 'mass', point.own, (own) => set(point, { own }, 'own'))}
          {open('Closed, from hanger to hook', 'length', point.closed, (closed) => set(point, { closed }, 'closed'))}
          {open('Hook to top of the load', 'length', point.sling, (sling) => set(point, { sling }, 'sling'))}
          {open('Hook travels', 'length', point.travel, (travel) => set(point, { travel }, 'travel'))}
          {open('Pulls out of plumb by', 'angle', point.sideDeg, (sideDeg) => set(point, { sideDeg }, 'side'))}
          {choice<string>(
            'Hangs from',
            point.arm ? 'arm' : (point.hangsOn ?? 'other'),
            [['other', 'something else'], ['arm', 'the arm of a post lashed upright'], ...holdfasts, ...beams],
            (id) => set(point, { hangsOn: id === 'other' || id === 'arm' ? null : id, arm: id === 'arm' ? newArm() : null }, 'hangs on'),
          )}
          {!point.hangsOn &&
            words(point.arm ? 'Which post' : 'It hangs from', point.hangsFrom, (hangsFrom) => set(point, { hangsFrom }, 'hangs from'), {
              placeholder: 'nothing named',
            })}
          {open('Hangs at level', 'length', point.hangsAt, (hangsAt) => set(point, { hangsAt }, 'hangs at'))}
          {point.arm ? (
            <ArmFields arm={point.arm} onArm={(arm, field) => set(point, { arm }, `arm ${field}`)} />
          ) : (
            open('That may carry', 'force', point.carries, (carries) => set(point, { carries }, 'carries'))
          )}
        </Pair>
      );
    }
    case 'jack':
      return (
        <Pair>
          {common}
          {open('Rated', 'mass', point.rating, (rating) => set(point, { rating }, 'rating'))}
          {open('Run right down it is high', 'dimension', point.closed, (closed) => set(point, { closed }, 'closed'))}
          {open('Stroke', 'dimension', point.stroke, (stroke) => set(point, { stroke }, 'stroke'))}
          {open('Raised in one go', 'dimension', point.step, (step) => set(point, { step }, 'step'))}
          {open('Packing follows within', 'dimension', point.packing, (packing) => set(point, { packing }, 'packing'))}
          {open('Floor under it', 'floorArea', point.foot, (foot) => set(point, { foot }, 'foot'))}
          {choice<'unsaid' | 'yes' | 'no'>(
            'Locks by itself',
            point.locks === null ? 'unsaid' : point.locks ? 'yes' : 'no',
            [
              ['unsaid', 'not said yet'],
              ['yes', 'yes'],
              ['no', 'no: it stands on its oil'],
            ],
            (answer) => set(point, { locks: answer === 'unsaid' ? null : answer === 'yes' }, 'locks'),
          )}
        </Pair>
      );
    case 'hands':
      return (
        <Pair>
          {common}
          {point.people === null
            ? open('People', 'count', null, (people) => set(point, { people: people === null ? null : Math.max(1, Math.round(people)) }, 'people'))
            : whole('People', point.people, 1, (people) => set(point, { people }, 'people'))}
          {open('From rest to rest', 'length', point.rung, (rung) => set(point, { rung }, 'rung'))}
          {open('Friction on the rests', 'factor', point.friction, (friction) => set(point, { friction }, 'friction'))}
          {open('A rest may carry', 'force', point.rungCarries, (rungCarries) => set(point, { rungCarries }, 'rung carries'))}
          {choice<'unsaid' | 'yes' | 'no'>(
            'A keeper at each rest',
            point.keepers === null ? 'unsaid' : point.keepers ? 'yes' : 'no',
            [
              ['unsaid', 'not said yet'],
              ['yes', 'yes: held before the next step'],
              ['no', 'no'],
            ],
            (answer) => set(point, { keepers: answer === 'unsaid' ? null : answer === 'yes' }, 'keepers'),
          )}
        </Pair>
      );
  }
}

/** The post, its arm and its two lashings. */
function ArmFields({ arm, onArm }: { arm: Arm; onArm: (arm: Arm, field: string) => ReturnType<OnPoint> }) {
  const { open, words } = useInputs();
  const set = (changes: Partial<Arm>, field: string) => onArm({ ...arm, ...changes }, field);
  return (
    <>
      {open('Post to hoist, out', 'length', arm.reach, (reach) => set({ reach }, 'reach'))}
      {open('Lashings apart', 'length', arm.apart, (apart) => set({ apart }, 'apart'))}
      {open('One lashing may carry', 'force', arm.lashingCarries, (lashingCarries) => set({ lashingCarries }, 'lashing'))}
      {words('Lashed to, worked out by', arm.designedBy, (designedBy) => set({ designedBy }, 'designed'), { placeholder: 'nobody yet' })}
      {open('Post and arm weigh', 'mass', arm.own, (own) => set({ own }, 'own'))}
      {open('Under its foot may stand', 'force', arm.footCarries, (footCarries) => set({ footCarries }, 'foot'))}
    </>
  );
}

/** What goes over an opening, or a piece of the structure that no pick lifts, raised by lifts, hoists, jacks or hands. */
function NewRaise() {
  const plan = usePlan();
  const act = useAct();
  const pushed = (plan.launches ?? []).flatMap(({ pieces }) => pieces.map(({ piece }) => piece));
  const taken = new Set([...(plan.raises ?? []).map(({ load }) => load), ...plan.picks.flatMap(loadOf), ...pushed]);
  const loads = [
    ...plan.survey.openings.filter(({ id, member }) => !taken.has(id) && member !== null).map(({ id }) => id),
    ...plan.structure.pieces.filter(({ id }) => !taken.has(id)).map(({ id }) => id),
  ];
  const [next] = loads;
  if (next === undefined) return null;
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      {loads.slice(0, 3).map((load) =>
        raiseKinds.map((kind) => (
          <SmallButton
            key={`${load} ${kind}`}
            onClick={() => act('addTo', { list: 'raises', thing: newRaise(freshId('r'), load, kind, 2, () => freshId('lp')) })}
          >
            <Plus size={13} aria-hidden /> {nameOf(plan, load)} by {inWords[kind]}
          </SmallButton>
        )),
      )}
      {loads.length > 3 && <span className="text-[12.5px] text-soft">and {loads.length - 3} more that nothing lifts</span>}
    </div>
  );
}
