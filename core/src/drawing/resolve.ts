import type { GrooveCut } from '../allowance/index.ts';
import type { LengthUnit } from '../units/index.ts';
import {
  bandAlong,
  boundsOf,
  counterClockwise,
  distance,
  flattenClosedPath,
  flattenOpenPath,
  pathLength,
  pathSignedArea,
  runsInside,
  type Bounds,
  type Path,
  type Point,
  type Polygon,
  type Region,
} from '../geometry/index.ts';
import {
  cutOf,
  operationAngle,
  operationArea,
  operationCaption,
  operationDepth,
  operationWidth,
  type BoardFace,
  type Operation,
  type OperationKind,
} from './operations/index.ts';
import { meetingStrokes } from './meeting-strokes.ts';
import { placedDimensions, type PlacedDimension } from './dimension.ts';
import { expandKey, expandPart, type ExpandContext } from './expand-part.ts';
import { curveOf, curvesOf, FINE_TOLERANCE_MM, findPath, holesOf, outlineOf, type Part } from './part.ts';

/** What a part needs from around it to become exact. */
export interface ResolveContext extends ExpandContext {
  readonly gramsPerSquareMetre: number;
  /** Unit that dimensions are written in. */
  readonly unit?: LengthUnit;
}

/** One line of work on a part, at true size. */
export interface Stroke {
  readonly operationId: string;
  readonly kind: OperationKind;
  readonly face: BoardFace;
  /** Centre lines: one path a run of neighbouring segments. */
  readonly paths: readonly Path[];
  readonly closed: boolean;
  /** The worked area at its true width, clipped to the part. */
  readonly area: Region;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly angleDegrees?: number;
  readonly depthMm?: number;
  /** How a groove is cut. */
  readonly cut?: GrooveCut;
  /** Tape holds it: the board is cut right through. */
  readonly isTaped?: boolean;
  readonly caption: string;
  readonly label: string;
  /** Variants in which it exists; always when undefined. */
  readonly variants?: readonly string[];
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
  /** Unit that dimensions are written in. */
  readonly unit: LengthUnit;
  readonly areaMm2: number;
  readonly massG: number;
  /** Length of the outline and holes, all cut through, in mm. */
  readonly outlineLengthMm: number;
  readonly bounds: Bounds;
}

const remembered = new WeakMap<Part, Map<string, ResolvedPart>>();

/**
 * Makes a drawn part exact for its board. Pure, and remembered by the part and the context.
 * @param part what was drawn; the port part of a pair
 * @param context measured thickness in mm and mass in g/m² of its board
 */
export function resolve(part: Part, context: ResolveContext): ResolvedPart {
  const key = `${context.gramsPerSquareMetre}/${context.unit ?? 'mm'}/${expandKey(context)}`;
  const known = remembered.get(part) ?? new Map<string, ResolvedPart>();
  remembered.set(part, known);
  const found = known.get(key);
  if (found) return found;
  const made = resolveAnew(expandPart(part, context), context);
  known.set(key, made);
  return made;
}

function resolveAnew(part: Part, context: ResolveContext): ResolvedPart {
  const outer = outlineOf(part);
  const closedOuter = outer?.closed && outer.nodes.length >= 2 ? outer : undefined;
  const holes = holesOf(part).filter((hole) => hole.closed);
  const outline = closedOuter && curvesOf(closedOuter);
  const holePaths = holes.map(curvesOf);
  const outerRing = outline ? counterClockwise(flattenClosedPath(outline, FINE_TOLERANCE_MM)) : [];
  const holeRings = holePaths.map((path) => counterClockwise(flattenClosedPath(path, FINE_TOLERANCE_MM)));
  const body: Region = outline ? [outerRing, ...holeRings.map((ring) => [...ring].reverse())] : [];
  const strokes = meetingStrokes(
    part.operations.map((operation) => strokeOf(part, operation, context.thicknessMm, body)),
    context.thicknessMm,
  );
  const areaMm2 = outline
    ? Math.max(
        0,
        Math.abs(pathSignedArea(outline)) - holePaths.reduce((sum, path) => sum + Math.abs(pathSignedArea(path)), 0),
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
    ...(part.foldOrder ? { foldOrder: part.foldOrder } : {}),
    dimensions: placedDimensions(part),
    unit: context.unit ?? 'mm',
    massG: (areaMm2 / 1e6) * context.gramsPerSquareMetre,
    outlineLengthMm: (outline ? pathLength(outline) : 0) + holePaths.reduce((sum, path) => sum + pathLength(path), 0),
    bounds: boundsOf(drawn),
  };
}

/** The runs of an operation as paths: neighbouring chosen segments are joined into one. */
export function operationPaths(
  part: Part,
  operation: Operation,
): { readonly paths: readonly Path[]; readonly closed: boolean } {
  const path = findPath(part, operation.on.pathId);
  if (!path) return { paths: [], closed: false };
  const chosen = operation.on.segmentIds;
  if (!chosen || chosen.length >= path.segments.length) return { paths: [curvesOf(path)], closed: path.closed };
  const isOn = path.segments.map((segment) => chosen.includes(segment.id));
  const count = isOn.length;
  const start = path.closed ? isOn.findIndex((on, index) => on && !isOn[(index + count - 1) % count]) : 0;
  const runs: Path[] = [];
  let run: Path[number][] = [];
  for (let step = 0; step < count; step++) {
    const index = (start + step) % count;
    if (isOn[index]) run.push(curveOf(path, index));
    else if (run.length > 0) {
      runs.push(run);
      run = [];
    }
  }
  if (run.length > 0) runs.push(run);
  return { paths: runs, closed: false };
}

/** What of a line lies on the part: nobody cuts air. A line that lies wholly beside the part stays, so that it can be seen and moved. */
function onBody(path: Path, body: Region): readonly Path[] {
  const line = flattenOpenPath(path, FINE_TOLERANCE_MM);
  const runs = runsInside(line, body);
  const lengthOf = (points: readonly Point[]): number =>
    points.slice(1).reduce((sum, p, index) => sum + distance(points[index]!, p), 0);
  const kept = runs.reduce((sum, run) => sum + lengthOf(run), 0);
  if (kept === 0 || kept > lengthOf(line) - 1e-3) return [path];
  return runs.map((run) => run.slice(1).map((to, index) => ({ kind: 'line' as const, from: run[index]!, to })));
}

function strokeOf(part: Part, operation: Operation, thicknessMm: number, body: Region): Stroke {
  const { paths: drawn, closed } = operationPaths(part, operation);
  const isLine = !closed && part.lines.some(({ id }) => id === operation.on.pathId);
  const paths = isLine && body.length > 0 ? drawn.flatMap((path) => onBody(path, body)) : drawn;
  const runs: readonly (readonly Point[])[] = paths.map((path) =>
    closed ? counterClockwise(flattenClosedPath(path, FINE_TOLERANCE_MM)) : flattenOpenPath(path, FINE_TOLERANCE_MM),
  );
  // A closed run given to a band must name its first point again at the end.
  const bandRuns = closed && operation.kind !== 'pocket' ? runs.map((run) => [...run, run[0]!]) : runs;
  return {
    operationId: operation.id,
    kind: operation.kind,
    face: operation.face,
    paths,
    closed,
    area: operationArea(operation, {
      runs: bandRuns,
      closed,
      thicknessMm,
      body: body.length > 0 ? body : bandRuns.flatMap((run) => bandAlong(run, 1000)),
    }),
    widthMm: operationWidth(operation, thicknessMm),
    lengthMm: paths.reduce((sum, path) => sum + pathLength(path), 0),
    angleDegrees: operationAngle(operation),
    depthMm: operationDepth(operation, thicknessMm),
    ...(operation.kind === 'groove' ? { cut: cutOf(operation) } : {}),
    ...('hingeOn' in operation && operation.hingeOn === 'tape' ? { isTaped: true } : {}),
    caption: operationCaption(operation),
    label: operation.label,
    variants: operation.variants,
  };
}
