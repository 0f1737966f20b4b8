/** Times the folded view in a real browser that draws without a graphics processor: the demo airframes stood together, and a strip of 500 plates. One JSON line a case. */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { writeProjectFile } from '@grain-fold/contract';
import { DEFAULT_SETTINGS, standardBoard } from '@grain-fold/core/airframe';
import { applyCommand } from '@grain-fold/core/editing';
import { emptyPart, type Part } from '@grain-fold/core/part';
import { chromium, type Page } from '@playwright/test';
import { startWorkshop } from './workshop.mjs';
import { choose } from './test-support/choose.mjs';

const PLATES = 500,
  SIDES = 40,
  TURN_MS = 4000;

/** A row of many plates: strips of 40 sides side by side, made by the program's own command. */
function row(): Part {
  let part: Part = emptyPart('row', 'Row', 'faced board');
  const run = (command: Parameters<typeof applyCommand>[1]): void => {
    const result = applyCommand(part, command);
    if (!result.ok) throw new Error(result.message);
    part = result.part;
  };
  run({
    name: 'foldStrip',
    args: {
      lengthMm: 100,
      thicknessMm: 5,
      sides: Array.from({ length: SIDES }, () => ({ sizeMm: 10, is: 'outer' as const })),
      folds: Array.from({ length: SIDES - 1 }, () => ({ foldDegrees: 324 / PLATES, style: 'groove' as const })),
    },
  });
  const outline = part.contours[0]!,
    top = outline.segments[2]!.id;
  run({ name: 'moveEdge', args: { segmentId: top, acrossMm: -(PLATES - SIDES) * 10 } });
  for (let index = SIDES; index < PLATES; index++)
    run({
      name: 'drawLine',
      args: {
        draft: {
          points: [
            { x: 0, y: index * 10 },
            { x: 100, y: index * 10 },
          ],
          segments: [{ kind: 'line' }],
          closed: false,
        },
        operation: { kind: 'groove', face: 'face', foldDegrees: 324 / PLATES, mouthMm: 'auto', label: '' },
      },
    });
  return part;
}

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-bench-'));
fs.chmodSync(folder, 0o755);
const workshop = await startWorkshop({ folder: path.join(folder, 'database'), durable: false });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-background-networking'],
});
const tell = (line: object): void => console.log(JSON.stringify(line));
const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Opens a part of an airframe folded. @returns how long it took in ms, and the longest task on the interface's thread meanwhile */
async function openFolded(page: Page, part: RegExp, extent?: string): Promise<{ ms: number; longestTaskMs: number }> {
  await page.getByRole('listbox', { name: 'Parts' }).getByRole('option', { name: part }).first().click();
  await page.waitForTimeout(1500);
  await page.evaluate(
    `window.tasks = []; new PerformanceObserver((list) => list.getEntries().forEach(({ duration }) => window.tasks.push(duration))).observe({ entryTypes: ['longtask'] });`,
  );
  const start = Date.now();
  if (extent) await choose(page, 'Shown folded', extent);
  else await page.locator('body').press('u');
  await page
    .getByRole('region', { name: 'Folds' })
    .getByText(extent ? /stand together/ : /folds about|one plate/)
    .first()
    .waitFor({ timeout: 60_000 });
  const ms = Date.now() - start;
  await page.waitForTimeout(1000);
  return { ms, longestTaskMs: Math.round(Math.max(0, ...((await page.evaluate('window.tasks')) as number[]))) };
}

/** Turns the model by dragging it, and counts the frames that are drawn meanwhile. */
async function framesASecond(page: Page): Promise<{ framesASecond: number; medianFrameMs: number }> {
  const box = (await page.locator('.folded-mat canvas').boundingBox())!;
  await page.mouse.move(box.x + 200, box.y + 200);
  await page.mouse.down();
  await page.evaluate(
    `window.frames = []; window.turning = true; (function frame(now) { window.frames.push(now); if (window.turning) requestAnimationFrame(frame); })(performance.now());`,
  );
  const start = Date.now();
  for (let step = 0; Date.now() - start < TURN_MS; step++)
    await page.mouse.move(box.x + 200 + 150 * Math.sin(step / 12), box.y + 200 + 40 * Math.cos(step / 15));
  const frames = (await page.evaluate('window.turning = false; window.frames')) as number[];
  await page.mouse.up();
  const gaps = frames.slice(2).map((at, index) => at - frames[index + 1]!);
  return {
    framesASecond: Math.round((1000 * gaps.length) / (frames.at(-1)! - frames[1]!)),
    medianFrameMs: Number(median(gaps).toFixed(1)),
  };
}

/** Moves the slider from flat to folded. */
async function slide(page: Page): Promise<{ medianStepMs: number; longestTaskMs: number }> {
  await page.evaluate('window.tasks = []');
  const steps = (await page.evaluate(`(async () => {
    const slider = document.querySelector('[role="slider"][aria-label="Folded by, per cent"]'), spent = [];
    const press = (code) => slider.dispatchEvent(new KeyboardEvent('keydown', { code, key: code, bubbles: true, cancelable: true }));
    press('Home');
    await new Promise((done) => setTimeout(done, 300));
    for (let value = 0; value < 100; value += 4) {
      const start = performance.now();
      press('PageUp');
      await new Promise((done) => { const channel = new MessageChannel(); channel.port1.onmessage = done; channel.port2.postMessage(0); });
      spent.push(performance.now() - start);
      await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
    }
    return spent;
  })()`)) as number[];
  return {
    medianStepMs: Number(median(steps).toFixed(1)),
    longestTaskMs: Math.round(Math.max(0, ...((await page.evaluate('window.tasks')) as number[]))),
  };
}

try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(workshop.address);
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  for (const [airframe, part] of [
    ['Saltbox 36', /Body lid/],
    ['Reedling 1100', /Wing skin middle/],
  ] as const) {
    await page.getByRole('link', { name: `Open ${airframe}` }).click();
    tell({ case: `${airframe}: a part folded`, ...(await openFolded(page, part)) });
    tell({ case: `${airframe}: the whole airframe folded`, ...(await openFolded(page, part, 'whole airframe')) });
    tell({ case: `${airframe}: turned`, ...(await framesASecond(page)) });
    tell({ case: `${airframe}: slid from flat to folded`, ...(await slide(page)) });
    await page.getByRole('link', { name: /All airframes/ }).click();
  }
  const airframe = {
    id: 'row',
    name: 'Row',
    settings: DEFAULT_SETTINGS,
    parts: [row()],
    boards: [{ ...standardBoard('b1', 'faced board'), widthMm: 9000, heightMm: 600 }],
  };
  await page.locator('input[type="file"]').setInputFiles({
    name: 'row.grainfold.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeProjectFile(airframe)),
  });
  await page.getByRole('link', { name: 'Open Row' }).click();
  await page.waitForTimeout(3000);
  tell({ case: `a row of ${PLATES} plates folded`, ...(await openFolded(page, /Row/)) });
  tell({ case: `a row of ${PLATES} plates turned`, ...(await framesASecond(page)) });
  tell({ case: `a row of ${PLATES} plates slid`, ...(await slide(page)) });
} finally {
  await browser.close();
  await workshop.stop();
  fs.rmSync(folder, { recursive: true, force: true });
}
