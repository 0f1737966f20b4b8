import type { Form } from '../forms/index.ts';
import type { FoldDefaults } from '../operations/index.ts';
import { DEFAULT_PAGE_SETTINGS, type PageSettings } from '../pages/index.ts';
import type { Part } from '../part/index.ts';
import type { Plan } from '../plan/index.ts';
import { boardName, isCleanBoard, type Board, type TurnStep } from '../stock/index.ts';
import { MM_PER_INCH, type LengthUnit, type MassPerArea } from '../units/index.ts';

/** How parts are laid on boards. */
export interface NestSettings {
  /** Least distance between parts in mm. */
  readonly clearanceMm: number;
  /** What the cut itself takes away between two parts, beside the distance, in mm: a wire's or a cutter's width; none when undefined. */
  readonly kerfMm?: number;
  /** Least distance from a board's edge in mm; a cut may run over the edge. */
  readonly edgeMarginMm: number;
  readonly turnStep: TurnStep;
  /** Whether parts that no grain holds may be turned by any angle besides, where that lets them fit. */
  readonly turnsFreely?: true;
  /** Same seed, same nest. */
  readonly seed: number;
  /** How many of the airframe are cut together, 2 or more; one when undefined. */
  readonly sets?: number;
  /** Ids of parts that are cut from whole, unmarked boards only: what shows. */
  readonly onCleanBoards?: readonly string[];
  /** Pieces that are cut side by side, so that their foam is alike; each piece is in one pair at most. */
  readonly sideBySide?: readonly SidePair[];
  /** Pieces of other airframes that are cut from the same boards. */
  readonly guests?: readonly NestGuest[];
  /** Pieces of this airframe that were cut from the boards of others, and are not cut here any more. */
  readonly cutElsewhere?: readonly CutElsewhere[];
}

/** Pieces that were cut from the boards of another airframe, by its id and its name then. */
export interface CutElsewhere {
  readonly airframeId: string;
  readonly name: string;
  readonly pieces: readonly { readonly id: string; readonly quantity: number }[];
}

/** Two pieces by their ids, twice the same for two of one. */
export interface SidePair {
  readonly first: string;
  readonly second: string;
}

/** What another airframe has cut from the boards of this one. */
export interface NestGuest {
  readonly id: string;
  /** The airframe that it was taken from, and its name then. */
  readonly airframeId: string;
  readonly name: string;
  readonly pieces: readonly GuestPiece[];
}

/** A piece of another airframe as it was when it was taken along: its outline in mm, and how often it is cut. */
export interface GuestPiece {
  readonly id: string;
  readonly name: string;
  readonly material: string;
  readonly quantity: number;
  readonly grain: Part['grain'];
  readonly outline: GuestRing;
  readonly holes?: readonly GuestRing[];
}
/** Corners round a ring: x and y of each in turn, in mm. */
export interface GuestRing {
  readonly corners: readonly number[];
}

/** Most that a cut takes away, in mm. */
export const WIDEST_KERF_MM = 20;
/** Least distance between the outlines of two parts, in mm: that between their cuts, and a cut. */
export const gapBetweenParts = ({ clearanceMm, kerfMm = 0 }: NestSettings): number => clearanceMm + kerfMm;

/** Most of one airframe that are cut together. */
export const MOST_SETS = 60;
/** How many of an airframe are cut together. */
export const setsOf = ({ settings }: Pick<Airframe, 'settings'>): number => settings.nest.sets ?? 1;

/** Whether a part may be cut from a board, beside its material: what is kept to clean boards may from no other. */
export const mayBeCutFrom = (
  { settings }: Pick<Airframe, 'settings'>,
  partId: string,
  board: Pick<Board, 'outline' | 'blemishes'>,
): boolean => !settings.nest.onCleanBoards?.includes(partId) || isCleanBoard(board);

/** Settings with a part kept to clean boards, or let go. */
export function withPartOnCleanBoards(nest: NestSettings, partId: string, isKept: boolean): NestSettings {
  const { onCleanBoards = [], ...rest } = nest;
  const others = onCleanBoards.filter((id) => id !== partId),
    kept = isKept ? [...others, partId].sort() : others;
  return kept.length > 0 ? { ...rest, onCleanBoards: kept } : rest;
}

/** What holds for the whole airframe. */
export interface AirframeSettings {
  readonly unit: LengthUnit;
  readonly scale: number;
  readonly pages: PageSettings;
  readonly nest: NestSettings;
  readonly notes: string;
  /** Named sets of optional parts, features and operations. */
  readonly variants?: readonly string[];
  /** The variant that pages, boards, cut list and figures follow; everything exists without one. */
  readonly variant?: string;
  /** How folds are made where a fold does not say so itself; by knife, on the skin, without it. */
  readonly folds?: FoldDefaults;
  /** What prices are in, as it is written before or behind them; nothing when undefined. */
  readonly currency?: string;
  /** What the mass of boards by area is told in; as the builder's unit goes when undefined. */
  readonly massPerArea?: MassPerArea;
}

/** Where one piece of a nest lies on its board: turned about its drawing's origin, then moved. */
export interface PlacedPiece {
  /** Part's id, with `:starboard` for the mirrored twin. */
  readonly pieceId: string;
  readonly x: number;
  readonly y: number;
  readonly rotation: number;
  /** Stays where it lies when nested anew. */
  readonly isLocked?: boolean;
  /** It was cut and came to nothing: another is to be cut. */
  readonly isScrap?: true;
}

/** A piece as it was when its board was cut: its name, outline and holes, in mm. */
export interface CutPiece {
  readonly id: string;
  readonly name: string;
  readonly outline: GuestRing;
  readonly holes?: readonly GuestRing[];
}

/** One board of a kept nest. */
export interface AirframeNestBoard {
  readonly boardId: string;
  readonly placements: readonly PlacedPiece[];
  /** The board as it was when it was cut: its pieces are there and are not nested any more. */
  readonly cutFrom?: Board;
  /** Its pieces as they were then. */
  readonly cutPieces?: readonly CutPiece[];
}

/** A nest that the builder keeps, with the fingerprint of what it was made from. */
export interface AirframeNest {
  readonly readHash: string;
  readonly seed: number;
  readonly tried: number;
  readonly boards: readonly AirframeNestBoard[];
  readonly unplaced: readonly { readonly pieceId: string; readonly quantity: number }[];
}

/** The whole airframe: what the project file holds. */
export interface Airframe {
  readonly id: string;
  readonly name: string;
  readonly settings: AirframeSettings;
  readonly parts: readonly Part[];
  readonly boards: readonly Board[];
  readonly nest?: AirframeNest;
  readonly plan?: Plan;
  /** Makers of parts: their parts stand among the others. */
  readonly forms?: readonly Form[];
}

export const DEFAULT_NEST_SETTINGS: NestSettings = { clearanceMm: 2, edgeMarginMm: 3, turnStep: 90, seed: 1 };
export const DEFAULT_SETTINGS: AirframeSettings = {
  unit: 'mm',
  scale: 1,
  pages: DEFAULT_PAGE_SETTINGS,
  nest: DEFAULT_NEST_SETTINGS,
  notes: '',
};

/** A board of common size where lengths are told in a unit, to start from: 700 × 500 mm of 5 mm, or 30 × 20 in of 3/16 in. */
export function standardBoard(id: string, material: string, unit: LengthUnit = 'mm'): Board {
  const [widthMm, heightMm, thicknessMm] =
    unit === 'in' ? [30 * MM_PER_INCH, 20 * MM_PER_INCH, (3 / 16) * MM_PER_INCH] : [700, 500, 5];
  return {
    id,
    name: boardName(material, widthMm, heightMm, unit),
    material,
    thicknessMm,
    widthMm,
    heightMm,
    count: 5,
    price: 4,
    grain: 'width',
    gramsPerSquareMetre: 480,
  };
}
