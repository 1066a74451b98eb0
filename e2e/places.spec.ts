import { accessible, expect, planOf, saved, station, test } from './job';

test.describe('many pieces at once', () => {
  test.use({ demo: 'quay footbridge' });

  test('chosen together they are set once more, mirrored, put elsewhere and typed; each is one step back', async ({ page, job, request }) => {
    await station(page, 'Steel');
    await page.getByRole('button', { name: 'Pieces and their places' }).click();
    const dialog = page.getByRole('dialog', { name: 'Pieces and their places' });
    const before = (await planOf(request, job)).structure;
    const count = before.pieces.length;
    await expect(dialog.getByRole('status')).toHaveText(`0 of ${count} chosen`);
    await expect(dialog.getByRole('button', { name: /Set once more/ })).toBeDisabled();
    // All of them, from the first to the last with the shift key.
    await dialog.getByRole('checkbox').first().click();
    await dialog
      .getByRole('checkbox')
      .last()
      .click({ modifiers: ['Shift'] });
    await expect(dialog.getByRole('status')).toHaveText(`${count} of ${count} chosen`);
    await accessible(page);
    await dialog.getByLabel('By north').fill('30');
    await dialog.getByLabel('Times').fill('2');
    await dialog.getByRole('button', { name: /Set once more/ }).click();
    await expect(dialog.getByRole('status')).toHaveText(`${count} of ${3 * count} chosen`);
    await saved(page);
    const copied = (await planOf(request, job)).structure;
    expect(copied.pieces[2 * count]!.from!.y).toBeCloseTo(before.pieces[0]!.from!.y + 60, 6);
    expect(copied.supports).toHaveLength(3 * before.supports.length);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await saved(page);
    expect((await planOf(request, job)).structure).toEqual(before);
    await page.getByRole('button', { name: 'Pieces and their places' }).click();
    await dialog.getByRole('checkbox').first().click();
    await dialog.getByLabel('The line lies at').fill('-10');
    await dialog.getByRole('button', { name: 'Set in the mirror' }).click();
    await expect(dialog.getByRole('status')).toHaveText(`1 of ${count + 1} chosen`);
    await dialog.getByLabel('By level').fill('500 mm');
    await dialog.getByRole('button', { name: 'Put there' }).click();
    const mark = before.pieces[0]!.mark;
    const cell = dialog.getByRole('textbox', { name: `${mark}, from east`, exact: true });
    await cell.fill('1.25');
    await cell.press('Enter');
    await saved(page);
    const { pieces } = (await planOf(request, job)).structure;
    expect(pieces[0]!.from).toMatchObject({ x: 1.25, z: before.pieces[0]!.from!.z + 0.5 });
    expect(pieces[count]!.to!.x).toBeCloseTo(-20 - before.pieces[0]!.to!.x, 6);
    await dialog.getByRole('button', { name: 'Take 1 out' }).click();
    await expect(dialog.getByRole('status')).toHaveText(`0 of ${count} chosen`);
  });

  test('a new piece has no place until all three figures of both its ends are typed', async ({ page, job, request }) => {
    await station(page, 'Steel');
    await page.getByRole('button', { name: 'Pieces and their places' }).click();
    const dialog = page.getByRole('dialog', { name: 'Pieces and their places' });
    const name = `New ${(await planOf(request, job)).structure.pieces.length + 1}`;
    await dialog.getByRole('button', { name: 'A new piece' }).click();
    await dialog.getByLabel('Find by mark or make').fill(name);
    const type = async (end: string, figures: [string, string, string]) => {
      for (const [i, axis] of (['east', 'north', 'level'] as const).entries()) {
        const cell = dialog.getByRole('textbox', { name: `${name}, ${end} ${axis}`, exact: true });
        await cell.fill(figures[i]!);
        await cell.press('Tab');
      }
    };
    await type('from', ['0', '40', '3']);
    await saved(page);
    expect((await planOf(request, job)).structure.pieces.at(-1)).toMatchObject({ mark: name, from: { x: 0, y: 40, z: 3 }, to: null });
  });
});

test('a table with grid references puts columns and a beam in place, with what was found of them', async ({ page, job, request }) => {
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Places from a table' }).click();
  const dialog = page.getByRole('dialog', { name: 'Places from a table' });
  await dialog.getByLabel('Grid lines running north').fill('A 30; B 36');
  await dialog.getByLabel('Grid lines running east').fill('1 40; 2');
  await expect(dialog.getByRole('list', { name: 'Not read' })).toContainText('“2” is no line of a grid');
  await dialog.getByLabel('Grid lines running east').fill('1 40');
  await dialog
    .getByLabel('Paste the cells here')
    .fill(
      'mark\tsection\tfrom\tto\tlevel\nC1\tUC 203x203x60\tA/1\tA/1\t0 to 4.2\nC2\tUC 203x203x60\tB/1\tB/1\t0 to 4.2\nB1\tUB 305x165x40\tA/1\tB/1\t3.8\nB9\tUB 305x165x40\tA/1\tZ/9\t3.8',
    );
  await expect(dialog.getByRole('list', { name: 'Not read' })).toContainText('“Z/9”');
  await expect(dialog).toContainText('3 stand in the model; 2 joints and 2 supports found');
  await accessible(page);
  await dialog.getByRole('button', { name: /^Put 3 pieces, 2 joints and 2 supports in place/ }).click();
  await saved(page);
  const { structure, moves } = await planOf(request, job);
  expect(structure.pieces.map(({ mark }) => mark)).toEqual(['C1', 'C2', 'B1']);
  expect(structure.pieces[2]!.from).toEqual({ x: 30, y: 40, z: 3.8 });
  expect(moves.filter(({ kind }) => kind === 'piece.hang')).toHaveLength(3);
});
