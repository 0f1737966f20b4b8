export { likelyBoard } from './board-wide.ts';
export { type Chain, chainCurves } from './chain.ts';
export type { Gap } from './gaps.ts';
export { type MadeParts, intoParts, usualAngle } from './into-parts.ts';
export { type JoinedPages, type PageLayout, caughtMove, drawingBounds, joinPages } from './join-pages.ts';
export {
  type ClassWork,
  type ClassWorks,
  LINE_WORKS,
  type LineClass,
  type LineWork,
  classKey,
  lineClasses,
} from './line-class.ts';
export { drawnOnce } from './merge-twice.ts';
export { type ShownIntake, type ShownLines, shownDrawing, shownIntake } from './preview.ts';
export { proposeWorks } from './propose.ts';
export {
  type Intake,
  type IntakeOptions,
  type TakenPart,
  type TakenWork,
  USUAL_INTAKE,
  WIDEST_GAP_MM,
  takeIn,
} from './take-in.ts';
