import { Type } from 'class-transformer';
import { ArrayMaxSize, Equals, IsArray, IsOptional } from 'class-validator';
import { BoardDto } from './board.dto.ts';
import { type FormDto, TypeOfForm } from './form.dto.ts';
import { NestDto } from './nest.dto.ts';
import { PartDto } from './part.dto.ts';
import { PlanDto } from './plan.dto.ts';
import { BOUNDS, IsIdentifier, IsNameUpTo, Nested, EachNested } from './rules.ts';
import { SettingsDto } from './settings.dto.ts';

/** What a project file calls itself. */
export const PROJECT_FORMAT = 'grain-fold-airframe';
/** The version of the format that this program writes. */
export const PROJECT_FORMAT_VERSION = 5;

/** A whole airframe as a file. */
export class ProjectFileDto {
  @Equals(PROJECT_FORMAT, { message: `must be "${PROJECT_FORMAT}"` }) format!: string;
  @Equals(PROJECT_FORMAT_VERSION, { message: `must be ${PROJECT_FORMAT_VERSION}` }) formatVersion!: number;
  @IsIdentifier() id!: string;
  @IsNameUpTo(BOUNDS.nameLength) name!: string;
  @Nested(() => SettingsDto) settings!: SettingsDto;
  @IsArray() @ArrayMaxSize(BOUNDS.parts) @EachNested() @Type(() => PartDto) parts!: PartDto[];
  @IsArray() @ArrayMaxSize(BOUNDS.boards) @EachNested() @Type(() => BoardDto) boards!: BoardDto[];
  @IsOptional() @Nested(() => NestDto) nest?: NestDto;
  @IsOptional() @Nested(() => PlanDto) plan?: PlanDto;
  @IsOptional() @IsArray() @ArrayMaxSize(BOUNDS.forms) @EachNested() @TypeOfForm() forms?: FormDto[];
}
