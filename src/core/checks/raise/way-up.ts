import { phrase, q } from '../../calc/work';
import { twoPlaces } from '../../handling/two-places.calc';
import { angleOf, distance, mix, overlap, rectangle, sub, type Vec } from '../../geometry/plane';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import type { Raise } from '../../document/schema';
import type { SettledPlan } from '../../settle/settle';
import type { Context } from '../context';
import { flatStop, missingCheck, told, type Place } from '../../verdict/build';
import type { Load, Share } from './ground';

/** So far from its ends a piece lies in what it rests on: what stands there is its seat [m]. */
const ENDS = 0.3;
/** Half as wide as a load nobody says more of is taken to be [m]. */
const HALF = 0.1;

/** Where a load comes to lie, seen from above: from end to end. */
function lineOf(plan: SettledPlan, load: string): [Vec, Vec] | null {
  const opening = plan.survey.openings.find(({ id }) => id === load);
  if (!opening) {
    const beam = plan.structure.pieces.find(({ id }) => id === load);
    return beam?.from && beam.to ? [beam.from, beam.to] : null;
  }
  const [left, right] = [opening.left, opening.right].map((id) => plan.bearings.find((one) => one.id === id)?.at ?? null);
  return left && right ? [left, right] : null;
}

/** What stands between where a load lies and its seats, straight above: it does not come up through that. */
export function wayUpChecks({ plan }: Pick<Context, 'plan'>, raise: Raise, load: Load, place: Place): Check[] {
  const line = lineOf(plan, raise.load);
  if (!line || raise.lies === null) return [];
  const [a, b] = line;
  const long = distance(a, b) - 2 * ENDS;
  if (!(long > 0)) return [];
  const azimuth = angleOf(sub(b, a));
  const room = rectangle(mix(a, b, 0.5), long, 2 * HALF, azimuth);
  return plan.site.obstructions
    .filter((one) => one.height > raise.lies! && overlap(room, rectangle(one.at, one.length, one.width, one.azimuthDeg)))
    .map((one) =>
      flatStop(
        { ...place, id: 'raise.clear', about: { ...place.about, part: one.id } },
        'length',
        told(
          phrase`${one.name} stands ${q(one.height, 'length')} high under the place of ${load.name}, which lies at ${q(raise.lies!, 'length')} and is raised straight up. Clear it away, or say where it really stands.`,
        ),
        [],
        one.height,
      ),
    );
}

const bare = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** Hoists that are said to hang from the same words: if that is one thing it carries them all, and where it might not that is asked. */
export function oneHangerChecks({ rules }: Pick<Context, 'rules'>, raise: Raise, shares: ReadonlyMap<string, Share>, place: Place): Check[] {
  const dynamic = rules.value('dynamicFactor');
  const by = new Map<string, Extract<Raise['points'][number], { kind: 'hoist' }>[]>();
  for (const point of raise.points) {
    if (point.kind !== 'hoist' || point.hangsOn || point.arm || bare(point.hangsFrom) === '') continue;
    const key = bare(point.hangsFrom);
    by.set(key, [...(by.get(key) ?? []), point]);
  }
  return [...by.values()].flatMap((hoists): Check[] => {
    if (hoists.length < 2 || hoists.some(({ own, carries }) => own === null || carries === null)) return [];
    const all = hoists.reduce((sum, { id, own }) => sum + (shares.get(id)?.most ?? 0) * dynamic + own! * GRAVITY, 0);
    const least = Math.min(...hoists.map(({ carries }) => carries!));
    if (all <= least) return [];
    return [
      {
        ...missingCheck({ ...place, id: 'raise.hangsFrom', about: { ...place.about, part: 'together' }, calc: twoPlaces.id }, 'force', ''),
        demand: all,
        capacity: least,
        finding: told(
          phrase`${hoists.map(({ name }) => name).join(' and ')} are both said to hang from “${hoists[0]!.hangsFrom.trim()}”. If that is one thing it carries ${q(all, 'force')} and may carry ${q(least, 'force')}. Are they two? Call them apart.`,
        ),
      },
    ];
  });
}
