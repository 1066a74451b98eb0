import { check, count, expect, field, planOf, saved, station, test } from './job';

test('units switch at any moment and nothing typed is rounded', async ({ page, job, request }) => {
  await station(page, 'Steel');
  await field(page, 'Length').first().fill('9.0123457');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'ft lb' }).click();
  await expect(field(page, 'Length').first()).toHaveValue(/^≈29'/);
  await expect(check(page, 'piece.weight')).toContainText('2,2');
  await field(page, 'Length by drawing').fill(`29' 6 3/16"`);
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'm kg' }).click();
  await expect(field(page, 'Length').first()).toHaveValue('9.0123457');
  await page.getByRole('button', { name: 'ft lb' }).click();
  await expect(field(page, 'Length by drawing')).toHaveValue(/^29'\u00a06 3\/16"$/);
  await saved(page);
  const { length, stated } = (await planOf(request, job)).pieces[0]!;
  expect(length).toBe(9.0123457);
  expect(stated.length).toBeCloseTo(29 * 0.3048 + 6.1875 * 0.0254, 12);
});

test('the rule set changes what is tight; a threshold of one’s own is marked and can be put back', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await expect(count(page, 'tight')).toContainText('0');
  await page.getByRole('combobox', { name: 'Rule set' }).click();
  await page.getByRole('option', { name: 'US, allowable stress' }).click();
  await expect(count(page, 'tight')).toContainText('1');
  await expect(check(page, 'lift.chart')).toHaveAttribute('data-verdict', 'tight');
  await page.keyboard.press('r');
  const dialog = page.getByRole('dialog', { name: /Rules/ });
  await expect(dialog.getByLabel('Find a rule by its words or its source')).toHaveValue('');
  const row = dialog.getByRole('row', { name: /share of the chart/ });
  await expect(row).toContainText('29 CFR 1926.751');
  await row.getByRole('textbox').fill('85');
  await expect(row).toContainText('set for this job');
  await row.getByRole('textbox').fill('400');
  await expect(row.getByRole('alert')).toContainText('give 0.1 to 1');
  await row.getByRole('textbox').press('Escape');
  await page.keyboard.press('Escape');
  await expect(count(page, 'tight')).toContainText('0');
  await page.getByRole('button', { name: 'Rules and thresholds' }).click();
  // What this job has its own value of stands first; the rest is found by its words or its clause.
  await expect(dialog.getByRole('rowgroup').nth(1)).toContainText('This job’s own');
  await expect(dialog.getByRole('rowgroup').nth(1)).toContainText('share of the chart');
  await dialog.getByLabel('Find a rule by its words or its source').fill('sling angle');
  await expect(dialog.getByRole('status')).toHaveText(/^[23] of \d+ rules$/);
  await expect(dialog.getByRole('row', { name: /share of the chart/ })).toHaveCount(0);
  await dialog.getByLabel('Find a rule by its words or its source').fill('1926.751');
  await row.getByRole('button', { name: /Back to 75/ }).click();
  await expect(row).toContainText('29 CFR 1926.751');
});

test('keys, palette and single-key shortcuts', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('undo, redo');
  await page.keyboard.press('Escape');
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { name: 'Steel · TB1' })).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByRole('button', { name: 'ft lb' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('What do you want to do?').fill('move 5');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Move 5 · Sling TB1' })).toBeVisible();
});
