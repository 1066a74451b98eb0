'use client';
import { Fragment } from 'react';
import type { Fault } from '@/core/calc/schema';
import type { Beam, Brace, Joint, Make, Move, Support } from '@/core/plan/schema';
import { formatQuantity } from '@/core/units';
import { Fold, Pair } from '@/ui/workings/fold';
import { useAct, usePlan } from './job-context';
import { SubjectMark } from './subject-mark';
import { useEdit } from './use-edit';
import { useInputs } from './use-inputs';

/** Supports of the structure: what the survey found, what they carry and hold, what they stand on. */
export function SupportList() {
  const { structure } = usePlan();
  return structure.supports.map((one) => <SupportFields key={one.id} support={one} />);
}

function SupportFields({ support }: { support: Support }) {
  const edit = useEdit('supports', support.id);
  const { open, words, choice } = useInputs();
  const measured = support.measured ?? { level: 0, by: '', on: '' };
  const footing = support.footing?.kind === 'concrete' ? support.footing : null;
  const survey = (changes: Partial<typeof measured>, name: string) => edit({ measured: { ...measured, ...changes } }, `measured ${name}`);
  return (
    <Fold
      thing={support.id}
      title={support.name || 'Support'}
      note={support.seats.length > 1 ? `${support.kind}, ${support.seats.length} seats` : support.kind}
      tools={<SubjectMark station="measure" about={{ kind: 'support', id: support.id }} />}
    >
      <Pair>
        {words('Name', support.name, (name) => edit({ name }, 'name'))}
        {open('May carry', 'force', support.capacity, (capacity) => edit({ capacity }, 'capacity'))}
        {open('Level, surveyed', 'length', support.measured?.level ?? null, (level) =>
          level === null ? edit({ measured: null }, 'measured') : survey({ level }, 'level'),
        )}
        {words('Surveyed by', measured.by, (by) => survey({ by }, 'by'), { placeholder: 'not known' })}
        {words('Surveyed on', measured.on, (on) => survey({ on }, 'on'), { type: 'date' })}
        {open('Holds down', 'force', support.holdsDown, (holdsDown) => edit({ holdsDown }, 'holds down'), { placeholder: 'pushes only' })}
        {open('Seat along the piece', 'dimension', support.seatLength, (seatLength) => edit({ seatLength }, 'seat length'))}
        {open('Seat across it', 'dimension', support.seatWidth, (seatWidth) => edit({ seatWidth }, 'seat width'))}
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
        {support.anchors && <BaseFields anchors={support.anchors} onChange={(anchors, name) => edit({ anchors }, name)} />}
        {footing && (
          <>
            {open('Strength intended', 'strength', footing.intended, (intended) => edit({ footing: { ...footing, intended } }, 'intended'))}
            {open('Test result', 'strength', footing.result, (result) => edit({ footing: { ...footing, result } }, 'result'))}
            {words('Tested by', footing.by, (by) => edit({ footing: { ...footing, by } }, 'tested by'), { placeholder: 'not known' })}
            {words('Tested on', footing.on, (on) => edit({ footing: { ...footing, on } }, 'tested on'), { type: 'date' })}
          </>
        )}
        {support.footing?.kind === 'other' &&
          words('Stands on', support.footing.what, (what) => edit({ footing: { kind: 'other', what } }, 'stands on'), { placeholder: 'not known' })}
      </Pair>
    </Fold>
  );
}

type Anchors = NonNullable<Support['anchors']>;
type Under = NonNullable<Anchors['under']>;

/** What stands under a base plate until it is grouted. Nothing of it is taken until somebody says it. */
function BaseFields({ anchors, onChange }: { anchors: Anchors; onChange: (anchors: Anchors, name: string) => Fault[] | null }) {
  const { open, choice } = useInputs();
  const under = anchors.under ?? null;
  const put = (next: Under | null, name: string) => onChange({ ...anchors, under: next }, name);
  const rods = under?.kind === 'nuts' || under?.kind === 'bareRods' ? under : null;
  return (
    <>
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

function MakeFields({ make }: { make: Make }) {
  const edit = useEdit('makes', make.id);
  const { open, figure, words, section, choice } = useInputs();
  const { made } = make;
  return (
    <Fold thing={make.id} title={`Make ${make.mark}`} note={made.kind === 'section' ? made.section : made.kind === 'girder' ? 'welded plates' : made.what}>
      <Pair>
        {words('Mark', make.mark, (mark) => edit({ mark }, 'mark'))}
        {figure('Length', 'length', make.length, (length) => edit({ length }, 'length'))}
        {made.kind === 'section' && section('Section', made.section, (value) => edit({ made: { kind: 'section', section: value } }, 'section'))}
        {words('Grade', make.grade, (grade) => edit({ grade }, 'grade'))}
        {open('Yield strength', 'stress', make.yield, (strength) => edit({ yield: strength }, 'yield'), { placeholder: 'by its grade' })}
        {open('Bare weight by drawing', 'mass', make.mass, (mass) => edit({ mass }, 'mass'))}
        {choice<'yes' | 'no'>(
          'An open web steel joist',
          make.joist ? 'yes' : 'no',
          [
            ['no', 'no'],
            ['yes', 'yes: bridged by its span'],
          ],
          (answer) => edit({ joist: answer === 'yes' }, 'joist'),
        )}
        {make.joist &&
          words('Set another way, designed by', make.otherWayBy ?? '', (otherWayBy) => edit({ otherWayBy }, 'other way'), { placeholder: 'in tandem' })}
      </Pair>
    </Fold>
  );
}

function BeamFields({ beam, make }: { beam: Beam; make: Make | undefined }) {
  const { units } = usePlan().job;
  const edit = useEdit('beams', beam.id);
  const { open, words } = useInputs();
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
      </Pair>
    </Fold>
  );
}

const unlaid = { x: null, y: null, azimuthDeg: null, level: null };

function JointFields({ joint }: { joint: Joint }) {
  const edit = useEdit('joints', joint.id);
  const { open, words } = useInputs();
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
          open('One bolt may carry', 'force', joint.boltShear, (boltShear) => edit({ boltShear }, 'bolt'))
        )}
      </Pair>
    </Fold>
  );
}

function BraceFields({ brace }: { brace: Brace }) {
  const edit = useEdit('braces', brace.id);
  const { open, words } = useInputs();
  return (
    <Fold
      thing={brace.id}
      title={brace.name || 'Brace'}
      note={brace.b ? 'to another piece' : brace.anchoredTo}
      tools={<SubjectMark station="steel" about={{ kind: 'brace', id: brace.id }} />}
    >
      <Pair>
        {words('Name', brace.name, (name) => edit({ name }, 'name'))}
        {open('It may carry', 'force', brace.capacity, (capacity) => edit({ capacity }, 'capacity'))}
        {!brace.b && open('Seen from above it pulls towards', 'angle', brace.towardsDeg, (towardsDeg) => edit({ towardsDeg }, 'towards'))}
      </Pair>
    </Fold>
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
          {words('Held by', move.by, (by) => edit({ by }, 'by'), { placeholder: 'crane, hoist, lifts, hands' })}
          {choice<string>(
            'Lifted by the pick',
            move.pick ?? 'none',
            [['none', 'none of this plan'], ...picks.filter((one) => one.piece === move.beam).map(({ id, stand }): [string, string] => [id, `from ${stand}`])],
            (pick) => edit({ pick: pick === 'none' ? null : pick }, 'pick'),
          )}
          {!move.pick &&
            words('That lift was worked out by', move.checkedBy ?? '', (checkedBy) => edit({ checkedBy }, 'checked by'), { placeholder: 'nobody yet' })}
        </>
      );
    case 'piece.letGo':
      return figure('The hook still pulls', 'force', move.keeps, (keeps) => edit({ keeps }, 'keeps'));
    case 'beam.plumb':
      return open('Out of plumb or level, as read', 'dimension', move.off, (off) => edit({ off }, 'off'));
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
        </>
      );
    default:
      return null;
  }
}
