import type { Point } from '../../geometry/index.ts';
import { LONGEST_NAME } from '../../part/index.ts';
import type { MadeCorner, MadeLine } from '../form/index.ts';

/** A corner of a gauge, and the edge that goes on from it. */
export const gaugeCorner = (x: number, y: number, edge: string): MadeCorner => ({ at: { x, y }, edge });

/** Words printed on a gauge, along a line; names that are too long together are cut off. */
export const gaugeMark = (name: string, from: Point, to: Point, label: string): MadeLine => ({
  name,
  from,
  to,
  work: { kind: 'mark', face: 'face', label: label.slice(0, LONGEST_NAME) },
});
