import { GROOVE_SCHOOLS, LEAST_TOOL_DEGREES, MOST_TOOL_DEGREES } from '@grain-fold/core/allowance';
import { FOLD_STYLES, HINGE_GROUNDS } from '@grain-fold/core/operations';
import {
  LARGEST_PAPER_MM,
  ORIENTATIONS,
  PAPER_NAMES,
  SMALLEST_PAPER_MM,
  TEMPLATE_RULES,
  WIDEST_MARGIN_MM,
  WIDEST_OVERLAP_MM,
} from '@grain-fold/core/pages';
import { TURN_STEPS } from '@grain-fold/core/stock';
import { LENGTH_UNITS, MASS_PER_AREA } from '@grain-fold/core/units';
import { IsOptional } from 'class-validator';
import {
  BOUNDS,
  HasVariants,
  IsCountBetween,
  IsNameUpTo,
  IsNumberBetween,
  IsOneOf,
  IsTextUpTo,
  Nested,
} from './rules.ts';

/** How the airframe is printed. */
export class PageSettingsDto {
  @IsOneOf([...PAPER_NAMES, 'own'])
  paper!: string;
  @IsNumberBetween(SMALLEST_PAPER_MM, LARGEST_PAPER_MM) ownWidthMm!: number;
  @IsNumberBetween(SMALLEST_PAPER_MM, LARGEST_PAPER_MM) ownHeightMm!: number;
  @IsOneOf(ORIENTATIONS) orientation!: string;
  @IsNumberBetween(0, WIDEST_MARGIN_MM) marginMm!: number;
  @IsNumberBetween(0, WIDEST_OVERLAP_MM) overlapMm!: number;
  @IsOneOf(TEMPLATE_RULES) templates!: string;
}

/** How parts are laid on boards. */
export class NestSettingsDto {
  @IsNumberBetween(0, 100) clearanceMm!: number;
  @IsNumberBetween(0, 200) edgeMarginMm!: number;
  @IsOneOf(TURN_STEPS) turnStep!: number;
  @IsCountBetween(0, 4_294_967_295) seed!: number;
}

/** How folds are made where a fold does not say so itself. */
export class FoldDefaultsDto {
  @IsOneOf(FOLD_STYLES) style!: string;
  @IsOneOf(GROOVE_SCHOOLS) school!: string;
  @IsNumberBetween(LEAST_TOOL_DEGREES, MOST_TOOL_DEGREES) toolDegrees!: number;
  @IsOneOf(HINGE_GROUNDS) hingeOn!: string;
}

/** What holds for the whole airframe. */
export class SettingsDto {
  @IsOneOf(LENGTH_UNITS) unit!: string;
  @IsNumberBetween(0.05, 20) scale!: number;
  @Nested(() => PageSettingsDto) pages!: PageSettingsDto;
  @Nested(() => NestSettingsDto) nest!: NestSettingsDto;
  @IsTextUpTo(BOUNDS.notesLength) notes!: string;
  /** Named sets of optional parts, features and operations. */
  @HasVariants() variants?: string[];
  /** The variant that pages, boards and cut list follow; everything exists without one. */
  @IsOptional() @IsNameUpTo(40) variant?: string;
  /** How folds are made where a fold does not say so itself. */
  @IsOptional() @Nested(() => FoldDefaultsDto) folds?: FoldDefaultsDto;
  /** What prices are in, as it is written: `€`, `USD`. */
  @IsOptional() @IsNameUpTo(6) currency?: string;
  /** What the mass of boards by area is told in. */
  @IsOptional() @IsOneOf(MASS_PER_AREA) massPerArea?: string;
}
