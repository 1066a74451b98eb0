'use client';
import { BeamFields } from './beam-fields';
import { BraceFields } from './brace-fields';
import { usePlan } from '@/job/job-context';
import { JointFields } from './joint-fields';
import { MakeFields } from './make-fields';
import { PutLoadFields } from './put-load-fields';

/** Pieces, joints, braces and loads of the structure. */
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
      {structure.loads.map((one) => (
        <PutLoadFields key={one.id} load={one} />
      ))}
    </div>
  );
}
