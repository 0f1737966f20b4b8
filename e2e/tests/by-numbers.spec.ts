import type { Page } from '@playwright/test';
import { expect, newAirframe, saved, setFigure, signUp, station, test, typePoint } from '../support/workshop.ts';
import { pixelsOf, slip } from '../support/mat.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

const strip = (page: Page) => page.getByRole('form', { name: 'Type the next point' });
const stations = (page: Page) => page.getByRole('navigation', { name: 'Stations' });

/** Draws a hole by its first place and its size, and leaves the tool. */
async function hole(
  page: Page,
  shape: 'rectangle' | 'circle',
  across: string,
  up: string,
  width: string,
  height = '',
): Promise<void> {
  await page.locator('body').press('d');
  await choose(strip(page), 'Shape', shape);
  await typePoint(page, { across, up });
  await strip(page).locator('input[name="width"]').fill(width);
  if (height) await strip(page).locator('input[name="height"]').fill(height);
  await strip(page).getByRole('button', { name: 'Add point' }).click();
  await strip(page).getByRole('button', { name: 'Cancel' }).click();
}
/** The foam's mass on the ticket; the figure struck through before it is the one before the last change. */
const foamG = async (page: Page): Promise<number> =>
  Number([.../([\d.]+) g/g[Symbol.matchAll](/Foam(.*)Faults/s.exec(await stations(page).innerText())![1]!)].at(-1)![1]);

test('the body side of the builder’s page: curved line, cabin, saddle, three slots, two grooves; then a thicker board', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'By numbers');
  await page.getByRole('button', { name: 'New part' }).click();
  for (const [across, up] of [
    ['0', '20'],
    ['360', '35'],
    ['360', '75'],
    ['0', '90'],
  ] as const)
    await typePoint(page, { across, up });
  await strip(page).getByRole('button', { name: 'Close it' }).click();
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  await page.mouse.click(...at(144, 26));
  await choose(page, 'Runs', 'as an arc');
  await setFigure(page, 'Radius', '1200');
  // Trapezium: 360·((90 − 20) + (75 − 35))/2. The arc adds its segment: r²·(φ − sin φ)/2 over the chord √(360² + 15²).
  const chord = Math.hypot(360, 15),
    phi = 2 * Math.asin(chord / 2 / 1200);
  let area = 360 * 55 + (1200 ** 2 * (phi - Math.sin(phi))) / 2;
  const grams = (mm2: number): number => (mm2 / 1e6) * 480;
  await expect.poll(() => foamG(page)).toBeCloseTo(grams(area), 0);
  expect(Math.abs((await foamG(page)) - grams(area))).toBeLessThan(0.06);

  // The upper edge falls from 90 to 75: its height over the cabin is 90 − across/24.
  await hole(page, 'rectangle', '90', '60', '70', '60');
  await page.mouse.click(...at(125, 60));
  await slip(page).getByRole('button', { name: 'Cut it out' }).click();
  area -= 70 * (90 - 125 / 24 - 60);
  await expect.poll(async () => Math.abs((await foamG(page)) - grams(area))).toBeLessThan(0.06);

  // The saddle's circle about (215, 240) reaches down to 75: what it takes is the circle's segment below the upper edge.
  await hole(page, 'circle', '215', '240', '165');
  // Its middle was followed out of view: fit it again.
  await page.locator('body').press('f');
  await page.mouse.click(...(await pixelsOf(page))(215, 75));
  await slip(page).getByRole('button', { name: 'Cut it out' }).click();
  const depth = 165 - (240 - (90 - 215 / 24)) * Math.cos(Math.atan(1 / 24));
  const half = Math.acos((165 - depth) / 165);
  area -= 165 ** 2 * (half - Math.sin(half) * Math.cos(half));
  await expect.poll(async () => Math.abs((await foamG(page)) - grams(area))).toBeLessThan(0.06);

  await hole(page, 'rectangle', '40', '44', '30', '4');
  await page.mouse.click(...at(50, 44));
  await choose(page, 'Slot for a plate of', 'faced board');
  await expect(slip(page)).toContainText('5.20 mm wide');
  await slip(page).getByText('Move, turn, mirror, copy').click();
  await setFigure(page, 'Copies', '2');
  await setFigure(page, 'Step across', '=5*24');
  await slip(page).getByRole('button', { name: 'Move 2 copies' }).click();
  await expect.poll(async () => Math.abs((await foamG(page)) - grams(area - 3 * 30 * 5.2))).toBeLessThan(0.06);

  for (const across of ['20', '340']) {
    await page.locator('body').press('v');
    await typePoint(page, { across, up: '0' });
    await typePoint(page, { across, up: '120' });
    await strip(page).getByRole('button', { name: 'Cancel' }).click();
  }
  await expect(stations(page)).toContainText(/Faults.*none/);
  const grooves = slip(page)
    .getByRole('region', { name: 'Lines on this part' })
    .getByRole('button', { name: /Mitre groove/ });
  await grooves.first().click();
  await expect(page.getByLabel('Mouth')).toHaveValue('10.0');
  await page.getByLabel('follows the measured board').uncheck();

  await station(page, 'Stock');
  await setFigure(page, 'Thickness, measured', '6.2');
  await station(page, 'Parts');
  await expect(page.getByRole('heading', { name: 'Groove 10.0 mm is too narrow for 90°' })).toBeVisible();
  await grooves.last().click();
  await expect(page.getByLabel('Mouth')).toHaveValue('12.4');
  await page.mouse.click(...at(50, 48.9));
  await expect(slip(page)).toContainText('6.40 mm wide');
  await expect.poll(async () => Math.abs((await foamG(page)) - grams(area - 3 * 30 * 6.4))).toBeLessThan(0.06);
  await page.getByRole('button', { name: 'Widen to 12.4' }).click();
  await expect(stations(page)).toContainText(/Faults.*none/);
  await saved(page);
});

test('the former of the builder’s page: four tabs joined on and a lightening hole', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Former');
  await page.getByRole('button', { name: 'New part' }).click();
  await choose(strip(page), 'Shape', 'rectangle');
  await typePoint(page, { across: '0', up: '0' });
  await strip(page).locator('input[name="width"]').fill('80');
  await strip(page).locator('input[name="height"]').fill('100');
  await strip(page).getByRole('button', { name: 'Add point' }).click();
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  for (const [across, up] of [
    ['-5', '20'],
    ['-5', '65'],
    ['75', '20'],
    ['75', '65'],
  ] as const) {
    await hole(page, 'rectangle', across, up, '10', '15');
    await page.mouse.click(...at(Number(across) + (across === '-5' ? 10 : 0), Number(up) + 5));
    await slip(page).getByRole('button', { name: 'Join it on' }).click();
  }
  await hole(page, 'circle', '40', '50', '25');
  await expect(slip(page)).toContainText('90.0');
  // 80 × 100 + 4 × 5 × 15 − π·25² = 6336.5 mm² at 480 g/m².
  await expect.poll(() => foamG(page)).toBeCloseTo(3.0, 1);
  await station(page, 'Cut list');
  // Round the former: 360 mm and twice 5 mm for each tab; and the hole's rim.
  await expect(page.getByRole('article').first()).toContainText('400.0 mm');
  await expect(page.getByRole('article').first()).toContainText('157.1 mm');
});

test('the fin and rudder of the builder’s page: a rounded tip and a hinge with its relief', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Fin');
  await page.getByRole('button', { name: 'New part' }).click();
  const corners = [
    [0, 0],
    [150, 0],
    [150, 90],
    [90, 140],
    [0, 60],
  ] as const;
  for (const [x, y] of corners) await typePoint(page, { across: String(x), up: String(y) });
  await strip(page).getByRole('button', { name: 'Close it' }).click();
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  await page.mouse.click(...at(90, 140));
  await setFigure(page, 'Corner', '20');
  await page.getByRole('button', { name: 'Round', exact: true }).click();
  // Shoelace, less what the tip loses: r²·(1/tan(θ/2) − (π − θ)/2) with θ the angle at it.
  const shoelace = corners.reduce((sum, [x, y], index) => {
    const [nx, ny] = corners[(index + 1) % corners.length]!;
    return sum + (x * ny - nx * y) / 2;
  }, 0);
  const theta = Math.acos((60 * -90 + -50 * -80) / (Math.hypot(60, 50) * Math.hypot(90, 80)));
  const area = shoelace - 400 * (1 / Math.tan(theta / 2) - (Math.PI - theta) / 2);
  await expect.poll(async () => Math.abs((await foamG(page)) - (area / 1e6) * 480)).toBeLessThan(0.06);

  await page.locator('body').press('h');
  await typePoint(page, { across: '115', up: '-10' });
  await typePoint(page, { across: '115', up: '150' });
  await strip(page).getByRole('button', { name: 'Cancel' }).click();
  const lines = slip(page).getByRole('region', { name: 'Lines on this part' });
  await lines.getByRole('button', { name: /Control hinge/ }).click();
  await setFigure(page, 'Deflects ±', '90');
  await choose(page, 'Bevelled', 'the edge left of it');
  await expect(page.getByRole('heading', { name: 'A hinge cannot deflect 90°' })).toBeVisible();
  await page.getByRole('button', { name: 'Deflect 65°' }).click();
  await choose(page, 'Bevelled', 'both edges');
  await setFigure(page, 'Deflects ±', '30');
  await expect(slip(page)).toContainText('2.7 mm wide');
  await expect(stations(page)).toContainText(/Faults.*none/);
  await station(page, 'Cut list');
  const list = page.getByRole('article').first();
  // The upper edge from (90, 140) to (150, 90) stands at 140 − 25·50/60 over 115.
  for (const text of ['control hinge', '±30°', '119.2 mm', '2.7 mm', '15° each side, out to 1.3'])
    await expect(list).toContainText(text);
});

test('the elevator of the builder’s page: one half about its centre line, cut out for the rudder', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'By numbers');
  await page.getByRole('button', { name: 'New part' }).click();
  await page.locator('body').press('Escape');
  await choose(page, 'Drawn', 'half, about an upright line', { exact: true });
  await page.locator('body').press('o');
  for (const [across, up] of [
    ['0', '30'],
    ['14', '0'],
    ['110', '0'],
    ['120', '12'],
    ['120', '45'],
    ['0', '45'],
  ] as const)
    await typePoint(page, { across, up });
  await strip(page).getByRole('button', { name: 'End here' }).click();
  // Each half: 120 × 45 less the cut-out's 14 × 30 / 2 and the corner's 10 × 12 / 2.
  const half = 120 * 45 - 210 - 60;
  const grams = (mm2: number): number => (mm2 / 1e6) * 480;
  await expect.poll(async () => Math.abs((await foamG(page)) - grams(2 * half))).toBeLessThan(0.06);
  await expect(slip(page)).toContainText(/Length\s*240\.0/);
  await expect(stations(page)).toContainText(/Faults.*none/);

  await page.locator('body').press('f');
  let at = await pixelsOf(page);
  await page.locator('body').press('e');
  await page.getByRole('button', { name: 'lightening hole' }).click();
  await page.mouse.click(...at(68, 24));
  await setFigure(page, 'Length', '50');
  await setFigure(page, 'Width', '16');
  await setFigure(page, 'Corner radius', '8');
  await setFigure(page, 'Middle across', '65');
  await setFigure(page, 'Middle up', '24');
  const holes = 2 * (50 * 16 - (4 - Math.PI) * 64);
  await expect.poll(async () => Math.abs((await foamG(page)) - grams(2 * half - holes))).toBeLessThan(0.06);

  await page.locator('body').press('Escape');
  await page.locator('body').press('b');
  at = await pixelsOf(page);
  // The bevel is set on the image of the half: it is the drawn edge that bears it, on both sides.
  await page.mouse.click(...at(-90, 45));
  await setFigure(page, 'Bevel', '25');
  await expect(page.getByLabel('Bevel', { exact: true })).toHaveValue('25.0');
  await expect(stations(page)).toContainText(/Faults.*none/);
  await station(page, 'Cut list');
  await expect(page.getByRole('main')).toContainText('240.0');
});
