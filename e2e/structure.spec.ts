import { accessible, check, count, expect, field, move, planOf, saved, station, test } from './job';

test.use({ demo: 'quay footbridge' });

test('the moves of two girders are walked: on the hook, set, spliced, the bent struck, and what each support carries', async ({ page, job }) => {
  expect(job).toBeTruthy();
  const elevation = page.locator('[data-sheet="Elevation"]');
  await move(page, 'm7').click();
  await expect(elevation.getByText('G1a on the hook')).toBeVisible();
  await move(page, 'm15').click();
  await expect(elevation.getByText(/Bent, girder 1 43.8/)).toBeVisible();
  await expect(page.getByText('6 of 6 supports stand')).toBeVisible();
  await move(page, 'm23').click();
  await expect(elevation.getByText('Bent, girder 1, struck')).toBeVisible();
  await expect(elevation.getByText(/Pier 1, girder 1 38.6/)).toBeVisible();
});

test('a bent that may carry less is a stop at the move that loads it most', async ({ page, job, request }) => {
  await station(page, 'Measure');
  await page.getByRole('button', { name: /^Bent, girder 1/ }).click();
  await field(page, 'May carry').fill('40');
  await saved(page);
  expect((await planOf(request, job)).structure.supports.find((one) => one.id === 't-1')!.capacity).toBe(40000);
  await move(page, 'm15').click();
  await expect(check(page, 'support.load', 'Bent, girder 1')).toHaveAttribute('data-verdict', 'stop');
});

test('a row over the moves: drawn when it is opened, and walked along', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await move(page, 'm8').click();
  await check(page, 'support.load', 'Bent, girder 1').getByRole('button').first().click();
  const over = page.getByRole('region', { name: 'Over the moves' });
  await expect(over.locator('svg circle')).not.toHaveCount(0);
  await accessible(page);
  await over.getByRole('button', { name: /^Worst at move \d+, Fix Cross-frame 3/ }).click();
  await expect(page.getByRole('heading', { name: /^Move \d+ · Fix Cross-frame 3/ })).toBeVisible();
});

test('a splice with too few pins is a stop when the hook lets go; what holds the piece is asked', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await move(page, 'm14').click();
  await field(page, 'Pins driven').fill('4');
  await move(page, 'm15').click();
  await expect(check(page, 'joint.filled').first()).toHaveAttribute('data-verdict', 'stop');
  await move(page, 'm13').click();
  await page.getByLabel('Lifted by the pick').click();
  await page.getByRole('option', { name: 'none of this plan' }).click();
  await expect(check(page, 'lift.plan')).toHaveAttribute('data-verdict', 'missing');
  await field(page, 'Held by').fill('');
  await expect(check(page, 'lift.by').or(check(page, 'lift.plan'))).toHaveAttribute('data-verdict', 'missing');
});

test('a pick of each girder: one taken out is asked for, and planned anew from the other stand', async ({ page, job, request }) => {
  await station(page, 'Picks');
  await expect(page.getByText('4 picks, in the order they were planned')).toBeVisible();
  await page.getByRole('button', { name: 'Remove the pick of G2b' }).click();
  await page.getByRole('button', { name: 'A pick of G2b' }).click();
  await saved(page);
  const { picks, moves } = await planOf(request, job);
  expect(picks.map((pick) => pick.piece)).toEqual(['g1a', 'g2a', 'g1b', 'g2b']);
  expect(moves.find((move) => move.kind === 'piece.hang' && move.beam === 'g2b')).toMatchObject({ pick: null });
  await station(page, 'Gear');
  await page.getByRole('button', { name: 'Another stand of Curlew 50' }).click();
  await expect(page.getByText('One crane at 3 stands')).toBeVisible();
  await accessible(page);
});

test('the bent struck too early is a stop that says what does not stand', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await move(page, 'm22').click();
  for (let n = 0; n < 8; n += 1) await page.getByRole('button', { name: 'Put earlier' }).click();
  await expect(
    page
      .locator('[data-sheet="Elevation"]')
      .getByText(/does not stand/)
      .first(),
  ).toBeVisible();
  await expect(check(page, 'line.stands').first()).toHaveAttribute('data-verdict', 'stop');
  // What would put it right is offered, and does.
  await page
    .getByRole('complementary', { name: 'Workings' })
    .getByRole('button', { name: /^Put move \d+, Strike Bent, girder 1, after move 27/ })
    .click();
  await expect(count(page, 'stop')).toContainText(/^0/);
  await saved(page);
});

test('the structure in space: walked through the moves, a piece picked, what is asked of it told', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await page.getByRole('group', { name: 'Drawings shown' }).first().getByRole('button', { name: 'Model' }).click();
  const model = page.getByRole('region', { name: 'Model' });
  await expect(model).toHaveAttribute('data-drawn', 'true');
  await expect(model.locator('canvas')).toBeVisible();
  const inPlace = model.getByRole('img', { name: 'pieces in place' });
  await move(page, 'm7').click();
  await expect(inPlace).toHaveAttribute('aria-label', '0 of 4 pieces in place');
  await model.getByRole('button', { name: 'Piece' }).click();
  await page.getByPlaceholder('its mark').fill('g1a');
  await page.getByRole('option', { name: 'G1a', exact: true }).click();
  await expect(model).toContainText('on the hook');
  await move(page, 'm23').click();
  await expect(inPlace).toHaveAttribute('aria-label', /^[24] of 4 pieces in place/);
  await expect(model).toContainText('in place');
  // Picked with the pointer as well: whatever is under the middle of the drawing, or nothing.
  await model.locator('canvas').click({ position: { x: 300, y: 260 } });
  await model.getByRole('button', { name: 'Turn it to the left' }).click();
  await model.getByRole('button', { name: 'Show all of it' }).click();
  await accessible(page);
});

test('the stations of a structure pass the accessibility checks', async ({ page, job }) => {
  expect(job).toBeTruthy();
  for (const name of ['Measure', 'Steel', 'Gear', 'Picks', 'Run sheet']) {
    await station(page, name);
    await accessible(page);
  }
});

test('bolts of a joint: their size says nothing of their grade', async ({ page, request, job }) => {
  await station(page, 'Steel');
  const panel = page.getByRole('complementary', { name: 'Workings' });
  await panel
    .getByRole('button', { name: /^Splice/ })
    .first()
    .click();
  await field(page, 'Bolts are this thick').fill('');
  await field(page, 'Bolts are this thick').press('Tab');
  await expect(check(page, 'joint.boltSays')).toHaveAttribute('data-verdict', 'missing');
  await check(page, 'joint.boltSays').getByRole('button').first().click();
  await expect(field(page, 'Bolts are this thick')).toBeFocused();
  await field(page, 'Bolts are this thick').fill('24');
  await field(page, 'Bolts are this thick').press('Tab');
  await expect(check(page, 'said.figure')).toHaveCount(2);
  await expect(field(page, 'Shear planes through one bolt')).toHaveValue('');
  await panel.getByRole('combobox', { name: 'Bolts are of grade' }).click();
  await page.getByRole('option', { name: '10.9' }).click();
  await field(page, 'Shear planes through one bolt').fill('2');
  await field(page, 'Shear planes through one bolt').press('Tab');
  await expect(check(page, 'said.figure')).toHaveCount(0);
  await saved(page);
  const [joint] = (await planOf(request, job)).structure.joints;
  expect(joint).toMatchObject({ bolt: { diameter: 0.024, grade: '10.9', planes: 2 } });
  expect(joint!.unsaid ?? []).toEqual([]);
});
