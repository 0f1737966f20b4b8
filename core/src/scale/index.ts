export { LARGEST_SCALE, SMALLEST_SCALE, scalePart } from './scale-part.ts';
