import { offsetOutline } from '../../geometry/index.ts';
import {
  findPath,
  type Contour,
  type DrawnLine,
  type Part,
  IdSource,
  pathWord,
  withoutLostPlaces,
  withPath,
} from '../../part/index.ts';
import { curvesOf, offsetPath, segmentFrom } from '../../paths/index.ts';
import { lengthText } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Longest offset in mm. */
const FURTHEST_OFFSET_MM = 1000;

/**
 * Moves a closed path outwards by a distance (inwards below 0): the path itself, or a copy of it as a hole or as a line to work on.
 * Work on the path itself stays on the edges that are still there.
 */
export function offsetContour(
  part: Part,
  args: {
    readonly pathId: string;
    readonly byMm: number;
    readonly corners: 'sharp' | 'round';
    readonly as: 'itself' | 'hole' | 'line';
  },
): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path) return refused(`There is no line "${args.pathId}" in ${part.name}.`);
  if (!path.closed) return refused(`The ${pathWord(path)} is open: only closed lines have an inside to offset to.`);
  if (!(Math.abs(args.byMm) > 0 && Math.abs(args.byMm) <= FURTHEST_OFFSET_MM))
    return refused(
      `An offset must be up to ${lengthText(FURTHEST_OFFSET_MM, 0)} and not 0, got ${lengthText(args.byMm)}.`,
    );
  const loops = offsetOutline(curvesOf(path), args.byMm, args.corners);
  const distance = lengthText(Math.abs(args.byMm));
  if (loops.length === 0) return refused(`Moved in by ${distance}, nothing of the ${pathWord(path)} is left.`);
  if (loops.length > 1 && args.as === 'itself')
    return refused(`Moved in by ${distance}, the ${pathWord(path)} falls into ${loops.length} pieces.`);
  const label = `Offset ${pathWord(path)} by ${args.byMm > 0 ? '' : '−'}${distance}`;
  const ids = new IdSource(part);
  if (args.as === 'itself') {
    const moved = offsetPath(path, loops[0]!, args.byMm, ids);
    return done(
      withoutLostPlaces({ ...withPath(part, path.id, (one) => ({ ...one, ...moved })), lastId: ids.lastId }),
      label,
    );
  }
  const drawn = loops.map((loop) => ({
    closed: true as const,
    sizing: 'scaled' as const,
    nodes: loop.map(({ from }) => ({ id: ids.next('n'), x: from.x, y: from.y })),
    segments: loop.map((curve) => segmentFrom(curve, ids.next('s'))),
  }));
  if (args.as === 'hole') {
    const holes = drawn.map((loop): Contour => ({ id: ids.next('c'), role: 'hole', ...loop }));
    return done({ ...part, contours: [...part.contours, ...holes], lastId: ids.lastId }, `${label} as a hole`);
  }
  const lines = drawn.map((loop): DrawnLine => ({ id: ids.next('l'), ...loop }));
  const operations = lines.map((line) => ({
    kind: 'mark' as const,
    face: 'face' as const,
    label: '',
    id: ids.next('o'),
    on: { pathId: line.id },
  }));
  return done(
    { ...part, lines: [...part.lines, ...lines], operations: [...part.operations, ...operations], lastId: ids.lastId },
    `${label} as a line`,
  );
}
