export {
  BALANCE_KINDS,
  type BalanceBand,
  type BalanceKind,
  type BalanceSchool,
  USUAL_MARGIN,
  balanceBand,
} from './balance-band.ts';
export { STANDARD_DENSITY, cubicLoading, stallSpeed, staticThrust, thrustToWeight, wingLoading } from './loadings.ts';
export { type LiftingSurface, type NeutralPoint, downwashSlope, liftSlope, neutralPoint } from './neutral-point.ts';
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
} from './planform.ts';
export { type TailShares, horizontalTailVolume, vTailShares, verticalTailVolume } from './tail-volume.ts';
