import { gzipSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { accessible, check, count, expect, field, move, open, openJob, planOf, saved, station, test } from './job';

test('the jobs table shows the demo and how it stands', async ({ page }) => {
  await open(page, '/');
  const row = page.getByRole('row').filter({ has: page.locator('a[href="/jobs/demo-luggage-hall"]') });
  await expect(row).toContainText('Wrenholm ferry terminal');
  // The jobs are checked one after another, those of other tests too.
  await expect(row).toContainText('clear', { timeout: 60_000 });
  await row.getByRole('link').click();
  await expect(page.getByRole('heading', { name: 'Move 7 · Lift, swing, over' })).toBeVisible();
});

for (const [path, most] of [
  ['/', 150_000],
  ['/jobs/demo-vehicle-ramp', 300_000],
] as const)
  test(`what ${path} reads before it can be used is small`, async ({ request }) => {
    const html = await (await request.get(path)).text();
    const scripts = [...html.matchAll(/<script[^>]*src="(\/_next\/[^"]+\.js[^"]*)"[^>]*>/g)].filter(([tag]) => !tag.includes('noModule'));
    expect(scripts.length).toBeGreaterThan(5);
    let bytes = 0;
    for (const [, url] of scripts) bytes += gzipSync(await (await request.get(url!)).body(), { level: 9 }).length;
    expect(bytes).toBeLessThan(most);
  });

test('from “New job” to a pick with everything known', async ({ page }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).click();
  const dialog = page.getByRole('dialog', { name: 'New job' });
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Give the job a name.');
  await dialog.getByLabel('Name').fill('Ticket office lintel');
  await dialog.getByLabel('Place').fill('Wrenholm ferry terminal');
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await expect(count(page, 'missing')).not.toContainText(/^0/);
  await expect(count(page, 'stop')).toContainText('0');
  await station(page, 'Picks');
  await field(page, 'Rating of one leg').fill('1 t');
  await field(page, 'Slings and shackles weigh').fill('30');
  await expect(check(page, 'rigging.tension')).toHaveAttribute('data-verdict', 'clear');
  await saved(page);
});

const begin = async (page: Page, name: string, what: string, fill: Record<string, string>) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).click();
  const dialog = page.getByRole('dialog', { name: 'New job' });
  await expect(dialog.getByLabel('Name')).toBeFocused();
  await page.keyboard.type(name);
  await dialog.getByRole('combobox', { name: 'What is built, and how it goes up' }).click();
  await page.getByRole('option', { name: what }).click();
  for (const [label, value] of Object.entries(fill)) await dialog.getByLabel(label, { exact: true }).fill(value);
  return dialog;
};

test('a frame of six columns and nine beams stands from a new job; a section nobody knows is said first', async ({ page, request }) => {
  const dialog = await begin(page, 'Ferry shelter', 'A frame of columns and beams', {
    'Bays along': '2 x 6 m',
    'Bays across': '5 m',
    Levels: '4 m',
    Columns: 'HEB 200',
    Beams: 'IPE 301',
    'Beams between, in each bay': '1',
    'Section of those between': 'IPE 240',
  });
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await expect(dialog.getByRole('alert')).toContainText('“IPE 301” is not in the section tables');
  await accessible(page);
  await dialog.getByLabel('Beams', { exact: true }).fill('IPE 300');
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await page.waitForURL(/\/jobs\/.+/);
  expect((await planOf(request, page.url().split('/').pop()!)).structure.pieces).toHaveLength(15);
  await expect(count(page, 'stop')).toContainText('0');
  await station(page, 'Measure');
  await page.getByRole('button', { name: /^Base A1/ }).click();
  await field(page, 'May carry').first().fill('300');
  await field(page, 'Anchors').fill('4');
  await page.getByRole('combobox', { name: 'Its footing is' }).click();
  await page.getByRole('option', { name: 'concrete', exact: true }).click();
  await field(page, 'Strength intended').fill('30');
  // Said of one base, said of all: in one press, taken back in one.
  const bases = async () => {
    await saved(page);
    const { structure } = await planOf(request, page.url().split('/').pop()!);
    return structure.supports.map(({ capacity, anchors, footing }) => [capacity, anchors?.count ?? null, footing?.kind ?? null]);
  };
  const [one, none] = [
    [300e3, 4, 'concrete'],
    [null, null, null],
  ];
  expect(await bases()).toEqual([one, none, none, none, none, none]);
  await page.getByRole('button', { name: /Say the same of 5 supports/ }).click();
  await expect(page.getByRole('button', { name: /Say the same of/ })).toHaveCount(0);
  expect(await bases()).toEqual([one, one, one, one, one, one]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /Say the same of 5 supports/ })).toBeVisible();
  expect(await bases()).toEqual([one, none, none, none, none, none]);
});

test('two girder lines on two piers and a bent, spliced, stand from a new job', async ({ page, request }) => {
  const dialog = await begin(page, 'Quay bridge', 'Girders on piers and bents', {
    'Girder lines side by side': '2',
    'From line to line': '3 m',
    Spans: '24 m',
    'Runs past its end bearings': '0.3 m',
    'Level of the bearings': '5 m',
    'Web, deep': '900 mm',
    'Web, thick': '16 mm',
    'Flanges, wide': '400 mm',
    'Flanges, thick': '30 mm',
    'Splices at': '14 m',
    'Bents at': '12 m',
    'Cross-frames at': '0 m; 8 m; 16 m; 24 m',
    'Grade of the steel': 'S355',
  });
  await dialog.getByRole('button', { name: 'Begin' }).click();
  // Nobody has weighed the four cross-frames yet.
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText('Steel4 missing');
  expect((await planOf(request, page.url().split('/').pop()!)).structure.pieces).toHaveLength(4);
  await expect(count(page, 'stop')).toContainText('0');
  await expect(move(page, 'm24')).toContainText('Strike Bent 1, line 2');
});

test('a beam into a building never shows a crane', async ({ page }) => {
  const dialog = await begin(page, 'Ticket office wall', 'A beam into a building, without a crane', {});
  await dialog.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText('no crane');
  await station(page, 'Way in');
  await expect(page.getByLabel('Lifted into place by')).toHaveValue('two mast lifts');
  await station(page, 'Shores');
  await expect(page.getByRole('button', { name: /^Storey of the opening/ })).toBeVisible();
});

test('no such job is said plainly', async ({ page }) => {
  const response = await page.goto('/jobs/none');
  expect(response?.status()).toBe(404);
  await expect(page.getByRole('heading')).toContainText('no such page');
});

test('nothing is asked of any other host', async ({ page, job }) => {
  const asked = new Set<string>();
  page.on('request', (request) => {
    const { protocol, host } = new URL(request.url());
    if (protocol.startsWith('http')) asked.add(host);
  });
  await openJob(page, job);
  await open(page, '/');
  expect([...asked]).toEqual(['localhost:4312']);
});

for (const name of ['Measure', 'Steel', 'Gear', 'Picks', 'Run sheet'])
  test(`${name} passes the accessibility checks`, async ({ page, job }) => {
    expect(job).toBeTruthy();
    await station(page, name);
    await accessible(page);
  });

test('a stop opened to its working, and the rules, pass the accessibility checks', async ({ page, job }) => {
  expect(job).toBeTruthy();
  await move(page, 'm10').click();
  await field(page, 'Bolts put in').fill('1');
  await move(page, 'm11').click();
  await check(page, 'release.bolts').getByRole('button').click();
  await accessible(page);
  await page.keyboard.press('r');
  await accessible(page);
});

test('the jobs table and the new-job sheet pass the accessibility checks', async ({ page }) => {
  await open(page, '/');
  await accessible(page);
  await page.getByRole('button', { name: 'New job' }).click();
  await accessible(page);
});

test('at tablet width nothing is pushed off the screen, and a phone can read the moves', async ({ page, job }) => {
  expect(job).toBeTruthy();
  for (const [width, height] of [
    [1024, 768],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
  }
  await expect(page.getByRole('button', { name: /Move 7:/ })).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a job opens at its top, a finger on the drawing scrolls the page, nothing to press is under 44 px', async ({ page, job }) => {
    expect(job).toBeTruthy();
    await expect(page.getByRole('button', { name: /Move 7:/ })).toBeVisible();
    expect(await page.evaluate(() => window.scrollY)).toBe(0);
    const small = await page.evaluate(() =>
      [...document.querySelectorAll('button, a, input, select, summary')]
        .map((one) => ({ of: one.getAttribute('aria-label') ?? one.textContent, box: one.getBoundingClientRect() }))
        .filter(({ box }) => box.width > 0 && (box.width < 44 || box.height < 44))
        .map(({ of }) => of),
    );
    expect(small).toEqual([]);
    const drawing = await page.locator('[data-sheet="Plan"]').boundingBox();
    const touch = await page.context().newCDPSession(page);
    const [x, y] = [drawing!.x + drawing!.width / 2, drawing!.y + drawing!.height - 60];
    const put = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: number) =>
      touch.send('Input.dispatchTouchEvent', { type, touchPoints: at === undefined ? [] : [{ x, y: at }] });
    await put('touchStart', y);
    for (let i = 1; i <= 10; i += 1) await put('touchMove', y - 20 * i);
    await put('touchEnd');
    await expect.poll(() => page.evaluate(() => window.scrollY)).toBeGreaterThan(100);
  });
});
