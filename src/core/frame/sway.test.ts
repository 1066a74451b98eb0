import { swayOf, type SwayAnswer, type SwayBrace, type SwayColumn, type SwayFrame, type SwayStands } from './sway';
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
const solve = (frame: SwayFrame, x: number, y: number): SwayAnswer => swayOf(frame, true).solve(push(frame, x, y));
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
    const [near, exact] = [false, true].map((one) => stands(swayOf(frame(down), one).solve([[{ x: 900, y: 0 }]])));
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
