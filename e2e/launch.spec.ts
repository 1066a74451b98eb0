import { expect } from '@playwright/test';
import { pushed } from '../tests/pushed';
import { accessible, check, count, field, makeJob, move, open, openJob, planOf, saved, station, test } from './job';

test('girders pushed over rollers stand from a new job, and what nobody has said opens its own field', async ({ page, request }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Link span');
  await dialog.getByRole('combobox', { name: /What is built/ }).click();
  await page.getByRole('option', { name: 'Girders pushed over rollers' }).click();
  for (const [label, value] of Object.entries({
    'Girder lines side by side': '2',
    'From line to line': '3 m',
    Spans: '30 m',
    'Runs past its end bearings': '0.5 m',
    'Level of the bearings': '6 m',
    'Web, deep': '900 mm',
    'Web, thick': '18 mm',
    'Flanges, wide': '450 mm',
    'Flanges, thick': '30 mm',
    'Grade of the steel': 'S355',
    'Splices at': '10 m; 20 m',
    'Cross-frames at': '0 m; 7.5 m; 15 m; 22.5 m; 30 m',
    'Nose, long': '18 m',
  }))
    await dialog.getByRole('textbox', { name: label, exact: true }).fill(value);
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText('Steel5 missing');
  expect((await planOf(request, page.url().split('/').pop()!)).structure.pieces).toHaveLength(6);
  await expect(count(page, 'stop')).toContainText('0');
  await station(page, 'Picks');
  await expect(page.getByRole('complementary', { name: 'Workings' })).toContainText('One launch over rollers');
  const asked = check(page, 'launch.brake');
  await asked.first().getByRole('button').first().click();
  await expect(field(page, 'Held back by, anchored to')).toBeFocused();
  await field(page, 'Held back by, anchored to').fill('a winch on an anchor block');
  await field(page, 'Held back by, anchored to').blur();
  await saved(page);
  const plan = await planOf(request, page.url().split('/').pop()!);
  expect(plan.launches).toMatchObject([{ travel: 30.5, brake: { what: 'a winch on an anchor block', carries: null }, nose: { length: 18 } }]);
  await accessible(page);
});

test('a launch that tips is a stop at its push, and weight on its rear end mends it', async ({ page, request }) => {
  const id = await makeJob(
    request,
    () => undefined,
    pushed((launch) => void Object.assign(launch.nose!, { mass: 4000, rise: 0.6 })),
  );
  await openJob(page, id);
  await expect(count(page, 'stop')).toContainText('2');
  await station(page, 'Picks');
  await expect(check(page, 'launch.factor').first()).toContainText('wanted');
  await field(page, 'Weight on its rear end, each line').fill('9000 kg');
  await field(page, 'Weight on its rear end, each line').blur();
  await expect(count(page, 'stop')).toContainText('0');
  await page.getByRole('button', { name: 'Over its travel' }).click();
  await expect(page.getByText(/Least .* against tipping forward, after 12\.00\sm; 1\.5 are wanted\./).first()).toBeVisible();
  await accessible(page);
  // On the board it is where it has come to, and each roller says what it carries.
  await move(page, 'm15').click();
  await expect(page.getByText(/Roller on pier 2 \d/).first()).toBeVisible();
  await expect(page.getByText(/4 of 4 supports stand .* on rollers/)).toBeVisible();
  await field(page, 'Pushed to, of its travel').fill('31');
  await field(page, 'Pushed to, of its travel').blur();
  await expect(count(page, 'stop')).not.toContainText('0');
});
