export { derivedId, drawnId, featureIdOf, isMirrorId, mirrorId, pieceId } from './derived-ids.ts';
export { DIMENSION_WAYS, type DimensionAlong } from './dimension.ts';
export { findNode, findSegment, pathWord, withPath } from './find.ts';
export { type Attachment, GUIDE_KINDS, type Guide, type GuideBase } from './guide.ts';
export { IdSource } from './id-source.ts';
export { brokenInvariant } from './invariants.ts';
export { withoutLostPlaces } from './lost-places.ts';
export {
  CENTRE_LINES,
  CONTOUR_ROLES,
  type Contour,
  type DrawnLine,
  FURTHEST_COORDINATE_MM,
  type Joint,
  PART_HANDS,
  PART_SIZINGS,
  type Part,
  type Place,
  type PlateSlot,
  type Seam,
  type Symmetry,
  emptyPart,
  findPath,
  holesOf,
  outlineOf,
  pathsOf,
  piecesOf,
} from './part.ts';
export { type PlacedDimension, dimensionEnds, dimensionValue, placedDimensions } from './placed-dimensions.ts';
export { guideShape, placedGuides } from './placed-guides.ts';
export { type StraightLine, lineName, straightLines } from './straight-lines.ts';
