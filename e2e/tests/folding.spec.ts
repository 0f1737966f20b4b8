import type { Page } from '@playwright/test';
import {
  choosePart,
  drawPlate,
  expect,
  newAirframe,
  openDemo,
  setFigure,
  signUp,
  station,
  test,
  typePoint,
} from '../support/workshop.ts';
import { pixelsOf, slip } from '../support/mat.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

const strip = (page: Page) => page.getByRole('form', { name: 'Type the next point' });
const stations = (page: Page) => page.getByRole('navigation', { name: 'Stations' });
const folds = (page: Page) => slip(page).getByRole('region', { name: 'Folds' });

/** A tray 120 × 80 outside, walls 30 high; its right wall is drawn 1 mm short at its upper end. */
const OUTLINE = [
  [0, 0],
  [0, -30],
  [120, -30],
  [120, 0],
  [150, 0],
  [150, 79],
  [120, 79],
  [120, 80],
  [120, 110],
  [0, 110],
  [0, 80],
  [-30, 80],
  [-30, 0],
] as const;

async function drawTray(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'New part' }).click();
  for (const [across, up] of OUTLINE) await typePoint(page, { across: String(across), up: String(up) });
  await strip(page).getByRole('button', { name: 'Close it' }).click();
  for (const [key, from, to] of [
    ['v', [0, 0], [120, 0]],
    ['v', [0, 80], [120, 80]],
    ['t', [120, 0], [120, 79]],
    ['t', [0, 0], [0, 80]],
  ] as const) {
    await page.locator('body').press(key);
    await typePoint(page, { across: String(from[0]), up: String(from[1]) });
    await typePoint(page, { across: String(to[0]), up: String(to[1]) });
    await strip(page).getByRole('button', { name: 'Cancel' }).click();
  }
  const lines = slip(page).getByRole('region', { name: 'Lines on this part' });
  for (const [number, side] of [
    [0, 'left of it'],
    [1, 'right of it'],
  ] as const) {
    await lines
      .getByRole('button', { name: /Trench/ })
      .nth(number)
      .click();
    await choose(page, 'Strip lies', side);
  }
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  for (const [x, y] of [
    [0, -15],
    [120, -15],
    [135, 0],
    [135, 79],
    [120, 95],
    [0, 95],
    [-15, 80],
    [-15, 0],
  ] as const) {
    await page.locator('body').press('b');
    await page.mouse.click(...at(x, y));
  }
}

test('a tray drawn by numbers is folded: one wall is short, its seam is mended, and closes in a thicker board too', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Tray');
  await drawTray(page);
  await expect(stations(page)).toContainText(/Faults.*none/);
  await page.locator('body').press('u');
  await expect(page.getByRole('img', { name: /folds on 4 lines into 5 plates, by 90/ })).toBeVisible();
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
  await slip(page)
    .getByRole('button', { name: /Mitre groove/ })
    .first()
    .click();
  await expect(page.getByLabel('Mouth')).toHaveValue('12.4');

  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save SVG' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await saved).createReadStream()) chunks.push(chunk as Buffer);
  expect(Buffer.concat(chunks).toString()).toMatch(/^<svg.*<title>Part 1 folds on 4 lines/);
});

test('a crease is rolled into a row, and an edge is declared to meet another', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Rolled');
  await drawPlate(page, 'Deck', '100', '200');
  await page.locator('body').press('c');
  await typePoint(page, { across: '0', up: '60' });
  await typePoint(page, { across: '100', up: '60' });
  await strip(page).getByRole('button', { name: 'Cancel' }).click();
  await slip(page)
    .getByRole('button', { name: /Crease/ })
    .click();
  await slip(page).getByText('Roll round a radius').click();
  await setFigure(page, 'Outer radius', '30');
  await setFigure(page, 'Creases', '2');
  await slip(page).getByRole('button', { name: 'Make the row' }).click();
  await expect(slip(page).getByRole('alert')).toContainText('90° needs 3 to 200 creases, got 2');
  await setFigure(page, 'Creases', '6');
  await expect(slip(page)).toContainText('0.26 mm off');
  await slip(page).getByRole('button', { name: 'Make the row' }).click();
  await expect(
    slip(page)
      .getByRole('region', { name: 'Lines on this part' })
      .getByRole('button', { name: /Crease/ }),
  ).toHaveCount(6);
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  await page.mouse.click(...at(50, 0));
  await choose(page, 'Folded, it meets', 'edge 3');
  await expect(stations(page)).toContainText(/Folds.*1 open/);
  await station(page, 'Cut list');
  await expect(page.getByRole('row').filter({ hasText: 'crease' })).toHaveCount(6);
});

test('fold by fold in the order, from every side, cut open and measured; a part without folds says what is missing', async ({
  page,
  workshop,
}) => {
  await openDemo(page, workshop.address, 'Saltbox 36');
  await choosePart(page, /Power box strip/);
  await page.locator('body').press('u');
  await expect(folds(page)).toContainText('Both seams are closed');
  const controls = page.getByRole('group', { name: 'Folding' });
  await controls.getByRole('button', { name: 'One fold back' }).click();
  await expect(controls).toContainText('3 of 4');
  await controls.getByLabel('Folded by, per cent').press('Home');
  const views = page.getByRole('group', { name: 'Views' });
  await choose(views, 'Section across', 'section across x');
  // Flat, a cut across shows the strip's width and the board's thickness: floor, walls, the skin over them and the inner walls.
  await expect(page.locator('.told')).toContainText(/section 9\.201 in × 3\/16 in/);
  await controls.getByLabel('Folded by, per cent').press('End');
  await expect(page.locator('.told')).toContainText(/section 2\.106 in × 1 11\/16 in/);
  for (const view of ['side', 'end', 'above', 'below', 'see-through', 'apart'])
    await views.getByRole('button', { name: view }).click();
  await page.locator('body').press('Shift+ArrowUp');
  await expect(views.getByRole('button', { name: 'above' })).toHaveAttribute('aria-pressed', 'true');
  await page.locator('body').press('Home');
  await expect(views.getByRole('button', { name: 'corner' })).toHaveAttribute('aria-pressed', 'true');
  await page.locator('body').press('[');
  await expect(controls).toContainText('3 of 4');
  await station(page, 'Cut list');
  await expect(
    page.getByRole('article').filter({ has: page.getByRole('heading', { name: /^Power box strip/ }) }),
  ).toContainText(/Fold\s*1[^]*2[^]*3[^]*4/);
  await station(page, 'Parts');
  await choosePart(page, /Body gear plate 1/);
  await expect(page.getByRole('application')).toBeVisible();
  await page.locator('body').press('u');
  await expect(folds(page)).toContainText('Body gear plate 1 is one plate: nothing of it folds.');
});

test('without WebGL the folded part is drawn instead, and turns under the pointer', async ({ page, workshop }) => {
  await page.addInitScript(() => {
    const getContext = HTMLCanvasElement.prototype.getContext as (
      this: HTMLCanvasElement,
      kind: string,
      ...rest: unknown[]
    ) => unknown;
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) {
      return kind.startsWith('webgl') ? null : getContext.call(this, kind, ...rest);
    } as never;
  });
  await openDemo(page, workshop.address, 'Reedling 1100');
  await choosePart(page, /Pod nose piece 1/);
  await page.locator('body').press('u');
  const drawing = page.locator('svg[role="img"]').filter({ has: page.locator('path') });
  await expect(drawing).toHaveAttribute('aria-label', /folds on 4 lines into 5 plates/);
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

/** Draws a strip that folds to sizes, as a new part. */
async function foldStrip(page: Page, sizes: Readonly<Record<string, string>>): Promise<void> {
  await page
    .getByRole('button', { name: /new part/i })
    .first()
    .click();
  await slip(page).getByText('Or fold it from sizes').click();
  for (const [label, value] of Object.entries(sizes)) await setFigure(page, label, value);
}

test('a ring of three panels is closed: its angles are found, shown folded, and set with their bevels in one step', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Ring');
  await foldStrip(page, { 'Length along the folds': '100', 'Side 1': '60', 'Side 2': '58', 'Side 3': '61' });
  await slip(page).getByRole('button', { name: 'Draw it flat' }).click();
  await expect(slip(page)).toContainText(/Width\s*179\.0/);
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  await page.mouse.click(...at(50, 0));
  await choose(page, 'Folded, it meets', 'edge 3');
  await expect(stations(page)).toContainText(/Folds.*1 open/);
  await page.keyboard.press('Escape');
  await page.locator('body').press('u');
  const ring = slip(page).getByRole('region', { name: 'Close a ring' });
  await ring.getByRole('button', { name: 'Close this ring' }).click();
  await expect(ring).toContainText('One answer closes it.');
  // By the law of cosines.
  await expect(ring).toContainText('117.8°');
  await expect(ring).toContainText('119.5°');
  await ring.getByRole('button', { name: 'Fold it so' }).click();
  await expect(stations(page)).toContainText(/Folds.*1 closed/);
  await expect(stations(page)).toContainText(/Faults.*none/);
  // Measured on the model: a miss is told, then the place is taken and named.
  await page.getByRole('button', { name: 'measure', exact: true }).click();
  const told = page.locator('.told.figures');
  await expect(told).toContainText('click a corner, an edge or a face');
  const model = page.locator('canvas');
  await model.click({ position: { x: 30, y: 300 } });
  await expect(told).toContainText('nothing there');
  const box = (await model.boundingBox())!;
  await model.click({ position: { x: box.width / 2, y: box.height * 0.45 } });
  await expect(told).toContainText(/^from an? (corner|edge|face): click the second place/);
  await page.keyboard.press('Control+z');
  await expect(stations(page)).toContainText(/Folds.*1 open/);
});

test('a channel is drawn from its inside sizes; its folds are cut by a tool and taped, and a size typed later moves the lines', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Channel');
  await foldStrip(page, { 'Length along the folds': '120', 'Side 1': '30', 'Side 2': '50', 'Side 3': '30' });
  for (const side of [1, 2, 3]) await choose(page, `Side ${side} is measured`, 'inside');
  // In 5 mm board: 35 + 60 + 35.
  await expect(slip(page)).toContainText('Flat it is 120.0 mm × 130.0 mm, with folds at 35.0 mm, 95.0 mm.');
  await setFigure(page, 'Fold 1', '150');
  await expect(slip(page)).toContainText('A groove folds by up to 120°, got 150.');
  await setFigure(page, 'Fold 1', '90');
  await slip(page).getByRole('button', { name: 'Draw it flat' }).click();
  await page.locator('body').press('u');
  await expect(folds(page)).toContainText('Nothing is in the way while it folds');
  const sizes = slip(page).getByRole('region', { name: 'Sizes folded' });
  await expect(sizes.getByLabel('outside').first()).toHaveValue(/^(60|35)\.0$/);
  const floor = sizes.locator('.size').filter({ hasText: 'mitre groove 1 to mitre groove 2' });
  await expect(floor.getByLabel('inside')).toHaveValue('50.0');
  await floor.getByLabel('inside').fill('64');
  await floor.getByLabel('inside').press('Enter');
  await expect(floor.getByLabel('outside')).toHaveValue('74.0');
  await expect(slip(page)).toContainText(/Width\s*144\.0/);

  await slip(page).getByText('How folds are made in this airframe').click();
  await choose(page, 'Grooves by', 'a bevel tool');
  await page.getByLabel('Tool tilts by').fill('50');
  await page.getByLabel('Tool tilts by').press('Enter');
  await slip(page)
    .getByRole('region', { name: 'Lines on this part' })
    .getByRole('button', { name: /Mitre groove/ })
    .first()
    .click();
  // A 50° tool opens 2 · 5 · tan 50° = 11.9 mm and leaves the lips 1.35 mm apart.
  await expect(page.getByLabel('Mouth')).toHaveValue('11.9');
  await expect(slip(page)).toContainText(/Stays open, folded\s*1\.4 mm/);
  await choose(page.getByRole('region', { name: 'Chosen line' }), 'Held by', 'tape');
  await choose(page.getByRole('region', { name: 'Chosen line' }), 'Work', 'trench');
  await expect(slip(page).getByRole('region', { name: 'Lines on this part' })).toContainText(/Trench\s*90°/);
  await page.keyboard.press('Control+z');
  await station(page, 'Cut list');
  await expect(page.getByRole('main')).toContainText(/mitre groove, 50° tool, cut through, taped/);
  await expect(page.getByRole('main')).toContainText(/glue \d+\.\d ml/);
});

test('two marks made bevels are the lips of one groove', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Lips');
  await drawPlate(page, 'Plate', '100', '80');
  await page.locator('body').press('l');
  for (const y of ['35', '45']) {
    await typePoint(page, { across: '0', up: y });
    await typePoint(page, { across: '100', up: y });
    await strip(page).getByRole('button', { name: 'End here' }).click();
  }
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  await page.locator('body').press('b');
  await page.mouse.click(...at(70, 35));
  await expect(stations(page)).toContainText(/Faults.*1/);
  await expect(slip(page)).toContainText('A bevel within Plate stands alone');
  await page.locator('body').press('b');
  await page.mouse.click(...at(70, 45));
  await expect(stations(page)).toContainText(/Faults.*none/);
  await expect(slip(page)).toContainText(/With its other lip it folds to\s*90°/);
  await slip(page).getByRole('button', { name: 'Make them one fold' }).click();
  await expect(slip(page).getByRole('region', { name: 'Lines on this part' }).getByRole('button')).toHaveCount(1);
  await expect(slip(page).getByRole('region', { name: 'Lines on this part' })).toContainText(/Mitre groove\s*90°/);
});
