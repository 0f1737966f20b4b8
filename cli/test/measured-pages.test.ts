import { jest } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { pagesDocument, pagesOf, type Airframe, type PaperPage } from '@grain-fold/core/airframe';
import { applyTransform, type Point } from '@grain-fold/core/geometry';
import { frameOfPage, sheetOf, type Page, type PagePlan } from '@grain-fold/core/pages';
import { writePdfFile } from '../src/pdf-file.ts';
import { rasterOf, type Raster } from './raster.ts';

/** Pages measured with tools that are not ours: poppler draws them, and says where lines run. */
jest.setTimeout(120_000);
const SALTBOX = JSON.parse(
  fs.readFileSync(path.resolve(import.meta.dirname, '../../demo/saltbox-36.grainfold.json'), 'utf8'),
) as Airframe;
const DOTS = 600,
  DOT_MM = 25.4 / DOTS;
let folder: string, pdf: string, plan: PagePlan, papers: readonly PaperPage[];
beforeAll(async () => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-measured-'));
  pdf = path.join(folder, 'pages.pdf');
  plan = pagesOf(SALTBOX);
  papers = [...pagesDocument(SALTBOX, 1, '2026-03-01')];
  await writePdfFile(pdf, papers, 'pages');
});
afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

/** Straight lines of a page as [x1, y1, x2, y2] in mm from its upper left, as poppler finds them. */
function linesOf(page: number): readonly (readonly number[])[] {
  const file = path.join(folder, 'page.svg');
  execFileSync('pdftocairo', ['-svg', '-origpagesizes', '-f', String(page), '-l', String(page), pdf, file]);
  const text = fs.readFileSync(file, 'utf8'),
    number = '(-?[\\d.]+)';
  const line = new RegExp(
    ` d="M ${number} ${number} L ${number} ${number} "(?: transform="matrix\\(${Array(6).fill(number).join(', ?')}\\)")?`,
    'g',
  );
  return [...text.matchAll(line)].map(([, x1, y1, x2, y2, a = 1, b = 0, c = 0, d = 1, e = 0, f = 0]) => {
    const at = (x: unknown, y: unknown): readonly number[] => [
      ((Number(a) * Number(x) + Number(c) * Number(y) + Number(e)) * 25.4) / 72,
      ((Number(b) * Number(x) + Number(d) * Number(y) + Number(f)) * 25.4) / 72,
    ];
    return [...at(x1, y1), ...at(x2, y2)];
  });
}

test('bars across and up are 100.00 mm and 4.000 in on every page, on paper that is Letter to a hundredth', () => {
  const boxes = execFileSync('pdfinfo', ['-box', '-f', '1', '-l', '999', pdf], { encoding: 'utf8' });
  const sizes = [...boxes.matchAll(/Page +\d+ MediaBox: +([\d.]+) +([\d.]+) +([\d.]+) +([\d.]+)/g)];
  expect(sizes).toHaveLength(papers.length);
  for (const [, , , wide, high] of sizes) {
    expect((Number(wide) / 72) * 25.4).toBeCloseTo(215.9, 2);
    expect((Number(high) / 72) * 25.4).toBeCloseTo(279.4, 2);
  }
  for (let page = 1; page <= papers.length; page += 4) {
    const lines = linesOf(page);
    for (const mm of [100, 101.6]) {
      const isLong = (from: number, to: number): boolean => Math.abs(Math.abs(to - from) - mm) <= 0.01;
      expect(lines.some(([x1, y1, x2, y2]) => y1 === y2 && isLong(x1!, x2!))).toBe(true);
      expect(lines.some(([x1, y1, x2, y2]) => Math.abs(x1! - x2!) < 1e-3 && isLong(y1!, y2!))).toBe(true);
    }
  }
});

/** The dark run about a place of a row or column of dots, as its middle in dots; undefined where none of a cut's width lies near. */
function darkAbout(raster: Raster, line: number, about: number, isRow: boolean, dots: number): number | undefined {
  const at = (place: number): number => (isRow ? raster.at(place, line) : raster.at(line, place));
  /** Shares of black, so that the middle is found finer than a dot. */
  let sum = 0,
    weighed = 0,
    first = Infinity,
    last = -Infinity;
  for (let place = Math.floor(about - 1.2 * dots); place <= about + 1.2 * dots; place++) {
    const black = 1 - at(place) / 255;
    sum += black;
    weighed += black * (place + 0.5);
    if (black > 0.5) [first, last] = [Math.min(first, place), last < place ? place : last];
  }
  // Another mark near it, or white of words over a part of it, makes it none to be measured.
  const isPlain = Math.abs(sum - dots) < 1.5 && last - first <= sum + 0.5 && at(Math.floor(about)) < 128;
  return isPlain ? weighed / sum : undefined;
}

/** Where the straight outlines of a sheet run over what two of its pages share, each compared on both: [dots of the one to the other, dots to the truth]. */
function compared(first: Page, second: Page): readonly (readonly [number, number])[] {
  const isAside = first.neighbours.right === second.name,
    frame = frameOfPage(plan, first).window,
    rasters = [first, second].map(({ name }) =>
      rasterOf(pdf, plan.pages.findIndex((page) => page.name === name) + 1, DOTS),
    );
  const toDots = ({ view }: Page, { height }: Raster, p: Point): Point => ({
    x: (p.x - view.minX + frame.minX) / DOT_MM,
    y: height - (p.y - view.minY + frame.minY) / DOT_MM,
  });
  const shared = {
    minX: Math.max(first.view.minX, second.view.minX),
    maxX: Math.min(first.view.maxX, second.view.maxX),
    minY: Math.max(first.view.minY, second.view.minY),
    maxY: Math.min(first.view.maxY, second.view.maxY),
  };
  return sheetOf(plan, first).placed.flatMap(({ template: { part }, transform }) => {
    const ring = part.outer.map((p) => applyTransform(transform, p));
    return ring.flatMap((from, index) => {
      const to = ring[(index + 1) % ring.length]!,
        [along, across] = [isAside ? 'x' : 'y', isAside ? 'y' : 'x'] as const,
        run = to[along] - from[along];
      if (Math.abs(run) < 8 || Math.abs(to[across] - from[across]) > Math.abs(run) / 2) return [];
      const dots = (0.55 / DOT_MM) * Math.hypot(1, (to[across] - from[across]) / run);
      return Array.from({ length: 25 }, (_, step) => {
        const [low, high] = isAside ? [shared.minX, shared.maxX] : [shared.minY, shared.maxY],
          place = low + 0.6 + ((high - low - 1.2) * step) / 24,
          share = (place - from[along]) / run;
        const p = { [along]: place, [across]: from[across] + share * (to[across] - from[across]) } as unknown as Point;
        if (share < 0.05 || share > 0.95) return undefined;
        if (
          p[across] < (isAside ? shared.minY : shared.minX) + 2 ||
          p[across] > (isAside ? shared.maxY : shared.maxX) - 2
        )
          return undefined;
        const found = [first, second].map((page, which) => {
          const raster = rasters[which]!,
            at = toDots(page, raster, p),
            line = Math.floor(at[along]),
            // Rows and columns are looked along at their middles: the line is a little further there, on paper that counts down.
            drift = ((line + 0.5 - at[along]) * (to[across] - from[across])) / run,
            truth = at[across] - drift;
          const middle = darkAbout(raster, line, truth, !isAside, dots);
          return middle === undefined ? undefined : middle - truth;
        });
        return found[0] === undefined || found[1] === undefined
          ? undefined
          : ([Math.abs(found[0] - found[1]), Math.max(Math.abs(found[0]), Math.abs(found[1]))] as const);
      }).filter((one) => one !== undefined);
    });
  });
}

test('neighbouring pages drawn at 600 dots an inch and joined at their marks show every outline within a dot of each other, and of where it is', () => {
  const pairs = plan.pages.flatMap((page) =>
    (['right', 'below'] as const).flatMap((side) => {
      const other = plan.pages.find(({ name }) => name === page.neighbours[side]);
      return other ? [[page, other] as const] : [];
    }),
  );
  expect(pairs.length).toBeGreaterThan(5);
  const all = pairs.slice(0, 9).flatMap(([page, other]) => compared(page, other));
  expect(all.length).toBeGreaterThan(100);
  expect(Math.max(...all.map(([apart]) => apart))).toBeLessThan(1);
  expect(Math.max(...all.map(([, off]) => off))).toBeLessThan(1);
});

/** One bit blackens every dot that a line touches: a dot is wrong only where nothing dark lies beside it. */
const isWhiteAbout = (grey: Raster, x: number, y: number): boolean =>
  [-1, 0, 1].every((up) =>
    [-1, 0, 1].every((aside) => {
      const [at, row] = [x + aside, y + up];
      return at < 0 || row < 0 || at >= grey.width || row >= grey.height || grey.at(at, row) > 224;
    }),
  );

/** Of the dots that are dark in grey, or far from any, the share that one bit shows otherwise. */
function shareOtherwise(file: string, page: number): number {
  const grey = rasterOf(file, page, 300),
    mono = rasterOf(file, page, 300, true);
  let dark = 0,
    wrong = 0;
  for (let y = 0; y < grey.height; y++)
    for (let x = 0; x < grey.width; x++) {
      const isBlack = mono.at(x, y) === 0;
      if (grey.at(x, y) < 150) {
        dark += 1;
        if (!isBlack) wrong += 1;
      } else if (isBlack && isWhiteAbout(grey, x, y)) wrong += 1;
    }
  expect(dark).toBeGreaterThan(5000);
  return wrong / dark;
}

test('on a printer that knows black alone nothing comes out as dots: one bit shows what grey does', async () => {
  const write = async (ink: 'black' | 'grey'): Promise<string> => {
    const file = path.join(folder, `${ink}.pdf`);
    const printer = { id: 'p1', name: ink, map: { across: 1, up: 1, lean: 0 }, pen: { ink, weight: 1 } } as const;
    await writePdfFile(file, pagesDocument(SALTBOX, 1, '2026-03-01', { printer }), ink);
    return file;
  };
  const [black, grey] = [await write('black'), await write('grey')];
  // Work on the back is what a grey pen draws in grey: the two pages that have the most of it, and the sixth.
  const greys = papers.map((paper) => [...JSON.stringify(paper).matchAll(/"tone":"grey"/g)].length);
  const [most, second] = greys.map((_, at) => at).sort((one, other) => greys[other]! - greys[one]!);
  const ratios = [most! + 1, second! + 1].map((page) => {
    const inBlack = shareOtherwise(black, page);
    expect(inBlack).toBeLessThan(0.03);
    return shareOtherwise(grey, page) / inBlack;
  });
  expect(shareOtherwise(black, 6)).toBeLessThan(0.03);
  expect(Math.max(...ratios)).toBeGreaterThan(1.3);
});

test('layers of operations, names, joins and frame can be turned off, and qpdf finds nothing wrong in them', () => {
  const plain = path.join(folder, 'plain.pdf');
  execFileSync('qpdf', ['--qdf', '--object-streams=disable', '--check', pdf]);
  execFileSync('qpdf', ['--qdf', '--object-streams=disable', pdf, plain]);
  const text = fs.readFileSync(plain, 'latin1');
  const names = [...text.matchAll(/\/Name \(([^)]*)\)\s+\/Type \/OCG/g)].map(([, name]) => name);
  expect(names).toEqual(
    expect.arrayContaining([
      'Bars, title and legend',
      'Joining sheets',
      'Names and fold numbers',
      'Outlines and holes',
      'Mitre groove',
    ]),
  );
  // An aileron is for one of the variants alone.
  expect(names.some((name) => name!.startsWith('Only '))).toBe(
    SALTBOX.parts.some(({ operations }) => operations.some(({ variants }) => variants)),
  );
  const count = (pattern: RegExp): number => [...text.matchAll(pattern)].length;
  expect(count(/\/OC \/L\d+ BDC/g)).toBeGreaterThan(papers.length);
  expect(count(/\bEMC\b/g)).toBe(count(/\/OC \/L\d+ BDC/g));
  expect(text).toContain('/Duplex /Simplex');
  expect(text).toContain('/PrintScaling /None');
});
