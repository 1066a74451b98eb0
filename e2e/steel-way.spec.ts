import { wayIn } from '../tests/of-plan';
import { ifcModel, type IfcBar } from '../tests/ifc-model';
import type { Page } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { strToU8, zipSync } from 'fflate';
import { check, expect, field, move, planOf, saved, station, test } from './job';

test.use({ demo: 'ticket hall' });

async function choose(page: Page, name: string, option: string) {
  await page.getByRole('combobox', { name, exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

test('one piece cannot get in; cut as offered, it can', async ({ page, job, request }) => {
  await station(page, 'Way in');
  await page.getByRole('button', { name: 'Keep it in one piece' }).click();
  await expect(check(page, 'way.corner')).toHaveAttribute('data-verdict', 'stop');
  await expect(check(page, 'way.props')).toHaveAttribute('data-verdict', 'stop');
  // The eye finds on the plan where it sticks.
  await expect(page.locator('g[data-ref^="leg:"][data-verdict="stop"]')).toHaveCount(4);
  await expect(page.getByText('2 pieces will not do: a splice would stand too near the peak of the moment.')).toBeVisible();
  await page.locator('[data-split="3"]').first().getByRole('button', { name: 'Cut like this' }).click();
  await expect(check(page, 'way.corner')).toHaveAttribute('data-verdict', 'clear');
  await expect(page.locator('g[data-ref^="leg:"][data-verdict="stop"]')).toHaveCount(0);
  await saved(page);
  expect(wayIn(await planOf(request, job)).cuts).toHaveLength(2);
});

test('a day is typed as people write it or taken from a calendar, and always read back with its month in letters', async ({ page, job, request }) => {
  await station(page, 'Measure');
  const day = page.getByLabel('Cut list is of');
  await day.fill('9/11/2026');
  await day.blur();
  const shell = page.locator('[data-field]').filter({ has: day });
  await expect(shell.getByRole('alert')).toHaveText('9 Nov 2026 or 11 Sep 2026? Write the month in letters.');
  await expect(page.getByLabel('Cut list is of')).toHaveValue('9/11/2026');
  await day.fill('nov 9 2026');
  await expect(shell.getByRole('alert')).toHaveCount(0);
  await day.blur();
  await expect(day).toHaveValue('9 Nov 2026');
  await saved(page);
  expect((await planOf(request, job)).survey.cutListOn).toBe('2026-11-09');
  await expect(shell).toContainText('Mon');
  await shell.getByRole('button', { name: 'Open calendar' }).click();
  const calendar = page.getByRole('dialog');
  await expect(calendar.getByRole('button', { name: /9th, 2026, selected/ })).toBeFocused();
  expect((await new AxeBuilder({ page }).setLegacyMode(true).include('[role=dialog]').analyze()).violations).toEqual([]);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(calendar).toHaveCount(0);
  await expect(day).toHaveValue('16 Nov 2026');
  await saved(page);
  expect((await planOf(request, job)).survey.cutListOn).toBe('2026-11-16');
  await page.keyboard.press('Control+z');
  await expect(day).toHaveValue('9 Nov 2026');
  await day.fill('');
  await expect(check(page, 'measure.cutList').first()).toHaveAttribute('data-verdict', 'missing');
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

test('a model comes in', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Paste or import' }).click();
  await page.getByLabel('Files').setInputFiles('tests/files/two-beams.ifc');
  await expect(page.getByText('2 new, 0 changed, 0 the same, 1 not read')).toBeVisible();
  await page.getByRole('button', { name: 'Take 2' }).click();
  await expect(page.locator('[data-member="C1"]')).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
});

test('a ZIP of NC files comes in as one import; the one that cannot be read is named', async ({ page, job }) => {
  expect(job).toBeTruthy();
  const nc = (mark: string, length: number) =>
    [
      'ST',
      '** file',
      'JOB',
      '1',
      '1',
      mark,
      'S275JR',
      '2',
      'IPE300',
      'I',
      length.toFixed(2),
      '300.00',
      '150.00',
      '10.70',
      '7.10',
      '15.00',
      '42.20',
      '1.16',
      'EN',
    ].join('\r\n');
  const zip = zipSync({
    'a/N1.nc1': strToU8(nc('N1', 5200)),
    'a/N2.nc1': strToU8(nc('N2', 3100)),
    'a/broken.nc1': strToU8('not a part'),
    'readme.txt': strToU8('x'),
  });
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Paste or import' }).click();
  await page.getByLabel('Files').setInputFiles({ name: 'parts.zip', mimeType: 'application/zip', buffer: Buffer.from(zip) });
  await expect(page.getByText(/2 new, 0 changed, 0 the same, \d not read/)).toBeVisible();
  await expect(page.getByRole('list', { name: 'Not read' })).toContainText('broken.nc1');
  await page.getByRole('button', { name: 'Take 2' }).click();
  await expect(page.getByLabel('Length of N1')).toHaveValue('5.2');
});

test('sections stand side by side, by both schools; one is taken for the piece', async ({ page, job, request }) => {
  await station(page, 'Measure');
  await page.getByRole('button', { name: 'Compare sections' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.locator('[data-candidate]')).toHaveCount(4);
  const deep = dialog.locator('[data-candidate="UB 254x102x22"]');
  await expect(deep.locator('[data-school="eu-ls"]')).toHaveAttribute('data-verdict', 'clear');
  await expect(deep.getByRole('img', { name: 'stop' })).toBeVisible();
  await dialog.getByLabel('Top flange held every').fill('');
  await expect(deep.locator('[data-school="us-asd"]')).toHaveAttribute('data-verdict', 'missing');
  await dialog.getByLabel('Top flange held every').fill('0.4');
  await dialog.getByRole('button', { name: 'UC 152x152x37', exact: true }).click();
  await dialog.getByText('working').first().click();
  await expect(dialog.getByText('where the slope passes through nothing').first()).toBeAttached();
  await dialog.getByRole('button', { name: 'Lightest of these families that hold and fit' }).click();
  await expect(dialog.locator('[data-candidate]')).not.toHaveCount(4);
  const { violations } = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(violations.map((one) => one.id)).toEqual([]);
  await dialog.locator('[data-candidate="UC 152x152x37"]').getByRole('button', { name: 'Use for TH1' }).click();
  await saved(page);
  expect((await planOf(request, job)).members[0]!.make).toEqual({ kind: 'section', section: 'UC 152x152x37' });
});

test('a member is opened whole: its plates, whose weight goes, how it lies', async ({ page, job, request }) => {
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'All about TH4' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Web, thick').fill('12');
  await dialog.getByLabel('Layer there, 1 at the bottom').fill('2');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'All about TH5' }).click();
  await expect(dialog.locator('[data-weight="weighed"]')).toContainText('the plan goes by this one');
  await dialog.getByRole('combobox', { name: 'The plan goes by' }).click();
  await page.getByRole('option', { name: 'the calculated one' }).click();
  await expect(dialog.locator('[data-weight="calculated"]')).toContainText('the plan goes by this one');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await saved(page);
  const { members } = await planOf(request, job);
  expect(members[3]).toMatchObject({ make: { kind: 'girder', web: 0.012 }, stack: 2 });
  expect(members[4]!.use).toBe('calculated');
});

test('drawings that clash stop the job until somebody settles it', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Measure');
  await page.getByRole('button', { name: 'Clash of drawings' }).click();
  await expect(check(page, 'measure.overlay', 'Clash')).toHaveAttribute('data-verdict', 'stop');
  await page.getByRole('button', { name: /^Clash not settled/ }).click();
  await field(page, 'Settled like this').fill('door moved');
  await expect(check(page, 'measure.overlay', 'Clash')).toHaveAttribute('data-verdict', 'missing');
});

test('stairs on the way: asked about, then measured', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Way in');
  await page.getByRole('combobox', { name: 'Next leg' }).click();
  await page.getByRole('option', { name: 'stairs' }).click();
  await page.getByRole('button', { name: 'Leg', exact: true }).click();
  await expect(check(page, 'way.stairs', 'stairs')).toHaveAttribute('data-verdict', 'missing');
  // A second one has a name of its own, so that each is judged by itself.
  await page.getByRole('button', { name: 'Leg', exact: true }).click();
  await expect(check(page, 'way.stairs', 'stairs 2')).toHaveAttribute('data-verdict', 'missing');
  await page.getByRole('button', { name: 'Remove leg 12' }).click();
  await page.getByRole('button', { name: /^11 stairs/ }).click();
  for (const [name, value] of [
    ['Clear width', '0.9'],
    ['Landing depth', '0.9'],
    ['Head room, square to pitch', '2'],
  ] as const)
    await field(page, name).last().fill(value);
  await expect(check(page, 'way.stairs', 'stairs')).toHaveAttribute('data-verdict', 'stop');
});

test('a hold point is missing until a named person records it', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await move(page, 'm8').click();
  await expect(check(page, 'hold.HP6')).toHaveAttribute('data-verdict', 'missing');
  const form = page.getByRole('region', { name: 'Hold points' });
  await form.getByRole('button', { name: /HP6 Trial fit/ }).click();
  await form.getByLabel('Passed by').fill('T. Varga');
  await form.getByLabel('On', { exact: true }).fill('2026-11-02');
  await expect(form.getByRole('button', { name: 'Record the pass' })).toBeDisabled();
  await form.getByLabel('Evidence').fill('three pieces bolted up on the floor');
  await form.getByRole('button', { name: 'Record the pass' }).click();
  await expect(form.getByRole('button', { name: /HP6 Trial fit or works inspection passed T\. Varga, 2 Nov\w* 2026/ })).toBeVisible();
  await expect(page.locator('[data-check="hold.HP6"][data-verdict="missing"]')).toHaveCount(0);
});

test('the survey sheet: blanks are named, a cut list older than the measure is a stop, a skew lengthens the piece', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Measure');
  await field(page, 'Answers for a wrong measure').fill('');
  await expect(check(page, 'measure.sheet')).toHaveAttribute('data-verdict', 'missing');
  await field(page, 'Cut list by revision').fill('B');
  await expect(check(page, 'measure.revision')).toContainText('the cut list is of B');
  await field(page, 'Cut list by revision').fill('rev C');
  await expect(check(page, 'measure.revision')).toHaveAttribute('data-verdict', 'clear');
  await page.getByLabel('Cut list is of').fill('2026-10-17');
  await expect(check(page, 'measure.cutList')).toHaveAttribute('data-verdict', 'stop');
  await page.getByLabel('Layout last changed on').fill('2026-10-22');
  await expect(check(page, 'measure.stale', 'Hall opening')).toContainText('change of layout');
  const cut = page.getByRole('button', { name: /Hall opening · Length to cut/ });
  const before = await cut.textContent();
  await field(page, 'Reveals off square').fill('25');
  await expect(cut).not.toHaveText(before ?? '');
  await field(page, 'Air when it is set').fill('30');
  await expect(page.getByRole('button', { name: /Grows between measuring and setting/ })).toContainText('1.1');
});

test('pieces are counted by state, and a state picks its pieces out of the list', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Steel');
  await expect(page.locator('[data-state-count="stored"]')).toHaveText('stored 2');
  await page.locator('[data-state-count="stored"]').click();
  await expect(page.locator('[data-member]')).toHaveCount(2);
  await choose(page, 'State of TH2', 'set');
  await expect(page.locator('[data-state-count="set"]')).toHaveText('set 1');
  await page.locator('[data-state-count="stored"]').click();
  await expect(page.locator('[data-member]')).toHaveCount(6);
});

for (const name of ['Measure', 'Steel', 'Way in'])
  test(`${name} has no accessibility fault`, async ({ page, job }) => {
    expect(job).toBeTruthy();
    await station(page, name);
    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
    expect(violations.map((one) => `${one.id}: ${one.nodes[0]?.html}`)).toEqual([]);
  });

test('a list of another program: its titles passed over, its units shown and changed, nothing taken as kilometres', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Paste or import' }).click();
  const cells = page.getByLabel('Or paste the cells here');
  await cells.fill('Terminal steel\nList of May\n\nPos;Profil;Länge/mm;Stk\nX1;HEA 200;6.250;2\nX2;IPE 300;4.000;1\n');
  await expect(page.getByLabel('Lengths without a unit are')).toHaveText('as headed: mm');
  await expect(page.getByLabel('Decimals are written with')).toHaveText('a comma: 6,25');
  await expect(page.getByText('2 new, 0 changed, 0 the same')).toBeVisible();
  await cells.fill('Mark\tSection\tLength\nX1\tHEA 200\t6000\nX2\tIPE 300\t6\n');
  await expect(page.getByRole('list', { name: 'Not read' })).toContainText('X1 would be 6 000.00 m long');
  await choose(page, 'Lengths without a unit are', 'mm');
  await expect(page.getByRole('list', { name: 'Not read' })).toContainText('X2 would be');
  await cells.fill('2,X1,HEA 200,6250\n1,X2,203 UC 46,4000\n');
  await expect(page.getByText('Known here by another name: X2: 203 UC 46 as UC 203x203x46')).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'Number', exact: true })).toHaveText('column 1');
  await page.getByRole('button', { name: 'Take 2' }).click();
  await expect(page.getByLabel('Length of X1')).toHaveValue('6.25');
});

test('a list printed in columns under headings nobody here can read: what is not read is told, and chosen', async ({ page, job, request }) => {
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Paste or import' }).click();
  await page
    .getByLabel('Or paste the cells here')
    .fill(
      'ASSEMBLY LIST    Job 12\n\nZnak     Profil          Dlug [mm]  Ilosc\n-----------------------------------------\nN1       UB 305x165x40        5800      2\nN2       HEA 200             12250      1\n',
    );
  await expect(page.getByText('2 new, 0 changed, 0 the same')).toBeVisible();
  await expect(page.getByText('Not read: “Ilosc”')).toBeVisible();
  await choose(page, 'Number', 'Ilosc');
  await expect(page.getByText('Not read: “Ilosc”')).toHaveCount(0);
  await page.getByRole('button', { name: 'Take 2' }).click();
  await saved(page);
  expect((await planOf(request, job)).members.filter((one) => /^N\d$/.test(one.mark)).map((one) => [one.mark, one.length, one.count])).toEqual([
    ['N1', 5.8, 2],
    ['N2', 12.25, 1],
  ]);
});

test('a model that names its pieces badly: what was read otherwise is told before it is taken', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Paste or import' }).click();
  await page.getByLabel('Files').setInputFiles('tests/files/names-without-marks.ifc');
  const notes = page.getByRole('list', { name: 'Read otherwise than written' });
  await expect(notes).toContainText('The model calls the section “Träger 6”: by its measures it is IPE 300.');
  await expect(notes).toContainText('numbered BEAM to BEAM-2');
  const { violations } = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(violations.map((one) => one.id)).toEqual([]);
  await page.getByRole('button', { name: 'Take 5' }).click();
  await expect(page.getByLabel('Section of TB-12')).toHaveValue('IPE 300');
});

test('a model whose pieces have places: what was found is looked through, one joint refused, and it stands on the board', async ({ page, job, request }) => {
  const bars: IfcBar[] = [
    ...[0, 6].flatMap((x, i) =>
      [0, 5].map((y, j): IfcBar => ({ mark: `K${i}${j}`, kind: 'IFCCOLUMN', from: [x, y, 0], to: [x, y, 4], depth: 0.2, width: 0.2 })),
    ),
    ...[0, 5].map((y, j): IfcBar => ({ mark: `R${j}`, from: [0.1, y, 3.7], to: [j ? 5.7 : 5.9, y, 3.7] })),
  ];
  await station(page, 'Steel');
  await page.getByRole('button', { name: 'Paste or import' }).click();
  await page.getByLabel('Files').setInputFiles({ name: 'canopy.ifc', mimeType: 'application/x-step', buffer: Buffer.from(ifcModel(bars)) });
  const places = page.getByRole('region', { name: 'Where they stand' });
  await expect(places).toContainText('6 stand in the model; 3 joints and 4 supports found, 1 asked');
  await expect(places.getByRole('list', { name: 'Asked of the model' })).toContainText(
    'The second end of R1 reaches nothing within 60 mm along its line; K11 is 200 mm from it',
  );
  await places.getByRole('checkbox', { name: /R1 on the column K01/ }).uncheck();
  const { violations } = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(violations.map((one) => one.id)).toEqual([]);
  await places.getByRole('button', { name: 'Put 6 pieces, 2 joints and 4 supports in place' }).click();
  await saved(page);
  const { structure, moves } = await planOf(request, job);
  const heights = Object.fromEntries(structure.pieces.filter(({ mark }) => /^[KR]\d/.test(mark)).map(({ mark, from }) => [mark, from!.z]));
  expect(heights).toEqual({ K00: 0, K01: 0, K10: 0, K11: 0, R0: 3.55, R1: 3.55 });
  expect(structure.joints.filter(({ name }) => name.startsWith('R')).map(({ name }) => name)).toEqual(['R0 on K00', 'R0 on K10']);
  expect(moves.filter(({ kind }) => kind === 'support.ready').length).toBeGreaterThanOrEqual(4);
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
  expect((await planOf(request, job)).structure.pieces.some(({ mark }) => mark === 'R0')).toBe(false);
});

test('the path to ground is drawn and summed storey by storey; a load nobody knows is no sum', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await station(page, 'Measure');
  await page.getByRole('button', { name: /^Path to ground/ }).click();
  const sums = page.getByRole('table', { name: 'Summed by storey' });
  await expect(sums.locator('[data-storey]')).toHaveCount(3);
  await expect(sums.locator('[data-storey="0"]')).toContainText('kN in all');
  await field(page, 'Carries along it').fill('');
  await expect(sums.locator('[data-storey="-2"]')).toContainText('not known');
  await expect(page.locator('[data-path="Brick pier A"]')).not.toContainText('kN');
});

test('the engineer’s bolts in a splice: asked for, and held against what it needs meanwhile', async ({ page, job, request }) => {
  await station(page, 'Way in');
  await expect(check(page, 'way.bolts', 'splice 1')).toHaveAttribute('data-verdict', 'clear');
  await field(page, 'Bolts in each, by the engineer').fill('8');
  await expect(check(page, 'way.bolts', 'splice 2')).toHaveAttribute('data-verdict', 'stop');
  await expect(check(page, 'way.bolts', 'splice 1')).toContainText('it needs 10');
  await field(page, 'Bolts in each, by the engineer').fill('');
  await expect(check(page, 'way.bolts', 'splice 1')).toHaveAttribute('data-verdict', 'missing');
  await field(page, 'Bolts in each, by the engineer').fill('14');
  await field(page, 'Given by').fill('');
  await expect(check(page, 'way.bolts', 'splice 1')).toContainText('Who gave 14 bolts');
  await field(page, 'Given by').fill('A. Brandt');
  await expect(check(page, 'way.bolts', 'splice 1')).toHaveAttribute('data-verdict', 'clear');
  await saved(page);
  expect(wayIn(await planOf(request, job)).splice).toMatchObject({ bolts: 14, engineer: 'A. Brandt' });
});

test.describe('several ways in', () => {
  test.use({ demo: 'ticket hall' });
  test('a second way is for another piece, with legs of its own', async ({ page, job, request }) => {
    await station(page, 'Way in');
    await page.getByRole('button', { name: 'Way in', exact: true }).last().click();
    const which = page.getByRole('combobox', { name: 'Which way' });
    await expect(which).toContainText('Way in 2');
    await page.getByRole('combobox', { name: 'Piece' }).click();
    await page.getByRole('option', { name: 'TH1' }).click();
    await expect(check(page, 'way.twice')).toHaveAttribute('data-verdict', 'missing');
    await page.getByRole('combobox', { name: 'Piece' }).click();
    await page.getByRole('option', { name: 'TH6' }).click();
    await expect(check(page, 'way.twice')).toHaveCount(0);
    await expect(check(page, 'way.route', 'TH6')).toHaveAttribute('data-verdict', 'missing');
    await page.getByRole('button', { name: 'Leg', exact: true }).click();
    await saved(page);
    const { ways } = await planOf(request, job);
    expect(ways.map(({ member, legs }) => [member, legs.length])).toEqual([
      ['m-th1', 10],
      ['m-th6', 1],
    ]);
    await which.click();
    await page.getByRole('option', { name: 'TH1' }).click();
    await expect(page.getByRole('button', { name: /^6 Corridor corner/ })).toBeVisible();
  });
});
