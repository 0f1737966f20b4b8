export { measureOnDrawing } from './measure.ts';
export { type Picked, pick } from './pick.ts';
export { snap } from './snap-on-part.ts';
