import { ellipseRun, type Curve, type Path, type Point, type Transform, IDENTITY } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import { splineCurves } from './spline.ts';
import type { DxfRecord } from './pairs.ts';

/** A run of an entity in the coordinates that it is drawn in. */
export interface DxfRun {
  readonly path: Path;
  readonly isClosed: boolean;
}

/** Entities whose coordinates are those of their own plane, which may be turned over. */
const IN_OWN_PLANE = ['LWPOLYLINE', 'POLYLINE', 'ARC', 'CIRCLE', 'INSERT', 'TEXT', 'SOLID', 'TRACE'];

/**
 * The run of an entity.
 * @param vertices records of a POLYLINE's points
 * @param tolerance greatest distance of a spline that is fitted, in the file's unit
 * @returns undefined for what is no line
 */
export function runOf(entity: DxfRecord, vertices: readonly DxfRecord[], tolerance: number): DxfRun | undefined {
  switch (entity.kind) {
    case 'LINE':
      return open([{ kind: 'line', from: pointAt(entity, 10), to: pointAt(entity, 11) }]);
    case 'LWPOLYLINE':
      return polyline(cornersOf(entity), isFlagged(entity, 1));
    case 'POLYLINE':
      // Bits 16 and 64: meshes of surfaces.
      if (isFlagged(entity, 16) || isFlagged(entity, 64)) return undefined;
      return polyline(
        vertices
          // Bit 16: points that a spline was drawn by, and that are not on it.
          .filter((vertex) => !isFlagged(vertex, 16))
          .map((vertex) => ({ ...pointAt(vertex, 10), bulge: vertex.number(42, 0) })),
        isFlagged(entity, 1),
      );
    case 'ARC': {
      const start = entity.number(50, 0),
        sweep = (((entity.number(51, 360) - start) % 360) + 360) % 360;
      return open(round(entity, radians(start), radians(sweep === 0 ? 360 : sweep)));
    }
    case 'CIRCLE':
      return { path: round(entity, 0, 2 * Math.PI), isClosed: true };
    case 'ELLIPSE':
      return ellipse(entity);
    case 'SPLINE':
      return {
        path: splineCurves(
          {
            degree: entity.number(71, 3),
            knots: entity.numbers(40),
            points: entity.points(10),
            weights: entity.numbers(41),
            fitPoints: entity.points(11),
          },
          tolerance,
        ),
        isClosed: isFlagged(entity, 1),
      };
    default:
      return undefined;
  }
}

const open = (path: Path): DxfRun => ({ path, isClosed: false });
const isFlagged = (entity: DxfRecord, bit: number): boolean => (entity.number(70, 0) & bit) !== 0;
export const pointAt = (entity: DxfRecord, code: number): Point => ({
  x: entity.number(code, 0),
  y: entity.number(code + 10, 0),
});

interface Corner extends Point {
  readonly bulge: number;
}

function cornersOf(entity: DxfRecord): readonly Corner[] {
  const corners: { x: number; y: number; bulge: number }[] = [];
  entity.each((code, value) => {
    const last = corners.at(-1);
    if (code === 10) corners.push({ x: Number(value()), y: 0, bulge: 0 });
    else if (code === 20 && last) last.y = Number(value());
    else if (code === 42 && last) last.bulge = Number(value());
  });
  return corners;
}

function polyline(corners: readonly Corner[], isClosed: boolean): DxfRun {
  const path = corners.flatMap(({ bulge, ...from }, index): readonly Curve[] => {
    const next = corners[index + 1] ?? (isClosed ? corners[0] : undefined);
    if (!next || (next.x === from.x && next.y === from.y)) return [];
    const to = { x: next.x, y: next.y };
    return [Math.abs(bulge) < 1e-9 ? { kind: 'line', from, to } : { kind: 'arc', from, to, bulge }];
  });
  return { path, isClosed };
}

function round(entity: DxfRecord, start: number, sweep: number): Path {
  const { x, y } = pointAt(entity, 10),
    radius = entity.number(40, 0);
  return radius > 0 ? ellipseRun({ ...IDENTITY, a: radius, d: radius, e: x, f: y }, start, sweep) : [];
}

function ellipse(entity: DxfRecord): DxfRun {
  const centre = pointAt(entity, 10),
    long = pointAt(entity, 11),
    ratio = entity.number(40, 1);
  const start = entity.number(41, 0),
    end = entity.number(42, 2 * Math.PI);
  const turn = 2 * Math.PI;
  const sweep = (((end - start) % turn) + turn) % turn;
  const isWhole = sweep < 1e-9 || turn - sweep < 1e-9;
  // Seen from below its plane, an ellipse runs the other way round.
  const over = entity.number(230, 1) < 0 ? -1 : 1;
  const map: Transform = {
    a: long.x,
    b: long.y,
    c: -long.y * ratio * over,
    d: long.x * ratio * over,
    e: centre.x,
    f: centre.y,
  };
  return { path: ellipseRun(map, start, isWhole ? turn : sweep), isClosed: isWhole };
}

/**
 * From an entity's own plane to the drawing's, seen from above.
 * @source the format's arbitrary axis algorithm: the plane's x lies across the world's y, or its z where the plane is nearly upright to it
 */
export function planeOf(entity: DxfRecord): Transform {
  if (!IN_OWN_PLANE.includes(entity.kind)) return IDENTITY;
  const [x, y, z] = [entity.number(210, 0), entity.number(220, 0), entity.number(230, 1)];
  if (x === 0 && y === 0) return z < 0 ? { ...IDENTITY, a: -1 } : IDENTITY;
  const length = Math.hypot(x, y, z),
    n = [x / length, y / length, z / length] as const;
  const isNearUp = Math.abs(n[0]) < 1 / 64 && Math.abs(n[1]) < 1 / 64;
  const across = isNearUp ? ([n[2], 0, -n[0]] as const) : ([-n[1], n[0], 0] as const);
  const size = Math.hypot(...across),
    ax = [across[0] / size, across[1] / size, across[2] / size] as const;
  const ay = [n[1] * ax[2] - n[2] * ax[1], n[2] * ax[0] - n[0] * ax[2], n[0] * ax[1] - n[1] * ax[0]] as const;
  const height = entity.number(30, 0) || entity.number(38, 0);
  return { a: ax[0], b: ax[1], c: ay[0], d: ay[1], e: n[0] * height, f: n[1] * height };
}
