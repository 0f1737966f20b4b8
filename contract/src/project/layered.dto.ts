import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsOptional } from 'class-validator';
import {
  DOWEL_SLIT_EDGES,
  LAYER_OPENING_FIELDS,
  LAYER_OPENING_SIDES,
  LAYER_OPENINGS,
  LAYER_REACH_FIELDS,
  LAYERED_FIELDS,
  LAYERED_STATION_FIELDS,
  LINE_WAYS,
  MOST_LAYER_OPENINGS,
  MOST_LAYER_REACHES,
  MOST_LAYERED_STATIONS,
  MOST_SEATS,
  MOST_SLITS,
  NOSE_PLATE_FIELDS,
  SLIT_FIELDS,
} from '@grain-fold/core/forms';
import { LONGEST_NAME } from '@grain-fold/core/part';
import { BodySeatDto } from './body.dto.ts';
import { withFields } from './form-fields.ts';
import { EachNested, IsIdentifier, IsNameUpTo, IsOneOf, Nested } from './rules.ts';

/** One station of a profile body; its numbers stand in the table of the form. */
export class LayeredStationDto {
  @IsIdentifier() id!: string;
}
withFields(LayeredStationDto, LAYERED_STATION_FIELDS);

export class LayerOpeningDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(LONGEST_NAME) name!: string;
  @IsOneOf(LAYER_OPENINGS) kind!: string;
  @IsOneOf(LAYER_OPENING_SIDES) side!: string;
}
withFields(LayerOpeningDto, LAYER_OPENING_FIELDS);

export class LayerReachDto {
  @IsIdentifier() id!: string;
}
withFields(LayerReachDto, LAYER_REACH_FIELDS);

export class DowelSlitDto {
  @IsIdentifier() id!: string;
  @IsOneOf(DOWEL_SLIT_EDGES) edge!: string;
}
withFields(DowelSlitDto, SLIT_FIELDS);

export class NosePlateDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
}
withFields(NosePlateDto, NOSE_PLATE_FIELDS);

/** All that is said of a profile body. */
export class LayeredParametersDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsOneOf(LINE_WAYS) topLine!: string;
  @IsOneOf(LINE_WAYS) bottomLine!: string;
  @IsArray()
  @ArrayMaxSize(MOST_LAYERED_STATIONS)
  @EachNested()
  @Type(() => LayeredStationDto)
  stations!: LayeredStationDto[];
  @IsArray()
  @ArrayMaxSize(MOST_LAYER_OPENINGS)
  @EachNested()
  @Type(() => LayerOpeningDto)
  openings!: LayerOpeningDto[];
  @IsArray() @ArrayMaxSize(MOST_LAYER_REACHES) @EachNested() @Type(() => LayerReachDto) reaches!: LayerReachDto[];
  @IsArray() @ArrayMaxSize(MOST_SLITS) @EachNested() @Type(() => DowelSlitDto) slits!: DowelSlitDto[];
  @IsArray() @ArrayMaxSize(MOST_SEATS) @EachNested() @Type(() => BodySeatDto) seats!: BodySeatDto[];
  @IsOptional() @Nested(() => NosePlateDto) nosePlate?: NosePlateDto;
}
withFields(LayeredParametersDto, LAYERED_FIELDS);
