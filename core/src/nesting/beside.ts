import {
  applyTransform,
  boundsHeight,
  boundsOf,
  boundsWidth,
  compose,
  convexHull,
  polygonArea,
  rotation,
  translation,
  type Bounds,
  type Point,
  type Region,
} from '../geometry/index.ts';
import { degreesBetween } from '../units/index.ts';
import { mayLieOn, type NestInstance, type NestPart, type Placement, type XY } from './instance.ts';
import { grownShape, placedShape, placementTransform } from './nest-piece.ts';
import { ShiftIntervals } from './shift-intervals.ts';
import { stripsOf, type Strips } from './strips.ts';

/** Where the second of two pieces lies beside the first, in the first one's own frame. */
export interface Beside extends Pick<Placement, 'x' | 'y' | 'rotation'> {
  /** Turns that the first may take, the second with it. */
  readonly turns: readonly number[];
}

/** What outlines are grown by beyond half the clearance: arcs of grown outlines lie inside the true ones. */
const RESERVE_MM = 0.015;
/** Of the shorter of two sides so much at least lies along the other. */
const ALONG_SHARE = 0.5;
/** Places along a side that are looked at, besides those flush with its ends. */
const PLACES = 32;
/** Turns of the second against the first that are looked at. */
const MOST_TURNS = 8;

/**
 * How two pieces lie side by side, the clearance apart, in the least room: the smaller the box and the hull round both, the better.
 * @returns undefined where no board is large enough for both so
 */
export function lyingBeside(instance: NestInstance, first: NestPart, second: NestPart): Beside | undefined {
  const grow = instance.clearance / 2 + RESERVE_MM;
  const own = shapeOf(first, 0, grow),
    corners = placedShape(first, { x: 0, y: 0, rotation: 0 }).outer;
  let best: Beside | undefined,
    least = Infinity;
  for (const turn of turnsBetween(first, second)) {
    const turns = first.rotations.filter((one) => isAmong(one + turn, second.rotations)),
      other = shapeOf(second, turn, grow),
      otherCorners = placedShape(second, { x: 0, y: 0, rotation: turn }).outer;
    const boxes = { own: boundsOf(corners), other: boundsOf(otherCorners) };
    for (const { x, y } of contacts(own, other)) {
      const box = boxOfBoth(boxes.own, boxes.other, x, y),
        boxMm2 = boundsWidth(box) * boundsHeight(box);
      if (boxMm2 >= least) continue;
      const points = [...corners, ...otherCorners.map((p) => ({ x: p.x + x, y: p.y + y }))],
        size = boxMm2 + polygonArea(convexHull(points));
      if (size >= least || !fitsSomewhere(instance, first, second, points, turns)) continue;
      least = size;
      best = { x, y, rotation: turn, turns };
    }
  }
  return best;
}

const isAmong = (turn: number, turns: readonly number[]): boolean =>
  turns.some((one) => degreesBetween(one, turn) < 1e-6);

/** The turns of the second against the first, square ones before others. */
function turnsBetween({ rotations }: NestPart, second: NestPart): readonly number[] {
  const all = new Set(rotations.flatMap((one) => second.rotations.map((other) => (other - one + 720) % 360)));
  return [...all].sort((a, b) => (a % 90 === 0 ? 0 : 1) - (b % 90 === 0 ? 0 : 1) || a - b).slice(0, MOST_TURNS);
}

/** A grown outline along x and, turned over, along y. */
interface BothWays {
  readonly along: Strips;
  readonly across: Strips;
}
function shapeOf(part: NestPart, turn: number, byMm: number): BothWays {
  const region: Region = grownShape(placedShape(part, { x: 0, y: 0, rotation: turn }), byMm);
  return {
    along: stripsOf(region),
    across: stripsOf(region.map((ring) => ring.map(({ x, y }) => ({ x: y, y: x })))),
  };
}

/** Where the second touches the first: right, left, above and below it, at places along its sides. */
function* contacts(own: BothWays, other: BothWays): Generator<Point> {
  for (const [along, back] of sideContacts(own.along, other.along)) yield { x: along, y: back };
  for (const [along, back] of sideContacts(own.across, other.across)) yield { x: back, y: along };
}

/** Contacts to both sides along x, as what both coordinates of the second are moved by. */
function* sideContacts(own: Strips, other: Strips): Generator<readonly [along: number, back: number]> {
  const shifts = new ShiftIntervals();
  const along = ALONG_SHARE * Math.min(own.height, other.height),
    lowest = along - other.height,
    highest = own.height - along;
  const lifts = [0, own.height - other.height].filter((lift) => lift >= lowest && lift <= highest);
  for (let place = 0; place < PLACES; place++) lifts.push(lowest + ((highest - lowest) * place) / (PLACES - 1));
  for (const lift of lifts) {
    const count = shifts.workOut(own, other, lift);
    if (count === 0) continue;
    const back = own.minY + lift - other.minY;
    for (const shift of [shifts.low[0]!, shifts.high[count - 1]!]) yield [own.minX + shift - other.minX, back];
  }
}

const boxOfBoth = (own: Bounds, other: Bounds, x: number, y: number): Bounds => ({
  minX: Math.min(own.minX, other.minX + x),
  minY: Math.min(own.minY, other.minY + y),
  maxX: Math.max(own.maxX, other.maxX + x),
  maxY: Math.max(own.maxY, other.maxY + y),
});

/** Whether a board that both may lie on is large enough for both, turned as they may be. */
function fitsSomewhere(
  { boards, clearance, edgeMargin = clearance }: NestInstance,
  first: NestPart,
  second: NestPart,
  points: readonly Point[],
  turns: readonly number[],
): boolean {
  const own = boards.filter((board) => mayLieOn(first, board) && mayLieOn(second, board));
  return turns.some((turn) => {
    const t = rotation(turn);
    const box = boundsOf(points.map((p) => applyTransform(t, p)));
    return own.some(
      ({ width, height }) => boundsWidth(box) <= width - 2 * edgeMargin && boundsHeight(box) <= height - 2 * edgeMargin,
    );
  });
}

/** Where the second lies when the first is placed; both turned over where the first is. */
export function placedBeside({ x, y, rotation: turn }: Beside, partId: string, first: Placement): Placement {
  const at = applyTransform(placementTransform(first), { x, y });
  const turned = (first.rotation + (first.mirrored ? -turn : turn) + 720) % 360;
  return { partId, x: at.x, y: at.y, rotation: turned, ...(first.mirrored ? { mirrored: true } : {}) };
}

/** The rings of a part that lies beside another, in the other's frame. */
export function ringsBeside({ polygon, holes = [] }: NestPart, { x, y, rotation: turn }: Beside): Region {
  const t = compose(rotation(turn), translation(x, y));
  return [polygon, ...holes].map((ring: readonly XY[]) => ring.map(([px, py]) => applyTransform(t, { x: px, y: py })));
}
