import { balance } from './balance.ts';
import { dowel } from './dowel.ts';
import type { FeatureDrawing, FeatureFault, FeatureSite, FeatureTraits } from './feature-kind.ts';
import { isOnEdge, type Feature, type FeatureKind, type FeatureSizing } from './feature.ts';
import { finger } from './finger.ts';
import { hatch } from './hatch.ts';
import { lap } from './lap.ts';
import { lettering } from './lettering.ts';
import { lightening } from './lightening.ts';
import { servo } from './servo.ts';
import { slots } from './slots.ts';
import { stations } from './stations.ts';
import { tabs } from './tabs.ts';
import { wire } from './wire.ts';

/** Every kind of feature. A new kind is a new file and one line here. */
const TRAITS: { readonly [K in FeatureKind]: FeatureTraits<K> } = {
  tabs,
  slots,
  lap,
  lightening,
  dowel,
  wire,
  finger,
  servo,
  hatch,
  balance,
  stations,
  lettering,
};

/** What is particular to a feature's kind. */
export const featureTraits = <K extends FeatureKind>(kind: K): FeatureTraits<K> => TRAITS[kind] as FeatureTraits<K>;

// The table is keyed by kind, so a feature always meets the traits of its own kind; TypeScript cannot follow that through a union.
const own = (feature: Feature): FeatureTraits<FeatureKind> =>
  TRAITS[feature.kind] as unknown as FeatureTraits<FeatureKind>;

export const featureWord = (feature: Feature): string => own(feature).word;
export const featureDrawing = (feature: Feature, site: FeatureSite): FeatureDrawing => own(feature).draw(feature, site);
export const featureFaults = (feature: Feature, site: FeatureSite): readonly FeatureFault[] =>
  own(feature).faults?.(feature, site) ?? [];
/** Lengths that fit hardware by a little, and stay what they are whatever grows. */
const FIT = 'fitMm';

/** The lengths of a feature that can grow with the airframe, by their keys. */
const lengthsOf = (feature: Feature): readonly string[] =>
  isOnEdge(feature)
    ? []
    : own(feature)
        .fields.filter(({ kind, key }) => kind === 'length' && key !== FIT)
        .map(({ key }) => key);

/** Whether a feature's own lengths grow with the airframe, as its kind has it. */
const usualSizing = (feature: Feature): FeatureSizing =>
  own(feature).fields.some(({ grows }) => grows) ? 'scaled' : 'fixed';

/** Whether a feature's own lengths grow with the airframe; undefined when it has none that a builder could let grow. */
export const featureSizing = (feature: Feature): FeatureSizing | undefined =>
  lengthsOf(feature).length > 0 ? (feature.sizing ?? usualSizing(feature)) : undefined;

/** A feature whose lengths grow or stay; what its kind does anyway is not noted. */
export function withFeatureSizing(feature: Feature, sizing: FeatureSizing): Feature {
  const { sizing: _was, ...rest } = feature;
  return (sizing === usualSizing(feature) ? rest : { ...rest, sizing }) as Feature;
}

/** A feature's own numbers at another size of the airframe; its place is not moved. */
export function scaledFeature(feature: Feature, factor: number): Feature {
  const sizing = featureSizing(feature);
  const values = feature as unknown as Readonly<Record<string, number>>;
  const grown = sizing === 'scaled' ? lengthsOf(feature).map((key) => [key, values[key]! * factor] as const) : [];
  const sized = { ...feature, ...Object.fromEntries(grown) } as Feature;
  return own(feature).scaled?.(sized, factor) ?? sized;
}
/** Materials of the plates that a feature is cut to. */
export const featureMaterials = (feature: Feature): readonly string[] =>
  'material' in feature && feature.material !== '' ? [feature.material] : [];
