import { readFileSync } from 'node:fs';
import { readSectionTables } from '../../../scripts/lib/section-tables';
import { runCalc } from '../catalogue/run';
import { kilogramsPer, metresPer } from '../units';
import { findSection, nearestSections, searchSections, sections } from './sections';

const csv = (name: string) => readFileSync(`data/${name}`, 'utf8');

test('the table the core reads is the table in data/', () => {
  expect(sections).toEqual(readSectionTables(csv('sections-us.csv'), csv('sections-eu.csv')));
  expect(sections).toHaveLength(427);
});

describe.each(sections.filter((s) => s.family !== 'HSS').map((s) => [s.designation, s] as const))('%s', (_, s) => {
  const plates = 2 * s.width * s.flange + (s.depth - 2 * s.flange) * s.web;
  test('weight, area and inertia agree with its own plates', () => {
    expect(s.massPerLength / (7850 * s.area)).toBeGreaterThan(0.96);
    expect(s.massPerLength / (7850 * s.area)).toBeLessThan(1.03);
    expect(s.area / plates).toBeGreaterThan(0.975);
    expect(s.area / plates).toBeLessThan(1.085);
    const strong = (s.width * s.depth ** 3 - (s.width - s.web) * (s.depth - 2 * s.flange) ** 3) / 12;
    expect(s.iStrong / strong).toBeGreaterThan(0.96);
    expect(s.iStrong / strong).toBeLessThan(1.075);
    expect(s.basis).toContain('from memory');
  });
});

describe('marks as people write them', () => {
  test.each([
    ['W10x88', 'W10x88'],
    ['W10X88', 'W10x88'],
    ['w 10 x 88', 'W10x88'],
    ['W10×88', 'W10x88'],
    ['W10*88', 'W10x88'],
    ['UB 254x146x37', 'UB 254x146x37'],
    ['ub254X146X37', 'UB 254x146x37'],
    ['254x146x37 UB', 'UB 254x146x37'],
    ['254 x 146 UB 37', 'UB 254x146x37'],
    ['IPE 300', 'IPE 300'],
    ['ipe300', 'IPE 300'],
    ['HEA 200', 'HEA 200'],
    ['HE 200 A', 'HEA 200'],
    ['he200b', 'HEB 200'],
    ['C10x20', 'C10x20'],
    ['HSS6x6x3/8', 'HSS6x6x3/8'],
    ['HSS 6 x 6 x 0.375', 'HSS6x6x3/8'],
    ['UC 203x203x46', 'UC 203x203x46'],
    ['PFC 200x75x23', 'PFC 200x75x23'],
  ])('%s is %s', (typed, meant) => expect(findSection(typed)?.designation).toBe(meant));
  test.each(['W10x89', '', 'W', 'HEA', '10x88'])('“%s” is no mark', (typed) => expect(findSection(typed)).toBeUndefined());
  test('the nearest are offered from the same family', () => {
    expect(nearestSections('W10x89')).toContain('W10x88');
    expect(runCalc('steel.section', { designation: 'W10x89' })).toMatchObject({
      ok: false,
      path: 'designation',
      error: expect.stringContaining('W10x88') as unknown,
    });
  });
  test('search puts marks that begin so first', () => expect(searchSections('ub 533')[0]?.designation).toMatch(/^UB 533/));
});

test('nominal mass is the mark’s own pounds a foot, exactly', () => {
  expect(findSection('W10x88')!.massPerLength).toBe((88 * kilogramsPer.lb) / metresPer.ft);
});
