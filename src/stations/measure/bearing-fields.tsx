'use client';
import { formatQuantity } from '@/core/units';
import { nowSaid, saidOf } from '@/core/document/things/unsaid';
import type { Bearing } from '@/core/document/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { useAct, usePlan } from '@/job/job-context';
import { StandsOn } from '../shared/stands-on';
import { ThingTools } from '../shared/thing-tools';
import { useEdit, useField } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

const nothing = { x: null, y: null, level: null, seatLength: null, seatWidth: null, by: '', on: '' };

/** One bearing point: drawn beside measured, what the seat is and may take, its post, and what it stands on. */
export function BearingFields({ bearing }: { bearing: Bearing }) {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const { date, open, figure, words } = useInputs();
  const { system } = field;
  const editing = useEdit('bearings', bearing.id);
  const edit = (changes: Partial<Omit<Bearing, 'id'>>, name: string) => act('editBearing', { id: bearing.id, changes }, `${bearing.id} ${name}`);
  const { footing, post } = bearing;
  const measured = bearing.measured ?? nothing;
  const tape = (changes: Partial<typeof measured>, name: string) => edit({ measured: { ...measured, ...changes } }, `measured ${name}`);
  return (
    <Fold
      thing={bearing.id}
      title={bearing.name || 'Bearing'}
      note={`${bearing.carriedBy || bearing.material || 'bearing'}, ${bearing.unsaid?.includes('level') && bearing.measured?.level == null ? 'level not known' : `level ${formatQuantity(bearing.measured?.level ?? bearing.level, 'length', system)}`}`}
      first={plan.survey.openings.length === 0}
      tools={<ThingTools station="measure" thing={bearing} list="bearings" />}
    >
      <div className="mb-1 grid grid-cols-2 gap-x-4 text-[12.5px] text-soft">
        <span>Drawn</span>
        <span>Measured on site</span>
      </div>
      <Pair>
        {figure('East', 'length', saidOf(bearing, 'at', bearing.at.x), (x) => edit({ at: { ...bearing.at, x } }, 'x'))}
        {open('East, measured', 'length', measured.x, (x) => tape({ x }, 'x'))}
        {figure('North', 'length', saidOf(bearing, 'at', bearing.at.y), (y) => edit({ at: { ...bearing.at, y } }, 'y'))}
        {open('North, measured', 'length', measured.y, (y) => tape({ y }, 'y'))}
        {figure('Seat level', 'length', saidOf(bearing, 'level', bearing.level), (level) => edit({ level }, 'level'))}
        {open('Seat level, measured', 'length', measured.level, (level) => tape({ level }, 'level'))}
        {figure('Seat along the piece', 'dimension', saidOf(bearing, 'seatLength', bearing.seatLength), (seatLength) => edit({ seatLength }, 'seat'))}
        {open('Seat, measured', 'dimension', measured.seatLength, (seatLength) => tape({ seatLength }, 'seat'))}
        {figure('Seat across it', 'dimension', saidOf(bearing, 'seatWidth', bearing.seatWidth), (seatWidth) => edit({ seatWidth }, 'width'))}
        {open('Across it, measured', 'dimension', measured.seatWidth, (seatWidth) => tape({ seatWidth }, 'seat width'))}
        {words('Measured by', measured.by, (by) => tape({ by }, 'by'), { placeholder: 'not known' })}
        {date('Measured on', measured.on, (on) => tape({ on }, 'on'))}
        <ChoiceField
          label="Seat of"
          value={bearing.material ?? 'unknown'}
          choices={[
            { value: 'unknown', label: 'not known' },
            { value: 'steel', label: 'steel' },
            { value: 'concrete', label: 'concrete' },
            { value: 'masonry', label: 'masonry' },
            { value: 'timber', label: 'timber' },
          ]}
          onValue={(material) => edit({ material: material === 'unknown' ? null : material }, 'material')}
        />
        {open('Stress it may take', 'strength', bearing.allowable, (allowable) => edit({ allowable }, 'allowable'))}
        {open('May carry', 'force', bearing.capacity, (capacity) => edit({ capacity }, 'capacity'))}
        <ChoiceField
          label="That figure is"
          value={bearing.capacityBasis}
          choices={[
            { value: 'allowable', label: 'allowable load' },
            { value: 'design', label: 'design strength' },
          ]}
          onValue={(capacityBasis) => edit({ capacityBasis }, 'basis')}
        />
        {words('It is a', bearing.carriedBy, (carriedBy) => edit({ carriedBy }, 'carried by'), { placeholder: 'post on a pad' })}
        <ChoiceField
          label="Stands on"
          value={footing.kind}
          choices={[
            { value: 'concrete', label: 'new concrete' },
            { value: 'other', label: 'something else' },
          ]}
          onValue={(kind) =>
            edit({ footing: kind === 'concrete' ? { kind, intended: null, result: null, by: '', on: '' } : { kind, what: '' } }, 'footing kind')
          }
        />
        {footing.kind === 'concrete' ? (
          <>
            {open('Strength intended', 'strength', footing.intended, (intended) => edit({ footing: { ...footing, intended } }, 'intended'))}
            {open('Test result', 'strength', footing.result, (result) => edit({ footing: { ...footing, result } }, 'result'))}
            {words('Tested by', footing.by, (by) => edit({ footing: { ...footing, by } }, 'by'), { placeholder: 'not known' })}
            {date('Tested on', footing.on, (on) => edit({ footing: { ...footing, on } }, 'on'))}
            {open('Enough for the erection, signed', 'strength', footing.erection?.strength ?? null, (strength) =>
              edit({ footing: { ...footing, erection: strength === null ? null : { by: '', on: '', ...footing.erection, strength } } }, 'erection'),
            )}
            {footing.erection &&
              words('Signed by', footing.erection.by, (by) => edit({ footing: { ...footing, erection: { ...footing.erection!, by } } }, 'erection by'))}
            {footing.erection &&
              date('Signed on', footing.erection.on, (on) => edit({ footing: { ...footing, erection: { ...footing.erection!, on } } }, 'erection on'))}
          </>
        ) : (
          words('What, and who says it holds', footing.what, (what) => edit({ footing: { ...footing, what } }, 'what'))
        )}
        <ChoiceField
          label="Post under it"
          value={post ? 'yes' : 'no'}
          choices={[
            { value: 'no', label: 'none to cut' },
            { value: 'yes', label: 'to be cut' },
          ]}
          onValue={(value) =>
            edit(
              value === 'yes'
                ? {
                    post: { baseLevel: 0, plates: 0.03, tightFit: 0, pitch: null },
                    unsaid: [...(bearing.unsaid ?? []), ...(post ? [] : (['post.baseLevel', 'post.plates'] as const))],
                  }
                : { post: null, ...nowSaid(bearing, 'post.baseLevel', 'post.plates') },
              'post',
            )
          }
        />
        {post && (
          <>
            {figure('Post stands at level', 'length', saidOf(bearing, 'post.baseLevel', post.baseLevel), (baseLevel) =>
              edit({ post: { ...post, baseLevel }, ...nowSaid(bearing, 'post.baseLevel') }, 'base level'),
            )}
            {figure('Plates and packs', 'dimension', saidOf(bearing, 'post.plates', post.plates), (plates) =>
              edit({ post: { ...post, plates }, ...nowSaid(bearing, 'post.plates') }, 'plates'),
            )}
            {figure('Cut longer, to tap in', 'dimension', post.tightFit, (tightFit) => edit({ post: { ...post, tightFit } }, 'tight fit'))}
            {open('Nut thread pitch', 'dimension', post.pitch, (pitch) => edit({ post: { ...post, pitch } }, 'pitch'), { placeholder: 'no nuts' })}
          </>
        )}
      </Pair>
      <StandsOn name={bearing.name} standsOn={bearing.standsOn} onChange={(standsOn) => editing({ standsOn }, 'stands on')} />
    </Fold>
  );
}
