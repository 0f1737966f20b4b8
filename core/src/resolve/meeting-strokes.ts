import {
  add,
  boundsOf,
  boundsTouch,
  counterClockwise,
  differenceOf,
  dot,
  intersectionOf,
  leftOf,
  polygonArea,
  subtract,
  times,
  unionOf,
  unitVector,
  type Bounds,
  type Point,
  type Polygon,
  type Region,
} from '../geometry/index.ts';
import { STEEPEST_LEAN, traitsOf, type Stroke } from '../operations/index.ts';

/** Bevels round curved edges run along many short pieces; beyond so many they are left as they are drawn. */
const MOST_RUNS = 80;
const FAR_MM = 20_000;
const LEAST_AREA_MM = 1e-3;

/** A slanted or level cut face: where it lies, and its depth there as a·x + b·y + c. */
interface CutFace {
  readonly ground: Polygon;
  readonly box: Bounds;
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

/** The face that falls from a run, where it is deepest, to nothing at a width beside it. */
function slope(from: Point, to: Point, aside: Point, widthMm: number, depthMm: number): CutFace {
  const far = times(aside, widthMm);
  const ground = [from, to, add(to, far), add(from, far)];
  const fall = depthMm / widthMm;
  return {
    ground,
    box: boundsOf(ground),
    a: -fall * aside.x,
    b: -fall * aside.y,
    c: depthMm + fall * dot(from, aside),
  };
}

const level = (ring: Polygon, depthMm: number): CutFace => ({
  ground: ring,
  box: boundsOf(ring),
  a: 0,
  b: 0,
  c: depthMm,
});

/** The cut faces of a stroke; none for work that takes no foam away. */
function facesOf(stroke: Stroke, thicknessMm: number): readonly CutFace[] {
  const shape = traitsOf(stroke.kind).cutFace?.(stroke, thicknessMm);
  if (shape?.kind === 'level') return stroke.area.map((ring) => level(ring, shape.depthMm));
  if (!shape || shape.reachMm <= 0) return [];
  const runs = stroke.paths.flat();
  if (runs.length > MOST_RUNS || runs.some(({ kind }) => kind !== 'line')) return [];
  return stroke.paths.flatMap((path) =>
    path.flatMap(({ from, to }, index) => {
      const along = unitVector(from, to),
        left = leftOf(along);
      // Work runs on to an oblique edge beyond the ends of its line: its slopes go as far; what is not its area does not count.
      const further = times(along, stroke.closed ? 0 : STEEPEST_LEAN * shape.reachMm);
      const start = index === 0 ? subtract(from, further) : from,
        end = index === path.length - 1 ? add(to, further) : to;
      return [
        slope(start, end, left, shape.reachMm, thicknessMm),
        slope(start, end, times(left, -1), shape.reachMm, thicknessMm),
      ];
    }),
  );
}

/** Whether nothing can be deeper than a stroke: its foam is out down to the far skin. */
const isBottomed = (faces: readonly CutFace[], thicknessMm: number): boolean =>
  faces.every(({ a, b, c }) => a === 0 && b === 0 && c >= thicknessMm);

/** Where one face is deeper than another: a half plane, everywhere, or nowhere. */
function deeper(face: CutFace, than: CutFace): Region {
  const gradient = { x: face.a - than.a, y: face.b - than.b },
    rest = face.c - than.c;
  const steepness = Math.hypot(gradient.x, gradient.y);
  const far = (p: Point, way: Point): Polygon => {
    const along = leftOf(way);
    const [left, right, ahead] = [times(along, FAR_MM), times(along, -FAR_MM), times(way, FAR_MM)];
    return counterClockwise([add(p, left), add(p, right), add(add(p, right), ahead), add(add(p, left), ahead)]);
  };
  if (steepness < 1e-9) return rest > 1e-9 ? [far({ x: -FAR_MM / 2, y: 0 }, { x: 1, y: 0 })] : [];
  const way = times(gradient, 1 / steepness);
  return [far(times(way, -rest / steepness), way)];
}

/**
 * Areas of strokes that meet, as they are really cut: where two take foam from one face, the ground belongs to the deeper one. A groove
 * that ends on a bevel comes to a point there, two grooves meet in a mitre, and nothing is cut where a trench has left no foam.
 * @source each cut face is a plane; two planes are equally deep along a straight line
 */
export function meetingStrokes(strokes: readonly Stroke[], thicknessMm: number): readonly Stroke[] {
  const faces = strokes.map((stroke) => facesOf(stroke, thicknessMm));
  const boxes = strokes.map(({ area }) => (area.length > 0 ? boundsOf(area.flat()) : undefined));
  return strokes.map((stroke, index) => {
    const box = boxes[index];
    if (!box || faces[index]!.length === 0 || isBottomed(faces[index]!, thicknessMm)) return stroke;
    const lost = strokes.flatMap((other, at) => {
      const otherBox = boxes[at];
      if (at === index || other.face !== stroke.face || !otherBox || !boundsTouch(box, otherBox)) return [];
      return faces[index]!.flatMap((own) =>
        faces[at]!.flatMap((face) => (boundsTouch(own.box, face.box) ? lostTo(own, face, other.area) : [])),
      );
    });
    return lost.length > 0
      ? { ...stroke, area: differenceOf(stroke.area, unionOf(lost)).filter((ring) => ring.length > 2) }
      : stroke;
  });
}

/** The ground of one face that another, deeper one takes. */
function lostTo(own: CutFace, face: CutFace, area: Region): Region {
  const both = intersectionOf(intersectionOf([counterClockwise(own.ground)], [counterClockwise(face.ground)]), area);
  return both.length === 0
    ? []
    : intersectionOf(both, deeper(face, own)).filter((ring) => polygonArea(ring) > LEAST_AREA_MM);
}
