import { degreesBetween } from '../units/index.ts';

/** A point as it stands in nest files: [x, y] in mm. */
export type XY = readonly [number, number];

/** Boards of one kind to nest on. An irregular one has a polygon in the same frame; holes are places that cannot be used. */
export interface NestBoard {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly count: number;
  readonly polygon?: readonly XY[];
  readonly holes?: readonly (readonly XY[])[];
  /** What one costs; offcuts cost nothing and are used first. */
  readonly price?: number;
  /** Shapes that lie on it already and stay; such a board is there once, and in every nest. */
  readonly taken?: readonly TakenShape[];
}

/** A shape that lies on a board already, in the board's frame. */
export interface TakenShape {
  readonly polygon: readonly XY[];
  readonly holes?: readonly (readonly XY[])[];
}

/** A part to place, its polygon counter-clockwise about its own origin. */
export interface NestPart {
  readonly id: string;
  readonly polygon: readonly XY[];
  readonly holes?: readonly (readonly XY[])[];
  readonly quantity: number;
  /** Turns allowed, degrees counter-clockwise. */
  readonly rotations: readonly number[];
  /** Whether every other turn is allowed too; those listed are where a search begins. */
  readonly turnsFreely?: boolean;
  readonly allowMirror?: boolean;
  /** Ids of the boards that it may lie on; any when left out. */
  readonly boards?: readonly string[];
}
/** Whether a part may lie on a board. */
export const mayLieOn = ({ boards }: NestPart, { id }: NestBoard): boolean => boards?.includes(id) ?? true;

/** Whether a part may be turned by so many degrees. */
export const mayBeTurnedBy = ({ rotations, turnsFreely = false }: NestPart, degrees: number): boolean =>
  turnsFreely || rotations.some((turn) => degreesBetween(turn, degrees) < 1e-6);

/** What to nest. All lengths in mm. */
export interface NestInstance {
  readonly name: string;
  readonly boards: readonly NestBoard[];
  /** Least distance between parts. */
  readonly clearance: number;
  /** What a cut takes away between two parts, on top of the clearance; `withKerfInClearance` adds it there. */
  readonly kerf?: number;
  /** Least distance from a board's edge; the clearance when left out. */
  readonly edgeMargin?: number;
  readonly parts: readonly NestPart[];
  /** Pairs of part ids whose pieces are cut side by side, as often as there are both; twice the same id for two of one part. */
  readonly sideBySide?: readonly (readonly [string, string])[];
}

/** An instance whose clearance has the kerf in it: what is nested. The edge margin stays what it was, for a cut may run over the edge. */
export function withKerfInClearance({ kerf = 0, ...instance }: NestInstance): NestInstance {
  if (kerf === 0) return instance;
  const { clearance, edgeMargin = clearance } = instance;
  return { ...instance, clearance: clearance + kerf, edgeMargin };
}

/** Where one piece lies: mirrored in x if so, turned about its own origin, then moved by x, y. Board origin lower left, y up. */
export interface Placement {
  readonly partId: string;
  readonly x: number;
  readonly y: number;
  readonly rotation: number;
  readonly mirrored?: boolean;
}

export interface NestedBoard {
  readonly boardId: string;
  readonly placements: readonly Placement[];
}

/** A nest: boards used in order, and what found no place. */
export interface NestLayout {
  readonly boards: readonly NestedBoard[];
  readonly unplaced: readonly { readonly partId: string; readonly quantity: number }[];
  readonly seconds: number;
}
