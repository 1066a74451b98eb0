import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, passengerCanopy, quayFootbridge, ticketHall, vehicleRamp } from '../../../../tests/demo-plan';
import { raised } from '../../../../tests/raised';
import { twoPostBent } from '../../../../tests/shores';
import { describe as words } from '../../verdict/describe';
import type { Check } from '../../verdict/check';
import type { Plan } from '../../document/schema';

/** A piece of the structure drawn higher by so much [m]. */
function rise(plan: { structure: { pieces: { id: string; from: { z: number } | null; to: { z: number } | null }[] } }, id: string, by: number): void {
  for (const piece of plan.structure.pieces) if (piece.id === id) for (const end of [piece.from, piece.to]) if (end) end.z += by;
}

const TODAY = '2026-11-28';
const rows = (checks: readonly Check[], id: string) =>
  checks
    .filter((one) => one.id === id && one.verdict !== 'clear')
    .map((check) => `${check.verdict} ${check.about.id}: ${words(check, 'metric').replace(/\u00a0/g, ' ')}`);

const say = (plan: Plan, id: string, today: string | null = TODAY) => rows(evaluated(plan, today).checks, id);

/** What a plan with no fault says, worked out once. */
const sound = new Map<() => Plan, readonly Check[]>();
function soundly(make: () => Plan): readonly Check[] {
  let known = sound.get(make);
  if (!known) sound.set(make, (known = evaluated(make(), TODAY).checks));
  return known;
}

type Any = any; // eslint-disable-line @typescript-eslint/no-explicit-any -- a test reaches into a plan by whatever way
const brace = (plan: Any, id: string) => plan.structure.braces.find((one: Any) => one.id === id);
const again = (plan: Any, n: number, at = n + 1) => plan.moves.splice(at, 0, { ...structuredClone(plan.moves[n]), id: 'again' });
const kindAt = (plan: Any, kind: string, nth = 0): number =>
  plan.moves.findIndex((one: Any, i: number) => one.kind === kind && plan.moves.slice(0, i).filter((o: Any) => o.kind === kind).length === nth);

/** One fault in a plan that says nothing of the kind, and what it then says. */
const faults: [string, () => Plan, (plan: Any) => void, string, RegExp][] = [
  [
    'one mark on two pieces that are not alike',
    vehicleRamp,
    (p) => (p.structure.pieces[1].mark = ' g1.1'),
    'said.twice',
    /^missing g1-2: Two pieces that are not alike are marked g1\.1: one of G\.1, one of G\.2\. What is written on this one\?/,
  ],
  [
    'both ends of an opening on one seat',
    ticketHall,
    (p) => (p.survey.openings[0].left = 'thb'),
    'said.twice',
    /^stop op1: Both ends of the piece over Hall opening/,
  ],
  [
    'one foot twice under a post',
    demoPlan,
    (p) => p.links[0].standsOn.push({ link: 'pad1', share: 1 }),
    'said.twice',
    /post1: Post 1 is said to stand on Pad 1 twice/,
  ],
  [
    'one foot twice under a bearing',
    demoPlan,
    (p) => p.bearings[0].standsOn.push({ link: 'post1', share: 1 }),
    'said.twice',
    /p1: P1 is said to stand on Post 1 twice/,
  ],
  [
    'one foot twice under a wall',
    ticketHall,
    (p) => p.shoring.lines[0].walls[0].standsOn.push({ ...p.shoring.lines[0].walls[0].standsOn[0] }),
    'said.twice',
    /is said to stand on Hall slab twice/,
  ],
  [
    'two jacks at one place',
    () => raised('jack'),
    (p) => p.raises[0].points.push({ ...structuredClone(p.raises[0].points[1]), id: 'j3', name: 'Jack 3' }),
    'said.twice',
    /and Jack 3 raise .* at one place/,
  ],
  [
    'two mast lifts a hand apart',
    () => raised('mastLift'),
    (p) => p.raises[0].points.push({ ...structuredClone(p.raises[0].points[0]), id: 'l3', name: 'Lift 3', at: 0.45 }),
    'said.twice',
    /Lift 3 and .* at one place/,
  ],
  [
    'a bolt cast where another is',
    ticketHall,
    (p) => (p.survey.patterns[0].bolts[2].drawn = { ...p.survey.patterns[0].bolts[0].drawn }),
    'said.twice',
    /Bolt 3 of Post B base is drawn where another is/,
  ],
  ['three bolts where there were four', ticketHall, (p) => p.survey.patterns[0].bolts.pop(), 'said.twice', /drawn with three bolts/],
  ['one sling written down twice', quayFootbridge, (p) => p.picks[0].gear.push(p.picks[0].gear[0]), 'said.twice', /is written down twice for the pick/],
  [
    'two bearings on one post',
    demoPlan,
    (p) => (p.bearings[0].standsOn[0].link = 'post2'),
    'said.twice',
    /P1 and P2 are 8.80 m apart, and both are said to stand on Post 2/,
  ],
  [
    'a bar lost from the pick',
    quayFootbridge,
    (p) => (p.picks[0].gear = p.picks[0].gear.filter((id: string) => id !== 'y-bar')),
    'gear.named',
    /With which spreader or lifting beam/,
  ],
  ['slings that are called something else', passengerCanopy, (p) => (p.yard[0].kind = 'other'), 'gear.named', /With which slings of the yard/],
  [
    'a mast lift on a crane’s hook',
    quayFootbridge,
    (p) => {
      p.yard.push({ ...structuredClone(p.yard[0]), id: 'ml', kind: 'mastLift' });
      p.picks[0].gear.push('ml');
    },
    'gear.named',
    /A mast lift of the yard is written down for G1a/,
  ],
  ['a bearing on the soil itself', demoPlan, (p) => (p.bearings[0].standsOn[0].link = 'soil2'), 'path.foot', /P1 is said to stand on Sand under pad 2 itself/],
  [
    'a wall with no foot on the soil',
    ticketHall,
    (p) => (p.links[1].standsOn[0].link = 'soilB'),
    'path.stands',
    /Brick pier A is said to stand on Sand under the cellar itself/,
  ],
  [
    'a footing on a post',
    demoPlan,
    (p) => Object.assign(p.links[1], { standsOn: [{ link: 'post2', share: 1 }] }),
    'path.stands',
    /Pad 1 is a footing and is said to stand on Post 2/,
  ],
  [
    'a post on a slab a storey higher',
    ticketHall,
    (p) => (p.links[6].standsOn[0].link = 'hallSlab'),
    'path.stands',
    /Cellar beam is in storey -1 and is said to stand on Hall slab in storey 0/,
  ],
  ['soil that is not the end', demoPlan, (p) => (p.links[1].kind = 'soil'), 'path.ground', /Pad 1 is soil and is not said to be the end/],
  [
    'a cross-frame from a girder to itself',
    quayFootbridge,
    (p) => (p.structure.braces[0].b.piece = p.structure.braces[0].a.piece),
    'brace.tied',
    /Both ends of .* are on G1a: it holds it to itself/,
  ],
  [
    'a strut across the whole roof',
    passengerCanopy,
    (p) => (p.structure.braces.find((o: Any) => o.kind === 'strut').b.piece = 'col-6-1'),
    'brace.long',
    /are drawn \d\d\.\d\d m apart/,
  ],
  [
    'a cross-frame with one end',
    quayFootbridge,
    (p) => Object.assign(p.structure.braces[0], { b: null, anchoredTo: 'the abutment wall' }),
    'brace.tied',
    /goes between two pieces by its kind/,
  ],
  [
    'bridging that is taken away',
    passengerCanopy,
    (p) => p.moves.push({ id: 'bf', kind: 'brace.free', brace: 'bridge-1-2' }),
    'moves.unbrace',
    /Is it for the erection only, or is it part/,
  ],
  [
    'a cross-frame of the finished work taken away',
    quayFootbridge,
    (p) => {
      p.structure.braces[0].stays = true;
      p.moves.push({ id: 'bf', kind: 'brace.free', brace: p.structure.braces[0].id });
    },
    'moves.unbrace',
    /is part of the finished work, and at the end it is taken away/,
  ],
  [
    'a guy for the erection that stays',
    passengerCanopy,
    (p) => {
      brace(p, 'guy-1').stays = false;
      p.moves = p.moves.filter((o: Any) => !(o.kind === 'brace.free' && o.brace === 'guy-1'));
    },
    'moves.unbrace',
    /is there for a time only and no move takes it away/,
  ],
  [
    'a bent made ready again after its strike',
    quayFootbridge,
    (p) => p.moves.push({ ...p.moves.find((o: Any) => o.kind === 'support.ready' && o.support === p.structure.supports[1].id), id: 'again' }),
    'moves.strike',
    /stands for a time only and no move strikes it/,
  ],
  [
    'a bearing that is struck',
    quayFootbridge,
    (p) => (p.structure.supports[1].kind = 'bearing'),
    'moves.strike',
    /is there for good by its kind, and at the end it is struck/,
  ],
  ['anchors nobody has counted', quayFootbridge, (p) => (p.structure.supports[0].kind = 'anchors'), 'support.anchors', /How many anchors hold/],
  ['anchors that let a column slide', passengerCanopy, (p) => (p.structure.supports[0].along = 'free'), 'support.anchors', /is said to be free to slide/],
  [
    'a joint on a column that is a beam',
    passengerCanopy,
    (p) => (p.structure.joints.find((o: Any) => o.kind === 'onWeb').kind = 'onColumn'),
    'joint.kind',
    /is said to be on a column, and .* lies/,
  ],
  [
    'a joint on a web that is a column',
    passengerCanopy,
    (p) => (p.structure.joints.find((o: Any) => o.kind === 'onColumn').kind = 'onWeb'),
    'joint.kind',
    /on the web of a beam, and .* stands upright/,
  ],
  [
    'a beam over the one whose web it is on',
    passengerCanopy,
    (p) => rise(p, 'between-0-1-0-2', 0.3),
    'joint.kind',
    /said to be on the web of .*, and J-B1\.2 lies wholly over it/,
  ],
  ['a beam under the one whose web it is on', passengerCanopy, (p) => rise(p, 'between-0-1-0-2', -0.3), 'joint.kind', /and J-B1\.2 lies wholly under it/],
  ['no way in for a beam set by hand', () => raised('jack'), (p) => (p.ways = []), 'way.none', /No way in is planned for/],
  ['a bearing made ready twice', demoPlan, (p) => again(p, kindAt(p, 'bearing.ready')), 'move.order', /P1 is not ready yet \(a move before did it\)/],
  [
    'a trial after the lift',
    demoPlan,
    (p) =>
      p.moves.splice(kindAt(p, 'pick.lift'), 0, ...p.moves.splice(kindAt(p, 'pick.trial'), 1)) &&
      p.moves.splice(kindAt(p, 'pick.trial') + 1, 0, ...p.moves.splice(kindAt(p, 'pick.trial'), 1)),
    'move.order',
    /TB1 is not lifted yet/,
  ],
  ['a lift twice', demoPlan, (p) => again(p, kindAt(p, 'pick.lift')), 'move.order', /TB1 is not lifted yet/],
  ['slung twice', demoPlan, (p) => again(p, kindAt(p, 'piece.sling')), 'move.order', /TB1 is not slung yet/],
  ['landed twice', demoPlan, (p) => again(p, kindAt(p, 'piece.land')), 'move.order', /TB1 is not landed yet/],
  ['tightened twice', demoPlan, (p) => again(p, kindAt(p, 'piece.tighten')), 'move.order', /TB1 is not tightened yet/],
  ['a line opened twice', ticketHall, (p) => again(p, kindAt(p, 'line.open')), 'move.order', /the line is not open yet/],
  ['a beam put in twice', ticketHall, (p) => again(p, kindAt(p, 'member.set')), 'move.order', /the new piece over Hall opening is not in yet/],
  ['a wall set twice', ticketHall, (p) => again(p, kindAt(p, 'shore.set')), 'move.order', /is not set yet \(a move before did it\)/],
  [
    'a wall set again after the strike',
    ticketHall,
    (p) => again(p, kindAt(p, 'shore.set'), p.moves.length),
    'move.order',
    /is not set yet \(a move before did it\)/,
  ],
  ['a step of the strike twice', ticketHall, (p) => again(p, kindAt(p, 'shore.strike')), 'move.order', /is not struck yet \(a move before did it\)/],
  [
    'an old measure of a bearing',
    demoPlan,
    (p) => (p.bearings[0].measured.on = '2025-11-01'),
    'said.old',
    /^tight p1: The measure of P1 is of 1 Nov 2025, 392 days ago/,
  ],
  ['an old level of a support', vehicleRamp, (p) => (p.structure.supports[0].measured.on = '2020-01-01'), 'said.old', /^tight .*The level of/],
  ['an old survey of a pattern', ticketHall, (p) => (p.survey.patterns[0].on = '2020-01-01'), 'said.old', /^tight bp1/],
  ['an old agreement about drawings', ticketHall, (p) => (p.survey.overlays[0].on = '2020-01-01'), 'said.old', /^tight .*What was agreed of/],
  ['an old agreement about a power line', demoPlan, (p) => (p.site.powerLines[0].guard.on = '2020-01-01'), 'said.old', /^tight .*What was agreed about/],
  ['an old signature', demoPlan, (p) => (p.holds[0].on = '2020-01-01'), 'said.old', /^tight .*The record of HP/],
];

test.each(faults)('%s is told', (_name, make, edit, id, sentence) => {
  expect(rows(soundly(make), id).filter((one) => sentence.test(one))).toEqual([]);
  const plan = make();
  edit(plan);
  expect(say(plan, id).join('\n')).toMatch(sentence);
});

test('a record of a year ago to the day is not old, and without a day nothing is', () => {
  const old = (on: string, today: string | null) => {
    const plan: Any = demoPlan();
    plan.bearings[0].measured.on = on;
    return say(plan, 'said.old', today).filter((one) => one.includes(' p1:'));
  };
  expect(old('2025-11-28', TODAY)).toEqual([]);
  expect(old('2025-11-27', TODAY)).toHaveLength(1);
  expect(old('2020-01-01', null)).toEqual([]);
});

test('one foot twice under a support of the structure, and under a bent', () => {
  const bridge: Any = quayFootbridge();
  bridge.links.push({ ...structuredClone(ticketHall().links[0]), id: 'lk', name: 'Pad under pier', standsOn: [], ground: true });
  bridge.structure.supports[0].standsOn = [
    { link: 'lk', share: 0.5 },
    { link: 'lk', share: 0.5 },
  ];
  expect(say(bridge, 'said.twice').join()).toMatch(/is said to stand on Pad under pier twice/);
  const hall: Any = ticketHall();
  hall.shoring.bents.push({ ...twoPostBent(), standsOn: [hall.links[0], hall.links[0]].map(({ id }: Any) => ({ link: id, share: 0.5 })) });
  expect(say(hall, 'said.twice').join()).toMatch(/is said to stand on Padstone A twice/);
});

test('a beam on a web shares some height with it: less than a centimetre is none', () => {
  const at = (up: number) => {
    const plan: Any = passengerCanopy();
    rise(plan, 'between-0-1-0-2', up);
    return say(plan, 'joint.kind').length;
  };
  // 220 mm deep from 3.98 m, in beams from 3.9 to 4.2 m: both its ends are asked.
  expect([at(0.2), at(0.215), at(-0.28), at(-0.295)]).toEqual([0, 2, 0, 2]);
});

test('a beam seated on a column is no beam on a web, and a hoist of nobody’s yard is not asked of it', () => {
  const canopy: Any = passengerCanopy();
  for (const joint of canopy.structure.joints) if (joint.kind === 'onColumn') joint.kind = 'seat';
  expect(say(canopy, 'joint.kind')).toEqual([]);
  const hoisted = (yard: string[], gear: string[]): string => {
    const plan: Any = raised('hoist');
    plan.yard = yard.map((kind) => ({ id: kind, kind, name: `${kind} 1`, rating: 900, inspected: null }));
    plan.raises[0].gear = gear;
    return say(plan, 'gear.named').join();
  };
  expect(hoisted(['shackles'], ['shackles'])).toBe('');
  expect(hoisted(['shackles', 'hoist'], ['shackles'])).toMatch(/With which hoist of the yard/);
  expect(hoisted(['hoist', 'mastLift'], ['hoist', 'mastLift'])).toMatch(/A mast lift of the yard is written down for .*, which is lifted without one/);
});

test('a clamp of the yard is asked of a pick held by clamps', () => {
  const bridge = (changes: object): string => {
    const plan: Any = quayFootbridge();
    plan.yard.push({ ...structuredClone(plan.yard[0]), id: 'yc', kind: 'clamp', name: 'C 1' });
    Object.assign(plan.picks[0], changes);
    return say(plan, 'gear.named').join();
  };
  expect(bridge({})).toBe('');
  expect(bridge({ hitch: { kind: 'clamps', carries: 5000 } })).toMatch(/With which beam clamps of the yard is G1a lifted/);
});

test('two hoists a foot apart are two', () => {
  const plan: Any = raised('hoist');
  plan.raises[0].points.push({ ...structuredClone(plan.raises[0].points[0]), id: 'h3', name: 'Hoist 3', at: 0.8 });
  expect(say(plan, 'said.twice')).toEqual([]);
});

test('what may be done again is not asked: a second trial, a second plumbing', () => {
  const plan: Any = demoPlan();
  again(plan, kindAt(plan, 'pick.trial'));
  plan.moves.splice(kindAt(plan, 'piece.plumb'), 0, { ...plan.moves[kindAt(plan, 'piece.plumb')], id: 'plumb2' });
  expect(say(plan, 'move.order')).toEqual([]);
});

test('a strut taken away is for a time, a guy that stays harms nobody, and what is put back stays', () => {
  const plan: Any = passengerCanopy();
  plan.moves = plan.moves.filter((one: Any) => one.kind !== 'brace.free');
  plan.moves.push({ id: 'f1', kind: 'brace.free', brace: 'bridge-1-2' }, { id: 'f2', kind: 'brace.fix', brace: 'bridge-1-2' });
  plan.moves.push({ id: 'f3', kind: 'brace.free', brace: plan.structure.braces.find((one: Any) => one.kind === 'strut').id });
  expect(say(plan, 'moves.unbrace')).toEqual([]);
});

describe('no power line drawn', () => {
  const bridge = (walked: unknown): Plan => {
    const plan: Any = quayFootbridge();
    plan.site.walked = walked;
    return plan as Plan;
  };
  test.each<[unknown, RegExp]>([
    [undefined, /nobody has said that there is none near the work/],
    [null, /nobody has said/],
    [{ by: 'site', on: '2026-10-19' }, /names nobody/],
    [{ by: 'R. Adeyemi', on: '' }, /has no date/],
    [{ by: 'R. Adeyemi', on: '2027-10-19' }, /which is still to come/],
  ])('%j: who looked for one is asked', (walked, sentence) => expect(say(bridge(walked), 'site.walked').join()).toMatch(sentence));
  test('somebody looked, or a line is drawn, or nothing is lifted by crane: not asked', () => {
    expect(say(bridge({ by: 'R. Adeyemi', on: '2026-10-19' }), 'site.walked')).toEqual([]);
    expect(evaluated(demoPlan(), TODAY).checks.some((one) => one.id === 'site.walked')).toBe(false);
    expect(evaluated(raised('jack'), TODAY).checks.some((one) => one.id === 'site.walked')).toBe(false);
  });
  test('a walk of long ago is told', () => expect(say(bridge({ by: 'R. Adeyemi', on: '2024-01-01' }), 'said.old').join()).toMatch(/The walk for power lines/));
});

test.each<[string, (plan: Any) => void, string, RegExp]>([
  [
    'two readings of one bearing',
    (p) =>
      p.holds
        .find((o: Any) => (o.readings ?? []).length > 0)
        .readings.push(structuredClone(p.holds.find((o: Any) => (o.readings ?? []).length > 0).readings[0])),
    'said.twice',
    /HP\d+ has two readings of one thing/,
  ],
  [
    'a post with a slab’s figure on sand',
    (p) => (p.links[0].standsOn[0].link = 'soil2'),
    'path.stands',
    /Post 1 stands on Sand under pad 2, which is said to take more than any soil does/,
  ],
])('%s is told', (_name, edit, id, sentence) => {
  const plan = demoPlan();
  edit(plan);
  expect(say(plan, id).join('\n')).toMatch(sentence);
});
