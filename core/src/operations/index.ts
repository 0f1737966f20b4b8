export { STEEPEST_LEAN, tooSlantEnds } from './band.ts';
export { type FoldDefaults, type FoldStyle, USUAL_FOLDS, leavesToAirframe, withFoldDefaults } from './fold-defaults.ts';
export { cutOf } from './groove.ts';
export type { Operation, OperationDraft, OperationKind, Stroke } from './kinds.ts';
export { BOARD_FACES, type BoardFace, HINGE_GROUNDS, type OperationPlace } from './operation-base.ts';
export { type OperationField, isOptionalField } from './operation-field.ts';
export type { OperationFault, OperationFigure, PlateSide } from './operation-kind.ts';
export {
  FOLD_STYLES,
  OPERATION_KINDS,
  canFold,
  fieldFault,
  fieldOf,
  isThroughCut,
  lineFault,
  mirroredOperation,
  operationAngle,
  operationArea,
  operationCaption,
  operationDataFault,
  operationDepth,
  operationDraft,
  operationFaults,
  operationFigures,
  operationWidth,
  operationWord,
  traitsOf,
  turnOf,
  workOfTurn,
} from './operation-traits.ts';
export { strokePen } from './stroke-pen.ts';
