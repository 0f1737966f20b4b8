import { offsetOutline, pathSignedArea, reversePath } from '../../geometry/index.ts';
import { formatLengthWithUnit } from '../../units/index.ts';
import { curvesOf, findPath, type Contour, type DrawnLine, type Part } from '../part.ts';
import { done, IdSource, pathWord, refused, withoutLostPlaces, withPath, type CommandResult, type OperationDraft } from './command.ts';
import { segmentFrom } from './insert-node.ts';
import { rebuildPath } from './rebuild-path.ts';

/** Longest offset in mm. */
const FURTHEST_OFFSET_MM = 1000;

/**
 * Moves a closed path outwards by a distance (inwards below 0): the path itself, or a copy of it as a hole or as a line to work on.
 * Work on the path itself stays on the edges that are still there.
 */
export function offsetContour(part: Part, args: {
  readonly pathId: string; readonly byMm: number; readonly corners: 'sharp' | 'round'; readonly as: 'itself' | 'hole' | 'line'; readonly operation?: OperationDraft;
}): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path) return refused(`There is no line "${args.pathId}" in ${part.name}.`);
  if (!path.closed) return refused(`The ${pathWord(path)} is open: only closed lines have an inside to offset to.`);
  if (!(Math.abs(args.byMm) > 0 && Math.abs(args.byMm) <= FURTHEST_OFFSET_MM)) return refused(`An offset must be up to ${FURTHEST_OFFSET_MM} mm and not 0, got ${args.byMm}.`);
  const loops = offsetOutline(curvesOf(path), args.byMm, args.corners);
  const distance = formatLengthWithUnit(Math.abs(args.byMm), 'mm');
  if (loops.length === 0) return refused(`Moved in by ${distance}, nothing of the ${pathWord(path)} is left.`);
  if (loops.length > 1 && args.as === 'itself') return refused(`Moved in by ${distance}, the ${pathWord(path)} falls into ${loops.length} pieces.`);
  const label = `Offset ${pathWord(path)} by ${args.byMm > 0 ? '' : '−'}${distance}`;
  const ids = new IdSource(part);
  if (args.as === 'itself') {
    const wasClockwise = pathSignedArea(curvesOf(path)) < 0;
    const moved = wasClockwise ? reversePath(loops[0]!) : loops[0]!;
    // Moved edges lie nowhere on their old ones; where none came or went, each keeps its id in its order.
    if (moved.length === path.segments.length) {
      const shaped = withPath(part, path.id, (one) => ({ ...one, nodes: one.nodes.map((node, index) => ({ ...node, ...moved[index]!.from })), segments: one.segments.map((segment, index) => segmentFrom(moved[index]!, segment.id)) }));
      return done(shaped, label);
    }
    const rebuilt = rebuildPath(path, moved, ids);
    return done(withoutLostPlaces({ ...withPath(part, path.id, (one) => ({ ...one, nodes: rebuilt.nodes, segments: rebuilt.segments })), lastId: ids.lastId }), label);
  }
  const drawn = loops.map((loop) => ({
    closed: true as const, sizing: 'scaled' as const, nodes: loop.map(({ from }) => ({ id: ids.next('n'), x: from.x, y: from.y })), segments: loop.map((curve) => segmentFrom(curve, ids.next('s'))),
  }));
  if (args.as === 'hole') {
    const holes = drawn.map((loop): Contour => ({ id: ids.next('c'), role: 'hole', ...loop }));
    return done({ ...part, contours: [...part.contours, ...holes], lastId: ids.lastId }, `${label} as a hole`);
  }
  const lines = drawn.map((loop): DrawnLine => ({ id: ids.next('l'), ...loop }));
  const draft: OperationDraft = args.operation ?? { kind: 'mark', face: 'face', label: '' };
  const operations = lines.map((line) => ({ ...draft, id: ids.next('o'), on: { pathId: line.id } }) as Part['operations'][number]);
  return done({ ...part, lines: [...part.lines, ...lines], operations: [...part.operations, ...operations], lastId: ids.lastId }, `${label} as a line`);
}
