import { asLine, lineIn } from '../../../../tests/of-plan';
import { ticketHall } from '../../../../tests/demo-plan';
import { editedHall as edited, sentenceOf as sentence, shoreChecks as names, type Edit } from '../../../../tests/said';
import { deadShore, needleRow, onNeedles as onTheirNeedles, steelProp } from '../../../../tests/shores';
import { rulesOf } from '../../rules/rule-sets';
import { Missing } from '../../verdict/missing';
import { openPlan } from '../../document/open';
import type { Plan, ShoreRow } from '../../document/schema';
import { evaluate } from '../../evaluate/index';
import { screwedBracing } from './bracing';
import { needleOf, needleStrength } from './needles';
import { propStrength } from './props';
import { strikeOf } from './strike';
import { unitsOf } from './units';
import { plateContact } from './walls';

const rules = rulesOf('eu-ls', {});
const wall = (plan: Plan, id: string) => lineIn(plan).walls.find((one) => one.id === id)!;
const storey = (plan: Plan, n: number) => lineIn(plan).storeys[n]!;
const known = <T>(value: T | Missing | string): T => {
  if (value instanceof Missing) throw new Error(value.questions.join(' '));
  if (typeof value === 'string') throw new Error(value);
  return value;
};

/** The same line on timber needles and pairs of dead shores. */
const row = (changes: Partial<ShoreRow> = {}): ShoreRow =>
  needleRow({ needle: { kind: 'timber', width: 0.2, depth: 0.3, grade: 'C24' }, prop: deadShore(), ...changes });
const onNeedles = (changes: Partial<ShoreRow> = {}, edit: Edit = () => undefined): Plan =>
  edited((p) => {
    onTheirNeedles(p, row(changes));
    edit(p);
  });
const plumbProp = (changes: Parameters<typeof steelProp>[0] = {}) => steelProp({ leanDeg: 0, off: 0, ...changes });
const steelNeedle = { kind: 'steel', section: 'UC 152x152x30', grade: 'S275' } as const;
describe('timber needles on dead shores', () => {
  test('they hold: nothing stops them, nothing is missing', () => {
    expect(names(onNeedles(), 'stop')).toEqual([]);
    expect(names(onNeedles(), 'missing')).toEqual([]);
  });
  test('bending by hand: f_m·k_mod/γ_M × b·d²/6', () => {
    const { capacity } = known(needleStrength(row(), rules));
    expect(capacity).toBeCloseTo((((24e6 * 0.8) / 1.3) * (0.2 * 0.3 ** 2)) / 6, 3);
  });
  test('its own weight is on the props: 500 kg/m³ over both arms, factored', () => {
    const answer = known(needleOf(asLine(onNeedles()), row(), rules));
    expect(answer.leftProp + answer.rightProp - answer.load).toBeCloseTo(0.2 * 0.3 * 500 * 1.3 * 9.80665 * 1.35, 3);
  });
  test.each([
    ['a needle too thin', { needle: { kind: 'timber', width: 0.1, depth: 0.12, grade: 'C24' } }, 'shore.needle Needles', /100x120 C24 takes/],
    ['too little of it on the prop head', { head: 0.03 }, 'shore.needleSeat Needles', /on 30 mm it takes/],
    ['masonry too weak over it', { masonry: { width: 0.215, allowable: 300e3 } }, 'shore.masonry Needles', /may take 300 kPa/],
    ['nothing to keep it from going sideways', { lateral: 100 }, 'shore.lateral Needles', /0.100 kN is held/],
  ] as const)('%s: that stop', (_, changes, id, words) => {
    const plan = onNeedles(changes as Partial<ShoreRow>);
    expect(names(plan, 'stop')).toContain(id);
    expect(sentence(plan, id)).toMatch(words);
  });
  test('a dead shore too slight and free to bow buckles', () => {
    const plan = onNeedles({ prop: deadShore({ width: 0.06, depth: 0.06, braces: 0, leanDeg: 0, off: 0 }) });
    expect(names(plan, 'stop')).toEqual(['shore.prop Needles']);
    expect(sentence(plan, 'shore.prop Needles')).toMatch(/dead shores of Needles carry/);
  });
  test.each([
    ['how much lies on the head', { head: null }, 'shore.needleSeat Needles'],
    ['what the masonry takes', { masonry: { width: 0.215, allowable: null } }, 'shore.masonry Needles'],
    ['how thick the wall is', { masonry: { width: null, allowable: 3e6 } }, 'shore.masonry Needles'],
    ['what braces it', { lateral: null }, 'shore.lateral Needles'],
    ['how long the dead shores are', { prop: deadShore({ length: null }) }, 'shore.prop Needles'],
  ] as const)('%s not known is asked', (_, changes, id) => {
    const plan = onNeedles(changes as Partial<ShoreRow>);
    expect(names(plan, 'missing')).toContain(id);
    expect(names(plan, 'stop')).toEqual([]);
  });
});

describe('props between plumb and past the limit', () => {
  const strength = (changes = {}) => known(propStrength(row({ prop: plumbProp(changes) }), rules)).capacity;
  test('plumb it has its class; leaning or loaded off its middle it has less; past the limit is a stop besides', () => {
    expect(strength()).toBeCloseTo(34e3 / 1.1, 6);
    expect(strength({ off: 0.02 })).toBeLessThan(strength({ off: 0.012 }));
    expect(strength({ off: 0.012 })).toBeLessThan(strength());
    expect(strength({ leanDeg: 1.4 })).toBeLessThan(strength({ leanDeg: 0.7 }));
    const plan = onNeedles({ needle: steelNeedle, prop: plumbProp({ leanDeg: 2 }) });
    expect(names(plan, 'stop')).toContain('shore.plumb Needles');
  });
  test('by hand: tube 48.3 × 3.2 in S235, 10 mm beyond what the class allows for', () => {
    const moment = (235e6 * Math.PI * (0.0483 ** 4 - 0.0419 ** 4)) / (32 * 0.0483) / 1.1;
    expect(strength({ off: 0.02 })).toBeCloseTo(1 / (1.1 / 34e3 + 0.01 / moment), 3);
  });
  test('a row that leans pushes sideways by more than its share of 2.5 %', () => {
    const at = (leanDeg: number) =>
      evaluate(onNeedles({ needle: steelNeedle, prop: plumbProp({ leanDeg }) })).checks.find((check) => check.id === 'shore.lateral')!.demand!;
    expect(at(1.45) / at(0.5)).toBeCloseTo(Math.tan((1.45 * Math.PI) / 180) / 0.025, 6);
  });
});

describe('headers and screws', () => {
  const gapped = (header: object = {}, posts = 2) =>
    edited((p) => {
      wall(p, 'sh1').gaps = [{ id: 'g', from: 4, to: 6, header: { width: 0.045, depth: 0.22, plies: 3, grade: 'C24', ...header }, posts }];
      lineIn(p).preload = 0.7;
    });
  test('a header that carries three joists past a gap: it holds, and its studs carry more', () => {
    expect(names(gapped(), 'stop')).toEqual([]);
    expect(sentence(gapped(), 'shore.header Hall wall, left, header over joists 4 to 6')).toMatch(/1.60 m long/);
    expect(sentence(gapped(), 'shore.everyJoist Hall wall, left')).toMatch(/7 joists stand on studs and 3 on headers/);
  });
  test('too shallow it bends too much', () =>
    expect(names(gapped({ depth: 0.1 }), 'stop')).toEqual(['shore.header Hall wall, left, header over joists 4 to 6']));
  test('on one thin ply it crushes where it lies', () =>
    expect(names(gapped({ width: 0.02, plies: 1, depth: 0.4 }, 1), 'stop')).toEqual(
      expect.arrayContaining(['shore.headerSeat Hall wall, left, header over joists 4 to 6']),
    ));
  test('at the end of the wall it has nothing to stand on', () => {
    const plan = edited((p) => (wall(p, 'sh1').gaps = [{ id: 'g', from: 1, to: 1, header: { width: 0.045, depth: 0.22, plies: 2, grade: 'C24' }, posts: 2 }]));
    expect(names(plan, 'stop')).toEqual(['shore.everyJoist Hall wall, left']);
    expect(sentence(plan, 'shore.everyJoist Hall wall, left')).toMatch(/nothing holds joist 1 of 10/);
  });
  test('a gap back to front is refused with its place', () => {
    const plan = ticketHall();
    wall(plan, 'sh1').gaps = [{ id: 'g', from: 6, to: 4, header: { width: 0.045, depth: 0.2, plies: 2, grade: 'C24' }, posts: 2 }];
    const opened = openPlan(plan);
    expect(opened.ok ? '' : opened.faults[0]!.path).toBe('shoring.lines[0].walls[0].gaps[0].to');
  });
  test('joists doubled up carry twice', () => {
    const ratio = (plies: number) =>
      evaluate(edited((p) => (storey(p, 0).joists.plies = plies))).checks.find((check) => check.id === 'shore.joist' && check.subject === 'Hall wall, left')!
        .ratio!;
    expect(ratio(1) / ratio(2)).toBeCloseTo(2, 6);
  });
  test('a joist that carries more floor than its two plies do better than is the one that decides', () => {
    const plan = (carries: number) => edited((p) => (storey(p, 0).joists.doubled = [{ id: 'd', number: 4, carries }]));
    const demand = (carries: number) =>
      evaluate(plan(carries)).checks.find((check) => check.id === 'shore.joist' && check.subject === 'Hall wall, left')!.ratio!;
    expect(demand(0.8)).toBeCloseTo(demand(0.4), 6);
    expect(demand(1.2)).toBeCloseTo(1.5 * demand(0.4), 6);
  });
  test('what the boards hold is what the screws of one end hold, along the floor', () => {
    const held = screwedBracing(wall(ticketHall(), 'sh1'), rules);
    if (!held || held instanceof Missing) throw new Error('unknown');
    const each = held.traces[0]!.output as { design: number };
    expect(held.force).toBeCloseTo(2 * 4 * each.design * Math.cos(Math.PI / 4), 6);
  });
  test.each([
    ['one board, one screw', { count: 1, screws: 1 }, 'stop', /hold 0/],
    ['screws no longer than the board is thick', { length: 0.025 }, 'missing', /which screws go through/],
    ['a bolt in place of a screw', { diameter: 0.012, length: 0.2 }, 'missing', /bolts follow other rules/],
  ] as const)('%s', (_, changes, verdict, words) => {
    const plan = edited((p) => Object.assign(wall(p, 'sh1').diagonals!, changes));
    expect(names(plan, verdict)).toContain('shore.bracing Hall wall, left');
    expect(sentence(plan, 'shore.bracing Hall wall, left')).toMatch(words);
  });
  test('the engineer’s figure goes before the screws', () => {
    const plan = edited((p) => (wall(p, 'sh1').bracing = 9e3));
    expect(sentence(plan, 'shore.bracing Hall wall, left')).toMatch(/hold 9.00 kN/);
  });
});

describe('the strike of more than one storey', () => {
  test('the hall struck while the offices stand on it is a stop of its own, and nothing after it is told', () => {
    const plan = edited((p) => lineIn(p).strike.push(...lineIn(p).strike.splice(0, 2)));
    expect(names(plan, 'stop')).toEqual(['shore.order step 1']);
    expect(sentence(plan, 'shore.order step 1')).toMatch(/from under Office wall, left 1/);
  });
  test('the offices never struck are asked about', () => {
    const plan = edited((p) => lineIn(p).strike.splice(0, 2));
    expect(names(plan, 'stop')).toEqual(['shore.order step 1']);
    const upperOnly = edited((p) => (lineIn(p).strike = lineIn(p).strike.slice(0, 2)));
    expect(names(upperOnly, 'missing')).toContain('shore.strike Strike');
  });
  test('struck, the offices let down what they laid there: the same spans, the same distance, nothing changes', () => {
    const { units, steps } = known(strikeOf(asLine(edited((p) => (lineIn(p).preload = 0))), rules));
    units.forEach((unit, i) => {
      if (unit.above) expect(steps[0]!.loads[i]).toBe(0);
      else expect(steps[0]!.loads[i]).toBeCloseTo(unit.load, 6);
    });
  });
  test('with the office wall nearer to the line than the hall’s, more comes down: the sum grows by what levers less', () => {
    const plan = edited((p) => {
      lineIn(p).preload = 0;
      for (const id of ['sh3', 'sh4']) wall(p, id).setback = 0.5;
    });
    const units = known(unitsOf(asLine(plan), rules));
    for (const unit of units.filter((one) => one.above)) expect(unit.above!.passes).toBeCloseTo(unit.above!.lays, 6);
  });
  test('a step that strikes nothing that still stands is asked about, and the others are told', () => {
    const plan = edited((p) => lineIn(p).strike.splice(3, 0, { id: 'twice', shore: 'sh1', units: [1], together: false }));
    const said = evaluate(plan).checks.find((check) => check.id === 'shore.strike' && check.subject === 'step 3')!;
    expect(said.verdict).toBe('clear');
    const again = edited((p) => lineIn(p).strike.splice(4, 0, { id: 'twice', shore: 'sh1', units: [1, 77], together: false }));
    expect(names(again, 'missing')).toEqual(['shore.strike step 3']);
    expect(sentence(again, 'shore.strike step 3')).toMatch(/strikes nothing that still stands/);
    expect(names(again, 'stop')).toEqual([]);
  });
  test('offices on joists otherwise apart still stand on the hall: struck from under them is a stop', () => {
    const plan = edited((p) => {
      storey(p, 1).joists.spacing = 0.55;
      storey(p, 1).joists.doubled = [];
      wall(p, 'sh4').gaps = [];
      lineIn(p).strike.push(...lineIn(p).strike.splice(0, 2));
    });
    expect(names(plan, 'stop')).toEqual(['shore.order step 1']);
  });
  test('needles carry all above them: shores of the offices change nothing', () => {
    const plan = onNeedles({}, (p) => {
      lineIn(p).walls = lineIn(ticketHall()).walls.filter((one) => one.storey === 'sy1');
    });
    for (const unit of known(unitsOf(asLine(plan), rules)).filter((one) => one.above)) expect([unit.above!.lays, unit.above!.passes]).toEqual([0, 0]);
  });
});

describe('joists that run through', () => {
  const through = (edit: Edit = () => undefined) =>
    edited((p) => {
      storey(p, 0).joists.over = 'through';
      p.survey.openings[0]!.lineLoad = 15e3;
      edit(p);
    });
  test('the strike is worked out, step by step, with both sides', () => {
    expect(names(through(), 'stop')).toEqual([]);
    expect(names(through(), 'missing')).toEqual([]);
    const answer = known(strikeOf(asLine(through()), rules));
    expect(answer.through).toBe(true);
    expect(answer.steps).toHaveLength(6);
    expect(Math.max(...answer.steps[5]!.loads)).toBe(0);
  });
  test('shores and seats never hold more than what was there; the rest is at the far bearings', () => {
    const { units, steps } = known(strikeOf(asLine(through((p) => (lineIn(p).preload = 0))), rules));
    const total = units.filter((unit) => !unit.above).reduce((sum, unit) => sum + unit.load, 0);
    for (const step of steps.slice(1)) {
      const held = step.loads.filter((_, i) => !units[i]!.above).reduce((a, b) => a + b, 0) + step.left + step.right;
      expect(held).toBeLessThanOrEqual(total * 1.15);
      expect(held).toBeGreaterThan(total * 0.6);
    }
  });
  test('one side alone holds them, and is struck onto the beam', () => {
    const plan = through((p) => {
      storey(p, 1).bears = 'nothing';
      lineIn(p).walls = lineIn(p).walls.filter((one) => one.id === 'sh1');
      lineIn(p).strike = [{ id: 'a', shore: 'sh1', units: [], together: false }];
      wall(p, 'sh1').setback = 0.5;
    });
    expect(names(plan, 'stop').filter((one) => one.startsWith('shore.strike') || one.startsWith('shore.side'))).toEqual([]);
    expect(known(strikeOf(asLine(plan), rules)).steps[0]!.left).toBeGreaterThan(0);
  });
  test('with a span on one side only they cannot run through: they are solved as cut', () => {
    const plan = through((p) => {
      storey(p, 0).right.span = 0;
      lineIn(p).walls = lineIn(p).walls.filter((one) => one.side === 'left');
      lineIn(p).strike = [
        { id: 'a', shore: 'sh3', units: [], together: false },
        { id: 'b', shore: 'sh1', units: [], together: false },
      ];
    });
    expect(known(unitsOf(asLine(plan), rules)).every((unit) => unit.joist === null)).toBe(true);
  });
  test('their size not known, how they share is not either', () => {
    const plan = through((p) => (storey(p, 0).joists.width = null));
    expect(names(plan, 'missing')).toEqual(expect.arrayContaining(['shore.strike Strike', 'shore.joist Hall wall, left']));
  });
});

describe('wedged up, and let down', () => {
  const restraint = (preload: number, edit: Edit = () => undefined) =>
    evaluate(edited((p) => ((lineIn(p).preload = preload), edit(p)))).checks.find((check) => check.id === 'shore.restraint');
  test('by hand: the wedged share of all that the shores hold, q·L²/8, against the beam free from seat to seat', () => {
    const check = restraint(0.4)!;
    const answer = known(strikeOf(asLine(edited((p) => (lineIn(p).preload = 0.4))), rules));
    const held = answer.units.filter((unit) => !unit.above).reduce((sum, unit) => sum + unit.load, 0);
    expect(check.demand).toBeCloseTo((0.4 * held * answer.span) / 8, 3);
    expect(check.verdict).toBe('clear');
  });
  test('nothing wedged, nothing to hold; a slender beam is a stop', () => {
    expect(restraint(0)).toBeUndefined();
    expect(restraint(0.9, (p) => (p.members[0]!.make = { kind: 'section', section: 'IPE 160' }))!.verdict).toBe('stop');
  });
  test('a grade nobody knows is asked', () => expect(restraint(0.4, (p) => (p.members[0]!.grade = 'soft'))!.verdict).toBe('missing'));
  test('the sag is told against the limits of both schools', () => {
    expect(sentence(ticketHall(), 'shore.sag Strike')).toMatch(/of 16.2 mm \(US rules 16.9 mm\)/);
  });
});

describe('published: NDS Table 3.10.4, bearing area factors', () => {
  test.each([
    [1, 1.38],
    [1.5, 1.25],
    [2, 1.19],
    [3, 1.13],
    [4, 1.1],
  ])('a stud %d in along the plate: C_b %d', (inches, factor) => {
    const american = rulesOf('us-asd', {});
    const one = { ...wall(ticketHall(), 'sh1'), stud: { width: inches * 0.0254, depth: 0.0889, grade: 'SPF No.2' as const } };
    expect(Math.abs(plateContact(one, american)!.allowable / (425 * 6894.757293168) - factor)).toBeLessThan(0.0075);
  });
});
