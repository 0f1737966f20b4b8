import fs from 'node:fs';
import {
  drawPlate,
  expect,
  newAirframe,
  saved,
  setFigure,
  signUp,
  station,
  test,
  ticket,
  typePoint,
} from '../support/workshop.ts';
import { readPdf } from '../../scripts/test-support/read-pdf.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

test('from the demo workshop to a cut list, as a newcomer goes', async ({ page, workshop }) => {
  await test.step('open the demo workshop without typing', async () => {
    await page.goto(workshop.address);
    await page.getByRole('button', { name: 'Open the demo workshop' }).click();
    for (const name of ['Paperbark Mite', 'Saltbox 36', 'Reedling 1100'])
      await expect(page.getByRole('heading', { name })).toBeVisible();
    for (const name of ['Paperbark Mite', 'Saltbox 36', 'Reedling 1100']) {
      await page.getByRole('link', { name: `Open ${name}` }).click();
      await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/Faults\s*none/);
      await page.getByRole('link', { name: 'All airframes' }).click();
    }
  });

  await test.step('make an airframe and draft a folded box side', async () => {
    await page.getByRole('button', { name: 'New airframe' }).click();
    await page.getByRole('dialog').getByLabel('Name').fill('Box for a tern');
    await page.getByRole('button', { name: 'Make it' }).click();
    await drawPlate(page, 'Box side', '=2*95+10', '120');
    await expect(page.getByRole('complementary', { name: 'Slip of Box side' })).toContainText('200.0');
    for (const up of ['35', '85']) {
      await page.getByRole('button', { name: 'V groove' }).click();
      await typePoint(page, { across: '0', up });
      await typePoint(page, { length: '200', angle: '0' });
      await page.keyboard.press('Escape');
      await page.keyboard.press('Escape');
    }
    await page.getByRole('button', { name: 'B bevel' }).click();
    const mat = page.getByRole('application', { name: /Box side/ });
    const box = (await mat.boundingBox())!;
    const outline = await mat.evaluate((svg) => {
      const path = [...svg.querySelectorAll('path')].find((one) => one.getAttribute('fill') === 'var(--foam)')!;
      const { left, top, width, height } = path.getBoundingClientRect();
      return { left, top, width, height };
    });
    await page.mouse.click(outline.left + outline.width * 0.31, outline.top + outline.height);
    expect(box.height).toBeGreaterThan(300);
    await setFigure(page, 'Bevel', '30');
    const slip = page.getByRole('complementary', { name: 'Slip of Box side' });
    await expect(slip.getByRole('region', { name: 'Lines on this part' }).getByText('Mitre groove')).toHaveCount(2);
    await expect(
      slip.getByRole('region', { name: 'Lines on this part' }).getByRole('button', { name: /Edge bevel/ }),
    ).toContainText('30°');
    await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/Faults\s*none/);
  });

  await test.step('four others', async () => {
    await drawPlate(page, 'Lid', '180', '90');
    await drawPlate(page, 'End, front', '7 3/8in', '60');
    await drawPlate(page, 'End, rear', '150', '60');
    await drawPlate(page, 'Doubler', '120', '40');
    await expect(ticket(page, 'Parts')).toContainText('5');
    await saved(page);
  });

  await test.step('set the scale to 1.2', async () => {
    await station(page, 'Scale');
    await setFigure(page, 'Factor', '1.2');
    await expect(ticket(page, 'Scale')).toContainText('× 1.20');
    await expect(page.getByRole('row', { name: /Longest part/ })).toContainText('240.0 mm');
  });

  await test.step('download a PDF whose measured sizes are right', async () => {
    await station(page, 'Pages');
    await expect(page.getByRole('heading', { name: /pages of A4/ })).toBeVisible();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Download the PDF' }).click();
    const pdf = readPdf(fs.readFileSync(await (await download).path()));
    expect(pdf.hasNoScaling).toBe(true);
    const runs = pdf.pages.flatMap((one) => one.runs);
    const has = (mm: number): boolean => runs.some(({ lengthMm }) => Math.abs(lengthMm - mm) < 0.01);
    for (const page of pdf.pages) {
      expect(page.widthMm).toBeCloseTo(210, 3);
      expect(page.heightMm).toBeCloseTo(297, 3);
      expect(page.runs.some(({ lengthMm, y1, y2 }) => y1 === y2 && Math.abs(lengthMm - 100) < 0.01)).toBe(true);
    }
    // The box side at 1.2: 240 × 144 mm; the lid 216 × 108; a groove's lips are 10 mm apart whatever the scale.
    for (const mm of [240, 144, 216, 108]) expect(has(mm), `a run of ${mm} mm`).toBe(true);
    expect(has(7.375 * 25.4 * 1.2)).toBe(true);
    const lips = runs.filter(({ lengthMm }) => Math.abs(lengthMm - 10) < 0.01);
    expect(lips.length).toBeGreaterThan(0);
  });

  await test.step('nest it with the four others', async () => {
    await station(page, 'Boards');
    await choose(page, 'Search', 'briefly');
    await page.getByRole('button', { name: 'Nest the parts' }).click();
    await expect(page.getByRole('heading', { name: /^1 board · \d+ %/ })).toBeVisible({ timeout: 60_000 });
    await expect(page.getByText('5 pieces placed')).toBeVisible();
    await saved(page);
  });

  await test.step('download the cut list', async () => {
    await station(page, 'Cut list');
    await expect(page.getByRole('heading', { name: 'Board 1' })).toBeVisible();
    const csvDownload = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Download CSV' }).click();
    const file = await csvDownload;
    expect(file.suggestedFilename()).toBe('Box for a tern cut list.csv');
    const csv = fs.readFileSync(await file.path(), 'utf8');
    expect(csv.match(/Box side,.*mitre groove,face,.*,240\.00,10\.00,5\.00,90,45,each side/g)).toHaveLength(2);
    expect(csv).toMatch(/Box side,.*edge bevel,face,.*,240\.00,2\.89,5\.00,30,30/);
    const pdfDownload = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Download the PDF' }).click();
    expect(readPdf(fs.readFileSync(await (await pdfDownload).path())).pages.length).toBeGreaterThan(0);
  });
});

test('a workshop of one’s own: sign up, work, sign out, sign in, and the work is there', async ({ page, workshop }) => {
  const name = await signUp(page, workshop);
  await newAirframe(page, 'Kept');
  await drawPlate(page, 'Rib', '80', '20');
  await saved(page);
  await page.getByRole('link', { name: 'All airframes' }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill('wrong password');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('Name or password is wrong');
  await page.getByLabel('Password').fill('eleven wide planks');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('link', { name: 'Open Kept' }).click();
  await expect(page.getByRole('option', { name: /Rib/ })).toBeVisible();
});
