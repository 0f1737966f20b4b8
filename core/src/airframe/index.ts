export {
  type Airframe,
  type AirframeNest,
  type AirframeSettings,
  DEFAULT_SETTINGS,
  MOST_SETS,
  type NestSettings,
  type PlacedPiece,
  setsOf,
  standardBoard,
  WIDEST_KERF_MM,
  gapBetweenParts,
  mayBeCutFrom,
  type SidePair,
  withPartOnCleanBoards,
} from './airframe.ts';
export { keptOffcut, largestRestOf, wholeRestOf } from './kept-offcuts.ts';
export {
  isMeasuredOtherwise,
  withForm,
  withFormsFollowing,
  withFormsKept,
  withFormsMade,
  withMeasured,
  withoutForm,
} from './forms-of-airframe.ts';
export { formContext, madeOf, partAtScale } from './made-at-scale.ts';
export { standingPart } from './made-at-scale.ts';
export { foldFaults } from './fold-faults.ts';
export { type SizedThing, sizedThings, withThingSized } from './sized-things.ts';
export { type SizesKept, withSizesKept } from './kept-sizes.ts';
export { type RingReport, type ShownRingAnswer, ringReport } from './ring-report.ts';
export { planDrawingDocument, planViewDocument } from './plan-documents.ts';
export { type PlanReport, planContext, planReport, planReportOf } from './plan-of-airframe.ts';
export { placeFaults } from './place-faults.ts';
export { type BoardsToBuy, type ToBuy, toBuy } from './to-buy.ts';
export { changedPieces, printedPages } from './printed.ts';
export { type GoalAtScale, type ScaleGoal, SCALE_GOALS, hasGoal } from './scale-goal.ts';
export { type ScaleFigures, scaleFigures } from './scale-figures.ts';
export { type ScaleSearch, solveScale } from './solve-scale.ts';
export { MOST_PACKINGS, type PageSearch, searchPages, withPacking } from './search-pages.ts';
export { USUAL_SECTIONS, pagesOf, sectionPieces } from './page-set.ts';
export {
  type PaperPage,
  type PrintedSet,
  printerTestDocument,
  cutListDocument,
  pagesDocument,
  titleOf,
} from './documents.ts';
export { type QuickFigures, type SlowFigures, cutListOf, quickFigures, slowFigures } from './figures.ts';
export {
  type FoldExtent,
  type FoldView,
  type ShownContact,
  type ShownSeam,
  foldView,
  piecesOfView,
} from './fold-view.ts';
export { faultsIn, nestHash, piecesOfAirframe, piecesOnBoards, resolveIn } from './funnel.ts';
export {
  MOST_GUESTS,
  MOST_GUEST_PIECES,
  type TakenAlong,
  freshGuestId,
  isGuestCut,
  takenAlong,
  withGuest,
  withoutGuest,
} from './taken-along.ts';
export {
  type NamedPieces,
  type OnHost,
  countedFrom,
  MOST_HOSTS,
  onHost,
  pieceCount,
  withCutElsewhere,
} from './cut-elsewhere.ts';
export { pieceName } from './piece.ts';
export { lyingApart, mateOf, matesFor, withMate } from './side-by-side.ts';
export { scrapped } from './as-cut.ts';
export { contextOf, partsInVariant } from './made-at-scale.ts';
export {
  type BoardView,
  boardViews,
  boardsAtLeast,
  isNestCurrent,
  pieceFaults,
  quickNest,
  searchAirframeNest,
  turnPlaced,
  turnsOn,
  mayTurnTo,
} from './nest-airframe.ts';
export { squared } from './squared.ts';
export { type AfterCut, cutBoard, restsOfBoards } from './cut-boards.ts';
export { shapeOf } from './material-nests.ts';
export { type NestAdvice, type NestAdviceStep, type NestChange, nestAdvice, withChange } from './nest-advice.ts';
export { type NestScope, lockedCount } from './nest-around.ts';
export { pushed } from './pushed.ts';
export { type ByHand, type PieceAddress, locked, notCleanWords, sentTo, slidTo, swapped } from './by-hand.ts';
export { type BoardFigures, type InOtherBoard, type OtherBoard, inOtherBoard } from './other-board.ts';
export { type ThicknessBreaks, thicknessBreaks } from './thickness-breaks.ts';
export { someParts } from './some-parts.ts';
export { splitInAirframe } from './split-airframe.ts';
export { standingPicture } from './standing-picture.ts';
