import { lineIn } from '../../../tests/of-plan';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { demoPlan, passengerCanopy, ticketHall } from '../../../tests/demo-plan';
import { canonicalJson } from '../document/canonical';
import { applyCommand, takeBack } from '../edit/apply';
import { commandTitle, runs, type Command, type CommandName } from '../edit/table';
import { describe as say } from '../verdict/describe';
import { evaluate } from './';
import { seal, startHistory } from '../edit/history';
import { perform, redo, undo } from '../edit/perform';
import { liftPath } from '../settle/lift-path';
import { newPlan } from '../document/new-plan';
import { newMake, newSupport } from '../edit/templates/base';
import { openPlan, openPlanText } from '../document/open';
import { pickContext } from '../checks/lift/pick-context';
import { replay } from '../replay/replay';
import { report } from '../view/report';
import { planSchema, type Plan } from '../document/schema';
import { judge } from '../verdict/check';
import { settle } from '../settle/settle';

describe('the door', () => {
  const bad = (edit: (plan: Record<string, never> & Plan) => void) => {
    const plan = demoPlan() as Record<string, never> & Plan;
    edit(plan);
    const opened = openPlan(plan);
    return opened.ok ? null : opened.faults[0]!;
  };
  test('the demo opens and the schema file is the schema', () => {
    expect(openPlan(demoPlan()).ok).toBe(true);
    expect(JSON.parse(readFileSync('schema/plan.schema.json', 'utf8'))).toEqual(JSON.parse(JSON.stringify(planSchema)));
  });
  test.each<[string, (plan: Record<string, unknown> & Plan) => void, string, RegExp]>([
    ['an unknown field', (p) => Object.assign(p.pieces[0]!, { wieght: 5 }), 'pieces[0].wieght', /not a field of pieces\[0\]: remove it/],
    ['a later version', (p) => Object.assign(p, { version: 99 }), 'version', /version 99 .* later release/],
    ['no version', (p) => Object.assign(p, { version: undefined }), 'version', /missing/],
    ['another format', (p) => Object.assign(p, { format: 'x' }), 'format', /keen-trestle\/plan/],
    ['a negative weight', (p) => Object.assign(p.pieces[0]!.attachments[0]!, { mass: -14 }), 'pieces[0].attachments[0].mass', /-14 kg: give 0 kg or more/],
    ['a negative length', (p) => Object.assign(p.pieces[0]!, { length: -9 }), 'pieces[0].length', /-9 m: give more than 0 m/],
    ['text for a number', (p) => Object.assign(p.picks[0]!, { boom: '15 m' }), 'picks[0].boom', /"15 m": give a number/],
    ['a bearing that is not there', (p) => Object.assign(p.pieces[0]!.seat, { left: 'p9' }), 'pieces[0].seat.left', /“p9”.*p1, p2/],
    ['an id used twice', (p) => Object.assign(p.moves[1]!, { id: 'm1' }), 'moves[1].id', /used twice/],
    ['an id used twice inside a piece', (p) => p.pieces[0]!.packing.push({ ...p.pieces[0]!.packing[0]! }), 'pieces[0].packing[1].id', /used twice/],
    ['a chart out of order', (p) => p.cranes[0]!.chart!.radii.reverse(), 'cranes[0].chart.radii[1]', /rising order/],
    ['packing back to front', (p) => Object.assign(p.pieces[0]!.packing[0]!, { to: 0.1 }), 'pieces[0].packing[0].to', /make “to” the larger/],
    ['an unknown threshold', (p) => Object.assign(p.job.thresholds, { luck: 1 }), 'job.thresholds.luck', /no threshold “luck”/],
    ['a threshold out of range', (p) => Object.assign(p.job.thresholds, { chartCaution: 3 }), 'job.thresholds.chartCaution', /give 0.1 to 1/],
    ['an unknown kind of move', (p) => Object.assign(p.moves[0]!, { kind: 'wish' }), 'moves[0].kind', /give/],
  ])('%s is refused with place and remedy', (_, edit, path, words) => {
    const fault = bad(edit as never);
    expect(fault?.path).toBe(path);
    expect(fault?.error).toMatch(words);
  });
  test('two shores of one id are refused, of whatever kind: a move would mean both', () => {
    const plan = ticketHall();
    const { walls } = lineIn(plan);
    walls[1]!.id = walls[0]!.id;
    const answer = openPlan(plan);
    expect(answer).toMatchObject({
      ok: false,
      faults: expect.arrayContaining([expect.objectContaining({ path: `shoring.lines[0].walls[1].id` })]) as unknown,
    });
  });
  test.each([null, 5, [], 'text', {}])('%p is not a plan', (value) => expect(openPlan(value).ok).toBe(false));
  test('text cut short says so; a BOM does not matter', () => {
    const text = JSON.stringify(demoPlan());
    expect(openPlanText('\ufeff' + text).ok).toBe(true);
    const cut = openPlanText(text.slice(0, 500));
    expect(cut).toMatchObject({ ok: false, faults: [{ error: expect.stringContaining('not JSON') as unknown }] });
  });
  test('whatever JSON comes, it answers and does not throw', () => fc.assert(fc.property(fc.jsonValue(), (value) => void openPlan(value))));
});

describe('a new plan', () => {
  test('opens, is never clear, and has no stop to begin with', () => {
    for (const ruleSet of ['us-asd', 'eu-ls'] as const) {
      const plan = newPlan({ name: 'N', place: '', units: 'us', ruleSet });
      expect(openPlan(plan).ok).toBe(true);
      const { verdict, counts } = evaluate(plan);
      expect(verdict).toBe('missing');
      expect(counts.stop).toBe(0);
      expect(counts.missing).toBeGreaterThan(5);
    }
  });
});

/** One of each command, on the demo. */
const commands: { [N in CommandName]: Extract<Command, { name: N }>['args'] } = {
  editJob: { changes: { units: 'us' } },
  setThreshold: { key: 'chartCaution', value: 0.6 },
  replacePlan: { plan: { ...demoPlan(), job: { ...demoPlan().job, name: 'as it was' } } },
  editPeople: { changes: { caller: 'A. Caller' } },
  editCosts: { changes: { currency: 'EUR', person: 48 } },
  editBearing: { id: 'p1', changes: { level: 3.7 } },
  editPiece: { id: 'tb1', changes: { length: 9.1 } },
  addPacking: { piece: 'tb1', packing: { id: 'n1', what: 'Ply', massPerLength: 2, from: 0, to: 3, side: 'bottom', thickness: 0.02 } },
  editPacking: { piece: 'tb1', id: 'pk1', changes: { thickness: 0.06 } },
  removePacking: { piece: 'tb1', id: 'pk1' },
  addAttachment: { piece: 'tb1', attachment: { id: 'n2', what: 'Lug', mass: 4, at: 3 } },
  editAttachment: { piece: 'tb1', id: 'at1', changes: { mass: 20 } },
  removeAttachment: { piece: 'tb1', id: 'at1' },
  editCrane: { id: 'c1', changes: { hookBlockMass: 140 } },
  setChart: { id: 'c1', chart: { radii: [5], booms: [15], capacity: [[1]] }, source: 'test' },
  editStand: { id: 's1', changes: { azimuthDeg: 90 } },
  editPick: { id: 'k1', changes: { boom: 18.5 } },
  liftAsOne: { pick: 'k1', joined: [], freed: [] },
  drawPath: { pick: 'k1', to: { x: 3, y: 4 } },
  placePiece: { id: 'col-0-0', end: null, at: { x: 0.4, y: 0, z: 0 }, step: 0.05, seen: 'above' },
  setForecast: { gust: null },
  setStandingGust: { gust: 18 },
  setForecastHours: { forecast: { source: 'M. Aas', issued: '2026-11-20', hours: [{ at: '2026-11-21T06:00', gust: 4, rain: null, temp: null }] } },
  setShift: { shift: { from: '2026-11-21T06:00', to: '2026-11-21T12:00' } },
  takeGear: {
    cranes: [{ ...demoPlan().cranes[0]!, id: 'n60' }],
    duties: [],
    yard: [{ id: 'n61', kind: 'slings', name: 'S 9', rating: null, inspected: null }],
  },
  setWalked: { walked: { by: 'R. Adeyemi', on: '2026-10-20' } },
  setTogether: { together: { by: 'R. Adeyemi', how: 'by radio, channel 4' } },
  addObstruction: { obstruction: { id: 'n3', name: 'a kiosk', at: { x: 1, y: 1 }, length: 1, width: 1, azimuthDeg: 0, height: 2 } },
  editObstruction: { id: 'o1', changes: { height: 5 } },
  removeObstruction: { id: 'o1' },
  addPowerLine: { line: { id: 'n4', name: 'l', from: { x: 0, y: 20 }, to: { x: 9, y: 20 }, height: 7, volts: null } },
  editPowerLine: { id: 'l1', changes: { volts: 33000 } },
  removePowerLine: { id: 'l1' },
  addMove: { move: { id: 'n5', kind: 'other', what: 'Tea' }, at: 3 },
  addMoves: {
    moves: [
      { id: 'n51', kind: 'other', what: 'Tea' },
      { id: 'n52', kind: 'other', what: 'More tea' },
    ],
    at: 2,
  },
  editMove: { id: 'm9', changes: { bolts: 4 } },
  editEach: { edits: [{ list: 'members', id: 'm-tb1', changes: { count: 3 } }], moves: [{ id: 'm9', changes: { bolts: 3 } }] },
  planLifts: { picks: [{ ...demoPlan().picks[0]!, id: 'n53' }], hangs: [], put: [{ moves: [{ id: 'n54', kind: 'other', what: 'Tea' }], before: 'm9' }] },
  shiftMove: { id: 'm9', to: 2 },
  removeMove: { id: 'm6' },
  addTo: {
    list: 'links',
    thing: { id: 'n6', name: 'Slab', kind: 'slab', storey: 0, own: 0, capacity: null, foot: null, ground: true, standsOn: [] },
  },
  editIn: { list: 'members', id: 'm-tb1', changes: { count: 2 } },
  removeFrom: { list: 'lines', id: 'ln1' },
  addStructure: {
    makes: [newMake('mk1', 'B', { kind: 'section', section: 'IPE 300' }, 6, 'S355')],
    pieces: [{ id: 'pc1', mark: 'B1', make: 'mk1', weighed: null, from: { x: 40, y: 0, z: 3 }, to: { x: 46, y: 0, z: 3 } }],
    supports: [newSupport('su1', 'Pier', 'bearing', 'pc1', 0)],
    joints: [],
    moves: [{ id: 'mv1', kind: 'support.ready', support: 'su1' }],
  },
  importMembers: {
    add: [{ ...demoPlan().members[0]!, id: 'n7', mark: 'TB9' }],
    change: [{ id: 'm-tb1', changes: { length: 9.2 } }],
  },
  editSurvey: { changes: { strippedOn: '2026-09-12' } },
  shiftIn: { list: 'legs', id: 'lg4', to: 1 },
  recordHold: { hold: { id: 'HP3', by: 'B', evidence: 'E', value: '', on: '2026-10-01' } },
  withdrawHold: { id: 'HP3' },
};
const each = Object.entries(commands).map(([name, args]) => ({ name, args }) as unknown as Command);

describe('commands', () => {
  test('every command is here, has words, and survives being written down', () => {
    expect(Object.keys(commands).sort()).toEqual(Object.keys(runs).sort());
    for (const command of each) {
      expect(commandTitle[command.name].length).toBeGreaterThan(3);
      expect(JSON.parse(JSON.stringify(command))).toEqual(command);
    }
  });
  test.each(each.map((command) => [command.name, command] as const))('%s changes the plan, leaves the old one alone, and is undone exactly', (_, command) => {
    const plan = command.name === 'shiftIn' ? ticketHall() : command.name === 'placePiece' ? passengerCanopy() : demoPlan();
    const before = canonicalJson(plan);
    const done = applyCommand(plan, command);
    if (!done.ok) throw new Error(done.faults[0]?.error);
    expect(canonicalJson(done.plan)).not.toBe(before);
    expect(canonicalJson(plan)).toBe(before);
    expect(canonicalJson(takeBack(done.plan, JSON.parse(JSON.stringify(done.inverse)) as typeof done.inverse))).toBe(before);
  });
  test('undo∘do is the identity for any run of commands, and redo brings them back', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...each), { maxLength: 12 }), (list) => {
        const first = startHistory(demoPlan());
        let history = first;
        for (const command of list) {
          const change = perform(history, command);
          if (change.ok) history = change.history;
        }
        const end = canonicalJson(history.plan);
        let back = history;
        while (back.past.length > 0) back = undo(back);
        expect(canonicalJson(back.plan)).toBe(canonicalJson(first.plan));
        while (back.future.length > 0) back = redo(back);
        expect(canonicalJson(back.plan)).toBe(end);
      }),
      { numRuns: 60 },
    );
  });
  test('a command that would break the plan is refused and says where', () => {
    const plan = demoPlan();
    expect(applyCommand(plan, { name: 'editPiece', args: { id: 'tb1', changes: { length: -1 } } })).toMatchObject({
      ok: false,
      faults: [{ path: 'pieces[0].length' }],
    });
    expect(applyCommand(plan, { name: 'removeMove', args: { id: 'zz' } })).toMatchObject({
      ok: false,
      faults: [{ error: expect.stringContaining('no move “zz”') as unknown }],
    });
  });
  test('150 steps can be undone; keystrokes in one field are one step until it is left', () => {
    let history = startHistory(demoPlan());
    const type = (boom: number, group: string | null) => {
      const change = perform(history, { name: 'editPick', args: { id: 'k1', changes: { boom } } }, group);
      if (change.ok) history = change.history;
    };
    for (let i = 0; i < 150; i += 1) type(10 + i / 100, null);
    for (let i = 0; i < 150; i += 1) history = undo(history);
    expect(history.plan.picks[0]!.boom).toBe(15);
    type(1, 'boom');
    type(18, 'boom');
    history = seal(history);
    type(19, 'boom');
    history = undo(history);
    expect(history.plan.picks[0]!.boom).toBe(18);
    history = undo(history);
    expect(history.plan.picks[0]!.boom).toBe(15);
  });
});

describe('replay', () => {
  test('what stands after each move of the demo', () => {
    const { steps, before } = replay(demoPlan());
    expect(before.pieces.tb1?.where).toBe('away');
    expect(steps.map((step) => step.after.pieces.tb1?.where)).toEqual([
      'away',
      'away',
      'away',
      'delivered',
      'slung',
      'slung',
      'hanging',
      'landed',
      'landed',
      'landed',
      'free',
      'free',
      'free',
      'free',
    ]);
    expect(steps[9]!.after.pieces.tb1?.bolts).toEqual({ left: 2, right: 2 });
    expect(steps[13]!.after.cranesSet.s1).toBe(false);
  });
  test('any order of the moves replays, and every need is met in the drawn one', () => {
    const plan = demoPlan();
    expect(replay(plan).steps.every((step) => step.needs.every((need) => need.done))).toBe(true);
    fc.assert(
      fc.property(fc.shuffledSubarray(plan.moves, { minLength: 14, maxLength: 14 }), (moves) => {
        const { steps } = replay({ ...plan, moves });
        expect(steps[13]!.after.pieces.tb1?.where).toBe('free');
      }),
    );
  });
});

describe('the way of the lift', () => {
  const plan = demoPlan();
  const path = (swing: 'short' | 'left' | 'right', radius: number | null = null) => {
    const context = pickContext(settle(plan), plan.picks[0]!);
    if (!('leftEnd' in context.seat) || !('cg' in context.weight)) throw new Error('not known');
    return liftPath(context.stand, { ...plan.picks[0]!, swing, swingRadius: radius }, context.piece, context.weight.cg.x, context.seat);
  };
  test('left and right go round opposite ways to the same place', () => {
    const [left, right] = [path('left'), path('right')];
    expect(left.slewDeg - right.slewDeg).toBeCloseTo(360, 9);
    expect(left.stations[left.stations.length - 1]!.hook.x).toBeCloseTo(right.stations[right.stations.length - 1]!.hook.x, 9);
    expect(Math.abs(path('short').slewDeg)).toBeLessThanOrEqual(180);
  });
  test('the hook ends plumb over the balance point of the set piece', () => {
    const { stations } = path('short');
    const last = stations[stations.length - 1]!;
    expect(last.hook.y).toBeCloseTo(0, 9);
    expect(last.hook.x).toBeCloseTo(4.58 - 0.1, 1);
  });
  test('a radius held while slewing is the longest or shortest on the way', () => {
    expect(path('short', 12).most).toBe(12);
    expect(path('short', 6).least).toBe(6);
  });
});

describe('the report', () => {
  test('has a line before the first move and one a move, in SI, with sentences', () => {
    const result = report(demoPlan(), null);
    expect(result.moves).toHaveLength(15);
    for (const move of result.moves)
      for (const check of move.checks) {
        expect(check.sentence.length).toBeGreaterThan(10);
        expect(check.source.length).toBeGreaterThan(5);
        expect(check.unit).not.toBe('');
      }
    expect(JSON.parse(JSON.stringify(result))).toEqual(result);
  });
  test('units change words, never verdicts or numbers', () => {
    const metric = evaluate(demoPlan());
    const us = evaluate({ ...demoPlan(), job: { ...demoPlan().job, units: 'us' } });
    expect(us.checks.map((check) => [check.id, check.verdict, check.ratio])).toEqual(metric.checks.map((check) => [check.id, check.verdict, check.ratio]));
    expect(say(us.checks[0]!, 'us')).not.toBe(say(metric.checks[0]!, 'metric'));
  });
});

describe('judging', () => {
  test.each([
    [0.5, 1, 0.8, false, 'clear'],
    [0.9, 1, 0.8, false, 'tight'],
    [1, 1, 0.8, false, 'stop'],
    [1, 1, null, true, 'clear'],
    [2, 1, null, true, 'stop'],
    [1, 0, null, false, 'stop'],
    [1, -3, null, true, 'stop'],
    [0, 0, null, true, 'clear'],
    [NaN, 1, 0.8, false, 'stop'],
    [1, NaN, 0.8, true, 'stop'],
  ] as const)('%p against %p, caution %p, inclusive %p: %s', (demand, capacity, caution, inclusive, verdict) =>
    expect(judge(demand, capacity, caution, inclusive).verdict).toBe(verdict),
  );
});
