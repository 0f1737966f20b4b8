export { type FoldDefaults, type FoldStyle, USUAL_FOLDS, withFoldDefaults } from './fold-defaults.ts';
export { cutOf, cutWords, grooveGap } from './groove.ts';
export {
  mirroredOperation,
  operationAngle,
  operationArea,
  operationCaption,
  operationDepth,
  operationFaults,
  operationWidth,
  operationWord,
  traitsOf,
} from './kinds.ts';
export type { OperationFault } from './operation-kind.ts';
export {
  type BoardFace,
  OPERATION_KINDS,
  type Operation,
  type OperationDraft,
  type OperationKind,
  type OperationPlace,
} from './operation.ts';
export type { Stroke } from './stroke.ts';
