import { MOST_GUEST_PIECES } from '@grain-fold/core/airframe';
import { FURTHEST_COORDINATE_MM, MOST_NODES } from '@grain-fold/core/part';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, Matches } from 'class-validator';
import { GrainDto } from './part.dto.ts';
import { BOUNDS, EachNested, EachNumberBetween, IsCountBetween, IsIdentifier, IsNameUpTo, Nested } from './rules.ts';

/** Most holes of one piece. */
const MOST_HOLES = 500;
/** Most of one piece that are cut. */
export const MOST_COPIES = 10_000;

/** Corners round a ring: x and y of each in turn. */
export class GuestRingDto {
  @IsArray()
  @ArrayMinSize(6)
  @ArrayMaxSize(2 * MOST_NODES)
  @EachNumberBetween(-FURTHEST_COORDINATE_MM, FURTHEST_COORDINATE_MM)
  corners!: number[];
}

/** The outline and holes of a piece of which no more is kept. */
export class PlainShapeDto {
  @Nested(() => GuestRingDto) outline!: GuestRingDto;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_HOLES)
  @EachNested()
  @Type(() => GuestRingDto)
  holes?: GuestRingDto[];
}

/** A piece of another airframe, as it was when it was taken along. */
export class GuestPieceDto extends PlainShapeDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(BOUNDS.nameLength + 20) name!: string;
  @IsNameUpTo(BOUNDS.nameLength) material!: string;
  @IsCountBetween(1, MOST_COPIES) quantity!: number;
  @Nested(() => GrainDto) grain!: GrainDto;
}

/** What another airframe has cut from the boards of this one. */
export class NestGuestDto {
  @Matches(/^[A-Za-z0-9_-]{1,30}$/, { message: 'must be 1 to 30 letters, digits, "-" or "_"' }) id!: string;
  /** The airframe that it was taken from, and its name then. */
  @IsNameUpTo(80) airframeId!: string;
  @IsNameUpTo(BOUNDS.nameLength) name!: string;
  @IsArray()
  @ArrayMaxSize(MOST_GUEST_PIECES)
  @EachNested()
  @Type(() => GuestPieceDto)
  pieces!: GuestPieceDto[];
}
