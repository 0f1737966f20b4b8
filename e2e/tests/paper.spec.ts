import { choose } from '../../scripts/test-support/choose.mjs';
import { execFileSync } from 'node:child_process';
import type { Locator, Page } from '@playwright/test';
import { expect, saved, setFigure, station, test, ticket } from '../support/workshop.ts';

const slip = (page: Page): Locator => page.getByRole('complementary', { name: 'Pages' });
/** Presses a button that prints, and asks poppler for the paper of every page, in mm. */
async function printed(page: Page, name: string | RegExp): Promise<readonly (readonly [number, number])[]> {
  const download = page.waitForEvent('download');
  await slip(page).getByRole('button', { name }).first().click();
  const file = (await (await download).path())!;
  const told = execFileSync('pdfinfo', ['-f', '1', '-l', '999', file], { encoding: 'utf8' });
  return [...told.matchAll(/Page +\d+ size: +([\d.]+) x ([\d.]+)/g)].map(([, wide, high]) => [
    (Number(wide) / 72) * 25.4,
    (Number(high) / 72) * 25.4,
  ]);
}
const open = async (page: Page, address: string, name: string): Promise<void> => {
  await page.goto(address);
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  await page.getByRole('link', { name: `Open ${name}` }).click();
  await station(page, 'Pages');
  await expect(slip(page).getByRole('heading', { level: 1 })).toHaveText(/^\d+ pages of/);
};

test('prints changed parts alone on Letter, and one page once more', async ({ page, workshop }) => {
  await open(page, workshop.address, 'Saltbox 36');
  const all = await printed(page, 'Download the PDF');
  expect(all.length).toBeGreaterThan(10);
  for (const [wide, high] of all) {
    expect(wide).toBeCloseTo(215.9, 1);
    expect(high).toBeCloseTo(279.4, 1);
  }
  await slip(page).getByRole('button', { name: 'Mark as printed' }).click();
  await expect(slip(page)).toContainText('nothing changed since');
  await station(page, 'Parts');
  await page
    .getByRole('listbox', { name: 'Parts' })
    .getByRole('option', { name: /^Aileron/ })
    .first()
    .click();
  await page.getByLabel("Part's name").fill('Aileron, longer');
  await page.getByLabel("Part's name").press('Enter');
  await station(page, 'Pages');
  // Port and starboard.
  await slip(page).getByText('Only the 2 templates that changed').click();
  await expect(slip(page).getByRole('heading', { level: 1 })).toHaveText(/^\d pages? of Letter$/);
  const changed = await printed(page, 'Download the PDF');
  expect(changed.length).toBeLessThan(4);
  await slip(page).getByRole('button', { name: 'Mark as printed' }).click();
  await expect(slip(page)).toContainText('nothing changed since');
  await expect(slip(page).getByRole('heading', { level: 1 })).toHaveText(`${all.length} pages of Letter`);
  expect(await printed(page, 'This page alone, once more')).toHaveLength(1);
  // A cover before them.
  await slip(page).getByText('A cover: how to print and join it').click();
  await saved(page);
  expect((await printed(page, 'Download the PDF')).length).toBeGreaterThan(all.length);
});

test('prints the nested boards whole, some parts off a roll, and says what paper cannot be', async ({
  page,
  workshop,
}) => {
  await open(page, workshop.address, 'Saltbox 36');
  await choose(slip(page), 'Printed', 'as nested on the boards');
  await expect(slip(page).getByText('Each board as one sheet')).toBeVisible();
  await expect(ticket(page, 'Pages')).toContainText('25 Letter');
  await expect(page.getByText('3', { exact: true }).first()).toBeVisible();
  await slip(page).getByRole('button', { name: 'Print some parts another way' }).click();
  const other = slip(page).getByRole('group', { name: 'Section 2' });
  await choose(other, 'Parts of this section', 'All of Wing');
  await choose(other, 'Printed', 'each by itself');
  await choose(other, 'Paper', 'off a roll');
  await setFigure(page, 'Roll, across', '24');
  await expect(other).toContainText('1 page');
  const sizes = await printed(page, 'Download the PDF'),
    onRoll = sizes.filter(([wide]) => Math.abs(wide - 24 * 25.4) < 0.1);
  expect(onRoll).toHaveLength(1);
  expect(sizes.length).toBeGreaterThan(5);
  // A ribbon with wide margins leaves nothing: told with its numbers, and the margin stays as it was.
  await setFigure(page, 'Roll, across', '3.6');
  await setFigure(page, 'Margin', '1.9');
  await expect(page.getByRole('alert')).toContainText('Margin 1.900 in and overlap 0.472 in leave 0 in to draw on');
  await expect(page.getByLabel('Margin')).toHaveValue('0.315');
  await slip(page).getByRole('button', { name: 'Print them with the others' }).click();
  await expect(slip(page).getByRole('group', { name: 'Section 2' })).toHaveCount(0);
  await expect(ticket(page, 'Pages')).toContainText('25 Letter');
});
