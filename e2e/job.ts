import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type APIRequestContext, type Locator, type Page } from '@playwright/test';
import { demoPlan, linkSpan, passengerCanopy, quayFootbridge, ticketHall, vehicleRamp } from '../tests/demo-plan';
import type { Plan } from '../src/core/document/schema';

export async function makeJob(request: APIRequestContext, edit: (plan: Plan) => void = () => undefined, plan: Plan = demoPlan()): Promise<string> {
  edit(plan);
  const response = await request.post('/api/jobs', { data: plan, maxRetries: 3 });
  expect(response.status()).toBe(201);
  return ((await response.json()) as { id: string }).id;
}

const running = (page: Page) => expect(page.locator('main[aria-busy="false"]')).toBeVisible();

/** A page as a person meets it: the browser runs it. What is pressed on its picture before is lost. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await running(page);
}

export async function reload(page: Page): Promise<void> {
  await page.reload();
  await running(page);
}

export async function openJob(page: Page, id: string): Promise<void> {
  await open(page, `/jobs/${id}`);
  await expect(page.locator('[data-saving]')).toContainText('Saved');
  // The strip goes to the opening move when the verdict comes: nothing is pressed on it before.
  await expect(page.getByText('Working out the checks')).toHaveCount(0);
}

export const station = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('button', { name: new RegExp(name) })
    .click();
export const field = (page: Page, name: string) => page.getByRole('complementary', { name: 'Workings' }).getByRole('textbox', { name, exact: true });
export const check = (page: Page, id: string, subject?: string) => page.locator(`[data-check="${id}"]${subject ? `[data-subject="${subject}"]` : ''}`);
export const count = (page: Page, verdict: string) => page.locator(`[data-count="${verdict}"]`);
export const move = (page: Page, id: string) => page.locator(`[data-move="${id}"]`);
/** Where a thing of the drawing stands once the drawing no longer moves: it follows the station a moment later. */
export async function standing(thing: Locator): Promise<{ x: number; y: number; width: number; height: number }> {
  let last = await thing.boundingBox();
  for (let calm = 0; calm < 4;) {
    await thing.page().waitForTimeout(120);
    const now = await thing.boundingBox();
    calm = JSON.stringify(now) === JSON.stringify(last) ? calm + 1 : 0;
    last = now;
  }
  if (!last) throw new Error('it is not drawn');
  return last;
}
/** The pointer takes hold at a place, and lets go so much further. */
export async function drag(page: Page, from: { x: number; y: number }, by: { x: number; y: number }): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + by.x / 2, from.y + by.y / 2, { steps: 4 });
  await page.mouse.move(from.x + by.x, from.y + by.y, { steps: 4 });
  await page.mouse.up();
}

/** Nothing on the page that the accessibility rules of WCAG 2.2 AA find. In one go: no page here has a frame, and nobody reads what passes. */
export const accessible = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(
    violations.map(
      (one) =>
        `${one.id}: ${one.nodes
          .map((node) => node.target.join(' '))
          .slice(0, 4)
          .join(' | ')}`,
    ),
  ).toEqual([]);
};
export const saved = (page: Page) => expect(page.locator('[data-saving]')).toHaveAttribute('data-saving', 'saved');
export const planOf = async (request: APIRequestContext, id: string): Promise<Plan> =>
  (await (await request.get(`/api/jobs/${id}/plan`, { maxRetries: 3 })).json()) as Plan;

/** A page with a job of its own, made from the demo. A script error anywhere fails the test. */
const demos = {
  'luggage hall': demoPlan,
  'ticket hall': ticketHall,
  'quay footbridge': quayFootbridge,
  'passenger canopy': passengerCanopy,
  'vehicle ramp': vehicleRamp,
  'link span': linkSpan,
};

export const test = base.extend<{ job: string; demo: keyof typeof demos }>({
  demo: ['luggage hall', { option: true }],
  job: async ({ page, request, demo }, hand) => {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    const id = await makeJob(request, undefined, demos[demo]());
    await openJob(page, id);
    await hand(id);
    expect(errors).toEqual([]);
  },
});
export { expect };
