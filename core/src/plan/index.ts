export { brokenPlan } from './broken-plan.ts';
export type { PlanFault, PlanFaultCode } from './checks/plan-fault.ts';
export { planFaults } from './checks/plan-faults.ts';
export { type Clearance, type PlanMend, type SweptShape, isTooLittle } from './clearances/clearance.ts';
export { sweptControls } from './clearances/control-clearances.ts';
export { planClearances } from './clearances/plan-clearances.ts';
export { addGuide, changeGuide, removeGuide } from './edits/guide-edits.ts';
export { insertLinePoint } from './edits/insert-point.ts';
export { drawInView, moveLine, moveLinePoint, nameLine, removeLine, removeLinePoint } from './edits/line-edits.ts';
export { mendPlan } from './edits/mend-plan.ts';
export {
  type PlanEdit,
  addThing,
  caughtMove,
  copyThing,
  goingAlong,
  moveThing,
  removeThing,
  thingOf,
  withThing,
} from './edits/thing-edits.ts';
export { type ThingHandle, dragHandle, thingHandles } from './edits/thing-handles.ts';
export { changePlaces, keepWhatIf, planOfWhatIf, removeWhatIf } from './edits/what-ifs.ts';
export { type PlanBalance, balanceOfPlan, schoolWords } from './figures/balance-of-plan.ts';
export {
  BALANCE_KINDS,
  type BalanceBand,
  type BalanceKind,
  type BalanceSchool,
  USUAL_MARGIN,
  balanceBand,
} from './figures/balance-band.ts';
export {
  STANDARD_DENSITY,
  cubicLoading,
  stallSpeed,
  staticThrust,
  thrustToWeight,
  wingLoading,
} from './figures/loadings.ts';
export { massSoFar } from './figures/mass-so-far.ts';
export {
  type LiftingSurface,
  type NeutralPoint,
  downwashSlope,
  liftSlope,
  neutralPoint,
} from './figures/neutral-point.ts';
export type { MadeMass, PlanContext } from './figures/plan-context.ts';
export type { PlanFigure, PlanFigureKey } from './figures/plan-figure.ts';
export { type PlanFigures, planFigures } from './figures/plan-figures.ts';
export {
  type MeanChord,
  type Planform,
  type PlanformStation,
  aspectRatio,
  meanChord,
  planformArea,
  planformSpan,
  projectedPlanform,
  taperRatio,
} from './figures/planform.ts';
export { type TailShares, horizontalTailVolume, vTailShares, verticalTailVolume } from './figures/tail-volume.ts';
export { wingSet } from './figures/wing-set.ts';
export { planInk } from './drawing/plan-ink.ts';
export { viewPart } from './drawing/view-part.ts';
export { EDGES_OF_AXIS, type PlacedGuide, placedPlanGuides, placedThings } from './guides.ts';
export { type PickedInView, guideInView, pickInView, snapInView } from './in-views.ts';
export { type PartOffer, type PlanLink, followPlan, letGoOfPlan, partOffers, planLink, takePart } from './into-part.ts';
export { contradictions, suspects } from './measured/contradictions.ts';
export {
  MEASURE_KEYS,
  MEASURE_LINES,
  type MeasureKey,
  type MeasureLine,
  type MeasuredModel,
  NOTHING_MEASURED,
  measureLine,
  missingMeasures,
} from './measured/measured-model.ts';
export { withMeasured } from './measured/measured-plan.ts';
export {
  EMPTY_PLAN,
  GUIDE_EDGES,
  type GuideEdge,
  type GuideFrom,
  type Plan,
  type PlanAir,
  type PlanGuide,
  type PlanSchool,
  type ViewLine,
  type WhatIf,
  freshPlanId,
  isEmptyPlan,
} from './plan.ts';
export { PLAN_AXES, PLAN_VIEWS, type PlanAxis, type PlanView } from './plan-view.ts';
export { PLAN_TYPES, type PlanType, TYPE_TRAITS } from './proposals/plan-types.ts';
export {
  PROPORTION_KEYS,
  type ProportionKey,
  type Proportions,
  proposedProportions,
  usualProportions,
} from './proposals/proportions.ts';
export { type AtHand, LARGEST_SPAN_MM, SMALLEST_SPAN_MM, type WantedFigure, proposePlan } from './proposals/propose.ts';
export { scalePlan } from './scale-plan.ts';
export { bodyAt } from './things/body-at.ts';
export { type SurfaceMeasures, surfaceMeasures, withMeasure } from './things/surface-measures.ts';
export { type Box3, boxOfThing } from './things/thing-box.ts';
export { PLAN_BOUNDS, THING_FIELDS, type ThingField, fieldOf, withField } from './things/thing-fields.ts';
export { type ThingShape, thingShapes } from './things/thing-shapes.ts';
export {
  BOX_KINDS,
  type BodyStation,
  type BodyThing,
  type BoxThing,
  type ControlSurface,
  type PlannedThing,
  type PropellerThing,
  SURFACE_KINDS,
  type SurfaceStation,
  type SurfaceThing,
  THING_KINDS,
  THING_WORDS,
  type ThingKind,
  type WheelThing,
  isBox,
  isSurface,
} from './things/thing.ts';
export { usualThing } from './things/usual-things.ts';
export { type LengthCheck, calibrationFault, cornersInOrder, lengthChecks, sheetMap } from './underlays/calibration.ts';
export {
  type Projective,
  composeProjective,
  inverseProjective,
  project,
  projectiveThrough,
} from './underlays/projective.ts';
export { type Underlay, levelledBy, seenCorners, underlayMap } from './underlays/underlay.ts';
export {
  VIEW_AXES,
  VIEW_WORDS,
  type ViewLayout,
  boxInView,
  fromView,
  inView,
  laidBounds,
  layOutViews,
  layoutBounds,
  viewAtPlace,
  viewBounds,
} from './views.ts';
export { type SeatKind, type WingSeat, wingSeats } from './wing-seat.ts';
export {
  type KnownLength,
  type PlanSheet,
  SHEET_KINDS,
  type SheetCalibration,
  type SheetKind,
} from './underlays/sheet.ts';
