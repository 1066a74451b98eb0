'use client';
import { Fragment } from 'react';
import { placeOf } from '@/core/document/place';
import type { Beam, Make } from '@/core/document/schema';
import { formatQuantity } from '@/core/units';
import { PlainButton } from '@/ui/plain-button';
import { Fold, Pair } from '@/ui/workings/fold';
import { AddToPiece } from './add-to-piece';
import { AlikeButton } from '../shared/alike-button';
import { useAct, usePlan } from '@/job/job-context';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

/** A piece of the structure: its weight, where it lies, where it is to be, and what is added to it. */
export function BeamFields({ beam, make }: { beam: Beam; make: Make | undefined }) {
  const { units } = usePlan().job;
  const edit = useEdit('beams', beam.id);
  const { open, words, choice } = useInputs();
  return (
    <Fold
      thing={beam.id}
      title={beam.mark || 'Piece'}
      note={make ? `${make.mark}, ${formatQuantity(make.length, 'length', units)}` : undefined}
      tools={<ThingTools station="steel" list="beams" thing={{ id: beam.id, name: beam.mark }} />}
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
        <div className="col-span-2">
          {choice('It comes there', beam.lies?.comes ?? '', comings, (said) =>
            edit({ lies: { ...(beam.lies ?? unlaid), comes: said === 'onTruck' || said === 'before' ? said : null } }, 'comes'),
          )}
        </div>
        {placeOf(beam)?.upright && (
          <div className="col-span-2">
            {open('Its web runs, from east', 'angle', beam.webDeg ?? null, (webDeg) => edit({ webDeg }, 'web'), {
              note: 'Seen from above. While nobody has said it, it bends about its weaker axis whichever way it leans.',
            })}
          </div>
        )}
        <AlikeButton list="beams" id={beam.id} others="pieces" />
        <PlaceFields beam={beam} />
      </Pair>
      {beam.from && beam.to && <AddToPiece piece={beam.id} />}
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
