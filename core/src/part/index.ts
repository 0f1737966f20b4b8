export { derivedId, drawnId, featureIdOf, isMadeId, isMirrorId, mirrorId, pieceId } from './derived-ids.ts';
export { DIMENSION_WAYS, type DimensionAlong } from './dimension.ts';
export { findNode, findSegment, pathWord, withPath } from './find.ts';
export { type Attachment, GUIDE_KINDS, type Guide, type GuideBase } from './guide.ts';
export { IdSource } from './id-source.ts';
export { brokenInvariant } from './invariants.ts';
export { withoutLostPlaces } from './lost-places.ts';
export {
  type AirframePoint,
  CENTRE_LINES,
  CONTOUR_ROLES,
  type Contour,
  type DrawnLine,
  FURTHEST_COORDINATE_MM,
  type InsideSize,
  type Joint,
  PART_HANDS,
  PART_SIZINGS,
  OWN_DETAILS,
  type OwnDetail,
  type PartSource,
  PLANNED_ROLES,
  type PlannedFrom,
  type Part,
  type Place,
  type PlateSlot,
  type Seam,
  type Symmetry,
  emptyPart,
  findPath,
  findLine,
  holesOf,
  outlineOf,
  pathsOf,
  piecesOf,
} from './part.ts';
export { type PlacedDimension, dimensionEnds, dimensionValue, placedDimensions } from './placed-dimensions.ts';
export { guideShape, placedGuides } from './placed-guides.ts';
export { type StraightLine, lineName, straightLines } from './straight-lines.ts';
export { outOfBounds } from './out-of-bounds.ts';
export {
  EDGE_REFERENCE,
  IDENTIFIER,
  KEPT_SLOT_MM,
  LONGEST_NAME,
  LONGEST_NOTES,
  LONGEST_SHORT_NAME,
  MOST_FEATURES,
  MOST_GUIDES,
  MOST_IDS,
  MOST_JOINTS,
  MOST_NODES,
  MOST_OPERATIONS,
  MOST_PATHS,
  SLOT_FIT_MM,
  SMALLEST_GUIDE_RADIUS_MM,
  STEEPEST_PLATE_SLANT_DEGREES,
  WIDEST_GUIDE_TURN_DEGREES,
  WIDEST_JOINT_TURN_DEGREES,
  WIDEST_TURN_DEGREES,
} from './part-bounds.ts';
