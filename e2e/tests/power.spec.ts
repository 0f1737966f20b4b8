import AxeBuilder from '@axe-core/playwright';
import { made, region, setFigure, slip } from '../support/forms-desk.ts';
import { expect, newAirframe, openDemo, saved, signUp, station, test, ticket } from '../support/workshop.ts';
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

  // Without a body its own walls are holed; with one the body's too, until it is glued in again.
  await region(page, 'Held').getByText('glue', { exact: true }).waitFor();
  await choose(region(page, 'Held'), 'Held by', 'dowels');
  await expect(region(page, 'Held')).toContainText('Make a body for it');
  await setFigure(region(page, 'Held'), 'First behind the firewall', '79');
  await expect(region(page, 'Faults')).toContainText('The first dowel stands 79.0 mm behind the firewall');
  await region(page, 'Faults').getByRole('button', { name: 'Set 49.5 mm' }).click();
  await expect(region(page, 'Faults')).not.toContainText('dowel');

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(made(page)).toHaveCount(4);
  await station(page, 'Boards');
  await page.getByRole('button', { name: /^Nest/ }).first().click();
  await expect(ticket(page, 'Boards')).toContainText('%', { timeout: 60_000 });
});

test('lets a power box go from its body and sit in it again; the body tells how it fits', async ({
  page,
  workshop,
}) => {
  await openDemo(page, workshop.address, 'Saltbox 36');
  await station(page, 'Forms');
  await choose(slip(page), 'Forms', 'Power box');
  const held = region(page, 'Held'),
    fit = held.getByText('Room on either side');
  await expect(held).toContainText('0.008 in');
  await expect(held).toContainText('2 × 2 15/16 in');
  // A tenth of an inch wider, half of that on a side less the room: told on the body.
  await setFigure(region(page, 'Box'), 'Inside, between the walls', '1.45');
  await expect(held).toContainText('0.042 in too tight');
  await choose(slip(page), 'Forms', 'Body');
  await expect(region(page, 'Faults')).toContainText('Power box is');
  await page.keyboard.press('Control+z');
  await expect(region(page, 'Faults')).toHaveCount(0);
  await choose(slip(page), 'Forms', 'Power box');
  await choose(held, 'Sits in', 'no body');
  await expect(fit).toHaveCount(0);
  await expect(held).toContainText('Choose the body that it sits in');
  await choose(held, 'Sits in', 'Body');
  await expect(held).toContainText('0.008 in');
  await saved(page);
});
