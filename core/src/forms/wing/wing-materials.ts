import type { WingParameters } from './parameters.ts';

/** The sheets that a wing's parts are cut from. */
export const wingMaterials = ({
  material,
  jigMaterial,
  sparMaterial,
  ribs,
  braces,
}: WingParameters): readonly string[] => [
  material,
  jigMaterial,
  ...(sparMaterial === undefined ? [] : [sparMaterial]),
  ...(ribs ? [ribs.material, ribs.endMaterial] : []),
  ...(braces ? [braces.material] : []),
];
