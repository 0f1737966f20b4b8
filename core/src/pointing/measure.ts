import {
  arcGeometry,
  cross,
  curveLength,
  curveTangent,
  distance,
  dot,
  nearestOnPath,
  splitCurve,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { pathsOf, type Part } from '../part/index.ts';
import { curvesOf } from '../paths/index.ts';
import { defined, degrees } from '../units/index.ts';

/** Places this near a path lie on it, in mm. */
const ON_PATH_MM = 1e-3;

/** What can be told of two places on a drawing beyond their distance. Lengths in mm, angles in degrees. */
export interface MeasuredOnDrawing {
  /** Length along the path that both lie on, the shorter way round a closed one first. */
  readonly alongMm?: readonly [number] | readonly [number, number];
  /** Angle between the edges that they lie on, 0 to 180. */
  readonly betweenDegrees?: number;
  /** Radius of the arc that the first or the second lies on. */
  readonly radiusMm?: number;
}

/** Measures between two places on the edges and lines of a part. */
export function measureOnDrawing(part: Part, from: Point, to: Point): MeasuredOnDrawing {
  const places = pathsOf(part).map((path) => {
    const curves = curvesOf(path);
    return { path, curves, from: nearestOnPath(curves, from), to: nearestOnPath(curves, to) };
  });
  const shared = places.find(
    (one) => one.from && one.to && one.from.distance < ON_PATH_MM && one.to.distance < ON_PATH_MM,
  );
  const alongMm = shared && lengthsBetween(shared.curves, shared.path.closed, shared.from!, shared.to!);
  const [a, b] = [from, to].map((p) =>
    edgeUnder(
      places.map(({ curves }) => curves),
      p,
    ),
  );
  const turn =
    a && b && a.curve !== b.curve
      ? Math.abs(degrees(Math.atan2(cross(a.tangent, b.tangent), dot(a.tangent, b.tangent))))
      : undefined;
  const arc = [a, b].flatMap((edge) =>
    edge?.curve.kind === 'arc' && Math.abs(edge.curve.bulge) > 1e-9 ? [arcGeometry(edge.curve).radius] : [],
  )[0];
  return {
    ...(alongMm ? { alongMm } : {}),
    ...defined({ betweenDegrees: turn, radiusMm: arc }),
  };
}

interface PlaceOnPath {
  readonly curve: number;
  readonly t: number;
}

/** Length of a path up to a place on it. */
function lengthTo(curves: Path, { curve, t }: PlaceOnPath): number {
  const before = curves.slice(0, curve).reduce((sum, one) => sum + curveLength(one), 0);
  if (t <= 0) return before;
  return before + (t >= 1 ? curveLength(curves[curve]!) : curveLength(splitCurve(curves[curve]!, t)[0]));
}

function lengthsBetween(
  curves: Path,
  isClosed: boolean,
  from: PlaceOnPath,
  to: PlaceOnPath,
): readonly [number] | readonly [number, number] {
  const one = Math.abs(lengthTo(curves, to) - lengthTo(curves, from));
  if (!isClosed) return [one];
  const other = curves.reduce((sum, curve) => sum + curveLength(curve), 0) - one;
  return one <= other ? [one, other] : [other, one];
}

/** The edge that a place lies on, with its direction there; a place on a corner lies on no single edge. */
function edgeUnder(
  paths: readonly Path[],
  p: Point,
): { readonly curve: Path[number]; readonly tangent: Point } | undefined {
  for (const curves of paths) {
    const near = nearestOnPath(curves, p);
    if (!near || near.distance >= ON_PATH_MM) continue;
    const curve = curves[near.curve]!;
    return distance(curve.from, p) < ON_PATH_MM || distance(curve.to, p) < ON_PATH_MM
      ? undefined
      : { curve, tangent: curveTangent(curve, near.t) };
  }
  return undefined;
}
