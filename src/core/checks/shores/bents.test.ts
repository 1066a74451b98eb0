import { ticketHall } from '../../../../tests/demo-plan';
import { twoPostBent } from '../../../../tests/shores';
import { rulesOf } from '../../rules/rule-sets';
import { describe as say } from '../../verdict/describe';
import { Missing } from '../../verdict/missing';
import { openPlan } from '../../document/open';
import type { Bent, Plan } from '../../document/schema';
import { evaluate } from '../../evaluate/index';
import { bentOf, bentStages, type BentAnswer } from './bent-answer';

const plainLoad = { bearing: 0.2, from: 1, to: null };
const bent = twoPostBent;
const planOf = (changes: Partial<Bent> = {}, edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = ticketHall();
  plan.moves = [];
  plan.site.standingGust = 12;
  plan.shoring = { ...plan.shoring, lines: [], bents: [bent(changes)] };
  plan.links.find((link) => link.id === 'hallSlab')!.capacity = 400e3;
  edit(plan);
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(opened.faults[0]?.error);
  return opened.plan;
};
const names = (plan: Plan, verdict: string) =>
  evaluate(plan)
    .checks.filter((check) => check.station === 'shores' && check.verdict === verdict)
    .map((check) => check.id);
const sentence = (plan: Plan, id: string) =>
  say(
    evaluate(plan).checks.find((check) => check.id === id)!,
    'metric',
  ).replace(/\u00a0/g, ' ');
const solved = (changes: Partial<Bent> = {}): BentAnswer => {
  const answer = bentOf(bent(changes), rulesOf('eu-ls', {}));
  if (answer instanceof Missing || typeof answer === 'string') throw new Error('not solved');
  return answer;
};

test('a bent that holds: nothing stops it, nothing is missing', () => {
  expect(names(planOf(), 'stop')).toEqual([]);
  expect(names(planOf(), 'missing')).toEqual([]);
});
test('by hand: each post half of all; the header bends with P·a less its tip', () => {
  const own = 46.1 * 9.80665 * 1.35;
  const { reactions, moment, total } = solved();
  expect(reactions[0]).toBeCloseTo(90e3 + own * 2, 0);
  expect(total).toBeCloseTo(180e3 + own * 4, 0);
  // At the middle: R·1.5 − P·1 − w·2²/2.
  expect(moment).toBeCloseTo((90e3 + own * 2) * 1.5 - 90e3 - own * 2, -2);
});
test('off the middle, by lever: 120 kN at 1 m between posts at 0.5 and 3.5 m', () => {
  const { reactions } = solved({ loads: [{ id: 'a', what: 'G', at: 1, force: 120e3, ...plainLoad }] });
  const own = 46.1 * 9.80665 * 1.35;
  expect(reactions[0]).toBeCloseTo((120e3 * 2.5) / 3 + own * 2, 0);
  expect(reactions[1]).toBeCloseTo((120e3 * 0.5) / 3 + own * 2, 0);
});
test('three posts share as a continuous header does: the middle takes 11/16 twice over', () => {
  const { reactions } = solved({
    header: { section: 'UC 203x203x46', grade: 'S275', length: 4 },
    posts: [0, 2, 4],
    loads: [
      { id: 'a', what: 'G1', at: 1, force: 160e3, ...plainLoad },
      { id: 'b', what: 'G2', at: 3, force: 160e3, ...plainLoad },
    ],
  });
  const own = 46.1 * 9.80665 * 1.35;
  expect(reactions[1]).toBeCloseTo(2 * (11 / 16) * 160e3 + 1.25 * own * 2, 0);
});

const faults: [string, Partial<Bent>, string, RegExp][] = [
  [
    'a header too slight',
    { header: { section: 'UC 152x152x23', grade: 'S275', length: 4 }, loads: [{ id: 'a', what: 'G', at: 2, force: 75e3, ...plainLoad }] },
    'shore.header',
    /bends with/,
  ],
  [
    'a web that crushes over its post',
    {
      cap: 0.01,
      header: { section: 'IPE 200', grade: 'S355', length: 4 },
      posts: [0.97, 3.03],
      loads: [
        { id: 'a', what: 'G1', at: 1, force: 115e3, ...plainLoad },
        { id: 'b', what: 'G2', at: 3, force: 115e3, ...plainLoad },
      ],
    },
    'shore.headerWeb',
    /presses its web/,
  ],
  ['a post that buckles', { post: { section: 'UC 152x152x23', grade: 'S275', height: 9, braces: 0 } }, 'shore.post', /9.00 m high/],
  ['a pad too small', { pad: { length: 0.6, width: 0.6, allowable: 150e3 } }, 'shore.pad', /150 kPa is allowed/],
  ['a jack rated under its load', { jack: { capacity: 80e3, stroke: 0.15, need: 0.04 } }, 'shore.jack', /80.0 kN is its rating/],
  ['a jack that runs out of stroke', { jack: { capacity: 200e3, stroke: 0.03, need: 0.04 } }, 'shore.stroke', /its jacks have 30 mm/],
  ['nothing to hold it sideways', { lateral: 2e3 }, 'shore.lateral', /2.00 kN is held/],
  [
    'a girder the wind rolls over',
    { girder: { weight: 20e3, length: 20, depth: 1.5, bearingWidth: 0.3 }, tieDown: 1e3 },
    'shore.rollover',
    /of tie-down on each side/,
  ],
  ['loads past the posts: it tips', { posts: [2, 3.5], loads: [{ id: 'a', what: 'G', at: 0.2, force: 90e3, ...plainLoad }] }, 'shore.header', /tips/],
];
test.each(faults)('%s: that stop and no other', (_, changes, id, words) => {
  const plan = planOf(changes);
  expect(names(plan, 'stop')).toEqual([id]);
  expect(sentence(plan, id)).toMatch(words);
});

const unknowns: [string, Partial<Bent>, string][] = [
  ['any load', { loads: [] }, 'shore.header'],
  ['a load', { loads: [{ id: 'a', what: 'G1', at: 1, force: null, ...plainLoad }] }, 'shore.header'],
  ['the header', { header: { section: 'ZZ', grade: 'S275', length: 4 } }, 'shore.header'],
  ['its steel', { header: { section: 'IPE 300', grade: 'old', length: 4 } }, 'shore.header'],
  ['the posts', { post: { section: 'ZZ', grade: 'S275', height: 3, braces: 0 } }, 'shore.post'],
  ['their steel', { post: { section: 'UC 152x152x30', grade: '', height: 3, braces: 0 } }, 'shore.post'],
  ['the ground', { pad: { length: 1, width: 1, allowable: null } }, 'shore.pad'],
  ['the bracing', { lateral: null }, 'shore.lateral'],
  ['what holds the girder down', { girder: { weight: 20e3, length: 20, depth: 1.5, bearingWidth: 0.3 }, tieDown: null }, 'shore.rollover'],
  ['what it stands on', { standsOn: [] }, 'shorePath.gap'],
];
test.each(unknowns)('%s not known: asked, and nothing is a stop for it', (_, changes, id) => {
  const plan = planOf(changes);
  expect(names(plan, 'missing')).toContain(id);
  expect(names(plan, 'stop')).toEqual([]);
});
test('no gust in the forecast: the girder’s standing is not known', () =>
  expect(
    names(
      planOf({}, (p) => (p.site.standingGust = null)),
      'missing',
    ),
  ).toEqual(['shore.lateral', 'shore.rollover']));
test('by the other school with its own steel it is worked out too', () => {
  const plan = planOf(
    { header: { section: 'W8x31', grade: 'A992', length: 4 }, post: { section: 'W6x15', grade: 'A992', height: 3, braces: 1 } },
    (p) => (p.job.ruleSet = 'us-asd'),
  );
  expect(names(plan, 'missing')).toEqual([]);
  expect(names(plan, 'stop')).toEqual([]);
});
test('a post or a load past the end of its header is refused by the plan', () => {
  const plan = ticketHall();
  plan.shoring.bents = [bent({ posts: [0.5, 4.5] })];
  const opened = openPlan(plan);
  expect(opened).toMatchObject({ ok: false, faults: [{ path: 'shoring.bents[0].posts[1]', error: expect.stringMatching(/past the header/) }] });
});

describe('stages, guys, wind and days', () => {
  const staged = [
    { id: 'a', what: 'G1', at: 1, force: 90e3, bearing: 0.2, from: 1, to: null },
    { id: 'b', what: 'G2', at: 3, force: 90e3, bearing: 0.2, from: 2, to: 3 },
    { id: 'c', what: 'Hoist', at: 2, force: 20e3, bearing: 0.2, from: 2, to: 2 },
  ];
  test('each stage is solved with what stands there then; each post has the most of them', () => {
    const answer = solved({ loads: staged });
    const alone = solved({ loads: [staged[0]!] });
    const both = solved({ loads: staged.map((load) => ({ ...load, from: 1, to: null })) });
    expect(bentStages(bent({ loads: staged }))).toEqual([1, 2, 3, 4]);
    expect(answer.stages).toBe(4);
    expect(answer.stage).toBe(2);
    expect(Math.max(...answer.reactions)).toBeCloseTo(Math.max(...both.reactions), 3);
    expect(answer.reactions[0]).toBeGreaterThanOrEqual(alone.reactions[0]!);
  });
  test('a header that tips before its second girder comes is told, with the stage', () => {
    const loads = [
      { ...staged[0]!, at: 0.05, force: 200e3 },
      { ...staged[1]!, at: 2.5, from: 2, to: null },
    ];
    const answer = bentOf(bent({ loads, posts: [1, 1.5] }), rulesOf('eu-ls', {}));
    expect(answer).toMatch(/tips at stage 1/);
  });
  test('what presses the header’s web under a girder: a short seat is a stop', () => {
    const plan = planOf({
      loads: bent().loads.map((load) => ({ ...load, force: 160e3, bearing: 0.001 })),
      header: { section: 'IPE 200', grade: 'S275', length: 4 },
      posts: [0.9, 3.1],
    });
    expect(names(plan, 'stop')).toEqual(expect.arrayContaining(['shore.seat']));
    expect(names(planOf({ loads: bent().loads.map((load) => ({ ...load, bearing: null })) }), 'missing')).toEqual(['shore.seat', 'shore.seat']);
  });
  test('wind rules when it is more than the share of the load: ½ρv²·c·A, factored', () => {
    const plan = planOf({ sail: 60 }, (p) => (p.site.standingGust = 16));
    const check = evaluate(plan).checks.find((one) => one.id === 'shore.lateral')!;
    expect(check.demand).toBeCloseTo(0.5 * 1.25 * 16 ** 2 * 2 * 60 * 1.5, 3);
    expect(check.verdict).toBe('stop');
    expect(sentence(plan, 'shore.lateral')).toMatch(/by the wind/);
  });
  test('guys hold along the ground what they pull times the cosine, and bring down what they pull times the sine', () => {
    const guys = [{ id: 'g', what: 'Guys', angleDeg: 60, capacity: 20e3, count: 2 }];
    const free = { lateral: null, sail: 0, guys };
    const check = evaluate(planOf(free)).checks.find((one) => one.id === 'shore.lateral')!;
    expect(check.capacity).toBeCloseTo(2 * 20e3 * 0.5, 6);
    const post = (changes: Partial<Bent>) => evaluate(planOf(changes)).checks.find((one) => one.id === 'shore.post')!.demand!;
    expect(post(free) - post({ lateral: 50e3, sail: 0 })).toBeCloseTo(check.demand! * Math.tan(Math.PI / 3), 3);
    expect(sentence(planOf(free), 'shore.post')).toMatch(/pull of the guys/);
  });
  test('a guy nobody has rated is asked about', () =>
    expect(names(planOf({ guys: [{ id: 'g', what: 'Guy', angleDeg: 45, capacity: null, count: 1 }] }), 'missing')).toEqual(['shore.guy']));
  test.each([
    ['what the wind sees', { sail: null }, 'shore.lateral'],
    ['when it is accepted', { readyOn: '' }, 'shore.ready'],
    ['when its girder lands', { girderOn: 'soon' }, 'shore.ready'],
  ] as const)('%s not known is asked', (_, changes, id) => expect(names(planOf(changes), 'missing')).toEqual([id]));
  test.each([
    ['the same day', '2026-11-04', /0 days before/],
    ['after its girder', '2026-11-06', /before the bent is accepted/],
  ] as const)('accepted %s is a stop', (_, readyOn, words) => {
    expect(names(planOf({ readyOn }), 'stop')).toEqual(['shore.ready']);
    expect(sentence(planOf({ readyOn }), 'shore.ready')).toMatch(words);
  });
  test('its checks stand at the move that sets it', () => {
    const plan = planOf({}, (p) => (p.moves = [{ id: 'mv', kind: 'shore.set', shore: 'bt1' }]));
    expect(
      evaluate(plan)
        .checks.filter((check) => check.station === 'shores' && check.subject === 'Bent 1')
        .every((check) => check.move === 'mv'),
    ).toBe(true);
  });
});

test('posts with flanges of 77 mm in S355 yield at 335 MPa', () => {
  const of = (section: string) => {
    const post = { section, grade: 'S355', height: 3, braces: 0 };
    const { traces } = evaluate(planOf({ post })).checks.find(({ id }) => id === 'shore.post')!;
    return traces.flatMap(({ input }) => (input as { yield?: number }).yield ?? []);
  };
  expect(new Set(of('UC 356x406x634'))).toEqual(new Set([335e6]));
  expect(new Set(of('UC 203x203x46'))).toEqual(new Set([355e6]));
});
