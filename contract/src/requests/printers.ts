import { IsOptional, Matches } from 'class-validator';
import { FURTHEST_LEAN, FURTHEST_OFF, type Printer } from '@grain-fold/core/printers';
import { IsIdentifier, IsNameUpTo, IsNumberBetween, Nested } from '../project/rules.ts';

// Corrected once more, a printer at the very limit lies a little beyond it.
const FURTHEST_MAP = (1 + FURTHEST_OFF) ** 2;

/** What a printer makes of a page. */
export class PrinterMapDto {
  @IsNumberBetween(1 / FURTHEST_MAP, FURTHEST_MAP) across!: number;
  @IsNumberBetween(1 / FURTHEST_MAP, FURTHEST_MAP) up!: number;
  @IsNumberBetween(-4 * FURTHEST_LEAN, 4 * FURTHEST_LEAN) lean!: number;
}

/** A printer of the workshop, kept under its id. */
export class KeepPrinter {
  @IsIdentifier() id!: string;
  @IsNameUpTo(40) name!: string;
  @Nested(() => PrinterMapDto) map!: PrinterMapDto;
  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'must be a date as 2026-01-02' })
  measuredOn?: string;
}

/** The printers of a workshop, by their names. */
export interface KeptPrinters {
  readonly printers: readonly Printer[];
}
