import type { Point } from '../geometry/index.ts';
import { run, type Dash, type DrawnMark, type Pen } from '../marks/index.ts';

/** Ends of a sample's line. */
const START: Point = { x: 0, y: 0 },
  END: Point = { x: 10, y: 0 };

/** A line of a sample. */
export const sampleLine = (from: Point, to: Point, pen: Pen, dash: Dash = 'solid'): DrawnMark => ({
  kind: 'path',
  path: run(from, to),
  closed: false,
  pen,
  dash,
  tone: 'ink',
});
/** A dot of a sample. */
export const sampleDot = (at: Point, radiusMm: number): DrawnMark => ({ kind: 'dot', at, radiusMm, tone: 'ink' });
/** The middle line of a sample. */
export const sampleCentre = (pen: Pen, dash: Dash = 'solid'): DrawnMark => sampleLine(START, END, pen, dash);
/** Two thin lines at the edges of a sample's band. */
export const SAMPLE_RAILS: readonly DrawnMark[] = [1, -1].map((y) => sampleLine({ x: 0, y }, { x: 10, y }, 'thin'));
