import { phrase, q } from '../../calc/work';
import { padPressure } from '../../cranes/pad-pressure.calc';
import { twoPlaces } from '../../handling/two-places.calc';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { PRACTICE, type Ground, type Of } from './ground';

const degrees = 180 / Math.PI;

/** A jack that raises the load by steps, packing following under it: what it carries, its stroke, its steps, the tilt, and the floor. */
export function jackChecks(ground: Ground, jack: Of<'jack'>): Check[] {
  const { context, share, load, at } = ground;
  const { rules } = context;
  const mass = share.most / GRAVITY;
  const rating = at('raise.share', twoPlaces, sourced(PRACTICE, rules, 'contactCaution'));
  return [
    jack.rating === null
      ? missingCheck(rating, 'mass', `What is ${jack.name} rated for? Read its plate.`, share.traces)
      : ratioCheck(
          rating,
          { demand: mass, capacity: jack.rating, quantity: 'mass', caution: rules.value('contactCaution') },
          told(phrase`${jack.name} comes to carry ${q(mass, 'mass')} of ${load.name}; it is rated ${q(jack.rating, 'mass')}.`),
          share.traces,
        ),
    ...goesUnder(ground, jack),
    ...stepChecks(ground, jack),
    ...packingChecks(ground, jack),
    ...stackChecks(ground, jack),
    ...floorChecks(ground, jack),
  ];
}

/** Run right down it has to go between floor and load. */
function goesUnder({ raise, load, at }: Ground, jack: Of<'jack'>): Check[] {
  const place = at('raise.fits', twoPlaces, 'Geometry');
  if (jack.closed === null || raise.lies === null || raise.floor === null)
    return [
      missingCheck(
        place,
        'length',
        jack.closed === null
          ? `How high is ${jack.name} run right down, with what it stands on?`
          : `At which levels are the floor, and the underside of ${load.name} before it is raised?`,
      ),
    ];
  const room = raise.lies - raise.floor;
  return [
    ratioCheck(
      place,
      { demand: jack.closed, capacity: room, quantity: 'dimension', caution: null, inclusive: true },
      told(phrase`${jack.name} run right down is ${q(jack.closed, 'dimension')} high; under ${load.name} there are ${q(room, 'dimension')}.`),
      [],
    ),
  ];
}

/** How much it raises in one go, how many goes it takes, and how far out of level each leaves the load. */
function stepChecks({ context, raise, load, at }: Ground, jack: Of<'jack'>): Check[] {
  const { rules } = context;
  const stroke = at('raise.stroke', twoPlaces, 'Geometry');
  if (jack.stroke === null || jack.step === null)
    return [
      missingCheck(
        stroke,
        'length',
        jack.stroke === null ? `How long is the stroke of ${jack.name}?` : `How much does ${jack.name} raise ${load.name} in one go?`,
      ),
    ];
  const { step } = jack;
  const rise = raise.lies === null || load.level === null ? null : Math.max(0, load.level - raise.lies);
  const goes = rise === null ? [] : phrase` ${q(rise, 'length')} in all take ${String(Math.ceil(rise / step - 1e-9))} goes.`;
  const checks: Check[] = [
    ratioCheck(
      stroke,
      { demand: step, capacity: jack.stroke, quantity: 'dimension', caution: null, inclusive: true },
      told([...phrase`${jack.name} raises ${load.name} ${q(step, 'dimension')} in one go; its stroke is ${q(jack.stroke, 'dimension')}.`, ...goes]),
      [],
    ),
  ];
  const others = raise.points.filter((one) => one.id !== jack.id && one.at !== null);
  if (others.length === 0 || raise.uneven === null) return checks;
  if (step > raise.uneven)
    checks.push(
      flatStop(
        at('raise.step', twoPlaces, 'Common practice: ends are raised by turns, each by one step'),
        'dimension',
        told(
          phrase`One go of ${jack.name} is ${q(step, 'dimension')}, and one place may stand only ${q(raise.uneven, 'dimension')} above the next: take smaller steps.`,
        ),
        [],
      ),
    );
  const apart = Math.min(...others.map((one) => Math.abs((one.at ?? 0) - (jack.at ?? 0))));
  const tilt = Math.asin(Math.min(1, Math.max(step, raise.uneven) / apart)) * degrees;
  checks.push(
    ratioCheck(
      at('raise.tilt', twoPlaces, sourced('Geometry; a jack stands only under a load that is near level', rules, 'jackTilt')),
      { demand: tilt, capacity: rules.value('jackTilt'), quantity: 'angle', caution: null, inclusive: true },
      told(phrase`With one end ahead ${load.name} tilts ${q(tilt, 'angle')} on ${jack.name}; ${q(rules.value('jackTilt'), 'angle')} may be.`),
      [],
    ),
  );
  return checks;
}

/** Nothing hangs on oil: a lock or packing follows the load all the way. */
function packingChecks({ context, load, at }: Ground, jack: Of<'jack'>): Check[] {
  const { rules } = context;
  const place = at('raise.packing', twoPlaces, sourced('Common practice: packing follows the load, never further under it than', rules, 'packingGap'));
  const most = rules.value('packingGap');
  const locks: Check[] =
    jack.locks === null ? [missingCheck(at('raise.locks', twoPlaces, PRACTICE_LOCK), 'count', `Does ${jack.name} lock by itself if its pressure goes?`)] : [];
  if (jack.packing === null)
    return [...locks, missingCheck(place, 'dimension', `How far under ${load.name} does the packing at ${jack.name} follow it at the most?`)];
  const row = ratioCheck(
    place,
    { demand: jack.packing, capacity: most, quantity: 'dimension', caution: null, inclusive: true },
    told(
      phrase`Packing follows ${load.name} at ${jack.name} by ${q(jack.packing, 'dimension')} or less; ${q(most, 'dimension')} may be.${jack.locks === false ? ' The jack does not lock: if its pressure goes the load drops so far.' : ''}`,
    ),
    [],
  );
  return [...locks, jack.locks === false && row.verdict === 'clear' ? { ...row, verdict: 'tight' } : row];
}
const PRACTICE_LOCK = 'Common practice: a load stands on a locked jack or on packing, not on oil';

/** What is packed under a load stands on a base that is wide for its height. */
function stackChecks({ context: { rules }, raise, load, at }: Ground, jack: Of<'jack'>): Check[] {
  if (jack.foot === null || load.level === null || raise.floor === null) return [];
  const [high, side, ratio] = [load.level - raise.floor, Math.sqrt(jack.foot), rules.value('stackRatio')];
  return [
    ratioCheck(
      at('raise.stack', twoPlaces, sourced('Common practice: cribbing no higher than so many times the least side of its base', rules, 'stackRatio')),
      { demand: high, capacity: ratio * side, quantity: 'length', caution: null, inclusive: true },
      told(
        phrase`Packing at ${jack.name} comes to stand ${q(high, 'length')} high on a base ${q(side, 'length')} square, as large as is said; ${q(ratio * side, 'length')} may be.`,
      ),
      [],
    ),
  ];
}

function floorChecks({ context, raise, share, at }: Ground, jack: Of<'jack'>): Check[] {
  const { rules } = context;
  const place = at('raise.floor', padPressure, sourced(padPressure.source.text, rules, 'strengthCaution'));
  if (jack.foot === null || raise.floorCarries === null)
    return [
      missingCheck(
        place,
        'pressure',
        jack.foot === null ? `On how much floor does ${jack.name} stand, with what is under it?` : 'What may the floor under the gear take? Who says so?',
      ),
    ];
  const { outcome, traces } = traced(padPressure, { reaction: share.most, area: jack.foot });
  return outcome.ok
    ? [
        ratioCheck(
          place,
          { demand: outcome.output.pressure, capacity: raise.floorCarries, quantity: 'pressure', caution: rules.value('strengthCaution') },
          told(
            phrase`${jack.name} with its share presses ${q(outcome.output.pressure, 'pressure')} on the floor; it may take ${q(raise.floorCarries, 'pressure')}.`,
          ),
          traces,
        ),
      ]
    : [missingCheck(place, 'pressure', outcome.error)];
}
