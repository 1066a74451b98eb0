import { readdirSync, readFileSync } from 'node:fs';
import { applyCommand, takeBack } from '../../edit/apply';
import type { Command } from '../../edit/table';
import { openPlanText } from '../open';
import { planSchema, type Plan } from '../schema';
import { idsByKind, listsOf, refsOf, thingNames, things } from '.';
import { refsOfMove } from './moves';
import { listPaths, type ListName, type ThingName } from './paths';

const jobs = readdirSync('demo')
  .filter((name) => name.endsWith('.trestle.json'))
  .map((name): [string, Plan] => {
    const opened = openPlanText(readFileSync(`demo/${name}`, 'utf8'));
    if (!opened.ok) throw new Error(JSON.stringify(opened.faults));
    return [name, opened.plan];
  });
const listNames = Object.keys(listPaths) as ListName[];
const remove = (list: ListName, id: string): Command => ({ name: 'removeFrom', args: { list, id } });

/** Every field of the plan that is the id of another thing, by its path with the places in lists left out. */
function idFields(schema: unknown, path = ''): string[] {
  const {
    properties = {},
    items,
    anyOf = [],
    minLength,
    maxLength,
  } = schema as { properties?: object; items?: object; anyOf?: object[]; minLength?: number; maxLength?: number };
  if (minLength === 1 && maxLength === 64) return path === 'id' || path.endsWith('.id') ? [] : [path];
  return [
    ...anyOf.flatMap((one) => idFields(one, path)),
    ...(items ? idFields(items, `${path}[]`) : []),
    ...Object.entries(properties).flatMap(([key, one]) => idFields(one, path === '' ? key : `${path}.${key}`)),
  ];
}

test('there are lists and jobs to look at', () => {
  expect(jobs.length).toBeGreaterThanOrEqual(4);
  expect(listNames.length).toBeGreaterThan(30);
});

test('every field that is the id of another thing is looked up', () => {
  const looked = new Set<string>();
  const plain = (path: string) => path.replace(/\[\d+\]/g, '[]');
  for (const [, plan] of jobs) {
    for (const name of thingNames)
      for (const { list, path } of listsOf(plan, name))
        for (const one of list) for (const { field } of refsOf(name, one)) looked.add(plain(`${path}[].${field}`));
    for (const move of plan.moves) for (const { field } of refsOfMove(move)) looked.add(`moves[].${field}`);
  }
  // What no demo job says, said once: each field alone, in a thing that has it.
  const said: [ThingName, string, object][] = [
    ['duties', 'duties[]', { crane: 'x' }],
    ['picks', 'picks[]', { piece: 'x', stand: 'x', joined: ['y'], second: { stand: 'y' } }],
    ['raises', 'raises[]', { load: 'x', gear: ['y'], points: [{ kind: 'hoist', hangsOn: 'y' }] }],
    ['bents', 'shoring.bents[]', { standsOn: [{ link: 'x' }] }],
    ['shoreRows', 'shoring.lines[].rows[]', { storey: 'x', standsOn: [{ link: 'x' }] }],
    ['strings', 'strings[]', { picks: ['x', 'y'] }],
    ['joints', 'structure.joints[]', { a: { piece: 'x' }, b: { piece: 'y' }, sharesWith: 'z' }],
    ['supports', 'structure.supports[]', { seats: [], onBent: { bent: 'x' }, standsOn: [] }],
    ['legs', 'ways[].legs[]', { kind: 'ramp', gear: ['x'] }],
  ];
  for (const [name, path, thing] of said) for (const { field } of refsOf(name, thing)) looked.add(plain(`${path}.${field}`));
  const never = [...new Set(idFields(planSchema))].filter((path) => !looked.has(path)).sort();
  // Of what a reading of a hold point is, the check of the hold point asks.
  expect(never).toEqual(['holds[].readings[].of']);
});

describe.each(jobs)('%s: what goes with what is removed', (_, plan) => {
  test.each(listNames)('%s', (list) => {
    const tried = listsOf(plan, list).flatMap((one) => one.list.map(({ id }) => id));
    // Of hundreds alike every seventh.
    for (const id of tried.filter((__, i) => tried.length < 60 || i % 7 === 0)) {
      const done = applyCommand(plan, remove(list, id));
      if (!done.ok) {
        // Refused: something that may not be without it names it, and says which.
        for (const { error } of done.faults) expect(error).toContain(`“${id}”`);
        continue;
      }
      expect(listsOf(done.plan, list).some((one) => one.list.some((left) => left.id === id))).toBe(false);
      const known = idsByKind(done.plan);
      for (const name of thingNames)
        for (const { list: left } of listsOf(done.plan, name))
          for (const one of left) {
            for (const ref of refsOf(name, one)) expect(known(ref.kind).has(ref.id)).toBe(true);
            expect((things[name].empty as ((thing: unknown) => boolean) | undefined)?.(one) ?? false).toBe(false);
          }
      expect(takeBack(done.plan, done.inverse)).toEqual(plan);
    }
  });
});
