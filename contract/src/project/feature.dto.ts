import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsOptional, Matches, ValidateIf, ValidateNested } from 'class-validator';
import { PointDto } from './path.dto.ts';
import { BOUNDS, HasVariants, IsCountBetween, IsIdentifier, isGiven, IsNumberBetween, IsTextUpTo } from './rules.ts';

const KINDS = [
  'tabs',
  'slots',
  'lap',
  'lightening',
  'dowel',
  'wire',
  'finger',
  'servo',
  'hatch',
  'balance',
  'stations',
  'lettering',
];

/** A thing with a meaning that becomes holes, lines and edges when the part is made exact. */
export class FeatureDto {
  @Matches(/^f\d{1,12}$/, { message: 'must be "f" and a number, got $value' }) id!: string;
  @IsIn(KINDS, { message: `must be one of ${KINDS.join(', ')}, got $value` }) kind!: string;
  @IsTextUpTo(BOUNDS.nameLength) label!: string;
  @HasVariants() variants?: string[];
}
/** A feature that stands at a place. */
export class PlacedFeatureDto extends FeatureDto {
  @ValidateNested() @Type(() => PointDto) at!: PointDto;
  @IsNumberBetween(-360, 360) angleDegrees!: number;
}
/** An edge of the drawing. */
export class FeatureEdgeDto {
  @IsIdentifier() pathId!: string;
  @IsIdentifier() segmentId!: string;
}
/** A feature that stands on an edge. */
export class EdgeFeatureDto extends FeatureDto {
  @ValidateNested() @Type(() => FeatureEdgeDto) on!: FeatureEdgeDto;
}

export class LighteningDto extends PlacedFeatureDto {
  @IsNumberBetween(0.01, BOUNDS.lengthMm) lengthMm!: number;
  @IsNumberBetween(0.01, BOUNDS.lengthMm) widthMm!: number;
  @IsNumberBetween(0, BOUNDS.lengthMm) cornerMm!: number;
}
export class DowelDto extends PlacedFeatureDto {
  @IsNumberBetween(0.5, 100) diameterMm!: number;
  @IsNumberBetween(-0.5, 5) fitMm!: number;
}
export class WireDto extends PlacedFeatureDto {
  @IsNumberBetween(0.2, 60) diameterMm!: number;
  @IsNumberBetween(0, 20) fitMm!: number;
  @IsNumberBetween(-60, 60) leanDegrees!: number;
}
export class FingerDto extends PlacedFeatureDto {
  @IsNumberBetween(5, 300) lengthMm!: number;
  @IsNumberBetween(5, 100) widthMm!: number;
}
export class ServoDto extends PlacedFeatureDto {
  @IsNumberBetween(5, 100) lengthMm!: number;
  @IsNumberBetween(3, 60) widthMm!: number;
  @IsNumberBetween(-0.5, 5) fitMm!: number;
  /** Middle to middle of the screws; 0 for none. */
  @IsNumberBetween(0, 120) screwsMm!: number;
}
export class HatchDto extends PlacedFeatureDto {
  @IsNumberBetween(0.01, BOUNDS.lengthMm) lengthMm!: number;
  @IsNumberBetween(0.01, BOUNDS.lengthMm) widthMm!: number;
  @IsNumberBetween(0, BOUNDS.lengthMm) cornerMm!: number;
  @IsIn(['loose', 'folds'], { message: 'must be loose or folds, got $value' }) opens!: string;
}
export class BalanceDto extends PlacedFeatureDto {}
export class LetteringDto extends PlacedFeatureDto {
  @IsTextUpTo(BOUNDS.nameLength) text!: string;
  @IsNumberBetween(0.01, BOUNDS.lengthMm) heightMm!: number;
}
export class SlotsDto extends PlacedFeatureDto {
  /** Tab row that it is cut to, as part id/feature id; empty while none is chosen. */
  @Matches(/^$|^[A-Za-z0-9_-]{1,40}\/f\d{1,12}$/, { message: 'must be empty or part id/feature id, got $value' })
  mate!: string;
  @IsNumberBetween(-60, 60) slantDegrees!: number;
  @IsNumberBetween(-1, 5) fitMm!: number;
}
export class TabsDto extends EdgeFeatureDto {
  @IsCountBetween(1, 100) count!: number;
  @IsNumberBetween(1, 500) lengthMm!: number;
  /** Material of the plate that they go through. */
  @IsTextUpTo(BOUNDS.nameLength) material!: string;
  /** How far they stand out in mm, or auto to follow that plate. */
  @ValidateIf(isGiven('reachMm')) @IsNumberBetween(0.5, 200) reachMm!: number | string;
}
export class LapDto extends EdgeFeatureDto {
  /** Material of the plate that lies in it. */
  @IsTextUpTo(BOUNDS.nameLength) material!: string;
  @ValidateIf(isGiven('widthMm')) @IsNumberBetween(0.5, 200) widthMm!: number | string;
  @ValidateIf(isGiven('depthMm')) @IsNumberBetween(0.1, 100) depthMm!: number | string;
}
/** One station along an edge. */
export class StationDto {
  @IsNumberBetween(0, 2 * BOUNDS.coordinateMm) atMm!: number;
  @IsTextUpTo(40) name!: string;
}
export class StationsDto extends EdgeFeatureDto {
  @IsArray() @ArrayMaxSize(200) @ValidateNested({ each: true }) @Type(() => StationDto) places!: StationDto[];
  @IsIn(['square', 'upright', 'level'], { message: 'must be square, upright or level, got $value' }) across!: string;
}

export const FEATURE_TYPES = [
  { value: TabsDto, name: 'tabs' },
  { value: SlotsDto, name: 'slots' },
  { value: LapDto, name: 'lap' },
  { value: LighteningDto, name: 'lightening' },
  { value: DowelDto, name: 'dowel' },
  { value: WireDto, name: 'wire' },
  { value: FingerDto, name: 'finger' },
  { value: ServoDto, name: 'servo' },
  { value: HatchDto, name: 'hatch' },
  { value: BalanceDto, name: 'balance' },
  { value: StationsDto, name: 'stations' },
  { value: LetteringDto, name: 'lettering' },
];

/** What a guide stands beside: a segment, or another guide. */
export class GuideBaseDto {
  @IsOptional() @IsIdentifier() segmentId?: string;
  @IsOptional() @IsIdentifier() guideId?: string;
}
/** A line to draw to, that is neither cut nor printed. */
export class GuideDto {
  @IsIdentifier() id!: string;
  @IsTextUpTo(40) name!: string;
  @IsIn(['line', 'circle', 'beside'], { message: 'must be line, circle or beside, got $value' }) kind!: string;
}
export class LineGuideDto extends GuideDto {
  @ValidateNested() @Type(() => PointDto) at!: PointDto;
  @IsNumberBetween(-720, 720) angleDegrees!: number;
}
export class CircleGuideDto extends GuideDto {
  @ValidateNested() @Type(() => PointDto) at!: PointDto;
  @IsNumberBetween(1e-6, BOUNDS.coordinateMm) radiusMm!: number;
}
export class BesideGuideDto extends GuideDto {
  @ValidateNested() @Type(() => GuideBaseDto) of!: GuideBaseDto;
  @IsNumberBetween(-BOUNDS.coordinateMm, BOUNDS.coordinateMm) byMm!: number;
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
  @IsIn(['level', 'upright'], { message: 'must be level or upright, got $value' }) along!: string;
  @IsNumberBetween(-BOUNDS.coordinateMm, BOUNDS.coordinateMm) atMm!: number;
}
/** Lines that are chosen and moved as one. */
export class PathGroupDto {
  @IsIdentifier() id!: string;
  @IsTextUpTo(40) name!: string;
  @IsArray()
  @ArrayMaxSize(BOUNDS.paths * 2)
  @Matches(/^[A-Za-z0-9_-]{1,40}$/, { each: true, message: 'must be ids of paths' })
  pathIds!: string[];
}
