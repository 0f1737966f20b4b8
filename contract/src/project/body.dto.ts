import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayUnique, IsArray, IsOptional, Matches } from 'class-validator';
import {
  BAY_FIELDS,
  BODY_CORNERS,
  BODY_FIELDS,
  BODY_LIDS,
  BODY_STATION_FIELDS,
  DOUBLER_FIELDS,
  FORMER_FIELDS,
  GEAR_FIELDS,
  HATCH_FIELDS,
  HATCH_KINDS,
  LINE_WAYS,
  MOST_BAYS,
  MOST_BOXES,
  MOST_DOUBLERS,
  MOST_FORMERS,
  MOST_OPENINGS,
  MOST_SEATS,
  MOST_STATIONS,
  OPENING_FIELDS,
  OPENING_KINDS,
  OPENING_SIDES,
  SEAT_FIELDS,
  SEAT_HOLDS,
  SKID_FIELDS,
  STRIP_FIELDS,
  TRAY_FIELDS,
} from '@grain-fold/core/forms';
import { LONGEST_NAME } from '@grain-fold/core/part';
import { IsFlag, withFields } from './form-fields.ts';
import { EachNested, IsIdentifier, IsNameUpTo, IsOneOf, Nested } from './rules.ts';

/** One station of a body; its numbers stand in the table of the form. */
export class StationOfBodyDto {
  @IsIdentifier() id!: string;
}
withFields(StationOfBodyDto, BODY_STATION_FIELDS);

export class BodyFormerDto {
  @IsIdentifier() id!: string;
  @IsOptional() @IsNameUpTo(LONGEST_NAME) material?: string;
}
withFields(BodyFormerDto, FORMER_FIELDS);

export class BodySeatDto {
  @IsIdentifier() id!: string;
  @IsIdentifier() formId!: string;
  @IsOneOf(SEAT_HOLDS) hold!: string;
}
withFields(BodySeatDto, SEAT_FIELDS);

export class BodyDoublerDto {
  @IsIdentifier() id!: string;
}
withFields(BodyDoublerDto, DOUBLER_FIELDS);

export class BodyBayDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(LONGEST_NAME) name!: string;
}
withFields(BodyBayDto, BAY_FIELDS);

export class BodyOpeningDto {
  @IsIdentifier() id!: string;
  @IsOneOf(OPENING_KINDS) kind!: string;
  @IsOneOf(OPENING_SIDES) on!: string;
}
withFields(BodyOpeningDto, OPENING_FIELDS);

export class CornerStripsDto {
  @IsFlag() atFloor!: boolean;
  @IsFlag() atLid!: boolean;
}
withFields(CornerStripsDto, STRIP_FIELDS);

export class BodyHatchDto {
  @IsOneOf(HATCH_KINDS) kind!: string;
}
withFields(BodyHatchDto, HATCH_FIELDS);

export class GearSeatDto {}
withFields(GearSeatDto, GEAR_FIELDS);

export class BodySkidDto {}
withFields(BodySkidDto, SKID_FIELDS);

export class BatteryTrayDto {}
withFields(BatteryTrayDto, TRAY_FIELDS);

/** All that is said of a body of walls, floor and lid. */
export class BodyParametersDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsNameUpTo(LONGEST_NAME) plateMaterial!: string;
  @IsOneOf(LINE_WAYS) topLine!: string;
  @IsOneOf(LINE_WAYS) bottomLine!: string;
  @IsOneOf(LINE_WAYS) widthLine!: string;
  @IsOneOf(BODY_CORNERS) corners!: string;
  @IsOneOf(BODY_LIDS) lid!: string;
  @IsArray()
  @ArrayMaxSize(MOST_STATIONS)
  @EachNested()
  @Type(() => StationOfBodyDto)
  stations!: StationOfBodyDto[];
  @IsArray() @ArrayMaxSize(MOST_FORMERS) @EachNested() @Type(() => BodyFormerDto) formers!: BodyFormerDto[];
  @IsArray() @ArrayMaxSize(MOST_SEATS) @EachNested() @Type(() => BodySeatDto) seats!: BodySeatDto[];
  @IsArray() @ArrayMaxSize(MOST_DOUBLERS) @EachNested() @Type(() => BodyDoublerDto) doublers!: BodyDoublerDto[];
  @IsArray() @ArrayMaxSize(MOST_BAYS) @EachNested() @Type(() => BodyBayDto) bays!: BodyBayDto[];
  @IsArray() @ArrayMaxSize(MOST_OPENINGS) @EachNested() @Type(() => BodyOpeningDto) openings!: BodyOpeningDto[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_BOXES)
  @ArrayUnique({ message: 'must be different forms' })
  @Matches(/^[A-Za-z0-9_-]{1,40}$/, { each: true, message: 'must be ids of forms' })
  boxIds?: string[];
  @IsOptional() @Nested(() => CornerStripsDto) strips?: CornerStripsDto;
  @IsOptional() @Nested(() => BodyHatchDto) hatch?: BodyHatchDto;
  @IsOptional() @Nested(() => GearSeatDto) gear?: GearSeatDto;
  @IsOptional() @Nested(() => BodySkidDto) skid?: BodySkidDto;
  @IsOptional() @Nested(() => BatteryTrayDto) tray?: BatteryTrayDto;
}
withFields(BodyParametersDto, BODY_FIELDS);
