import { creasedSection } from '../../allowance/index.ts';
import {
  curveLength,
  curvePoint,
  leftOf,
  pathLength,
  times,
  unitVector,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import type { Operation } from '../../operations/index.ts';
import { type DrawnLine, type Part, IdSource } from '../../part/index.ts';
import { curvesOf } from '../../paths/index.ts';
import { CoreError, lengthText } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Points at which a section is read, spread over its length. */
const SECTION_POINTS = 200;

/** Points along a path: its nodes, and between them as many as their share of the length. */
function pointsAlong(path: Path): readonly Point[] {
  const total = pathLength(path);
  return [
    path[0]!.from,
    ...path.flatMap((curve) => {
      const steps = Math.max(1, Math.round((SECTION_POINTS * curveLength(curve)) / total));
      return Array.from({ length: steps }, (_, index) => curvePoint(curve, (index + 1) / steps));
    }),
  ];
}

/**
 * Makes one straight crease a row of them that bends the board to a section drawn as an open line on the part: the crease becomes the
 * first of the row, the others follow on its left, or on its right.
 */
export function creaseSection(
  part: Part,
  args: {
    readonly operationId: string;
    readonly sectionPathId: string;
    readonly creases: number;
    readonly side: 'left' | 'right';
  },
): CommandResult {
  const operation = part.operations.find(({ id }) => id === args.operationId);
  const line = part.lines.find(({ id }) => id === operation?.on.pathId),
    section = part.lines.find(({ id }) => id === args.sectionPathId);
  if (operation?.kind !== 'crease' || line?.nodes.length !== 2 || line.segments[0]!.kind !== 'line')
    return refused('Only a straight crease can become a row of creases.');
  if (!section || section.closed || section.id === line.id)
    return refused('A section is an open line of its own on the part: draw it beside the outline as a mark.');
  try {
    const { creases, deviationMm } = creasedSection(pointsAlong(curvesOf(section)), args.creases);
    // A curve that bends to the right has its inside there: its creases fold toward the face all the same, by the way most of it bends.
    const way = Math.sign(creases.reduce((sum, { foldDegrees }) => sum + foldDegrees, 0)) || 1;
    const aside = leftOf(unitVector(line.nodes[0]!, line.nodes[1]!)),
      ids = new IdSource(part),
      first = creases[0]!;
    const row = creases.map(
      ({ atMm, foldDegrees }, index): { readonly line: DrawnLine; readonly operation: Operation } => {
        const by = times(aside, (args.side === 'left' ? 1 : -1) * (atMm - first.atMm));
        const own: DrawnLine =
          index === 0
            ? line
            : {
                ...line,
                id: ids.next('l'),
                nodes: line.nodes.map((node) => ({ id: ids.next('n'), x: node.x + by.x, y: node.y + by.y })),
                segments: [{ id: ids.next('s'), kind: 'line' }],
              };
        return {
          line: own,
          operation: {
            ...operation,
            id: index === 0 ? operation.id : ids.next('o'),
            on: { pathId: own.id },
            foldDegrees: Math.round(foldDegrees * way * 1000) / 1000,
          },
        };
      },
    );
    const operations = [
      ...part.operations.map((one) => (one === operation ? row[0]!.operation : one)),
      ...row.slice(1).map((one) => one.operation),
    ];
    return done(
      { ...part, lines: [...part.lines, ...row.slice(1).map((one) => one.line)], operations, lastId: ids.lastId },
      `Crease to a section, ${lengthText(deviationMm, 2)} off`,
    );
  } catch (error) {
    if (error instanceof CoreError) return refused(`${error.message[0]!.toUpperCase()}${error.message.slice(1)}.`);
    throw error;
  }
}
