import { distance, leftOf, times, unitVector } from '../../geometry/index.ts';
import { isThroughCut } from '../../operations/index.ts';
import {
  FURTHEST_COORDINATE_MM,
  type Part,
  findSegment,
  IdSource,
  withoutLostPlaces,
  withPath,
} from '../../part/index.ts';
import type { DrawnPath } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { moveNodes } from '../path/move-nodes.ts';
import { changeWork } from '../operations/change-work.ts';
import { lengthText } from '../../units/index.ts';

/**
 * Declares that two straight edges meet when the part is folded, or where it stands.
 * @param args `toPartId` names the part of the second edge; this very part when its port piece meets its starboard piece
 */
export function addSeam(
  part: Part,
  args: { readonly fromSegmentId: string; readonly toSegmentId: string; readonly toPartId?: string },
): CommandResult {
  const ends = [args.fromSegmentId, args.toSegmentId],
    isOwn = args.toPartId === undefined;
  const lost = (isOwn ? ends : ends.slice(0, 1)).find(
    (id) => findSegment(part, id)?.path.segments.find((segment) => segment.id === id)?.kind !== 'line',
  );
  if (lost !== undefined) return refused(`A seam joins two straight edges; "${lost}" is none.`);
  if (isOwn && ends[0] === ends[1] && !isCutThrough(part, ends[0]!))
    return refused('A seam joins two different edges, or both sides of a through cut.');
  if (args.toPartId === part.id && part.handed !== 'pair')
    return refused(`${part.name} is no pair: it has no other piece to meet.`);
  if (
    part.seams?.some(
      (seam) =>
        seam.toPartId === args.toPartId &&
        [seam.fromSegmentId, seam.toSegmentId].sort().join() === [...ends].sort().join(),
    )
  )
    return refused('These edges are a seam already.');
  const ids = new IdSource(part);
  return done(
    { ...part, seams: [...(part.seams ?? []), { id: ids.next('j'), ...args }], lastId: ids.lastId },
    'Declare seam',
  );
}

/** Whether a segment is a cut within the part, so that it has two sides which can meet again. */
const isCutThrough = (part: Part, segmentId: string): boolean => {
  const found = findSegment(part, segmentId);
  return part.operations.some(({ kind, on }) => isThroughCut(kind) && on.pathId === found?.path.id);
};

/** Cuts a fold right through and declares that both sides of the cut meet again: what a ring of folds needs, since flat board cannot bend about all of them. */
export function openFold(part: Part, args: { readonly operationId: string }): CommandResult {
  const cut = changeWork(part, { operationId: args.operationId, kind: 'through' });
  if (!cut.ok) return cut;
  const line = part.lines.find(
    ({ id }) => id === part.operations.find((operation) => operation.id === args.operationId)!.on.pathId,
  )!;
  const seamed = addSeam(cut.part, { fromSegmentId: line.segments[0]!.id, toSegmentId: line.segments[0]!.id });
  return seamed.ok ? done(seamed.part, 'Cut the fold open') : seamed;
}

export function removeSeam(part: Part, args: { readonly seamId: string }): CommandResult {
  if (!part.seams?.some(({ id }) => id === args.seamId))
    return refused(`There is no seam "${args.seamId}" in ${part.name}.`);
  return done({ ...part, seams: part.seams.filter(({ id }) => id !== args.seamId) }, 'Remove seam');
}

/** Points this near each other are one, in mm. */
const SAME_PLACE_MM = 1e-6;

/**
 * Moves a straight edge across itself, to the left of its direction (right below 0); its neighbours grow or shrink, and go when nothing is
 * left of them. Ends of lines that lie on its ends go with it, so that a fold still runs from edge to edge.
 */
export function moveEdge(part: Part, args: { readonly segmentId: string; readonly acrossMm: number }): CommandResult {
  const found = findSegment(part, args.segmentId);
  if (!found || found.path.segments[found.index]!.kind !== 'line')
    return refused(`There is no straight edge "${args.segmentId}" in ${part.name}.`);
  if (!(Math.abs(args.acrossMm) <= FURTHEST_COORDINATE_MM))
    return refused(`An edge moves up to ${lengthText(FURTHEST_COORDINATE_MM, 0)}, got ${lengthText(args.acrossMm)}.`);
  const from = found.path.nodes[found.index]!,
    to = found.path.nodes[(found.index + 1) % found.path.nodes.length]!;
  const onEnds = part.lines.flatMap(({ nodes }) =>
    nodes
      .filter((node) => distance(node, from) < SAME_PLACE_MM || distance(node, to) < SAME_PLACE_MM)
      .map(({ id }) => id),
  );
  const moved = moveNodes(part, {
    nodeIds: [from.id, to.id, ...onEnds],
    by: times(leftOf(unitVector(from, to)), args.acrossMm),
  });
  return moved.ok ? done(withoutLostPlaces(withPath(moved.part, found.path.id, withoutEmptyRuns)), 'Move edge') : moved;
}

/** The path without straight runs of no length: each goes with its first point. */
function withoutEmptyRuns<P extends DrawnPath>(path: P): P {
  const isEmpty = (index: number): boolean =>
    path.segments[index]?.kind === 'line' &&
    distance(path.nodes[index]!, path.nodes[(index + 1) % path.nodes.length]!) < SAME_PLACE_MM;
  const kept = path.segments.map((_, index) => !isEmpty(index));
  if (!path.closed || kept.every(Boolean) || kept.filter(Boolean).length < 3) return path;
  return {
    ...path,
    nodes: path.nodes.filter((_, index) => kept[index]),
    segments: path.segments.filter((_, index) => kept[index]),
  };
}
