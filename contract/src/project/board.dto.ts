import {
  BOARD_EVENTS,
  BOARD_GRAINS,
  LONGEST_BOARD_MM,
  MOST_BLEMISHES,
  MOST_BOARDS,
  MOST_EVENTS,
  THICKEST_BOARD_MM,
  THINNEST_BOARD_MM,
  WIDEST_BLEMISH_MM,
} from '@grain-fold/core/stock';
import { MOST_NODES } from '@grain-fold/core/part';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, Matches, ValidateIf } from 'class-validator';
import { PointDto } from './path.dto.ts';
import { BOUNDS, IsCountBetween, IsIdentifier, IsNameUpTo, IsNumberBetween, IsOneOf, EachNested } from './rules.ts';

/** A place of a board that is not to be used. */
export class BlemishDto {
  @IsNumberBetween(-WIDEST_BLEMISH_MM, LONGEST_BOARD_MM + WIDEST_BLEMISH_MM) x!: number;
  @IsNumberBetween(-WIDEST_BLEMISH_MM, LONGEST_BOARD_MM + WIDEST_BLEMISH_MM) y!: number;
  @IsNumberBetween(0.5, WIDEST_BLEMISH_MM) radiusMm!: number;
}

/** What befell a board on a day. */
export class BoardEventDto {
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'must be a date as 2026-01-02' }) date!: string;
  @IsOneOf(BOARD_EVENTS) kind!: string;
  /** How many were bought. */
  @ValidateIf(({ kind }: BoardEventDto) => kind === 'bought') @IsCountBetween(1, MOST_BOARDS) count?: number;
  /** Name of the board that it was cut from. */
  @ValidateIf(({ kind }: BoardEventDto) => kind === 'cut') @IsNameUpTo(BOUNDS.nameLength) from?: string;
  /** Name of the airframe that it was cut for, or taken over from. */
  @ValidateIf(({ kind }: BoardEventDto) => kind !== 'bought') @IsNameUpTo(BOUNDS.nameLength) airframe?: string;
}

/** Boards of one size and material. */
export class BoardDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(BOUNDS.nameLength) name!: string;
  @IsNameUpTo(BOUNDS.nameLength) material!: string;
  /** Measured thickness. */
  @IsNumberBetween(THINNEST_BOARD_MM, THICKEST_BOARD_MM) thicknessMm!: number;
  @IsNumberBetween(10, LONGEST_BOARD_MM) widthMm!: number;
  @IsNumberBetween(10, LONGEST_BOARD_MM) heightMm!: number;
  @IsCountBetween(0, MOST_BOARDS) count!: number;
  @IsNumberBetween(0, 1_000_000) price!: number;
  @IsOneOf(BOARD_GRAINS) grain!: string;
  @IsNumberBetween(1, 100_000) gramsPerSquareMetre!: number;
  /** Outline of an offcut within the width and height, counter-clockwise. */
  @IsOptional()
  @IsArray()
  @ArrayMinSize(3)
  @ArrayMaxSize(MOST_NODES)
  @EachNested()
  @Type(() => PointDto)
  outline?: PointDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_BLEMISHES)
  @EachNested()
  @Type(() => BlemishDto)
  blemishes?: BlemishDto[];
  /** What befell it, the oldest first. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_EVENTS)
  @EachNested()
  @Type(() => BoardEventDto)
  history?: BoardEventDto[];
}
