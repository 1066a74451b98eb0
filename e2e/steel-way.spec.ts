import AxeBuilder from '@axe-core/playwright';
import { check, expect, field, planOf, saved, station, test } from './job';

test.use({ demo: 'ticket hall' });

test('one piece cannot get in; cut as offered, it can', async ({ page, job, request }) => {
  await station(page, 'Way in');
  await page.getByRole('button', { name: 'Keep it in one piece' }).click();
  await expect(check(page, 'way.corner')).toHaveAttribute('data-verdict', 'stop');
  await expect(check(page, 'way.props')).toHaveAttribute('data-verdict', 'stop');
  await expect(page.getByText('2 pieces will not do: a splice would stand too near the peak of the moment.')).toBeVisible();
  await page.locator('[data-split="3"]').getByRole('button', { name: 'Cut like this' }).click();
  await expect(check(page, 'way.corner')).toHaveAttribute('data-verdict', 'clear');
  await saved(page);
  expect((await planOf(request, job)).wayIn.cuts).toHaveLength(2);
});

test('the tape goes before the drawing, and who held it is asked', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Measure');
  await field(page, 'Clear, measured').fill('3.80');
  await expect(page.locator('[data-figure="cut"]')).toContainText('4.094 m');
  await expect(check(page, 'measure.differs')).toContainText('narrower than drawn');
  await field(page, 'Measured by').first().fill('');
  await expect(check(page, 'measure.who')).toHaveAttribute('data-verdict', 'missing');
});

test('steel pasted from a spreadsheet is told before it is taken, and undone in one step', async ({ page, job, request }) => {
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Paste or import' }).click();
  await page.getByLabel('Or paste the cells here').fill('Mark\tSection\tLength\tNo\nTH6\tUB 203x102x23\t3.3\t2\nX1\tIPE 300\t6\t4\nX2\tIPE 300\tlong\t1\n');
  await expect(page.getByText('1 new, 1 changed, 0 the same, 1 not read')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Not read' })).toContainText('row 4');
  await page.getByRole('button', { name: 'Take 2' }).click();
  await expect(page.locator('[data-member="X1"]')).toContainText('kg');
  await saved(page);
  expect((await planOf(request, job)).members).toHaveLength(7);
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.locator('[data-member="X1"]')).toHaveCount(0);
  await saved(page);
  expect((await planOf(request, job)).members.find((one) => one.mark === 'TH6')!.length).toBe(3.2);
});

test('a cell that cannot be read says why and changes nothing', async ({ page, job, request }) => {
  await station(page, 'Steel');
  const cell = page.getByLabel('Length of TH2');
  await cell.fill('soon');
  await cell.press('Enter');
  await expect(page.locator('[data-member="TH2"]').getByRole('alert')).toBeVisible();
  await expect(page.getByLabel('Length of TH3')).toBeFocused();
  await cell.fill('2.7');
  await cell.press('Tab');
  await saved(page);
  expect((await planOf(request, job)).members[1]!.length).toBe(2.7);
});

test('an NC file and a model come in; lorry loads go out', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Paste or import' }).click();
  await page.getByLabel('Files').setInputFiles('tests/files/two-beams.ifc');
  await expect(page.getByText('2 new, 0 changed, 0 the same, 1 not read')).toBeVisible();
  await page.getByRole('button', { name: 'Take 2' }).click();
  await expect(page.locator('[data-member="C1"]')).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
  await page.getByRole('button', { name: 'Lorry loads' }).click();
  await page.getByRole('button', { name: /^Bundle \d+ pieces/ }).click();
  await expect(page.getByText(/TH1 is more than this lorry takes/)).toBeVisible();
  await page.getByLabel('Deck length').fill('6');
  await page.getByRole('button', { name: /^Bundle \d+ pieces/ }).click();
  await expect(page.getByText('Load 1')).toBeVisible();
});

test('a hold point is missing until a named person records it', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Run sheet');
  await expect(check(page, 'hold.HP6')).toHaveAttribute('data-verdict', 'missing');
  const form = page.getByRole('region', { name: 'Hold points' });
  await form.getByRole('button', { name: /HP6 Trial fit/ }).click();
  await form.getByLabel('Passed by').fill('T. Varga');
  await form.getByLabel('On', { exact: true }).fill('2026-11-02');
  await expect(form.getByRole('button', { name: 'Record the pass' })).toBeDisabled();
  await form.getByLabel('Evidence').fill('three pieces bolted up on the floor');
  await form.getByRole('button', { name: 'Record the pass' }).click();
  await expect(check(page, 'hold.HP6')).toHaveAttribute('data-verdict', 'clear');
});

for (const name of ['Measure', 'Steel', 'Way in'])
  test(`${name} has no accessibility fault`, async ({ page, job }) => {
    expect(job).toBeTruthy();
    await station(page, name);
    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
    expect(violations.map((one) => `${one.id}: ${one.nodes[0]?.html}`)).toEqual([]);
  });
