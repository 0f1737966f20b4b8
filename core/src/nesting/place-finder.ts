import type { RandomSource } from '../units/index.ts';
import type { Arrangement } from './arrangement.ts';
import { MANY, type ForbiddenShifts } from './forbidden-shifts.ts';

/** A place for a piece and what its overlaps there weigh. */
export interface FoundPlace {
  board: number;
  pose: number;
  x: number;
  row: number;
  cost: number;
}

/** Rows looked along for one move: anywhere on any board, and near where the piece lies. */
const ROWS_ANYWHERE = 8,
  ROWS_NEAR = 2,
  NEAR_ROWS = 20;
/** Fine rows looked along for the last touch, how many more where a part turns freely, and how far they may be: a usual row up or down. */
const FINE_SAMPLES = 6,
  FINE_TURNED_SAMPLES = 2,
  NEAR_FINE_ROWS = 16;
/** Places that are refined, and how often each may slide. */
const PLACES_KEPT = 3,
  REFINE_ROUNDS = 4;
/** Depths below this are the rounding of sums, in mm. */
const SLIVER_MM = 1e-7;
const nowhere = (): FoundPlace => ({ board: -1, pose: -1, x: 0, row: 0, cost: Infinity });

/**
 * Looks for the place of least weighted overlap for one piece at a time. Along one row the forbidden stretches of all other pieces are
 * known exactly, so that the best place of a whole row is found by looking at their ends; the same up and down a column.
 */
export class PlaceFinder {
  private starts: Float64Array;
  private ends: Float64Array;
  private weights: Float64Array;
  private caps: Float64Array;
  private found = 0;
  private readonly best: FoundPlace[];
  /** Where the last line that was looked along is best. */
  private lineBest = 0;

  constructor(
    private readonly arrangement: Arrangement,
    private readonly random: RandomSource,
    /** The boards that each piece may lie on; left out where all may lie on any. */
    private readonly choices?: readonly (readonly number[])[],
  ) {
    const room = 8 * arrangement.count + 64;
    this.starts = new Float64Array(room);
    this.ends = new Float64Array(room);
    this.weights = new Float64Array(room);
    this.caps = new Float64Array(room);
    this.best = Array.from({ length: PLACES_KEPT }, nowhere);
  }

  /** The best place found for a piece that lies somewhere already. Valid until the next piece is looked at. */
  find(piece: number, part: number): Readonly<FoundPlace> {
    for (const place of this.best) place.cost = Infinity;
    if (this.arrangement.poses.rowsInOne > 1) this.lookClose(piece);
    else {
      this.lookAnywhere(piece, part);
      this.lookNear(piece, part);
    }
    let best = this.best[0]!;
    for (const place of this.best) {
      if (place.cost === Infinity) continue;
      this.refine(piece, place);
      if (place.cost > 0) place.cost = this.arrangement.costAt(piece, place.board, place.pose, place.x, place.row);
      if (place.cost < best.cost) best = place;
      if (best.cost === 0) break;
    }
    return best;
  }

  private lookAnywhere(piece: number, part: number): void {
    const { arrangement: state, random } = this;
    const boards = this.choices?.[piece];
    for (let sample = 0; sample < ROWS_ANYWHERE; sample++) {
      const board = boards ? boards[Math.floor(random() * boards.length)]! : Math.floor(random() * state.rooms.length),
        pose = this.anyPose(part),
        last = state.lastRow(board, pose);
      if (last >= 0) this.tryRow(piece, board, pose, Math.floor(random() * (last + 1)));
    }
  }

  private lookNear(piece: number, part: number): void {
    const { arrangement: state, random } = this;
    const board = state.board[piece]!;
    for (let sample = 0; sample < ROWS_NEAR; sample++) {
      const pose = sample === 0 ? state.pose[piece]! : this.anyPose(part),
        by = sample === 0 ? 0 : Math.round((2 * random() - 1) * NEAR_ROWS),
        last = state.lastRow(board, pose);
      if (last >= 0) this.tryRow(piece, board, pose, Math.max(0, Math.min(last, state.row[piece]! + by)));
    }
  }

  /** On the fine rows round its own: as it is turned, and where it turns freely also a little otherwise about its middle. */
  private lookClose(piece: number): void {
    const { arrangement: state, random } = this,
      { near, strips, rows } = state.poses;
    const board = state.board[piece]!,
      own = state.pose[piece]!,
      others = near[own]!,
      samples = FINE_SAMPLES + (others.length > 0 ? FINE_TURNED_SAMPLES : 0);
    for (let sample = 0; sample < samples; sample++) {
      const pose = sample < FINE_SAMPLES ? own : others[Math.floor(random() * others.length)]!,
        last = state.lastRow(board, pose);
      if (last < 0) continue;
      const up = (strips[own]!.height - strips[pose]!.height) / (2 * rows.pitchMm),
        by = sample === 0 ? 0 : Math.round(up + (2 * random() - 1) * NEAR_FINE_ROWS);
      this.tryRow(piece, board, pose, Math.max(0, Math.min(last, state.row[piece]! + by)));
    }
  }

  private anyPose(part: number): number {
    const { from, to } = this.arrangement.poses;
    return from[part]! + Math.floor(this.random() * (to[part]! - from[part]!));
  }

  private tryRow(piece: number, board: number, pose: number, row: number): void {
    const cost = this.alongRow(piece, board, pose, row, this.best.at(-1)!.cost, this.arrangement.poses.coarse);
    const { best } = this;
    let at = best.length - 1;
    if (cost >= best[at]!.cost) return;
    const place = best[at]!;
    for (; at > 0 && best[at - 1]!.cost > cost; at--) best[at] = best[at - 1]!;
    best[at] = place;
    place.board = board;
    place.pose = pose;
    place.row = row;
    place.x = this.lineBest;
    place.cost = cost;
  }

  /** Slides a place up or down and along in turn, while that makes it better. */
  private refine(piece: number, place: FoundPlace): void {
    place.cost = this.alongRow(piece, place.board, place.pose, place.row, Infinity);
    place.x = this.lineBest;
    for (let round = 0; round < REFINE_ROUNDS && place.cost > 0; round++) {
      if (this.alongColumn(piece, place.board, place.pose, place.x, Infinity) === Infinity) return;
      const row = this.lineBest;
      if (row === place.row) return;
      const cost = this.alongRow(piece, place.board, place.pose, row, place.cost);
      if (cost >= place.cost) return;
      place.cost = cost;
      place.row = row;
      place.x = this.lineBest;
    }
  }

  /** Least cost of a pose anywhere along a row, or Infinity when none is below `upTo`; `lineBest` is where. */
  private alongRow(
    piece: number,
    board: number,
    pose: number,
    row: number,
    upTo: number,
    table = this.arrangement.poses.rows,
  ): number {
    const { arrangement: state } = this;
    const { strips, rows } = state.poses;
    const scale = rows.pitchMm / table.pitchMm;
    const lowest = state.rooms[board]!.minX,
      highest = state.lastX(board, pose);
    if (highest < lowest) return Infinity;
    this.found = 0;
    const members = state.members[board]!,
      height = strips[pose]!.height,
      foot = row * rows.pitchMm;
    for (let at = 0; at < state.memberCount[board]!; at++) {
      const other = members[at]!;
      if (other === piece) continue;
      const otherPose = state.pose[other]!,
        otherX = state.x[other]!,
        lift = Math.round((row - state.row[other]!) * scale);
      const isFirst = otherPose <= pose;
      const place = isFirst ? table.place(otherPose, pose, lift) : table.place(pose, otherPose, -lift);
      if (place < 0) continue;
      const otherFoot = state.row[other]! * rows.pitchMm;
      const cap = Math.min(otherFoot + strips[otherPose]!.height - foot, foot + height - otherFoot);
      this.gather(table, place, isFirst, otherX, lowest, highest, state.weight[piece * state.count + other]!, cap);
    }
    return this.leastOf(lowest, highest, upTo, 0);
  }

  /** Least cost of a pose up and down a column; `lineBest` is the row. */
  private alongColumn(piece: number, board: number, pose: number, x: number, upTo: number): number {
    const { arrangement: state } = this;
    const { strips, rows, columns } = state.poses;
    const highest = state.lastRow(board, pose) * rows.pitchMm;
    if (highest < 0) return Infinity;
    this.found = 0;
    const members = state.members[board]!,
      width = strips[pose]!.width;
    for (let at = 0; at < state.memberCount[board]!; at++) {
      const other = members[at]!;
      if (other === piece) continue;
      const otherPose = state.pose[other]!,
        shift = Math.round((x - state.x[other]!) / columns.pitchMm);
      const isFirst = otherPose <= pose;
      const place = isFirst ? columns.place(otherPose, pose, shift) : columns.place(pose, otherPose, -shift);
      if (place < 0) continue;
      const cap = Math.min(state.x[other]! + strips[otherPose]!.width - x, x + width - state.x[other]!);
      const otherFoot = state.row[other]! * rows.pitchMm;
      this.gather(
        columns,
        place,
        isFirst,
        otherFoot,
        0,
        highest,
        state.weight[piece * state.count + other]!,
        Math.max(cap, 0),
      );
    }
    return this.leastOf(0, highest, upTo, rows.pitchMm);
  }

  private gather(
    table: ForbiddenShifts,
    place: number,
    isFirst: boolean,
    origin: number,
    lowest: number,
    highest: number,
    weight: number,
    cap: number,
  ): void {
    const low = table.rows[place]!,
      high = table.rows[place + 1]!;
    if (low !== MANY) {
      if (low < high)
        this.add(
          isFirst ? origin + low : origin - high,
          isFirst ? origin + high : origin - low,
          lowest,
          highest,
          weight,
          cap,
        );
      return;
    }
    const { pool } = table;
    const end = high + 1 + 2 * pool[high]!;
    for (let at = high + 1; at < end; at += 2) {
      const l = pool[at]!,
        h = pool[at + 1]!;
      this.add(isFirst ? origin + l : origin - h, isFirst ? origin + h : origin - l, lowest, highest, weight, cap);
    }
  }

  private add(start: number, stop: number, lowest: number, highest: number, weight: number, cap: number): void {
    if (stop <= lowest || start >= highest || this.found === this.starts.length) return;
    this.starts[this.found] = start;
    this.ends[this.found] = stop;
    this.weights[this.found] = weight;
    this.caps[this.found] = cap;
    this.found += 1;
  }

  /** Looks at both ends of the line and at the ends of every stretch. With a pitch, places are rounded to it, away from the stretch. */
  private leastOf(lowest: number, highest: number, upTo: number, pitchMm: number): number {
    const { starts, ends, weights, caps, found } = this;
    let least = upTo,
      leastAt = 0;
    for (let index = -1; index < found; index++) {
      for (let side = 0; side < 2; side++) {
        let at: number;
        if (index < 0) at = side === 0 ? lowest : highest;
        else if (side === 0) {
          at = pitchMm > 0 ? Math.floor(starts[index]! / pitchMm) * pitchMm : starts[index]!;
          if (at < lowest) continue;
        } else {
          at = pitchMm > 0 ? Math.ceil(ends[index]! / pitchMm) * pitchMm : ends[index]!;
          if (at > highest) continue;
        }
        let cost = 0;
        for (let other = 0; other < found; other++) {
          const before = at - starts[other]!,
            after = ends[other]! - at;
          if (before <= SLIVER_MM || after <= SLIVER_MM) continue;
          let depth = before < after ? before : after;
          if (depth > caps[other]!) depth = caps[other]!;
          cost += depth * weights[other]!;
          if (cost >= least) break;
        }
        if (cost < least) {
          least = cost;
          leastAt = at;
          if (cost === 0) {
            this.lineBest = pitchMm > 0 ? Math.round(at / pitchMm) : at;
            return 0;
          }
        }
      }
    }
    this.lineBest = pitchMm > 0 ? Math.round(leastAt / pitchMm) : leastAt;
    return least < upTo ? least : Infinity;
  }
}
