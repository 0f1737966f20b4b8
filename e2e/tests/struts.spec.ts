import AxeBuilder from '@axe-core/playwright';
import { made, region, setFigure, slip, start } from '../support/forms-desk.ts';
import { expect, newAirframe, saved, signUp, station, test } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

test('stands struts between the wings of a biplane, which follow when they are set out further and lean', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Moth');
  await station(page, 'Forms');
  await choose(start(page), 'Make', 'struts, supports and gussets');
  await expect(start(page).getByRole('status')).toContainText('Nothing stands over another thing yet');
  await expect(page.getByRole('button', { name: 'Make these 0' })).toBeDisabled();
  await choose(start(page), 'Make', 'a wing');
  await choose(start(page), 'What', 'a biplane');
  await page.getByRole('button', { name: 'Make both wings' }).click();
  await page.getByRole('button', { name: 'another form', exact: true }).click();
  await choose(start(page), 'Make', 'struts, supports and gussets');
  await page.getByRole('button', { name: 'Make this one' }).click();
  await expect(made(page)).toHaveText([/Wing strut.*2 ×/]);
  const struts = region(page, 'Struts');
  await struts.getByRole('button', { name: /^Wing strut/ }).click();
  await expect(struts.getByText('Ends bevelled, below · above')).toBeVisible();
  const before = await struts.getByRole('button', { name: /^Wing strut/ }).textContent();

  // Set out further above than below it leans: it is longer, and its ends are bevelled by that.
  await setFigure(struts, 'Above, out from the middle', '280');
  await expect(struts.getByRole('button', { name: /^Wing strut/ })).not.toHaveText(before!);
  await setFigure(struts, 'Above, out from the middle', '2000');
  await expect(region(page, 'Faults')).toContainText('Nothing stands above so far out');
  await page.keyboard.press('Control+z');
  await expect(region(page, 'Faults')).toHaveCount(0);

  // Down to the plate within, not through the spar: behind it the opening that it needs is told.
  await choose(struts, 'Its foot', 'on the plate within');
  await expect(region(page, 'Faults')).toContainText('There is no inner plate below');
  await setFigure(struts, 'Below, from, % of the chord', '45');
  await expect(struts.getByText('Opening in the sheet below')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');

  await page.keyboard.press('u');
  await expect(page.getByText(/pieces of \d+ parts stand together/)).toBeVisible({ timeout: 20_000 });
  await page.keyboard.press('u');
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/Faults.*none/, { timeout: 30_000 });
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(slip(page)).toBeVisible();
});
