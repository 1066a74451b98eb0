import { isBlank, namesSomebody } from '../../document/records';
import { roadTurn } from '../../access/road-turn.calc';
import { phrase, q } from '../../calc/work';
import { attempt } from '../../calc/attempt';
import type { Check } from '../../verdict/check';
import { isDay } from '../../units/day';
import type { Member, Permit, Truck, Turn } from '../../document/schema';
import { delivered, travellersOf, truckOf, truckRefuses, type Traveller } from '../../settle/travel';
import { truckLength } from '../../document/trucks';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, on } from '../../verdict/build';

type Ground = Pick<Context, 'plan' | 'rules'>;

const place = (id: string, piece: Traveller, calc: string, source: string) => ({
  id,
  ...on('member', { id: piece.member }, piece.name, piece.name),
  station: 'steel' as const,
  move: null,
  calc,
  source,
});

/** How every mark not yet on site gets there: the truck, the tight turns of the road, the permit. */
export function transportChecks(ground: Ground): Check[] {
  return ground.plan.members.flatMap((member) => (delivered.has(member.state) ? [] : memberChecks(member, ground)));
}

function memberChecks(member: Member, ground: Ground): Check[] {
  const { plan, rules } = ground;
  const parts = travellersOf(plan, member, rules);
  const free = rules.value('freeTransport');
  const freeWidth = rules.value('freeTransportWidth');
  const checks: Check[] = [];
  const refused = parts.find((part) => {
    const truck = truckOf(plan, member, part);
    return truck !== null && truckRefuses(truck, part) !== null;
  });
  if (refused) checks.push(truckStop(truckOf(plan, member, refused)!, refused));
  const long = parts.filter((part) => part.length > free || (part.width ?? 0) > freeWidth);
  if (long.length === 0) return checks;
  const longest = long.reduce((a, b) => (b.length > a.length ? b : a));
  const truck = truckOf(plan, member, longest);
  // Each of its long parts may come on another truck.
  const rides = refused ? [] : long.flatMap((piece) => ({ piece, truck: truckOf(plan, member, piece) })).filter((one): one is Ride => one.truck !== null);
  if (!truck) checks.push(missingCheck(onDeck(longest), 'length', `Which truck carries ${longest.name}, and are its rear axles steered?`));
  else if (!refused) checks.push(truckTakes(truck, longest), ...worstOf(rides.flatMap((ride) => turnChecks(ride, ground))));
  checks.push(permitCheck(member, long, rides, ground));
  return checks;
}

interface Ride {
  piece: Traveller;
  truck: Truck;
}

/** The one to be told of several: what is not known, then the most used. */
function worstOf(checks: readonly Check[]): Check[] {
  const asked = checks.find((check) => check.verdict === 'missing');
  return asked ? [asked] : [...checks].sort((a, b) => rank(b) - rank(a)).slice(0, 1);
}

const onDeck = (piece: Traveller) => place('steel.truck', piece, 'steel.loads', 'Geometry: piece on the deck');
const nameOf = (truck: Truck): string => truck.name.trim() || 'the truck';

function truckStop(truck: Truck, piece: Traveller): Check {
  const why = truckRefuses(truck, piece);
  const [demand, capacity, quantity] =
    why === 'mass'
      ? ([piece.mass ?? 0, truck.mass, 'mass'] as const)
      : why === 'width'
        ? ([piece.width ?? 0, truck.deckWidth, 'length'] as const)
        : ([piece.length, truckLength(truck), 'length'] as const);
  const as = why === 'mass' ? 'weighs' : why === 'width' ? 'is wide' : 'is';
  return ratioCheck(
    onDeck(piece),
    { demand, capacity, quantity, caution: null, inclusive: why !== 'mass' },
    told(phrase`${piece.name} ${as} ${q(demand, quantity)}; ${nameOf(truck)} takes ${q(capacity, quantity)}.`),
    [],
  );
}

function truckTakes(truck: Truck, piece: Traveller): Check {
  return ratioCheck(
    onDeck(piece),
    { demand: piece.length, capacity: truckLength(truck), quantity: 'length', caution: null, inclusive: true },
    told(phrase`${piece.name} is ${q(piece.length, 'length')}; ${nameOf(truck)} takes ${q(truckLength(truck), 'length')}.`),
    [],
  );
}

/** The tightest turn of the road for this load, and whether steered rear axles would make the difference. */
function turnChecks({ truck, piece }: Ride, { plan, rules }: Ground): Check[] {
  const where = place('steel.turn', piece, roadTurn.id, sourced(roadTurn.source.text, rules, 'roadReserve'));
  const asked: string[] = [];
  if (truck.steered === null) asked.push(`Can the rear axles of ${nameOf(truck)} be steered?`);
  if (piece.width === null) asked.push(`How wide is ${piece.name}? It may stand out past the deck.`);
  if (truck.wheelbase === null || truck.front === null)
    asked.push(`Where are king pin and rear axles of ${nameOf(truck)}? The turns of the road are judged by them.`);
  if (plan.transport.turns.length === 0) asked.push('Which is the tightest turn on the road to the site, how wide and on what radius?');
  const open = plan.transport.turns.filter((turn) => turn.outerRadius === null || turn.width === null);
  if (open.length > 0) asked.push(`How wide and on what radius is ${open.map((turn) => turn.name || 'the turn').join(', ')}?`);
  if (asked.length > 0) return [missingCheck(where, 'length', asked.join(' '))];
  return worstOf(plan.transport.turns.map((turn) => turnCheck(where, truck, piece, turn, rules)));
}

const rank = (check: Check): number => check.ratio ?? (check.verdict === 'stop' ? Number.POSITIVE_INFINITY : 0);

function turnCheck(where: ReturnType<typeof place>, truck: Truck, piece: Traveller, turn: Turn, rules: Ground['rules']): Check {
  const reserve = rules.value('roadReserve');
  const input = turnInput(truck, piece, turn, truck.steered === true);
  const answer = attempt(roadTurn, input);
  const axles = truck.steered ? 'rear axles steered' : 'rear axles fixed';
  const steeredNeeds = (): number | null => {
    const other = truck.steered ? null : attempt(roadTurn, { ...input, steered: true });
    return other?.ok ? other.output.needed + reserve : null;
  };
  const width = turn.width ?? 0;
  const remedy = () => {
    const other = steeredNeeds();
    return other === null
      ? phrase` Find another road, or bring a shorter piece.`
      : other <= width
        ? phrase` With steered rear axles it would need ${q(other, 'length')}.`
        : phrase` Steered rear axles would still need ${q(other, 'length')}: find another road, or bring a shorter piece.`;
  };
  if (!answer.ok)
    return flatStop(where, 'length', told([...phrase`${piece.name} on ${nameOf(truck)}, ${axles}, cannot turn at ${turn.name} at all.`, ...remedy()]), []);
  const needed = answer.output.needed + reserve;
  const traces = [{ calc: roadTurn.id, input, output: answer.output }];
  const fits = needed <= width;
  return ratioCheck(
    where,
    { demand: needed, capacity: width, quantity: 'length', caution: rules.value('wayCaution'), inclusive: true },
    told([
      ...phrase`${piece.name} on ${nameOf(truck)}, ${axles}, needs ${q(needed, 'length')} of road at ${turn.name}, with the room kept beside it; it is ${q(width, 'length')}.`,
      ...(fits ? [] : remedy()),
    ]),
    traces,
  );
}

/** The load lies flush with the front of the deck. */
function turnInput(truck: Truck, piece: Traveller, turn: Turn, steered: boolean) {
  const wheelbase = truck.wheelbase ?? 0;
  const front = truck.front ?? 0;
  return {
    outerRadius: turn.outerRadius ?? 0,
    width: Math.max(truck.deckWidth, piece.width ?? 0),
    wheelbase,
    front,
    tail: Math.max(0, Math.max(truck.deckLength, piece.length) - front - wheelbase),
    steered,
  };
}

/** A piece over the free length or width travels on a permit that covers it on its day, or not at all. */
function permitCheck(member: Member, long: readonly Traveller[], rides: readonly Ride[], { plan, rules }: Ground): Check {
  const longest = long.reduce((a, b) => (b.length > a.length ? b : a));
  const where = place('steel.permit', longest, 'steel.loads', sourced('Record: permit of a long transport', rules, 'freeTransport', 'freeTransportWidth'));
  const permit = plan.transport.permits.find((one) => one.id === member.travel.permit);
  if (!permit) return missingCheck(where, 'length', `${longest.name} is longer or wider than travels without a permit. Which permit covers it?`);
  const asked = permitQuestions(permit, member);
  if (asked.length > 0) return missingCheck(where, 'length', asked.join(' '));
  const { on } = member.travel;
  const number = permit.number.trim();
  const stop = (words: ReturnType<typeof phrase>) => flatStop(where, 'length', told(words), [], longest.length);
  if (on < permit.from)
    return stop(phrase`${longest.name} arrives on ${on}; permit ${number} begins on ${permit.from}. Move the delivery, or have the permit sooner.`);
  if (on > permit.until) return stop(phrase`${longest.name} arrives on ${on}; permit ${number} ended on ${permit.until}. Have it renewed.`);
  const fixed = rides.find(({ truck }) => truck.steered === false)?.truck;
  if (permit.steered === true && fixed) return stop(phrase`Permit ${number} asks for steered rear axles; those of ${nameOf(fixed)} are fixed.`);
  const heaviest = Math.max(...long.map((one) => one.mass ?? 0));
  const covers = permit.heaviest!;
  if (heaviest > covers) return stop(phrase`${longest.name} weighs ${q(heaviest, 'mass')}; permit ${number} covers ${q(covers, 'mass')}.`);
  return ratioCheck(
    where,
    { demand: longest.length, capacity: permit.longest ?? 0, quantity: 'length', caution: null, inclusive: true },
    told(
      phrase`${longest.name}, ${q(longest.length, 'length')}, arrives on ${on}; permit ${number} covers ${q(permit.longest ?? 0, 'length')} from ${permit.from} to ${permit.until}${permit.conditions.trim() === '' ? '' : `: ${permit.conditions.trim()}`}.`,
    ),
    [],
  );
}

function permitQuestions(permit: Permit, member: Member): string[] {
  const name = permit.number.trim() || 'the permit asked for';
  const asked: string[] = [];
  if (permit.number.trim() === '') asked.push(`Has the permit for ${member.mark} been given? Its number is not recorded.`);
  else if (isBlank(permit.number)) asked.push(`“${permit.number.trim()}” is no number of a permit for ${member.mark}. What is it?`);
  if (!namesSomebody(permit.by)) asked.push(`Who gave ${name}?`);
  if (permit.longest === null) asked.push(`What length of load does ${name} cover?`);
  if (permit.heaviest === null) asked.push(`What weight of load does ${name} cover?`);
  if (permit.steered === null) asked.push(`Does ${name} ask for steered rear axles?`);
  if (!isDay(permit.from) || !isDay(permit.until)) asked.push(`From which day to which day is ${name} good?`);
  if (!isDay(member.travel.on)) asked.push(`On which day does ${member.mark} arrive?`);
  return asked;
}
