import { randomBytes } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { startWorkshop, type Workshop } from '../../scripts/workshop.mjs';

export const PASSWORD = 'eleven wide planks';

/** A test with the real server on a real, private database, one for each worker. */
export const test = base.extend<object, { workshop: Workshop }>({
  workshop: [
    async ({}, use) => {
      const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-e2e-'));
      fs.chmodSync(folder, 0o755);
      const workshop = await startWorkshop({
        folder: path.join(folder, 'database'),
        env: { GRAIN_FOLD_SIGN_IN_TRIES: '1000' },
      });
      await use(workshop);
      await workshop.stop();
      fs.rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker', timeout: 120_000 },
  ],
});
export { expect };

/** Signs up a new builder and stands on the list of airframes. */
export async function signUp(page: Page, { address }: Workshop): Promise<string> {
  const name = `builder-${randomBytes(5).toString('hex')}`;
  await page.goto(address);
  await page.getByRole('button', { name: 'I am new here' }).click();
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign up' }).click();
  await expect(page.getByRole('heading', { name: 'No airframes yet' })).toBeVisible();
  return name;
}

export async function newAirframe(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'New airframe' }).first().click();
  await page.getByRole('dialog').getByLabel('Name').fill(name);
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('heading', { name: 'Draw the first part' })).toBeVisible();
}

/** Opens an airframe of the demo workshop, from the first page. */
export async function openDemo(page: Page, address: string, name: string): Promise<void> {
  await page.goto(address);
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  await page.getByRole('link', { name: `Open ${name}` }).click();
}

export const station = (page: Page, word: string): Promise<void> =>
  page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: new RegExp(`^${word}`) })
    .click();
export const ticket = (page: Page, word: string): Locator =>
  page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: new RegExp(`^${word}`) });
export const saved = (page: Page): Promise<void> =>
  expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();

/** Adds a point by typing it on the strip. */
export async function typePoint(
  page: Page,
  fields:
    | Readonly<Record<'across' | 'up' | 'length' | 'angle', string>>
    | Readonly<Partial<Record<'across' | 'up' | 'length' | 'angle', string>>>,
): Promise<void> {
  const strip = page.getByRole('form', { name: 'Type the next point' });
  for (const [name, value] of Object.entries(fields)) await strip.locator(`input[name="${name}"]`).fill(value);
  await strip.getByRole('button', { name: 'Add point' }).click();
}

/** Draws a rectangle as a new part, by typing, and names it. */
export async function drawPlate(page: Page, name: string, width: string, height: string): Promise<void> {
  await page
    .getByRole('button', { name: /new part/i })
    .first()
    .click();
  await typePoint(page, { across: '0', up: '0' });
  await typePoint(page, { length: width, angle: '0' });
  await typePoint(page, { length: height, angle: '90' });
  await typePoint(page, { length: width, angle: '180' });
  await page.getByRole('button', { name: 'Close it' }).click();
  await page.getByLabel("Part's name").fill(name);
  await page.getByLabel("Part's name").press('Enter');
}

/** Changes a figure of the slip in place. */
export async function setFigure(page: Page, label: string | RegExp, value: string): Promise<void> {
  const field = page.getByLabel(label, { exact: typeof label === 'string' });
  await field.fill(value);
  await field.press('Enter');
}

/** Chooses a part in the rack, and presses again if the press was lost: seen when every core was busy, the cause is not known. */
export async function choosePart(page: Page, name: RegExp): Promise<void> {
  const option = page.getByRole('listbox', { name: 'Parts' }).getByRole('option', { name });
  await expect(async () => {
    await option.click();
    await expect(option).toHaveAttribute('aria-selected', 'true', { timeout: 2000 });
  }).toPass({ timeout: 15_000 });
}

/**
 * Takes hold of a handle on the mat: where it stands, once it stands still, for the mat may still be fitting its view when the handle
 * first shows.
 * @returns where it was taken, in pixels of the page
 */
export async function hold(page: Page, handle: Locator): Promise<{ readonly x: number; readonly y: number }> {
  const middle = async (): Promise<{ readonly x: number; readonly y: number }> => {
    const box = await handle.boundingBox();
    if (!box) throw new Error('The handle does not show.');
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  let at = { x: 0, y: 0 };
  await expect(async () => {
    at = await middle();
    await page.mouse.move(at.x, at.y);
    // Under the pointer a handle grows.
    await expect(handle).toHaveAttribute('r', '8', { timeout: 1000 });
    expect(await middle()).toEqual(at);
  }).toPass({ timeout: 15_000 });
  await page.mouse.down();
  return at;
}
