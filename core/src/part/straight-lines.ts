import { curveLength } from '../geometry/index.ts';
import { operationWord } from '../operations/index.ts';
import { curveOf } from '../paths/index.ts';
import { drawnId, isMirrorId } from './derived-ids.ts';
import { pathsOf, type Part } from './part.ts';

/** A straight edge or line of a part, by which it can stand on another or meet one. */
export interface StraightLine {
  readonly segmentId: string;
  /** What it is called on the slip: `edge 3`, `mark, former 2`. */
  readonly name: string;
  readonly lengthMm: number;
  /** Whether it can be a seam: an edge, or a line that is only marked on a plate. */
  readonly canMeet: boolean;
}

/**
 * The straight edges and lines of a part made whole, as they are called on the slip.
 * @param drawn the part as drawn, whose numbers the names keep
 */
export function straightLines(drawn: Part, whole: Part): readonly StraightLine[] {
  const lengths = new Map(
    pathsOf(drawn).flatMap((path) =>
      path.segments.map((segment, index) => [segment.id, curveLength(curveOf(path, index))] as const),
    ),
  );
  const seen = new Set<string>();
  return pathsOf(whole).flatMap((path) =>
    path.segments.flatMap((segment): readonly StraightLine[] => {
      // Pieces that features leave of an edge stand for the edge; what only a feature draws moves with its numbers and is no ground to stand on.
      const segmentId = segment.id.replace(/~f\d+\.\d+/, ''),
        lengthMm = lengths.get(drawnId(segmentId));
      if (segment.kind !== 'line' || lengthMm === undefined || seen.has(segmentId)) return [];
      seen.add(segmentId);
      return [
        {
          segmentId,
          name: `${lineName(drawn, drawnId(segmentId))}${isMirrorId(segmentId) ? ', mirrored' : ''}`,
          lengthMm,
          canMeet: 'role' in path || whole.operations.every(({ on, kind }) => on.pathId !== path.id || kind === 'mark'),
        },
      ];
    }),
  );
}

/** What a straight edge or line of a drawing is called. */
export function lineName(part: Part, segmentId: string): string {
  for (const path of pathsOf(part)) {
    const index = path.segments.findIndex(({ id }) => id === segmentId);
    if (index < 0) continue;
    if ('role' in path) return `${path.role === 'outer' ? 'edge' : 'hole edge'} ${index + 1}`;
    const work = part.operations.find(({ on }) => on.pathId === path.id);
    return `${work ? [operationWord(work), work.label].filter(Boolean).join(', ') : 'line'}${path.segments.length > 1 ? `, run ${index + 1}` : ''}`;
  }
  return 'edge of a feature';
}
