import {
  boundsOf,
  boundsTouch,
  combineOutlines,
  curvePoint,
  cutAt,
  distance,
  flattenClosedPath,
  flattenOpenPath,
  growBounds,
  isInside,
  pathSignedArea,
  type Bounds,
  type Path,
  type Point,
  type Polygon,
} from '../../geometry/index.ts';
import { isOnEdge } from '../../features/index.ts';
import {
  brokenInvariant,
  findSegment,
  holesOf,
  IdSource,
  LONGEST_NAME,
  outlineOf,
  outOfBounds,
  withoutLostPlaces,
  withPath,
  type Contour,
  type DrawnLine,
  type Part,
} from '../../part/index.ts';
import { curveOf, curvesOf, rebuildPath } from '../../paths/index.ts';
import { overSplits } from '../path/over-splits.ts';
import { addJoint } from '../standing/joints.ts';
import { addSeam } from '../standing/seams.ts';
import { cutsAt, placesFromMiddle, type Cut } from './split-cuts.ts';

/** A part cut in two that lock into each other: the second stands flat against the first, and their edges are a seam. */
export interface SplitPart {
  readonly halves: readonly [Part, Part];
  /** Where it is cut, along its longer side from the end where its drawing begins, in mm. */
  readonly atMm: number;
  readonly how: Cut['how'];
}

/** Folds and lines cross the cut this far from a corner of a tongue, in mm: further than half a groove is wide. */
const OFF_CORNER_MM = 7;
/** Features and holes stay this far from the cut, in mm. */
const CLEAR_MM = 15;
const FLATTENED_MM = 0.05;
/** Cuts that nothing is in the way of and that still do not part it in two: after so many it is given up. */
const MOST_TRIES = 12;

/**
 * Cuts a part across its longer side, near the middle, where no hole or feature is in the way. Folds and lines that cross the cut are on both halves.
 * @param secondId id of the second half; the first keeps the part's own
 * @returns undefined when there is no such place, the outline is open, or only half of it is drawn
 */
export function splitPart(part: Part, secondId: string): SplitPart | undefined {
  const outline = outlineOf(part);
  // What is itself too much to be kept is not cut: its halves seldom could be.
  if (!outline?.closed || part.symmetry || outOfBounds(part)) return undefined;
  const ring = flattenClosedPath(curvesOf(outline), FLATTENED_MM);
  const { minX, minY, maxX, maxY } = boundsOf(ring);
  const isLevel = maxX - minX >= maxY - minY,
    low = isLevel ? minX : minY,
    length = isLevel ? maxX - minX : maxY - minY;
  const obstacles = obstaclesOf(part);
  let tries = 0;
  for (const at of placesFromMiddle(low, length)) {
    for (const cut of cutsAt(ring, at, isLevel)) {
      if (!isClear(obstacles, cut)) continue;
      const halves = halvesAt(part, outline, cut, secondId);
      if (halves) return { halves, atMm: at - low, how: cut.how };
      tries += 1;
      if (tries === MOST_TRIES) return undefined;
    }
  }
  return undefined;
}

interface Obstacle {
  readonly points: readonly Point[];
  readonly box: Bounds;
}
/** What a cut must keep off: holes, closed lines and edges that bear features stay whole, folds and lines may cross it. */
interface Obstacles {
  readonly whole: readonly Obstacle[];
  readonly lines: readonly Obstacle[];
  readonly places: readonly Point[];
}

function obstaclesOf(part: Part): Obstacles {
  const obstacle = (points: readonly Point[]): Obstacle => ({ points, box: boundsOf(points) });
  const features = part.features ?? [];
  const edges = features.filter(isOnEdge).flatMap(({ on }) => {
    const found = findSegment(part, on.segmentId);
    if (!found) return [];
    const curve = curveOf(found.path, found.index);
    return [obstacle([curve.from, curvePoint(curve, 0.5), curve.to])];
  });
  const closed = [...holesOf(part), ...part.lines.filter((one) => one.closed)];
  return {
    whole: [...closed.map((path) => obstacle(flattenClosedPath(curvesOf(path), FLATTENED_MM))), ...edges],
    lines: part.lines
      .filter((one) => !one.closed)
      .map((path) => obstacle(flattenOpenPath(curvesOf(path), FLATTENED_MM))),
    places: features.flatMap((feature) => (isOnEdge(feature) ? [] : [feature.at])),
  };
}

/** Whether no hole, feature or closed line is in the way of a cut, and no tabs or laps stand on an edge that it parts. */
function isClear({ whole, lines, places }: Obstacles, { line, beforeRing }: Cut): boolean {
  const reach = growBounds(boundsOf(line), CLEAR_MM);
  const nearLine = (p: Point): boolean =>
    line.some((from, index) => {
      const to = line[index + 1];
      return to !== undefined && distanceToSpan(p, from, to) < CLEAR_MM;
    });
  const isOneSided = (points: readonly Point[]): boolean =>
    !points.some(nearLine) && new Set(points.map((p) => isInside(p, beforeRing))).size === 1;
  const corners = line.slice(1, -1);
  const isOffCorners = (points: readonly Point[]): boolean =>
    corners.every((corner) =>
      points.every((from, index) => {
        const to = points[index + 1];
        return to === undefined || distanceToSpan(corner, from, to) > OFF_CORNER_MM;
      }),
    );
  // What the cut's own box does not reach lies on one side of it.
  const within = (list: readonly Obstacle[]): readonly Obstacle[] => list.filter(({ box }) => boundsTouch(box, reach));
  return (
    !places.some((p) => boundsTouch(boundsOf([p]), reach) && nearLine(p)) &&
    within(whole).every(({ points }) => isOneSided(points)) &&
    within(lines).every(({ points }) => isOffCorners(points))
  );
}
const distanceToSpan = (p: Point, from: Point, to: Point): number => {
  const run = { x: to.x - from.x, y: to.y - from.y };
  const t = ((p.x - from.x) * run.x + (p.y - from.y) * run.y) / (run.x * run.x + run.y * run.y);
  const on = Math.min(1, Math.max(0, t));
  return distance(p, { x: from.x + on * run.x, y: from.y + on * run.y });
};

const SECOND_HALF = ', second half';

function halvesAt(part: Part, outline: Contour, cut: Cut, secondId: string): readonly [Part, Part] | undefined {
  const first = halfOf(part, outline, cut.before),
    second = halfOf(part, outline, cut.after);
  if (!first || !second) return undefined;
  const { joints: _joints, place: _place, ...rest } = second;
  const fresh: Part = {
    ...rest,
    id: secondId,
    name: `${part.name.slice(0, LONGEST_NAME - SECOND_HALF.length)}${SECOND_HALF}`,
    // What met the other piece of its pair meets that of its own from now on, where it still bears the edge.
    ...(rest.seams
      ? {
          seams: rest.seams.flatMap((seam) =>
            seam.toPartId !== part.id
              ? [seam]
              : findSegment(second, seam.toSegmentId)
                ? [{ ...seam, toPartId: secondId }]
                : [],
          ),
        }
      : {}),
  };
  const edge = longestOn(first, cut.line),
    own = longestOn(fresh, cut.line);
  if (!edge || !own) return undefined;
  const seamed = addSeam(fresh, { fromSegmentId: own, toSegmentId: edge, toPartId: part.id });
  const stood =
    seamed.ok &&
    addJoint(seamed.part, {
      joint: {
        ownSegmentId: own,
        ownSkin: 'back',
        toPartId: part.id,
        toSegmentId: edge,
        toSkin: 'back',
        turnDegrees: 0,
        alongMm: 0,
        isReversed: false,
      },
    });
  if (!stood || !stood.ok) return undefined;
  const halves = [first, stood.part] as const;
  return halves.some((half) => brokenInvariant(half) ?? outOfBounds(half)) ? undefined : halves;
}

/** What of a part lies on one side of a cut; undefined when that is not one piece, or a line crosses the cut more than once. */
function halfOf(part: Part, outline: Contour, side: Path): Part | undefined {
  const loops = combineOutlines(curvesOf(outline), side, 'common');
  if (loops.length !== 1 || pathSignedArea(loops[0]!) <= 0) return undefined;
  const ids = new IdSource(part),
    ring = flattenClosedPath(side, FLATTENED_MM);
  const rebuilt = rebuildPath(outline, loops[0]!, ids);
  const lines: DrawnLine[] = [];
  for (const line of part.lines) {
    const half = lineWithin(line, side, ring, ids);
    if (half === 'parted') return undefined;
    if (half) lines.push(half);
  }
  const keeps = (path: Contour): boolean => path.role === 'outer' || isInside(path.nodes[0]!, ring);
  const shaped = withPath({ ...part, lines }, outline.id, (path) => ({
    ...path,
    nodes: rebuilt.nodes,
    segments: rebuilt.segments,
  }));
  const features = part.features?.filter((feature) => isOnEdge(feature) || isInside(feature.at, ring));
  return withoutLostPlaces(
    overSplits(
      {
        ...shaped,
        contours: shaped.contours.filter(keeps),
        ...(features ? { features } : {}),
        lastId: ids.lastId,
      },
      rebuilt.splits,
    ),
  );
}

/** What of a line lies on one side of a cut: all, one end of it, or nothing; `parted` when it is met more than once. */
function lineWithin(line: DrawnLine, side: Path, ring: Polygon, ids: IdSource): DrawnLine | 'parted' | undefined {
  if (line.closed) return isInside(line.nodes[0]!, ring) ? line : undefined;
  const pieces = cutAt(curvesOf(line), side),
    within = pieces.filter((curve) => isInside(curvePoint(curve, 0.5), ring));
  if (within.length === pieces.length) return line;
  if (within.length === 0) return undefined;
  const first = pieces.indexOf(within[0]!);
  if (within.some((curve, index) => pieces[first + index] !== curve)) return 'parted';
  const rebuilt = rebuildPath(line, within, ids),
    end = within.at(-1)!.to;
  const known = line.nodes.find(
    (node) => distance(node, end) < 1e-3 && !rebuilt.nodes.some(({ id }) => id === node.id),
  );
  return {
    ...line,
    nodes: [...rebuilt.nodes, { id: known?.id ?? ids.next('n'), x: end.x, y: end.y }],
    segments: rebuilt.segments,
  };
}

/** The longest edge of a half that lies along the cut. */
function longestOn(part: Part, line: readonly Point[]): string | undefined {
  const outline = outlineOf(part)!;
  const reach = growBounds(boundsOf(line), 1);
  const isOn = (p: Point): boolean =>
    boundsTouch(boundsOf([p]), reach) &&
    line.some((from, index) => line[index + 1] !== undefined && distanceToSpan(p, from, line[index + 1]!) < 1e-3);
  return outline.segments
    .map(({ id }, index) => ({ id, curve: curveOf(outline, index) }))
    .filter(({ curve }) => curve.kind === 'line' && isOn(curve.from) && isOn(curve.to) && isOn(curvePoint(curve, 0.5)))
    .map(({ id, curve }) => ({ id, lengthMm: distance(curve.from, curve.to) }))
    .sort((a, b) => b.lengthMm - a.lengthMm)[0]?.id;
}
