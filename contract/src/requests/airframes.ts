import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsOptional, ValidateIf } from 'class-validator';
import type { Airframe, AirframeNest, AirframeSettings } from '@grain-fold/core/airframe';
import type { Form } from '@grain-fold/core/forms';
import type { Part } from '@grain-fold/core/part';
import type { Plan } from '@grain-fold/core/plan';
import type { Board } from '@grain-fold/core/stock';
import { BoardDto } from '../project/board.dto.ts';
import { FORM_TYPES, FormDto } from '../project/form.dto.ts';
import { NestDto } from '../project/nest.dto.ts';
import { PartDto } from '../project/part.dto.ts';
import { PlanDto } from '../project/plan.dto.ts';
import { BOUNDS, IsCountBetween, IsIdentifier, IsTextUpTo, Nested, NestedOneOf, EachNested } from '../project/rules.ts';
import { SettingsDto } from '../project/settings.dto.ts';

const hasValue = (object: object): boolean => (object as { value?: unknown }).value !== null;
const MOST_VERSION = 4_000_000_000;

/** A part as edited, on top of the version it was edited from; 0 for a new one, value null to remove it. */
export class PartChange {
  @IsIdentifier() id!: string;
  @IsCountBetween(0, MOST_VERSION) basedOn!: number;
  @IsCountBetween(0, 100_000) position!: number;
  @ValidateIf(hasValue) @Nested(() => PartDto) value!: Part | null;
}
export class BoardChange {
  @IsIdentifier() id!: string;
  @IsCountBetween(0, MOST_VERSION) basedOn!: number;
  @IsCountBetween(0, 100_000) position!: number;
  @ValidateIf(hasValue) @Nested(() => BoardDto) value!: Board | null;
}
export class FormChange {
  @IsIdentifier() id!: string;
  @IsCountBetween(0, MOST_VERSION) basedOn!: number;
  @IsCountBetween(0, 100_000) position!: number;
  @ValidateIf(hasValue) @NestedOneOf(() => FormDto, FORM_TYPES) value!: Form | null;
}
export class SettingsChange {
  @IsCountBetween(1, MOST_VERSION) basedOn!: number;
  @Nested(() => SettingsDto) value!: AirframeSettings;
}
export class NestChange {
  @IsCountBetween(0, MOST_VERSION) basedOn!: number;
  @ValidateIf(hasValue) @Nested(() => NestDto) value!: AirframeNest | null;
}

export class PlanChange {
  @IsCountBetween(0, MOST_VERSION) basedOn!: number;
  @ValidateIf(hasValue) @Nested(() => PlanDto) value!: Plan | null;
}

/** One save: all of it happens, or nothing. */
export class SaveAirframe {
  /** Which browser saves, and which of its saves this is: the last one is known when it is sent again. */
  @IsOptional() @IsIdentifier() client?: string;
  @IsOptional() @IsIdentifier() id?: string;
  /** What was done, for the list of revisions. */
  @IsTextUpTo(200) label!: string;
  @IsOptional() @Nested(() => SettingsChange) settings?: SettingsChange;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.parts * 2)
  @EachNested()
  @Type(() => PartChange)
  parts?: PartChange[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.boards * 2)
  @EachNested()
  @Type(() => BoardChange)
  boards?: BoardChange[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(BOUNDS.forms * 2)
  @EachNested()
  @Type(() => FormChange)
  forms?: FormChange[];
  @IsOptional() @Nested(() => NestChange) nest?: NestChange;
  @IsOptional() @Nested(() => PlanChange) plan?: PlanChange;
}

/** Versions of everything that a save changed. */
export interface SaveReceipt {
  readonly version: number;
  readonly savedAt: string;
  readonly settings?: number;
  readonly parts: Readonly<Record<string, number>>;
  readonly boards: Readonly<Record<string, number>>;
  readonly forms: Readonly<Record<string, number>>;
  readonly nest?: number;
  readonly plan?: number;
}

/** An airframe as the page works on it: the state, and the version of each thing in it. */
export interface OpenedAirframe {
  readonly airframe: Airframe;
  readonly version: number;
  readonly savedAt: string;
  readonly versions: {
    readonly settings: number;
    readonly parts: Readonly<Record<string, number>>;
    readonly boards: Readonly<Record<string, number>>;
    readonly forms: Readonly<Record<string, number>>;
    readonly nest: number;
    readonly plan: number;
  };
}

/** A line of the list of airframes. */
export interface AirframeLine {
  readonly id: string;
  readonly name: string;
  readonly savedAt: string;
  readonly version: number;
  readonly parts: number;
  readonly boards: number | null;
  readonly putAwayAt: string | null;
  /** Outlines of the largest parts, for a drawn thumbnail: SVG path and box, y up. */
  readonly thumbnail: readonly { readonly d: string; readonly box: readonly [number, number, number, number] }[];
}

/** Some lines of the list of airframes, the last saved first; `total` counts all of them, `away` those put away. */
export interface AirframePage {
  readonly lines: readonly AirframeLine[];
  readonly total: number;
  readonly away: number;
}

/** A line of the list of revisions. */
export interface RevisionLine {
  readonly number: number;
  readonly label: string;
  readonly savedAt: string;
}

/** Some lines of the list of revisions, the newest first; `total` counts all of them. */
export interface RevisionPage {
  readonly lines: readonly RevisionLine[];
  readonly total: number;
}

/** Who is signed in. */
export interface Me {
  readonly name: string;
  readonly isDemo: boolean;
}
