export { END_SCHOOLS, type EndPlane, type EndSchool, endCut, endPlane } from './end-cut.ts';
export { type SkinLine, type SkinPiece, type UnrolledPlate, type UnrolledSkin, unrollSkin } from './ruled-skin.ts';
export { type SkinEnd, type SkinOutline, plateTrims, skinOutline } from './skin-outline.ts';
