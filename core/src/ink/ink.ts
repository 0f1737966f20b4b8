import {
  applyTransform,
  boundsOf,
  transformPath,
  type Bounds,
  type Path,
  type Point,
  type Transform,
} from '../geometry/index.ts';
import { degrees } from '../units/index.ts';
import { transformMark, type LineMark } from '../marks/index.ts';

/** Tones of ink: that of the drawing, of work on the back, and of joining sheets. */
type InkTone = 'ink' | 'grey' | 'join';

/** Something printed, in mm from the lower left corner of the paper, y up. */
export type Ink = {
  /** Names of the layers that it lies in, where a document has some. */
  readonly layers?: readonly string[];
} & (
  | {
      readonly kind: 'path';
      readonly path: Path;
      readonly closed: boolean;
      readonly widthMm: number;
      readonly dashMm?: readonly number[];
      readonly tone: InkTone | 'paper';
      readonly fill?: 'ink' | 'pale';
    }
  | { readonly kind: 'disc'; readonly at: Point; readonly radiusMm: number; readonly tone: InkTone }
  | {
      readonly kind: 'text';
      readonly at: Point;
      readonly text: string;
      readonly sizeMm: number;
      readonly weight: 'text' | 'figure' | 'bold';
      readonly align: 'left' | 'centre' | 'right';
      readonly angleDegrees: number;
      readonly tone: InkTone;
      /** White ground under the text, so that a line behind it does not strike it through. */
      readonly knockedOut?: boolean;
    }
  | { readonly kind: 'clip'; readonly box: Bounds; readonly inks: readonly Ink[] }
);

/** Widths of the pens on paper in mm. */
export const PEN_MM = { heavy: 0.55, middle: 0.35, thin: 0.15 } as const;
const DASH_MM = { solid: undefined, long: [5, 2], short: [1.8, 1.2], dots: [0.01, 1.3] } as const;

/** White between the two lines of optional work, in mm. */
const BETWEEN_DOUBLE_MM = 0.45;

/** A mark of the line code as it is printed; optional work is a wide line with white over its middle. */
export function inksOfMark(mark: LineMark, t: Transform): readonly Ink[] {
  const placed = transformMark(t, mark);
  const tone = placed.tone === 'back' ? 'grey' : 'ink';
  switch (placed.kind) {
    case 'path': {
      const widthMm = placed.dash === 'dots' ? 0.7 : PEN_MM[placed.pen];
      const line = { kind: 'path' as const, path: placed.path, closed: placed.closed, dashMm: DASH_MM[placed.dash] };
      return placed.isDouble
        ? [
            { ...line, widthMm: widthMm + 2 * BETWEEN_DOUBLE_MM, tone },
            { ...line, dashMm: undefined, widthMm: BETWEEN_DOUBLE_MM, tone: 'paper' },
          ]
        : [{ ...line, widthMm, tone }];
    }
    case 'dot':
      return [{ kind: 'disc', at: placed.at, radiusMm: placed.radiusMm, tone }];
    case 'text':
      return [
        {
          kind: 'text',
          at: placed.at,
          text: placed.text,
          sizeMm: 3,
          weight: 'figure',
          align: 'centre',
          angleDegrees: placed.angleDegrees,
          tone,
          knockedOut: true,
        },
      ];
  }
}

export const lineInk = (from: Point, to: Point, widthMm = 0.2, dashMm?: readonly number[]): Ink => ({
  kind: 'path',
  path: [{ kind: 'line', from, to }],
  closed: false,
  widthMm,
  dashMm,
  tone: 'ink',
});

export function boxInk(box: Bounds, widthMm: number, fill?: 'ink' | 'pale'): Ink {
  const corners = [
    { x: box.minX, y: box.minY },
    { x: box.maxX, y: box.minY },
    { x: box.maxX, y: box.maxY },
    { x: box.minX, y: box.maxY },
  ];
  return {
    kind: 'path',
    path: corners.map((from, index) => ({ kind: 'line', from, to: corners[(index + 1) % 4]! })),
    closed: true,
    widthMm,
    tone: 'ink',
    fill,
  };
}

export const textInk = (
  at: Point,
  text: string,
  sizeMm: number,
  options: Partial<Extract<Ink, { kind: 'text' }>> = {},
): Ink => ({ kind: 'text', at, text, sizeMm, weight: 'text', align: 'left', angleDegrees: 0, tone: 'ink', ...options });

/** Ink moved, or turned and moved. A transform that stretches or mirrors is none for ink: letters would be. */
export function moveInk(ink: Ink, t: Transform): Ink {
  switch (ink.kind) {
    case 'text':
      return {
        ...ink,
        at: applyTransform(t, ink.at),
        angleDegrees: ink.angleDegrees + degrees(Math.atan2(t.b, t.a)),
      };
    case 'disc':
      return { ...ink, at: applyTransform(t, ink.at) };
    case 'path':
      return { ...ink, path: transformPath(t, ink.path) };
    case 'clip':
      return {
        ...ink,
        box: boundsOf([
          applyTransform(t, { x: ink.box.minX, y: ink.box.minY }),
          applyTransform(t, { x: ink.box.maxX, y: ink.box.maxY }),
        ]),
        inks: ink.inks.map((one) => moveInk(one, t)),
      };
  }
}
