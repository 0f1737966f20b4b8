import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, newAirframe, openDemo, saved, signUp, station, test } from '../support/workshop.ts';

/** Nothing serious, in axe's own words. */
async function isAccessible(page: Page, where: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(
    serious.map(
      ({ id, nodes }) =>
        `${where}: ${id} ${nodes.map(({ html, failureSummary }) => `${html} ${failureSummary}`).join('\n')}`,
    ),
  ).toEqual([]);
}

test('axe finds nothing serious on what lies before the stations, in the plan and the versions', async ({
  page,
  workshop,
}) => {
  await page.goto(workshop.address);
  await isAccessible(page, 'welcome');
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  await page.getByRole('heading', { name: 'Paperbark Mite' }).waitFor();
  await isAccessible(page, 'airframes');
  await page.getByRole('button', { name: 'New airframe' }).click();
  await isAccessible(page, 'new airframe');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Open Saltbox 36' }).click();
  await station(page, 'Plan');
  for (const word of ['Figures', 'Things', 'Trace', 'What if']) {
    await page.getByRole('complementary', { name: 'Slip' }).getByText(word, { exact: true }).click();
    await page.waitForTimeout(300);
    await isAccessible(page, `plan, ${word}`);
  }
  await station(page, 'Forms');
  await page.getByRole('complementary', { name: 'Slip' }).getByRole('button', { name: 'Creased beside bent' }).click();
  await isAccessible(page, 'forms, compared');
  await page.getByRole('link', { name: /^version/ }).click();
  await page.getByRole('button', { name: /Demo workshop/ }).click();
  await isAccessible(page, 'versions');
  await page.keyboard.press('?');
  await isAccessible(page, 'key card');
});

for (const theme of ['day', 'evening'])
  test(`axe finds nothing serious on any station, in the ${theme}`, async ({ page, workshop }) => {
    test.setTimeout(240_000);
    await openDemo(page, workshop.address, 'Paperbark Mite');
    if (theme === 'evening') await page.getByRole('button', { name: 'Dim' }).click();
    for (const word of ['Stock', 'Parts', 'Forms', 'Scale', 'Pages', 'Boards', 'Cut list']) {
      await station(page, word);
      await page.waitForTimeout(900);
      await isAccessible(page, `${word}, ${theme}`);
      if (word === 'Forms') {
        for (const title of [/^Controls/, /^Working, step by step/])
          await page.getByRole('complementary', { name: 'Slip' }).getByRole('button', { name: title }).first().click();
        await isAccessible(page, `forms unfolded, ${theme}`);
      }
      if (word !== 'Parts') continue;
      await page.getByRole('button', { name: 'take out' }).click();
      await page.getByRole('dialog', { name: 'Take out' }).waitFor();
      await isAccessible(page, `take out, ${theme}`);
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'bring in a drawing' }).click();
      await isAccessible(page, `bring in, ${theme}`);
      await page.getByRole('button', { name: 'dunlin-tiled.pdf' }).click();
      await page.getByRole('button', { name: 'Take 7 parts in' }).waitFor();
      await page.getByRole('button', { name: 'Overlap, and pages by hand' }).click();
      await isAccessible(page, `a drawing on the mat, ${theme}`);
      await station(page, 'Parts');
      await page.locator('body').press('e');
      await isAccessible(page, `features, ${theme}`);
      await page.locator('body').press('Escape');
      await page
        .getByRole('listbox', { name: 'Parts' })
        .getByRole('option', { name: /Wing plate/ })
        .click();
      await page.locator('body').press('u');
      await page.getByRole('region', { name: 'Folds' }).waitFor();
      await isAccessible(page, `folded, ${theme}`);
      await page.locator('body').press('u');
    }
  });

test('a part is drawn, folded, undone and found again with the keyboard alone', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'By keys');
  await page.locator('body').press('n');
  const strip = page.getByRole('form', { name: 'Type the next point' });
  await page.keyboard.press('Enter');
  const type = async (...fields: string[]): Promise<void> => {
    for (const [index, text] of fields.entries()) {
      await page.keyboard.type(text);
      if (index < fields.length - 1) await page.keyboard.press('Tab');
    }
    await page.keyboard.press('Enter');
  };
  await expect(strip.locator('input[name="across"]')).toBeFocused();
  await type('0', '0');
  await expect(strip.locator('input[name="length"]')).toBeFocused();
  await type('=2*90+20', '0');
  await type('3 7/8"', '90');
  await type('200', '180');
  await strip.getByRole('button', { name: 'Close it' }).press('Enter');
  await expect(page.getByRole('complementary', { name: /Slip of/ })).toContainText('98.4');
  await page.locator('body').press('v');
  await page.keyboard.press('Enter');
  await type('0', '40');
  await type('200', '0');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /Mitre groove/ })).toBeVisible();
  await page.locator('body').press('Control+z');
  await expect(page.getByRole('button', { name: /Mitre groove/ })).toHaveCount(0);
  await page.locator('body').press('Control+Shift+z');
  await page.getByRole('button', { name: /Mitre groove/ }).press('Enter');
  await page.getByLabel('Folds to').fill('150');
  await page.getByLabel('Folds to').press('Enter');
  await expect(page.getByRole('heading', { name: 'A groove cannot fold 150°' })).toBeVisible();
  await page
    .getByRole('button', { name: /Fold it 120/ })
    .or(page.getByRole('region', { name: 'Faults' }).getByRole('button').last())
    .first()
    .press('Enter');
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/Faults.*none/);
  await page.keyboard.press('7');
  await expect(page).toHaveURL(/boards$/);
  await page.keyboard.press('3');
  await saved(page);
});
