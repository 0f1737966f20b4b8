import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional } from 'class-validator';
import {
  BOX_KINDS,
  PLAN_BOUNDS,
  SURFACE_KINDS,
  THING_FIELDS,
  THING_KINDS,
  type ThingKind,
} from '@grain-fold/core/plan';
import { EachNested, EachNumberBetween, IsIdentifier, IsNameUpTo, IsNumberBetween, IsOneOf, Nested } from './rules.ts';

const { furthestMm, longestMm, massG } = PLAN_BOUNDS;

/** A point of the airframe in mm: x aft, y to starboard, z up. */
export class PlanPointDto {
  @IsNumberBetween(-furthestMm, furthestMm) x!: number;
  @IsNumberBetween(-furthestMm, furthestMm) y!: number;
  @IsNumberBetween(-furthestMm, furthestMm) z!: number;
}

/** Guides that hold a thing, an axis each. */
export class HeldByDto {
  @IsOptional() @IsIdentifier() x?: string;
  @IsOptional() @IsIdentifier() y?: string;
  @IsOptional() @IsIdentifier() z?: string;
}

/** Something that is planned; what a kind has besides stands in the table of kinds. */
export class PlannedThingDto {
  @IsIdentifier() id!: string;
  @IsNameUpTo(80) name!: string;
  @IsOneOf(THING_KINDS) kind!: string;
  @Nested(() => PlanPointDto) at!: PlanPointDto;
  @IsOptional() @IsNumberBetween(0, massG) massG?: number;
  @IsOptional() @Nested(() => HeldByDto) heldBy?: HeldByDto;
  @IsOptional() @IsIdentifier() goesWith?: string;
}

export class SurfaceStationDto {
  @IsNumberBetween(0, longestMm) outMm!: number;
  @IsNumberBetween(-longestMm, longestMm) sweepMm!: number;
  @IsNumberBetween(0, longestMm) chordMm!: number;
}
/** A part of a surface that moves. */
export class ControlSurfaceDto {
  @IsNumberBetween(0, longestMm) fromMm!: number;
  @IsNumberBetween(0, longestMm) toMm!: number;
  @IsNumberBetween(0.1, longestMm) chordMm!: number;
  @IsNumberBetween(0, 90) upDegrees!: number;
  @IsNumberBetween(0, 90) downDegrees!: number;
}
export class SurfaceThingDto extends PlannedThingDto {
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(PLAN_BOUNDS.stations)
  @EachNested()
  @Type(() => SurfaceStationDto)
  stations!: SurfaceStationDto[];
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(PLAN_BOUNDS.stations)
  @EachNumberBetween(-180, 180)
  angles!: number[];
  @IsOptional() @Nested(() => ControlSurfaceDto) control?: ControlSurfaceDto;
  @IsNumberBetween(0, longestMm) apartMm!: number;
}

export class BodyStationDto {
  @IsNumberBetween(0, longestMm) aftMm!: number;
  @IsNumberBetween(-longestMm, longestMm) bottomMm!: number;
  @IsNumberBetween(-longestMm, longestMm) topMm!: number;
  @IsNumberBetween(0, longestMm) widthMm!: number;
}
export class BodyThingDto extends PlannedThingDto {
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(PLAN_BOUNDS.stations)
  @EachNested()
  @Type(() => BodyStationDto)
  stations!: BodyStationDto[];
}

const parentOf = (kind: ThingKind): typeof PlannedThingDto =>
  kind === 'body'
    ? BodyThingDto
    : (SURFACE_KINDS as readonly ThingKind[]).includes(kind)
      ? SurfaceThingDto
      : PlannedThingDto;

/** The class of one kind of thing, with the rules of its numbers. */
function thingClass(kind: ThingKind): typeof PlannedThingDto {
  const own = class extends parentOf(kind) {};
  const word = kind.replace(/(^| )./g, (letter) => letter.trim().toUpperCase());
  Object.defineProperty(own, 'name', { value: `Planned${word}Dto` });
  for (const { key, least, most, isOptional } of THING_FIELDS[kind]) {
    if (isOptional) IsOptional()(own.prototype, key);
    IsNumberBetween(least, most)(own.prototype, key);
  }
  // A box without fields of its own would be read as its parent.
  if ((BOX_KINDS as readonly ThingKind[]).includes(kind)) IsOneOf([kind])(own.prototype, 'kind');
  return own;
}

/** The classes of all kinds of things, by their kind. */
export const THING_TYPES = THING_KINDS.map((kind) => ({ value: thingClass(kind), name: kind }));
