import {
  boundsOf,
  boxIndex,
  counterClockwise,
  differenceOf,
  edgesNear,
  flattenClosedPath,
  flattenOpenPath,
  insideOf,
  pathLength,
  intersectionOf,
  pathSignedArea,
  polygonArea,
  regionArea,
  signedArea,
  unionOf,
  type Bounds,
  type Path,
  type Polygon,
  type Region,
} from '../geometry/index.ts';
import type { Stroke } from '../operations/index.ts';
import { placedDimensions, type PlacedDimension, holesOf, outlineOf, type Part } from '../part/index.ts';
import { curvesOf, FINE_TOLERANCE_MM } from '../paths/index.ts';
import { defined, memo } from '../units/index.ts';
import { expandKey, expandPart, type ExpandContext } from './expand-part.ts';
import { meetingStrokes } from './meeting-strokes.ts';
import { strokeOf } from './strokes.ts';

/** What a part needs from around it to become exact. */
export interface ResolveContext extends ExpandContext {
  readonly gramsPerSquareMetre: number;
}

/** A part made exact: the only form that pages, boards, cut lists and the mat read. */
export interface ResolvedPart {
  readonly id: string;
  readonly name: string;
  readonly group: string;
  readonly material: string;
  readonly side: 'single' | 'port' | 'starboard';
  readonly thicknessMm: number;
  readonly grain: Part['grain'];
  /** Undefined while the outline is missing or open. */
  readonly outline?: Path;
  readonly holes: readonly Path[];
  /** The outline and holes as polygons within 0.01 mm, outer counter-clockwise; empty without a closed outline. */
  readonly outer: Polygon;
  readonly holeRings: readonly Polygon[];
  /** Paths drawn but not closed: shown, never cut. */
  readonly openPaths: readonly Path[];
  readonly strokes: readonly Stroke[];
  /** Folds as drawn, in the order that the builder keeps. */
  readonly foldOrder?: readonly string[];
  readonly dimensions: readonly PlacedDimension[];
  readonly areaMm2: number;
  readonly massG: number;
  /** Length of the outline and holes, all cut through, in mm. */
  readonly outlineLengthMm: number;
  readonly bounds: Bounds;
}

/**
 * Makes a drawn part exact for its board. Pure, and remembered by the part and the context.
 * @param part what was drawn; the port part of a pair
 * @param context measured thickness in mm and mass in g/m² of its board
 */
export const resolve = memo(
  (part: Part, context: ResolveContext): ResolvedPart => resolveAnew(expandPart(part, context), context),
  (context) => `${context.gramsPerSquareMetre}/${expandKey(context)}`,
);

/** Holes share less than this by rounding, mm². */
const SHARED_MM2 = 0.02;

/** Whether each hole lies within the outline and clear of every other by the boxes round them: nearly every part's do, and it is seen at once. */
function areApart(outer: Polygon, holes: readonly Polygon[]): boolean {
  const boxes = holes.map(boundsOf),
    others = boxIndex(boxes),
    isWithin = insideOf(outer);
  return holes.every(
    (hole, index) =>
      hole.length > 2 &&
      others.touching(boxes[index]!).length === 1 &&
      edgesNear(outer, boxes[index]!).length === 0 &&
      isWithin(hole[0]!),
  );
}

/**
 * The foam of an outline with holes that may overlap each other or hang over the edge: each place is cut out once.
 * @returns its rings, and the area in mm² of the holes that does not count, because another hole took it or it lies beside the part
 */
function solidOf(
  outer: Polygon,
  holes: readonly Polygon[],
): { readonly outer: Polygon; readonly holes: readonly Polygon[]; readonly sharedMm2: number } {
  if (outer.length === 0 || holes.length === 0 || areApart(outer, holes)) return { outer, holes, sharedMm2: 0 };
  const cut = intersectionOf(unionOf(holes), [outer]);
  const sharedMm2 = holes.reduce((sum, hole) => sum + polygonArea(hole), 0) - regionArea(cut);
  if (sharedMm2 < SHARED_MM2) return { outer, holes, sharedMm2: 0 };
  const left = [...differenceOf([outer], cut)].sort((a, b) => polygonArea(b) - polygonArea(a));
  return {
    outer: left.find((ring) => signedArea(ring) > 0) ?? outer,
    holes: left.filter((ring) => signedArea(ring) < 0).map(counterClockwise),
    sharedMm2,
  };
}

function resolveAnew(part: Part, context: ResolveContext): ResolvedPart {
  const outer = outlineOf(part);
  const closedOuter = outer?.closed && outer.nodes.length >= 2 ? outer : undefined;
  const holes = holesOf(part).filter((hole) => hole.closed);
  const outline = closedOuter && curvesOf(closedOuter);
  const holePaths = holes.map(curvesOf);
  const solid = solidOf(
    outline ? counterClockwise(flattenClosedPath(outline, FINE_TOLERANCE_MM)) : [],
    holePaths.map((path) => counterClockwise(flattenClosedPath(path, FINE_TOLERANCE_MM))),
  );
  const { outer: outerRing, holes: holeRings } = solid;
  const body: Region = outline ? [outerRing, ...holeRings.map((ring) => [...ring].reverse())] : [];
  const strokes = meetingStrokes(
    part.operations.map((operation) => strokeOf(part, operation, context.thicknessMm, body)),
    context.thicknessMm,
  );
  const areaMm2 = outline
    ? Math.max(
        0,
        Math.abs(pathSignedArea(outline)) -
          holePaths.reduce((sum, path) => sum + Math.abs(pathSignedArea(path)), 0) +
          solid.sharedMm2,
      )
    : 0;
  const openPaths = part.contours.filter((contour) => !contour.closed).map(curvesOf);
  // Lines may overhang a closed outline; they are worked only on the part and do not make it larger.
  const drawn = outline
    ? outerRing
    : [
        ...openPaths.flatMap((path) => flattenOpenPath(path, 0.1)),
        ...strokes.flatMap((stroke) => stroke.paths.flatMap((path) => flattenOpenPath(path, 0.1))),
      ];
  return {
    id: part.id,
    name: part.name,
    group: part.group,
    material: part.material,
    side: part.handed === 'pair' ? 'port' : 'single',
    thicknessMm: context.thicknessMm,
    grain: part.grain,
    outline,
    holes: holePaths,
    outer: outerRing,
    holeRings,
    openPaths,
    strokes,
    areaMm2,
    ...defined({ foldOrder: part.foldOrder }),
    dimensions: placedDimensions(part),
    massG: (areaMm2 / 1e6) * context.gramsPerSquareMetre,
    outlineLengthMm: (outline ? pathLength(outline) : 0) + holePaths.reduce((sum, path) => sum + pathLength(path), 0),
    bounds: boundsOf(drawn),
  };
}
