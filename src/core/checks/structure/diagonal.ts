import { isInclined, type Placed } from '../../document/place';
import type { Joint } from '../../document/schema';
import { isMade, jointAt, beamAt, type StructureMoment } from '../../replay/moment';
import { isGiven } from '../../settle/section-strength';
import type { SettledBeam } from '../../settle/model';
import type { SectionRow } from '../../steel/section-row';
import { Missing } from '../../verdict/missing';
import type { Ground } from './ground';

/** As near to its end a diagonal is joined [m]. */
const END = 0.5;
/** More slender than this it is taken to buckle out of the way as it is pressed, and to pull only (AISC 360 E2, user note, from memory). */
const SLENDER = 200;

/** An inclined piece joined at both its ends to pieces that stand: it pulls and pushes between them. */
export interface Diagonal {
  settled: SettledBeam;
  section: SectionRow;
  place: Placed;
  /** at its lower end, and at its upper one */
  low: Joint;
  high: Joint;
  pullsOnly: boolean;
}

export function diagonalOf({ beams, by, latest }: Ground, id: string, moment: StructureMoment): Diagonal | null {
  const settled = beams.get(id);
  const place = settled?.place;
  if (!settled || !place || !isInclined(place) || settled.section instanceof Missing || isGiven(settled.section)) return null;
  const line = latest.get(id);
  if (!line || line.beams.length > 1 || !line.answers?.plain.stable) return null;
  // On a seat it only lies: nothing there pulls.
  const hangs = (by.joints.get(id) ?? []).filter(
    ({ joint, other }) =>
      (joint.kind === 'onColumn' || joint.kind === 'onWeb') &&
      joint.a.piece === id &&
      isMade(jointAt(moment, joint.id)) &&
      beamAt(moment, other).where === 'set',
  );
  const first = hangs.filter(({ at }) => at <= END);
  const second = hangs.filter(({ at }) => at >= place.length - END);
  if (hangs.length !== 2 || first.length !== 1 || second.length !== 1) return null;
  const [one, other] = [first[0]!.joint, second[0]!.joint];
  const rises = place.to.z > place.from.z;
  const { section } = settled;
  return {
    settled,
    section,
    place,
    low: rises ? one : other,
    high: rises ? other : one,
    pullsOnly: place.length > SLENDER * (section.rWeak ?? Math.sqrt(section.iWeak / section.area)),
  };
}
