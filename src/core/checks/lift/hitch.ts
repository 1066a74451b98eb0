import { phrase, q } from '../../calc/work';
import { Missing } from '../../verdict/missing';
import { slingGrip } from '../../rigging/grip.calc';
import { hitchRating } from '../../rigging/hitch.calc';
import { slingRating } from '../../rigging/sling-rating.calc';
import type { Rules } from '../../rules/rule-sets';
import type { Trace } from '../../calc/evidence';
import type { Check } from '../../verdict/check';
import { hitchWords, type Laid } from '../../document/things/hitch';
import type { Hanging } from '../../settle/hanging';
import { saysSomething } from '../../document/records';
import type { Pick } from '../../document/schema';
import type { Context, PickContext } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';
import { tagged } from '../gear/tagged';

type At = (id: string, calc: string, source: string) => Place;

/**
 * What a sling is good for as it is put on: its tag speaks of a straight pull. Of what is turned upright the pick already says what the
 * sling is good for round it.
 */
export function ratingAsPut({ slingRating: rating, hitch }: Pick, rules: Rules, turned: boolean): { rating: number; traces: Trace[] } | null {
  if (rating === null) return null;
  if (!hitch || hitch.kind === 'lugs' || hitch.kind === 'clamps' || turned) return { rating, traces: [] };
  const wire = hitch.of === 'wire' && hitch.thick !== null && hitch.round !== null;
  const input = {
    rating,
    parts: hitch.kind === 'basket' ? 2 : 1,
    share: hitch.kind === 'choker' ? rules.value('chokerShare') : 1,
    bend: wire ? hitch.round! / hitch.thick! : null,
  };
  const output = hitchRating.compute(input);
  return { rating: output.capacity, traces: [{ calc: hitchRating.id, input, output }] };
}

/** The most that one leg of the slings on a hook pulls. */
const pullOf = ({ turned, hook }: PickContext, hanging: Hanging): number =>
  turned || hanging.way === 'two' ? hanging.tension[hook === 'second' ? hanging.tension.length - 1 : 0]! : Math.max(...hanging.tension);

/** A shackle at the end of a leg carries what the leg pulls; other gear of the yard no less than that. */
export function shackleChecks({ plan, rules }: Context, picked: PickContext, hanging: Hanging, at: At): Check[] {
  const { drawn, piece, hook } = picked;
  const force = pullOf(picked, hanging) * rules.value('dynamicFactor');
  const of = `${piece.mark}${hook === 'second' ? ' on the second hook' : ''}`;
  return (['shackles', 'other'] as const).flatMap((kind) =>
    tagged(plan, rules, drawn.gear ?? [], kind, {
      force,
      of,
      caution: 'slingCaution',
      place: at(
        kind === 'shackles' ? 'rigging.shackle' : 'rigging.other',
        slingRating.id,
        sourced(slingRating.source.text, rules, 'dynamicFactor', 'slingCaution'),
      ),
      traces: [hanging.trace],
    }),
  );
}

/** How the slings hold the piece: what lugs and clamps carry; of a sling laid round it its corners, its bend, and whether it slides. */
export function hitchChecks(context: Context, picked: PickContext, hanging: Hanging, at: At): Check[] {
  const { rules } = context;
  const { pick, piece, turned, hook } = picked;
  const { hitch } = pick;
  if (!hitch)
    return hook === 'second'
      ? []
      : [
          missingCheck(
            at('pick.hitch', hitchRating.id, 'Common practice: how a sling holds the piece says what it is good for, and whether it stays there'),
            'count',
            `How do the slings hold ${piece.mark}: ${Object.values(hitchWords).join(', ')}?`,
          ),
        ];
  const tension = pullOf(picked, hanging);
  if (hitch.kind === 'lugs' || hitch.kind === 'clamps') {
    const one = hitch.kind === 'lugs' ? 'lug' : 'clamp';
    const place = at(
      'rigging.held',
      slingRating.id,
      sourced('What it hangs by may carry as much, by whoever designed or rated it', rules, 'dynamicFactor', 'slingCaution'),
    );
    if (hitch.carries === null) return [missingCheck(place, 'force', `What may one ${one} on ${piece.mark} carry, pulled as it is here, and who says so?`)];
    const { outcome, traces } = traced(slingRating, { tension, dynamicFactor: rules.value('dynamicFactor'), rating: hitch.carries });
    if (!outcome.ok) return [missingCheck(place, 'force', outcome.error)];
    const { demand, capacity } = outcome.output;
    return [
      ratioCheck(
        place,
        { demand, capacity, quantity: 'force', caution: rules.value('slingCaution') },
        told(phrase`One ${one} on ${piece.mark} comes to carry ${q(demand, 'force')} with the dynamic factor; it may carry ${q(capacity, 'force')}.`),
        [hanging.trace, ...traces],
      ),
    ];
  }
  const checks = hook === 'second' ? [] : laidRound(piece.mark, hitch, at, turned !== null);
  // A tail lies in its sling until it is let go: only what hangs upright slips up.
  if (turned && hook === 'second') return checks;
  return [...checks, ...slides(context, piece.mark, hitch, hanging, tension, turned !== null, at, slopeAtSlings(picked))];
}

/** The corners a sling goes round, and how sharply a wire rope bends there. */
function laidRound(mark: string, hitch: Laid, at: At, turned: boolean): Check[] {
  const checks: Check[] = [];
  const corners = at('rigging.edges', hitchRating.id, 'Common practice; 29 CFR 1926.251(c)(9) and EN 13414-2, from memory: slings are padded at sharp corners');
  if (hitch.padded === null) checks.push(missingCheck(corners, 'count', `Are the corners of ${mark} padded where the slings go round them?`));
  else if (!hitch.padded)
    checks.push(
      flatStop(corners, 'count', told(phrase`The slings of ${mark} go round bare corners, which cut them. Pad the corners, or lift by lugs or clamps.`), []),
    );
  const bend = at('rigging.bend', hitchRating.id, hitchRating.source.text);
  if (hitch.of === null) checks.push(missingCheck(bend, 'count', `What are the slings round ${mark} of: wire rope, chain or fabric?`));
  else if (hitch.of === 'wire' && !turned && (hitch.thick === null || hitch.round === null))
    checks.push(
      missingCheck(
        bend,
        'dimension',
        hitch.thick === null
          ? `How thick is the wire rope round ${mark}? How sharply it bends says what it keeps of its rating.`
          : `Round what diameter does the wire rope bend at the corners of ${mark}, pads counted?`,
      ),
    );
  return checks;
}

/** How steep what hangs bent is where its slings go round it: towards its ridge they lie so much nearer along it [°]. */
function slopeAtSlings({ pick, piece, weight }: PickContext): number {
  if (weight instanceof Missing || !weight.bent) return 0;
  const { pieces } = weight.bent;
  const steep = (x: number) => {
    const { from, to, left, right } = pieces.find((one) => x <= one.to) ?? pieces.at(-1)!;
    return (Math.atan2(Math.abs(right - left), to - from) * 180) / Math.PI;
  };
  return Math.max(steep(pick.left), steep(piece.length - pick.right));
}

/** A basket slides along the piece towards the other sling; round what stands upright nothing but a stop keeps any sling from slipping up. */
function slides({ rules }: Context, mark: string, hitch: Laid, hanging: Hanging, tension: number, turned: boolean, at: At, slopeDeg: number): Check[] {
  const place = at('rigging.slides', slingGrip.id, sourced(slingGrip.source.text, rules, 'slingGrip'));
  const stopped = saysSomething(hitch.heldBy);
  if (turned) return stopped ? [] : [missingCheck(place, 'count', `Once ${mark} hangs upright its sling pulls along it: what keeps it from slipping up?`)];
  if (hitch.kind === 'choker' || stopped) return [];
  // Out of level the piece is steeper to one of its legs by as much. Legs to two lines from a hook over their middle pull across.
  const angleDeg = (hanging.way === 'two' ? 90 : Math.min(...hanging.angleDeg)) - Math.abs(hanging.tiltDeg) - slopeDeg;
  if (!(angleDeg > 0)) return [flatStop(place, 'angle', told(phrase`The slings lie along ${mark}: a basket slides off.`), [hanging.trace])];
  const { outcome, traces } = traced(slingGrip, { tension, angleDeg: Math.min(90, angleDeg), friction: rules.value('slingGrip') });
  if (!outcome.ok) return [missingCheck(place, 'force', outcome.error)];
  const { along, holds } = outcome.output;
  return [
    ratioCheck(
      place,
      { demand: along, capacity: holds, quantity: 'force', caution: null },
      along < holds
        ? told(phrase`The baskets round ${mark} pull ${q(along, 'force')} along it; friction holds ${q(holds, 'force')}.`)
        : told(
            phrase`The baskets round ${mark} pull ${q(along, 'force')} along it, and friction holds only ${q(holds, 'force')}: they slide together. Choke them, hang it under a spreader, or say what stops them.`,
          ),
      [hanging.trace, ...traces],
    ),
  ];
}
