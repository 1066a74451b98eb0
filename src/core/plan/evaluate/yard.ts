import { phrase, q } from '../../calc/work';
import type { Rules, ThresholdKey } from '../../rules/rule-sets';
import type { Check } from '../check';
import { addMonths } from '../day';
import { yardWords } from '../document/yard';
import { markLifted } from '../lookups';
import { dayFault, namesPerson } from '../records';
import type { Plan, Raise, YardThing } from '../schema';
import { gearInUse, saidTwice, yardOf } from '../yard';
import { flatStop, missingCheck, on, ratioCheck, sourced, told, type Context, type Place } from './context';

/** Papers of what lifts, one thing in one place at a time, and a tag that says something else than the pick. */
export function yardChecks(context: Context): Check[] {
  return [...craneInspections(context), ...gearInspections(context), ...inTwoPlaces(context), ...tags(context), ...unnamed(context)];
}

type Inspected = YardThing['inspected'];

/** The last inspection, and whether it is still good on the day the plan is looked at. */
function inspection({ today, rules }: Context, place: Place, name: string, inspected: Inspected | undefined, key: ThresholdKey): Check {
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
  const row = ratioCheck(
    place,
    { demand: 0, capacity: 1, quantity: 'count', caution: null },
    told(phrase`${name} was inspected by ${inspected.by.trim()} on ${inspected.on}: good until ${until}.`),
    [],
  );
  return { ...row, demand: null, capacity: null, ratio: null };
}

const at = (id: string, of: Pick<Place, 'subject' | 'about'>, source: string, station: Place['station'] = 'gear', move: string | null = null): Place => ({
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
  return plan.cranes.flatMap((crane) =>
    used.has(crane.id)
      ? [inspection(context, at('crane.inspected', on('crane', crane, crane.name), source(rules, 'inspectCrane')), crane.name, crane.inspected, 'inspectCrane')]
      : [],
  );
}

const source = (rules: Rules, key: ThresholdKey): string => sourced('Record: an inspection by a named person, with its date', rules, key);

const nameOf = ({ name, kind }: YardThing): string => name.trim() || `the ${yardWords[kind]}`;

/** Of what some lift is made with: what lies in the yard may be out of date. */
function gearInspections(context: Context): Check[] {
  const { plan, rules } = context;
  const used = new Set([...plan.picks, ...(plan.raises ?? [])].flatMap(({ gear = [] }) => gear));
  return (plan.yard ?? []).flatMap((one) =>
    used.has(one.id)
      ? [inspection(context, at('gear.inspected', on('yard', one, nameOf(one)), source(rules, 'inspectGear')), nameOf(one), one.inspected, 'inspectGear')]
      : [],
  );
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

/** What a tag says and what is said in the pick. */
const tags = ({ plan }: Context): Check[] =>
  plan.picks.flatMap((pick) =>
    saidTwice(plan, pick).map(({ what, here, tag }) => ({
      ...missingCheck(
        at('gear.rating', on('pick', pick, markLifted(plan, pick), what), 'Two statements of one rating: the lower governs until it is settled', 'picks'),
        'mass',
        '',
      ),
      demand: here,
      finding: told(
        phrase`${markLifted(plan, pick)}: the pick says ${q(here, 'mass')} for ${what}, and its tag in the yard ${q(tag, 'mass')}. The lower one is taken. Which is right?`,
      ),
    })),
  );

/** Once the slings of the job are in its yard, each lift says which of them it is made with. */
function unnamed({ plan }: Context): Check[] {
  const slings = new Set((plan.yard ?? []).filter(({ kind }) => kind === 'slings').map(({ id }) => id));
  if (slings.size === 0) return [];
  return plan.picks.flatMap((pick) =>
    (pick.gear ?? []).some((id) => slings.has(id))
      ? []
      : [
          missingCheck(
            at('gear.named', on('pick', pick, markLifted(plan, pick)), 'Common practice: what is lifted is slung with gear that has its papers', 'picks'),
            'count',
            `With which slings of the yard is ${markLifted(plan, pick)} lifted?`,
          ),
        ],
  );
}
