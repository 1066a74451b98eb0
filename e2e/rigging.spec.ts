import type { Page } from '@playwright/test';
import { quayFootbridge, vehicleRamp } from '../tests/demo-plan';
import { newTower } from '../src/core/document/new-tower';
import type { Plan } from '../src/core/document/schema';
import { accessible, check, expect, field, makeJob, openJob, planOf, saved, station, test } from './job';

const workings = (page: Page) => page.getByRole('complementary', { name: 'Workings' });
async function choose(page: Page, label: string, option: string) {
  await workings(page).getByRole('combobox', { name: label, exact: true }).click();
  await page.getByRole('option', { name: option }).click();
}

test('a spreader is asked about until its plate and slings are said, and is on the hook then; it is picked up below its ends', async ({
  page,
  job,
  request,
}) => {
  await station(page, 'Picks');
  await choose(page, 'Hangs by', 'a spreader, slings above and below');
  await expect(check(page, 'rigging.tension')).toContainText('How long is the spreader of TB1');
  for (const [label, value] of [
    ['Left sling', '1.5'],
    ['Right sling', '1.5'],
    ['From sling to sling', '5'],
    ['Spreader weighs', '160'],
    ['Its plate says', '6000'],
    ['Each sling above it', '3.5'],
    ['Rating of one sling above', '4000'],
  ] as const) {
    await field(page, label).fill(value);
    await field(page, label).press('Tab');
  }
  await expect(check(page, 'rigging.bar')).toHaveAttribute('data-verdict', 'clear');
  // Its picks are 4.2 m apart, the spreader 5 m long.
  await expect(check(page, 'rigging.plumb')).toHaveAttribute('data-verdict', 'stop');
  await page.getByRole('button', { name: 'Where is it best picked up?' }).click();
  await page.getByRole('button', { name: 'Pick it up there' }).click();
  await expect(check(page, 'rigging.plumb')).toHaveAttribute('data-verdict', 'clear');
  await accessible(page);
  await saved(page);
  const [pick] = (await planOf(request, job)).picks;
  expect(pick!.rig).toMatchObject({ kind: 'spreader', length: 5, own: 160, rating: 6000, top: 3.5, topRating: 4000 });
  expect(9 - pick!.left - pick!.right).toBeCloseTo(5, 1);
});

test('slings of the yard govern where their tag says less, and out of date they are a stop', async ({ page, job, request }) => {
  await station(page, 'Gear');
  await page.getByRole('button', { name: 'Lifting gear' }).click();
  await page.getByRole('button', { name: /^slings slings, used 0 times/ }).click();
  await field(page, 'Number on it').fill('Set 9');
  await field(page, 'Its tag says').fill('900');
  await field(page, 'Inspected by').fill('P. Varga');
  await field(page, 'Inspected on').fill('2025-01-15');
  await station(page, 'Picks');
  await expect(check(page, 'gear.named')).toHaveAttribute('data-verdict', 'missing');
  await choose(page, 'Take from the yard', 'Set 9, slings');
  await expect(check(page, 'gear.rating')).toContainText('its tag in the yard 900 kg');
  await station(page, 'Gear');
  await expect(check(page, 'gear.inspected', 'Set 9')).toHaveAttribute('data-verdict', 'stop');
  await accessible(page);
  await saved(page);
  const plan = await planOf(request, job);
  expect(plan.picks[0]!.gear).toEqual([plan.yard![0]!.id]);
});

test('where the operator does not see the load it is asked who signals; a named person who sees it settles it', async ({ page, request }) => {
  // A wall of 8 m between the crane and the place where the beam lies.
  const job = await makeJob(request, ({ site, stands, pieces }) => {
    const [from, to] = [stands[0]!.at, pieces[0]!.start];
    const at = { x: from.x + (to.x - from.x) * 0.6, y: from.y + (to.y - from.y) * 0.6 };
    const azimuthDeg = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI + 90;
    site.obstructions = [{ id: 'gable', name: 'the gable', at, length: 4, width: 0.3, azimuthDeg, height: 8 }];
  });
  await openJob(page, job);
  await station(page, 'Gear');
  await expect(check(page, 'lift.sight')).toContainText('the gable is in between. Who signals, and from where?');
  await page.getByRole('button', { name: 'Signals', exact: true }).click();
  await page.getByRole('button', { name: /^Signal person/ }).click();
  await field(page, 'Signals').fill('T. Nakata');
  await field(page, 'Eyes at level').fill('9');
  const [wall] = (await planOf(request, job)).site.obstructions;
  // From a platform over the wall both sides of it are seen.
  await field(page, 'Stands, east').fill(String(wall!.at.x));
  await field(page, 'Stands, north').fill(String(wall!.at.y));
  await expect(check(page, 'lift.sight')).toContainText('signalled by T. Nakata');
  await expect(check(page, 'lift.sight')).toHaveAttribute('data-verdict', 'clear');
  await accessible(page);
  await saved(page);
  expect((await planOf(request, job)).site.signallers).toMatchObject([{ name: 'T. Nakata', eye: 9 }]);
});

test('how the slings hold it, how it lies and who holds its tag lines are asked, and settle what they are asked for', async ({ page, request }) => {
  const job = await makeJob(request, ({ picks, pieces }) => {
    picks[0]!.hitch = null;
    picks[0]!.tags = null;
    pieces[0]!.start.onSide = null;
  });
  await openJob(page, job);
  await station(page, 'Picks');
  for (const id of ['pick.hitch', 'pick.lies', 'pick.tags']) await expect(check(page, id)).toHaveAttribute('data-verdict', 'missing');
  await choose(page, 'Slings hold it', 'in a basket round it');
  await choose(page, 'Slings are of', 'wire rope');
  await field(page, 'Rope, diameter').fill('16');
  await field(page, 'Bends round, diameter').fill('80');
  await choose(page, 'Corners padded', 'no: bare corners');
  await expect(check(page, 'rigging.edges')).toHaveAttribute('data-verdict', 'stop');
  await choose(page, 'Corners padded', 'yes');
  await expect(check(page, 'rigging.edges')).toHaveCount(0);
  await expect(check(page, 'rigging.slides')).toContainText('they slide together');
  await choose(page, 'Slings hold it', 'choked round it');
  await expect(check(page, 'rigging.slides')).toHaveCount(0);
  await choose(page, 'Slings hold it', 'shackled to lugs or holes');
  await field(page, 'One lug may carry').fill('2000');
  await expect(check(page, 'rigging.held')).toHaveAttribute('data-verdict', 'clear');
  await field(page, 'Tag lines').fill('2');
  await field(page, 'Tag lines').press('Tab');
  await field(page, 'Held by').fill('T. Brandt');
  await expect(check(page, 'pick.tags')).toContainText('held by T. Brandt');
  await choose(page, 'It lies', 'on its side: rolled upright before the lift');
  await field(page, 'Rolling it led by').fill('A. Ferreira');
  await expect(check(page, 'turn.over')).toContainText('What holds it back from there on');
  await field(page, 'Held back over centre by').fill('a lever hoist to a block');
  await field(page, 'Timber under its edge may take').fill('60');
  for (const id of ['turn.over', 'turn.edge', 'turn.bending']) await expect(check(page, id)).toHaveAttribute('data-verdict', 'clear');
  await accessible(page);
  await saved(page);
  const plan = await planOf(request, job);
  expect(plan.picks[0]).toMatchObject({
    hitch: { kind: 'lugs', carries: 2000 },
    tags: { lines: 2, by: 'T. Brandt' },
    roll: { by: 'A. Ferreira', edgeCarries: 60000 },
  });
  expect(plan.pieces[0]!.start.onSide).toBe(true);
});

test('a crane on tracks is asked for the width of one, and never for mats', async ({ page, job, request }) => {
  await station(page, 'Gear');
  await choose(page, 'Stands on', 'two crawler tracks');
  await expect(check(page, 'stand.ground').first()).toContainText('How wide is one track');
  await expect(field(page, 'Mat under each outrigger')).toHaveCount(0);
  await field(page, 'Width of one track').fill('0.7');
  await expect(check(page, 'stand.ground').first()).toContainText('track presses the ground');
  await expect(check(page, 'stand.assembled').first()).toContainText('come with its boom whole');
  await choose(page, 'Its boom', 'is put together on site');
  await expect(check(page, 'stand.boomRoom').first()).toContainText('Which way does the boom');
  await field(page, 'Boom lies out, from east').first().fill('200');
  await field(page, 'Put together under').first().fill('S. Aune');
  await field(page, 'Boom held, pins out, by').first().fill('blocks under each section');
  await expect(check(page, 'stand.director')).toHaveCount(0);
  await expect(check(page, 'stand.boomHeld')).toHaveCount(0);
  await expect(check(page, 'stand.boomRoom').first()).not.toHaveAttribute('data-verdict', 'missing');
  await accessible(page);
  await saved(page);
  expect((await planOf(request, job)).cranes[0]!.tracks).toEqual({ shoe: 0.7 });
});

test('a crane on a mast is asked for its base and its jib, and for nothing of a mobile one', async ({ page, job, request }) => {
  await station(page, 'Gear');
  await choose(page, 'Stands on', 'a mast, its jib level');
  await expect(field(page, 'Mat under each outrigger')).toHaveCount(0);
  await expect(field(page, 'Foot pin behind slew centre')).toHaveCount(0);
  await expect(check(page, 'stand.ground')).toHaveCount(0);
  await expect(check(page, 'crane.size').first()).toContainText('its jib is above the ground');
  // A question opens its own field.
  await check(page, 'stand.mast').filter({ hasText: 'What comes down at one leg' }).first().click();
  await expect(field(page, 'One leg brings down, at most')).toBeFocused();
  await field(page, 'One leg brings down, at most').fill('450');
  await field(page, 'A leg may bring down').fill('600');
  await field(page, 'One leg pulls up, at most').fill('0');
  await field(page, 'Mast stands on').fill('Base block B1');
  await field(page, 'Base worked out by').fill('P. Novak');
  await workings(page).getByLabel('Base worked out on').fill('2026-10-01');
  await field(page, 'Taken down by').fill('a mobile crane from the quay');
  await choose(page, 'Jib, when nobody works it', 'turns with the wind');
  await field(page, 'Jib above ground').fill('22');
  await expect(check(page, 'stand.mast')).toHaveAttribute('data-verdict', 'clear');
  await expect(check(page, 'stand.takenDown')).toHaveAttribute('data-verdict', 'clear');
  await expect(check(page, 'stand.slewsFree')).toHaveAttribute('data-verdict', 'clear');
  await accessible(page);
  await saved(page);
  const [crane] = (await planOf(request, job)).cranes;
  expect(crane).toMatchObject({ pivotHeight: 22, pivotBack: 0, tracks: null, tower: { corner: 450000, carries: 600000, uplift: 0, slewsFree: true } });
});

test('a trench as deep as it is near is a stop until somebody says that it holds; with no power line drawn it is asked who looked', async ({
  page,
  job,
  request,
}) => {
  await station(page, 'Gear');
  await workings(page)
    .getByRole('button', { name: /^Cable duct trench/ })
    .first()
    .click();
  await expect(check(page, 'stand.edge')).toHaveAttribute('data-verdict', 'clear');
  await field(page, 'It is deep').fill('4.5 m');
  await expect(check(page, 'stand.edge')).toHaveAttribute('data-verdict', 'stop');
  await field(page, 'That its edge holds, worked out by').fill('M. Lindqvist');
  await workings(page).getByLabel('Edge worked out on').fill('2026-11-02');
  await expect(check(page, 'stand.edge')).toHaveAttribute('data-verdict', 'tight');
  await expect(check(page, 'site.walked')).toHaveCount(0);
  await workings(page).getByRole('button', { name: 'Remove 11 kV quay feeder' }).click();
  await expect(check(page, 'site.walked')).toHaveAttribute('data-verdict', 'missing');
  await field(page, 'Looked for power lines').fill('R. Adeyemi');
  await workings(page).getByLabel('Looked on').fill('2026-10-19');
  await expect(check(page, 'site.walked')).toHaveAttribute('data-verdict', 'clear');
  await accessible(page);
  await saved(page);
  const { site } = await planOf(request, job);
  expect(site.walked).toEqual({ by: 'R. Adeyemi', on: '2026-10-19' });
  expect(site.zones![0]).toMatchObject({ kind: 'pit', depth: 4.5, edge: { by: 'M. Lindqvist', on: '2026-11-02' } });
});

test('a mast higher than it may stand free is a stop until something holds it, and that is asked for and has to stand', async ({ page, request }) => {
  const job = await makeJob(
    request,
    (plan) => void Object.assign(plan.cranes[0]!, { pivotBack: 0, pivotHeight: 22, tower: { ...newTower(), slewsFree: true }, cab: null, parts: [] }),
    quayFootbridge(),
  );
  await openJob(page, job);
  await station(page, 'Gear');
  const free = check(page, 'stand.mastFree').first();
  await expect(free).toHaveAttribute('data-verdict', 'missing');
  await free.click();
  await expect(field(page, 'Mast may stand free').first()).toBeFocused();
  await field(page, 'Mast may stand free').first().fill('18 m');
  await expect(free).toHaveAttribute('data-verdict', 'stop');
  await workings(page).getByRole('button', { name: 'What holds the mast' }).first().click();
  await field(page, 'Holds the mast at').fill('12 m');
  await expect(check(page, 'stand.mastFree').and(page.locator('[data-verdict="stop"]'))).toHaveCount(0);
  await expect(check(page, 'stand.mastHeld').filter({ hasText: 'With how much does the mast' }).first()).toBeVisible();
  await field(page, 'Mast brings there').fill('80 kN');
  await field(page, 'It may carry there').fill('120 kN');
  await field(page, 'Its fixing worked out by').fill('P. Novak');
  await expect(check(page, 'stand.mastHeld').filter({ hasText: 'Which pieces' }).first()).toBeVisible();
  await workings(page).getByRole('button', { name: 'Tie 1 is fixed to' }).click();
  await page.getByLabel('Find a piece').first().waitFor();
  await page.getByRole('option').first().click();
  await expect(check(page, 'stand.mastHeld').filter({ hasText: 'does not stand when the crane is set up' }).first()).toBeVisible();
  await accessible(page);
  await saved(page);
  const [hold] = (await planOf(request, job)).cranes[0]!.tower!.heldAt!;
  expect(hold).toMatchObject({ name: 'Tie 1', level: 12, brings: 80e3, carries: 120e3, by: 'P. Novak' });
  expect(hold!.pieces).toHaveLength(1);
  // A question about the second of two opens the field of the second.
  await workings(page).getByRole('button', { name: 'What holds the mast' }).first().click();
  await field(page, 'Holds the mast at').nth(1).fill('16 m');
  await field(page, 'Mast brings there').nth(1).fill('60 kN');
  await check(page, 'stand.mastHeld').filter({ hasText: 'What may be pushed and pulled at Tie 2' }).first().click();
  await expect(field(page, 'It may carry there').nth(1)).toBeFocused();
  await workings(page).getByRole('button', { name: 'Remove Tie 2' }).click();
  await workings(page)
    .getByRole('button', { name: /^Tie 1 is not fixed to/ })
    .click();
  await expect(check(page, 'stand.mastHeld').filter({ hasText: 'Which pieces' }).first()).toBeVisible();
  await workings(page).getByRole('button', { name: 'Remove Tie 1' }).click();
  await expect(check(page, 'stand.mastFree').first()).toHaveAttribute('data-verdict', 'stop');
});

test('steel laid before its lift: its laydown asks what its ground takes and what timber is under it, and too little is a stop', async ({ page, request }) => {
  const job = await makeJob(
    request,
    (plan) => {
      plan.structure.pieces.find(({ id }) => id === 'g1-1')!.lies!.comes = 'before';
    },
    vehicleRamp(),
  );
  await openJob(page, job);
  await station(page, 'Gear');
  await workings(page).getByRole('button', { name: 'Zone', exact: true }).click();
  await workings(page).getByRole('button', { name: /^Zone/ }).last().click();
  await choose(page, 'It is', 'a laydown');
  await field(page, 'Zone').fill('South laydown');
  const { lies } = (await planOf(request, job)).structure.pieces.find(({ id }) => id === 'g1-1')!;
  for (const [label, value] of [
    ['Zone, long', '40 m'],
    ['Zone, wide', '5 m'],
    ['Zone turned', `${lies!.azimuthDeg}°`],
    ['Its middle, east', `${lies!.x! + 60} m`],
    ['Its middle, north', `${lies!.y} m`],
  ])
    await field(page, label!).fill(value!);
  await expect(check(page, 'laydown.outside', 'G1.1')).toHaveAttribute('data-verdict', 'tight');
  await field(page, 'Its middle, east').fill(`${lies!.x} m`);
  await expect(check(page, 'laydown.outside', 'G1.1')).toHaveCount(0);
  await expect(check(page, 'laydown.ground', 'South laydown')).toHaveAttribute('data-verdict', 'missing');
  await field(page, 'Its ground may take').fill('40 kPa');
  await field(page, 'Each timber, long').fill('1.2 m');
  await field(page, 'Each timber, wide').fill('300 mm');
  await expect(check(page, 'laydown.ground', 'South laydown')).toHaveAttribute('data-verdict', 'stop');
  await field(page, 'Its ground may take').fill('400 kPa');
  await expect(check(page, 'laydown.ground', 'South laydown')).toHaveAttribute('data-verdict', 'clear');
  await accessible(page);
  await saved(page);
  const { site } = await planOf(request, job);
  expect(site.zones!.at(-1)).toMatchObject({ kind: 'laydown', name: 'South laydown', carries: 400e3, timberLength: 1.2, timberWidth: 0.3 });
});

test('a crane and a sling set of another job are taken over with chart and tag, and undone one by one', async ({ page, job, request }) => {
  const other = `Gear of quay ${Date.now()}`;
  await makeJob(request, (plan) => (plan.job.name = other), quayFootbridge());
  await openJob(page, job);
  await station(page, 'Gear');
  await page.getByRole('button', { name: 'Models, gear of other jobs' }).click();
  const dialog = page.getByRole('dialog', { name: 'Gear to take over' });
  const from = dialog.locator('section').filter({ hasText: other });
  await from
    .getByRole('row', { name: /Curlew 50/ })
    .getByRole('button', { name: 'Take' })
    .click();
  await from
    .getByRole('row', { name: /Sling set 4/ })
    .getByRole('button', { name: 'Take' })
    .click();
  await expect(from.getByText('taken', { exact: true })).toHaveCount(2);
  await accessible(page);
  await page.keyboard.press('Escape');
  await saved(page);
  const { cranes, yard } = await planOf(request, job);
  expect(cranes.map(({ name }) => name)).toEqual(['Bittern 12', 'Curlew 50']);
  expect(cranes[1]!.chart).toEqual(quayFootbridge().cranes[0]!.chart);
  expect(yard!.map(({ name, rating }) => [name, rating])).toEqual([['Sling set 4', 5000]]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
  expect((await planOf(request, job)).cranes).toHaveLength(1);
});

test('what another job says of the same thing of the yard is told, and taken', async ({ page, request }) => {
  const number = `Set ${Date.now()}`;
  const with_ = (name: string, rating: number, on: string) => (plan: Plan) => {
    plan.job.name = name;
    plan.yard = [{ id: 'y1', kind: 'slings', name: number, rating, inspected: { by: 'P. Varga', on } }];
    plan.picks[0]!.gear = ['y1'];
    plan.site.shift = { from: '2026-11-25T07:00', to: '2026-11-25T15:00' };
  };
  await makeJob(request, with_(`Berth ${number}`, 800, '2026-11-02'));
  const id = await makeJob(request, with_('Hall', 1000, '2026-10-12'));
  await openJob(page, id);
  await station(page, 'Gear');
  const told = page.getByRole('list', { name: 'What other jobs say of it' });
  await expect(told.getByRole('listitem')).toHaveCount(3);
  await expect(told).toContainText(`Berth ${number} lifts with ${number} on 25 Nov 2026 too.`);
  await accessible(page);
  await told.getByRole('listitem').filter({ hasText: 'reads 800' }).getByRole('button', { name: 'Take that' }).click();
  await told.getByRole('listitem').filter({ hasText: 'inspected on 2 Nov 2026' }).getByRole('button', { name: 'Take that' }).click();
  await expect(told.getByRole('listitem')).toHaveCount(1);
  await saved(page);
  expect((await planOf(request, id)).yard).toMatchObject([{ rating: 800, inspected: { on: '2026-11-02' } }]);
});
