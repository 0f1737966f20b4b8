import { PointDto } from './path.dto.ts';
import {
  EDGE_REFERENCE,
  FURTHEST_COORDINATE_MM,
  WIDEST_JOINT_TURN_DEGREES,
  WIDEST_TURN_DEGREES,
} from '@grain-fold/core/part';
import { BOARD_FACES } from '@grain-fold/core/operations';
import { IsBoolean, IsOptional, Matches } from 'class-validator';
import { IsIdentifier, IsNumberBetween, IsOneOf, Nested } from './rules.ts';

/** A straight edge or line that a seam or a joint runs on: one that is drawn, or a piece of one that a feature or a mirror image makes. */
const IsEdgeReference = (): PropertyDecorator => Matches(EDGE_REFERENCE, { message: 'must be the id of an edge' });

/** Two straight edges that are meant to meet when the part is folded, or stands with another. */
export class SeamDto {
  @IsIdentifier() id!: string;
  @IsIdentifier() fromSegmentId!: string;
  @IsIdentifier() toSegmentId!: string;
  /** The part that the second edge is of; this one without it. */
  @IsOptional() @IsIdentifier() toPartId?: string;
  /** Whether one edge may run on past the end of the other. */
  @IsOptional() @IsBoolean({ message: 'must be true or false' }) mayOverhang?: boolean;
}

/** A plate's size between two of its ends that stays what it is inside when the board is measured anew. */
export class InsideSizeDto {
  /** A fold or a straight edge. */
  @IsIdentifier() fromId!: string;
  @IsIdentifier() toId!: string;
}

/** A place of the airframe in mm: x aft, y to starboard, z up. */
export class AirframePointDto {
  @IsNumberBetween(-FURTHEST_COORDINATE_MM, FURTHEST_COORDINATE_MM) x!: number;
  @IsNumberBetween(-FURTHEST_COORDINATE_MM, FURTHEST_COORDINATE_MM) y!: number;
  @IsNumberBetween(-FURTHEST_COORDINATE_MM, FURTHEST_COORDINATE_MM) z!: number;
}
/** Where a part stands in the airframe. */
export class PlaceOfPartDto {
  @Nested(() => AirframePointDto) at!: AirframePointDto;
  @IsNumberBetween(-WIDEST_TURN_DEGREES, WIDEST_TURN_DEGREES) rollDegrees!: number;
  @IsNumberBetween(-WIDEST_TURN_DEGREES, WIDEST_TURN_DEGREES) pitchDegrees!: number;
  @IsNumberBetween(-WIDEST_TURN_DEGREES, WIDEST_TURN_DEGREES) yawDegrees!: number;
  /** A point of the plate that stands there; the largest plate without it. */
  @IsOptional() @Nested(() => PointDto) onPlate?: PointDto;
}
/** How a piece stands on another part. */
export class JointDto {
  @IsIdentifier() id!: string;
  @IsIdentifier() ownSegmentId!: string;
  @IsOneOf(BOARD_FACES) ownSkin!: string;
  @IsIdentifier() toPartId!: string;
  @IsEdgeReference() toSegmentId!: string;
  @IsOneOf(BOARD_FACES) toSkin!: string;
  @IsNumberBetween(-WIDEST_JOINT_TURN_DEGREES, WIDEST_JOINT_TURN_DEGREES) turnDegrees!: number;
  @IsNumberBetween(-FURTHEST_COORDINATE_MM, FURTHEST_COORDINATE_MM) alongMm!: number;
  @IsBoolean({ message: 'must be true or false' }) isReversed!: boolean;
  /** Whether the wedge that a square foot leaves open at a lean is filled with glue. */
  @IsOptional() @IsBoolean({ message: 'must be true or false' }) isFilled?: boolean;
}
