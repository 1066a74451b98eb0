import { accessible, count, expect, field, planOf, saved, station, test } from './job';

test.describe('what joins, holds and carries a piece', () => {
  test.use({ demo: 'vehicle ramp' });

  test('a brace, a load and a support are added to a piece, put right by mark and place, and taken out again', async ({ page, job, request }) => {
    const before = (await planOf(request, job)).structure;
    const workings = page.getByRole('complementary', { name: 'Workings' });
    const thing = (id: string) => workings.locator(`[data-thing="${id}"]`);
    await station(page, 'Steel');
    await thing('g1-1')
      .getByRole('button', { name: /^G1\.1/ })
      .click();
    await thing('g1-1').getByRole('button', { name: 'Brace', exact: true }).click();
    // It is there, unfolded, to the girder that runs beside.
    await expect(workings.getByRole('textbox', { name: 'Held piece', exact: true })).toHaveValue('G1.1');
    await expect(workings.getByRole('textbox', { name: 'Other piece', exact: true })).toHaveValue('G2.1');
    await accessible(page);
    const held = workings.getByRole('textbox', { name: 'Other piece', exact: true });
    await held.fill('G9');
    await expect(workings.getByText('No piece is marked “G9”')).toBeVisible();
    await held.fill('g2.1');
    await workings.getByRole('textbox', { name: 'Held piece, from its first end' }).fill('10 ft');
    await workings.getByRole('textbox', { name: 'It weighs' }).last().fill('400 lb');
    await workings.getByRole('textbox', { name: 'Lifted to its place by' }).last().fill('the telescopic handler, D. Keogh');
    await saved(page);
    const { braces } = (await planOf(request, job)).structure;
    expect(braces).toHaveLength(before.braces.length + 1);
    const brace = braces.at(-1)!;
    expect(brace).toMatchObject({ kind: 'crossFrame', b: { piece: 'g2-1' }, liftedBy: 'the telescopic handler, D. Keogh' });
    expect(brace.a.at).toBeCloseTo(3.048, 6);
    // That nobody puts it in is asked, and more.
    await expect(count(page, 'missing')).toContainText(/[1-9]/);

    await thing('g1-1').getByRole('button', { name: 'Load on it' }).click();
    await field(page, 'What it is').fill('form panels');
    await field(page, 'It brings onto this piece').fill('900 lb');
    await field(page, 'It lies on, from its first end').fill('12 ft');
    await saved(page);
    const { loads } = (await planOf(request, job)).structure;
    expect(loads).toHaveLength(1);
    expect(loads[0]).toMatchObject({ what: 'form panels', piece: 'g1-1' });
    expect(loads[0]!.unsaid).toBeUndefined();
    expect(loads[0]!.force).toBeCloseTo(900 * 4.4482216, 0);

    await thing('g1-1').getByRole('button', { name: 'Support under it' }).click();
    await expect(field(page, 'Under')).toHaveValue('G1.1');
    await saved(page);
    const { supports } = (await planOf(request, job)).structure;
    expect(supports.at(-1)).toMatchObject({ kind: 'bearing', capacity: null, seats: [{ piece: 'g1-1' }] });
    await workings.getByRole('button', { name: 'Another piece rests on it' }).last().click();
    await field(page, 'Seat 2 under').fill('G2.1');
    await saved(page);
    expect((await planOf(request, job)).structure.supports.at(-1)!.seats.map(({ piece }) => piece)).toEqual(['g1-1', 'g2-1']);
    await workings.getByRole('button', { name: /^Remove Bearing of G1\.1, middle/ }).click();
    await station(page, 'Steel');
    await workings.getByRole('button', { name: 'Remove form panels' }).click();
    await workings.getByRole('button', { name: 'Remove Cross-frame, G1.1 and G2.1' }).click();
    await saved(page);
    const after = (await planOf(request, job)).structure;
    expect(after).toEqual(before);
  });

  test('a joint that was taken out is found again from the places, with its reason, and refused or taken', async ({ page, job, request }) => {
    const before = (await planOf(request, job)).structure;
    const workings = page.getByRole('complementary', { name: 'Workings' });
    await station(page, 'Steel');
    await workings.getByRole('button', { name: 'Remove Splice 1, line 1' }).click();
    await page.getByRole('button', { name: 'Pieces and their places' }).click();
    const dialog = page.getByRole('dialog', { name: 'Pieces and their places' });
    await dialog.getByRole('button', { name: 'Find what meets' }).click();
    await expect(dialog.getByText('1 joint and 0 supports found that the plan does not have')).toBeVisible();
    await expect(dialog.getByText(/its end lies at or within the other’s outline/)).toBeVisible();
    await accessible(page);
    await dialog.getByRole('checkbox', { name: /G1\.1 to G1\.2|G1\.2 to G1\.1/ }).click();
    await expect(dialog.getByRole('button', { name: /^Take \d/ })).toHaveCount(0);
    await dialog.getByRole('checkbox', { name: /G1\.1 to G1\.2|G1\.2 to G1\.1/ }).click();
    await dialog.getByRole('button', { name: 'Take 1 joint and 0 supports' }).click();
    await saved(page);
    const { joints } = (await planOf(request, job)).structure;
    expect(joints).toHaveLength(before.joints.length);
    expect(joints.at(-1)).toMatchObject({ kind: 'splice', holes: null });
    expect([joints.at(-1)!.a.piece, joints.at(-1)!.b.piece].sort()).toEqual(['g1-1', 'g1-2']);
    await dialog.getByRole('button', { name: 'Find what meets' }).click();
    await expect(dialog.getByText(/Nothing more is found/)).toBeVisible();
  });
});
