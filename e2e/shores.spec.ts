import AxeBuilder from '@axe-core/playwright';
import { check, expect, field, planOf, saved, station, test } from './job';

test.use({ demo: 'ticket hall' });

test.beforeEach(async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Shores');
});

test('a wall moved back costs more on its studs, and the room for the lifts follows', async ({ page, job, request }) => {
  await page.getByRole('button', { name: /^Hall wall, left 0.90 m/ }).click();
  await field(page, 'Back from the line').fill('0.5');
  await expect(check(page, 'shore.room')).toHaveAttribute('data-verdict', 'stop');
  await field(page, 'Back from the line').fill('1.2');
  await expect(check(page, 'shore.room')).toHaveAttribute('data-verdict', 'clear');
  await saved(page);
  expect((await planOf(request, job)).shoring.walls[0]!.setback).toBe(1.2);
});

test('a stud left out is a stop, and so is bracing taken away', async ({ page }) => {
  await page.getByRole('button', { name: /^Hall wall, right/ }).click();
  await field(page, 'Studs left out, from the left').fill('3');
  await expect(check(page, 'shore.everyJoist', 'Hall wall, right')).toHaveAttribute('data-verdict', 'stop');
  await field(page, 'Studs left out, from the left').fill('');
  await field(page, 'Rows of bracing across').fill('0');
  await expect(check(page, 'shore.stud', 'Hall wall, right')).not.toHaveAttribute('data-verdict', 'clear');
});

test('the strike is drawn step by step; the wrong order is a stop at its step', async ({ page }) => {
  await expect(page.locator('[data-strike]')).toHaveCount(5);
  await page.getByRole('slider').fill('4');
  await expect(page.getByText(/Drawn: after step 4/)).toBeVisible();
  await expect(check(page, 'shore.sag')).toHaveAttribute('data-verdict', 'clear');
  // Struck one wall after the other, the last four studs take more than they may.
  await page.getByRole('button', { name: 'Step 10 after the one before' }).click();
  await expect(check(page, 'shore.strike', 'step 5')).toHaveAttribute('data-verdict', 'stop');
  await field(page, 'Wedged onto the beam first').fill('70');
  await expect(check(page, 'shore.strike', 'step 5')).not.toHaveAttribute('data-verdict', 'stop');
});

test('a wall is dragged on the plan; one undo brings it back', async ({ page, job, request }) => {
  const band = page.locator('[data-ref="shore:sh1"]').first();
  const box = (await band.boundingBox())!;
  const from = { x: box.x + box.width * 0.3, y: box.y + box.height / 2 };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x, from.y - 12, { steps: 4 });
  await page.mouse.up();
  await saved(page);
  expect((await planOf(request, job)).shoring.walls[0]!.setback).toBeGreaterThan(0.95);
  await page.getByRole('button', { name: /Undo/ }).click();
  await saved(page);
  expect((await planOf(request, job)).shoring.walls[0]!.setback).toBe(0.9);
});

test('arrangements side by side: one is taken; the cut list says what the yard lacks', async ({ page, job, request }) => {
  await page.getByRole('button', { name: 'Compare arrangements' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.locator('[data-arrangement="walls 0.6 m back"]')).toHaveAttribute('data-verdict', 'stop');
  await expect(dialog.locator('[data-arrangement="the left side alone"]')).toHaveAttribute('data-verdict', 'stop');
  const { violations } = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(violations.map((one) => one.id)).toEqual([]);
  await dialog.locator('[data-arrangement="walls 1.2 m back"]').getByRole('button', { name: 'Set them so' }).click();
  await saved(page);
  expect((await planOf(request, job)).shoring.walls.every((wall) => wall.setback === 1.2)).toBe(true);
  await page.getByRole('button', { name: /^Cut list and yard/ }).click();
  await expect(page.getByRole('button', { name: /the yard has it/ })).toBeVisible();
  await field(page, 'No.').first().fill('12');
  await expect(page.getByRole('table', { name: 'Cut list' })).toContainText('2 of 10');
});

test('needles and props are added and asked about; a storey taken out takes its shores with it', async ({ page, job, request }) => {
  await page.getByRole('button', { name: 'Needles and props' }).click();
  await expect(check(page, 'shore.arch', 'Needles 1')).toHaveAttribute('data-verdict', 'missing');
  await page.getByRole('button', { name: /^Needles 1/ }).click();
  await field(page, 'Masonry over them').fill('1.1');
  await expect(check(page, 'shore.arch', 'Needles 1')).toHaveAttribute('data-verdict', 'clear');
  await page.getByRole('button', { name: 'Remove Offices' }).click();
  await saved(page);
  const { shoring } = await planOf(request, job);
  expect(shoring.storeys).toHaveLength(1);
  expect(shoring.walls.map((wall) => wall.id)).toEqual(['sh1', 'sh2']);
});

test('a bent for new steel: asked for its loads, then it holds or tips', async ({ page }) => {
  await page.getByRole('button', { name: 'Bent or posts' }).click();
  await expect(check(page, 'shore.header', 'Bent 1')).toHaveAttribute('data-verdict', 'missing');
  await page.getByRole('button', { name: /^Bent 1/ }).click();
  await page.getByRole('button', { name: 'Load', exact: true }).click();
  await field(page, 'Brings').fill('60');
  await expect(check(page, 'shore.header', 'Bent 1')).toHaveAttribute('data-verdict', 'clear');
  await field(page, 'At').fill('0.1');
  await field(page, 'Post 1 at').fill('2.5');
  await expect(check(page, 'shore.header', 'Bent 1')).toHaveAttribute('data-verdict', 'stop');
});

test('Shores has no accessibility fault', async ({ page }) => {
  for (const name of [/^Offices/, /^Hall wall, left 0.90/, /^Cut list/]) await page.getByRole('button', { name }).click();
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
  expect(violations.map((one) => `${one.id}: ${one.nodes[0]?.html}`)).toEqual([]);
});
