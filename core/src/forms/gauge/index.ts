export { cutRound } from './in-place.ts';
export { type FoundControl, foundControls } from './found-controls.ts';
export { foundGauges, holdAlike } from './found-gauges.ts';
export type { LaidGauge } from './laid-gauge.ts';
export type { GaugeSite } from './lay-set.ts';
export { type GaugeFigures, type MadeGauges, gaugeMaterials, makeGauges, scaleGauges } from './make-gauges.ts';
export * from './parameters.ts';
export { gaugeNumbers } from './gauge-faults.ts';
