import { quayFootbridge } from '../../../../tests/demo-plan';
import { describe as say } from '../../verdict/describe';
import { openPlan } from '../../document/open';
import type { Plan } from '../../document/schema';
import { evaluate } from '../../evaluate';

const TODAY = '2026-11-28';
const IDS = /^stand\.(assembled|director|boomHeld|boomRoom|boomLine)$/;

/** The first crane of the footbridge with a boom that is put together, laid out where nothing is. */
const made = (edit: (plan: Plan) => unknown = () => undefined, crane: Partial<Plan['cranes'][number]> = { assembled: true }): Plan => {
  const plan = quayFootbridge();
  Object.assign(plan.cranes[0]!, crane);
  for (const stand of plan.stands) stand.assembly = { towardsDeg: -90, director: 'S. Aune', held: 'blocks under every section' };
  edit(plan);
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(`${opened.faults[0]?.path}: ${opened.faults[0]?.error}`);
  return opened.plan;
};
const rows = (plan: Plan) =>
  evaluate(plan, TODAY)
    .checks.filter(({ id }) => IDS.test(id))
    .map((check) => ({ id: check.id, verdict: check.verdict, about: check.about, move: check.move, words: say(check, 'metric').replace(/\u00a0/g, ' ') }));
const of = (plan: Plan, stand: string) => rows(plan).filter(({ about }) => about.id === stand);
const bad = (plan: Plan) => rows(plan).filter(({ verdict }) => verdict !== 'clear');

describe('a boom that is put together on site', () => {
  test('of a crane on outriggers nobody asks; on tracks, or with a boom longer than any that slides, somebody says whether it comes whole', () => {
    expect(rows(quayFootbridge())).toEqual([]);
    const tracked = made(undefined, { tracks: { shoe: 0.9 } });
    expect(rows(tracked).map(({ id, verdict }) => [id, verdict])).toEqual(tracked.stands.map(() => ['stand.assembled', 'missing']));
    expect(rows(made(undefined, { tracks: { shoe: 0.9 }, assembled: false }))).toEqual([]);
    const long = made((plan) => plan.picks.forEach((pick) => (pick.boom = 61)), {});
    expect(bad(long).map(({ id }) => id)).toContain('stand.assembled');
    const whole = made((plan) => plan.picks.forEach((pick) => (pick.boom = 61)), { assembled: false });
    expect(bad(whole)[0]).toMatchObject({ id: 'stand.assembled', verdict: 'missing' });
    expect(bad(whole)[0]!.words).toContain('none that slides out of itself is longer than 60');
  });

  test('there is room, and the plan says so for every stand', () => {
    const plan = made((one) => (one.site.powerLines = []));
    expect(bad(plan)).toEqual([]);
    expect(rows(plan).map(({ id }) => id)).toEqual(plan.stands.map(() => 'stand.boomRoom'));
  });

  test.each([
    ['which way it lies', (plan: Plan) => (plan.stands[0]!.assembly!.towardsDeg = null), 'stand.boomRoom', /Which way does the boom of Curlew 50 lie/],
    ['who directs it', (plan: Plan) => (plan.stands[0]!.assembly!.director = '?'), 'stand.director', /Who directs it/],
    ['what holds it', (plan: Plan) => (plan.stands[0]!.assembly!.held = ' '), 'stand.boomHeld', /What holds the boom/],
    ['all of it', (plan: Plan) => (plan.stands[0]!.assembly = null), 'stand.director', /Who directs it/],
  ])('%s is asked where nobody says it', (_, edit, id, words) => {
    const asked = bad(made(edit));
    const row = asked.find((one) => one.id === id)!;
    expect(row.verdict).toBe('missing');
    expect(row.words).toMatch(words);
    expect(row.about.id).toBe('w1');
  });

  const wall = (plan: Plan, x: number, y: number, height = 4) =>
    plan.site.obstructions.push({ id: 'wall', name: 'Shed', at: { x, y }, length: 0.5, width: 0.5, azimuthDeg: 0, height });
  /** Half a boom south of the first stand. */
  const south = (plan: Plan) => ({ x: plan.stands[0]!.at.x, y: plan.stands[0]!.at.y - 14 });

  test('what stands where it lies is a stop; beside it, past its end, behind it or as low as a kerb is not', () => {
    const [clear, stopped] = [
      (edit: (plan: Plan) => unknown) => expect(of(made(edit), 'w1').filter(({ id, verdict }) => id === 'stand.boomRoom' && verdict === 'stop')).toEqual([]),
      (edit: (plan: Plan) => unknown) => {
        const [row] = of(made(edit), 'w1').filter(({ id }) => id === 'stand.boomRoom');
        expect(row).toMatchObject({ verdict: 'stop', about: { part: 'wall' } });
        expect(row!.words).toContain('is laid out and raised over Shed');
      },
    ];
    stopped((plan) => wall(plan, south(plan).x, south(plan).y));
    const half = quayFootbridge().cranes[0]!.boomWidth / 2;
    stopped((plan) => wall(plan, south(plan).x + half + 0.6, south(plan).y));
    clear((plan) => wall(plan, south(plan).x + half + 1, south(plan).y));
    clear((plan) => wall(plan, south(plan).x, south(plan).y, 0.1));
    const boom = Math.max(...quayFootbridge().picks.map((pick) => pick.boom));
    clear((plan) => wall(plan, south(plan).x, plan.stands[0]!.at.y - boom + plan.cranes[0]!.pivotBack - 0.3));
    stopped((plan) => wall(plan, south(plan).x, plan.stands[0]!.at.y - boom + plan.cranes[0]!.pivotBack + 0.3));
    clear((plan) => wall(plan, south(plan).x, plan.stands[0]!.at.y + 6));
    // Turned the other way it lies elsewhere.
    clear((plan) => (wall(plan, south(plan).x, south(plan).y), (plan.stands[0]!.assembly!.towardsDeg = 180)));
  });

  test('steel that stands by the time the crane leaves is in the way of its boom coming down, and not of its going up', () => {
    // The first girder lies over the first stand’s boom once it is set.
    const plan = made((one) => {
      const beam = one.structure.pieces.find(({ id }) => id === one.picks[0]!.piece)!;
      one.stands[0]!.assembly!.towardsDeg =
        (Math.atan2((beam.from!.y! + beam.to!.y!) / 2 - one.stands[0]!.at.y, (beam.from!.x! + beam.to!.x!) / 2 - one.stands[0]!.at.x) * 180) / Math.PI;
    });
    const stops = of(plan, 'w1').filter(({ id, verdict }) => id === 'stand.boomRoom' && verdict === 'stop');
    const beam = plan.picks[0]!.piece;
    const row = stops.find(({ about }) => about.part === beam)!;
    const leaves = plan.moves.find((move) => move.kind === 'crane.leave' && move.stand === 'w1');
    expect(row.move).toBe(leaves!.id);
    expect(row.words).toContain('comes down over');
  });

  test('a power line over the way of the boom is held to the distance of its table, between the degrees too', () => {
    const line =
      (y: number, height: number, volts = 20_000) =>
      (plan: Plan) =>
        void (plan.site.powerLines = [
          { id: 'pl', name: 'Feeder 20 kV', volts, from: { x: -60, y: south(plan).y + y }, to: { x: 80, y: south(plan).y + y }, height },
        ]);
    const near = (edit: (plan: Plan) => unknown) => evaluate(made(edit), TODAY).checks.find(({ id, about }) => id === 'stand.boomLine' && about.id === 'w1')!;
    expect(near(line(0, 9))).toMatchObject({ verdict: 'stop', capacity: 0, about: { part: 'pl' } });
    const far = near(line(-60, 9));
    expect(far.verdict).toBe('clear');
    // Past the tip as it lies: as far as the tip is from the line, less what lies between two degrees and half the boom.
    const boom = Math.max(...quayFootbridge().picks.map((pick) => pick.boom));
    const { pivotBack, boomDepth, pivotHeight } = quayFootbridge().cranes[0]!;
    const out = 60 + 14 - (boom - pivotBack);
    const plain = Math.hypot(out, 9 - pivotHeight);
    expect(far.capacity!).toBeLessThanOrEqual(plain - boomDepth / 2 + 1e-9);
    expect(far.capacity!).toBeGreaterThan(plain - boomDepth / 2 - (boom * Math.PI) / 360 - 0.3);
    // Nobody knows its voltage: asked where it is asked already, and nothing is said of it here.
    expect(rows(made((plan) => (line(0, 9)(plan), (plan.site.powerLines[0]!.volts = null)))).filter(({ id }) => id === 'stand.boomLine')).toEqual([]);
  });

  test('a mast has no boom to lay out', () => {
    const tower = made((plan) => {
      Object.assign(plan.cranes[0]!, {
        tower: { standsOn: '', corner: null, carries: null, uplift: null, holds: null, by: '', on: '', slewsFree: null, tied: '', down: '' },
        pivotBack: 0,
        pivotHeight: 30,
      });
    });
    expect(rows(tower)).toEqual([]);
  });
});
