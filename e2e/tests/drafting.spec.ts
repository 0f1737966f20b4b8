import { pixelsOf, slip } from '../support/mat.ts';
import {
  drawPlate,
  expect,
  newAirframe,
  openDemo,
  saved,
  setFigure,
  signUp,
  station,
  test,
  ticket,
  typePoint,
} from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

test('an outline by pointer, snapped to the grid, with an arc; points moved, inserted and removed', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'By pointer');
  await page.getByRole('button', { name: 'New part' }).click();
  const at = await pixelsOf(page);
  const click = async (x: number, y: number): Promise<void> => page.mouse.click(...at(x, y));
  await click(0.4, 0.3);
  await click(200.3, 0.2);
  await page.getByRole('button', { name: 'arc', exact: true }).click();
  await click(250, 50);
  await click(200, 100);
  await page.mouse.move(...at(30, 100.4));
  await expect(page.getByText('on the grid').first()).toBeVisible();
  await click(0, 100.4);
  await click(0.5, 0.5);
  // A plate of 200 × 100 with a half round end of radius 50.
  await expect(slip(page)).toContainText('250.0');
  await expect(slip(page)).toContainText('100.0');
  const foam = ((200 * 100 + Math.PI * 1250) / 1e6) * 480;
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(`${foam.toFixed(1)} g`);

  await page.mouse.click(...at(0, 0));
  await expect(page.getByLabel('Across')).toHaveValue('0.00');
  await page.mouse.move(...at(0, 0));
  await page.mouse.down();
  await page.mouse.move(...at(-10, 5), { steps: 4 });
  await page.mouse.move(...at(-20, 0), { steps: 4 });
  await page.mouse.up();
  await expect(slip(page)).toContainText('270.0');
  await page.keyboard.press('Control+z');
  await expect(slip(page)).toContainText('250.0');
  await page.mouse.dblclick(...at(120, 0));
  await page.mouse.click(...at(120, 0));
  await setFigure(page, 'Up', '-15');
  await expect(slip(page)).toContainText('115.0');
  await page.locator('body').press('Escape');
  await page.mouse.click(...at(120, -15));
  await page.keyboard.press('Delete');
  await expect(slip(page)).toContainText('100.0');
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/Faults.*none/);
});

test('holes, pockets, creases and trenches by pointer; work on the back is grey; every kind is on the cut list', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Every kind');
  await drawPlate(page, 'Panel', '300', '200');
  await page.keyboard.press('Escape');
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  const draw = async (key: string, points: readonly (readonly [number, number])[]): Promise<void> => {
    await page.locator('body').press(key);
    for (const [x, y] of points) await page.mouse.click(...at(x, y));
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
  };
  await draw('t', [
    [0, 150],
    [300, 150],
  ]);
  await draw('c', [
    [0, 50],
    [300, 50],
  ]);
  await draw('h', [
    [0, 20],
    [300, 20],
  ]);
  await draw('i', [
    [0, 180],
    [300, 180],
  ]);
  await draw('p', [
    [200, 80],
    [260, 80],
    [260, 120],
    [200, 120],
    [200, 80],
  ]);
  await draw('d', [
    [60, 80],
    [100, 80],
    [80, 120],
    [60, 80],
  ]);
  await page.locator('body').press('k');
  await page.mouse.click(...at(140, 80));
  await page.mouse.click(...at(140, 120));
  await page.getByRole('button', { name: 'End here' }).click();
  await page.keyboard.press('Escape');
  const lines = slip(page).getByRole('region', { name: 'Lines on this part' });
  for (const name of [/Trench/, /Crease/, /Control hinge/, /Open slit/, /Pocket/, /cut/i])
    await expect(lines.getByRole('button', { name })).toBeVisible();
  await lines.getByRole('button', { name: /Crease/ }).click();
  await choose(page, 'Cut from', 'the back');
  await page.getByLabel('Label').fill('rear');
  await page.getByLabel('Label').press('Enter');
  await lines.getByRole('button', { name: /Trench/ }).click();
  await expect(page.getByRole('application').locator('path[stroke="var(--back-grey)"]').first()).toBeAttached();
  await choose(page, 'Folds to', 'doubled, 180°');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('10.0');
  await station(page, 'Cut list');
  const list = page.getByRole('article').first();
  for (const text of [
    'trench',
    'crease',
    'on the back',
    'pocket',
    '2.5 mm',
    '10.0 mm',
    'cut through',
    'hole',
    'control hinge',
    '±30°',
    'open slit',
    '4.5 mm',
  ])
    await expect(list).toContainText(text);
});

test('an outline that is left half-way for another tool is kept, open, with a mend that closes it', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Left');
  await page.getByRole('button', { name: 'New part' }).click();
  const at = await pixelsOf(page);
  for (const [x, y] of [
    [0, 0],
    [150, 0],
    [150, 80],
  ] as const)
    await page.mouse.click(...at(x, y));
  await page.locator('body').press('l');
  await expect(page.getByRole('heading', { name: /is open/ })).toBeVisible();
  await page.getByRole('button', { name: 'Close it' }).first().click();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/Faults.*none/);
});

test('stock: another material, boards counted and removed; parts follow their material', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Stock');
  await drawPlate(page, 'Mount', '40', '30');
  await station(page, 'Stock');
  await page.getByLabel('Another material').fill('plywood 3 mm');
  await page.getByRole('button', { name: 'Add it' }).click();
  const ply = page.getByRole('region', { name: 'plywood 3 mm' });
  await ply.getByLabel('Thickness, measured').fill('3.05');
  await ply.getByLabel('Thickness, measured').press('Enter');
  await ply.getByLabel('Count').fill('-1');
  await ply.getByLabel('Count').press('Enter');
  await expect(ply.getByRole('alert')).toContainText('goes from 0 to 999');
  await ply.getByLabel('Count').press('Escape');
  await station(page, 'Parts');
  await choose(page, 'Material', 'plywood 3 mm');
  await expect(slip(page)).toContainText('3.0 mm plywood 3 mm'.replace('3.0', '3.0'));
  await station(page, 'Stock');
  await ply.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/Faults.*1/);
  await station(page, 'Parts');
  await page.getByRole('button', { name: /Add a board of plywood/ }).click();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/Faults.*none/);
  await saved(page);
});

test('find anything: a part by its name, a station by its word', async ({ page, workshop }) => {
  await openDemo(page, workshop.address, 'Reedling 1100');
  await page.getByRole('listbox', { name: 'Parts' }).waitFor();
  await page.locator('body').press('Control+k');
  await page.keyboard.type('battery tray');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel("Part's name")).toHaveValue('Pod battery tray');
  await page.locator('body').press('Control+k');
  await page.keyboard.type('boards');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/boards$/);
  await expect(ticket(page, 'Boards')).toHaveClass(/active/);
});

test('pages: own paper, a page chosen on the map, and one template a piece', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Paper');
  await drawPlate(page, 'Large', '400', '300');
  await station(page, 'Pages');
  await expect(page.getByRole('heading', { name: '4 pages of A4' })).toBeVisible();
  await page.getByRole('group', { name: 'Choose a page' }).getByRole('button').nth(2).click();
  const printed = page.getByRole('img', { name: /as it is printed/ });
  await expect(printed).toHaveAccessibleName(/Page 1\w+/);
  // Each page alone says what it shows and how it is joined.
  for (const words of [
    'Large',
    '1 off · face up · 5.0 mm faced board',
    'Face of Large',
    /lay (this under 1\w+|1\w+ under)/,
  ])
    await expect(printed).toContainText(words);
  await choose(page, 'Paper', 'A3', { exact: true });
  await expect(page.getByRole('heading', { name: /pages of A3/ })).toBeVisible();
  await choose(page, 'Paper', 'own size', { exact: true });
  await setFigure(page, 'Paper width', '24in');
  await setFigure(page, 'Paper height', '36in');
  await expect(page.getByRole('heading', { name: '1 page of own paper' })).toBeVisible();
  await expect(page.getByText('610 × 914 mm paper')).toBeVisible();
});

test('in inches every figure is in inches; while drawing Ctrl+Z takes back a point, after it the step', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await page.getByRole('button', { name: 'New airframe' }).first().click();
  await page.getByRole('dialog').getByLabel('Name').fill('Profile');
  await page.getByRole('dialog').getByText('inches').click();
  await page.getByRole('button', { name: 'Make it' }).click();
  await drawPlate(page, 'Body', '8', '4');
  const own = slip(page);
  await expect(own).toContainText(/Length\s*8\s*in/);
  await expect(own).toContainText(/Area\s*32\.00 sq in/);
  await expect(own).toContainText(/oz/);
  // A fold that stops half an inch before the edge is told so.
  await page.locator('body').press('v');
  await typePoint(page, { across: '0', up: '1' });
  await page.locator('body').press('Control+z');
  await typePoint(page, { across: '0', up: '2' });
  await typePoint(page, { across: '7 1/2', up: '2' });
  await expect(own.getByRole('region', { name: 'Faults' })).toContainText('stops 1/2 in before the edge');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/Faults.*none/);
  for (const word of ['Stock', 'Pages', 'Boards', 'Cut list']) {
    await station(page, word);
    await expect(page.locator('main')).not.toContainText(/\d mm\b/);
  }
  await expect(page.locator('main')).toContainText('8 × 4 in');
  await station(page, 'Stock');
  await expect(page.getByLabel('Mass, oz/sq yd')).toHaveValue('14.16');
});

test('keys while drawing: a tool stays in hand, a far point is followed, F fits, a digit and Enter go to the next point', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Keys');
  const strip = page.getByRole('form', { name: 'Type the next point' });
  const address = page.url();
  await page.keyboard.press('n');
  await page.keyboard.press('o');
  await expect(strip).toBeVisible();
  await expect(page).toHaveURL(/parts\//);
  await typePoint(page, { across: '0', up: '0' });
  await typePoint(page, { across: '1400', up: '0' });
  // The far point lies on the mat now, under neither the tools nor the strip.
  const mat = page.getByRole('application');
  const [box, points] = [
    (await mat.boundingBox())!,
    await mat.locator('circle').evaluateAll((all) => all.map((one) => one.getBoundingClientRect().x)),
  ];
  expect(points.length).toBeGreaterThan(0);
  expect(Math.max(...points)).toBeLessThan(box.x + box.width);
  expect(Math.max(...points)).toBeGreaterThan(box.x + box.width * 0.6);
  const scale = (): Promise<string | null> => mat.locator('g[transform*="scale"]').first().getAttribute('transform');
  await page.mouse.move(box.x + 300, box.y + 300);
  const fitted = await scale();
  await page.mouse.wheel(0, -600);
  await expect.poll(scale).not.toBe(fitted);
  await expect(strip.locator('input[name="length"]')).toBeFocused();
  await page.keyboard.press('f');
  await expect.poll(scale).toBe(fitted);
  // A digit with no field in hand, and Enter on the tool's own button, both go on with the drawing.
  await page.getByRole('button', { name: /^O outline/ }).focus();
  await page.keyboard.press('Enter');
  await expect(strip.locator('input[name="length"]')).toBeFocused();
  await page.getByRole('button', { name: /^O outline/ }).focus();
  await page.keyboard.type('30');
  await expect(strip.locator('input[name="length"]')).toHaveValue('30');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.locator('body').press('m');
  await page.keyboard.press('4');
  await expect(page.getByRole('alert')).toContainText('Esc first');
  await page.keyboard.press('Escape');
  await page.keyboard.press('4');
  await expect(page).not.toHaveURL(address);
  await expect(page.getByRole('heading', { name: /Make a form/ }).first()).toBeVisible();
});

test('zoomed to 150 % half of the page is mat; the feature menu covers no tool; a drag is undone in one step; fingers hold keys', async ({
  browser,
  workshop,
}) => {
  const touched = await browser.newContext({ hasTouch: true, isMobile: true, viewport: { width: 1024, height: 768 } });
  const page = await touched.newPage();
  await signUp(page, workshop);
  await newAirframe(page, 'Small page');
  await drawPlate(page, 'Plate', '200', '100');
  const box = async (locator: ReturnType<typeof page.locator>) => (await locator.boundingBox())!;
  await page.locator('body').press('e');
  const menu = await box(page.getByRole('group', { name: 'Features' }));
  for (const tool of await page.getByRole('toolbar', { name: 'Drawing tools' }).getByRole('button').all()) {
    const inMenu = await tool.evaluate((one) => one.closest('[aria-label="Features"]') !== null);
    const at = await tool.boundingBox();
    if (!inMenu && at) expect(at.y + at.height).toBeLessThanOrEqual(menu.y + 0.5);
  }
  await page.keyboard.press('Escape');

  // A drag by many small moves is one step of the history.
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  const [from, to] = [at(200, 100), at(230, 130)];
  await page.mouse.move(...from);
  await page.mouse.down();
  await page.mouse.move(...to, { steps: 12 });
  await page.mouse.up();
  await expect(slip(page)).toContainText(/Length\s*2[23]\d\.\d mm/);
  await page.getByRole('button', { name: /undo move point/ }).click();
  await expect(slip(page)).toContainText(/Length\s*200\.0 mm/);

  // Shift held by a finger chooses a second edge beside the first.
  await page.touchscreen.tap(...at(100, 0));
  await page.getByRole('group', { name: 'Keys to hold' }).getByRole('button', { name: 'Shift' }).tap();
  await page.touchscreen.tap(...at(0, 0));
  await page.touchscreen.tap(...at(200, 0));
  await expect(slip(page)).toContainText('2 points');

  await page.setViewportSize({ width: 853, height: 533 });
  await page.locator('body').press('l');
  const [mat, tools, strip] = await Promise.all([
    box(page.getByRole('application')),
    box(page.getByRole('group', { name: 'Marks and helpers' })),
    box(page.getByRole('form', { name: 'Type the next point' })),
  ]);
  expect(strip.y - (tools.y + tools.height)).toBeGreaterThan(533 / 2);
  expect(strip.y + strip.height).toBeLessThanOrEqual(mat.y + mat.height + 0.5);
  await touched.close();
});
