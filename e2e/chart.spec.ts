import type { Page } from '@playwright/test';
import { check, count, expect, field, planOf, saved, station, test } from './job';

const dialog = (page: Page) => page.getByRole('dialog', { name: /Chart of/ });

async function openChart(page: Page) {
  await station(page, 'Gear');
  await page.getByRole('button', { name: 'Paste or import' }).click();
}

test('a pasted chart is read, used, and undone as one step', async ({ page, job, request }) => {
  await openChart(page);
  await page.getByLabel('Table, as').fill('radius m;10;15;20\n4;12,5;11;9\n8;8,2;7,9;7\n12;;5,1;4,6');
  await expect(dialog(page).getByText('In which unit are the capacities?').first()).toBeVisible();
  await dialog(page).getByRole('button', { name: 'metric tonnes' }).click();
  await expect(dialog(page)).toContainText('3 radii, 3 booms read.');
  await page.getByRole('button', { name: 'Use this chart' }).click();
  await expect(check(page, 'lift.chart')).toContainText('5 100 kg');
  await saved(page);
  expect((await planOf(request, job)).cranes[0]!.chart!.capacity[2]).toEqual([null, 5100, 4600]);
  await page.keyboard.press('Control+z');
  await expect(check(page, 'lift.chart')).toContainText('1 500 kg');
});

test('text in a cell, a hole and a bare ton are each named with the remedy, and nothing changes', async ({ page, job, request }) => {
  await openChart(page);
  const text = page.getByLabel('Table, as');
  await text.fill('m / kg,10,15\n4,9000,8000\n8,abc,7000');
  await expect(dialog(page)).toContainText('Row 3, column 2');
  await expect(dialog(page)).toContainText('“abc” at radius 8, boom 10 is not a capacity');
  await expect(page.getByRole('button', { name: 'Use this chart' })).toBeDisabled();
  await text.fill('m / kg,10,15\n4,9000,8000\n8,,7000\n12,3000,2900');
  await expect(dialog(page)).toContainText('Radius 8, boom 10 is blank between two figures');
  await expect(page.getByRole('button', { name: 'Use this chart' })).toBeEnabled();
  await text.fill('ft / tons,30,50\n10,9,8');
  await expect(dialog(page)).toContainText('Which?');
  await expect(page.getByRole('button', { name: 'Use this chart' })).toBeDisabled();
  await page.getByRole('button', { name: /short ton, 2000 lb/ }).click();
  await expect(page.getByRole('button', { name: 'Use this chart' })).toBeEnabled();
  await page.getByRole('button', { name: 'Close' }).click();
  expect((await planOf(request, job)).cranes[0]!.chart!.radii).toHaveLength(13);
});

test('a CSV file is imported', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await openChart(page);
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'chart.csv', mimeType: 'text/csv', buffer: Buffer.from('\ufeffradius m / capacity kg,12,16\r\n3,9000,8000\r\n14,2000,1800\r\n') });
  await page.getByRole('button', { name: 'Use this chart' }).click();
  await expect(field(page, 'Chart comes from')).toHaveValue(/chart\.csv/);
  await expect(check(page, 'lift.chart')).toContainText('1 800 kg');
});

test('a cell is typed in; emptied it is a blank and the pick off the chart', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Gear');
  const cell = page.getByRole('textbox', { name: 'Capacity at radius 12.0, boom 15.0' });
  await cell.fill('1100');
  await expect(check(page, 'lift.chart')).toHaveAttribute('data-verdict', 'stop');
  await cell.fill('twelve');
  await expect(page.getByRole('alert').filter({ hasText: 'boom 15.00 m: “twelve”' })).toBeVisible();
  await cell.fill('');
  await expect(check(page, 'lift.offChart')).toContainText('blank at radius 12.00 m, boom 15.00 m');
  await expect(count(page, 'stop')).toContainText('1');
});

test('a second chart for the rear of the crane: what it is for is asked, then each is read on its own side', async ({ page, job, request }) => {
  await station(page, 'Gear');
  await page.getByRole('button', { name: 'A chart for another set-up or side' }).click();
  await expect(check(page, 'lift.duty').first()).toHaveAttribute('data-verdict', 'missing');
  await page.getByRole('button', { name: /^Chart 2 no figures/ }).click();
  await page.getByRole('button', { name: 'Paste or import' }).last().click();
  await page.getByLabel('Table, as').fill('radius m / capacity kg,10,15,20\n2,9000,9000,8000\n14,1450,1450,1440');
  await page.getByRole('button', { name: 'Use this chart' }).click();
  const both = async (label: string, own: string, second: string) => {
    await field(page, label).nth(0).fill(own);
    await field(page, label).nth(1).fill(second);
  };
  await both('Boom off the front, from', '90', '0');
  await both('Boom off the front, up to', '180', '180');
  await field(page, 'Chart’s base, front to rear').nth(1).fill('2.5');
  await field(page, 'Chart’s base, side to side').nth(1).fill('2.5');
  await saved(page);
  const plan = await planOf(request, job);
  expect(plan.duties).toMatchObject([{ crane: plan.cranes[0]!.id, chartOver: { from: 0, to: 180 }, chartBase: { length: 2.5, width: 2.5 } }]);
  await page.getByRole('button', { name: 'Drawn' }).first().click();
  await expect(page.getByText('A line for each boom')).toBeVisible();
  await field(page, 'Counterweight on it here').fill('1200');
  await expect(check(page, 'lift.duty').first()).toContainText('counterweight');
});
