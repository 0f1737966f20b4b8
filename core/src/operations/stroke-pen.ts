import type { Path, Point } from '../geometry/index.ts';
import { ring, run, type Dash, type DrawnMark, type Pen } from '../marks/index.ts';
import type { StrokeOf } from './stroke.ts';

const PIN_PRICK_MM = 2;

/** Draws the marks that strokes are made of, in the tone of the stroke's face and with its id on them. */
export interface StrokePen {
  readonly line: (path: Path, pen: Pen, dash: Dash, closed?: boolean) => DrawnMark;
  readonly dot: (at: Point, radiusMm: number) => DrawnMark;
  /** The stroke's centre lines. */
  readonly centres: (pen: Pen, dash: Dash) => readonly DrawnMark[];
  /** The edges of its area, at true width. */
  readonly edges: () => readonly DrawnMark[];
  /** Long dashes where the skin holds, or the cut that it is where tape does. */
  readonly fold: () => readonly DrawnMark[];
  /** Pin-prick crosses at the ends of work on the back. */
  readonly ends: () => readonly DrawnMark[];
}

/** The pen for a stroke. */
export function strokePen(stroke: StrokeOf<string>): StrokePen {
  const tone = stroke.face === 'back' ? ('back' as const) : ('ink' as const);
  const { operationId } = stroke;
  const line = (path: Path, pen: Pen, dash: Dash, closed = false): DrawnMark => ({
    kind: 'path',
    path,
    closed,
    pen,
    dash,
    tone,
    operationId,
  });
  const optional = stroke.variants ? { isDouble: true } : {};
  const centres = (pen: Pen, dash: Dash): readonly DrawnMark[] =>
    stroke.paths.map((path) => ({ ...line(path, pen, dash, stroke.closed), ...optional }));
  return {
    line,
    centres,
    dot: (at, radiusMm) => ({ kind: 'dot', at, radiusMm, tone, operationId }),
    edges: () => stroke.area.map((one) => line(ring(one), 'thin', 'solid', true)),
    fold: () => (stroke.isTaped ? centres('heavy', 'solid') : centres('middle', 'long')),
    ends: () =>
      stroke.face === 'back' && !stroke.closed
        ? stroke.paths.flatMap((path) =>
            [path[0]?.from, path.at(-1)?.to].flatMap((end) =>
              end ? pinPrick(end).map((cross) => line(cross, 'thin', 'solid')) : [],
            ),
          )
        : [],
  };
}

const pinPrick = ({ x, y }: Point): readonly Path[] => [
  run({ x: x - PIN_PRICK_MM, y }, { x: x + PIN_PRICK_MM, y }),
  run({ x, y: y - PIN_PRICK_MM }, { x, y: y + PIN_PRICK_MM }),
];
