import { distanceToEdge, isInside, separation, type Polygon, type Shape } from '../geometry/index.ts';
import { mayBeTurnedBy, mayLieOn, type NestBoard, type NestInstance, type NestLayout } from './instance.ts';
import { placedShape, takenShapes } from './nest-piece.ts';

/** What is wrong with one placed piece. */
export interface PlacementFault {
  readonly kind: 'overlap' | 'edge';
  /** Index of the piece on its board, and of the one it meets. */
  readonly index: number;
  readonly other?: number;
  /** Distance found and wanted in mm; 0 found means that they overlap. */
  readonly foundMm: number;
  readonly wantedMm: number;
}

const outlineOf = (board: NestBoard): Polygon =>
  board.polygon?.map(([x, y]) => ({ x, y })) ?? [
    { x: 0, y: 0 },
    { x: board.width, y: 0 },
    { x: board.width, y: board.height },
    { x: 0, y: board.height },
  ];

/**
 * What is wrong with where one piece lies, against true outlines.
 * @param shapes every placed shape of the board
 * @param index the piece that is looked at
 * @param toleranceMm shortfall that is let pass
 */
export function placementFaults(
  board: NestBoard,
  shapes: readonly Shape[],
  index: number,
  clearanceMm: number,
  edgeMarginMm: number,
  toleranceMm = 0.01,
): readonly PlacementFault[] {
  const own = shapes[index]!;
  const faults: PlacementFault[] = [];
  const edge = outlineOf(board);
  const holes = (board.holes ?? []).map((hole) => hole.map(([x, y]) => ({ x, y })));
  const outside = own.outer.some((p) => !isInside(p, edge) && distanceToEdge(p, edge) > toleranceMm);
  const toEdge = outside
    ? 0
    : Math.min(
        ringDistance(own.outer, edge),
        ...holes.map((hole) => separation(own, { outer: hole, holes: [] }, edgeMarginMm + 1)),
      );
  if (outside || toEdge < edgeMarginMm - toleranceMm)
    faults.push({ kind: 'edge', index, foundMm: toEdge, wantedMm: edgeMarginMm });
  shapes.forEach((other, at) => {
    if (at === index) return;
    const apart = separation(own, other, clearanceMm + 1);
    if (
      apart < clearanceMm - toleranceMm ||
      (clearanceMm === 0 && apart === 0 && overlapDepth(own, other) > toleranceMm)
    ) {
      faults.push({ kind: 'overlap', index, other: at, foundMm: apart, wantedMm: clearanceMm });
    }
  });
  return faults;
}

/** Distance between two rings' edges, from the corners of each. */
function ringDistance(a: Polygon, b: Polygon): number {
  return Math.min(...a.map((p) => distanceToEdge(p, b)), ...b.map((p) => distanceToEdge(p, a)));
}

/** How deep corners of one shape lie inside the other. */
function overlapDepth(a: Shape, b: Shape): number {
  const depth = (inner: Shape, outer: Shape): number =>
    Math.max(
      0,
      ...inner.outer
        .filter((p) => isInside(p, outer.outer) && !outer.holes.some((hole) => isInside(p, hole)))
        .map((p) => distanceToEdge(p, outer.outer)),
    );
  return Math.max(depth(a, b), depth(b, a));
}

/**
 * Everything that is wrong with a nest, in words; empty when it can be cut. Independent of how the nest was found.
 */
export function layoutFaults(instance: NestInstance, layout: NestLayout): readonly string[] {
  const faults: string[] = [];
  const parts = new Map(instance.parts.map((part) => [part.id, part]));
  const seen = new Map<string, number>();
  const margin = instance.edgeMargin ?? instance.clearance;
  layout.boards.forEach(({ boardId, placements }, at) => {
    const board = instance.boards.find((one) => one.id === boardId);
    if (!board) return void faults.push(`board ${at + 1}: there is no board "${boardId}"`);
    const shapes: Shape[] = [];
    for (const placement of placements) {
      const part = parts.get(placement.partId);
      if (!part) return void faults.push(`board ${at + 1}: there is no part "${placement.partId}"`);
      if (!mayBeTurnedBy(part, placement.rotation))
        faults.push(`${placement.partId}: may not be turned by ${placement.rotation}°`);
      if (placement.mirrored && !part.allowMirror) faults.push(`${placement.partId}: may not be turned over`);
      if (!mayLieOn(part, board)) faults.push(`${placement.partId}: may not lie on board "${boardId}"`);
      seen.set(placement.partId, (seen.get(placement.partId) ?? 0) + 1);
      shapes.push(placedShape(part, placement));
    }
    const all = [...shapes, ...takenShapes(board)];
    shapes.forEach((_, index) => {
      for (const fault of placementFaults(board, all, index, instance.clearance, margin)) {
        if (fault.kind === 'overlap' && fault.other! < index) continue;
        const with_ =
          fault.kind === 'edge' ? "the board's edge" : (placements[fault.other!]?.partId ?? 'what lies there already');
        faults.push(
          `board ${at + 1}: ${placements[index]!.partId} is ${fault.foundMm.toFixed(2)} mm from ${with_}, ${fault.wantedMm.toFixed(2)} wanted`,
        );
      }
    });
    const used = layout.boards.filter((one) => one.boardId === boardId).length;
    if (used > board.count) faults.push(`board "${boardId}" is used ${used} times, there are ${board.count}`);
  });
  for (const { id, taken } of instance.boards)
    if (taken && !layout.boards.some(({ boardId }) => boardId === id))
      faults.push(`board "${id}" has shapes on it and is left out`);
  for (const { partId, quantity } of layout.unplaced) seen.set(partId, (seen.get(partId) ?? 0) + quantity);
  for (const part of instance.parts)
    if ((seen.get(part.id) ?? 0) !== part.quantity)
      faults.push(`${part.id}: ${seen.get(part.id) ?? 0} of ${part.quantity} accounted for`);
  return faults;
}
