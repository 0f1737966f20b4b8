import {
  bandAlong,
  counterClockwise,
  distance,
  flattenClosedPath,
  flattenOpenPath,
  pathLength,
  runsInside,
  type Path,
  type Point,
  type Region,
} from '../geometry/index.ts';
import {
  cutOf,
  traitsOf,
  operationAngle,
  operationArea,
  operationCaption,
  operationDepth,
  operationWidth,
  type Operation,
  type Stroke,
} from '../operations/index.ts';
import { findLine, findPath, type Part } from '../part/index.ts';
import { curveOf, curvesOf, FINE_TOLERANCE_MM } from '../paths/index.ts';

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

/** One operation of a part made exact: its lines, its worked area at true width, its words. */
export function strokeOf(part: Part, operation: Operation, thicknessMm: number, body: Region): Stroke {
  const { paths: drawn, closed } = operationPaths(part, operation);
  const isLine = !closed && findLine(part, operation.on.pathId) !== undefined;
  const paths = isLine && body.length > 0 ? drawn.flatMap((path) => onBody(path, body)) : drawn;
  const runs: readonly (readonly Point[])[] = paths.map((path) =>
    closed ? counterClockwise(flattenClosedPath(path, FINE_TOLERANCE_MM)) : flattenOpenPath(path, FINE_TOLERANCE_MM),
  );
  // A closed run given to a band must name its first point again at the end.
  const bandRuns = closed && traitsOf(operation.kind).ground !== 'area' ? runs.map((run) => [...run, run[0]!]) : runs;
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
    ...(operation.kind === 'bend' && operation.neutralPercent
      ? { neutralMm: (operation.neutralPercent / 100) * thicknessMm }
      : {}),
    ...(operation.kind === 'trench' && operation.leanDegrees ? { leanDegrees: operation.leanDegrees } : {}),
    ...('hingeOn' in operation && operation.hingeOn === 'tape' ? { isTaped: true } : {}),
    caption: operationCaption(operation),
    label: operation.label,
    variants: operation.variants,
  };
}
