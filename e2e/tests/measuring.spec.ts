import { drawPlate, expect, newAirframe, saved, setFigure, signUp, test } from '../support/workshop.ts';
import { pixelsOf, slip } from '../support/mat.ts';

test('measure between two places; pin a dimension; set its number and the drawing follows', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Measured');
  await drawPlate(page, 'Plate', '200', '100');
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  await page.locator('body').press('m');
  await page.mouse.click(...at(0, 0));
  await page.mouse.click(...at(200, 100));
  const measured = slip(page).getByRole('region', { name: 'Measured', exact: true });
  await expect(measured).toContainText('223.61 mm');
  await expect(measured).toContainText('26.6°');
  await expect(slip(page)).toContainText(/Area\s*200\.0 cm²/);
  await expect(slip(page)).toContainText(/All round, holes too\s*600\.0 mm/);
  await measured.getByRole('button', { name: 'Pin across' }).click();
  await page.keyboard.press('Escape');
  const pinned = slip(page).getByRole('region', { name: 'Pinned dimensions' });
  await pinned.getByLabel('Across').fill('7 3/8in');
  await pinned.getByLabel('Across').press('Enter');
  await expect(pinned.getByLabel('Across')).toHaveValue('187.32');
  // The upper right corner came in: the plate is a trapezium now.
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText('9.3 g');
  await expect(page.getByRole('application')).toContainText('187.3');
  await pinned.getByRole('button', { name: /Remove the dimension/ }).click();
  await expect(pinned).toHaveCount(0);
  await page.locator('body').press('Control+z');
  await expect(pinned.getByLabel('Across')).toHaveValue('187.32');
  await setFigure(page, 'How many', '2');
  await saved(page);
  await page.reload();
  await expect(pinned.getByLabel('Across')).toHaveValue('187.32');
});
