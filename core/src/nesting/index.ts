export * from './instance.ts';
export * from './read-instance.ts';
export { placedShape, placementTransform } from './nest-piece.ts';
export * from './search-nest.ts';
export * from './check-layout.ts';
export * from './largest-rest.ts';
