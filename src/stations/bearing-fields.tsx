'use client';
import { X } from 'lucide-react';
import { formatQuantity } from '@/core/units';
import type { Bearing } from '@/core/plan/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { useAct, usePlan } from './job-context';
import { SmallButton } from './panel';
import { StandsOn } from './stands-on';
import { useEdit, useField } from './use-edit';
import { useInputs } from './use-inputs';

const nothing = { x: null, y: null, level: null, seatLength: null, seatWidth: null, by: '', on: '' };

/** One bearing point: drawn beside measured, what the seat is and may take, its post, and what it stands on. */
export function BearingFields({ bearing }: { bearing: Bearing }) {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const { open, figure, words } = useInputs();
  const { system } = field;
  const editing = useEdit('bearings', bearing.id);
  const edit = (changes: Partial<Omit<Bearing, 'id'>>, name: string) => act('editBearing', { id: bearing.id, changes }, `${bearing.id} ${name}`);
  const { footing, post } = bearing;
  const measured = bearing.measured ?? nothing;
  const tape = (changes: Partial<typeof measured>, name: string) => edit({ measured: { ...measured, ...changes } }, `measured ${name}`);
  const used =
    plan.pieces.some((piece) => piece.seat.left === bearing.id || piece.seat.right === bearing.id) ||
    plan.survey.openings.some((one) => one.left === bearing.id || one.right === bearing.id) ||
    plan.survey.patterns.some((one) => one.bearing === bearing.id) ||
    plan.survey.lines.some((one) => one.bearings.includes(bearing.id)) ||
    plan.moves.some((move) => 'bearing' in move && move.bearing === bearing.id);
  return (
    <Fold
      title={bearing.name || 'Bearing'}
      note={`${bearing.carriedBy || bearing.material || 'bearing'}, level ${formatQuantity(bearing.measured?.level ?? bearing.level, 'length', system)}`}
      first={plan.survey.openings.length === 0}
      tools={
        used ? undefined : (
          <SmallButton danger label={`Remove ${bearing.name}`} onClick={() => act('removeFrom', { list: 'bearings', id: bearing.id })}>
            <X size={13} />
          </SmallButton>
        )
      }
    >
      <div className="mb-1 grid grid-cols-2 gap-x-4 text-[12.5px] text-soft">
        <span>Drawn</span>
        <span>Measured on site</span>
      </div>
      <Pair>
        <QuantityField {...field} label="East" kind="length" value={bearing.at.x} onValue={(x) => edit({ at: { ...bearing.at, x: x ?? 0 } }, 'x')} />
        <QuantityField {...field} label="East, measured" kind="length" value={measured.x} clearable onValue={(x) => tape({ x }, 'x')} />
        <QuantityField {...field} label="North" kind="length" value={bearing.at.y} onValue={(y) => edit({ at: { ...bearing.at, y: y ?? 0 } }, 'y')} />
        <QuantityField {...field} label="North, measured" kind="length" value={measured.y} clearable onValue={(y) => tape({ y }, 'y')} />
        <QuantityField {...field} label="Seat level" kind="length" value={bearing.level} onValue={(level) => edit({ level: level ?? 0 }, 'level')} />
        <QuantityField {...field} label="Seat level, measured" kind="length" value={measured.level} clearable onValue={(level) => tape({ level }, 'level')} />
        <QuantityField
          {...field}
          label="Seat along the piece"
          kind="dimension"
          value={bearing.seatLength}
          onValue={(seatLength) => edit({ seatLength: seatLength ?? 0 }, 'seat')}
        />
        <QuantityField
          {...field}
          label="Seat, measured"
          kind="dimension"
          value={measured.seatLength}
          clearable
          onValue={(seatLength) => tape({ seatLength }, 'seat')}
        />
        {figure('Seat across it', 'dimension', bearing.seatWidth, (seatWidth) => edit({ seatWidth }, 'width'))}
        {open('Across it, measured', 'dimension', measured.seatWidth, (seatWidth) => tape({ seatWidth }, 'seat width'))}
        {words('Measured by', measured.by, (by) => tape({ by }, 'by'), { placeholder: 'not known' })}
        {words('Measured on', measured.on, (on) => tape({ on }, 'on'), { type: 'date' })}
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
        <QuantityField
          {...field}
          label="Stress it may take"
          kind="strength"
          value={bearing.allowable}
          clearable
          onValue={(allowable) => edit({ allowable }, 'allowable')}
        />
        <QuantityField {...field} label="May carry" kind="force" value={bearing.capacity} clearable onValue={(capacity) => edit({ capacity }, 'capacity')} />
        <ChoiceField
          label="That figure is"
          value={bearing.capacityBasis}
          choices={[
            { value: 'allowable', label: 'allowable load' },
            { value: 'design', label: 'design strength' },
          ]}
          onValue={(capacityBasis) => edit({ capacityBasis }, 'basis')}
        />
        <TextField
          {...field}
          label="It is a"
          value={bearing.carriedBy}
          placeholder="post on a pad"
          onValue={(carriedBy) => edit({ carriedBy }, 'carried by')}
        />
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
            <QuantityField
              {...field}
              label="Strength intended"
              kind="strength"
              value={footing.intended}
              clearable
              onValue={(intended) => edit({ footing: { ...footing, intended } }, 'intended')}
            />
            <QuantityField
              {...field}
              label="Test result"
              kind="strength"
              value={footing.result}
              clearable
              onValue={(result) => edit({ footing: { ...footing, result } }, 'result')}
            />
            <TextField {...field} label="Tested by" value={footing.by} placeholder="not known" onValue={(by) => edit({ footing: { ...footing, by } }, 'by')} />
            <TextField {...field} label="Tested on" type="date" value={footing.on} onValue={(on) => edit({ footing: { ...footing, on } }, 'on')} />
          </>
        ) : (
          <TextField {...field} label="What, and who says it holds" value={footing.what} onValue={(what) => edit({ footing: { ...footing, what } }, 'what')} />
        )}
        <ChoiceField
          label="Post under it"
          value={post ? 'yes' : 'no'}
          choices={[
            { value: 'no', label: 'none to cut' },
            { value: 'yes', label: 'to be cut' },
          ]}
          onValue={(value) => edit({ post: value === 'yes' ? { baseLevel: 0, plates: 0.03, tightFit: 0, pitch: null } : null }, 'post')}
        />
        {post && (
          <>
            <QuantityField
              {...field}
              label="Post stands at level"
              kind="length"
              value={post.baseLevel}
              onValue={(baseLevel) => edit({ post: { ...post, baseLevel: baseLevel ?? 0 } }, 'base level')}
            />
            <QuantityField
              {...field}
              label="Plates and packs"
              kind="dimension"
              value={post.plates}
              onValue={(plates) => edit({ post: { ...post, plates: plates ?? 0 } }, 'plates')}
            />
            <QuantityField
              {...field}
              label="Cut longer, to tap in"
              kind="dimension"
              value={post.tightFit}
              onValue={(tightFit) => edit({ post: { ...post, tightFit: tightFit ?? 0 } }, 'tight fit')}
            />
            <QuantityField
              {...field}
              label="Nut thread pitch"
              kind="dimension"
              value={post.pitch}
              clearable
              placeholder="no nuts"
              onValue={(pitch) => edit({ post: { ...post, pitch } }, 'pitch')}
            />
          </>
        )}
      </Pair>
      <StandsOn name={bearing.name} standsOn={bearing.standsOn} onChange={(standsOn) => editing({ standsOn }, 'stands on')} />
    </Fold>
  );
}
