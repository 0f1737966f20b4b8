import AxeBuilder from '@axe-core/playwright';
import { made, setFigure, slip, start } from '../support/forms-desk.ts';
import { expect, newAirframe, saved, signUp, station, test, ticket } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

test('makes a tapered pod of four frusta with a deck, and sees it rolled', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Seed');
  await station(page, 'Forms');
  await choose(start(page), 'Make', 'a round, rolled');
  await setFigure(start(page), 'Across at the nose', '80');
  await setFigure(start(page), 'Across, where widest', '90');
  await setFigure(start(page), 'Across at the tail', '50');
  await page.getByRole('button', { name: 'Make the round' }).click();
  await expect(made(page)).toHaveText([/frustum 1/, /frustum 2/, /frustum 3/, /frustum 4/, /ring 1/, /ring 2/]);
  // Four seams and three joints between the frusta.
  await expect(page.getByText(/7 closed$/)).toBeVisible({ timeout: 30_000 });
  await expect(slip(page).getByRole('table').getByRole('row')).toHaveCount(5);
  await expect(slip(page).getByText('off the curve at most')).toBeVisible();

  // Wound of bare foam the neutral line lies deeper: every sheet is narrower, and the foam would tear.
  await choose(slip(page), 'Rolled with', 'bare foam');
  await expect(slip(page).getByRole('region', { name: 'Faults' })).toContainText('the foam tears outside');
  await page.keyboard.press('Control+z');
  await expect(slip(page).getByRole('region', { name: 'Faults' })).toHaveCount(0);

  // A cone without a bore is refused with what works, and mended with one press.
  await slip(page)
    .getByRole('button', { name: /^3 at 360/ })
    .click();
  await setFigure(slip(page), 'Across, outside', '10');
  const faults = slip(page).getByRole('region', { name: 'Faults' });
  await expect(faults).toContainText('leaves no bore');
  await faults.getByRole('button', { name: /^Set/ }).click();
  await expect(faults).not.toContainText('leaves no bore');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');

  await page.getByRole('button', { name: 'another form', exact: true }).click();
  await choose(start(page), 'Make', 'a wrapped deck');
  await page.getByRole('button', { name: 'Make the deck' }).click();
  await expect(made(page)).toHaveText([/^Deck/, /Deck former 1/, /Deck former 2/]);
  await expect(slip(page).getByText('0.00 %')).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByText('3 pieces of 3 parts stand together')).toBeVisible({ timeout: 20_000 });
  await page.keyboard.press('u');

  // A third section, full where the others are not, cannot be passed over by one sheet.
  await slip(page).getByRole('button', { name: 'Add a section' }).click();
  await setFigure(slip(page), 'Wide, outside', '100');
  await choose(slip(page), 'Sheets', 'one over all');
  await expect(faults).toContainText('One sheet misses section 2');
  await faults.getByRole('button', { name: 'Make a sheet for each bay' }).click();
  await expect(made(page)).toHaveCount(5);
  await expect(made(page).filter({ hasText: 'sheet' })).toHaveCount(2);

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(made(page).first()).toContainText('frustum 1');
  await station(page, 'Boards');
  await page.getByRole('button', { name: /^Nest/ }).first().click();
  await expect(ticket(page, 'Boards')).toContainText('%', { timeout: 60_000 });
});
