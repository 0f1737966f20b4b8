import { applyTransform, boundsOf, mirrorX, mirrorY } from '../../geometry/index.ts';
import { mirroredOperation } from '../operations/index.ts';
import type { Contour, DrawnLine, Part, Segment } from '../part.ts';
import { done, type CommandResult } from './command.ts';

/** Mirrors the whole drawing within its own box, so that it stays where it was. */
export function mirrorPart(part: Part, args: { readonly across: 'vertical' | 'horizontal' }): CommandResult {
  const box = boundsOf([...part.contours, ...part.lines].flatMap((path) => path.nodes));
  const turn = args.across === 'vertical' ? mirrorX((box.minX + box.maxX) / 2) : mirrorY((box.minY + box.maxY) / 2);
  const mirror = <P extends Contour | DrawnLine>(path: P): P => ({
    ...path,
    nodes: path.nodes.map((node) => ({ ...node, ...applyTransform(turn, node) })),
    segments: path.segments.map((segment): Segment => {
      if (segment.kind === 'arc') return { ...segment, bulge: -segment.bulge };
      if (segment.kind === 'cubic') return { ...segment, control1: applyTransform(turn, segment.control1), control2: applyTransform(turn, segment.control2) };
      return segment;
    }),
  });
  const operations = part.operations.map(mirroredOperation);
  const directionDegrees = args.across === 'vertical' ? 180 - part.grain.directionDegrees : -part.grain.directionDegrees;
  return done({ ...part, contours: part.contours.map(mirror), lines: part.lines.map(mirror), operations, grain: { ...part.grain, directionDegrees } }, 'Mirror part');
}
