import { Type } from 'class-transformer';
import { IsIn, IsOptional, ValidateNested } from 'class-validator';
import { BOUNDS, HasVariants, IsCountBetween, IsNameUpTo, IsNumberBetween, IsOneOf, IsTextUpTo } from './rules.ts';
import { GROOVE_SCHOOLS, LEAST_TOOL_DEGREES, MOST_TOOL_DEGREES } from '@grain-fold/core/allowance';
import { FOLD_STYLES } from '@grain-fold/core/operations';

/** How the airframe is printed. */
export class PageSettingsDto {
  @IsIn(['A4', 'Letter', 'A3', 'Tabloid', 'Legal', 'own'], {
    message: 'must be A4, Letter, A3, Tabloid, Legal or own, got $value',
  })
  paper!: string;
  @IsNumberBetween(90, 5000) ownWidthMm!: number;
  @IsNumberBetween(90, 5000) ownHeightMm!: number;
  @IsIn(['portrait', 'landscape'], { message: 'must be portrait or landscape, got $value' }) orientation!: string;
  @IsNumberBetween(0, 50) marginMm!: number;
  @IsNumberBetween(0, 50) overlapMm!: number;
  @IsIn(['each-shape', 'every-piece'], { message: 'must be each-shape or every-piece, got $value' }) templates!: string;
}

/** How parts are laid on boards. */
export class NestSettingsDto {
  @IsNumberBetween(0, 100) clearanceMm!: number;
  @IsNumberBetween(0, 200) edgeMarginMm!: number;
  @IsIn([90, 45, 30, 15], { message: 'must be 90, 45, 30 or 15, got $value' }) turnStep!: number;
  @IsCountBetween(0, 4_294_967_295) seed!: number;
}

/** How folds are made where a fold does not say so itself. */
export class FoldDefaultsDto {
  @IsOneOf(FOLD_STYLES) style!: string;
  @IsOneOf(GROOVE_SCHOOLS) school!: string;
  @IsNumberBetween(LEAST_TOOL_DEGREES, MOST_TOOL_DEGREES) toolDegrees!: number;
  @IsIn(['skin', 'tape'], { message: 'must be skin or tape, got $value' }) hingeOn!: string;
}

/** What holds for the whole airframe. */
export class SettingsDto {
  @IsIn(['mm', 'in'], { message: 'must be mm or in, got $value' }) unit!: string;
  @IsNumberBetween(0.05, 20) scale!: number;
  @ValidateNested() @Type(() => PageSettingsDto) pages!: PageSettingsDto;
  @ValidateNested() @Type(() => NestSettingsDto) nest!: NestSettingsDto;
  @IsTextUpTo(BOUNDS.notesLength) notes!: string;
  /** Named sets of optional parts, features and operations. */
  @HasVariants() variants?: string[];
  /** The variant that pages, boards and cut list follow; everything exists without one. */
  @IsOptional() @IsNameUpTo(40) variant?: string;
  /** How folds are made where a fold does not say so itself. */
  @IsOptional() @ValidateNested() @Type(() => FoldDefaultsDto) folds?: FoldDefaultsDto;
}
