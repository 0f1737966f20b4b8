import {
  applyTransform,
  boundsCorners,
  boundsOf,
  counterClockwise,
  intersectionOf,
  roomiestPlace,
  runsInside,
  type Bounds,
  type Point,
  type Polygon,
} from '../geometry/index.ts';
import { memo } from '../units/index.ts';
import { SEAM_BAND_MM } from './page-seams.ts';
import type { Page, PagePlan, PlacedTemplate } from './sheet.ts';
import { labelIn, labelObstacles, labelWords, outlineRing, templateLabel, type TemplateLabel } from './template.ts';

/** What is written on a template where a page shows it, in mm of the sheet. */
export interface PageLabel extends TemplateLabel {
  readonly page: string;
  readonly template: PlacedTemplate;
}

/** A label needs this much room round its middle to be read, in mm. */
const LEAST_ROOM_MM = 2.2;
/** How exactly the roomiest place is looked for, in mm. */
const PLACE_PRECISION_MM = 1;

/**
 * Every label of a sheet. A template on a sheet of one page has one; on a sheet of several it is named on every page that shows enough of
 * it, clear of its lines and of the seams, so that no page depends on another to be known.
 */
export const sheetLabels = memo(placeLabels, (sheetNumber) => sheetNumber);

function placeLabels(plan: PagePlan, sheetNumber: number): readonly PageLabel[] {
  const sheet = plan.sheets.find(({ number }) => number === sheetNumber);
  const pages = plan.pages.filter((page) => page.sheet === sheetNumber);
  return (sheet?.placed ?? [])
    .filter(({ template }) => !template.isUnlabelled)
    .flatMap((placed): readonly PageLabel[] =>
      pages.length === 1 ? [wholeLabel(placed, pages[0]!)] : pages.flatMap((page) => labelOn(placed, page, plan) ?? []),
    );
}

function wholeLabel(placed: PlacedTemplate, page: Page): PageLabel {
  const label = templateLabel(placed.template);
  const at = applyTransform(placed.transform, label.at);
  const [by, up] = [at.x - label.at.x, at.y - label.at.y];
  const { minX, minY, maxX, maxY } = label.box;
  return {
    ...label,
    at,
    box: { minX: minX + by, minY: minY + up, maxX: maxX + by, maxY: maxY + up },
    page: page.name,
    template: placed,
  };
}

/** The label of a template on one page of several, in the roomiest place that the page has of it; none where it has next to nothing of it. */
function labelOn(placed: PlacedTemplate, page: Page, plan: PagePlan): PageLabel | undefined {
  const { template, transform } = placed;
  const onSheet = (ring: Polygon): Polygon => ring.map((p) => applyTransform(transform, p));
  const outline = onSheet(outlineRing(template.part));
  const shown = intersectionOf(
    [counterClockwise(outline)],
    [boundsCorners(clearOfSeams(page, plan.settings.overlapMm))],
  );
  const avoid = labelObstacles(template.part).map(onSheet);
  const rooms = shown.map((ring) => {
    const box = boundsOf(ring);
    const near = avoid.filter((other) => touches(boundsOf(other), box));
    return roomiestPlace(ring, near, PLACE_PRECISION_MM);
  });
  const best = rooms.reduce<(typeof rooms)[number] | undefined>(
    (a, b) => (a && a.distance >= b.distance ? a : b),
    undefined,
  );
  if (!best || best.distance < LEAST_ROOM_MM) return undefined;
  return { ...labelIn(labelWords(template), best.place, best.distance), page: page.name, template: placed };
}

const touches = (a: Bounds, b: Bounds): boolean =>
  a.minX <= b.maxX && b.minX <= a.maxX && a.minY <= b.maxY && b.minY <= a.maxY;
/** What a page shows, less what its neighbours show too and the words at the seam. */
function clearOfSeams({ view, neighbours: { left, right, above, below } }: Page, overlapMm: number): Bounds {
  const inset = (name: string | undefined): number => (name ? overlapMm / 2 + SEAM_BAND_MM : 0);
  return {
    minX: view.minX + inset(left),
    maxX: view.maxX - inset(right),
    minY: view.minY + inset(below),
    maxY: view.maxY - inset(above),
  };
}

/** The templates that a page shows some of, in the order of the sheet. */
export function templatesOnPage(plan: PagePlan, page: Page): readonly PlacedTemplate[] {
  const view = boundsCorners(page.view);
  const sheet = plan.sheets.find(({ number }) => number === page.sheet);
  return (sheet?.placed ?? []).filter(({ template, transform }) => {
    const ring = outlineRing(template.part).map((p): Point => applyTransform(transform, p));
    return (
      runsInside([...ring, ring[0]!], [view]).length > 0 || intersectionOf([counterClockwise(ring)], [view]).length > 0
    );
  });
}
