import { phrase, q, type Phrase } from '../../calc/work';
import { add, direction, hull, leftOf, overlap, rectangle, scale, type Vec } from '../../geometry/plane';
import type { Check } from '../../verdict/check';
import { dayFault } from '../../document/records';
import { sweeps, type LiftPath } from '../../settle/lift-path';
import { driftOf } from '../lift/wind-on-load';
import { Missing } from '../../verdict/missing';
import { breadthOf, type PieceWeight } from '../../settle/piece-weight';
import type { Rules } from '../../rules/rule-sets';
import type { SettledPlan } from '../../settle/settle';
import { namesPerson, saysSomething } from '../../document/records';
import { zonesOf, type OpenZone } from '../../document/zones';
import type { Zone } from '../../document/schema';
import { liftMove, onHook, type Context, type PickContext } from '../context';
import { flatStop, missingCheck, said, told, type Place } from '../../verdict/build';

const SOURCE = '29 CFR 1926.753(d) and 1926.1425: nobody under a load; common practice: over a railway, a road or a roof only while it is closed';

/** What a zone is, in words. */
export const zoneWords: Record<OpenZone['kind'], string> = {
  railway: 'a railway',
  road: 'a public way',
  people: 'where people are',
  roof: 'a roof',
};

/** Under the boom as it stands at a station, seen from above. */
function boomOver({ stand, crane }: PickContext, hook: Vec, bearingDeg: number, radius: number): Vec[] {
  const out = direction(bearingDeg);
  const side = scale(leftOf(out), crane.boomWidth / 2);
  const foot = stand.at;
  return radius > 0 ? [add(foot, side), add(foot, scale(side, -1)), add(hook, scale(side, -1)), add(hook, side)] : [];
}

export const outlineOf = ({ at, length, width, azimuthDeg }: Zone): Vec[] => rectangle(at, length, width, azimuthDeg);
/** Whether it is said how a zone is kept closed meanwhile, by whom and since when. */
export const isClosed = ({ closed }: Zone, today: string | null): boolean =>
  !!closed && saysSomething(closed.how) && namesPerson(closed.by) && dayFault(closed.on, today) === null;

/** What of a lift passes over a zone on its way: the load, or over a railway the boom too. */
export function passing(plan: SettledPlan, picked: PickContext, path: LiftPath, weight: PieceWeight, rules: Rules): (zone: OpenZone) => 'load' | 'boom' | null {
  const load = sweeps(path, breadthOf(weight), driftOf(plan, picked, path, weight, rules)?.drift ?? 0);
  // From one station to the next it sweeps what lies between.
  const boom = (outline: Vec[]): boolean => {
    const under = path.stations.map(({ hook, bearingDeg, radius }) => boomOver(picked, hook, bearingDeg, radius));
    const booms = under.length < 2 ? under : under.slice(1).map((to, i) => hull([...under[i]!, ...to]));
    return booms.some((one) => one.length > 0 && overlap(one, outline));
  };
  return (zone) => {
    const outline = outlineOf(zone);
    return load(outline) ? 'load' : zone.kind === 'railway' && boom(outline) ? 'boom' : null;
  };
}

/** Whatever a load, or over a railway the boom too, passes over on its way is closed meanwhile, by a named person. */
export function zoneChecks({ plan, today, rules }: Context, picked: PickContext): Check[] {
  const { path, weight, piece, pick } = picked;
  const zones = zonesOf(plan);
  if (zones.length === 0 || path instanceof Missing || weight instanceof Missing) return [];
  const passes = passing(plan, picked, path, weight, rules);
  return zones.flatMap((zone): Check[] => {
    const over = passes(zone);
    const place: Place = {
      id: 'lift.over',
      ...onHook(picked, piece.mark, zone.id),
      station: 'gear',
      move: liftMove(plan, pick),
      calc: 'record',
      source: SOURCE,
    };
    if (over === null) return [said(place, phrase`${piece.mark} keeps off ${zone.name} on its way.`)];
    return [
      overZone(
        place,
        zone,
        over === 'load' ? piece.mark : 'The boom',
        'Swing the other way, or close it',
        today,
        phrase` At most ${q(path.most, 'length')} from the crane.`,
      ),
    ];
  });
}

/** What passes over a zone does so only while that is closed, by a named person. */
export function overZone(place: Place, zone: OpenZone, what: string, remedy: string, today: string | null, more: Phrase): Check {
  const record = zone.closed;
  if (!record)
    return flatStop(
      place,
      'count',
      told(
        phrase`${what} passes over ${zone.name}, ${zoneWords[zone.kind]}, on its way, and nothing says that it is closed meanwhile. ${remedy} and say who answers for it.`,
      ),
      [],
    );
  const date = dayFault(record.on, today);
  if (!saysSomething(record.how) || !namesPerson(record.by) || date !== null)
    return missingCheck(
      place,
      'count',
      `${what} passes over ${zone.name}. How is it kept closed and empty meanwhile, who answers for it, and since when?${date ? ` The record ${date}.` : ''}`,
    );
  const raises = zone.kind === 'people' || zone.kind === 'railway' ? zone.kind : undefined;
  return said(
    place,
    [...phrase`${what} passes over ${zone.name}, closed meanwhile: ${record.how.trim()} (${record.by.trim()}, ${record.on}).`, ...more],
    raises,
  );
}
