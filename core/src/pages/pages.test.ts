import fc from 'fast-check';
import { oracleRuns } from '../../test/oracle-runs.ts';
import { after, boxSide, groove, made, plate, polygonPart, withLine } from '../../test/samples.ts';
import { foldsInOrder } from '../folds/index.ts';
import {
  applyTransform,
  boundsHeight,
  boundsWidth,
  distance,
  distanceToRun,
  isInside,
  type Bounds,
  type Point,
} from '../geometry/index.ts';
import type { Ink } from '../ink/index.ts';
import type { Part } from '../part/index.ts';
import { pageInk } from './page-ink.ts';
import { DEFAULT_PAGE_SETTINGS, pageFrame, pageSettingsFault, paperSize, type PageSettings } from './paper.ts';
import { kindsOnPage, planPages } from './plan-pages.ts';
import type { Page, PagePlan } from './sheet.ts';
import { templateInk } from './template.ts';
import { worded } from '../units/index.ts';

const settings = (changes: Partial<PageSettings> = {}): PageSettings => ({ ...DEFAULT_PAGE_SETTINGS, ...changes });
const plan = (parts: readonly Part[], changes: Partial<PageSettings> = {}): PagePlan =>
  planPages(
    parts.map((part) => ({ part: made(part), pieces: 1 })),
    settings(changes),
  );
const title = {
  airframe: 'Test',
  version: 3,
  scale: 1.2,
  date: '2026-01-02',
  unit: 'mm' as const,
  variant: 'four channels',
};
const holds = (box: Bounds, p: Point, room = 0): boolean =>
  p.x >= box.minX - room && p.x <= box.maxX + room && p.y >= box.minY - room && p.y <= box.maxY + room;
const sheetOf = (it: PagePlan, page: Page) => it.sheets.find(({ number }) => number === page.sheet)!;
/** Corners of every outline where they lie on their sheets. */
const corners = (it: PagePlan): { sheet: number; at: Point }[] =>
  it.sheets.flatMap((sheet) =>
    sheet.placed.flatMap(({ template, transform }) =>
      template.part.outer.map((p) => ({ sheet: sheet.number, at: applyTransform(transform, p) })),
    ),
  );
const flat = (inks: readonly Ink[]): Ink[] => inks.flatMap((ink) => (ink.kind === 'clip' ? flat(ink.inks) : [ink]));

test('papers by name measure what they should, on their side too', () => {
  expect(paperSize(settings())).toEqual({ widthMm: 210, heightMm: 297 });
  expect(paperSize(settings({ paper: 'Tabloid', orientation: 'landscape' }))).toEqual({
    widthMm: expect.closeTo(431.8, 9),
    heightMm: expect.closeTo(279.4, 9),
  });
  expect(paperSize(settings({ paper: 'own', ownWidthMm: 610, ownHeightMm: 914 }))).toEqual({
    widthMm: 610,
    heightMm: 914,
  });
});

test('what fits a page crosses no seam, several parts to a page', () => {
  const it = plan([plate(80, 60, 'a'), plate(90, 70, 'b'), plate(60, 60, 'c')]);
  expect(it.pages).toHaveLength(1);
  for (const { at } of corners(it)) expect(holds(it.pages[0]!.view, at)).toBe(true);
});

test('parts within a millimetre of a page’s room, either way round and of every paper, are printed once, whole and on one page', () => {
  const paper = fc.constantFrom<PageSettings['paper']>('A4', 'Letter', 'A3', 'Tabloid', 'Legal');
  const short = fc.double({ min: -4.5, max: 1, noNaN: true });
  fc.assert(
    fc.property(
      paper,
      fc.constantFrom<PageSettings['orientation']>('portrait', 'landscape'),
      fc.array(fc.tuple(short, fc.integer({ min: 20, max: 120 }), fc.boolean()), { minLength: 1, maxLength: 4 }),
      (name, orientation, sizes) => {
        const { window } = pageFrame(settings({ paper: name, orientation }));
        const parts = sizes.map(([by, other, isWide], index) =>
          isWide
            ? plate(boundsWidth(window) + by, other, `p${index}`)
            : plate(other, boundsHeight(window) + by, `p${index}`),
        );
        const it = plan(parts, { paper: name, orientation });
        const printed = it.sheets.flatMap(({ placed }) => placed.map(({ template }) => template.part.id));
        expect([...printed].sort()).toEqual(parts.map((part) => part.id).sort());
        for (const sheet of it.sheets) {
          const views = it.pages.filter((page) => page.sheet === sheet.number).map(({ view }) => view);
          for (const { template, transform } of sheet.placed) {
            const outline = template.part.outer.map((p) => applyTransform(transform, p));
            for (const corner of outline) expect(views.some((view) => holds(view, corner, 1e-6))).toBe(true);
            // With two millimetres to spare there is no need for a seam.
            const at = Number(template.part.id.slice(1));
            if (sizes[at]![0] < -2) expect(views.some((view) => outline.every((p) => holds(view, p, 1e-6)))).toBe(true);
          }
        }
      },
    ),
    { numRuns: oracleRuns(60) },
  );
}, 600_000);

test.each([
  ['A4', 100, 253],
  ['Letter', 100, 235.2],
  ['Tabloid', 60, 387.4],
  ['Legal', 60, 311.3],
  ['A3', 60, 376],
] as const)('a plate that just fits %s, %d × %d mm, is one page with ink', (paper, width, height) => {
  const it = plan([plate(width, height)], { paper });
  expect(it.pages).toHaveLength(1);
  expect(it.sheets[0]!.placed).toHaveLength(1);
  for (const { at } of corners(it)) expect(holds(it.pages[0]!.view, at)).toBe(true);
});

test('a part larger than a page is tiled with its overlap, at true size', () => {
  const it = plan([plate(400, 300)], { overlapMm: 12 });
  const window = it.sheets[0]!.frame.window;
  expect(it.pages.length).toBe(
    Math.ceil((400 - 12) / (boundsHeight(window) - 12)) * Math.ceil((300 - 12) / (boundsWidth(window) - 12)),
  );
  for (const page of it.pages) {
    expect(boundsWidth(page.view)).toBeCloseTo(boundsWidth(window), 9);
    const right = it.pages.find(({ name }) => name === page.neighbours.right);
    if (right) expect(page.view.maxX - right.view.minX).toBeCloseTo(12, 9);
    if (right) expect(right.neighbours.left).toBe(page.name);
  }
  expect(new Set(it.pages.map(({ name }) => name)).size).toBe(it.pages.length);
});

test('pages without ink are left out: an L of long thin arms', () => {
  const it = plan([
    polygonPart([
      [0, 0],
      [700, 0],
      [700, 40],
      [40, 40],
      [40, 700],
      [0, 700],
    ]),
  ]);
  const [sheet] = it.sheets;
  expect(it.pages.length).toBeLessThan(sheet!.columns * sheet!.rows);
});

test('any part: every corner of it lies on a page, no page is empty, and nothing is stretched', () => {
  const polygon = fc
    .array(fc.tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 0, max: 600 })), { minLength: 3, maxLength: 9 })
    .map((points) => {
      const [cx, cy] = [
        points.reduce((sum, [x]) => sum + x, 0) / points.length,
        points.reduce((sum, [, y]) => sum + y, 0) / points.length,
      ];
      return [...new Map(points.map((p) => [p.join(), p])).values()].sort(
        (a, b) => Math.atan2(a[1] - cy, a[0] - cx) - Math.atan2(b[1] - cy, b[0] - cx),
      );
    })
    .filter((points) => points.length >= 3);
  fc.assert(
    fc.property(
      fc.array(polygon, { minLength: 1, maxLength: 3 }),
      fc.integer({ min: 0, max: 30 }),
      (shapes, overlapMm) => {
        const it = plan(
          shapes.map((points, index) => polygonPart(points, `p${index}`)),
          { overlapMm },
        );
        for (const { sheet, at } of corners(it))
          expect(it.pages.some((page) => page.sheet === sheet && holds(page.view, at, 1e-6))).toBe(true);
        for (const page of it.pages) {
          const lines = sheetOf(it, page).placed.flatMap(({ template, transform }) =>
            templateInk(template).map(({ points }) => points.map((p) => applyTransform(transform, p))),
          );
          const samples = lines.flatMap((points) =>
            points.slice(1).flatMap((b, index) =>
              Array.from({ length: 200 }, (_, step) => {
                const a = points[index]!;
                return { x: a.x + ((b.x - a.x) * step) / 199, y: a.y + ((b.y - a.y) * step) / 199 };
              }),
            ),
          );
          expect(samples.some((p) => holds(page.view, p, 1))).toBe(true);
        }
        for (const { placed } of it.sheets)
          for (const { transform: t } of placed) expect(Math.abs(t.a * t.d - t.b * t.c)).toBeCloseTo(1, 9);
      },
    ),
    { numRuns: 15 },
  );
});

describe('a printed page', () => {
  const it = plan([boxSide(), plate(400, 300, 'p2')]);
  const inkOf = (page: Page): Ink[] => flat(pageInk(it, page, title));
  const longest = (page: Page, isUp: boolean): number =>
    Math.max(
      ...inkOf(page)
        .flatMap((ink) => (ink.kind === 'path' && ink.path.length === 1 ? [ink.path[0]!] : []))
        .filter(({ from, to }) =>
          isUp
            ? from.x === to.x && from.x < it.sheets[0]!.frame.window.minX
            : from.y === to.y && from.y < it.sheets[0]!.frame.footer.maxY - 2,
        )
        .map(({ from, to }) => distance(from, to)),
    );
  test('has bars of 100 mm and 4 in across, and 100 mm up', () => {
    for (const page of it.pages) {
      const bars = inkOf(page).flatMap((ink) =>
        ink.kind === 'path' && ink.path.length === 1 && ink.path[0]!.from.y === ink.path[0]!.to.y
          ? [distance(ink.path[0]!.from, ink.path[0]!.to)]
          : [],
      );
      expect(bars.some((length) => Math.abs(length - 100) < 1e-9)).toBe(true);
      expect(bars.some((length) => Math.abs(length - 101.6) < 1e-9)).toBe(true);
      expect(longest(page, true)).toBeGreaterThanOrEqual(100 - 1e-9);
    }
  });
  test('says where it belongs, and explains the strokes it shows and no others', () => {
    const tiled = it.pages.find(({ neighbours }) => neighbours.right !== undefined)!;
    const texts = inkOf(tiled).flatMap((ink) => (ink.kind === 'text' ? [ink.text] : []));
    expect(texts).toEqual(
      expect.arrayContaining([
        tiled.name,
        `cut here, lay ${tiled.neighbours.right} under`,
        'Test',
        'version 3 · × 1.200 · four channels',
      ]),
    );
    expect(texts.some((text) => text.startsWith('trench'))).toBe(false);
    const single = plan([withLine(plate(100, 60), [0, 30], [100, 30], groove())]);
    expect(
      flat(pageInk(single, single.pages[0]!, title)).flatMap((ink) => (ink.kind === 'text' ? [ink.text] : [])),
    ).toEqual(expect.arrayContaining(['mitre groove, true width', 'fold 90°']));
  });
  test('keeps the drawing inside the margins', () => {
    const { widthMm, heightMm, window } = pageFrame(settings({ marginMm: 8 }));
    expect(window.minX).toBeGreaterThanOrEqual(8);
    expect([widthMm - window.maxX, heightMm - window.maxY]).toEqual([8, 8]);
    for (const page of it.pages)
      for (const ink of pageInk(it, page, title))
        if (ink.kind === 'clip') expect(ink.box).toEqual(it.sheets[0]!.frame.window);
  });
});

test('every page of a tiled part names it, its hand and face, clear of cuts and seams, and says what to do at each edge', () => {
  const wing = { ...withLine(plate(520, 420), [210, 0], [210, 420], groove()), name: 'Wing', handed: 'pair' as const };
  const it = plan([wing], { overlapMm: 12 });
  expect(it.pages.length).toBeGreaterThanOrEqual(6);
  const [{ template, transform }] = it.sheets[0]!.placed as [(typeof it.sheets)[number]['placed'][number]];
  const across = (x: number): [Point, Point] => [
    applyTransform(transform, { x, y: 0 }),
    applyTransform(transform, { x, y: 420 }),
  ];
  for (const page of it.pages) {
    const inks = flat(pageInk(it, page, { ...title, unit: 'in' })).flatMap((ink) => (ink.kind === 'text' ? [ink] : []));
    const { window } = it.sheets[0]!.frame;
    const [name, words] = [
      inks.find(({ text }) => text === 'Wing'),
      inks.find(({ text }) => /port · face up/.test(text)),
    ];
    for (const ink of [name!, words!]) {
      const half = (ink.text.length * ink.sizeMm * 0.45) / 2;
      const at = (side: number): Point => ({
        x: ink.at.x + side * half + page.view.minX - window.minX,
        y: ink.at.y + page.view.minY - window.minY,
      });
      // On the part, and as far from its edges, its groove and the seams as its letters are wide.
      for (const p of [at(-1), at(0), at(1)]) {
        expect(
          isInside(
            p,
            template.part.outer.map((q) => applyTransform(transform, q)),
          ),
        ).toBe(true);
        for (const [from, to] of [across(0), across(210), across(520)])
          expect(distanceToRun(p, from, to)).toBeGreaterThan(1);
      }
      const { left, right, above, below } = page.neighbours;
      expect(at(-1).x - page.view.minX).toBeGreaterThan(left ? 12 : 0);
      expect(page.view.maxX - at(1).x).toBeGreaterThan(right ? 12 : 0);
      expect(at(0).y - page.view.minY).toBeGreaterThan(below ? 12 : 0);
      expect(page.view.maxY - at(0).y).toBeGreaterThan(above ? 12 : 0);
    }
    const told = inks.map(({ text }) => text);
    expect(told.some((text) => text.startsWith('Face of Wing · port'))).toBe(true);
    for (const [side, other] of Object.entries(page.neighbours))
      if (other)
        expect(told).toContain(
          side === 'right' || side === 'below' ? `cut here, lay ${other} under` : `lay this under ${other}`,
        );
    // Coordinates of the crosses in inches, in letters of 8 points at least: 1 pt is 25.4/72 mm.
    const figures = inks.filter(({ text }) => /^-?\d+\.\d\d, -?\d+\.\d\d$/.test(text));
    expect(figures.length).toBeGreaterThanOrEqual(4);
    for (const { sizeMm } of figures) expect(sizeMm).toBeGreaterThanOrEqual((8 * 25.4) / 72);
  }
});

test.each<[string, Partial<PageSettings>, string]>([
  ['paper of 10 mm', { paper: 'own', ownWidthMm: 10, ownHeightMm: 200 }, '90 to 5000'],
  ['paper of NaN', { paper: 'own', ownWidthMm: Number.NaN }, 'this is –'],
  ['a margin of 60', { marginMm: 60 }, 'it is 60'],
  ['a negative overlap', { overlapMm: -1 }, 'it is -1'],
  ['no room', { paper: 'own', ownWidthMm: 100, ownHeightMm: 130, marginMm: 30, overlapMm: 20 }, 'at least 20'],
])('%s cannot print, and the number is named', (_, changes, words) => {
  expect(worded(pageSettingsFault(settings(changes))!, 'mm')).toContain(words);
  expect(() => plan([plate(50, 50)], changes)).toThrow(words);
});

test('nothing drawn, nothing printed', () =>
  expect(
    plan([after(plate(10, 10), { name: 'removePath', args: { pathId: plate(10, 10).contours[0]!.id } })]).pages,
  ).toEqual([]));

test('folds are numbered on the page in the order to fold them, the builder’s own when there is one', () => {
  const drawn = withLine(
    withLine(plate(150, 100), [0, 30], [150, 30], { ...groove(), label: 'lower' }),
    [0, 70],
    [150, 70],
    { ...groove(), label: 'upper' },
  );
  const [lower, upper] = drawn.operations.map(({ id }) => id) as [string, string];
  const numbersUp = (part: Part): string[] => {
    const it = planPages(
      [{ part: made(part), pieces: 1, folds: foldsInOrder(made(part)).map(({ operationId }) => operationId) }],
      settings(),
    );
    const numbers = flat(pageInk(it, it.pages[0]!, title)).flatMap((ink) =>
      ink.kind === 'text' && ink.sizeMm < 4 && /^[12]$/.test(ink.text) ? [ink] : [],
    );
    return numbers.sort((a, b) => a.at.x - b.at.x || a.at.y - b.at.y).map(({ text }) => text);
  };
  const kept = (...operationIds: string[]): string[] =>
    numbersUp(after(drawn, { name: 'setFoldOrder', args: { operationIds } }));
  expect(numbersUp(drawn).sort()).toEqual(['1', '2']);
  expect(kept(lower, upper)).toEqual([...kept(upper, lower)].reverse());
  // One fold needs no number.
  expect(numbersUp(withLine(plate(150, 100), [0, 30], [150, 30], groove()))).toEqual([]);
  expect(() => after(drawn, { name: 'setFoldOrder', args: { operationIds: [lower, lower] } })).toThrow(
    'stands in the order twice',
  );
});

test('a page’s legend has the strokes that lie on it, and no other', () => {
  const crease = { kind: 'crease', face: 'face', foldDegrees: 15, label: '' } as const;
  const long = withLine(withLine(plate(520, 120), [40, 0], [40, 120], groove()), [480, 0], [480, 120], crease);
  const it = plan([long]);
  expect(it.pages.length).toBeGreaterThan(1);
  const kindsOf = (page: Page): readonly string[] => [...kindsOnPage(it, page)].sort();
  const onPage = (page: Page): readonly string[] =>
    sheetOf(it, page).placed.flatMap(({ template, transform }) =>
      template.part.strokes
        .filter(({ paths }) =>
          // Places all along the line, looked for in the page's view by themselves.
          Array.from({ length: 501 }, (_, step) => step / 500).some((t) => {
            const { from, to } = paths[0]![0]!;
            const p = { x: from.x + (to.x - from.x) * t, y: from.y + (to.y - from.y) * t };
            return holds(page.view, applyTransform(transform, p));
          }),
        )
        .map(({ kind }) => kind),
    );
  for (const page of it.pages) expect(kindsOf(page)).toEqual([...new Set(onPage(page))].sort());
  expect(it.pages.map(kindsOf)).toEqual(expect.arrayContaining([['groove'], ['crease']]));
});

test('more pages than are laid out are refused at once, with their number and the mends', () => {
  // 9 m each way on A4 with 8 mm margin, 12 mm overlap: (9000 − 12)/(185 − 12) = 52 by (9000 − 12)/(256 − 12) = 37 pages, twice.
  const { window } = pageFrame(settings());
  const [across, up] = [boundsWidth(window), boundsHeight(window)].map((room) => Math.ceil(8988 / (room - 12))) as [
    number,
    number,
  ];
  expect(2 * across * up).toBeGreaterThan(3000);
  expect(() => plan([plate(9000, 9000), plate(9000, 9000, 'p2')])).toThrow(`up to ${2 * across * up} pages`);
});
