import {
  boundsHeight,
  boundsOf,
  boundsWidth,
  counterClockwise,
  polygonArea,
  selfCrossings,
  type Point,
  type Polygon,
} from '../geometry/index.ts';
import { bareLengthText, defined, lengthText } from '../units/index.ts';
import { LONGEST_BOARD_MM, type Board } from './board.ts';

/** Least side of a board or an offcut, in mm. */
export const SHORTEST_BOARD_MM = 10;
/** Corners nearer than this to the one before are one, in mm. */
const SAME_MM = 0.01;

export type OffcutShape =
  | { readonly ok: true; readonly widthMm: number; readonly heightMm: number; readonly outline?: Polygon }
  | { readonly ok: false; readonly message: string };

/**
 * The shape of an offcut from its corners in any order round it: moved to the lower left corner of its own rectangle, counter-clockwise. A
 * rectangle that stands square needs no outline.
 * @returns why it is none, lengths as marks, where the corners do not bound a piece of board
 */
export function offcutShape(corners: readonly Point[]): OffcutShape {
  const ring = corners.filter((p, index) => {
    const before = corners.at(index - 1)!;
    return Math.hypot(p.x - before.x, p.y - before.y) > SAME_MM;
  });
  if (ring.length < 3) return { ok: false, message: 'An offcut needs three corners at least.' };
  const path = ring.map((from, index) => ({ kind: 'line' as const, from, to: ring[(index + 1) % ring.length]! }));
  const [crossing] = selfCrossings(path, SAME_MM, true, 1);
  if (crossing)
    return {
      ok: false,
      message: `Its edge crosses itself at (${bareLengthText(crossing.point.x)}, ${bareLengthText(crossing.point.y)}). Give the corners in their order round it.`,
    };
  const box = boundsOf(ring),
    [widthMm, heightMm] = [boundsWidth(box), boundsHeight(box)];
  if (Math.min(widthMm, heightMm) < SHORTEST_BOARD_MM || Math.max(widthMm, heightMm) > LONGEST_BOARD_MM)
    return {
      ok: false,
      message: `An offcut measures ${bareLengthText(SHORTEST_BOARD_MM, 0)} to ${lengthText(LONGEST_BOARD_MM, 0)} a side, this is ${lengthText(widthMm)} by ${lengthText(heightMm)}.`,
    };
  const outline = counterClockwise(ring.map(({ x, y }) => ({ x: x - box.minX, y: y - box.minY })));
  const isRectangle = outline.length === 4 && polygonArea(outline) > widthMm * heightMm - SAME_MM;
  return { ok: true, widthMm, heightMm, ...defined({ outline: isRectangle ? undefined : outline }) };
}

/** The corners of a board, counter-clockwise: of its outline, or of its rectangle. */
export const boardCorners = ({
  outline,
  widthMm,
  heightMm,
}: Pick<Board, 'outline' | 'widthMm' | 'heightMm'>): Polygon =>
  outline ?? [
    { x: 0, y: 0 },
    { x: widthMm, y: 0 },
    { x: widthMm, y: heightMm },
    { x: 0, y: heightMm },
  ];
