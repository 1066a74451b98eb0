import { gable, gableAsOne } from '../tests/gable';
import { check, expect, field, makeJob, openJob, planOf, saved, station } from './job';
import { test } from '@playwright/test';

test('a pair of rafters slung too low turns over, and hangs where its picks are brought in', async ({ page, request }) => {
  const job = await makeJob(request, () => undefined, gableAsOne(2));
  await openJob(page, job);
  await station(page, 'Picks');
  await expect(check(page, 'rigging.topHeavy').first()).toHaveAttribute('data-verdict', 'stop');
  await expect(check(page, 'rigging.topHeavy').first()).toContainText('they turn over');
  for (const name of ['Left end to pick', 'Right end to pick']) {
    await field(page, name).fill('4');
    await field(page, name).blur();
  }
  await saved(page);
  await expect(check(page, 'rigging.topHeavy').first()).toHaveAttribute('data-verdict', 'clear');
  expect((await planOf(request, job)).picks[0]).toMatchObject({ left: 4, right: 4 });
});

test('two rafters press their ridge and their columns apart: a splice that takes too little is stopped until the engineer says more', async ({
  page,
  request,
}) => {
  const job = await makeJob(
    request,
    (plan) => {
      plan.structure.joints.find(({ id }) => id === 'rg')!.shear = 8e3;
    },
    gable(),
  );
  await openJob(page, job);
  await station(page, 'Run sheet');
  await expect(check(page, 'joint.strength').first()).toHaveAttribute('data-verdict', 'stop');
  await station(page, 'Steel');
  await page.getByRole('button', { name: /^rg.*splice/ }).click();
  await field(page, 'Shear it may carry, filled').last().fill('200');
  await field(page, 'Shear it may carry, filled').last().blur();
  await saved(page);
  await station(page, 'Run sheet');
  await expect(check(page, 'joint.bolts').first()).toContainText('pressed outwards');
  await expect(check(page, 'beam.pressed').first()).toHaveAttribute('data-verdict', 'clear');
});
