import { asWay, wayIn } from '../../../../tests/of-plan';
import fc from 'fast-check';
import { ticketHall } from '../../../../tests/demo-plan';
import { describe as say } from '../../verdict/describe';
import { openPlan } from '../../document/open';
import { PLAN_VERSION, type Leg, type Plan } from '../../document/schema';
import { evaluate } from '../../evaluate/index';
import { rulesOf } from '../../rules/rule-sets';
import { splitOf } from '../../settle/way-pieces';
import { Missing } from '../../verdict/missing';
import { settle } from '../../settle/settle';

type Edit = (plan: Plan) => unknown;
const edited = (edit: Edit): Plan => {
  const plan = ticketHall();
  edit(plan);
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(opened.faults[0]?.error);
  return opened.plan;
};
const names = (plan: Plan, verdict: string) =>
  evaluate(plan)
    .checks.filter((check) => check.verdict === verdict)
    .map((check) => `${check.id} ${check.subject}`);
const sentence = (plan: Plan, id: string) => {
  const check = evaluate(plan).checks.find((one) => `${one.id} ${one.subject}` === id);
  if (!check) throw new Error(`no ${id}`);
  return say(check, plan.job.units).replace(/\u00a0/g, ' ');
};
const leg = <K extends Leg['kind']>(plan: Plan, kind: K) => wayIn(plan).legs.find((one) => one.kind === kind) as Extract<Leg, { kind: K }>;
const stairs: Leg = {
  id: 'st',
  name: 'Cellar stairs',
  at: { x: 3, y: 3 },
  kind: 'stairs',
  width: 0.95,
  landing: 1.9,
  headRoom: 1.9,
  pitchDeg: 36,
  turns: true,
};
const link = (plan: Plan, id: string) => plan.links.find((one) => one.id === id)!;

/** Hold points nobody has passed yet. */
const open = ['hold.HP6 HP6', 'hold.HP12 HP12', 'hold.HP13 HP13', 'hold.HP26 HP26'];

test('the ticket hall as it is: nothing stops it, four hold points are not recorded yet', () => {
  expect(names(ticketHall(), 'stop')).toEqual([]);
  expect(names(ticketHall(), 'missing')).toEqual(open);
});

/** One fault each: that stop and no other. */
const faults: [string, Edit, string, RegExp][] = [
  [
    'a piece cut from the drawing',
    (p) => (Object.assign(p.members[0]!, { length: 4.31 }), (wayIn(p).cuts = [1.05, 3.26])),
    'measure.cut Hall opening',
    /is 4.310 mm and only 4.301.6 mm goes between/,
  ],
  [
    'a piece that hardly reaches',
    (p) => (Object.assign(p.members[0]!, { length: 4 }), (wayIn(p).cuts = [0.98, 3.02])),
    'measure.bearing Hall opening',
    /bears 46 mm at each end/,
  ],
  [
    'a pocket cut to the bare flange',
    (p) => (p.survey.openings[0]!.bay.width = 0.2),
    'measure.pocket Hall opening, width',
    /packed is 209.9 mm in width and needs 222.6 mm/,
  ],
  ['packing too thick for the ceiling', (p) => (p.members[0]!.packing.height = 0.03), 'measure.pocket Hall opening, height', /in height/],
  ['one bolt cast 12 mm off', (p) => (p.survey.patterns[0]!.bolts[2]!.cast = { x: 0.082, y: 0.07 }), 'measure.bolts Post B base', /will not go on/],
  ['spans that do not add up', (p) => (p.survey.lines[0]!.stated = 4.2), 'measure.spans Seats A to B', /the drawing says 4.20 m/],
  ['a floor with a step', (p) => (p.survey.openings[0]!.finish.meets = 2.95), 'measure.step Hall opening', /9 mm above/],
  ['a seat that crushes', (p) => (p.bearings[0]!.allowable = 0.5e6), 'path.seat A', /pressed 0.7 MPa/],
  ['an overloaded pier', (p) => (link(p, 'pierA').capacity = 30e3), 'path.link Brick pier A', /takes 39.5 kN; it may carry 30.0 kN/],
  ['a capacity that equals its load', (p) => exactly(p, 'blockB'), 'path.link Blocking under B', /takes/],
  ['soft ground', (p) => (link(p, 'footA').foot!.allowable = 60e3), 'path.foot Stepped footing A', /presses 81 kPa/],
  ['a post on nothing', (p) => (link(p, 'blockB').standsOn = []), 'path.gap Blocking under B', /stands on nothing/],
  ['a beam whose load goes nowhere', (p) => link(p, 'beamB').standsOn.pop(), 'path.shares Cellar beam', /Only 60 % of Cellar beam/],
  ['a van too near the wall', (p) => (leg(p, 'truck').freeRadius = 1), 'way.truck Off the van', /no more than 1.9\d m passes/],
  ['a door too narrow at that angle', (p) => (leg(p, 'opening').width = 0.3), 'way.opening Gable door', /does not pass Gable door at any length/],
  ['a tight corner', (p) => Object.assign(leg(p, 'corner'), { corridorA: 0.85, corridorB: 0.85 }), 'way.corner Corridor corner', /passes Corridor corner/],
  ['props too near each other along the way', (p) => (leg(p, 'props').room = 2), 'way.props Between the prop rows', /no more than 2.00 m/],
  ['a ramp with a weak line', (p) => (leg(p, 'ramp').line = 100), 'way.ramp Quay ramp', /hold it back/],
  ['a pull that cannot start it', (p) => (leg(p, 'rollers').line = 60), 'way.rollers Trolley to the wall', /to start/],
  ['a weak floor', (p) => (leg(p, 'floor').allowable = 1200), 'way.floor Hall floor', /is allowed/],
  ['a weak board under a skate', (p) => (leg(p, 'floor').pointAllowable = 400), 'way.floorPoint Hall floor', /A skate at Hall floor/],
  [
    'too few to carry',
    (p) => Object.assign(leg(p, 'carry'), { people: 3, reach: 0.25 }),
    'way.team Onto the lifts',
    /4 people by the guideline, and 3 are named/,
  ],
  ['hands too far out', (p) => (leg(p, 'carry').reach = 0.6), 'way.niosh Onto the lifts', /is recommended/],
  ['hands further than any lift', (p) => (leg(p, 'carry').reach = 0.7), 'way.niosh Onto the lifts', /any weight to be recommended/],
  ['a short van', (p) => (wayIn(p).transport = 2), 'way.transport TH1/2', /the truck takes 2.00 m/],
  ['lifts rated at the load', (p) => ((wayIn(p).gear.mass = 60), delete p.raises), 'way.gear TH1/2', /what two mast lifts may lift/],
  ['a splice at the peak', (p) => (wayIn(p).cuts = [2.1]), 'way.splice splice 1', /100 % of the peak/],
  [
    'a hold signed before the strip-out',
    (p) => (p.holds.find((one) => one.id === 'HP5')!.on = '2026-10-01'),
    'hold.HP5 HP5',
    /before the strip-out of 16 Oct 2026\. Do it again/,
  ],
  [
    'drawings that do not agree',
    (p) => (p.survey.overlays[1]!.settled = ' '),
    'measure.overlay Heating pipe crosses the beam pocket at A',
    /nobody has settled it/,
  ],
  [
    'a piece buried in its pile',
    (p) => ((p.members[4]!.stack = 1), (p.members[5]!.stack = 2)),
    'steel.pile Quay yard, bay 1',
    /TH5 is wanted before TH6 and lies under it/,
  ],
  [
    'a section that sags',
    (p) => ((p.survey.openings[0]!.choice.live = 14000), (p.job.thresholds.deflectionShare = 1000)),
    'steel.carries Hall opening',
    /sag under what comes and goes, 8.1 mm of 4\.1 mm/,
  ],
  [
    'a cut list of an older revision',
    (p) => (p.survey.revisions.cutList = 'B'),
    'measure.revision Drawings',
    /The design in force is of revision C; the cut list is of B/,
  ],
  [
    'a post the tape found in the counter to come',
    (p) =>
      p.site.obstructions.push({ id: 'n', name: 'the new counter', at: { x: 5, y: 0.5 }, length: 2, width: 0.6, azimuthDeg: 0, height: 1 }) &&
      (p.bearings[1]!.measured!.y = 0.12),
    'measure.standsIn B, the new counter',
    /B, 120.6 mm off the drawing, stands in the new counter; as drawn it stood clear/,
  ],
  ['stairs with a tight landing', (p) => wayIn(p).legs.push({ ...stairs, landing: 0.7 }), 'way.stairs Cellar stairs', /passes Cellar stairs/],
  ['stairs with no head room', (p) => wayIn(p).legs.push({ ...stairs, headRoom: 0.2, turns: false }), 'way.stairs Cellar stairs', /at any length/],
  ['a piece too long for the van', (p) => (p.members[5]!.length = 3.9), 'steel.truck TH6', /takes 3.40 m/],
];
function exactly(plan: Plan, id: string): void {
  const check = evaluate(plan).checks.find((one) => one.id === 'path.link' && one.subject === link(plan, id).name);
  link(plan, id).capacity = check!.demand;
}
test.each(faults)('%s: that stop and no other', (_, edit, id, words) => {
  const plan = edited(edit);
  expect(names(plan, 'stop')).toEqual([id]);
  expect(sentence(plan, id)).toMatch(words);
});

test('a measure older than the strip-out stops everything measured then', () => {
  const stops = names(
    edited((p) => (p.survey.strippedOn = '2026-10-25')),
    'stop',
  );
  expect(stops).toEqual([
    'measure.stale A',
    'measure.stale B',
    'measure.stale Hall opening',
    'measure.cutList Cut list',
    'measure.lookedOver Old building',
    'hold.HP5 HP5',
  ]);
});
test('a path that runs in a ring is told so, and nothing hangs', () => {
  const plan = edited((p) => (link(p, 'footB1').standsOn = [{ link: 'blockB', share: 1 }]));
  expect(names(plan, 'stop')).toContain('path.loop Load path');
});

/** What is not known is asked, never clear. */
const unknowns: [string, Edit, string[]][] = [
  ['the revision in hand', (p) => (p.survey.revisions.survey = ' '), ['measure.revision Drawings']],
  ['site width', (p) => (p.survey.openings[0]!.clear.measured = null), ['measure.opening Hall opening']],
  ['who measured', (p) => (p.survey.openings[0]!.by = ''), ['measure.who Hall opening']],
  ['site measure of a bearing', (p) => (p.bearings[0]!.measured = null), ['measure.site A']],
  ['one figure of a bearing', (p) => (p.bearings[0]!.measured!.level = null), ['measure.site A, seat level']],
  [
    'which piece',
    (p) => (p.survey.openings[0]!.member = null),
    [
      'measure.cut Hall opening',
      'way.splice splice 1',
      'way.splice splice 2',
      'path.seat A',
      'path.seat B',
      ...ticketHall()
        .links.filter((one) => one.id !== 'hallSlab')
        .map((one) => `path.link ${one.name}`),
      'raise.load the load',
      'shore.strike Strike',
      'moves.unset TH1',
      'path.bearing A',
      'path.bearing B',
    ],
  ],
  ['a bolt as cast', (p) => (p.survey.patterns[0]!.bolts[0]!.cast.y = null), ['measure.bolts Post B base']],
  ['what a bearing stands on', (p) => (p.bearings[0]!.standsOn = []), ['path.gap A', 'path.unused Padstone A']],
  ['what a link may carry', (p) => (link(p, 'pierA').capacity = null), ['path.link Brick pier A']],
  ['what the ground may take', (p) => (link(p, 'footA').foot!.allowable = null), ['path.foot Stepped footing A']],
  ['stress in the seat', (p) => (p.bearings[0]!.allowable = null), ['path.seat A']],
  ['room round the van', (p) => (leg(p, 'truck').freeRadius = null), ['way.truck Off the van']],
  ['door', (p) => (leg(p, 'opening').height = null), ['way.opening Gable door']],
  ['corridor', (p) => (leg(p, 'corner').corridorB = null), ['way.corner Corridor corner']],
  ['props', (p) => (leg(p, 'props').gap = null), ['way.props Between the prop rows']],
  ['slope', (p) => (leg(p, 'ramp').slopeDeg = null), ['way.ramp Quay ramp']],
  ['line', (p) => (leg(p, 'rollers').line = null), ['way.rollers Trolley to the wall']],
  ['landing', (p) => wayIn(p).legs.push({ ...stairs, landing: null }), ['way.stairs Cellar stairs']],
  ['flight', (p) => wayIn(p).legs.push({ ...stairs, width: null }), ['way.stairs Cellar stairs']],
  ['who settled a clash', (p) => (p.survey.overlays[0]!.by = ''), ['measure.overlay Post B stands in the new ticket counter']],
  ['when a piled piece is wanted', (p) => (p.members[4]!.order = null), ['steel.pile Quay yard, bay 1']],
  ['a permit', (p) => (p.members[5]!.travel.permit = null), ['steel.permit TH6']],
  ['how the flange is held', (p) => (p.survey.openings[0]!.choice.unbraced = null), ['steel.carries Hall opening']],
  ['what comes and goes', (p) => (p.survey.openings[0]!.choice.live = null), ['steel.carries Hall opening']],
  ['a grade nobody knows', (p) => (p.members[0]!.grade = 'as found'), ['steel.carries Hall opening', 'shore.restraint TH1']],
  ['people', (p) => (leg(p, 'carry').people = null), ['way.team Onto the lifts']],
  ['floor', (p) => Object.assign(leg(p, 'floor'), { allowable: null, pointAllowable: null }), ['way.floor Hall floor', 'way.floorPoint Hall floor']],
  ['what brings it', (p) => ((wayIn(p).transport = null), (p.transport.trucks = [])), ['steel.truck TH6', 'way.transport TH1/2']],
  ['the engineer’s bolts', (p) => (wayIn(p).splice.bolts = null), ['way.bolts splice 1', 'way.bolts splice 2']],
  ['who gave the bolts', (p) => (wayIn(p).splice.engineer = ' '), ['way.bolts splice 1', 'way.bolts splice 2']],
  ['gear', (p) => ((wayIn(p).gear.mass = null), delete p.raises), ['raise.with TH1', 'way.gear TH1/2']],
  ['the way', (p) => (wayIn(p).legs = []), ['way.route TH1']],
  ['a section in no table', (p) => (p.members[5]!.make = { kind: 'section', section: 'ZZ 1' }), ['steel.weight TH6', 'steel.turn TH6']],
  ['evidence of a hold', (p) => (p.holds[0]!.evidence = ' '), ['hold.HP0 HP0']],
];
test.each(unknowns)('%s not known: asked there and nowhere else, and the plan is not clear', (_, edit, expected) => {
  const plan = edited(edit);
  expect(names(plan, 'missing').sort()).toEqual([...expected, ...open].sort());
  expect(names(plan, 'stop')).toEqual([]);
  expect(evaluate(plan).verdict).toBe('missing');
});
test('load along an opening not known: every link under it asks', () => {
  const missing = names(
    edited((p) => (p.survey.openings[0]!.lineLoad = null)),
    'missing',
  );
  expect(missing).toEqual(expect.arrayContaining(['path.link Brick pier A', 'path.link Cellar beam', 'path.seat A', 'way.splice splice 1']));
});

describe('measured goes before drawn', () => {
  test('length to cut follows the tape', () => {
    const cut = (plan: Plan) => evaluate(plan).derived.find((one) => one.id === 'cut')!.value;
    expect(cut(ticketHall())).toBeCloseTo(3.908 + 0.3 - 0.00635, 9);
    expect(cut(edited((p) => (p.survey.openings[0]!.clear.measured = null)))).toBeCloseTo(3.92 + 0.3 - 0.00635, 9);
  });
  test('a seat found 5 mm low wants 5 mm of shims; one found high is told so, one at its level asks for none', () => {
    const shims = (level: number | null) =>
      evaluate(edited((p) => (p.bearings[1]!.measured!.level = level))).derived.find((one) => one.id === 'shims' && one.subject === 'B');
    expect(shims(2.695)).toMatchObject({ title: 'Shims under it, in all', value: expect.closeTo(0.005, 9) });
    expect(shims(2.71)).toMatchObject({ title: 'Stands too high by', value: expect.closeTo(0.01, 9) });
    expect(shims(2.7)).toBeUndefined();
    expect(shims(null)).toBeUndefined();
  });
  test('nuts go up by what the seat is low, at 2 mm a turn', () => {
    const turns = evaluate(ticketHall()).derived.find((one) => one.id === 'turns');
    expect(turns?.value).toBeCloseTo((2.7 - 2.695) / 0.002, 6);
  });
});

describe('load path', () => {
  test('a hand sum: half of 14 kN/m over 4.208 m and half the piece, down to the footing', () => {
    const check = evaluate(ticketHall()).checks.find((one) => one.id === 'path.foot' && one.subject === 'Stepped footing A')!;
    const beam = (14e3 * (3.908 + 0.3)) / 2 + ((131 + 14 + 6) * 1.05 * 9.80665) / 2;
    expect(check.demand! * 0.9 * 0.62).toBeCloseTo(beam + 220 + 9000 + 6000, 3);
  });
  test('what goes in comes out at ground, however the shares are set', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 40e3, noNaN: true }), (share, lineLoad) => {
        const plan = edited((p) => {
          p.survey.openings[0]!.lineLoad = lineLoad;
          link(p, 'beamB').standsOn = [
            { link: 'footB1', share },
            { link: 'footB2', share: 1 - share },
          ];
          for (const id of ['footB1', 'footB2']) link(p, id).capacity = 1e9;
        });
        const loads = evaluate(plan).checks.filter((one) => one.id === 'path.link' && one.subject.startsWith('Cellar footing'));
        const sum = loads.reduce((total, one) => total + one.demand!, 0);
        const above = evaluate(plan).checks.find((one) => one.id === 'path.link' && one.subject === 'Cellar beam')!.demand!;
        expect(sum).toBeCloseTo(above + 2 * 5000, 3);
      }),
      { numRuns: 30 },
    ));
});

describe('the way in and where to split', () => {
  const rules = rulesOf('eu-ls', {});
  test('one piece cannot turn the corner or pass the props, two would be spliced at the peak: three it is', () => {
    const split = splitOf(asWay(settle(ticketHall())), rules);
    if (split instanceof Missing) throw new Error('missing');
    expect(split.answer.best?.pieces).toHaveLength(3);
    expect(split.answer.fewer).toEqual({ pieces: 2, blockers: [{ limit: 'peak' }] });
    const whole = names(
      edited((p) => (wayIn(p).cuts = [])),
      'stop',
    );
    expect(whole).toEqual(expect.arrayContaining(['way.corner Corridor corner', 'way.props Between the prop rows', 'way.transport TH1']));
  });
  test('before the props stand they block nothing', () => {
    const plan = edited((p) => (leg(p, 'props').standing = false));
    expect(sentence(plan, 'way.props Between the prop rows')).toMatch(/does not stand yet/);
  });
  test('fewer bolts than the splice needs meanwhile is a stop at each, just as many is not', () => {
    const with9 = edited((p) => (wayIn(p).splice.bolts = 9));
    expect(names(with9, 'stop')).toEqual(['way.bolts splice 1', 'way.bolts splice 2']);
    expect(sentence(with9, 'way.bolts splice 1')).toMatch(/M. Lindqvist gives 9 bolts for splice 1 of TH1; .* it needs 10/);
    expect(
      names(
        edited((p) => (wayIn(p).splice.bolts = 10)),
        'stop',
      ),
    ).toEqual([]);
    expect(
      names(
        edited((p) => ((wayIn(p).cuts = []), (wayIn(p).splice.bolts = null))),
        'missing',
      ),
    ).not.toContain('way.bolts splice 1');
  });
  test('both schools size the splice, and say it is not the final design', () => {
    for (const ruleSet of ['eu-ls', 'us-asd'] as const) {
      const figures = evaluate(edited((p) => (p.job.ruleSet = ruleSet))).derived.filter((one) => one.id === 'splice');
      expect(figures).toHaveLength(2);
      expect(figures[0]!.value).toBeGreaterThanOrEqual(10);
      expect(figures[0]!.title).toMatch(/final design by the engineer/);
    }
  });
});

test('a plan of version 1 opens, with everything new asked about and nothing new clear', () => {
  const { survey: _s, links: _l, members: _m, transport: _t, ways: _w, holds: _h, shoring: _o, raises: _r, ...rest } = ticketHall();
  const old = {
    ...rest,
    moves: [],
    version: 1,
    bearings: rest.bearings.map(({ material: _a, allowable: _b, measured: _c, post: _d, standsOn: _e, ...bearing }) => bearing),
  };
  const opened = openPlan(JSON.parse(JSON.stringify(old)));
  if (!opened.ok) throw new Error(opened.faults[0]?.error);
  expect(opened.plan.version).toBe(PLAN_VERSION);
  const { checks } = evaluate(opened.plan);
  expect(checks.filter((check) => check.verdict === 'clear')).toEqual([]);
  expect(checks.some((check) => check.id === 'path.gap' && check.verdict === 'missing')).toBe(true);
});
