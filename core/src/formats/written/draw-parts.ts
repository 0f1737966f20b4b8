import { boardViews, resolveIn, type Airframe } from '../../airframe/index.ts';
import { strokeText } from '../../features/index.ts';
import {
  boundsHeight,
  boundsWidth,
  joinBounds,
  roomiestPlace,
  transformPath,
  translation,
  type Bounds,
  type Path,
  type Point,
  type Polygon,
  type Transform,
} from '../../geometry/index.ts';
import { placementTransform } from '../../nesting/index.ts';
import { runsThrough } from '../drawing.ts';
import type { ResolvedPart } from '../../resolve/index.ts';
import { CoreError } from '../../units/index.ts';
import { BOARD_LAYER, CUT_LAYER, EDGES, layerOfStroke, WORDS_LAYER } from './layer-names.ts';
import type { WrittenDrawing, WrittenLine } from './written-drawing.ts';

/** How grooves, trenches and pockets go out: as their centre line, as the edges of what is taken out, or both. */
export const WIDE_LINES = ['centre', 'edges', 'both'] as const;
export interface WrittenOptions {
  readonly wideLines: (typeof WIDE_LINES)[number];
  /** Whether parts carry their names, in letters of single strokes. */
  readonly hasWords: boolean;
}
export const USUAL_WRITTEN: WrittenOptions = { wideLines: 'centre', hasWords: true };

/** Work wider than this has edges, in mm. */
const WIDE_MM = 0.05;
/** Parts laid out lie so far apart, in rows about so wide, in mm. */
const APART_MM = 10,
  ROW_MM = 1000;

/**
 * Parts of an airframe beside each other, at its scale and in its variant. @param partIds all of them when undefined
 * @throws CoreError NOTHING_TO_DO when none of them has a closed outline
 */
export function partsDrawing(
  airframe: Airframe,
  partIds: readonly string[] | undefined,
  options: WrittenOptions = USUAL_WRITTEN,
): WrittenDrawing {
  const wanted = airframe.parts.filter(({ id }) => partIds === undefined || partIds.includes(id));
  const parts = wanted
    .map((part) => ({ part, resolved: resolveIn(airframe, part) }))
    .filter(({ resolved }) => resolved.outline);
  if (parts.length === 0)
    throw new CoreError('NOTHING_TO_DO', 'None of these parts has a closed outline: there is nothing to write.');
  const corners = inRows(parts.map(({ resolved }) => resolved.bounds));
  const lines = parts.flatMap(({ part, resolved }, index) => {
    const { bounds } = resolved,
      at = corners[index]!;
    const words = part.quantity > 1 ? `${resolved.name} x${part.quantity}` : resolved.name;
    return partLines(resolved, words, translation(at.x - bounds.minX, at.y - bounds.minY), options);
  });
  const title = parts.length === 1 ? `${airframe.name}, ${parts[0]!.resolved.name}` : airframe.name;
  return {
    title,
    lines,
    bounds: joinBounds(parts.map(({ resolved }, index) => boxAt(resolved.bounds, corners[index]!))),
  };
}

/** A board of the nest with what lies on it. @param number from 1 @throws CoreError NOT_FOUND when the nest has no such board */
export function boardDrawing(
  airframe: Airframe,
  number: number,
  options: WrittenOptions = USUAL_WRITTEN,
): WrittenDrawing {
  const views = airframe.nest ? boardViews(airframe, airframe.nest) : [];
  const view = views[number - 1];
  if (!view)
    throw new CoreError(
      'NOT_FOUND',
      views.length === 0
        ? 'This airframe has no nest. Nest it on Boards first.'
        : `This nest has boards 1 to ${views.length}, got ${number}.`,
      { number },
    );
  const { board, pieces } = view;
  const edge = board.outline ?? [
    { x: 0, y: 0 },
    { x: board.widthMm, y: 0 },
    { x: board.widthMm, y: board.heightMm },
    { x: 0, y: board.heightMm },
  ];
  const frame: WrittenLine = { layer: BOARD_LAYER, path: runsThrough(edge, true), isClosed: true };
  return {
    title: `${airframe.name}, board ${number}`,
    lines: [
      frame,
      ...pieces.flatMap(({ piece, placed }) =>
        partLines(piece.part, piece.part.name, placementTransform(placed), options),
      ),
    ],
    bounds: { minX: 0, minY: 0, maxX: board.widthMm, maxY: board.heightMm },
  };
}

/** Lower left corners of boxes in rows, the first row lowest. */
function inRows(boxes: readonly Bounds[]): readonly Point[] {
  let x = 0,
    y = 0,
    height = 0;
  return boxes.map((box) => {
    if (x > 0 && x + boundsWidth(box) > ROW_MM) [x, y, height] = [0, y + height + APART_MM, 0];
    const at = { x, y };
    x += boundsWidth(box) + APART_MM;
    height = Math.max(height, boundsHeight(box));
    return at;
  });
}
const boxAt = (box: Bounds, at: Point): Bounds => ({
  minX: at.x,
  minY: at.y,
  maxX: at.x + boundsWidth(box),
  maxY: at.y + boundsHeight(box),
});

/** The lines of one part where it lies: what is cut through, each work on a layer of its own, its name. */
function partLines(
  part: ResolvedPart,
  words: string,
  t: Transform,
  { wideLines, hasWords }: WrittenOptions,
): readonly WrittenLine[] {
  const line = (layer: string, path: Path, isClosed: boolean): WrittenLine => ({
    layer,
    path: transformPath(t, path),
    isClosed,
  });
  const works = part.strokes.flatMap((stroke): readonly WrittenLine[] => {
    const layer = layerOfStroke(stroke),
      isWide = stroke.widthMm > WIDE_MM && stroke.area.length > 0;
    const centre = stroke.paths.map((path) => line(layer, path, stroke.closed));
    const edges = isWide ? stroke.area.map((ring) => line(layer + EDGES, ringPath(ring), true)) : [];
    if (wideLines === 'both') return [...centre, ...edges];
    return wideLines === 'edges' && isWide ? edges : centre;
  });
  return [
    ...works,
    ...(hasWords ? wordLines(part, words).map((path) => line(WORDS_LAYER, path, false)) : []),
    // The outline last: what lies within it is cut before it comes loose.
    ...part.holes.map((hole) => line(CUT_LAYER, hole, true)),
    ...(part.outline ? [line(CUT_LAYER, part.outline, true)] : []),
  ];
}

const ringPath = (ring: Polygon): Path => runsThrough(ring, true);

/** Letters are this high where there is room, in mm. */
const LETTERS_MM = 6;

/** A part's name as single strokes, in its roomiest place; smaller where it is narrow. */
function wordLines(part: ResolvedPart, words: string): readonly Path[] {
  const { place, distance } = roomiestPlace(
    part.outer,
    [...part.holeRings, ...part.strokes.flatMap(({ area }) => area)],
    1,
  );
  const { strokes, widthMm } = strokeText(words, LETTERS_MM);
  const size = Math.min(1, (1.2 * distance) / LETTERS_MM, (1.8 * distance) / Math.max(1, widthMm));
  const at = { x: place.x - (size * widthMm) / 2, y: place.y - (size * LETTERS_MM) / 2 };
  return strokes.map((chain) =>
    runsThrough(
      chain.map(({ x, y }) => ({ x: at.x + size * x, y: at.y + size * y })),
      false,
    ),
  );
}
