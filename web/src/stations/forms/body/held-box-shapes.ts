import type { BodySite } from '@grain-fold/core/forms';
import type { Point } from '@grain-fold/core/geometry';
import type { Shape } from '../mat/shape-views.ts';

/** The corners of an upright rectangle. */
export const rectangle = (from: number, to: number, low: number, top: number): readonly Point[] => [
  { x: from, y: low },
  { x: to, y: low },
  { x: to, y: top },
  { x: from, y: top },
];

/** The power boxes that sit in a body, from the side, with the dowels that hold them. */
export const heldBoxShapes = ({ boxes }: BodySite): readonly Shape[] =>
  boxes.flatMap(({ formId, fromMm, toMm, lowMm, topMm, dowels }): readonly Shape[] => [
    { key: `box-${formId}`, ring: rectangle(fromMm, toMm, lowMm, topMm), look: 'guest' },
    ...dowels.map(({ x, z, acrossMm }, index): Shape => ({
      key: `box-${formId}-dowel-${index}`,
      ring: rectangle(x - acrossMm / 2, x + acrossMm / 2, z - acrossMm / 2, z + acrossMm / 2),
      look: 'cut',
    })),
  ]);
