import { demoPlan } from '../../../tests/demo-plan';
import type { Member } from '@/core/document/schema';
import { columns } from './member-columns';

const member: Member = {
  ...demoPlan().members[0]!,
  mark: 'B7',
  make: { kind: 'section', section: 'UB 457x191x67' },
  length: 6.1,
  count: 2,
  grade: 'S355',
  stated: { drawing: 420, weighed: null },
  order: 3,
  line: 'C',
  place: 'bay 2',
};
const column = (key: string) => columns.find((one) => one.key === key)!;
const write = (key: string, text: string, units: 'metric' | 'us' = 'metric', of = member) => column(key).write!(text, of, units);

test('the table reads a member as people write it, in either system', () => {
  const read = (units: 'metric' | 'us') => columns.map((one) => one.read(member, units));
  expect(read('metric')).toEqual(['B7', 'UB 457x191x67', '6.1', '2', 'S355', '420', '', '3', 'C', 'bay 2']);
  expect(read('us')[2]).toMatch(/20/);
  expect(read('us')[5]).toBe('≈925.94');
});
test.each(['metric', 'us'] as const)('what the table reads can be written back (%s)', (units) => {
  for (const one of columns) {
    const changes = one.write!(one.read(member, units), member, units);
    expect(typeof changes).toBe('object');
    const again = { ...member, ...(changes as Partial<Member>) };
    // What was rounded to be shown says so, and written back is a hair off what was meant.
    expect(one.read(again, units)).toBe(one.read(member, units).replace('≈', ''));
    expect(again.length).toBeCloseTo(member.length, 2);
    expect(again.stated.drawing).toBeCloseTo(420, 0);
  }
});
test('a section as people write it becomes the listed one; one nobody lists stays as written', () => {
  expect(write('section', '457 x 191 x 67 ub')).toEqual({ make: { kind: 'section', section: 'UB 457x191x67' } });
  expect(write('section', 'ZZ 9')).toEqual({ make: { kind: 'section', section: 'ZZ 9' } });
  const plain: Member = { ...member, make: { kind: 'plain', what: 'stair flight' } };
  expect(write('section', 'ladder', 'metric', plain)).toEqual({ make: { kind: 'plain', what: 'ladder' } });
});
test('what is put together of parts is not written over by a name', () => {
  const parts: Member = { ...member, make: { kind: 'parts', what: 'stepped', width: null, depth: null, parts: [] } };
  expect(write('section', 'IPE 300', 'metric', parts)).toMatch(/made of several parts/);
});
test('a blank weight or order is one nobody has given', () => {
  expect(write('drawing', ' ')).toEqual({ stated: { drawing: null, weighed: null } });
  expect(write('weighed', '1,5 t')).toEqual({ stated: { drawing: 420, weighed: 1500 } });
  expect(write('order', '')).toEqual({ order: null });
});
test.each([
  ['length', 'long', /long/],
  ['length', '', /./],
  ['drawing', 'heavy', /heavy/],
  ['count', '0', /“0” is not a whole number from 1/],
  ['count', '1.5', /“1.5” is not a whole number/],
  ['count', '', /not a whole number from 1/],
  ['order', '-1', /“-1” is not a whole number from 0/],
])('%s “%s” is told why, and changes nothing', (key, text, words) => {
  const answer = write(key, text);
  expect(typeof answer).toBe('string');
  expect(answer).toMatch(words);
});
