import type { PlateSolid, StandingPiece } from '../../folds/index.ts';
import {
  add3,
  applyRigid,
  isInsideRegion,
  point3,
  polygonArea,
  times3,
  turnVector,
  unit3,
  type Point3,
  type RigidMap,
} from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import type { StandingAirframe } from '../form/index.ts';

/** A plate of a part where it stands. */
export interface PlacedPlate {
  readonly part: Part;
  /** Square to the plate, out of its face. */
  readonly normal: Point3;
  /** Corners on the far skin. */
  readonly corners: readonly Point3[];
  readonly middle: Point3;
  readonly thicknessMm: number;
  /** Whether the part is this one plate: both of its skins are free. */
  readonly isAlone: boolean;
}

const placed = (part: Part, solid: PlateSolid, map: RigidMap, isAlone: boolean): PlacedPlate => {
  const corners = solid.bottom.map((p) => applyRigid(map, point3(p.x, p.y, 0)));
  return {
    part,
    normal: unit3(turnVector(map, point3(0, 0, 1))),
    corners,
    middle: times3(corners.reduce(add3, point3(0, 0, 0)), 1 / corners.length),
    thicknessMm: solid.thicknessMm,
    isAlone,
  };
};

/** The plate that a part is known by: the one that its place speaks of, else its largest. */
function mainSolid({ place }: Part, { body }: StandingPiece): PlateSolid | undefined {
  const at = place?.onPlate;
  const named = at && body.solids.find(({ plate }) => isInsideRegion(at, plate.outer, plate.holes));
  return (
    named ??
    body.solids.reduce<PlateSolid | undefined>(
      (best, one) => (!best || polygonArea(one.bottom) > polygonArea(best.bottom) ? one : best),
      undefined,
    )
  );
}

/** The plate that a part is known by, where it stands; of a pair the port one, or its mirror image. */
export function mainPlate(
  { parts, pieces }: StandingAirframe,
  partId: string,
  isMirrored = false,
): PlacedPlate | undefined {
  const part = parts.find((one) => one.part.id === partId)?.part,
    piece = pieces.find((one) => one.partId === partId && (one.side === 'starboard') === isMirrored);
  const solid = part && piece && mainSolid(part, piece);
  return solid && placed(part, solid, piece.maps[solid.plate.index]!, piece.body.solids.length === 1);
}

/** What is cut together with a part: everything of its form, else of its group, else the part alone. */
export function standingWithIt({ parts, pieces }: StandingAirframe, partId: string): readonly StandingPiece[] {
  const own = parts.find(({ part }) => part.id === partId)?.part;
  if (!own) return [];
  const isWith = ({ id, source, group }: Part): boolean =>
    own.source ? source?.formId === own.source.formId : id === own.id || (own.group !== '' && group === own.group);
  const ids = new Set(parts.filter(({ part }) => isWith(part)).map(({ part }) => part.id));
  return pieces.filter((piece) => ids.has(piece.partId));
}

/** Every corner of pieces, on both skins. */
export const cornersOf = (pieces: readonly StandingPiece[]): readonly Point3[] =>
  pieces.flatMap(({ body, maps }) =>
    body.solids.flatMap(({ bottom, top, thicknessMm, plate }) => {
      const map = maps[plate.index]!;
      return [
        ...bottom.map((p) => applyRigid(map, point3(p.x, p.y, 0))),
        ...top.map((p) => applyRigid(map, point3(p.x, p.y, thicknessMm))),
      ];
    }),
  );

/** A corner this near to the mirror image of another is that, in mm. */
const MIRRORED_MM = 0.2;

/** Whether a part stands on both sides alike: a pair, or one that is its own mirror image. */
export function isBothSides({ pieces }: StandingAirframe, partId: string): boolean {
  const own = pieces.filter((piece) => piece.partId === partId);
  if (own.some(({ side }) => side !== 'single')) return true;
  const corners = cornersOf(own);
  return corners.every(({ x, y, z }) => corners.some((p) => Math.hypot(p.x - x, p.y + y, p.z - z) < MIRRORED_MM));
}
