import { sequenceNeeds } from '../../gates/sequence.calc';
import type { Check } from '../../verdict/check';
import { missingCheck } from '../../verdict/build';
import type { Joint } from '../../document/schema';
import type { Ground } from './ground';
import type { SettledBeam } from '../../settle/model';
import type { Placed } from '../../document/place';
import { about, place } from './places';
import { sharersOf } from '../../document/sharers';

/** Two that come to one place along what carries them, no further apart than this [m]. */
export const ONE_PLACE = 0.2;
/** As straight across from each other as this they may share bolts [cosine]. */
const ACROSS = Math.cos((30 * Math.PI) / 180);

/** Which way a piece runs away from the place it is joined at. */
function away({ at }: { at: number }, { along, length }: Placed): { x: number; y: number } {
  const sign = at < length / 2 ? 1 : -1;
  return { x: along.x * sign, y: along.y * sign };
}

/** Joints that come to one place of a web or a column from both its sides: of each the one across from it. */
export function acrossFrom(joints: readonly Joint[], beams: ReadonlyMap<string, Pick<SettledBeam, 'place'>>): [Joint, Joint][] {
  const on = new Map<string, Joint[]>();
  for (const joint of joints) {
    if (joint.kind !== 'onWeb' && joint.kind !== 'onColumn') continue;
    const list = on.get(joint.b.piece);
    if (list) list.push(joint);
    else on.set(joint.b.piece, [joint]);
  }
  return [...on.values()].flatMap((list) => {
    const sorted = [...list].sort((a, b) => a.b.at - b.b.at);
    return sorted.flatMap((one, i): [Joint, Joint][] => {
      const pairs: [Joint, Joint][] = [];
      for (let n = i + 1; n < sorted.length && sorted[n]!.b.at - one.b.at <= ONE_PLACE; n += 1) {
        const other = sorted[n]!;
        const [a, b] = [beams.get(one.a.piece)?.place, beams.get(other.a.piece)?.place];
        if (!a || !b || one.a.piece === other.a.piece) continue;
        const [first, second] = [away(one.a, a), away(other.a, b)];
        if (first.x * second.x + first.y * second.y < -ACROSS) pairs.push([one, other]);
      }
      return pairs;
    });
  });
}

/** Two beams at both sides of one web: whether the bolts of one go on into the other is said by somebody, or asked. */
export function sharedBoltChecks({ context, beams }: Ground): Check[] {
  const { joints } = context.plan.structure;
  const sharers = sharersOf(joints);
  return acrossFrom(joints, beams)
    .filter(([one, other]) => sharers.get(one.id) !== other && sharers.get(other.id) !== one && !(one.ownBolts === true && other.ownBolts === true))
    .map(([one, other]) => {
      const open = one.ownBolts === true ? other : one;
      const carrier = beams.get(one.b.piece)?.beam.mark ?? one.b.piece;
      return missingCheck(
        place('joint.shares', about('joint', open, open.name, open === one ? other.id : one.id), null, sequenceNeeds.id, SOURCE, 'steel'),
        'count',
        `${one.name} and ${other.name} come to ${carrier} from both sides. Do they share bolts through it, or has each its own?`,
      );
    });
}
const SOURCE = '29 CFR 1926.756(c): of two beams that share bolts through a web one stays bolted, or a seat is there';
