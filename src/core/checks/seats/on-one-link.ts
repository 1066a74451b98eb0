import { linkLoad } from '../../path/link-load.calc';
import { keep } from '../../document/keep';
import { placeOf, pointAt } from '../../document/place';
import type { Link } from '../../document/schema';
import { standingOn } from '../../document/standing-on';
import { phrase, q } from '../../calc/work';
import { missingCheck, on, told } from '../../verdict/build';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import { pushedOf } from '../launch/pushed';
import type { Context } from '../context';

/** Something that stands on a link, and where. */
interface Standing {
  name: string;
  at: { x: number; y: number };
}

/** How far apart two things on one of these may stand, where nobody said how large its foot is [m] (common practice). Others have no end. */
const REACH: Partial<Record<Link['kind'], number>> = { post: 1, blocking: 1, pad: 3, footing: 15 };
/** What stands on a foot may stand this far beside it [m]. */
const BESIDE = 0.5;

/** A link is there for what stands on it: nothing stands on this one, or what does lies further apart than it reaches. */
export function onOneLink(context: Context): Check[] {
  const { plan } = context;
  if (plan.links.length === 0) return [];
  const standing = standingByLink(context);
  return plan.links.flatMap((link): Check[] => {
    const where = (id: string) => ({
      id,
      ...on('link', link, link.name),
      station: 'measure' as const,
      move: null,
      calc: linkLoad.id,
      source: 'Common practice: each link of a load path carries what stands on it',
    });
    if (standingOn(plan, link.id).length === 0)
      return [
        missingCheck(where('path.unused'), 'count', `Nothing stands on ${link.name}. What comes down on it? If nothing does, take it out of the load path.`),
      ];
    const reach = link.foot ? Math.hypot(link.foot.length, link.foot.width) + BESIDE : REACH[link.kind];
    const apart = reach === undefined ? null : furthest(standing.get(link.id) ?? []);
    return apart === null || apart.distance <= reach!
      ? []
      : [
          {
            ...missingCheck(where('path.apart'), 'length', ''),
            finding: told(
              phrase`${apart.from} and ${apart.to} lie ${q(apart.distance, 'length')} apart and are both said to stand on ${link.name}. Which of them does?`,
            ),
          },
        ];
  });
}

/** Supports of the structure and rollers of launches: what has a place of its own, by the link it stands on. */
function standingByLink({ plan, rules }: Context): ReadonlyMap<string, Standing[]> {
  const standing = new Map<string, Standing[]>();
  const put = (below: readonly { link: string }[], one: Standing) => {
    for (const { link } of below) {
      const known = standing.get(link);
      if (known) known.push(one);
      else standing.set(link, [one]);
    }
  };
  const pieces = new Map(plan.structure.pieces.map((piece) => [piece.id, piece]));
  for (const { name, seats, standsOn } of plan.structure.supports)
    for (const { piece, at } of seats) {
      const beam = pieces.get(piece);
      const place = beam && placeOf(beam);
      if (place) put(standsOn, { name, at: pointAt(place, at) });
    }
  for (const launch of plan.launches ?? []) {
    const pushed = keep('launch.pushed', launch, [plan.structure, plan.moves, rules], () => pushedOf(plan, launch, rules));
    if (pushed instanceof Missing) continue;
    const places = new Map(pushed.rollers.map((roller) => [roller.id, roller]));
    for (const { id, name, standsOn } of launch.rollers) {
      const roller = places.get(id);
      if (roller) put(standsOn, { name, at: { x: pushed.end.x + pushed.ahead.x * roller.x, y: pushed.end.y + pushed.ahead.y * roller.x } });
    }
  }
  return standing;
}

/** The two that lie furthest apart, among those that are outermost in one of eight directions: 98 % of the true distance at the least. */
function furthest(standing: readonly Standing[]): { from: string; to: string; distance: number } | null {
  let worst: { from: string; to: string; distance: number } | null = null;
  if (standing.length === 0) return null;
  const ends = [...new Set(DIRECTIONS.flatMap(([x, y]) => extremes(standing, x, y)))];
  ends.forEach((one, i) => {
    for (const other of ends.slice(0, i)) {
      const distance = Math.hypot(one.at.x - other.at.x, one.at.y - other.at.y);
      if (!worst || distance > worst.distance) worst = { from: other.name, to: one.name, distance };
    }
  });
  return worst;
}

const DIRECTIONS = Array.from({ length: 8 }, (_, i) => [Math.cos((i * Math.PI) / 8), Math.sin((i * Math.PI) / 8)] as const);

function extremes(standing: readonly Standing[], x: number, y: number): Standing[] {
  let [low, high] = [standing[0]!, standing[0]!];
  for (const one of standing) {
    const value = one.at.x * x + one.at.y * y;
    if (value < low.at.x * x + low.at.y * y) low = one;
    if (value > high.at.x * x + high.at.y * y) high = one;
  }
  return [low, high];
}
