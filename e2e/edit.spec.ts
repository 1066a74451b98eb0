import { check, count, expect, field, planOf, reload, saved, station, test } from './job';

test('the demo opens on the lift with everything in its place', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await expect(page.getByRole('heading', { name: 'Move 7 · Lift, swing, over' })).toBeVisible();
  await expect(count(page, 'stop')).toContainText('0');
  await expect(check(page, 'lift.chart')).toContainText('1 500');
  for (const name of ['Plan', 'Elevation']) await expect(page.getByRole('region', { name })).toBeVisible();
  await expect(page.locator('[data-move]')).toHaveCount(14);
});

test('another section, found as people write it, changes weight and chart at once', async ({ page, job, request }) => {
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Section', exact: true }).click();
  await page.getByPlaceholder(/W10x88/).fill('he 400 b');
  await page.getByRole('option', { name: /HEB 400/ }).click();
  await expect(page.getByText(/HEB|1 5\d\d kg with allowance/).first()).toBeVisible();
  await expect(count(page, 'stop')).not.toContainText('0 stop');
  await station(page, 'Gear');
  await expect(check(page, 'lift.chart')).toHaveAttribute('data-verdict', 'stop');
  await saved(page);
  expect((await planOf(request, job)).pieces[0]!.section).toBe('HEB 400');
});

test('length, packing, bearing, slings, picks and boom: every verdict follows, undo and redo bring them back, reload keeps them', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Measure');
  await field(page, 'Bearing at P1').fill('60');
  await expect(check(page, 'set.bearing', 'P1')).toHaveAttribute('data-verdict', 'stop');
  await field(page, 'Bearing at P1').fill('225');
  await expect(check(page, 'set.bearing', 'P1')).toHaveAttribute('data-verdict', 'clear');
  await page.keyboard.press('Enter');

  await station(page, 'Steel');
  await field(page, 'Length').first().fill('9.1');
  await expect(check(page, 'piece.weight')).toContainText('1 029 kg');
  await page.keyboard.press('Enter');
  await field(page, 'Weight along it').fill('60');
  await expect(count(page, 'stop')).not.toContainText('0');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+z');
  await expect(count(page, 'stop')).toContainText('0');
  await page.keyboard.press('Control+Shift+z');
  await expect(count(page, 'stop')).not.toContainText('0');
  await page.getByRole('button', { name: 'Undo' }).click();

  await station(page, 'Picks');
  await field(page, 'Left leg').fill('2.2');
  await expect(check(page, 'rigging.tilt')).toHaveAttribute('data-verdict', 'stop');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+z');
  await field(page, 'Left end to pick').fill('4.2');
  await expect(check(page, 'rigging.closes').or(check(page, 'rigging.tilt'))).toHaveAttribute('data-verdict', 'stop');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+z');
  await field(page, 'Boom').fill('11.2');
  await page.keyboard.press('Enter');
  await station(page, 'Gear');
  await expect(check(page, 'lift.boomReach')).toContainText('cannot reach');
  await page.keyboard.press('Control+z');
  await field(page, 'Boom').fill('18.5');
  await page.keyboard.press('Enter');
  await expect(check(page, 'lift.chart')).toContainText('1 560 kg');
  await saved(page);
  await reload(page);
  await expect(check(page, 'lift.chart')).toContainText('1 560 kg');
  await station(page, 'Gear');
  await expect(field(page, 'Boom')).toHaveValue('18.5');
});

test('an edit made the moment before a reload is not lost', async ({ page, job, request }) => {
  await station(page, 'Picks');
  await field(page, 'Left end to pick').fill('2.15');
  await reload(page);
  await station(page, 'Picks');
  await expect(field(page, 'Left end to pick')).toHaveValue('2.15');
  await saved(page);
  expect((await planOf(request, job)).picks[0]!.left).toBe(2.15);
});

test('what cannot be read says why and changes nothing', async ({ page, job, request }) => {
  await station(page, 'Steel');
  const length = field(page, 'Length');
  for (const [text, words] of [
    ['nine', 'is not a length'],
    ['-4', 'give more than 0 m'],
    ['', 'Nothing is written'],
    ['9 stone', 'is not a unit of length'],
    ['9,180', 'read two ways'],
  ] as const) {
    await length.fill(text);
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
    await expect(check(page, 'piece.weight')).toContainText('1 020 kg');
  }
  await page.getByRole('button', { name: '9.18 m', exact: true }).click();
  await expect(length).toHaveValue('9.18');
  await page.keyboard.press('Control+z');
  await expect(length).toHaveValue('9');
  await length.fill('zzz');
  await page.keyboard.press('Escape');
  await expect(length).toHaveValue('9');
  await saved(page);
  expect((await planOf(request, job)).pieces[0]!.length).toBe(9);
});

test('a bare ton is asked about', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Steel');
  await field(page, 'Bare weight, stated').fill('0.9 ton');
  await expect(page.getByRole('alert').filter({ hasText: 'Which ton?' })).toBeVisible();
  await page.getByRole('button', { name: /short ton/ }).click();
  await expect(check(page, 'statement.mass')).toContainText('the drawing says 816 kg');
});

test('two figures for one thing raise a warning with both', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Steel');
  await field(page, 'Bare weight, stated').fill('900');
  await expect(check(page, 'statement.mass')).toHaveAttribute('data-verdict', 'tight');
  await expect(check(page, 'statement.mass')).toContainText('section and length make 829 kg, the drawing says 900 kg, 8.6 % apart');
});

test('a cleared figure is missing, never clear', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Picks');
  await field(page, 'Rating of one leg').fill('');
  await expect(check(page, 'rigging.tension')).toHaveAttribute('data-verdict', 'missing');
  await expect(count(page, 'missing')).toContainText('1');
});

test('a check opens to its working, formula, numbers and source', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Picks');
  const tension = check(page, 'rigging.tension');
  await tension.getByRole('button').click();
  await expect(tension).toContainText('T₁ = W·cos θ₂ / sin(θ₁+θ₂)');
  await expect(tension).toContainText('10.0 kN');
  await expect(tension).toContainText('Rated capacity on the sling’s tag');
});
