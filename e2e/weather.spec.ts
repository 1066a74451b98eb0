import { expect, type Page } from '@playwright/test';
import { accessible, check, count, field, planOf, saved, station, test } from './job';

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
