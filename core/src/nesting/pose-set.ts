import {
  applyTransform,
  boundsOf,
  counterClockwise,
  growBounds,
  growRegion,
  unionOf,
  withoutFlatCorners,
  type Bounds,
  type Point,
  type Region,
} from '../geometry/index.ts';
import { degreesBetween } from '../units/index.ts';
import { ForbiddenShifts, MANY } from './forbidden-shifts.ts';
import { FARTHEST_BESIDE_DEGREES, mostTurnsOf, type TurnedPart } from './free-turns.ts';
import type { NestPart, XY } from './instance.ts';
import { placementTransform } from './nest-piece.ts';
import { stripsOf, stripsWithin, type Strips } from './strips.ts';

/** What outlines are grown by beyond half the clearance, so that corners may be left out and arcs may lie inside, in mm. */
const RESERVE_MM = 0.05;
/** Corners that stand out less than this are left out of grown outlines, in mm. */
const FLAT_MM = 0.03;
/** Height of a row of the table that places are looked for in, in mm. */
const COARSE_MM = 4;
/** Width of a column of the table that guides moves up and down, in mm. */
const COLUMN_MM = 2;
/** What overlaps by the rows' table and not by the columns' is taken to overlap so deep, in mm. */
const LEAST_DEPTH_MM = 0.25;
/** Into how many finer rows a row is divided, the width of a column with them, and the least depth told there, in mm. */
export const FINE_ROWS = 16;
const FINE_COLUMN_MM = 0.1,
  LEAST_FINE_DEPTH_MM = 0.02;
/** Depths below this are the rounding of sums, in mm. */
const SLIVER_MM = 1e-7;

/** One way a part may lie. */
export interface Turn {
  readonly rotation: number;
  readonly mirrored: boolean;
}

/** All poses of all parts, numbered through. */
interface Poses {
  readonly turns: readonly Turn[];
  readonly strips: readonly Strips[];
  /** The same outlines with rows for columns. */
  readonly columnStrips: readonly Strips[];
  readonly poseOfTurn: readonly ReadonlyMap<string, number>[];
  /** For each part, its poses from `from` up to `to` that it is looked at in anywhere; a few that lie beside them come after. */
  readonly from: Int32Array;
  readonly to: Int32Array;
  /** For each pose those of the same part that are turned a little otherwise; none where parts do not turn freely. */
  readonly near: readonly (readonly number[])[];
}

/** How finely overlaps are told apart, in mm. */
interface Pitches {
  readonly rowMm: number;
  readonly coarseMm: number;
  readonly columnMm: number;
  /** What overlaps by the rows' table and not by the columns' is taken to overlap so deep. */
  readonly leastDepthMm: number;
}

/** All poses of all parts, numbered through, and where they overlap. */
export class PoseSet {
  readonly turns: readonly Turn[];
  readonly strips: readonly Strips[];
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly near: Poses['near'];
  /** Forbidden shifts along x for whole rows; what is free there is free. */
  readonly rows: ForbiddenShifts;
  /** Forbidden shifts along x for few rows: a guide that is quick to read. */
  readonly coarse: ForbiddenShifts;
  /** Forbidden shifts along y for whole columns: a guide. */
  readonly columns: ForbiddenShifts;
  private fine: PoseSet | undefined;

  /** @param rowsInOne into how many rows a usual row is divided; more than one for the last touch */
  private constructor(
    private readonly poses: Poses,
    private readonly pitches: Pitches,
    readonly rowsInOne: number,
  ) {
    const { turns, strips, columnStrips, from, to, near } = poses,
      { rowMm, coarseMm, columnMm } = pitches;
    this.turns = turns;
    this.strips = strips;
    this.from = from;
    this.to = to;
    this.near = near;
    this.rows = new ForbiddenShifts(strips, rowMm);
    this.coarse = coarseMm === rowMm ? this.rows : new ForbiddenShifts(strips, coarseMm);
    this.columns = new ForbiddenShifts(columnStrips, columnMm);
  }

  /**
   * @param pitchMm height of a row
   * @param others outlines that lie as they are, such as what of a board cannot be used; poses after those of the parts
   */
  static of(
    parts: readonly TurnedPart[],
    clearanceMm: number,
    pitchMm: number,
    others: readonly Region[] = [],
  ): PoseSet {
    const pitches = { rowMm: pitchMm, coarseMm: COARSE_MM, columnMm: COLUMN_MM, leastDepthMm: LEAST_DEPTH_MM };
    return new PoseSet(posesOf(parts, clearanceMm, others), pitches, 1);
  }

  /** The same poses on finer rows, for pieces that nearly lie free: tables of all their rows would be too large to look anywhere. */
  finer(): PoseSet {
    const rowMm = this.pitches.rowMm / FINE_ROWS;
    const pitches = { rowMm, coarseMm: rowMm, columnMm: FINE_COLUMN_MM, leastDepthMm: LEAST_FINE_DEPTH_MM };
    return (this.fine ??= new PoseSet(this.poses, pitches, FINE_ROWS));
  }

  /** The pose of a part that looks as it does so turned, or its first one where there are too many turns to know them all. */
  poseOf(part: number, turn: Turn): number {
    return this.poses.poseOfTurn[part]!.get(nameOf(turn)) ?? this.from[part]!;
  }

  /**
   * How deep pose b overlaps pose a: the shortest way along x or along y that parts them, in mm; 0 when they are apart.
   * @param dx from a's left side to b's, in mm
   * @param rows from a's foot to b's
   */
  depth(a: number, b: number, dx: number, rows: number): number {
    return a <= b ? this.depthInOrder(a, b, dx, rows) : this.depthInOrder(b, a, -dx, -rows);
  }

  private depthInOrder(a: number, b: number, dx: number, rows: number): number {
    const along = depthIn(this.rows, this.rows.place(a, b, rows), dx);
    if (along === 0) return 0;
    const across = depthIn(
      this.columns,
      this.columns.place(a, b, Math.round(dx / this.pitches.columnMm)),
      rows * this.rows.pitchMm,
    );
    return Math.min(along, Math.max(across, this.pitches.leastDepthMm));
  }
}

function posesOf(parts: readonly TurnedPart[], clearanceMm: number, others: readonly Region[]): Poses {
  const turns: Turn[] = [],
    strips: Strips[] = [],
    columnStrips: Strips[] = [];
  const from = new Int32Array(parts.length),
    to = new Int32Array(parts.length);
  const near: (readonly number[])[] = [];
  const poseOfTurn = parts.map(() => new Map<string, number>());
  const mostTurns = mostTurnsOf(parts.length);
  const add = (own: Strips, ofColumns: Strips, turn: Turn): void => {
    turns.push(turn);
    strips.push(own);
    columnStrips.push(ofColumns);
  };
  parts.forEach((part, index) => {
    from[index] = turns.length;
    const grown = grownOutline(part, clearanceMm);
    const seen: Strips[] = [];
    const addTurn = (turn: Turn): void => {
      const t = placementTransform({ x: 0, y: 0, ...turn });
      const region = grown.map((ring) => ring.map((p) => applyTransform(t, p)));
      const corners = part.polygon.map(([x, y]) => applyTransform(t, { x, y })),
        box = growBounds(boundsOf(corners), stripGrowth(clearanceMm)),
        own = stripsWithin(region, box);
      const alike = seen.findIndex((one) => isAlike(one, own));
      poseOfTurn[index]!.set(nameOf(turn), from[index]! + (alike < 0 ? seen.length : alike));
      if (alike >= 0) return;
      seen.push(own);
      add(own, stripsWithin(turnedOver(region), boundsOver(box)), turn);
    };
    turnsOf(part, mostTurns).forEach(addTurn);
    to[index] = turns.length;
    bothSides(part, part.beside ?? []).forEach(addTurn);
    const own = turns.slice(from[index]);
    for (const turn of own) near.push(part.turnsFreely ? nearTurns(own, turn).map((at) => from[index]! + at) : []);
  });
  for (const region of others) add(stripsOf(region), stripsOf(turnedOver(region)), { rotation: 0, mirrored: false });
  return { turns, strips, columnStrips, poseOfTurn, from, to, near };
}

/** Rows for columns. */
const turnedOver = (region: Region): Region => region.map((ring) => ring.map(({ x, y }) => ({ x: y, y: x })));
const boundsOver = ({ minX, minY, maxX, maxY }: Bounds): Bounds => ({ minX: minY, minY: minX, maxX: maxY, maxY: maxX });

const nameOf = ({ rotation, mirrored }: Turn): string => `${rotation} ${mirrored}`;

/** The turns of a part: those that its pieces have, and what else is listed, evenly thinned out where there are more than the most. */
function turnsOf(part: TurnedPart, most: number): readonly Turn[] {
  const { rotations, lying = [] } = part;
  const others = bothSides(
    part,
    rotations.filter((turn) => !lying.includes(turn)),
  );
  const every = Math.ceil(others.length / most);
  return [...bothSides(part, lying), ...others.filter((_, index) => index % every === 0)];
}

const bothSides = ({ allowMirror }: NestPart, rotations: readonly number[]): readonly Turn[] =>
  (allowMirror ? [false, true] : [false]).flatMap((mirrored) => rotations.map((rotation) => ({ rotation, mirrored })));

/** Where those of some turns stand that are a little otherwise than one of them. */
const nearTurns = (turns: readonly Turn[], own: Turn): readonly number[] =>
  turns.flatMap((turn, index) =>
    turn !== own &&
    turn.mirrored === own.mirrored &&
    degreesBetween(turn.rotation, own.rotation) <= FARTHEST_BESIDE_DEGREES
      ? [index]
      : [],
  );

/** How far a shift lies inside the interval that holds it; 0 when none does. */
function depthIn({ rows, pool }: ForbiddenShifts, place: number, shift: number): number {
  if (place < 0) return 0;
  const low = rows[place]!,
    high = rows[place + 1]!;
  if (low !== MANY) return insideBy(low, high, shift);
  const end = high + 1 + 2 * pool[high]!;
  for (let at = high + 1; at < end; at += 2) {
    if (shift <= pool[at]!) return 0;
    if (shift < pool[at + 1]!) return insideBy(pool[at]!, pool[at + 1]!, shift);
  }
  return 0;
}

function insideBy(low: number, high: number, shift: number): number {
  const depth = Math.min(shift - low, high - shift);
  return depth > SLIVER_MM ? depth : 0;
}

/** What strips' outlines are grown by, in mm: half the clearance and the reserve. */
export const stripGrowth = (clearanceMm: number): number => (clearanceMm > 0 ? clearanceMm / 2 + RESERVE_MM : 0);

/** Outline and holes grown by half the clearance, never too small, with few corners. */
function grownOutline(part: NestPart, clearanceMm: number): Region {
  const rings = [part.polygon, ...(part.holes ?? [])].map((ring): Point[] => ring.map(([x, y]: XY) => ({ x, y })));
  const [outer, ...holes] = rings.map(counterClockwise);
  const region = [outer!, ...holes.map((hole) => [...hole].reverse())];
  if (clearanceMm === 0) return unionOf(region);
  return withoutFlatCorners(growRegion(region, stripGrowth(clearanceMm), 0.02), FLAT_MM);
}

/** Whether two poses look the same, as those of a rectangle turned by half do. */
function isAlike(a: Strips, b: Strips): boolean {
  return (
    a.cuts.length === b.cuts.length &&
    a.sides.length === b.sides.length &&
    a.cuts.every((y, index) => Math.abs(y - b.cuts[index]!) < 1e-3) &&
    a.sides.every((x, index) => Math.abs(x - b.sides[index]!) < 1e-3)
  );
}
