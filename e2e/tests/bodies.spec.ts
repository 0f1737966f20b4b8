import type { Page } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { made, slip } from '../support/forms-desk.ts';
import { expect, newAirframe, saved, setFigure, signUp, station, test, ticket } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

const folds = (page: Page) => page.getByText(/\d+ closed$/);
const faults = (page: Page) => slip(page).getByRole('region', { name: 'Faults' });
const openUp = (page: Page, title: RegExp): Promise<void> =>
  slip(page).getByRole('button', { name: title }).first().click();
const another = (page: Page): Promise<void> => page.getByRole('button', { name: 'another form' }).first().click();

/** A body from its usual numbers; what wings there are sit in it. */
async function makeBody(page: Page): Promise<void> {
  await choose(page.locator('.start'), 'Make', 'a body of walls');
  await page.getByRole('button', { name: 'Make the body' }).click();
  await expect(made(page).filter({ hasText: 'wall' })).toBeVisible();
}
/** Drags a ring of the mat, by its number from the last. */
async function dragRing(page: Page, fromLast: number, by: { readonly x: number; readonly y: number }): Promise<void> {
  const rings = page.locator('.surface circle'),
    box = (await rings.nth((await rings.count()) - fromLast).boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + by.x, y + by.y, { steps: 8 });
  await page.mouse.up();
}

test('makes a box body with a curved top; its wing goes from on top to below, formers and tail seat follow', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Box');
  await station(page, 'Forms');
  await setFigure(page, 'Span, tip to tip', '900');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await expect(made(page).first()).toBeVisible();
  // A flat tail, far aft, a little into the walls.
  await another(page);
  await setFigure(page, 'Span, tip to tip', '320');
  await setFigure(page, 'Chord in the middle', '90');
  await setFigure(page, 'Chord at the tip', '80');
  await setFigure(page, 'Dihedral of each half', '0');
  await choose(page.locator('.start'), 'Built as', 'a plate with layers');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await openUp(page, /^Form, place and release/);
  await setFigure(page, 'Aft of the datum', '540');
  await setFigure(page, 'Up', '88');
  await another(page);
  await makeBody(page);
  await choose(slip(page), 'Top line', 'curved');
  await expect(slip(page).getByRole('button', { name: /^Wing 0°/ })).toBeVisible();
  await openUp(page, /^Wing 0°/);
  await expect(slip(page).getByText('Wing is cut into the walls from above.')).toBeVisible();
  await expect(made(page).filter({ hasText: 'lid behind' }).first()).toBeVisible();
  await expect(folds(page)).toBeVisible();
  const former = made(page).filter({ hasText: 'former 3' }),
    under = await former.innerText();

  // One drag: down through the body, and out below. The wing's ring is the last but one, the tail's the last.
  await dragRing(page, 2, { x: 0, y: 76 });
  await expect(slip(page).getByText('Wing is cut into the walls from below.')).toBeVisible();
  await expect(made(page).filter({ hasText: 'floor behind Wing' })).toBeVisible();
  await expect(former).not.toHaveText(under);
  await expect(page.getByText(/undo drag wing/)).toBeVisible();
  // The tail's own seat stayed where the tail is.
  await openUp(page, /^Wing 2 0°/);
  await expect(slip(page).getByText('Wing 2 is cut into the walls from above.')).toBeVisible();
  await expect(folds(page)).toBeVisible();

  await page.keyboard.press('u');
  await expect(page.getByText(/pieces of \d+ parts stand together/)).toBeVisible();
  await page.keyboard.press('u');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await saved(page);
  await page.reload();
  await slip(page).getByText('Body', { exact: true }).click();
  await expect(made(page).filter({ hasText: 'wall' })).toBeVisible();
  await station(page, 'Boards');
  await page.getByRole('button', { name: /^Nest/ }).first().click();
  await expect(ticket(page, 'Boards')).toContainText('%', { timeout: 60_000 });
  await expect(ticket(page, 'Boards')).toContainText(/^\D*\d/);
});

test('folds walls up from the floor, fits a body out, and names what does not fit', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Tray');
  await station(page, 'Forms');
  await makeBody(page);
  await choose(slip(page), 'Corners', 'walls folded up');
  await expect(made(page).filter({ hasText: 'floor and walls' })).toContainText('1 ×');
  await expect(folds(page)).toBeVisible();
  // Lines that turn everywhere cannot be folded: the mend cuts the corners.
  await choose(slip(page), 'Bottom line', 'curved');
  await choose(slip(page), 'Width line', 'curved');
  await expect(faults(page)).toContainText('straight together nowhere long enough to fold');
  await faults(page).getByRole('button', { name: 'Cut and mitre the corners' }).click();
  await expect(faults(page)).toHaveCount(0);
  await expect(made(page).filter({ hasText: 'Body wall' })).toContainText('2 ×');

  await openUp(page, /^What has to fit in/);
  await slip(page).getByRole('button', { name: 'Add a bay' }).click();
  await setFigure(page, 'Width', '90');
  await expect(faults(page)).toContainText('Pack does not fit');
  await setFigure(page, 'Width', '30');
  await expect(faults(page)).toHaveCount(0);
  await openUp(page, /^Hatch, tray/);
  for (const [word, part] of [
    ['A battery tray', 'battery tray'],
    ['A skid', 'skid'],
    ['Strips in the corners, to round them', 'corner strip 1'],
  ] as const) {
    await slip(page).getByText(word, { exact: true }).click();
    await expect(made(page).filter({ hasText: part }).first()).toBeVisible();
  }
  await expect(folds(page)).toBeVisible();
  await openUp(page, /^Working, step by step/);
  await expect(slip(page).getByText('Strips in a corner to be rounded')).toBeVisible();

  await dragRing(page, 1, { x: 30, y: 0 });
  await expect(page.getByText(/undo drag former/)).toBeVisible();
  await saved(page);
});
