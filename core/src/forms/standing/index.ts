export { alongPlaces, byBeginning, type Reach } from './along.ts';
export { type CornerBetween, MEASURED_AGAINST, type Side, cornerBetween, reachFrom } from './corner-between.ts';
export { flatCut, within } from './flat-cut.ts';
export { type Miss, isMiss, partMissing } from './miss.ts';
export { type PlacedPlate, cornersOf, isBothSides, mainPlate, standingWithIt } from './standing-plates.ts';
export {
  type LeaningPlane,
  type StationCut,
  cutRings,
  heightAt,
  noseAt,
  stationCut,
  straightened,
} from './station-cut.ts';
