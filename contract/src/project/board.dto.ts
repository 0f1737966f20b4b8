import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsOptional, ValidateNested } from 'class-validator';
import { PointDto } from './path.dto.ts';
import { BOUNDS, IsCountBetween, IsIdentifier, IsNameUpTo, IsNumberBetween } from './rules.ts';

/** Boards of one size and material. */
export class BoardDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(BOUNDS.nameLength) name!: string;
  @IsNameUpTo(BOUNDS.nameLength) material!: string;
  /** Measured thickness. */
  @IsNumberBetween(0.5, 100) thicknessMm!: number;
  @IsNumberBetween(10, BOUNDS.lengthMm) widthMm!: number;
  @IsNumberBetween(10, BOUNDS.lengthMm) heightMm!: number;
  @IsCountBetween(0, 999) count!: number;
  @IsNumberBetween(0, 1_000_000) price!: number;
  @IsIn(['width', 'height', 'none'], { message: 'must be width, height or none, got $value' }) grain!: string;
  @IsNumberBetween(1, 100_000) gramsPerSquareMetre!: number;
  /** Outline of an offcut within the width and height, counter-clockwise. */
  @IsOptional()
  @IsArray()
  @ArrayMinSize(3)
  @ArrayMaxSize(BOUNDS.nodes)
  @ValidateNested({ each: true })
  @Type(() => PointDto)
  outline?: PointDto[];
}
