import {
  arcGeometry,
  boundsHeight,
  boundsOf,
  boundsWidth,
  distance,
  flattenCurve,
  type Bounds,
  type Curve,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { bareLengthText } from '../units/index.ts';

/** One leg of a drawn path: to a point, straight, along an arc, or along a curve through points. All in mm across and up. */
export interface PathLeg {
  readonly to: Point;
  readonly radiusMm?: number;
  readonly centre?: Point;
  readonly through?: readonly Point[];
}
/**
 * Where a line of work lies, in mm across from the left and up from the lower edge of the rectangle round its part, seen from the face: what a
 * rule on the board finds.
 */
export type CutPlace =
  | { readonly kind: 'run'; readonly from: Point; readonly to: Point; readonly isEdgeToEdge: boolean }
  | { readonly kind: 'circle'; readonly middle: Point; readonly diameterMm: number }
  | { readonly kind: 'box'; readonly corner: Point; readonly acrossMm: number; readonly upMm: number }
  | { readonly kind: 'path'; readonly from: Point; readonly legs: readonly PathLeg[] };

/** Lines this straight, this level and ends this near an edge are told as such, in mm. */
const NEAR_MM = 0.05,
  EDGE_MM = 0.3;
/** How far the points of a curve may leave it between them, in mm. */
const CURVE_MM = 0.4;

/**
 * Where a path lies on its part.
 * @param box the rectangle round the part
 * @param toEdge distance of a place from the part's nearest edge, in mm
 */
export function placeOf(path: Path, closed: boolean, box: Bounds, toEdge: (p: Point) => number): CutPlace {
  const local = (p: Point): Point => ({ x: p.x - box.minX, y: p.y - box.minY });
  const first = path[0]!,
    last = path.at(-1)!;
  if (!closed && path.every((curve) => isOnRun(curve, first.from, last.to)))
    return {
      kind: 'run',
      ...upward(local(first.from), local(last.to)),
      isEdgeToEdge: toEdge(first.from) < EDGE_MM && toEdge(last.to) < EDGE_MM,
    };
  return (closed ? (circleOf(path, local) ?? boxOf(path, local)) : undefined) ?? legsOf(path, local);
}

/** Runs are told from their left end, upright ones from below. */
const upward = (from: Point, to: Point): { readonly from: Point; readonly to: Point } =>
  to.x < from.x - NEAR_MM || (Math.abs(to.x - from.x) <= NEAR_MM && to.y < from.y)
    ? { from: to, to: from }
    : { from, to };

function isOnRun(curve: Curve, from: Point, to: Point): boolean {
  const length = distance(from, to);
  if (curve.kind !== 'line' || length < NEAR_MM) return false;
  const off = (p: Point): number =>
    Math.abs((p.x - from.x) * (to.y - from.y) - (p.y - from.y) * (to.x - from.x)) / length;
  return off(curve.to) < NEAR_MM;
}

function circleOf(path: Path, local: (p: Point) => Point): CutPlace | undefined {
  const arcs = path.map((curve) => (curve.kind === 'arc' ? arcGeometry(curve) : undefined));
  const one = arcs[0];
  if (!one || !arcs.every((arc) => arc && distance(arc.centre, one.centre) < NEAR_MM)) return undefined;
  return { kind: 'circle', middle: local(one.centre), diameterMm: 2 * one.radius };
}

function boxOf(path: Path, local: (p: Point) => Point): CutPlace | undefined {
  const isUpright = ({ from, to }: Curve): boolean =>
    Math.abs(from.x - to.x) < NEAR_MM || Math.abs(from.y - to.y) < NEAR_MM;
  if (path.length !== 4 || !path.every((curve) => curve.kind === 'line' && isUpright(curve))) return undefined;
  const box = boundsOf(path.map(({ from }) => local(from)));
  return {
    kind: 'box',
    corner: { x: box.minX, y: box.minY },
    acrossMm: boundsWidth(box),
    upMm: boundsHeight(box),
  };
}

const legsOf = (path: Path, local: (p: Point) => Point): CutPlace => ({
  kind: 'path',
  from: local(path[0]!.from),
  legs: path.map((curve): PathLeg => {
    const to = local(curve.to);
    switch (curve.kind) {
      case 'line':
        return { to };
      case 'arc': {
        const { centre, radius } = arcGeometry(curve);
        return { to, radiusMm: radius, centre: local(centre) };
      }
      case 'cubic':
        return {
          to,
          through: flattenCurve(curve, CURVE_MM)
            .slice(1)
            .map(({ point }) => local(point)),
        };
    }
  }),
});

const at = ({ x, y }: Point): string => `(${bareLengthText(x)}, ${bareLengthText(y)})`;

/** How many points a place is told by. */
export const pointsTold = (place: CutPlace): number =>
  place.kind === 'path'
    ? 1 + place.legs.reduce((sum, { through = [], centre }) => sum + 1 + through.length + (centre ? 1 : 0), 0)
    : 1;

/** A place in words, lengths as marks: `210.0 from the left`, `from (12.0, 0.0) to (80.0, 100.0)`, `10.0 across about (45.0, 30.0)`. */
export function placeWords(place: CutPlace): string {
  switch (place.kind) {
    case 'run':
      return runWords(place);
    case 'circle':
      return `${bareLengthText(place.diameterMm)} across, middle at ${at(place.middle)}`;
    case 'box':
      return `${bareLengthText(place.acrossMm)} wide, ${bareLengthText(place.upMm)} high, lower left corner at ${at(place.corner)}`;
    case 'path':
      return `${at(place.from)}${place.legs.map(legWords).join('')}`;
  }
}

function runWords({ from, to, isEdgeToEdge }: Extract<CutPlace, { kind: 'run' }>): string {
  if (Math.abs(from.x - to.x) < NEAR_MM)
    return `${bareLengthText(from.x)} from the left${isEdgeToEdge ? '' : `, from ${bareLengthText(from.y)} to ${bareLengthText(to.y)} up`}`;
  if (Math.abs(from.y - to.y) < NEAR_MM)
    return `${bareLengthText(from.y)} from below${isEdgeToEdge ? '' : `, from ${bareLengthText(from.x)} to ${bareLengthText(to.x)} across`}`;
  return `from ${at(from)} to ${at(to)}`;
}

function legWords({ to, radiusMm, centre, through = [] }: PathLeg): string {
  if (radiusMm !== undefined && centre) return `, arc of ${bareLengthText(radiusMm)} about ${at(centre)} to ${at(to)}`;
  return through.length > 0 ? `, curve by ${through.map(at).join(' ')} to ${at(to)}` : `, ${at(to)}`;
}
