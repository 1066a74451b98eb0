import { measuresWords, sectionByMeasures, type ProfileMeasures } from './by-measures';
import { sections } from './sections';

const of = (row: (typeof sections)[number]): ProfileMeasures => ({
  kind: row.family === 'HSS' ? 'box' : row.family === 'C' || row.family === 'PFC' ? 'U' : 'I',
  depth: row.depth,
  width: row.width,
  wall: row.web,
  flange: row.family === 'HSS' ? null : row.flange,
});

test('every listed section is found by its own measures, or told apart from none of the same', () => {
  const strange = sections.filter((row) => {
    const found = sectionByMeasures(of(row));
    if (found) return found.designation !== row.designation;
    return !sections.some((other) => other !== row && Math.abs(other.depth - row.depth) < 1e-4 && Math.abs(other.width - row.width) < 1e-4);
  });
  expect(strange.map((row) => row.designation)).toEqual([]);
});
test('rounded to the millimetre as a model gives them, each is itself, or its twin of another table and the same weight, or nothing', () => {
  const other = sections.flatMap((row) => {
    const { depth, width, ...rest } = of(row);
    const found = sectionByMeasures({ ...rest, depth: Math.round(depth * 1000) / 1000, width: Math.round(width * 1000) / 1000 });
    if (!found || found === row) return [];
    expect(Math.abs(found.massPerLength / row.massPerLength - 1)).toBeLessThan(0.01);
    return [`${row.designation} as ${found.designation}`];
  });
  expect(other).toEqual(['W18x55 as UB 457x191x82']);
});
test.each<[string, ProfileMeasures, string | null]>([
  ['an I', { kind: 'I', depth: 0.19, width: 0.2, wall: 0.0065, flange: 0.01 }, 'HEA 200'],
  ['a nominal formed wall', { kind: 'box', depth: 0.1524, width: 0.1524, wall: 0.0095, flange: null }, 'HSS6x6x3/8'],
  ['a web a millimetre thicker', { kind: 'I', depth: 0.19, width: 0.2, wall: 0.0075, flange: 0.01 }, null],
  ['no flange given', { kind: 'I', depth: 0.19, width: 0.2, wall: 0.0065, flange: null }, null],
  ['a channel with the measures of an I', { kind: 'U', depth: 0.19, width: 0.2, wall: 0.0065, flange: 0.01 }, null],
  ['a rectangle', { kind: 'rectangle', depth: 0.24, width: 0.2, wall: null, flange: null }, null],
])('%s', (_, measures, designation) => expect(sectionByMeasures(measures)?.designation ?? null).toBe(designation));
test.each<[ProfileMeasures, string]>([
  [{ kind: 'rectangle', depth: 0.24, width: 0.2, wall: null, flange: null }, 'rectangle 240 × 200 mm'],
  [{ kind: 'I', depth: 0.4, width: 0.18, wall: 0.0086, flange: 0.0135 }, 'I 400 × 180 × 8.6 × 13.5 mm'],
  [{ kind: 'tube', depth: 0.0483, width: 0.0483, wall: 0.0032, flange: null }, 'tube 48.3 × 3.2 mm'],
  [{ kind: 'round', depth: 0.03, width: 0.03, wall: null, flange: null }, 'round 30 mm'],
])('%j in words', (measures, words) => expect(measuresWords(measures)).toBe(words));
