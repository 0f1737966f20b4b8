/** Sheets of paper and length of seams by each way of printing, against the parts hung in rows and tiled row by row: a table's line a case. */
import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { pagesDocument, pagesOf, sectionPieces, type Airframe } from '@grain-fold/core/airframe';
import { boundsHeight, boundsWidth, hangInRows } from '@grain-fold/core/geometry';
import { assemblyTotals, frameOfPage, PAGE_WAYS, type PageSettings } from '@grain-fold/core/pages';

const root = path.resolve(import.meta.dirname, '../..');
const GAP_MM = 10;

const read = (file: string): Airframe => JSON.parse(fs.readFileSync(file, 'utf8')) as Airframe;

/** The shipped plan of twelve pages, brought in. */
function broughtIn(): Airframe {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-pages-')),
    out = path.join(folder, 'plan.json');
  try {
    execFileSync(process.execPath, [
      path.join(root, 'cli/bin/grain-fold.mjs'),
      'bring-in',
      path.join(root, 'demo/plans/dunlin-tiled.pdf'),
      '--out',
      out,
    ]);
    return read(out);
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
  }
}

const printing = (airframe: Airframe, pages: Partial<PageSettings>): Airframe => ({
  ...airframe,
  settings: { ...airframe.settings, pages: { ...airframe.settings.pages, ...pages } },
});

/** Sheets and seams of a lattice over the parts in rows, every page of it printed. */
function tiledInRows(airframe: Airframe): { readonly sheets: number; readonly seamsM: number } {
  const plan = pagesOf(airframe),
    { window } = frameOfPage(plan, plan.pages[0]!),
    { overlapMm } = plan.settings;
  const boxes = sectionPieces(airframe).flatMap(({ pieces }) =>
    pieces.map(({ part: { bounds } }) => ({ width: boundsWidth(bounds), height: boundsHeight(bounds) })),
  );
  const origins = hangInRows(boxes, GAP_MM, GAP_MM),
    wide = Math.max(...origins.map(({ x }, index) => x + boxes[index]!.width)),
    high = -Math.min(...origins.map(({ y }) => y));
  const [cellX, cellY] = [boundsWidth(window) - overlapMm, boundsHeight(window) - overlapMm];
  const columns = Math.ceil((wide - overlapMm) / cellX),
    rows = Math.ceil((high - overlapMm) / cellY);
  return {
    sheets: columns * rows,
    seamsM: ((columns - 1) * rows * cellY + (rows - 1) * columns * cellX) / 1000,
  };
}

const airframes = [
  ...['paperbark-mite', 'reedling-1100', 'saltbox-36'].map((name) =>
    read(path.join(root, `demo/${name}.grainfold.json`)),
  ),
  broughtIn(),
];
for (const airframe of airframes)
  for (const paper of ['A4', 'Letter'] as const) {
    const plain = tiledInRows(printing(airframe, { paper }));
    const ways = PAGE_WAYS.filter((way) => way !== 'decals').map((way) => {
      const start = performance.now(),
        plan = pagesOf(printing(structuredClone(airframe), { paper, sections: [{ id: 's1', way }] }));
      return {
        way,
        sheets: plan.pages.length,
        fewer: `${Math.round(100 * (1 - plan.pages.length / plain.sheets))} %`,
        seamsM: Number((assemblyTotals(plan).tapeMm / 1000).toFixed(1)),
        ms: Math.round(performance.now() - start),
      };
    });
    console.log(
      JSON.stringify({
        airframe: airframe.name,
        paper,
        rows: { ...plain, seamsM: Number(plain.seamsM.toFixed(1)) },
        ways,
      }),
    );
  }

// A long set: laid out, then drawn page by page as it goes to its file.
const long = read(path.join(root, 'demo/reedling-1100.grainfold.json')),
  large = { ...long, settings: { ...long.settings, scale: 4.5 } };
const start = performance.now(),
  pages = pagesOf(large).pages.length,
  laidOut = performance.now(),
  before = process.memoryUsage().rss;
let inks = 0,
  most = before;
for (const page of pagesDocument(large, 1, '2026-01-01')) {
  inks += page.inks.length;
  most = Math.max(most, process.memoryUsage().rss);
}
console.log(
  JSON.stringify({
    pages,
    inks,
    laidOutMs: Math.round(laidOut - start),
    drawnMs: Math.round(performance.now() - laidOut),
    moreMemoryMB: Math.round((most - before) / 2 ** 20),
  }),
);
