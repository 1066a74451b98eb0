import { quayFootbridge } from '../tests/demo-plan';
import { check, count, expect, field, makeJob, move, open, openJob, planOf, saved, station, test } from './job';

test('a revision is looked at, brought back on top of the newest, and nothing goes', async ({ page, job, request }) => {
  await station(page, 'Steel');
  await field(page, 'Length').fill('9.6');
  await saved(page);
  await page.getByRole('button', { name: /^Revisions/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Revisions' });
  await dialog.getByRole('button', { name: /^Revision 1/ }).click();
  await expect(dialog.getByText('Revision 1 against what is on screen')).toBeVisible();
  await expect(dialog.getByRole('region', { name: 'The revision looked at' }).getByRole('listitem').first()).toBeVisible();
  await dialog.getByRole('button', { name: 'Bring revision 1 back' }).click();
  await expect(field(page, 'Length')).toHaveValue('9');
  await saved(page);
  expect((await planOf(request, job)).pieces[0]!.length).toBe(9);
  const list = (await (await request.get(`/api/jobs/${job}/revisions`)).json()) as { revision: number }[];
  expect(list.length).toBeGreaterThanOrEqual(3);
  const second = (await (await request.get(`/api/jobs/${job}/revisions/2`)).json()) as { pieces: { length: number }[] };
  expect(second.pieces[0]!.length).toBe(9.6);
});

test('a job is put away and taken back', async ({ page, request }) => {
  const name = `Away ${Date.now()}`;
  await makeJob(request, (plan) => {
    plan.job.name = name;
  });
  await open(page, '/');
  await page.getByRole('button', { name: `Put away ${name}` }).click();
  await expect(page.getByRole('button', { name: `Put away ${name}` })).toHaveCount(0);
  await page.getByRole('button', { name: /^Put away: / }).click();
  await page.getByRole('button', { name: `Take back ${name}` }).click();
  await expect(page.getByRole('button', { name: `Put away ${name}` })).toBeVisible();
});

test('an edit that never reached the server is offered on return', async ({ page, job, request, context }) => {
  await station(page, 'Steel');
  await expect(field(page, 'Length')).toBeVisible();
  await expect(page.locator('main[aria-busy="false"]')).toBeVisible();
  // What takes an edit is here before the server goes away.
  await page.waitForLoadState('networkidle');
  await context.setOffline(true);
  await field(page, 'Length').fill('9.4');
  await expect(page.locator('[data-saving]')).toContainText('Not saved');
  await page.close();
  await context.setOffline(false);
  const again = await context.newPage();
  await openJob(again, job);
  const offer = again.getByRole('alertdialog', { name: 'An edit was not saved' });
  await expect(offer).toContainText('never reached the server');
  expect((await planOf(request, job)).pieces[0]!.length).toBe(9);
  await offer.getByRole('button', { name: 'Take them up' }).click();
  await expect(offer).toHaveCount(0);
  await saved(again);
  expect((await planOf(request, job)).pieces[0]!.length).toBe(9.4);
});

test.describe('on the quay', () => {
  test.use({ demo: 'quay footbridge' });
  test('what is opened while the server is away is told and opens when it is back', async ({ page, job, request }) => {
    await page.waitForLoadState('networkidle');
    const away = '**/_next/static/chunks/**';
    await page.route(away, (route) => route.abort('internetdisconnected'));
    await page.getByRole('group', { name: 'Drawings shown' }).first().getByRole('button', { name: 'Model' }).click();
    await expect(page.getByText('a part of this page is not here yet')).toBeVisible();
    // The rest of the page goes on meanwhile.
    await page.getByRole('button', { name: 'm kg' }).click();
    await saved(page);
    expect((await planOf(request, job)).job.units).toBe('metric');
    await page.unroute(away);
    await expect(page.getByRole('region', { name: 'Model' }).locator('canvas')).toBeVisible();
    await expect(page.getByText('a part of this page is not here yet')).toBeHidden();
  });
});

test('the heavier of two weights carries until a person chooses and says why', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Steel');
  await field(page, 'Bare weight, stated').fill('1400');
  // More than a tenth apart: missing, and the chart is read for the heavier.
  await expect(check(page, 'statement.mass')).toHaveAttribute('data-verdict', 'missing');
  await station(page, 'Gear');
  await expect(check(page, 'lift.chart')).toHaveAttribute('data-verdict', 'stop');
  await station(page, 'Steel');
  await page.getByRole('combobox', { name: 'The plan goes by' }).click();
  await page.getByRole('option', { name: 'section and length' }).click();
  await expect(check(page, 'statement.mass')).not.toHaveAttribute('data-verdict', 'clear');
  await field(page, 'Chosen by').fill('M. Lindqvist');
  await field(page, 'Because').fill('the drawing weighs the pair');
  await station(page, 'Gear');
  await expect(check(page, 'lift.chart')).toHaveAttribute('data-verdict', 'clear');
});

test('a power line of no place is missing; typed in, it is drawn and clear of', async ({ page, job, request }) => {
  await station(page, 'Gear');
  await page.getByRole('button', { name: 'Power line', exact: true }).click();
  await expect(count(page, 'missing')).not.toContainText(/^0/);
  for (const [name, value] of [
    ['Voltage', '11 kV'],
    ['One end, east', '-60'],
    ['One end, north', '70'],
    ['Other end, east', '60'],
    ['Other end, north', '70'],
    ['Height of the lowest wire', '9'],
  ] as const)
    await field(page, name).last().fill(value);
  await saved(page);
  const lines = (await planOf(request, job)).site.powerLines;
  expect(lines.at(-1)).toMatchObject({ from: { x: -60, y: 70 }, to: { x: 60, y: 70 }, height: 9, volts: 11000 });
});

test('what stops the job heads the screen, and opens and lights its own field', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Picks');
  await field(page, 'Rating of one leg').fill('');
  await station(page, 'Steel');
  const band = page.getByRole('region', { name: 'What stops this job' });
  await expect(band).toContainText('This job may not go ahead: 1 missing');
  await band.getByRole('button').click();
  await expect(field(page, 'Rating of one leg')).toBeFocused();
  await field(page, 'Rating of one leg').fill('1 t');
  await expect(band).toHaveCount(0);
});

test.describe('with a crane at two stands', () => {
  test.use({ demo: 'quay footbridge' });
  test('what is asked of a lift lights its field with the crane, which was folded away', async ({ page, request }) => {
    const id = await makeJob(
      request,
      (plan) => {
        plan.cranes[0]!.hookBlockMass = null;
      },
      quayFootbridge(),
    );
    await openJob(page, id);
    await station(page, 'Gear');
    await expect(field(page, 'Hook block weighs')).toHaveCount(0);
    await check(page, 'lift.chart').first().getByRole('button').first().click();
    await expect(field(page, 'Hook block weighs')).toBeFocused();
  });
});

test.describe('in the ticket hall', () => {
  test.use({ demo: 'ticket hall' });
  test('a list whose weights are of nobody knows what is asked about, and taken when it is answered', async ({ page, job, request }) => {
    await station(page, 'Steel');
    await page.getByRole('button', { name: 'Paste or import' }).click();
    await page.getByLabel('Or paste the cells here').fill('Mark;Section;Length (mm);Qty;Weight (tons)\nZ1;HEB 200;6000;2;0.4\nZ2;IPE 300;5000;1;0.25\n');
    const asked = page.getByRole('list', { name: 'Asked' });
    await expect(asked).toContainText('Is “Weight (tons)” in short ton or in t or in long ton, and of what?');
    await expect(asked).toContainText('By section and length: Z1 367.8 kg');
    await expect(page.getByRole('button', { name: '1 to answer first' })).toBeDisabled();
    await asked.getByRole('button', { name: /^t of one piece: Z1 400\.0 kg, Z2 250\.0 kg/ }).click();
    await page.getByRole('button', { name: 'Take 2' }).click();
    await saved(page);
    expect((await planOf(request, job)).members.filter(({ mark }) => /^Z/.test(mark)).map(({ mark, count, stated }) => [mark, count, stated.drawing])).toEqual([
      ['Z1', 2, 400],
      ['Z2', 1, 250],
    ]);
  });

  test('half a record survives a change of move; a day that has not been is not taken', async ({ page, job }) => {
    expect(job).toBeTruthy();
    await move(page, 'm8').click();
    const form = page.getByRole('region', { name: 'Hold points' });
    await form.getByRole('button', { name: /HP6/ }).click();
    await form.getByLabel('Passed by').fill('T. Varga');
    await form.getByLabel('Evidence').fill('three pieces bolted up on the floor');
    await move(page, 'm1').click();
    await move(page, 'm8').click();
    await expect(form.getByLabel('Passed by')).toHaveValue('T. Varga');
    await form.getByLabel('On', { exact: true }).fill('2090-01-01');
    await expect(check(page, 'hold.HP6')).toHaveAttribute('data-verdict', 'missing');
    if (await form.getByRole('button', { name: 'Record the pass' }).isEnabled()) {
      await form.getByRole('button', { name: 'Record the pass' }).click();
      await expect(check(page, 'hold.HP6')).toHaveAttribute('data-verdict', 'missing');
    }
  });
});
