import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { expect, newAirframe, saved, setFigure, signUp, station, test } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

const ROOT = path.resolve(import.meta.dirname, '../..');
const plan = (name: string): string => path.join(ROOT, 'demo/plans', name),
  sample = (name: string): string => path.join(ROOT, 'core/test/drawings', name);
const slip = (page: Page) => page.getByRole('complementary', { name: 'Bring in' });
const partNames = (page: Page) => page.getByRole('listbox', { name: 'Parts' }).getByRole('option');

async function toBringIn(page: Page, name: string): Promise<void> {
  await newAirframe(page, name);
  await page.getByRole('link', { name: 'bring in a drawing' }).click();
  await page.getByRole('heading', { name: 'Bring in a drawing' }).waitFor();
}
const give = (page: Page, file: string): Promise<void> => page.locator('input[type="file"]').setInputFiles(file);
async function takeIn(page: Page, count: number): Promise<void> {
  await page.getByRole('button', { name: `Take ${count} part` }).click();
  await expect(partNames(page)).toHaveCount(count);
  await saved(page);
}
/** The area of the chosen part in cm². */
const areaOf = async (page: Page): Promise<number> =>
  Number(/Area\s*([\d.]+)/.exec(await page.getByRole('complementary', { name: /Slip of/ }).innerText())![1]);
async function choosePart(page: Page, name: string): Promise<void> {
  await partNames(page).filter({ hasText: name }).first().click();
  await expect(page.getByLabel("Part's name")).toHaveValue(name);
}

test('twelve pages of a tiled plan become parts, sized by a known length, whose slots and trenches follow the board', async ({
  page,
  workshop,
}) => {
  await page.goto(workshop.address);
  await page.getByRole('button', { name: 'Try it with a plan of twelve pages' }).click();
  await expect(slip(page)).toContainText('12 pages joined');
  await expect(page.getByRole('button', { name: 'Take 7 parts in' })).toBeEnabled();
  await page.getByRole('button', { name: 'Let them follow my board' }).click();
  await expect(slip(page)).toContainText('2 pairs of lines a board apart, made one trench');

  // The box floor is 260 long: picked and said to be 286, the drawing grows by a tenth.
  await page.getByRole('button', { name: 'Pick a known length' }).click();
  const mat = (await page.locator('.surface').boundingBox())!;
  await page.mouse.click(mat.x + 57, mat.y + 203);
  await page.mouse.click(mat.x + 343, mat.y + 203);
  await expect(slip(page).getByLabel('What you picked is')).toHaveValue('260.0');
  await setFigure(page, 'What you picked is', '286');
  await expect(slip(page).getByLabel('Scaled by')).toHaveValue('1.100');
  // The slots grew with the drawing: they are said anew.
  await setFigure(page, 'Drawn for board of', '5.5');
  await expect(slip(page)).toContainText('2 pairs of lines a board apart, made one trench');
  await takeIn(page, 7);
  await choosePart(page, 'Box floor');
  // 260 by 95 less a hole of radius 15, times 1.21.
  expect(await areaOf(page)).toBeCloseTo(((260 * 95 - Math.PI * 225) * 1.21) / 100, 1);
  await expect(page.getByRole('complementary', { name: /Slip of/ })).toContainText('Trench');
  await choosePart(page, 'Wing doubler');
  const before = await areaOf(page);
  await station(page, 'Stock');
  await setFigure(page, 'Thickness, measured', '6');
  await station(page, 'Parts');
  await choosePart(page, 'Wing doubler');
  // Its slot, 39.6 long, opens by a millimetre.
  expect(before - (await areaOf(page))).toBeCloseTo(0.396, 1);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { name: 'Draw the first part' })).toBeVisible();
});

test('a DXF in inches with blocks and lines drawn twice becomes clean parts; one is left out, one is named', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await toBringIn(page, 'From a DXF');
  await give(page, plan('siskin-parts.dxf'));
  await expect(page.getByRole('button', { name: 'Take 8 parts in' })).toBeEnabled();
  await expect(slip(page)).toContainText('6 lines drawn twice, kept once');
  await page.getByLabel('Take Hatch').uncheck({ force: true });
  await page.getByRole('textbox', { name: 'Name of part' }).first().fill('Root rib');
  await takeIn(page, 7);
  await expect(partNames(page).filter({ hasText: 'Hatch' })).toHaveCount(0);
  await expect(partNames(page).filter({ hasText: 'Root rib' })).toHaveCount(1);
});

test('an SVG in dots asks what its numbers are, and lines are told what they are; that is kept for such files', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await toBringIn(page, 'From an SVG');
  await give(page, plan('plover-tail.svg'));
  await expect(slip(page)).toContainText('The file does not say what its numbers are');
  await choose(page, 'A number is a', /^point/);
  await expect(slip(page).getByLabel('Scaled by')).toHaveValue('1.000');
  await choose(page, 'A number is a', /^dot/);
  const score = page.getByRole('combobox', { name: /^Fin.*#1428c8: what it is/ });
  await score.press('Enter');
  await page.getByRole('option', { name: 'crease' }).click();
  await page.getByLabel('Keep this meaning under a name').fill('Plover plans');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await takeIn(page, 3);
  await choosePart(page, 'Fin');
  expect(await areaOf(page)).toBeCloseTo((90 * 70 - (4 - Math.PI) * 144) / 100, 1);
  await expect(page.getByRole('complementary', { name: /Slip of/ })).toContainText('Crease');
  await page.getByRole('button', { name: 'bring in a drawing' }).click();
  await give(page, plan('plover-tail.svg'));
  await expect(slip(page)).toContainText('Looks like Plover plans');
  await page.getByRole('button', { name: 'Use its meaning' }).click();
  await expect(slip(page)).toContainText('crease');
});

for (const format of ['SVG', 'DXF'] as const)
  test(`parts go out as ${format}, another program reads them, and they come back as they were`, async ({
    page,
    workshop,
  }, info) => {
    await signUp(page, workshop);
    await toBringIn(page, `Round by ${format}`);
    await give(page, plan('siskin-parts.dxf'));
    await takeIn(page, 8);
    await choosePart(page, 'Tip');
    const area = await areaOf(page);
    await page.getByRole('button', { name: 'take out' }).click();
    await choose(page, 'As', new RegExp(`^${format}`));
    await choose(page, 'What', 'all 8 parts');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Download', exact: true }).click(),
    ]);
    const file = info.outputPath(download.suggestedFilename());
    await download.saveAs(file);
    if (format === 'DXF') {
      const facts = JSON.parse(
        execFileSync('/usr/bin/python3', [path.join(ROOT, 'core/test/readers/dxf_facts.py'), file]).toString(),
      ) as {
        errors: number;
        layers: Record<string, { areas: number[] }>;
      };
      expect([facts.errors, Object.keys(facts.layers).sort()]).toEqual([
        0,
        ['cut', 'mark', 'mitre groove 90', 'words'],
      ]);
    } else {
      execFileSync('rsvg-convert', [file, '-o', info.outputPath('seen.png')]);
      // The browser draws it too: as a picture, at 254 dots an inch, ten dots are a millimetre.
      const widthMm = Number(/width="([\d.]+)mm"/.exec(fs.readFileSync(file, 'utf8'))![1]);
      await page.getByRole('button', { name: 'take out' }).click();
      await choose(page, 'As', /^PNG/);
      await choose(page, 'What', 'all 8 parts');
      await setFigure(page, 'Dots an inch', '254');
      const [picture] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: 'Download', exact: true }).click(),
      ]);
      await picture.saveAs(info.outputPath('picture.png'));
      const width = fs.readFileSync(info.outputPath('picture.png')).readUInt32BE(16);
      expect(Math.abs(width - 10 * widthMm)).toBeLessThan(12);
    }
    await page.getByRole('button', { name: 'bring in a drawing' }).click();
    await give(page, file);
    await page.getByRole('button', { name: 'Take 8 parts in' }).click();
    await expect(partNames(page)).toHaveCount(16);
    const areas: number[] = [];
    for (let index = 8; index < 16; index++) {
      await partNames(page).nth(index).click();
      areas.push(await areaOf(page));
    }
    expect(areas).toContain(area);
  });

test('a wing section becomes an outline of the chord that is wanted', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await toBringIn(page, 'From a section');
  await give(page, sample('section-lists.dat'));
  await setFigure(page, 'Chord', '160');
  await takeIn(page, 1);
  const slipOf = page.getByRole('complementary', { name: /Slip of/ });
  await expect(page.getByLabel("Part's name")).toHaveValue('Made-up 7');
  await expect(slipOf).toContainText('160.0');
  // 0.0478 of the square of the chord, by the integral of the made-up thickness.
  expect(await areaOf(page)).toBeCloseTo(
    (0.7 * ((2 / 3) * 0.2969 - 0.063 - 0.1172 + 0.071075 - 0.02072) * 160 * 160) / 100,
    1,
  );
});

test('files that are none are refused in words, and nothing changes', async ({ page, workshop }, info) => {
  await signUp(page, workshop);
  await toBringIn(page, 'Nothing came in');
  const bad: readonly (readonly [string, Buffer | string, RegExp])[] = [
    ['empty.svg', '', /empty.svg is empty/],
    ['letter.pdf', '%PDF-1.7 and no more', /letter.pdf: It is damaged/],
    [
      'bomb.svg',
      '<!DOCTYPE svg [<!ENTITY a "b">]><svg xmlns="http://www.w3.org/2000/svg"><text>&a;</text></svg>',
      /declares entities of its own/,
    ],
    ['binary.dxf', Buffer.from([...Array.from({ length: 18 }, () => 65), 13, 10, 26, 0]), /binary DXF/],
    ['packed.svgz', Buffer.from([0x1f, 0x8b, 8, 0]), /is packed/],
    ['half.grainfold.json', '{"format":"grain', /half.grainfold.json/],
  ];
  for (const [name, content, words] of bad) {
    const file = info.outputPath(name);
    fs.writeFileSync(file, content);
    await give(page, file);
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
  }
  await give(page, sample('locked.pdf'));
  await expect(page.getByRole('alert').filter({ hasText: 'locked with a password' })).toBeVisible();
  await give(page, sample('scanned.pdf'));
  await expect(page.getByRole('alert').filter({ hasText: 'scanned picture' })).toBeVisible();
  await station(page, 'Parts');
  await expect(page.getByRole('heading', { name: 'Draw the first part' })).toBeVisible();
});

test('parts of another airframe are taken from its file', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await toBringIn(page, 'Borrower');
  await give(page, path.join(ROOT, 'demo/paperbark-mite.grainfold.json'));
  await expect(page.getByRole('heading', { name: 'Parts of Paperbark Mite' })).toBeVisible();
  await page.getByRole('button', { name: /^Fin/ }).click();
  await takeIn(page, 8);
});
