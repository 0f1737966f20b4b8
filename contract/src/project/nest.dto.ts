import { FURTHEST_COORDINATE_MM } from '@grain-fold/core/part';
import { Type } from 'class-transformer';
import { ArrayMaxSize, Equals, IsArray, IsBoolean, IsOptional, Matches } from 'class-validator';
import { BoardDto } from './board.dto.ts';
import { PlainShapeDto } from './guest.dto.ts';
import { BOUNDS, IsCountBetween, IsIdentifier, IsNameUpTo, IsNumberBetween, EachNested, Nested } from './rules.ts';

const PIECE_ID = /^[A-Za-z0-9_-]{1,40}(:starboard)?$/;

/** Where one piece lies on its board. */
export class PlacedPieceDto {
  @Matches(PIECE_ID, { message: 'must be a part id, with :starboard for a mirrored twin' }) pieceId!: string;
  @IsNumberBetween(-FURTHEST_COORDINATE_MM * 2, FURTHEST_COORDINATE_MM * 2) x!: number;
  @IsNumberBetween(-FURTHEST_COORDINATE_MM * 2, FURTHEST_COORDINATE_MM * 2) y!: number;
  @IsNumberBetween(-360, 360) rotation!: number;
  /** Stays where it lies when nested anew. */
  @IsOptional() @IsBoolean() isLocked?: boolean;
  /** It was cut and came to nothing; left out where not. */
  @IsOptional() @Equals(true, { message: 'must be true, or left out' }) isScrap?: true;
}
/** A piece as it was when its board was cut. */
export class CutPieceDto extends PlainShapeDto {
  @Matches(PIECE_ID, { message: 'must be a part id, with :starboard for a mirrored twin' }) id!: string;
  @IsNameUpTo(2 * BOUNDS.nameLength + 20) name!: string;
}
export class NestedBoardDto {
  @IsIdentifier() boardId!: string;
  @IsArray()
  @ArrayMaxSize(10_000)
  @EachNested()
  @Type(() => PlacedPieceDto)
  placements!: PlacedPieceDto[];
  /** The board as it was when it was cut. */
  @IsOptional() @Nested(() => BoardDto) cutFrom?: BoardDto;
  /** Its pieces as they were then. */
  @IsOptional() @IsArray() @ArrayMaxSize(2000) @EachNested() @Type(() => CutPieceDto) cutPieces?: CutPieceDto[];
}
export class UnplacedDto {
  @Matches(PIECE_ID, { message: 'must be a part id, with :starboard for a mirrored twin' }) pieceId!: string;
  @IsCountBetween(1, 10_000) quantity!: number;
}
/** A kept nest and what it was made from. */
export class NestDto {
  @Matches(/^[0-9a-f]{16}$/, { message: 'must be a fingerprint of 16 digits' }) readHash!: string;
  @IsCountBetween(0, 4_294_967_295) seed!: number;
  @IsCountBetween(0, 1_000_000_000) tried!: number;
  @IsArray() @ArrayMaxSize(2000) @EachNested() @Type(() => NestedBoardDto) boards!: NestedBoardDto[];
  @IsArray() @ArrayMaxSize(2000) @EachNested() @Type(() => UnplacedDto) unplaced!: UnplacedDto[];
}
