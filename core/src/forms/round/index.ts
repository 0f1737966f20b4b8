export { cutRing, type CutRing } from './ring-parts.ts';
export type { FrustumRow, RoundFigures } from './round-figures.ts';
export { type MadeRound, makeRound } from './make-round.ts';
export * from './parameters.ts';
export { radiusAt } from './round-profile.ts';
export type { RoundSite } from './round-site.ts';
export { roundFromNumbers, type RoundStart, usualRound } from './round-starts.ts';
export { roundMaterials, scaleRound } from './scale-round.ts';
export { roundNumbers } from './round-faults.ts';
