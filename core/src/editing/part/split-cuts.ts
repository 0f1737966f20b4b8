import { boundsOf, lineCuts, type Curve, type Path, type Point, type Polygon } from '../../geometry/index.ts';

/** Depth of tongues, and least width of one, in mm: longer than any board is thick, and wide enough to glue. */
const TONGUE_MM = 20;
const LEAST_TONGUE_MM = 15;
/** A scarf runs this many times the width along the part. */
const SCARF_RUN = 2;
/** Places are tried this far apart, up to this share of the length from the middle. */
const STEP_MM = 5;
const FURTHEST_SHARE = 0.25;
const BEYOND_MM = 1000;
/** Places along a part that are tried, and counts of tongues at each. */
const MOST_PLACES = 200,
  MOST_COUNTS = 8;

/** Places along a length, nearest to its middle first. */
export function placesFromMiddle(low: number, length: number): readonly number[] {
  const most = Math.floor((length * FURTHEST_SHARE) / STEP_MM);
  const apart = STEP_MM * Math.max(1, Math.ceil((2 * most) / MOST_PLACES));
  const steps = Array.from({ length: Math.floor((most * STEP_MM) / apart) + 1 }, (_, step) => step * apart);
  return steps.flatMap((step) =>
    step === 0 ? [low + length / 2] : [low + length / 2 - step, low + length / 2 + step],
  );
}

/** A line of cuts across a part, from beyond one side to beyond the other, and what lies before it. */
export interface Cut {
  /** Tongues that lie side by side, or one slanted cut where it is too narrow for them. */
  readonly how: 'tongues' | 'scarf';
  readonly line: readonly Point[];
  readonly before: Path;
  readonly after: Path;
  readonly beforeRing: Polygon;
}

const straight = (ring: Polygon): Path =>
  ring.map((from, index): Curve => ({ kind: 'line', from, to: ring[(index + 1) % ring.length]! }));

/** The cuts at a place along the part, that with the most tongues first; none where its outline is met more than twice. */
export function cutsAt(ring: Polygon, at: number, isLevel: boolean): readonly Cut[] {
  const point = (along: number, across: number): Point => (isLevel ? { x: along, y: across } : { x: across, y: along });
  const { minX, minY } = boundsOf(ring),
    base = isLevel ? minY : minX;
  const [start, end] = [point(at, base - 1), point(at, base)];
  const cuts = lineCuts(start, end, ring)
    .map((t) => base - 1 + t)
    .sort((a, b) => a - b);
  if (cuts.length !== 2) return [];
  const [from, to] = cuts as [number, number],
    width = to - from;
  const most = Math.floor(width / (3 * LEAST_TONGUE_MM)) * 2 + 1;
  if (most < 3) {
    const ends = [-1, 1].map((sign) =>
      point(at + sign * SCARF_RUN * (width / 2 + BEYOND_MM), (from + to) / 2 + sign * (width / 2 + BEYOND_MM)),
    );
    return [cutAlong('scarf', ends, isLevel)];
  }
  return countsOfTongues(most).map((count) =>
    cutAlong(
      'tongues',
      steps(from, to, count).map(([across, side]) => point(at + (side * TONGUE_MM) / 2, across)),
      isLevel,
    ),
  );
}

/** Counts of tongues to try, the most first: every one down to two while they are few, else some between. */
function countsOfTongues(most: number): readonly number[] {
  const all = most - 1;
  if (all <= MOST_COUNTS) return Array.from({ length: all }, (_, index) => most - index);
  return Array.from({ length: MOST_COUNTS }, (_, index) => most - Math.round((index * (all - 1)) / (MOST_COUNTS - 1)));
}

/** A cut by its line, with the part's ground on either side of it. */
function cutAlong(how: Cut['how'], line: readonly Point[], isLevel: boolean): Cut {
  const far = 100 * BEYOND_MM;
  const first = line[0]!,
    last = line.at(-1)!;
  const along = ({ x, y }: Point): number => (isLevel ? x : y),
    across = ({ x, y }: Point): number => (isLevel ? y : x);
  const point = (x: number, y: number): Point => (isLevel ? { x, y } : { x: y, y: x });
  const closing = (sign: -1 | 1): readonly Point[] => [
    point(along(last) + sign * far, across(last)),
    point(along(first) + sign * far, across(first)),
  ];
  const beforeRing = [...line, ...closing(-1)];
  return { how, line, before: straight(beforeRing), after: straight([...line, ...closing(1)]), beforeRing };
}

/** The corners of a stepped line from beyond one side to beyond the other: places across, and to which side it lies there. */
function steps(from: number, to: number, count: number): readonly (readonly [number, 1 | -1])[] {
  const width = (to - from) / count;
  return Array.from({ length: count }, (_, index) => {
    const side = index % 2 === 0 ? 1 : -1;
    const [a, b] = [from + index * width, from + (index + 1) * width];
    return [
      [index === 0 ? a - BEYOND_MM : a, side],
      [index === count - 1 ? b + BEYOND_MM : b, side],
    ] as const;
  }).flat();
}
