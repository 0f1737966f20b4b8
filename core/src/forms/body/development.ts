import {
  add3,
  distance,
  point3,
  subtract,
  times3,
  unitVector,
  type Point,
  type RigidMap,
} from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import { offsetPoints } from '../form/index.ts';
import type { BodyLines } from './body-lines.ts';

/** Which sheet of a body it is: a wall bends in the plan, floor and lid in the side view. */
export type SheetKind = 'wall' | 'floor' | 'lid';

/**
 * A sheet that is bent one way, unrolled: its base line, seen along the bends, is laid straight. Flat, a wall lies with its nose to the right
 * and up above; a floor and a lid with their nose to the left. The face is the inside.
 */
export interface Development {
  readonly kind: SheetKind;
  readonly keys: readonly string[];
  /** Corners of its far skin: x aft and y to starboard of a wall, x aft and y up of floor and lid. */
  readonly base: readonly Point[];
  /** Length along the base at every corner, from the nose. */
  readonly lengths: readonly number[];
  /** Turn at every corner toward the face, in degrees; 0 at the ends. */
  readonly turns: readonly number[];
}

/** A sheet so far within the outside of the body. */
export function developSheet(lines: BodyLines, kind: SheetKind, withinMm: number): Development {
  const { breaks } = lines;
  const outside = breaks.map(({ x, half, bottom, top }): Point => ({
    x,
    y: kind === 'wall' ? -half : kind === 'floor' ? bottom : top,
  }));
  const base = offsetPoints(outside, kind === 'lid' ? -withinMm : withinMm);
  let length = 0;
  const lengths = base.map((p, index) => (index === 0 ? 0 : (length += distance(base[index - 1]!, p))));
  const turns = base.map((p, index) => {
    const before = base[index - 1],
      after = base[index + 1];
    if (!before || !after) return 0;
    const a = unitVector(before, p),
      b = unitVector(p, after);
    const turn = degrees(Math.atan2(a.x * b.y - a.y * b.x, a.x * b.x + a.y * b.y));
    return kind === 'lid' ? -turn : turn;
  });
  return { kind, keys: breaks.map(({ key }) => key), base, lengths, turns };
}

/** The length along the base at a place along the body. */
export function lengthAt({ base, lengths }: Development, x: number): number {
  let index = Math.max(0, base.findIndex((p) => p.x > x) - 1);
  if (x >= base.at(-1)!.x) index = base.length - 2;
  const a = base[index]!,
    b = base[index + 1]!;
  return lengths[index]! + ((lengths[index + 1]! - lengths[index]!) * (x - a.x)) / (b.x - a.x);
}

/** The place along the body at a length of the base. */
export function placeAt({ base, lengths }: Development, length: number): number {
  let index = Math.max(0, lengths.findIndex((one) => one > length) - 1);
  if (length >= lengths.at(-1)!) index = base.length - 2;
  const share = (length - lengths[index]!) / (lengths[index + 1]! - lengths[index]!);
  return base[index]!.x + share * (base[index + 1]!.x - base[index]!.x);
}

/** A place of the sheet on the flat: so far along the body, and so high on a wall, or to starboard on floor and lid. */
export function onSheet(sheet: Development, x: number, across: number): Point {
  const length = lengthAt(sheet, x);
  if (sheet.kind === 'wall') return { x: -length, y: across };
  return { x: length, y: sheet.kind === 'floor' ? across : -across };
}

/**
 * The length of the base opposite a place of the inside: where a plate across the body meets the sheet's face.
 * @param thicknessMm of the sheet
 */
export function lengthWithin(sheet: Development, x: number, thicknessMm: number): number {
  const inside = offsetPoints(sheet.base, sheet.kind === 'lid' ? -thicknessMm : thicknessMm);
  let index = Math.max(0, inside.findIndex((p) => p.x > x) - 1);
  if (x >= inside.at(-1)!.x) index = inside.length - 2;
  const a = inside[index]!,
    b = inside[index + 1]!,
    share = (x - a.x) / (b.x - a.x);
  const at = { x, y: a.y + share * (b.y - a.y) };
  const along = unitVector(sheet.base[index]!, sheet.base[index + 1]!),
    off = subtract(at, sheet.base[index]!);
  return sheet.lengths[index]! + off.x * along.x + off.y * along.y;
}

/** Where the piece of a sheet behind a corner stands in the body's frame: from the flat, face up. */
export function pieceMap({ kind, base, lengths }: Development, index: number): RigidMap {
  const from = base[index]!,
    d = unitVector(from, base[index + 1]!);
  if (kind === 'wall') {
    const along = point3(d.x, d.y, 0);
    return {
      x: times3(along, -1),
      y: point3(0, 0, 1),
      z: point3(-d.y, d.x, 0),
      origin: add3(point3(from.x, from.y, 0), times3(along, -lengths[index]!)),
    };
  }
  const along = point3(d.x, 0, d.y),
    isFloor = kind === 'floor';
  return {
    x: along,
    y: point3(0, isFloor ? 1 : -1, 0),
    z: isFloor ? point3(-d.y, 0, d.x) : point3(d.y, 0, -d.x),
    origin: add3(point3(from.x, 0, from.y), times3(along, -lengths[index]!)),
  };
}
