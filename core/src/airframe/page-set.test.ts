import { demo } from '../../test/demos.ts';
import fc from 'fast-check';
import { plate } from '../../test/samples.ts';
import { applyTransform, boundsOf, distance, type Point } from '../geometry/index.ts';
import type { PagePlan, PageSection, PageSettings } from '../pages/index.ts';
import { assemblyOf, sheetOf } from '../pages/index.ts';
import type { Airframe } from './airframe.ts';
import { pagesDocument } from './documents.ts';
import type { Ink } from '../ink/index.ts';
import { withFormsMade, withMeasured } from './forms-of-airframe.ts';
import { shapeOf } from './material-nests.ts';
import { boardViews, nestToGoBy } from './nest-airframe.ts';
import { pagesByPacking, pagesOf } from './page-set.ts';
import { MOST_PACKINGS, searchPages, withPacking } from './search-pages.ts';
import { changedPieces, printedPages } from './printed.ts';

const MITE = demo('paperbark-mite'),
  SALTBOX = demo('saltbox-36');
const printing = (airframe: Airframe, pages: Partial<PageSettings>): Airframe => ({
  ...airframe,
  settings: { ...airframe.settings, pages: { ...airframe.settings.pages, ...pages } },
});
const textsIn = (inks: readonly Ink[]): readonly string[] =>
  inks.flatMap((ink) => (ink.kind === 'text' ? [ink.text] : ink.kind === 'clip' ? textsIn(ink.inks) : []));
/** Every template on the plan with its corners on the sheet. */
const printed = (
  plan: PagePlan,
): readonly { readonly key: string; readonly ring: readonly Point[]; readonly sheet: number }[] =>
  plan.sheets.flatMap(({ number, placed }) =>
    placed.map(({ template: { part, pieces }, transform }) => ({
      key: `${pieces} ${part.side === 'starboard' ? `${part.id}:starboard` : part.id}`,
      ring: part.outer.map((p) => applyTransform(transform, p)),
      sheet: number,
    })),
  );
/** Whether a page of its sheet shows a place. */
const isShown = (plan: PagePlan, sheet: number, { x, y }: Point): boolean =>
  plan.pages.some(
    ({ sheet: own, view }) => own === sheet && x >= view.minX && x <= view.maxX && y >= view.minY && y <= view.maxY,
  );

describe('a set of pages', () => {
  it('has every template once, wholly on paper, however parts are shared out over sections, ways and papers', () => {
    const ids = MITE.parts.map(({ id }) => id);
    const section = fc.record({
      way: fc.constantFrom('loose', 'plan', 'boards'),
      partIds: fc.subarray(ids),
      paper: fc.option(fc.constantFrom('A4', 'Letter', 'A3', 'roll'), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(section, { maxLength: 3 }), fc.constantFrom('loose', 'plan', 'boards'), (others, way) => {
        const sections = [
          { id: 's1', way },
          ...others.map(({ paper, ...one }, index) => ({
            id: `s${index + 2}`,
            ...one,
            ...(paper ? { paper: { paper, ownWidthMm: 210, ownHeightMm: 297, orientation: 'portrait' } } : {}),
          })),
        ] as PageSection[];
        const plan = pagesOf(printing(MITE, { sections })),
          all = printed(plan);
        const pieces = new Map<string, number>();
        for (const { key } of all) {
          const [count, id] = key.split(' ') as [string, string];
          pieces.set(id, (pieces.get(id) ?? 0) + Number(count));
        }
        const wanted = printed(pagesOf(MITE)).map(({ key }) => key.split(' ') as [string, string]);
        expect(Object.fromEntries(pieces)).toEqual(
          Object.fromEntries(wanted.map(([count, id]) => [id, Number(count)])),
        );
        for (const { ring, sheet } of all) expect(ring.every((p) => isShown(plan, sheet, p))).toBe(true);
        expect(new Set(plan.pages.map(({ name }) => name)).size).toBe(plan.pages.length);
        // No page without ink: each shows some of an outline, or lies within one.
        for (const page of plan.pages)
          expect(
            all.some(({ ring, sheet }) => {
              const box = boundsOf(ring);
              return (
                sheet === page.sheet &&
                box.minX < page.view.maxX &&
                box.maxX > page.view.minX &&
                box.minY < page.view.maxY &&
                box.maxY > page.view.minY
              );
            }),
          ).toBe(true);
      }),
      { numRuns: 6 },
    );
  });

  it('prints a nested board as it is nested: every piece as far from every other, and from the board’s corner', () => {
    const airframe = printing(SALTBOX, { sections: [{ id: 's1', way: 'boards' }] }),
      plan = pagesOf(airframe),
      views = boardViews(airframe, nestToGoBy(airframe).nest);
    const boards = plan.sheets.filter(({ board }) => board);
    expect(boards).toHaveLength(views.length);
    boards.forEach((sheet, index) => {
      const { board, pieces } = views[index]!;
      const onPaper = sheet.placed.map(({ template, transform }) => applyTransform(transform, template.part.outer[0]!)),
        onBoard = pieces.map(({ piece, placed }) => shapeOf(piece, placed).outer[0]!);
      // Lengths say it, whatever way the sheet is turned.
      const corner = sheet.board!.ring[0]!;
      onPaper.forEach((p, one) => {
        expect(distance(p, corner)).toBeCloseTo(Math.hypot(onBoard[one]!.x, onBoard[one]!.y), 6);
        onPaper.forEach((q, other) => expect(distance(p, q)).toBeCloseTo(distance(onBoard[one]!, onBoard[other]!), 6));
      });
      const box = boundsOf(sheet.board!.ring),
        sides = [box.maxX - box.minX, box.maxY - box.minY].sort((a, b) => a - b);
      expect(sides[0]).toBeCloseTo(Math.min(board.widthMm, board.heightMm), 6);
      expect(sheet.origin).toEqual({ x: box.minX, y: box.minY });
    });
  });

  it('cuts a sheet off a roll just above what lies on it', () => {
    const plan = pagesOf(printing(SALTBOX, { paper: 'roll', rollWidthMm: 610 }));
    expect(plan.pages).toHaveLength(1);
    const { frame } = sheetOf(plan, plan.pages[0]!),
      top = Math.max(...printed(plan).flatMap(({ ring }) => ring.map(({ y }) => y)));
    expect(frame.widthMm).toBe(610);
    // Margins, the strip of the foot, and five of white.
    expect(frame.heightMm).toBeGreaterThan(top + 2 * 8 + 25);
    expect(frame.heightMm).toBeLessThan(top + 2 * 8 + 25 + 12);
  });

  it('takes fewer sheets than tiling the parts hung in rows, by far: loose and as one plan', () => {
    // Hung in rows they are 1396 by 1207 mm: at 173 by 244 a cell 9 by 5 pages.
    const rows = 45;
    for (const way of ['loose', 'plan'] as const)
      expect(pagesOf(printing(SALTBOX, { paper: 'A4', sections: [{ id: 's1', way }] })).pages.length).toBeLessThan(
        0.6 * rows,
      );
  });

  it('refuses a section’s paper that cannot be printed, by its number', () => {
    const paper = { paper: 'own', ownWidthMm: 60, ownHeightMm: 297, orientation: 'portrait' } as const;
    expect(() => pagesOf(printing(MITE, { sections: [{ id: 's1', way: 'loose', paper }] }))).toThrow(/60/);
  });
});

describe('what was printed', () => {
  it('is told from what changed since: a part redrawn, another board, not one that moved in the list', () => {
    const all = new Set(changedPieces(SALTBOX));
    expect(all.size).toBe(printed(pagesOf(SALTBOX)).length);
    const kept = printing(SALTBOX, { printed: printedPages(SALTBOX, all, '2026-03-04') });
    expect(changedPieces(kept)).toEqual([]);
    expect(changedPieces({ ...kept, parts: kept.parts.toReversed() })).toEqual([]);
    // Struts and gauges that are made anew of the same stand differ in their last digits only.
    expect(changedPieces(withMeasured(kept))).toEqual([]);
    expect(changedPieces(withFormsMade(kept))).toEqual([]);
    const [first] = kept.parts;
    const renamed = { ...kept, parts: kept.parts.map((part) => (part === first ? { ...part, name: 'Other' } : part)) };
    expect(new Set(changedPieces(renamed).map((id) => id.replace(/:.*/, '')))).toEqual(new Set([first!.id]));
    expect(changedPieces({ ...kept, settings: { ...kept.settings, scale: 1.1 } }).length).toBeGreaterThan(20);
    // Only those are laid out, and marking them leaves the others as they were.
    const plan = pagesOf(renamed, new Set(changedPieces(renamed)));
    expect(new Set(printed(plan).map(({ key }) => key.replace(/^\d+ /, '').replace(/:.*/, '')))).toEqual(
      new Set([first!.id]),
    );
    const again = printedPages(renamed, new Set(changedPieces(renamed)), '2026-03-05');
    expect(changedPieces(printing(renamed, { printed: again }))).toEqual([]);
  });
});

describe('the document', () => {
  it('begins with a cover that names every page, the seams to tape and both diagonals of a joined sheet', () => {
    const airframe = printing(SALTBOX, { hasCover: true, paper: 'A4' }),
      plan = pagesOf(airframe),
      pages = [...pagesDocument(airframe, 3, '2026-01-02')];
    const covers = pages.filter(({ label }) => label?.startsWith('Cover')),
      words = covers.flatMap(({ inks }) => textsIn(inks));
    expect(pages).toHaveLength(plan.pages.length + covers.length);
    for (const { name } of plan.pages) expect(words).toContain(name);
    expect(words.join(' ')).toContain('actual size');
    const square = plan.sheets.find(({ columns, rows, cells }) => columns === 2 && rows === 2 && cells.length === 4)!;
    // A4 less margins of 8, the gutter of 9 and the foot of 25 is 185 by 256; less the overlap of 12 a cell is 173 by 244.
    const { seams, tapeMm, diagonals } = assemblyOf(plan, square);
    expect(seams).toBe(4);
    expect(tapeMm).toBeCloseTo(2 * 173 + 2 * 244, 6);
    for (const { lengthMm } of diagonals) expect(lengthMm).toBeCloseTo(Math.hypot(346, 488), 6);
    expect(words.filter((line) => line.startsWith('Cross '))).toHaveLength(
      2 * plan.sheets.filter(({ cells }) => cells.length > 1).length,
    );
  });

  it('is one page alone where that is asked for, and tells when there is no such page', () => {
    const [first, ...more] = pagesDocument(MITE, 1, '2026-01-02', { pages: [pagesOf(MITE).pages[1]!.name] });
    expect(first!.label).toBe(pagesOf(MITE).pages[1]!.name);
    expect(more).toEqual([]);
    expect(() => pagesDocument(MITE, 1, '2026-01-02', { pages: ['9Z9'] })).toThrow('There is no page 9Z9');
  });
});

it('names columns past Z by two letters', () => {
  const wide = { ...MITE, parts: [plate(90 * 50, 60)] };
  const names = pagesOf({
    ...wide,
    settings: { ...wide.settings, pages: { ...wide.settings.pages, paper: 'own', ownWidthMm: 120, ownHeightMm: 120 } },
  }).pages.map(({ name }) => name);
  expect(names.length).toBeGreaterThan(30);
  expect(names.every((name) => /^\d+[A-Z]{1,2}\d*$/.test(name))).toBe(true);
  expect(new Set(names).size).toBe(names.length);
});

describe('a search for fewer pages', () => {
  it('tells each best as it is found, the same every time, and what is taken is laid out so', () => {
    const airframe = printing(SALTBOX, { paper: 'A4' }),
      search = searchPages(airframe);
    const steps = Array.from({ length: 3 }, () => search.next().value);
    for (const [index, { tried, best }] of steps.entries()) {
      expect(tried).toBe(index + 1);
      const before = steps[index - 1]?.best ?? best;
      expect(best.pages).toBeLessThanOrEqual(before.pages);
      if (best.pages === before.pages) expect(best.tapeMm).toBeLessThanOrEqual(before.tapeMm);
    }
    const again = searchPages(airframe);
    expect(Array.from({ length: 3 }, () => again.next().value)).toEqual(steps);
    const { best } = steps.at(-1)!,
      plan = pagesOf(withPacking(airframe, best.packing));
    expect(plan.pages).toHaveLength(best.pages);
    // Every packing has every template once.
    const keys = (of: PagePlan): readonly string[] =>
      printed(of)
        .map(({ key }) => key)
        .toSorted();
    for (const packing of [1, 7]) expect(keys(pagesByPacking(airframe, packing))).toEqual(keys(pagesOf(airframe)));
  });
  it('is never worse than the usual packing, whatever number a file has', () => {
    const usual = pagesOf(MITE).pages.length;
    fc.assert(
      fc.property(fc.integer({ min: 0, max: MOST_PACKINGS - 1 }), (packing) => {
        expect(pagesOf(withPacking(MITE, packing)).pages.length).toBeLessThanOrEqual(usual);
      }),
      { numRuns: 10 },
    );
  });
});
