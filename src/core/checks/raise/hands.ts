import { phrase, q } from '../../calc/work';
import { handRung } from '../../handling/rung.calc';
import { teamCarry } from '../../handling/team.calc';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import type { Ground, Of } from './ground';

/** A crew that walks one end up from rest to rest: what each has in hand, and whether it slides on the other end. */
export function handChecks({ context, raise, load, share, at }: Ground, crew: Of<'hands'>): Check[] {
  const { rules } = context;
  const checks: Check[] = [];
  const perPerson = rules.value('personLift');
  const team = at('raise.share', teamCarry, sourced(teamCarry.source.text, rules, 'personLift'));
  const mass = share.most / GRAVITY;
  if (crew.people === null) checks.push(missingCheck(team, 'count', `How many people lift at ${crew.name}?`, share.traces));
  else {
    const { outcome, traces } = traced(teamCarry, { mass, perPerson, people: crew.people });
    if (outcome.ok)
      checks.push(
        ratioCheck(
          team,
          { demand: outcome.output.needed, capacity: crew.people, quantity: 'count', caution: null, inclusive: true },
          told(
            phrase`${crew.name} has ${q(mass, 'mass')} of ${load.name} in hand: ${String(outcome.output.needed)} people by the guideline; ${String(crew.people)} are named.`,
          ),
          [...share.traces, ...traces],
        ),
      );
  }
  const keepers = at('raise.keepers', handRung, 'Common practice: each rest has its keeper before the next step');
  if (crew.keepers !== true)
    checks.push(
      crew.keepers === null
        ? missingCheck(keepers, 'count', `Does a keeper hold ${load.name} at each rest at ${crew.name} before the next step?`)
        : flatStop(
            keepers,
            'count',
            told(phrase`No keeper holds ${load.name} at the rests at ${crew.name}: it can roll or slide off while the other end is lifted.`),
            [],
          ),
    );
  const other = raise.points.find((one) => one.id !== crew.id && one.at !== null);
  const slides = at('raise.slides', handRung, handRung.source.text);
  if (!other) return checks;
  const apart = Math.abs((other.at ?? 0) - (crew.at ?? 0));
  if (crew.rung === null || crew.friction === null)
    checks.push(
      missingCheck(
        slides,
        'angle',
        crew.rung === null ? `How far apart are the rests at ${crew.name}?` : `How rough are the rests at ${crew.name}: which friction?`,
      ),
    );
  else if (crew.rung >= apart)
    checks.push(
      flatStop(
        slides,
        'length',
        told(phrase`A step of ${q(crew.rung, 'length')} is more than the ${q(apart, 'length')} between the places it is lifted at.`),
        [],
      ),
    );
  else {
    const slopeDeg = (Math.asin(crew.rung / apart) * 180) / Math.PI;
    const { outcome, traces } = traced(handRung, {
      weight: load.weight,
      length: load.length,
      cg: load.cg,
      rest: other.at ?? 0,
      lift: crew.at ?? 0,
      slopeDeg,
      friction: crew.friction,
    });
    if (!outcome.ok) checks.push(flatStop(slides, 'angle', { code: 'sling.impossible', reason: outcome.error }, []));
    else {
      const allowed = (Math.atan(crew.friction) * 180) / Math.PI;
      checks.push(
        ratioCheck(
          slides,
          { demand: slopeDeg, capacity: allowed, quantity: 'angle', caution: rules.value('contactCaution') },
          told(phrase`A step at ${crew.name} tilts ${load.name} by ${q(slopeDeg, 'angle')}; past ${q(allowed, 'angle')} it slides on its other rest.`),
          traces,
        ),
      );
    }
  }
  const rung = at('raise.rung', handRung, sourced('Statics; whoever says what a rest may carry', rules, 'strengthCaution'));
  checks.push(
    crew.rungCarries === null
      ? missingCheck(rung, 'force', `What may a rest at ${crew.name} carry? It holds that end while the other is lifted.`)
      : ratioCheck(
          rung,
          { demand: share.most, capacity: crew.rungCarries, quantity: 'force', caution: rules.value('strengthCaution') },
          told(phrase`A rest at ${crew.name} holds up to ${q(share.most, 'force')}; it may carry ${q(crew.rungCarries, 'force')}.`),
          share.traces,
        ),
  );
  return checks;
}
