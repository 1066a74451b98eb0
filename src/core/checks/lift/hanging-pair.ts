import { phrase, q } from '../../calc/work';
import { riggingHook } from '../../rigging/hook.calc';
import { pickMoments } from '../../rigging/pick-moments.calc';
import { OMEGA_FLEXURE } from '../../strength/flexure-aisc.calc';
import { combined } from '../../strength/combined.calc';
import { pairGlobal } from '../../strength/pair-global.calc';
import type { Check } from '../../verdict/check';
import type { Hanging } from '../../settle/hanging';
import type { Tie } from '../../document/joined';
import { halfOf, type Member } from '../../settle/joined-weight';
import { Missing } from '../../verdict/missing';
import type { Pair } from '../../settle/piece-weight';
import { liftMove, type Context, type PickContext, type Spliced } from '../context';
import { missingCheck, on, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';
import { bendingCheck, hangingSplice, SPLICED } from './hanging-piece';
import { bendingCapacity } from '../../settle/section-strength';

/** Fewer cross-frames than this do not keep two lines from rolling each by itself. */
const LEAST_TIES = 2;
/** Beyond its last cross-frame a line is free at its end: it counts twice the length (AISC 360 F1, from memory). */
const FREE_END = 2;
/** Strength-level demand of a job run in allowable stress. */
const OMEGA = 1.67;
const CLOSE = 1e-9;

type Picked = PickContext & { joined: Spliced };
type PlaceOf = (id: string, calc: string, source: string) => Place;

/**
 * Two lines side by side, tied by cross-frames put in on the ground: each bends by what it and its half of the cross-frames weigh, on its
 * own two legs. Between its cross-frames each can buckle by itself; both together, as one.
 */
export function pairChecks(context: Context, picked: Picked, pair: Pair, hanging: Hanging): Check[] {
  const { plan, rules } = context;
  const { pick, piece, joined } = picked;
  const move = liftMove(plan, pick);
  const at: PlaceOf = (id, calc, source) => ({ id, ...on('pick', pick, piece.mark), station: 'picks', move, calc, source });
  const tied = at('pick.ties', pairGlobal.id, 'Common practice: two girders lifted as a pair are tied near their ends before they leave the ground');
  const { ties } = joined;
  if (ties.length < LEAST_TIES)
    return [
      missingCheck(
        tied,
        'count',
        `${piece.mark} are lifted side by side, and ${ties.length === 0 ? 'no cross-frame ties them' : `only ${ties[0]!.brace.name} ties them`} before the move that hangs them. Which cross-frames are in by then?`,
      ),
    ];
  const checks: Check[] = [];
  const factor = rules.value('dynamicFactor') * rules.value('loadFactor');
  let both = 0;
  for (const [line, { from, to }] of joined.lines.entries()) {
    const members = joined.members.filter((one) => one.line === line);
    const [left, right] = [pick.left - from, pick.right - (joined.length - to)];
    const marks = members.map(({ beam }) => beam.mark).join(' + ');
    if (left < 0 || right < 0) {
      checks.push(missingCheck(at('pick.bending', combined.id, combined.source.text), 'moment', `A leg is past the end of ${marks}. Where is it slung?`));
      continue;
    }
    const moments = traced(pickMoments, { length: to - from, left, right, ...carriedBy(members, joined, from) });
    if (!moments.outcome.ok) {
      checks.push(missingCheck(at('pick.bending', combined.id, combined.source.text), 'moment', moments.outcome.error));
      continue;
    }
    const { greatest, felt, governing } = moments.outcome.output;
    both += governing * factor;
    const squeeze = { force: hanging.squeeze * factor, over: to - from - left - right };
    const places = ties.map((one) => one.at - from);
    const free = Math.max(FREE_END * places[0]!, FREE_END * (to - from - places.at(-1)!), ...places.slice(1).map((place, n) => place - places[n]!));
    members.forEach((member, n) => {
      const part = (id: string, calc: string, source: string): Place => ({ ...at(id, calc, source), ...on('pick', pick, member.beam.mark, member.beam.id) });
      const bent = { mark: member.beam.mark, section: member.section, fy: member.fy, moment: greatest![n]! * factor };
      const bending = part('pick.bending', combined.id, sourced(combined.source.text, rules, 'dynamicFactor', 'loadFactor', 'strengthCaution'));
      checks.push(bendingCheck(bending, bent, squeeze, rules, moments.traces), betweenTies(context, member, bent.moment, free, part));
    });
    const within = joined.splices.filter((one) => one.line === line);
    if (felt)
      checks.push(
        ...within.flatMap(({ joint }, n) => hangingSplice(joint, felt[n]!, factor, at('pick.splice', pickMoments.id, SPLICED), rules, moments.traces)),
      );
  }
  return [...checks, asPair(context, picked, pair, both, at), ...pushedTogether(context, picked, pair, hanging, at)];
}

/** What bends one of the lines: what its pieces weigh and half of each cross-frame, from its own left end. */
function carriedBy(members: readonly Member[], { ties, splices }: Spliced, from: number) {
  const along = ({ from: at, to, flipped }: Member, x: number) => (flipped ? to - x : at + x) - from;
  return {
    runs: members.flatMap((one) =>
      one.weight.runs.map(({ weightPerLength, from: a, to: b }) => {
        const [p, r] = [along(one, a), along(one, b)];
        return { weightPerLength, from: Math.min(p, r), to: Math.max(p, r) };
      }),
    ),
    lumps: [
      ...members.flatMap((one) => one.weight.lumps.map(({ weight, at }) => ({ weight, at: along(one, at) }))),
      ...ties.map((tie) => ({ weight: halfOf(tie).weight, at: tie.at - from })),
    ],
    stretches: members.map(({ from: a, to }) => ({ from: a - from, to: to - from })),
    cuts: splices.filter(({ line }) => line === members[0]!.line).map(({ at }) => at - from),
  };
}

/** One line by itself between the cross-frames that keep it from turning. */
function betweenTies({ rules }: Context, { beam, section, fy }: Member, moment: number, free: number, part: PlaceOf): Check {
  const capacity = bendingCapacity(section, fy, rules, { length: free, factor: 1 });
  const source = sourced(
    'Sideways buckling over the longest length between cross-frames, a free end counted twice',
    rules,
    'dynamicFactor',
    'loadFactor',
    'strengthCaution',
  );
  if (capacity instanceof Missing) return missingCheck(part('pick.hanging', 'rigging.pickMoments', source), 'moment', capacity.questions.join(' '));
  const calc = capacity.traces.at(-1)?.calc ?? 'rigging.pickMoments';
  return ratioCheck(
    part('pick.hanging', calc, source),
    { demand: moment, capacity: capacity.capacity, quantity: 'moment', caution: rules.value('strengthCaution') },
    told(
      phrase`As the pair hangs ${beam.mark} bends ${q(moment, 'moment')}; free sideways over ${q(free, 'length')} between its cross-frames it is good for ${q(capacity.capacity, 'moment')}.`,
    ),
    capacity.traces,
  );
}

/** The two together, which cross-frames keep from turning against each other and nothing from turning together. */
function asPair({ rules }: Context, { piece, joined }: Picked, pair: Pair, moment: number, at: PlaceOf): Check {
  const weakest = joined.members.reduce((least, one) =>
    one.section.iWeak * one.section.iStrong < least.section.iWeak * least.section.iStrong ? one : least,
  ).section;
  const place = at('pick.pair', pairGlobal.id, sourced(pairGlobal.source.text, rules, 'dynamicFactor', 'loadFactor', 'strengthCaution'));
  const length = Math.max(...joined.lines.map(({ from, to }) => to - from));
  const { outcome, traces } = traced(pairGlobal, {
    modulus: rules.steel.modulus,
    iStrong: weakest.iStrong,
    iEffective: weakest.iWeak,
    spacing: pair.apart,
    length,
  });
  if (!outcome.ok) return missingCheck(place, 'moment', outcome.error);
  const demand = moment * (rules.id === 'us-asd' ? OMEGA : 1);
  const { limit } = outcome.output;
  return ratioCheck(
    place,
    { demand, capacity: limit, quantity: 'moment', caution: rules.value('strengthCaution') },
    told(
      phrase`Tied to each other over ${q(length, 'length')} and to nothing else, ${piece.mark} feel ${q(demand, 'moment')} together as they hang and take ${q(limit, 'moment')}.`,
    ),
    traces,
  );
}

/** Legs that run in to one hook press the top flanges towards each other: each is held at the nearest cross-frame. */
function pushedTogether({ rules }: Context, { pick, piece, joined }: Picked, pair: Pair, hanging: Hanging, at: PlaceOf): Check[] {
  const factor = rules.value('dynamicFactor') * rules.value('loadFactor');
  const american = rules.id === 'us-asd';
  const thinnest = joined.members.reduce((least, one) => (flangeModulus(one) * one.fy < flangeModulus(least) * least.fy ? one : least));
  const capacity = (flangeModulus(thinnest) * thinnest.fy) / (american ? OMEGA_FLEXURE : rules.value('gammaM1'));
  const source = sourced(
    'Statics: the leg’s pull across, carried by the top flange alone to the nearest cross-frame',
    rules,
    'dynamicFactor',
    'loadFactor',
    'strengthCaution',
  );
  const pressed = new Map<string, { tie: Tie; force: number }>();
  const flanges = (['left', 'right'] as const).map((end, n) => {
    const x = end === 'left' ? pick.left : piece.length - pick.right;
    const across = ((hanging.tension[n]! * pair.apart) / 2 / Math.max(pick.legs[end], CLOSE)) * factor;
    const near = joined.ties.reduce((best, one) => (Math.abs(one.at - x) < Math.abs(best.at - x) ? one : best));
    const arm = Math.abs(near.at - x);
    pressed.set(near.brace.id, { tie: near, force: (pressed.get(near.brace.id)?.force ?? 0) + across });
    return ratioCheck(
      { ...at('pick.pressed', riggingHook.id, source), ...on('pick', pick, piece.mark, end) },
      { demand: across * arm, capacity, quantity: 'moment', caution: rules.value('strengthCaution') },
      told(
        phrase`The legs at the ${end} pick press the two lines towards each other with ${q(across, 'force')}, ${q(arm, 'length')} from ${near.brace.name}: that bends a top flange sideways ${q(across * arm, 'moment')}; alone it is good for ${q(capacity, 'moment')}.`,
      ),
      [hanging.trace],
    );
  });
  const struts = [...pressed.values()].map(({ tie: { brace }, force }) => {
    const place: Place = { ...at('pick.strut', riggingHook.id, source), ...on('brace', brace, brace.name, pick.id) };
    if (brace.capacity === null)
      return missingCheck(place, 'force', `What may ${brace.name} carry? The legs press the two lines it ties together.`, [hanging.trace]);
    return ratioCheck(
      place,
      { demand: force, capacity: brace.capacity, quantity: 'force', caution: rules.value('strengthCaution') },
      told(phrase`The legs of ${piece.mark} press ${brace.name} with ${q(force, 'force')}; it carries ${q(brace.capacity, 'force')}.`),
      [hanging.trace],
    );
  });
  return [...flanges, ...struts];
}

const flangeModulus = ({ section }: Member): number => (section.flange * section.width ** 2) / 6;
