import {
  add,
  applyTransform,
  boundsOf,
  cross,
  directionDegrees,
  distance,
  dot,
  flattenOpenPath,
  interpolate,
  isInside,
  leftOf,
  rotation,
  subtract,
  times,
  transformPath,
  unitVector,
  type Path,
  type Point,
  type Region,
  type Transform,
} from '../geometry/index.ts';
import type { OperationKind, Stroke } from '../operations/index.ts';
import { dimensionEnds, type PlacedDimension } from '../part/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { formatLength, radians, type LengthUnit, memo } from '../units/index.ts';

/** How heavy a line is drawn; the painter knows the width for its medium. */
export type Pen = 'heavy' | 'middle' | 'thin';
/** How a line is broken. */
export type Dash = 'solid' | 'long' | 'short' | 'dots';
/** Ink, or grey for work on the back. */
export type Tone = 'ink' | 'back';

/** One thing to draw, in mm on the part. */
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
      readonly tone: Tone;
      readonly operationId?: string;
      readonly dimensionId?: string;
    };

/** The legend's word for each stroke. */
export const LEGEND_WORDS: Readonly<Record<OperationKind, string>> = {
  through: 'cut through',
  groove: 'mitre groove, true width',
  bevel: 'edge bevel, true run',
  crease: 'crease',
  trench: 'trench: foam out, skin stays',
  pocket: 'pocket: skin stays',
  slit: 'open slit, opens at the barbs',
  hinge: 'control hinge, relief true width',
  mark: 'mark, glue line',
  engrave: 'drawn on the skin',
};

/** Distances of the code in mm. */
const HATCH_PITCH_MM = 3.5;
const TRENCH_DOT_PITCH_MM = 4;
const PIN_PRICK_MM = 2;
const DIMENSION_TICK_MM = 3;
const SLIT_BARB_PITCH_MM = 15;
const SLIT_BARB_MM = 2.5;
const HINGE_RING_PITCH_MM = 20;
const HINGE_RING_MM = 1.1;

const run = (from: Point, to: Point): Path => [{ kind: 'line', from, to }];
const ring = (points: readonly Point[]): Path =>
  points.map((from, index) => ({ kind: 'line', from, to: points[(index + 1) % points.length]! }));

/** Lines and dots of a part in the line code: readable in black and white, true widths. In drawing order; remembered by part. */
export const lineMarks = memo((part: ResolvedPart): readonly LineMark[] => {
  const cut = (path: Path, closed: boolean): LineMark => ({
    kind: 'path',
    path,
    closed,
    pen: 'heavy',
    dash: 'solid',
    tone: 'ink',
  });
  return [
    ...part.strokes.flatMap(strokeMarks),
    ...(part.outline ? [cut(part.outline, true)] : []),
    ...part.holes.map((hole) => cut(hole, true)),
    ...part.openPaths.map((path) => cut(path, false)),
    ...part.dimensions.flatMap(dimensionLines),
  ];
});

/** A text of the line code. */
export type TextMark = Extract<LineMark, { kind: 'text' }>;

/** What is written on a part's lines and dimensions. Remembered by part and the unit that dimensions are written in. */
export const lineTexts = memo(
  (part: ResolvedPart, unit: LengthUnit): readonly TextMark[] => [
    ...part.strokes.flatMap(captionMarks),
    ...part.dimensions.map((dimension) => dimensionCaption(dimension, unit)),
  ],
  (unit) => unit,
);

/** A part in the line code: its lines, then its texts. */
export const lineCode = (part: ResolvedPart, unit: LengthUnit): readonly LineMark[] => [
  ...lineMarks(part),
  ...lineTexts(part, unit),
];

/** The marks of one stroke, without its caption. */
export function strokeMarks(stroke: Stroke): readonly LineMark[] {
  const tone: Tone = stroke.face === 'back' ? 'back' : 'ink';
  const operationId = stroke.operationId;
  const line = (path: Path, pen: Pen, dash: Dash, closed = false): LineMark => ({
    kind: 'path',
    path,
    closed,
    pen,
    dash,
    tone,
    operationId,
  });
  const optional = stroke.variants ? { isDouble: true } : {};
  const centres = (pen: Pen, dash: Dash): readonly LineMark[] =>
    stroke.paths.map((path) => ({ ...line(path, pen, dash, stroke.closed), ...optional }));
  const edges = (): readonly LineMark[] => stroke.area.map((one) => line(ring(one), 'thin', 'solid', true));
  // Cut right through and held by tape: drawn as the cut that it is.
  const hinge = (): readonly LineMark[] => (stroke.isTaped ? centres('heavy', 'solid') : centres('middle', 'long'));
  const ends =
    stroke.face === 'back' && !stroke.closed ? stroke.paths.flatMap((path) => pinPricks(path, operationId)) : [];
  switch (stroke.kind) {
    case 'through':
      return [...centres('heavy', 'solid'), ...ends];
    case 'groove':
      return [...edges(), ...hinge(), ...ends];
    case 'bevel':
      return [...hatch(stroke.area).map(([a, b]) => line(run(a, b), 'thin', 'solid')), ...ends];
    case 'crease':
      return [...centres('middle', 'dots'), ...ends];
    case 'trench':
      return [
        ...edges(),
        ...scatter(stroke.area).map((at): LineMark => ({ kind: 'dot', at, radiusMm: 0.35, tone, operationId })),
        ...ends,
      ];
    case 'pocket':
      return [
        ...centres('thin', 'solid'),
        ...stroke.paths.flatMap((path) =>
          path.map((curve): LineMark => ({ kind: 'dot', at: curve.from, radiusMm: 0.9, tone, operationId })),
        ),
      ];
    case 'slit':
      return [
        ...(stroke.isTaped ? hinge() : centres('thin', 'solid')),
        ...along(stroke.paths, SLIT_BARB_PITCH_MM, (p, direction) =>
          line(run(p, add(p, times(barb(direction), SLIT_BARB_MM))), 'thin', 'solid'),
        ),
        ...ends,
      ];
    case 'hinge':
      return [
        ...edges(),
        ...hinge(),
        ...along(stroke.paths, HINGE_RING_PITCH_MM, (p) => line(circle(p, HINGE_RING_MM), 'thin', 'solid', true)),
        ...ends,
      ];
    case 'mark':
      return [...centres('thin', 'short'), ...ends];
    case 'engrave':
      return centres('thin', 'solid');
  }
}

/** Barbs lean back from the cut on the side that they point to. */
const barb = (direction: Point): Point => {
  const left = leftOf(direction);
  return unitVector({ x: 0, y: 0 }, subtract(left, direction));
};
const circle = ({ x, y }: Point, r: number): Path => [
  { kind: 'arc', from: { x: x + r, y }, to: { x: x - r, y }, bulge: 1 },
  { kind: 'arc', from: { x: x - r, y }, to: { x: x + r, y }, bulge: 1 },
];

/** A mark every so often along the straight runs of paths, half a pitch from their starts. */
function along(
  paths: readonly Path[],
  pitchMm: number,
  make: (p: Point, direction: Point) => LineMark,
): readonly LineMark[] {
  return paths.flatMap((path) =>
    path.flatMap((curve) => {
      const length = distance(curve.from, curve.to);
      const count = Math.max(1, Math.floor(length / pitchMm));
      return Array.from({ length: count }, (_, index) =>
        make(interpolate(curve.from, curve.to, (index + 0.5) / count), unitVector(curve.from, curve.to)),
      );
    }),
  );
}

/** A dimension's thin line with a tick at either end. */
function dimensionLines(dimension: PlacedDimension): readonly LineMark[] {
  const [a, b, step] = dimensionEnds(dimension);
  const mark = (path: Path, dash: Dash): LineMark => ({
    kind: 'path',
    path,
    closed: false,
    pen: 'thin',
    dash,
    tone: 'ink',
    dimensionId: dimension.id,
  });
  const along = unitVector(a, b),
    aside = times(leftOf(along), DIMENSION_TICK_MM / 2);
  const tick = (p: Point): LineMark => mark(run(subtract(p, aside), add(p, aside)), 'solid');
  return [
    mark(run(a, b), 'solid'),
    tick(a),
    tick(b),
    ...(step && distance(b, step) > 1e-6 ? [mark(run(b, step), 'short')] : []),
  ];
}

function dimensionCaption(dimension: PlacedDimension, unit: LengthUnit): TextMark {
  const [a, b] = dimensionEnds(dimension);
  const angle = directionDegrees(a, b);
  return {
    kind: 'text',
    at: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 },
    angleDegrees: angle > 90.001 || angle <= -89.999 ? angle + 180 : angle,
    text: formatLength(dimension.valueMm, unit),
    tone: 'ink',
    dimensionId: dimension.id,
  };
}

/** Where a stroke's caption goes: the middle of its longest run, along it, never upside down. */
function captionMarks(stroke: Stroke): readonly TextMark[] {
  const path = stroke.paths[0];
  const text = [stroke.caption, ...(stroke.variants ?? [])].filter(Boolean).join(' · ');
  if (text === '' || !path) return [];
  const tone: Tone = stroke.face === 'back' ? 'back' : 'ink';
  if (stroke.kind === 'pocket') {
    const box = boundsOf(flattenOpenPath(path, 0.1));
    return [
      {
        kind: 'text',
        at: { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 },
        angleDegrees: 0,
        text,
        tone,
        operationId: stroke.operationId,
      },
    ];
  }
  const longest = path.reduce((a, b) => (distance(b.from, b.to) > distance(a.from, a.to) ? b : a));
  const middle = { x: (longest.from.x + longest.to.x) / 2, y: (longest.from.y + longest.to.y) / 2 };
  const shift = stroke.kind === 'bevel' ? towardsArea(longest.from, longest.to, stroke) : { x: 0, y: 0 };
  const direction = directionDegrees(longest.from, longest.to);
  const upright = direction > 90.001 ? direction - 180 : direction <= -89.999 ? direction + 180 : direction;
  return [{ kind: 'text', at: add(middle, shift), angleDegrees: upright, text, tone, operationId: stroke.operationId }];
}

/** A caption on a bevel stands in the part beside its band, where it can be read. */
function towardsArea(from: Point, to: Point, stroke: Stroke): Point {
  const side = leftOf(unitVector(from, to));
  const probe = add({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }, times(side, stroke.widthMm / 2));
  const isLeft = stroke.area.some((one) => isInside(probe, one));
  return times(side, (isLeft ? 1 : -1) * (stroke.widthMm + 4));
}

function pinPricks(path: Path, operationId: string): readonly LineMark[] {
  return [path[0]?.from, path.at(-1)?.to]
    .filter((p) => p !== undefined)
    .flatMap((p) =>
      [
        [PIN_PRICK_MM, 0],
        [0, PIN_PRICK_MM],
      ].map(([dx, dy]): LineMark => ({
        kind: 'path',
        path: run({ x: p.x - dx!, y: p.y - dy! }, { x: p.x + dx!, y: p.y + dy! }),
        closed: false,
        pen: 'thin',
        dash: 'solid',
        tone: 'back',
        operationId,
      })),
    );
}

/** Slanted lines across a region, one pitch apart. */
function hatch(region: Region): readonly (readonly [Point, Point])[] {
  if (region.length === 0) return [];
  const direction = { x: Math.cos(radians(60)), y: Math.sin(radians(60)) };
  const normal = leftOf(direction);
  const offsets = region.flat().map((p) => dot(p, normal));
  const lines: [Point, Point][] = [];
  for (
    let at = Math.ceil(Math.min(...offsets) / HATCH_PITCH_MM) * HATCH_PITCH_MM;
    at < Math.max(...offsets);
    at += HATCH_PITCH_MM
  ) {
    const origin = times(normal, at);
    const cuts: number[] = [];
    for (const one of region) {
      one.forEach((p, index) => {
        const q = one[(index + 1) % one.length]!;
        const sideP = cross(direction, subtract(p, origin)),
          sideQ = cross(direction, subtract(q, origin));
        if (sideP >= 0 === sideQ >= 0) return;
        cuts.push(dot(subtract(add(p, times(subtract(q, p), sideP / (sideP - sideQ))), origin), direction));
      });
    }
    cuts.sort((a, b) => a - b);
    for (let index = 0; index + 1 < cuts.length; index += 2)
      lines.push([add(origin, times(direction, cuts[index]!)), add(origin, times(direction, cuts[index + 1]!))]);
  }
  return lines;
}

/** Sparse dots over a region, every other row shifted. */
function scatter(region: Region): readonly Point[] {
  const box = boundsOf(region.flat());
  const dots: Point[] = [];
  let row = 0;
  for (let y = box.minY + TRENCH_DOT_PITCH_MM / 4; y < box.maxY; y += TRENCH_DOT_PITCH_MM / 2, row++) {
    for (let x = box.minX + (row % 2 ? TRENCH_DOT_PITCH_MM / 2 : 0); x < box.maxX; x += TRENCH_DOT_PITCH_MM) {
      if (region.filter((one) => isInside({ x, y }, one)).length % 2 === 1) dots.push({ x, y });
    }
  }
  return dots;
}

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
