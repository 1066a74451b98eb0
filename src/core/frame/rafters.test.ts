import fc from 'fast-check';
import { solveBent } from '../checks/structure/bent';
import { runCalc } from '../catalogue/run';
import { placeOf } from '../document/place';
import type { Beam } from '../document/schema';
import { heldRafters, inverse, springsOfOne, thrustOf, type Rafters } from './rafters';
import { swayIn } from './sway';
import type { SwayFrame, SwayRafters, SwayStands } from './sway-frame';

const [SPAN, RISE, EI, LOAD] = [12, 2, 9e6, 1500];

/** Two rafters of one slope under a load on each metre seen from above; `peak`: where they meet. */
function gable({
  peak = SPAN / 2,
  load = LOAD,
  point = 0,
  pin = false,
  pressed = true,
}: { peak?: number; load?: number; point?: number; pin?: boolean; pressed?: boolean } = {}) {
  const place = (from: [number, number], to: [number, number]) =>
    placeOf({ id: 'r', mark: 'R', make: 'm', weighed: null, from: { x: from[0], y: 0, z: from[1] }, to: { x: to[0], y: 0, z: to[1] } } as Beam)!;
  const [left, right] = [place([0, 4], [peak, 4 + RISE]), place([peak, 4 + RISE], [SPAN, 4])];
  const pieces = [
    { place: left, from: 0, to: left.length, flipped: false },
    { place: right, from: left.length, to: left.length + right.length, flipped: false },
  ];
  const line = pieces.map(({ place: on, from, to }, n) => ({
    id: `r${n + 1}`,
    from,
    to,
    stretches: [{ to, stiffness: EI, load: (load * (n === 0 ? peak : SPAN - peak)) / on.length }],
    loads: n === 0 && point > 0 ? [{ x: to, force: point }] : [],
  }));
  const seat = (id: string, x: number) => ({ id, x, level: 0, spring: null, tie: true });
  const done = solveBent(
    pieces,
    line,
    [seat('a', 0), seat('b', left.length + right.length)],
    [{ x: left.length, angle: pin ? null : 0 }],
    new Set(pressed ? ['a', 'b'] : []),
  );
  if ('asked' in done) throw new Error(done.asked);
  return done;
}
const stands = (done: ReturnType<typeof gable>) => {
  if (!done.answer.stable || !done.bent) throw new Error('falls');
  return { answer: done.answer, bent: done.bent };
};

describe('two rafters that meet', () => {
  test('press their seats apart with 5wL²/32f where those do not move, and hang together as a beam where they do', () => {
    const { answer, bent } = stands(gable());
    expect(bent.thrust.least).toBe(0);
    expect(bent.thrust.most).toBeCloseTo((5 * LOAD * SPAN ** 2) / (32 * RISE), 2);
    expect(answer.reactions.get('a')).toBeCloseTo((LOAD * SPAN) / 2, 4);
    expect(answer.sagging).toBeCloseTo((LOAD * SPAN ** 2) / 8, 2);
    // Held, they hog wL²/32 where they meet.
    expect(answer.hogging).toBeCloseTo((LOAD * SPAN ** 2) / 32, 2);
    expect(answer.pieces.get('r1')!.right.moment).toBeCloseTo((LOAD * SPAN ** 2) / 8, 2);
  });

  test('press with PL/4f under a load where they meet, and bend nowhere', () => {
    const { bent, answer } = stands(gable({ load: 1e-6, point: 8000 }));
    expect(bent.thrust.most).toBeCloseTo((8000 * SPAN) / (4 * RISE), 0);
    expect(answer.hogging).toBeLessThan(1);
  });

  test('pinned where they meet press with wL²/8f and no less, and bend as two beams', () => {
    const { answer, bent } = stands(gable({ pin: true }));
    expect(bent.thrust.least).toBe(bent.thrust.most);
    expect(bent.thrust.most / ((LOAD * SPAN ** 2) / (8 * RISE))).toBeCloseTo(1, 4);
    expect(answer.sagging / ((LOAD * (SPAN / 2) ** 2) / 8)).toBeCloseTo(1, 3);
    expect(Math.abs(answer.pieces.get('r1')!.right.moment)).toBeLessThan(1);
  });

  test('pinned where they meet fall where nothing holds them together', () => {
    expect(gable({ pin: true, pressed: false }).answer.stable).toBe(false);
    const { bent, answer } = gable({ pressed: false });
    expect(bent).toBeNull();
    if (!answer.stable) throw new Error('falls');
    expect(answer.hogging).toBeLessThan(1e-6);
    expect(answer.sagging).toBeCloseTo((LOAD * SPAN ** 2) / 8, 2);
  });

  test('are sheared square to their slope, pressed along it by weight and thrust, and meet with the thrust', () => {
    const { answer, bent } = stands(gable());
    const one = answer.pieces.get('r1')!;
    const [cos, sin] = [SPAN / 2 / Math.hypot(SPAN / 2, RISE), RISE / Math.hypot(SPAN / 2, RISE)];
    expect(one.shear).toBeCloseTo(((LOAD * SPAN) / 2) * cos, 1);
    expect(one.axial).toBeCloseTo(((LOAD * SPAN) / 2) * sin + bent.thrust.most * cos, 1);
    expect(one.right.shear).toBeCloseTo(bent.thrust.most, 1);
  });

  test('lopsided, bend where they meet by what the line of their thrust leaves', () => {
    const peak = 3.5;
    const { bent, answer } = stands(gable({ peak }));
    const moment = (x: number) => (LOAD * x * (SPAN - x)) / 2;
    const height = (x: number) => (x < peak ? (RISE * x) / peak : (RISE * (SPAN - x)) / (SPAN - peak));
    const along = (x: number) => Math.hypot(1, x < peak ? RISE / peak : RISE / (SPAN - peak));
    let [over, under] = [0, 0];
    for (let i = 0; i < 24000; i += 1) {
      const x = (SPAN * (i + 0.5)) / 24000;
      over += moment(x) * height(x) * along(x);
      under += height(x) ** 2 * along(x);
    }
    expect(bent.thrust.most / (over / under)).toBeCloseTo(1, 5);
    expect(answer.hogging).toBeCloseTo(Math.max(0, bent.thrust.most * RISE - moment(peak)), -1);
  });
});

/** Columns of one height on pins, so light that nothing leans further by its weight. */
function portalFrame(columns: number, changes: Partial<SwayRafters> = {}): SwayFrame {
  const { bent } = stands(gable());
  const node = [{ z: 4, down: 1e-3 }];
  return {
    columns: [0, SPAN].map((x, i) => ({ id: `c${i}`, x, y: 0, stiffness: columns, ways: { x: columns, y: columns * 1e3 }, canStand: true, nodes: node })),
    ties: [],
    braces: [],
    rafters: [
      {
        id: 'r',
        a: { column: 0, node: 0 },
        b: { column: 1, node: 0 },
        keeps: { a: true, b: true },
        legs: bent.rafters.legs.map(({ piece: _, ...leg }) => leg),
        pin: bent.rafters.pin,
        gives: bent.gives,
        ...changes,
      },
    ],
  };
}
const lean = (frame: SwayFrame, left = 0, right = 0): SwayStands => {
  const answer = swayIn(frame, [[{ x: left, y: 0 }], [{ x: right, y: 0 }]]);
  if (!answer.stable) throw new Error(answer.why);
  return answer;
};

describe('rafters stiffly joined to two columns on pins', () => {
  // Kleinlogel, gabled frame on two pins, from memory: k = (EI of rafter / EI of column)·h/s, m = 1 + f/h.
  const s = Math.hypot(SPAN / 2, RISE);
  const h = 4;
  const column = 5e6;
  const k = ((EI / column) * h) / s;
  const m = 1 + RISE / h;
  const n = 2 * (k + 1) + m + m * (1 + 2 * m);

  test('hog at the columns by wL²(3 + 5m)/16N', () => {
    const { rafters, columns } = lean(portalFrame(column));
    const hogs = (LOAD * SPAN ** 2 * (3 + 5 * m)) / (16 * n);
    expect(rafters[0]!.a / hogs).toBeCloseTo(1, 4);
    expect(rafters[0]!.b / hogs).toBeCloseTo(1, 4);
    expect(rafters[0]!.thrust / (hogs / h)).toBeCloseTo(1, 4);
    expect(columns[0]!.moment / hogs).toBeCloseTo(1, 4);
  });

  test('pushed at one eave share it: each end H·h/2, as much hogged as sagged', () => {
    const [still, pushed] = [lean(portalFrame(column)), lean(portalFrame(column), 3000, 3000)];
    const [a, b] = [pushed.rafters[0]!.a - still.rafters[0]!.a, pushed.rafters[0]!.b - still.rafters[0]!.b];
    expect(a).toBeCloseTo(-3000 * h, 0);
    expect(b).toBeCloseTo(3000 * h, 0);
    expect(pushed.rafters[0]!.thrust).toBeCloseTo(still.rafters[0]!.thrust, 0);
  });

  test('one end stiff only: the other bends nothing, and the frame still stands', () => {
    const { rafters } = lean(portalFrame(column, { keeps: { a: true, b: false } }), 1000, 0);
    expect(rafters[0]!.b).toBe(0);
    // Moments about the pins: what is pushed goes down through the one stiff corner.
    expect(rafters[0]!.a - lean(portalFrame(column, { keeps: { a: true, b: false } })).rafters[0]!.a).toBeCloseTo(-1000 * h, 0);
  });

  test('turned by any angle about the upright they do the same', () => {
    const frame = portalFrame(column);
    const by = (deg: number) => {
      const [c, sn] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
      const columns = frame.columns.map((one) => ({ ...one, x: one.x * c, y: one.x * sn, ways: null }));
      const answer = swayIn(
        { ...frame, columns },
        columns.map(() => [{ x: 2000 * c, y: 2000 * sn }]),
      );
      if (!answer.stable) throw new Error(answer.why);
      return answer.rafters[0]!;
    };
    for (const deg of [90, 180, 270]) {
      expect(by(deg).a).toBeCloseTo(by(0).a, 1);
      expect(by(deg).b).toBeCloseTo(by(0).b, 1);
      expect(by(deg).thrust).toBeCloseTo(by(0).thrust, 2);
    }
  });

  test('on columns that hardly give push with no more than where nothing moves, and on soft ones with next to nothing', () => {
    const free = { a: false, b: false };
    const most = stands(gable()).bent.thrust.most;
    expect(lean(portalFrame(1e13, { keeps: free })).rafters[0]!.thrust / most).toBeCloseTo(1, 3);
    expect(lean(portalFrame(1e3, { keeps: free })).rafters[0]!.thrust / most).toBeLessThan(0.01);
    // 3EI/h³ at either column against what the rafters give: two springs in a row.
    const { bent } = stands(gable());
    const { stiffness } = heldRafters(bent.rafters, bent.gives, ['thrust']);
    const spring = (3 * column) / h ** 3 / 2;
    expect(lean(portalFrame(column, { keeps: free })).rafters[0]!.thrust / ((most * spring) / (spring + stiffness[0]![0]!))).toBeCloseTo(1, 4);
  });
});

describe('what rafters are made of', () => {
  const legs = (heights: number[]): Rafters => ({
    pin: null,
    legs: heights.slice(1).map((high, n) => ({ from: n * 3, to: n * 3 + 3, low: heights[n]!, high, stiffness: 1e6 * (n + 1) })),
  });

  test('springs of one line each are the stiffness again, and none pushes by itself', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 2, max: 40 }), { minLength: 1, maxLength: 6 }), (heights) => {
        const { stiffness } = heldRafters(legs([0, ...heights.map((one) => one / 10), 0]), { near: -0.01, a: -0.01, b: -0.02, atPin: 0 }, ['thrust', 'a', 'b']);
        const springs = springsOfOne(stiffness);
        expect(springs.every((one) => one.stiffness > 0)).toBe(true);
        stiffness.forEach((row, i) =>
          row.forEach((value, j) => {
            const again = springs.reduce((sum, one) => sum + one.stiffness * one.by[i]! * one.by[j]!, 0);
            expect(Math.abs(again - value)).toBeLessThanOrEqual(1e-6 * Math.max(Math.abs(stiffness[i]![i]!), Math.abs(stiffness[j]![j]!)));
          }),
        );
      }),
    );
  });

  test('a matrix turned round twice is itself', () => {
    const matrix = [
      [4, 1, 0],
      [1, 5, 2],
      [0, 2, 9],
    ];
    inverse(inverse(matrix)).forEach((row, i) => row.forEach((value, j) => expect(value).toBeCloseTo(matrix[i]![j]!, 9)));
  });

  test('a line that is bent down is pulled together', () => {
    const down = legs([0, -2, 0]);
    expect(thrustOf(down, { near: -0.004, a: -0.01, b: -0.01, atPin: 0 })).toBeGreaterThan(0);
    expect(thrustOf(down, { near: 0.004, a: -0.01, b: -0.01, atPin: 0 })).toBeLessThan(0);
  });
});

test('the calculation refuses rafters that are level, with a gap, on one place, or pinned in line', () => {
  const frame = portalFrame(5e6);
  const ask = (changes: object) =>
    runCalc('frame.sway', {
      columns: frame.columns.map(({ nodes, ...one }) => ({ ...one, nodes: nodes.map((node) => ({ ...node, pushX: 100, pushY: 0 })) })),
      ties: [],
      braces: [],
      rafters: [{ ...frame.rafters![0]!, ...changes }],
    });
  const [one, other] = frame.rafters![0]!.legs as [SwayRafters['legs'][number], SwayRafters['legs'][number]];
  expect(ask({})).toMatchObject({ output: { rafters: [{ id: 'r' }] } });
  for (const wrong of [
    { b: { column: 1, node: 4 } },
    { b: { column: 0, node: 0 } },
    { legs: [one, { ...other, from: other.from + 1 }] },
    { legs: [{ ...one, to: one.from }, other] },
    { legs: [{ ...one, low: 0, high: 0 }] },
    { pin: 1 },
    { legs: [{ ...one, high: 0 }, other], pin: 0 },
  ])
    expect(ask(wrong)).toMatchObject({ path: 'rafters' });
});
