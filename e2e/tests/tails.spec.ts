import AxeBuilder from '@axe-core/playwright';
import { made, region, setFigure, slip, start } from '../support/forms-desk.ts';
import { expect, newAirframe, saved, signUp, station, test, ticket } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

test('makes a tail whose elevator is cut out for ±25° and a rudder of ±30°, then whose rudder swings between its halves', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Drake');
  await station(page, 'Forms');
  await choose(start(page), 'Make', 'a tail of flat plates');
  await page.getByRole('button', { name: 'Make the tail' }).click();
  await expect(made(page)).toHaveText([/stabiliser/, /elevator/, /fin/, /rudder/]);
  await expect(slip(page).getByText('Elevator loses, along × across')).toBeVisible();
  const figures = region(page, 'Figures');
  await expect(figures.getByText(/at 25/)).toHaveCount(2);
  await expect(figures.getByText('32°')).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByText('4 pieces of 4 parts stand together')).toBeVisible({ timeout: 20_000 });
  await page.keyboard.press('u');

  // Cut back instead, the rudder loses what the elevator lost.
  await choose(region(page, 'Room to move'), 'Where they meet', 'the rudder is cut back');
  await expect(slip(page).getByText('Rudder loses, along × up')).toBeVisible();
  await expect(slip(page).getByText('Elevator loses, along × across')).toHaveCount(0);
  await page.keyboard.press('Control+z');

  // A rudder that reaches down past the elevator parts it: two halves let it through, with a wire between them.
  await setFigure(region(page, 'Fin and rudder'), 'Foot over the stabiliser', '-20');
  const faults = region(page, 'Faults');
  await expect(faults).toContainText('The rudder cuts the elevator through');
  await faults.getByRole('button', { name: 'Take two halves' }).click();
  await expect(made(page).filter({ hasText: 'elevator half' })).toContainText('2 ×');
  await expect(figures.getByText('Wire between the halves')).toBeVisible();

  // A travel that no relief lets be is refused with its limit.
  await setFigure(region(page, 'Elevator'), 'Travels up', '80');
  await expect(region(page, 'Elevator').getByText(/60/).first()).toBeVisible();
  await page.keyboard.press('Escape');

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(made(page)).toHaveCount(4);
  await station(page, 'Boards');
  await page.getByRole('button', { name: /^Nest/ }).first().click();
  await expect(ticket(page, 'Boards')).toContainText('%', { timeout: 60_000 });
});

test('makes a V-tail of two panels, with the gauge of its cant', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Swift');
  await station(page, 'Forms');
  await choose(start(page), 'What', 'a V-tail');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await expect(made(page).first()).toContainText('V-tail');
  await slip(page)
    .getByRole('button', { name: /^Blocks, wedges, jigs and gauges/ })
    .click();
  await region(page, 'Blocks and jigs').getByText('Angles for the joints', { exact: true }).click();
  await expect(made(page).filter({ hasText: /angle/ }).first()).toBeVisible();
});
