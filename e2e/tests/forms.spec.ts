import type { Page } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { made, slip } from '../support/forms-desk.ts';
import { expect, newAirframe, saved, setFigure, signUp, station, test, ticket } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

const folds = (page: Page) => page.getByText(/\d+ closed$/);

async function toForms(page: Page, workshop: Parameters<typeof signUp>[1], name: string): Promise<void> {
  await signUp(page, workshop);
  await newAirframe(page, name);
  await station(page, 'Forms');
  await page.getByRole('heading', { name: 'Make a form' }).waitFor();
}
const openUp = (page: Page, title: RegExp): Promise<void> =>
  slip(page).getByRole('button', { name: title }).first().click();

test('makes a constant wing of two halves from one list of numbers, with its dihedral joint and tip block', async ({
  page,
  workshop,
}) => {
  await toForms(page, workshop, 'Plank');
  await setFigure(page, 'Span, tip to tip', '900');
  await setFigure(page, 'Dihedral of each half', '5');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await expect(slip(page).getByText('900.0 mm')).toBeVisible();
  await expect(made(page)).toHaveText([/Wing skin/, /spar strip 1/, /spar strip 2/, /tip block/]);
  // By hand: 450 mm rise by tan 5°.
  await expect(made(page).nth(3)).toContainText('39 mm');
  await expect(folds(page)).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByText('6 pieces of 3 parts stand together.')).toBeVisible();
  await page.keyboard.press('u');
  await saved(page);

  // A hole drawn by hand stays where it is when the wing grows, and what the form makes cannot be drawn on.
  await page.reload();
  await expect(slip(page).getByText('900.0 mm')).toBeVisible();
  await setFigure(page, 'Root chord', '200');
  await expect(slip(page).getByRole('textbox', { name: 'Root chord' })).toHaveValue('200.0');
  await expect(made(page).first()).toContainText('new');
  await page.keyboard.press('Control+z');
  await expect(slip(page).getByRole('textbox', { name: 'Root chord' })).toHaveValue('180.0');
});

test('makes a gull wing of five panels with servo, lead and jigs, and nests it', async ({ page, workshop }) => {
  await toForms(page, workshop, 'Gull');
  await setFigure(page, 'Span, tip to tip', '260');
  await setFigure(page, 'Dihedral of each half', '0');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await openUp(page, /^Form, place and release/);
  await slip(page).getByText('A panel runs across the middle').click();
  for (const [at, degrees] of [
    [2, '-20'],
    [3, '30'],
  ] as const) {
    await slip(page).getByRole('button', { name: 'Add a panel' }).click();
    await expect(slip(page).getByRole('button', { name: new RegExp(`^Panel ${at}`) })).toBeVisible();
    await setFigure(page, 'Dihedral', degrees);
    await setFigure(page, 'Panel', at === 2 ? '150' : '300');
  }
  await openUp(page, /^Spar$/);
  await choose(slip(page), 'At joints', 'stopped short');
  await openUp(page, /^Controls/);
  await slip(page).getByRole('button', { name: 'Add a control' }).click();
  await expect(made(page).filter({ hasText: 'aileron' }).first()).toBeVisible();
  await openUp(page, /^Servos/);
  await slip(page).getByRole('button', { name: 'Add a servo' }).click();
  await expect(slip(page).getByText(/buy .* of extension/)).toBeVisible();
  await openUp(page, /^Blocks, wedges/);
  await slip(page).getByText('Rigid jigs, mitred at half the turn').click();
  await expect(made(page).filter({ hasText: 'jig' })).toHaveCount(2);
  await expect(made(page).filter({ hasText: 'skin' })).toHaveCount(3);
  await expect(folds(page)).toBeVisible();
  await expect(slip(page).getByRole('region', { name: 'Faults' })).toHaveCount(0);
  await saved(page);
  await station(page, 'Boards');
  await page.getByRole('button', { name: /^Nest/ }).first().click();
  await expect(ticket(page, 'Boards')).toContainText('%', { timeout: 60_000 });
});

test('creases a tapered swept panel to a five-digit section, compares it bent, and reads a section file', async ({
  page,
  workshop,
}) => {
  await toForms(page, workshop, 'Swept');
  await setFigure(page, 'Chord in the middle', '260');
  await setFigure(page, 'Chord at the tip', '180');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await setFigure(page, 'Sweep', '8');
  await choose(slip(page), 'Section', 'NACA, four or five digits');
  await slip(page).getByRole('textbox', { name: 'Digits' }).fill('23015');
  await page.keyboard.press('Enter');
  const plot = slip(page).locator('figcaption');
  await expect(plot).toContainText('7 folds');
  const creased = Number(/by ([\d.]+) mm/.exec(await plot.innerText())![1]);
  await choose(slip(page), 'Skin', 'bent');
  await expect(plot).toContainText('tightest bend');
  const bent = Number(/by ([\d.]+) mm/.exec(await plot.innerText())![1]);
  expect(creased).toBeGreaterThan(0);
  expect(bent).toBeGreaterThan(0);
  await choose(slip(page), 'Skin', 'creased');
  await expect(folds(page)).toBeVisible();

  await slip(page).getByRole('textbox', { name: 'Digits' }).fill('99');
  await page.keyboard.press('Enter');
  await expect(slip(page).getByText('A NACA section has four or five digits, got "99".')).toBeVisible();
  await choose(slip(page), 'Section', 'from a file of points');
  const chooser = page.waitForEvent('filechooser');
  await slip(page).getByText('Read a section file').click();
  const points = Array.from({ length: 41 }, (_, index) => {
    const angle = (index / 40) * 2 * Math.PI,
      x = (1 + Math.cos(angle)) / 2;
    return `${x.toFixed(5)} ${(0.08 * Math.sin(angle) * (1.2 - x)).toFixed(5)}`;
  });
  await (
    await chooser
  ).setFiles({ name: 'egg.dat', mimeType: 'text/plain', buffer: Buffer.from(['Egg', ...points].join('\n')) });
  await expect(slip(page).getByText('Egg', { exact: true })).toBeVisible();
});

test('names numbers that make no wing with one that does, drags a tip, and takes the airframe out and in again', async ({
  page,
  workshop,
}) => {
  await toForms(page, workshop, 'Faulty');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await setFigure(page, 'Spar height', '120');
  await expect(slip(page).getByText('The top skin would stand up at the nose')).toBeVisible();
  await expect(ticket(page, 'Plan').locator('..')).toContainText(/Faults.*1/);
  await expect(made(page)).toHaveCount(4);
  await slip(page)
    .getByRole('button', { name: /^Set spar/ })
    .click();
  await expect(slip(page).getByRole('region', { name: 'Faults' })).toHaveCount(0);

  const ring = page.locator('.surface circle').first();
  const box = (await ring.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 40, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(slip(page).getByText('900.0 mm')).toHaveCount(0);
  await expect(page.getByText(/undo drag span to the tip/)).toBeVisible();

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await saved(page);

  // The project file carries the form: read again, it is worked on as before.
  const id = /airframes\/([^/]+)/.exec(page.url())![1];
  const text = await (await page.request.get(`${workshop.address}/api/airframes/${id}/project-file`)).text();
  expect(JSON.parse(text)).toMatchObject({ formatVersion: 5, forms: [{ kind: 'wing', name: 'Wing' }] });
});
