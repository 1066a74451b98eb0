import { quayFootbridge } from '../../../tests/demo-plan';
import { attempt } from '../calc/attempt';
import { rulesOf } from '../rules/rule-sets';
import { findSection } from '../steel/sections';
import type { SectionRow } from '../steel/section-row';
import { localEn } from '../strength/local-en.calc';
import { reduction } from '../strength/curves-en';
import { evaluate } from '../evaluate';
import { Missing } from '../verdict/missing';
import type { Plan } from '../document/schema';
import { sectionOf } from './model';
import { pressedArea } from '../strength/pressed.calc';
import { bendingCapacity, ltbCurve, plasticMoment, postCapacity, pressed, weakCurve } from './section-strength';

const eu = rulesOf('eu-ls', {});
const us = rulesOf('us-asd', {});
const row = (mark: string): SectionRow => findSection(mark)!;
const girder = (webDepth: number, web: number, width: number, thickness: number): SectionRow => {
  const [make] = quayFootbridge().structure.makes;
  const flange = { width, thickness };
  return sectionOf({ ...make!, made: { kind: 'girder', webDepth, web, topFlange: flange, bottomFlange: flange } }) as SectionRow;
};

describe('the class of a section, by hand', () => {
  // ε = √(235/235) = 1. Outstand (0.21 − 0.01)/2 = 0.1 over t; web 0.4 over its thickness.
  const base = { yield: 235e6, depth: 0.42, width: 0.21, flange: 0.01, web: 0.01, root: 0, wPlastic: 1e-3, wElastic: 0.9e-3 };
  const of = (changes: Partial<typeof base>) => {
    const found = attempt(localEn, { ...base, ...changes });
    return found.ok ? [found.output.flangeClass, found.output.webClass, found.output.modulus] : found.path;
  };
  test.each([
    // The outstand of 0.1 m over the thickness, at 9, 10 and 14.
    [{ flange: 0.1 / 8.99, depth: 0.4 + 0.2 / 8.99 }, [1, 1, 1e-3]],
    [{ flange: 0.1 / 9.01, depth: 0.4 + 0.2 / 9.01 }, [2, 1, 1e-3]],
    [{ flange: 0.1 / 10.01, depth: 0.4 + 0.2 / 10.01 }, [3, 1, 0.9e-3]],
    [{ flange: 0.1 / 13.99, depth: 0.4 + 0.2 / 13.99 }, [3, 1, 0.9e-3]],
    [{ flange: 0.1 / 14.01, depth: 0.4 + 0.2 / 14.01 }, 'flange'],
  ])('flange %#', (changes, expected) => expect(of(changes)).toEqual(expected));

  test.each([
    [71.9, 1, 1e-3],
    [72.1, 2, 1e-3],
    [83.1, 3, 0.9e-3],
    [123.9, 3, 0.9e-3],
  ])('web %d times its thickness', (ratio, webClass, modulus) => {
    const web = 0.01;
    expect(of({ width: 0.19, flange: 0.01, web, depth: ratio * web + 0.02 })).toEqual([1, webClass, modulus]);
  });

  test('of a web past 124ε nothing is counted: the flanges alone, and never more than the elastic modulus', () => {
    const slim = { web: 0.01, depth: 124.1 * 0.01 + 0.02, width: 0.19, flange: 0.01 };
    expect(of({ ...slim, wElastic: 9e-3 })).toEqual([1, 4, expect.closeTo(0.19 * 0.01 * (slim.depth - 0.01), 12)]);
    expect(of({ ...slim, wElastic: 1e-3 })).toEqual([1, 4, 1e-3]);
  });

  test('a higher yield is stricter, a root helps', () => {
    expect(of({ flange: 0.1 / 9, depth: 0.4 + 0.2 / 9, yield: 355e6 })).toEqual([3, 1, 0.9e-3]);
    expect(of({ flange: 0.1 / 10.01, depth: 0.4 + 0.2 / 10.01, root: 0.011 })).toEqual([1, 1, 1e-3]);
    expect(of({ width: 0.009 })).toBe('width');
    expect(of({ flange: 0.21, width: 3 })).toBe('depth');
  });

  test.each([
    // Common tables of classes in bending, from memory.
    ['IPE 300', 355e6, 1],
    ['HEA 280', 355e6, 3],
    ['HEA 280', 235e6, 1],
    ['HEB 300', 355e6, 1],
  ])('%s at %d Pa is of class %d in bending', (mark, fy, expected) => {
    const found = plasticMoment(row(mark), fy, eu);
    if (found instanceof Missing) throw new Error(found.questions.join());
    const { flangeClass, webClass } = found.traces[0]!.output as { flangeClass: number; webClass: number };
    expect(Math.max(flangeClass, webClass)).toBe(expected);
    expect(found.moment / fy).toBeCloseTo(expected === 3 ? row(mark).sStrong! : row(mark).zStrong!, 9);
  });
});

describe('curves of welded and of thick sections', () => {
  test('EN 1993-1-1 Table 6.4: a welded I is two curves lower', () => {
    expect([ltbCurve(row('HEB 300')), ltbCurve(row('IPE 600'))]).toEqual(['a', 'b']);
    expect([ltbCurve(girder(0.5, 0.02, 0.4, 0.03)), ltbCurve(girder(0.9, 0.016, 0.4, 0.03))]).toEqual(['c', 'd']);
  });

  test('Table 6.2 about the weak axis: rolled slim or wide, thick, welded, a tube', () => {
    expect(['IPE 300', 'HEB 300', 'UC 356x406x634'].map((mark) => weakCurve(row(mark)))).toEqual(['b', 'c', 'c']);
    const slim = row('IPE 300');
    expect(weakCurve({ ...slim, flange: 0.041 })).toBe('c');
    expect(weakCurve({ ...row('HEB 300'), flange: 0.101 })).toBe('d');
    expect([weakCurve(girder(0.9, 0.016, 0.4, 0.03)), weakCurve(girder(0.9, 0.016, 0.4, 0.05))]).toEqual(['c', 'd']);
    expect(weakCurve(row('HSS6x6x3/8'))).toBe('c');
  });

  test('a girder of plates bears less before it buckles sideways than a rolled one of the same measures', () => {
    const welded = girder(0.9, 0.016, 0.4, 0.03);
    const at = (section: SectionRow) => {
      const found = bendingCapacity(section, 355e6, eu, { length: 12, factor: 1 });
      if (found instanceof Missing) throw new Error(found.questions.join());
      return found.capacity;
    };
    const rolled = at({ ...welded, family: 'W' });
    expect(at(welded)).toBeLessThan(0.9 * rolled);
    const found = bendingCapacity(welded, 355e6, eu, { length: 12, factor: 1 });
    const { critical, chi } = (found as { traces: { output: { critical: number; chi: number } }[] }).traces[0]!.output;
    expect(chi).toBeCloseTo(reduction(Math.sqrt((welded.zStrong! * 355e6) / critical), 'd'), 9);
  });

  test('a tube is taken as formed cold', () => {
    const tube = row('HSS6x6x3/8');
    const post = postCapacity(tube, 345e6, { strong: 4, weak: 4 }, eu);
    if (post instanceof Missing) throw new Error(post.questions.join());
    const slender = Math.sqrt((345e6 / (Math.PI ** 2 * eu.steel.modulus)) * (4 / tube.rWeak!) ** 2);
    expect(post.capacity).toBeCloseTo((reduction(slender, 'c') * tube.area * 345e6) / eu.value('gammaM1'), -1);
  });
});

test('in the other school the hanging piece has no more than its local slenderness leaves', () => {
  const thin = girder(0.9, 0.016, 0.6, 0.012);
  const found = plasticMoment(thin, 345e6, us);
  if (found instanceof Missing) throw new Error(found.questions.join());
  expect(found.moment).toBeLessThan(thin.zStrong! * 345e6);
  expect(found.traces[0]!.calc).toBe('member.localAisc');
});

test('a girder whose flanges buckle locally is asked of the engineer, hanging and set', () => {
  const plan: Plan = quayFootbridge();
  for (const { made } of plan.structure.makes)
    if (made.kind === 'girder') for (const flange of [made.topFlange, made.bottomFlange]) Object.assign(flange, { width: 0.9, thickness: 0.02 });
  const rows = evaluate(plan, '2026-11-28').checks.filter(({ id }) => id === 'pick.hanging' || id === 'pick.bending');
  expect(rows.length).toBeGreaterThan(1);
  for (const check of rows) {
    expect(check.verdict).toBe('missing');
    expect(JSON.stringify(check.finding)).toContain('buckles locally');
  }
});

describe('what counts under pressure, by hand', () => {
  // ε = 1, E/F_y = 900: its root is 30. Outstand (0.21 − 0.01)/2 = 0.1; half the flange 0.105.
  const base = { yield: 235e6, modulus: 235e6 * 900, area: 0.01, depth: 0.34, width: 0.21, flange: 0.02, web: 0.01, root: 0, builtUp: false };
  const en = (changes: Partial<typeof base>) => attempt(pressedArea, { ...base, rule: 'en', ...changes });
  const us = (changes: Partial<typeof base>) => attempt(pressedArea, { ...base, rule: 'aisc', ...changes });
  const area = (found: ReturnType<typeof en>) => (found.ok ? found.output.area : found.path);

  test('stocky: all of it', () => {
    expect(area(en({}))).toBe(0.01);
    expect(area(us({}))).toBe(0.01);
  });

  test('EN: a flange past 14ε has 13.9ε, a web past 42ε has 39.9ε', () => {
    expect(area(en({ flange: 0.1 / 13.9 }))).toBe(0.01);
    expect(area(en({ flange: 0.1 / 15 }))).toBeCloseTo(0.01 - 4 * 1.1 * (0.1 / 15) ** 2, 12);
    expect(area(en({ depth: 0.04 + 0.419 }))).toBe(0.01);
    expect(area(en({ depth: 0.04 + 0.5 }))).toBeCloseTo(0.01 - (50 - 39.9) * 1e-4, 12);
  });

  test('what EN 1993-1-5 counts is never less: ρ of Table 4.1 and 4.2', () => {
    for (let ratio = 42.01; ratio < 200; ratio += 0.5) {
      const slender = ratio / 56.8;
      expect(((slender - 0.22) / slender ** 2) * ratio).toBeGreaterThan(39.85);
    }
    for (let ratio = 14.01; ratio < 60; ratio += 0.5) {
      const slender = ratio / (28.4 * Math.sqrt(0.43));
      expect(((slender - 0.188) / slender ** 2) * ratio).toBeGreaterThan(13.85);
    }
  });

  test('AISC: flanges at 0.56 and, welded, 0.64·√k_c; a web at 1.49', () => {
    // 0.56 × 30 = 16.8; 1.49 × 30 = 44.7.
    expect(area(us({ flange: 0.105 / 16.7 }))).toBe(0.01);
    expect(area(us({ flange: 0.105 / 20 }))).toBeCloseTo(0.01 - 4 * (20 - 16.8) * (0.105 / 20) ** 2, 12);
    expect(area(us({ depth: 0.04 + 0.446 }))).toBe(0.01);
    expect(area(us({ depth: 0.04 + 0.6 }))).toBeCloseTo(0.01 - (60 - 44.7) * 1e-4, 12);
    // A web of 64: k_c 0.5, 0.64 × 0.7071 × 30 = 13.58. The web itself is past 44.7.
    const kc = 0.64 * Math.sqrt(0.5) * 30;
    const flange = 0.105 / 15;
    expect(area(us({ builtUp: true, flange, depth: 0.64 + 2 * flange }))).toBeCloseTo(0.01 - 4 * (15 - kc) * flange ** 2 - (64 - 44.7) * 1e-4, 9);
  });

  test('what cannot be a section is refused', () => {
    expect(area(en({ depth: 0.03 }))).toBe('depth');
    expect(area(en({ width: 0.005 }))).toBe('width');
    expect(area(en({ area: 1e-4, depth: 2 }))).toBe('area');
  });

  test('a column of IPE 600 has less than its whole area in S355, a stocky one all; so the post carries less', () => {
    const slim = pressed(row('IPE 600'), 355e6, eu) as { area: number };
    expect(slim.area).toBeLessThan(0.985 * row('IPE 600').area);
    expect((pressed(row('HEB 300'), 355e6, eu) as { area: number }).area).toBe(row('HEB 300').area);
    const post = postCapacity(row('IPE 600'), 355e6, { strong: 3, weak: 3 }, eu) as { capacity: number };
    const { rWeak } = row('IPE 600');
    const slender = Math.sqrt((355e6 / (Math.PI ** 2 * eu.steel.modulus)) * (3 / rWeak!) ** 2);
    expect(post.capacity).toBeCloseTo((reduction(slender, 'b') * slim.area * 355e6) / eu.value('gammaM1'), -1);
    const uneven = { ...girder(1.5, 0.01, 0.4, 0.02), family: 'PG' };
    expect((pressed(uneven, 355e6, eu) as { area: number }).area).toBeLessThan(uneven.area);
    expect((pressed({ ...uneven, family: 'PFC' }, 355e6, eu) as { area: number }).area).toBe(uneven.area);
  });
});
