import {
  add,
  boundsOf,
  cross,
  distance,
  dot,
  interpolate,
  isInside,
  leftOf,
  subtract,
  times,
  unitVector,
  type Path,
  type Point,
  type Region,
} from '../geometry/index.ts';
import { radians } from '../units/index.ts';

/** Distances of the code in mm. */
const HATCH_PITCH_MM = 3.5;
const DOT_PITCH_MM = 4;

/** A straight run as a path. */
export const run = (from: Point, to: Point): Path => [{ kind: 'line', from, to }];
/** A closed polygon as a path. */
export const ring = (points: readonly Point[]): Path =>
  points.map((from, index) => ({ kind: 'line', from, to: points[(index + 1) % points.length]! }));
/** A circle as two arcs. */
export const circle = ({ x, y }: Point, r: number): Path => [
  { kind: 'arc', from: { x: x + r, y }, to: { x: x - r, y }, bulge: 1 },
  { kind: 'arc', from: { x: x - r, y }, to: { x: x + r, y }, bulge: 1 },
];

/** Places every so often along the straight runs of paths, half a pitch from their starts, each with the direction there. */
export function along(
  paths: readonly Path[],
  pitchMm: number,
): readonly { readonly at: Point; readonly direction: Point }[] {
  return paths.flatMap((path) =>
    path.flatMap(({ from, to }) => {
      const count = Math.max(1, Math.floor(distance(from, to) / pitchMm));
      return Array.from({ length: count }, (_, index) => ({
        at: interpolate(from, to, (index + 0.5) / count),
        direction: unitVector(from, to),
      }));
    }),
  );
}

/** Slanted lines across a region, one pitch apart. */
export function hatching(region: Region): readonly (readonly [Point, Point])[] {
  if (region.length === 0) return [];
  const direction = { x: Math.cos(radians(60)), y: Math.sin(radians(60)) };
  const normal = leftOf(direction);
  const offsets = region.flat().map((p) => dot(p, normal));
  const lines: [Point, Point][] = [];
  for (
    let at = Math.ceil(Math.min(...offsets) / HATCH_PITCH_MM) * HATCH_PITCH_MM;
    at < Math.max(...offsets);
    at += HATCH_PITCH_MM
  ) {
    const origin = times(normal, at);
    const cuts: number[] = [];
    for (const one of region) {
      one.forEach((p, index) => {
        const q = one[(index + 1) % one.length]!;
        const sideP = cross(direction, subtract(p, origin)),
          sideQ = cross(direction, subtract(q, origin));
        if (sideP >= 0 === sideQ >= 0) return;
        cuts.push(dot(subtract(add(p, times(subtract(q, p), sideP / (sideP - sideQ))), origin), direction));
      });
    }
    cuts.sort((a, b) => a - b);
    for (let index = 0; index + 1 < cuts.length; index += 2)
      lines.push([add(origin, times(direction, cuts[index]!)), add(origin, times(direction, cuts[index + 1]!))]);
  }
  return lines;
}

/** Sparse dots over a region, every other row shifted. */
export function scatter(region: Region): readonly Point[] {
  const box = boundsOf(region.flat());
  const dots: Point[] = [];
  let row = 0;
  for (let y = box.minY + DOT_PITCH_MM / 4; y < box.maxY; y += DOT_PITCH_MM / 2, row++) {
    for (let x = box.minX + (row % 2 ? DOT_PITCH_MM / 2 : 0); x < box.maxX; x += DOT_PITCH_MM) {
      if (region.filter((one) => isInside({ x, y }, one)).length % 2 === 1) dots.push({ x, y });
    }
  }
  return dots;
}
