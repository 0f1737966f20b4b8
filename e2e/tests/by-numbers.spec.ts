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
