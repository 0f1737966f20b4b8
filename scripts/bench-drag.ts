/** Times the wing of a whole airframe dragged along its body in a real browser: frames, tasks, and how often the ticket follows. One JSON line a case. */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { choose } from './test-support/choose.mjs';
import { startWorkshop } from './workshop.mjs';

const MOVES = 150;

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-bench-'));
fs.chmodSync(folder, 0o755);
const workshop = await startWorkshop({ folder: path.join(folder, 'database'), durable: false });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const tell = (line: object): void => console.log(JSON.stringify(line));
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // In words of the page: what is compiled here carries helpers that the page does not have.
  await page.addInitScript(`
    Object.assign(window, { tasks: [], frames: 0, told: 0 });
    new PerformanceObserver((list) => tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({
      entryTypes: ['longtask'],
    });
    (function frame() {
      window.frames += 1;
      requestAnimationFrame(frame);
    })();`);
  const counts = (): Promise<{ longestTaskMs: number; frames: number; told: number }> =>
    page.evaluate(() => {
      const own = window as unknown as { tasks: number[]; frames: number; told: number };
      const all = { longestTaskMs: Math.round(Math.max(0, ...own.tasks)), frames: own.frames, told: own.told };
      Object.assign(own, { tasks: [], frames: 0, told: 0 });
      return all;
    });
  await page.goto(workshop.address);
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  await page.getByRole('link', { name: 'Open Reedling 1100' }).click();
  await page.getByRole('link', { name: /^Forms/ }).click();
  await choose(page.getByRole('complementary', { name: 'Slip' }), 'Forms', 'Pod');
  await page.waitForTimeout(6000);
  await page.evaluate(() => {
    const own = window as unknown as { told: number },
      balance = [...document.querySelectorAll('.ticket .still')];
    for (const line of balance)
      new MutationObserver(() => (own.told += 1)).observe(line, {
        subtree: true,
        characterData: true,
        childList: true,
      });
  });
  // The wing's handle on the side view.
  const handle = (await page.locator('[data-handle^="guest"] circle').first().boundingBox())!,
    at = { x: handle.x + handle.width / 2, y: handle.y + handle.height / 2 };
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  await page.mouse.move(at.x + 4, at.y);
  await page.waitForTimeout(800);
  await counts();
  const start = performance.now();
  for (let move = 0; move < MOVES; move++)
    await page.mouse.move(at.x + 4 + 12 * Math.sin(move / 9), at.y + 3 * Math.sin(move / 7));
  const seconds = (performance.now() - start) / 1000,
    { frames, ...rest } = await counts();
  tell({
    case: 'wing of the Reedling dragged along its pod, the ticket following',
    moves: MOVES,
    seconds: Math.round(10 * seconds) / 10,
    framesASecond: Math.round(frames / seconds),
    ticketASecond: Math.round((10 * rest.told) / seconds) / 10,
    longestTaskMs: rest.longestTaskMs,
  });
  await page.mouse.up();
  await page.waitForTimeout(2500);
  tell({ case: 'the wing let go', longestTaskMs: (await counts()).longestTaskMs });
} finally {
  await browser.close();
  await workshop.stop();
  fs.rmSync(folder, { recursive: true, force: true });
}
