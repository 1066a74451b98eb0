import { grossLoad } from '../../cranes/gross-load.calc';
import { phrase, q } from '../../calc/work';
import type { ThresholdKey } from '../../rules/rule-sets';
import type { QuantityKind } from '../../units';
import type { Check } from '../../verdict/check';
import { isTurned, liftedBy, markLifted, standOf, standsOfPick } from '../../document/lookups';
import { keep } from '../../document/keep';
import { Missing } from '../../verdict/missing';
import { pickContext } from './pick-context';
import { namesPerson } from '../../document/records';
import { hangBy } from '../../settle/rigged';
import type { Pick } from '../../document/schema';
import { stringsWith, type Strung } from '../../document/strings';
import { isGiven } from '../../settle/section-strength';
import type { Context } from '../context';
import { flatStop, missingCheck, on, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';

const CLAUSE = '29 CFR 1926.753(e), from memory: several members on one hook';

interface Ground {
  context: Context;
  strung: Strung;
  name: string;
  at: (id: string, part?: string, move?: string | null, ...keys: ThresholdKey[]) => Place;
}

/** Every string of beams: what may hang in it, by what, how far apart, and that the lowest is set first. */
export function stringChecks(context: Context): Check[] {
  const { plan, rules } = context;
  const { structure } = plan;
  const byId = new Map(plan.picks.map((pick) => [pick.id, pick]));
  // All that the picks of a string, and the moves that set its beams, are worked out from.
  const from = [
    ...[plan.strings, plan.picks, plan.moves, plan.stands, plan.cranes, plan.duties, plan.yard, plan.pieces, plan.bearings],
    ...[structure.pieces, structure.makes, structure.joints, structure.braces, rules],
  ];
  return (plan.strings ?? []).flatMap((string) => {
    const name = string.name.trim() || 'The string';
    const ground: Ground = {
      context,
      strung: { string, picks: string.picks.flatMap((id) => byId.get(id) ?? []) },
      name,
      at: (id, part, move = null, ...keys) => ({
        id,
        ...on('string', string, name, part),
        station: 'picks',
        move,
        calc: grossLoad.id,
        source: sourced(CLAUSE, rules, ...keys),
      }),
    };
    return keep('string.checks', string, from, () => [
      ...memberChecks(ground),
      ...apartChecks(ground),
      ...ratingChecks(ground),
      ...handledChecks(ground),
      ...orderChecks(ground),
    ]);
  });
}

/** No more than so many, beams only, each by itself and in one string, all from one stand. */
function memberChecks({ context, strung: { string, picks }, name, at }: Ground): Check[] {
  const { plan, rules } = context;
  if (picks.length < 2) return [missingCheck(at('string.members'), 'count', `Which beams hang in ${name}, from the top down? One alone is no string.`)];
  const most = rules.value('stringMost');
  const marks = picks.map((pick) => markLifted(plan, pick)).join(', ');
  return [
    ratioCheck(
      at('string.members', undefined, null, 'stringMost'),
      { demand: picks.length, capacity: most, quantity: 'count', caution: null, inclusive: true },
      told(phrase`${String(picks.length)} beams hang in ${name}, from the top down ${marks}; no more than ${String(most)} may.`),
      [],
    ),
    ...picks.flatMap((pick) => {
      const mark = markLifted(plan, pick);
      const wrong = unfit(context, pick);
      const fit =
        wrong === null
          ? []
          : [
              wrong.stop
                ? flatStop(at('string.kind', pick.id), 'count', told([wrong.says]), [])
                : missingCheck(at('string.kind', pick.id), 'count', wrong.says),
            ];
      const other = stringsWith(plan, pick).find((one) => one.string.id !== string.id);
      const twice = other
        ? [
            missingCheck(
              at('string.twice', pick.id),
              'count',
              `${mark} hangs in ${name} and in ${other.string.name.trim() || 'another string'}. In which of them?`,
            ),
          ]
        : [];
      return [...fit, ...twice];
    }),
    ...(new Set(picks.map(({ stand }) => stand)).size > 1
      ? [
          flatStop(
            at('string.crane'),
            'count',
            told([
              `${name} hangs on one hook, and its picks are made from ${[...new Set(picks.map(({ stand }) => standOf(plan, stand).name))].join(' and ')}.`,
            ]),
            [],
          ),
        ]
      : []),
  ];
}

/** Why a pick has no place in a string: not allowed, or not worked out here. */
function unfit({ plan }: Context, pick: Pick): { stop: boolean; says: string } | null {
  const mark = markLifted(plan, pick);
  if (isTurned(plan, pick)) return { stop: true, says: `${mark} is set upright: only beams and what is like them hang in a string.` };
  if (pick.second) return { stop: true, says: `${mark} hangs on two hooks: what hangs in a string hangs on one.` };
  const ask = (what: string) => ({ stop: false, says: `${mark} ${what}: how that hangs in a string is not worked out here. Who has?` });
  if (pick.joined?.length) return ask('is lifted as one with what is joined to it');
  if (pick.rig && pick.rig.kind !== 'legs') return ask('hangs under a bar of its own');
  if (liftedBy(plan, pick).kind === 'piece') return ask('is a piece on bearings, not of the structure');
  const { weight } = pickContext(plan, pick);
  return !(weight instanceof Missing) && isGiven(weight.section) ? ask('is no section') : null;
}

/** Far enough apart that a person reaches one without the other, and that the slings of one end below the next above it. */
function apartChecks({ context, strung: { string, picks }, name, at }: Ground): Check[] {
  const { plan, rules } = context;
  const place = at('string.apart', undefined, null, 'stringApart');
  const { apart } = string;
  if (apart === null) return [missingCheck(place, 'length', `How far apart do the beams of ${name} hang, clear?`)];
  const least = rules.value('stringApart');
  return [
    ratioCheck(
      place,
      { demand: least, capacity: apart, quantity: 'length', caution: null, inclusive: true },
      told(phrase`The beams of ${name} hang ${q(apart, 'length')} apart; ${q(least, 'length')} is the least.`),
      [],
    ),
    ...picks.slice(1).flatMap((pick) => {
      const { piece, weight } = pickContext(plan, pick);
      if (weight instanceof Missing || isTurned(plan, pick)) return [];
      const own = hangBy(piece, pick, weight, rules);
      if (own instanceof Missing || 'impossible' in own || own.hookAbovePick < apart) return [];
      return [
        flatStop(
          at('string.slings', pick.id),
          'length',
          told(
            phrase`The slings of ${piece.mark} come together ${q(own.hookAbovePick, 'length')} above it, and the next beam hangs ${q(apart, 'length')} above it: take shorter slings, or hang them further apart.`,
          ),
          [],
        ),
      ];
    }),
  ];
}

/** All of it against the assembly, the heaviest against one attachment point. */
function ratingChecks({ context, strung: { string, picks }, name, at }: Ground): Check[] {
  const { plan, rules } = context;
  const loads = picks.map((pick) => pickContext(plan, pick));
  const open = loads.flatMap(({ weight, pick, piece }) =>
    weight instanceof Missing ? weight.questions : pick.riggingMass ? [] : [`What do slings and shackles of ${piece.mark} weigh? They weigh something.`],
  );
  const caution = rules.value('slingCaution');
  const rating = (
    id: string,
    of: number | null,
    question: string,
    mass: () => number,
    words: (mass: number, of: number) => ReturnType<typeof phrase>,
    traces: Check['traces'],
  ): Check => {
    const place = at(id, undefined, null, 'slingCaution');
    if (of === null) return missingCheck(place, 'mass', question);
    if (open.length > 0) return missingCheck(place, 'mass', open.join(' '));
    return ratioCheck(place, { demand: mass(), capacity: of, quantity: 'mass' satisfies QuantityKind, caution }, told(words(mass(), of)), traces);
  };
  const masses = loads.map(({ piece, pick, weight }) => ({
    what: piece.mark,
    mass: weight instanceof Missing ? 0 : weight.mass,
    rigging: pick.riggingMass ?? 0,
  }));
  const all = masses.flatMap(({ what, mass, rigging }) => [
    { what, mass },
    { what: `Slings of ${what}`, mass: rigging },
  ]);
  const { outcome, traces } = traced(grossLoad, { parts: all });
  return [
    rating(
      'string.rating',
      string.rating,
      `What may the whole assembly of ${name} carry, by who made it up?`,
      () => (outcome.ok ? outcome.output.mass : Infinity),
      (mass, of) => phrase`${name} weighs ${q(mass, 'mass')} with its slings; the assembly may carry ${q(of, 'mass')}.`,
      traces,
    ),
    rating(
      'string.each',
      string.each,
      `What may one attachment point of ${name} carry, by who made it up?`,
      () => Math.max(0, ...masses.map(({ mass, rigging }) => mass + rigging)),
      (mass, of) => phrase`The heaviest beam of ${name} hangs on its point with ${q(mass, 'mass')}; a point may carry ${q(of, 'mass')}.`,
      [],
    ),
  ];
}

/** Made up by somebody who answers for it, and lowered under power. */
function handledChecks({ strung: { string }, name, at }: Ground): Check[] {
  const { lowered, by } = string;
  return [
    ...(namesPerson(by) ? [] : [missingCheck(at('string.by'), 'count', `Who made up the assembly of ${name} and answers for its ratings?`)]),
    ...(lowered === null
      ? [missingCheck(at('string.lowered'), 'count', `Does the crane lower ${name} under power, not on its brake, over the people who connect it?`)]
      : lowered
        ? []
        : [
            flatStop(
              at('string.lowered'),
              'count',
              told([`${name} would be lowered on the brake: over people who connect beams a crane lowers under power.`]),
              [],
            ),
          ]),
  ];
}

/** The lowest is set first, and until the topmost hangs in place its hook lifts nothing else. */
function orderChecks({ context, strung: { picks }, name, at }: Ground): Check[] {
  const { plan } = context;
  const inIt = new Set(picks.map(({ id }) => id));
  const hangs = plan.moves.flatMap((move, place) => (move.kind === 'piece.hang' && move.pick && inIt.has(move.pick) ? [{ move, place, pick: move.pick }] : []));
  const wanted = [...picks].reverse().filter(({ id }) => hangs.some((one) => one.pick === id));
  const order = hangs.findIndex((one, n) => one.pick !== wanted[n]?.id);
  if (order >= 0) {
    const { move } = hangs[order]!;
    const first = wanted[order];
    return [
      flatStop(
        at('string.order', undefined, move.id),
        'count',
        told([
          `${markLifted(
            plan,
            picks.find(({ id }) => id === hangs[order]!.pick)!,
          )} of ${name} is set before ${first ? markLifted(plan, first) : 'what hangs below it'}: the lowest goes first.`,
        ]),
        [],
      ),
    ];
  }
  const [from, to] = [hangs[0]?.place ?? 0, hangs.at(-1)?.place ?? 0];
  const stand = picks[0]?.stand;
  return plan.moves.slice(from, to).flatMap((move) => {
    const pick = 'pick' in move && typeof move.pick === 'string' ? plan.picks.find(({ id }) => id === move.pick) : undefined;
    const leaves = move.kind === 'crane.leave' && move.stand === stand;
    if (!leaves && (!pick || inIt.has(pick.id) || stand === undefined || !standsOfPick(pick).includes(stand))) return [];
    return [
      flatStop(
        at('string.hook', move.id, move.id),
        'count',
        told([
          leaves
            ? `The crane leaves while beams of ${name} still hang on its hook.`
            : `The hook lifts ${markLifted(plan, pick!)} while beams of ${name} still hang on it.`,
        ]),
        [],
      ),
    ];
  });
}
