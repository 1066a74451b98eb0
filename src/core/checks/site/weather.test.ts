import { demoPlan } from '../../../../tests/demo-plan';
import { madeUpHours } from '../../weather/made-up';
import { afresh } from '../../document/keep';
import { applyCommand } from '../../edit/apply';
import { openPlan } from '../../document/open';
import { evaluate } from '../../evaluate/index';
import type { Plan } from '../../document/schema';

const TODAY = '2026-11-29';
type Site = Plan['site'];
/** The luggage hall with a forecast; its lift stops at some 9 m/s. */
const forecast = (edit: (site: Site, hours: NonNullable<Site['forecast']>['hours']) => void = () => {}): Plan => {
  const plan = demoPlan();
  const hours = madeUpHours('2026-12-01').map((one) => ({ ...one, gust: 3 }));
  plan.site.forecast = { source: 'M. Aas, harbour weather desk', issued: '2026-11-29', hours };
  plan.site.shift = { from: '2026-12-01T06:00', to: '2026-12-01T12:00' };
  edit(plan.site, hours);
  return plan;
};
const of = (plan: Plan, id: string) => evaluate(plan, TODAY).checks.filter((check) => check.id === id);

test('a calm shift: the plan stays as it was, and the hours that keep every limit are told', () => {
  const plan = forecast((site) => void (site.forecastGust = 3));
  expect(openPlan(structuredClone(plan))).toMatchObject({ ok: true });
  expect(evaluate(plan, TODAY).counts).toMatchObject({ stop: 0, missing: 1 });
  // Nobody has said go for that day yet.
  expect(of(plan, 'hold.HP11')).toMatchObject([{ verdict: 'missing' }]);
  expect(of(plan, 'weather.window')).toMatchObject([{ verdict: 'clear', demand: 6, capacity: 48 }]);
});

test('without a forecast by the hour nothing is asked of it', () => {
  expect(evaluate(demoPlan(), TODAY).checks.filter(({ id }) => id.startsWith('weather.'))).toEqual([]);
});

test.each<[string, string, 'stop' | 'missing' | 'tight', (site: Site, hours: NonNullable<Site['forecast']>['hours']) => void]>([
  ['nobody issued it', 'weather.source', 'missing', (site) => (site.forecast!.source = '')],
  ['it was issued tomorrow', 'weather.source', 'missing', (site) => (site.forecast!.issued = '2026-11-30')],
  ['no shift', 'weather.shift', 'missing', (site) => (site.shift = null)],
  ['a shift that ends before it begins', 'weather.shift', 'missing', (site) => (site.shift = { from: '2026-12-01T12:00', to: '2026-12-01T06:00' })],
  ['a shift past its end', 'weather.shift', 'missing', (site) => (site.shift = { from: '2026-12-02T20:00', to: '2026-12-03T04:00' })],
  ['an hour of it left out', 'weather.shift', 'missing', (_, hours) => void hours.splice(8, 1)],
  ['an hour twice in place of another', 'weather.shift', 'missing', (_, hours) => void (hours[8]!.at = hours[7]!.at)],
  ['hours out of order', 'weather.shift', 'missing', (_, hours) => void hours.reverse()],
  ['a day that is none', 'weather.shift', 'missing', (site) => (site.shift = { from: '2026-12-00T06:00', to: '2026-13-01T06:00' })],
  ['a gust over the limit of the lift', 'lift.wind', 'stop', (_, hours) => (hours[8]!.gust = 14)],
  ['a gust over the limit of the lift', 'weather.window', 'stop', (_, hours) => (hours[8]!.gust = 14)],
  ['more than was typed', 'weather.gust', 'tight', (site, hours) => void ((site.forecastGust = 3), (hours[8]!.gust = 5))],
  ['a cloudburst', 'weather.window', 'stop', (_, hours) => (hours[7]!.rain = 0.012)],
  ['bitter cold', 'weather.window', 'stop', (_, hours) => (hours[11]!.temp = 250)],
  ['no word of rain', 'weather.window', 'missing', (_, hours) => (hours[7]!.rain = null)],
  ['no word of the temperature', 'weather.window', 'missing', (_, hours) => (hours[7]!.temp = null)],
])('%s: %s, %s', (_, id, verdict, edit) => {
  expect(of(forecast(edit), id).map((check) => check.verdict)).toContain(verdict);
});

test('what blows outside the shift stops nothing, and cuts the run', () => {
  const plan = forecast((site, hours) => void ((hours[5]!.gust = 30), (hours[12]!.gust = 30), (site.forecastGust = 3)));
  expect(of(plan, 'weather.window')).toMatchObject([{ verdict: 'clear', demand: 6, capacity: 6 }]);
  expect(of(plan, 'lift.wind')[0]!.verdict).toBe('clear');
});

test('nothing typed: the forecast serves; typed higher: that governs', () => {
  const none = forecast((site, hours) => void ((site.forecastGust = null), (hours[8]!.gust = 5)));
  expect(of(none, 'lift.wind')[0]!.demand).toBe(5);
  expect(of(none, 'weather.gust')).toEqual([]);
  const higher = forecast((site, hours) => void ((site.forecastGust = 7), (hours[8]!.gust = 5)));
  expect(of(higher, 'lift.wind')[0]!.demand).toBe(7);
  expect(of(higher, 'weather.gust')).toEqual([]);
});

test('edited, it is answered as read afresh; a forecast without the shift takes it out', () => {
  const plan = forecast();
  evaluate(plan, TODAY);
  const edited = { ...plan, site: { ...plan.site, shift: { from: '2026-12-01T13:00', to: '2026-12-01T18:00' } } };
  expect(evaluate(edited, TODAY).checks).toEqual(afresh(() => evaluate(structuredClone(edited), TODAY).checks));
  const other = applyCommand(plan, { name: 'setForecastHours', args: { forecast: { ...plan.site.forecast!, hours: madeUpHours('2027-02-01') } } });
  expect(other.ok && other.plan.site.shift).toBeNull();
  const gone = applyCommand(plan, { name: 'setForecastHours', args: { forecast: null } });
  expect(gone.ok && gone.plan.site).toMatchObject({ forecast: null, shift: null });
  const shift = applyCommand(plan, { name: 'setShift', args: { shift: null } });
  expect(shift.ok && shift.plan.site.shift).toBeNull();
});
