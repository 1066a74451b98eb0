import { runCalc } from '../catalogue/run';

const truth = (input: object) => runCalc('steel.weightTruth', { calculated: null, drawing: null, weighed: null, use: 'worst', ...input });

describe('the weight the plan goes by', () => {
  test('the heaviest known', () =>
    expect(truth({ calculated: 1117, drawing: 1100, weighed: 1240 })).toMatchObject({ ok: true, output: { mass: 1240, by: 'weighed' } }));
  test('a person may choose', () =>
    expect(truth({ calculated: 1117, weighed: 1240, use: 'calculated' })).toMatchObject({ output: { mass: 1117, by: 'calculated' } }));
  test('choosing a weight nobody gave is refused', () => expect(truth({ calculated: 1117, use: 'weighed' })).toMatchObject({ ok: false, path: 'use' }));
  test('nothing known is not nothing', () => expect(truth({})).toMatchObject({ ok: false, path: 'calculated' }));
});

describe('splices and bolts', () => {
  // M20 8.8 in published tables of EN 1993-1-8 values: 94.1 kN shear, 141 kN tension.
  test('M20 8.8', () => {
    const bolt = runCalc('connection.boltEn', { diameter: 0.02, grade: '8.8', planes: 1, gammaM2: 1.25 });
    expect(bolt).toMatchObject({ ok: true, output: { shear: expect.closeTo(94.08e3, -1), tension: expect.closeTo(141.1e3, -2) } });
  });
  test('10.9 takes half, not six tenths, in shear', () =>
    expect(runCalc('connection.boltEn', { diameter: 0.02, grade: '10.9', planes: 1, gammaM2: 1.25 })).toMatchObject({
      output: { shear: expect.closeTo(98e3, -2) },
    }));
  test('M18 is not in the table', () =>
    expect(runCalc('connection.boltEn', { diameter: 0.018, grade: '8.8', planes: 1, gammaM2: 1.25 })).toMatchObject({ ok: false, path: 'diameter' }));
  // ¾ in A325 in tension, AISC Manual Table 7-2: 19.9 kips allowable.
  test('¾ in A325 in tension: 19.9 kips', () =>
    expect(runCalc('connection.boltTensionAisc', { diameter: 0.01905, nominalStress: 620.5e6 })).toMatchObject({
      output: { allowable: expect.closeTo(19.88 * 4448.22, -3) },
    }));
  const joint = { kind: 'cover', moment: 60e3, shear: 40e3, depth: 0.3, flange: 0.014, boltShear: 94e3, boltTension: 141e3, prying: 0.3 };
  test('cover plates: 200 kN at a flange of 94 kN bolts is 4 (3 made even), webs 2', () =>
    expect(runCalc('connection.splice', joint)).toMatchObject({ output: { couple: expect.closeTo(200e3, 3), flangeBolts: 4, webBolts: 2, perJoint: 20 } }));
  test('end plate: 60/0.286 × 1.3 over 141 kN is 4, with 2 for shear', () =>
    expect(runCalc('connection.splice', { ...joint, kind: 'endPlate' })).toMatchObject({ output: { flangeBolts: 4, webBolts: 2, perJoint: 10 } }));
  test('no moment still gets the least', () =>
    expect(runCalc('connection.splice', { ...joint, moment: 0, shear: 0 })).toMatchObject({ output: { flangeBolts: 4, webBolts: 2 } }));
});

describe('load path', () => {
  test('what comes down is own load and shares', () =>
    expect(
      runCalc('path.link', {
        from: [
          { what: 'beam', load: 40e3, share: 0.5 },
          { what: 'wall', load: 10e3, share: 1 },
        ],
        own: 2e3,
      }),
    ).toMatchObject({ output: { load: 32e3 } }));
  test('a 300 mm square plate under 27 kN presses 300 kPa', () =>
    expect(runCalc('path.pressure', { load: 27e3, length: 0.3, width: 0.3, allowable: 1e6 })).toMatchObject({
      output: { pressure: expect.closeTo(300e3, 3), ratio: expect.closeTo(0.3, 9), neededArea: expect.closeTo(0.027, 9) },
    }));
});
