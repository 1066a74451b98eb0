import { attempt } from '../calc/attempt';
import type { Trace } from '../calc/evidence';
import { findSection } from '../steel/sections';
import { steelWeight } from '../steel/weight.calc';
import { Missing } from '../verdict/missing';
import type { Member } from '../document/schema';

export type MemberOfParts = Extract<Member['make'], { kind: 'parts' }>;
type Item = { mass: number; at: number } | { massPerLength: number; from: number; to: number };

/** Runs may fall short of one another by no more than this; a shorter one is in one place. */
const GAP = 1e-3;

/** The parts as lumps and runs; Missing for a part nobody can weigh, and for a length no part covers. */
export function itemsOf(mark: string, length: number, { parts }: MemberOfParts): Item[] | Missing {
  const items: Item[] = [];
  const questions: string[] = [];
  for (const part of parts) {
    const name = part.what.trim() || part.section || 'a part';
    const section = part.section.trim() === '' ? null : findSection(part.section);
    const long = part.to - part.from;
    if (part.mass !== null) {
      const mass = part.mass * part.count;
      items.push(long > GAP ? { massPerLength: mass / long, from: part.from, to: part.to } : { mass, at: (part.from + part.to) / 2 });
    } else if (section && long > 0) items.push({ massPerLength: section.massPerLength * part.count, from: part.from, to: part.to });
    else if (part.section.trim() !== '' && !section) questions.push(`“${part.section}” is not in the section tables. What does ${name} of ${mark} weigh?`);
    else questions.push(`What does ${name} of ${mark} weigh?`);
  }
  const open = uncovered(length, parts);
  if (open) questions.push(`Nothing is given of ${mark} from ${open.from.toFixed(2)} m to ${open.to.toFixed(2)} m. What is there?`);
  return questions.length > 0 ? new Missing(...questions) : items;
}

/** The first length no run covers. */
function uncovered(length: number, parts: MemberOfParts['parts']): { from: number; to: number } | null {
  let reached = 0;
  for (const { from, to } of parts.filter((one) => one.to > one.from).sort((a, b) => a.from - b.from)) {
    if (from > reached + GAP) return { from: reached, to: from };
    reached = Math.max(reached, to);
  }
  return reached < length - GAP ? { from: reached, to: length } : null;
}

/** How far parts stand out past the ends of the member: they make it no longer in its place, but longer on the road. */
export function hangsPast({ make, length }: Member): { left: number; right: number } {
  if (make.kind !== 'parts') return { left: 0, right: 0 };
  return { left: Math.max(0, ...make.parts.map(({ from }) => -from)), right: Math.max(0, ...make.parts.map(({ to }) => to - length)) };
}

/** Bare weight and balance point of a member made of parts. */
export function partsWeight(member: Member, make: MemberOfParts): { mass: number; cg: number; traces: Trace[] } | Missing {
  const items = itemsOf(member.mark, member.length, make);
  if (items instanceof Missing) return items;
  const input = { items, allowance: 0 };
  const outcome = attempt(steelWeight, input);
  if (!outcome.ok) return new Missing(`${member.mark}: ${outcome.error}`);
  return { mass: outcome.output.mass, cg: outcome.output.cg, traces: [{ calc: steelWeight.id, input, output: outcome.output }] };
}

/** A balance point this near the middle, as a share of the length, says a member is alike along it. */
const NEAR_MIDDLE = 0.01;

/** Whether the weight of a piece cut out of it can be told: not when it balances off its middle and nobody says what lies where. */
export function sharesKnown(member: Member): true | Missing {
  if (member.make.kind === 'parts') {
    const items = itemsOf(member.mark, member.length, member.make);
    return items instanceof Missing ? items : true;
  }
  if (member.cg === null || Math.abs(member.cg - member.length / 2) <= NEAR_MIDDLE * member.length) return true;
  return new Missing(
    `${member.mark} balances ${member.cg.toFixed(2)} m from its left end, off its middle. What lies where, of which parts is it made? A piece cut out of it cannot be weighed otherwise.`,
  );
}

/** Share of the weight between two places, and where that share balances; a member alike along its length shares by length. */
export function shareBetween(member: Member, from: number, to: number): { share: number; cg: number } {
  const alike = { share: (to - from) / member.length, cg: (from + to) / 2 };
  const { make } = member;
  if (make.kind !== 'parts') return alike;
  const items = itemsOf(member.mark, member.length, make);
  if (items instanceof Missing) return alike;
  // What hangs past an end goes with the piece at that end.
  const low = from <= 0 ? -Infinity : from;
  const high = to >= member.length ? Infinity : to;
  let mass = 0;
  let moment = 0;
  let total = 0;
  for (const item of items) {
    if ('mass' in item) {
      total += item.mass;
      if (item.at < low || item.at >= high) continue;
      mass += item.mass;
      moment += item.mass * item.at;
    } else {
      total += item.massPerLength * (item.to - item.from);
      const [a, b] = [Math.max(item.from, low), Math.min(item.to, high)];
      if (!(b > a)) continue;
      mass += item.massPerLength * (b - a);
      moment += (item.massPerLength * (b * b - a * a)) / 2;
    }
  }
  return total > 0 && mass > 0 ? { share: mass / total, cg: moment / mass } : alike;
}
