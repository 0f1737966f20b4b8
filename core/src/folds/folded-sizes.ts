import { foldedSize, foldTake, type FoldedSize } from '../allowance/index.ts';
import type { PartCommand } from '../editing/index.ts';
import {
  applyRigid,
  composeRigid,
  cross,
  distance,
  dot,
  invertRigid,
  leftOf,
  midpoint,
  subtract,
  times,
  unitVector,
  type Point,
} from '../geometry/index.ts';
import { drawnId, type Part } from '../part/index.ts';
import type { FoldedPart } from './folded-part.ts';
import type { Hinge, Plate } from './plates.ts';

/** One end of a plate's size: a fold, or a free edge. */
export interface SizeEnd {
  /** The fold, or the free edge. */ readonly id: string;
  readonly operationId?: string;
  readonly turnDegrees: number;
  readonly from: Point;
  readonly to: Point;
}

/** A plate's size between two ends that run side by side, as it is folded. */
export interface PlateSize extends FoldedSize {
  readonly plate: number;
  /** The end that stays, and the end that a change of size moves. */ readonly ends: readonly [SizeEnd, SizeEnd];
  readonly flatMm: number;
  /** Boards that lie inside its walls, by their thickness: the inside is what they leave clear. */
  readonly liningMm: number;
}

const PARALLEL = 2e-3;

/** A hinge as the end of a plate: work on the back folds about the face, and a doubled board turns half at each edge of its strip. */
const endOf = ({ operationId, zMm, turnDegrees, isDoubled, from, to }: Hinge): SizeEnd => ({
  id: drawnId(operationId),
  operationId: drawnId(operationId),
  turnDegrees: (zMm === 0 ? 1 : -1) * turnDegrees * (isDoubled ? 2 : 1),
  from,
  to,
});

/** The folds that bound a plate: at a trench that stands a wall up, the edge of its strip that turns. */
function foldsOf({ tree }: FoldedPart, plate: Plate): readonly SizeEnd[] {
  return tree.turns.flatMap(({ hinge, parent, child }): readonly SizeEnd[] => {
    if (parent !== plate.index && child !== plate.index) return [];
    const other = tree.plates[parent === plate.index ? child : parent]!;
    if (other.kind !== 'skin' || hinge.turnDegrees !== 0) return [endOf(hinge)];
    const turning = tree.turns.find(
      (one) =>
        one.hinge.operationId === hinge.operationId &&
        one.hinge.turnDegrees !== 0 &&
        (one.parent === other.index || one.child === other.index),
    );
    return turning ? [endOf(turning.hinge)] : [];
  });
}

/** The free edge of a plate that runs beside a fold, furthest from it. */
function freeEnd(folded: FoldedPart, plate: Plate, { from, to }: SizeEnd): SizeEnd | undefined {
  const along = unitVector(from, to);
  return folded.edges
    .filter(({ solid }) => solid.plate.index === plate.index)
    .filter((edge) => Math.abs(cross(along, unitVector(edge.from, edge.to))) < PARALLEL)
    .map((edge) => ({
      id: drawnId(edge.segmentId.replace(/~f.*$/, '')),
      turnDegrees: 0,
      from: edge.from,
      to: edge.to,
      off: Math.abs(cross(along, subtract(edge.from, from))),
      length: distance(edge.from, edge.to),
    }))
    .filter(({ off }) => off > 0.1)
    .sort((a, b) => b.off - a.off || b.length - a.length)[0];
}

/** Which of two ends a change moves: a free edge before a fold, and of two folds the one that leads away from the plate that stands still. */
function order(folded: FoldedPart, plate: Plate, a: SizeEnd, b: SizeEnd): readonly [SizeEnd, SizeEnd] {
  if (!b.operationId) return [a, b];
  const inward = folded.tree.turns.find(({ child }) => child === plate.index)?.hinge.operationId;
  return inward !== undefined && drawnId(inward) === b.operationId ? [b, a] : [a, b];
}

/** Plates that lie nearer to each other than this are on each other, in mm; and what is square to within this share is square. */
const ON_EACH_OTHER_MM = 0.1;
const SQUARE = 0.999;

/** How thick the boards are that line a wall on its inside: doubled walls, one on the other. 0 where no wall stands square. */
function liningAt(folded: FoldedPart, plate: Plate, end: SizeEnd, other: SizeEnd): number {
  const { thicknessMm } = folded.resolved;
  if (Math.abs(Math.abs(end.turnDegrees) - 90) > 1) return 0;
  const middle = midpoint(end.from, end.to);
  const across = leftOf(unitVector(end.from, end.to)),
    isLeft = dot(across, subtract(midpoint(other.from, other.to), middle)) > 0;
  const inward = isLeft ? across : times(across, -1);
  const back = invertRigid(folded.maps[plate.index]!);
  const along = unitVector(end.from, end.to),
    reach = distance(end.from, end.to) / 2;
  // Every plate that stands square to the size and over its line, by where it begins and ends inward from the line.
  const walls = folded.solids
    .filter((solid) => solid.plate.kind === 'board' && solid.plate.index !== plate.index)
    .flatMap((solid) => {
      const map = composeRigid(folded.maps[solid.plate.index]!, back);
      if (Math.abs(map.z.x * inward.x + map.z.y * inward.y) < SQUARE) return [];
      const corners = [0, solid.thicknessMm].flatMap((z) =>
        (z === 0 ? solid.bottom : solid.top).map(({ x, y }) => applyRigid(map, { x, y, z })),
      );
      const at = (direction: Point): readonly [number, number] => {
        const values = corners.map(({ x, y }) => dot(direction, subtract({ x, y }, middle)));
        return [Math.min(...values), Math.max(...values)];
      };
      const [low, high] = at(along),
        [begins, ends] = at(inward);
      return low < reach - ON_EACH_OTHER_MM && high > -reach + ON_EACH_OTHER_MM ? [{ begins, ends }] : [];
    })
    .sort((a, b) => a.begins - b.begins);
  const face = foldTake(Math.abs(end.turnDegrees), thicknessMm);
  const lined = walls.reduce(
    (to, { begins, ends }) => (Math.abs(begins - to) < ON_EACH_OTHER_MM ? ends : to),
    end.turnDegrees > 0 ? face : 0,
  );
  return lined - (end.turnDegrees > 0 ? face : 0);
}

/** The size of a part between two ends, given in any order. */
export const sizeBetween = (sizes: readonly PlateSize[], fromId: string, toId: string): PlateSize | undefined => {
  const wanted = [fromId, toId].sort().join();
  return sizes.find(
    ({ ends }) =>
      ends
        .map(({ id }) => id)
        .sort()
        .join() === wanted,
  );
};

/** Every plate's sizes between folds, or from a fold to a free edge, where both run side by side. */
export function foldedSizes(folded: FoldedPart): readonly PlateSize[] {
  return folded.tree.plates
    .filter(({ kind }) => kind === 'board')
    .flatMap((plate) => {
      const folds = foldsOf(folded, plate),
        taken = new Set<SizeEnd>();
      return folds.flatMap((a): readonly PlateSize[] => {
        if (taken.has(a)) return [];
        const along = unitVector(a.from, a.to);
        const beside = folds.find(
          (b) =>
            b !== a &&
            !taken.has(b) &&
            Math.abs(cross(along, unitVector(b.from, b.to))) < PARALLEL &&
            Math.abs(cross(along, subtract(b.from, a.from))) > 0.1,
        );
        const b = beside ?? freeEnd(folded, plate, a);
        if (!b) return [];
        taken.add(a).add(b);
        const flatMm = Math.abs(cross(along, subtract(b.from, a.from)));
        const { outerMm, innerMm } = foldedSize(flatMm, [a.turnDegrees, b.turnDegrees], folded.resolved.thicknessMm);
        const liningMm = liningAt(folded, plate, a, b) + liningAt(folded, plate, b, a);
        return [
          {
            plate: plate.index,
            ends: order(folded, plate, a, b),
            flatMm,
            outerMm,
            innerMm: innerMm - liningMm,
            liningMm,
          },
        ];
      });
    });
}

/**
 * The edit that gives a plate another folded size: all beyond its moving end goes with it.
 * @param scale factor that the part is folded at; the edit is made on its drawing
 */
export function sizeCommand(part: Part, size: PlateSize, is: 'outer' | 'inner', toMm: number, scale = 1): PartCommand {
  const [still, moving] = size.ends,
    byMm = (toMm - (is === 'outer' ? size.outerMm : size.innerMm)) / scale;
  // Seen along the moving end, what lies beyond it is on its left.
  const isLeft =
    dot(
      leftOf(unitVector(moving.from, moving.to)),
      subtract(midpoint(moving.from, moving.to), midpoint(still.from, still.to)),
    ) > 0;
  const [from, to] = (isLeft ? [moving.from, moving.to] : [moving.to, moving.from]).map((p) => times(p, 1 / scale)) as [
    Point,
    Point,
  ];
  const pathIds = part.operations.filter(({ id }) => id === moving.operationId).map(({ on }) => on.pathId);
  return { name: 'stretchPart', args: { from, to, byMm, ...(pathIds.length > 0 ? { pathIds } : {}) } };
}
