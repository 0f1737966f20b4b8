import { ArrayMaxSize, IsArray, IsOptional, Matches, ValidateIf } from 'class-validator';
import {
  LONGEST_FEATURE_TEXT,
  MATE_PATTERN,
  MOST_STATION_MARKS,
  storedBounds,
  type FeatureField,
} from '@grain-fold/core/features';
import { isOptionalField, type OperationField } from '@grain-fold/core/operations';
import { applyDecorators } from './apply-decorators.ts';
import { IsCountBetween, isGiven, IsNumberBetween, IsOneOf, IsTextUpTo, EachNested } from './rules.ts';

const numberRule = (kind: string, least: number, most: number): PropertyDecorator =>
  kind === 'count' ? IsCountBetween(least, most) : IsNumberBetween(least, most);

/** The rules of a field of work, as the table of kinds has them: the same bounds that slip and commands keep. */
export function IsFieldOf(field: OperationField): PropertyDecorator {
  const { key, kind, choices, least, most, auto } = field;
  const value = choices ? IsOneOf(choices.map(([one]) => one)) : numberRule(kind, least!, most!);
  return applyDecorators(
    ...(isOptionalField(field) ? [IsOptional()] : []),
    ...(auto === undefined ? [] : [ValidateIf(isGiven(key))]),
    value,
  );
}

/** The rules of a field of a feature, as the table of features has them. */
export function IsFieldOfFeature(field: FeatureField): PropertyDecorator {
  return applyDecorators(...(field.auto ? [ValidateIf(isGiven(field.key))] : []), featureValue(field));
}

function featureValue(field: FeatureField): PropertyDecorator {
  const { least, most } = storedBounds(field);
  switch (field.kind) {
    case 'length':
    case 'angle':
    case 'count':
      return numberRule(field.kind, least, most);
    case 'choice':
      return IsOneOf(field.choices!.map(([value]) => value));
    case 'mate':
      return Matches(MATE_PATTERN, { message: 'must be empty or part id/feature id, got $value' });
    case 'text':
    case 'material':
      return IsTextUpTo(LONGEST_FEATURE_TEXT);
    case 'places':
      return applyDecorators(IsArray(), ArrayMaxSize(MOST_STATION_MARKS), EachNested());
  }
}
