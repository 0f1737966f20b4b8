import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsOptional, Matches } from 'class-validator';
import {
  BALANCE_KINDS,
  GUIDE_EDGES,
  MEASURE_KEYS,
  measureLine,
  PLAN_AXES,
  PLAN_BOUNDS,
  PLAN_TYPES,
  PLAN_VIEWS,
  SHEET_KINDS,
} from '@grain-fold/core/plan';
import { MOST_IDS } from '@grain-fold/core/part';
import { DrawnPathDto } from './path.dto.ts';
import { PlannedThingDto, THING_TYPES } from './planned-thing.dto.ts';
import {
  EachNested,
  IsCountBetween,
  IsIdentifier,
  IsNameUpTo,
  IsNumberBetween,
  IsOneOf,
  Nested,
  NestedOneOf,
} from './rules.ts';

const { furthestMm, longestMm } = PLAN_BOUNDS;
const { mostPixels: MOST_PIXELS } = PLAN_BOUNDS;

/** A place on a sheet in pixels, x to the right, y down; it may lie a little beside the sheet. */
export class SheetPointDto {
  @IsNumberBetween(-MOST_PIXELS, 2 * MOST_PIXELS) x!: number;
  @IsNumberBetween(-MOST_PIXELS, 2 * MOST_PIXELS) y!: number;
}
export class ViewPointDto {
  @IsNumberBetween(-furthestMm, furthestMm) x!: number;
  @IsNumberBetween(-furthestMm, furthestMm) y!: number;
}

export class KnownLengthDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(80) name!: string;
  @Nested(() => SheetPointDto) from!: SheetPointDto;
  @Nested(() => SheetPointDto) to!: SheetPointDto;
  @IsNumberBetween(0.001, 1_000_000) lengthMm!: number;
}

/** How pixels of a sheet become millimetres. */
export class CalibrationDto {
  @IsOneOf(['none', 'one length', 'two lengths', 'four corners']) kind!: string;
}
export class NoCalibrationDto extends CalibrationDto {
  @IsNumberBetween(1e-6, 1000) mmPerPx!: number;
}
export class OneLengthDto extends CalibrationDto {
  @IsIdentifier() lengthId!: string;
}
export class TwoLengthsDto extends CalibrationDto {
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @Matches(/^[A-Za-z0-9_-]{1,40}$/, { each: true, message: 'must be ids of known lengths' })
  lengthIds!: string[];
}
export class FourCornersDto extends CalibrationDto {
  @IsArray()
  @ArrayMinSize(4)
  @ArrayMaxSize(4)
  @EachNested()
  @Type(() => SheetPointDto)
  corners!: SheetPointDto[];
  @IsNumberBetween(0.001, 1_000_000) widthMm!: number;
  @IsNumberBetween(0.001, 1_000_000) heightMm!: number;
}
export const CALIBRATION_TYPES = [
  { value: NoCalibrationDto, name: 'none' },
  { value: OneLengthDto, name: 'one length' },
  { value: TwoLengthsDto, name: 'two lengths' },
  { value: FourCornersDto, name: 'four corners' },
];

/** A picture or drawing that views are traced from; its file is kept apart, by its hash. */
export class PlanSheetDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(200) name!: string;
  @Matches(/^[0-9a-f]{64}$/, { message: 'must be a fingerprint of 64 digits' }) hash!: string;
  @IsOneOf(SHEET_KINDS) kind!: string;
  @IsOptional() @IsCountBetween(1, 10_000) page?: number;
  @IsNumberBetween(1, MOST_PIXELS) widthPx!: number;
  @IsNumberBetween(1, MOST_PIXELS) heightPx!: number;
  @NestedOneOf(() => CalibrationDto, CALIBRATION_TYPES)
  calibration!: CalibrationDto;
  @IsArray()
  @ArrayMaxSize(PLAN_BOUNDS.knownLengths)
  @EachNested()
  @Type(() => KnownLengthDto)
  lengths!: KnownLengthDto[];
}

/** What of a sheet is seen, in its pixels. */
export class CropDto {
  @IsNumberBetween(0, MOST_PIXELS) minX!: number;
  @IsNumberBetween(0, MOST_PIXELS) minY!: number;
  @IsNumberBetween(0, MOST_PIXELS) maxX!: number;
  @IsNumberBetween(0, MOST_PIXELS) maxY!: number;
}
export class UnderlayDto {
  @IsIdentifier() id!: string;
  @IsIdentifier() sheetId!: string;
  @IsOneOf(PLAN_VIEWS) view!: string;
  @IsOptional() @Nested(() => CropDto) crop?: CropDto;
  @IsNumberBetween(-720, 720) turnDegrees!: number;
  @IsBoolean() isMirrored!: boolean;
  @Nested(() => SheetPointDto) originPx!: SheetPointDto;
  @Nested(() => ViewPointDto) originAt!: ViewPointDto;
  @IsNumberBetween(0, 1) opacity!: number;
  @IsBoolean() isHidden!: boolean;
  @IsBoolean() isLocked!: boolean;
}

/** What a guide's distance is counted from. */
export class GuideFromDto {
  @IsOneOf(['datum', 'guide', 'thing']) kind!: string;
}
export class FromDatumDto extends GuideFromDto {}
export class FromGuideDto extends GuideFromDto {
  @IsIdentifier() guideId!: string;
}
export class FromThingDto extends GuideFromDto {
  @IsIdentifier() thingId!: string;
  @IsOneOf(GUIDE_EDGES) edge!: string;
}
export const GUIDE_FROM_TYPES = [
  { value: FromDatumDto, name: 'datum' },
  { value: FromGuideDto, name: 'guide' },
  { value: FromThingDto, name: 'thing' },
];
export class PlanGuideDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(80) name!: string;
  @IsOneOf(PLAN_AXES) axis!: string;
  @NestedOneOf(() => GuideFromDto, GUIDE_FROM_TYPES)
  from!: GuideFromDto;
  @IsNumberBetween(-furthestMm, furthestMm) byMm!: number;
}

/** A path drawn in a view. */
export class ViewLineDto extends DrawnPathDto {
  @IsNameUpTo(80) name!: string;
  @IsOneOf(PLAN_VIEWS) view!: string;
}

/** How the balance range is found. */
export class PlanSchoolDto {
  @IsOneOf(['part of mean chord', 'neutral point less margin']) kind!: string;
}
export class ChordSchoolDto extends PlanSchoolDto {
  @IsOneOf(BALANCE_KINDS) of!: string;
}
export class MarginSchoolDto extends PlanSchoolDto {
  @IsNumberBetween(-0.5, 1) least!: number;
  @IsNumberBetween(-0.5, 1) most!: number;
}
export const SCHOOL_TYPES = [
  { value: ChordSchoolDto, name: 'part of mean chord' },
  { value: MarginSchoolDto, name: 'neutral point less margin' },
];

export class PlanAirDto {
  @IsNumberBetween(0.1, 4) liftCoefficient!: number;
  @IsNumberBetween(0.1, 3) density!: number;
  @IsNumberBetween(0.05, 1) shareOfIdeal!: number;
}

const things = Type(() => PlannedThingDto, {
  discriminator: { property: 'kind', subTypes: THING_TYPES },
  keepDiscriminatorProperty: true,
});
/** The things of a plan as they might be. */
export class WhatIfDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(80) name!: string;
  @IsArray() @ArrayMaxSize(PLAN_BOUNDS.things) @EachNested() @things things!: PlannedThingDto[];
}

/** Lengths measured on a finished model, by what they are. */
export class MeasuredLengthsDto {}
for (const key of MEASURE_KEYS) {
  IsOptional()(MeasuredLengthsDto.prototype, key);
  IsNumberBetween(measureLine(key).isSigned ? -longestMm : 0, 2 * longestMm)(MeasuredLengthsDto.prototype, key);
}
export class MeasuredModelDto {
  @Nested(() => MeasuredLengthsDto) lengths!: MeasuredLengthsDto;
  @IsOptional() @IsNumberBetween(0, PLAN_BOUNDS.massG) massG?: number;
}

/** The plan of an airframe. */
export class PlanDto {
  @IsOneOf(PLAN_TYPES) type!: string;
  @NestedOneOf(() => PlanSchoolDto, SCHOOL_TYPES)
  school!: PlanSchoolDto;
  @Nested(() => PlanAirDto) air!: PlanAirDto;
  @IsArray() @ArrayMaxSize(PLAN_BOUNDS.things) @EachNested() @things things!: PlannedThingDto[];
  @IsArray() @ArrayMaxSize(PLAN_BOUNDS.guides) @EachNested() @Type(() => PlanGuideDto) guides!: PlanGuideDto[];
  @IsArray() @ArrayMaxSize(PLAN_BOUNDS.lines) @EachNested() @Type(() => ViewLineDto) lines!: ViewLineDto[];
  @IsArray() @ArrayMaxSize(PLAN_BOUNDS.underlays) @EachNested() @Type(() => PlanSheetDto) sheets!: PlanSheetDto[];
  @IsArray() @ArrayMaxSize(PLAN_BOUNDS.underlays) @EachNested() @Type(() => UnderlayDto) underlays!: UnderlayDto[];
  @IsArray() @ArrayMaxSize(PLAN_BOUNDS.whatIfs) @EachNested() @Type(() => WhatIfDto) whatIfs!: WhatIfDto[];
  @IsOptional() @Nested(() => MeasuredModelDto) measured?: MeasuredModelDto;
  @IsOptional() @IsNumberBetween(1, 100_000) carMm?: number;
  @IsCountBetween(0, MOST_IDS) lastId!: number;
}
