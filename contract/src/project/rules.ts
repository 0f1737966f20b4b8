import { Type } from 'class-transformer';
import { applyDecorators } from './apply-decorators.ts';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateNested,
} from 'class-validator';

/** A finite number within bounds, both included. */
export const IsNumberBetween = (least: number, most: number): PropertyDecorator =>
  applyDecorators(
    IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'must be a number, got $value' }),
    Min(least, { message: 'must be at least $constraint1, got $value' }),
    Max(most, { message: 'must be at most $constraint1, got $value' }),
  );

/** A list of finite numbers within bounds, both included. */
export const EachNumberBetween = (least: number, most: number): PropertyDecorator =>
  applyDecorators(
    IsNumber({ allowNaN: false, allowInfinity: false }, { each: true, message: 'must be numbers' }),
    Min(least, { each: true, message: 'must each be at least $constraint1' }),
    Max(most, { each: true, message: 'must each be at most $constraint1' }),
  );

/** A whole number within bounds, both included. */
export const IsCountBetween = (least: number, most: number): PropertyDecorator =>
  applyDecorators(
    IsInt({ message: 'must be a whole number, got $value' }),
    Min(least, { message: 'must be at least $constraint1, got $value' }),
    Max(most, { message: 'must be at most $constraint1, got $value' }),
  );

/** An identifier as the program gives them out. */
export const IsIdentifier = (): PropertyDecorator =>
  applyDecorators(
    IsString({ message: 'must be a text' }),
    Matches(/^[A-Za-z0-9_-]{1,40}$/, { message: 'must be 1 to 40 letters, digits, "-" or "_"' }),
  );

/** An identifier, or none yet. */
export const IsIdentifierOrEmpty = (): PropertyDecorator =>
  applyDecorators(
    IsString({ message: 'must be a text' }),
    Matches(/^[A-Za-z0-9_-]{0,40}$/, { message: 'must be at most 40 letters, digits, "-" or "_"' }),
  );

/** A text of at most so many characters. */
export const IsTextUpTo = (most: number): PropertyDecorator =>
  applyDecorators(
    IsString({ message: 'must be a text' }),
    MaxLength(most, { message: 'must have at most $constraint1 characters' }),
  );

/** A text that is not blank, of at most so many characters. */
export const IsNameUpTo = (most: number): PropertyDecorator =>
  applyDecorators(IsTextUpTo(most), Matches(/\S/, { message: 'must not be blank' }));

/** One of a few values, named in the message. */
export const IsOneOf = (values: readonly (string | number)[]): PropertyDecorator =>
  IsIn([...values], { message: `must be ${values.slice(0, -1).join(', ')} or ${values.at(-1)}, got $value` });

/** Whether a field is a number of its own rather than "auto". */
export const isGiven =
  (field: string) =>
  (object: object): boolean =>
    (object as Record<string, unknown>)[field] !== 'auto';

/** An object of a class, which must be there: the rule for what is nested says nothing of what is missing, and takes a list for an object. */
export const Nested = (of: () => new () => object): PropertyDecorator =>
  applyDecorators(IsObject({ message: 'must be an object' }), ValidateNested(), Type(of));
/** An object of one of several classes, told apart by its kind, which must be there. */
export const NestedOneOf = (
  base: () => new () => object,
  subTypes: { readonly value: new () => object; readonly name: string }[],
): PropertyDecorator =>
  applyDecorators(
    IsObject({ message: 'must be an object' }),
    ValidateNested(),
    Type(base, { discriminator: { property: 'kind', subTypes }, keepDiscriminatorProperty: true }),
  );
const isObject = (value: unknown): boolean => typeof value === 'object' && !Array.isArray(value);
/** A list each of whose things is an object of the class that `Type` tells beside it; nested rules take a list for one too. */
export const EachNested = (): PropertyDecorator =>
  applyDecorators(
    ValidateBy({
      name: 'eachIsObject',
      validator: {
        validate: (value: unknown) => !Array.isArray(value) || value.every(isObject),
        defaultMessage: (told) =>
          `must be a list of objects, number ${(told?.value as unknown[]).findIndex((one) => !isObject(one)) + 1} is none`,
      },
    }),
    ValidateNested({ each: true }),
  );

/** Names of variants, where a thing exists only in some. */
export const HasVariants = (): PropertyDecorator =>
  applyDecorators(
    IsOptional(),
    IsArray(),
    ArrayMinSize(1),
    ArrayMaxSize(BOUNDS.variants),
    IsString({ each: true, message: 'must be names of variants' }),
    Matches(/^(?=.*\S).{1,40}$/, { each: true, message: 'must be names of 1 to 40 characters' }),
  );

/** Bounds that more than one class keeps; those of a part stand in core. Nothing of the core here: the forms of the first page load this. */
export const BOUNDS = {
  nameLength: 80,
  notesLength: 10_000,
  parts: 500,
  boards: 200,
  forms: 50,
  variants: 20,
} as const;
