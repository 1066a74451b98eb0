import type { Page } from '@playwright/test';
import { check, drag, expect, field, planOf, saved, standing, station, test } from './job';

const grip = (page: Page, key: string, sheet = 'Plan') => page.locator(`svg[data-sheet="${sheet}"] [data-ref="${key}"]`).first();

async function middle(page: Page, key: string, sheet = 'Plan') {
  const box = await standing(grip(page, key, sheet));
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** The crane's body: the label and outriggers share its key, so take a place inside the carrier. */
async function carrier(page: Page) {
  const box = await standing(page.locator('svg[data-sheet="Plan"] g[data-ref="stand:s1"] polygon').nth(4));
  return { x: box.x + 12, y: box.y + box.height / 2 };
}

test('the crane is dragged on the plan; the radius follows and one undo brings it back', async ({ page, job, request }) => {
  await drag(page, await carrier(page), { x: 60, y: 0 });
  await expect(page.getByRole('heading', { name: /Gear/ })).toBeVisible();
  await expect(check(page, 'lift.offChart').or(check(page, 'lift.chart')).or(check(page, 'lift.boomReach'))).not.toContainText('10.23');
  await saved(page);
  const moved = (await planOf(request, job)).stands[0]!.at;
  expect(moved.x).toBeGreaterThan(15);
  expect(Math.abs(moved.x * 20 - Math.round(moved.x * 20))).toBeLessThan(1e-6);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'East')).toHaveValue('13.4');
});

test('arrow keys nudge what is chosen, with Shift ten times as far', async ({ page, job }) => {
  expect(job).toBeTruthy();
  const at = await carrier(page);
  await page.mouse.click(at.x, at.y);
  await page.locator('svg[data-sheet="Plan"]').focus();
  await page.keyboard.press('ArrowRight');
  await expect(field(page, 'East')).toHaveValue('13.45');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(field(page, 'North')).toHaveValue('-2.7');
});

test('the truck and a wall are dragged too', async ({ page, job, request }) => {
  const truck = await middle(page, 'start:tb1');
  await drag(page, truck, { x: 0, y: 30 });
  await saved(page);
  expect((await planOf(request, job)).pieces[0]!.start.y).toBeLessThan(3);
  await drag(page, await middle(page, 'obstruction:o1'), { x: -30, y: 0 });
  await saved(page);
  expect((await planOf(request, job)).site.obstructions[0]!.at.x).toBeLessThan(4);
});

test('a pick point is slid along the piece in the elevation', async ({ page, job, request }) => {
  await drag(page, await middle(page, 'pickPoint:k1:left', 'Elevation'), { x: 24, y: 0 });
  await expect(page.getByRole('heading', { name: 'Pick · TB1' })).toBeVisible();
  await saved(page);
  expect((await planOf(request, job)).picks[0]!.left).toBeGreaterThan(2.6);
});

test('drawings zoom, pan, fit, measure, stand alone and turn', async ({ page, job }) => {
  expect(job).toBeTruthy();
  const seat = grip(page, 'bearing:p1');
  const width = async () => (await seat.boundingBox())!.width;
  const first = (await standing(seat)).width;
  await page.getByRole('button', { name: 'Larger, plan' }).click();
  await expect.poll(width).toBeGreaterThan(first * 1.15);
  await page.getByRole('button', { name: 'Fit plan' }).click();
  await expect.poll(width).toBeCloseTo(first, 0);
  await page.mouse.move(400, 330);
  await page.mouse.wheel(0, -300);
  await expect.poll(width).toBeGreaterThan(first * 1.1);
  await page.getByRole('button', { name: 'Fit plan' }).click();
  await page.getByRole('button', { name: 'Measure on plan' }).click();
  const [a, b] = [await middle(page, 'bearing:p1'), await middle(page, 'bearing:p2')];
  await drag(page, a, { x: b.x - a.x, y: 0 });
  await expect(
    page
      .locator('svg[data-sheet="Plan"]')
      .getByText(/^8\.[78]\d\sm$/)
      .last(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Measure on plan' }).click();
  await page.getByRole('button', { name: 'Turn: square to the boom' }).click();
  await expect(page.getByRole('button', { name: 'Turn: square to the beam' })).toBeVisible();
  await page.getByRole('group', { name: 'Drawings shown' }).getByRole('button', { name: 'Elevation' }).click();
  await expect(page.locator('svg[data-sheet="Plan"]')).toHaveCount(0);
});

test('clicking a post opens its figures', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await grip(page, 'bearing:p2').click();
  await expect(page.getByRole('heading', { name: 'Measure', exact: true })).toBeVisible();
  await station(page, 'Measure');
  await expect(check(page, 'set.postLoad', 'P2')).toBeVisible();
});
