import type { Page } from '@playwright/test';
import { drawPlate, expect, newAirframe, openDemo, setFigure, signUp, test, typePoint } from '../support/workshop.ts';
import { slip } from '../support/mat.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

const strip = (page: Page) => page.getByRole('form', { name: 'Type the next point' });
const stations = (page: Page) => page.getByRole('navigation', { name: 'Stations' });
const folds = (page: Page) => slip(page).getByRole('region', { name: 'Folds' });

test('a wall stands on a floor: their square edges press, are bevelled by the mend, and a shift opens the seam', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Box');
  await drawPlate(page, 'Floor', '200', '100');
  await drawPlate(page, 'Wall', '200', '40');
  await page.locator('body').press('u');
  const standing = slip(page).getByRole('region', { name: 'Where it stands' });
  await expect(folds(page)).toContainText('Wall is one plate: nothing of it folds.');
  await standing.getByRole('button', { name: 'Stand it on another part' }).click();
  await choose(standing, 'on its', 'edge 1 · 200.0');
  await choose(standing, 'at that part’s', 'far skin');
  await expect(folds(page)).toContainText('2 pieces of 2 parts stand together.');
  // The wall's foot and the floor's edge are both square: they share a bar of foam.
  await expect(folds(page)).toContainText(/Floor and Wall are 5\.00 mm in each other/);
  await standing.getByText('It meets an edge or line of another part').click();
  await choose(standing, 'meets the part', 'Floor');
  await standing.getByRole('button', { name: 'Declare the seam' }).click();
  await expect(folds(page)).toContainText('5.00 mm in each other');
  await expect(folds(page)).toContainText('Met at 90°: bevels of 45° and 45°; they have 0° and 0°.');
  await folds(page).getByRole('button', { name: 'Bevel both edges' }).click();
  await expect(folds(page)).toContainText('No piece is in another.');
  await expect(folds(page)).toContainText('Its seam is closed; the widest gap is 0.00 mm.');
  await expect(stations(page)).toContainText(/Folds.*1 closed/);
  await standing.getByLabel('Shifted along by').fill('7');
  await standing.getByLabel('Shifted along by').press('Enter');
  await expect(folds(page)).toContainText(/One seam is open by up to 7\.00 mm/);
  await page.keyboard.press('Escape');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save PNG' }).click();
  expect((await saved).suggestedFilename()).toBe('Wall folded.png');
  // A part that goes takes its joint's ground away, which is told on the flat drawing.
  await page.getByRole('listbox', { name: 'Parts' }).getByRole('option', { name: /Floor/ }).click();
  await slip(page).getByRole('button', { name: 'Remove part' }).click();
  await expect(slip(page)).toContainText('Wall does not stand');
  await slip(page).getByRole('button', { name: 'Take it off' }).first().click();
  await slip(page).getByRole('button', { name: 'Remove the seam' }).first().click();
  await expect(stations(page)).toContainText(/Faults.*none/);
});

test('a former leans on a mark: its foot presses, is bevelled by one click, gets a line, tabs and slots; its section is measured by keys', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Leaning former');
  await drawPlate(page, 'Former', '50', '40');
  await drawPlate(page, 'Floor', '200', '100');
  await page.locator('body').press('l');
  await typePoint(page, { across: '60', up: '20' });
  await typePoint(page, { across: '60', up: '80' });
  await strip(page).getByRole('button', { name: 'End here' }).click();
  await page
    .getByRole('listbox', { name: 'Parts' })
    .getByRole('option', { name: /Former/ })
    .click();
  await page.locator('body').press('u');
  const standing = slip(page).getByRole('region', { name: 'Where it stands' });
  await standing.getByRole('button', { name: 'Stand it on another part' }).click();
  await choose(standing, 'on its', 'mark · 60.0');
  await setFigure(page, 'Turned up by', '80');
  // 5 mm of board at a lean of 10°: 5 · sin 10° = 0.87.
  await expect(standing).toContainText(
    'Former stands on Floor on all 50.00 mm of its foot, and stays open by 10°, 0.87 mm at its mouth.',
  );
  await expect(stations(page)).toContainText(/Faults.*1/);
  await expect(slip(page)).toContainText('Former stands open on Floor by 10°, 0.87 mm at its mouth');
  await standing.getByRole('button', { name: 'Bevel the foot by 10°' }).click();
  await expect(standing).toContainText('on all 50.00 mm of its foot, along its whole end.');
  await expect(stations(page)).toContainText(/Faults.*none/);
  await standing.getByRole('button', { name: 'Draw the line as long as the foot: 50.0 mm' }).click();
  await expect(standing).toContainText('mark · 50.0');
  await standing.getByRole('button', { name: 'Give its foot a tab and a slot' }).click();
  await expect(standing.getByRole('button', { name: /a tab and a slot/ })).toHaveCount(0);
  // Its tab goes through; the 30 mm beside it lie on the floor, but for the 0.2 mm that the slot is longer than the tab.
  await expect(standing).toContainText('Former stands on Floor on 29.80 mm of the 30.00 mm of its foot');
  await expect(stations(page)).toContainText(/Faults.*none/);
  // Places to measure between are chosen by name, with keys alone.

  await choose(page, 'Section across', 'section across y');
  await page.getByRole('group', { name: 'Views' }).getByRole('button', { name: 'measure' }).press('Enter');
  for (const [label, typed] of [
    ['Measure from', 'Former: plate 1, face'],
    ['Measure to', 'Floor: plate 1, face'],
  ] as const) {
    const list = page.getByRole('combobox', { name: label });
    await list.focus();
    await page.keyboard.type(typed);
    await page.getByRole('option', { name: typed, exact: true }).waitFor();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
  }
  await expect(page.locator('.told')).toContainText('a face to a face');
  await expect(page.locator('.told')).toContainText('80° between them');
});
test('the whole demo airframe is folded and stood together, and a click on it opens the part that was clicked', async ({
  page,
  workshop,
}) => {
  await openDemo(page, workshop.address, 'Saltbox 36');
  await page.getByRole('listbox', { name: 'Parts' }).getByRole('option', { name: 'Body lid 1 off' }).click();
  await page.locator('body').press('u');
  await choose(page, 'Shown folded', 'whole airframe');
  await expect(folds(page)).toContainText('33 pieces of 26 parts stand together.');
  await expect(folds(page)).toContainText('No piece is in another.');
  await expect(folds(page)).toContainText('closed; the widest gap is 0.004 in.');
  await page.getByRole('button', { name: 'above', exact: true }).click();
  const box = (await page.locator('.folded-mat canvas').boundingBox())!;
  await page.mouse.click(box.x + box.width / 2 - 60, box.y + box.height / 2 - 130);
  await expect(slip(page).getByLabel("Part's name")).toHaveValue('Wing skin');
  await folds(page).getByRole('button', { name: 'Keep this order' }).click();
  await expect(folds(page)).toContainText('as you keep it');
  await folds(page)
    .getByRole('button', { name: /earlier/ })
    .last()
    .click();
  await expect(page.getByRole('button', { name: 'Let the program order them' })).toBeVisible();
});
