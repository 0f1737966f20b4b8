import { Type } from 'class-transformer';
import {
  FEATURE_KINDS,
  FEATURE_SIZINGS,
  featureTraits,
  FURTHEST_STATION_MM,
  LONGEST_STATION_NAME,
  type FeatureKind,
  type FeatureSizing,
} from '@grain-fold/core/features';
import {
  CENTRE_LINES,
  GUIDE_KINDS,
  FURTHEST_COORDINATE_MM,
  IDENTIFIER,
  LONGEST_NAME,
  LONGEST_SHORT_NAME,
  MOST_PATHS,
  SMALLEST_GUIDE_RADIUS_MM,
  WIDEST_GUIDE_TURN_DEGREES,
  WIDEST_TURN_DEGREES,
} from '@grain-fold/core/part';
import { ArrayMaxSize, IsArray, IsOptional, Matches } from 'class-validator';
import { IsFieldOfFeature } from './field-rules.ts';
import { PointDto } from './path.dto.ts';
import { HasVariants, IsIdentifier, IsNumberBetween, IsOneOf, IsTextUpTo, Nested } from './rules.ts';

/** A thing with a meaning that becomes holes, lines and edges when the part is made exact. */
export class FeatureDto {
  @Matches(/^f\d{1,12}$/, { message: 'must be "f" and a number, got $value' }) id!: string;
  @IsOneOf(FEATURE_KINDS) kind!: string;
  @IsTextUpTo(LONGEST_NAME) label!: string;
  @HasVariants() variants?: string[];
  @IsOptional() @IsOneOf(FEATURE_SIZINGS) sizing?: FeatureSizing;
}
/** A feature that stands at a place. */
class PlacedFeatureDto extends FeatureDto {
  @Nested(() => PointDto) at!: PointDto;
  @IsNumberBetween(-WIDEST_TURN_DEGREES, WIDEST_TURN_DEGREES) angleDegrees!: number;
}
/** An edge of the drawing. */
export class FeatureEdgeDto {
  @IsIdentifier() pathId!: string;
  @IsIdentifier() segmentId!: string;
}
/** A feature that stands on an edge. */
class EdgeFeatureDto extends FeatureDto {
  @Nested(() => FeatureEdgeDto) on!: FeatureEdgeDto;
}
/** One station along an edge. */
export class StationDto {
  @IsNumberBetween(0, FURTHEST_STATION_MM) atMm!: number;
  @IsTextUpTo(LONGEST_STATION_NAME) name!: string;
}

/** The class of one kind of feature, with the rules of its fields. */
function featureClass(kind: FeatureKind): typeof FeatureDto {
  const { ground, fields } = featureTraits(kind);
  const own = ground === 'edge' ? class extends EdgeFeatureDto {} : class extends PlacedFeatureDto {};
  Object.defineProperty(own, 'name', { value: `${kind[0]!.toUpperCase()}${kind.slice(1)}Dto` });
  for (const field of fields) {
    // Every feature that stands at a place has its turn from the class above.
    if (ground === 'place' && field.key === 'angleDegrees') continue;
    IsFieldOfFeature(field)(own.prototype, field.key);
    if (field.kind === 'places') Type(() => StationDto)(own.prototype, field.key);
  }
  return own;
}

/** The classes of all kinds of feature, by their kind. */
export const FEATURE_TYPES = FEATURE_KINDS.map((kind) => ({ value: featureClass(kind), name: kind }));

/** What a guide stands beside: a segment, or another guide. */
export class GuideBaseDto {
  @IsOptional() @IsIdentifier() segmentId?: string;
  @IsOptional() @IsIdentifier() guideId?: string;
}
/** A line to draw to, that is neither cut nor printed. */
export class GuideDto {
  @IsIdentifier() id!: string;
  @IsTextUpTo(LONGEST_SHORT_NAME) name!: string;
  @IsOneOf(GUIDE_KINDS) kind!: string;
}
export class LineGuideDto extends GuideDto {
  @Nested(() => PointDto) at!: PointDto;
  @IsNumberBetween(-WIDEST_GUIDE_TURN_DEGREES, WIDEST_GUIDE_TURN_DEGREES) angleDegrees!: number;
}
export class CircleGuideDto extends GuideDto {
  @Nested(() => PointDto) at!: PointDto;
  @IsNumberBetween(SMALLEST_GUIDE_RADIUS_MM, FURTHEST_COORDINATE_MM) radiusMm!: number;
}
export class BesideGuideDto extends GuideDto {
  @Nested(() => GuideBaseDto) of!: GuideBaseDto;
  @IsNumberBetween(-FURTHEST_COORDINATE_MM, FURTHEST_COORDINATE_MM) byMm!: number;
}
export const GUIDE_TYPES = [
  { value: LineGuideDto, name: 'line' },
  { value: CircleGuideDto, name: 'circle' },
  { value: BesideGuideDto, name: 'beside' },
];

/** A point that stays on a guide. */
export class AttachmentDto {
  @IsIdentifier() nodeId!: string;
  @IsIdentifier() guideId!: string;
}
/** The centre line of a drawing of which one half is drawn. */
export class SymmetryDto {
  @IsOneOf(CENTRE_LINES) along!: string;
  @IsNumberBetween(-FURTHEST_COORDINATE_MM, FURTHEST_COORDINATE_MM) atMm!: number;
}
/** Lines that are chosen and moved as one. */
export class PathGroupDto {
  @IsIdentifier() id!: string;
  @IsTextUpTo(LONGEST_SHORT_NAME) name!: string;
  @IsArray()
  @ArrayMaxSize(MOST_PATHS * 2)
  @Matches(IDENTIFIER, { each: true, message: 'must be ids of paths' })
  pathIds!: string[];
}
