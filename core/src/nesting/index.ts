export { type PlacementFault, layoutFaults, placementFaults } from './check-layout.ts';
export type { NestBoard, NestInstance, NestLayout, NestPart, Placement } from './instance.ts';
export { isBetter, type NestScore } from './effective-boards.ts';
export { largestRest } from './largest-rest.ts';
export { boardsByArea } from './lower-bound.ts';
export { restShape } from './rest-shape.ts';
export { placedShape, placementTransform } from './nest-piece.ts';
export { instanceFault } from './read-instance.ts';
export { nest, searchNest, type SearchStep } from './search-nest.ts';
