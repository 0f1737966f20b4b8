export {
  type Bounds,
  boundsCentre,
  boundsCorners,
  boundsHeight,
  boundsOf,
  boundsTouch,
  boundsWidth,
  growBounds,
  joinBounds,
} from './bounds.ts';
export { type BoxIndex, boxIndex, pointIndex } from './box-index.ts';
export { type Combination, combineOutlines, cutAt, cutCurve } from './combine-outlines.ts';
export { type SelfCrossing, lineCuts, runsInside, selfCrossings } from './crossings.ts';
export {
  type Curve,
  arcGeometry,
  bulgeThrough,
  curveLength,
  curvePoint,
  curveTangent,
  flattenCurve,
  flattenSteps,
  nearestOnCurve,
  parameterAtLength,
  reverseCurve,
  splitCurve,
} from './curve.ts';
export { curveBounds, curveIndex } from './curve-bounds.ts';
export { cubicArcs } from './cubic-arcs.ts';
export { type Hung, hangInRows, hangInWidth } from './hang-in-rows.ts';
export { affineCurve, arcCubics, circlePath, ellipseRun, scaleOf } from './ellipse.ts';
export { fitCurves } from './fit-path.ts';
export { roomiestPlace } from './inner-place.ts';
export { curveMeetings } from './meetings.ts';
export { offsetOutline } from './offset-path.ts';
export {
  type Path,
  flattenClosedPath,
  flattenOpenPath,
  nearestOnPath,
  pathBounds,
  pathLength,
  pathSignedArea,
  reversePath,
  svgPath,
  transformPath,
} from './path.ts';
export {
  type Point,
  add,
  cross,
  directionDegrees,
  distance,
  distanceToRun,
  dot,
  interpolate,
  isFinitePoint,
  leftOf,
  midpoint,
  nearestParameter,
  polar,
  subtract,
  times,
  unitVector,
} from './point.ts';
export {
  type Polygon,
  centroid,
  convexHull,
  counterClockwise,
  distanceToEdge,
  isInside,
  isInsideRegion,
  polygonArea,
  signedArea,
} from './polygon.ts';
export {
  type Region,
  bandAlong,
  differenceOf,
  growRegion,
  intersectionOf,
  regionArea,
  unionOf,
  withoutFlatCorners,
} from './region.ts';
export { edgeDistanceOf, edgesNear, insideOf, insideRegionOf } from './ring-index.ts';
export { type Shape, separation } from './separation.ts';
export { smoothCurve } from './smooth-curve.ts';
export {
  type Point3,
  type RigidMap,
  STILL,
  add3,
  applyRigid,
  composeRigid,
  cross3,
  distance3,
  distanceToRun3,
  dot3,
  interpolate3,
  invertRigid,
  length3,
  point3,
  subtract3,
  times3,
  turnAbout,
  turnVector,
  unit3,
} from './space.ts';
export {
  IDENTITY,
  type Transform,
  applyTransform,
  compose,
  inverse,
  isMirroring,
  mirrorX,
  mirrorY,
  rotation,
  rotationAbout,
  scaling,
  translation,
} from './transform.ts';
export { convexPieces, isConvex } from './convex-pieces.ts';
export { type HalfSpace, furthestWithin } from './linear-program.ts';
export { type LeastSquares, freedomAt, leastSquares } from './least-squares.ts';
