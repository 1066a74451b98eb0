import { phrase, q } from '../calc/work';
import type { Finding } from './findings';
import type { Verdict } from './check';
import { describe as words } from './describe';
import { told } from './build';

const say = (finding: Finding, verdict: Verdict, system: 'us' | 'metric' = 'us') => words({ finding, verdict, subject: 'TB1' }, system).replace(/\u00a0/g, ' ');

test('how far a hook reaches is told to the inch; where it stops the lift, as finely as it is known', () => {
  const room: Finding = { code: 'lift.headRoom', needed: 10.003, available: 10, radius: 12, over: null };
  expect(say(room, 'tight')).toBe(`The hook of TB1 must be 32' 10" up; under the boom tip it can reach 32' 10".`);
  expect(say(room, 'stop')).toBe(`The hook of TB1 must be 32' 9 13/16" up; under the boom tip it can reach 32' 9 11/16".`);
  const own = told(phrase`${q(10.003, 'reach')} and ${q(10.003, 'length')}`);
  expect(say(own, 'clear')).toBe(`32' 10" and 32' 9 13/16"`);
  expect(say(own, 'stop')).toBe(`32' 9 13/16" and 32' 9 13/16"`);
  expect(say(room, 'clear', 'metric')).toContain('10.00 m');
});

test('a day stands in a sentence with its month in letters, what is no day as it was written', () => {
  expect(say(told(['Inspected on 2026-10-01, good until 2027-04-01.']), 'clear')).toBe('Inspected on 1 Oct 2026, good until 1 Apr 2027.');
  expect(say({ code: 'missing', question: 'It is of 2026-02-30 or 12026-01-01?' }, 'missing')).toBe('It is of 2026-02-30 or 12026-01-01?');
});
