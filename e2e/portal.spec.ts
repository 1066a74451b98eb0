import { planted } from '../tests/planted';
import { stiffPortal } from '../tests/portal';
import { accessible, check, expect, field, makeJob, openJob, planOf, saved, station } from './job';
import { test } from '@playwright/test';

test('a portal: the engineer’s moment at its joints and the way its webs run, said by hand, hold it along its beam', async ({ page, request }) => {
  const job = await makeJob(
    request,
    (plan) => {
      for (const one of plan.structure.joints) one.moment = null;
      for (const one of plan.structure.pieces) delete one.webDeg;
    },
    stiffPortal(),
  );
  await openJob(page, job);
  await expect(check(page, 'frame.sideways').first()).toHaveAttribute('data-verdict', 'stop');
  await station(page, 'Steel');
  for (const name of ['n1', 'n2']) {
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
    await field(page, 'Moment it holds, filled and tight').last().fill('60');
    await field(page, 'Moment it holds, filled and tight').last().blur();
  }
  await page.getByRole('button', { name: /^C1/ }).click();
  await field(page, 'Its web runs, from east').fill('0');
  await field(page, 'Its web runs, from east').blur();
  await page.getByRole('button', { name: /^Say the same of 1 piece/ }).click();
  await saved(page);
  const { structure } = await planOf(request, job);
  expect(structure.joints.filter(({ kind }) => kind === 'onColumn').map(({ moment }) => moment)).toEqual([60e3, 60e3]);
  expect(structure.pieces.map(({ webDeg }) => webDeg)).toEqual([0, 0, undefined, undefined]);
  await accessible(page);
  await station(page, 'Run sheet');
  await expect(check(page, 'frame.sideways')).toHaveCount(0);
  await expect(check(page, 'joint.portal').first()).toHaveAttribute('data-verdict', 'clear');
  await expect(check(page, 'column.sway').first()).toContainText('about its stronger axis');
});

test('a post on a girder: without stiffeners under it a stop; with them it is gone', async ({ page, request }) => {
  const job = await makeJob(
    request,
    (plan) => {
      plan.site.standingGust = 15;
      plan.structure.loads = [{ id: 'plant', what: 'Plant', piece: 'p0', at: 2.9, force: 600e3, liftedBy: 'mobile crane' }];
      plan.moves.push({ id: 'on', kind: 'load.on', load: 'plant' });
    },
    planted(),
  );
  await openJob(page, job);
  await page.locator('[data-move="on"]').click();
  const web = check(page, 'joint.web');
  await expect(web).toContainText('P0 stands on B0');
  await expect(web).toHaveAttribute('data-verdict', 'stop');
  await station(page, 'Steel');
  await page.getByRole('button', { name: /^s0/ }).click();
  const workings = page.getByRole('complementary', { name: 'Workings' });
  await expect(field(page, 'Moment it may carry, filled').last()).toHaveValue(/20/);
  await workings.getByRole('combobox', { name: 'Web under it stiffened' }).click();
  await page.getByRole('option', { name: 'yes' }).click();
  await saved(page);
  expect((await planOf(request, job)).structure.joints.find(({ id }) => id === 's0')!.stiffened).toBe(true);
  await accessible(page);
  await page.locator('[data-move="on"]').click();
  await expect(web).toHaveCount(0);
});
