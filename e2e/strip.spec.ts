import { accessible, check, count, expect, field, move, saved, test } from './job';

test('the arrow keys step the moment, and the board and the words follow', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: /Move 8 · Land/ })).toBeVisible();
  await expect(page.getByText('TB1 landed, hook still holding, 0 + 0 bolts')).toBeVisible();
  await page.keyboard.press('Home');
  await expect(page.getByRole('heading', { name: 'Before work' })).toBeVisible();
  await expect(page.getByText('No bearing is ready')).toBeVisible();
  await page.keyboard.press('End');
  await expect(page.getByText(/TB1 set: P1 4\.91\skN, P2 5\.09\skN, tightened/)).toBeVisible();
});

test('reordering into a bad order stops the right move, with its reason', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await move(page, 'm2').click();
  for (let i = 0; i < 6; i += 1) await page.getByRole('button', { name: 'Put later' }).click();
  await expect(move(page, 'm8')).toHaveAttribute('data-verdict', 'stop');
  await expect(count(page, 'stop')).toContainText('1');
  await move(page, 'm8').click();
  await expect(check(page, 'move.order')).toContainText('Too early: not yet done is that P2 is ready.');
});

test('a card is dragged to its new place', async ({ page, job }) => {
  expect(job).toBeTruthy();
  const from = (await move(page, 'm11').boundingBox())!;
  const to = (await move(page, 'm9').boundingBox())!;
  await page.mouse.move(from.x + 30, from.y + 40);
  await page.mouse.down();
  await page.mouse.move(from.x, from.y + 40, { steps: 5 });
  await page.mouse.move(to.x + 20, to.y + 40, { steps: 8 });
  await page.mouse.up();
  await expect(move(page, 'm11')).toHaveAttribute('data-verdict', 'stop');
  await expect(check(page, 'release.bolts')).toContainText('no bolt at P1 and no bolt at P2');
});

test('a card is moved from the keyboard alone', async ({ page, job }) => {
  expect(job).toBeTruthy();
  const told = page.locator('[id^="DndLiveRegion"]');
  await move(page, 'm13').focus();
  await page.keyboard.press('Space');
  await expect(told).toContainText('Tighten, grout');
  await expect(async () => {
    await page.keyboard.press('ArrowLeft');
    await expect(told).toContainText('Tighten, grout is over Plumb and level', { timeout: 1000 });
  }).toPass();
  await page.keyboard.press('Space');
  await expect(move(page, 'm13')).toHaveAttribute('data-verdict', 'stop');
});

test('one bolt at P2 stops the hook; a second lets it go', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await move(page, 'm10').click();
  await field(page, 'Bolts put in').fill('1');
  await expect(move(page, 'm11')).toHaveAttribute('data-verdict', 'stop');
  await move(page, 'm11').click();
  await expect(check(page, 'release.bolts')).toContainText('one bolt at P2. 2 an end are needed.');
  await move(page, 'm10').click();
  await field(page, 'Bolts put in').fill('2');
  await expect(move(page, 'm11')).toHaveAttribute('data-verdict', 'clear');
});

test('moves are added, noted and removed; a plan that never lets go is not finished', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  await page.getByRole('menuitem', { name: /in your own words/ }).click();
  await field(page, 'What is done').fill('Clear the hall');
  await expect(page.getByRole('button', { name: /Move 8: Clear the hall/ })).toBeVisible();
  await page.getByRole('button', { name: 'Remove move 8' }).click();
  await expect(page.locator('[data-move]')).toHaveCount(14);
  await move(page, 'm11').click();
  await page.getByRole('button', { name: 'Remove move 11' }).click();
  await page.keyboard.press('Home');
  await expect(check(page, 'moves.complete')).toHaveAttribute('data-verdict', 'missing');
  await saved(page);
});

test.describe('many moves', () => {
  test.use({ demo: 'passenger canopy' });

  test('those in sight are drawn, any is found by its words or along the bar, and those not clear stand alone', async ({ page, job }) => {
    expect(job).toBeTruthy();
    const cards = page.locator('[data-move]');
    expect(await cards.count()).toBeLessThan(60);
    await page.getByLabel('Find a move').fill('plumb c-a2');
    await expect(cards).toHaveCount(1);
    await cards.first().click();
    await expect(cards.first()).toHaveAttribute('aria-current', 'step');
    await page.getByLabel('Find a move').fill('');
    // The move stays in sight among all of them.
    await expect(page.locator('[data-move][aria-current="step"]')).toContainText('Plumb C-A2');
    await page.getByRole('button', { name: /^Not clear: / }).click();
    for (const verdict of await cards.evaluateAll((list) => list.map((one) => one.getAttribute('data-verdict')))) expect(verdict).toBe('tight');
    await page.getByRole('button', { name: /^Not clear: / }).click();
    const bar = (await page.locator('[data-strip-bar]').boundingBox())!;
    await page.mouse.click(bar.x + bar.width - 2, bar.y + bar.height / 2);
    await expect(page.locator('[data-move][aria-current="step"]')).toContainText('358');
    await page.keyboard.press('ArrowLeft');
    await expect(page.locator('[data-move][aria-current="step"]')).toContainText('357');
    // One card a piece: its moves as ticks, how the worst of them stands told.
    await page.mouse.click(bar.x + 1, bar.y + bar.height / 2);
    await expect(page.locator('[data-move][aria-current="step"]')).toHaveCount(1);
    await page.getByRole('button', { name: 'By piece' }).click();
    const column = page.getByRole('button', { name: /^C-A1: \d+ moves, from move \d+\./ });
    await expect(column).toBeVisible();
    await accessible(page);
    // Over each card the steel up to it; drawn along the pictures the moment follows.
    const bays = page.locator('[data-bay]');
    expect(await bays.count()).toBe(await page.locator('[data-fold]').count());
    const [from, to] = [(await bays.nth(1).boundingBox())!, (await bays.nth(6).boundingBox())!];
    await page.mouse.move(from.x + 20, from.y + 10);
    await page.mouse.down();
    await expect(page.locator('[data-fold]').nth(1)).toHaveAttribute('aria-current', 'step');
    await page.mouse.move(to.x + 20, to.y + 10, { steps: 10 });
    await page.mouse.up();
    await expect(page.locator('[data-fold][aria-current="step"]')).toHaveCount(1);
    await expect(page.locator('[data-fold]').nth(1)).not.toHaveAttribute('aria-current', 'step');
    await column.click();
    await expect(column).toHaveAttribute('aria-current', 'step');
    await expect(page.getByRole('heading', { name: /^Move \d+ · / })).toBeVisible();
    await page.getByRole('button', { name: 'By piece' }).click();
    // One card a bay: its columns, and what spans to the next row.
    await page.getByRole('button', { name: 'By bay' }).click();
    await expect(page.getByRole('button', { name: /^Base A: \d+ moves, from move \d+\./ })).toBeVisible();
    const bay = page.getByRole('button', { name: /^Base A – Base B: \d+ moves, from move \d+\./ });
    await bay.click();
    await expect(bay).toHaveAttribute('aria-current', 'step');
    await accessible(page);
    await page.getByRole('button', { name: 'By piece' }).click();
    await expect(column).toBeVisible();
    await page.getByRole('button', { name: 'By piece' }).click();
    await accessible(page);
  });

  test('a day is ended where the crew goes home: the strip folds by day, and its cards are one paper', async ({ page, job }) => {
    const bar = (await page.locator('[data-strip-bar]').boundingBox())!;
    await page.mouse.click(bar.x + 1, bar.y + bar.height / 2);
    await page.getByLabel('Find a move').fill('north apron');
    await page.locator('[data-move]').last().click();
    await page.getByLabel('Find a move').fill('');
    await expect(page.getByRole('button', { name: 'By day' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Move', exact: true }).click();
    await page.getByRole('menuitem', { name: 'End of the day' }).click();
    await expect(page.getByRole('heading', { name: /^Move \d+ · End of day 1$/ })).toBeVisible();
    await page.getByLabel('Day that ends').fill('2026-12-01');
    await page.getByLabel('Day that ends').blur();
    await page.getByRole('button', { name: 'By day' }).click();
    const first = page.getByRole('button', { name: /^Day 1 · 1 Dec 2026: \d+ moves, from move 1\./ });
    await expect(first).toBeVisible();
    await expect(page.getByRole('button', { name: /^Day 2: \d+ moves/ })).toBeVisible();
    await accessible(page);
    await first.click();
    await page.getByRole('button', { name: 'Print' }).click();
    await expect(page.getByRole('menuitem', { name: 'Day 1: its pick cards, A4' })).toBeVisible();
    await page.keyboard.press('Escape');
    await saved(page);
    const sheet = (query: string) => page.request.get(`/api/jobs/${job}/sheets/${query}`, { maxRetries: 3 });
    expect((await sheet('run-sheet?paper=a4&day=9')).status()).toBe(422);
    expect((await sheet('steel?paper=a4&day=1')).status()).toBe(422);
    const card = await sheet('run-sheet?paper=a4&day=2');
    expect(card.headers()['content-disposition']).toContain('run-sheet-day-2-rev-');
  });
});
