import { swayIn } from './sway';
import type { SwayAnswer, SwayBrace, SwayColumn, SwayFrame, SwayRail, SwayStands } from './sway-frame';
import { runCalc } from '../catalogue/run';

const EI = 2e11 * 1.5e-5;
const HIGH = 4;
const column = (id: string, x: number, y: number, changes: Partial<SwayColumn> & { down?: number } = {}): SwayColumn => ({
  id,
  x,
  y,
  stiffness: EI,
  canStand: false,
  nodes: [{ z: HIGH, down: changes.down ?? 0 }],
  ...changes,
});
const top = (c: number, node = 0) => [{ column: c, node, share: 1 }];
const tie = (a: number, b: number, node = 0) => ({ id: `${a}-${b}`, a: top(a, node), b: top(b, node), stiffness: 2e8 });
/** from the top of a column down to the ground */
const rope = (id: string, c: number, azimuthDeg: number, slopeDeg: number, changes: Partial<SwayBrace> = {}): SwayBrace => {
  const [a, s] = [(azimuthDeg * Math.PI) / 180, (slopeDeg * Math.PI) / 180];
  return {
    id,
    a: top(c),
    b: null,
    towards: { x: Math.cos(a) * Math.cos(s), y: Math.sin(a) * Math.cos(s), z: -Math.sin(s) },
    stiffness: 5e6,
    pullsOnly: true,
    ...changes,
  };
};
const push = (frame: SwayFrame, x: number, y: number) => frame.columns.map(({ nodes }) => nodes.map(() => ({ x, y })));
const solve = (frame: SwayFrame, x: number, y: number): SwayAnswer => swayIn(frame, push(frame, x, y), true);
const stands = (answer: SwayAnswer): SwayStands => {
  if (!answer.stable) throw new Error(JSON.stringify(answer));
  return answer;
};
const COS45 = Math.SQRT1_2;

describe('one column on its foot', () => {
  const alone = (down: number, canStand = true): SwayFrame => ({ columns: [column('c', 0, 0, { canStand, down })], ties: [], braces: [] });

  test('bends as a cantilever: H·h, and H·h³/3EI at its top', () => {
    const answer = stands(solve(alone(0), 1000, 0));
    expect(answer.columns[0]).toMatchObject({ moment: 4000, footMoment: 4000, stands: { x: true, y: true } });
    expect(answer.drift).toBeCloseTo((1000 * HIGH ** 3) / (3 * EI), 9);
    expect(answer.alpha).toBe(Infinity);
  });

  test('sways by itself at π²EI/4h², and leans 1/(1 − 1/α) times as far under a part of that', () => {
    const euler = (Math.PI ** 2 * EI) / (4 * HIGH ** 2);
    const answer = stands(solve(alone(euler / 4), 1000, 0));
    expect(answer.alpha).toBeCloseTo(4, 6);
    expect(answer.columns[0]!.footMoment).toBeCloseTo(4000 / (1 - 1 / 4), 3);
    expect(solve(alone(euler * 1.001), 1000, 0)).toMatchObject({ stable: false, why: 'sways' });
    expect(solve(alone(euler * 0.999), 1000, 0)).toMatchObject({ stable: true });
  });

  test('whose foot may hold nothing falls, whichever way it is pushed', () => {
    expect(solve(alone(0, false), 0, 500)).toEqual({
      stable: false,
      why: 'unheld',
      unheld: [
        { column: 0, way: 'x' },
        { column: 0, way: 'y' },
      ],
    });
  });

  test('two nodes on a column: the same column as one with both loads at their heights', () => {
    const frame: SwayFrame = {
      columns: [
        column('c', 0, 0, {
          canStand: true,
          nodes: [
            { z: 3, down: 0 },
            { z: 7, down: 0 },
          ],
        }),
      ],
      ties: [],
      braces: [],
    };
    const answer = stands(solve(frame, 1000, 0));
    expect(answer.columns[0]!.footMoment).toBeCloseTo(10_000, 6);
    const by = (z: number, at: number) => (Math.min(z, at) ** 2 * (3 * Math.max(z, at) - Math.min(z, at))) / (6 * EI);
    expect(answer.drift).toBeCloseTo(1000 * (by(7, 7) + by(3, 7)), 9);
  });
});

describe('a row of columns that lean on one that is held', () => {
  const row = (braces: SwayBrace[], down = 0): SwayFrame => ({
    columns: [0, 6, 12].map((x, i) => column(`c${i}`, x, 0, { down })),
    ties: [tie(0, 1), tie(1, 2)],
    braces,
  });
  const across = [0, 1, 2].flatMap((c) => [rope(`n${c}`, c, 90, 45), rope(`s${c}`, c, -90, 45)]);

  test('the rope takes all of it, H / cos 45°, and the ties hand it on', () => {
    const answer = stands(solve(row([rope('e', 2, 0, 45), rope('w', 0, 180, 45), ...across]), -1000, 0));
    expect(answer.braces[0]).toBeCloseTo(3000 / COS45, 3);
    expect(answer.braces[1]).toBe(0);
    expect(answer.ties[0]).toBeCloseTo(1000, 3);
    expect(answer.ties[1]).toBeCloseTo(2000, 3);
  });

  test('ropes on one side only hold one way only', () => {
    const one = row([rope('e', 2, 0, 45), ...across]);
    expect(solve(one, -1000, 0)).toMatchObject({ stable: true });
    expect(solve(one, 1000, 0)).toMatchObject({ stable: false, why: 'unheld', unheld: [0, 1, 2].map((c) => ({ column: c, way: 'x' })) });
    const strut = row([rope('e', 2, 0, 45, { pullsOnly: false }), ...across]);
    expect(stands(solve(strut, 1000, 0)).braces[0]).toBeCloseTo(-3000 / COS45, 3);
  });

  test('columns that stand by their feet do so only the way nothing else holds them', () => {
    const frame = row([rope('e', 2, 0, 45), rope('w', 0, 180, 45)]);
    const feet = { ...frame, columns: frame.columns.map((one) => ({ ...one, canStand: true })) };
    const answer = stands(solve(feet, 0, 700));
    for (const one of answer.columns) {
      expect(one.stands).toEqual({ x: false, y: true });
      expect(one.footMoment).toBeCloseTo(2800, 6);
    }
  });

  test('sways by itself at k·cos²·h over all that leans on it', () => {
    const answer = stands(solve(row([rope('e', 2, 0, 60), rope('w', 0, 180, 60), ...across], 50e3), 1000, 0));
    // Ties give 2 % of that.
    expect(answer.alpha / ((5e6 * 0.25 * HIGH) / 150e3)).toBeGreaterThan(0.96);
    expect(answer.alpha / ((5e6 * 0.25 * HIGH) / 150e3)).toBeLessThan(1);
    // As it leans, the weights push on: T·cos = H·α/(α − 1), within what the ties give.
    expect(answer.braces[1]! * 0.5).toBeCloseTo(3000 / (1 - 1 / answer.alpha), -1);
  });
});

test('held along one line only, the line beside it is not held', () => {
  const columns = [column('a', 0, 0), column('b', 6, 0), column('c', 0, 6), column('d', 6, 6)];
  const ties = [tie(0, 1), tie(2, 3), tie(0, 2), tie(1, 3)];
  const both = (c: number, way: number) => [rope(`${c} ${way}`, c, way, 45), rope(`${c} ${way + 180}`, c, way + 180, 45)];
  const answer = solve({ columns, ties, braces: [...both(0, 0), ...both(0, 90), ...both(2, 0)] }, 0, 1000);
  expect(answer).toEqual({
    stable: false,
    why: 'unheld',
    unheld: [
      { column: 1, way: 'y' },
      { column: 3, way: 'y' },
    ],
  });
  expect(solve({ columns, ties, braces: [...both(0, 0), ...both(0, 90), ...both(2, 0), ...both(3, 90)] }, 0, 1000)).toMatchObject({ stable: true });
  // A cross of two flat braces between the lines does as well.
  const flat = (a: number, b: number): SwayBrace => {
    const [dx, dy] = [columns[b]!.x - columns[a]!.x, columns[b]!.y - columns[a]!.y];
    const long = Math.hypot(dx, dy);
    return { id: `${a}${b}`, a: top(a), b: top(b), towards: { x: dx / long, y: dy / long, z: 0 }, stiffness: 5e6, pullsOnly: true };
  };
  const crossed = stands(solve({ columns, ties, braces: [...both(0, 0), ...both(0, 90), ...both(2, 0), flat(0, 3), flat(1, 2)] }, 0, 1000));
  expect(Math.max(crossed.braces.at(-1)!, crossed.braces.at(-2)!)).toBeCloseTo(2000 * Math.SQRT2, 0);
});

test('the pushes and what holds are in balance, however lopsided', () => {
  const columns = [column('a', 0, 0, { down: 20e3 }), column('b', 5, 0, { down: 70e3 }), column('c', 1, 7, { down: 10e3 }), column('d', 6, 8, { down: 30e3 })];
  const ties = [tie(0, 1), tie(2, 3), tie(0, 2), tie(1, 3)];
  const braces = [0, 1, 2, 3].flatMap((c) => [20, 140, 260].map((way) => rope(`${c} ${way}`, c, way + 7 * c, 40 + 5 * c, { stiffness: 1e6 * (c + 1) })));
  for (const [x, y] of [
    [1000, 0],
    [-400, 900],
    [0, -1500],
  ] as const) {
    const frame = { columns, ties, braces };
    const answer = stands(solve(frame, x, y));
    const pull = braces.reduce((sum, { towards }, i) => ({ x: sum.x + answer.braces[i]! * towards.x, y: sum.y + answer.braces[i]! * towards.y }), {
      x: 0,
      y: 0,
    });
    expect(answer.braces.every((one) => one >= 0)).toBe(true);
    // Leaning weights add to the push; without them it is the push itself.
    const light = stands(solve({ ...frame, columns: columns.map((one) => ({ ...one, nodes: [{ z: HIGH, down: 0 }] })) }, x, y));
    const plain = braces.reduce((sum, { towards }, i) => ({ x: sum.x + light.braces[i]! * towards.x, y: sum.y + light.braces[i]! * towards.y }), {
      x: 0,
      y: 0,
    });
    expect(plain.x).toBeCloseTo(-4 * x, 4);
    expect(plain.y).toBeCloseTo(-4 * y, 4);
    expect(Math.hypot(pull.x, pull.y)).toBeGreaterThan(Math.hypot(plain.x, plain.y));
  }
});

test('far from swaying it is told only that it is far, near to it by how much: the forces are the same', () => {
  const frame = (down: number): SwayFrame => ({ columns: [column('c', 0, 0, { canStand: true, down })], ties: [], braces: [] });
  const euler = (Math.PI ** 2 * EI) / (4 * HIGH ** 2);
  for (const [down, wanted] of [
    [euler / 40, 10],
    [euler / 10.1, 10],
    [euler / 9.9, 9.9],
    [euler / 2, 2],
  ] as const) {
    const [near, exact] = [false, true].map((one) => stands(swayIn(frame(down), [[{ x: 900, y: 0 }]], one)));
    expect(near!.alpha).toBeCloseTo(wanted, 4);
    expect(exact!.alpha).toBeCloseTo(euler / down, 4);
    expect(near!.columns).toEqual(exact!.columns);
  }
});

describe('as a calculation', () => {
  const frame = {
    columns: [{ id: 'C1', x: 0, y: 0, stiffness: EI, canStand: true, nodes: [{ z: HIGH, down: 10e3, pushX: 1000, pushY: 0 }] }],
    ties: [],
    braces: [],
  };
  test('answers, and refuses what falls, sways or is not there', () => {
    expect(runCalc('frame.sway', frame)).toMatchObject({ ok: true, output: { columns: [{ id: 'C1', standsX: true }] } });
    const refused = (input: object) => {
      const outcome = runCalc('frame.sway', { ...frame, ...input });
      return outcome.ok ? 'answered' : outcome.error;
    };
    expect(refused({ columns: [{ ...frame.columns[0], canStand: false }] })).toMatch(/Nothing holds C1 along x, C1 along y/);
    expect(refused({ columns: [{ ...frame.columns[0], nodes: [{ z: HIGH, down: 1e7, pushX: 1, pushY: 0 }] }] })).toMatch(/sways by itself/);
    expect(refused({ ties: [{ id: 'T', a: [{ column: 0, node: 0, share: 1 }], b: [{ column: 1, node: 0, share: 1 }], stiffness: 1e8 }] })).toMatch(
      /T is fixed to a place that is not there/,
    );
    expect(refused({ columns: [{ ...frame.columns[0], nodes: [4, 3].map((z) => ({ z, down: 0, pushX: 1, pushY: 0 })) }] })).toMatch(/lowest up/);
  });
});

describe('columns on pins, stiffly joined to a beam', () => {
  const SPAN = 6;
  const RAIL = 3 * EI;
  /** Column square to the rail as stiff as it likes: what happens along it is looked at. */
  const portal = (changes: Partial<SwayRail> = {}, down = 0): SwayFrame => ({
    columns: [0, SPAN].map((x, i) => column(`c${i}`, x, 0, { down, canStand: true, ways: { x: EI, y: 1e4 * EI } })),
    ties: [{ ...tie(0, 1), stiffness: 1e12 }],
    braces: [],
    rails: [
      {
        id: 'r',
        a: { column: 0, node: 0 },
        b: { column: 1, node: 0 },
        stiffness: RAIL,
        keeps: { a: true, b: true },
        ends: { a: 0, b: 0 },
        ...changes,
      },
    ],
  });

  test('pushed: each column takes half, H·h/2 at its head, and goes H·h³/6EI + H·h²·L/12EIb', () => {
    const answer = stands(solve(portal(), 500, 0));
    // 500 N at either head: 1,000 N on both.
    expect(answer.drift).toBeCloseTo((1000 * HIGH ** 3) / (6 * EI) + (1000 * HIGH ** 2 * SPAN) / (12 * RAIL), 6);
    // The head on the side the push comes from sags, the other hogs.
    expect(answer.rails[0]!.a).toBeCloseTo(-2000, 1);
    expect(answer.rails[0]!.b).toBeCloseTo(2000, 1);
    for (const one of answer.columns) {
      expect(one.moments.x).toBeCloseTo(2000, 1);
      expect(one.footMoment).toBeCloseTo(0, 3);
      expect(one.stands.x).toBe(false);
      expect(one.shear).toBeCloseTo(500, 1);
    }
  });

  test('loaded from above: of what would hog it held still, the columns take 3EI/h of 3EI/h + 2EIb/L', () => {
    const answer = stands(solve(portal({ ends: { a: 9000, b: 9000 } }), 0, 0));
    const takes = (3 * EI) / HIGH;
    const hogs = (9000 * takes) / (takes + (2 * RAIL) / SPAN);
    expect(answer.rails[0]!.a).toBeCloseTo(hogs, 3);
    expect(answer.rails[0]!.b).toBeCloseTo(hogs, 3);
    expect(answer.columns[0]!.moments.x).toBeCloseTo(hogs, 3);
    // It thrusts the feet outwards, and the beam is pressed by that.
    expect(answer.ties[0]).toBeCloseTo(-hogs / HIGH, 2);
  });

  test('loaded lopsided it leans until both columns thrust alike: the ends hog alike, by the middle of the two', () => {
    const answer = stands(solve(portal({ ends: { a: 6000, b: 2000 } }), 0, 0));
    const even = stands(solve(portal({ ends: { a: 4000, b: 4000 } }), 0, 0));
    expect(answer.rails[0]!.a).toBeCloseTo(even.rails[0]!.a, 3);
    expect(answer.rails[0]!.b).toBeCloseTo(even.rails[0]!.a, 3);
    expect(even.drift).toBeCloseTo(0, 9);
    expect(answer.drift).toBeGreaterThan(1e-4);
  });

  test.each(['a', 'b'] as const)('stiff at %s alone: that column takes all, 3EIb/L at its head, and what the other end hogged comes over by half', (end) => {
    const other = end === 'a' ? 'b' : 'a';
    const one = stands(solve(portal({ keeps: { a: end === 'a', b: end === 'b' } }), 500, 0));
    expect(Math.abs(one.rails[0]![end])).toBeCloseTo(4000, 1);
    expect(one.rails[0]![other]).toBe(0);
    expect(one.drift).toBeCloseTo((1000 * HIGH ** 3) / (3 * EI) + (1000 * HIGH ** 2 * SPAN) / (3 * RAIL), 5);
    const loaded = portal({ keeps: { a: end === 'a', b: end === 'b' }, ends: { a: 6000, b: 6000 } });
    // A foot that holds the other column: its head does not move, and this one's is held by it.
    const held: SwayFrame = { ...loaded, braces: [rope('e', 0, 0, 45, { pullsOnly: false, stiffness: 1e12 })] };
    const takes = (3 * EI) / HIGH;
    expect(stands(solve(held, 0, 0)).rails[0]![end]).toBeCloseTo((9000 * takes) / (takes + (3 * RAIL) / SPAN), 1);
  });

  test('a rail part of the way up: the column bends by what is pushed over it, and more under it', () => {
    const frame = portal();
    const nodes = [
      { z: 3, down: 0 },
      { z: 4, down: 0 },
    ];
    const two: SwayFrame = {
      ...frame,
      columns: frame.columns.map((one) => ({ ...one, nodes })),
      ties: [tie(0, 1), tie(0, 1, 1)].map((one, i) => ({ ...one, id: `t${i}`, stiffness: 1e12 })),
    };
    const answer = stands(
      swayIn(
        two,
        [0, 1].map(() => [
          { x: 0, y: 0 },
          { x: 500, y: 0 },
        ]),
        true,
      ),
    );
    expect(answer.columns[0]!.moments.x).toBeCloseTo(1500, 0);
    expect(answer.rails[0]!.b).toBeCloseTo(2000, 0);
  });

  test('square to the beam nothing holds it but its feet', () => {
    const frame = portal();
    const loose = { ...frame, columns: frame.columns.map((one) => ({ ...one, canStand: false })) };
    expect(solve(loose, 500, 0)).toMatchObject({ stable: false, why: 'unheld', unheld: [0, 1].map((of) => ({ column: of, way: 'y' })) });
  });

  test('leans further under its weights, by 1/(1 − 1/α), and falls past α', () => {
    const light = stands(solve(portal({}, 1000), 500, 0));
    const heavy = portal({}, 1000 * (light.alpha / 3));
    const answer = stands(solve(heavy, 500, 0));
    expect(answer.alpha).toBeCloseTo(3, 1);
    const still = stands(solve(portal(), 500, 0));
    expect(answer.drift / still.drift).toBeCloseTo(1.5, 1);
    expect(answer.rails[0]!.b / still.rails[0]!.b).toBeGreaterThan(1.4);
    expect(solve(portal({}, 1000 * light.alpha * 1.01), 500, 0)).toMatchObject({ stable: false, why: 'sways' });
  });

  test('turned about, the same: along y as along x, and at 30° between', () => {
    const at = (deg: number) => {
      const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
      const frame = portal();
      const columns = frame.columns.map((one) => ({ ...one, x: one.x * c, y: one.x * s, ways: null, canStand: false }));
      const braces = [0, 1].map((of) => rope(`b${of}`, of, deg + 90, 45, { pullsOnly: false, stiffness: 1e9 }));
      return stands(
        swayIn(
          { ...frame, columns, braces },
          columns.map(() => [{ x: 500 * c, y: 500 * s }]),
          true,
        ),
      );
    };
    for (const deg of [30, 90, 200]) {
      expect(at(deg).drift).toBeCloseTo(at(0).drift, 9);
      expect(at(deg).rails[0]!.b).toBeCloseTo(at(0).rails[0]!.b, 3);
    }
  });

  test('a calculation refuses a rail at a place that is not there, or between two columns at one place', () => {
    const frame = portal();
    const input = (changes: Partial<SwayRail>, x = SPAN) => ({
      columns: frame.columns.map(({ id, stiffness, canStand }, i) => ({
        id,
        stiffness,
        canStand,
        y: 0,
        x: i * x,
        nodes: [{ z: HIGH, down: 0, pushX: 500, pushY: 0 }],
      })),
      ties: [],
      braces: [],
      rails: [{ ...frame.rails![0]!, ...changes }],
    });
    expect(runCalc('frame.sway', input({ b: { column: 1, node: 3 } }))).toMatchObject({ path: 'rails' });
    expect(runCalc('frame.sway', input({}, 0))).toMatchObject({ path: 'rails' });
    expect(runCalc('frame.sway', input({}))).toMatchObject({ output: { rails: [{ id: 'r' }] } });
  });
});

describe('a column that stands on a beam', () => {
  const POST = 3;
  /** Two columns that stand by their feet, ties between them, and a post so far from the first to the second on what they carry. */
  const riding = (
    share: number,
    changes: Partial<SwayColumn> = {},
    braces: SwayBrace[] = [rope('head', 2, 0, 0, { pullsOnly: false })],
    down = 0,
  ): SwayFrame => ({
    columns: [
      column('a', 0, 0, { canStand: true }),
      column('b', 6, 0, { canStand: true }),
      column('post', 6 * share, 0, {
        nodes: [
          { z: POST / 2, down: 0 },
          { z: POST, down },
        ],
        rides: [
          { column: 0, node: 0, share: 1 - share },
          { column: 1, node: 0, share },
        ],
        ...changes,
      }),
    ],
    ties: [tie(0, 1)],
    braces: [...braces, rope('square', 2, 90, 0, { pullsOnly: false })],
  });
  const only = (frame: SwayFrame, pushes: Record<string, number>) =>
    stands(
      swayIn(
        frame,
        frame.columns.map(({ nodes }, c) => nodes.map((_, n) => ({ x: pushes[`${c}/${n}`] ?? 0, y: 0 }))),
        true,
      ),
    );
  const held = (frame: SwayFrame) => ({ ...frame, braces: frame.braces.map((one) => ({ ...one, a: top(2, 1) })) });

  test('pushed at half its height hands half to its head and half to what is under its foot', () => {
    const frame = held(riding(0.25));
    const answer = only(frame, { '2/0': 1000 });
    expect(answer.braces[0]).toBeCloseTo(-500, 3);
    // The tie between the two makes them go together, all but what it gives: a quarter at the one, three quarters at the other.
    const [a, b] = [answer.columns[0]!.shear, answer.columns[1]!.shear];
    expect(a + b).toBeCloseTo(500, 3);
    expect(answer.ties[0]! + b).toBeCloseTo(125, 3);
    expect(answer.columns[2]!.moment).toBeCloseTo((1000 * POST) / 4, 3);
    expect(answer.columns[2]!.footMoment).toBeCloseTo(0, 6);
    expect(a).toBeCloseTo((answer.columns[0]!.footMoment * 1) / HIGH, 6);
  });
  test('pushed at its head hands on nothing where that is held, and falls where it is not', () => {
    const answer = only(held(riding(0.5)), { '2/1': 700 });
    expect(answer.braces[0]).toBeCloseTo(-700, 6);
    expect(answer.columns[0]!.shear).toBeCloseTo(0, 6);
    expect(solve(held(riding(0.5, {}, [])), 100, 0)).toMatchObject({ stable: false, why: 'unheld', unheld: [{ column: 2, way: 'x' }] });
  });
  test('on what does not move is as one on the ground that turns freely', () => {
    const one = held(riding(0.5, { rides: [] }));
    const other = held(riding(0.5, { rides: null }));
    const cases: Record<string, number>[] = [{ '2/0': 900 }, { '2/1': 300, '0/0': 50 }];
    for (const pushes of cases) {
      const [here, there] = [only(one, pushes), only(other, pushes)];
      expect(here.braces[0]).toBeCloseTo(there.braces[0]!, 6);
      expect(here.drift).toBeCloseTo(there.drift, 12);
      expect(here.columns[2]!.moment).toBeCloseTo(there.columns[2]!.moment, 6);
    }
  });
  test('between two springs sways by itself at h·k₁k₂/(k₁ + k₂) over what it carries', () => {
    const frame = held(riding(0, { nodes: [{ z: POST, down: 40e3 }] }));
    const single = { ...frame, ties: [], braces: frame.braces.map((one, i) => ({ ...one, a: top(2, 0), stiffness: i === 0 ? 2e5 : 1e9 })) };
    const [under, head] = [(3 * EI) / HIGH ** 3, 2e5];
    // Square to the rope its foot leans with the same column under it, and its head is all but still.
    const least = (POST * Math.min((under * head) / (under + head), (under * 1e9) / (under + 1e9))) / 40e3;
    expect(only(single, { '2/0': 10 }).alpha / least).toBeCloseTo(1, 4);
  });
  test('leaning it pushes its foot as much as its head, against each other', () => {
    const answer = only(held(riding(0.5, {}, undefined, 60e3)), { '2/1': 2000 });
    const feet = answer.columns[0]!.shear + answer.columns[1]!.shear;
    // The head goes by what the rope stretches, the foot the other way by what the two columns under it give.
    const [rigid, under] = [5e6, (2 * 3 * EI) / HIGH ** 3];
    const back = ((60e3 / POST) * (2000 / rigid)) / (1 - (60e3 / POST) * (1 / rigid + 1 / under));
    expect(-answer.braces[0]! - 2000).toBeCloseTo(back, 1);
    expect(feet).toBeCloseTo(back, 1);
  });
  test('on another that stands on a beam itself hands on through it', () => {
    const frame = held(riding(0.5));
    const upper = {
      ...column('upper', 3, 0, {
        nodes: [
          { z: 1, down: 0 },
          { z: 2, down: 0 },
        ],
      }),
      rides: [{ column: 2, node: 1, share: 1 }],
    };
    const two: SwayFrame = {
      ...frame,
      columns: [...frame.columns, upper],
      braces: [
        ...frame.braces,
        { ...rope('top', 3, 0, 0, { pullsOnly: false }), a: top(3, 1) },
        { ...rope('topSquare', 3, 90, 0, { pullsOnly: false }), a: top(3, 1) },
      ],
    };
    const answer = only(two, { '3/0': 800 });
    expect(answer.braces[2]).toBeCloseTo(-400, 3);
    expect(answer.braces[0]! + answer.columns[0]!.shear * 0).toBeCloseTo(-400, 3);
  });
  test('asked as a calculation: on a place that is not there, on itself, or by a foot that stands, it is refused', () => {
    const input = (rides: object[] | null, canStand = false) => ({
      columns: held(riding(0.5)).columns.map((one, c) => ({
        ...one,
        ...(c === 2 ? { rides, canStand } : {}),
        nodes: one.nodes.map((node) => ({ ...node, pushX: c === 2 ? 100 : 0, pushY: 0 })),
      })),
      ties: [tie(0, 1)],
      braces: held(riding(0.5)).braces,
    });
    expect(runCalc('frame.sway', input([{ column: 0, node: 0, share: 1 }]))).toMatchObject({ ok: true });
    expect(runCalc('frame.sway', input([{ column: 9, node: 0, share: 1 }]))).toMatchObject({ ok: false });
    expect(runCalc('frame.sway', input([{ column: 2, node: 0, share: 1 }]))).toMatchObject({ ok: false });
    expect(runCalc('frame.sway', input([{ column: 0, node: 0, share: 1 }], true))).toMatchObject({ ok: false });
  });
});
