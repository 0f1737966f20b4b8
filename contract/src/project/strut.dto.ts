import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray } from 'class-validator';
import {
  GUSSET_FIELDS,
  LONGEST_STRUT_NAME,
  MOST_STRUTS,
  STRUT_COUNT_FIELDS,
  STRUT_ENDS,
  STRUT_FIELDS,
  STRUT_KINDS,
} from '@grain-fold/core/forms';
import { LONGEST_NAME } from '@grain-fold/core/part';
import { withFields } from './form-fields.ts';
import { EachNested, IsIdentifier, IsIdentifierOrEmpty, IsNameUpTo, IsOneOf } from './rules.ts';

/** One strut or gusset; its numbers stand in the tables of the form. */
export class StrutDto {
  @IsIdentifier() id!: string;
  @IsOneOf(STRUT_KINDS) kind!: string;
  @IsNameUpTo(LONGEST_STRUT_NAME) name!: string;
  @IsIdentifierOrEmpty() lowerId!: string;
  @IsIdentifierOrEmpty() upperId!: string;
  @IsOneOf(STRUT_ENDS) lowerOn!: string;
  @IsOneOf(STRUT_ENDS) upperOn!: string;
}
withFields(StrutDto, { ...STRUT_FIELDS, ...GUSSET_FIELDS, ...STRUT_COUNT_FIELDS });

/** All that is said of a set of struts. */
export class StrutParametersDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsArray() @ArrayMaxSize(MOST_STRUTS) @EachNested() @Type(() => StrutDto) struts!: StrutDto[];
}
