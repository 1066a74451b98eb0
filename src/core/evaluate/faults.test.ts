import { demoPlan } from '../../../tests/demo-plan';
import { describe as say } from '../verdict/describe';
import type { Plan } from '../document/schema';
import { evaluate } from '.';

const of = (plan: Plan, verdict: 'stop' | 'missing' | 'tight') => evaluate(plan).checks.filter((check) => check.verdict === verdict);
const names = (plan: Plan, verdict: 'stop' | 'missing' | 'tight') => of(plan, verdict).map((check) => `${check.id} ${check.subject}`);

function faulty(edit: (plan: Plan) => void): Plan {
  const plan = demoPlan();
  edit(plan);
  return plan;
}

const shift = (plan: Plan, id: string, to: number) => {
  const at = plan.moves.findIndex((move) => move.id === id);
  const [move] = plan.moves.splice(at, 1);
  plan.moves.splice(to, 0, move!);
};
const bolts = (plan: Plan, id: string, count: number | null) => {
  const move = plan.moves.find((one) => one.id === id);
  if (move?.kind === 'end.bolt') move.bolts = count;
};

test('the clean demo has no stop, nothing missing, and something to say at every station', () => {
  const { verdict, counts, checks } = evaluate(demoPlan());
  expect(verdict).toBe('clear');
  expect(counts).toMatchObject({ stop: 0, missing: 0 });
  for (const station of ['measure', 'steel', 'gear', 'picks', 'runSheet']) expect(checks.some((check) => check.station === station)).toBe(true);
});

/** One deliberate fault of each kind: that stop, on that move, and no other. */
const faults: [string, (plan: Plan) => void, string, string | null, RegExp][] = [
  ['the piece is too short for its right seat', (p) => (p.pieces[0]!.length = 8.83), 'set.bearing P2', 'm8', /bears 55 mm at P2; 75 mm/],
  ['the left bearing is too short', (p) => (p.pieces[0]!.seat.leftBearing = 0.06), 'set.bearing P1', 'm8', /bears 60 mm at P1/],
  ['a post may not carry its share', (p) => (p.bearings[1]!.capacity = 5000), 'set.postLoad P2', 'm8', /takes 5.09 kN .* good for 5.00 kN/],
  ['a leg is rated below its tension', (p) => (p.picks[0]!.slingRating = 700), 'rigging.tension TB1', 'm5', /each is good for 6.86 kN/],
  [
    'the legs are too flat',
    (p) => Object.assign(p.picks[0]!, { legs: { left: 2.35, right: 2.35 }, slingRating: 3000 }),
    'rigging.angle TB1',
    'm5',
    /flattest leg.*keep it above 30/,
  ],
  ['the legs cannot close', (p) => (p.picks[0]!.legs = { left: 2, right: 2 }), 'rigging.closes TB1', 'm5', /do not reach/],
  ['the legs differ too much', (p) => (p.picks[0]!.legs = { left: 3.2, right: 4.0 }), 'rigging.tilt TB1', 'm5', /hangs 1\d\.\d° low at the right/],
  [
    'the hook load is over the chart',
    (p) => (p.cranes[0]!.hookBlockMass = 500),
    'lift.chart TB1',
    'm7',
    /1 558 kg on the hook at 10.52 m with the load on \(set at 10.23 m\).*allows 1 500 kg/,
  ],
  [
    'the radius is past the chart',
    (p) => {
      const chart = p.cranes[0]!.chart!;
      p.cranes[0]!.chart = { ...chart, radii: chart.radii.slice(0, 9), capacity: chart.capacity.slice(0, 9) };
    },
    'lift.offChart TB1',
    'm7',
    /gives nothing for radius 10.52 m with the load on \(set at 10.23 m\) on 15.00 m of boom: radius 10.52 m is past the chart’s last, 10.00 m/,
  ],
  ['the boom cannot reach', (p) => (p.picks[0]!.boom = 11.2), 'lift.boomReach TB1', 'm7', /cannot reach a radius/],
  [
    'there is no head room',
    (p) => (p.cranes[0]!.hookDrop = 4),
    'lift.headRoom TB1',
    'm7',
    /hook of TB1 must be 7.48 m up to pass over the old ticket wall; .* 6.88 m/,
  ],
  ['the boom comes too near the load', (p) => (p.job.thresholds.boomClearance = 4.5), 'lift.boomGap TB1', 'm7', /clears TB1 by 4\.\d\d m; keep 4.50 m/],
  ['the wind is over the limit', (p) => (p.site.forecastGust = 5.5), 'lift.wind TB1', 'm7', /may be lifted up to 4.8/],
  ['the ground is too soft', (p) => (p.stands[0]!.groundAllowable = 1.2e5), 'stand.ground S1', 'm3', /presses 13\d kPa/],
  [
    'a power line is too near',
    (p) => Object.assign(p.site.powerLines[0]!, { from: { x: -4, y: 9.5 }, to: { x: 28, y: 9.5 } }),
    'stand.powerLine 11 kV quay feeder',
    'm3',
    /keep 5.00 m off/,
  ],
  [
    'a wall stands in the tail swing',
    (p) => p.site.obstructions.push({ id: 'o9', name: 'the ramp wall', at: { x: 16.4, y: -4.6 }, length: 0.4, width: 2, azimuthDeg: 0, height: 1.4 }),
    'stand.tail S1',
    'm3',
    /tail at S1 passes the ramp wall/,
  ],
  [
    'the concrete is too weak',
    (p) => Object.assign(p.bearings[1]!.footing, { result: 20e6 }),
    'bearing.concrete P2',
    'm2',
    /P2 is not ready: its concrete tested 20 MPa and 24 MPa/,
  ],
  ['one bolt at P2', (p) => bolts(p, 'm10', 1), 'release.bolts TB1', 'm11', /one bolt at P2. 2 an end/],
  ['the hook lets go before P2 is bolted', (p) => shift(p, 'm10', 10), 'release.bolts TB1', 'm11', /no bolt at P2/],
  ['landing before P2 is ready', (p) => shift(p, 'm2', 8), 'move.order TB1', 'm8', /not yet done is that P2 is ready/],
  ['lifting before slinging', (p) => shift(p, 'm5', 7), 'move.order TB1', 'm7', /TB1 is slung/],
  ['slinging before the crane is set', (p) => shift(p, 'm3', 4), 'move.order TB1', 'm5', /the crane is set/],
  ['tightening before plumbing', (p) => shift(p, 'm13', 11), 'move.order TB1', 'm13', /plumbed and levelled/],
  ['the crane leaves with the hook on', (p) => shift(p, 'm14', 9), 'move.order S1', 'm14', /the hook has let go of TB1/],
];

test.each(faults)('%s: that stop and no other', (name, edit, id, move, sentence) => {
  const plan = faulty(edit);
  const stops = of(plan, 'stop').filter((check) => !(name === 'lifting before slinging' && check.move === 'm6'));
  expect(stops.map((check) => `${check.id} ${check.subject}`)).toEqual([id]);
  expect(stops[0]!.move).toBe(move);
  expect(say(stops[0]!, 'metric').replace(/\u00a0/g, ' ')).toMatch(sentence);
});

describe('web, bending and stability stop when they must', () => {
  // A wide-flange laid out long and thin, so that each of these can fail alone.
  const slender = (edit: (plan: Plan) => void) =>
    faulty((p) => {
      p.pieces[0]!.section = 'IPE 80';
      p.pieces[0]!.stated.mass = null;
      edit(p);
    });
  test('a slender piece hung at its ends can buckle sideways', () => {
    const plan = slender((p) => Object.assign(p.picks[0]!, { left: 0.2, right: 0.2, legs: { left: 6, right: 6 } }));
    expect(names(plan, 'stop')).toContain('pick.hanging TB1');
  });
  test('hung at a quarter it does not', () => {
    const plan = slender((p) => Object.assign(p.picks[0]!, { left: 2.25, right: 2.25 }));
    expect(names(plan, 'stop')).not.toContain('pick.hanging TB1');
  });
  test('too heavy a load for the section bends it while it hangs', () => {
    const plan = slender((p) => p.pieces[0]!.attachments.push({ id: 'x1', what: 'A tank', mass: 900, at: 4.5 }));
    expect(names(plan, 'stop')).toContain('pick.bending TB1');
  });
  test('a heavy load beside a bearing crushes a thin web', () => {
    const plan = slender((p) => {
      p.pieces[0]!.attachments.push({ id: 'x1', what: 'A tank', mass: 25000, at: 0.4 });
      p.bearings[0]!.capacity = 5e6;
      p.pieces[0]!.seat.leftBearing = 0.08;
    });
    expect(names(plan, 'stop')).toContain('set.web P1');
  });
  test('a balance point beyond a seat lifts the other end', () => {
    const plan = faulty((p) => p.pieces[0]!.attachments.push({ id: 'x1', what: 'A cantilever frame', mass: 4000, at: 12 }));
    expect(names(plan, 'stop')).toContain('set.uplift P1');
  });
  test('a crane that tips is told so, not given a pressure', () => {
    const plan = faulty((p) => (p.cranes[0]!.hookBlockMass = 9000));
    expect(names(plan, 'stop')).toEqual(expect.arrayContaining(['stand.tips S1', 'lift.chart TB1']));
  });
});

/** Every input that can be unknown: asked about, never taken as clear. */
const unknowns: [string, (plan: Plan) => void, string[]][] = [
  ['post capacity', (p) => (p.bearings[0]!.capacity = null), ['set.postLoad P1']],
  ['concrete result', (p) => Object.assign(p.bearings[1]!.footing, { result: null }), ['bearing.concrete P2']],
  ['who tested the concrete', (p) => Object.assign(p.bearings[1]!.footing, { by: ' ' }), ['bearing.concrete P2']],
  ['intended strength', (p) => Object.assign(p.bearings[1]!.footing, { intended: null }), ['bearing.concrete P2']],
  ['sling rating', (p) => (p.picks[0]!.slingRating = null), ['rigging.tension TB1']],
  [
    'bearing length',
    (p) => (p.pieces[0]!.seat.leftBearing = null),
    [
      'set.bearing TB1',
      'stand.ground S1',
      'stand.powerLine 11 kV quay feeder',
      'lift.chart TB1',
      'lift.headRoom TB1',
      'lift.boomGap TB1',
      ...['Post 1', 'Post 2', 'Pad 1', 'Pad 2', 'Sand under pad 1', 'Sand under pad 2'].map((link) => `path.link ${link}`),
      'path.seat P1',
      'path.seat P2',
    ],
  ],
  ['chart', (p) => (p.cranes[0]!.chart = null), ['lift.chart TB1']],
  ['chart wind', (p) => (p.cranes[0]!.chartGust = null), ['lift.wind TB1']],
  ['forecast', (p) => (p.site.forecastGust = null), ['lift.wind TB1']],
  ['weight of the rigging', (p) => (p.picks[0]!.riggingMass = null), ['stand.ground S1', 'lift.chart TB1', 'lift.wind TB1']],
  ['weight of the hook block', (p) => (p.cranes[0]!.hookBlockMass = null), ['stand.ground S1', 'lift.chart TB1', 'lift.wind TB1']],
  ['weights of the crane', (p) => (p.cranes[0]!.parts = []), ['stand.ground S1']],
  ['mat', (p) => (p.stands[0]!.padArea = null), ['stand.edge S1', 'stand.ground S1']],
  ['ground', (p) => (p.stands[0]!.groundAllowable = null), ['stand.ground S1']],
  ['voltage', (p) => (p.site.powerLines[0]!.volts = null), ['stand.powerLine 11 kV quay feeder']],
  ['bolts', (p) => bolts(p, 'm9', null), ['release.bolts TB1']],
  ['letting go', (p) => p.moves.splice(10, 1), ['moves.complete TB1']],
];
test.each(unknowns)('%s not known: missing there, no stop, and the plan not clear', (_, edit, expected) => {
  const plan = faulty(edit);
  expect(names(plan, 'missing').sort()).toEqual(expected.sort());
  expect(names(plan, 'stop').filter((name) => !name.startsWith('move.order S1'))).toEqual([]);
  for (const check of of(plan, 'missing')) {
    expect(check.ratio).toBeNull();
    expect(say(check, 'metric').length).toBeGreaterThan(15);
  }
  expect(evaluate(plan).verdict).not.toBe('clear');
});

test('a section that is in no table makes weight and all that leans on it missing', () => {
  const missing = names(
    faulty((p) => (p.pieces[0]!.section = 'W99x999')),
    'missing',
  );
  expect(missing).toEqual(expect.arrayContaining(['piece.weight TB1', 'lift.chart TB1', 'rigging.tension TB1', 'set.postLoad P1', 'set.postLoad P2']));
});

describe('margins', () => {
  test('a rating equal to its load is a stop', () => {
    const gross = evaluate(demoPlan()).checks.find((check) => check.id === 'lift.chart')!.demand!;
    const plan = demoPlan();
    plan.cranes[0]!.chart!.capacity = plan.cranes[0]!.chart!.capacity.map((row) => row.map((value) => (value === null ? null : gross)));
    const check = evaluate(plan).checks.find((one) => one.id === 'lift.chart')!;
    expect(check.ratio).toBe(1);
    expect(check.verdict).toBe('stop');
  });
  test('the US rule set is tight from 75 % of the chart where the European one is clear to 80 %', () => {
    const us = faulty((p) => (p.job.ruleSet = 'us-asd'));
    expect(names(us, 'tight')).toEqual(['lift.chart TB1']);
    expect(names(us, 'stop')).toEqual([]);
    expect(
      names(
        faulty((p) => (p.job.thresholds.chartCaution = 0.5)),
        'tight',
      ),
    ).toEqual(['lift.chart TB1']);
  });
  test('two statements that differ are both shown and warned of', () => {
    const plan = faulty((p) => {
      p.pieces[0]!.stated = { mass: 900, length: 9.4 };
      p.pieces[0]!.seat.statedSpan = 8.4;
    });
    // The heavier weight is what is carried; two lengths are a question.
    expect(names(plan, 'tight')).toEqual(['statement.mass TB1', 'rigging.tension TB1', 'lift.chart TB1']);
    expect(names(plan, 'missing')).toEqual(['statement.length TB1', 'statement.span P1 to P2', 'steel.twoLists TB1']);
    expect(say(of(plan, 'tight')[0]!, 'us').replace(/\u00a0/g, ' ')).toMatch(/make 1,82\d lb.*drawing says 1,984 lb/);
  });
});
