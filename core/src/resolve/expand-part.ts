import type { FeatureContext } from '../features/index.ts';
import type { FoldDefaults } from '../operations/index.ts';
import type { Part } from '../part/index.ts';
import { memo } from '../units/index.ts';
import { expandFeatures } from './expand-features.ts';
import { followsFoldDefaults, withFoldsMade } from './folds-made.ts';
import { hasLips, withLipsAsGrooves } from './lips.ts';
import { fitSlots } from './plate-slots.ts';
import { withMirrorHalf } from './symmetry.ts';
import { inVariant } from './variants.ts';

/** What a drawing is made whole with. */
export interface ExpandContext extends FeatureContext {
  /** The chosen variant; everything exists without one. */
  readonly variant?: string;
  /** How folds are made that do not say so themselves; by knife without it. */
  readonly folds?: FoldDefaults;
}

/** A key that is the same for contexts that give the same part. */
export const expandKey = ({ variant, thicknessMm, plateThicknesses, tabRows, folds }: ExpandContext): string =>
  JSON.stringify([variant, thicknessMm, plateThicknesses, tabRows, folds]);

/**
 * A drawing made whole: what its variant leaves out is gone, two bevel lines are their groove, folds say how they are made, features are drawn, the other half of a symmetric drawing is there, and
 * slots are fitted to their plates. What was drawn keeps its ids; what was not drawn has ids that tell where it comes from.
 * Remembered by part and context.
 */
export function expandPart(part: Part, context: ExpandContext): Part {
  const isPlain =
    !part.features?.length &&
    !part.symmetry &&
    !part.contours.some(({ plate, variants }) => plate ?? variants) &&
    !part.operations.some(({ variants }) => variants) &&
    !followsFoldDefaults(part, context.folds) &&
    !hasLips(part);
  if (isPlain) return part;
  return expanded(part, context);
}

const expanded = memo((part: Part, context: ExpandContext): Part => {
  const there = withFoldsMade(withLipsAsGrooves(inVariant(part, context.variant), context.thicknessMm), context.folds);
  const features = there.features ?? [];
  // Words are not mirrored with the half they stand on: they would read backwards.
  const drawn = expandFeatures(
    there,
    features.filter(({ kind }) => kind !== 'lettering'),
    context,
  );
  const whole = expandFeatures(
    withMirrorHalf(drawn),
    features.filter(({ kind }) => kind === 'lettering'),
    context,
  );
  return fitSlots(whole, context);
}, expandKey);
