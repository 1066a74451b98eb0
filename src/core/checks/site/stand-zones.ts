import { phrase } from '../../calc/work';
import { overlap, toOutline, type Vec } from '../../geometry/plane';
import type { Crane, Stand } from '../../document/schema';
import type { Check } from '../../verdict/check';
import { boomGround, longestBooms } from '../../document/boom-laid';
import { cranesStanding } from '../../settle/cranes-standing';
import { dayFault, namesPerson, saysSomething } from '../../document/records';
import { moveFor, type Context } from '../context';
import { flatStop, missingCheck, on, said, told, type Place } from '../../verdict/build';
import { zonesOf, type OpenZone } from '../../document/zones';
import { outlineOf, zoneWords } from './zones';

const DOES = { stands: 'stands in', lies: 'lays out and raises its boom over', tail: 'can swing its tail over' } as const;

/** What of a crane is in a zone where it stands: its base, the boom it lays out, or over a railway its tail. */
export function inZone(
  { at }: Pick<Stand, 'at'>,
  { tower, tailRadius }: Crane,
  { base, boom }: { base: readonly Vec[]; boom: readonly Vec[] | null },
  zone: OpenZone,
): keyof typeof DOES | null {
  const outline = outlineOf(zone);
  if (overlap(base, outline)) return 'stands';
  if (boom !== null && overlap(boom, outline)) return 'lies';
  // The counter-jib of a tower crane swings far above what runs on the ground.
  return zone.kind === 'railway' && !tower && toOutline(at, outline) < tailRadius ? 'tail' : null;
}

/** A crane that stands in a zone, lays its boom out over one, or whose tail swings over a railway, does so only while that is closed. */
export function standZoneChecks({ plan, today }: Context): Check[] {
  const zones = zonesOf(plan);
  const booms = longestBooms(plan);
  return cranesStanding(plan).flatMap(({ stand, crane, base }) => {
    const taken = { base, boom: boomGround(stand, crane, booms) };
    return zones.flatMap((zone): Check[] => {
      const does = inZone(stand, crane, taken, zone);
      if (does === null) return [];
      const place: Place = {
        id: 'stand.over',
        ...on('stand', stand, stand.name, zone.id),
        station: 'gear',
        move: moveFor(plan, 'crane.set', stand.id),
        calc: 'record',
        source: 'Common practice: a crane stands on a public way or in the reach of trains only while that is closed',
      };
      const what = `${crane.name} on ${stand.name} ${DOES[does]} ${zone.name}, ${zoneWords[zone.kind]}`;
      const { closed } = zone;
      if (!closed)
        return [
          flatStop(
            place,
            'count',
            told([`${what}, and nothing says that it is closed meanwhile. Move the stand, or close it and say who answers for it.`]),
            [],
          ),
        ];
      const date = dayFault(closed.on, today);
      if (!saysSomething(closed.how) || !namesPerson(closed.by) || date !== null)
        return [
          missingCheck(place, 'count', `${what}. How is it kept closed meanwhile, who answers for it, and since when?${date ? ` The record ${date}.` : ''}`),
        ];
      return [said(place, phrase`${what}, closed meanwhile: ${closed.how.trim()} (${closed.by.trim()}, ${closed.on}).`)];
    });
  });
}
