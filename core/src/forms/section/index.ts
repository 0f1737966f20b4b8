export { creasedOutline, drawnSection, fittedPoints } from './drawn.ts';
export { type ReadSection, readSection } from './read-section.ts';
export { camberAt, camberedSheet, flatSheet, solidSection } from './open-sheet.ts';
export { innerHeights } from './inner-heights.ts';
export { nacaFault, nacaOutline } from './naca.ts';
export { type SectionPlate, type SectionPoint, type SectionRefusal, type SkinSection, isRefused } from './section.ts';
export {
  NOSE_STYLES,
  TAIL_STYLES,
  USUAL_NOSE_BOARDS,
  type NoseStyle,
  type StripSparNumbers,
  type TailStyle,
  stripSparSection,
} from './strip-spar.ts';
