import { phrase } from '../../calc/work';
import type { AboutKind, Check } from '../../verdict/check';
import { keep } from '../../document/keep';
import { cranesOf, operatorOf } from '../../document/crew';
import { markLifted } from '../../document/lookups';
import { namesPerson, personsIn, samePerson } from '../../document/records';
import type { Crane, Pick, Plan } from '../../document/schema';
import type { Context } from '../context';
import { flatStop, missingCheck, type Place, ratioCheck, said, told } from '../../verdict/build';

const CALLER = '29 CFR 1926.1419(j) and .1422, from memory: one person gives signals, anybody may give stop';
const OPERATOR = '29 CFR 1926.1427, from memory: operators are trained and certified';
const TWICE = 'Common practice: whoever works a crane has eyes and hands for nothing else (29 CFR 1926.1417(d), from memory)';
const PLANNED = 'Common practice: a lift is planned by a person with a name, and looked over by another (BS 7121-1, from memory)';

/** Who plans, who checks, who calls and who operates: by name, and nobody in two places at once. */
export function peopleChecks({ plan }: Context): Check[] {
  if (plan.picks.length + (plan.launches ?? []).length + (plan.raises ?? []).length === 0) return [];
  return [
    ...plannerChecks(plan),
    // What is pushed or raised by hand has nobody in a cab, and one caller all the same.
    ...(plan.picks.length > 0 ? operatorChecks(plan) : []),
    ...callerCheck(plan),
    ...plan.picks.flatMap((pick) => ofPick(plan, pick)),
    ...watchers(plan),
  ];
}

const place = (id: string, about: { kind: AboutKind; id: string; part?: string }, subject: string, source: string): Place => ({
  id,
  about,
  subject,
  station: about.kind === 'job' ? 'runSheet' : about.kind === 'pick' ? 'picks' : 'gear',
  move: null,
  calc: 'record',
  source,
});

const nobody = (text: string): string => (text ? `“${text}” is nobody’s name. ` : '');

function plannerChecks({ people }: Plan): Check[] {
  const [planner, checker] = [people.planner.trim(), people.checker.trim()];
  const asked: Check[] = [];
  if (!namesPerson(planner))
    asked.push(
      missingCheck(place('plan.planner', { kind: 'job', id: 'planner' }, 'Planned by', PLANNED), 'count', `${nobody(planner)}Who planned these lifts?`),
    );
  const at = place('plan.checker', { kind: 'job', id: 'checker' }, 'Checked by', PLANNED);
  if (!namesPerson(checker)) asked.push(missingCheck(at, 'count', `${nobody(checker)}Who else has looked over these lifts?`));
  else if (samePerson(planner, checker))
    asked.push(missingCheck(at, 'count', `${checker} planned these lifts and is said to have checked them. Who else looks them over?`));
  return asked;
}

/** A person by name in every crane, and two of them where two cranes lift at once. */
function operatorChecks(plan: Plan): Check[] {
  const used = new Set(plan.picks.flatMap((pick) => cranesOf(plan, pick)));
  const asked: Check[] = [];
  const common = plan.people.operator.trim();
  if ([...used].some((crane) => !crane.operator?.trim()) && !namesPerson(common))
    asked.push(
      missingCheck(
        place('lift.operator', { kind: 'job', id: 'operator' }, 'Crane operator', OPERATOR),
        'count',
        `${nobody(common)}Who operates the crane, and is licensed for it?`,
      ),
    );
  for (const crane of used) {
    const own = crane.operator?.trim() ?? '';
    if (own && !namesPerson(own))
      asked.push(
        missingCheck(place('lift.operator', { kind: 'crane', id: crane.id }, crane.name, OPERATOR), 'count', `${nobody(own)}Who operates ${crane.name}?`),
      );
  }
  const paired = new Set<Crane>();
  for (const pick of plan.picks) {
    const [first, second] = cranesOf(plan, pick);
    if (!first || !second || first === second || paired.has(second)) continue;
    const [one, other] = [operatorOf(plan, first), operatorOf(plan, second)];
    if (!samePerson(one, other)) continue;
    paired.add(second);
    asked.push(
      missingCheck(
        place('lift.operator', { kind: 'crane', id: second.id, part: 'both' }, second.name, OPERATOR),
        'count',
        `${first.name} and ${second.name} lift ${markLifted(plan, pick)} together, and ${one} is said to sit in both. Who operates ${second.name}?`,
      ),
    );
  }
  return asked;
}

function callerCheck(plan: Plan): Check[] {
  const at = place('lift.caller', { kind: 'job', id: 'caller' }, 'One caller', CALLER);
  const caller = plan.people.caller.trim();
  const called = plan.picks.length > 0 ? 'the crane' : (plan.launches ?? []).length > 0 ? 'the launch' : 'the raising';
  if (!namesPerson(caller)) return [missingCheck(at, 'count', `${nobody(caller)}Who calls ${called}? One person, and everybody knows who.`)];
  const driven = [...new Set(plan.picks.flatMap((pick) => cranesOf(plan, pick)))].find((crane) => samePerson(caller, operatorOf(plan, crane)));
  if (driven) return [twice(at, `${caller} operates ${driven.name} and is said to call it. Who outside the cab calls?`)];
  return [said(at, phrase`${caller} calls ${called}; anybody may call stop.`)];
}

const twice = (at: Place, words: string): Check => flatStop({ ...at, source: TWICE }, 'count', told(phrase`${words}`), []);

/** Of one pick: a hand for every tag line, and nobody of those in a cab. */
function ofPick(plan: Plan, pick: Pick): Check[] {
  const cranes = cranesOf(plan, pick);
  return keep('people.pick', pick, [plan.people, markLifted(plan, pick), ...cranes], () => {
    const mark = markLifted(plan, pick);
    const at = (id: string, part: string, source: string) => place(id, { kind: 'pick', id: pick.id, part }, mark, source);
    const checks: Check[] = [];
    const driver = (text: string) => cranes.find((crane) => samePerson(text, operatorOf(plan, crane)));
    const { tags, roll } = pick;
    if (tags && tags.lines > 0) {
      const holders = personsIn(tags.by);
      const driving = driver(tags.by);
      if (driving)
        checks.push(
          twice(at('people.twice', 'tags', TWICE), `${operatorOf(plan, driving)} operates ${driving.name} and is said to hold a tag line of ${mark}.`),
        );
      // A gang has as many hands as it takes; names are counted.
      if (holders.length > 0 && holders.length < tags.lines && !/\b(gang|crew|team|men|hands|others?|riggers)\b/i.test(tags.by))
        checks.push(
          missingCheck(
            at('people.hands', 'tags', TWICE),
            'count',
            `${mark} has ${tags.lines} tag lines and ${tags.by.trim()} to hold them: who holds the other${tags.lines - holders.length > 1 ? 's' : ''}?`,
          ),
        );
      if (samePerson(tags.by, plan.people.caller))
        checks.push({
          ...ratioCheck(
            at('people.twice', 'caller', TWICE),
            { demand: 0, capacity: 1, quantity: 'count', caution: null },
            told(phrase`${plan.people.caller.trim()} calls the crane and holds a tag line of ${mark}: a caller has both hands free.`),
            [],
          ),
          demand: null,
          capacity: null,
          ratio: null,
          verdict: 'tight',
        });
    }
    const rolling = roll ? driver(roll.by) : undefined;
    if (roll && rolling)
      checks.push(twice(at('people.twice', 'roll', TWICE), `${operatorOf(plan, rolling)} operates ${rolling.name} and is said to lead rolling ${mark}.`));
    return checks;
  });
}

/** Nobody in a cab signals to it from outside, or watches the clearance to a power line. */
function watchers(plan: Plan): Check[] {
  const cranes = [...new Set(plan.picks.flatMap((pick) => cranesOf(plan, pick)))];
  const driver = (text: string) => cranes.find((crane) => samePerson(text, operatorOf(plan, crane)));
  return [
    ...(plan.site.signallers ?? []).flatMap((one) => {
      const crane = driver(one.name);
      return crane
        ? [
            twice(
              place('people.twice', { kind: 'signaller', id: one.id }, one.name, TWICE),
              `${one.name.trim()} operates ${crane.name} and is said to signal to it.`,
            ),
          ]
        : [];
    }),
    ...plan.site.powerLines.flatMap((line) => {
      const crane = line.guard ? driver(line.guard.by) : undefined;
      return crane
        ? [
            twice(
              place('people.twice', { kind: 'powerLine', id: line.id }, line.name, TWICE),
              `${line.guard!.by.trim()} operates ${crane.name} and is said to answer for what keeps it clear of ${line.name}.`,
            ),
          ]
        : [];
    }),
  ];
}
