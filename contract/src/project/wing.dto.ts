import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, Matches } from 'class-validator';
import {
  BRACE_FIELDS,
  CAMBER_FIELDS,
  CONTROL_FIELDS,
  CONTROL_HINGES,
  CONTROL_KINDS,
  CORE_FIELDS,
  DIHEDRAL_AGAINST,
  END_SCHOOLS,
  GAUGE_FIELDS,
  LAYER_FIELDS,
  LAYER_SIDES,
  MOST_CONTROLS,
  MOST_LAYERS,
  MOST_PANELS,
  MOST_SECTION_POINTS,
  MOST_SERVOS,
  MOST_TUBES,
  NOSE_STYLES,
  PANEL_FIELDS,
  RIB_FIELDS,
  SECTION_FIELDS,
  SECTION_KINDS,
  SERVO_FIELDS,
  SKIN_WAYS,
  SPAR_ENDS,
  SPAR_KINDS,
  SWEEP_LINES,
  TAIL_STYLES,
  TUBE_FIELDS,
  WING_BUILDS,
  WING_FIELDS,
  WING_MIDDLES,
} from '@grain-fold/core/forms';
import { LONGEST_NAME } from '@grain-fold/core/part';
import { IsFlag, withFields } from './form-fields.ts';
import { EachNested, EachNumberBetween, IsIdentifier, IsNameUpTo, IsOneOf, Nested } from './rules.ts';

/** One panel of a wing; its numbers stand in the table of the form. */
export class WingPanelDto {
  @IsIdentifier() id!: string;
}
withFields(WingPanelDto, PANEL_FIELDS);

export class WingServoDto {
  @IsIdentifier() panelId!: string;
}
withFields(WingServoDto, SERVO_FIELDS);

export class WingControlDto {
  @IsIdentifier() panelId!: string;
  @IsOneOf(CONTROL_KINDS) kind!: string;
  @IsOptional() @IsOneOf(CONTROL_HINGES) hinge?: string;
  @IsOptional() @IsFlag() hasUpperSkin?: boolean;
}
withFields(WingControlDto, CONTROL_FIELDS);

export class WingSectionDto {
  @IsOneOf(SECTION_KINDS) kind!: string;
  @IsOptional() @Matches(/^\d{4,5}$/, { message: 'must be four or five digits' }) digits?: string;
  /** x, y, x, y … on a chord of 1. */
  @IsOptional()
  @IsArray()
  @ArrayMinSize(20)
  @ArrayMaxSize(2 * MOST_SECTION_POINTS)
  @EachNumberBetween(-2, 2)
  points?: number[];
  @IsOptional() @IsNameUpTo(LONGEST_NAME) name?: string;
}
withFields(WingSectionDto, SECTION_FIELDS);

export class WingLayerDto {
  @IsOneOf(LAYER_SIDES) side!: string;
}
withFields(WingLayerDto, LAYER_FIELDS);

export class WingCamberDto {}
withFields(WingCamberDto, CAMBER_FIELDS);

export class WingTubeDto {
  @IsIdentifier() panelId!: string;
}
withFields(WingTubeDto, TUBE_FIELDS);

export class WingRibsDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsNameUpTo(LONGEST_NAME) endMaterial!: string;
  @IsFlag() hasWindows!: boolean;
  @IsArray() @ArrayMaxSize(MOST_TUBES) @EachNested() @Type(() => WingTubeDto) tubes!: WingTubeDto[];
}
withFields(WingRibsDto, RIB_FIELDS);

export class WingGaugesDto {
  @IsFlag() hasCradles!: boolean;
  @IsFlag() hasJoints!: boolean;
  @IsFlag() hasCamber!: boolean;
  @IsFlag() hasThrows!: boolean;
  @IsFlag() hasBalance!: boolean;
}
withFields(WingGaugesDto, GAUGE_FIELDS);

export class WingBracesDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
}
withFields(WingBracesDto, BRACE_FIELDS);

export class WingCoreDto {}
withFields(WingCoreDto, CORE_FIELDS);

/** All that is said of a wing. */
export class WingParametersDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsOptional() @IsOneOf(WING_BUILDS) build?: string;
  @IsOptional() @IsArray() @ArrayMaxSize(MOST_LAYERS) @EachNested() @Type(() => WingLayerDto) layers?: WingLayerDto[];
  @IsOptional() @Nested(() => WingCamberDto) camber?: WingCamberDto;
  @IsOptional() @Nested(() => WingGaugesDto) gauges?: WingGaugesDto;
  @IsOptional() @Nested(() => WingCoreDto) core?: WingCoreDto;
  @IsOptional() @Nested(() => WingRibsDto) ribs?: WingRibsDto;
  @IsOptional() @Nested(() => WingBracesDto) braces?: WingBracesDto;
  @IsOneOf(WING_MIDDLES) middle!: string;
  @IsOneOf(DIHEDRAL_AGAINST) dihedralAgainst!: string;
  @IsOneOf(SWEEP_LINES) sweepAt!: string;
  @Nested(() => WingSectionDto) section!: WingSectionDto;
  @IsOneOf(SKIN_WAYS) skin!: string;
  @IsOneOf(NOSE_STYLES) nose!: string;
  @IsOneOf(TAIL_STYLES) tail!: string;
  @IsOneOf(SPAR_KINDS) sparKind!: string;
  @IsOptional() @IsNameUpTo(LONGEST_NAME) sparMaterial?: string;
  @IsOneOf(SPAR_ENDS) sparEnds!: string;
  @IsOneOf(END_SCHOOLS) ends!: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_PANELS)
  @EachNested()
  @Type(() => WingPanelDto)
  panels!: WingPanelDto[];
  @IsArray() @ArrayMaxSize(MOST_SERVOS) @EachNested() @Type(() => WingServoDto) servos!: WingServoDto[];
  @IsArray()
  @ArrayMaxSize(MOST_CONTROLS)
  @EachNested()
  @Type(() => WingControlDto)
  controls!: WingControlDto[];
  @IsFlag() hasTipBlocks!: boolean;
  @IsFlag() hasWedges!: boolean;
  @IsFlag() hasJigs!: boolean;
  @IsNameUpTo(LONGEST_NAME) jigMaterial!: string;
}
withFields(WingParametersDto, WING_FIELDS);
