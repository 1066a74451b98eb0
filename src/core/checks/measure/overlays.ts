import type { Check } from '../../verdict/check';
import { isDoneDay, namesSomebody, saysSomething } from '../../document/records';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, told, on } from '../../verdict/build';

/** Where two drawings, or drawing and site, do not agree: a stop until somebody settled it, missing until a name stands under it. */
export function overlayChecks({ plan, today }: Pick<Context, 'plan' | 'today'>): Check[] {
  return plan.survey.overlays.map((one) => {
    const place = {
      id: 'measure.overlay',
      ...on('overlay', one, one.what.trim() || one.id),
      station: 'measure' as const,
      move: null,
      calc: 'fit.offDrawing',
      source: 'Record: drawings laid over each other',
    };
    const where = one.between.trim() === '' ? '' : ` (${one.between.trim()})`;
    if (!saysSomething(one.settled))
      return flatStop(place, 'count', told([`${place.subject}${where}: nobody has settled it. Settle it before the steel is cut.`]), []);
    if (!namesSomebody(one.by) || !isDoneDay(one.on, today)) return missingCheck(place, 'count', `${place.subject}: who settled it, and when?`);
    const check = ratioCheck(
      place,
      { demand: 0, capacity: 1, quantity: 'count', caution: null, ratio: 0 },
      told([`${place.subject}${where}: ${one.settled.trim()} (${one.by.trim()}, ${one.on}).`]),
      [],
    );
    return { ...check, ratio: null, demand: null, capacity: null };
  });
}
