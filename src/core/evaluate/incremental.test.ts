import fc from 'fast-check';
import { girderLines } from '../../../tests/girder-lines';
import { braced } from '../../../tests/diagonal';
import { inDays } from '../../../tests/in-days';
import { planted } from '../../../tests/planted';
import { portal, square } from '../../../tests/portal';
import { demoPlan, quayFootbridge, ticketHall } from '../../../tests/demo-plan';
import { splicedGirder } from '../../../tests/spliced-girder';
import { applyCommand } from '../edit/apply';
import { evaluate } from './';
import { afresh, sharing } from '../document/keep';
import { openPlan } from '../document/open';
import type { Move, Plan } from '../document/schema';

/** `KEEN_TRESTLE_PLANS` asks for more. */
const RUNS = Math.min(500, Number(process.env.KEEN_TRESTLE_PLANS ?? 4));
const TODAY = '2026-11-27';
/** Nothing keeps it from rolling over. */
const loose = (): Plan => {
  const plan = splicedGirder('us-asd');
  for (const one of plan.structure.supports) one.twist = false;
  return plan;
};
/** Ropes and joints taken out again and put back, and more set on what is left. */
const freed = (): Plan => {
  const plan = square();
  const own = (list: object[]) => list.map((move, n) => ({ id: `f${n}`, ...move }) as Move);
  const at = plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.beam === 'j6');
  plan.moves.splice(
    at,
    0,
    ...own([
      { kind: 'brace.free', brace: 'c2 90' },
      { kind: 'joint.free', joint: 'j0a' },
      { kind: 'joint.make', joint: 'j0a', pins: 0, bolts: 2, tight: true, fit: 'drawn' },
      { kind: 'brace.fix', brace: 'c2 90' },
      { kind: 'support.level', support: 'f-c2', level: 0.002 },
    ]),
  );
  return plan;
};
const plans: Record<string, () => Plan> = {
  square,
  freed,
  ticket: ticketHall,
  loose,
  lines: () => girderLines(2, 4),
  portal,
  splice: () => splicedGirder('eu-ls'),
  footbridge: quayFootbridge,
  luggage: demoPlan,
  planted,
  braced: () => braced(),
  inDays,
};

/** A check as it is told, without what it was worked out with. */
const toldOf = (plan: Plan) =>
  evaluate(plan, TODAY)
    .checks.map(({ traces: _, ...check }) => JSON.stringify(check))
    .sort();

/** Edits a person makes, each by a number that says of what and how much. */
const edits: ((plan: Plan, n: number) => unknown)[] = [
  ({ structure }, n) => structure.supports.length && (structure.supports[n % structure.supports.length]!.capacity = 50e3 + 1e3 * (n % 700)),
  ({ structure }, n) => structure.supports.length && (structure.supports[n % structure.supports.length]!.holdsDown = n % 3 === 0 ? null : 1e3 * (n % 90)),
  ({ structure }, n) => structure.supports.length && (structure.supports[n % structure.supports.length]!.spring = n % 2 ? null : 5e6 + 1e5 * (n % 50)),
  ({ structure }, n) => structure.supports.length && (structure.supports[n % structure.supports.length]!.twist = n % 2 === 0),
  ({ structure }, n) => structure.supports.length && (structure.supports[n % structure.supports.length]!.name = `Pier ${n % 9}`),
  ({ structure }, n) => structure.joints.length && (structure.joints[n % structure.joints.length]!.holes = n % 5 === 0 ? null : 4 + (n % 40)),
  ({ structure }, n) => structure.joints.length && (structure.joints[n % structure.joints.length]!.boltShear = 1e3 * (1 + (n % 60))),
  ({ structure }, n) => structure.makes.length && (structure.makes[n % structure.makes.length]!.mass = n % 4 === 0 ? null : 200 + 37 * (n % 90)),
  ({ structure }, n) => structure.pieces.length && (structure.pieces[n % structure.pieces.length]!.weighed = n % 3 === 0 ? null : 300 + 41 * (n % 90)),
  ({ structure }, n) =>
    structure.pieces.length &&
    structure.pieces[n % structure.pieces.length]!.from &&
    (structure.pieces[n % structure.pieces.length]!.from!.z += 0.05 * ((n % 3) - 1)),
  ({ structure }, n) => structure.braces.length && (structure.braces[n % structure.braces.length]!.stops = (['sideways', 'twist', 'both'] as const)[n % 3]!),
  ({ moves }, n) => moves.splice(n % Math.max(1, moves.length), 1),
  ({ moves }, n) => moves.length > 1 && moves.splice((n >> 3) % moves.length, 0, ...moves.splice(n % moves.length, 1)),
  ({ moves }, n) => moves.splice(n % (moves.length + 1), 0, { id: `x${n}`, kind: 'other', what: 'wait' }),
  ({ moves }, n) => {
    const makes = moves.filter((one): one is Extract<Move, { kind: 'joint.make' }> => one.kind === 'joint.make');
    if (makes.length) makes[n % makes.length]!.bolts = n % 7 === 0 ? null : n % 30;
  },
  ({ moves }, n) => {
    const goes = moves.filter((one): one is Extract<Move, { kind: 'piece.letGo' }> => one.kind === 'piece.letGo');
    if (goes.length) goes[n % goes.length]!.keeps = n % 2 ? 0 : 500 * (n % 40);
  },
  ({ site }, n) => (site.standingGust = n % 4 === 0 ? null : 5 + (n % 30)),
  ({ site }, n) => (site.forecastGust = n % 12),
  ({ job }, n) => (job.ruleSet = n % 2 ? 'us-asd' : 'eu-ls'),
  ({ job }, n) => (job.thresholds = n % 3 ? { strengthCaution: 0.5 + 0.05 * (n % 9) } : {}),
  ({ picks }, n) => picks.length && (picks[n % picks.length]!.boom = 15 + (n % 12)),
  ({ members }, n) => members.length && (members[n % members.length]!.mark = `M${n % 7}`),
  ({ bearings }, n) => bearings.length && (bearings[n % bearings.length]!.name = `Post ${n % 7}`),
  ({ shoring }, n) => {
    const walls = shoring.lines.flatMap((line) => line.walls);
    if (walls.length) walls[n % walls.length]!.name = `Wall ${n % 7}`;
  },
  ({ structure }, n) => structure.braces.length && (structure.braces[n % structure.braces.length]!.capacity = n % 5 ? 1e3 * (1 + (n % 40)) : null),
  ({ structure }, n) => structure.braces.length && (structure.braces[n % structure.braces.length]!.stiffness = n % 5 ? 1e5 * (1 + (n % 40)) : null),
  ({ structure }, n) => structure.braces.length && (structure.braces[n % structure.braces.length]!.slopeDeg = n % 5 ? 20 + (n % 50) : null),
  ({ structure }, n) => structure.braces.length && (structure.braces[n % structure.braces.length]!.towardsDeg = n % 7 ? n % 360 : null),
  ({ structure }, n) => {
    const based = structure.supports.filter(({ anchors }) => anchors !== null);
    if (based.length) based[n % based.length]!.anchors!.tension = n % 4 ? 1e3 * (1 + (n % 40)) : null;
  },
  ({ structure }, n) =>
    structure.makes.length && (structure.makes[n % structure.makes.length]!.made = { kind: 'section', section: n % 2 ? 'W6x20' : 'W10x49' }),
  ({ structure }, n) => structure.loads.length && (structure.loads[n % structure.loads.length]!.force = 1e3 * (1 + (n % 20))),
  ({ structure }, n) => structure.joints.length && (structure.joints[n % structure.joints.length]!.b.at += 0.1 * ((n % 5) - 2)),
  ({ structure }, n) => structure.joints.length && (structure.joints[n % structure.joints.length]!.stiffened = n % 3 === 0 ? null : n % 3 === 1),
  ({ moves }, n) => {
    const ends = moves.filter((one): one is Extract<Move, { kind: 'day.end' }> => one.kind === 'day.end');
    if (ends.length) ends[n % ends.length]!.on = n % 4 === 0 ? null : `2026-11-${18 + (n % 8)}`;
  },
  ({ site }, n) => site.forecast && (site.forecast.hours[n % site.forecast.hours.length]!.gust = n % 14),
  ({ holds }, n) => holds.length && (holds[n % holds.length]!.on = `2026-11-${18 + (n % 8)}`),
  ({ structure }, n) => structure.makes.length && (structure.makes[n % structure.makes.length]!.grade = n % 2 ? 'S235' : 'A992'),
];

describe('what was worked out before is used again only where nothing it came from is another', () => {
  test.each(Object.keys(plans))('after every edit the answer is that of a plan seen for the first time: %s', (name) => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat({ max: edits.length - 1 }), fc.nat({ max: 9999 })), { minLength: 2, maxLength: 6 }), (list) => {
        let plan = plans[name]!();
        toldOf(plan);
        for (const [which, n] of list) {
          const draft = structuredClone(plan);
          edits[which]!(draft, n);
          if (!openPlan(structuredClone(draft)).ok) continue;
          plan = sharing(plan, draft);
          expect(toldOf(plan)).toEqual(afresh(() => toldOf(structuredClone(plan))));
        }
      }),
      { numRuns: RUNS },
    );
  });
});

test('a frame taken apart and put together again: each rope, foot and bolt changed by itself is seen at every move', () => {
  const plan = freed();
  const edits: ((plan: Plan) => unknown)[] = [
    ...plan.structure.braces.map((_, n) => (p: Plan) => (p.structure.braces[n]!.capacity = 400)),
    ...plan.structure.supports.map((_, n) => (p: Plan) => (p.structure.supports[n]!.anchors!.tension = 900)),
    ...plan.moves.flatMap((move, n) => (move.kind === 'joint.make' ? [(p: Plan) => ((p.moves[n] as typeof move).bolts = 1)] : [])),
  ];
  toldOf(plan);
  for (const edit of edits) {
    const draft = structuredClone(plan);
    edit(draft);
    const next = sharing(plan, draft);
    expect(toldOf(next)).toEqual(afresh(() => toldOf(structuredClone(next))));
    toldOf(plan);
  }
});

describe('a lift', () => {
  /** Two girders tied on the ground and lifted as a pair. */
  const pair = (): Plan => {
    const done = applyCommand(quayFootbridge(), { name: 'liftAsOne', args: { pick: 'k1', joined: ['g2a'], freed: [] } });
    if (!done.ok) throw new Error(done.faults[0]?.error);
    const plan = structuredClone(done.plan);
    for (const brace of plan.structure.braces) Object.assign(brace, { mass: 140, capacity: 60000 });
    return plan;
  };
  test.each<[string, (plan: Plan) => unknown]>([
    ['what a cross-frame weighs', (p) => p.structure.braces.forEach((one) => (one.mass = 900))],
    ['what a cross-frame carries', (p) => p.structure.braces.forEach((one) => (one.capacity = 90))],
    ['where a cross-frame is', (p) => (p.structure.braces[0]!.a.at += 0.4)],
    ['what the other girder weighs', (p) => (p.structure.pieces.find(({ id }) => id === 'g2a')!.weighed = 9000)],
    ['what both are made of', (p) => (p.structure.makes[0]!.mass = 9000)],
    ['a splice between them', (p) => p.structure.joints.forEach((one) => (one.holes = 4))],
  ])('of a pair is worked out anew when there is another word on %s', (_, edit) => {
    const plan = pair();
    const before = toldOf(plan);
    const draft = structuredClone(plan);
    edit(draft);
    const next = sharing(plan, draft);
    const now = toldOf(next);
    expect(now).toEqual(afresh(() => toldOf(structuredClone(next))));
    expect(now).not.toEqual(before);
  });

  const lifts = (plan: Plan, pick: string) =>
    evaluate(plan, TODAY).checks.filter(({ id, about }) => about.id === pick && /^(lift|rigging|pick|stand)\./.test(id));
  test.each<[string, boolean, (plan: Plan) => unknown]>([
    ['what another piece weighs', true, (p) => (p.structure.pieces.find(({ id }) => id === 'g2a')!.weighed = 6100)],
    ['how many bolts are in', true, (p) => p.moves.forEach((move) => move.kind === 'joint.make' && (move.bolts = 3))],
    ['a note on a move', true, (p) => (p.moves[3]!.note = 'slowly')],
    ['how many holes a joint has', true, (p) => (p.structure.joints[0]!.holes = 8)],
    ['where another piece stands', false, (p) => (p.structure.pieces.find(({ id }) => id === 'g2a')!.to!.x += 0.01)],
    ['what is done first', false, (p) => p.moves.splice(2, 0, ...p.moves.splice(3, 1))],
    ['what it weighs itself', false, (p) => (p.structure.pieces.find(({ id }) => id === 'g1a')!.weighed = 6100)],
    ['how the others are made', false, (p) => p.structure.makes.forEach((one) => (one.length = (one.length ?? 1) + 0.01))],
  ])('is not worked out anew for %s: %p', (_, same, edit) => {
    const plan = quayFootbridge();
    const before = lifts(plan, 'k1');
    const draft = structuredClone(plan);
    edit(draft);
    const now = lifts(sharing(plan, draft), 'k1');
    expect(before.length).toBeGreaterThan(10);
    expect(now.every((one, i) => one === before[i])).toBe(same);
  });
});

describe('a plan that comes new over a wire', () => {
  test('keeps the things of the one before it wherever nothing in them differs', () => {
    const plan = portal();
    const draft = structuredClone(plan);
    draft.structure.supports[1]!.capacity = 1;
    const next = sharing(plan, draft);
    expect(next).toEqual(draft);
    expect(next.structure.supports[0]).toBe(plan.structure.supports[0]);
    expect(next.structure.supports[1]).not.toBe(plan.structure.supports[1]);
    expect(next.structure.joints).toBe(plan.structure.joints);
    expect(next.moves).toBe(plan.moves);
    expect(sharing(plan, structuredClone(plan))).toBe(plan);
  });

  test('finds moves again by their ids when one is put before them', () => {
    const plan = portal();
    const draft = structuredClone(plan);
    draft.moves.unshift({ id: 'x', kind: 'other', what: 'wait' });
    const next = sharing(plan, draft);
    expect(next.moves.slice(1).every((one, i) => one === plan.moves[i])).toBe(true);
    const less = structuredClone(plan);
    delete less.structure.pieces[0]!.lies;
    less.site.standingGust = null;
    expect(sharing(plan, less)).toEqual(less);
  });
});
