import {
  boundsCentre,
  counterClockwise,
  differenceOf,
  distanceToRun,
  growRegion,
  intersectionOf,
  isInside,
  signedArea,
  unionOf,
  type Bounds,
  type Point,
  type Polygon,
  type Region,
  type Shape,
} from '../geometry/index.ts';

/** Strips narrower than twice this are no use as an offcut, in mm. */
const HALF_STRIP_MM = 15;
/** Corners that stand out less than this from the run between their neighbours are left out, in mm. */
const FLAT_MM = 0.5;

/**
 * What is left of a board around its largest free rectangle, all in one piece: an offcut with its true outline, narrow strips cut away.
 * @param corners of the board
 * @param shapes parts that are cut from it; what lies in their holes is not counted
 * @param clearMm left standing round every part, for the cut
 * @returns counter-clockwise; undefined where a part stands in the midst of it, so that it has no single outline
 */
export function restShape(
  corners: Polygon,
  shapes: readonly Shape[],
  rectangle: Bounds,
  clearMm: number,
): Polygon | undefined {
  const wide = wideRest(corners, shapes, clearMm);
  const middle = boundsCentre(rectangle);
  const outer = wide.find((ring) => signedArea(ring) > 0 && isInside(middle, ring));
  return outer && !isBroken(outer, wide) ? withoutFlat(outer) : undefined;
}

/**
 * All that is left of a board in whole pieces, each with its true outline; one that a part stands in the midst of is left out.
 * @returns each counter-clockwise, the largest first
 */
export function restShapes(corners: Polygon, shapes: readonly Shape[], clearMm: number): readonly Polygon[] {
  const wide = wideRest(corners, shapes, clearMm);
  return wide
    .filter((ring) => signedArea(ring) > 0 && !isBroken(ring, wide))
    .map(withoutFlat)
    .sort((a, b) => signedArea(b) - signedArea(a));
}

const isBroken = (outer: Polygon, region: Region): boolean =>
  region.some((ring) => signedArea(ring) < 0 && isInside(ring[0]!, outer));

/** What no part takes of a board, strips too narrow for use cut away. */
function wideRest(corners: Polygon, shapes: readonly Shape[], clearMm: number): Region {
  const board = [counterClockwise(corners)];
  const taken = growRegion(unionOf(shapes.map(({ outer }) => counterClockwise(outer))), clearMm, 0.05, 'sharp');
  const free = differenceOf(board, taken);
  return intersectionOf(
    growRegion(growRegion(free, -HALF_STRIP_MM, 0.05, 'sharp'), HALF_STRIP_MM, 0.05, 'sharp'),
    free,
  );
}

/** A ring without the corners at which it all but goes straight on. */
function withoutFlat(ring: Polygon): Polygon {
  const kept = [...ring];
  for (let at = 0; at < kept.length && kept.length > 3;) {
    const [before, here, after] = [kept.at(at - 1)!, kept[at]!, kept[(at + 1) % kept.length]!] as const;
    if (distanceToRun(here, before, after) < FLAT_MM) kept.splice(at, 1);
    else at += 1;
  }
  return kept.map(({ x, y }): Point => ({ x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 }));
}
