'use client';
import { Fragment } from 'react';
import type { Fault } from '@/core/calc/schema';
import type { Beam, Brace, Joint, Make, Move, Plan } from '@/core/plan/schema';
import { nowSaid, saidOf } from '@/core/plan/document/unsaid';
import { boltName, boltShearOf, drawnBolt } from '@/core/plan/structure/joint-bolts';
import { rulesOf } from '@/core/rules/rule-sets';
import { jointBoltGrades } from '@/core/strength/bolt-grades';
import { formatQuantity } from '@/core/units';
import { PlainButton } from '@/ui/plain-button';
import { Fold, Pair } from '@/ui/workings/fold';
import { AlikeButton, AlikeMovesButton } from './alike-button';
import { MakeFields } from './make-fields';
import { useAct, usePlan } from './job-context';
import { SubjectMark } from './subject-mark';
import { useEdit } from './use-edit';
import { same, useInputs } from './use-inputs';

/** Pieces, joints and braces of the structure. */
export function SteelOfStructure() {
  const { structure } = usePlan();
  if (structure.makes.length === 0) return null;
  const makes = new Map(structure.makes.map((one) => [one.id, one]));
  return (
    <div className="border-b border-line">
      {structure.makes.map((one) => (
        <MakeFields key={one.id} make={one} />
      ))}
      {structure.pieces.map((one) => (
        <BeamFields key={one.id} beam={one} make={makes.get(one.make)} />
      ))}
      {structure.joints.map((one) => (
        <JointFields key={one.id} joint={one} />
      ))}
      {structure.braces.map((one) => (
        <BraceFields key={one.id} brace={one} />
      ))}
    </div>
  );
}

function BeamFields({ beam, make }: { beam: Beam; make: Make | undefined }) {
  const { units } = usePlan().job;
  const edit = useEdit('beams', beam.id);
  const { open, words, choice } = useInputs();
  return (
    <Fold
      thing={beam.id}
      title={beam.mark || 'Piece'}
      note={make ? `${make.mark}, ${formatQuantity(make.length, 'length', units)}` : undefined}
      tools={<SubjectMark station="steel" about={{ kind: 'beam', id: beam.id }} />}
    >
      <Pair>
        {words('Mark', beam.mark, (mark) => edit({ mark }, 'mark'))}
        {open('Bare weight, on the scale', 'mass', beam.weighed, (weighed) => edit({ weighed }, 'weighed'))}
        {(
          [
            ['x', 'Lies before the lift, east', 'length'],
            ['y', 'Lies before the lift, north', 'length'],
            ['azimuthDeg', 'First to second end from east', 'angle'],
            ['level', 'Underside there above ground', 'length'],
          ] as const
        ).map(([key, label, kind]) => (
          <Fragment key={key}>
            {open(label, kind, beam.lies?.[key] ?? null, (value) => edit({ lies: { ...(beam.lies ?? unlaid), [key]: value } }, `lies ${key}`))}
          </Fragment>
        ))}
        {choice('It comes there', beam.lies?.comes ?? '', comings, (said) =>
          edit({ lies: { ...(beam.lies ?? unlaid), comes: said === 'onTruck' || said === 'before' ? said : null } }, 'comes'),
        )}
        <AlikeButton list="beams" id={beam.id} others="pieces where they lie" />
        <PlaceFields beam={beam} />
      </Pair>
    </Fold>
  );
}

/** Where its two ends are to be: typed here, dragged on the drawings. */
function PlaceFields({ beam }: { beam: Beam }) {
  const edit = useEdit('beams', beam.id);
  const act = useAct();
  const { figure } = useInputs();
  const { from, to } = beam;
  if (!from || !to)
    return <PlainButton onClick={() => act('placePiece', { id: beam.id, end: null, at: null, step: null, seen: 'above' })}>Put it on the drawing</PlainButton>;
  const ends = [
    ['from', 'First end', from],
    ['to', 'Second end', to],
  ] as const;
  return axes.flatMap(([axis, says]) =>
    ends.map(([end, name, point]) => (
      <Fragment key={`${end} ${axis}`}>
        {figure(`${name}, ${says}`, 'length', point[axis], (value) => edit({ [end]: { ...point, [axis]: value } }, `place ${end} ${axis}`))}
      </Fragment>
    )),
  );
}
const axes = [
  ['x', 'east'],
  ['y', 'north'],
  ['z', 'level'],
] as const;

const comings = [
  ['', 'nobody has said'],
  ['onTruck', 'on its truck, as it is lifted'],
  ['before', 'laid there before'],
] as const;
const unlaid = { x: null, y: null, azimuthDeg: null, level: null };

type BoltGrade = NonNullable<Joint['bolt']>['grade'];

/** Its bolts by their size; of which grade they are, and how often cut, is still to be said. */
function boltOf({ bolt, kind, unsaid }: Joint, plan: Plan, diameter: number | null): Partial<Joint> {
  if (bolt && diameter !== null) return { bolt: { ...bolt, diameter } };
  const rest = (unsaid ?? []).filter((key) => key !== 'bolt.grade' && key !== 'bolt.planes');
  if (diameter === null) return { bolt: null, unsaid: rest };
  const grade = plan.job.ruleSet === 'us-asd' ? 'A325' : '8.8';
  return { bolt: { diameter, grade, planes: kind === 'splice' ? 2 : 1 }, unsaid: [...rest, 'bolt.grade', 'bolt.planes'] };
}

/** What one of its bolts carries in shear by its size alone. */
function byItsSize(joint: Joint, plan: Plan): string | undefined {
  const bolt = drawnBolt(joint);
  if (!bolt) return undefined;
  const found = boltShearOf(bolt, rulesOf(plan.job.ruleSet, plan.job.thresholds));
  return 'why' in found ? undefined : `${boltName(bolt, plan.job.units)}: ${formatQuantity(found.shear, 'force', plan.job.units)} in shear`;
}

function JointFields({ joint }: { joint: Joint }) {
  const plan = usePlan();
  const edit = useEdit('joints', joint.id);
  const { open, words, choice } = useInputs();
  return (
    <Fold thing={joint.id} title={joint.name || 'Joint'} note={joint.kind} tools={<SubjectMark station="steel" about={{ kind: 'joint', id: joint.id }} />}>
      <Pair>
        {words('Name', joint.name, (name) => edit({ name }, 'name'))}
        {open('Holes in all', 'count', joint.holes, (holes) => edit({ holes: holes === null ? null : Math.max(1, Math.round(holes)) }, 'holes'))}
        {joint.kind === 'splice' ? (
          <>
            {open('Moment it may carry, filled', 'moment', joint.moment, (moment) => edit({ moment }, 'moment'))}
            {open('Shear it may carry, filled', 'force', joint.shear, (shear) => edit({ shear }, 'shear'))}
          </>
        ) : (
          open('One bolt may carry', 'force', joint.boltShear, (boltShear) => edit({ boltShear }, 'bolt'), { note: byItsSize(joint, plan) })
        )}
        {open('Bolts are this thick', 'dimension', joint.bolt?.diameter ?? null, (diameter) => edit(boltOf(joint, plan, diameter), 'bolt size'))}
        {joint.bolt &&
          choice<BoltGrade | 'open'>(
            'Bolts are of grade',
            saidOf(joint, 'bolt.grade', joint.bolt.grade) ?? 'open',
            [...(joint.unsaid?.includes('bolt.grade') ? ([['open', 'not said']] as const) : []), ...same(jointBoltGrades)],
            (grade) => (grade === 'open' ? null : edit({ bolt: { ...joint.bolt!, grade }, ...nowSaid(joint, 'bolt.grade') }, 'bolt grade')),
          )}
        {joint.bolt &&
          open('Shear planes through one bolt', 'count', saidOf(joint, 'bolt.planes', joint.bolt.planes), (planes) =>
            edit({ bolt: { ...joint.bolt!, planes: Math.max(1, Math.round(planes ?? 1)) }, ...nowSaid(joint, 'bolt.planes') }, 'bolt planes'),
          )}
        {joint.kind === 'splice' &&
          choice<'yes' | 'no'>(
            'Traffic before it is filled',
            joint.traffic ? 'yes' : 'no',
            [
              ['no', 'no'],
              ['yes', 'yes: three quarters filled'],
            ],
            (answer) => edit({ traffic: answer === 'yes' }, 'traffic'),
          )}
        {choice<'no' | 'reamed' | 'burnt'>(
          'Holes opened on site',
          joint.opened?.how ?? 'no',
          [
            ['no', 'no'],
            ['reamed', 'reamed'],
            ['burnt', 'by flame'],
          ],
          (how) => edit({ opened: how === 'no' ? null : { how, by: joint.opened?.by ?? '' } }, 'opened'),
        )}
        {joint.opened &&
          words('Opening approved by', joint.opened.by, (by) => edit({ opened: { ...joint.opened!, by } }, 'opened by'), { placeholder: 'not known' })}
        <AlikeButton list="joints" id={joint.id} others="joints alike" />
      </Pair>
    </Fold>
  );
}

const braceKinds: readonly (readonly [Brace['kind'], string])[] = [
  ['crossFrame', 'cross-frame'],
  ['diaphragm', 'diaphragm'],
  ['strut', 'strut'],
  ['guy', 'guy'],
  ['knee', 'knee'],
  ['bridging', 'bridging'],
  ['deck', 'deck panel'],
];

function BraceFields({ brace }: { brace: Brace }) {
  const edit = useEdit('braces', brace.id);
  const { open, words, choice } = useInputs();
  return (
    <Fold
      thing={brace.id}
      title={brace.name || 'Brace'}
      note={brace.b ? 'to another piece' : brace.anchoredTo}
      tools={<SubjectMark station="steel" about={{ kind: 'brace', id: brace.id }} />}
    >
      <Pair>
        {words('Name', brace.name, (name) => edit({ name }, 'name'))}
        {choice<Brace['kind']>('It is a', brace.kind, braceKinds, (kind) => edit({ kind }, 'kind'))}
        {choice<Brace['stops']>(
          'It stops',
          brace.stops,
          [
            ['sideways', 'sideways movement'],
            ['twist', 'rolling over'],
            ['both', 'both'],
          ],
          (stops) => edit({ stops }, 'stops'),
        )}
        {choice<'open' | 'stays' | 'goes'>(
          'It is there',
          brace.stays === true ? 'stays' : brace.stays === false ? 'goes' : 'open',
          [
            ['open', 'not said'],
            ['stays', 'for good'],
            ['goes', 'for the erection only'],
          ],
          (said) => edit({ stays: said === 'open' ? null : said === 'stays' }, 'stays'),
        )}
        {open('It may carry', 'force', brace.capacity, (capacity) => edit({ capacity }, 'capacity'))}
        {open('It weighs', 'mass', brace.mass ?? null, (mass) => edit({ mass }, 'mass'))}
        {open('Stiffness', 'forcePerLength', brace.stiffness, (stiffness) => edit({ stiffness }, 'stiffness'))}
        {!brace.b && words('Tied at its other end to', brace.anchoredTo, (anchoredTo) => edit({ anchoredTo }, 'anchored'), { placeholder: 'not known' })}
        {!brace.b && open('Seen from above it pulls towards', 'angle', brace.towardsDeg, (towardsDeg) => edit({ towardsDeg }, 'towards'))}
        {!brace.b && open('Slope from the horizontal', 'angle', brace.slopeDeg ?? null, (slopeDeg) => edit({ slopeDeg }, 'slope'))}
        {!brace.b && brace.kind === 'guy' && <AnchorFields anchor={brace.anchor ?? null} onChange={(anchor, name) => edit({ anchor }, name)} />}
        <AlikeButton list="braces" id={brace.id} others="braces alike" />
      </Pair>
    </Fold>
  );
}

type Anchor = NonNullable<Brace['anchor']>;

/** What a guy is tied to at its other end, and what that holds. */
function AnchorFields({ anchor, onChange }: { anchor: Anchor | null; onChange: (anchor: Anchor | null, name: string) => Fault[] | null }) {
  const { open, choice } = useInputs();
  return (
    <>
      {choice<Anchor['kind'] | 'open'>(
        'Its other end is held by',
        anchor?.kind ?? 'open',
        [
          ['open', 'not known'],
          ['block', 'a block by its weight'],
          ['fixed', 'an anchor'],
        ],
        (kind) => onChange(kind === 'open' ? null : kind === 'block' ? { kind, weight: null, friction: null } : { kind, carry: null }, 'anchor'),
      )}
      {anchor?.kind === 'block' && open('Block weighs', 'force', anchor.weight, (weight) => onChange({ ...anchor, weight }, 'block'))}
      {anchor?.kind === 'block' && open('Friction under the block', 'factor', anchor.friction, (friction) => onChange({ ...anchor, friction }, 'friction'))}
      {anchor?.kind === 'fixed' && open('Anchor may carry', 'force', anchor.carry, (carry) => onChange({ ...anchor, carry }, 'carry'))}
    </>
  );
}

/** Whether the bolts a move puts in count. */
export function TightChoice({ tight, onTight }: { tight: boolean | null; onTight: (tight: boolean | null) => Fault[] | null }) {
  const { choice } = useInputs();
  return choice<'yes' | 'no' | 'open'>(
    'Drawn size and grade, wrench-tight',
    tight === true ? 'yes' : tight === false ? 'no' : 'open',
    [
      ['open', 'not known'],
      ['yes', 'yes'],
      ['no', 'no: they do not count'],
    ],
    (answer) => onTight(answer === 'open' ? null : answer === 'yes'),
  );
}

/** What can be changed in a move of the structure. */
export function StructureMoveFields({ move }: { move: Move }) {
  const act = useAct();
  const plan = usePlan();
  const picks = plan.picks.map(({ id, piece, stand }) => ({ id, piece, stand: plan.stands.find((one) => one.id === stand)?.name ?? stand }));
  const { open, figure, words, choice, whole } = useInputs();
  const edit = (changes: Parameters<typeof act<'editMove'>>[1]['changes'], field: string) => act('editMove', { id: move.id, changes }, `${move.id} ${field}`);
  switch (move.kind) {
    case 'piece.hang':
      return (
        <>
          {!move.pick && words('Held by', move.by, (by) => edit({ by }, 'by'), { placeholder: 'crane, hoist, lifts, hands' })}
          {choice<string>(
            'Lifted by the pick',
            move.pick ?? 'none',
            [['none', 'none of this plan'], ...picks.filter((one) => one.piece === move.beam).map(({ id, stand }): [string, string] => [id, `from ${stand}`])],
            (pick) => edit({ pick: pick === 'none' ? null : pick }, 'pick'),
          )}
          {!move.pick &&
            words('That lift was worked out by', move.checkedBy ?? '', (checkedBy) => edit({ checkedBy }, 'checked by'), { placeholder: 'nobody yet' })}
          <AlikeMovesButton move={move} others="pieces" />
        </>
      );
    case 'piece.letGo':
      return figure('The hook still pulls', 'force', move.keeps, (keeps) => edit({ keeps }, 'keeps'));
    case 'beam.plumb':
      return open('Out of plumb or level, as read', 'dimension', move.off, (off) => edit({ off }, 'off'));
    case 'launch.push':
      return figure('Pushed to, of its travel', 'length', move.to, (to) => edit({ to: Math.max(0, to) }, 'to'));
    case 'support.level':
      return figure('Brought to level', 'length', move.level, (level) => edit({ level }, 'level'));
    case 'joint.make':
      return (
        <>
          {whole('Pins driven', move.pins, 0, (pins) => edit({ pins }, 'pins'))}
          {open('Bolts put in', 'count', move.bolts, (bolts) => edit({ bolts: bolts === null ? null : Math.max(0, Math.round(bolts)) }, 'bolts'))}
          <TightChoice tight={move.tight} onTight={(tight) => edit({ tight }, 'tight')} />
          {choice<'asLies' | 'drawn'>(
            'The ends are joined',
            move.fit,
            [
              ['asLies', 'at the angle they lie'],
              ['drawn', 'drawn straight'],
            ],
            (fit) => edit({ fit }, 'fit'),
          )}
          <AlikeMovesButton move={move} others="moves alike" />
        </>
      );
    default:
      return null;
  }
}
