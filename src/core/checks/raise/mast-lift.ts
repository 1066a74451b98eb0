import { phrase, q } from '../../calc/work';
import { padPressure } from '../../cranes/pad-pressure.calc';
import { twoPlaces } from '../../handling/two-places.calc';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { PRACTICE, type Ground, type Of } from './ground';

/** A mast lift: its plate at this load centre, how high it goes, and the floor under it. */
export function mastLiftChecks({ context, raise, load, share, at }: Ground, lift: Of<'mastLift'>): Check[] {
  const { rules } = context;
  const mass = share.most / GRAVITY;
  const checks: Check[] = [];
  const plate = at('raise.share', twoPlaces, sourced(PRACTICE, rules, 'contactCaution'));
  if (lift.rating === null || lift.plateCentre === null || lift.centre === null)
    checks.push(
      missingCheck(
        plate,
        'mass',
        lift.rating === null
          ? `What may ${lift.name} lift? Read its plate.`
          : lift.plateCentre === null
            ? `At which load centre is the plate of ${lift.name} good?`
            : `How far from the mast of ${lift.name} does the middle of ${load.name} lie?`,
        share.traces,
      ),
    );
  else {
    // Past the load centre of the plate no more than the same moment about the mast; nearer, no more than the plate.
    const capacity = lift.rating * Math.min(1, lift.plateCentre / lift.centre);
    checks.push(
      ratioCheck(
        plate,
        { demand: mass, capacity, quantity: 'mass', caution: rules.value('contactCaution') },
        told(
          phrase`${lift.name} comes to carry ${q(mass, 'mass')} of ${load.name}; ${q(lift.centre, 'dimension')} from its mast it may lift ${q(capacity, 'mass')}, by the moment of its plate. The maker’s own figure decides.`,
        ),
        share.traces,
      ),
    );
  }
  checks.push(...tiltChecks({ context, raise, load, at }, lift));
  const reach = at('raise.reach', twoPlaces, 'Geometry');
  if (lift.reach === null || raise.floor === null || load.level === null)
    checks.push(
      missingCheck(
        reach,
        'length',
        lift.reach === null ? `How high do the forks of ${lift.name} go?` : `At which level is the floor the gear stands on, and the seats of ${load.name}?`,
      ),
    );
  else {
    const needed = load.level - raise.floor;
    checks.push(
      ratioCheck(
        reach,
        { demand: needed, capacity: lift.reach, quantity: 'length', caution: null, inclusive: true },
        told(phrase`The forks of ${lift.name} have to go ${q(needed, 'length')} up; they go ${q(lift.reach, 'length')}.`),
        [],
      ),
    );
  }
  const floor = at('raise.floor', padPressure, sourced(padPressure.source.text, rules, 'strengthCaution'));
  if (lift.own === null || lift.foot === null || raise.floorCarries === null)
    checks.push(
      missingCheck(
        floor,
        'pressure',
        lift.own === null
          ? `What does ${lift.name} itself weigh? The floor carries it too.`
          : lift.foot === null
            ? `On how much floor do the legs of ${lift.name} stand?`
            : 'What may the floor under the gear take? Who says so?',
      ),
    );
  else {
    const { outcome, traces } = traced(padPressure, { reaction: share.most + lift.own * GRAVITY, area: lift.foot });
    if (outcome.ok)
      checks.push(
        ratioCheck(
          floor,
          { demand: outcome.output.pressure, capacity: raise.floorCarries, quantity: 'pressure', caution: rules.value('strengthCaution') },
          told(
            phrase`${lift.name} with its share presses ${q(outcome.output.pressure, 'pressure')} on the floor; it may take ${q(raise.floorCarries, 'pressure')}.`,
          ),
          traces,
        ),
      );
  }
  return checks;
}

/** Two never rise evenly: how far out of level the load lies on its forks with the next one ahead. */
function tiltChecks({ context: { rules }, raise, load, at }: Pick<Ground, 'context' | 'raise' | 'load' | 'at'>, lift: Of<'mastLift'>): Check[] {
  const others = raise.points.filter((one) => one.id !== lift.id && one.at !== null);
  if (others.length === 0 || lift.at === null || !raise.uneven) return [];
  const apart = Math.min(...others.map((one) => Math.abs((one.at ?? 0) - lift.at!)));
  const tilt = (Math.asin(Math.min(1, raise.uneven / apart)) * 180) / Math.PI;
  const most = rules.value('forkTilt');
  return [
    ratioCheck(
      at('raise.tilt', twoPlaces, sourced('Geometry; what lies on forks slides off them', rules, 'forkTilt')),
      { demand: tilt, capacity: most, quantity: 'angle', caution: null, inclusive: true },
      told(
        phrase`With the next one ${q(raise.uneven, 'dimension')} ahead ${load.name} lies ${q(tilt, 'angle')} out of level on ${lift.name}; ${q(most, 'angle')} may be.`,
      ),
      [],
    ),
  ];
}
