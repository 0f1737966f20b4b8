export { siteOf } from './expand-features.ts';
export { type ExpandContext, expandKey, expandPart } from './expand-part.ts';
export { foundLips, hasLips, middleLine } from './lips.ts';
export { canHoldPlate, fittedWidth, neededWidth, slotDirection } from './plate-slots.ts';
export { type ResolveContext, type ResolvedPart, resolve } from './resolve.ts';
export { ON_CENTRE_LINE_MM, mirrorOf, offCentreLine, withMirrorHalf } from './symmetry.ts';
export { backView, starboardTwin } from './twin.ts';
export { existsIn } from './variants.ts';
