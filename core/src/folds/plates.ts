import {
  add,
  bandAlong,
  boundsOf,
  counterClockwise,
  differenceOf,
  distance,
  distanceToRun,
  dot,
  flattenOpenPath,
  intersectionOf,
  interpolate,
  isInside,
  isInsideRegion,
  leftOf,
  pointIndex,
  polygonArea,
  signedArea,
  subtract,
  times,
  unionOf,
  unitVector,
  type Point,
  type Polygon,
  type Region,
} from '../geometry/index.ts';
import { canFold, isThroughCut, traitsOf, turnOf, type Stroke } from '../operations/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { OVERRUN_MM, withoutNicks, withoutSpikes, type Corners } from './plate-ring.ts';

/** A piece of the board between folds: foam between its skins, or only the skin that a trench leaves. */
export interface Plate {
  readonly index: number;
  readonly outer: Polygon;
  readonly holes: readonly Polygon[];
  readonly kind: 'board' | 'skin';
}

/** Where two plates turn about each other: a line on the skin that stays whole. */
export interface Hinge {
  readonly operationId: string;
  readonly kind: Stroke['kind'];
  /** The line, with the `left` plate on its left as seen from the face. */
  readonly from: Point;
  readonly to: Point;
  /** Height of the line over the far skin: 0, or the board's thickness for work on the back. */
  readonly zMm: number;
  /** Height of the line that keeps its length where the board bends, when that is not the skin. */
  readonly neutralMm?: number;
  /** Turn between the plates when folded: more than 0 brings them toward the face. */
  readonly turnDegrees: number;
  /** One of the two edges of a trench that doubles the board: each takes half of its turn. */
  readonly isDoubled?: boolean;
  readonly left: number;
  readonly right: number;
}

/** A flat part as plates joined at hinges. */
export interface FlatPlates {
  readonly thicknessMm: number;
  readonly plates: readonly Plate[];
  readonly hinges: readonly Hinge[];
}

/** Cuts between plates are opened by this much to tell the plates apart, in mm. */
const SLIVER_MM = 4e-4;
/** Plates are looked for this far to either side of a hinge. */
const PROBE_MM = 0.02;
const LEAST_PLATE_MM2 = 0.05;
/** Plates that touch along less than this, as at a corner where folds meet, do not turn about each other. */
const LEAST_HINGE_MM = 0.1;
/** The edge of a trench's strip this near its line is the line. */
const ON_LINE_MM = 0.01;
const PROBES = 24;

/**
 * The plates and hinges of a part: its board cut along folds and through cuts. A control hinge stands still until it is moved.
 * @returns no plates while the part has no closed outline
 */
export function platesOf(part: ResolvedPart): FlatPlates {
  if (part.outer.length === 0) return { thicknessMm: part.thicknessMm, plates: [], hinges: [] };
  const folds = part.strokes.filter(({ kind }) => canFold(kind));
  const trenches = folds.filter(({ kind, area }) => leavesStrip(kind) && area.length > 0);
  const body: Region = [part.outer, ...part.holeRings.map((ring) => [...ring].reverse())];
  const cuts = [
    ...folds.filter(({ kind }) => !leavesStrip(kind)),
    ...part.strokes.filter(({ kind }) => isThroughCut(kind)),
  ].flatMap(({ paths }) => paths.map(pointsOf));
  // Without them a trench that ends on a corner would leave board and wall joined at that point.
  const slivers = [
    ...cuts,
    ...trenches.flatMap((stroke) => stroke.paths.flatMap((path) => stripEdges(stroke, path))),
  ].flatMap(sliverAlong);
  const strips = unionOf(trenches.flatMap(({ area }) => area.map(counterClockwise)));
  const foam = differenceOf(strips.length > 0 ? differenceOf(body, strips) : body, unionOf(slivers));
  // A fold that ends beside a corner of a flattened curve ends where it was drawn: its own ends come first.
  // The square ends of a trench's strip are corners only where nothing else is.
  const known = [
    cuts.flat(),
    body.flat(),
    trenches.flatMap((stroke) => stroke.paths.flatMap((path) => stripEdges(stroke, path).flat())),
  ].map((points): Corners => ({ points, near: pointIndex(points) }));
  const board = piecesOf(foam)
    .map(({ outer, holes }) => ({ outer: withoutSpikes(withoutNicks(outer, known)), holes, kind: 'board' as const }))
    .filter(({ outer }) => outer.length > 2);
  const skins = trenches.flatMap((stroke) =>
    piecesOf(intersectionOf(stroke.area.map(counterClockwise), body)).map((piece) => ({
      ...piece,
      kind: 'skin' as const,
    })),
  );
  const plates = [...board, ...skins].map((plate, index): Plate => ({ ...plate, index }));
  return {
    thicknessMm: part.thicknessMm,
    plates,
    hinges: folds
      .filter(({ kind, area }) => !leavesStrip(kind) || area.length > 0)
      .flatMap((stroke) => hingesOf(stroke, plates, part.thicknessMm)),
  };
}

/** Whether a strip of skin is left between the plates that a kind of fold joins. */
export const leavesStrip = (kind: Stroke['kind']): boolean => traitsOf(kind).fold?.leavesStrip === true;

/** Round cuts are followed this closely, in mm. */
const ROUND_MM = 0.01;
const pointsOf = (path: Stroke['paths'][number]): readonly Point[] => flattenOpenPath(path, ROUND_MM);

/** The thin band that a cut opens, run on past both of its ends. */
function sliverAlong(points: readonly Point[]): Region {
  const first = points[0]!,
    second = points[1]!,
    last = points.at(-1)!,
    before = points.at(-2)!;
  const longer = [
    add(first, times(unitVector(second, first), OVERRUN_MM)),
    ...points.slice(1, -1),
    add(last, times(unitVector(before, last), OVERRUN_MM)),
  ];
  // Round a closed line the band is a ring: its inner edge bounds what is cut out.
  const rings = [...bandAlong(longer, SLIVER_MM)].sort((a, b) => polygonArea(b) - polygonArea(a));
  return rings.map((ring, index) => (index === 0 ? counterClockwise(ring) : [...counterClockwise(ring)].reverse()));
}

/** Both edges of the strip that a trench takes out, the one on the right of its line first, as seen along it. */
function stripEdges(
  stroke: Stroke,
  path: Stroke['paths'][number],
): readonly [readonly [Point, Point], readonly [Point, Point]] {
  const from = path[0]!.from,
    to = path.at(-1)!.to,
    normal = leftOf(unitVector(from, to));
  const offsets = stroke.area.flat().map((p) => dot(subtract(p, from), normal));
  const at = (offset: number): readonly [Point, Point] => [
    add(from, times(normal, offset)),
    add(to, times(normal, offset)),
  ];
  return [at(Math.min(...offsets)), at(Math.max(...offsets))];
}

/** The connected pieces of a region, each with its holes. */
function piecesOf(region: Region): readonly { readonly outer: Polygon; readonly holes: readonly Polygon[] }[] {
  const outers = region.filter((ring) => signedArea(ring) > LEAST_PLATE_MM2),
    inners = region.filter((ring) => signedArea(ring) < -LEAST_PLATE_MM2);
  return outers.map((outer) => ({
    outer,
    holes: inners
      .filter((hole) => isInside(hole[0]!, outer) && polygonArea(hole) < polygonArea(outer))
      .map(counterClockwise),
  }));
}

const plateAt = (plates: readonly Plate[], p: Point): Plate | undefined =>
  plates.find(({ outer, holes }) => isInsideRegion(p, outer, holes));

function hingesOf(stroke: Stroke, plates: readonly Plate[], thicknessMm: number): readonly Hinge[] {
  const zMm = stroke.face === 'back' ? thicknessMm : 0,
    turn = turnOf(stroke);
  return stroke.paths.flatMap((path) => {
    const from = path[0]!.from,
      to = path.at(-1)!.to;
    if (distance(from, to) < 1e-6) return [];
    const hinge = (
      [start, end]: readonly [Point, Point],
      turnDegrees: number,
      wanted: 'skin left' | 'skin right' | undefined,
      isDoubled = false,
    ): readonly Hinge[] => {
      return runsBetween(start, end, plates)
        .filter((run) => distance(run.from, run.to) > LEAST_HINGE_MM)
        .filter(
          ({ left, right }) => wanted === undefined || plates[wanted === 'skin left' ? left : right]!.kind === 'skin',
        )
        .map((run) => ({
          operationId: stroke.operationId,
          kind: stroke.kind,
          zMm,
          turnDegrees,
          ...run,
          ...(stroke.neutralMm ? { neutralMm: zMm === 0 ? stroke.neutralMm : thicknessMm - stroke.neutralMm } : {}),
          ...(isDoubled ? { isDoubled } : {}),
        }));
    };
    if (!leavesStrip(stroke.kind)) return hinge([from, to], turn, undefined);
    const [low, high] = stripEdges(stroke, path);
    // A doubled board turns half at each edge of the strip, or as its skin leans.
    if (Math.abs(turn) > 135) {
      const lean = stroke.leanDegrees ?? 0;
      return [...hinge(low, turn / 2 + lean, 'skin left', true), ...hinge(high, turn / 2 - lean, 'skin right', true)];
    }
    // A wall turns about the drawn line when the strip lies beside it. About its middle it turns at the edge on its own side, which is known once the tree is.
    const [isOnLow, isOnHigh] = [low, high].map(([p]) => distance(p, from) < ON_LINE_MM);
    return [...hinge(low, isOnHigh ? 0 : turn, 'skin left'), ...hinge(high, isOnLow ? 0 : turn, 'skin right')];
  });
}

interface Run {
  readonly from: Point;
  readonly to: Point;
  readonly left: number;
  readonly right: number;
}

/** The stretches of a line that have one plate on their left and another on their right. */
function runsBetween(from: Point, to: Point, plates: readonly Plate[]): readonly Run[] {
  const aside = times(leftOf(unitVector(from, to)), PROBE_MM);
  const near = plates.filter(({ outer }) => touchesLine(outer, from, to));
  const marks = [0, ...cutsAlong(from, to, near), 1];
  const runs: Run[] = [];
  for (let index = 0; index + 1 < marks.length; index++) {
    const [a, b] = [marks[index]!, marks[index + 1]!];
    if (b - a < 1e-7) continue;
    const middle = interpolate(from, to, (a + b) / 2);
    const left = plateAt(near, add(middle, aside)),
      right = plateAt(near, subtract(middle, aside));
    if (!left || !right || left === right) continue;
    const before = runs.at(-1);
    if (
      before &&
      before.left === left.index &&
      before.right === right.index &&
      distance(before.to, interpolate(from, to, a)) < 1e-3
    )
      runs[runs.length - 1] = { ...before, to: interpolate(from, to, b) };
    else
      runs.push({ from: interpolate(from, to, a), to: interpolate(from, to, b), left: left.index, right: right.index });
  }
  return runs;
}

function touchesLine(outer: Polygon, from: Point, to: Point): boolean {
  const box = boundsOf(outer);
  return (
    Math.max(from.x, to.x) >= box.minX - 0.1 &&
    Math.min(from.x, to.x) <= box.maxX + 0.1 &&
    Math.max(from.y, to.y) >= box.minY - 0.1 &&
    Math.min(from.y, to.y) <= box.maxY + 0.1
  );
}

/** Places along a line, from 0 to 1, where corners of plates lie on it, and a few between. */
function cutsAlong(from: Point, to: Point, plates: readonly Plate[]): readonly number[] {
  const length = distance(from, to),
    along = unitVector(from, to);
  const corners = plates.flatMap(({ outer, holes }) =>
    [outer, ...holes].flatMap((ring) =>
      ring.filter((p) => distanceToRun(p, from, to) < 10 * PROBE_MM).map((p) => dot(subtract(p, from), along) / length),
    ),
  );
  const even = Array.from({ length: PROBES - 1 }, (_, index) => (index + 1) / PROBES);
  return [...corners, ...even].filter((t) => t > 1e-6 && t < 1 - 1e-6).sort((a, b) => a - b);
}
