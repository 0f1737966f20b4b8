import {
  add,
  boundsOf,
  counterClockwise,
  distance,
  interpolate,
  leftOf,
  nearestParameter,
  signedArea,
  subtract,
  times,
  unionOf,
  unitVector,
  type Point,
  type Polygon,
  type Region,
} from '../geometry/index.ts';
import { degreesBetween } from '../units/index.ts';
import { lyingBeside, placedBeside, ringsBeside, type Beside } from './beside.ts';
import type { NestInstance, NestLayout, NestPart, Placement, XY } from './instance.ts';

/** Width of the bridge that joins two outlines, in mm; it lies in the gap that nothing else may enter. */
const BRIDGE_MM = 0.2;
/** What two places may differ by and still be one, in mm and degrees. */
const SAME = 1e-3;

interface Pair {
  readonly id: string;
  readonly ids: readonly [string, string];
  readonly beside: Beside;
}

/** An instance whose pairs are parts of their own, and the way back. */
export interface JoinedInstance {
  readonly instance: NestInstance;
  /** A layout of it with the pieces of its pairs one by one. */
  readonly parted: (layout: NestLayout) => NestLayout;
  /** A layout of single pieces with pairs joined, where all of them lie as pairs do; undefined else. */
  readonly rejoined: (layout: NestLayout) => NestLayout | undefined;
  /** The pairs that it has as parts, by the ids of those. */
  readonly pairs: ReadonlyMap<string, readonly [string, string]>;
}

/**
 * Joins the pairs that are cut side by side, as often as there are both. A pair that no board is large enough for stays apart.
 * @param without pairs that stay apart too, by the ids of their parts in this instance
 */
export function joinedInstance(original: NestInstance, without: ReadonlySet<string>): JoinedInstance {
  const left = new Map(original.parts.map((part) => [part.id, part.quantity]));
  const partOf = new Map(original.parts.map((part) => [part.id, part]));
  const pairs: Pair[] = [],
    joints: NestPart[] = [];
  (original.sideBySide ?? []).forEach((ids, index) => {
    const [first, second] = ids.map((id) => partOf.get(id));
    const id = freshId(`pair ${index + 1}`, partOf);
    if (!first || !second || without.has(id)) return;
    const quantity =
      first === second ? Math.floor(left.get(first.id)! / 2) : Math.min(left.get(first.id)!, left.get(second.id)!);
    if (quantity < 1) return;
    const beside = lyingBeside(original, first, second);
    const joint = beside && jointPart(id, quantity, first, second, beside);
    if (!joint) return;
    for (const one of [first, second]) left.set(one.id, left.get(one.id)! - quantity);
    pairs.push({ id, ids, beside });
    joints.push(joint);
  });
  const { sideBySide: _sideBySide, ...rest } = original;
  const singles = original.parts
    .map((part) => ({ ...part, quantity: left.get(part.id)! }))
    .filter(({ quantity }) => quantity > 0);
  return {
    instance: { ...rest, parts: [...joints, ...singles] },
    pairs: new Map(pairs.map(({ id, ids }) => [id, ids])),
    parted: (layout) => partedLayout(layout, new Map(pairs.map((pair) => [pair.id, pair]))),
    rejoined: (layout) => rejoinedLayout(layout, pairs, new Map(joints.map((joint) => [joint.id, joint.quantity]))),
  };
}

function freshId(wish: string, taken: ReadonlyMap<string, unknown>): string {
  let id = wish;
  while (taken.has(id)) id += "'";
  return id;
}

/** Two parts side by side as one, joined by a bridge; undefined where they do not become one outline. */
function jointPart(
  id: string,
  quantity: number,
  first: NestPart,
  second: NestPart,
  beside: Beside,
): NestPart | undefined {
  const own = ringsBeside(first, { x: 0, y: 0, rotation: 0, turns: [] }),
    other = ringsBeside(second, beside);
  const region = unionOf([...filled(own), ...filled(other), bridge(own[0]!, other[0]!)]);
  const outers = region.filter((ring) => signedArea(ring) > 0);
  if (outers.length !== 1) return undefined;
  const rings = (list: Region): (readonly XY[])[] => list.map((ring) => ring.map(({ x, y }): XY => [x, y]));
  const boards = bothBoards(first.boards, second.boards);
  return {
    id,
    quantity,
    polygon: rings(outers)[0]!,
    holes: rings(region.filter((ring) => signedArea(ring) < 0)),
    rotations: beside.turns,
    ...(first.allowMirror && second.allowMirror ? { allowMirror: true } : {}),
    ...(first.turnsFreely && second.turnsFreely ? { turnsFreely: true } : {}),
    ...(boards ? { boards } : {}),
  };
}

/** Outline and holes the way round that fills the one and not the others. */
const filled = ([outer, ...holes]: Region): Region => [
  counterClockwise(outer!),
  ...holes.map((hole) => [...counterClockwise(hole)].reverse()),
];

const bothBoards = (a?: readonly string[], b?: readonly string[]): readonly string[] | undefined =>
  a && b ? a.filter((id) => b.includes(id)) : (a ?? b);

/** A narrow rectangle from one outline to another where they are nearest, reaching a little into both. */
function bridge(a: Polygon, b: Polygon): Polygon {
  let [from, to] = [a[0]!, b[0]!];
  const look = (corners: Polygon, ring: Polygon, isBack: boolean): void => {
    for (const corner of corners)
      for (let index = 0; index < ring.length; index++) {
        const start = ring[index]!,
          stop = ring[(index + 1) % ring.length]!;
        const near = interpolate(start, stop, nearestParameter(corner, start, stop));
        if (distance(corner, near) < distance(from, to)) [from, to] = isBack ? [near, corner] : [corner, near];
      }
  };
  look(a, b, false);
  look(b, a, true);
  // Outlines that touch have no way between them: the bridge runs towards the middle of the other's box then.
  const box = boundsOf(b);
  const middle: Point = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const way = distance(from, to) > 1e-6 ? unitVector(from, to) : unitVector(from, middle);
  const side = times(leftOf(way), BRIDGE_MM / 2),
    reach = times(way, BRIDGE_MM);
  const [start, end] = [subtract(from, reach), add(to, reach)];
  return counterClockwise([subtract(start, side), subtract(end, side), add(end, side), add(start, side)]);
}

function partedLayout(layout: NestLayout, pairs: ReadonlyMap<string, Pair>): NestLayout {
  const unplaced = new Map<string, number>();
  for (const { partId, quantity } of layout.unplaced)
    for (const id of pairs.get(partId)?.ids ?? [partId]) unplaced.set(id, (unplaced.get(id) ?? 0) + quantity);
  return {
    ...layout,
    boards: layout.boards.map(({ boardId, placements }) => ({
      boardId,
      placements: placements.flatMap((placed): readonly Placement[] => {
        const pair = pairs.get(placed.partId);
        if (!pair) return [placed];
        return [{ ...placed, partId: pair.ids[0] }, placedBeside(pair.beside, pair.ids[1], placed)];
      }),
    })),
    unplaced: [...unplaced].map(([partId, quantity]) => ({ partId, quantity })),
  };
}

function rejoinedLayout(
  layout: NestLayout,
  pairs: readonly Pair[],
  quantities: ReadonlyMap<string, number>,
): NestLayout | undefined {
  if (layout.unplaced.length > 0) return undefined;
  const wanted = new Map(quantities);
  const boards = layout.boards.map(({ boardId, placements }) => {
    const left = [...placements];
    const joined = pairs.flatMap(({ id, ids, beside }) => {
      const found: Placement[] = [];
      for (const first of placements.filter(({ partId }) => partId === ids[0])) {
        if (wanted.get(id)! < 1 || !left.includes(first)) continue;
        const second = left.find((one) => one !== first && isSame(one, placedBeside(beside, ids[1], first)));
        if (!second) continue;
        left.splice(left.indexOf(first), 1);
        left.splice(left.indexOf(second), 1);
        wanted.set(id, wanted.get(id)! - 1);
        found.push({ ...first, partId: id });
      }
      return found;
    });
    return { boardId, placements: [...joined, ...left] };
  });
  return [...wanted.values()].some((count) => count > 0) ? undefined : { ...layout, boards };
}

const isSame = (a: Placement, b: Placement): boolean =>
  a.partId === b.partId &&
  (a.mirrored ?? false) === (b.mirrored ?? false) &&
  Math.abs(a.x - b.x) < SAME &&
  Math.abs(a.y - b.y) < SAME &&
  degreesBetween(a.rotation, b.rotation) < SAME;
