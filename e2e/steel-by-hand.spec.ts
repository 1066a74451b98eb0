import type { Page } from '@playwright/test';
import { accessible, check, drag, expect, field, planOf, saved, standing, station, test } from './job';

const sheet = (page: Page, name: string) => page.locator(`svg[data-sheet="${name}"]`);
const only = (page: Page, name: string) => page.getByRole('group', { name: 'Drawings shown' }).getByRole('button', { name }).click();

async function middle(page: Page, name: string, ref: string, of = '') {
  const box = await standing(sheet(page, name).locator(`${of}[data-ref="${ref}"] :is(polygon, rect)`).first());
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

test.describe('steel put in its place by hand', () => {
  test.use({ demo: 'quay footbridge' });

  test('chosen on the plan it has grips: dragged whole, turned by an end, nudged, raised in the elevation, and put back step by step', async ({
    page,
    job,
    request,
  }) => {
    const piece = async (id: string) => (await planOf(request, job)).structure.pieces.find((one) => one.id === id)!;
    const before = (await planOf(request, job)).structure;
    const [first] = before.pieces.filter(({ from, to }) => from && to);
    const { id, mark } = first!;
    const at = await middle(page, 'Plan', `beam:${id}`);
    // Panning over steel leaves it where it is.
    await drag(page, at, { x: 0, y: 40 });
    await page.getByRole('button', { name: 'Fit plan' }).click();
    expect(await piece(id)).toEqual(first);
    await page.mouse.click(at.x, at.y);
    await expect(page.getByRole('heading', { name: 'Steel', exact: true })).toBeVisible();
    await expect(sheet(page, 'Plan').locator('[data-ref^="beamEnd:"]')).toHaveCount(2);
    await expect(field(page, 'First end, east')).toBeVisible();
    await accessible(page);

    await drag(page, at, { x: 0, y: -40 });
    await saved(page);
    const moved = await piece(id);
    expect(moved.from!.y).toBeGreaterThan(first!.from!.y + 0.5);
    expect(moved.to!.y - moved.from!.y).toBeCloseTo(first!.to!.y - first!.from!.y, 4);
    expect([moved.from!.x, moved.from!.z]).toEqual([first!.from!.x, first!.from!.z]);
    await expect(check(page, 'joint.meets').first()).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await saved(page);
    expect(await piece(id)).toEqual(first);

    await sheet(page, 'Plan').focus();
    await page.keyboard.press('Shift+ArrowUp');
    await saved(page);
    expect((await piece(id)).from!.y).toBeCloseTo(first!.from!.y + 0.5, 4);
    await page.getByRole('button', { name: 'Undo' }).click();

    await drag(page, await middle(page, 'Plan', `beamEnd:${id}:to`), { x: 0, y: -30 });
    await saved(page);
    const turned = await piece(id);
    expect(turned.from).toEqual(first!.from);
    expect(turned.to!.y).toBeGreaterThan(first!.to!.y + 0.3);
    const length = ({ from, to }: typeof turned) => Math.hypot(to!.x - from!.x, to!.y - from!.y, to!.z - from!.z);
    expect(length(turned)).toBeCloseTo(before.makes.find((one) => one.id === first!.make)!.length, 3);
    await page.getByRole('button', { name: 'Undo' }).click();

    await only(page, 'Elevation');
    // Its neighbour is drawn over it: its middle is on top.
    await drag(page, await middle(page, 'Elevation', `beam:${id}`, 'g[data-grab]:has(rect)'), { x: 0, y: -40 });
    await saved(page);
    const raised = await piece(id);
    expect(raised.from!.z).toBeGreaterThan(first!.from!.z + 0.2);
    await expect(field(page, 'First end, level')).toHaveValue(String(raised.from!.z));
    await field(page, 'First end, level').fill(String(first!.from!.z));
    await page.keyboard.press('Tab');
    await saved(page);
    expect((await piece(id)).from!.z).toBeCloseTo(first!.from!.z, 4);
    expect(mark.length).toBeGreaterThan(0);
  });

  test('a truss of no section: its outline, balance point and who has checked it are asked, each in its own field', async ({ page, job, request }) => {
    await station(page, 'Steel');
    const make = (await planOf(request, job)).structure.makes[0]!;
    await page.getByRole('button', { name: `Make ${make.mark}` }).click();
    const fold = page.locator(`[data-thing="${make.id}"]`);
    await fold.getByRole('combobox', { name: 'Made of' }).click();
    await page.getByRole('option', { name: /no section/ }).click();
    await field(page, 'What it is').fill('truss');
    const ask = async (id: string, label: string, text: string) => {
      await check(page, id).first().click();
      await expect(fold.getByRole('textbox', { name: label })).toBeFocused();
      await fold.getByRole('textbox', { name: label }).fill(text);
      await page.keyboard.press('Tab');
    };
    await ask('make.size', 'Deep, outside to outside', '1200');
    await ask('make.size', 'Wide, outside to outside', '300');
    await ask('make.balance', 'Balances, from its first end', String(make.length / 2));
    await expect(check(page, 'make.size')).toHaveCount(0);
    await expect(check(page, 'make.balance')).toHaveCount(0);
    await saved(page);
    expect((await planOf(request, job)).structure.makes[0]!.made).toMatchObject({ kind: 'plain', what: 'truss', depth: 1.2, width: 0.3 });
  });
});

test.describe('what another thing needs', () => {
  test.use({ demo: 'ticket hall' });
  test('a bearing an opening rests on may not be taken out, and its button says why', async ({ page, job, request }) => {
    const { survey, bearings } = await planOf(request, job);
    const opening = survey.openings[0]!;
    const bearing = bearings.find(({ id }) => id === opening.left)!;
    await station(page, 'Measure');
    const held = page.getByRole('button', { name: `${bearing.name} may not go while` });
    await expect(held.first()).toBeDisabled();
    await expect(held.first()).toHaveAccessibleName(/needs it$/);
    await accessible(page);
  });
});
