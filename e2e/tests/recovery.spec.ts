import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { BrowserContext, Page } from '@playwright/test';
import { backUp, restore } from '../../scripts/database/backup.mjs';
import { freePort, startDatabase } from '../../scripts/database/database.mjs';
import { end, startServer } from '../../scripts/workshop.mjs';
import {
  drawPlate,
  expect,
  newAirframe,
  saved,
  setFigure,
  signUp,
  station,
  test,
  typePoint,
} from '../support/workshop.ts';

const status = (page: Page) => page.getByRole('status').filter({ hasText: /saved|saving/ });
/** What the server holds, asked past the page. */
const onServer = async (page: Page): Promise<{ parts: { name: string; quantity: number }[] }> => {
  const id = /airframes\/([0-9a-f-]{36})/.exec(page.url())![1]!;
  return (
    (await (await page.request.get(`/api/airframes/${id}`)).json()) as {
      airframe: { parts: { name: string; quantity: number }[] };
    }
  ).airframe;
};
async function started(page: Page, workshop: Parameters<typeof signUp>[1]): Promise<void> {
  await signUp(page, workshop);
  await newAirframe(page, 'Shore Tern');
  await drawPlate(page, 'Rib', '80', '20');
  await saved(page);
}
test.use({ baseURL: async ({ workshop }, use) => use(workshop.address) });

test('a killed tab: edits that the server never got are offered back', async ({ page, context, workshop }) => {
  await started(page, workshop);
  await page.route('**/save', (route) => route.abort());
  await setFigure(page, 'How many', '7');
  await expect(status(page)).toContainText('not saved');
  const url = page.url();
  const client = await context.newCDPSession(page);
  await Promise.race([client.send('Page.crash').catch(() => undefined), page.waitForEvent('crash')]);
  const again = await context.newPage();
  await again.goto(url);
  await expect(again.getByRole('alert')).toContainText('were not saved');
  await expect(again.getByLabel('How many')).toHaveValue('1');
  await again.getByRole('button', { name: 'Bring them back' }).click();
  await expect(again.getByLabel('How many')).toHaveValue('7');
  await saved(again);
  expect((await onServer(again)).parts[0]!.quantity).toBe(7);
  await again.reload();
  await expect(again.getByLabel('How many')).toHaveValue('7');
  await expect(again.getByRole('alert')).toHaveCount(0);
});

test('a closed tab: the half-drawn outline goes on where it was, and every step can still be taken back', async ({
  page,
  context,
  workshop,
}) => {
  await started(page, workshop);
  await setFigure(page, 'How many', '4');
  await page.keyboard.press('n');
  for (const at of [
    { across: '0', up: '0' },
    { across: '90', up: '0' },
    { across: '90', up: '40' },
  ])
    await typePoint(page, at);
  await saved(page);
  const address = page.url().replace(/[^/]+$/, '');
  const client = await context.newCDPSession(page);
  await Promise.race([client.send('Page.crash').catch(() => undefined), page.waitForEvent('crash')]);
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.getByRole('alert')).toContainText('What you had begun to draw on Part 2 is here');
  await typePoint(again, { across: '0', up: '40' });
  await again.getByRole('button', { name: 'Close it' }).click();
  await expect(again.getByRole('complementary').last()).toContainText(/Area\s*36\.0/);
  for (let step = 0; step < 3; step++) await again.keyboard.press('Control+z');
  await expect(again.getByRole('button', { name: /^Part 2/ })).toHaveCount(0);
  await expect(again.getByLabel('How many')).toHaveValue('1');
  await again.keyboard.press('Control+Shift+z');
  await expect(again.getByLabel('How many')).toHaveValue('4');
  await saved(again);
  // Another station looked at in the middle: the drawing goes on where it was, on its own part.
  await again.keyboard.press('n');
  for (const at of [
    { across: '0', up: '0' },
    { across: '50', up: '0' },
    { across: '50', up: '20' },
  ])
    await typePoint(again, at);
  await station(again, 'Stock');
  await station(again, 'Parts');
  await expect(again.getByRole('alert')).toContainText('What you had begun to draw on Part 2 is here');
  await again.getByRole('button', { name: 'Close it' }).click();
  await expect(again.getByRole('complementary').last()).toContainText(/Area\s*5\.0/);
  for (let step = 0; step < 2; step++) await again.keyboard.press('Control+z');
  await saved(again);
  await again.reload();
  await expect(again.getByLabel('How many')).toHaveValue('4');
  await again.keyboard.press('Control+z');
  await expect(again.getByLabel('How many')).toHaveValue('1');
});

test('a killed server: what was acknowledged is there, what was not is kept and saved when it is back', async ({
  page,
  workshop,
}) => {
  await started(page, workshop);
  await setFigure(page, 'How many', '3');
  await saved(page);
  await workshop.killServer();
  await setFigure(page, 'How many', '9');
  await expect(status(page)).toContainText('not saved: kept here');
  await workshop.startServer();
  expect((await onServer(page)).parts[0]!.quantity).toBeGreaterThanOrEqual(3);
  await expect(status(page)).toContainText(/^saved/, { timeout: 30_000 });
  expect((await onServer(page)).parts[0]!.quantity).toBe(9);
});

test('a killed database comes back with the last acknowledged save', async ({ page, workshop }) => {
  await started(page, workshop);
  await setFigure(page, 'How many', '4');
  await saved(page);
  await workshop.killDatabase();
  await setFigure(page, 'How many', '5');
  await expect(status(page)).toContainText('not saved', { timeout: 30_000 });
  await workshop.startDatabase();
  await expect
    .poll(async () => (await onServer(page).catch(() => ({ parts: [] }))).parts[0]?.quantity, { timeout: 30_000 })
    .toBeGreaterThanOrEqual(4);
  await expect(status(page)).toContainText(/^saved/, { timeout: 60_000 });
  expect((await onServer(page)).parts[0]!.quantity).toBe(5);
});

test('server and database killed in the middle of many saves lose none that was acknowledged', async ({
  page,
  workshop,
}) => {
  await started(page, workshop);
  const id = /airframes\/([0-9a-f-]{36})/.exec(page.url())![1]!;
  const opened = (await (await page.request.get(`/api/airframes/${id}`)).json()) as {
    airframe: { parts: object[] };
    versions: { parts: Record<string, number> };
  };
  const part = opened.airframe.parts[0] as { id: string; quantity: number };
  let version = opened.versions.parts[part.id]!,
    acknowledged = 1;
  let killing: Promise<unknown> | undefined;
  for (let quantity = 2; quantity <= 900; quantity++) {
    const answer = await page.request
      .post(`/api/airframes/${id}/save`, {
        headers: { Origin: workshop.address },
        data: { label: 'Count', parts: [{ id: part.id, basedOn: version, position: 0, value: { ...part, quantity } }] },
      })
      .catch(() => undefined);
    if (!answer?.ok()) break;
    acknowledged = quantity;
    version += 1;
    // In the midst of those that follow, however slow the machine is.
    if (acknowledged > 2)
      killing ??= page.waitForTimeout(500).then(() => Promise.all([workshop.killServer(), workshop.killDatabase()]));
  }
  await killing;
  await workshop.startDatabase();
  await workshop.startServer();
  expect(acknowledged).toBeGreaterThan(2);
  const { quantity } = (await onServer(page)).parts[0]!;
  expect([acknowledged, acknowledged + 1]).toContain(quantity);
});

test('two tabs on one part: nothing of either is lost', async ({ page, context, workshop }) => {
  await started(page, workshop);
  const other = await second(context, page.url());
  await setFigure(other, 'How many', '5');
  await saved(other);
  await setFigure(page, 'How many', '2');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Rib');
  await dialog.getByRole('button', { name: /both/i }).click();
  await saved(page);
  const { parts } = await onServer(page);
  expect(parts.map(({ name, quantity }) => [name, quantity])).toEqual([
    ['Rib', 5],
    ['Rib (mine)', 2],
  ]);
});
async function second(context: BrowserContext, url: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(url);
  await expect(page.getByLabel('How many')).toHaveValue('1');
  return page;
}

test('a damaged, a newer and another kind of file are refused by line or field, and change nothing', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  const choose = (name: string, text: string): Promise<void> =>
    page.locator('input[type="file"]').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  await choose('cut.grainfold.json', '{"format": "grain-fold-airframe",\n"formatVersion": 1,\n"na');
  await expect(page.getByRole('alert')).toContainText('Line 3');
  await choose('new.grainfold.json', '{"format": "grain-fold-airframe", "formatVersion": 7}');
  await expect(page.getByRole('alert')).toContainText('format version 7');
  await choose(
    'odd.grainfold.json',
    '{"format": "grain-fold-airframe", "formatVersion": 1, "id": "x", "name": "", "settings": {}, "parts": [], "boards": []}',
  );
  await expect(page.getByRole('alert')).toContainText('name: must not be blank');
  await choose('huge.grainfold.json', ' '.repeat(9 * 1024 * 1024));
  await expect(page.getByRole('alert')).toContainText('at most 8');
  await expect(page.getByRole('heading', { name: 'No airframes yet' })).toBeVisible();
});

test('a backup that is brought back into a new folder serves every airframe as it was', async ({ page, workshop }) => {
  await started(page, workshop);
  await setFigure(page, 'How many', '6');
  await saved(page);
  const id = /airframes\/([0-9a-f-]{36})/.exec(page.url())![1]!;
  const served = async (address: string) => (await page.request.get(`${address}/api/airframes/${id}`)).json();
  const before: unknown = await served(workshop.address);
  const top = fs.mkdtempSync(path.join(os.tmpdir(), 'grain fold restored '));
  fs.chmodSync(top, 0o755);
  const copy = await backUp(workshop.database, path.join(top, 'backups'));
  // What is saved after the copy is not in it.
  await setFigure(page, 'How many', '9');
  await saved(page);
  const database = await startDatabase(path.join(top, 'database'));
  await restore(database, copy);
  const port = await freePort();
  const server = await startServer(database, { port });
  // The session was copied with the account: the cookie is of the host, whichever port.
  expect(await served(`http://127.0.0.1:${port}`)).toEqual(before);
  expect(await served(workshop.address)).not.toEqual(before);
  await end(server);
  await database.stop();
  fs.rmSync(top, { recursive: true, force: true });
});
