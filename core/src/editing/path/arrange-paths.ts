import {
  applyTransform,
  compose,
  isFinitePoint,
  isMirroring,
  rotation,
  rotationAbout,
  scaling,
  translation,
  type Point,
  type Transform,
} from '../../geometry/index.ts';
import { mirroredOperation, type Operation } from '../../operations/index.ts';
import { pathsOf, type Contour, type DrawnLine, type Part, IdSource } from '../../part/index.ts';
import type { DrawnPath, Segment } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** How paths are moved: by a step, by a turn about a place, or mirrored in a line. */
export type Motion =
  | { readonly kind: 'move'; readonly by: Point }
  | { readonly kind: 'turn'; readonly about: Point; readonly angleDegrees: number }
  | { readonly kind: 'mirror'; readonly from: Point; readonly to: Point };

const MOST_COPIES = 200;

/**
 * Moves, turns or mirrors paths with the work on them; or leaves them and makes copies, each one motion further: a row of lightening
 * holes, a ring of bolt holes, the other half of a former.
 * @param copies 0 moves the paths themselves
 */
export function arrangePaths(
  part: Part,
  args: { readonly pathIds: readonly string[]; readonly motion: Motion; readonly copies: number },
): CommandResult {
  const chosen = pathsOf(part).filter(({ id }) => args.pathIds.includes(id));
  if (chosen.length === 0) return refused('Choose the lines to move first.');
  if (!(Number.isInteger(args.copies) && args.copies >= 0 && args.copies <= MOST_COPIES))
    return refused(`0 to ${MOST_COPIES} copies can be made, got ${args.copies}.`);
  if (args.motion.kind === 'mirror' && args.copies > 1)
    return refused('A mirror image is one copy: a second would lie on the first.');
  const step = transformOf(args.motion);
  if (typeof step === 'string') return refused(step);
  const word = { move: 'Move', turn: 'Turn', mirror: 'Mirror' }[args.motion.kind];
  if (args.copies === 0) {
    const move = <P extends Contour | DrawnLine>(path: P): P =>
      args.pathIds.includes(path.id) ? moved(path, step) : path;
    return done(
      withSidesTurned({ ...part, contours: part.contours.map(move), lines: part.lines.map(move) }, chosen, step),
      `${word} ${chosen.length === 1 ? 'line' : `${chosen.length} lines`}`,
    );
  }
  if (chosen.some((path) => 'role' in path && path.role === 'outer'))
    return refused('A part has one outline: copy its holes and lines, or duplicate the whole part.');
  return done(
    withCopies(part, chosen, step, args.copies),
    `${word} ${args.copies === 1 ? 'a copy' : `${args.copies} copies`}`,
  );
}

function transformOf(motion: Motion): Transform | string {
  switch (motion.kind) {
    case 'move':
      return isFinitePoint(motion.by) ? translation(motion.by.x, motion.by.y) : 'A move needs two finite numbers.';
    case 'turn':
      return isFinitePoint(motion.about) && Number.isFinite(motion.angleDegrees)
        ? rotationAbout(motion.about, motion.angleDegrees)
        : 'A turn needs a place and a number of degrees.';
    case 'mirror': {
      const { from, to } = motion;
      const length = Math.hypot(to.x - from.x, to.y - from.y);
      if (!(length > 1e-9 && Number.isFinite(length))) return 'A mirror line needs two places apart from each other.';
      const angle = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
      return compose(
        compose(compose(compose(translation(-from.x, -from.y), rotation(-angle)), scaling(1, -1)), rotation(angle)),
        translation(from.x, from.y),
      );
    }
  }
}

function moved<P extends DrawnPath>(path: P, t: Transform): P {
  return {
    ...path,
    nodes: path.nodes.map((node) => ({ ...node, ...applyTransform(t, node) })),
    segments: path.segments.map((segment): Segment => {
      if (segment.kind === 'arc') return isMirroring(t) ? { ...segment, bulge: -segment.bulge } : segment;
      return segment.kind === 'cubic'
        ? { ...segment, control1: applyTransform(t, segment.control1), control2: applyTransform(t, segment.control2) }
        : segment;
    }),
  };
}

/** In a mirror image, what lay left of a line lies right of it. */
function withSidesTurned(part: Part, paths: readonly DrawnPath[], t: Transform): Part {
  if (!isMirroring(t)) return part;
  return {
    ...part,
    operations: part.operations.map((operation) =>
      paths.some(({ id }) => id === operation.on.pathId) ? mirroredOperation(operation) : operation,
    ),
  };
}

function withCopies(part: Part, chosen: readonly (Contour | DrawnLine)[], step: Transform, copies: number): Part {
  const ids = new IdSource(part);
  const contours: Contour[] = [],
    lines: DrawnLine[] = [],
    operations: Operation[] = [];
  let t = step;
  for (let copy = 0; copy < copies; copy++) {
    for (const path of chosen) {
      const placed = moved(path, t);
      const segmentIds = new Map(placed.segments.map(({ id }) => [id, ids.next('s')]));
      const fresh = {
        ...placed,
        nodes: placed.nodes.map((node) => ({ ...node, id: ids.next('n') })),
        segments: placed.segments.map((segment) => ({ ...segment, id: segmentIds.get(segment.id)! })),
      };
      const own = 'role' in fresh ? { ...fresh, id: ids.next('c') } : { ...fresh, id: ids.next('l') };
      if ('role' in own) contours.push(own);
      else lines.push(own);
      for (const operation of part.operations.filter(({ on }) => on.pathId === path.id)) {
        const on = {
          pathId: own.id,
          ...(operation.on.segmentIds ? { segmentIds: operation.on.segmentIds.map((id) => segmentIds.get(id)!) } : {}),
        };
        operations.push({ ...(isMirroring(t) ? mirroredOperation(operation) : operation), id: ids.next('o'), on });
      }
    }
    t = compose(t, step);
  }
  return {
    ...part,
    contours: [...part.contours, ...contours],
    lines: [...part.lines, ...lines],
    operations: [...part.operations, ...operations],
    lastId: ids.lastId,
  };
}
