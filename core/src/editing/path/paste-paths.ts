import { isOnEdge, type Feature } from '../../features/index.ts';
import { isFinitePoint, type Point } from '../../geometry/index.ts';
import type { Operation } from '../../operations/index.ts';
import { outlineOf, type Contour, type DrawnLine, type Part, IdSource } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Lines, holes and features taken from a part to be put into another, or into the same again. */
export interface CopiedPaths {
  readonly contours: readonly Contour[];
  readonly lines: readonly DrawnLine[];
  readonly operations: readonly Operation[];
  readonly features: readonly Feature[];
}

/** What is copied of a part when these paths and features are chosen: with the work on the paths, and the features that stand on them. */
export function copiedFrom(part: Part, pathIds: readonly string[], featureIds: readonly string[]): CopiedPaths {
  const isChosen = ({ id }: { readonly id: string }): boolean => pathIds.includes(id);
  return {
    contours: part.contours.filter(isChosen),
    lines: part.lines.filter(isChosen),
    operations: part.operations.filter(({ on }) => pathIds.includes(on.pathId)),
    features: (part.features ?? []).filter(
      (feature) => featureIds.includes(feature.id) || (isOnEdge(feature) && pathIds.includes(feature.on.pathId)),
    ),
  };
}

/** Puts copied lines, holes and features into a part, a step away from where they lay; an outline comes as a hole where there is one. */
export function pastePaths(part: Part, args: { readonly copied: CopiedPaths; readonly by?: Point }): CommandResult {
  const { copied } = args,
    by = args.by ?? { x: 0, y: 0 };
  if (!isFinitePoint(by)) return refused('A step needs two finite numbers.');
  const count = copied.contours.length + copied.lines.length + copied.features.length;
  if (count === 0) return refused('Nothing is copied yet.');
  const ids = new IdSource(part);
  const renamed = new Map<string, string>();
  const rename = (id: string, prefix: 'n' | 's' | 'c' | 'l'): string => {
    const fresh = ids.next(prefix);
    renamed.set(id, fresh);
    return fresh;
  };
  const shift = (p: Point): Point => ({ x: p.x + by.x, y: p.y + by.y });
  const fresh = <P extends Contour | DrawnLine>(path: P, prefix: 'c' | 'l'): P => ({
    ...path,
    id: rename(path.id, prefix),
    nodes: path.nodes.map((node) => ({ id: rename(node.id, 'n'), ...shift(node) })),
    segments: path.segments.map((segment) => ({
      ...segment,
      id: rename(segment.id, 's'),
      ...(segment.kind === 'cubic' ? { control1: shift(segment.control1), control2: shift(segment.control2) } : {}),
    })),
  });
  let hasOutline = outlineOf(part) !== undefined;
  const contours: Contour[] = [];
  for (const contour of copied.contours) {
    const role = contour.role === 'outer' && !hasOutline ? 'outer' : 'hole';
    if (role === 'hole' && !contour.closed) return refused('An open outline cannot become a hole: close it first.');
    contours.push({ ...fresh(contour, 'c'), role });
    hasOutline ||= role === 'outer';
  }
  const lines = copied.lines.map((line) => fresh(line, 'l'));
  const operations = copied.operations.map((operation): Operation => ({
    ...operation,
    id: ids.next('o'),
    on: {
      pathId: renamed.get(operation.on.pathId)!,
      ...(operation.on.segmentIds ? { segmentIds: operation.on.segmentIds.map((id) => renamed.get(id)!) } : {}),
    },
  }));
  const features = copied.features.flatMap((feature): readonly Feature[] => {
    const id = ids.next('f');
    if (!isOnEdge(feature)) return [{ ...feature, id, at: shift(feature.at) }];
    const pathId = renamed.get(feature.on.pathId),
      segmentId = renamed.get(feature.on.segmentId);
    return pathId && segmentId ? [{ ...feature, id, on: { pathId, segmentId } }] : [];
  });
  return done(
    {
      ...part,
      contours: [...part.contours, ...contours].sort((a, b) => Number(a.role === 'hole') - Number(b.role === 'hole')),
      lines: [...part.lines, ...lines],
      operations: [...part.operations, ...operations],
      ...(features.length > 0 ? { features: [...(part.features ?? []), ...features] } : {}),
      lastId: ids.lastId,
    },
    `Paste ${count === 1 ? 'one' : count}`,
  );
}
