import { IsBoolean, IsOptional } from 'class-validator';
import type { FormField } from '@grain-fold/core/forms';
import { IsCountBetween, IsNumberBetween } from './rules.ts';

/** A yes or a no. */
export const IsFlag = (): PropertyDecorator => IsBoolean({ message: 'must be true or false' });

/** Puts the rules of a form's numbers on a class, as the form itself has them. */
export function withFields(of: { readonly prototype: object }, fields: Readonly<Record<string, FormField>>): void {
  for (const [key, { kind, least, most, isOptional }] of Object.entries(fields)) {
    if (isOptional) IsOptional()(of.prototype, key);
    (kind === 'count' ? IsCountBetween(least, most) : IsNumberBetween(least, most))(of.prototype, key);
  }
}
