/** Times the plan in a real browser: the wing of a full plan dragged, and a 40-megapixel picture laid under and sized. One JSON line a case. */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import zlib from 'node:zlib';
import { chromium } from '@playwright/test';
import { startWorkshop } from './workshop.mjs';

const MOVES = 120,
  [WIDTH, HEIGHT] = [8000, 5000];

/** A grey picture of 40 megapixels with a pattern, as a PNG. */
function largePicture(): Buffer {
  const rows = Buffer.alloc((WIDTH + 1) * HEIGHT);
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) rows[y * (WIDTH + 1) + 1 + x] = ((x >> 4) ^ (y >> 4)) & 0xff;
  const chunk = (type: string, body: Buffer): Buffer => {
    const head = Buffer.alloc(4),
      tail = Buffer.alloc(4),
      named = Buffer.concat([Buffer.from(type), body]);
    head.writeUInt32BE(body.length);
    tail.writeUInt32BE(zlib.crc32(named) >>> 0);
    return Buffer.concat([head, named, tail]);
  };
  const size = Buffer.alloc(13);
  size.writeUInt32BE(WIDTH, 0);
  size.writeUInt32BE(HEIGHT, 4);
  size[8] = 8;
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', size),
    chunk('IDAT', zlib.deflateSync(rows, { level: 1 })),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-bench-'));
fs.chmodSync(folder, 0o755);
const workshop = await startWorkshop({ folder: path.join(folder, 'database'), durable: false });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const tell = (line: object): void => console.log(JSON.stringify(line));
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const client = await page.context().newCDPSession(page);
  await client.send('Performance.enable');
  const metric = async (wanted: 'ScriptDuration' | 'TaskDuration'): Promise<number> =>
    (await client.send('Performance.getMetrics')).metrics.find(({ name }) => name === wanted)!.value * 1000;
  const scriptMs = (): Promise<number> => metric('ScriptDuration');
  await page.addInitScript(() => {
    const own = window as unknown as { longTasks: number[] };
    own.longTasks = [];
    new PerformanceObserver((list) => own.longTasks.push(...list.getEntries().map(({ duration }) => duration))).observe(
      {
        entryTypes: ['longtask'],
      },
    );
  });
  const longest = (): Promise<number> =>
    page.evaluate(() => {
      const own = window as unknown as { longTasks: number[] };
      const most = Math.max(0, ...own.longTasks);
      own.longTasks = [];
      return Math.round(most);
    });
  await page.goto(workshop.address);
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  await page
    .getByRole('link', { name: /Reedling/ })
    .first()
    .click();
  await page.getByRole('link', { name: /^Plan/ }).click();
  await page.locator('[data-view="top"]').waitFor();
  await page.waitForTimeout(1500);
  const at = await page.locator('[data-view="top"]').evaluate((group) => {
    const p = new DOMPoint(140, 300).matrixTransform((group as SVGGElement).getScreenCTM()!);
    return { x: p.x, y: p.y };
  });
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  await page.mouse.move(at.x + 6, at.y);
  await longest();
  const before = await scriptMs(),
    tasks = await metric('TaskDuration'),
    start = performance.now();
  for (let move = 0; move < MOVES; move++) await page.mouse.move(at.x + 6 + 30 * Math.sin(move / 9), at.y);
  const took = performance.now() - start;
  tell({
    case: 'wing of a full plan dragged, all figures',
    moves: MOVES,
    scriptMsAMove: Math.round(((await scriptMs()) - before) * (100 / MOVES)) / 100,
    // Everything on the interface's thread: script, styles, layout and paint.
    taskMsAMove: Math.round(((await metric('TaskDuration')) - tasks) * (100 / MOVES)) / 100,
    wallMsAMove: Math.round((took / MOVES) * 10) / 10,
    longestTaskMs: await longest(),
  });
  await page.mouse.up();
  await page.getByRole('button', { name: /undo move wing/ }).waitFor();
  await page.getByRole('button', { name: 'Whole plan' }).click();

  await page.getByText('Trace', { exact: true }).click();
  const file = path.join(folder, 'large.png');
  fs.writeFileSync(file, largePicture());
  const given = performance.now();
  await page.locator('input[type="file"]').setInputFiles(file);
  await page.locator('.underlays canvas').first().waitFor({ timeout: 60_000 });
  tell({
    case: 'picture of 40 megapixels laid under',
    ms: Math.round(performance.now() - given),
    longestTaskMs: await longest(),
  });
  await page.waitForTimeout(3000);
  await longest();
  await page.getByRole('button', { name: 'Known length' }).click();
  const box = (await page.locator('.surface').boundingBox())!;
  await page.mouse.click(box.x + 260, box.y + 500);
  await page.mouse.click(box.x + 460, box.y + 500);
  await page.getByLabel('It is in truth').fill('400');
  await page.getByLabel('It is in truth').press('Enter');
  const pressed = performance.now();
  await page.getByRole('button', { name: 'Size the sheet by it' }).click();
  await page.getByText('sets the scale').waitFor();
  tell({
    case: 'picture of 40 megapixels sized by a length',
    ms: Math.round(performance.now() - pressed),
    longestTaskMs: await longest(),
  });
  const zoomed = await scriptMs();
  await page.mouse.move(box.x + 350, box.y + 450);
  for (let turn = 0; turn < 40; turn++) await page.mouse.wheel(0, turn % 20 < 10 ? -120 : 120);
  await page.waitForTimeout(500);
  tell({
    case: 'zoomed over it',
    scriptMsATurn: Math.round(((await scriptMs()) - zoomed) / 4) / 10,
    longestTaskMs: await longest(),
  });
} finally {
  await browser.close();
  await workshop.stop();
  fs.rmSync(folder, { recursive: true, force: true });
}
