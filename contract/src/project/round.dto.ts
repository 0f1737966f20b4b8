import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsOptional } from 'class-validator';
import {
  MOST_RINGS,
  MOST_ROUND_STATIONS,
  PROFILE_WAYS,
  RING_FIELDS,
  ROLL_SKINS,
  ROUND_FIELDS,
  ROUND_SEAMS,
  ROUND_STATION_FIELDS,
} from '@grain-fold/core/forms';
import { LONGEST_NAME } from '@grain-fold/core/part';
import { withFields } from './form-fields.ts';
import { EachNested, IsIdentifier, IsNameUpTo, IsOneOf } from './rules.ts';

/** One station of a round; its numbers stand in the table of the form. */
export class RoundStationDto {
  @IsIdentifier() id!: string;
}
withFields(RoundStationDto, ROUND_STATION_FIELDS);

export class RoundRingDto {
  @IsIdentifier() id!: string;
  @IsOptional() @IsNameUpTo(LONGEST_NAME) material?: string;
}
withFields(RoundRingDto, RING_FIELDS);

/** All that is said of a round of rolled sheets. */
export class RoundParametersDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsArray() @ArrayMaxSize(MOST_ROUND_STATIONS) @EachNested() @Type(() => RoundStationDto) stations!: RoundStationDto[];
  @IsOneOf(PROFILE_WAYS) profile!: string;
  @IsOneOf(ROLL_SKINS) skins!: string;
  @IsOneOf(ROUND_SEAMS) seam!: string;
  @IsArray() @ArrayMaxSize(MOST_RINGS) @EachNested() @Type(() => RoundRingDto) rings!: RoundRingDto[];
}
withFields(RoundParametersDto, ROUND_FIELDS);
