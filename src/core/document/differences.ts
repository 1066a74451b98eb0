import { dayWords } from '../units/day';
import { allRows, allWalls } from './views';
import { canonicalJson } from './canonical';
import type { Plan } from './schema';

interface Named {
  id: string;
  name?: string;
  mark?: string;
  title?: string;
}

/** The lists of a plan by what a person calls them. */
const listsOf = (plan: Plan): [string, readonly Named[]][] => [
  ['bearing', plan.bearings],
  ['piece', plan.pieces],
  ['crane', plan.cranes],
  ['chart', plan.duties ?? []],
  ['stand', plan.stands],
  ['pick', plan.picks],
  ['lift without a crane', plan.raises ?? []],
  ['string of beams', plan.strings ?? []],
  ['launch', plan.launches ?? []],
  ['thing in the way', plan.site.obstructions],
  ['zone', plan.site.zones ?? []],
  ['thing of the yard', plan.yard ?? []],
  ['signal person', plan.site.signallers ?? []],
  ['power line', plan.site.powerLines],
  ['move', plan.moves],
  ['opening', plan.survey.openings],
  ['link of the load path', plan.links],
  ['mark of the piece list', plan.members],
  ['make', plan.structure.makes],
  ['piece of the structure', plan.structure.pieces],
  ['support', plan.structure.supports],
  ['joint', plan.structure.joints],
  ['brace', plan.structure.braces],
  ['load put on', plan.structure.loads],
  ['leg of the way in', plan.ways.flatMap((way) => way.legs)],
  ['way in', plan.ways.map(({ legs: _, ...way }) => way)],
  ['shored line', plan.shoring.lines.map(({ id, name, opening, room, preload }) => ({ id, name, opening, room, preload }))],
  ['storey', plan.shoring.lines.flatMap((line) => line.storeys)],
  ['shore wall', allWalls(plan)],
  ['row of props', allRows(plan)],
  ['bent', plan.shoring.bents],
  ['step of the strike', plan.shoring.lines.flatMap((line) => line.strike)],
  ['reading', plan.shoring.lines.flatMap((line) => line.watch)],
  // Passed anew each day, one is there once for each.
  [
    'hold point',
    plan.holds.map(({ id, day = null, ...record }) => ({ ...record, id: day === null ? id : `${id} ${day}`, name: `${id} of ${dayWords(record.on)}` })),
  ],
];

/** Named one by one up to here; past it they are counted. */
const NAMED = 4;
const called = (list: readonly Named[]): string => (list.length > NAMED ? `${list.length}` : list.map((one) => one.mark || one.name || one.id).join(', '));

/** How a revision differs from a plan, list by list: what it has that the plan has not, what it lacks, and what is another in it. */
export function revisionDifferences(revision: Plan, now: Plan): string[] {
  const words: string[] = [];
  const there = new Map(listsOf(now));
  for (const [what, list] of listsOf(revision)) {
    const other = new Map((there.get(what) ?? []).map((one) => [one.id, one]));
    const own = new Set(list.map((one) => one.id));
    const more = list.filter((one) => !other.has(one.id));
    const less = [...other.values()].filter((one) => !own.has(one.id));
    const changed = list.filter((one) => other.has(one.id) && canonicalJson(one) !== canonicalJson(other.get(one.id)));
    if (more.length > 0) words.push(`It has ${more.length === 1 ? `a ${what}` : `${what}s`} that is not there now: ${called(more)}.`);
    if (less.length > 0) words.push(`It lacks ${less.length === 1 ? `a ${what}` : `${what}s`} there is now: ${called(less)}.`);
    if (changed.length > 0) words.push(`Another ${what}: ${called(changed)}.`);
    else if (more.length + less.length === 0 && list.some((one, i) => one.id !== (there.get(what) ?? [])[i]?.id))
      words.push(`Each ${what} is there, in another order.`);
  }
  if (canonicalJson(revision.job) !== canonicalJson(now.job)) words.push('Name, units, rule set or thresholds of the job are others.');
  const lists = words.length;
  if (lists === 0 && canonicalJson(revision) !== canonicalJson(now)) words.push('Single figures differ: site, survey, transport, shoring or people.');
  return words.length > 0 ? words : ['It is the same as what is on screen.'];
}
