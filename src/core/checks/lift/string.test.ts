import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, passengerCanopy } from '../../../../tests/demo-plan';
import { applyCommand } from '../../edit/apply';
import type { CommandArguments, CommandName } from '../../edit/table';
import { describe as words } from '../../verdict/describe';
import type { LiftString } from '../../document/things/string';
import { rulesOf } from '../../rules/rule-sets';
import { replay } from '../../replay/replay';
import { stringChecks } from './string';
import { sailOf } from './wind-on-load';
import { Missing } from '../../verdict/missing';
import { openPlan } from '../../document/open';
import { pickContext } from './pick-context';
import type { Pick, Plan } from '../../document/schema';
import { settle } from '../../settle/settle';

const TODAY = '2026-11-28';
/** Three beams of the first bay on one hook: k41 is set first and hangs lowest, k42 over it, a joist on top. */
const DOWN = ['k43', 'k42', 'k41'];
type Edit = (string: LiftString, plan: Plan) => unknown;
function strung(edit: Edit = () => undefined): Plan {
  const plan = passengerCanopy();
  plan.strings = [{ id: 'st', name: 'String 1', picks: [...DOWN], apart: 2.6, rating: 3000, each: 900, lowered: true, by: 'P. Varga' }];
  // Slings for each: what hangs in a string is slung at once.
  for (const [n, id] of DOWN.entries()) {
    plan.yard!.push({ ...structuredClone(plan.yard![0]!), id: `own-${n}`, name: `Set ${n}` });
    pick(plan, id).gear = [`own-${n}`];
  }
  edit(plan.strings[0]!, plan);
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(opened.faults[0]?.error);
  return opened.plan;
}
const pick = (plan: Plan, id: string): Pick => plan.picks.find((one) => one.id === id)!;
const picked = (plan: Plan, id: string) => {
  const settled = settle(plan);
  return pickContext(
    settled,
    settled.picks.find((one) => one.id === id)!,
  );
};
/** What strings are asked by themselves is asked without all the rest. */
const checksFor = (plan: Plan, id: string) => {
  if (!id.startsWith('string.')) return evaluated(plan, TODAY).checks;
  const settled = settle(plan);
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  return stringChecks({ plan: settled, today: TODAY, rules, replayed: replay(settled) });
};
const rows = (plan: Plan, id: string) => checksFor(plan, id).filter((one) => one.id === id);
const say = (plan: Plan, id: string) => rows(plan, id).map((check) => `${check.verdict}: ${words(check, 'metric').replace(/\u00a0/g, ' ')}`);
const known = <T>(value: T | Missing): T => {
  if (value instanceof Missing) throw new Error(value.questions.join());
  return value;
};
const hangs = (plan: Plan, id: string) => {
  const { hanging, weight } = picked(plan, id);
  const one = known(hanging);
  if ('impossible' in one) throw new Error(one.impossible);
  return { ...one, tall: known(weight).section.depth };
};
function does<N extends CommandName>(plan: Plan, name: N, args: CommandArguments[N]): Plan {
  const done = applyCommand(plan, { name, args } as Parameters<typeof applyCommand>[1]);
  if (!done.ok) throw new Error(done.faults[0]?.error);
  return done.plan;
}

describe('beams one below the other on one hook', () => {
  test('sound, it adds no stop and asks nothing', () => {
    const bad = (plan: Plan) =>
      evaluated(plan, TODAY)
        .checks.filter(({ verdict }) => verdict === 'stop' || verdict === 'missing')
        .map(({ id }) => id);
    expect(bad(strung())).toEqual(bad(passengerCanopy()));
  });

  test('the lowest is lifted with all that hangs over it, the topmost with itself alone', () => {
    const [plan, apart] = [strung(), passengerCanopy()];
    const mass = (of: Plan, id: string) => known(picked(of, id).gross).mass;
    const least = (of: Plan, id: string) => known(picked(of, id).gross).least;
    const own = (id: string) => known(picked(apart, id).weight).mass + pick(apart, id).riggingMass!;
    const light = (id: string) => known(picked(apart, id).weight).light.mass + pick(apart, id).riggingMass!;
    expect(mass(plan, 'k41')).toBeCloseTo(mass(apart, 'k41') + own('k42') + own('k43'), 6);
    expect(mass(plan, 'k42')).toBeCloseTo(mass(apart, 'k42') + own('k43'), 6);
    expect(mass(plan, 'k43')).toBeCloseTo(mass(apart, 'k43'), 9);
    expect(least(plan, 'k41')).toBeCloseTo(least(apart, 'k41') + light('k42') + light('k43'), 6);
    const chart = rows(plan, 'lift.chart').find(({ about }) => about.id === 'k41')!;
    expect(chart.demand).toBeCloseTo(mass(plan, 'k41'), 6);
  });

  test('the hook is as far over the lowest as the string is long', () => {
    const [plan, apart] = [strung(), passengerCanopy()];
    const [low, top] = [hangs(plan, 'k41'), hangs(apart, 'k43')];
    const mid = hangs(apart, 'k42');
    // Two gaps, the depth of the two over it, and the slings of the topmost; from its own higher pick.
    const under = low.tall + 2.6 + mid.tall + 2.6 + top.loadDepth + top.hookAbovePick;
    expect(low.hookAbovePick + low.loadDepth).toBeCloseTo(under, 6);
    const room = (of: Plan) => rows(of, 'lift.headRoom').find(({ about }) => about.id === 'k41')!.demand!;
    const alone = hangs(apart, 'k41');
    expect(room(plan) - room(apart)).toBeCloseTo(low.hookAbovePick - alone.hookAbovePick, 6);
    expect(hangs(plan, 'k43').hookAbovePick).toBeCloseTo(top.hookAbovePick, 9);
  });

  test('each beam over it is held clear of the boom at its own height, and all of them stand in the wind', () => {
    const plan = strung();
    const gaps = rows(plan, 'lift.boomGap').filter(({ about }) => about.id === 'k41');
    const of = (what: string) => gaps.find(({ subject }) => subject.includes(what))!.capacity!;
    const marks = picked(plan, 'k41').above.map(({ mark }) => mark);
    expect(marks).toHaveLength(2);
    const [own, ...over] = [gaps[0]!.capacity!, ...marks.map((mark) => of(`${mark}, above it`))];
    expect(over.every((gap) => gap < own)).toBe(true);
    const sail = (id: string, p: Plan) => {
      const one = picked(p, id);
      return sailOf(one, known(one.weight));
    };
    const apart = passengerCanopy();
    expect(sail('k41', plan)).toBeCloseTo(sail('k41', apart) + sail('k42', apart) + sail('k43', apart), 6);
  });
});

const faults: [string, Edit, string, RegExp][] = [
  ['no distance', (s) => (s.apart = null), 'string.apart', /^missing: How far apart/],
  ['beams too near each other', (s) => (s.apart = 2), 'string.apart', /^stop: .*2\.00 m apart/],
  ['slings longer than the gap', (_, p) => (pick(p, 'k41').legs = { left: 6, right: 6 }), 'string.slings', /^stop: The slings of .* come together/],
  ['an assembly for less', (s) => (s.rating = 700), 'string.rating', /^stop: String 1 weighs/],
  ['an assembly of unknown rating', (s) => (s.rating = null), 'string.rating', /^missing: What may the whole assembly/],
  ['a point for less', (s) => (s.each = 200), 'string.each', /^stop: The heaviest beam/],
  ['a point of unknown rating', (s) => (s.each = null), 'string.each', /^missing: What may one attachment point/],
  ['nobody who made it up', (s) => (s.by = 'rigger'), 'string.by', /^missing: Who made up/],
  ['no word of how it is lowered', (s) => (s.lowered = null), 'string.lowered', /^missing: Does the crane lower/],
  ['lowered on the brake', (s) => (s.lowered = false), 'string.lowered', /^stop: .*on the brake/],
  ['the topmost set first', (s) => s.picks.reverse(), 'string.order', /^stop: .*the lowest goes first/],
  ['a column in it', (s) => s.picks.unshift('k38'), 'string.kind', /^stop: .*set upright/],
  [
    'a beam under a bar of its own',
    (_, p) => (pick(p, 'k42').rig = { kind: 'spreader', name: '', length: 3, own: 90, rating: 3000, section: '', grade: '', top: 3, topRating: 3000 } as never),
    'string.kind',
    /^missing: .*under a bar/,
  ],
  [
    'a beam on two hooks',
    (_, p) => (pick(p, 'k42').second = { stand: 's2', boom: 22, slingRating: 1000, riggingMass: 40 } as never),
    'string.kind',
    /^stop: .*on two hooks/,
  ],
  ['a beam spliced to another', (_, p) => (pick(p, 'k42').joined = ['along-0-1-1']), 'string.kind', /^missing: .*what is joined to it/],
  [
    'a stair in it',
    (_, p) => {
      const beam = p.structure.pieces.find(({ id }) => id === 'along-0-0-1')!;
      p.structure.makes.push({
        ...structuredClone(p.structure.makes.find(({ id }) => id === beam.make)!),
        id: 'stair',
        mark: 'ST',
        mass: 400,
        made: { kind: 'plain', what: 'stair', depth: 0.4, width: 1.2, balance: 2.5, chords: 4e-3, hangsBy: 'L. Marsh', standsBy: 'L. Marsh' } as never,
      });
      beam.make = 'stair';
    },
    'string.kind',
    /^missing: .*is no section/,
  ],
  [
    'the crane leaving in between',
    (_, p) =>
      p.moves.splice(
        p.moves.findIndex((move) => move.kind === 'piece.hang' && move.beam === 'along-0-0-1'),
        0,
        { id: 'off', kind: 'crane.leave', stand: 's1' },
      ),
    'string.hook',
    /^stop: The crane leaves while beams of String 1/,
  ],
  [
    'a beam of unknown weight',
    (_, p) =>
      (p.structure.makes.find(({ id }) => id === p.structure.pieces.find((one) => one.id === 'along-0-0-1')!.make)!.made = {
        kind: 'section',
        section: 'IPE 999',
      }),
    'string.rating',
    /^missing: (?!What may)/,
  ],
  [
    'six of them',
    (s, p) =>
      s.picks.unshift(
        ...p.picks
          .filter(({ id }) => ['k44', 'k45', 'k46'].includes(id))
          .map(({ id }) => id)
          .reverse(),
      ),
    'string.members',
    /^stop: 6 beams/,
  ],
  ['one alone', (s) => (s.picks = ['k41']), 'string.members', /^missing: Which beams hang/],
  ['beams of two stands', (s) => s.picks.unshift('k71'), 'string.crane', /^stop: .*made from/],
  [
    'a beam in two strings',
    (s, p) => p.strings!.push({ ...structuredClone(s), id: 'st2', name: 'String 2', picks: ['k44', 'k43'] }),
    'string.twice',
    /^missing: .*in String 1 and in String 2/,
  ],
  ['another lift in between', (s) => (s.picks = ['k44', 'k42', 'k41']), 'string.hook', /^stop: The hook lifts .* while beams of String 1 still hang/],
  ['one set of slings for two of them', (_, p) => DOWN.forEach((id) => (pick(p, id).gear = ['own-0'])), 'gear.twice', /^stop: .*still holds/],
  ['a beam of unknown weight over it', (_, p) => (pick(p, 'k43').riggingMass = null), 'lift.chart', /^missing: What do slings and shackles of .* weigh/],
  ['no name', (s) => (s.name = ' '), 'said.name', /^missing/],
];

describe('one fault each', () => {
  test.each(faults)('%s', (_, edit, id, says) => {
    expect(say(strung(edit), id).filter((one) => says.test(one))).not.toEqual([]);
  });
  test('sound, none of these rows stops or asks', () => {
    const { checks } = evaluated(strung(), TODAY);
    const said = checks.map((check) => `${check.id} ${check.verdict}: ${words(check, 'metric').replace(/\u00a0/g, ' ')}`);
    for (const [, , id, says] of faults) expect(said.filter((one) => one.startsWith(`${id} `) && says.test(one.slice(id.length + 1)))).toEqual([]);
  });
});

test('the heaviest beam hangs on its point with its slings; the whole with all of them', () => {
  const plan = strung();
  const own = DOWN.map((id) => known(picked(passengerCanopy(), id).weight).mass + pick(plan, id).riggingMass!);
  expect(rows(plan, 'string.each')[0]!.demand).toBeCloseTo(Math.max(...own), 6);
  expect(rows(plan, 'string.rating')[0]!.demand).toBeCloseTo(
    own.reduce((sum, one) => sum + one, 0),
    6,
  );
});

test('what its slings weigh is in the sum, or asked; a second hook of the same crane is its hook too; marks may be alike', () => {
  const unknown = strung((_, plan) => (pick(plan, 'k43').riggingMass = null));
  expect(say(unknown, 'string.rating')).toEqual([expect.stringMatching(/^missing: What do slings and shackles of/)]);
  const helped = strung((_, plan) => {
    plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 's3', name: 'Third', at: { x: 60, y: 60 } });
    Object.assign(pick(plan, 'k71'), { stand: 's3', second: { stand: 's1', boom: 22, slingRating: 1000, riggingMass: 40 } });
    const [hang] = plan.moves.splice(
      plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.pick === 'k71'),
      1,
    );
    plan.moves.splice(
      plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.pick === 'k42'),
      0,
      hang!,
    );
  });
  expect(say(helped, 'string.hook')).toEqual([expect.stringMatching(/^stop: The hook lifts/)]);
  const alike = strung((_, plan) => plan.structure.pieces.forEach((one) => (one.mark = 'B')));
  expect(rows(alike, 'lift.boomGap').filter(({ about, subject }) => about.id === 'k41' && subject.includes('above it'))).toHaveLength(2);
});

test('another crane may lift meanwhile; a piece on bearings in a string is asked about', () => {
  const between = strung((_, plan) => {
    plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 's3', name: 'Third', at: { x: 60, y: 60 } });
    pick(plan, 'k71').stand = 's3';
    const at = plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.pick === 'k71');
    const [hang] = plan.moves.splice(at, 1);
    plan.moves.splice(
      plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.pick === 'k42'),
      0,
      hang!,
    );
  });
  expect(say(between, 'string.hook')).toEqual([]);
  const hall = demoPlan();
  const [only] = hall.picks;
  hall.pieces.push({ ...structuredClone(hall.pieces[0]!), id: 'tb9', mark: 'TB9' });
  hall.picks.push({ ...structuredClone(only!), id: 'k9', piece: 'tb9' });
  hall.strings = [{ id: 'st', name: 'String 1', picks: [only!.id, 'k9'], apart: 3, rating: 9000, each: 3000, lowered: true, by: 'P. Varga' }];
  expect(say(hall, 'string.kind')).toEqual(Array.from({ length: 2 }, () => expect.stringMatching(/^missing: .*is a piece on bearings/)));
});

describe('the list of strings', () => {
  const list = (plan: Plan) => plan.strings!.map(({ picks }) => picks);
  test('a pick that goes is in no string, and one beam alone is none', () => {
    const plan = strung();
    const two = does(plan, 'removeFrom', { list: 'picks', id: 'k42' });
    expect(list(two)).toEqual([['k43', 'k41']]);
    expect(list(does(two, 'removeFrom', { list: 'picks', id: 'k41' }))).toEqual([]);
    // Its crane’s stand goes, and with it all of them.
    expect(list(does(plan, 'removeFrom', { list: 'stands', id: 's1' }))).toEqual([]);
  });
  test('a pick the plan does not have, or one twice, is refused', () => {
    const refused = (picks: string[]) => {
      const opened = openPlan({ ...passengerCanopy(), strings: [{ ...strung().strings![0]!, picks }] });
      return opened.ok ? [] : opened.faults.map(({ path }) => path);
    };
    expect(refused(['k43', 'none'])).toEqual(['strings[0].picks[1]']);
    expect(refused(['k43', 'k41', 'k43'])).toEqual(['strings[0].picks[2]']);
  });
  test('what changes of a beam over it changes what the lowest is lifted with', () => {
    const plan = strung();
    const before = rows(plan, 'lift.chart').find(({ about }) => about.id === 'k41')!.demand!;
    const heavier = does(plan, 'editPick', { id: 'k43', changes: { riggingMass: pick(plan, 'k43').riggingMass! + 100 } });
    expect(rows(heavier, 'lift.chart').find(({ about }) => about.id === 'k41')!.demand).toBeCloseTo(before + 100, 6);
    const taken = does(plan, 'removeFrom', { list: 'strings', id: 'st' });
    expect(rows(taken, 'lift.chart').find(({ about }) => about.id === 'k41')!.demand).toBeLessThan(before);
  });
});
