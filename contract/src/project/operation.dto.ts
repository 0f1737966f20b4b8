import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, Matches } from 'class-validator';
import { IDENTIFIER, LONGEST_NAME, MOST_NODES } from '@grain-fold/core/part';
import { BOARD_FACES, OPERATION_KINDS, traitsOf, type OperationKind } from '@grain-fold/core/operations';
import { HasVariants, IsIdentifier, IsOneOf, IsTextUpTo, Nested } from './rules.ts';
import { IsFieldOf } from './field-rules.ts';

/** Where an operation runs: a whole path, or some segments of it. */
export class PlaceDto {
  @IsIdentifier() pathId!: string;
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_NODES)
  @Matches(IDENTIFIER, { each: true, message: 'must be ids of segments' })
  segmentIds?: string[];
}

/** Work along a line or an edge. What a kind of work has besides stands in the table of kinds. */
export class OperationDto {
  @IsIdentifier() id!: string;
  @IsOneOf(OPERATION_KINDS) kind!: string;
  @Nested(() => PlaceDto) on!: PlaceDto;
  @IsOneOf(BOARD_FACES) face!: string;
  @IsTextUpTo(LONGEST_NAME) label!: string;
  @HasVariants() variants?: string[];
}

/** The class of one kind of work, with the rules of its fields. */
function operationClass(kind: OperationKind): typeof OperationDto {
  const own = class extends OperationDto {};
  Object.defineProperty(own, 'name', { value: `${kind[0]!.toUpperCase()}${kind.slice(1)}Dto` });
  for (const field of traitsOf(kind).fields) IsFieldOf(field)(own.prototype, field.key);
  return own;
}

/** The classes of all kinds of work, by their kind. */
export const OPERATION_TYPES = OPERATION_KINDS.map((kind) => ({ value: operationClass(kind), name: kind }));
