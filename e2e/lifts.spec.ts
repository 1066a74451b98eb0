import { expect, type Page } from '@playwright/test';
import { accessible, check, count, field, makeJob, move, open, openJob, planOf, saved, station, test } from './job';
import { quayFootbridge } from '../tests/demo-plan';
import { pair } from '../tests/girder-pair';
import type { Plan } from '../src/core/document/schema';

async function begin(page: Page, name: string, kind: string, said: Record<string, string>): Promise<string> {
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill(name);
  await dialog.getByLabel('What is built, and how it goes up').click();
  await page.getByRole('option', { name: kind }).click();
  for (const [label, value] of Object.entries(said)) await dialog.getByRole('textbox', { name: label, exact: true }).fill(value);
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
  await page.waitForURL(/\/jobs\/(?!$)[^/]+$/);
  return page.url().split('/').pop()!;
}

const workings = (page: Page) => page.getByRole('complementary', { name: 'Workings' });

test('a frame begun with a crane: all its pieces are slung at once, and what is said of one pick is said of the others', async ({ page, request }) => {
  const job = await begin(page, 'Waiting shelter', 'A frame of columns and beams', {
    'Bays along': '2 x 6 m',
    'Bays across': '5 m',
    Levels: '4 m',
    Columns: 'HEB 200',
    Beams: 'IPE 300',
    'Beams between, in each bay': '1',
    'Section of those between': 'IPE 240',
  });
  await expect(count(page, 'stop')).toContainText('0');
  await station(page, 'Picks');
  await expect(workings(page).getByText('15 picks, in the order they were planned')).toBeVisible();
  await workings(page).getByRole('button', { name: /^C-A1/ }).click();
  await expect(workings(page).getByRole('heading', { name: 'Turned upright under the hook', exact: true })).toBeVisible();
  await workings(page)
    .getByRole('button', { name: /^Sling it and 14 others so/ })
    .click();
  await field(page, 'Boom').fill('18 m');
  await field(page, 'Over the seats before lowering').fill('0.6 m');
  await field(page, 'Rating of the sling').fill('1500 kg');
  await field(page, 'Slings and shackles weigh').fill('40 kg');
  await workings(page)
    .getByRole('button', { name: /^Say the same of 5 picks alike/ })
    .click();
  await saved(page);
  const { picks } = await planOf(request, job);
  const columns = picks.filter((pick) => pick.turned);
  expect(columns).toHaveLength(6);
  expect(columns.every(({ boom, slingRating, riggingMass, liftOver }) => boom === 18 && slingRating === 1500 && riggingMass === 40 && liftOver === 0.6)).toBe(
    true,
  );
  expect(picks.filter((pick) => !pick.turned).every(({ left, right, unsaid = [] }) => left === right && !unsaid.includes('legs'))).toBe(true);
  await accessible(page);
});

test('a beam into a building by two mast lifts: a checked lift and its card, and no crane anywhere', async ({ page, request }) => {
  const job = await begin(page, 'Ticket office wall', 'A beam into a building, without a crane', {});
  await station(page, 'Picks');
  await expect(workings(page).getByText('One lift without a crane')).toBeVisible();
  const plan = await planOf(request, job);
  Object.assign(plan.members[0]!, { make: { kind: 'section', section: 'HEB 200' }, length: 6, unsaid: [] });
  for (const bearing of plan.bearings) Object.assign(bearing, { level: 3, unsaid: [] });
  const put = await request.put(`/api/jobs/${job}/plan`, { data: plan, headers: { 'If-Match': '"1"' } });
  expect(put.ok()).toBe(true);
  await page.reload();
  await expect(page.locator('main[aria-busy="false"]')).toBeVisible();
  await station(page, 'Picks');
  await workings(page).getByRole('button', { name: /^B1/ }).click();
  await field(page, 'Gear stands at level').fill('0 m');
  await field(page, 'Load lies at level').fill('0.4 m');
  await field(page, 'One end ahead by, most').fill('50 mm');
  await field(page, 'Floor may take').fill('20 kPa');
  await field(page, 'Answers for it').fill('R. Adeyemi, builder');
  for (const [n, at] of ['0.5 m', '5 m'].entries()) {
    const place = workings(page).getByRole('region', { name: `Mast lift ${n + 1}` });
    const said = { 'From the left end of the load': at, 'Lifts by its plate': '300 kg', 'Load centre of the plate': '500 mm' };
    const more = { 'Mast to middle of this load': '400 mm', 'Forks go up to': '3.4 m', 'The lift weighs': '180 kg', 'Floor under its legs': '0.8 m2' };
    for (const [label, value] of Object.entries({ ...said, ...more })) await place.getByRole('textbox', { name: label, exact: true }).fill(value);
  }
  await expect(check(page, 'raise.share').first()).toHaveAttribute('data-verdict', 'clear');
  await expect(page.locator('[data-check^="raise."]:not([data-verdict="clear"])')).toHaveCount(0);
  // One of the two that is rated too low is a stop.
  await workings(page).getByRole('region', { name: 'Mast lift 2' }).getByRole('textbox', { name: 'Lifts by its plate' }).fill('200 kg');
  await expect(check(page, 'raise.share').first()).toHaveAttribute('data-verdict', 'stop');
  await saved(page);
  const card = await request.get(`/api/jobs/${job}/sheets/pick-card?paper=a4`);
  expect(card.headers()['content-type']).toBe('application/pdf');
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText('no crane');
  await accessible(page);
});

test('by two jacks, then by a hoist on the arm of a post: each asks for its own, and one go too many is a stop', async ({ page, request }) => {
  const job = await begin(page, 'Boiler room beam', 'A beam into a building, without a crane', {});
  const plan = await planOf(request, job);
  Object.assign(plan.members[0]!, { make: { kind: 'section', section: 'HEB 200' }, length: 6, unsaid: [] });
  for (const bearing of plan.bearings) Object.assign(bearing, { level: 3, unsaid: [] });
  Object.assign(plan.raises![0]!, { floor: 0, lies: 0.4, uneven: 0.05, floorCarries: 20e3, by: 'R. Adeyemi, builder', points: [] });
  const put = await request.put(`/api/jobs/${job}/plan`, { data: plan, headers: { 'If-Match': '"1"' } });
  expect(put.ok()).toBe(true);
  await page.reload();
  await expect(page.locator('main[aria-busy="false"]')).toBeVisible();
  await station(page, 'Picks');
  await workings(page).getByRole('button', { name: /^B1/ }).click();
  const at = (name: string) => workings(page).getByRole('region', { name });
  const fill = async (name: string, said: Record<string, string>) => {
    for (const [label, value] of Object.entries(said)) await at(name).getByRole('textbox', { name: label, exact: true }).fill(value);
  };
  for (const [n, place] of ['0.5 m', '5 m'].entries()) {
    await workings(page).getByRole('button', { name: 'Another jack' }).click();
    await fill(`Jack ${n + 1}`, {
      'From the left end of the load': place,
      Rated: '300 kg',
      'Run right down it is high': '300 mm',
      Stroke: '150 mm',
      'Raised in one go': '40 mm',
      'Packing follows within': '30 mm',
      'Floor under it': '1.2 m2',
    });
    await at(`Jack ${n + 1}`)
      .getByRole('combobox', { name: 'Locks by itself' })
      .click();
    await page.getByRole('option', { name: 'yes' }).click();
  }
  await expect(check(page, 'raise.stroke').first()).toContainText('65 goes');
  await expect(page.locator('[data-check^="raise."]:not([data-verdict="clear"])')).toHaveCount(0);
  await fill('Jack 2', { 'Raised in one go': '80 mm' });
  await expect(check(page, 'raise.step')).toHaveAttribute('data-verdict', 'stop');
  await workings(page).getByRole('button', { name: 'Remove Jack 2' }).click();
  await workings(page).getByRole('button', { name: 'Another hoist' }).click();
  await fill('Hoist 2', { 'From the left end of the load': '5 m', Rated: '500 kg', 'The hoist weighs, with chain': '20 kg' });
  await at('Hoist 2').getByRole('combobox', { name: 'Hangs from' }).click();
  await page.getByRole('option', { name: 'the arm of a post lashed upright' }).click();
  await fill('Hoist 2', { 'Which post': 'Post A', 'Post to hoist, out': '0.6 m', 'Lashings apart': '2 m', 'One lashing may carry': '5 kN' });
  await expect(check(page, 'raise.lashing')).toHaveAttribute('data-verdict', 'clear');
  await expect(check(page, 'raise.tieBack')).toContainText('A scaffold is pulled over');
  await fill('Hoist 2', { 'Lashed to, worked out by': 'M. Lindqvist' });
  await expect(check(page, 'raise.tieBack')).toHaveAttribute('data-verdict', 'clear');
  await accessible(page);
  await saved(page);
  expect((await planOf(request, job)).raises![0]!.points.map(({ kind }) => kind)).toEqual(['jack', 'hoist']);
});

test.describe('where the crane may stand', () => {
  test.use({ demo: 'quay footbridge' });
  test('over the whole site, with the best places; a press puts the stand there, and a zone it passes over is a stop', async ({ page, job, request }) => {
    await station(page, 'Gear');
    await page.getByRole('button', { name: 'Where may Curlew 50 stand?' }).click();
    const dialog = page.getByRole('dialog', { name: /Where Curlew 50 may stand/ });
    await expect(dialog.getByRole('row', { name: /4 of 4/ }).first()).toBeVisible();
    await accessible(page);
    await dialog.getByRole('button', { name: 'Stand here' }).first().click();
    await saved(page);
    const { stands } = await planOf(request, job);
    expect(stands[0]!.at).not.toEqual({ x: 9, y: -8 });
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Zone', exact: true }).click();
    await workings(page).getByRole('button', { name: /^Zone/ }).last().click();
    for (const [label, value] of Object.entries({
      'Zone, long': '40 m',
      'Zone, wide': '3 m',
      'Its middle, east': '-2 m',
      'Its middle, north': '-8 m',
      'Zone turned': '90',
    }))
      await field(page, label).fill(value);
    await expect(check(page, 'lift.over').first()).toHaveAttribute('data-verdict', 'stop');
    await field(page, 'Kept closed by').fill('two flagmen and a rope across');
    await field(page, 'Who answers for that').fill('S. Aune, foreman');
    await expect(check(page, 'lift.over').first()).toHaveAttribute('data-verdict', 'missing');
    await accessible(page);
  });
});

test.describe('a girder on two cranes', () => {
  test.use({ demo: 'vehicle ramp' });
  test('the second crane is planned on the screen, and both ends are checked', async ({ page, job, request }) => {
    expect(job).toBeTruthy();
    await station(page, 'Gear');
    await page.getByRole('button', { name: 'Another crane' }).click();
    await page.getByRole('button', { name: 'Another stand of Crane 2' }).click();
    await station(page, 'Picks');
    await workings(page)
      .getByRole('button', { name: /^G4\.1/ })
      .click();
    await page.getByLabel('Its right end is lifted from').click();
    await page.getByRole('option', { name: /Crane 2/ }).click();
    await field(page, 'Boom of the second crane').fill("105'");
    await field(page, 'Rating of its sling').fill('25000 lb');
    await field(page, 'Its slings and shackles weigh').fill('480 lb');
    await expect(check(page, 'pick.lands')).toContainText('Do both ends of G4.1 land at once');
    await page.getByLabel('Its ends land').click();
    await page.getByRole('option', { name: 'the left one first' }).click();
    await field(page, 'It rests first, from that end').fill("1'");
    await expect(check(page, 'pick.lands')).toContainText('How far above its place is the other end then?');
    await field(page, 'The other pick is then higher by').fill('18 in');
    await expect(check(page, 'pick.lands')).toHaveCount(0);
    await station(page, 'Gear');
    await expect(check(page, 'lift.chart', 'G4.1, second hook')).toHaveAttribute('data-verdict', 'missing');
    await saved(page);
    expect((await planOf(request, job)).picks.find(({ piece }) => piece === 'g4-1')!.second).toMatchObject({
      boom: expect.closeTo(32.004, 6) as unknown,
      lands: { first: 'left', rest: expect.closeTo(0.3048, 6) as unknown, high: expect.closeTo(0.4572, 6) as unknown },
    });
  });
  test('the fewest places that serve all its lifts are found, and taken in one step', async ({ page, job, request }) => {
    const before = await planOf(request, job);
    await station(page, 'Gear');
    await page.getByRole('button', { name: 'Where may Gannet 120 stand?' }).click();
    const dialog = page.getByRole('dialog', { name: 'Where Gannet 120 may stand' });
    await dialog.getByRole('button', { name: 'The fewest places that serve them all' }).click();
    await expect(dialog.getByText(/serves? all of them; no fewer do/)).toBeVisible();
    const places = await dialog.locator('[data-cover]').count();
    expect(places).toBeLessThan(before.stands.length);
    await accessible(page);
    await dialog.getByRole('button', { name: 'Stand there and lift so' }).click();
    await saved(page);
    const after = await planOf(request, job);
    expect(new Set(after.picks.map(({ stand }) => stand)).size).toBe(places);
    expect(
      await check(page, 'lift.chart')
        .filter({ has: page.locator('[data-verdict="stop"]') })
        .count(),
    ).toBe(0);
    await page.keyboard.press('Control+z');
    await saved(page);
    expect((await planOf(request, job)).stands).toEqual(before.stands);
  });
  for (const names of [
    ['Measure', 'Steel', 'Gear'],
    ['Picks', 'Run sheet'],
  ])
    test(`${names.join(', ')} of it pass the accessibility checks`, async ({ page, job }) => {
      expect(job).toBeTruthy();
      for (const name of names) {
        await station(page, name);
        await accessible(page);
      }
    });
  test('a move of it passes the accessibility checks', async ({ page, job }) => {
    expect(job).toBeTruthy();
    await station(page, 'Run sheet');
    await move(page, 'm39').or(page.locator('[data-move]').nth(30)).first().click();
    await accessible(page);
  });
});

test.describe('spliced on the ground and lifted as one', () => {
  test.use({ demo: 'quay footbridge' });
  test('from the pick: one load, one move to hang it and one to let it go, its splice checked; one undo brings the two lifts back', async ({
    page,
    job,
    request,
  }) => {
    const before = await planOf(request, job);
    await station(page, 'Picks');
    await workings(page).getByRole('button', { name: /^G1a/ }).click();
    await workings(page)
      .getByRole('button', { name: /^Splice G1b to it on the ground/ })
      .click();
    await expect(workings(page).getByText('Joined on the ground and lifted as one: G1a, G1b')).toBeVisible();
    await expect(page.locator('[data-move="m7"]')).toContainText('Hang G1a + G1b');
    await workings(page)
      .getByRole('button', { name: /^Sling it/ })
      .first()
      .click();
    await expect(check(page, 'pick.splice').first()).toContainText('Splice of girder 1 bends');
    await accessible(page);
    await saved(page);
    const plan = await planOf(request, job);
    expect(plan.picks.map(({ id, joined = null }) => [id, joined])).toEqual([
      ['k1', ['g1b']],
      ['k2', null],
      ['k4', null],
    ]);
    await workings(page).getByRole('button', { name: 'Lift G1b by itself' }).click();
    await saved(page);
    expect((await planOf(request, job)).moves.filter((one) => one.kind === 'piece.hang' && one.beam === 'g1b')).toHaveLength(1);
    for (let n = 0; n < 3; n += 1) await page.keyboard.press('Control+z');
    await saved(page);
    expect(await planOf(request, job)).toEqual(before);
  });
});

test.describe('two girders tied side by side', () => {
  test.use({ demo: 'quay footbridge' });
  test('lifted as a pair: what its cross-frames weigh is asked and answered, four legs, and it is checked as a pair', async ({ page, request }) => {
    const unweighed = ({ structure }: Plan) => structure.braces.forEach((one) => (one.mass = null));
    const job = await makeJob(request, unweighed, quayFootbridge());
    await openJob(page, job);
    const before = await planOf(request, job);
    await station(page, 'Picks');
    await workings(page).getByRole('button', { name: /^G1a/ }).click();
    await workings(page)
      .getByRole('button', { name: /^Tie G2a beside it on the ground/ })
      .click();
    await expect(page.locator('[data-move="m7"]')).toContainText('Hang G1a + G2a');
    // Both cross-frames come before the lift, and each is asked what it weighs: the question opens its own field.
    await station(page, 'Steel');
    for (const name of ['Cross-frame 1', 'Cross-frame 2']) {
      const asked = check(page, 'brace.weight').filter({ hasText: name });
      await asked.first().click();
      const weighs = field(page, 'It weighs').last();
      await expect(weighs).toBeFocused();
      await weighs.fill('140 kg');
      await weighs.press('Enter');
      await expect(check(page, 'brace.weight').filter({ hasText: name })).toHaveCount(0);
    }
    await station(page, 'Picks');
    await workings(page).getByRole('button', { name: /^G1a/ }).click();
    await workings(page)
      .getByRole('button', { name: /^Sling it/ })
      .first()
      .click();
    await expect(check(page, 'pick.pair').first()).toContainText('Tied to each other over 14.00');
    await accessible(page);
    await saved(page);
    const plan = await planOf(request, job);
    const pick = plan.picks.find(({ id }) => id === 'k1')!;
    expect(pick).toMatchObject({ joined: ['g2a'], rig: { kind: 'legs', leftApart: 2.4, rightApart: 2.4 } });
    const ids = plan.moves.map(({ id }) => id);
    expect(ids.indexOf('m11')).toBeLessThan(ids.indexOf('m7'));
    expect(before.moves.map(({ id }) => id).indexOf('m11')).toBeGreaterThan(before.moves.map(({ id }) => id).indexOf('m7'));
  });
});

test('a pair on two cranes: a leg from each hook to either line, which are asked and checked by themselves', async ({ page, request }) => {
  const onTwo = (plan: Plan) => {
    plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c2', name: 'Dunlin 50' });
    plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 'w3', name: 'W3', crane: 'c2', at: { x: 22, y: -9 } });
    Object.assign(plan.picks[0]!, { legs: { left: 3, right: 3 }, rig: null });
    plan.picks[0]!.second = { stand: 'w3', boom: 27, slingRating: 9000, riggingMass: 95, lands: { first: 'together', rest: null, high: null } };
  };
  const job = await makeJob(request, onTwo, pair());
  await openJob(page, job);
  await station(page, 'Picks');
  await workings(page).getByRole('button', { name: /^G1a/ }).click();
  await expect(check(page, 'rigging.tension').first()).toContainText('Say they hang by four legs');
  await workings(page).getByRole('combobox', { name: 'Hangs by' }).click();
  await page.getByRole('option', { name: 'three or four legs' }).click();
  for (const side of ['Left', 'Right']) {
    const apart = field(page, `${side} legs apart, across`);
    await apart.fill('2.4 m');
    await apart.press('Enter');
  }
  await expect(check(page, 'rigging.tension', 'G1a + G2a')).toContainText('One leg of G1a + G2a carries');
  const legs = field(page, 'Legs of the second hook');
  await legs.fill('1.3 m');
  await legs.press('Enter');
  await expect(check(page, 'rigging.angle', 'G1a + G2a, second hook')).toHaveAttribute('data-verdict', 'stop');
  await saved(page);
  expect((await planOf(request, job)).picks[0]).toMatchObject({ legs: { left: 3, right: 1.3 }, rig: { kind: 'legs', leftApart: 2.4, rightApart: 2.4 } });
});

test.describe('the way of a lift', () => {
  test('is drawn by hand, by keys too, and played on the drawings', async ({ page, job, request }) => {
    await station(page, 'Picks');
    const grip = page.locator('[aria-label="Plan"] [data-ref^="path:"]').first();
    await expect(grip).toBeVisible();
    const box = (await grip.boundingBox())!;
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await page.mouse.move(at.x, at.y);
    await page.mouse.down();
    await page.mouse.move(at.x + 4, at.y + 12, { steps: 3 });
    await page.mouse.move(at.x + 8, at.y + 25, { steps: 3 });
    await page.mouse.up();
    await saved(page);
    const held = (await planOf(request, job)).picks[0]!.swingRadius!;
    expect(held).toBeGreaterThan(4);
    await page.keyboard.press('ArrowUp');
    await saved(page);
    const nudged = (await planOf(request, job)).picks[0]!.swingRadius!;
    expect(nudged).toBeGreaterThan(held);
    await workings(page).getByRole('button', { name: 'Of the chart, along its way' }).click();
    const along = page.getByLabel('Along its way');
    await along.fill('50');
    await expect(page.getByText(/^Here: slew, \d+\.\d\d\sm, \d/)).toBeVisible();
    await expect(page.locator('[aria-label="Plan"] [data-sheet="Plan"] text').filter({ hasText: 'on the hook' })).toBeVisible();
    await accessible(page);
    await along.fill('90');
    await page.getByRole('button', { name: 'Play the lift' }).click();
    await expect(along).toHaveValue('100');
    await expect(page.getByRole('button', { name: 'Play the lift' })).toBeVisible();
    await expect(page.getByText(/^Here: lower/)).toBeVisible();
    // Closed, the drawing is of the move again.
    await workings(page).getByRole('button', { name: 'Close the graph of its way' }).click();
    await expect(along).toHaveCount(0);
  });
});

test.describe('one load, several ways', () => {
  test.use({ demo: 'quay footbridge' });

  test('from each stand, with what governs it; one press lifts it so, and its way is drawn', async ({ page, job, request }) => {
    await station(page, 'Picks');
    await page.getByRole('complementary', { name: 'Workings' }).getByRole('button', { name: /^G1a/ }).click();
    await page.getByRole('button', { name: 'Of the chart, along its way' }).click();
    await expect(page.getByText(/^Most \d+(\.\d)?\s%\sof the chart, at \d+\.\d\d\sm, /)).toBeVisible();
    await page.getByRole('button', { name: 'Under the crane, all round' }).click();
    await expect(page.getByText(/^On its way \d+(\.\d)?\skN at the most on one outrigger; \d+(\.\d)?\skN may be/)).toBeVisible();
    await page.getByRole('button', { name: 'Other ways to lift it' }).click();
    const dialog = page.getByRole('dialog', { name: 'Ways to lift G1a' });
    await expect(dialog.locator('[data-way="w1"]').filter({ hasText: 'as it is' })).toHaveCount(1);
    await expect(dialog.locator('[data-way="mastLift"]')).toContainText(/each good for \d/);
    await expect(dialog.locator('[data-way="w1"]').filter({ hasText: 'as it is' })).toContainText(/5, 0\.5 h.*\d+\sEUR/);
    await accessible(page);
    await dialog.locator('[data-way="w2"]').getByRole('button', { name: 'Lift it so' }).click();
    await saved(page);
    expect((await planOf(request, job)).picks[0]!.stand).toBe('w2');
    await expect(dialog.locator('[data-way="w2"]').filter({ hasText: 'as it is' })).toHaveCount(1);
  });

  test('without a crane, and with one again: one undo each, and what is not known yet is asked', async ({ page, job, request }) => {
    await station(page, 'Picks');
    await workings(page).getByRole('button', { name: /^G1a/ }).click();
    const before = await planOf(request, job);
    const piece = before.picks[0]!.piece;
    await page.getByRole('button', { name: 'Other ways to lift it' }).click();
    await page.locator('[data-way="mastLift"]').getByRole('button', { name: 'Lift it so' }).click();
    await saved(page);
    const raised = await planOf(request, job);
    expect(raised.picks.map((one) => one.piece)).not.toContain(piece);
    expect(raised.raises!.map(({ load }) => load)).toEqual([piece]);
    await expect(workings(page).getByText('by mast lifts, at 2 places')).toBeVisible();
    await workings(page).getByRole('button', { name: /^G1a/ }).first().click();
    await workings(page).getByRole('button', { name: 'Other ways to lift it' }).first().click();
    await page.locator('[data-way="w1"]').first().getByRole('button', { name: 'Lift it so' }).click();
    await saved(page);
    const again = await planOf(request, job);
    expect(again.raises).toEqual([]);
    const pick = again.picks.find((one) => one.piece === piece)!;
    expect(again.moves.find((one) => one.kind === 'piece.hang' && one.beam === piece)).toMatchObject({ pick: pick.id });
    for (let n = 0; n < 2; n += 1) await page.keyboard.press('Control+z');
    await saved(page);
    expect(await planOf(request, job)).toEqual(before);
  });

  test('what people and cranes cost, and what a visit comes to', async ({ page, job, request }) => {
    await station(page, 'Gear');
    await workings(page)
      .getByRole('button', { name: /^Hours and money/ })
      .click();
    await expect(page.locator('[data-visit]')).toHaveText(/^4 lifts from 2 stands, 8 h, one day, 2\s070\sEUR$/);
    await field(page, 'Curlew 50, a day').fill('1600');
    await field(page, 'Hours of a shift').fill('7');
    await field(page, 'Currency').fill('USD');
    await page.keyboard.press('Tab');
    await expect(page.locator('[data-visit]')).toHaveText(/^4 lifts from 2 stands, 8 h, 2 days, 3\s820\sUSD$/);
    await accessible(page);
    await saved(page);
    expect((await planOf(request, job)).costs).toMatchObject({ shift: 7, currency: 'USD' });
  });
});
