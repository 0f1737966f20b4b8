import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsObject, IsOptional, Matches } from 'class-validator';
import { FEATURE_SIZINGS } from '@grain-fold/core/features';
import { FORM_KINDS } from '@grain-fold/core/forms';
import { MOST_FEATURES, MOST_OPERATIONS, MOST_PATHS } from '@grain-fold/core/part';
import { BodyParametersDto } from './body.dto.ts';
import { DeckParametersDto } from './deck.dto.ts';
import { FEATURE_TYPES, FeatureDto } from './feature.dto.ts';
import { GaugeParametersDto } from './gauge.dto.ts';
import { LayeredParametersDto } from './layered.dto.ts';
import { OPERATION_TYPES, OperationDto } from './operation.dto.ts';
import { ContourDto, PathDto } from './path.dto.ts';
import { PowerParametersDto } from './power.dto.ts';
import { RoundParametersDto } from './round.dto.ts';
import { EachNested, IsIdentifier, IsNameUpTo, IsNumberBetween, IsOneOf, Nested } from './rules.ts';
import { ShellParametersDto } from './shell.dto.ts';
import { AirframePointDto } from './standing.dto.ts';
import { StrutParametersDto } from './strut.dto.ts';
import { TailParametersDto } from './tail.dto.ts';
import { WingParametersDto } from './wing.dto.ts';

/** A form's name begins those of its parts. */
const LONGEST_FORM_NAME = 40;
/** Parts that a form makes at most. */
const MOST_ROLES = 200;

/** Where a form stands in the airframe. */
export class FormPlaceDto {
  @Nested(() => AirframePointDto) at!: AirframePointDto;
  @IsNumberBetween(-45, 45) incidenceDegrees!: number;
}

/** Drawn pieces that wait for a place. */
export class ParkedPiecesDto {
  @IsArray() @ArrayMaxSize(MOST_PATHS) @EachNested() @Type(() => ContourDto) contours!: ContourDto[];
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
  @ArrayMaxSize(MOST_FEATURES)
  @EachNested()
  @Type(() => FeatureDto, {
    discriminator: { property: 'kind', subTypes: FEATURE_TYPES },
    keepDiscriminatorProperty: true,
  })
  features?: FeatureDto[];
}
export class ParkedAdditionDto {
  @IsIdentifier() role!: string;
  @IsNameUpTo(200) what!: string;
  @Nested(() => ParkedPiecesDto) pieces!: ParkedPiecesDto;
}

/** The form that another stands by, and how. */
export class StandsByDto {
  @IsIdentifier() formId!: string;
  @IsNumberBetween(-5000, 5000) aftMm!: number;
  @IsNumberBetween(-2000, 2000) upMm!: number;
  @IsNumberBetween(-20, 20) noseDownDegrees!: number;
}

/** A length of a form that grows or stays otherwise than its kind has it. */
export class NumberSizingDto {
  @Matches(/^[A-Za-z]{1,40}(\.[A-Za-z]{1,40}){0,3}$/, { message: 'must be the path of a number, got $value' })
  path!: string;
  @IsOneOf(FEATURE_SIZINGS) sizing!: 'scaled' | 'fixed';
}

/** What every form has, of whatever kind. */
export class FormDto {
  @IsIdentifier() id!: string;
  @IsOneOf(FORM_KINDS) kind!: string;
  @IsNameUpTo(LONGEST_FORM_NAME) name!: string;
  @IsObject({ message: 'must be an object' }) parameters!: object;
  @Nested(() => FormPlaceDto) place!: FormPlaceDto;
  @IsOptional() @Nested(() => StandsByDto) standsBy?: StandsByDto;
  @IsOptional() @IsIdentifier() plannedId?: string;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_ROLES)
  @EachNested()
  @Type(() => ParkedAdditionDto)
  parked?: ParkedAdditionDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_ROLES)
  @Matches(/^[A-Za-z0-9_-]{1,40}$/, { each: true, message: 'must be roles of parts' })
  leftOut?: string[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_ROLES)
  @EachNested()
  @Type(() => NumberSizingDto)
  sizings?: NumberSizingDto[];
}

export class WingFormDto extends FormDto {
  @Nested(() => WingParametersDto) declare parameters: WingParametersDto;
}
export class BodyFormDto extends FormDto {
  @Nested(() => BodyParametersDto) declare parameters: BodyParametersDto;
}
export class ShellFormDto extends FormDto {
  @Nested(() => ShellParametersDto) declare parameters: ShellParametersDto;
}

export class RoundFormDto extends FormDto {
  @Nested(() => RoundParametersDto) declare parameters: RoundParametersDto;
}
export class DeckFormDto extends FormDto {
  @Nested(() => DeckParametersDto) declare parameters: DeckParametersDto;
}
export class TailFormDto extends FormDto {
  @Nested(() => TailParametersDto) declare parameters: TailParametersDto;
}
export class PowerFormDto extends FormDto {
  @Nested(() => PowerParametersDto) declare parameters: PowerParametersDto;
}
export class LayeredFormDto extends FormDto {
  @Nested(() => LayeredParametersDto) declare parameters: LayeredParametersDto;
}
export class StrutFormDto extends FormDto {
  @Nested(() => StrutParametersDto) declare parameters: StrutParametersDto;
}
export class GaugeFormDto extends FormDto {
  @Nested(() => GaugeParametersDto) declare parameters: GaugeParametersDto;
}

/** The class of each kind of form. */
export const FORM_TYPES = [
  { value: WingFormDto, name: 'wing' },
  { value: BodyFormDto, name: 'body' },
  { value: ShellFormDto, name: 'shell' },
  { value: RoundFormDto, name: 'round' },
  { value: DeckFormDto, name: 'deck' },
  { value: TailFormDto, name: 'tail' },
  { value: PowerFormDto, name: 'power' },
  { value: LayeredFormDto, name: 'layered' },
  { value: StrutFormDto, name: 'strut' },
  { value: GaugeFormDto, name: 'gauge' },
];

/** The class of a form, or of each of a list, told by its kind. */
export const TypeOfForm = (): PropertyDecorator =>
  Type(() => FormDto, { discriminator: { property: 'kind', subTypes: FORM_TYPES }, keepDiscriminatorProperty: true });
