import type { Page } from '@playwright/test';
import { accessible, check, expect, field, planOf, saved, station, test } from './job';

const workings = (page: Page) => page.getByRole('complementary', { name: 'Workings' });

test.describe('beams one below the other on one hook', () => {
  test.use({ demo: 'passenger canopy' });
  test('two beams become a string; what nobody has said of it opens its own field; the lowest carries both', async ({ page, request, job }) => {
    await station(page, 'Picks');
    const panel = workings(page);
    const before = await check(page, 'string.apart').count();
    expect(before).toBe(0);
    await panel
      .getByRole('button', { name: /Hang .* below .* on one hook, from North apron/ })
      .first()
      .click();
    // Both hang by the same slings of the yard, and four things are still to be said.
    await expect(check(page, 'string.apart')).toBeVisible();
    await expect(check(page, 'gear.twice').first()).toBeVisible();
    await check(page, 'string.apart').getByRole('button').first().click();
    await expect(field(page, 'Beams hang apart, clear')).toBeFocused();
    await field(page, 'Beams hang apart, clear').fill('1.8');
    await field(page, 'The assembly may carry').fill('3000');
    await field(page, 'One point may carry').fill('900');
    await field(page, 'Made up by').fill('P. Varga');
    await field(page, 'Made up by').press('Tab');
    await panel.getByRole('combobox', { name: 'Lowered' }).click();
    await page.getByRole('option', { name: 'under power' }).click();
    await expect(check(page, 'string.rating')).toHaveAttribute('data-verdict', 'clear');
    // Six feet is not seven.
    await expect(check(page, 'string.apart')).toHaveAttribute('data-verdict', 'stop');
    await field(page, 'Beams hang apart, clear').fill('2.6');
    await field(page, 'Beams hang apart, clear').press('Tab');
    await expect(check(page, 'string.apart')).toHaveAttribute('data-verdict', 'clear');
    await accessible(page);
    // A third below them, and then the order the wrong way round.
    await panel.getByRole('combobox', { name: 'Hang a beam below them' }).click();
    await page.getByRole('option').nth(1).click();
    await expect(panel.getByRole('list', { name: 'From the top down' }).getByRole('listitem')).toHaveCount(3);
    await expect(check(page, 'string.order')).toHaveAttribute('data-verdict', 'stop');
    await saved(page);
    const [string] = (await planOf(request, job)).strings!;
    expect([string!.picks.length, string!.apart, string!.lowered]).toEqual([3, 2.6, true]);
  });
});

test.describe('what pulls a piece in', () => {
  test.use({ demo: 'ticket hall' });
  test('a winch of the yard pulls it up the ramp, by its tag and what it is made fast to; people push it on the flat', async ({ page, request, job }) => {
    await station(page, 'Gear');
    const panel = workings(page);
    await panel.getByRole('button', { name: 'Lifting gear', exact: true }).click();
    await panel
      .getByRole('button', { name: /^slings/ })
      .first()
      .click();
    await field(page, 'Number on it').fill('W 3');
    await panel.getByRole('combobox', { name: 'Gear is' }).click();
    await page.getByRole('option', { name: 'winch' }).click();
    await field(page, 'Its tag says').fill('10');
    await field(page, 'Its tag says').press('Tab');
    await station(page, 'Way in');
    await expect(check(page, 'gear.named').filter({ hasText: 'Quay ramp' })).toBeVisible();
    await check(page, 'gear.named').filter({ hasText: 'Quay ramp' }).getByRole('button').first().click();
    await panel.getByRole('combobox', { name: 'Take from the yard' }).click();
    await page.getByRole('option', { name: /W 3/ }).click();
    await expect(check(page, 'way.ramp')).toHaveAttribute('data-verdict', 'stop');
    await expect(check(page, 'gear.rating')).toContainText('its tag in the yard 10');
    await field(page, 'That may take').fill('0.05');
    await field(page, 'That may take').press('Tab');
    await expect(check(page, 'way.anchor').filter({ hasText: 'Quay ramp' })).toHaveAttribute('data-verdict', 'stop');
    await accessible(page);
    await panel.getByRole('combobox', { name: 'Pulled by' }).click();
    await page.getByRole('option', { name: 'people' }).click();
    await field(page, 'People').fill('4');
    await field(page, 'People').press('Tab');
    // Up a ramp it would run back on them.
    await expect(check(page, 'way.push')).toHaveAttribute('data-verdict', 'stop');
    await saved(page);
    const legs = (await planOf(request, job)).ways.flatMap((way) => way.legs);
    expect(legs.find(({ kind }) => kind === 'ramp')).toMatchObject({ pull: { kind: 'people', people: 4 } });
  });
});
