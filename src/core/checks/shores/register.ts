import { allShores } from '../../document/views';
import { takedown } from '../../shoring/takedown.calc';
import type { Check } from '../../verdict/check';
import { dayFault, daysBetween, namesSomebody, samePerson } from '../../document/records';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told } from '../../verdict/build';
import { shorePlace } from './place';

/** The temporary works register: who designed each shore, who checked it, how often it is looked at while it stands. */
export function registerChecks({ plan, today, rules }: Pick<Context, 'plan' | 'today' | 'rules'>): Check[] {
  return allShores(plan).map(({ id, name, tag }) => {
    const place = shorePlace('register', { id, name }, takedown, 'Record: temporary works register');
    const most = rules.value('shoreLook');
    if (tag.days !== null && tag.days > most)
      return flatStop(
        { ...place, source: sourced(place.source, rules, 'shoreLook') },
        'count',
        told([
          `${name} would be inspected only every ${tag.days} days: what carries for a time is looked at every ${most === 1 ? 'day' : `${most} days`} at the least.`,
        ]),
        [],
      );
    const days = [
      { day: tag.loadedOn, what: 'The day it was first loaded' },
      { day: tag.lastOn ?? '', what: 'The last inspection' },
    ].map(({ day, what }) => ({ what, fault: day === '' ? null : dayFault(day, today) }));
    const looked = tag.lastOn && tag.lastOn > tag.loadedOn ? tag.lastOn : tag.loadedOn;
    // It stands loaded, and its own interval has run out since anybody looked at it: a stop, whatever else is not said of it.
    const dated = tag.loadedOn !== '' && days.every(({ fault }) => fault === null);
    if (today !== null && dated && tag.days !== null && daysBetween(looked, today) > tag.days)
      return flatStop(
        place,
        'count',
        told([
          `${name} is to be inspected every ${tag.days === 1 ? 'day' : `${tag.days} days`} and was last looked at on ${looked}. Inspect it before anybody works under it.`,
        ]),
        [],
      );
    const lacks = [
      !namesSomebody(tag.designer) && 'who designed it',
      !namesSomebody(tag.checker) && 'who checked it',
      tag.days === null && 'how often it is inspected',
    ].filter(Boolean);
    if (lacks.length > 0) return missingCheck(place, 'count', `${name}: the register does not say ${lacks.join(', ')}.`);
    if (tag.designer.trim().toLowerCase() === tag.checker.trim().toLowerCase() || samePerson(tag.designer, tag.checker))
      return missingCheck(place, 'count', `${name} was designed and checked by one person. Who else has looked at it?`);
    const ill = days.find(({ fault }) => fault !== null);
    if (ill) return missingCheck(place, 'count', `${name}: ${ill.what} ${ill.fault}.`);
    const since = tag.loadedOn === '' ? 'not loaded yet' : `loaded since ${tag.loadedOn}`;
    const check = ratioCheck(
      place,
      { demand: 0, capacity: 1, quantity: 'count', caution: null, ratio: 0 },
      told([`${name}: designed by ${tag.designer}, checked by ${tag.checker}, ${since}; inspected every ${tag.days === 1 ? 'day' : `${tag.days} days`}.`]),
      [],
    );
    return { ...check, ratio: null, demand: null, capacity: null };
  });
}
