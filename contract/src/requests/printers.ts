import { IsOptional, Matches } from 'class-validator';
import { HEAVIEST_PEN, INK_CHOICES, LIGHTEST_PEN, type InkChoice } from '@grain-fold/core/ink';
import { WIDEST_MARGIN_MM } from '@grain-fold/core/pages';
import { FURTHEST_LEAN, FURTHEST_OFF, type Printer } from '@grain-fold/core/printers';
import { IsIdentifier, IsNameUpTo, IsNumberBetween, IsOneOf, Nested } from '../project/rules.ts';

// Corrected once more, a printer at the very limit lies a little beyond it.
const FURTHEST_MAP = (1 + FURTHEST_OFF) ** 2;

/** What a printer makes of a page. */
export class PrinterMapDto {
  @IsNumberBetween(1 / FURTHEST_MAP, FURTHEST_MAP) across!: number;
  @IsNumberBetween(1 / FURTHEST_MAP, FURTHEST_MAP) up!: number;
  @IsNumberBetween(-4 * FURTHEST_LEAN, 4 * FURTHEST_LEAN) lean!: number;
}

/** How ink comes on paper. */
export class PaperPenDto {
  @IsOneOf(INK_CHOICES) ink!: InkChoice;
  @IsNumberBetween(LIGHTEST_PEN, HEAVIEST_PEN) weight!: number;
}

/** A printer of the workshop, kept under its id. */
export class KeepPrinter {
  @IsIdentifier() id!: string;
  @IsNameUpTo(40) name!: string;
  @Nested(() => PrinterMapDto) map!: PrinterMapDto;
  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'must be a date as 2026-01-02' })
  measuredOn?: string;
  @IsOptional() @IsNumberBetween(0, WIDEST_MARGIN_MM) marginMm?: number;
  @IsOptional() @Nested(() => PaperPenDto) pen?: PaperPenDto;
}

/** The printers of a workshop, by their names. */
export interface KeptPrinters {
  readonly printers: readonly Printer[];
}
