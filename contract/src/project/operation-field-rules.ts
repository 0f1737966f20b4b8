import { IsOptional, ValidateIf } from 'class-validator';
import { isOptionalField, type OperationField } from '@grain-fold/core/operations';
import { applyDecorators } from './apply-decorators.ts';
import { IsCountBetween, isGiven, IsNumberBetween, IsOneOf } from './rules.ts';

/** The rules of a field of work, as the table of kinds has them: the same bounds that slip and commands keep. */
export function IsFieldOf(field: OperationField): PropertyDecorator {
  const { key, kind, choices, least, most, auto } = field;
  const value = choices
    ? IsOneOf(choices.map(([one]) => one))
    : kind === 'count'
      ? IsCountBetween(least!, most!)
      : IsNumberBetween(least!, most!);
  return applyDecorators(
    ...(isOptionalField(field) ? [IsOptional()] : []),
    ...(auto === undefined ? [] : [ValidateIf(isGiven(key))]),
    value,
  );
}
