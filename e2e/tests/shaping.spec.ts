import {
  drawPlate,
  expect,
  newAirframe,
  openDemo,
  saved,
  setFigure,
  signUp,
  test,
  typePoint,
} from '../support/workshop.ts';
import { pixelsOf, slip } from '../support/mat.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

test('rectangles and circles by two places or by numbers; a row of copies; a cabin cut out; corners rounded', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Shaped');
  await drawPlate(page, 'Body side', '300', '100');
  const strip = page.getByRole('form', { name: 'Type the next point' });
  await page.getByRole('button', { name: 'Outline', exact: true }).click();
  await page.getByRole('button', { name: 'D hole' }).click();
  await choose(strip, 'Shape', 'circle');
  await typePoint(page, { across: '40', up: '30' });
  await strip.locator('input[name="width"]').fill('6');
  await strip.getByRole('button', { name: 'Add point' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  const stations = page.getByRole('navigation', { name: 'Stations' });
  const foam = (holes: number, opening = 0): string =>
    `${(((30_000 - holes * Math.PI * 36 - opening) / 1e6) * 480).toFixed(1)} g`;
  await expect(stations).toContainText(foam(1));

  const at = await pixelsOf(page);
  await page.mouse.click(...at(40, 36));
  const shape = slip(page).getByRole('region', { name: 'Shape' });
  await shape.getByText('Move, turn, mirror, copy').click();
  await setFigure(page, 'Copies', '3');
  await setFigure(page, 'Step across', '=2*30');
  await shape.getByRole('button', { name: 'Move 3 copies' }).click();
  await expect(stations).toContainText(foam(4));

  await page.locator('body').press('d');
  await choose(strip, 'Shape', 'rectangle');
  await page.mouse.click(...at(100, 70));
  await page.mouse.click(...at(180, 110));
  await page.keyboard.press('Escape');
  await page.mouse.click(...at(140, 70));
  await shape.getByRole('button', { name: 'Cut it out' }).click();
  await expect(stations).toContainText(foam(4, 80 * 30));
  await expect(stations).toContainText(/Faults.*none/);

  await page.locator('body').press('Escape');
  await page.mouse.click(...at(0, 0));
  await setFigure(page, 'Corner', '20');
  await page.getByRole('button', { name: 'Round', exact: true }).click();
  await expect(stations).toContainText(foam(4, 80 * 30 + (4 - Math.PI) * 100));
  await page.mouse.click(...at(300, 0));
  await setFigure(page, 'Corner', '500');
  await page.getByRole('button', { name: 'Round', exact: true }).click();
  await expect(slip(page).getByRole('alert')).toContainText('at most');
  await page.locator('body').press('Control+z');
  await expect(stations).toContainText(foam(4, 80 * 30));
  await saved(page);
});

test('lines trimmed on the mat, extended and joined; the outline offset into a line; several aligned', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Lines');
  await drawPlate(page, 'Panel', '300', '200');
  await page.locator('body').press('f');
  const at = await pixelsOf(page);
  const mark = async (...points: readonly (readonly [number, number])[]): Promise<void> => {
    await page.locator('body').press('l');
    for (const [x, y] of points) await page.mouse.click(...at(x, y));
    await page.getByRole('button', { name: 'End here' }).click();
    await page.keyboard.press('Escape');
  };
  const lines = slip(page).getByRole('region', { name: 'Lines on this part' }).getByRole('button');
  await mark([40, 100], [260, 100]);
  await mark([100, 50], [100, 150]);
  await mark([200, 50], [200, 150]);
  await page.locator('body').press('x');
  await page.mouse.click(...at(150, 100));
  await expect(lines).toHaveCount(4);
  await page.keyboard.press('Escape');
  await page.mouse.click(...at(60, 100));
  await page.getByRole('button', { name: 'Extend its start' }).click();
  await page.mouse.click(...at(20, 100));
  await page.keyboard.down('Shift');
  await page.mouse.click(...at(100, 120));
  await page.mouse.click(...at(200, 120));
  await page.keyboard.up('Shift');
  await expect(slip(page).getByText('3 lines chosen')).toBeVisible();
  await slip(page).getByRole('button', { name: 'left', exact: true }).click();
  await page.keyboard.press('Delete');
  await expect(lines).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(lines).toHaveCount(4);
  await page.locator('body').press('Escape');
  await page.mouse.click(...at(150, 0));
  await slip(page).getByText('Offset', { exact: true }).first().click();
  await setFigure(page, 'Outwards by, inwards below 0', '-12');
  await slip(page).getByRole('button', { name: 'Offset it' }).click();
  await expect(lines).toHaveCount(5);
  await setFigure(page, 'Outwards by, inwards below 0', '-400');
  await slip(page).getByRole('button', { name: 'Offset it' }).click();
  await expect(slip(page).getByRole('alert')).toContainText('nothing of the outline is left');
});

test('the rack of parts: filtered, put in another order by keys and by dragging, and undone', async ({
  page,
  workshop,
}) => {
  await openDemo(page, workshop.address, 'Saltbox 36');
  const rack = page.getByRole('listbox', { name: 'Parts' });
  await rack.waitFor();
  await page.getByLabel('Filter the parts').fill('former');
  await expect(rack.getByRole('option')).toHaveCount(4);
  await page.getByLabel('Filter the parts').fill('');
  await expect(rack.getByRole('option')).toHaveCount(30);
  const names = async (): Promise<string[]> => (await rack.locator('.name').allInnerTexts()).slice(0, 4);
  const before = await names();
  await rack.getByRole('option').first().click();
  await rack.getByRole('option').first().press('Alt+ArrowRight');
  await expect.poll(names).toEqual([before[1], before[0], before[2], before[3]]);
  await page.locator('body').press('Control+z');
  await expect.poll(names).toEqual(before);
  // The last but one of the first group becomes its last, and does not slip into the next group.
  const groups = rack.getByRole('group');
  const size = await groups.first().getByRole('option').count();
  const name = await groups
    .first()
    .locator('.name')
    .nth(size - 2)
    .innerText();
  await groups
    .first()
    .getByRole('option')
    .nth(size - 2)
    .click();
  await groups
    .first()
    .getByRole('option')
    .nth(size - 2)
    .press('Alt+ArrowRight');
  await expect(groups.first().locator('.name').last()).toHaveText(name);
  await expect(groups.first().getByRole('option')).toHaveCount(size);
  await page.locator('body').press('Control+z');
  await expect.poll(names).toEqual(before);
  await rack.getByRole('option').nth(2).dragTo(rack.getByRole('option').first());
  await expect.poll(names).toEqual([before[2], before[0], before[1], before[3]]);
  await page.locator('body').press('y');
  await page.getByRole('dialog').getByRole('button', { name: 'As it was opened' }).click();
  await page.keyboard.press('Escape');
  await expect.poll(names).toEqual(before);
});
