import {
  bandAlong,
  boundsCorners,
  boundsOf,
  flattenClosedPath,
  flattenOpenPath,
  roomiestPlace,
  type Bounds,
  type Point,
  type Polygon,
} from '../geometry/index.ts';
import { traitsOf } from '../operations/index.ts';
import { dimensionEnds } from '../part/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { memo, lengthText, worded } from '../units/index.ts';
import type { InkLine } from './tile-lattice.ts';

/** A part to print, and what is written on it. */
export interface Template {
  readonly part: ResolvedPart;
  /** Pieces to cut with this template. */
  readonly pieces: number;
  /** Its folds in the order to fold them, which is printed on them when there are several. */
  readonly folds?: readonly string[];
  /** What is written on it instead of what a part is called and cut from. */
  readonly words?: readonly string[];
  /** Nothing is written over it: what it is called is drawn with it, and told below. */
  readonly isUnlabelled?: true;
}

/** What is written on a template and where. */
export interface TemplateLabel {
  readonly at: Point;
  readonly lines: readonly string[];
  readonly sizeMm: number;
  readonly box: Bounds;
}

/** Which hand of a pair a template is, in words. */
export const SIDE_WORDS = { single: '', port: ' · port', starboard: ' · starboard' } as const;
/** How much a page seam across a stroke is to be avoided. */
const USUAL_SEAM_COST = 5;

/** Width that a line of work takes from the room for a name, in mm. */
const LINE_ROOM_MM = 0.6;

const labelOf = memo(
  (part: ResolvedPart, pieces: number, words?: readonly string[]): TemplateLabel => {
    const room = roomiestPlace(outlineRing(part), labelObstacles(part), 2);
    return labelIn(labelWords({ part, pieces, words }), room.place, room.distance);
  },
  (pieces, words) => `${pieces} ${words?.join() ?? ''}`,
);

/** The label of a template, in its roomiest place, no larger than fits there. */
export const templateLabel = ({ part, pieces, words }: Template): TemplateLabel => labelOf(part, pieces, words);

/** What a template is called, how many pieces it is for, which hand and face it shows, and what it is cut from. */
export const labelWords = ({ part, pieces, words }: Template): readonly string[] =>
  words ?? [
    part.name,
    `${pieces} off${SIDE_WORDS[part.side]} · face up · ${lengthText(part.thicknessMm)} ${part.material}`,
  ];

/** A label about a place with so much room around it, in mm. */
export function labelIn(lines: readonly string[], at: Point, roomMm: number): TemplateLabel {
  const longest = Math.max(...lines.map((line) => worded(line, 'mm').length));
  const sizeMm = Math.max(1.6, Math.min(3.4, (roomMm * 1.8) / (longest * 0.25)));
  const halfWidth = longest * sizeMm * 0.24,
    halfHeight = sizeMm * 1.3;
  return {
    at,
    lines,
    sizeMm,
    box: { minX: at.x - halfWidth, maxX: at.x + halfWidth, minY: at.y - halfHeight, maxY: at.y + halfHeight },
  };
}

/** What a label keeps clear of: holes, the width of folds and cuts, and every line of work. */
export const labelObstacles = memo((part: ResolvedPart): readonly Polygon[] => [
  ...part.holeRings,
  ...part.strokes.flatMap((stroke) => stroke.area),
  ...part.strokes.flatMap(({ paths }) => paths.flatMap((path) => bandAlong(flattenOpenPath(path, 0.3), LINE_ROOM_MM))),
]);
/** The outline of a part, flattened as finely as paper needs. */
export const outlineRing = (part: ResolvedPart): readonly Point[] =>
  part.outline ? flattenClosedPath(part.outline, 0.3) : part.outer;

/** Every line of ink of a template, flattened for finding pages. */
export function templateInk(template: Template): readonly InkLine[] {
  const { part, isUnlabelled } = template;
  const closed = (points: readonly Point[], seamCost: number): InkLine => ({
    points: [...points, points[0]!],
    seamCost,
  });
  const { box } = templateLabel(template);
  const label = boundsCorners(box);
  return [
    ...(part.outline ? [part.outline, ...part.holes].map((path) => closed(flattenClosedPath(path, 0.3), 2)) : []),
    ...part.strokes.flatMap((stroke) => [
      ...stroke.area.map((ring) => closed(ring, 3)),
      ...stroke.paths.map((path): InkLine => ({
        points: flattenOpenPath(path, 0.3),
        seamCost: traitsOf(stroke.kind).seamCost ?? USUAL_SEAM_COST,
      })),
    ]),
    ...part.dimensions.map((dimension): InkLine => ({ points: dimensionEnds(dimension), seamCost: 1 })),
    ...(isUnlabelled ? [] : [closed(label, 4)]),
  ].filter((line) => line.points.length > 1);
}

/** Box round everything that a template prints. */
export const templateBounds = (template: Template): Bounds =>
  boundsOf(templateInk(template).flatMap((line) => line.points));
