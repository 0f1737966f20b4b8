export {
  bulgeLeaving,
  bulgeOfRadius,
  circleDraft,
  polygonDraft,
  polylineDraft,
  rectangleDraft,
  roundEndedSlot,
} from './draft-shapes.ts';
export {
  type DrawnPath,
  FINE_TOLERANCE_MM,
  type PathNode,
  SIZINGS,
  SIZING_WORDS,
  type Segment,
  type Sizing,
  curveOf,
  curvesOf,
  ringOf,
  segmentFrom,
} from './drawn-path.ts';
export { type GuideShape, ON_GUIDE_MM, guideCrossings, isOnGuide, nearestOnGuide, shapeBeside } from './guide-shape.ts';
export { curvesNear } from './near-curves.ts';
export { type DraftSegment, type PathDraft, draftFault, pathFromDraft } from './path-draft.ts';
export { type Snap, type SnapOptions, snapToPaths } from './snap.ts';
export { type Corner, cornerCut, cutCorner } from './cut-corner.ts';
export { extensionOf } from './extend-path.ts';
export { joinPaths } from './join-paths.ts';
export { offsetPath } from './offset-path.ts';
export type { PathIds } from './path-ids.ts';
export { type RebuiltPath, rebuildPath } from './rebuild-path.ts';
export { simplifiedPath } from './simplify-path.ts';
export { type PathShape, splitPath, splitSegment } from './split-path.ts';
export { type Trimmed, trimPath } from './trim-path.ts';
export { uncrossedPath } from './uncross-path.ts';
