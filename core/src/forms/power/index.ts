export { dowelMiddles } from './box-dowels.ts';
export { type MadePower, makePower, standingBox } from './make-power.ts';
export * from './parameters.ts';
export type { PowerFigures } from './power-figures.ts';
export { type PropellerDisc, propellerDisc } from './power-parts.ts';
export type { PowerSite } from './power-site.ts';
export { powerFromNumbers, type PowerStart, usualBoxDowels, usualPower } from './power-starts.ts';
export { powerMaterials, scalePower } from './scale-power.ts';
export { powerNumbers } from './power-faults.ts';
