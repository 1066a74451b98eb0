import { phrase, q } from '../../calc/work';
import type { Rules, ThresholdKey } from '../../rules/rule-sets';
import type { Check } from '../../verdict/check';
import { addMonths } from '../../units/day';
import { yardWords, type YardKind } from '../../document/things/yard';
import { legSubject } from '../way-in/leg-verdict';
import { keep } from '../../document/keep';
import { markLifted } from '../../document/lookups';
import { dayFault, namesPerson } from '../../document/records';
import { dateBy } from '../../document/work-days';
import type { Pick, Plan, Raise, YardThing } from '../../document/schema';
import { gearInUse, inUse, isPulled, legSaidTwice, raiseSaidTwice, saidTwice, yardOf, type PulledLeg, type TwoRatings } from '../../document/yard';
import type { Context } from '../context';
import { flatStop, missingCheck, on, type Place, said, sourced, told } from '../../verdict/build';

/** Papers of what lifts, one thing in one place at a time, and a tag that says something else than the pick. */
export function yardChecks(context: Context): Check[] {
  return [...craneInspections(context), ...gearInspections(context), ...untagged(context), ...inTwoPlaces(context), ...tags(context), ...unnamed(context)];
}

type Named = { subject: Place['subject']; about: Place['about'] };
type Inspected = YardThing['inspected'];

/** The last inspection, and whether it is still good on the day the plan is looked at, and on the last day it is used, up to the move at `last`. */
function inspection(
  { plan, today, rules }: Context,
  place: Place,
  name: string,
  { inspected, last, key }: { inspected: Inspected | undefined; last: number; key: ThresholdKey },
): Check {
  const months = rules.value(key);
  if (!inspected) return missingCheck(place, 'count', `When was ${name} last inspected, and by whom?`);
  const fault = namesPerson(inspected.by) ? dayFault(inspected.on, today) : 'names nobody';
  if (fault !== null) return missingCheck(place, 'count', `The inspection of ${name} ${fault}. Who inspected it, and when?`);
  const until = addMonths(inspected.on, months);
  if (today !== null && today > until)
    return flatStop(
      place,
      'count',
      told(
        phrase`${name} was last inspected on ${inspected.on}, good for ${q(months, 'count')} months: it ran out on ${until}. Nothing is lifted with it until it is inspected again.`,
      ),
      [],
    );
  const used = dateBy(plan.moves, last);
  if (used !== null && used > until)
    return flatStop(
      place,
      'count',
      told(
        phrase`${name} was last inspected on ${inspected.on}, good for ${q(months, 'count')} months: it runs out on ${until}, and is still used on ${used}. Inspect it again before that day.`,
      ),
      [],
    );
  return said(place, phrase`${name} was inspected by ${inspected.by.trim()} on ${inspected.on}: good until ${until}.`);
}

const at = (id: string, of: Named, source: string, station: Place['station'] = 'gear', move: string | null = null): Place => ({
  id,
  ...of,
  station,
  move,
  calc: 'record',
  source,
});

function craneInspections(context: Context): Check[] {
  const { plan, rules } = context;
  const used = new Set(plan.stands.map((one) => one.crane));
  const last = lastAt(plan);
  return plan.cranes.flatMap((crane) => {
    if (!used.has(crane.id)) return [];
    const place = at('crane.inspected', on('crane', crane, crane.name), source(rules, 'inspectCrane'));
    return [inspection(context, place, crane.name, { inspected: crane.inspected, last: last.get(crane.id) ?? -1, key: 'inspectCrane' })];
  });
}

/** The last move of each crane on the run sheet: where it leaves, or the end of it all; one that never comes has none. */
function lastAt({ stands, moves }: Plan): ReadonlyMap<string, number> {
  const craneOf = new Map(stands.map(({ id, crane }) => [id, crane]));
  const last = new Map<string, number>();
  moves.forEach((move, at) => {
    if (move.kind === 'crane.set') last.set(craneOf.get(move.stand)!, Infinity);
    if (move.kind === 'crane.leave') last.set(craneOf.get(move.stand)!, at);
  });
  return last;
}

const source = (rules: Rules, key: ThresholdKey): string => sourced('Record: an inspection by a named person, with its date', rules, key);

const nameOf = ({ name, kind }: YardThing): string => name.trim() || `the ${yardWords[kind]}`;

/** Every leg along which a piece is pulled, with what it is called. */
const pulledLegs = (plan: Plan): { leg: PulledLeg; name: string }[] =>
  plan.ways.flatMap(({ legs }) => legs.flatMap((leg) => (isPulled(leg) ? [{ leg, name: legSubject(leg, legs) }] : [])));

/** What holds by nothing that a tag tells, and what is asked where it is rolled on. */
const NO_TAG: ReadonlySet<YardKind> = new Set(['tagLine', 'mats', 'rollers', 'ramp']);

/** What a thing may carry says its tag, whatever is said of it where it is used. */
const untagged = ({ plan }: Context): Check[] => {
  const used = inUse(plan);
  return (plan.yard ?? []).flatMap((one) =>
    used.has(one.id) && one.rating === null && !NO_TAG.has(one.kind)
      ? [
          missingCheck(
            at('gear.tag', on('yard', one, nameOf(one)), '29 CFR 1926.251(a), from memory: no lifting gear without a tag that tells what it may carry'),
            'mass',
            `What does the tag of ${nameOf(one)} say it may carry?`,
          ),
        ]
      : [],
  );
};

/** Of what some lift is made with: what lies in the yard may be out of date. */
function gearInspections(context: Context): Check[] {
  const { plan, rules } = context;
  const used = inUse(plan);
  const last = new Map<string, number>();
  for (const { gear, to } of gearInUse(plan)) for (const id of gear) last.set(id, Math.max(to, last.get(id) ?? -1));
  return (plan.yard ?? []).flatMap((one) => {
    if (!used.has(one.id)) return [];
    const place = at('gear.inspected', on('yard', one, nameOf(one)), source(rules, 'inspectGear'));
    return [inspection(context, place, nameOf(one), { inspected: one.inspected, last: last.get(one.id) ?? -1, key: 'inspectGear' })];
  });
}

const loadName = (plan: Plan, { load }: Raise): string =>
  plan.structure.pieces.find(({ id }) => id === load)?.mark ?? plan.survey.openings.find(({ id }) => id === load)?.name ?? load;

/** A thing that hangs in one lift is not there for another. */
function inTwoPlaces({ plan }: Context): Check[] {
  const yard = yardOf(plan);
  if (yard.size === 0) return [];
  const lastOf = new Map<string, { name: string; to: number; id: string }>();
  const checks: Check[] = [];
  for (const use of gearInUse(plan).sort((a, b) => a.from - b.from)) {
    const name = 'piece' in use.by ? markLifted(plan, use.by) : loadName(plan, use.by);
    for (const id of new Set(use.gear)) {
      const thing = yard.get(id);
      if (!thing) continue;
      const last = lastOf.get(id);
      if (last && use.from < last.to)
        checks.push(
          flatStop(
            at(
              'gear.twice',
              on('yard', thing, nameOf(thing), use.by.id),
              'Common practice: one thing is in one place at a time',
              'picks',
              plan.moves[use.from]!.id,
            ),
            'count',
            told(phrase`${nameOf(thing)} still holds ${last.name} when ${name} is slung with it: let go of the first before, or take other gear.`),
            [],
          ),
        );
      if (!last || use.to > last.to) lastOf.set(id, { name, to: use.to, id: use.by.id });
    }
  }
  return checks;
}

/** What a tag says and what is said where the thing is used. */
const tags = ({ plan }: Context): Check[] => [
  ...plan.picks.flatMap((pick) => twice(on('pick', pick, markLifted(plan, pick)), 'the pick', saidTwice(plan, pick), 'picks')),
  ...(plan.raises ?? []).flatMap((raise) => twice(on('raise', raise, loadName(plan, raise)), 'its plate', raiseSaidTwice(plan, raise), 'picks')),
  ...pulledLegs(plan).flatMap(({ leg, name }) => twice(on('leg', leg, name), 'the way in', legSaidTwice(plan, leg), 'wayIn')),
];

const twice = (of: Named, says: string, both: readonly TwoRatings[], station: Place['station']): Check[] =>
  both.map(({ what, here, tag }) => ({
    ...missingCheck(
      at('gear.rating', { ...of, about: { ...of.about, part: what } }, 'Two statements of one rating: the lower governs until it is settled', station),
      'mass',
      '',
    ),
    demand: here,
    finding: told(
      phrase`${of.subject}: ${says} says ${q(here, 'mass')} for ${what}, and its tag in the yard ${q(tag, 'mass')}. The lower one is taken. Which is right?`,
    ),
  }));

interface Made {
  kind: 'pick' | 'raise' | 'leg';
  id: string;
  name: string;
  gear: readonly string[];
  /** kinds of gear it cannot be made without */
  needs: readonly YardKind[];
  /** kinds that have no place in it */
  never: readonly YardKind[];
  /** at how many places it is raised by a thing of each kind */
  places?: Partial<Record<YardKind, number>>;
}

const RAISING = ['hoist', 'mastLift', 'jack'] as const;

/** A lift by crane, and what it is made with by the way it is made. */
function madeByPick({ id, rig, hitch, tags: held, gear = [] }: Pick, name: string): Made {
  const needs: YardKind[] = [
    'slings',
    ...(rig && rig.kind !== 'legs' ? (['spreader'] as const) : []),
    ...(hitch?.kind === 'clamps' ? (['clamp'] as const) : []),
  ];
  if (held && held.lines > 0) needs.push('tagLine');
  return { kind: 'pick', id, name, gear, needs, never: ['mastLift', 'jack', 'winch', 'rollers', 'ramp', 'trolley', 'post'] };
}

/** Every lift without a crane and every leg on which something is pulled, the same. */
const otherLifts = (plan: Plan): Made[] => [
  ...(plan.raises ?? []).map((raise): Made => {
    const kinds = new Set(raise.points.map(({ kind }) => kind));
    const needs = RAISING.filter((one) => kinds.has(one));
    const never = raise.points.length === 0 ? [] : RAISING.filter((one) => !kinds.has(one));
    const places = Object.fromEntries(needs.map((one) => [one, raise.points.filter(({ kind }) => kind === one).length]));
    return { kind: 'raise', id: raise.id, name: loadName(plan, raise), gear: raise.gear ?? [], needs, never, places };
  }),
  ...pulledLegs(plan).map(({ leg, name }): Made => {
    const needs: YardKind[] = [
      ...(leg.pull?.kind === 'line' ? (['winch'] as const) : []),
      ...(leg.kind === 'rollers' ? (['rollers'] as const) : []),
      ...(leg.kind === 'ramp' ? (['ramp'] as const) : []),
    ];
    return { kind: 'leg', id: leg.id, name, gear: leg.gear ?? [], needs, never: leg.pull?.kind === 'people' ? ['winch'] : [] };
  }),
];

/** A pick that names any gear of the yard names these too. */
const alsoNamed: ReadonlySet<YardKind> = new Set(['slings', 'spreader']);

/** Once gear of a kind is in the yard of the job, each lift says which of it it is made with; a pick that names any gear names its slings. */
function unnamed({ plan }: Context): Check[] {
  const yard = yardOf(plan);
  const there = new Set([...yard.values()].map(({ kind }) => kind));
  const asked = (made: Made): Check[] => askedOf(made, yard, there);
  return [
    ...plan.picks.flatMap((pick) => {
      const name = markLifted(plan, pick);
      return keep('gear.named', pick, [yard, name], () => asked(madeByPick(pick, name)));
    }),
    ...otherLifts(plan).flatMap(asked),
  ];
}

function askedOf({ kind, id, name, gear, needs, never, places = {} }: Made, yard: ReadonlyMap<string, YardThing>, there: ReadonlySet<YardKind>): Check[] {
  const kinds = new Set(gear.flatMap((one) => yard.get(one)?.kind ?? []));
  const ask = (question: string, part?: string): Check =>
    missingCheck(
      at('gear.named', on(kind, { id }, name, part), 'Common practice: what lifts or pulls has its papers', kind === 'leg' ? 'wayIn' : 'picks'),
      'count',
      question,
    );
  const [does, without] = kind === 'leg' ? [`is the piece moved at ${name}`, 'which has no use for one'] : [`is ${name} lifted`, 'which is lifted without one'];
  return [
    ...needs.flatMap((one) =>
      kinds.has(one) || !(there.has(one) || (alsoNamed.has(one) && gear.length > 0))
        ? []
        : [ask(`With which ${yardWords[one]} of the yard ${does}?`, one === 'slings' ? undefined : one)],
    ),
    ...Object.entries(places).flatMap(([one, count]) => {
      const named = gear.filter((id) => yard.get(id)?.kind === one).length;
      return named > 0 && named < count
        ? [
            ask(
              `${name} is raised at ${count} places by a ${yardWords[one as YardKind]} each, and only ${named} of the yard ${named === 1 ? 'is' : 'are'} written down. Which are the others?`,
              `${one} count`,
            ),
          ]
        : [];
    }),
    ...never.flatMap((one) =>
      kinds.has(one) ? [ask(`A ${yardWords[one]} of the yard is written down for ${name}, ${without}. What is it there for?`, one)] : [],
    ),
  ];
}
