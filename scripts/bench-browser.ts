/** Times the interface in a real browser on a large airframe: 150 parts, one of 2,000 segments. One JSON line a case. */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { writeProjectFile } from '@grain-fold/contract';
import { DEFAULT_SETTINGS, standardBoard, type Airframe } from '@grain-fold/core/airframe';
import { applyCommand } from '@grain-fold/core/editing';
import { emptyPart, type Part } from '@grain-fold/core/part';
import { polygonDraft, rectangleDraft, type PathDraft } from '@grain-fold/core/paths';
import { chromium } from '@playwright/test';
import { startWorkshop } from './workshop.mjs';

const PARTS = 150,
  SEGMENTS = 2000,
  MOVES = 120;

function part(id: string, draft: PathDraft): Part {
  const result = applyCommand(
    { ...emptyPart(id, `Part ${id}`, 'faced board', 'Bench') },
    { name: 'drawOutline', args: { draft } },
  );
  if (!result.ok) throw new Error(result.message);
  return result.part;
}
const wavy = polygonDraft(
  Array.from({ length: SEGMENTS }, (_, index) => {
    const angle = (2 * Math.PI * index) / SEGMENTS,
      radius = 200 + 12 * Math.sin(40 * angle);
    return { x: 220 + radius * Math.cos(angle), y: 220 + radius * Math.sin(angle) };
  }),
);
const airframe: Airframe = {
  id: 'bench',
  name: 'Bench',
  settings: DEFAULT_SETTINGS,
  boards: [{ ...standardBoard('b1', 'faced board'), count: 60 }],
  parts: [
    part('wavy', wavy),
    ...Array.from({ length: PARTS - 1 }, (_, index) =>
      part(`p${index}`, rectangleDraft({ x: 0, y: 0 }, 60 + (index % 17) * 9, 30 + (index % 11) * 7)),
    ),
  ],
};

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-bench-'));
fs.chmodSync(folder, 0o755);
const workshop = await startWorkshop({ folder: path.join(folder, 'database'), durable: false });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const tell = (line: object): void => console.log(JSON.stringify(line));
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const client = await page.context().newCDPSession(page);
  await client.send('Performance.enable');
  const metric = async (name: string): Promise<number> =>
    (await client.send('Performance.getMetrics')).metrics.find((one) => one.name === name)!.value * 1000;
  const scriptMs = (): Promise<number> => metric('ScriptDuration');
  await page.goto(workshop.address);
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  await page.locator('input[type="file"]').setInputFiles({
    name: 'bench.grainfold.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeProjectFile(airframe)),
  });
  await page.getByRole('link', { name: 'Open Bench' }).waitFor();

  const opened = Date.now();
  await page.getByRole('link', { name: 'Open Bench' }).click();
  await page.getByRole('application', { name: /Part wavy/ }).waitFor();
  tell({ case: `open ${PARTS} parts until the first is drawn`, ms: Date.now() - opened });
  await page.getByText(/Faults/).waitFor();
  await page.waitForTimeout(4000);

  const box = (await page.getByRole('application').boundingBox())!;
  // The first point of the wavy part lies at (420, 220) in mm.
  const transform = String(
    await page.evaluate(
      `[...document.querySelector('svg.surface').children].map((child) => child.getAttribute('transform')).find((text) => text && text.includes('scale('))`,
    ),
  );
  const [tx, ty, k] = /translate\(([-\d.]+) ([-\d.]+)\) scale\(([-\d.]+)/.exec(transform)!.slice(1).map(Number) as [
    number,
    number,
    number,
  ];
  const [x, y] = [box.x + tx + 420 * k, box.y + ty - 220 * k];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 6, y);
  // As text: the runner's own helpers do not exist in the page. From the event to the task after it: handlers and all that they flush.
  await page.evaluate(`window.spent = []; const channel = new MessageChannel(); let started = 0;
    channel.port1.onmessage = () => window.spent.push(performance.now() - started);
    window.addEventListener('pointermove', () => { started = performance.now(); channel.port2.postMessage(0); }, true);`);
  await client.send('Profiler.enable');
  await client.send('Profiler.start');
  for (let move = 1; move <= MOVES; move++)
    await page.mouse.move(Math.min(box.x + box.width - 5, x + 6 + (move % 40)), y - (move % 25));
  const { profile } = await client.send('Profiler.stop');
  const native = new Set(
    profile.nodes
      .filter(({ callFrame }) => ['(idle)', '(program)'].includes(callFrame.functionName))
      .map(({ id }) => id),
  );
  const scriptPerMove =
    profile.samples!.reduce((sum, id, index) => sum + (native.has(id) ? 0 : profile.timeDeltas![index]!), 0) /
    1000 /
    MOVES;
  const spent = ((await page.evaluate('window.spent')) as number[]).sort((m, n) => m - n);
  tell({
    case: `drag a point of ${SEGMENTS} segments`,
    moves: spent.length,
    scriptMsPerMove: Number(scriptPerMove.toFixed(1)),
    medianMs: Number(spent[Math.floor(spent.length / 2)]!.toFixed(1)),
    p95Ms: Number(spent[Math.floor(spent.length * 0.95)]!.toFixed(1)),
  });
  // From the event until the page names the step, in the page itself: watching from outside costs the page more than the edit does.
  const untilNamed = (event: string, isThere: boolean): Promise<void> =>
    page.evaluate(`window.named = new Promise((done) => {
    let started = 0;
    window.addEventListener('${event}', () => { started = performance.now(); }, { capture: true, once: true });
    new MutationObserver((_, observer) => {
      if (started === 0 || /undo move point/i.test(document.querySelector('.tray').textContent) !== ${isThere}) return;
      observer.disconnect();
      requestAnimationFrame(() => done(performance.now() - started));
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
  }); undefined`);
  const named = async (): Promise<number> => Number(((await page.evaluate('window.named')) as number).toFixed(0));
  await untilNamed('pointerup', true);
  const script = await scriptMs();
  await page.mouse.up();
  tell({
    case: 'drop it until ticket and step are shown',
    ms: await named(),
    scriptMs: Number(((await scriptMs()) - script).toFixed(0)),
  });
  await page.waitForTimeout(1500);
  await untilNamed('keydown', false);
  const scriptUndo = await scriptMs();
  await page.keyboard.press('Control+z');
  tell({
    case: 'undo until ticket and step are shown',
    ms: await named(),
    scriptMs: Number(((await scriptMs()) - scriptUndo).toFixed(0)),
  });
} finally {
  await browser.close();
  await workshop.stop();
  fs.rmSync(folder, { recursive: true, force: true });
}
