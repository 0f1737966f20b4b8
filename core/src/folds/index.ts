export {
  type Assembly,
  type StrayJoint,
  assemble,
  PRESS_FAULT_MM,
  assemblyClashes,
  assemblySeams,
  standingWith,
  placeMap,
} from './assembly.ts';
export { type OrderedFold, foldOrder } from './fold-order.ts';
export { STRAY_WORDS, assemblyReport, contactSentence, foldName, foldReport } from './fold-report.ts';
export { edgesNear, edgesWithin } from './edges-near.ts';
export { type FootContact, footCommands } from './foot-contact.ts';
export { type StandingContact, seamFoot, standingContacts } from './standing-contacts.ts';
export { foldTree } from './fold-tree.ts';
export { type HingeState, fold, foldedBy, placedPoint } from './fold.ts';
export {
  FACE_COLOURS,
  type FoldedFace,
  type Viewpoint,
  drawnFaces,
  foldedFaces,
  foldedSvg,
  isSection,
  plateFaces,
  seenDirection,
  seenFrom,
  shaded,
} from './folded-faces.ts';
export {
  type FoldedPart,
  type SeamFigures,
  clashOf,
  foldNamesInOrder,
  foldsInOrder,
  plateBody,
  seamFigures,
} from './folded-part.ts';
export { type PlateSize, type SizeEnd, foldedSizes, sizeBetween, sizeCommand } from './folded-sizes.ts';
export { bentBodies } from './bent-bodies.ts';
export { type Clash, clashesOf } from './interference.ts';
export { type CutPlane, cutFaces, sectionFaces, sectionRings } from './section-faces.ts';
export { type PlateSolid, solidsOf } from './plate-solid.ts';
export { platesOf } from './plates.ts';
export type { StandingPart, StandingPiece } from './standing.ts';
export { type Line3, type PlacedEdge, placedEdge } from './seam-edges.ts';
export { type SeamMend, bevellingMends, bevelsOf, closingMend } from './seam-mends.ts';
export { CLOSED_MM, type SeamState, measureSeam, seamState as seamStateOf } from './seams.ts';
export { type RingAnswer, type RingAnswers, closeRing, ringCommands } from './close-ring.ts';
export { type MeasuredPlace, type ModelMeasure, type Sight, measureOnModel, placeInSight } from './measure-model.ts';
