import { runCalc } from '../catalogue/run';

const of = (id: string, input: object): Record<string, unknown> => {
  const outcome = runCalc(id, input);
  if (!outcome.ok) throw new Error(outcome.error);
  return outcome.output as Record<string, unknown>;
};
const refused = (id: string, input: object): string => {
  const outcome = runCalc(id, input);
  return outcome.ok ? 'answered' : `${outcome.path}: ${outcome.error}`;
};

describe('rolled up on its edge', () => {
  // A box 2 m wide and 1 m high: its balance point 1 m out and 0.5 m up, the hook at its far top edge.
  const box = { weight: 10e3, pivot: { y: 0, z: 0 }, cg: { y: 1, z: 0.5 }, hook: { y: 2, z: 1 }, anglesDeg: [0, 30] };

  test('half of it at first, and half all the way while balance point and hook lie in one line with the edge', () => {
    for (const one of of('lift.turn', box).positions as { hook: number; edge: number }[]) {
      expect(one.hook).toBeCloseTo(5e3, 9);
      expect(one.edge).toBeCloseTo(5e3, 9);
    }
    expect(of('lift.turn', box).overCentreDeg).toBeCloseTo((Math.atan2(1, 0.5) * 180) / Math.PI, 9);
  });
  test('past its balance it has to be held back; mirrored it is the same', () => {
    const low = { ...box, hook: { y: 2, z: 0 }, anglesDeg: [60, 70] };
    const [before, past] = of('lift.turn', low).positions as { hook: number }[];
    expect(before!.hook).toBeGreaterThan(0);
    expect(past!.hook).toBeLessThan(0);
    const mirrored = { ...low, cg: { y: -1, z: 0.5 }, hook: { y: -2, z: 0 } };
    expect(of('lift.turn', mirrored)).toEqual(of('lift.turn', low));
  });
  test('a hook over the edge, a balance point on the other side, a turn past the hook', () => {
    expect(refused('lift.turn', { ...box, hook: { y: 0, z: 2 } })).toMatch(/^hook: /);
    expect(refused('lift.turn', { ...box, cg: { y: -0.1, z: 0.5 } })).toMatch(/^cg: .*turns over by itself/);
    expect(refused('lift.turn', { ...box, anglesDeg: [64] })).toMatch(/^anglesDeg: At 64°/);
  });
});

describe('stood up by two hooks', () => {
  const pole = { weight: 12e3, main: { x: 9, z: 0 }, tail: { x: 1, z: 0 }, cg: { x: 4, z: 0.3 }, anglesDeg: [0] };
  test('lying: by the lever', () => {
    expect((of('lift.tail', pole).positions as { main: number; tail: number }[])[0]).toMatchObject({ main: 4500, tail: 7500 });
    expect(of('lift.tail', { ...pole, main: { x: 1, z: 0 }, tail: { x: 9, z: 0 }, cg: { x: 6, z: 0.3 } })).toEqual(of('lift.tail', pole));
  });
  test('a line that would push is refused with its angle, and two lines in one', () => {
    // Steeper, the balance point swings over the tail and past it: 3·cos − 0.3·sin is nothing at 84.3°.
    expect(refused('lift.tail', { ...pole, anglesDeg: [0, 84] })).toBe('answered');
    expect(refused('lift.tail', { ...pole, anglesDeg: [0, 85] })).toMatch(/^anglesDeg: At 85° the main line would have to push/);
    expect(refused('lift.tail', { ...pole, cg: { x: 4, z: 0 }, anglesDeg: [90] })).toMatch(/At 90° the two lines hang in one/);
    expect(refused('lift.tail', { ...pole, main: { x: 1, z: 2 } })).toMatch(/^main: /);
  });
});

describe('legs in space', () => {
  const square = [
    { x: 0, y: 0, z: 0 },
    { x: 4, y: 0, z: 0 },
    { x: 0, y: 3, z: 0 },
  ];
  test('three alike legs over the middle of their circle carry so that the moments balance', () => {
    // The hook is over the middle of the long side: (2, 1.5), 2.5 m from each pick.
    const high = Math.sqrt(5 ** 2 - 2.5 ** 2);
    const answer = of('rigging.threeLegs', { weight: 9e3, picks: square, cg: { x: 2, y: 1.5, z: -0.4 }, legs: [5, 5, 5] }) as {
      tension: number[];
      hook: object;
      tiltDeg: number;
    };
    expect(answer.hook).toEqual({ x: 2, y: 1.5, z: expect.closeTo(high, 9) as number });
    expect(answer.tiltDeg).toBeCloseTo(0, 6);
    expect(answer.tension[0]).toBeCloseTo(0, 6);
    expect(answer.tension[1]).toBeCloseTo((9e3 / 2) * (5 / high), 6);
    expect(answer.tension[2]).toBeCloseTo(answer.tension[1]!, 6);
  });
  test('turned and moved as a whole it hangs as before', () => {
    const spin = ({ x, y, z }: { x: number; y: number; z: number }) => ({ x: 7 - y, y: x - 2, z: z + 1 });
    const one = { weight: 9e3, picks: square, cg: { x: 1.2, y: 0.9, z: -0.4 }, legs: [5, 4.6, 5.2] };
    const answer = of('rigging.threeLegs', one) as { tension: number[]; tiltDeg: number };
    const turned = of('rigging.threeLegs', { ...one, picks: square.map(spin), cg: spin(one.cg) }) as { tension: number[]; tiltDeg: number };
    answer.tension.forEach((pull, n) => expect(turned.tension[n]).toBeCloseTo(pull, 6));
    expect(turned.tiltDeg).toBeCloseTo(answer.tiltDeg, 9);
  });
  test('named the other way round the hook is above all the same', () => {
    const one = { weight: 9e3, picks: square, cg: { x: 1.2, y: 0.9, z: -0.4 }, legs: [5, 4.6, 5.2] };
    const other = { ...one, picks: [square[1], square[0], square[2]], legs: [4.6, 5, 5.2] };
    const [a, b] = [one, other].map((input) => of('rigging.threeLegs', input) as { tension: number[]; hook: { z: number } });
    expect(b!.hook.z).toBeCloseTo(a!.hook.z, 9);
    expect(b!.tension[0]).toBeCloseTo(a!.tension[1]!, 6);
  });
  test('a slack leg, legs that do not meet, picks in a line', () => {
    const one = { weight: 9e3, picks: square, cg: { x: 1.2, y: 0.9, z: -0.4 }, legs: [5, 5, 5] };
    expect(refused('rigging.threeLegs', { ...one, cg: { x: 3.5, y: 2.5, z: -0.4 } })).toMatch(/^cg: Leg 1 goes slack/);
    expect(refused('rigging.threeLegs', { ...one, legs: [2, 2, 2] })).toMatch(/^legs: .*do not meet/);
    expect(refused('rigging.threeLegs', { ...one, picks: [0, 1, 2].map((x) => ({ x, y: 0, z: 0 })) })).toMatch(/^picks: .*one line/);
    expect(refused('rigging.levelLegs', { picks: [{ x: 0, y: 0, z: 2 }], cg: { x: 0, y: 0, z: 0 }, hookAboveCg: 2 })).toMatch(/^hookAboveCg: .*pick 1/);
  });
  test('level legs hang level: put back into the three legs they tilt nothing', () => {
    const cg = { x: 1.1, y: 0.8, z: 0.2 };
    const { legs } = of('rigging.levelLegs', { picks: square, cg, hookAboveCg: 4 }) as { legs: number[] };
    expect(of('rigging.threeLegs', { weight: 1e4, picks: square, cg, legs }).tiltDeg).toBeCloseTo(0, 5);
  });
});

test('a spreader under plumb top slings is not pressed', () => {
  expect(of('rigging.spreader', { load: 8e3, length: 4, topAngleDeg: 90, own: 800 })).toEqual({ topSling: 4400, compression: 0, moment: 400 });
});

describe('crawler tracks', () => {
  const crane = { weight: 400e3, gauge: 4, trackLength: 6, trackWidth: 1, momentFront: 0, momentLeft: 0 };
  test('level: the weight over both tracks', () => {
    expect(of('crane.crawler', crane)).toEqual({
      left: { load: 200e3, pressure: 200e3 / 6, bearing: 6 },
      right: { load: 200e3, pressure: 200e3 / 6, bearing: 6 },
    });
  });
  test('at a sixth the pressure is twice the mean; past it part lifts; what tips is refused, either way', () => {
    expect(of('crane.crawler', { ...crane, momentFront: 400e3 })).toMatchObject({ left: { pressure: 2 * (200e3 / 6), bearing: 6 } });
    expect(of('crane.crawler', { ...crane, momentFront: -800e3 })).toMatchObject({ right: { bearing: 3, pressure: (2 * 200e3) / 3 } });
    expect(of('crane.crawler', { ...crane, momentLeft: -800e3 })).toMatchObject({ left: { load: 0, pressure: 0 }, right: { load: 400e3 } });
    expect(refused('crane.crawler', { ...crane, momentFront: -1200e3 })).toMatch(/^momentFront: .*back/);
    expect(refused('crane.crawler', { ...crane, momentLeft: -801e3 })).toMatch(/^momentLeft: .*right/);
  });
});

describe('a beam walked up rungs', () => {
  const beam = { weight: 2000, length: 6, cg: 3, rest: 0, lift: 6, slopeDeg: 30, friction: 0.4 };
  test('half at each end; steeper than the friction it slides and is held', () => {
    expect(of('hand.rung', beam)).toMatchObject({
      lift: 1000,
      rest: 1000,
      slides: true,
      hold: expect.closeTo(1000 * (0.5 - 0.4 * Math.sqrt(0.75)), 6) as number,
    });
    expect(of('hand.rung', { ...beam, friction: Math.tan(Math.PI / 6) + 1e-9 })).toMatchObject({ slides: false, hold: 0 });
  });
  test('what would have to be held down, what swings, what is past the end', () => {
    expect(refused('hand.rung', { ...beam, rest: 4 })).toMatch(/^lift: .*held down/);
    expect(refused('hand.rung', { ...beam, lift: 2 })).toMatch(/^rest: .*swings/);
    expect(refused('hand.rung', { ...beam, lift: 7 })).toMatch(/^lift: 7 m is past/);
    expect(refused('hand.rung', { ...beam, rest: 6 })).toMatch(/^lift: .*where it rests/);
  });
});

test('wind on what hangs: nothing without wind, and the fall leans by force over weight', () => {
  const load = { weight: 10e3, area: 10, drag: 1, gust: 0, drop: 30, airDensity: 1.25 };
  expect(of('lift.drift', load)).toEqual({ force: 0, angleDeg: 0, drift: 0 });
  expect(of('lift.drift', { ...load, gust: 40 }).angleDeg).toBeCloseTo(45, 9);
});
