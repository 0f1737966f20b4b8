import {
  DIMENSION_WAYS,
  IDENTIFIER,
  LONGEST_NAME,
  LONGEST_NOTES,
  MOST_FEATURES,
  MOST_GUIDES,
  MOST_IDS,
  MOST_JOINTS,
  MOST_NODES,
  MOST_OPERATIONS,
  MOST_PATHS,
  OWN_DETAILS,
  PART_HANDS,
  PART_SIZINGS,
  PLANNED_ROLES,
  WIDEST_TURN_DEGREES,
} from '@grain-fold/core/part';
import { GRAIN_RULES } from '@grain-fold/core/stock';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsOptional, Matches } from 'class-validator';
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
import { InsideSizeDto, JointDto, PlaceOfPartDto, SeamDto } from './standing.dto.ts';
import {
  HasVariants,
  IsCountBetween,
  IsIdentifier,
  IsNameUpTo,
  IsNumberBetween,
  IsTextUpTo,
  IsOneOf,
  Nested,
  EachNested,
} from './rules.ts';

/** How a part may lie on a board relative to its grain. */
export class GrainDto {
  @IsNumberBetween(-WIDEST_TURN_DEGREES, WIDEST_TURN_DEGREES) directionDegrees!: number;
  @IsOneOf(GRAIN_RULES) rule!: string;
}

/** A dimension pinned between two points of the drawing. */
export class DimensionDto {
  @IsIdentifier() id!: string;
  @IsIdentifier() fromNodeId!: string;
  @IsIdentifier() toNodeId!: string;
  @IsOneOf(DIMENSION_WAYS) along!: string;
}

/** What of the plan a part was taken from, and the fingerprint of what that looked like. */
export class PlannedFromDto {
  @IsIdentifier() from!: string;
  @IsOneOf(PLANNED_ROLES) role!: string;
  @Matches(/^[0-9a-f]{16}$/, { message: 'must be a fingerprint of 16 digits' }) outline!: string;
}

/** The form that makes a part. */
export class PartSourceDto {
  @IsIdentifier() formId!: string;
  @IsIdentifier() role!: string;
  /** What the builder has said otherwise. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(OWN_DETAILS.length)
  @IsIn(OWN_DETAILS, { each: true, message: `must be some of ${OWN_DETAILS.join(', ')}` })
  own?: string[];
}

/** One drawing, seen from its face. */
export class PartDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(LONGEST_NAME) name!: string;
  @IsTextUpTo(LONGEST_NAME) group!: string;
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsCountBetween(1, 999) quantity!: number;
  @IsOneOf(PART_HANDS) handed!: string;
  @Nested(() => GrainDto) grain!: GrainDto;
  @IsOneOf(PART_SIZINGS) sizing!: string;
  @IsTextUpTo(LONGEST_NOTES) notes!: string;
  @IsArray()
  @ArrayMaxSize(MOST_PATHS)
  @EachNested()
  @Type(() => ContourDto)
  contours!: ContourDto[];
  @IsArray() @ArrayMaxSize(MOST_PATHS) @EachNested() @Type(() => PathDto) lines!: PathDto[];
  @IsArray()
  @ArrayMaxSize(MOST_OPERATIONS)
  @EachNested()
  @Type(() => OperationDto, {
    discriminator: { property: 'kind', subTypes: OPERATION_TYPES },
    keepDiscriminatorProperty: true,
  })
  operations!: OperationDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_OPERATIONS)
  @EachNested()
  @Type(() => DimensionDto)
  dimensions?: DimensionDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_FEATURES)
  @EachNested()
  @Type(() => FeatureDto, {
    discriminator: { property: 'kind', subTypes: FEATURE_TYPES },
    keepDiscriminatorProperty: true,
  })
  features?: FeatureDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_GUIDES)
  @EachNested()
  @Type(() => GuideDto, { discriminator: { property: 'kind', subTypes: GUIDE_TYPES }, keepDiscriminatorProperty: true })
  guides?: GuideDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_NODES)
  @EachNested()
  @Type(() => AttachmentDto)
  attachments?: AttachmentDto[];
  /** The drawing is one half; the other is its mirror image in this line. */
  @IsOptional() @Nested(() => SymmetryDto) symmetry?: SymmetryDto;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_PATHS)
  @EachNested()
  @Type(() => PathGroupDto)
  pathGroups?: PathGroupDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_OPERATIONS)
  @EachNested()
  @Type(() => SeamDto)
  seams?: SeamDto[];
  /** Where its pieces stand on other parts. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_JOINTS)
  @EachNested()
  @Type(() => JointDto)
  joints?: JointDto[];
  /** Where it stands in the airframe when it stands on no other part. */
  @IsOptional() @Nested(() => PlaceOfPartDto) place?: PlaceOfPartDto;
  /** Ids of its folds in the order to fold them. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_OPERATIONS)
  @Matches(IDENTIFIER, { each: true, message: 'must be ids of operations' })
  foldOrder?: string[];
  /** Sizes of its plates that are meant inside. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_OPERATIONS)
  @EachNested()
  @Type(() => InsideSizeDto)
  insideSizes?: InsideSizeDto[];
  @HasVariants() variants?: string[];
  /** Where in the plan it was taken from. */
  @IsOptional() @Nested(() => PlannedFromDto) planned?: PlannedFromDto;
  /** The form that makes it. */
  @IsOptional() @Nested(() => PartSourceDto) source?: PartSourceDto;
  @IsCountBetween(0, MOST_IDS) lastId!: number;
}
