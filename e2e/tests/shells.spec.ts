import type { Page } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { made, slip } from '../support/forms-desk.ts';
import { expect, newAirframe, saved, signUp, station, test, ticket } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

const openUp = (page: Page, title: RegExp): Promise<void> =>
  slip(page).getByRole('button', { name: title }).first().click();

test('makes a shell of eighteen faces with a spine: bevel schedule, pieces, bulkheads, hatch, nested', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Egg');
  await station(page, 'Forms');
  await choose(page.locator('.start'), 'Make', 'a shell of plane faces');
  await page.getByRole('button', { name: 'Make the shell' }).click();
  // Eighteen faces and the plate at the nose: the port piece twice, and the nose.
  await expect(slip(page).getByText('19 in 3')).toBeVisible();
  await expect(made(page)).toHaveText([/Shell piece 1/, /Shell piece 2/, /Shell bulkhead 1/]);
  await expect(made(page).first()).toContainText('2 ×');
  await expect(page.getByText(/\d+ closed$/)).toBeVisible();
  await openUp(page, /^Bevels, edge by edge/);
  const table = slip(page).getByRole('table', { name: 'Bevels, edge by edge' });
  await expect(table.getByRole('row').nth(1)).toContainText('section 1, corners 1–2');
  await expect(table.getByRole('row').nth(1)).toContainText('82.4°');
  await expect(table).toContainText('grooved');
  await openUp(page, /^Bevels, edge by edge/);

  await openUp(page, /^Bulkheads/);
  await slip(page).getByRole('button', { name: 'Add a bulkhead' }).click();
  await expect(made(page).filter({ hasText: 'bulkhead' })).toHaveCount(2);
  await openUp(page, /^Hatch, cut out/);
  await slip(page).getByText('A hatch', { exact: true }).click();
  await expect(slip(page).getByText(/glue the shell first, then/)).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByText(/\d+ pieces of 4 parts stand together/)).toBeVisible();
  await page.keyboard.press('u');

  // A corner pulled out of the shape leaves faces that are not plane: they are split, and it is said.
  await slip(page).getByRole('button', { name: /^3 at/ }).click();
  const outs = slip(page).getByRole('textbox', { name: 'Out', exact: true });
  await outs.nth(2).fill('80');
  await outs.nth(2).press('Enter');
  await expect(slip(page).getByRole('region', { name: 'Faults' })).toContainText('not plane');
  await page.keyboard.press('Control+z');
  await expect(slip(page).getByRole('region', { name: 'Faults' })).toHaveCount(0);

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(slip(page).getByText('19 in 3')).toBeVisible();
  await station(page, 'Boards');
  await page.getByRole('button', { name: /^Nest/ }).first().click();
  await expect(ticket(page, 'Boards')).toContainText('%', { timeout: 60_000 });
});
