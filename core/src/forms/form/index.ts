export type {
  AnyForm,
  FormBoard,
  FormContext,
  FormFault,
  FormOf,
  FormPlace,
  MadeForm,
  NumberSizing,
  ParameterChange,
  ParkedAddition,
  StandingAirframe,
  StandingBox,
  StandingWing,
  StandsBy,
  WorkingStep,
} from './form.ts';
export { blocking } from './blocking.ts';
export { type FormNumber, boundFaults, numbersUnder, quantity } from './bound-faults.ts';
export { type FormField, lengthField } from './form-field.ts';
export {
  type MadeCorner,
  type MadeEdgeWork,
  type MadeLine,
  type MadeSeam,
  madeEdgeId,
  type MadeHole,
  type MadePartDraft,
  madePart,
  madePartId,
} from './made-part.ts';
export { type NamedEdge, namesOf } from './named-edges.ts';
export { offsetPoints } from './offset-points.ts';
export { areaFrom, partArea, partMass } from './part-area.ts';
export { ringOfOutline, roomOnPiece } from './room-on-piece.ts';
export { leaderOf, placeBy } from './stands-by.ts';
export { placeIn, placeOf, standingOf } from './place-of.ts';
export { parameterAt, withParameter, withParameters } from './parameter-path.ts';
export { type MergedPart, drawnOnGone, mergeMade, mergeScaled, putBack, releaseParts } from './additions.ts';
