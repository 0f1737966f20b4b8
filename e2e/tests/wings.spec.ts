import type { Page } from '@playwright/test';
import { made, slip } from '../support/forms-desk.ts';
import { expect, newAirframe, saved, setFigure, signUp, station, test, ticket } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

const start = (page: Page) => page.locator('.start');
const faults = (page: Page) => slip(page).getByRole('region', { name: 'Faults' });
const openUp = (page: Page, title: RegExp): Promise<void> =>
  slip(page).getByRole('button', { name: title }).first().click();

async function toForms(page: Page, workshop: Parameters<typeof signUp>[1], name: string): Promise<void> {
  await signUp(page, workshop);
  await newAirframe(page, name);
  await station(page, 'Forms');
  await page.getByRole('heading', { name: 'Make a form' }).waitFor();
}

test('makes a flying wing thickened in steps, with elevons, and sees it closed', async ({ page, workshop }) => {
  await toForms(page, workshop, 'Skate');
  await choose(start(page), 'What', 'a flying wing');
  await expect(start(page).getByLabel('Chord in the middle')).toHaveValue('300.0');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await expect(made(page)).toHaveText([/Wing plate/, /elevon/, /top layer 1/]);
  await slip(page).getByRole('button', { name: 'Add a layer' }).click();
  await expect(made(page).filter({ hasText: 'top layer 2' })).toHaveCount(1);
  await expect(slip(page).locator('figcaption')).toHaveText('15.0 mm deep');
  // A layer that runs back to the elevons is named, with what fits.
  await slip(page).getByLabel('Ends, % of the chord').first().fill('95');
  await page.keyboard.press('Enter');
  await expect(faults(page)).toContainText('reaches under a layer');
  await faults(page)
    .getByRole('button', { name: /^(Set chord|End the layers)/ })
    .click();
  await expect(faults(page)).toHaveCount(0);
  await page.keyboard.press('u');
  await expect(page.getByText('8 pieces of 4 parts stand together.')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(made(page)).toHaveCount(4);
});

test('puts ribs into a wing, ply ones where it plugs on a tube', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Plug');
  await station(page, 'Stock');
  await page.getByLabel('Another material').fill('plywood 3 mm');
  await page.getByRole('button', { name: 'Add it' }).click();
  const ply = page.getByRole('region', { name: 'plywood 3 mm' });
  await ply.getByLabel('Thickness, measured').fill('3');
  await page.keyboard.press('Enter');
  await station(page, 'Forms');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await choose(slip(page), 'Section', 'NACA, four or five digits');
  await slip(page).getByRole('textbox', { name: 'Digits' }).fill('2415');
  await page.keyboard.press('Enter');
  await openUp(page, /^Ribs/);
  await slip(page).getByRole('button', { name: 'Add ribs' }).click();
  await slip(page).getByRole('button', { name: 'Plug a joint on a tube' }).click();
  await expect(slip(page).getByText(/a sleeve of .* in each panel/)).toBeVisible();
  await expect(faults(page)).toHaveCount(0);
  const ribs = made(page).filter({ hasText: 'rib' });
  // Four bays to a panel: five ribs, a nose and a tail each.
  await expect(ribs).toHaveCount(10);
  await setFigure(page, 'Into each panel', '400');
  await expect(faults(page)).toContainText('The tube leaves the section');
  await faults(page).getByRole('button', { name: /^Set/ }).click();
  await expect(faults(page)).toHaveCount(0);
  await ribs.filter({ hasText: 'rib 1 tail' }).click();
  await expect(slip(page)).toContainText('plywood 3 mm');
  await saved(page);
});

test('cuts a foam core between templates that are taken out as DXF', async ({ page, workshop }) => {
  await toForms(page, workshop, 'Core');
  await choose(start(page), 'Built as', 'a foam core');
  await setFigure(page, 'Chord at the tip', '140');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await expect(made(page).filter({ hasText: 'template' })).toHaveCount(4);
  await expect(slip(page).getByText('Block of panel 1')).toBeVisible();
  await expect(slip(page).getByText(/melts foam. It gives off fumes/)).toBeVisible();
  await made(page).filter({ hasText: 'root upper' }).click();
  await expect(slip(page).getByText('Mark, 10')).toBeVisible();
  await saved(page);
  await page.getByRole('button', { name: 'take out' }).click();
  const file = page.waitForEvent('download');
  await page.getByRole('dialog').getByRole('button', { name: 'Download', exact: true }).click();
  const text = await (await (await file).createReadStream()).toArray();
  const dxf = Buffer.concat(text).toString();
  // Its outline is one closed polyline with the run in it, and a stroke for each of eleven numbers.
  expect(dxf).toContain('LWPOLYLINE');
  expect(dxf.match(/\nLINE\r?\n/g)!.length).toBeGreaterThanOrEqual(11);
});

test('takes the lower wing of a biplane out of what the upper leaves of its boards', async ({ page, workshop }) => {
  await toForms(page, workshop, 'Twins');
  await choose(start(page), 'What', 'a biplane');
  await setFigure(page, 'Chord in the middle', '130');
  await setFigure(page, 'Chord at the tip', '130');
  await page.getByRole('button', { name: 'Make both wings' }).click();
  await slip(page).getByText('Lower wing', { exact: true }).click();
  await openUp(page, /^Form, place/);
  await slip(page)
    .getByRole('button', { name: /^Take its chord/ })
    .click();
  await expect(slip(page).getByText(/Upper wing leaves .* of each board/)).toBeVisible();
  const chord = Number(await slip(page).getByLabel('Root chord').inputValue());
  expect(chord).toBeGreaterThan(60);
  expect(chord).toBeLessThan(131);
  // It stands by the upper wing, and moves with it.
  await setFigure(page, 'Above it', '-140');
  await slip(page).getByText('Upper wing', { exact: true }).first().click();
  await setFigure(page, 'Up', '90');
  await page.keyboard.press('u');
  await expect(page.getByText('12 pieces of 6 parts stand together.')).toBeVisible();
  await page.keyboard.press('u');
  await saved(page);
  await station(page, 'Boards');
  await page.getByRole('button', { name: /^Nest/ }).first().click();
  // Both skins of both wings come out of two boards.
  await expect(ticket(page, 'Boards')).toContainText(/^Boards.*2 · \d+ %/, { timeout: 60_000 });
});

test('covers a plate with a second sheet, braces it, and lets both skins of an aileron move', async ({
  page,
  workshop,
}) => {
  await toForms(page, workshop, 'Cover');
  await choose(start(page), 'Built as', 'a covered plate');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await expect(made(page)).toHaveText([/lower skin/, /upper skin/, /spar strip 1/, /spar strip 2/, /tip block/]);
  await openUp(page, /^Creased beside bent$/);
  const row = (word: string) => slip(page).getByRole('row', { name: new RegExp(`^${word}`) });
  // Two creases over the spar of a panel of 451 mm, on both sides; none when it is bent.
  await expect(row('Folds to make')).toHaveText(/1799 mm\s*0 mm/);
  await openUp(page, /^Joints$/);
  await slip(page).getByLabel('Braces through glued joints').check({ force: true });
  await expect(made(page).filter({ hasText: 'brace through the middle' })).toHaveCount(1);
  await openUp(page, /^Controls/);
  await slip(page).getByRole('button', { name: 'Add a control' }).click();
  await slip(page).getByLabel('Both skins move').check({ force: true });
  await slip(page).getByRole('button', { name: 'Run it out of the tip' }).click();
  await expect(slip(page).getByLabel('Ends, out')).toHaveValue('451.1');
  await expect(made(page).filter({ hasText: 'aileron top' })).toHaveCount(1);
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/2\d closed/);
  await openUp(page, /^Working, step by step$/);
  await page.evaluate(() => {
    window.print = () =>
      document.body.setAttribute('data-printed', document.querySelector('.working-sheet')!.textContent!);
  });
  await slip(page).getByRole('button', { name: 'Print the working' }).click();
  await expect(page.locator('body')).toHaveAttribute('data-printed', /working of Wing.*Depth over the spar.*20\.0 mm/s);
  await saved(page);
});
