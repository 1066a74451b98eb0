import AxeBuilder from '@axe-core/playwright';
import { check, expect, planOf, saved, station, test } from './job';

test('a stepped girder: weighed and balanced by its parts, asked about what nobody gave', async ({ page, job, request }) => {
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Open the piece list' }).click();
  await expect(page.getByLabel('Section of EG2')).toHaveValue('stepped eaves girder');
  await page.getByRole('button', { name: 'All about EG2' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.locator('[data-part]')).toHaveCount(6);
  await expect(dialog.locator('[data-weight="calculated"]')).toContainText('1 290 kg');
  await expect(dialog.getByLabel('Balances at, from the left end')).toHaveAttribute('placeholder', /7\.96\sm, by its parts/);
  await dialog.getByText('working', { exact: true }).click();
  await expect(dialog.getByText('x = Σ m·x / Σ m')).toBeVisible();
  await dialog.getByRole('button', { name: 'Remove part 2' }).click();
  await expect(check(page, 'steel.weight', 'EG2')).toContainText('Nothing is given of EG2 from 5.20 m to 11.20 m');
  await dialog.getByRole('button', { name: 'Part', exact: true }).click();
  const part = dialog.getByRole('group', { name: 'Part 6' });
  await part.getByLabel('Section', { exact: true }).fill('Kasten 450');
  await expect(part.getByText('in no table here: give its weight')).toBeVisible();
  await part.getByLabel('Weight of one').fill('492');
  await part.getByLabel('From', { exact: true }).fill('5.2');
  await part.getByLabel('To', { exact: true }).fill('11.2');
  await expect(check(page, 'steel.weight', 'EG2')).toHaveCount(0);
  const { violations } = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(violations.map((one) => `${one.id}: ${one.nodes[0]?.html}`)).toEqual([]);
  await dialog.getByRole('button', { name: 'Close' }).click();
  await saved(page);
  const girder = (await planOf(request, job)).members.find((one) => one.mark === 'EG2')!;
  expect(girder.make).toMatchObject({ kind: 'parts', parts: expect.arrayContaining([expect.objectContaining({ mass: 492, from: 5.2, to: 11.2 })]) as unknown });
});

test('a listed section made into parts starts from itself', async ({ page, job, request }) => {
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Open the piece list' }).click();
  await page.getByRole('button', { name: 'All about EG1' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('combobox', { name: 'Kind' }).click();
  await page.getByRole('option', { name: 'several parts, stepped or put together' }).click();
  await expect(dialog.locator('[data-part]')).toHaveCount(1);
  await dialog.getByLabel('What it is').fill('girder with its bracing');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await saved(page);
  expect((await planOf(request, job)).members.find((one) => one.mark === 'EG1')!.make).toMatchObject({
    kind: 'parts',
    what: 'girder with its bracing',
    parts: [{ section: 'UB 457x191x67', from: 0, to: 16.4 }],
  });
});
