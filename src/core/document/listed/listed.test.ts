import { readdirSync, readFileSync } from 'node:fs';
import { raised } from '../../../../tests/raised';
import { applyCommand, takeBack } from '../../edit/apply';
import type { Command } from '../../edit/table';
import { openPlan, openPlanText } from '../open';
import { planSchema, type Plan } from '../schema';
import { heldBy, idsByKind, listsOf, refsOf, thingNames, things } from '.';
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
    ['cranes', 'cranes[]', { tower: { heldAt: [{ pieces: ['x'] }] } }],
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
  // Of what a reading of a hold point is, and of what day its record, the check of the hold point asks.
  expect(never).toEqual(['holds[].day', 'holds[].readings[].of']);
});

describe.each(jobs)('%s: what goes with what is removed', (_, plan) => {
  test.each(listNames)('%s', (list) => {
    const tried = listsOf(plan, list).flatMap((one) => one.list.map(({ id }) => id));
    // Of hundreds alike every seventh.
    for (const id of tried.filter((__, i) => tried.length < 60 || i % 7 === 0)) {
      const done = applyCommand(plan, remove(list, id));
      if (!done.ok) {
        // Refused: something that may not be without it names it, and says which.
        expect(done.faults).toHaveLength(1);
        expect(done.faults[0]!.error).toMatch(/^This .+ may not go while .+ “.+” needs it: change that first\.$/);
        expect(heldBy(plan, list, id)).not.toBeNull();
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

describe('what names a thing that goes', () => {
  const one = (name: string) => structuredClone(jobs.find(([job]) => job.startsWith(name))![1]);
  const after = (plan: Plan, list: ListName, id: string): Plan => {
    const done = applyCommand(plan, remove(list, id));
    if (!done.ok) throw new Error(JSON.stringify(done.faults));
    return done.plan;
  };

  test('a lift by two cranes without its second is one by the first', () => {
    const plan = one('vehicle-ramp');
    const [pick] = plan.picks;
    plan.stands.push({ ...plan.stands[0]!, id: 'other' });
    pick!.second = { stand: 'other', boom: null, slingRating: null, riggingMass: null };
    const left = after(plan, 'stands', 'other');
    expect(left.picks.find(({ id }) => id === pick!.id)).toEqual({ ...pick, second: null });
    expect(left.moves).toEqual(plan.moves);
  });

  test('a piece whose lift goes is still hung, and by what is asked', () => {
    const plan = one('vehicle-ramp');
    const [pick] = plan.picks;
    const hang = plan.moves.find((move) => move.kind === 'piece.hang' && move.pick === pick!.id)!;
    expect(after(plan, 'picks', pick!.id).moves.find(({ id }) => id === hang.id)).toEqual({ ...hang, pick: null });
  });

  test('a hoist whose beam goes hangs from nothing that is said', () => {
    const plan = raised('hoist', (raise, { links }) => {
      links.push({ id: 'beam over it', name: 'Beam over it', kind: 'beam', storey: 1, own: 0, capacity: null, foot: null, ground: true, standsOn: [] });
      for (const point of raise.points) if (point.kind === 'hoist') point.hangsOn = 'beam over it';
    });
    const [raise] = plan.raises!;
    expect(raise!.points.length).toBeGreaterThan(0);
    expect(after(plan, 'links', 'beam over it').raises![0]!.points).toEqual(raise!.points.map((point) => ({ ...point, hangsOn: null })));
  });

  test('an opening whose piece is listed no more keeps its seats and says no piece; a bearing it rests on may not go', () => {
    const plan = one('ticket-hall');
    const opening = plan.survey.openings.find(({ member }) => member !== null)!;
    const left = after(plan, 'members', opening.member!).survey.openings.find(({ id }) => id === opening.id);
    expect(left).toEqual({ ...opening, member: null });
    expect(applyCommand(plan, remove('bearings', opening.left))).toMatchObject({
      ok: false,
      faults: [{ error: `This bearing may not go while line of spans “Seats A to B” needs it: change that first.` }],
    });
    expect(heldBy(plan, 'openings', opening.id)).toBeNull();
  });
});

test('a wall in a storey of another line, and a step that strikes a shore of another, are refused', () => {
  const plan = structuredClone(jobs.find(([job]) => job.startsWith('ticket-hall'))![1]);
  const [line] = plan.shoring.lines;
  const own = { storey: line!.storeys[0]!.id, shore: [...line!.walls, ...line!.rows][0]!.id };
  const wall = { ...line!.walls[0]!, id: 'strange', storey: own.storey };
  plan.shoring.lines.push({
    ...structuredClone(line!),
    id: 'second',
    opening: null,
    storeys: [],
    walls: [wall],
    rows: [],
    strike: [{ ...line!.strike[0]!, id: 's9', shore: own.shore }],
    watch: [],
  });
  const opened = openPlan(plan);
  const n = plan.shoring.lines.length - 1;
  expect(opened).toMatchObject({ ok: false, faults: [{ path: `shoring.lines[${n}].walls[0].storey` }, { path: `shoring.lines[${n}].strike[0].shore` }] });
});
