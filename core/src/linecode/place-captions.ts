import { flattenOpenPath, isInsideRegion, type Point } from '../geometry/index.ts';
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

/** Every line of work and the edges of its width as points, with whose they are. */
const linesOf = memo((part: ResolvedPart): readonly { readonly id: string; readonly points: readonly Point[] }[] =>
  part.strokes.flatMap(({ operationId, paths, area }) => [
    ...paths.map((path) => ({ id: operationId, points: flattenOpenPath(path, ROUGH_MM) })),
    ...area.map((ring) => ({ id: operationId, points: [...ring, ring[0]!] })),
  ]),
);

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
  const placed: PlacedCaption[] = [];
  for (const mark of lineTexts(part, unit)) {
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
      cheapest(tries, ({ caption, asideMm }) => costOf(caption, part, texts) + (asideMm === 0 ? 0 : COST.aside))
        .caption,
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

function costOf(one: PlacedCaption, part: ResolvedPart, texts: readonly TurnedBox[]): number {
  const covered = texts.filter((other) => isCovered(one, other)).length;
  // A dimension may stand beside the part; work lies on it.
  const outside =
    one.mark.dimensionId !== undefined || part.outer.length === 0
      ? 0
      : cornersOf(one).filter((corner) => !isInsideRegion(corner, part.outer, part.holeRings)).length;
  const struck = linesOf(part).filter(
    ({ id, points }) =>
      id !== one.mark.operationId && points.slice(1).some((to, index) => strikes(points[index]!, to, one)),
  ).length;
  return COST.covered * covered + COST.outside * outside + COST.struck * struck;
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
  const [cos, sin] = [Math.cos(radians(angleDegrees)), Math.sin(radians(angleDegrees))];
  const inBox = (p: Point): readonly [number, number] => [
    (p.x - at.x) * cos + (p.y - at.y) * sin,
    (p.y - at.y) * cos - (p.x - at.x) * sin,
  ];
  const [a, b] = [inBox(from), inBox(to)];
  let [low, high] = [0, 1];
  for (const [axis, half] of [
    [0, widthMm / 2],
    [1, heightMm / 2],
  ] as const) {
    const step = b[axis]! - a[axis]!;
    if (Math.abs(step) < 1e-12) {
      if (Math.abs(a[axis]!) >= half) return false;
      continue;
    }
    const [s, t] = [(-half - a[axis]!) / step, (half - a[axis]!) / step];
    low = Math.max(low, Math.min(s, t));
    high = Math.min(high, Math.max(s, t));
  }
  return low < high - 1e-9;
}
