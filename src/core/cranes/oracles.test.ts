import { attempt } from '../calc/attempt';
import { powerLineEu } from './power-line-eu.calc';
import { craneTandem } from './tandem.calc';

describe('distance to a power line in Europe, row by row', () => {
  const asks = (volts: number, owner: number | null = null) => attempt(powerLineEu, { volts, owner });
  test.each([
    [230, 1],
    [1000, 1],
    [1001, 3],
    [20_000, 3],
    [110_000, 3],
    [110_001, 4],
    [220_000, 4],
    [220_001, 5],
    [380_000, 5],
  ])('%i V: %i m', (volts, metres) => expect(asks(volts)).toMatchObject({ ok: true, output: { clearance: metres } }));
  test('the owner’s figure where it is more, and past the table only his', () => {
    expect(asks(20_000, 5)).toMatchObject({ ok: true, output: { clearance: 5 } });
    expect(asks(20_000, 2)).toMatchObject({ ok: true, output: { clearance: 3 } });
    expect(asks(400_000, 7)).toMatchObject({ ok: true, output: { clearance: 7 } });
    const past = asks(400_000);
    expect(past).toMatchObject({ ok: false, path: 'volts' });
    if (!past.ok) expect(past.error).toContain('400 kV');
  });
  test('the working shows the row it read and what the owner asks', () => {
    const shown = powerLineEu.work({ volts: 110_000, owner: null }, { clearance: 3 });
    expect(shown[0]).toMatchObject({ label: 'Table at 110 kV', result: { value: 3 } });
    expect(shown[1]).toMatchObject({ result: 'not known' });
    expect(powerLineEu.work({ volts: 400_000, owner: 6 }, { clearance: 6 })).toMatchObject([
      { result: { value: 0 } },
      { result: { value: 6 } },
      { result: { value: 6 } },
    ]);
  });
});

describe('two hooks', () => {
  const of = (cgFromA: number, cgBelowPicks: number, tiltDeg: number) =>
    attempt(craneTandem, { weight: 100e3, pickSpacing: 10, cgFromA, cgBelowPicks, tiltDeg });
  test('by lever; raising B draws the weight towards it where it hangs below the picks', () => {
    expect(of(4, 0, 0)).toMatchObject({ ok: true, output: { a: expect.closeTo(60e3, 6), b: expect.closeTo(40e3, 6) } });
    // tan 10° = 0.17633 over 1.5 m: 0.2645 m nearer to B.
    expect(of(4, 1.5, 10)).toMatchObject({ ok: true, output: { b: expect.closeTo(42_645, 0) } });
    expect(of(4, 1.5, -10)).toMatchObject({ ok: true, output: { b: expect.closeTo(37_355, 0) } });
  });
  test('outside the two a hook would have to push: which', () => {
    for (const [cg, hook] of [
      [-0.1, 'hook B'],
      [10.1, 'hook A'],
    ] as const) {
      const outcome = of(cg, 0, 0);
      expect(outcome).toMatchObject({ ok: false, path: 'cgFromA' });
      if (!outcome.ok) expect(outcome.error).toContain(hook);
    }
    expect(of(0, 0, 0)).toMatchObject({ ok: true, output: { b: 0 } });
    expect(of(10, 0, 0)).toMatchObject({ ok: true, output: { a: 0 } });
  });
});
