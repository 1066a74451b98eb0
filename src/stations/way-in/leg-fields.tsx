'use client';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { legVerdict } from '@/core/checks/way-in/leg-verdict';
import type { Fault } from '@/core/calc/schema';
import { saidOf, type Unsaid } from '@/core/document/things/unsaid';
import type { Leg } from '@/core/document/schema';
import type { WayPlan } from '@/core/document/views';
import { useWayPlan } from '../shared/parts-of';
import type { QuantityKind } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { VerdictMark } from '@/ui/verdict/verdict-mark';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { isPulled, type PulledLeg } from '@/core/document/yard';
import { useAct, useJob } from '@/job/job-context';
import { useEdit, useField } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';
import { FromYard } from '../shared/from-yard';

export const legKinds: readonly { value: Leg['kind']; label: string }[] = [
  { value: 'truck', label: 'off the truck' },
  { value: 'opening', label: 'door or window' },
  { value: 'corner', label: 'corner' },
  { value: 'stairs', label: 'stairs' },
  { value: 'hatch', label: 'hatch' },
  { value: 'props', label: 'between props' },
  { value: 'ramp', label: 'ramp' },
  { value: 'rollers', label: 'rollers, skates' },
  { value: 'floor', label: 'floor' },
  { value: 'carry', label: 'carry' },
];

/** Of a new leg, the figures that nobody has said yet. */
const legUnsaid: Record<Leg['kind'], Unsaid[]> = {
  truck: ['at', 'pivotShare'],
  opening: ['at', 'thickness'],
  corner: ['at'],
  stairs: ['at', 'pitchDeg'],
  hatch: ['at'],
  props: ['at', 'thickness'],
  ramp: ['at', 'friction'],
  rollers: ['at', 'slopeDeg', 'starting', 'rolling'],
  carry: ['at', 'reach', 'height', 'travel'],
  floor: ['at', 'length', 'width'],
};

/** A leg with its sizes still to be measured, a little on from the last one. */
export const newLeg = (kind: Leg['kind'], id: string, plan: WayPlan): Leg => ({ ...blankLeg(kind, id, plan), unsaid: legUnsaid[kind] });

function blankLeg(kind: Leg['kind'], id: string, plan: WayPlan): Leg {
  const last = plan.wayIn.legs[plan.wayIn.legs.length - 1]?.at ?? { x: (plan.bearings[0]?.at.x ?? 0) + 8, y: (plan.bearings[0]?.at.y ?? 0) + 5 };
  const label = legKinds.find((one) => one.value === kind)?.label ?? kind;
  // A leg is told by its name: no two bear the same.
  const names = new Set(plan.wayIn.legs.map((one) => one.name));
  let name = label;
  for (let n = 2; names.has(name); n += 1) name = `${label} ${n}`;
  const common = { id, name, at: { x: last.x - 1.2, y: last.y - 0.6 } };
  switch (kind) {
    case 'truck':
      return { ...common, kind, freeRadius: null, pivotShare: 0.5 };
    case 'opening':
      return { ...common, kind, width: null, height: null, thickness: 0.3, yawDeg: 0, tiltDeg: 0, runBeyond: null };
    case 'corner':
      return { ...common, kind, corridorA: null, corridorB: null };
    case 'stairs':
      return { ...common, kind, width: null, landing: null, headRoom: null, pitchDeg: 35, turns: true };
    case 'hatch':
      return { ...common, kind, length: null, width: null, heightBelow: null };
    case 'props':
      return { ...common, kind, gap: null, thickness: 0.1, yawDeg: 0, room: null, standing: true };
    case 'ramp':
      return { ...common, kind, slopeDeg: null, friction: 0.05, line: null };
    case 'rollers':
      return { ...common, kind, slopeDeg: 0, starting: 0.08, rolling: 0.05, line: null };
    case 'carry':
      return { ...common, kind, people: null, oneEnd: false, reach: 0.35, height: 0.7, travel: 0.4, twistDeg: 0, perMinute: 0.2, hours: '1', coupling: 'good' };
    case 'floor':
      return { ...common, kind, allowable: null, pointAllowable: null, length: 2.4, width: 1.2, supports: 2, gear: 0, people: 2 };
  }
}

interface Figure {
  key: string;
  label: string;
  kind: QuantityKind;
  /** may be not known */
  open?: boolean;
  placeholder?: string;
  whole?: boolean;
}

const length = (key: string, label: string, open = true): Figure => ({ key, label, kind: 'length', open });
const figures: Record<Leg['kind'], Figure[]> = {
  truck: [length('freeRadius', 'Clear round the truck'), { key: 'pivotShare', label: 'Held from one end', kind: 'fraction' }],
  opening: [
    length('width', 'Clear width'),
    length('height', 'Clear height'),
    { key: 'thickness', label: 'Wall thickness', kind: 'dimension' },
    { ...length('runBeyond', 'Straight run beyond'), placeholder: 'no end to it' },
    { key: 'yawDeg', label: 'Piece turned on plan', kind: 'angle' },
    { key: 'tiltDeg', label: 'Piece tipped', kind: 'angle' },
  ],
  corner: [length('corridorA', 'Corridor in'), length('corridorB', 'Corridor out')],
  stairs: [
    length('width', 'Clear width'),
    length('landing', 'Landing depth'),
    { ...length('headRoom', 'Head room, square to pitch') },
    { key: 'pitchDeg', label: 'Pitch', kind: 'angle' },
  ],
  hatch: [length('length', 'Hatch length'), length('width', 'Hatch width'), length('heightBelow', 'Height below')],
  props: [
    length('gap', 'Gap between props'),
    { key: 'thickness', label: 'Prop thickness', kind: 'dimension' },
    { key: 'yawDeg', label: 'Piece turned on plan', kind: 'angle' },
    { ...length('room', 'Room beyond them'), placeholder: 'no end to it' },
  ],
  ramp: [
    { key: 'slopeDeg', label: 'Slope', kind: 'angle', open: true },
    { key: 'friction', label: 'Friction', kind: 'fraction' },
  ],
  rollers: [
    { key: 'slopeDeg', label: 'Slope, up positive', kind: 'angle' },
    { key: 'starting', label: 'Friction to start', kind: 'fraction' },
    { key: 'rolling', label: 'Friction rolling', kind: 'fraction' },
  ],
  carry: [
    { key: 'people', label: 'People', kind: 'count', open: true, whole: true },
    { key: 'reach', label: 'Hands out from ankles', kind: 'dimension' },
    { key: 'height', label: 'Hands above floor', kind: 'dimension' },
    { key: 'travel', label: 'Raised by', kind: 'dimension' },
    { key: 'twistDeg', label: 'Twist', kind: 'angle' },
    { key: 'perMinute', label: 'Lifts a minute', kind: 'factor' },
  ],
  floor: [
    { key: 'allowable', label: 'Floor may carry', kind: 'pressure', open: true },
    { key: 'pointAllowable', label: 'Single load allowed', kind: 'force', open: true },
    { key: 'length', label: 'Floor strip, length', kind: 'length' },
    { key: 'width', label: 'Floor strip, width', kind: 'length' },
    { key: 'supports', label: 'Skates under it', kind: 'count', whole: true },
    { key: 'gear', label: 'Trolley and skates', kind: 'mass' },
    { key: 'people', label: 'People with it', kind: 'count', whole: true },
  ],
};

/** One leg: its sizes, and where it stands among the others. */
export function LegFields({ leg, number }: { leg: Leg; number: number }) {
  const act = useAct();
  const field = useField();
  const edit = useEdit('legs', leg.id);
  const checks = useJob((state) => state.survey.evaluation.checks);
  const verdict = legVerdict(leg, checks);
  const values = leg as unknown as Record<string, number | null>;
  const put = (changes: Record<string, unknown>, name: string) => edit(changes as never, name);
  return (
    <Fold
      thing={leg.id}
      title={`${number} ${leg.name || leg.kind}`}
      note={legKinds.find((one) => one.value === leg.kind)?.label}
      tools={
        <span className="flex items-center gap-1">
          {verdict && <VerdictMark verdict={verdict} size={15} />}
          <MoveLeg id={leg.id} number={number} />
          <SmallButton danger label={`Remove leg ${number}`} onClick={() => act('removeFrom', { list: 'legs', id: leg.id })}>
            <X size={13} />
          </SmallButton>
        </span>
      }
    >
      <Pair>
        <TextField {...field} label="Name" value={leg.name} onValue={(name) => put({ name }, 'name')} />
        {leg.kind === 'props' && (
          <ChoiceField
            label="When the piece comes"
            value={leg.standing ? 'yes' : 'no'}
            choices={[
              { value: 'yes', label: 'they stand' },
              { value: 'no', label: 'not there yet' },
            ]}
            onValue={(value) => put({ standing: value === 'yes' }, 'standing')}
          />
        )}
        {leg.kind === 'stairs' && (
          <ChoiceField
            label="The flight"
            value={leg.turns ? 'turns' : 'straight'}
            choices={[
              { value: 'turns', label: 'turns on a landing' },
              { value: 'straight', label: 'goes straight up' },
            ]}
            onValue={(value) => put({ turns: value === 'turns' }, 'turns')}
          />
        )}
        {leg.kind === 'carry' && (
          <>
            <ChoiceField
              label="Raised"
              value={leg.oneEnd ? 'one' : 'all'}
              choices={[
                { value: 'all', label: 'all of it at once' },
                { value: 'one', label: 'one end at a time' },
              ]}
              onValue={(value) => put({ oneEnd: value === 'one' }, 'one end')}
            />
            <ChoiceField
              label="Grip"
              value={leg.coupling}
              choices={[
                { value: 'good', label: 'good' },
                { value: 'fair', label: 'fair' },
                { value: 'poor', label: 'poor' },
              ]}
              onValue={(coupling) => put({ coupling }, 'grip')}
            />
            <ChoiceField
              label="Lasts up to"
              value={leg.hours}
              choices={[
                { value: '1', label: '1 hour' },
                { value: '2', label: '2 hours' },
                { value: '8', label: '8 hours' },
              ]}
              onValue={(hours) => put({ hours }, 'hours')}
            />
          </>
        )}
        {figures[leg.kind].map((one) => (
          <QuantityField
            {...field}
            key={one.key}
            label={one.label}
            kind={one.kind}
            value={saidOf(leg, one.key as Unsaid, values[one.key] ?? null)}
            clearable={one.open}
            placeholder={leg.unsaid?.includes(one.key as Unsaid) ? 'not known' : one.placeholder}
            onValue={(value) => put({ [one.key]: value === null ? (one.open ? null : 0) : one.whole ? Math.round(value) : value }, one.key)}
          />
        ))}
        <QuantityField
          {...field}
          label="East on the plan"
          kind="length"
          value={saidOf(leg, 'at', leg.at.x)}
          onValue={(x) => put({ at: { ...leg.at, x: x ?? 0 } }, 'x')}
        />
        <QuantityField
          {...field}
          label="North on the plan"
          kind="length"
          value={saidOf(leg, 'at', leg.at.y)}
          onValue={(y) => put({ at: { ...leg.at, y: y ?? 0 } }, 'y')}
        />
      </Pair>
      {isPulled(leg) && <PullFields leg={leg} put={put} />}
    </Fold>
  );
}

type Pull = NonNullable<PulledLeg['pull']>;
const pullKinds = [
  ['open', 'not said'],
  ['line', 'a line'],
  ['people', 'people'],
] as const;

/** What pulls the piece along, what that is made fast to, and with which gear of the yard. */
function PullFields({ leg, put }: { leg: PulledLeg; put: (changes: Partial<PulledLeg>, name: string) => Fault[] | null }) {
  const { open, words, choice } = useInputs();
  const { pull = null } = leg;
  const set = (next: Pull, name: string) => put({ pull: next }, name);
  return (
    <div className="space-y-2 border-t border-line pt-2">
      <Pair>
        {choice<Pull['kind'] | 'open'>('Pulled by', pull?.kind ?? 'open', pullKinds, (kind) =>
          put({ pull: kind === 'open' ? null : kind === 'line' ? { kind, anchoredTo: '', carries: null } : { kind, people: null } }, 'pulled by'),
        )}
        {pull?.kind === 'people' &&
          open('People', 'count', pull.people, (people) => set({ ...pull, people: people === null ? null : Math.round(people) }, 'people'))}
        {pull?.kind !== 'people' && open('Line is rated', 'force', leg.line, (line) => put({ line }, 'line'))}
        {pull?.kind === 'line' && (
          <>
            {words('Made fast to', pull.anchoredTo, (anchoredTo) => set({ ...pull, anchoredTo }, 'made fast'), { placeholder: 'not known' })}
            {open('That may take', 'force', pull.carries, (carries) => set({ ...pull, carries }, 'may take'))}
          </>
        )}
      </Pair>
      <FromYard gear={leg.gear ?? []} onGear={(gear) => put({ gear }, 'gear')} />
    </div>
  );
}

function MoveLeg({ id, number }: { id: string; number: number }) {
  const act = useAct();
  const { legs } = useWayPlan().wayIn;
  const at = legs.findIndex((leg) => leg.id === id);
  return (
    <>
      {at > 0 && (
        <SmallButton label={`Leg ${number} sooner`} onClick={() => act('shiftIn', { list: 'legs', id, to: at - 1 })}>
          <ArrowUp size={13} />
        </SmallButton>
      )}
      {at < legs.length - 1 && (
        <SmallButton label={`Leg ${number} later`} onClick={() => act('shiftIn', { list: 'legs', id, to: at + 1 })}>
          <ArrowDown size={13} />
        </SmallButton>
      )}
    </>
  );
}
