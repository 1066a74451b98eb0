import { expect, type Page } from '@playwright/test';
import { quayFootbridge } from '../tests/demo-plan';
import { accessible, check, count, field, makeJob, move, openJob, planOf, saved, station, test } from './job';

const choose = async (page: Page, label: string, value: RegExp) => {
  await page.getByRole('complementary', { name: 'Workings' }).getByRole('combobox', { name: label }).click();
  await page.getByRole('option', { name: value }).first().click();
};

test('a forecast by the hour: made up to try, pasted in earnest; its shift decides what the wind stops', async ({ page, job, request }) => {
  await station(page, 'Gear');
  await page.getByRole('button', { name: 'A made-up one, to try' }).click();
  // Nobody issued it, and nobody has said when the work is done.
  await expect(check(page, 'weather.source')).toContainText('Who issued it');
  await expect(check(page, 'weather.shift')).toContainText('In which hours');
  await field(page, 'Forecast issued by').fill('M. Aas, harbour weather desk');
  await field(page, 'Forecast issued by').blur();
  await choose(page, 'Shift begins', /15:00$/);
  await choose(page, 'Shift ends', /18:00$/);
  await expect(count(page, 'stop')).not.toContainText('0');
  await expect(check(page, 'weather.window')).toContainText('the shift has gusts of');
  await expect(page.getByText(/In the shift, 3 h, gusts up to 10\.0\sm\/s; .* may be\./)).toBeVisible();
  await accessible(page);
  await choose(page, 'Shift begins', /02:00$/);
  await choose(page, 'Shift ends', /06:00$/);
  await expect(count(page, 'stop')).toContainText('0');
  await page.getByRole('button', { name: 'Take this forecast out' }).click();
  await page.getByRole('button', { name: 'Paste a forecast' }).click();
  const box = page.getByRole('textbox', { name: /A row of headings/ });
  await box.fill('time,wind (m/s)\n2026-12-01 06:00,3');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'a mean wind is not what stops a lift' })).toBeVisible();
  await box.fill('time,gust (km/h),rain (mm),temperature (°C)\n2026-12-01 06:00,9,0,4\n2026-12-01 07:00,10.8,0,5');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText(/^2 hours from 12-01 06:00/)).toBeVisible();
  await saved(page);
  expect((await planOf(request, job)).site.forecast!.hours.map(({ gust }) => Number(gust.toFixed(3)))).toEqual([2.5, 3]);
});

test('the wind at an anemometer: what is lifted waits or may go, and an old reading is none', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Gear');
  await page.getByRole('button', { name: 'Wind at the anemometer' }).click();
  const dialog = page.getByRole('dialog', { name: 'Wind at the anemometer' });
  await expect(dialog.getByRole('status')).toContainText(/\d\.\d\sm\/s at \d\d:\d\d:\d\d, the most in ten minutes\.\s*A made-up anemometer/);
  await expect(dialog.locator('[data-wind]')).toHaveCount(1);
  const minutesAgo = (minutes: number) =>
    page.evaluate((back) => {
      const at = new Date(Date.now() - back * 60e3);
      const two = (n: number) => String(n).padStart(2, '0');
      return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())} ${two(at.getHours())}:${two(at.getMinutes())}:${two(at.getSeconds())}`;
    }, minutes);
  const paste = async (text: string) => {
    await dialog.getByRole('textbox').fill(text);
    await dialog.getByRole('button', { name: 'Read it' }).click();
  };
  await paste('time,gust\n06:00,4');
  await expect(dialog.getByRole('alert')).toContainText('What unit is the wind in?');
  await paste(`time,gust (m/s)\n${await minutesAgo(8)},7.5\n${await minutesAgo(0.3)},2`);
  await expect(dialog.getByRole('status')).toContainText(/7\.5\sm\/s/);
  await expect(dialog.locator('[data-wind="waits"]')).toContainText('TB1');
  await accessible(page);
  await paste(`time,gust (m/s)\n${await minutesAgo(0.3)},2`);
  await expect(dialog.locator('[data-wind="may"]')).toContainText('TB1');
  await paste(`time,gust (m/s)\n${await minutesAgo(6)},2`);
  await expect(dialog.getByRole('status')).toContainText('6 minutes ago: nobody knows the wind now');
  await expect(dialog.locator('[data-wind="unknown"]')).toHaveCount(1);
  await dialog.getByRole('button', { name: 'The made-up one again' }).click();
  await expect(dialog.getByRole('status')).toContainText('A made-up anemometer');
});

test('each day that lifts waits for its own go; what is recorded for one day passes no other', async ({ page, request }) => {
  const bridge = quayFootbridge();
  bridge.moves = bridge.moves.flatMap((move) => {
    const day = { c1l: ['d1', '2026-11-02'], c2l: ['d2', '2026-11-03'] }[move.id];
    return day ? [move, { id: day[0]!, kind: 'day.end' as const, on: day[1]! }] : [move];
  });
  const job = await makeJob(request, undefined, bridge);
  await openJob(page, job);
  await move(page, 't1').click();
  const go = page.locator('[data-check="hold.HP11"]');
  await expect(go).toContainText('Day 1 · 2 Nov 2026: not recorded');
  // At the first lift of the second day the record of that day alone is asked for.
  await move(page, 't3').click();
  await expect(go).toContainText('Day 2 · 3 Nov 2026: not recorded');
  const waits = page.getByRole('region', { name: 'Hold points' });
  await expect(waits.getByText('This move waits for')).toBeVisible();
  await expect(waits.getByRole('button', { name: /^HP11/ })).toHaveCount(1);
  const head = waits.getByRole('button', { name: /HP11 Go for the day, Day 2 · 3 Nov 2026/ });
  if ((await head.getAttribute('aria-expanded')) === 'false') await head.click();
  await waits.getByLabel('Passed by').fill('R. Adeyemi');
  await waits.getByLabel('On', { exact: true }).fill('2026-11-03');
  await waits.getByLabel('Evidence').fill('dry, light, crew rested, area shut and empty');
  await waits.getByLabel(/the shift of the lifts/).fill('3');
  await waits.getByLabel(/the shift of the lifts/).blur();
  await waits.getByRole('button', { name: 'Record the pass' }).click();
  await expect(go).toHaveAttribute('data-verdict', 'clear');
  await move(page, 't1').click();
  await expect(go).toHaveAttribute('data-verdict', 'missing');
  await saved(page);
  expect((await planOf(request, job)).holds.map(({ id, day }) => `${id} ${day}`)).toEqual(['HP11 d2']);
  await accessible(page);
});
