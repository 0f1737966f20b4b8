import { airframeOf, plate } from '../../test/samples.ts';
import { PAPERS } from '../pages/index.ts';
import { EMPTY_PLAN, proposePlan, usualProportions, wingSet, type Plan } from '../plan/index.ts';
import {
  planContext,
  planDrawingDocument,
  planReport,
  planReportOf,
  planViewDocument,
  type PaperPage,
} from './index.ts';
import type { Ink } from '../ink/index.ts';

const bare = airframeOf([]);
const context = planContext(bare);
const plan: Plan = proposePlan('trainer', { kind: 'span', mm: 900 }, usualProportions('trainer'), {}, context);
const airframe = { ...bare, plan };
const inksOf = (inks: readonly Ink[]): readonly Ink[] =>
  inks.flatMap((ink) => (ink.kind === 'clip' ? inksOf(ink.inks) : [ink]));
const wordsOf = (page: PaperPage): string =>
  inksOf(page.inks)
    .map((ink) => (ink.kind === 'text' ? ink.text : ''))
    .join('\n');

test('the side view prints at full size: the body is as long over all its pages as it is planned', () => {
  const pages = planViewDocument(airframe, 'side', 3, '2026-01-02');
  // 760 mm long with its frame and propeller: four pages of A4 across, or seven upright.
  expect(pages.length).toBeGreaterThanOrEqual(3);
  expect(pages.length).toBeLessThanOrEqual(8);
  expect(wordsOf(pages[0]!)).toContain('full size');
  expect(() => planViewDocument({ ...bare, plan: EMPTY_PLAN }, 'top', 1, 'x')).toThrow(
    'The top view shows nothing yet',
  );
  expect(() => planViewDocument(bare, 'top', 1, 'x')).toThrow('no plan yet');
});

test('one page holds the three views with their dimensions, figures and the school of the balance', () => {
  const [page] = planDrawingDocument(airframe, 3, '2026-01-02');
  const words = wordsOf(page!);
  for (const word of [
    'Side',
    'Top',
    'Front',
    'Trainer',
    '27 to 33 %',
    'usual for flat bottom tractor',
    'check it by hand',
  ])
    expect(words).toContain(word);
  expect([page!.widthMm, page!.heightMm]).toEqual([PAPERS.A4.heightMm, PAPERS.A4.widthMm]);
  // Everything lies on the paper.
  for (const ink of inksOf(page!.inks))
    if (ink.kind === 'path')
      for (const { from } of ink.path) {
        expect(from.x).toBeGreaterThan(0);
        expect(from.x).toBeLessThan(page!.widthMm);
        expect(from.y).toBeGreaterThan(0);
        expect(from.y).toBeLessThan(page!.heightMm);
      }
});

test('figures follow the scale of the airframe and the foam of its parts', () => {
  const small = planReportOf(airframe)!,
    large = planReportOf({ ...airframe, settings: { ...airframe.settings, scale: 1.5 } })!;
  expect(large.figures.wings!.areaMm2).toBeCloseTo(2.25 * wingSet(plan)!.areaMm2, 4);
  expect(small.figures.mass.foamFrom).toBe('areas');
  const built = { ...airframe, parts: [plate(300, 200)] };
  expect(planReport(plan, planContext(built), 1).figures.mass.foamFrom).toBe('parts');
  expect(planReportOf(bare)).toBeUndefined();
});
