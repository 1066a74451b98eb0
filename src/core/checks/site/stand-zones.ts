import { phrase } from '../../calc/work';
import { overlap, rectangle, toOutline } from '../../geometry/plane';
import type { Check } from '../../verdict/check';
import { boomGround, longestBooms } from '../../document/boom-laid';
import { cranesStanding } from '../../settle/cranes-standing';
import { dayFault, namesPerson, saysSomething } from '../../document/records';
import { moveFor, type Context } from '../context';
import { flatStop, missingCheck, on, told, type Place } from '../../verdict/build';
import { said, zoneWords } from './zones';

/** A crane that stands in a zone, lays its boom out over one, or whose tail swings over a railway, does so only while that is closed. */
export function standZoneChecks({ plan, today }: Context): Check[] {
  const zones = (plan.site.zones ?? []).flatMap((one) => (one.kind === 'pit' ? [] : [{ ...one, kind: one.kind }]));
  const booms = longestBooms(plan);
  return cranesStanding(plan).flatMap(({ stand, crane, base }) => {
    const strip = boomGround(stand, crane, booms);
    return zones.flatMap((zone): Check[] => {
      const outline = rectangle(zone.at, zone.length, zone.width, zone.azimuthDeg);
      const stands = overlap(base, outline);
      // The counter-jib of a tower crane swings far above what runs on the ground.
      const tail = zone.kind === 'railway' && !crane.tower && toOutline(stand.at, outline) < crane.tailRadius;
      const lies = strip !== null && overlap(strip, outline);
      if (!stands && !tail && !lies) return [];
      const place: Place = {
        id: 'stand.over',
        ...on('stand', stand, stand.name, zone.id),
        station: 'gear',
        move: moveFor(plan, 'crane.set', stand.id),
        calc: 'record',
        source: 'Common practice: a crane stands on a public way or in the reach of trains only while that is closed',
      };
      const what = `${crane.name} on ${stand.name} ${stands ? 'stands in' : lies ? 'lays out and raises its boom over' : 'can swing its tail over'} ${zone.name}, ${zoneWords[zone.kind]}`;
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
