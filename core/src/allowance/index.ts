export { type HingeRelief, hingeWidth } from './hinge.ts';
export {
  LARGEST_GROOVE_FOLD_DEGREES,
  STEEPEST_BEVEL_DEGREES,
  STEEPEST_SANDED_BEVEL_DEGREES,
  bevelRun,
  foldOfMouth,
  mitreMouthWidth,
  unequalBevelAngles,
} from './mitre.ts';
export { rolledEdge } from './rolled.ts';
export {
  GROOVE_SCHOOLS,
  type GrooveCut,
  type GrooveSchool,
  LEAST_TOOL_DEGREES,
  MOST_TOOL_DEGREES,
  USUAL_TOOL_DEGREES,
  foldedMouthGap,
  glueSection,
  grooveWallDegrees,
  largestFoldOf,
  schoolMouthWidth,
} from './school.ts';
export { creasedSection, nearestPolylines } from './section.ts';
export { SLIT_FLOOR_MM, slitGap } from './slit.ts';
export { STEEPEST_SLANT_DEGREES, slotWidth } from './slot.ts';
export { type FlatStrip, type FoldedSize, type StripSide, flatStrip, foldedSize, foldTake } from './strip.ts';
export {
  LARGEST_CREASE_FOLD_DEGREES,
  MOST_OPEN_DEGREES,
  MOST_TRENCH_LAYERS,
  openTrenchWidth,
  type TrenchFold,
  trenchWidth,
} from './trench.ts';
