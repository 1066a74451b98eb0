import { twoSupports } from '../../beams/two-supports.calc';
import { bearingLength } from '../../fit/bearing-length.calc';
import { webAisc } from '../../strength/web-aisc.calc';
import { webEn } from '../../strength/web-en.calc';
import type { Rules } from '../../rules/rule-sets';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import type { PieceWeight } from '../../settle/piece-weight';
import type { Bearing, Piece } from '../../document/schema';
import type { Seat } from '../../settle/seat-geometry';
import { reckonedYield } from '../../document/reckoned-yield';
import { moveFor, type Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, traced, on } from '../../verdict/build';
import { besides } from './on-bearings';
import { bendingCapacity, webCapacity } from '../../settle/section-strength';

type Place = Parameters<typeof missingCheck>[0];

/** Bearing at each end, self-weight on each bearing point, the web over it, and the piece alone on its seats. */
export function seatingChecks(context: Context, piece: Piece, weight: PieceWeight | Missing, seat: Seat | Missing): Check[] {
  const { plan, rules } = context;
  const pick = plan.picks.find((one) => one.piece === piece.id);
  const land = pick ? moveFor(plan, 'piece.land', pick.id) : null;
  const place = (id: string, at: Bearing | null, calc: string, source: string, station: 'measure' | 'steel' = 'measure'): Place => ({
    id,
    ...(at ? on('bearing', at, at.name, piece.id) : on('piece', piece, piece.mark)),
    station,
    move: land,
    calc,
    source,
  });
  if (seat instanceof Missing)
    return [missingCheck(place('set.bearing', null, bearingLength.id, bearingLength.source.text), 'dimension', seat.questions.join(' '))];
  const least = rules.value('bearingLeast');
  const ends = [
    { end: 'left', bearing: seat.left, length: seat.bearing.left },
    { end: 'right', bearing: seat.right, length: seat.bearing.right },
  ] as const;
  const checks: Check[] = ends.map(({ bearing, length }) =>
    ratioCheck(
      place('set.bearing', bearing, bearingLength.id, sourced(bearingLength.source.text, rules, 'bearingLeast')),
      { demand: least, capacity: length, quantity: 'dimension', caution: rules.value('clearanceCaution'), inclusive: true },
      { code: 'set.bearing', mark: piece.mark, at: bearing.name, length, least },
      [seat.trace],
    ),
  );
  if (weight instanceof Missing)
    return [
      ...checks,
      ...ends.map(({ bearing }) =>
        missingCheck(
          place('set.postLoad', bearing, twoSupports.id, twoSupports.source.text),
          'force',
          `What ${bearing.name} carries is not known. ${weight.questions.join(' ')}`,
        ),
      ),
    ];
  const reactions = traced(twoSupports, { weight: weight.weight, cg: weight.cg.x, left: seat.contact.left, right: seat.contact.right });
  if (!reactions.outcome.ok)
    return [...checks, missingCheck(place('set.postLoad', null, twoSupports.id, twoSupports.source.text), 'force', reactions.outcome.error)];
  // Allowance and the figure chosen for the steel shift the balance point: an end that lifts is looked for with the lightest too.
  const light = traced(twoSupports, { weight: weight.light.weight, cg: weight.light.cg.x, left: seat.contact.left, right: seat.contact.right });
  for (const { end, bearing, length } of ends) {
    const reaction = reactions.outcome.output[end];
    const least = light.outcome.ok ? Math.min(reaction, light.outcome.output[end]) : reaction;
    checks.push(
      postCheck(
        rules,
        bearing,
        least < 0 ? least : reaction,
        besides(context, bearing.id, piece.id),
        place('set.postLoad', bearing, twoSupports.id, sourced(twoSupports.source.text, rules, 'loadFactor', 'strengthCaution')),
        reactions.traces,
      ),
    );
    if (length > 0 && reaction > 0) checks.push(webCheck(rules, piece, weight, bearing, reaction * rules.value('loadFactor'), length, seat.past[end], place));
  }
  checks.push(aloneCheck(rules, piece, weight, seat, place));
  return checks;
}

/** A design strength given to a job run in allowable stress is met with the strength-level dead load, ASCE 7 2.3.1: 1.4 D. */
const STRENGTH_DEAD_FACTOR = 1.4;

function postCheck(rules: Rules, bearing: Bearing, own: number, others: ReturnType<typeof besides>, place: Place, traces: Check['traces']): Check {
  if (own < 0) return flatStop({ ...place, id: 'set.uplift' }, 'force', { code: 'set.uplift', at: bearing.name, uplift: -own }, traces, -own);
  if (others.unknown.length > 0)
    return missingCheck(place, 'force', `${others.unknown.join(' and ')} stands on ${bearing.name} too, and what it brings there is not known.`, traces);
  const reaction = own + others.load;
  if (bearing.capacity === null) return missingCheck(place, 'force', `What may ${bearing.name} carry? Ask who designed it.`, traces);
  const factored = bearing.capacityBasis === 'design';
  const demand = factored ? reaction * (rules.id === 'us-asd' ? STRENGTH_DEAD_FACTOR : rules.value('loadFactor')) : reaction;
  return ratioCheck(
    place,
    { demand, capacity: bearing.capacity, quantity: 'force', caution: rules.value('strengthCaution') },
    { code: 'set.postLoad', at: bearing.name, beside: others.marks, reaction: demand, capacity: bearing.capacity, factored: factored && demand !== reaction },
    traces,
  );
}

function webCheck(
  rules: Rules,
  piece: Piece,
  weight: PieceWeight,
  bearing: Bearing,
  reaction: number,
  length: number,
  past: number,
  at: (id: string, at: Bearing | null, calc: string, source: string, station: 'steel') => Place,
): Check {
  const { section } = weight;
  const american = rules.id === 'us-asd';
  const calc = american ? webAisc : webEn;
  const place = at('set.web', bearing, calc.id, sourced(calc.source.text, rules, 'strengthCaution'), 'steel');
  const strength = webCapacity(section, reckonedYield(piece), { length, past, atEnd: true }, rules);
  if (strength instanceof Missing) return missingCheck(place, 'force', strength.questions.join(' '));
  const { capacity, traces } = strength;
  return ratioCheck(
    place,
    { demand: reaction, capacity, quantity: 'force', caution: rules.value('strengthCaution') },
    { code: 'set.web', mark: piece.mark, at: bearing.name, reaction, capacity },
    traces,
  );
}

/** C_b and C₁ of a simple span under its own weight, braced at its ends only (AISC Table 3-1; EN 1993-1-1 practice). */
const SIMPLE_SPAN = { 'us-asd': 1.14, 'eu-ls': 1.13 } as const;

function aloneCheck(
  rules: Rules,
  piece: Piece,
  weight: PieceWeight,
  seat: Seat,
  at: (id: string, at: Bearing | null, calc: string, source: string, station: 'steel') => Place,
): Check {
  const between = seat.contact.right - seat.contact.left;
  const calc = rules.id === 'us-asd' ? 'member.flexureAisc' : 'member.flexureEn';
  const place = at(
    'set.bending',
    null,
    calc,
    sourced('Simple span under its own weight, braced at its seats only', rules, 'loadFactor', 'strengthCaution'),
    'steel',
  );
  const strength = bendingCapacity(weight.section, reckonedYield(piece), rules, { length: between, factor: SIMPLE_SPAN[rules.id] });
  if (strength instanceof Missing) return missingCheck(place, 'moment', strength.questions.join(' '));
  const moment = (weight.weight * rules.value('loadFactor') * between) / 8;
  return ratioCheck(
    place,
    { demand: moment, capacity: strength.capacity, quantity: 'moment', caution: rules.value('strengthCaution') },
    { code: 'set.bending', mark: piece.mark, moment, capacity: strength.capacity },
    strength.traces,
  );
}
