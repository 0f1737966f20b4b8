import {
  add,
  boundsOf,
  directionDegrees,
  distance,
  flattenOpenPath,
  isInside,
  leftOf,
  subtract,
  times,
  unitVector,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { type DrawnMark, type TextMark, type Dash, run, type Tone } from '../marks/index.ts';
import { traitsOf, strokePen, type Stroke } from '../operations/index.ts';
import { dimensionEnds, type PlacedDimension } from '../part/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { formatLength, type LengthUnit, memo, worded } from '../units/index.ts';

/** Lines and dots of a part in the line code: readable in black and white, true widths. In drawing order; remembered by part. */
export const lineMarks = memo((part: ResolvedPart): readonly DrawnMark[] => {
  const cut = (path: Path, closed: boolean): DrawnMark => ({
    kind: 'path',
    path,
    closed,
    pen: 'heavy',
    dash: 'solid',
    tone: 'ink',
  });
  return [
    ...part.strokes.flatMap((stroke) => traitsOf(stroke.kind).marks(stroke, strokePen(stroke))),
    ...(part.outline ? [cut(part.outline, true)] : []),
    ...part.holes.map((hole) => cut(hole, true)),
    ...part.openPaths.map((path) => cut(path, false)),
    ...part.dimensions.flatMap(dimensionLines),
  ];
});

/** What is written on a part's lines and dimensions. Remembered by part and the unit that dimensions are written in. */
export const lineTexts = memo(
  (part: ResolvedPart, unit: LengthUnit): readonly TextMark[] => [
    ...part.strokes.flatMap(captionMarks).map((mark) => ({ ...mark, text: worded(mark.text, unit) })),
    ...part.dimensions.map((dimension) => dimensionCaption(dimension, unit)),
  ],
  (unit) => unit,
);

/** Length of the tick at either end of a dimension, in mm. */
const DIMENSION_TICK_MM = 3;

/** A dimension's thin line with a tick at either end. */
function dimensionLines(dimension: PlacedDimension): readonly DrawnMark[] {
  const [a, b, step] = dimensionEnds(dimension);
  const mark = (path: Path, dash: Dash): DrawnMark => ({
    kind: 'path',
    path,
    closed: false,
    pen: 'thin',
    dash,
    tone: 'ink',
    dimensionId: dimension.id,
  });
  const along = unitVector(a, b),
    aside = times(leftOf(along), DIMENSION_TICK_MM / 2);
  const tick = (p: Point): DrawnMark => mark(run(subtract(p, aside), add(p, aside)), 'solid');
  return [
    mark(run(a, b), 'solid'),
    tick(a),
    tick(b),
    ...(step && distance(b, step) > 1e-6 ? [mark(run(b, step), 'short')] : []),
  ];
}

function dimensionCaption(dimension: PlacedDimension, unit: LengthUnit): TextMark {
  const [a, b] = dimensionEnds(dimension);
  const angle = directionDegrees(a, b);
  return {
    kind: 'text',
    at: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 },
    angleDegrees: angle > 90.001 || angle <= -89.999 ? angle + 180 : angle,
    text: formatLength(dimension.valueMm, unit),
    tone: 'ink',
    dimensionId: dimension.id,
  };
}

/** Where a stroke's caption goes: the middle of its longest run, along it, never upside down. */
function captionMarks(stroke: Stroke): readonly TextMark[] {
  const path = stroke.paths[0];
  const text = [stroke.caption, ...(stroke.variants ?? [])].filter(Boolean).join(' · ');
  if (text === '' || !path) return [];
  const tone: Tone = stroke.face === 'back' ? 'back' : 'ink';
  const stands = traitsOf(stroke.kind).captionStands;
  if (stands === 'in the area') {
    const box = boundsOf(flattenOpenPath(path, 0.1));
    return [
      {
        kind: 'text',
        at: { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 },
        angleDegrees: 0,
        text,
        tone,
        operationId: stroke.operationId,
      },
    ];
  }
  const longest = path.reduce((a, b) => (distance(b.from, b.to) > distance(a.from, a.to) ? b : a));
  const middle = { x: (longest.from.x + longest.to.x) / 2, y: (longest.from.y + longest.to.y) / 2 };
  const shift = stands === 'beside the band' ? towardsArea(longest.from, longest.to, stroke) : { x: 0, y: 0 };
  const direction = directionDegrees(longest.from, longest.to);
  const upright = direction > 90.001 ? direction - 180 : direction <= -89.999 ? direction + 180 : direction;
  return [
    {
      kind: 'text',
      at: add(middle, shift),
      angleDegrees: upright,
      text,
      slideMm: distance(longest.from, longest.to) / 2,
      tone,
      operationId: stroke.operationId,
    },
  ];
}

/** A caption on a bevel stands in the part beside its band, where it can be read. */
function towardsArea(from: Point, to: Point, stroke: Stroke): Point {
  const side = leftOf(unitVector(from, to));
  const probe = add({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }, times(side, stroke.widthMm / 2));
  const isLeft = stroke.area.some((one) => isInside(probe, one));
  return times(side, (isLeft ? 1 : -1) * (stroke.widthMm + 4));
}
