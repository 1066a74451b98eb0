import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { check, expect, planOf, saved, station, test } from './job';

async function transport(page: Page) {
  await station(page, 'Steel');
  const list = page.getByRole('button', { name: 'Open the piece list' });
  const transport = page.getByRole('button', { name: 'Transport', exact: true });
  // The station is read when it is first opened: one or the other stands there then.
  await expect(list.or(transport).first()).toBeVisible();
  if (await list.isVisible()) await list.click();
  await transport.click();
  return page.getByRole('dialog', { name: 'Transport' });
}
async function choose(page: Page, name: string, option: string) {
  await page.getByRole('combobox', { name }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

test('a long girder: truck, steered axles, turn, permit and day, each asked and judged', async ({ page, job, request }) => {
  const dialog = await transport(page);
  await expect(check(page, 'steel.turn', 'EG1').first()).toHaveAttribute('data-verdict', 'clear');
  await dialog.getByRole('button', { name: /^Extending trailer/ }).click();
  await choose(page, 'Rear axles', 'are fixed');
  await expect(dialog.locator('[data-check="steel.turn"]')).toHaveAttribute('data-verdict', 'stop');
  await expect(dialog.locator('[data-check="steel.turn"]')).toContainText('With steered rear axles it would need 7.20 m');
  await expect(dialog.locator('[data-check="steel.permit"]')).toContainText('asks for steered rear axles');
  await choose(page, 'Rear axles', 'not known');
  await expect(dialog.locator('[data-check="steel.turn"]')).toHaveAttribute('data-verdict', 'missing');
  await choose(page, 'Rear axles', 'can be steered');
  await dialog.getByLabel('EG1: arrives on').fill('2026-12-08');
  await expect(dialog.locator('[data-check="steel.permit"]')).toContainText('permit 4471 ended on 4 Dec 2026');
  await choose(page, 'EG1: permit', 'none');
  await expect(dialog.locator('[data-check="steel.permit"]')).toHaveAttribute('data-verdict', 'missing');
  await choose(page, 'EG1: comes on', 'Yard lorry');
  await expect(dialog.locator('[data-check="steel.truck"]')).toHaveAttribute('data-verdict', 'stop');
  await expect(dialog.getByText('On no truck: EG1 (1), EG1 (2).')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await saved(page);
  expect((await planOf(request, job)).members.find((one) => one.mark === 'EG1')!.travel).toEqual({ truck: 'tr-yard', permit: null, on: '2026-12-08' });
});

test('a truck, a turn and a permit are added, used and taken away again', async ({ page, job, request }) => {
  const dialog = await transport(page);
  await dialog.getByRole('button', { name: 'Truck', exact: true }).click();
  await dialog.getByRole('button', { name: /^Truck 3/ }).click();
  for (const [name, value] of [
    ['Deck length', '18'],
    ['Past the deck, behind', '1.5'],
    ['May carry', '30000'],
    ['Deck ahead of the king pin', '1.2'],
    ['King pin to rear axles', '12'],
  ] as const)
    await dialog.getByLabel(name, { exact: true }).fill(value);
  await choose(page, 'EG1: comes on', 'Truck 3');
  await expect(dialog.locator('[data-check="steel.turn"]')).toHaveAttribute('data-verdict', 'missing');
  await dialog.getByRole('button', { name: 'Permit', exact: true }).click();
  await choose(page, 'EG1: permit', 'asked for');
  await expect(dialog.locator('[data-check="steel.permit"]')).toContainText('Has the permit for EG1 been given?');
  await dialog.getByRole('button', { name: 'Turn', exact: true }).click();
  await expect(dialog.getByText('radius not measured, width not measured')).toBeVisible();
  await dialog.getByRole('button', { name: 'Remove Truck 3' }).click();
  await dialog.getByRole('button', { name: 'Remove Permit asked for' }).click();
  await dialog.getByRole('button', { name: 'Remove Turn 3' }).click();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await saved(page);
  const { members, transport: now } = await planOf(request, job);
  expect(now.trucks).toHaveLength(2);
  expect(members.find((one) => one.mark === 'EG1')!.travel).toMatchObject({ truck: null, permit: null });
});

test('trips by truck: bundled, then told again when a truck changes', async ({ page, job }) => {
  expect(job).toBeTruthy();
  const dialog = await transport(page);
  await dialog.getByRole('button', { name: 'Bundle 3 pieces' }).click();
  await expect(dialog.locator('[data-trips="Extending trailer"]')).toHaveText('1');
  await expect(dialog.getByText('Extending trailer, load 1')).toBeVisible();
  await dialog.getByRole('button', { name: /^Extending trailer/ }).click();
  await dialog.getByLabel('May carry').fill('2000');
  await expect(dialog.locator('[data-trips="Extending trailer"]')).toHaveText('not bundled');
  await dialog.getByRole('button', { name: 'Bundle 3 pieces' }).click();
  await expect(dialog.locator('[data-trips="Extending trailer"]')).toHaveText('2');
  const { violations } = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(violations.map((one) => `${one.id}: ${one.nodes[0]?.html}`)).toEqual([]);
});

test('one mark by itself: its truck, permit and day', async ({ page, job, request }) => {
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Open the piece list' }).click();
  await page.getByRole('button', { name: 'All about EG1' }).click();
  const dialog = page.getByRole('dialog');
  await choose(page, 'Transport permit', 'none');
  await dialog.getByLabel('Arrives on').fill('2026-11-20');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(check(page, 'steel.permit', 'EG1')).toHaveAttribute('data-verdict', 'missing');
  await saved(page);
  expect((await planOf(request, job)).members.find((one) => one.mark === 'EG1')!.travel).toEqual({ truck: 'tr-ext', permit: null, on: '2026-11-20' });
});
