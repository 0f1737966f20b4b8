import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsOptional } from 'class-validator';
import {
  BULKHEAD_FIELDS,
  MOST_BULKHEADS,
  MOST_CORNERS,
  MOST_SECTIONS,
  SEAM_SIDES,
  SHELL_CORNER_FIELDS,
  SHELL_HATCH_FIELDS,
  SHELL_SECTION_FIELDS,
} from '@grain-fold/core/forms';
import { LONGEST_NAME } from '@grain-fold/core/part';
import { IsFlag, withFields } from './form-fields.ts';
import { EachNested, IsIdentifier, IsNameUpTo, IsOneOf, Nested } from './rules.ts';

/** One corner of a section; its numbers stand in the table of the form. */
export class ShellCornerDto {}
withFields(ShellCornerDto, SHELL_CORNER_FIELDS);

export class ShellSectionDto {
  @IsIdentifier() id!: string;
  @IsArray() @ArrayMaxSize(MOST_CORNERS) @EachNested() @Type(() => ShellCornerDto) corners!: ShellCornerDto[];
}
withFields(ShellSectionDto, SHELL_SECTION_FIELDS);

export class ShellBulkheadDto {
  @IsIdentifier() id!: string;
  @IsOptional() @IsNameUpTo(LONGEST_NAME) material?: string;
}
withFields(ShellBulkheadDto, BULKHEAD_FIELDS);

export class ShellHatchDto {}
withFields(ShellHatchDto, SHELL_HATCH_FIELDS);

/** All that is said of a shell of plane faces. */
export class ShellParametersDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsArray() @ArrayMaxSize(MOST_SECTIONS) @EachNested() @Type(() => ShellSectionDto) sections!: ShellSectionDto[];
  @IsFlag() closesNose!: boolean;
  @IsFlag() closesTail!: boolean;
  @IsOneOf(SEAM_SIDES) seams!: string;
  @IsArray() @ArrayMaxSize(MOST_BULKHEADS) @EachNested() @Type(() => ShellBulkheadDto) bulkheads!: ShellBulkheadDto[];
  @IsOptional() @Nested(() => ShellHatchDto) hatch?: ShellHatchDto;
}
