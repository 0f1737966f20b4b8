import {
  boundsOf,
  convexHull,
  cross3,
  distance3,
  dot3,
  intersectionOf,
  midpoint,
  regionArea,
  subtract3,
  unit3,
  type Point,
  type Polygon,
} from '../../geometry/index.ts';
import { edgeKey, inwardOf, pointsOf, sidesByEdge, turnOver, type FaceSide, type Mesh, type MeshFace } from './mesh.ts';

/** A face laid flat, its inside up: where its corners come to lie, in its own order. */
export interface LaidFace {
  readonly face: MeshFace;
  readonly corners: Polygon;
}

/** Faces that are cut as one piece, and the edges that they hang together by. */
export interface Patch {
  readonly faces: readonly LaidFace[];
  readonly folds: readonly string[];
}

/** What bounds a piece. */
export interface UnfoldLimits {
  /** Greatest size of a piece, in mm. */
  readonly longMm: number;
  readonly wideMm: number;
  /** Faces are parted where they turn inward, or further outward than this, in degrees. */
  readonly mostTurnDegrees: number;
  /** How much a seam on an edge is to be avoided, as a factor of its length: 1 when undefined. */
  readonly shows?: (edge: string) => number;
}

/** Inward turns up to this are creased, and hold faces together, in degrees. */
const SHALLOW_INWARD_DEGREES = 3;
/** Pieces that lie over each other by less are beside each other, in mm². */
const OVERLAP_MM2 = 0.02;
/** Sides that lie this near to each other are one, in mm. */
const SHUT_MM = 1e-4;

/** A face laid flat with its first side along x. */
function layFace(mesh: Mesh, face: MeshFace): LaidFace {
  const points = pointsOf(mesh, face),
    [origin, second] = points as [(typeof points)[number], (typeof points)[number]];
  const u = unit3(subtract3(second, origin)),
    v = cross3(inwardOf(points), u);
  return {
    face,
    corners: points.map((p) => {
      const off = subtract3(p, origin);
      return { x: dot3(off, u), y: dot3(off, v) };
    }),
  };
}

const cornerAt = ({ face, corners }: LaidFace, key: string): Point => corners[face.loop.indexOf(key)]!;

/** A piece turned and moved so that two of its corners come to lie on two places. */
function movedOnto(
  faces: readonly LaidFace[],
  [a, b]: readonly [Point, Point],
  [p, q]: readonly [Point, Point],
): readonly LaidFace[] {
  const from = Math.atan2(b.y - a.y, b.x - a.x),
    to = Math.atan2(q.y - p.y, q.x - p.x),
    [own, there] = [midpoint(a, b), midpoint(p, q)];
  const cos = Math.cos(to - from),
    sin = Math.sin(to - from);
  return faces.map(({ face, corners }) => ({
    face,
    corners: corners.map(({ x, y }) => ({
      x: there.x + (x - own.x) * cos - (y - own.y) * sin,
      y: there.y + (x - own.x) * sin + (y - own.y) * cos,
    })),
  }));
}

function overlaps(one: readonly LaidFace[], other: readonly LaidFace[]): boolean {
  const boxes = one.map(({ corners }) => boundsOf(corners));
  return other.some(({ corners }) => {
    const box = boundsOf(corners);
    return one.some(({ corners: own }, index) => {
      const b = boxes[index]!;
      if (b.minX > box.maxX || box.minX > b.maxX || b.minY > box.maxY || box.minY > b.maxY) return false;
      return regionArea(intersectionOf([own], [corners])) > OVERLAP_MM2;
    });
  });
}

/** Whether a piece fits a rectangle, turned as it likes. */
function fits(faces: readonly LaidFace[], { longMm, wideMm }: UnfoldLimits): boolean {
  const hull = convexHull(faces.flatMap(({ corners }) => corners));
  return hull.some((a, index) => {
    const b = hull[(index + 1) % hull.length]!,
      angle = Math.atan2(b.y - a.y, b.x - a.x),
      cos = Math.cos(-angle),
      sin = Math.sin(-angle);
    const { minX, maxX, minY, maxY } = boundsOf(
      hull.map(({ x, y }) => ({ x: x * cos - y * sin, y: x * sin + y * cos })),
    );
    const [long, wide] = [Math.max(maxX - minX, maxY - minY), Math.min(maxX - minX, maxY - minY)];
    return long <= longMm && wide <= wideMm;
  });
}

/** Whether two faces of a piece lie side to side on the flat though no fold was made there: nothing is cut between them. */
function isShut(
  { faces, folds }: Patch,
  { edge, one, other }: { readonly edge: string; readonly one: FaceSide; readonly other: FaceSide },
): boolean {
  if (folds.includes(edge)) return false;
  const [first, second] = [one, other].map((side) => faces.find(({ face }) => face === side.face));
  return (
    first !== undefined &&
    second !== undefined &&
    [one.from, one.to].every((key) => {
      const [p, q] = [cornerAt(first, key), cornerAt(second, key)];
      return Math.hypot(p.x - q.x, p.y - q.y) < SHUT_MM;
    })
  );
}

/**
 * The faces of a mesh as pieces that can be cut: joined over the edges whose seams would be longest and show most, as long as a piece fits
 * its board and no face comes to lie over another.
 * @returns every face once; a face that fits no board is a piece of its own
 * @source a greatest spanning forest, edge by edge, refused where the pieces would overlap on the flat
 */
export function unfoldMesh(mesh: Mesh, limits: UnfoldLimits): readonly Patch[] {
  const patchOf = new Map<string, { faces: readonly LaidFace[]; folds: readonly string[] }>(
    mesh.faces.map((face) => [face.name, { faces: [layFace(mesh, face)], folds: [] }]),
  );
  const candidates = [...sidesByEdge(mesh)].flatMap(([edge, sides]) => {
    const [one, other] = sides;
    if (sides.length !== 2 || one!.face.group !== other!.face.group) return [];
    const turn = turnOver(pointsOf(mesh, one!.face), pointsOf(mesh, other!.face));
    if (turn < -SHALLOW_INWARD_DEGREES || turn > limits.mostTurnDegrees) return [];
    const long = distance3(mesh.vertices.get(one!.from)!, mesh.vertices.get(one!.to)!);
    return [{ edge, one: one!, other: other!, worth: long * (limits.shows?.(edge) ?? 1) }];
  });
  for (const { edge, one, other } of candidates.sort((a, b) => b.worth - a.worth || (a.edge < b.edge ? -1 : 1))) {
    const [own, there] = [patchOf.get(one.face.name)!, patchOf.get(other.face.name)!];
    if (own === there) continue;
    const first = own.faces.find(({ face }) => face === one.face)!,
      second = there.faces.find(({ face }) => face === other.face)!;
    const moved = movedOnto(
      there.faces,
      [cornerAt(second, one.from), cornerAt(second, one.to)],
      [cornerAt(first, one.from), cornerAt(first, one.to)],
    );
    const joined = [...own.faces, ...moved];
    if (!fits(joined, limits) || overlaps(own.faces, moved)) continue;
    const patch = { faces: joined, folds: [...own.folds, ...there.folds, edge] };
    for (const { face } of joined) patchOf.set(face.name, patch);
  }
  return [...new Set(patchOf.values())].map((patch) => ({
    ...patch,
    folds: [...patch.folds, ...candidates.filter((one) => isShut(patch, one)).map(({ edge }) => edge)],
  }));
}

/** The free sides of a piece, round with the foam to the left, by walking from face to face over its folds. */
export function boundaryOf({ faces, folds }: Patch): readonly { readonly laid: LaidFace; readonly index: number }[] {
  const held = new Set(folds),
    bySide = new Map(
      faces.flatMap((laid) =>
        laid.face.loop.map((from, index) => {
          const to = laid.face.loop[(index + 1) % laid.face.loop.length]!;
          return [`${from}>${to}`, { laid, index }] as const;
        }),
      ),
    );
  const keyOf = ({ laid, index }: { laid: LaidFace; index: number }): string =>
    edgeKey(laid.face.loop[index]!, laid.face.loop[(index + 1) % laid.face.loop.length]!);
  const next = (side: { laid: LaidFace; index: number }): { laid: LaidFace; index: number } => {
    let at = { laid: side.laid, index: (side.index + 1) % side.laid.face.loop.length };
    while (held.has(keyOf(at))) {
      const from = at.laid.face.loop[at.index]!,
        to = at.laid.face.loop[(at.index + 1) % at.laid.face.loop.length]!,
        twin = bySide.get(`${to}>${from}`)!;
      at = { laid: twin.laid, index: (twin.index + 1) % twin.laid.face.loop.length };
    }
    return at;
  };
  const start = [...bySide.values()].find((side) => !held.has(keyOf(side)));
  if (!start) return [];
  const ring = [start];
  for (let at = next(start); at.laid !== start.laid || at.index !== start.index; at = next(at)) ring.push(at);
  return ring;
}
