import { distance, midpoint, selfCrossings } from '../geometry/index.ts';
import { traitsOf } from '../operations/index.ts';
import { findLine, outlineOf, type Part } from '../part/index.ts';
import { curvesOf, FINE_TOLERANCE_MM } from '../paths/index.ts';
import type { Fault } from './fault.ts';
import { lengthText } from '../units/index.ts';

/** Open and self-crossing outlines and holes, and pockets left open. */
export function outlineFaults(part: Part): readonly Fault[] {
  if (!outlineOf(part)) {
    return [
      {
        code: 'OUTLINE_MISSING',
        partId: part.id,
        title: `${part.name} has no outline yet`,
        detail: 'Nothing can be printed or cut before it has one.',
        mend: { label: 'Draw the outline', action: { name: 'startOutline' } },
      },
    ];
  }
  return [
    ...part.contours.flatMap((contour): readonly Fault[] => {
      const isOuter = contour.role === 'outer';
      const word = isOuter ? 'Outline' : 'Hole';
      if (!contour.closed) {
        const first = contour.nodes[0]!,
          last = contour.nodes.at(-1)!;
        return [
          {
            code: isOuter ? 'OUTLINE_OPEN' : 'HOLE_OPEN',
            partId: part.id,
            targetId: contour.id,
            place: midpoint(first, last),
            title: `${word} of ${part.name} is open`,
            detail: `Its ends are ${lengthText(distance(first, last), 2)} apart.`,
            mend: { label: 'Close it', command: { name: 'closePath', args: { pathId: contour.id } } },
          },
        ];
      }
      const crossing = selfCrossings(curvesOf(contour), FINE_TOLERANCE_MM, true, 1)[0];
      return crossing
        ? [
            {
              code: 'OUTLINE_CROSSES',
              partId: part.id,
              targetId: contour.id,
              place: crossing.point,
              title: `${word} of ${part.name} crosses itself`,
              detail: `At x ${crossing.point.x.toFixed(1)}, y ${lengthText(crossing.point.y)}. A knife cannot follow it.`,
              mend: {
                label: 'Cut off the smaller loop',
                command: { name: 'uncrossOutline', args: { pathId: contour.id } },
              },
            },
          ]
        : [];
    }),
    ...openPockets(part),
  ];
}

function openPockets(part: Part): readonly Fault[] {
  return part.operations.flatMap((operation): readonly Fault[] => {
    const line = findLine(part, operation.on.pathId);
    if (traitsOf(operation.kind).ground !== 'area' || !line || line.closed) return [];
    return [
      {
        code: 'LINE_OPEN',
        partId: part.id,
        targetId: operation.id,
        place: line.nodes[0]!,
        title: 'The line round the pocket is open',
        detail: `Its ends are ${lengthText(distance(line.nodes[0]!, line.nodes.at(-1)!), 2)} apart.`,
        mend: { label: 'Close it', command: { name: 'closePath', args: { pathId: line.id } } },
      },
    ];
  });
}
