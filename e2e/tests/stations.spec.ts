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
} from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

test('figures that cannot be are refused where they are typed, and nothing changes', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Bad input');
  await drawPlate(page, 'Rib', '80', '20');
  for (const [typed, words] of [
    ['0', 'goes from 1 to 999'],
    ['many', 'is not a number'],
    ['1e9', 'is not a number'],
    ['', 'Type a'],
  ] as const) {
    const field = page.getByLabel('How many');
    await field.fill(typed);
    await field.press('Enter');
    await expect(page.getByRole('alert')).toContainText(words);
    await field.press('Escape');
    await expect(field).toHaveValue('1');
  }
  await station(page, 'Scale');
  await setFigure(page, 'Factor', '1000');
  await expect(page.getByRole('alert')).toContainText('goes from 0.05× to 20×'.replaceAll('×', ''));
  await page.getByLabel('Factor', { exact: true }).press('Escape');
  await expect(ticket(page, 'Scale')).toContainText('× 1.00');
  await station(page, 'Pages');
  await choose(page, 'Paper', 'own size', { exact: true });
  await setFigure(page, 'Paper width', '20');
  await expect(page.getByRole('alert')).toContainText('goes from 90.0 mm');
});

test('the ticket follows an edit, with the figure before struck through', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Ticket');
  await drawPlate(page, 'Wing', '600', '180');
  const stations = page.getByRole('navigation', { name: 'Stations' });
  // 0.108 m² at 480 g/m².
  await expect(stations).toContainText('51.8 g');
  await choose(page, 'Made', 'handed pair');
  await expect(stations).toContainText(/51\.8 g\s*104 g/);
  await expect(ticket(page, 'Pages')).toContainText(/\d+ A4/);
  await expect(ticket(page, 'Boards')).toContainText('1 · not nested');
  await station(page, 'Scale');
  await setFigure(page, 'Factor', '2');
  // Too large at once; that its two pieces find no place either is found out by the worker.
  await expect(stations).toContainText(/Faults\s*(was\s*(none|1)\s*)?[13]/);
  await station(page, 'Parts');
  await page.getByRole('button', { name: /^Scale to 1\.156/ }).click();
  await expect(stations).toContainText(/none/);
});

test('a board measured thicker widens every groove that follows it', async ({ page, workshop }) => {
  await page.goto(workshop.address);
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  await page.getByRole('heading', { name: 'Saltbox 36' }).waitFor();
  await signUp(page, workshop);
  await newAirframe(page, 'Thickness');
  await drawPlate(page, 'Tray', '300', '150');
  await page.getByRole('button', { name: 'V groove' }).click();
  const strip = page.getByRole('form', { name: 'Type the next point' });
  await strip.locator('input[name="up"]').fill('75');
  await strip.locator('input[name="across"]').fill('0');
  await strip.getByRole('button', { name: 'Add point' }).click();
  await strip.locator('input[name="length"]').fill('300');
  await strip.locator('input[name="angle"]').fill('0');
  await strip.getByRole('button', { name: 'Add point' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /Mitre groove/ }).click();
  await expect(page.getByLabel('Mouth')).toHaveValue('10.0');
  await station(page, 'Stock');
  await setFigure(page, 'Thickness, measured', '5.4');
  await station(page, 'Parts');
  await page.getByRole('button', { name: /Mitre groove/ }).click();
  await expect(page.getByLabel('Mouth')).toHaveValue('10.8');
});

test('a board measured thicker breaks what stood together: told on the ticket, on the part with its figure, and seen folded', async ({
  page,
  workshop,
}) => {
  await openDemo(page, workshop.address, 'Reedling 1100');
  const stations = page.getByRole('navigation', { name: 'Stations' });
  await expect(stations).toContainText(/Folds\s*\d+ closed/);
  await expect(stations).toContainText(/Faults\s*none/);
  const measure = async (text: string): Promise<void> => {
    await station(page, 'Stock');
    await page.getByLabel('Thickness, measured').first().fill(text);
    await page.getByLabel('Thickness, measured').first().press('Enter');
  };
  await measure('5.4');
  // The forms are made anew and fit, but for the boom: two walls and its two boards are 21.6 mm where the pod is 20 wide.
  await expect(stations).toContainText(/Faults\s*was\s*none\s*[1-9]/);
  await station(page, 'Parts');
  await page.getByRole('option', { name: /Pod wall/ }).click();
  const slip = page.getByRole('complementary', { name: /^Slip of Pod wall/ });
  await expect(slip.getByRole('region', { name: 'Faults' })).toContainText(
    /Pod wall and Boom layer 1 press 0\.(79|80) mm into each other/,
  );
  await slip.getByRole('button', { name: 'See it folded' }).click();
  await expect(page.getByRole('toolbar', { name: 'Folded part' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(stations).toContainText(/none/);
});

test('another thickness is tried before it is measured; inside sizes are kept by one step, and undone by one', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Power box');
  await page.getByRole('button', { name: 'New part' }).click();
  const slip = page.getByRole('complementary', { name: /^Slip of/ });
  await slip.getByText('Or fold it from sizes').click();
  for (const [side, size] of [
    ['Side 1', '25'],
    ['Side 2', '40'],
    ['Side 3', '25'],
  ] as const)
    await setFigure(page, side, size);
  await choose(page, 'Side 2 is measured', 'inside');
  await slip.getByRole('button', { name: 'Draw it flat' }).click();
  const stations = page.getByRole('navigation', { name: 'Stations' });
  await expect(stations).toContainText(/Faults.*none/);
  await page.locator('body').press('u');
  const sizes = slip.getByRole('region', { name: 'Sizes folded' });
  await expect(sizes.getByLabel('inside', { exact: true }).nth(1)).toHaveValue('40.0');
  await expect(sizes.getByLabel('stays so in another board').nth(1)).toBeChecked();
  await station(page, 'Stock');
  await page.getByText('What another thickness would break').click();
  await expect(page.getByText('Nothing breaks from 4.20 mm to 5.80 mm')).toBeVisible({ timeout: 20_000 });
  await setFigure(page, 'Try a thickness', '5.4');
  await expect(page.getByText('Lines would move to keep the inside of Part 1')).toBeVisible();
  await page.getByRole('button', { name: 'Measure it as 5.40 mm' }).click();
  await expect(page.getByText('The lines of Part 1 moved with the board: inside sizes are kept.')).toBeVisible();
  await station(page, 'Parts');
  await page.locator('body').press('u');
  await expect(sizes.getByLabel('inside', { exact: true }).nth(1)).toHaveValue('40.0');
  await expect(sizes.getByLabel('outside', { exact: true }).nth(1)).toHaveValue('50.8');
  await page.keyboard.press('Control+z');
  await expect(sizes.getByLabel('outside', { exact: true }).nth(1)).toHaveValue('50.0');
});
test('pieces without a place are faults that say what to buy, in the cut list too; counted, they are gone', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Too few boards');
  await drawPlate(page, 'Panel', '400', '360');
  await setFigure(page, 'How many', '3');
  await station(page, 'Stock');
  await setFigure(page, 'Count', '1');
  const stations = page.getByRole('navigation', { name: 'Stations' });
  await expect(stations).toContainText(/Faults\s*(was\s*none\s*)?1/);
  await station(page, 'Boards');
  await choose(page, 'Search', 'briefly');
  await page.getByRole('button', { name: 'Nest the parts' }).click();
  await expect(page.getByRole('complementary', { name: 'Boards' })).toContainText('2 Panel found no place');
  await station(page, 'Cut list');
  await expect(page.getByText('3 pieces, 1 of them on 1 board')).toBeVisible();
  await expect(page.getByText(/have no place\. 2 more boards of .* would take everything\./)).toBeVisible();
  await station(page, 'Parts');
  await page.getByRole('button', { name: 'Count 2 more' }).click();
  await expect(stations).toContainText(/none/);
  await saved(page);
});

test('nesting can be stopped keeping the best; nesting again gives the same nest; overlaps by hand are refused', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Nest');
  await drawPlate(page, 'Wide', '400', '200');
  await drawPlate(page, 'Small', '60', '60');
  await station(page, 'Boards');
  await choose(page, 'Search', 'until stopped');
  await page.getByRole('button', { name: 'Nest the parts' }).click();
  await page.getByRole('button', { name: 'Esc stop, keep best' }).click();
  await expect(page.getByText('2 pieces placed')).toBeVisible();
  await choose(page, 'Search', 'briefly');
  const pieces = (): Promise<string[]> =>
    page
      .getByRole('application')
      .locator('g[transform^="matrix"]')
      .evaluateAll((groups) => groups.map((group) => group.getAttribute('transform')!));
  await page.getByRole('button', { name: 'Enter nest again' }).click();
  await expect(page.getByRole('button', { name: 'Enter nest again' })).toBeVisible();
  const first = await pieces();
  await page.getByRole('button', { name: 'Enter nest again' }).click();
  await expect(page.getByRole('button', { name: 'Enter nest again' })).toBeVisible();
  expect(await pieces()).toEqual(first);

  const drawn = page.getByRole('application').locator('g[transform^="matrix"]');
  const middle = async (index: number): Promise<{ x: number; y: number }> => {
    const box = (await drawn.nth(index).boundingBox())!;
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  const drag = async (from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> => {
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(to.x, to.y, { steps: 5 });
  };
  const [wide, small] = [await middle(0), await middle(1)];
  // Held down, Alt lets it through the others.
  await page.keyboard.down('Alt');
  await drag(small, wide);
  await expect(page.getByRole('alert')).toContainText('Small overlaps Wide on board 1');
  await page.mouse.up();
  await page.keyboard.up('Alt');
  await expect(page.getByRole('alert')).toContainText('Small overlaps Wide on board 1');
  expect(await pieces()).toEqual(first);
  // The wide plate lies at the board's edge: a step to the left is refused.
  await page.mouse.click(wide.x, wide.y);
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('alert')).toContainText('from the edge of board 1');
  expect(await pieces()).toEqual(first);
  // Turned where it has no room it is shown so, and refused only when it is put down; typed to where there is room it stays.
  const piece = page.getByRole('region', { name: 'Chosen piece' });
  await setFigure(page, 'Turned', '45');
  await expect(piece.getByRole('alert')).toContainText('over the edge of board 1');
  await expect(piece.getByRole('button', { name: 'Put it down' })).toBeDisabled();
  expect(await pieces()).toEqual(first);
  await page.locator('body').press('Enter');
  await expect(piece.getByRole('alert')).toContainText('over the edge of board 1');
  await expect(piece.getByRole('button', { name: 'Put it down' })).toHaveCount(0);
  expect(await pieces()).toEqual(first);
  await setFigure(page, 'Turned', '45');
  await setFigure(page, 'Across', '20');
  await setFigure(page, 'Up', '20');
  await piece.getByRole('button', { name: 'Take it back' }).click();
  expect(await pieces()).toEqual(first);
  await page.mouse.click(small.x, small.y);
  await setFigure(page, 'Turned', '17');
  await setFigure(page, 'Across', '600');
  await setFigure(page, 'Up', '400');
  if (await piece.getByRole('button', { name: 'Put it down' }).isVisible())
    await piece.getByRole('button', { name: 'Put it down' }).click();
  await expect(piece.getByLabel('Turned')).toHaveValue('17.0');
  await expect(piece.getByLabel('Across')).toHaveValue('600.00');
  await expect.poll(pieces).not.toEqual(first);
  for (let step = 0; step < 3 && JSON.stringify(await pieces()) !== JSON.stringify(first); step++)
    await page.locator('body').press('Control+z');
  expect(await pieces()).toEqual(first);
  const board = (await page.getByRole('application').locator('polygon').nth(1).boundingBox())!;
  await drag(small, { x: board.x + board.width * 0.85, y: board.y + board.height * 0.5 });
  await page.mouse.up();
  await expect.poll(pieces).not.toEqual(first);
  await page.keyboard.press('Control+z');
  await expect.poll(pieces).toEqual(first);
  await saved(page);
});

test('an offcut: drawn on the mat, typed corner by corner, kept from a nest; it is nested on, and its name and price are its own', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Offcuts');
  await drawPlate(page, 'Plate', '300', '200');
  await expect(ticket(page, 'Boards')).toContainText('1 · not nested');
  await station(page, 'Stock');
  await setFigure(page, 'Prices are in', '€');
  await page.getByRole('button', { name: 'Add an offcut' }).click();
  const desk = page.getByRole('complementary', { name: /^Shape of Offcut/ });
  // Three corners by pointer, on the grid; they are then typed to what they are, and a fourth is typed.
  const mat = page.getByRole('application');
  const box = (await mat.boundingBox())!;
  for (const [x, y] of [
    [0.3, 0.7],
    [0.6, 0.7],
    [0.6, 0.4],
  ] as const)
    await page.mouse.click(box.x + box.width * x, box.y + box.height * y);
  await setFigure(page, 'Corner 1 across', '0');
  await setFigure(page, 'Corner 1 up', '0');
  await setFigure(page, 'Corner 2 across', '360');
  await setFigure(page, 'Corner 2 up', '0');
  await setFigure(page, 'Corner 3 across', '360');
  await setFigure(page, 'Corner 3 up', '240');
  const typed = desk.getByRole('form', { name: 'Type the next corner' });
  for (const [across, up] of [
    ['180', '-60'],
    ['', ''],
  ] as const) {
    await typed.locator('input[name="across"]').fill(across);
    await typed.locator('input[name="up"]').fill(up);
    await typed.getByRole('button', { name: 'Add corner' }).click();
  }
  await expect(desk.getByRole('alert').first()).toContainText('crosses itself');
  await expect(desk.getByRole('button', { name: 'Keep this shape' })).toBeDisabled();
  await page.locator('body').press('Control+z');
  await typed.locator('input[name="across"]').fill('0');
  await typed.locator('input[name="up"]').fill('+60');
  await typed.getByRole('button', { name: 'Add corner' }).click();
  // 360 wide, its left edge 300 and its right one 240 high.
  await expect(desk).toContainText('360.0 × 300.0 mm');
  await desk.getByRole('button', { name: 'Keep this shape' }).click();
  await expect(page.getByText('its outline has 4 corners')).toBeVisible();
  await expect(page.getByLabel('Price each, €').last()).toHaveValue('0');

  await station(page, 'Boards');
  await page.getByRole('button', { name: 'Nest the parts' }).click();
  const slip = page.getByRole('complementary', { name: 'Boards' });
  await expect(slip).toContainText('1 piece placed');
  await expect(slip).toContainText(/Boards cost\s*€ 0\.00/);
  await expect(page.getByRole('application')).toContainText('360 × 300');
  await slip.getByRole('button', { name: 'Keep it as an offcut' }).click();
  await expect(page.getByText('This nest is older than the parts')).toHaveCount(0);
  await station(page, 'Stock');
  await expect(page.getByLabel("Board's name").last()).toHaveValue(/^Offcut of board 1/);
  await expect(page.getByLabel('Count', { exact: true }).last()).toHaveValue('0');
  // A board's name follows its size until another is typed.
  await page.getByLabel('Width', { exact: true }).first().fill('650');
  await page.getByLabel('Width', { exact: true }).first().press('Enter');
  await expect(page.getByLabel("Board's name").first()).toHaveValue('faced board 650 × 500 mm');
  await saved(page);
});

test('a version is looked at, compared and gone back to', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Versions');
  await drawPlate(page, 'Rib', '80', '20');
  await saved(page);
  await page.getByRole('button', { name: 'Remove part' }).click();
  await saved(page);
  await page.getByRole('link', { name: /^version/ }).click();
  await page
    .getByRole('button', { name: /Rename part|Draw outline/ })
    .first()
    .click();
  await expect(page.getByRole('complementary', { name: 'Version', exact: true })).toContainText(/Rib\s*removed since/);
  await expect(page.getByRole('img', { name: 'Rib: 1 line gone, 0 lines new' })).toBeVisible();
  await page.getByRole('button', { name: /^Go back to version/ }).click();
  await expect(ticket(page, 'Parts')).toContainText('1');
  await station(page, 'Parts');
  await expect(page.getByRole('option', { name: /Rib/ })).toBeVisible();
});

test('airframes are renamed, duplicated, put away, brought back and exported', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'First');
  await page.getByRole('link', { name: 'All airframes' }).click();
  await page.getByRole('button', { name: 'Rename' }).click();
  await page.getByRole('dialog').getByRole('textbox').fill('Second');
  await page.getByRole('dialog').getByRole('button', { name: 'Rename' }).click();
  await expect(page.getByRole('heading', { name: 'Second', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByRole('heading', { name: 'Second copy' })).toBeVisible();
  await page.getByRole('button', { name: 'Put away' }).first().click();
  await page.getByRole('button', { name: 'Put away 1' }).click();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing is put away' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to airframes' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export' }).first().click();
  expect((await download).suggestedFilename()).toMatch(/\.grainfold\.json$/);
});
