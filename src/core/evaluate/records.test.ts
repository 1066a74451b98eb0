import { wayIn } from '../../../tests/of-plan';
import fc from 'fast-check';
import { demoPlan, quayFootbridge, ticketHall } from '../../../tests/demo-plan';
import { raised } from '../../../tests/raised';
import { runCalc } from '../catalogue/run';
import { formatForInput, formatQuantity, parseQuantity } from '../units';
import { describe as say } from '../verdict/describe';
import { countsByState } from '../document/member-register';
import { openPlan } from '../document/open';
import { memberStates, type Plan } from '../document/schema';
import { evaluate } from './index';

const edited = (edit: (plan: Plan) => unknown, from = ticketHall()): Plan => {
  edit(from);
  const opened = openPlan(from);
  if (!opened.ok) throw new Error(`${opened.faults[0]?.path}: ${opened.faults[0]?.error}`);
  return opened.plan;
};
const check = (plan: Plan, id: string) => {
  const found = evaluate(plan).checks.find((one) => one.id === id);
  if (!found) throw new Error(`no ${id}`);
  return { verdict: found.verdict, words: say(found, 'metric').replace(/\u00a0/g, ' ') };
};
const opening = (plan: Plan) => plan.survey.openings[0]!;
const num = (id: string, input: unknown) => {
  const outcome = runCalc(id, input);
  if (!outcome.ok) throw new Error(outcome.error);
  return outcome.output as Record<string, number>;
};

describe('the survey sheet', () => {
  test('whole in the demo, with the name of who answers for it', () =>
    expect(check(ticketHall(), 'measure.sheet')).toMatchObject({ verdict: 'clear', words: expect.stringContaining('R. Adeyemi') as unknown }));
  test.each([
    ['skew', (p: Plan): unknown => (opening(p).skewDeg = null), /off square/],
    ['ceiling', (p: Plan): unknown => (opening(p).choice.ceiling = null), /height to the joists/],
    ['load', (p: Plan): unknown => (opening(p).lineLoad = null), /what the piece carries/],
    ['owner', (p: Plan): unknown => (p.survey.owner = ' '), /who answers for a wrong measure/],
  ] as const)('a blank for the %s is named', (_, edit, words) => {
    const { verdict, words: said } = check(edited(edit), 'measure.sheet');
    expect(verdict).toBe('missing');
    expect(said).toMatch(words);
  });
  test('every blank is named at once', () =>
    expect(
      check(
        edited((p) => Object.assign(opening(p), { skewDeg: null, lineLoad: null })),
        'measure.sheet',
      ).words,
    ).toMatch(/off square, what the piece carries/));
});

describe('reveals off square', () => {
  const square = { clear: 4, bearingLeft: 0.15, bearingRight: 0.15, clearance: 0.006 };
  test('by hand: 12° and a 200 mm flange want 42.5 mm more', () =>
    expect(num('fit.memberLength', { ...square, skewDeg: 12, width: 0.2 }).length! - num('fit.memberLength', square).length!).toBeCloseTo(
      0.2 * Math.tan((12 * Math.PI) / 180),
      9,
    ));
  test('either way round it is the same, and square it is nothing', () => {
    const at = (skewDeg: number) => num('fit.memberLength', { ...square, skewDeg, width: 0.2 }).length!;
    expect(at(-12)).toBe(at(12));
    expect(at(0)).toBe(num('fit.memberLength', square).length);
  });
  test('in a plan the length to cut grows, and the bearing at the worse edge shrinks', () => {
    const cut = (skewDeg: number) => evaluate(edited((p) => (opening(p).skewDeg = skewDeg))).derived.find((one) => one.id === 'cut')!.value;
    expect(cut(20) - cut(0)).toBeCloseTo(0.1339 * Math.tan((20 * Math.PI) / 180), 3);
    const bears = (skewDeg: number) => evaluate(edited((p) => (opening(p).skewDeg = skewDeg))).checks.find((one) => one.id === 'measure.bearing')!.capacity!;
    expect(bears(0) - bears(20)).toBeCloseTo((cut(20) - cut(0)) / 2, 9);
  });
  test('more than 60° is refused', () =>
    expect(runCalc('fit.memberLength', { ...square, skewDeg: 80, width: 0.2 })).toMatchObject({ ok: false, path: 'skewDeg' }));
});

describe('measured, changed, cut', () => {
  test('measured before the layout changed is a stop, with both days', () => {
    const { verdict, words } = check(
      edited((p) => (p.survey.changedOn = '2026-10-21')),
      'measure.stale',
    );
    expect(verdict).toBe('stop');
    expect(words).toMatch(/before the change of layout of 21 Oct 2026/);
  });
  test.each([
    ['no cut list named', '', 'missing', /Of which day/],
    ['a day that is none', '22 Oct', 'missing', /is not a date/],
    ['older than the measure', '2026-10-18', 'stop', /before the measure of Hall opening/],
    ['older than the strip-out', '2026-10-01', 'stop', /before the strip-out/],
    ['younger than all', '2026-10-22', 'clear', /younger than all/],
  ] as const)('%s', (_, cutListOn, verdict, words) => {
    const said = check(
      edited((p) => (p.survey.cutListOn = cutListOn)),
      'measure.cutList',
    );
    expect(said.verdict).toBe(verdict);
    expect(said.words).toMatch(words);
  });
  test('where no piece spans an opening no cut list is asked for', () =>
    expect(evaluate(edited((p) => (opening(p).member = null))).checks.some((one) => one.id === 'measure.cutList')).toBe(false));
});

describe('the old building', () => {
  test.each([
    ['nobody has looked', { by: '', on: '' }, 'missing', /rot, cracks and missing footings/],
    ['no day', { by: 'R. Adeyemi', on: 'last week' }, 'missing', /and when/],
    ['before the last strip-out', { by: 'R. Adeyemi', on: '2026-10-10' }, 'stop', /Look again/],
    ['after it', { by: 'R. Adeyemi', on: '2026-10-16' }, 'clear', /stands among the clashes/],
  ] as const)('%s', (_, lookedOver, verdict, words) => {
    const said = check(
      edited((p) => (p.survey.lookedOver = lookedOver)),
      'measure.lookedOver',
    );
    expect(said.verdict).toBe(verdict);
    expect(said.words).toMatch(words);
  });
  test('where nothing old is shored it is not asked', () => expect(evaluate(demoPlan()).checks.some((one) => one.id === 'measure.lookedOver')).toBe(false));
});

describe('a seat across the piece', () => {
  const across = (seatWidth: number | null) =>
    evaluate(edited((p) => (p.bearings[0]!.measured!.seatWidth = seatWidth))).checks.find(
      (one) => one.id === 'measure.site' && one.subject === 'A, seat across the piece',
    )!;
  test('measured as drawn, off the drawing, or not at all', () => {
    expect(across(0.215).verdict).toBe('clear');
    expect(across(0.18)).toMatchObject({ verdict: 'tight' });
    expect(say(across(0.18), 'metric')).toMatch(/less than drawn; the pressure on it changes/);
    expect(across(null).verdict).toBe('missing');
  });
  test('the pressure on the seat goes by what was measured', () => {
    const pressure = (width: number) =>
      evaluate(edited((p) => (p.bearings[0]!.measured!.seatWidth = width))).checks.find((one) => one.id === 'path.seat' && one.subject === 'A')!.demand!;
    expect(pressure(0.1075) / pressure(0.215)).toBeCloseTo(2, 6);
  });
});

describe('against the web', () => {
  test('the flat of a UB 203x133x30 takes 165 mm, and not 180', () => {
    expect(check(ticketHall(), 'measure.web').verdict).toBe('clear');
    const { verdict, words } = check(
      edited((p) => (p.members[0]!.packing.web = 0.18)),
      'measure.web',
    );
    expect(verdict).toBe('stop');
    expect(words).toMatch(/flat between the fillets/);
  });
  test('packed on its sides and the height not told is asked', () =>
    expect(
      check(
        edited((p) => (p.members[0]!.packing.web = null)),
        'measure.web',
      ).verdict,
    ).toBe('missing'));
  test('a plate girder has its web whole', () => {
    const plan = edited((p) => {
      p.members[0]!.make = {
        kind: 'girder',
        webDepth: 0.17,
        web: 0.008,
        topFlange: { width: 0.13, thickness: 0.012 },
        bottomFlange: { width: 0.13, thickness: 0.012 },
      };
    });
    expect(evaluate(plan).checks.find((one) => one.id === 'measure.web')!.capacity).toBeCloseTo(0.17, 9);
  });
  test('by hand: 206.8 − 2 × 17.2', () =>
    expect(num('fit.webClear', { depth: 0.2068, toFillet: 0.0172, packing: 0.165 })).toEqual({
      clear: expect.closeTo(0.1724, 9),
      left: expect.closeTo(0.0074, 9),
    }));
  test('fillets that meet are refused', () =>
    expect(runCalc('fit.webClear', { depth: 0.03, toFillet: 0.02, packing: 0 })).toMatchObject({ ok: false, path: 'toFillet' }));
});

describe('air', () => {
  test.each([
    ['8 °C', 'metric', 281.15],
    ['8', 'metric', 281.15],
    ['46.4', 'us', 281.15],
    ['46.4 °F', 'metric', 281.15],
    ['-10', 'metric', 263.15],
    ['281.15 K', 'metric', 281.15],
  ] as const)('“%s” is read in %s', (text, system, kelvin) => {
    const read = parseQuantity(text, 'airTemperature', system);
    expect(read.ok && read.value).toBeCloseTo(kelvin, 9);
  });
  test('it is shown in degrees of the system', () => {
    expect(formatQuantity(281.15, 'airTemperature', 'metric')).toBe('8.0\u00a0°C');
    expect(formatQuantity(281.15, 'airTemperature', 'us')).toBe('46.4\u00a0°F');
  });
  test('what is shown for input reads back as what was stored', () =>
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 500 }), fc.constantFrom('metric' as const, 'us' as const), (tenths, system) => {
        const read = parseQuantity(String(tenths / 10), 'airTemperature', system);
        if (!read.ok) throw new Error(read.reason);
        const again = parseQuantity(formatForInput(read.value, 'airTemperature', system), 'airTemperature', system);
        expect(again.ok && again.value).toBeCloseTo(read.value, 9);
      }),
    ));
  test('from 8 to 16 °C 4.195 m of steel grows 0.4 mm; one of the two not read, nothing is said', () => {
    const grown = (edit: (plan: Plan) => unknown) => evaluate(edited(edit)).derived.find((one) => one.id === 'thermal')?.value;
    expect(grown(() => 0)).toBeCloseTo(12e-6 * 4.195 * 8, 9);
    expect(grown((p) => (opening(p).air.setting = null))).toBeUndefined();
  });
});

describe('pieces by state', () => {
  test('every piece once, and each state with those past it', () => {
    const { total, counts } = countsByState(ticketHall().members);
    expect(total).toBe(ticketHall().members.reduce((sum, one) => sum + one.count, 0));
    expect(counts.map((one) => one.state)).toEqual(memberStates);
    expect(counts[0]!.reached).toBe(total);
    expect(counts.reduce((sum, one) => sum + one.pieces, 0)).toBe(total);
  });
  test('reached never grows from state to state, and is the sum of what lies ahead', () =>
    fc.assert(
      fc.property(fc.array(fc.record({ state: fc.constantFrom(...memberStates), count: fc.integer({ min: 1, max: 40 }) })), (members) => {
        const { total, counts } = countsByState(members);
        counts.forEach((one, i) => expect(one.reached).toBe(counts.slice(i).reduce((sum, other) => sum + other.pieces, 0)));
        expect(total).toBe(members.reduce((sum, one) => sum + one.count, 0));
      }),
    ));
  test('an empty list', () => expect(countsByState([]).total).toBe(0));
});

describe('the way as a whole', () => {
  test('a thing put across the way stops the piece, and is named', () => {
    const plan = edited((p) =>
      p.site.obstructions.push({ id: 'x', name: 'a stack of pallets', at: { x: 4, y: 4.5 }, length: 0.8, width: 4, azimuthDeg: 0, height: 1.5 }),
    );
    const { verdict, words } = check(plan, 'way.sweep');
    expect(verdict).toBe('stop');
    expect(words).toMatch(/sticks between Floor hatch and Corridor corner, against .*a stack of pallets/);
  });
  test('where a leg does not let it pass, the leg tells it alone', () => {
    const plan = edited((p) =>
      Object.assign(
        wayIn(p).legs.find((leg) => leg.kind === 'opening')!,
        { width: 0.1 },
      ),
    );
    expect(evaluate(plan).checks.some((one) => one.id === 'way.sweep')).toBe(false);
  });
  test('no way drawn, nothing is swept', () => expect(evaluate(demoPlan()).checks.filter((one) => one.id === 'way.sweep').length).toBeLessThanOrEqual(1));
});

test.each([
  ['Rev. C', 'c', 'revision C', 'clear'],
  ['C', 'C1', 'C', 'stop'],
  ['', 'C', 'C', 'missing'],
] as const)('design %s, survey %s, cut list %s: %s', (design, survey, cutList, verdict) => {
  const check = evaluate(edited((p) => (p.survey.revisions = { design, survey, cutList }))).checks.find((one) => one.id === 'measure.revision')!;
  expect(check.verdict).toBe(verdict);
});
test('with no piece over an opening nobody is asked for a revision', () =>
  expect(evaluate(edited((p) => (opening(p).member = null))).checks.some((one) => one.id === 'measure.revision')).toBe(false));

describe('HP11, go for the day', () => {
  const hp11 = (edit: (plan: Plan) => unknown = () => undefined, from = demoPlan()) => {
    edit(from);
    const [row] = evaluate(from, '2026-11-29').checks.filter(({ id }) => id === 'hold.HP11');
    return row ? `${row.verdict} ${say(row, 'metric').replace(/\u00a0/g, ' ')}` : 'none';
  };
  const record = (plan: Plan) => plan.holds.find(({ id }) => id === 'HP11')!;

  test('said in the demo; without it the first move that lifts waits, and where nothing is lifted nobody asks', () => {
    expect(hp11()).toMatch(/^clear HP11 Go for the day: passed by R. Adeyemi/);
    expect(hp11((plan) => (plan.holds = plan.holds.filter(({ id }) => id !== 'HP11')))).toMatch(
      /^missing HP11 Go for the day: not recorded.*Sling TB1, waits for it/,
    );
    expect(hp11((plan) => delete plan.raises, ticketHall())).toBe('none');
  });

  test('the gust that was measured: asked for, and no more than the lift that stops first', () => {
    expect(hp11((plan) => (record(plan).readings = []))).toMatch(/^missing .*no number for the shift of the lifts/);
    for (const value of [0, -2.6, 0.0026])
      expect(hp11((plan) => (record(plan).readings = [{ of: 'shift', value }]))).toMatch(/^missing .*a strongest gust of next to nothing is no reading/);
    // TB1 stops at 4.76 m/s.
    expect(hp11((plan) => (record(plan).readings = [{ of: 'shift', value: 4.75 }]))).toMatch(/^clear/);
    expect(hp11((plan) => (record(plan).readings = [{ of: 'shift', value: 4.76 }]))).toMatch(
      /^stop .*gusts of 4.8 m\/s were measured; TB1 may be lifted up to 4.8 m\/s. Wait/,
    );
    // Of several lifts the one that stops first, wherever in the list it is.
    const many = (value: number) =>
      hp11((plan) => {
        plan.holds.push({ id: 'HP10', by: 'R. Adeyemi', evidence: 'LP-9 rev A, all lifts', value: '', on: '2026-11-24' });
        plan.holds.push({ id: 'HP11', by: 'R. Adeyemi', evidence: 'dry, light, rested', value: '', on: '2026-11-25', readings: [{ of: 'shift', value }] });
      }, quayFootbridge());
    expect(many(5.4)).toMatch(/^clear/);
    expect(many(5.6)).toMatch(/^stop .*G1b may be lifted up to 5.5/);
    const last = quayFootbridge();
    const wind = (plan: Plan) => evaluate(plan, '2026-11-29').checks.filter(({ id }) => id === 'lift.wind');
    const [least] = wind(last).sort((a, b) => a.capacity! - b.capacity!);
    expect(many(99)).toContain(`; ${least!.subject} may be lifted up to`);
    // Without a crane nobody asks for the wind.
    expect(hp11(() => undefined, ticketHall())).toMatch(/^clear/);
  });

  test('it is of the day of the shift, and after the plan of the lift and the temporary works were passed', () => {
    const shift = (day: string) => (plan: Plan) => (plan.site.shift = { from: `${day}T07:00`, to: `${day}T15:00` });
    expect(hp11(shift('2026-11-25'))).toMatch(/^clear/);
    expect(hp11(shift('2026-11-26'))).toMatch(/^missing .*it is of 25 Nov 2026, and the shift is on 26 Nov 2026/);
    expect(hp11((plan) => (record(plan).on = '2026-11-23'))).toMatch(/^stop .*HP10/);
    expect(hp11((plan) => (plan.survey.changedOn = '2026-11-26'))).toMatch(/^stop .*last change of the layout/);
  });
});

describe('HP10, the lift plan signed', () => {
  const hp10 = (plan: Plan) => evaluate(plan, '2026-11-28').checks.filter(({ id }) => id === 'hold.HP10');
  test('is asked wherever something is lifted, with or without a crane, at the first move that lifts; and nowhere else', () => {
    const plan = demoPlan();
    plan.holds = plan.holds.filter(({ id }) => id !== 'HP10');
    expect(hp10(plan).map(({ verdict, move }) => [verdict, plan.moves.find(({ id }) => id === move)!.kind])).toEqual([['missing', 'piece.sling']]);
    const byHand = raised('hands');
    expect(hp10(byHand).map(({ verdict, move }) => [verdict, byHand.moves.find(({ id }) => id === move)!.kind])).toEqual([['missing', 'member.set']]);
    const bare = ticketHall();
    delete bare.raises;
    expect(hp10(bare)).toEqual([]);
    // What a crane lifts waits for it; what is set over an opening by nobody knows what does not.
    const both = ticketHall();
    const crane = demoPlan();
    Object.assign(both, {
      picks: crane.picks,
      pieces: crane.pieces,
      stands: crane.stands,
      cranes: crane.cranes,
      bearings: [...both.bearings, ...crane.bearings],
      raises: [],
    });
    both.moves.push({ id: 'last', kind: 'pick.lift', pick: crane.picks[0]!.id });
    expect(hp10(both).map(({ move }) => move)).toEqual(['last']);
  });
  test('signed before the layout last changed it is done again', () => {
    const plan = demoPlan();
    expect(hp10(plan)[0]!.verdict).toBe('clear');
    plan.survey.changedOn = '2026-11-26';
    expect(hp10(plan)[0]!.verdict).toBe('stop');
  });
});
