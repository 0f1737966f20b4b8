/** Takes one picture of each main view from the demo workshop, 1280 by 800, into docs/screenshots. */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ensureDebianPackages } from './database/packages.mjs';
import { ensureBuilt, ensurePackages, ROOT } from './prepare.mjs';
import { startWorkshop } from './workshop.mjs';
import { choose } from './test-support/choose.mjs';

ensureDebianPackages({ mariadbd: 'mariadb-server', chromium: 'chromium' });
ensurePackages();
ensureBuilt();
const { chromium } = await import('@playwright/test');
const folder = process.argv[2] ?? path.join(ROOT, 'docs/screenshots');
const data = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-pictures-'));
fs.chmodSync(data, 0o755);
const workshop = await startWorkshop({ folder: path.join(data, 'database'), durable: false });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
  ],
});
try {
  fs.mkdirSync(folder, { recursive: true });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  page.on('console', (message) => {
    if (message.type() === 'error') console.error(`page: ${message.text()}`);
  });
  page.on('pageerror', (error) => console.error(`page: ${error.stack}`));
  const take = async (name, wait = 400) => {
    await page.waitForTimeout(wait);
    await page.screenshot({ path: path.join(folder, `${name}.png`) });
    console.log(name);
  };
  const station = (word) =>
    page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: word }).click();
  await page.goto(workshop.address);
  await take('welcome');
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  await page.getByRole('heading', { name: 'Airframes' }).waitFor();
  await take('airframes', 7000);
  await page
    .getByRole('link', { name: /Reedling 1100/ })
    .first()
    .click();
  await page.getByRole('listbox', { name: 'Parts' }).waitFor();
  await page
    .getByRole('option', { name: /Pod nose piece 1/ })
    .first()
    .click();
  await take('parts', 900);
  await page.locator('body').press('u');
  await page.getByRole('region', { name: 'Folds' }).waitFor();
  await take('folded', 2500);
  await choose(page, 'Shown folded', 'whole airframe');
  await page
    .getByRole('region', { name: 'Folds' })
    .getByText(/stand together/)
    .waitFor();
  await take('together', 2500);
  await choose(page, 'Shown folded', 'this part');
  await page.locator('body').press('u');
  await station('Stock');
  await take('stock');
  await station(/^Plan/);
  await page.locator('[data-view="side"]').waitFor();
  await take('plan', 900);
  await station('Scale');
  await page.getByRole('img', { name: /^Boards by factor/ }).waitFor({ timeout: 60_000 });
  // Ten factors are figured one by one.
  await page.getByText('figuring more').waitFor({ state: 'detached', timeout: 60_000 });
  await take('scale', 600);
  await station('Pages');
  await page.getByRole('img', { name: /as it is printed/ }).waitFor({ timeout: 60_000 });
  await take('pages', 800);
  await station('Boards');
  await take('boards', 1200);
  await station('Cut list');
  await page
    .getByRole('article')
    .filter({ has: page.getByRole('heading', { name: /^Motor box strip/ }) })
    .scrollIntoViewIfNeeded();
  await take('cut-list', 800);
  await page.getByRole('link', { name: /^version/ }).click();
  await page.getByRole('button', { name: /Demo workshop/ }).click();
  await take('versions');
  await page.goto(workshop.address);
  await page.getByRole('button', { name: 'Try it with a plan of twelve pages' }).click();
  await page.getByRole('button', { name: 'Take 7 parts in' }).waitFor({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Let them follow my board' }).click();
  await page.getByText('made one trench').waitFor();
  await take('bring-in', 800);
  await page.getByRole('link', { name: 'All airframes' }).click();
  await page.getByRole('button', { name: 'New airframe' }).first().click();
  await page.getByRole('dialog').getByLabel('Name').fill('Sandbar gull');
  await page.getByRole('button', { name: 'Make it' }).click();
  await page.getByRole('heading', { name: 'Draw the first part' }).waitFor();
  await station(/^Forms/);
  const setFigure = async (label, value) => {
    const field = page.getByRole('textbox', { name: label, exact: true }).first();
    await field.fill(value);
    await field.press('Enter');
  };
  await setFigure('Span, tip to tip', '260');
  await setFigure('Dihedral of each half', '0');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  await page.getByRole('button', { name: /^Form, place/ }).click();
  await page.getByText('A panel runs across the middle').click();
  await page.getByRole('button', { name: /^Form, place/ }).click();
  for (const [dihedral, span, chord] of [
    ['-20', '150', '180'],
    ['30', '300', '140'],
  ]) {
    await page.getByRole('button', { name: 'Add a panel' }).click();
    await page.waitForTimeout(400);
    await setFigure('Dihedral', dihedral);
    await setFigure('Panel', span);
    await setFigure('Tip chord', chord);
  }
  await page.locator('body').press('Escape');
  await page.locator('body').press('f');
  await take('forms', 1500);
  await page.locator('body').press('u');
  await take('wing-folded', 3000);
  await page.locator('body').press('u');
  await page.getByRole('button', { name: 'another form' }).first().click();
  await choose(page.locator('.start'), 'Make', 'a body of walls');
  await setFigure('Length', '560');
  await page.getByRole('button', { name: 'Make the body' }).click();
  const slip = page.getByRole('complementary', { name: 'Slip' });
  await choose(slip, 'Top line', 'curved');
  await page.locator('body').press('f');
  await take('body', 2000);
  await page.locator('body').press('u');
  await take('body-folded', 3000);
  await page.getByRole('link', { name: 'All airframes' }).click();
  await page.getByRole('button', { name: 'New airframe' }).first().click();
  await page.getByRole('dialog').getByLabel('Name').fill('Pippin');
  await page.getByRole('button', { name: 'Make it' }).click();
  await page.getByRole('heading', { name: 'Draw the first part' }).waitFor();
  await station(/^Forms/);
  await choose(page.locator('.start'), 'Make', 'a shell of plane faces');
  await page.getByRole('button', { name: 'Make the shell' }).click();
  await take('shell', 2000);
  await page.locator('body').press('u');
  await take('shell-folded', 3000);
} finally {
  await browser.close();
  await workshop.stop();
  fs.rmSync(data, { recursive: true, force: true });
}
