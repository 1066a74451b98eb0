import { ticketHall } from '../../../tests/demo-plan';
import type { Check } from './check';
import { evaluate } from './evaluate';
import { subjectVerdict } from './subject-verdict';

const check = (changes: Partial<Check>): Check => ({ ...evaluate(ticketHall()).checks[0]!, station: 'shores', subject: 'Wall', quantity: 'force', ...changes });

test('the worst verdict, and the largest share that gives it: a clear one says nothing of what is tight or missing', () => {
  const checks = [check({ verdict: 'tight', ratio: 0.95 }), check({ verdict: 'missing', ratio: null }), check({ verdict: 'clear', ratio: 0.2 })];
  expect(subjectVerdict(checks, 'shores', 'Wall')).toEqual({ verdict: 'missing', used: null });
  const tight = [check({ verdict: 'tight', ratio: 0.93 }), check({ verdict: 'tight', ratio: 0.91 }), check({ verdict: 'clear', ratio: 0.98 })];
  expect(subjectVerdict(tight, 'shores', 'Wall')).toEqual({ verdict: 'tight', used: 0.93 });
  expect(subjectVerdict([check({ verdict: 'tight', ratio: null }), check({ verdict: 'clear', ratio: 0.98 })], 'shores', 'Wall')?.used).toBeNull();
});
test('its parts count with it; another thing, another station and a name that only begins alike do not', () => {
  const part = check({ subject: 'Wall, header over joist 3', verdict: 'stop', ratio: 1.2 });
  expect(subjectVerdict([part], 'shores', 'Wall')).toEqual({ verdict: 'stop', used: 1.2 });
  expect(subjectVerdict([part], 'measure', 'Wall')).toBeNull();
  expect(subjectVerdict([check({ subject: 'Wallhead' })], 'shores', 'Wall')).toBeNull();
});
test('what is counted, and what nobody knows, is no share of a limit', () => {
  expect(subjectVerdict([check({ quantity: 'count', ratio: 3, verdict: 'clear' })], 'shores', 'Wall')).toEqual({ verdict: 'clear', used: null });
  expect(subjectVerdict([check({ ratio: 2, verdict: 'missing' })], 'shores', 'Wall')).toEqual({ verdict: 'missing', used: null });
});
test('the demo’s worst hall wall by its own checks', () => {
  const { checks } = evaluate(ticketHall());
  const own = checks.filter((one) => one.station === 'shores' && one.subject === 'Hall wall, right');
  expect(own.length).toBeGreaterThan(4);
  expect(subjectVerdict(checks, 'shores', 'Hall wall, right')?.used).toBe(
    Math.max(...own.flatMap((one) => (one.quantity === 'count' ? [] : [one.ratio ?? 0]))),
  );
});
