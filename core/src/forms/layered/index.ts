export { acrossBody, type LayeredFigures } from './layered-figures.ts';
export type { BodyLayer, LayeredSite } from './layered-site.ts';
export { layeredFromNumbers, type LayeredStart, TAIL_TOP_SHARE, usualLayered } from './layered-starts.ts';
export { layeredMaterials, layeredReads, type MadeLayered, makeLayered, scaleLayered } from './make-layered.ts';
export * from './parameters.ts';
export { layeredNumbers } from './layered-faults.ts';
