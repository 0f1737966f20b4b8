import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsOptional, ValidateNested } from 'class-validator';
import { OPERATION_TYPES, OperationDto } from './operation.dto.ts';
import { ContourDto, PathDto } from './path.dto.ts';
import { BOUNDS, IsCountBetween, IsIdentifier, IsNameUpTo, IsNumberBetween, IsTextUpTo } from './rules.ts';

/** How a part may lie on a board relative to its grain. */
export class GrainDto {
  @IsNumberBetween(-360, 360) directionDegrees!: number;
  @IsIn(['along', 'across', 'any'], { message: 'must be along, across or any, got $value' }) rule!: string;
}

/** A dimension pinned between two points of the drawing. */
export class DimensionDto {
  @IsIdentifier() id!: string;
  @IsIdentifier() fromNodeId!: string;
  @IsIdentifier() toNodeId!: string;
  @IsIn(['straight', 'across', 'up'], { message: 'must be straight, across or up, got $value' }) along!: string;
}

/** One drawing, seen from its face. */
export class PartDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(BOUNDS.nameLength) name!: string;
  @IsTextUpTo(BOUNDS.nameLength) group!: string;
  @IsNameUpTo(BOUNDS.nameLength) material!: string;
  @IsCountBetween(1, 999) quantity!: number;
  @IsIn(['single', 'pair'], { message: 'must be single or pair, got $value' }) handed!: string;
  @ValidateNested() @Type(() => GrainDto) grain!: GrainDto;
  @IsIn(['scaled', 'fixed'], { message: 'must be scaled or fixed, got $value' }) sizing!: string;
  @IsTextUpTo(BOUNDS.notesLength) notes!: string;
  @IsArray() @ArrayMaxSize(BOUNDS.paths) @ValidateNested({ each: true }) @Type(() => ContourDto) contours!: ContourDto[];
  @IsArray() @ArrayMaxSize(BOUNDS.paths) @ValidateNested({ each: true }) @Type(() => PathDto) lines!: PathDto[];
  @IsArray() @ArrayMaxSize(BOUNDS.operations) @ValidateNested({ each: true })
  @Type(() => OperationDto, { discriminator: { property: 'kind', subTypes: OPERATION_TYPES }, keepDiscriminatorProperty: true }) operations!: OperationDto[];
  @IsOptional() @IsArray() @ArrayMaxSize(BOUNDS.operations) @ValidateNested({ each: true }) @Type(() => DimensionDto) dimensions?: DimensionDto[];
  @IsCountBetween(0, 10_000_000) lastId!: number;
}
