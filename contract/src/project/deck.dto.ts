import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsOptional } from 'class-validator';
import { DECK_FIELDS, DECK_SECTION_FIELDS, DECK_SHEETS, MOST_DECK_SECTIONS, ROLL_SKINS } from '@grain-fold/core/forms';
import { LONGEST_NAME } from '@grain-fold/core/part';
import { IsFlag, withFields } from './form-fields.ts';
import { EachNested, IsIdentifier, IsNameUpTo, IsOneOf } from './rules.ts';

/** One section of a deck; its numbers stand in the table of the form. */
export class DeckSectionDto {
  @IsIdentifier() id!: string;
}
withFields(DeckSectionDto, DECK_SECTION_FIELDS);

/** All that is said of a deck that is wrapped over sections. */
export class DeckParametersDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @IsArray() @ArrayMaxSize(MOST_DECK_SECTIONS) @EachNested() @Type(() => DeckSectionDto) sections!: DeckSectionDto[];
  @IsOneOf(DECK_SHEETS) sheets!: string;
  @IsOneOf(ROLL_SKINS) skins!: string;
  @IsFlag() hasFormers!: boolean;
  @IsOptional() @IsNameUpTo(LONGEST_NAME) formerMaterial?: string;
}
withFields(DeckParametersDto, DECK_FIELDS);
