import {
  MOST_GUEST_PIECES,
  MOST_GUESTS,
  MOST_HOSTS,
  MOST_PACKINGS,
  MOST_SETS,
  WIDEST_KERF_MM,
} from '@grain-fold/core/airframe';
import { GROOVE_SCHOOLS, LEAST_TOOL_DEGREES, MOST_TOOL_DEGREES } from '@grain-fold/core/allowance';
import { FOLD_STYLES, HINGE_GROUNDS } from '@grain-fold/core/operations';
import {
  LARGEST_PAPER_MM,
  MOST_SECTIONS,
  ORIENTATIONS,
  PAGE_WAYS,
  PAPER_NAMES,
  SMALLEST_PAPER_MM,
  TEMPLATE_RULES,
  WIDEST_MARGIN_MM,
  WIDEST_OVERLAP_MM,
} from '@grain-fold/core/pages';
import { TURN_STEPS } from '@grain-fold/core/stock';
import { LENGTH_UNITS, MASS_PER_AREA } from '@grain-fold/core/units';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, Equals, IsArray, IsOptional, Matches } from 'class-validator';
import { IsFlag } from './form-fields.ts';
import { MOST_COPIES, NestGuestDto } from './guest.dto.ts';
import {
  BOUNDS,
  EachNested,
  HasVariants,
  IsCountBetween,
  IsIdentifier,
  IsNameUpTo,
  IsNumberBetween,
  IsOneOf,
  IsTextUpTo,
  Nested,
} from './rules.ts';

/** What is printed on. */
export class PaperChoiceDto {
  @IsOneOf([...PAPER_NAMES, 'own', 'roll'])
  paper!: string;
  @IsNumberBetween(SMALLEST_PAPER_MM, LARGEST_PAPER_MM) ownWidthMm!: number;
  @IsNumberBetween(SMALLEST_PAPER_MM, LARGEST_PAPER_MM) ownHeightMm!: number;
  @IsOptional() @IsNumberBetween(SMALLEST_PAPER_MM, LARGEST_PAPER_MM) rollWidthMm?: number;
  @IsOneOf(ORIENTATIONS) orientation!: string;
}

/** Some of the parts, printed in a way of their own. */
export class PageSectionDto {
  @IsIdentifier() id!: string;
  @IsOneOf(PAGE_WAYS) way!: string;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.parts)
  @Matches(/^[A-Za-z0-9_-]{1,40}$/, { each: true, message: 'must be ids of parts' })
  partIds?: string[];
  @IsOptional() @Nested(() => PaperChoiceDto) paper?: PaperChoiceDto;
  @IsOptional() @IsFlag() isMirrored?: boolean;
}

/** A piece whose template is on paper. */
export class PrintedPieceDto {
  @Matches(/^[A-Za-z0-9_-]{1,40}(:starboard)?$/, { message: 'must be the id of a piece' }) pieceId!: string;
  @Matches(/^[0-9a-f]{16}$/, { message: 'must be a fingerprint of 16 digits' }) readHash!: string;
}

/** What was printed last. */
export class PrintedPagesDto {
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'must be a date as 2026-01-02' }) date!: string;
  @IsArray()
  @ArrayMaxSize(2 * BOUNDS.parts)
  @EachNested()
  @Type(() => PrintedPieceDto)
  pieces!: PrintedPieceDto[];
}

/** How the airframe is printed. */
export class PageSettingsDto extends PaperChoiceDto {
  @IsNumberBetween(0, WIDEST_MARGIN_MM) marginMm!: number;
  @IsNumberBetween(0, WIDEST_OVERLAP_MM) overlapMm!: number;
  @IsOneOf(TEMPLATE_RULES) templates!: string;
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_SECTIONS)
  @EachNested()
  @Type(() => PageSectionDto)
  sections?: PageSectionDto[];
  @IsOptional() @IsFlag() hasCover?: boolean;
  @IsOptional() @IsCountBetween(0, MOST_PACKINGS - 1) packing?: number;
  @IsOptional() @IsIdentifier() printerId?: string;
  @IsOptional() @Nested(() => PrintedPagesDto) printed?: PrintedPagesDto;
}

const PIECE_ID = /^[A-Za-z0-9_-]{1,40}(?::starboard)?$/,
  NO_PIECE_ID = { message: 'must be the id of a piece' };

/** Two pieces that are cut side by side. */
export class SidePairDto {
  @Matches(PIECE_ID, NO_PIECE_ID) first!: string;
  @Matches(PIECE_ID, NO_PIECE_ID) second!: string;
}

/** A piece that was cut from the board of another airframe, and how often. */
export class CountedPieceDto {
  @Matches(PIECE_ID, NO_PIECE_ID) id!: string;
  @IsCountBetween(1, MOST_COPIES) quantity!: number;
}

/** Pieces that were cut from the boards of another airframe. */
export class CutElsewhereDto {
  @IsNameUpTo(80) airframeId!: string;
  @IsNameUpTo(BOUNDS.nameLength) name!: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_GUEST_PIECES)
  @EachNested()
  @Type(() => CountedPieceDto)
  pieces!: CountedPieceDto[];
}

/** How parts are laid on boards. */
export class NestSettingsDto {
  @IsNumberBetween(0, 100) clearanceMm!: number;
  /** What the cut itself takes away between two parts. */
  @IsOptional() @IsNumberBetween(0, WIDEST_KERF_MM) kerfMm?: number;
  @IsNumberBetween(0, 200) edgeMarginMm!: number;
  @IsOneOf(TURN_STEPS) turnStep!: number;
  /** Whether parts that no grain holds may be turned by any angle besides; left out where not. */
  @IsOptional() @Equals(true, { message: 'must be true, or left out' }) turnsFreely?: true;
  @IsCountBetween(0, 4_294_967_295) seed!: number;
  /** How many of the airframe are cut together. */
  @IsOptional() @IsCountBetween(2, MOST_SETS) sets?: number;
  /** Parts that are cut from whole, unmarked boards only. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.parts)
  @Matches(/^[A-Za-z0-9_-]{1,40}$/, { each: true, message: 'must be ids of parts' })
  onCleanBoards?: string[];
  /** Pieces that are cut side by side. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.parts)
  @EachNested()
  @Type(() => SidePairDto)
  sideBySide?: SidePairDto[];
  /** Pieces of other airframes that are cut from the same boards. */
  @IsOptional() @IsArray() @ArrayMaxSize(MOST_GUESTS) @EachNested() @Type(() => NestGuestDto) guests?: NestGuestDto[];
  /** Pieces of this airframe that were cut from the boards of others. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_HOSTS)
  @EachNested()
  @Type(() => CutElsewhereDto)
  cutElsewhere?: CutElsewhereDto[];
}

/** How folds are made where a fold does not say so itself. */
export class FoldDefaultsDto {
  @IsOneOf(FOLD_STYLES) style!: string;
  @IsOneOf(GROOVE_SCHOOLS) school!: string;
  @IsNumberBetween(LEAST_TOOL_DEGREES, MOST_TOOL_DEGREES) toolDegrees!: number;
  @IsOneOf(HINGE_GROUNDS) hingeOn!: string;
}

/** What holds for the whole airframe. */
export class SettingsDto {
  @IsOneOf(LENGTH_UNITS) unit!: string;
  @IsNumberBetween(0.05, 20) scale!: number;
  @Nested(() => PageSettingsDto) pages!: PageSettingsDto;
  @Nested(() => NestSettingsDto) nest!: NestSettingsDto;
  @IsTextUpTo(BOUNDS.notesLength) notes!: string;
  /** Named sets of optional parts, features and operations. */
  @HasVariants() variants?: string[];
  /** The variant that pages, boards and cut list follow; everything exists without one. */
  @IsOptional() @IsNameUpTo(40) variant?: string;
  /** How folds are made where a fold does not say so itself. */
  @IsOptional() @Nested(() => FoldDefaultsDto) folds?: FoldDefaultsDto;
  /** What prices are in, as it is written: `€`, `USD`. */
  @IsOptional() @IsNameUpTo(6) currency?: string;
  /** What the mass of boards by area is told in. */
  @IsOptional() @IsOneOf(MASS_PER_AREA) massPerArea?: string;
}
