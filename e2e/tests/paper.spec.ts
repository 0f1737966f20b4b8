import { choose } from '../../scripts/test-support/choose.mjs';
import AxeBuilder from '@axe-core/playwright';
import { execFileSync } from 'node:child_process';
import type { Locator, Page } from '@playwright/test';
import { expect, openDemo, saved, setFigure, station, test, ticket } from '../support/workshop.ts';

const slip = (page: Page): Locator => page.getByRole('complementary', { name: 'Pages' });
/** Presses a button that prints, and asks poppler for the paper of every page, in mm. */
async function printed(page: Page, name: string | RegExp): Promise<readonly (readonly [number, number])[]> {
  // The first document of a server that has just begun is worked out cold.
  const download = page.waitForEvent('download', { timeout: 45_000 });
  await slip(page).getByRole('button', { name }).first().click();
  const file = (await (await download).path())!;
  const told = execFileSync('pdfinfo', ['-f', '1', '-l', '999', file], { encoding: 'utf8' });
  return [...told.matchAll(/Page +\d+ size: +([\d.]+) x ([\d.]+)/g)].map(([, wide, high]) => [
    (Number(wide) / 72) * 25.4,
    (Number(high) / 72) * 25.4,
  ]);
}
const open = async (page: Page, address: string, name: string): Promise<void> => {
  await openDemo(page, address, name);
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
  await choose(slip(page).getByRole('group', { name: 'Section 1' }), 'Printed', 'as nested on the boards');
  await expect(slip(page).getByText('Each board as one sheet')).toBeVisible();
  // Three boards of the demo nest, 36 × 24, 20 × 18 and a small one: more paper than parts laid close.
  await expect(ticket(page, 'Pages')).toContainText(/19 Letter\s*2\d Letter/);
  const asNested = /2\d Letter/.exec((await ticket(page, 'Pages').textContent())!)![0];
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
  await expect(ticket(page, 'Pages')).toContainText(asNested);
  await saved(page);
});

test('the words on a part are printed as decals, mirrored, beside its template, by a printer of black ink that leaves a wide edge', async ({
  page,
  workshop,
}) => {
  await open(page, workshop.address, 'Saltbox 36');
  const heading = slip(page).getByRole('heading', { level: 1 }),
    words = (await heading.textContent())!;
  const before = await printed(page, 'Download the PDF');
  await slip(page).getByRole('button', { name: 'Print some parts another way' }).click();
  const other = slip(page).getByRole('group', { name: 'Section 2' });
  await choose(other, 'Printed', 'their words and markings alone');
  await expect(other.getByRole('status')).toContainText('Nothing is written or drawn on these parts yet');
  await station(page, 'Parts');
  await page.getByRole('listbox', { name: 'Parts' }).getByRole('option', { name: /^Fin/ }).first().click();
  await page.locator('body').press('e');
  await page.getByRole('group', { name: 'Features' }).getByRole('button', { name: 'lettering' }).click();
  const mat = (await page.getByRole('application').boundingBox())!;
  await page.mouse.click(mat.x + mat.width / 2, mat.y + mat.height / 2);
  await saved(page);
  await station(page, 'Pages');
  await expect(other).toContainText('1 page');
  await other.getByText('Mirrored, for film laid on face down').click();
  expect(await printed(page, 'Download the PDF')).toHaveLength(before.length + 1);
  await choose(slip(page), 'Printed on', 'another printer');
  const printer = slip(page).getByRole('region', { name: 'Printer' });
  await choose(printer, 'Its ink', 'black alone');
  await setFigure(page, 'It leaves white at the edge', '0.5');
  await expect(printer.getByText('this printer would cut their edge off')).toBeVisible();
  await printer.getByRole('button', { name: 'Set 1/2 in' }).click();
  await expect(page.getByLabel('Margin')).toHaveValue('1/2');
  await expect(printer.getByText('this printer would cut their edge off')).toHaveCount(0);
  await setFigure(page, 'Margin', '0.315');
  await other.getByRole('button', { name: 'Print no decals' }).click();
  await printer.getByRole('button', { name: 'Leave it out' }).click();
  await expect(printer.getByText('as it comes')).toBeVisible();
  await saved(page);
  await expect(heading).toHaveText(words);
});

test('a printer that prints a leaning 97 % is measured on the stand-in, corrected, and prints true within a tenth over 250 mm', async ({
  page,
  workshop,
}) => {
  await open(page, workshop.address, 'Saltbox 36');
  await choose(slip(page), 'Printed on', 'another printer');
  const printer = slip(page).getByRole('region', { name: 'Printer' }),
    desk = page.getByRole('dialog', { name: 'Stand-in printer' }),
    rule = desk.getByRole('button', { name: /^Lay the rule/ });
  await expect(printer).toContainText('Not measured yet');
  /** What the rule reads from cross to cross, in inches. */
  async function readAll(): Promise<readonly number[]> {
    await expect(desk.getByRole('button', { name: 'Print it again' })).toBeEnabled({ timeout: 60_000 });
    for (const way of ['A to B', 'A to D', 'A to C', 'D to B']) {
      await desk.getByRole('button', { name: `Lay the rule ${way}` }).click();
      await expect(desk.getByRole('button', { name: `Lay the rule ${way}` }).locator('xpath=..')).toContainText(' in');
    }
    return (await rule.locator('xpath=..').allTextContents()).map((words) => Number(/([\d.]+) in/.exec(words)![1]));
  }
  await printer.getByRole('button', { name: 'Try it on a stand-in printer' }).click();
  const first = await readAll();
  // 97 % of 170 mm across; 97 % and a feed of 99.6 % of 230 mm up; by 0.4° the diagonals differ by some 2 mm.
  expect(first[0]! * 25.4).toBeCloseTo(170 * 0.97, 1);
  expect(first[1]! * 25.4).toBeCloseTo(230 * 0.97 * 0.996, 1);
  expect((first[2]! - first[3]!) * 25.4).toBeGreaterThan(1.5);
  await desk.getByRole('button', { name: 'Enter what it reads' }).click();
  await expect(printer).toContainText('It prints 97.0');
  await printer.getByRole('button', { name: 'Correct by this' }).click();
  await expect(printer).toContainText(/leans 0\.(39|40|41)° to the right/);
  await printer.getByRole('button', { name: 'Try it on a stand-in printer' }).click();
  const second = await readAll();
  const truth = [170, 230, Math.hypot(170, 230), Math.hypot(170, 230)];
  second.forEach((inches, index) => {
    // Less than a tenth over 250 mm, the rule read to a thousandth of an inch.
    expect(Math.abs(inches * 25.4 - truth[index]!) * (250 / truth[index]!)).toBeLessThan(0.1);
  });
  await page.keyboard.press('Escape');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  // The set is corrected from now on, and a length that no printer prints is refused.
  await expect(slip(page).getByRole('region', { name: 'Print', exact: true })).toContainText('Corrected for Printer 1');
  await setFigure(page, 'A to B', '9');
  await expect(printer.getByRole('alert')).toContainText('Measure from cross to cross');
  await expect(printer.getByRole('button', { name: 'Correct by this' })).toBeDisabled();
  await setFigure(page, 'A to B', '6');
  await expect(printer.getByRole('status')).toContainText('shrinks the page to fit');
  await saved(page);
  await page.reload();
  await expect(printer).toContainText('pages undo that');
});
