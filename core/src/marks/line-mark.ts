import {
  applyTransform,
  add,
  directionDegrees,
  rotation,
  transformPath,
  type Path,
  type Point,
  type Transform,
} from '../geometry/index.ts';

/** How heavy a line is drawn; the painter knows the width for its medium. */
export type Pen = 'heavy' | 'middle' | 'thin';
/** How a line is broken. */
export type Dash = 'solid' | 'long' | 'short' | 'dots';
/** Ink, or grey for work on the back. */
export type Tone = 'ink' | 'back';

/** One thing to draw, in mm on the part: a line, a dot, or words. */
export type LineMark =
  | {
      readonly kind: 'path';
      readonly path: Path;
      readonly closed: boolean;
      readonly pen: Pen;
      readonly dash: Dash;
      readonly tone: Tone;
      readonly operationId?: string;
      readonly dimensionId?: string;
      /** Drawn as two lines: work of some variants only. */ readonly isDouble?: boolean;
    }
  | {
      readonly kind: 'dot';
      readonly at: Point;
      readonly radiusMm: number;
      readonly tone: Tone;
      readonly operationId?: string;
      readonly dimensionId?: string;
    }
  | {
      readonly kind: 'text';
      readonly at: Point;
      readonly angleDegrees: number;
      readonly text: string;
      /** How far it may be moved either way along its line where it would cover another, in mm; not at all when undefined. */
      readonly slideMm?: number;
      readonly tone: Tone;
      readonly operationId?: string;
      readonly dimensionId?: string;
    };

/** What is drawn: a line or a dot. */
export type DrawnMark = Exclude<LineMark, { kind: 'text' }>;
/** A text of the line code. */
export type TextMark = Extract<LineMark, { kind: 'text' }>;

/** A mark under a map; texts are kept upright and readable. */
export function transformMark(t: Transform, mark: LineMark): LineMark {
  switch (mark.kind) {
    case 'path':
      return { ...mark, path: transformPath(t, mark.path) };
    case 'dot':
      return { ...mark, at: applyTransform(t, mark.at) };
    case 'text': {
      const tip = applyTransform(t, add(mark.at, applyTransform(rotation(mark.angleDegrees), { x: 1, y: 0 })));
      const at = applyTransform(t, mark.at);
      const direction = directionDegrees(at, tip);
      return {
        ...mark,
        at,
        angleDegrees: direction > 90.001 ? direction - 180 : direction <= -89.999 ? direction + 180 : direction,
      };
    }
  }
}
