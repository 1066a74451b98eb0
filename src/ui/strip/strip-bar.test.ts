import { runsOf } from './strip-bar';

test('moves one after another that stand alike are one run; clear ones are none', () => {
  expect(runsOf(['clear', 'stop', 'stop', 'clear', 'stop', 'tight', 'missing', 'missing'])).toEqual([
    { from: 1, count: 2, verdict: 'stop' },
    { from: 4, count: 1, verdict: 'stop' },
    { from: 5, count: 1, verdict: 'tight' },
    { from: 6, count: 2, verdict: 'missing' },
  ]);
  expect(runsOf([])).toEqual([]);
});
