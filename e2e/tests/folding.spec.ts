import type { Page } from '@playwright/test';
import { drawPlate, expect, newAirframe, setFigure, signUp, station, test, typePoint } from '../support/workshop.ts';
import { pixelsOf, slip } from '../support/mat.ts';

const strip = (page: Page) => page.getByRole('form', { name: 'Type the next point' });
const stations = (page: Page) => page.getByRole('navigation', { name: 'Stations' });
const folds = (page: Page) => slip(page).getByRole('region', { name: 'Folds' });

/** A tray 120 × 80 outside, walls 30 high; its right wall is drawn 1 mm short at its upper end. */
const OUTLINE = [[0, 0], [0, -30], [120, -30], [120, 0], [150, 0], [150, 79], [120, 79], [120, 80], [120, 110], [0, 110], [0, 80], [-30, 80], [-30, 0]] as const;

async function drawTray(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'New part' }).click();
  for (const [across, up] of OUTLINE) await typePoint(page, { across: String(across), up: String(up) });
  await strip(page).getByRole('button', { name: 'Close it' }).click();
  for (const [key, from, to] of [['v', [0, 0], [120, 0]], ['v', [0, 80], [120, 80]], ['t', [120, 0], [120, 79]], ['t', [0, 0], [0, 80]]] as const) {
    await page.locator('body').press(key);
    await typePoint(page, { across: String(from[0]), up: String(from[1]) });
    await typePoint(page, { across: String(to[0]), up: String(to[1]) });
    await strip(page).getByRole('button', { name: 'Cancel' }).click();
  }
  const lines = slip(page).getByRole('region', { name: 'Lines on this part' });
  for (const [number, side] of [[0, 'left of it'], [1, 'right of it']] as const) {
    await lines.getByRole('button', { name: /Trench/ }).nth(number).click();
    await page.getByLabel('Strip lies').selectOption(side);
  }
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  for (const [x, y] of [[0, -15], [120, -15], [135, 0], [135, 79], [120, 95], [0, 95], [-15, 80], [-15, 0]] as const) {
    await page.locator('body').press('b');
    await page.mouse.click(...at(x, y));
  }
}

test('a tray drawn by numbers is folded: one wall is short, its seam is mended, and closes in a thicker board too', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Tray');
  await drawTray(page);
  await expect(stations(page)).toContainText(/Faults.*none/);
  await page.locator('body').press('u');
  await expect(page.getByRole('img', { name: /folds about 4 hinges into 5 plates, by 90/ })).toBeVisible();
  await expect(folds(page)).toContainText('Nothing is in the way while it folds');
  await folds(page).getByRole('button', { name: 'Declare 4 seams' }).click();
  await expect(folds(page)).toContainText('One seam is open by up to 1.00 mm; 3 closed.');
  await expect(stations(page)).toContainText(/Folds.*1 open · 1\.0 mm/);
  await folds(page).getByRole('button', { name: 'Close it' }).click();
  await expect(folds(page)).toContainText('All 4 seams are closed; the widest gap is 0.00 mm.');
  await expect(stations(page)).toContainText(/Folds.*4 closed/);

  await station(page, 'Stock');
  await setFigure(page, 'Thickness, measured', '6.2');
  await station(page, 'Parts');
  await expect(stations(page)).toContainText(/Folds.*4 closed/);
  await page.locator('body').press('u');
  await expect(folds(page)).toContainText('All 4 seams are closed');
  await slip(page).getByRole('button', { name: /Mitre groove/ }).first().click();
  await expect(page.getByLabel('Mouth')).toHaveValue('12.4');

  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save SVG' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await saved).createReadStream()) chunks.push(chunk as Buffer);
  expect(Buffer.concat(chunks).toString()).toMatch(/^<svg.*<title>Part 1 folds about 4 hinges/);
});

test('a crease is rolled into a row, and an edge is declared to meet another', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Rolled');
  await drawPlate(page, 'Deck', '100', '200');
  await page.locator('body').press('c');
  await typePoint(page, { across: '0', up: '60' });
  await typePoint(page, { across: '100', up: '60' });
  await strip(page).getByRole('button', { name: 'Cancel' }).click();
  await slip(page).getByRole('button', { name: /Crease/ }).click();
  await slip(page).getByText('Roll round a radius').click();
  await setFigure(page, 'Outer radius', '30');
  await setFigure(page, 'Creases', '2');
  await slip(page).getByRole('button', { name: 'Make the row' }).click();
  await expect(slip(page).getByRole('alert')).toContainText('90° needs 3 to 200 creases, got 2');
  await setFigure(page, 'Creases', '6');
  await expect(slip(page)).toContainText('0.26 mm off');
  await slip(page).getByRole('button', { name: 'Make the row' }).click();
  await expect(slip(page).getByRole('region', { name: 'Lines on this part' }).getByRole('button', { name: /Crease/ })).toHaveCount(6);
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  await page.mouse.click(...at(50, 0));
  await page.getByLabel('Folded, it meets').selectOption('edge 3');
  await expect(stations(page)).toContainText(/Folds.*1 open/);
  await station(page, 'Cut list');
  await expect(page.getByRole('main')).toContainText(/crease\s*· 6 lines/);
});

test('fold by fold in the order, from every side, cut open and measured; a part without folds says what is missing', async ({ page, workshop }) => {
  await page.goto(workshop.address);
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  await page.getByRole('link', { name: 'Open Reedling 1100' }).click();
  await page.getByRole('listbox', { name: 'Parts' }).getByRole('option', { name: /Pod tray/ }).click();
  await page.locator('body').press('u');
  await expect(folds(page)).toContainText('Both seams are closed');
  const controls = page.getByRole('group', { name: 'Folding' });
  await controls.getByRole('button', { name: 'One fold back' }).click();
  await expect(controls).toContainText('2 of 3');
  await controls.getByLabel('Folded by, per cent').fill('0');
  const views = page.getByRole('group', { name: 'Views' });
  await views.getByLabel('Section across').selectOption('section across x');
  // Flat, a cut across shows the tray's width there and the board's thickness.
  await expect(page.locator('.told')).toContainText(/section 1\d\d\.\d mm × 4\.9 mm/);
  await controls.getByLabel('Folded by, per cent').fill('100');
  await expect(page.locator('.told')).toContainText(/section 63\.2 mm × 39\.6 mm/);
  for (const view of ['front', 'side', 'above', 'below', 'see-through', 'apart']) await views.getByRole('button', { name: view }).click();
  await station(page, 'Cut list');
  await expect(page.getByRole('article').filter({ hasText: 'Pod tray' })).toContainText(/Fold\s*1\s*tail wall\s*2\s*lower wall\s*3\s*upper wall/);
  await station(page, 'Parts');
  await page.getByRole('listbox', { name: 'Parts' }).getByRole('option', { name: /Skid/ }).click();
  await expect(page.getByRole('application')).toBeVisible();
  await page.locator('body').press('u');
  await expect(folds(page)).toContainText('Skid is one plate: nothing of it folds.');
});

test('without WebGL the folded part is drawn instead, and turns under the pointer', async ({ page, workshop }) => {
  await page.addInitScript(() => {
    const getContext = HTMLCanvasElement.prototype.getContext as (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) => unknown;
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) { return kind.startsWith('webgl') ? null : getContext.call(this, kind, ...rest); } as never;
  });
  await page.goto(workshop.address);
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  await page.getByRole('link', { name: 'Open Reedling 1100' }).click();
  await page.getByRole('listbox', { name: 'Parts' }).getByRole('option', { name: /Pod nose/ }).click();
  await page.locator('body').press('u');
  const drawing = page.locator('svg[role="img"]').filter({ has: page.locator('path') });
  await expect(drawing).toHaveAttribute('aria-label', /folds about 9 hinges into 10 plates/);
  const shape = (): Promise<string | null> => drawing.locator('path').first().getAttribute('d');
  const before = await shape();
  const box = (await drawing.boundingBox())!;
  await page.mouse.move(box.x + 300, box.y + 200);
  await page.mouse.down();
  await page.mouse.move(box.x + 380, box.y + 230, { steps: 4 });
  await page.mouse.up();
  expect(await shape()).not.toBe(before);
  await expect(page.getByRole('button', { name: 'save PNG' })).toHaveCount(0);
});
