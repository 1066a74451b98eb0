'use client';
import { formatQuantity } from '@/core/units';
import { seatOf } from '@/core/plan/seat-geometry';
import { Missing } from '@/core/plan/missing';
import type { Bearing } from '@/core/plan/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { useAct, useJob, usePlan } from './job-context';
import { Group, Panel } from './panel';

/** Bearing points: where they stand, what they may carry, whether their concrete is ready. */
export function MeasureStation() {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const system = plan.job.units;
  const piece = plan.pieces[0];
  const seat = piece ? seatOf(plan, piece) : null;
  const known = seat && !(seat instanceof Missing) ? seat : null;
  return (
    <Panel
      title="Measure"
      about={
        known ? `${formatQuantity(known.clear, 'length', system)} clear, ${formatQuantity(known.span, 'length', system)} between centres` : 'Bearing points'
      }
      station="measure"
    >
      {piece && (
        <Group title={`${piece.mark} on its seats`}>
          <QuantityField
            label={`Bearing at ${plan.bearings.find((b) => b.id === piece.seat.left)?.name ?? 'the left'}`}
            kind="dimension"
            system={system}
            value={piece.seat.leftBearing}
            clearable
            onValue={(leftBearing) => act('editPiece', { id: piece.id, changes: { seat: { ...piece.seat, leftBearing } } }, 'left bearing')}
            onDone={done}
            note={known ? `leaves ${formatQuantity(known.bearing.right, 'dimension', system)} at ${known.right.name}` : undefined}
          />
          <QuantityField
            label="Span by drawing"
            kind="length"
            system={system}
            value={piece.seat.statedSpan}
            clearable
            onValue={(statedSpan) => act('editPiece', { id: piece.id, changes: { seat: { ...piece.seat, statedSpan } } }, 'stated span')}
            onDone={done}
          />
        </Group>
      )}
      {plan.bearings.map((bearing) => (
        <BearingFields key={bearing.id} bearing={bearing} />
      ))}
    </Panel>
  );
}

function BearingFields({ bearing }: { bearing: Bearing }) {
  const act = useAct();
  const done = useJob((state) => state.done);
  const system = usePlan().job.units;
  const { footing } = bearing;
  const edit = (changes: Partial<Omit<Bearing, 'id'>>, field: string) => act('editBearing', { id: bearing.id, changes }, `${bearing.id} ${field}`);
  return (
    <Group title={bearing.name}>
      <QuantityField
        label="East"
        kind="length"
        system={system}
        value={bearing.at.x}
        onValue={(x) => edit({ at: { ...bearing.at, x: x ?? 0 } }, 'x')}
        onDone={done}
      />
      <QuantityField
        label="North"
        kind="length"
        system={system}
        value={bearing.at.y}
        onValue={(y) => edit({ at: { ...bearing.at, y: y ?? 0 } }, 'y')}
        onDone={done}
      />
      <QuantityField
        label="Seat level"
        kind="length"
        system={system}
        value={bearing.level}
        onValue={(level) => edit({ level: level ?? 0 }, 'level')}
        onDone={done}
      />
      <QuantityField
        label="Seat along the piece"
        kind="dimension"
        system={system}
        value={bearing.seatLength}
        onValue={(seatLength) => edit({ seatLength: seatLength ?? 0 }, 'seat')}
        onDone={done}
      />
      <QuantityField
        label="May carry"
        kind="force"
        system={system}
        value={bearing.capacity}
        clearable
        onValue={(capacity) => edit({ capacity }, 'capacity')}
        onDone={done}
      />
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
        label="It is a"
        value={bearing.carriedBy}
        placeholder="post on a pad"
        onValue={(carriedBy) => edit({ carriedBy }, 'carried by')}
        onDone={done}
      />
      <ChoiceField
        label="Stands on"
        value={footing.kind}
        choices={[
          { value: 'concrete', label: 'new concrete' },
          { value: 'other', label: 'something else' },
        ]}
        onValue={(kind) => edit({ footing: kind === 'concrete' ? { kind, intended: null, result: null, by: '', on: '' } : { kind, what: '' } }, 'footing kind')}
      />
      {footing.kind === 'concrete' ? (
        <>
          <QuantityField
            label="Strength intended"
            kind="strength"
            system={system}
            value={footing.intended}
            clearable
            onValue={(intended) => edit({ footing: { ...footing, intended } }, 'intended')}
            onDone={done}
          />
          <QuantityField
            label="Test result"
            kind="strength"
            system={system}
            value={footing.result}
            clearable
            onValue={(result) => edit({ footing: { ...footing, result } }, 'result')}
            onDone={done}
          />
          <TextField label="Tested by" value={footing.by} placeholder="not known" onValue={(by) => edit({ footing: { ...footing, by } }, 'by')} onDone={done} />
          <TextField label="Tested on" type="date" value={footing.on} onValue={(on) => edit({ footing: { ...footing, on } }, 'on')} onDone={done} />
        </>
      ) : (
        <TextField label="What, and who says it holds" value={footing.what} onValue={(what) => edit({ footing: { ...footing, what } }, 'what')} onDone={done} />
      )}
    </Group>
  );
}
