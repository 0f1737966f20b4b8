import {
  boundsOf,
  boxIndex,
  distance,
  flattenOpenPath,
  insideRegionOf,
  type BoxIndex,
  type Point,
} from '../geometry/index.ts';
import type { TextMark } from '../marks/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { memo, radians, type LengthUnit } from '../units/index.ts';
import { lineTexts } from './line-code.ts';

/** How large captions are written, in mm of the drawing. */
export interface Lettering {
  readonly letterMm: number;
  readonly heightMm: number;
  /** White on both sides together. */ readonly paddingMm: number;
}
/** A turned box, by its middle. */
export interface TurnedBox {
  readonly at: Point;
  readonly angleDegrees: number;
  readonly widthMm: number;
  readonly heightMm: number;
}
/** A caption where it is written. */
export interface PlacedCaption extends TurnedBox {
  readonly mark: TextMark;
}

/** Width of a letter as a share of its size: condensed figures. */
const LETTER_SHARE = 0.44;
/** How far a caption is moved along its line at a try, as a share of its width, and how often either way. */
const STEP_SHARE = 0.55,
  MOST_STEPS = 8;
/** Where the line itself is too short, a caption stands this many heights beside it. */
const ASIDE = [0, 1.3, -1.3, 2.6, -2.6];
/** What a place costs: to cover another text or what is in the way, a corner beside the part, to leave its line, a line of other work under it. */
const COST = { covered: 100, outside: 10, aside: 3, struck: 1 } as const;
const ROUGH_MM = 0.3;
/** Places tried for all captions of a part together: where there are very many, each gets fewer. */
const MOST_TRIES = 5000;

/** A straight run of a line of work or of an edge of its width: whose, and of which of its lines. */
interface WorkRun {
  readonly id: string;
  readonly line: number;
  readonly from: Point;
  readonly to: Point;
}
interface Ground {
  readonly runs: readonly WorkRun[];
  readonly near: BoxIndex;
  readonly isOnPart: (p: Point) => boolean;
}

/** What captions are written over: every run of work by where it lies, and the part itself. */
const groundOf = memo((part: ResolvedPart): Ground => {
  const lines = part.strokes.flatMap(({ operationId, paths, area }) => [
    ...paths.map((path) => ({ id: operationId, points: flattenOpenPath(path, ROUGH_MM) })),
    ...area.map((ring) => ({ id: operationId, points: [...ring, ring[0]!] })),
  ]);
  const runs = lines.flatMap(({ id, points }, line) =>
    points.slice(1).map((to, index): WorkRun => ({ id, line, from: points[index]!, to })),
  );
  return {
    runs,
    near: boxIndex(runs.map(({ from, to }) => boundsOf([from, to]))),
    isOnPart: part.outer.length === 0 ? () => true : insideRegionOf(part.outer, part.holeRings),
  };
});

/**
 * Where the captions of a part's lines are written: each on its own line, in its middle or as near to it as leaves every other text, the
 * other lines of work and the edge of the part clear; beside it where it is too short. One that finds no clear place takes the one that covers least.
 * @param obstacles what else is written or drawn there
 */
export function placeCaptions(
  part: ResolvedPart,
  unit: LengthUnit,
  lettering: Lettering,
  obstacles: readonly TurnedBox[] = [],
): readonly PlacedCaption[] {
  const placed: PlacedCaption[] = [],
    ground = groundOf(part);
  const marks = lineTexts(part, unit),
    most = Math.max(2, Math.floor(MOST_TRIES / Math.max(1, marks.length)));
  for (const mark of marks) {
    const widthMm = mark.text.length * lettering.letterMm * LETTER_SHARE + lettering.paddingMm;
    const tries = ASIDE.flatMap((aside) =>
      offsets(widthMm, (mark.slideMm ?? 0) - widthMm / 2).map((by) => ({
        asideMm: aside * lettering.heightMm,
        caption: {
          mark,
          at: along(along(mark.at, mark.angleDegrees, by), mark.angleDegrees + 90, aside * lettering.heightMm),
          angleDegrees: mark.angleDegrees,
          widthMm,
          heightMm: lettering.heightMm,
        },
      })),
    );
    const texts = [...placed, ...obstacles];
    placed.push(
      cheapest(
        tries.slice(0, most),
        ({ caption, asideMm }) => costOf(caption, ground, texts) + (asideMm === 0 ? 0 : COST.aside),
      ).caption,
    );
  }
  return placed;
}

function cheapest<T extends object>(tries: readonly T[], cost: (one: T) => number): T {
  let [best, least] = [tries[0]!, Infinity];
  for (const one of tries) {
    const now = cost(one);
    if (now < least) [best, least] = [one, now];
    if (least === 0) break;
  }
  return best;
}

function costOf(one: PlacedCaption, { runs, near, isOnPart }: Ground, texts: readonly TurnedBox[]): number {
  const corners = cornersOf(one);
  const covered = texts.filter((other) => isCovered(one, other)).length;
  // A dimension may stand beside the part; work lies on it.
  const outside = one.mark.dimensionId !== undefined ? 0 : corners.filter((corner) => !isOnPart(corner)).length;
  const struck = new Set(
    near
      .touching(boundsOf(corners))
      .map((index) => runs[index]!)
      .filter(({ id, from, to }) => id !== one.mark.operationId && strikes(from, to, one))
      .map(({ line }) => line),
  );
  return COST.covered * covered + COST.outside * outside + COST.struck * struck.size;
}

/** A place moved along a direction. */
function along(p: Point, angleDegrees: number, by: number): Point {
  const angle = radians(angleDegrees);
  return { x: p.x + Math.cos(angle) * by, y: p.y + Math.sin(angle) * by };
}
/** Where along its line a caption is tried, the nearest first. */
const offsets = (width: number, reach: number): readonly number[] => [
  0,
  ...Array.from({ length: MOST_STEPS }, (_, step) => (step + 1) * STEP_SHARE * width)
    .filter((by) => by <= reach)
    .flatMap((by) => [by, -by]),
];

const cornersOf = ({ at, angleDegrees, widthMm, heightMm }: TurnedBox): readonly Point[] =>
  [-0.5, 0.5].flatMap((side) =>
    [-0.5, 0.5].map((level) => along(along(at, angleDegrees, side * widthMm), angleDegrees + 90, level * heightMm)),
  );

/** Whether two turned boxes overlap: no axis of either parts them. @source the separating axis theorem */
function isCovered(a: TurnedBox, b: TurnedBox): boolean {
  // Boxes further apart than they are long never do.
  if (distance(a.at, b.at) > (a.widthMm + a.heightMm + b.widthMm + b.heightMm) / 2) return false;
  return [a, b].every(({ angleDegrees }) =>
    [angleDegrees, angleDegrees + 90].every((degrees) => {
      const axis = along({ x: 0, y: 0 }, degrees, 1);
      const apart = Math.abs((b.at.x - a.at.x) * axis.x + (b.at.y - a.at.y) * axis.y);
      return apart < halfAlong(a, degrees) + halfAlong(b, degrees);
    }),
  );
}
/** Half the extent of a box along a direction. */
function halfAlong({ angleDegrees, widthMm, heightMm }: TurnedBox, degrees: number): number {
  const turn = radians(degrees - angleDegrees);
  return (Math.abs(Math.cos(turn)) * widthMm + Math.abs(Math.sin(turn)) * heightMm) / 2;
}

/** Whether a straight run passes through a box. @source Liang–Barsky clipping in the box's own frame */
function strikes(from: Point, to: Point, { at, angleDegrees, widthMm, heightMm }: TurnedBox): boolean {
  const cos = Math.cos(radians(angleDegrees)),
    sin = Math.sin(radians(angleDegrees));
  const [low, high] = within(
    (from.x - at.x) * cos + (from.y - at.y) * sin,
    (to.x - from.x) * cos + (to.y - from.y) * sin,
    widthMm / 2,
  );
  if (low >= high) return false;
  const [bottom, top] = within(
    (from.y - at.y) * cos - (from.x - at.x) * sin,
    (to.y - from.y) * cos - (to.x - from.x) * sin,
    heightMm / 2,
  );
  return Math.max(low, bottom) < Math.min(high, top) - 1e-9;
}
const ALL = [0, 1] as const,
  NONE = [1, 0] as const;
/** Between which parameters of 0 to 1 a run that starts at a place and goes on by a step lies within a half width of 0. */
function within(start: number, step: number, half: number): readonly [number, number] {
  if (Math.abs(step) < 1e-12) return Math.abs(start) >= half ? NONE : ALL;
  const s = (-half - start) / step,
    t = (half - start) / step;
  return [Math.max(0, Math.min(s, t)), Math.min(1, Math.max(s, t))];
}
