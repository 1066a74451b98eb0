import { runCalc } from '../catalogue/run';
import { feltBetween, momentsAbout, pullOf, stationAt, type Launched } from './sweep';

const even: Launched = {
  segments: [{ length: 20, stiffness: 2e9, load: 10e3 }],
  supports: [
    { x: 0, level: 0 },
    { x: -8, level: 0 },
    { x: 12, level: 0 },
  ],
  pointLoads: [],
};
const calc = (input: object) => runCalc('launch.sweep', { friction: 0.05, gradeDeg: 0, pointLoads: [], ...input });
const bar = [{ length: 20, stiffness: 2e9, load: 10e3 }];

describe('a beam pushed out over rollers', () => {
  test('by hand: 8 m ahead of the last roller and 12 m behind it', () => {
    const { factor, reactions, answer } = stationAt(even, 8);
    // Behind 10·12²/2 = 720 kN·m, ahead 10·8²/2 = 320 kN·m.
    expect(factor).toBeCloseTo(720 / 320, 9);
    // On rollers at 0 and −8: the balance point is 2 m behind the first.
    expect(reactions[0]).toBeCloseTo((200e3 * 6) / 8, 3);
    expect(reactions[1]).toBeCloseTo((200e3 * 2) / 8, 3);
    expect(reactions[2]).toBe(0);
    expect(answer.stable && answer.hogging).toBeCloseTo(320e3, 3);
  });

  test('a roller at the tip is reached: nothing is ahead, and the tip lies on it', () => {
    const { factor, reactions, tipDown } = stationAt(even, 12);
    expect(factor).toBeNull();
    expect(reactions[2]).toBeGreaterThan(0);
    expect(tipDown).toBeCloseTo(0, 9);
  });

  test('its tip hangs by the slope at the last roller and the sag of the overhang', () => {
    const [q, ei, a, span, rear] = [10e3, 2e9, 9, 8, 3];
    const { tipDown, reactions } = stationAt(even, a);
    expect(reactions[2]).toBe(0);
    // Slope at the last roller: the two hogging moments on the span behind it, less its own sag; then the cantilever.
    const slope = (((q * a * a) / 2) * span) / (3 * ei) + (((q * rear * rear) / 2) * span) / (6 * ei) - (q * span ** 3) / (24 * ei);
    expect(tipDown).toBeCloseTo(slope * a + (q * a ** 4) / (8 * ei), 8);
  });

  test('what a stretch feels is what the solver says of the whole, and at a roller the hand answer', () => {
    const station = stationAt(even, 8);
    const whole = feltBetween(even, station, -12, 8);
    expect(whole.hogging).toBeCloseTo(320e3, 3);
    expect(station.answer.stable && whole.sagging).toBeCloseTo(station.answer.stable ? station.answer.sagging : NaN, 3);
    // Ahead of the roller a cantilever: 5 m of it from x = 3 on.
    const tip = feltBetween(even, station, 3, 8);
    expect(tip.hogging).toBeCloseTo((10e3 * 25) / 2, 3);
    expect(tip.shear).toBeCloseTo(50e3, 3);
    expect(tip.front).toEqual({ moment: expect.closeTo(0, 3) as number, shear: expect.closeTo(0, 3) as number });
    expect(tip.rear.moment).toBeCloseTo(-125e3, 3);
    // Just behind the roller the shear is that of what is behind: 80 kN ahead of it less its 150 kN.
    expect(feltBetween(even, station, -4, -1e-6).front.shear).toBeCloseTo(80e3 - 150e3, 0);
    // Between rollers: simply supported with both overhangs; the greatest sagging where shear is nought.
    const two = { ...even, supports: [0, -16].map((x) => ({ x, level: 0 })) };
    const between = feltBetween(two, stationAt(two, 2), -16, 0);
    const left = (200e3 * 8) / 16;
    const peak = (left - 2 * 10e3) / 10e3;
    expect(between.sagging).toBeCloseTo(left * peak - (10e3 * (peak + 2) ** 2) / 2, 2);
  });

  test('past its balance point it tips: told, and the sweep goes on', () => {
    const outcome = calc({ segments: bar, supports: [{ x: 0 }, { x: -8 }], tips: [8, 10.5, 6] });
    if (!outcome.ok) throw new Error(outcome.error);
    const { stations } = outcome.output as unknown as { stations: { stable: boolean; factor: number; reactions?: number[] }[] };
    expect(stations.map(({ stable }) => stable)).toEqual([true, false, true]);
    expect(stations[1]!.factor).toBeCloseTo(9.5 ** 2 / 10.5 ** 2, 9);
    expect(stations[1]!.reactions).toBeUndefined();
  });

  test('before any support is reached nothing holds it', () => {
    const outcome = calc({ segments: bar, supports: [{ x: 5 }], tips: [4] });
    expect(outcome).toMatchObject({ ok: true, output: { stations: [{ factor: 0, stable: false }] } });
  });

  test('reactions carry all of its weight, and its moment, at every place; one more weight behind raises the factor', () => {
    const nose: Launched = {
      segments: [
        { length: 6, stiffness: 3e8, load: 2e3 },
        { length: 11, stiffness: 2e9, load: 12e3 },
        { length: 9, stiffness: 3e9, load: 15e3 },
      ],
      supports: [-18, -10, -3, 4, 19].map((x, i) => ({ x, level: i === 2 ? 0.004 : 0 })),
      pointLoads: [{ fromTip: 25, force: 30e3 }],
    };
    for (let tip = 4; tip <= 20; tip += 0.37) {
      const { reactions, answer, factor } = stationAt(nose, tip);
      if (!answer.stable) continue;
      const weight = 6 * 2e3 + 11 * 12e3 + 9 * 15e3 + 30e3;
      expect(reactions.reduce((sum, one) => sum + one, 0)).toBeCloseTo(weight, 1);
      const about = reactions.reduce((sum, one, i) => sum + one * (nose.supports[i]!.x - tip), 0);
      const { ahead, behind } = momentsAbout(nose, tip, tip);
      expect(Math.abs(about - (ahead - behind))).toBeLessThan(1e-6 * behind);
      const heavier = stationAt({ ...nose, pointLoads: [...nose.pointLoads, { fromTip: 24, force: 50e3 }] }, tip);
      if (factor !== null) expect(heavier.factor!).toBeGreaterThan(factor);
    }
  });

  test('cutting a segment in two changes nothing', () => {
    const cut = {
      ...even,
      segments: [
        { length: 7, stiffness: 2e9, load: 10e3 },
        { length: 13, stiffness: 2e9, load: 10e3 },
      ],
    };
    const [one, two] = [stationAt(even, 6.5), stationAt(cut, 6.5)];
    expect(two.factor).toBeCloseTo(one.factor!, 9);
    one.reactions.forEach((force, i) => expect(two.reactions[i]).toBeCloseTo(force, 3));
    expect(two.tipDown).toBeCloseTo(one.tipDown!, 9);
  });

  test('pull: friction and grade, and downhill beyond friction it pulls by itself', () => {
    expect(pullOf(1e6, 0.05, 0)).toBeCloseTo(5e4, 6);
    expect(pullOf(1e6, 0.05, 2)).toBeCloseTo(1e6 * (0.05 * Math.cos(Math.PI / 90) + Math.sin(Math.PI / 90)), 6);
    expect(pullOf(1e6, 0.03, -3)).toBeLessThan(0);
  });

  test('refused: two supports at one place, a load past the tail, nothing that weighs', () => {
    expect(calc({ segments: bar, supports: [{ x: 0 }, { x: 0 }], tips: [0] })).toMatchObject({ ok: false, path: 'supports[1].x' });
    expect(calc({ segments: bar, supports: [{ x: 0 }], pointLoads: [{ fromTip: 20.5, force: 1 }], tips: [0] })).toMatchObject({
      ok: false,
      path: 'pointLoads[0].fromTip',
    });
    expect(calc({ segments: [{ length: 20, stiffness: 2e9, load: 0 }], supports: [{ x: 0 }], tips: [0] })).toMatchObject({ ok: false, path: 'segments' });
    expect(calc({ segments: [], supports: [{ x: 0 }], tips: [0] })).toMatchObject({ ok: false });
  });
});
