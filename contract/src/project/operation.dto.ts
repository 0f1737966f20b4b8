import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsOptional,
  Matches,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { BOUNDS, HasVariants, IsCountBetween, IsIdentifier, isGiven, IsNumberBetween, IsTextUpTo } from './rules.ts';

const FACES = ['face', 'back'];

/** Where an operation runs: a whole path, or some segments of it. */
export class PlaceDto {
  @IsIdentifier() pathId!: string;
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(BOUNDS.nodes)
  @Matches(/^[A-Za-z0-9_-]{1,40}$/, { each: true, message: 'must be ids of segments' })
  segmentIds?: string[];
}

/** Work along a line or an edge. */
export class OperationDto {
  @IsIdentifier() id!: string;
  @IsIn(['through', 'groove', 'bevel', 'crease', 'trench', 'pocket', 'slit', 'hinge', 'mark', 'engrave'], {
    message: 'must be through, groove, bevel, crease, trench, pocket, slit, hinge, mark or engrave, got $value',
  })
  kind!: string;
  @ValidateNested() @Type(() => PlaceDto) on!: PlaceDto;
  @IsIn(FACES, { message: 'must be face or back, got $value' }) face!: string;
  @IsTextUpTo(BOUNDS.nameLength) label!: string;
  @HasVariants() variants?: string[];
}
/** Work that may be held together by tape where the board is cut right through. */
export class HingedDto extends OperationDto {
  @IsOptional() @IsIn(['skin', 'tape'], { message: 'must be skin or tape, got $value' }) hingeOn?: string;
}
export class ThroughDto extends OperationDto {}
export class MarkDto extends OperationDto {}
export class EngravingDto extends OperationDto {}
export class GrooveDto extends HingedDto {
  /** How it is cut; as the airframe says without it. */
  @IsOptional()
  @IsIn(['knife', 'tool', 'sanded', 'square'], { message: 'must be knife, tool, sanded or square, got $value' })
  school?: string;
  @IsOptional() @IsNumberBetween(5, 80) toolDegrees?: number;
  @IsNumberBetween(-180, 180) foldDegrees!: number;
  /** Width at the mouth in mm, or auto to follow the measured thickness. */
  @ValidateIf(isGiven('mouthMm')) @IsNumberBetween(0.001, 1000) mouthMm!: number | string;
}
export class BevelDto extends OperationDto {
  @IsNumberBetween(-180, 180) bevelDegrees!: number;
}
export class CreaseDto extends OperationDto {
  @IsNumberBetween(-180, 180) foldDegrees!: number;
}
export class TrenchDto extends OperationDto {
  @IsIn([90, 180], { message: 'must be 90 or 180, got $value' }) foldDegrees!: number;
  /** Width in mm, or auto to follow the measured thickness. */
  @ValidateIf(isGiven('widthMm')) @IsNumberBetween(0.001, 1000) widthMm!: number | string;
  @IsIn(['centre', 'left', 'right'], { message: 'must be centre, left or right, got $value' }) side!: string;
  /** Boards that stand on it or that it wraps round; one without it. */
  @IsOptional() @IsCountBetween(1, 6) layers?: number;
}
export class PocketDto extends OperationDto {
  @IsNumberBetween(0.001, 1000) depthMm!: number;
}

export class SlitDto extends HingedDto {
  @IsNumberBetween(-180, 180) foldDegrees!: number;
  /** Depth in mm, or auto to leave the far skin. */
  @ValidateIf(isGiven('depthMm')) @IsNumberBetween(0.001, 1000) depthMm!: number | string;
}
export class HingeDto extends HingedDto {
  @IsNumberBetween(-180, 180) deflectionDegrees!: number;
  @IsIn(['both', 'left', 'right'], { message: 'must be both, left or right, got $value' }) relief!: string;
}

export const OPERATION_TYPES = [
  { value: ThroughDto, name: 'through' },
  { value: GrooveDto, name: 'groove' },
  { value: BevelDto, name: 'bevel' },
  { value: CreaseDto, name: 'crease' },
  { value: TrenchDto, name: 'trench' },
  { value: PocketDto, name: 'pocket' },
  { value: SlitDto, name: 'slit' },
  { value: HingeDto, name: 'hinge' },
  { value: MarkDto, name: 'mark' },
  { value: EngravingDto, name: 'engrave' },
];
