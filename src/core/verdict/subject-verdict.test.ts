import { ticketHall } from '../../../tests/demo-plan';
import type { Check } from './check';
import { evaluate } from '../evaluate';
import { subjectVerdict } from './subject-verdict';

const check = (changes: Partial<Check>): Check => ({
  ...evaluate(ticketHall()).checks[0]!,
  station: 'shores',
  subject: 'Wall',
  about: { kind: 'shore', id: 'w' },
  quantity: 'force',
  ...changes,
});

const wall = { kind: 'shore', id: 'w' } as const;

test('the worst verdict, and the largest share that gives it: a clear one says nothing of what is tight or missing', () => {
  const checks = [check({ verdict: 'tight', ratio: 0.95 }), check({ verdict: 'missing', ratio: null }), check({ verdict: 'clear', ratio: 0.2 })];
  expect(subjectVerdict(checks, 'shores', wall)).toEqual({ verdict: 'missing', used: null });
  const tight = [check({ verdict: 'tight', ratio: 0.93 }), check({ verdict: 'tight', ratio: 0.91 }), check({ verdict: 'clear', ratio: 0.98 })];
  expect(subjectVerdict(tight, 'shores', wall)).toEqual({ verdict: 'tight', used: 0.93 });
  expect(subjectVerdict([check({ verdict: 'tight', ratio: null }), check({ verdict: 'clear', ratio: 0.98 })], 'shores', wall)?.used).toBeNull();
});
test('its parts count with it; another thing, another station and another thing of the same name do not', () => {
  const part = check({ subject: 'Wall, header over joist 3', about: { kind: 'shore', id: 'w', part: 'gap' }, verdict: 'stop', ratio: 1.2 });
  expect(subjectVerdict([part], 'shores', wall)).toEqual({ verdict: 'stop', used: 1.2 });
  expect(subjectVerdict([part], 'measure', wall)).toBeNull();
  expect(subjectVerdict([check({ about: { kind: 'shore', id: 'w2' } })], 'shores', wall)).toBeNull();
});
test('what is counted, and what nobody knows, is no share of a limit', () => {
  expect(subjectVerdict([check({ quantity: 'count', ratio: 3, verdict: 'clear' })], 'shores', wall)).toEqual({ verdict: 'clear', used: null });
  expect(subjectVerdict([check({ ratio: 2, verdict: 'missing' })], 'shores', wall)).toEqual({ verdict: 'missing', used: null });
});
test('the demo’s worst hall wall by its own checks', () => {
  const { checks } = evaluate(ticketHall());
  const own = checks.filter((one) => one.station === 'shores' && one.subject === 'Hall wall, right');
  expect(own.length).toBeGreaterThan(4);
  expect(subjectVerdict(checks, 'shores', own[0]!.about)?.used).toBe(Math.max(...own.flatMap((one) => (one.quantity === 'count' ? [] : [one.ratio ?? 0]))));
});
