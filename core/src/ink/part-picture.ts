import { boundsHeight, boundsWidth, compose, scaling, translation, type Bounds } from '../geometry/index.ts';
import { lineMarks } from '../linecode/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { inksOfMark, type Ink } from './ink.ts';

/** Below this scale the dots of a trench would run together. */
const SMALLEST_DOTTED_SCALE = 0.4;

/** A small picture of a part in the line code, fitted into a box on the page; captions are left to the text beside it. */
export function partPicture(part: ResolvedPart, box: Bounds): readonly Ink[] {
  const width = Math.max(1e-6, boundsWidth(part.bounds)),
    height = Math.max(1e-6, boundsHeight(part.bounds));
  const k = Math.min(boundsWidth(box) / width, boundsHeight(box) / height);
  const t = compose(
    compose(
      translation(-(part.bounds.minX + part.bounds.maxX) / 2, -(part.bounds.minY + part.bounds.maxY) / 2),
      scaling(k),
    ),
    translation((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2),
  );
  return lineMarks(part)
    .filter(
      (mark) =>
        mark.dimensionId === undefined && (mark.kind === 'path' || (mark.kind === 'dot' && k > SMALLEST_DOTTED_SCALE)),
    )
    .flatMap((mark) => inksOfMark(mark, t))
    .map((ink): Ink => {
      if (ink.kind === 'path')
        return { ...ink, widthMm: ink.widthMm * 0.6, dashMm: ink.dashMm?.map((length) => length * 0.5) };
      return ink.kind === 'disc' ? { ...ink, radiusMm: Math.min(0.5, ink.radiusMm) } : ink;
    });
}
