import { expect, type Page } from '@playwright/test';
import { beside } from '../tests/cranes-beside';
import { accessible, check, count, field, makeJob, open, openJob, planOf, saved, station, test } from './job';

const workings = (page: Page) => page.getByRole('complementary', { name: 'Workings' });
/** All that is a stop or not known at a station, as it is told. */
const amiss = (page: Page) =>
  page
    .locator('[data-check]:is([data-verdict="stop"], [data-verdict="missing"]):not([data-check^="hold."])')
    .evaluateAll((list) => list.map((one) => `${one.getAttribute('data-check')}: ${one.textContent}`));

/** A girder of 38 m and 48 t, from a new job to the card of its lift by two cranes, all of it said on the screen. */
test('a girder of 38 m and 48 t by two cranes: from a new job to its card', async ({ page, request }) => {
  test.setTimeout(240_000);
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).click();
  const dialog = page.getByRole('dialog', { name: 'New job' });
  await dialog.getByLabel('Name').fill('Link road girder');
  await dialog.getByRole('combobox', { name: 'What is built, and how it goes up' }).click();
  await page.getByRole('option', { name: 'Girders on piers and bents' }).click();
  const said = {
    'Girder lines side by side': '1',
    Spans: '37.4 m',
    'Runs past its end bearings': '0.3 m',
    'Level of the bearings': '6 m',
    'Web, deep': '1900 mm',
    'Web, thick': '18 mm',
    'Flanges, wide': '800 mm',
    'Flanges, thick': '80 mm',
    'Grade of the steel': 'S355',
  };
  for (const [label, value] of Object.entries(said)) await dialog.getByRole('textbox', { name: label, exact: true }).fill(value);
  await dialog.getByRole('combobox', { name: 'Lifted by' }).click();
  await page.getByRole('option', { name: /two cranes/ }).click();
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
  await page.waitForURL(/\/jobs\/(?!$)[^/]+$/);
  await expect(page.locator('main[aria-busy="false"]')).toBeVisible();
  const takeAs = async (crane: string) => {
    await page.getByRole('button', { name: 'Models, gear of other jobs' }).click();
    const gear = page.getByRole('dialog', { name: 'Gear to take over' });
    await gear
      .getByRole('row', { name: /Heron 200/ })
      .first()
      .getByRole('button', { name: `As ${crane}` })
      .click();
    await page.keyboard.press('Escape');
  };
  await station(page, 'Gear');
  await takeAs('Crane 1');
  await takeAs('Crane 2');
  for (const [n, x] of ['4 m', '33.4 m'].entries()) {
    await workings(page)
      .getByRole('button', { name: new RegExp(`^Stand ${n + 1}`) })
      .click();
    const stand = workings(page).locator(`[data-thing="s${n + 1}"]`);
    for (const [label, value] of Object.entries({ East: x, North: '-12 m', 'Ground may take': '300 kPa', 'Front turned from east': '90' }))
      await stand.getByRole('textbox', { name: label, exact: true }).fill(value);
    await page.keyboard.press('Tab');
  }
  for (const [n, name] of ['Heron 200', 'Heron 200, no. 2'].entries()) {
    await workings(page)
      .getByRole('button', { name: new RegExp(`^${name} Made-up`) })
      .click();
    const crane = workings(page).locator(`[data-thing="c${n + 1}"]`);
    await crane.getByRole('combobox', { name: 'Its boom', exact: true }).click();
    await page.getByRole('option', { name: 'comes whole' }).click();
    await crane.getByRole('textbox', { name: 'Crane inspected by', exact: true }).fill('P. Varga');
    await crane.getByLabel('Crane inspected on').fill('2026-10-02');
    await page.keyboard.press('Tab');
  }
  await station(page, 'Steel');
  await workings(page).getByRole('button', { name: /^G1/ }).first().click();
  for (const [label, value] of Object.entries({
    'Lies before the lift, east': '18.7 m',
    'Lies before the lift, north': '-5 m',
    'First to second end from east': '0',
    'Underside there above ground': '0.4 m',
  }))
    await field(page, label).fill(value);
  await page.keyboard.press('Tab');
  await station(page, 'Picks');
  await workings(page)
    .getByRole('button', { name: /^Sling it/ })
    .click();
  for (const [label, value] of Object.entries({
    'Rating of the sling': '35 t',
    'Slings and shackles weigh': '600 kg',
    Boom: '30 m',
    'Over the seats before lowering': '0.6 m',
    'Boom of the second crane': '30 m',
    'Rating of its sling': '35 t',
    'Its slings and shackles weigh': '600 kg',
    'Lift plan signed by': 'M. Lindqvist',
  }))
    await field(page, label).fill(value);
  const pick = async (label: string, option: string | RegExp) => {
    await workings(page).getByLabel(label, { exact: true }).click();
    await page.getByRole('option', { name: option }).click();
  };
  await workings(page).getByLabel('Signed on').fill('2026-11-20');
  await pick('Its ends land', 'both at once');
  await pick('It lies', 'upright, as it is set');
  await pick('Slings hold it', /shackle/);
  await field(page, 'Tag lines').fill('2');
  await page.keyboard.press('Tab');
  await field(page, 'Held by').fill('L. Marsh and P. Novak');
  await field(page, 'One lug may carry').fill('36 t');
  await expect.poll(() => amiss(page)).toEqual([]);
  await expect(check(page, 'pick.hooks')).toHaveAttribute('data-verdict', 'clear');
  await station(page, 'Gear');
  for (const [n, name] of ['Heron 200', 'Heron 200, no. 2'].entries()) {
    await workings(page)
      .getByRole('button', { name: new RegExp(`^${name} Made-up`) })
      .click();
    await workings(page)
      .locator(`[data-thing="c${n + 1}"]`)
      .getByRole('textbox', { name: 'Chart comes from', exact: true })
      .fill(`Maker’s chart 41, ${name}`);
  }
  await field(page, 'Gusts forecast').fill('4 m/s');
  await field(page, 'Looked for power lines').fill('R. Adeyemi');
  await workings(page).getByLabel('Looked on').fill('2026-10-19');
  await page.keyboard.press('Tab');
  await expect.poll(() => amiss(page)).toEqual([]);
  await expect(check(page, 'lift.chart', 'G1')).toContainText(/set at 12\.01\sm.*75\s%/);
  await expect(check(page, 'lift.chart', 'G1, second hook')).toHaveAttribute('data-verdict', 'tight');
  await expect(count(page, 'stop')).toContainText('0');
  await saved(page);
  const [plan] = [await planOf(request, page.url().split('/').pop()!)];
  expect(plan.picks[0]!.second).toMatchObject({ stand: 's2', boom: 30, slingRating: 35000, riggingMass: 600 });
  expect(new Set(plan.stands.map(({ crane }) => crane))).toEqual(new Set(['c1', 'c2']));
  const card = await request.get(`/api/jobs/${page.url().split('/').pop()!}/sheets/pick-card?paper=a4`);
  expect(card.headers()['content-type']).toBe('application/pdf');
  await accessible(page);
});

test('two cranes in one circle: how the one waits and who gives the word is asked, its fields lit; a boom in the way is a stop', async ({ page, request }) => {
  const job = await makeJob(request, undefined, beside({ x: 2, y: -29 }));
  await openJob(page, job);
  await station(page, 'Gear');
  const together = check(page, 'crane.together', 'Stand 9').first();
  await expect(together).toHaveAttribute('data-verdict', 'missing');
  const stand = workings(page).locator('[data-thing="s9"]');
  await workings(page).getByText('Stand 9', { exact: true }).first().click();
  const fill = async (label: string, value: string) => {
    await stand.getByRole('textbox', { name: label, exact: true }).fill(value);
    await page.keyboard.press('Tab');
  };
  await fill('Waits with boom, from east', '60');
  await fill('Waits with boom out by', '18 m');
  await fill('Waits with boom as long as', '30 m');
  await field(page, 'Word to cranes in one circle by').fill('R. Adeyemi');
  await field(page, 'They know who waits by').fill('radio, channel 4');
  await page.keyboard.press('Tab');
  await expect(check(page, 'crane.together', 'Stand 9')).toHaveCount(0);
  await expect(check(page, 'lift.otherBoom').first()).toHaveAttribute('data-verdict', 'stop');
  await fill('Waits with boom, from east', '270');
  await expect(check(page, 'lift.otherBoom')).toHaveCount(0);
  await saved(page);
  const { stands, site } = await planOf(request, job);
  expect(stands.find(({ id }) => id === 's9')!.waits).toEqual({ boom: 30, bearingDeg: 270, radius: 18 });
  expect(site.together).toEqual({ by: 'R. Adeyemi', how: 'radio, channel 4' });
});
