export { type MadeTail, makeTail } from './make-tail.ts';
export * from './parameters.ts';
export { scaleTail, tailMaterials } from './scale-tail.ts';
export { standingTail } from './standing-tail.ts';
export type { TailFigures } from './tail-figures.ts';
export { finTab, levelLines, uprightLines } from './tail-outlines.ts';
export { joinerOf } from './tail-parts.ts';
export type { CutPlate, TailSite } from './tail-site.ts';
export { tailFromNumbers, type TailStart, usualTail } from './tail-starts.ts';
