import { translation, type Point } from '../geometry/index.ts';
import { traitsOf, type OperationKind } from '../operations/index.ts';
import { inksOfMark, type Ink } from './ink.ts';

/** Dashes of a sample are shorter, so that a few of them show on its 10 mm. */
const SAMPLE_DASH = 0.6;

/** A 10 mm sample of a stroke for legends, its middle line starting at a point. */
export const legendSample = (kind: OperationKind, at: Point): readonly Ink[] =>
  traitsOf(kind)
    .sample.flatMap((mark) => inksOfMark(mark, translation(at.x, at.y)))
    .map((ink) =>
      ink.kind === 'path' && ink.dashMm ? { ...ink, dashMm: ink.dashMm.map((length) => length * SAMPLE_DASH) } : ink,
    );

/** What a stroke is called in legends. */
export const legendWords = (kind: OperationKind): string => traitsOf(kind).legend;
