import AxeBuilder from '@axe-core/playwright';
import { made, region, setFigure, slip } from '../support/forms-desk.ts';
import { expect, newAirframe, saved, signUp, station, test, ticket } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

test('makes a power box for an unequal cross, 2° to the right and 3° down, the propeller’s middle on the line', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Tern');
  await station(page, 'Forms');
  await choose(page.locator('.start'), 'Make', 'a power box and firewall');
  await page.getByRole('button', { name: 'Make the power box' }).click();
  await expect(made(page)).toHaveText([/Power box strip/, /firewall 1/, /firewall, inside 1/]);
  await expect(slip(page).getByText('top, port')).toBeVisible();
  await expect(region(page, 'Firewall').getByText('an unequal cross')).toBeVisible();
  // Without thrust angles the motor stands in the middle.
  await setFigure(region(page, 'Thrust'), 'Thrust to the right', '0');
  await setFigure(region(page, 'Thrust'), 'Thrust down', '0');
  await expect(region(page, 'Numbers').getByText('0.0 mm · 0.0 mm')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(region(page, 'Numbers').getByText('0.0 mm · 0.0 mm')).toHaveCount(0);

  await page.keyboard.press('u');
  await expect(page.getByText('3 pieces of 3 parts stand together')).toBeVisible({ timeout: 20_000 });
  await page.keyboard.press('u');

  await region(page, 'Firewall').getByText('A nose ring', { exact: true }).click();
  await expect(made(page).filter({ hasText: 'nose ring' })).toHaveCount(1);
  // A pattern that runs off the plate is told of.
  await setFigure(region(page, 'Firewall'), 'Bolt to bolt', '90');
  await expect(region(page, 'Faults')).toContainText('of plate at its edge');
  await page.keyboard.press('Control+z');

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(made(page)).toHaveCount(4);
  await station(page, 'Boards');
  await page.getByRole('button', { name: /^Nest/ }).first().click();
  await expect(ticket(page, 'Boards')).toContainText('%', { timeout: 60_000 });
});
