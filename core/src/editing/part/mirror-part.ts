import { isOnEdge, type Feature } from '../../features/index.ts';
import { applyTransform, boundsOf, mirrorX, mirrorY } from '../../geometry/index.ts';
import { mirroredOperation } from '../../operations/index.ts';
import { guideShape, type Guide, type Contour, type DrawnLine, type Part } from '../../part/index.ts';
import type { Segment } from '../../paths/index.ts';
import { defined, withinFullTurn } from '../../units/index.ts';
import { done, type CommandResult } from '../command.ts';

/** Mirrors the whole drawing within its own box, so that it stays where it was. */
export function mirrorPart(part: Part, args: { readonly across: 'vertical' | 'horizontal' }): CommandResult {
  const box = boundsOf([...part.contours, ...part.lines].flatMap((path) => path.nodes));
  const turn = args.across === 'vertical' ? mirrorX((box.minX + box.maxX) / 2) : mirrorY((box.minY + box.maxY) / 2);
  const mirror = <P extends Contour | DrawnLine>(path: P): P => ({
    ...path,
    nodes: path.nodes.map((node) => ({ ...node, ...applyTransform(turn, node) })),
    segments: path.segments.map((segment): Segment => {
      if (segment.kind === 'arc') return { ...segment, bulge: -segment.bulge };
      if (segment.kind === 'cubic')
        return {
          ...segment,
          control1: applyTransform(turn, segment.control1),
          control2: applyTransform(turn, segment.control2),
        };
      return segment;
    }),
  });
  const isUpright = args.across === 'vertical';
  const turnAngle = (angleDegrees: number): number => withinFullTurn(isUpright ? 180 - angleDegrees : -angleDegrees);
  const feature = (one: Feature): Feature => {
    if (isOnEdge(one)) return one;
    // Words stay readable: they go to the image of their place but are not turned over.
    return {
      ...one,
      at: applyTransform(turn, one.at),
      angleDegrees: one.kind === 'lettering' ? withinFullTurn(-one.angleDegrees) : turnAngle(one.angleDegrees),
    };
  };
  const guide = (one: Guide): Guide => {
    if (one.kind === 'line')
      return { ...one, at: applyTransform(turn, one.at), angleDegrees: turnAngle(one.angleDegrees) };
    if (one.kind === 'circle') return { ...one, at: applyTransform(turn, one.at) };
    // Left of the edge lies right of its image; what stands outside a round edge still does.
    return isRound(part, one) ? one : { ...one, byMm: -one.byMm };
  };
  const { symmetry } = part;
  const line = symmetry && {
    ...symmetry,
    atMm:
      (symmetry.along === 'upright') === isUpright
        ? applyTransform(turn, { x: symmetry.atMm, y: symmetry.atMm })[isUpright ? 'x' : 'y']
        : symmetry.atMm,
  };
  return done(
    {
      ...part,
      contours: part.contours.map(mirror),
      lines: part.lines.map(mirror),
      operations: part.operations.map(mirroredOperation),
      grain: { ...part.grain, directionDegrees: turnAngle(part.grain.directionDegrees) },
      ...defined({ features: part.features?.map(feature), guides: part.guides?.map(guide), symmetry: line }),
    },
    'Mirror part',
  );
}

/** Whether a guide is round. */
const isRound = (part: Part, guide: Guide): boolean => guideShape(part, guide)?.kind === 'circle';
