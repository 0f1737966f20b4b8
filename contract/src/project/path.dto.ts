import {
  CONTOUR_ROLES,
  FURTHEST_COORDINATE_MM,
  KEPT_SLOT_MM,
  LONGEST_NAME,
  MOST_NODES,
  SLOT_FIT_MM,
  STEEPEST_PLATE_SLANT_DEGREES,
} from '@grain-fold/core/part';
import { SIZINGS } from '@grain-fold/core/paths';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsOptional } from 'class-validator';
import { HasVariants, IsIdentifier, IsNameUpTo, IsNumberBetween, IsOneOf, Nested, EachNested } from './rules.ts';

/** A point in mm, x to the right, y up, as seen from the face. */
export class PointDto {
  @IsNumberBetween(-FURTHEST_COORDINATE_MM, FURTHEST_COORDINATE_MM) x!: number;
  @IsNumberBetween(-FURTHEST_COORDINATE_MM, FURTHEST_COORDINATE_MM) y!: number;
}

/** A corner or end of a path. */
export class NodeDto extends PointDto {
  @IsIdentifier() id!: string;
}

/** How a path runs from one node to the next. */
export class SegmentDto {
  @IsIdentifier() id!: string;
  @IsIn(['line', 'arc', 'cubic'], { message: 'must be line, arc or cubic, got $value' }) kind!: string;
}
export class LineSegmentDto extends SegmentDto {}
export class ArcSegmentDto extends SegmentDto {
  /** tan of a quarter of the sweep, positive counter-clockwise. */
  @IsNumberBetween(-1000, 1000) bulge!: number;
}
export class CubicSegmentDto extends SegmentDto {
  @Nested(() => PointDto) control1!: PointDto;
  @Nested(() => PointDto) control2!: PointDto;
}

export const SEGMENT_TYPES = [
  { value: LineSegmentDto, name: 'line' },
  { value: ArcSegmentDto, name: 'arc' },
  { value: CubicSegmentDto, name: 'cubic' },
];

/** Nodes joined by segments; a closed path has as many segments as nodes, an open one has one less. */
export class DrawnPathDto {
  @IsIdentifier() id!: string;
  @IsBoolean() closed!: boolean;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(MOST_NODES)
  @EachNested()
  @Type(() => NodeDto)
  nodes!: NodeDto[];
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_NODES)
  @EachNested()
  @Type(() => SegmentDto, {
    discriminator: { property: 'kind', subTypes: SEGMENT_TYPES },
    keepDiscriminatorProperty: true,
  })
  segments!: SegmentDto[];
}

/** A path on a part. */
export class PathDto extends DrawnPathDto {
  /** What scaling does to it: it grows, keeps its size, or only its length grows. */
  @IsOneOf(SIZINGS) sizing!: string;
}

/** The plate that goes through a slot; the slot's width follows its measured thickness. */
export class PlateSlotDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsNumberBetween(-STEEPEST_PLATE_SLANT_DEGREES, STEEPEST_PLATE_SLANT_DEGREES) slantDegrees!: number;
  @IsNumberBetween(SLOT_FIT_MM.least, SLOT_FIT_MM.most) fitMm!: number;
  /** Width that is kept whatever the plate measures. */
  @IsOptional() @IsNumberBetween(KEPT_SLOT_MM.least, KEPT_SLOT_MM.most) keptWidthMm?: number;
}

/** The outline of a part, or a hole through it. */
export class ContourDto extends PathDto {
  @IsOneOf(CONTOUR_ROLES) role!: string;
  @IsOptional() @Nested(() => PlateSlotDto) plate?: PlateSlotDto;
  @HasVariants() variants?: string[];
}
