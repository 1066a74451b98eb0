import { evaluated } from '../../../../tests/evaluated';
import { beside } from '../../../../tests/cranes-beside';
import { describe as say } from '../../verdict/describe';
import type { Plan } from '../../document/schema';

const rows = (plan: Plan, id: string): string[] =>
  evaluated(plan, '2026-11-30')
    .checks.filter((one) => one.id === id && one.verdict === 'stop')
    .map((check) => `${check.about.id}/${check.about.part}: ${say(check, 'metric')}`);

test('two cranes in one place at one time are a stop, at two times or two places they are not', () => {
  const here = { x: 9.144, y: -7 };
  expect(rows(beside(here), 'stand.inTheWay')).toEqual([
    's9/s1: Dunlin 50 on Stand 9 stands where Gannet 120 stands on Stand 1 at the same time. Move one of the two, or let one leave first.',
  ]);
  expect(rows(beside({ x: 9.144 + 8.5, y: -7 }), 'stand.inTheWay')).toHaveLength(1);
  expect(rows(beside({ x: 9.144 + 8.7, y: -7 }), 'stand.inTheWay')).toEqual([]);
  // It comes when the first has left.
  expect(rows(beside(here, null, 'mv12', 'mv14'), 'stand.inTheWay')).toEqual([]);
});

test('a tail swings past the other crane while that stands there', () => {
  // Behind the first as it sets its girders: 6 m from centre to centre leave 2 m to its outriggers.
  const behind = { x: 9.144, y: -7 - 4.1 - 4.2 };
  expect(rows(beside(behind), 'stand.tail').some((row) => /^s1\/k[1-4]: .*Dunlin 50 on Stand 9/.test(row))).toBe(true);
  expect(rows(beside(behind, null, 'mv12', 'mv14'), 'stand.tail').some((row) => /^s1\//.test(row))).toBe(false);
  expect(rows(beside({ x: 9.144, y: -26 }), 'stand.tail')).toEqual([]);
});
