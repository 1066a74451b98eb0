import { quayFootbridge } from '../../../../tests/demo-plan';
import { opened } from '../../../../tests/said';
import { elevationScene } from '../../view/elevation-scene';
import { planScene } from '../../view/plan-scene';
import { shoresAt } from '../../view/shore-moment';
import { allRound } from '../map/all-round';
import type { Check } from '../../verdict/check';
import { describe as words } from '../../verdict/describe';
import type { MastHold, Tower } from '../../document/things/tower';
import { applyCommand } from '../../edit/apply';
import { newTower } from '../../document/new-tower';
import { Missing } from '../../verdict/missing';
import { hooksOf, pickContext } from '../lift/pick-context';
import { rulesOf } from '../../rules/rule-sets';
import { replay } from '../../replay/replay';
import type { Plan } from '../../document/schema';
import { settle } from '../../settle/settle';
import { models, takenCrane } from '../../document/shared-gear';
import { wholeStandMap } from '../map/stand-map';
import { underLoad, givesOf } from '../../settle/under-load';
import { evaluate } from '../../evaluate';

const TODAY = '2026-11-29';
const said: Tower = {
  standsOn: 'Base block B1',
  corner: 600e3,
  carries: 900e3,
  uplift: 120e3,
  holds: 300e3,
  by: 'P. Novak',
  on: '2026-10-01',
  slewsFree: true,
  tied: '',
  down: 'a mobile crane from the quay, before the roof of the hall',
  free: 25,
};

const tie: MastHold = { id: 't1', name: 'Tie 1', level: 10, brings: 80e3, carries: 120e3, by: 'P. Novak', pieces: [] };

/** The footbridge lifted by one tower crane: jib 20 m up and 40 m long, counter-jib 12 m, on a chart of its own. */
function tower(edit: (plan: Plan) => unknown = () => undefined): Plan {
  const plan = quayFootbridge();
  const radii = [3, 10, 15, 20, 25, 30, 40];
  Object.assign(plan.cranes[0]!, {
    pivotBack: 0,
    pivotHeight: 20,
    boomDepth: 1.5,
    boomWidth: 1.4,
    hookDrop: 2,
    tailRadius: 12,
    baseLength: 4,
    baseWidth: 4,
    tower: { ...said },
    parts: [],
    cab: null,
    chart: { radii, booms: [40], capacity: [12000, 11000, 10000, 9000, 8000, 6500, 4000].map((one) => [one]) },
    chartSource: 'Its maker, 2024',
    chartBase: null,
    chartGust: 20,
  });
  plan.duties = [];
  plan.stands = plan.stands.map((one) => ({ ...one, padArea: null, groundAllowable: null, base: null, counterweight: null }));
  for (const pick of plan.picks) Object.assign(pick, { stand: 'w1', boom: 40, liftOver: 1 });
  plan.stands = plan.stands.filter(({ id }) => id === 'w1');
  plan.moves = plan.moves.filter((move) => move.id !== 'c1l' && move.id !== 'c2s' && move.id !== 'c2l');
  plan.moves.push({ id: 'c1l', kind: 'crane.leave', stand: 'w1' });
  edit(plan);
  return opened(plan);
}
const crane = (plan: Plan) => plan.cranes[0]!;
const rows = (plan: Plan, id: string): readonly Check[] => evaluate(plan, TODAY).checks.filter((one) => one.id === id);
const text = (check: Check) => words(check, 'metric').replace(/\u00a0/g, ' ');
const asked = (plan: Plan) =>
  evaluate(plan, TODAY)
    .checks.filter(({ verdict }) => verdict === 'missing')
    .map(text)
    .join('\n');

describe('a tower crane', () => {
  test('nothing of a mobile crane is asked of it: no mats, no outriggers, no way out, no weights of its parts', () => {
    const ids = new Set(evaluate(tower(), TODAY).checks.map(({ id }) => id));
    for (const id of ['stand.ground', 'stand.tips', 'stand.base', 'stand.wayOut', 'lift.chartBase']) expect(ids).not.toContain(id);
    expect(asked(tower())).not.toMatch(/mat |outrigger|foot pin/);
    expect(rows(tower(), 'crane.size')).toEqual([]);
  });

  test('its chart is read at the radius of its trolley: nothing bends out', () => {
    const plan = tower();
    const { path, loaded } = pickContext(settle(plan), plan.picks[0]!);
    if (path instanceof Missing) throw new Error('path');
    expect(loaded(path.most)).toBe(path.most);
    expect(underLoad(givesOf(plan, crane(plan), plan.stands[0]!), 40, 17)).toBe(17);
    const [row] = rows(plan, 'lift.chart');
    expect((row!.finding as { radius: number }).radius).toBeCloseTo(path.most, 9);
    expect(row!.verdict).toBe('clear');
  });

  test('head room is jib less what the hook hangs below it, however far out', () => {
    const plan = tower();
    const found = rows(plan, 'lift.headRoom').find(({ about }) => about.id === 'k1')!;
    expect(found.capacity).toBeCloseTo(20 - 2 - rulesOf(plan.job.ruleSet, {}).value('headRoomReserve'), 9);
    const lower = tower((one) => (crane(one).pivotHeight = 10));
    expect(rows(lower, 'lift.headRoom').find(({ about }) => about.id === 'k1')!.verdict).toBe('stop');
  });

  test('past the end of its jib it does not reach', () => {
    const short = tower((plan) => plan.picks.forEach((pick) => (pick.boom = 8)));
    expect(rows(short, 'lift.boomReach').every(({ verdict }) => verdict === 'stop')).toBe(true);
    expect(rows(short, 'lift.boomReach').length).toBeGreaterThan(0);
  });

  test('its jib is over all that stands as far as it reaches, past the trolley and behind the mast', () => {
    const mastAt = { x: 9, y: -8 };
    const shed = (x: number, y: number, height: number) =>
      tower((plan) => void plan.site.obstructions.push({ id: 'shed', name: 'Shed', at: { x, y }, length: 2, width: 2, azimuthDeg: 0, height }));
    const gap = (plan: Plan) => rows(plan, 'lift.boomGap').filter(({ about }) => about.part === 'shed');
    // Under the jib, 30 m out where G1a is set 8 m away.
    const { path } = pickContext(settle(tower()), tower().picks[0]!);
    if (path instanceof Missing) throw new Error('path');
    const last = path.stations.at(-1)!;
    const turn = (last.bearingDeg * Math.PI) / 180;
    const far = { x: mastAt.x + 30 * Math.cos(turn), y: mastAt.y + 30 * Math.sin(turn) };
    const [under] = gap(shed(far.x, far.y, 15));
    expect(under!.capacity).toBeCloseTo(20 - 0.75 - 15, 6);
    expect(gap(shed(far.x, far.y, 19.5))[0]!.verdict).toBe('stop');
    const beyond = { x: mastAt.x + 42 * Math.cos(turn), y: mastAt.y + 42 * Math.sin(turn) };
    expect(gap(shed(beyond.x, beyond.y, 15))).toEqual([]);
    // Half way over, the counter-jib is on the side the jib never comes to: 12 m of it.
    const half = path.stations[Math.floor(path.stations.length / 2)]!;
    const back = ((half.bearingDeg + 180) * Math.PI) / 180;
    const at = (out: number) => gap(shed(mastAt.x + out * Math.cos(back), mastAt.y + out * Math.sin(back), 15)).filter(({ about }) => about.id === 'k1');
    expect(at(8)[0]!.capacity).toBeCloseTo(20 - 0.75 - 15, 6);
    expect(at(15)).toEqual([]);
  });

  test('its mast stands no higher free than its maker lets it, over its base or over what holds it highest', () => {
    const free = (changes: Partial<Tower>) =>
      rows(
        tower((plan) => Object.assign(crane(plan).tower!, changes)),
        'stand.mastFree',
      )[0]!;
    expect(free({})).toMatchObject({ verdict: 'clear', demand: 20, capacity: 25 });
    expect(free({ free: 20 }).verdict).toBe('clear');
    expect(free({ free: 19.9 }).verdict).toBe('stop');
    expect(text(free({ free: 15 }))).toMatch(/stands 20\.00 m over its base with nothing to hold it; its maker lets it stand 15\.00 m/);
    expect(free({ free: null }).verdict).toBe('missing');
    expect(text(free({ free: null }))).toMatch(/How high may the mast of .* stand free/);
    const ties = (...levels: (number | null)[]) => levels.map((level, i) => ({ ...tie, id: `t${i}`, name: `Tie ${i + 1}`, level }));
    // The longest stretch counts, wherever it is, and whichever was said first.
    expect(free({ heldAt: ties(12) })).toMatchObject({ demand: 12 });
    expect(free({ heldAt: ties(14, 6) })).toMatchObject({ demand: 8 });
    expect(text(free({ free: 5, heldAt: ties(14, 6) }))).toMatch(/stands 8\.00 m over Tie 2/);
    // What holds it nobody knows where, or above its jib, holds nothing.
    expect(free({ heldAt: ties(null) })).toMatchObject({ demand: 20 });
    expect(free({ heldAt: ties(21) })).toMatchObject({ demand: 20 });
  });

  test('what holds it higher up carries what comes there, and stands as long as the crane does', () => {
    const held = (changes: Partial<MastHold>, moves: (plan: Plan) => unknown = () => undefined) =>
      rows(
        tower((plan) => {
          crane(plan).tower!.heldAt = [{ ...tie, ...changes }];
          moves(plan);
        }),
        'stand.mastHeld',
      );
    const first = quayFootbridge().moves.find((move) => move.kind === 'piece.letGo')!.beam;
    /** The first piece stands before the crane comes. */
    const before = (plan: Plan) => {
      const set = plan.moves.findIndex((move) => move.kind === 'crane.set');
      const [comes] = plan.moves.splice(set, 1);
      plan.moves.splice(plan.moves.findIndex((move) => move.kind === 'piece.letGo') + 1, 0, comes!);
    };
    const plain = held({ pieces: [first] }, before);
    expect(plain.map(({ verdict, demand, capacity }) => [verdict, demand, capacity])).toEqual([['clear', 80e3, 120e3]]);
    expect(held({ pieces: [first], brings: 125e3 }, before)[0]!.verdict).toBe('stop');
    expect(held({ pieces: [first], brings: 118e3 }, before)[0]!.verdict).toBe('tight');
    const questions = held({ level: null, brings: null, carries: null, by: '', pieces: [] }).map((one) => `${one.verdict} ${text(one)}`);
    expect(questions).toEqual([
      expect.stringMatching(/^missing How high over the ground does Tie 1 hold/),
      expect.stringMatching(/^missing With how much does the mast/),
      expect.stringMatching(/^missing What may be pushed and pulled at Tie 1/),
      expect.stringMatching(/^missing Who worked out that what Tie 1 is fixed to/),
      expect.stringMatching(/^missing Which pieces of the structure is Tie 1 fixed to/),
    ]);
    for (const level of [0, 20.5]) expect(held({ level, pieces: [first] }, before).map(({ verdict }) => verdict)).toEqual(['missing', 'clear']);
    // Set by this very crane it is not there when the crane comes.
    const late = held({ pieces: [first] }).filter(({ verdict }) => verdict === 'stop');
    expect(late.map(text)).toEqual([expect.stringMatching(/does not stand when the crane is set up/)]);
    const gone = held({ pieces: [first] }, (plan) => {
      before(plan);
      const leaves = plan.moves.findIndex((move) => move.kind === 'crane.leave');
      plan.moves.splice(leaves, 0, { id: 'again', kind: 'piece.hang', beam: first, by: 'another crane', checkedBy: 'L. Marsh' });
    }).filter(({ verdict }) => verdict === 'stop');
    expect(gone.map((one) => `${one.move} ${text(one)}`)).toEqual([expect.stringMatching(/^again .*which stands no more while the crane does/)]);
    // The crane that has left comes back, and what held its mast is gone by then.
    const back = held({ pieces: [first] }, (plan) => {
      before(plan);
      plan.moves.push(
        { id: 'again', kind: 'piece.hang', beam: first, by: 'another crane', checkedBy: 'L. Marsh' },
        { id: 'back', kind: 'crane.set', stand: 'w1' },
      );
    }).filter(({ verdict }) => verdict === 'stop');
    expect(back.map((one) => `${one.move} ${text(one)}`)).toEqual([expect.stringMatching(/^again .*which stands no more while the crane does/)]);
    // After the crane has left it may go.
    const after = held({ pieces: [first] }, (plan) => {
      before(plan);
      plan.moves.push({ id: 'again', kind: 'piece.hang', beam: first, by: 'another crane', checkedBy: 'L. Marsh' });
    });
    expect(after.map(({ verdict }) => verdict)).toEqual(['clear']);
  });

  test('what holds it is drawn on its mast, at its level', () => {
    const drawn = (level: number | null) => {
      const plan = tower((one) => (crane(one).tower!.heldAt = [{ ...tie, level }]));
      const settled = settle(plan);
      const moment = replay(settled).steps.find(({ move }) => move.id === 'c1s')!.after;
      const scene = elevationScene(settled, moment, 'boom', shoresAt(settled, moment, {}));
      return scene.shapes.filter((one) => one.shape === 'label' && one.text === 'Tie 1').map((one) => one.shape === 'label' && one.at.y);
    };
    expect(drawn(10)).toEqual([10]);
    expect(drawn(null)).toEqual([]);
    expect(drawn(21)).toEqual([]);
  });

  test('a tie is of its job: the crane taken to another has none, and a piece that is taken out holds nothing', () => {
    const plan = tower((one) => (crane(one).tower!.heldAt = [{ ...tie, pieces: [one.structure.pieces[0]!.id] }]));
    const gear = { id: 'j', name: 'j', cranes: plan.cranes, duties: [], yard: [], day: null, used: [] };
    expect(takenCrane(gear, crane(plan), (prefix) => `${prefix}9`).cranes[0]!.tower).toEqual({ ...said });
    const done = applyCommand(plan, { name: 'removeFrom', args: { list: 'beams', id: plan.structure.pieces[0]!.id } });
    if (!done.ok) throw new Error(done.faults[0]!.error);
    expect(done.plan.cranes[0]!.tower!.heldAt).toEqual([{ ...tie, pieces: [] }]);
    expect(() => tower((one) => (crane(one).tower!.heldAt = [{ ...tie, pieces: ['nobody'] }]))).toThrow();
  });

  test('out of service it turns with the wind over everything in its circle', () => {
    const mill = (x: number, height: number) =>
      tower((plan) => void plan.site.obstructions.push({ id: 'mill', name: 'Mill', at: { x, y: -8 }, length: 2, width: 2, azimuthDeg: 0, height }));
    expect(rows(tower(), 'stand.slewsFree').map(({ verdict }) => verdict)).toEqual(['clear']);
    const [inReach] = rows(mill(-25, 25), 'stand.slewsFree');
    expect(inReach!.verdict).toBe('stop');
    expect(text(inReach!)).toContain('Mill, which reaches up to 25.00 m');
    expect(rows(mill(-25, 15), 'stand.slewsFree')[0]!.verdict).toBe('clear');
    expect(rows(mill(-35, 25), 'stand.slewsFree')[0]!.verdict).toBe('clear');
    // A column that comes to stand there is as good as a mill.
    const grown = tower((plan) => {
      const beam = plan.structure.pieces.find(({ id }) => id === 'g2b')!;
      beam.from = { x: 14, y: 2.4, z: 19 };
      beam.to = { x: 24, y: 2.4, z: 19 };
    });
    expect(text(rows(grown, 'stand.slewsFree')[0]!)).toContain('G2b');
    const held = (tied: string) => tower((plan) => Object.assign(crane(plan).tower!, { slewsFree: false, tied }));
    expect(rows(held(''), 'stand.slewsFree')[0]!.verdict).toBe('missing');
    expect(rows(held('P. Novak'), 'stand.slewsFree')[0]!.verdict).toBe('clear');
  });

  test('what its mast brings down and pulls up against what it stands on', () => {
    const [down] = rows(tower(), 'stand.mast');
    expect(down).toMatchObject({ demand: 600e3, capacity: 900e3, verdict: 'clear' });
    expect(rows(tower(), 'stand.mastUplift')[0]).toMatchObject({ demand: 120e3, capacity: 300e3, verdict: 'clear' });
    const over = (changes: Partial<Tower>, id: string) =>
      rows(
        tower((plan) => Object.assign(crane(plan).tower!, changes)),
        id,
      ).map(({ verdict }) => verdict);
    expect(over({ carries: 590e3 }, 'stand.mast')).toEqual(['stop']);
    expect(over({ holds: 100e3 }, 'stand.mastUplift')).toEqual(['stop']);
    expect(over({ uplift: 0, holds: null }, 'stand.mastUplift')).toEqual([]);
    expect(over({ uplift: 0, holds: null }, 'stand.mast')).toEqual(['clear']);
  });

  test.each<[keyof Tower, Tower[keyof Tower], RegExp]>([
    ['standsOn', '', /What does .* stand on at W1/],
    ['corner', null, /What comes down at one leg/],
    ['carries', null, /What may come down at one leg/],
    ['uplift', null, /What pulls up at one leg/],
    ['holds', null, /What holds a leg of the mast down/],
    ['by', '', /Who worked out what/],
    ['by', 'tbd', /Who worked out what/],
    ['on', '', /When was the base/],
    ['on', '2027-01-01', /When was the base/],
    ['slewsFree', null, /turn with the wind when nobody works it/],
    ['down', '-', /How is .* taken down/],
  ])('%s as %p is asked', (key, value, question) => {
    expect(asked(tower())).not.toMatch(question);
    expect(asked(tower((plan) => Object.assign(crane(plan).tower!, { [key]: value })))).toMatch(question);
  });

  test('sizes that no tower crane has are asked, those of a mobile crane are not wanted of it', () => {
    expect(
      rows(
        tower((plan) => (crane(plan).pivotHeight = 4)),
        'crane.size',
      )
        .map(text)
        .join(),
    ).toContain('its jib is above the ground');
    expect(
      rows(
        tower((plan) => (crane(plan).tailRadius = 0.5)),
        'crane.size',
      )
        .map(text)
        .join(),
    ).toContain('its counter-jib reaches');
  });

  test.each<[keyof Tower, number]>([
    ['corner', 600],
    ['corner', 600e6],
    ['carries', 900],
    ['carries', 900e6],
    ['uplift', 120],
    ['holds', 300],
  ])('%s of %d N is asked: which unit was meant', (key, value) => {
    expect(
      rows(
        tower((plan) => Object.assign(crane(plan).tower!, { [key]: value })),
        'said.size',
      ).filter(({ verdict }) => verdict === 'missing'),
    ).toHaveLength(1);
    expect(rows(tower(), 'said.size')).toEqual([]);
  });

  test('a power line is kept off by the jib to its end, whichever way it turns', () => {
    const line = (y: number, height: number) =>
      tower((plan) => void (plan.site.powerLines = [{ id: 'pl', name: 'Feeder', from: { x: -60, y }, to: { x: 80, y }, height, volts: 11000 }]));
    // 30 m away and as high as the jib, which is 40 m long.
    expect(asked(line(-38, 20))).toContain('could come within 0.00 m of Feeder');
    expect(asked(line(-100, 20))).not.toContain('of Feeder');
    expect(asked(line(-38, 60))).not.toContain('could come within');
    // The end of the jib is there though its chart gives nothing past 15 m.
    const short = tower((plan) => {
      plan.site.powerLines = [{ id: 'pl', name: 'Feeder', from: { x: -60, y: -38 }, to: { x: 80, y: -38 }, height: 20, volts: 11000 }];
      crane(plan).chart!.capacity.forEach((cells, i) => (crane(plan).chart!.radii[i]! > 15 ? cells.fill(null) : cells));
    });
    expect(asked(short)).toContain('could come within 0.00 m of Feeder');
  });

  test('on its way the jib to its end and the counter-jib come near a line that its hook does not', () => {
    const nearTo = (bearing: number, out: number) => {
      const { path } = pickContext(settle(tower()), tower().picks[0]!);
      if (path instanceof Missing) throw new Error('path');
      const turn = ((path.stations.at(-1)!.bearingDeg + bearing) * Math.PI) / 180;
      const middle = { x: 9 + out * Math.cos(turn), y: -8 + out * Math.sin(turn) };
      const along = { x: -Math.sin(turn), y: Math.cos(turn) };
      const end = (by: number) => ({ x: middle.x + by * along.x, y: middle.y + by * along.y });
      const plan = tower((one) => void (one.site.powerLines = [{ id: 'pl', name: 'Feeder', from: end(-3), to: end(3), height: 21, volts: 11000 }]));
      return evaluate(plan, TODAY)
        .checks.filter(({ id, about }) => id === 'stand.powerLine' && about.part === 'k1')
        .map(({ verdict }) => verdict);
    };
    // 34 m out past the hook, and 10 m behind the mast; 60 m out it is no matter of this lift.
    expect(nearTo(0, 34)).toEqual(['stop']);
    expect(nearTo(180, 10)).toEqual(['stop']);
    expect(nearTo(0, 60)).not.toContain('stop');
  });

  test('drawn with its jib to the end and its counter-jib behind, level from the side', () => {
    const plan = settle(tower());
    const moment = replay(plan).steps.find(({ move }) => move.id === 'c1s')!.after;
    const above = planScene(plan, moment, shoresAt(plan, moment, {}));
    const jib = above.shapes.find((one) => one.shape === 'line' && one.of?.kind === 'stand' && one.points.length === 2);
    if (jib?.shape !== 'line') throw new Error('jib');
    expect(Math.hypot(jib.points[1]!.x - jib.points[0]!.x, jib.points[1]!.y - jib.points[0]!.y)).toBeCloseTo(52, 6);
    const side = elevationScene(plan, moment, 'boom', shoresAt(plan, moment, {}));
    const tops = side.shapes.flatMap((one) => (one.shape === 'polygon' && one.of?.kind === 'stand' ? [Math.max(...one.points.map(({ y }) => y))] : []));
    expect(tops).toContain(20.75);
    expect(tops).toContain(20);
  });

  test('its rope hangs plumb from its trolley: a line lower down further out is none of its', () => {
    const { path } = pickContext(settle(tower()), tower().picks[0]!);
    if (path instanceof Missing) throw new Error('path');
    const turn = (path.stations.at(-1)!.bearingDeg * Math.PI) / 180;
    const out = (path.stations.at(-1)!.radius + 40) / 2;
    const middle = { x: 9 + out * Math.cos(turn), y: -8 + out * Math.sin(turn) };
    // Half way from the hook to the end of the jib, and half way up: a rope from the end of the jib would pass through it.
    const plan = tower((one) => {
      one.site.powerLines = [
        { id: 'pl', name: 'Feeder', from: { x: middle.x - 3, y: middle.y }, to: { x: middle.x + 3, y: middle.y }, height: 13, volts: 11000 },
      ];
    });
    const found = rows(plan, 'stand.powerLine').filter(({ about }) => about.part === 'k1');
    expect(found.map(({ verdict }) => verdict)).not.toContain('stop');
    expect(found).toHaveLength(1);
  });

  test('steel that stands under the jib past the hook is seen', () => {
    const bearing = (n: number, plan: Plan) => {
      const { path } = pickContext(settle(plan), plan.picks[n]!);
      if (path instanceof Missing) throw new Error('path');
      return (path.stations.at(-1)!.bearingDeg * Math.PI) / 180;
    };
    const turn = bearing(3, tower());
    const far = tower((plan) => {
      const at = { x: 9 + 32 * Math.cos(turn), y: -8 + 32 * Math.sin(turn) };
      const beam = plan.structure.pieces.find(({ id }) => id === 'g1a')!;
      beam.from = { x: at.x - 7, y: at.y, z: 18.5 };
      beam.to = { x: at.x + 7, y: at.y, z: 18.5 };
    });
    const [gap] = rows(far, 'lift.boomGap').filter(({ about }) => about.id === 'k4' && about.part === 'g1a');
    expect(gap!.verdict).toBe('stop');
    expect(gap!.capacity).toBeCloseTo(20 - 0.75 - 18.5 - 0.96, 6);
  });

  test('its counter-jib passes over what is lower than its weights hang, and by nothing that is as high', () => {
    const { path } = pickContext(settle(tower()), tower().picks[0]!);
    if (path instanceof Missing) throw new Error('path');
    const back = ((path.stations[Math.floor(path.stations.length / 2)]!.bearingDeg + 180) * Math.PI) / 180;
    const at = { x: 9 + 9 * Math.cos(back), y: -8 + 9 * Math.sin(back) };
    const shed = (height: number) =>
      tower((plan) => void plan.site.obstructions.push({ id: 'shed', name: 'Shed', at, length: 1, width: 1, azimuthDeg: 0, height }));
    const tails = (plan: Plan) => rows(plan, 'stand.tail').filter((one) => text(one).includes('Shed'));
    expect(tails(shed(15))).toEqual([]);
    expect(tails(shed(18)).map(({ verdict }) => verdict)).toContain('stop');
  });

  test('beside a pit its foot counts, and no mats are asked for', () => {
    const plan = tower((one) => {
      one.site.zones = [{ id: 'pit', name: 'Trench', kind: 'pit', at: { x: 9, y: -14 }, length: 4, width: 1, azimuthDeg: 0, depth: 1, closed: null }];
    });
    expect(rows(plan, 'stand.edge').map(text).join()).not.toContain('mats');
    expect(rows(plan, 'stand.edge').map(({ verdict }) => verdict)).toEqual(['clear']);
  });

  test('of several picks the longest jib counts, of a short jib its counter-jib, and of two cranes the second too', () => {
    const mill = { id: 'mill', name: 'Mill', at: { x: -26, y: -8 }, length: 1, width: 1, azimuthDeg: 0, height: 25 };
    const verdict = (edit: (plan: Plan) => unknown) =>
      rows(
        tower((plan) => {
          plan.site.obstructions.push(mill);
          edit(plan);
        }),
        'stand.slewsFree',
      ).map((one) => one.verdict);
    const jibs = (plan: Plan, of: readonly number[]) => plan.picks.forEach((pick, n) => (pick.boom = of[n]!));
    expect(verdict((plan) => jibs(plan, [30, 30, 30, 30]))).toEqual(['clear']);
    expect(verdict((plan) => jibs(plan, [30, 40, 30, 30]))).toEqual(['stop']);
    expect(verdict((plan) => (jibs(plan, [30, 30, 30, 30]), (crane(plan).tailRadius = 36)))).toEqual(['stop']);
    const second = (plan: Plan) => {
      plan.cranes.push({ ...quayFootbridge().cranes[0]!, id: 'c2', name: 'Curlew 51' });
      plan.stands.push({ ...quayFootbridge().stands[0]!, id: 'w9', name: 'W9', crane: 'c2', at: { x: 20, y: -8 } });
      for (const pick of plan.picks) pick.stand = 'w9';
      Object.assign(plan.picks[0]!, { rig: null, second: { stand: 'w1', boom: 40, slingRating: 9000, riggingMass: 95 } });
    };
    expect(verdict(second)).toEqual(['stop']);
  });

  test('what stands or is built where its mast is, is a stop; beside it, or over its jib, it is not', () => {
    const at = (x: number, z: number) =>
      rows(
        tower((plan) => {
          const beam = plan.structure.pieces.find(({ id }) => id === 'g2b')!;
          beam.from = { x: x - 5, y: -8, z };
          beam.to = { x: x + 5, y: -8, z };
        }),
        'stand.mastRoom',
      ).map((one) => `${one.verdict} ${text(one)}`);
    expect(at(9, 5)).toEqual([expect.stringMatching(/^stop G2b stands where the mast of .* does, at W1/)]);
    expect(at(16, 5)).toEqual([]);
    expect(at(9, 30)).toEqual([]);
    const shed = tower(
      (plan) => void plan.site.obstructions.push({ id: 'shed', name: 'Shed', at: { x: 9.5, y: -8 }, length: 1, width: 1, azimuthDeg: 0, height: 3 }),
    );
    expect(rows(shed, 'stand.mastRoom')).toHaveLength(1);
  });

  test('of a second hook whose jib nobody said only that is asked', () => {
    const plan = tower((one) => {
      one.cranes.push({ ...quayFootbridge().cranes[0]!, id: 'c2', name: 'Curlew 51' });
      one.stands.push({ ...quayFootbridge().stands[0]!, id: 'w9', name: 'W9', crane: 'c2', at: { x: 20, y: -8 } });
      Object.assign(one.picks[0]!, { stand: 'w9', rig: null, second: { stand: 'w1', boom: null, slingRating: 9000, riggingMass: 95 } });
    });
    expect(rows(plan, 'stand.jib')).toEqual([]);
  });

  test('it has one jib: picks that say two are asked which', () => {
    expect(rows(tower(), 'stand.jib')).toEqual([]);
    const two = tower((plan) => (plan.picks[2]!.boom = 30));
    expect(rows(two, 'stand.jib').map((one) => `${one.verdict} ${text(one)}`)).toEqual([
      expect.stringMatching(/^missing Its picks at W1 say that the jib of .* is 30.00 m long, and 40.00 m. Which is it\?$/),
    ]);
  });

  test('there is no map of stands for it, and nothing under outriggers all round', () => {
    const plan = settle(tower());
    expect(wholeStandMap(plan, 'c1')).toMatchObject({ questions: [expect.stringContaining('it stands where its base is')] });
    expect(allRound(hooksOf(plan, plan.picks[0]!)[0]!)).toMatchObject({ questions: [expect.stringContaining('stands on a mast')] });
  });

  test('a made-up one ships, its mast still to be said', () => {
    const model = models.cranes.find((one) => one.tower)!;
    expect(model.tower).toEqual(newTower());
    let n = 0;
    const taken = takenCrane(models, model, () => `n${(n += 1)}`);
    const plan = tower((one) => Object.assign(crane(one), { ...taken.cranes[0]!, id: 'c1' }));
    expect(asked(plan)).toMatch(/is made up, to try with/);
    expect(asked(plan)).toMatch(/What comes down at one leg/);
    expect(rows(plan, 'crane.size')).toEqual([]);
  });
});
