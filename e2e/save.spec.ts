import { readFile } from 'node:fs/promises';
import { expect, field, makeJob, open, openJob, planOf, saved, station, test } from './job';

test('two tabs cannot overwrite each other silently: take theirs, keep a copy, or save over', async ({ page, job, request, context }) => {
  const other = await context.newPage();
  await openJob(other, job);
  await station(other, 'Picks');
  await station(page, 'Picks');
  await field(other, 'Left end to pick').fill('2.1');
  await saved(other);
  await field(page, 'Right end to pick').fill('2.2');
  const banner = page.getByRole('alertdialog');
  await expect(banner).toContainText('Revision 2 was saved somewhere else');
  expect((await planOf(request, job)).picks[0]).toMatchObject({ left: 2.1, right: 2.4 });
  await expect(field(page, 'Right end to pick')).toHaveValue('2.2');
  await banner.getByRole('button', { name: 'Drop mine, take theirs' }).click();
  await expect(field(page, 'Left end to pick')).toHaveValue('2.1');
  await saved(page);

  await field(other, 'Left end to pick').fill('2.3');
  await saved(other);
  await field(page, 'Right end to pick').fill('2.5');
  await page.getByRole('button', { name: 'Save mine over theirs' }).click();
  await saved(page);
  expect((await planOf(request, job)).picks[0]).toMatchObject({ left: 2.1, right: 2.5 });

  await field(other, 'Left end to pick').fill('1.9');
  await other.getByRole('button', { name: 'Keep mine as a copy' }).click();
  await expect(other.getByRole('banner')).toContainText('(my copy)');
  expect((await planOf(request, job)).picks[0]!.left).toBe(2.1);
});

test('edits made while a slow save is on its way are saved after it, not against it', async ({ page, job, request }) => {
  await station(page, 'Picks');
  await page.route('**/plan', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1200));
    await route.continue();
  });
  await field(page, 'Left end to pick').fill('2.31');
  await page.waitForTimeout(700);
  await field(page, 'Right end to pick').fill('2.32');
  await page.waitForTimeout(700);
  await field(page, 'Left end to pick').fill('2.33');
  await expect.poll(async () => (await planOf(request, job)).picks[0]!.left).toBe(2.33);
  await saved(page);
  expect((await planOf(request, job)).picks[0]).toMatchObject({ left: 2.33, right: 2.32 });
});

test('with the server away it says so, keeps the work, and saves when it is back', async ({ page, job, request }) => {
  await station(page, 'Picks');
  await page.route('**/plan', (route) => route.abort());
  await field(page, 'Left end to pick').fill('2.05');
  await expect(page.locator('[data-saving]')).toContainText('Not saved');
  await page.unroute('**/plan');
  await saved(page);
  expect((await planOf(request, job)).picks[0]!.left).toBe(2.05);
});

test('a job is saved as a plan file and opened again as a new job', async ({ page, job }) => {
  expect(job).toBeTruthy();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Save as a plan file' }).click()]);
  expect(download.suggestedFilename()).toBe('Luggage hall, transfer beam.trestle.json');
  const text = await readFile(await download.path(), 'utf8');
  await open(page, '/');
  await page.getByLabel('Plan file').setInputFiles({ name: 'mine.trestle.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expect(page.getByRole('heading', { name: 'Move 7 · Lift, swing, over' })).toBeVisible();
  expect(page.url()).not.toContain(job);
});

test('a plan file with an unknown field, of a later version, with a negative weight, or cut short: named, and nothing made', async ({ page, request }) => {
  await open(page, '/');
  const rows = await page.getByRole('row').count();
  const good = JSON.stringify(await planOf(request, await makeJob(request)));
  for (const [text, words] of [
    [good.replace('"format"', '"colour":"red","format"'), '“colour” is not a field'],
    [good.replace(/"version":\d+/, '"version":7'), 'This plan is version 7'],
    [good.replace(/"mass":14\b/, '"mass":-14'), 'is -14 kg: give 0 kg or more'],
    [good.slice(0, 900), 'not JSON'],
  ] as const) {
    await page.getByLabel('Plan file').setInputFiles({ name: 'bad.trestle.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    await expect(page.getByRole('alert').filter({ hasText: 'bad.trestle.json was not opened' })).toContainText(words);
  }
  await page.reload();
  expect(await page.getByRole('row').count()).toBeLessThanOrEqual(rows + 20);
  await expect(page.getByText('bad.trestle.json')).toHaveCount(0);
});

test('the sheets open as PDF', async ({ page, job }) => {
  await page.getByRole('button', { name: 'Print' }).click();
  for (const name of ['Pick card, A4', 'Pick card, Letter', 'Run sheet, A4', 'Run sheet, Letter'])
    await expect(page.getByRole('menuitem', { name })).toBeVisible();
  const [popup] = await Promise.all([page.waitForEvent('popup'), page.getByRole('menuitem', { name: 'Pick card, Letter' }).click()]);
  expect(popup.url()).toContain(`/api/jobs/${job}/sheets/pick-card?paper=letter`);
  for (const sheet of ['pick-card', 'run-sheet'])
    for (const paper of ['a4', 'letter']) {
      const response = await page.request.get(`/api/jobs/${job}/sheets/${sheet}?paper=${paper}`, { maxRetries: 3 });
      expect(response.headers()['content-type']).toBe('application/pdf');
      expect((await response.body()).subarray(0, 5).toString()).toBe('%PDF-');
    }
  expect((await page.request.get(`/api/jobs/${job}/sheets/pick-card?paper=a0`, { maxRetries: 3 })).status()).toBe(422);
});

test('the whole set is laid out in sight and handed over as one file; what the plan has nothing for is not offered', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await page.getByRole('button', { name: 'Print' }).click();
  await expect(page.getByRole('menuitem', { name: 'Connections, A4' })).toHaveCount(0);
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name: 'Lift plan, the whole set, A4' }).click()]);
  expect(file.suggestedFilename()).toMatch(/^lift-plan-rev-\d+\.pdf$/);
  expect((await readFile((await file.path())!)).subarray(0, 5).toString()).toBe('%PDF-');
});
