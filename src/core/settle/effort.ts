import type { Rules, ThresholdKey } from '../rules/rule-sets';
import { noCosts, type Hire } from '../document/things/costs';
import { pointWords, raiseKinds, type RaiseKind } from '../document/things/raise';
import { craneAt } from './duties';
import { standOf, standsOfPick } from '../document/lookups';
import type { Pick, Plan, Raise } from '../document/schema';

/** One line of what a way of lifting takes: what, and what it costs. */
interface Line {
  what: string;
  /** null: nobody has said what it costs */
  money: number | null;
}

/** What a lift takes: people, hours from its beginning to its end, money. */
export interface Effort {
  /** null: nobody says how many */
  people: number | null;
  hours: number;
  lines: Line[];
  /** null: a price of it is not known */
  money: number | null;
  /** prices nobody has said */
  asks: string[];
}

export const hoursWords = (hours: number): string => `${Math.round(hours * 10) / 10} h`;
const GROUPED = /\B(?=(\d{3})+(?!\d))/g;
export const moneyWords = (money: number, { costs }: Plan): string =>
  [String(Math.round(money)).replace(GROUPED, '\u202f'), costs?.currency.trim() ?? ''].filter(Boolean).join('\u00a0');

const NO_HIRE: Hire = { day: null, bring: null };

/** A piece of hired gear, or several alike, and whether it comes for this alone. */
interface Hired {
  name: string;
  hire: Hire | null | undefined;
  count: number;
  comes: boolean;
}

function priced(plan: Plan, people: number | null, hours: number, gear: readonly Hired[]): Effort {
  const costs = plan.costs ?? noCosts();
  const asks: string[] = [];
  const of = (rate: number | null, question: string, times: (rate: number) => number): number | null => {
    if (rate === null && !asks.includes(question)) asks.push(question);
    return rate === null ? null : times(rate);
  };
  const crew = of(people, 'How many people lift it?', (count) => count);
  const hourly = of(costs.person, 'What does one person cost for an hour?', (rate) => rate);
  const lines: Line[] = [{ what: `${crew ?? '?'} people, ${hoursWords(hours)}`, money: crew === null || hourly === null ? null : hourly * crew * hours }];
  for (const { name, hire, count, comes } of gear) {
    const { day, bring } = hire ?? NO_HIRE;
    const shift = of(costs.shift, 'How many hours has a shift?', (one) => one);
    const several = count > 1 ? `${count} ` : '';
    const asked = of(day, `What does ${name} cost for a day?`, (rate) => rate);
    lines.push({
      what: `${several}${name}, ${hoursWords(hours)}`,
      money: asked === null || shift === null ? null : (asked * count * hours) / shift,
    });
    if (comes)
      lines.push({
        what: `${several}${name}, brought for it`,
        money: of(bring, `What does it cost to bring ${name} and take it away?`, (rate) => rate * count),
      });
  }
  const money = lines.every((line) => line.money !== null) ? lines.reduce((sum, line) => sum + line.money!, 0) : null;
  return { people, hours, lines, money, asks };
}

/** A lift by one crane or two: the crane is set up for it, or brought, where nothing else is lifted from there, or by it. */
export function craneEffort(plan: Plan, rules: Rules, pick: Pick): Effort {
  const two = !!pick.second;
  const others = plan.picks.filter((one) => one.id !== pick.id);
  const usedStands = new Set(others.flatMap(standsOfPick));
  const usedCranes = new Set([...usedStands].map((id) => standOf(plan, id).crane));
  const stands = standsOfPick(pick).map((id) => standOf(plan, id));
  const setUp = stands.some(({ id }) => !usedStands.has(id)) ? rules.value('hoursStand') : 0;
  const gear = stands.map((stand): Hired => {
    const crane = craneAt(plan, stand);
    return { name: crane.name, hire: crane.hire, count: 1, comes: !usedCranes.has(crane.id) };
  });
  return priced(plan, rules.value(two ? 'gangTandem' : 'gangCrane'), rules.value(two ? 'hoursTandem' : 'hoursPick') + setUp, gear);
}

const hoursOf: Record<RaiseKind, ThresholdKey> = { mastLift: 'hoursMastLift', hoist: 'hoursHoist', jack: 'hoursJack', hands: 'hoursHands' };

/** A lift without a crane: the slowest of what it is raised by; its gear is brought where no other lift is made with any. */
export function raiseEffort(plan: Plan, rules: Rules, { id, points }: Raise): Effort {
  const others = new Set((plan.raises ?? []).filter((one) => one.id !== id).flatMap((one) => one.points.map(({ kind }) => kind)));
  const kinds = raiseKinds.filter((kind) => points.some((point) => point.kind === kind));
  // A crew nobody has counted is not nobody.
  const crews = points.map((point) => (point.kind === 'hands' ? point.people : rules.value('gangPlace')));
  const people = crews.some((crew) => crew === null) ? null : crews.reduce<number>((sum, crew) => sum + crew!, 0);
  const hours = Math.max(0, ...kinds.map((kind) => rules.value(hoursOf[kind])));
  const costs = plan.costs ?? noCosts();
  const gear = kinds.flatMap((kind): Hired[] =>
    kind === 'hands'
      ? []
      : [{ name: pointWords[kind], hire: costs[kind], count: points.filter((point) => point.kind === kind).length, comes: !others.has(kind) }],
  );
  return priced(plan, people, hours, gear);
}
