import { evaluated } from '../../../../tests/evaluated';
import { passengerCanopy, vehicleRamp } from '../../../../tests/demo-plan';
import { rulesOf } from '../../rules/rule-sets';
import { describe as words } from '../../verdict/describe';
import { sameForOthers } from '../../edit/alike';
import type { Plan } from '../../document/schema';
import { boltCounts } from './bolts-by-size';
import { boltName, boltShearOf, type Bolt } from './joint-bolts';

const bolt = (over: Partial<Bolt> = {}): Bolt => ({ diameter: 0.02, grade: '8.8', planes: 1, ...over });
const eu = rulesOf('eu-ls', {});
const us = rulesOf('us-asd', {});
const shear = (found: ReturnType<typeof boltShearOf>): number => ('why' in found ? NaN : found.shear);

describe('what one bolt carries by its size', () => {
  test('EN 1993-1-8 Table 3.4: 0.6 × 800 × 245 / 1.25 = 94.1 kN for an M20 8.8; 0.5 × 1000 × 353 / 1.25 for an M24 10.9', () => {
    expect(shear(boltShearOf(bolt(), eu))).toBeCloseTo(94080, 0);
    expect(shear(boltShearOf(bolt({ diameter: 0.024, grade: '10.9' }), eu))).toBeCloseTo(141200, 0);
    expect(shear(boltShearOf(bolt({ planes: 2 }), eu))).toBeCloseTo(2 * 94080, 0);
  });
  test('AISC 360 J3.6: 372 MPa × 285 mm² / 2.00 = 53.0 kN for a 3/4 in A325; a metric class as the grade that stands nearest', () => {
    expect(shear(boltShearOf(bolt({ diameter: 0.01905, grade: 'A325' }), us)) / 1000).toBeCloseTo(53.0, 1);
    expect(shear(boltShearOf(bolt({ grade: '8.8' }), us))).toBe(shear(boltShearOf(bolt({ grade: 'A325' }), us)));
    expect(shear(boltShearOf(bolt({ grade: 'A490' }), us))).toBeGreaterThan(shear(boltShearOf(bolt({ grade: 'A325' }), us)));
    expect(shear(boltShearOf(bolt({ grade: 'A307' }), us))).toBeLessThan(shear(boltShearOf(bolt({ grade: 'A325' }), us)));
  });
  test('an American grade has no European figure, nor a size that is in no table', () => {
    expect(boltShearOf(bolt({ grade: 'A325' }), eu)).toEqual({ why: 'grade A325 is not one of EN 1993-1-8' });
    expect(boltShearOf(bolt({ diameter: 0.021 }), eu)).toMatchObject({ why: expect.stringContaining('No M21.0') });
  });
  test('it is called as it is on the drawing', () => {
    expect(boltName(bolt(), 'metric')).toBe('M20 8.8');
    expect(boltName(bolt(), 'us')).toBe('M20 8.8');
    expect(boltName({ diameter: 0.01905, grade: 'A325' }, 'us')).toBe('3/4" A325');
    expect(boltName({ diameter: 0.0254, grade: 'A490' }, 'metric')).toBe('1" A490');
    expect(boltName({ diameter: 0.0254 * 1.125, grade: 'A490' }, 'us')).toBe('1 1/8" A490');
    expect(boltName({ diameter: 0.02, grade: 'A490' }, 'us')).toBe('20.0 mm A490');
  });
});

describe('bolts of which only the size is said', () => {
  const plan = (unsaid: ('bolt.grade' | 'bolt.planes')[]): Plan => {
    const canopy = passengerCanopy();
    const [first] = canopy.structure.joints;
    Object.assign(first!, { boltShear: 900e3, bolt: bolt(), unsaid });
    return canopy;
  };
  const asked = (of: Plan) =>
    evaluated(of, '2026-11-27').checks.filter(({ id, about }) => (id === 'said.figure' || id === 'joint.boltSays') && about.id === of.structure.joints[0]!.id);
  test('what is still to be said is asked, and nothing is held against it', () => {
    expect(asked(plan(['bolt.grade', 'bolt.planes'])).map((check) => words(check, 'metric'))).toEqual([
      expect.stringMatching(/nobody has said the grade of its bolts yet/),
      expect.stringMatching(/nobody has said the number of shear planes through one bolt yet/),
    ]);
    expect(asked(plan([])).map(({ id, verdict }) => `${id} ${verdict}`)).toEqual(['joint.boltSays stop']);
  });
  test('they are not among those to take up, and are not said of others', () => {
    const [open, said] = [boltCounts(plan(['bolt.grade'])), boltCounts(plan([]))];
    expect(open.unsaid).toBe(said.unsaid + 1);
    const of = (one: Plan) => {
      const joints = one.structure.joints.filter(({ kind }) => kind === one.structure.joints[0]!.kind);
      joints.slice(1).forEach((joint) => (joint.bolt = null));
      return sameForOthers(one, 'joints', joints[0]!.id)?.edits.filter(({ changes }) => 'bolt' in changes).length ?? 0;
    };
    expect(of(plan(['bolt.planes']))).toBe(0);
    expect(of(plan([]))).toBeGreaterThan(0);
  });
});

describe('what is said of one bolt', () => {
  const at = (said: number | null, one: Bolt | null): Plan => {
    const plan = passengerCanopy();
    Object.assign(plan.structure.joints[0]!, { boltShear: said, bolt: one });
    return plan;
  };
  const rows = (plan: Plan) =>
    evaluated(plan, '2026-11-27').checks.filter(({ id, about }) => id === 'joint.boltSays' && about.id === plan.structure.joints[0]!.id);
  test('more than its size carries is a stop, the same or less is not; where no size is, it is asked', () => {
    const [over] = rows(at(120e3, bolt()));
    expect(over).toMatchObject({ verdict: 'stop', capacity: expect.closeTo(94080, 0), demand: 120e3 });
    expect(words(over!, 'metric')).toMatch(/said to carry 120(\.0)?\skN\. M20 8\.8 in one shear plane carries 94\.1\skN/);
    expect(rows(at(94e3, bolt()))[0]!.verdict).toBe('clear');
    expect(rows(at(95e3, bolt()))[0]!.verdict).toBe('clear');
    expect(rows(at(97e3, bolt()))[0]!.verdict).toBe('stop');
    const [unknown] = rows(at(120e3, null));
    expect(unknown!.verdict).toBe('missing');
    expect(words(unknown!, 'metric')).toMatch(/^Of which size and grade are the bolts of/);
    expect(rows(at(null, bolt()))).toEqual([]);
    expect(rows(at(50e3, bolt({ grade: 'A325' })))[0]!.verdict).toBe('missing');
  });
});

describe('what a splice is said to carry', () => {
  // 120 bolts a side, 7/8 in A325 in two planes: 2 × 372.3 MPa × 387.9 mm² / 2.00 = 144.4 kN each; the girder is 1447.8 mm deep.
  const each = 372.317e6 * ((Math.PI * 0.022225 ** 2) / 4);
  const lever = (1.3716 + 2 * 0.0381) / 2 + 0.075;
  const rows = (over: Partial<Plan['structure']['joints'][number]>): [string, Plan][] => {
    const plan = vehicleRamp();
    Object.assign(plan.structure.joints[0]!, over);
    return evaluated(plan, '2026-11-27')
      .checks.filter(({ id, about }) => id === 'joint.boltSays' && about.id === 'splice1-1')
      .map((check) => [`${check.verdict} ${check.about.part} ${check.capacity!.toPrecision(4)} ${words(check, 'metric').replace(/\u00a0/g, ' ')}`, plan]);
  };
  test('more than all its bolts could at the very most is a stop, by hand; as much is not', () => {
    const [moment, shear] = [120 * each * lever, 120 * each];
    expect(rows({})).toEqual([]);
    expect(rows({ moment: moment * 0.999, shear: shear * 0.999 })).toEqual([]);
    expect(rows({ moment: moment * 1.001 })[0]![0]).toMatch(
      /^stop moment .* is said to carry a moment of .*; its 120 bolts a side, 7\/8" A325, could carry .* at the very most/,
    );
    expect(rows({ shear: shear * 1.001 })[0]![0]).toMatch(/^stop shear /);
    expect(Number(rows({ moment: moment * 2 })[0]![0].split(' ')[2])).toBeCloseTo(moment, -5);
  });
  test('in one plane a bolt may be pulled for more than it is sheared, and both figures are told', () => {
    const one = { diameter: 0.022225, grade: 'A325' as const, planes: 1 };
    const most = 120 * (each / 2) * 1.8 * lever;
    expect(rows({ bolt: one, moment: most * 0.999 })).toEqual([]);
    expect(rows({ bolt: one, moment: most * 1.001, shear: 60.1 * each }).map(([row]) => row.slice(0, 11))).toEqual(['stop moment', 'stop shear ']);
  });
  test('nothing is held against bolts that nobody has described, nor against no figure', () => {
    expect(rows({ bolt: { diameter: 0.01, grade: 'A325', planes: 2 }, moment: null, shear: null })).toEqual([]);
    expect(rows({ holes: null, moment: 1e9 })).toEqual([]);
    expect(rows({ unsaid: ['bolt.grade'], moment: 1e9 })).toEqual([]);
  });
});
