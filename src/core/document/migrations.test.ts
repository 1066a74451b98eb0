import { asLine, lineIn } from '../../../tests/of-plan';
import { readFileSync } from 'node:fs';
import { ticketHall } from '../../../tests/demo-plan';
import { evaluate } from '../evaluate';
import { migrations } from './migrations';
import { openPlan, openPlanText } from './open';
import { PLAN_VERSION, type Plan } from './schema';

const text = readFileSync('tests/files/ticket-hall-v2.trestle.json', 'utf8');
/** As it was while a plan had one way in and one shored line. */
type Old = Record<string, never> & {
  survey: { openings: { warmer: number | null }[] };
  wayIn: { splice: object };
  shoring: { strike: unknown; walls: { id: string }[]; rows: unknown[]; bents: unknown[] };
};
const old = (): Old => JSON.parse(text) as Old;
const opened = (value: unknown): Plan => {
  const answer = openPlan(value);
  if (!answer.ok) throw new Error(`${answer.faults[0]?.path}: ${answer.faults[0]?.error}`);
  return answer.plan;
};

describe('a plan of version 2', () => {
  test('opens as the version of today, with nothing of it lost', () => {
    const answer = openPlanText(text);
    if (!answer.ok) throw new Error(answer.faults[0]?.error);
    const { plan } = answer;
    expect(plan.version).toBe(PLAN_VERSION);
    const was = old() as unknown as Plan;
    expect(plan.bearings).toMatchObject(was.bearings);
    for (const { measured } of plan.bearings) expect(measured).toMatchObject({ seatWidth: null });
    const { wayIn: way, shoring: line } = old();
    expect(plan.ways).toEqual([{ id: 'way-1', name: 'TH1', ...way, splice: { ...way.splice, bolts: null, engineer: '' } }]);
    expect(plan.shoring.lines).toMatchObject([{ id: 'line-1', name: 'Hall opening' }]);
    expect(lineIn(plan).strike).toEqual(line.strike);
    expect(plan.members.map((member) => member.mark)).toEqual(was.members.map((member) => member.mark));
    for (const wall of lineIn(plan).walls) expect(wall).toMatchObject({ ...line.walls.find((one) => one.id === wall.id), diagonals: null, gaps: [] });
  });
  test('the difference of two temperatures stays the same', () => {
    const { air } = opened(old()).survey.openings[0]!;
    expect(air.setting! - air.measuring!).toBeCloseTo(8, 9);
    const unsaid = old();
    unsaid.survey.openings[0]!.warmer = null;
    expect(opened(unsaid).survey.openings[0]!.air).toEqual({ measuring: null, setting: null });
  });
  test('needles, props and bents as they were written then', () => {
    const plan = old();
    plan.shoring.rows = [
      {
        id: 'rw',
        name: 'Needles',
        storey: 'sy0',
        from: 0.4,
        spacing: 0.8,
        count: 4,
        needle: { section: 'UC 152x152x23', grade: 'S275' },
        arms: { left: 0.6, right: 0.6 },
        over: 1,
        prop: { class: 'B', maxLength: 3.5, length: 2.4, leanDeg: 0, off: 0 },
        pad: { length: 0.3, width: 0.3, allowable: 2e5 },
        packedOn: '',
        struckOn: '',
        tag: { designer: '', checker: '', loadedOn: '', days: null },
        standsOn: [],
      },
    ];
    plan.shoring.bents = [
      {
        id: 'bt',
        name: 'Bent',
        header: { section: 'UC 203x203x46', grade: 'S275', length: 4 },
        posts: [0.5, 3.5],
        post: { section: 'UC 152x152x30', grade: 'S275', height: 4, braces: 0 },
        cap: 0.15,
        loads: [{ id: 'l', what: 'G1', at: 2, force: 1e4 }],
        pad: { length: 0.6, width: 0.6, allowable: null },
        jack: null,
        lateral: null,
        girder: null,
        tieDown: null,
        tag: { designer: '', checker: '', loadedOn: '', days: null },
        standsOn: [],
      },
    ];
    const { rows, bents } = asLine(opened(plan)).shoring;
    expect(rows[0]).toMatchObject({ needle: { kind: 'steel' }, prop: { kind: 'steel', class: 'B' }, head: null, lateral: null });
    expect(bents[0]).toMatchObject({ at: null, guys: [], sail: null, loads: [{ from: 1, to: null, bearing: null }] });
  });
  test('what is new in it is asked about, never taken as clear', () => {
    const { checks } = evaluate(opened(old()));
    const asked = checks.filter((check) => check.verdict === 'missing').map((check) => check.id);
    expect(asked).toEqual(expect.arrayContaining(['measure.sheet', 'measure.cutList', 'measure.web']));
  });
  test.each([null, 5, 'text', { survey: 3, members: [4], shoring: { walls: 'none', storeys: [null] } }])('%j breaks nothing on the way', (value) => {
    expect(() => migrations[2]!(value)).not.toThrow();
    expect(openPlan({ ...(typeof value === 'object' ? value : {}), format: 'keen-trestle/plan', version: 2 }).ok).toBe(false);
  });
});
describe('a plan of version 3', () => {
  const three = () =>
    JSON.parse(readFileSync('tests/files/ticket-hall-v3.trestle.json', 'utf8')) as { truck: unknown; members: { id: string; mark: string; permit: string }[] };
  test('its lorry and the line written for a permit are kept; their new figures are asked', () => {
    const plan = opened(three());
    expect(plan.transport.trucks).toEqual([
      { id: 'truck-1', name: 'Flat van', deckLength: 3.4, deckWidth: 1.8, overhang: 0, mass: 1100, layers: 2, front: null, wheelbase: null, steered: null },
    ]);
    expect(plan.transport.permits).toMatchObject([{ number: 'quay barrier permit 118', longest: null, from: '', until: '', steered: null }]);
    const six = plan.members.find((one) => one.mark === 'TH6')!;
    expect(six.travel).toEqual({ truck: null, permit: plan.transport.permits[0]!.id, on: '' });
    expect(plan.members.filter((one) => one.travel.permit !== null)).toHaveLength(1);
    const asked = evaluate(plan)
      .checks.filter((check) => check.verdict === 'missing' && check.subject === 'TH6')
      .map((check) => check.id);
    expect(asked).toEqual(['steel.turn', 'steel.permit', 'moves.unset']);
  });
  test('one permit written on two marks stays one; no lorry stays none', () => {
    const plan = three();
    plan.truck = null;
    plan.members[0]!.permit = ' quay barrier permit 118 ';
    plan.members[3]!.permit = 'another';
    const { transport, members } = opened(plan);
    expect(transport.trucks).toEqual([]);
    expect(transport.permits.map((one) => one.number)).toEqual(['quay barrier permit 118', 'another']);
    expect(members[0]!.travel.permit).toBe(members[5]!.travel.permit);
  });
  test.each([null, 7, { members: [{ permit: 4 }], truck: 'van' }, { members: 'none' }])('%j breaks nothing on the way', (value) => {
    expect(() => migrations[3]!(value)).not.toThrow();
    expect(openPlan({ ...(typeof value === 'object' ? value : {}), format: 'keen-trestle/plan', version: 3 }).ok).toBe(false);
  });
});
test('the demo is of the version of today, and a later one is refused', () => {
  expect(ticketHall().version).toBe(PLAN_VERSION);
  expect(openPlan({ ...ticketHall(), version: PLAN_VERSION + 1 })).toMatchObject({ ok: false, faults: [{ path: 'version' }] });
});

describe('version 4', () => {
  test.each(['luggage-hall', 'ticket-hall'])('%s opens with an empty structure, and nothing of it is lost', (name) => {
    const old = JSON.parse(readFileSync(`tests/files/${name}-v4.trestle.json`, 'utf8')) as Record<string, unknown>;
    const opened = openPlan(old);
    if (!opened.ok) throw new Error(opened.faults[0]?.error);
    const { structure, version, ...rest } = opened.plan;
    expect(version).toBe(PLAN_VERSION);
    expect(structure).toEqual({ makes: [], pieces: [], supports: [], joints: [], braces: [], loads: [] });
    const { version: _, wayIn, shoring, moves, ...before } = old;
    const { ways, shoring: now, moves: done, ...others } = rest;
    expect(others).toEqual(before);
    expect({ ways, now, done }).toEqual(listed({ wayIn, shoring, moves }));
  });
});

/** One way in and one shored line as the lists they became: what says nothing is no way and no line. */
function listed({ wayIn, shoring, moves }: Record<string, unknown>) {
  const { bents, stock, ...line } = shoring as Record<string, unknown>;
  const way = wayIn as { member: unknown; legs: unknown[] };
  return {
    ways: way.member === null && way.legs.length === 0 ? [] : [{ ...way, id: 'way-1', name: expect.any(String) as unknown }],
    now: { lines: line.opening === null ? [] : [{ ...line, id: 'line-1', name: expect.any(String) as unknown }], bents, stock },
    done: (moves as { kind: string }[]).map((move) => (move.kind === 'line.open' ? { ...move, line: 'line-1' } : move)),
  };
}

describe('version 5', () => {
  const file = (name: string) => JSON.parse(readFileSync(`tests/files/${name}-v5.trestle.json`, 'utf8')) as Record<string, unknown>;
  test.each(['luggage-hall', 'quay-footbridge', 'ticket-hall'])('%s: its one way in and its one line are the first of their lists', (name) => {
    const { version: _, wayIn, shoring, moves, ...before } = file(name);
    const { version, ways, shoring: now, moves: done, ...others } = opened(file(name));
    expect(version).toBe(PLAN_VERSION);
    expect(others).toEqual(before);
    expect({ ways, now, done }).toEqual(listed({ wayIn, shoring, moves }));
  });
  test('a line of which nothing is said but that it is opened is kept: a move names it', () => {
    const plan = file('quay-footbridge') as { moves: object[] };
    plan.moves.push({ id: 'opens', kind: 'line.open' });
    expect(opened(plan).shoring.lines).toMatchObject([{ id: 'line-1', opening: null, storeys: [] }]);
  });
  test.each([null, 7, { shoring: 4, wayIn: [] }, { shoring: { lines: 2 }, wayIn: {} }, { moves: [null, 3], shoring: {}, wayIn: {} }])(
    '%j breaks nothing on the way',
    (value) => {
      expect(() => migrations[5]!(value)).not.toThrow();
      expect(openPlan({ ...(typeof value === 'object' ? value : {}), format: 'keen-trestle/plan', version: 5 }).ok).toBe(false);
    },
  );
});
