import {
  add3,
  cross3,
  dot3,
  interpolate3,
  point3,
  times3,
  turnVector,
  unit3,
  type Point3,
  type RigidMap,
} from '../geometry/index.ts';
import type { FaceKind, FoldedFace } from './folded-faces.ts';
import { carriedPiece, foamPieces, type FoamPiece, type FoamSide } from './foam-pieces.ts';
import { SKIN_MM, type PlateSolid } from './plate-solid.ts';

/** A plane that a model is cut open at: what lies beyond `atMm` along the normal, of length 1, is taken away. */
export interface CutPlane {
  readonly normal: Point3;
  readonly atMm: number;
}

/** Reach of the ground that a section is cut out of, in mm: beyond any model. */
const REACH_MM = 100_000;
const LEAST_AREA_MM2 = 1e-6;

/** What stays of faces when the model is cut open. */
export const cutFaces = (faces: readonly FoldedFace[], { normal, atMm }: CutPlane): readonly FoldedFace[] =>
  faces.flatMap((face) => {
    const rings = face.rings.map((ring) => clipped(ring, { normal, mostMm: atMm }));
    return rings[0]!.length < 3 ? [] : [{ ...face, rings: rings.filter(({ length }) => length > 2) }];
  });

/** The faces that a cut lays open: foam, and the skins on both of its sides. Corners run counter-clockwise as seen against the normal. */
export const sectionFaces = (
  plates: readonly { readonly solid: PlateSolid; readonly map: RigidMap }[],
  plane: CutPlane,
): readonly FoldedFace[] =>
  plates.flatMap(({ solid, map }) =>
    layersOf(solid, map).flatMap(({ kind, between }) =>
      foamPieces(solid).flatMap((piece): readonly FoldedFace[] => {
        const ring = sectionOfPiece(carriedPiece(piece, map), between, plane);
        return ring ? [{ plate: solid.plate.index, kind, rings: [ring] }] : [];
      }),
    ),
  );

/** The rings that a cut lays open, skins and foam as one: a plate is as many as it has convex pieces there. */
export const sectionRings = (
  plates: readonly { readonly solid: PlateSolid; readonly map: RigidMap }[],
  plane: CutPlane,
): readonly (readonly Point3[])[] =>
  plates.flatMap(({ solid, map }) => {
    const normal = inFrameOf(map, plane.normal),
      atMm = plane.atMm - dot3(plane.normal, map.origin);
    // Most pieces lie to one side: that is seen in the plate's own frame, before any is carried into space.
    const isCut = ({ corners }: FoamPiece): boolean => {
      let [isBelow, isAbove] = [false, false];
      for (const corner of corners) {
        const height = dot3(corner, normal);
        isBelow ||= height <= atMm;
        isAbove ||= height >= atMm;
      }
      return isBelow && isAbove;
    };
    return foamPieces(solid).flatMap((piece) => {
      const ring = isCut(piece) ? sectionOfPiece(carriedPiece(piece, map), [], plane) : undefined;
      return ring ? [ring] : [];
    });
  });

/** A way of the airframe in the frame of a plate. */
const inFrameOf = ({ x, y, z }: RigidMap, way: Point3): Point3 => point3(dot3(x, way), dot3(y, way), dot3(z, way));

/** The layers of a plate in space: skin, foam and skin, each between two planes. */
function layersOf(
  { plate, thicknessMm }: PlateSolid,
  map: RigidMap,
): readonly { readonly kind: FaceKind; readonly between: readonly FoamSide[] }[] {
  if (plate.kind === 'skin') return [{ kind: 'section skin', between: [] }];
  const up = turnVector(map, point3(0, 0, 1)),
    base = dot3(up, map.origin);
  const below = (zMm: number): FoamSide => ({ normal: up, mostMm: base + zMm });
  const above = (zMm: number): FoamSide => ({ normal: times3(up, -1), mostMm: -(base + zMm) });
  return [
    { kind: 'section foam', between: [above(SKIN_MM), below(thicknessMm - SKIN_MM)] },
    { kind: 'section skin', between: [below(SKIN_MM)] },
    { kind: 'section skin', between: [above(thicknessMm - SKIN_MM)] },
  ];
}

/** Where a plane cuts a convex piece, within further planes. */
function sectionOfPiece(
  { sides, corners }: FoamPiece,
  between: readonly FoamSide[],
  { normal, atMm }: CutPlane,
): readonly Point3[] | undefined {
  const heights = corners.map((corner) => dot3(corner, normal));
  if (Math.min(...heights) > atMm || Math.max(...heights) < atMm) return undefined;
  const across = unit3(Math.abs(normal.z) < 0.9 ? cross3(point3(0, 0, 1), normal) : cross3(point3(1, 0, 0), normal)),
    up = cross3(normal, across);
  const ground = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([a, b]) => add3(times3(normal, atMm), add3(times3(across, a! * REACH_MM), times3(up, b! * REACH_MM))));
  const ring = [...sides, ...between].reduce<readonly Point3[]>(clipped, ground);
  return ring.length > 2 && areaOf(ring) > LEAST_AREA_MM2 ? ring : undefined;
}

const areaOf = (ring: readonly Point3[]): number => {
  const sum = ring.reduce(
    (total, p, index) => add3(total, cross3(p, ring[(index + 1) % ring.length]!)),
    point3(0, 0, 0),
  );
  return Math.hypot(sum.x, sum.y, sum.z) / 2;
};

/** What of a ring lies on the inner side of a plane. @source Sutherland–Hodgman */
function clipped(ring: readonly Point3[], { normal, mostMm }: FoamSide): readonly Point3[] {
  const off = ring.map((p) => dot3(p, normal) - mostMm);
  return ring.flatMap((p, index) => {
    const next = (index + 1) % ring.length;
    const [here, there] = [off[index]!, off[next]!];
    const crossing = here > 0 !== there > 0 ? [interpolate3(p, ring[next]!, here / (here - there))] : [];
    return here > 0 ? crossing : [p, ...crossing];
  });
}
