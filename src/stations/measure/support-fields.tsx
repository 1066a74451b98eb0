'use client';
import type { Fault } from '@/core/calc/schema';
import { nowSaid } from '@/core/document/things/unsaid';
import type { Support } from '@/core/document/schema';
import { placeOf } from '@/core/document/place';
import { Fold, Pair } from '@/ui/workings/fold';
import { X } from 'lucide-react';
import { SmallButton } from '@/ui/small-button';
import { AlikeButton } from '../shared/alike-button';
import { usePlan } from '@/job/job-context';
import { useSpot } from '../shared/spot-fields';
import { StandsOn } from '../shared/stands-on';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

/** Supports of the structure: what the survey found, what they carry and hold, what they stand on. */
export function SupportList() {
  const { structure } = usePlan();
  return structure.supports.map((one) => <SupportFields key={one.id} support={one} />);
}

function SupportFields({ support }: { support: Support }) {
  const edit = useEdit('supports', support.id);
  const plan = usePlan();
  const { structure } = plan;
  const underColumn = structure.pieces.some((one) => support.seats.some(({ piece }) => piece === one.id) && (placeOf(one)?.upright ?? false));
  const { date, open, words, choice, figure } = useInputs();
  const measured = support.measured ?? { level: 0, by: '', on: '' };
  const footing = support.footing?.kind === 'concrete' ? support.footing : null;
  const survey = (changes: Partial<typeof measured>, name: string) => edit({ measured: { ...measured, ...changes } }, `measured ${name}`);
  return (
    <Fold
      thing={support.id}
      title={support.name || 'Support'}
      note={support.seats.length > 1 ? `${support.kind}, ${support.seats.length} seats` : support.kind}
      tools={<ThingTools station="measure" list="supports" thing={{ id: support.id, name: support.name || 'the support' }} />}
    >
      <Pair>
        {words('Name', support.name, (name) => edit({ name }, 'name'))}
        {choice<Support['kind']>('It is a', support.kind, kinds, (kind) => edit({ kind }, 'kind'))}
        {open('Level, as drawn', 'length', support.level, (level) => edit({ level }, 'level'))}
        {(plan.shoring.bents.length > 0 || support.onBent !== null) &&
          choice<string>(
            'It is the head of',
            support.onBent?.bent ?? '',
            [['', 'no bent of this plan'], ...plan.shoring.bents.map(({ id, name }): [string, string] => [id, name || 'a bent with no name'])],
            (bent) => edit({ onBent: bent === '' ? null : { bent, at: support.onBent?.at ?? 0 } }, 'bent'),
          )}
        {support.onBent && figure('There, along its header', 'length', support.onBent.at, (at) => edit({ onBent: { ...support.onBent!, at } }, 'bent at'))}
        {support.seats.map((seat, n) => (
          <SeatFields
            key={n}
            label={support.seats.length === 1 ? 'Under' : `Seat ${n + 1} under`}
            seat={seat}
            open={n === 0 && support.unsaid?.includes('at') === true}
            onSeat={(next, placed) => edit({ seats: support.seats.with(n, next), ...(placed && n === 0 ? nowSaid(support, 'at') : {}) }, `seat ${n}`)}
            onRemove={support.seats.length < 2 ? null : () => edit({ seats: support.seats.toSpliced(n, 1) }, `seat ${n} out`)}
          />
        ))}
        {open('May carry', 'force', support.capacity, (capacity) => edit({ capacity }, 'capacity'))}
        {choice<Support['capacityBasis']>(
          'That is held against',
          support.capacityBasis,
          [
            ['allowable', 'the plain load'],
            ['design', 'the factored load'],
          ],
          (capacityBasis) => edit({ capacityBasis }, 'basis'),
        )}
        {open('Level, surveyed', 'length', support.measured?.level ?? null, (level) =>
          level === null ? edit({ measured: null }, 'measured') : survey({ level }, 'level'),
        )}
        {words('Surveyed by', measured.by, (by) => survey({ by }, 'by'), { placeholder: 'not known' })}
        {date('Surveyed on', measured.on, (on) => survey({ on }, 'on'))}
        {support.twist &&
          open('Holds against rolling over', 'moment', support.twistHolds ?? null, (twistHolds) => edit({ twistHolds }, 'twist holds'), {
            note: 'its ties, by whoever says so',
          })}
        {open('Gives under load', 'forcePerLength', support.spring, (spring) => edit({ spring }, 'spring'), { placeholder: 'rigid' })}
        {open('Holds down', 'force', support.holdsDown, (holdsDown) => edit({ holdsDown }, 'holds down'), { placeholder: 'pushes only' })}
        {open('Seat along the piece', 'dimension', support.seatLength, (seatLength) => edit({ seatLength }, 'seat length'))}
        {open('Seat across it', 'dimension', support.seatWidth, (seatWidth) => edit({ seatWidth }, 'seat width'))}
        {choice<'open' | 'yes' | 'no'>(
          'Web stiffened there',
          support.stiffened === null ? 'open' : support.stiffened ? 'yes' : 'no',
          [
            ['open', 'not known'],
            ['yes', 'yes'],
            ['no', 'no'],
          ],
          (answer) => edit({ stiffened: answer === 'open' ? null : answer === 'yes' }, 'stiffened'),
        )}
        {choice<'yes' | 'no'>(
          'Keeps the piece from rolling over',
          support.twist ? 'yes' : 'no',
          [
            ['yes', 'yes: joint, tie-down or diaphragm'],
            ['no', 'no'],
          ],
          (answer) => edit({ twist: answer === 'yes' }, 'twist'),
        )}
        {choice<'fixed' | 'free'>(
          'Along the piece',
          support.along,
          [
            ['fixed', 'holds it'],
            ['free', 'lets it slide'],
          ],
          (along) => edit({ along }, 'along'),
        )}
        {support.kind === 'anchors' &&
          !support.anchors &&
          open('Anchors', 'count', null, (count) => (count === null ? null : edit({ anchors: newAnchors(Math.max(0, Math.round(count))) }, 'anchors')))}
        {underColumn &&
          support.kind !== 'anchors' &&
          open('Holds a column’s foot with', 'moment', support.holdsMoment ?? null, (holdsMoment) => edit({ holdsMoment }, 'moment'))}
        {support.anchors && <BaseFields anchors={support.anchors} onChange={(anchors, name) => edit({ anchors }, name)} />}
        {choice<'open' | 'concrete' | 'other'>(
          'Its footing is',
          support.footing?.kind ?? 'open',
          [
            ['open', 'not known'],
            ['concrete', 'concrete'],
            ['other', 'something else'],
          ],
          (kind) => edit({ footing: kind === 'open' ? null : kind === 'other' ? { kind, what: '' } : newConcrete() }, 'footing'),
        )}
        {footing && (
          <>
            {open('Strength intended', 'strength', footing.intended, (intended) => edit({ footing: { ...footing, intended } }, 'intended'))}
            {open('Test result', 'strength', footing.result, (result) => edit({ footing: { ...footing, result } }, 'result'))}
            {words('Tested by', footing.by, (by) => edit({ footing: { ...footing, by } }, 'tested by'), { placeholder: 'not known' })}
            {date('Tested on', footing.on, (on) => edit({ footing: { ...footing, on } }, 'tested on'))}
          </>
        )}
        {support.footing?.kind === 'other' &&
          words('Stands on', support.footing.what, (what) => edit({ footing: { kind: 'other', what } }, 'stands on'), { placeholder: 'not known' })}
        <AlikeButton list="supports" id={support.id} others="supports alike" />
      </Pair>
      <div className="mt-2 flex flex-wrap gap-1.5">
        <SmallButton onClick={() => edit({ seats: [...support.seats, { ...support.seats.at(-1)! }] }, 'seat more')}>Another piece rests on it</SmallButton>
      </div>
      <StandsOn name={support.name || 'It'} standsOn={support.standsOn} onChange={(standsOn) => void edit({ standsOn }, 'stands on')} />
    </Fold>
  );
}

const kinds: readonly (readonly [Support['kind'], string])[] = [
  ['bearing', 'bearing'],
  ['pocket', 'pocket in a wall'],
  ['post', 'post'],
  ['bent', 'bent'],
  ['anchors', 'group of anchors'],
  ['jack', 'jack'],
  ['roller', 'roller'],
  ['prop', 'prop'],
  ['block', 'timber block'],
  ['deck', 'deck'],
];

type Seat = Support['seats'][number];
/** One piece that rests on a support, and where. */
function SeatFields({
  label,
  seat,
  open,
  onSeat,
  onRemove,
}: {
  label: string;
  seat: Seat;
  open: boolean;
  onSeat: (seat: Seat, placed: boolean) => Fault[] | null;
  onRemove: (() => void) | null;
}) {
  const spot = useSpot();
  return (
    <>
      {spot(label, seat, onSeat, open)}
      {onRemove && (
        <span className="col-span-2">
          <SmallButton danger label={`Take ${label.toLowerCase()} out`} onClick={onRemove}>
            <X size={13} aria-hidden /> {label.replace(' under', '')}
          </SmallButton>
        </span>
      )}
    </>
  );
}

type Anchors = NonNullable<Support['anchors']>;
/** So many anchors of which nobody has said anything else. */
const newAnchors = (count: number): Anchors => ({ count, lever: null, toe: null, columnDepth: null, tension: null, repaired: false });
const newConcrete = (): Support['footing'] => ({ kind: 'concrete', intended: null, result: null, by: '', on: '' });
type Under = NonNullable<Anchors['under']>;

/** What stands under a base plate until it is grouted. Nothing of it is taken until somebody says it. */
function BaseFields({ anchors, onChange }: { anchors: Anchors; onChange: (anchors: Anchors, name: string) => Fault[] | null }) {
  const { open, choice, whole, words } = useInputs();
  const under = anchors.under ?? null;
  const put = (next: Under | null, name: string) => onChange({ ...anchors, under: next }, name);
  const rods = under?.kind === 'nuts' || under?.kind === 'bareRods' ? under : null;
  return (
    <>
      {whole('Anchors', anchors.count, 0, (count) => onChange({ ...anchors, count }, 'anchors'))}
      {open('Anchors to pressed edge', 'dimension', anchors.lever, (lever) => onChange({ ...anchors, lever }, 'lever'))}
      {open('Axis to pressed edge', 'dimension', anchors.toe, (toe) => onChange({ ...anchors, toe }, 'toe'))}
      {open('Column depth', 'dimension', anchors.columnDepth, (columnDepth) => onChange({ ...anchors, columnDepth }, 'column depth'))}
      {open('Those in tension may pull', 'force', anchors.tension, (tension) => onChange({ ...anchors, tension }, 'tension'))}
      {choice<'yes' | 'no'>(
        'Anchor repaired',
        anchors.repaired ? 'yes' : 'no',
        [
          ['no', 'no'],
          ['yes', 'yes'],
        ],
        (answer) => onChange({ ...anchors, repaired: answer === 'yes' }, 'repaired'),
      )}
      {anchors.repaired &&
        words('Repair approved by', anchors.repairedBy ?? '', (repairedBy) => onChange({ ...anchors, repairedBy }, 'repaired by'), {
          placeholder: 'not known',
        })}
      {choice<Under['kind'] | 'open'>(
        'Under the base plate',
        under?.kind ?? 'open',
        [
          ['open', 'not known'],
          ['grouted', 'grout'],
          ['shims', 'shims'],
          ['nuts', 'levelling nuts'],
          ['bareRods', 'bare rods'],
        ],
        (kind) => {
          if (kind === 'open') return put(null, 'under');
          if (kind === 'grouted') return put({ kind }, 'under');
          if (kind === 'shims') return put({ kind, carry: null }, 'under');
          return put(
            { kind, rods: Math.max(1, anchors.count), diameter: rods?.diameter ?? null, free: rods?.free ?? null, yield: rods?.yield ?? null },
            'under',
          );
        },
      )}
      {under?.kind === 'shims' && open('Shims may carry', 'force', under.carry, (carry) => put({ ...under, carry }, 'shims'))}
      {rods && open('Rods, diameter', 'dimension', rods.diameter, (diameter) => put({ ...rods, diameter }, 'rod'))}
      {rods && open('Rods, free under the nut', 'dimension', rods.free, (free) => put({ ...rods, free }, 'rod free'))}
      {rods && open('Rods yield at', 'stress', rods.yield, (strength) => put({ ...rods, yield: strength }, 'rod yield'))}
    </>
  );
}
