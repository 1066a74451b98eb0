import { quayFootbridge } from '../../../tests/demo-plan';
import { evaluate } from '../evaluate';
import { inWind } from './in-wind';

const of = (gust: number) => ({ gust, at: 0 });

test('each lift waits or may go by its own limit, the one that stops first on top', () => {
  const { checks } = evaluate(quayFootbridge(), '2026-11-28');
  const limits = checks.filter(({ id }) => id === 'lift.wind').map(({ capacity }) => capacity!);
  const rows = inWind(checks, of(limits[0]!));
  expect(rows.map(({ limit }) => limit)).toEqual([...limits].sort((a, b) => a - b));
  expect(rows.every(({ limit, may }) => may === limits[0]! <= limit!)).toBe(true);
  const over = Math.max(...limits) + 0.01;
  expect(inWind(checks, of(over)).map(({ may }) => may)).toEqual(limits.map(() => false));
  expect(inWind(checks, { unknown: 'too old', newest: null }).map(({ may }) => may)).toEqual(limits.map(() => null));
  const open = quayFootbridge();
  open.cranes[0]!.chartGust = null;
  expect(inWind(evaluate(open, '2026-11-28').checks, of(1)).map(({ may }) => may)).toEqual(limits.map(() => null));
});
