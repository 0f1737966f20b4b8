import { IsOptional } from 'class-validator';
import {
  BOLT_PATTERNS,
  BOLTS_FIELD,
  BOX_DOWEL_FIELDS,
  FIREWALL_FIELDS,
  PATTERN_FIELDS,
  POWER_BOX_FIELDS,
  POWER_WALLS,
  RING_PLATE_FIELDS,
  SECOND_FIELD,
  THRUST_FIELDS,
} from '@grain-fold/core/forms';
import { LONGEST_NAME } from '@grain-fold/core/part';
import { IsFlag, withFields } from './form-fields.ts';
import { IsNameUpTo, IsOneOf, Nested } from './rules.ts';

/** Where a motor is bolted on; its numbers stand in the table of the form. */
export class BoltPatternDto {
  @IsOneOf(BOLT_PATTERNS) kind!: string;
}
withFields(BoltPatternDto, { ...PATTERN_FIELDS, ...SECOND_FIELD, ...BOLTS_FIELD });

export class NoseRingDto {}
withFields(NoseRingDto, RING_PLATE_FIELDS);

export class BoxDowelsDto {}
withFields(BoxDowelsDto, BOX_DOWEL_FIELDS);

/** All that is said of a power box. */
export class PowerParametersDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsNameUpTo(LONGEST_NAME) plateMaterial!: string;
  @IsOneOf(POWER_WALLS) walls!: string;
  @Nested(() => BoltPatternDto) pattern!: BoltPatternDto;
  @IsOptional() @IsFlag() isPusher?: boolean;
  @IsOptional() @Nested(() => NoseRingDto) ring?: NoseRingDto;
  @IsOptional() @Nested(() => BoxDowelsDto) dowels?: BoxDowelsDto;
}
withFields(PowerParametersDto, { ...POWER_BOX_FIELDS, ...THRUST_FIELDS, ...FIREWALL_FIELDS });
