export { foundStruts } from './found-struts.ts';
export type { LaidStrut, StrutRelief } from './lay-strut.ts';
export {
  type MadeStruts,
  makeStruts,
  scaleStruts,
  type StrutFigures,
  strutMaterials,
  type StrutSite,
} from './make-struts.ts';
export * from './parameters.ts';
export { type RoundStrut, roundStrut } from './round-strut.ts';
export { strutNumbers } from './strut-faults.ts';
