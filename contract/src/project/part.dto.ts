import { DIMENSION_WAYS, PART_HANDS, PART_SIZINGS } from '@grain-fold/core/part';
import { GRAIN_RULES } from '@grain-fold/core/stock';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsOptional, Matches, ValidateNested } from 'class-validator';
import {
  AttachmentDto,
  FEATURE_TYPES,
  FeatureDto,
  GUIDE_TYPES,
  GuideDto,
  PathGroupDto,
  SymmetryDto,
} from './feature.dto.ts';
import { OPERATION_TYPES, OperationDto } from './operation.dto.ts';
import { ContourDto, PathDto } from './path.dto.ts';
import { JointDto, PlaceOfPartDto, SeamDto } from './standing.dto.ts';
import {
  BOUNDS,
  HasVariants,
  IsCountBetween,
  IsIdentifier,
  IsNameUpTo,
  IsNumberBetween,
  IsTextUpTo,
  IsOneOf,
} from './rules.ts';

/** How a part may lie on a board relative to its grain. */
export class GrainDto {
  @IsNumberBetween(-360, 360) directionDegrees!: number;
  @IsOneOf(GRAIN_RULES) rule!: string;
}

/** A dimension pinned between two points of the drawing. */
export class DimensionDto {
  @IsIdentifier() id!: string;
  @IsIdentifier() fromNodeId!: string;
  @IsIdentifier() toNodeId!: string;
  @IsOneOf(DIMENSION_WAYS) along!: string;
}

/** One drawing, seen from its face. */
export class PartDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(BOUNDS.nameLength) name!: string;
  @IsTextUpTo(BOUNDS.nameLength) group!: string;
  @IsNameUpTo(BOUNDS.nameLength) material!: string;
  @IsCountBetween(1, 999) quantity!: number;
  @IsOneOf(PART_HANDS) handed!: string;
  @ValidateNested() @Type(() => GrainDto) grain!: GrainDto;
  @IsOneOf(PART_SIZINGS) sizing!: string;
  @IsTextUpTo(BOUNDS.notesLength) notes!: string;
  @IsArray()
  @ArrayMaxSize(BOUNDS.paths)
  @ValidateNested({ each: true })
  @Type(() => ContourDto)
  contours!: ContourDto[];
  @IsArray() @ArrayMaxSize(BOUNDS.paths) @ValidateNested({ each: true }) @Type(() => PathDto) lines!: PathDto[];
  @IsArray()
  @ArrayMaxSize(BOUNDS.operations)
  @ValidateNested({ each: true })
  @Type(() => OperationDto, {
    discriminator: { property: 'kind', subTypes: OPERATION_TYPES },
    keepDiscriminatorProperty: true,
  })
  operations!: OperationDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.operations)
  @ValidateNested({ each: true })
  @Type(() => DimensionDto)
  dimensions?: DimensionDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.features)
  @ValidateNested({ each: true })
  @Type(() => FeatureDto, {
    discriminator: { property: 'kind', subTypes: FEATURE_TYPES },
    keepDiscriminatorProperty: true,
  })
  features?: FeatureDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.guides)
  @ValidateNested({ each: true })
  @Type(() => GuideDto, { discriminator: { property: 'kind', subTypes: GUIDE_TYPES }, keepDiscriminatorProperty: true })
  guides?: GuideDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.nodes)
  @ValidateNested({ each: true })
  @Type(() => AttachmentDto)
  attachments?: AttachmentDto[];
  /** The drawing is one half; the other is its mirror image in this line. */
  @IsOptional() @ValidateNested() @Type(() => SymmetryDto) symmetry?: SymmetryDto;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.paths)
  @ValidateNested({ each: true })
  @Type(() => PathGroupDto)
  pathGroups?: PathGroupDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.operations)
  @ValidateNested({ each: true })
  @Type(() => SeamDto)
  seams?: SeamDto[];
  /** Where its pieces stand on other parts. */
  @IsOptional() @IsArray() @ArrayMaxSize(999) @ValidateNested({ each: true }) @Type(() => JointDto) joints?: JointDto[];
  /** Where it stands in the airframe when it stands on no other part. */
  @IsOptional() @ValidateNested() @Type(() => PlaceOfPartDto) place?: PlaceOfPartDto;
  /** Ids of its folds in the order to fold them. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.operations)
  @Matches(/^[A-Za-z0-9_-]{1,40}$/, { each: true, message: 'must be ids of operations' })
  foldOrder?: string[];
  @HasVariants() variants?: string[];
  @IsCountBetween(0, 10_000_000) lastId!: number;
}
