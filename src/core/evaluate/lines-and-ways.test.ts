import { ticketHall } from '../../../tests/demo-plan';
import { lineIn, wayIn } from '../../../tests/of-plan';
import { twoLines } from '../../../tests/two-lines';
import { acrossScene } from '../view/across-scene';
import { shoresAt } from '../view/shore-moment';
import { applyCommand } from '../edit/apply';
import type { Command } from '../edit/table';
import type { Check } from '../verdict/check';
import { describe as words } from '../verdict/describe';
import { revisionDifferences } from '../document/differences';
import { newLine } from '../document/things/shoring';
import { newWay } from '../document/things/way-in';
import { evaluate, evaluateWhole } from './';
import { fixesOf } from '../edit/fixes';
import { moveWords } from '../settle/move-words';
import { openPlan } from '../document/open';
import { replay } from '../replay/replay';
import type { Plan } from '../document/schema';
import { settle } from '../settle/settle';
import { shoringMoves } from '../edit/shoring-moves';
import { standing } from '../replay/standing';
import { scenesAt } from '../view/survey';
import { travellersOf } from '../settle/travel';
import { rulesOf } from '../rules/rule-sets';

const TODAY = '2026-11-04';
const opened = (plan: Plan): Plan => {
  const answer = openPlan(plan);
  if (!answer.ok) throw new Error(answer.faults[0]?.error);
  return answer.plan;
};
const edited = (edit: (plan: Plan) => unknown): Plan => {
  const plan = twoLines();
  edit(plan);
  return opened(plan);
};
const rows = (plan: Plan, id: string): Check[] => evaluate(plan, TODAY).checks.filter((check) => check.id === id);
const of = (plan: Plan, id: string, about: string): Check | undefined => rows(plan, id).find((check) => check.about.id === about);
const second = (plan: Plan) => plan.shoring.lines[1]!;
const done = (plan: Plan, command: Command): Plan => {
  const answer = applyCommand(plan, command);
  if (!answer.ok) throw new Error(answer.faults[0]?.error);
  return answer.plan;
};

describe('two lines in one job', () => {
  test('each is asked all that a line is asked, and of alike lines the figures are alike', () => {
    const { checks, strikes } = evaluate(twoLines(), TODAY);
    const own = checks.filter((check) => check.station === 'shores' && check.about.id.endsWith('-2'));
    expect(own.length).toBeGreaterThan(30);
    for (const check of own) {
      const twin = checks.find(
        (one) => one.id === check.id && `${one.about.id}-2` === check.about.id && one.about.part === check.about.part?.replace(/-2$/, ''),
      )!;
      expect([check.id, check.verdict, check.demand]).toEqual([twin.id, twin.verdict, twin.demand]);
      expect(check.move).toBe(`${twin.move}-2`);
    }
    expect(Object.keys(strikes)).toEqual(['line-1', 'line-1-2']);
    expect(strikes['line-1-2']!.steps.map((step) => step.deflection)).toEqual(strikes['line-1']!.steps.map((step) => step.deflection));
  });
  test('both on one slab: it carries the sum while both carry, and one of them after the other is struck', () => {
    const alone = of(ticketHall(), 'shorePath.link', 'hallSlab')!;
    expect(of(twoLines(), 'shorePath.link', 'hallSlab')!.demand).toBeCloseTo(alone.demand!, 6);
    const both = edited(({ moves }) => moves.splice(6, 0, ...moves.splice(14, 7)));
    expect(of(both, 'shorePath.link', 'hallSlab')).toMatchObject({ verdict: 'stop' });
    expect(of(both, 'shorePath.link', 'hallSlab')!.demand).toBeCloseTo(2 * alone.demand!, 6);
    // A line no move opens may be open at any time, and one that is left standing stands on.
    expect(
      of(
        edited((p) => (p.moves = [])),
        'shorePath.link',
        'hallSlab',
      )!.demand,
    ).toBeCloseTo(2 * alone.demand!, 6);
    const stays = edited((p) => (p.moves = p.moves.filter(({ id }) => id !== 'm14')));
    expect(of(stays, 'shorePath.link', 'hallSlab')!.demand).toBeCloseTo(2 * alone.demand!, 6);
    // Every step that is written down is made, and two studs are in none of them.
    const partly = edited((p) => {
      lineIn(p).strike = lineIn(p).strike.filter(({ id }) => id !== 'sk9' && id !== 'sk10');
      p.moves = p.moves.filter(({ id }) => id !== 'm14');
    });
    expect(of(partly, 'shorePath.link', 'hallSlab')!.demand).toBeCloseTo(2 * alone.demand!, 6);
    const before = edited(({ moves }) => moves.splice(6, 0, ...moves.splice(20, 1)));
    expect(of(before, 'shorePath.link', 'hallSlab')).toMatchObject({ verdict: 'stop', move: 'm7' });
  });
  test('an upper wall of either waits for the one under it', () => {
    const plan = edited(({ moves }) => moves.splice(16, 0, ...moves.splice(18, 1)));
    const first = replay(plan).steps[16]!;
    expect([first.move.id, first.needs.filter((need) => !need.done).map((need) => need.what)]).toEqual([
      'm5-2',
      ['Hall wall, left under it is set and tightened'],
    ]);
  });
  test('the yard has to have what stands at one time, not what was struck before', () => {
    expect(rows(twoLines(), 'shore.stock')).toMatchObject([{ verdict: rows(ticketHall(), 'shore.stock')[0]!.verdict }]);
    const short = edited(({ moves }) => moves.splice(6, 0, ...moves.splice(14, 7)));
    expect(rows(short, 'shore.stock')).toMatchObject([{ verdict: 'tight' }]);
    expect(words(rows(short, 'shore.stock')[0]!, 'metric')).toMatch(/short of .*3 stud 45x95 C24, 11 stud/);
  });
  test('a line opens when its own shores stand, whatever stands at the other', () => {
    const plan = edited(({ moves }) =>
      moves.splice(
        moves.findIndex(({ id }) => id === 'm4-2'),
        1,
      ),
    );
    const lacks = (id: string) =>
      replay(plan)
        .steps.find(({ move }) => move.id === id)!
        .needs.filter((need) => !need.done)
        .map((need) => need.what);
    expect(lacks('m7')).toEqual([]);
    expect(lacks('m7-2')).toEqual(['Hall wall, right stands']);
  });
  test('its piece waits for its own line, and its strike for its own piece', () => {
    const plan = edited((p) => (p.moves = p.moves.filter(({ id }) => id !== 'm7-2' && id !== 'm8')));
    const { steps } = replay(plan);
    const lacks = (id: string) => steps.find(({ move }) => move.id === id)!.needs.filter((need) => !need.done);
    expect(lacks('m8-2').map((need) => [need.what, need.by])).toEqual([['the line is open', [{ kind: 'line.open', line: 'line-1-2' }]]]);
    expect(lacks('m9').map((need) => need.what)).toEqual(['the new piece is in']);
    expect(lacks('m9-2')).toEqual([]);
  });
  test('a line no move opens is asked about by its name, and the button opens that one', () => {
    const plan = edited((p) => (p.moves = p.moves.filter(({ id }) => id !== 'm7-2')));
    const asked = rows(plan, 'moves.line');
    expect(asked.map((check) => check.about)).toEqual([{ kind: 'line', id: 'line-1-2' }]);
    expect(words(asked[0]!, 'metric')).toMatch(/Baggage opening/);
    const whole = evaluateWhole(plan, TODAY);
    const fixes = fixesOf(plan, whole, asked[0]!, TODAY);
    expect(fixes[0]!.command).toMatchObject({ name: 'addMove', args: { move: { kind: 'line.open', line: 'line-1-2' } } });
  });
  test('nobody struck of the second is asked, step by step', () => {
    const plan = edited((p) => (p.moves = p.moves.filter(({ id }) => id !== 'm12-2')));
    expect(rows(plan, 'moves.strike').map((check) => [check.about.id, check.subject])).toEqual([['sk5-2', 'step 4 of Baggage opening']]);
  });
  test('one opening of two lines is asked about; a line nothing is said to rest on too', () => {
    const twice = edited((p) => (second(p).opening = 'op1'));
    expect(of(twice, 'shore.twice', 'line-1-2')).toMatchObject({ verdict: 'missing' });
    const bare = edited((p) => {
      p.moves = [];
      p.shoring.lines[1] = { ...newLine('bare', 'Back wall'), opening: 'op1-2' };
    });
    expect(words(of(bare, 'shore.storeys', 'bare')!, 'metric')).toMatch(/What rests on Back wall/);
    expect(rows(ticketHall(), 'shore.twice')).toEqual([]);
  });
  test('the moves, the one line that says what stands and the walls to be read name their line', () => {
    const plan = twoLines();
    const at = (id: string) =>
      moveWords(
        plan,
        plan.moves.find((move) => move.id === id)!,
      );
    expect(at('m7-2')).toEqual({ title: 'Open Baggage opening', about: 'Baggage opening' });
    expect(at('m9-2').title).toBe('Strike 1 of Baggage opening');
    expect(at('m8-2').about).toBe('wedge 35 % onto it');
    const { steps } = replay(plan);
    expect(standing(plan, steps[13]!.after, [])).toMatch(
      /0 of 4 shores stand at Hall opening · line open · TH1 in · 6 of 6 struck · 0 of 4 shores stand at Baggage/,
    );
    expect(standing(plan, steps[9]!.after, [])).toMatch(/2 of 4 shores stand at Hall opening · line open · TH1 in · 2 of 6 struck/);
    expect(words(of(plan, 'hold.HP9', 'HP9')!, 'metric')).toMatch(/Office wall, right \(Baggage opening\)/);
  });
  test('moves still to be made are offered for both, each with its own', () => {
    const plan = edited((p) => (p.moves = []));
    let n = 0;
    plan.moves = shoringMoves(plan, () => `x${(n += 1)}`);
    expect(shoringMoves(plan, () => '')).toEqual([]);
    expect(plan.moves.filter((move) => move.kind === 'line.open')).toMatchObject([{ line: 'line-1' }, { line: 'line-1-2' }]);
    expect(rows(opened(plan), 'move.order').filter((check) => check.verdict !== 'clear')).toEqual([]);
    const half = edited((p) => (p.moves = p.moves.slice(0, 14)));
    expect(shoringMoves(half, () => '').map((move) => move.kind)).toEqual([
      ...['bearing.ready', 'bearing.ready', 'shore.set', 'shore.set', 'shore.set', 'shore.set', 'line.open', 'member.set'],
      ...Array.from({ length: 6 }, () => 'shore.strike'),
    ]);
    // Two openings side by side share a post: it is made ready once.
    const shared = edited((p) => {
      p.moves = [];
      p.survey.openings.find(({ id }) => id === 'op1-2')!.left = 'thb';
    });
    expect(shoringMoves(shared, () => '').flatMap((move) => (move.kind === 'bearing.ready' ? [move.bearing] : []))).toEqual(['tha', 'thb', 'thb-2']);
  });
  test('each is drawn with its own shores; from the side and cut across, the one that is looked at', () => {
    const plan = settle(twoLines());
    const whole = evaluateWhole(plan, TODAY);
    const seen = (line: string | null, look: 'beam' | 'across', about: 'shores' | 'runSheet' = 'shores') => {
      const { above, side } = scenesAt(plan, whole, { cursor: 6, look, about, line });
      const ids = ({ shapes }: typeof above) => new Set(shapes.flatMap((shape) => ('of' in shape && shape.of?.kind === 'shore' ? [shape.of.id] : [])));
      return { above: ids(above), side: ids(side) };
    };
    expect([...seen('line-1-2', 'beam').side].sort()).toEqual(['sh1-2', 'sh2-2', 'sh3-2', 'sh4-2']);
    expect([...seen('line-1', 'beam').side].sort()).toEqual(['sh1', 'sh2', 'sh3', 'sh4']);
    expect([...seen('line-1-2', 'across').side].sort()).toEqual(['sh1-2', 'sh2-2', 'sh3-2', 'sh4-2']);
    expect([...seen('line-1', 'beam').above].sort()).toEqual(['sh1', 'sh1-2', 'sh2', 'sh2-2']);
    expect(seen(null, 'beam', 'runSheet').side.size).toBe(8);
    const [first, other] = shoresAt(plan, whole.evaluation.replay.steps[13]!.after, whole.evaluation.strikes).lines;
    expect([first!.memberIn, other!.memberIn, first!.state.struck, other!.state.open]).toEqual([true, false, 6, false]);
    expect(acrossScene(other!).shapes.length).toBeGreaterThan(20);
    const lies = (id: string) => {
      const { above } = scenesAt(plan, whole, { cursor: 13, look: 'beam', about: 'runSheet' });
      const piece = above.shapes.find((shape) => shape.shape === 'polygon' && 'of' in shape && shape.of?.id === id);
      return piece?.shape === 'polygon' ? piece.style.fill : null;
    };
    expect([lies('op1'), lies('op1-2')]).toEqual(['steel', undefined]);
    const { strikes, replay: done } = whole.evaluation;
    expect(shoresAt(plan, done.before, strikes, 'line-1-2').lines.map(({ line }) => line.shoring.id)).toEqual(['line-1-2']);
  });
  test('a line no move opens is drawn as carrying, whatever opens the other', () => {
    const plan = settle(edited((p) => (p.moves = p.moves.filter(({ id }) => id !== 'm7-2'))));
    const { strikes, replay: done } = evaluate(plan, TODAY);
    expect(shoresAt(plan, done.before, strikes).lines.map(({ state }) => state.open)).toEqual([false, true]);
  });
  test('a line across the other is looked at along itself', () => {
    const plan = settle(
      edited((p) => {
        const turned = p.bearings.find(({ id }) => id === 'thb-2')!;
        const from = p.bearings.find(({ id }) => id === 'tha-2')!;
        turned.at = { x: from.at.x, y: from.at.y + 4.05 };
        turned.measured = null;
        from.measured = null;
      }),
    );
    const { side } = scenesAt(plan, evaluateWhole(plan, TODAY), { cursor: -1, look: 'beam', about: 'shores', line: 'line-1-2' });
    const studs = side.shapes.flatMap((shape) => (shape.shape === 'polygon' && shape.of?.id === 'sh1-2' ? shape.points.map(({ x }) => x) : []));
    expect(Math.max(...studs) - Math.min(...studs)).toBeGreaterThan(3.5);
  });
  test('without the demo’s first line the second stands for itself: nothing is read off the first', () => {
    const plan = edited((p) => {
      p.shoring.lines.shift();
      p.moves = p.moves.filter(({ id }) => id.endsWith('-2'));
    });
    const { checks } = evaluate(plan, TODAY);
    expect(checks.filter((check) => check.station === 'shores' && check.verdict === 'stop')).toEqual([]);
    expect(checks.filter((check) => check.id === 'shore.strike')).toHaveLength(6);
  });
});

describe('what belongs to a line is written to that line', () => {
  test('a storey, a wall and a reading are added to the line they are for', () => {
    const plan = twoLines();
    const reading = { id: 'new', at: 'Crack', before: null, after: null, by: '', on: '' };
    const after = done(plan, { name: 'addTo', args: { list: 'watch', of: 'line-1-2', thing: reading } });
    expect(second(after).watch).toEqual([reading]);
    expect(lineIn(after).watch).toEqual(lineIn(plan).watch);
    const renamed = done(after, { name: 'editIn', args: { list: 'shoreWalls', id: 'sh2-2', changes: { name: 'East' } } });
    expect(second(renamed).walls[1]!.name).toBe('East');
    expect(lineIn(renamed).walls[1]!.name).toBe('Hall wall, right');
    const moved = done(renamed, { name: 'shiftIn', args: { list: 'strike', id: 'sk2-2', to: 0 } });
    expect(second(moved).strike[0]!.id).toBe('sk2-2');
    expect(lineIn(moved).strike[0]!.id).toBe('sk0');
  });
  test('added to a line the plan does not have it is refused', () => {
    const thing = { id: 'new', at: '', before: null, after: null, by: '', on: '' };
    expect(applyCommand(twoLines(), { name: 'addTo', args: { list: 'watch', of: 'line-9', thing } })).toMatchObject({
      ok: false,
      faults: [{ error: expect.stringMatching(/no shored line “line-9”/) as unknown }],
    });
  });
  test('a line taken out goes with its moves, and leaves those of the other', () => {
    const plan = done(twoLines(), { name: 'removeFrom', args: { list: 'shoredLines', id: 'line-1' } });
    expect(plan.shoring.lines.map(({ id }) => id)).toEqual(['line-1-2']);
    expect(plan.moves.filter(({ kind }) => kind === 'line.open' || kind.startsWith('shore.')).every(({ id }) => id.endsWith('-2'))).toBe(true);
    expect(plan.moves.some(({ id }) => id === 'm7-2')).toBe(true);
    expect(openPlan(plan).ok).toBe(true);
  });
  test('a storey taken out takes its walls, their steps and moves, of its line only', () => {
    const plan = done(twoLines(), { name: 'removeFrom', args: { list: 'storeys', id: 'sy1-2' } });
    expect(second(plan).walls.map(({ id }) => id)).toEqual(['sh1-2', 'sh2-2']);
    expect(second(plan).strike.map(({ shore }) => shore)).not.toContain('sh3-2');
    expect(lineIn(plan).walls).toHaveLength(4);
    expect(plan.moves.some((move) => move.kind === 'shore.set' && move.shore === 'sh3-2')).toBe(false);
    expect(plan.moves.some((move) => move.kind === 'shore.set' && move.shore === 'sh3')).toBe(true);
  });
  test.each<[string, (plan: Plan) => unknown, RegExp]>([
    ['a wall in a storey of another line', (p) => (second(p).walls[0]!.storey = 'sy0'), /names storey “sy0” of another line/],
    ['a step that strikes a shore of another line', (p) => (second(p).strike[0]!.shore = 'sh1'), /names shore “sh1” of another line/],
    ['a storey of an id another line has', (p) => (second(p).storeys[0]!.id = 'sy1'), /used twice/],
    ['a wall of an id another line has', (p) => (second(p).walls[0]!.id = 'sh4'), /used twice/],
    ['a step of an id another line has', (p) => (second(p).strike[0]!.id = 'sk0'), /used twice/],
    ['two lines of one id', (p) => (second(p).id = 'line-1'), /used twice/],
    ['a line opened that is not there', (p) => Object.assign(p.moves[6]!, { line: 'line-7' }), /names line “line-7”/],
    ['an opening that is not there', (p) => (second(p).opening = 'op9'), /names opening “op9”/],
  ])('%s is refused', (_, edit, error) => {
    const plan = twoLines();
    edit(plan);
    const answer = openPlan(plan);
    expect(answer.ok ? '' : answer.faults.map((fault) => fault.error).join(' ')).toMatch(error);
  });
  test('what differs of a line is told, and what differs in it by itself', () => {
    const plan = twoLines();
    const later = edited((p) => {
      second(p).room = 1.5;
      second(p).walls[0]!.setback = 1.1;
    });
    expect(revisionDifferences(later, plan)).toEqual(['Another shored line: Baggage opening.', 'Another shore wall: Hall wall, left.']);
  });
});

describe('several ways in', () => {
  const twoWays = (edit: (plan: Plan) => unknown = () => undefined): Plan => {
    const plan = ticketHall();
    const way = structuredClone(wayIn(plan));
    plan.ways.push({
      ...way,
      id: 'way-2',
      name: 'By the yard',
      member: 'm-th6',
      cuts: [1.6],
      legs: way.legs.map((leg) => ({ ...leg, id: `${leg.id}-2`, at: { x: leg.at.x, y: leg.at.y } })),
    });
    edit(plan);
    return opened(plan);
  };
  test('each leg of each way is asked about for the piece that goes there', () => {
    const plan = twoWays();
    expect(of(plan, 'way.corner', 'lg4')!.demand).toBeCloseTo(of(ticketHall(), 'way.corner', 'lg4')!.demand!, 9);
    expect(of(plan, 'way.corner', 'lg4-2')!.demand).toBeCloseTo(1.6, 9);
    expect(rows(plan, 'way.sweep').map((check) => check.about.id)).toEqual(['m-th1', 'm-th6']);
    const narrow = twoWays((p) => {
      const leg = p.ways[1]!.legs.find((one) => one.kind === 'corner')!;
      if (leg.kind === 'corner') leg.corridorA = 0.05;
    });
    expect(of(narrow, 'way.corner', 'lg4-2')).toMatchObject({ verdict: 'stop' });
    expect(of(narrow, 'way.corner', 'lg4')).toMatchObject({ verdict: 'clear' });
  });
  test('each piece travels cut as its own way cuts it, and each splice has its bolts asked', () => {
    const plan = twoWays((p) => (p.ways[1]!.splice = { ...p.ways[1]!.splice, bolts: null, engineer: '' }));
    expect(rows(plan, 'way.bolts').map((check) => [check.about.id, check.verdict])).toEqual([
      ['m-th1/0', 'clear'],
      ['m-th1/1', 'clear'],
      ['m-th6/0', 'missing'],
    ]);
    expect(evaluate(plan, TODAY).derived.flatMap((one) => (one.id === 'splice' ? [one.subject] : []))).toEqual(['splice 1 of TH1', 'splice 2 of TH1']);
  });
  test('what of a piece travels weighs what its own way makes of it', () => {
    const plan = settle(twoWays());
    const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
    const parts = travellersOf(
      plan,
      plan.members.find(({ id }) => id === 'm-th6')!,
      rules,
    );
    expect(parts.map(({ name, length }) => [name, length])).toEqual([
      ['TH6/1', 1.6],
      ['TH6/2', 1.6],
    ]);
    // 3.2 m of 23.1 kg/m cut in two, with half of a splice of 12 kg and the allowance on each.
    for (const { mass } of parts) expect(mass! / (1.6 * 23.1 * 1.05 + 6)).toBeCloseTo(1, 1);
  });
  test('a piece on two ways is asked about; it is worked out on the first', () => {
    const plan = twoWays((p) => (p.ways[1]!.member = 'm-th1'));
    expect(rows(plan, 'way.twice').map((check) => [check.about, check.verdict])).toEqual([[{ kind: 'way', id: 'way-2' }, 'missing']]);
    expect(rows(plan, 'way.bolts')).toHaveLength(2);
    expect(of(plan, 'way.corner', 'lg4-2')).toBeUndefined();
  });
  test('each way is searched again when something is put in it, and only then', () => {
    const clear = twoWays();
    expect(rows(clear, 'way.sweep').map((check) => check.verdict)).toEqual(['clear', 'clear']);
    const blocked = twoWays((p) =>
      p.site.obstructions.push({ id: 'box', name: 'a crate', at: { x: 2.1, y: 2.9 }, length: 6, width: 0.6, azimuthDeg: 0, height: 1 }),
    );
    expect(rows(blocked, 'way.sweep').map((check) => check.verdict)).toEqual(['stop', 'stop']);
    expect(rows(clear, 'way.sweep').map((check) => check.verdict)).toEqual(['clear', 'clear']);
  });
  test('a way that is only named is asked which piece goes there', () => {
    const plan = twoWays((p) => p.ways.push({ ...newWay('way-3', 'Over the roof'), legs: [{ ...p.ways[0]!.legs[0]!, id: 'lz' }] }));
    expect(of(plan, 'way.piece', 'way-3')).toMatchObject({ verdict: 'missing', subject: 'Over the roof' });
  });
  test('a leg is added to its way, and a way that goes takes its legs', () => {
    const plan = twoWays();
    const leg = { ...plan.ways[0]!.legs[0]!, id: 'new' };
    const more = done(plan, { name: 'addTo', args: { list: 'legs', of: 'way-2', thing: leg } });
    expect(more.ways.map(({ legs }) => legs.length)).toEqual([10, 11]);
    expect(done(more, { name: 'removeFrom', args: { list: 'ways', id: 'way-1' } }).ways.map(({ id }) => id)).toEqual(['way-2']);
    expect(applyCommand(plan, { name: 'addTo', args: { list: 'legs', of: 'nowhere', thing: leg } })).toMatchObject({
      ok: false,
      faults: [{ error: expect.stringMatching(/no way in “nowhere”/) as unknown }],
    });
    const twice = openPlan({ ...plan, ways: plan.ways.map((way) => ({ ...way, legs: [plan.ways[0]!.legs[0]!] })) });
    expect(twice.ok ? '' : twice.faults[0]!.error).toMatch(/used twice/);
  });
});
