import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsOptional } from 'class-validator';
import {
  ANGLE_GAUGE_FIELDS,
  BALANCE_GAUGE_FIELDS,
  GAUGE_COUNT_FIELDS,
  GAUGE_KINDS,
  MEASURED_AGAINST,
  LONGEST_GAUGE_NAME,
  MOST_GAUGES,
  PROFILE_BACKS,
  STATION_GAUGE_FIELDS,
  THROW_GAUGE_FIELDS,
} from '@grain-fold/core/forms';
import { LONGEST_NAME } from '@grain-fold/core/part';
import { withFields } from './form-fields.ts';
import { EachNested, IsIdentifier, IsIdentifierOrEmpty, IsNameUpTo, IsOneOf } from './rules.ts';

/** One thing that is gauged; its numbers stand in the tables of the form. */
export class GaugeDto {
  @IsIdentifier() id!: string;
  @IsOneOf(GAUGE_KINDS) kind!: string;
  @IsNameUpTo(LONGEST_GAUGE_NAME) name!: string;
  @IsIdentifierOrEmpty() partId!: string;
  @IsOneOf(MEASURED_AGAINST) against!: string;
  @IsIdentifierOrEmpty() againstId!: string;
  @IsOneOf(PROFILE_BACKS) back!: string;
  @IsOptional() @IsIdentifier() formId?: string;
  @IsOptional() @IsIdentifier() control?: string;
}
withFields(GaugeDto, {
  ...ANGLE_GAUGE_FIELDS,
  ...STATION_GAUGE_FIELDS,
  ...THROW_GAUGE_FIELDS,
  ...BALANCE_GAUGE_FIELDS,
  ...GAUGE_COUNT_FIELDS,
});

/** All that is said of a set of gauges. */
export class GaugeParametersDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsOptional() @IsNameUpTo(LONGEST_NAME) variant?: string;
  @IsArray()
  @ArrayMaxSize(MOST_GAUGES)
  @EachNested()
  @Type(() => GaugeDto)
  gauges!: GaugeDto[];
}
