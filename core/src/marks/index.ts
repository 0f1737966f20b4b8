export {
  type Dash,
  type DrawnMark,
  type LineMark,
  type Pen,
  type TextMark,
  type Tone,
  transformMark,
} from './line-mark.ts';
export { along, circle, hatching, ring, run, scatter } from './patterns.ts';
