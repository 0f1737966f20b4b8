export {
  FURTHEST_STATION_MM,
  type FeatureField,
  LONGEST_FEATURE_TEXT,
  LONGEST_STATION_NAME,
  MATE_PATTERN,
  MOST_STATION_MARKS,
  featureFieldFault,
  storedBounds,
  storedFieldFault,
} from './feature-field.ts';
export { featureFigure } from './feature-figure.ts';
export type { FeatureContext, FeatureDrawing, FeatureFault, FeatureSite, TabRow } from './feature-kind.ts';
export {
  featureDrawing,
  featureSizing,
  featureFaults,
  featureMaterials,
  featureTraits,
  featureWord,
  scaledFeature,
  withFeatureSizing,
} from './feature-kinds.ts';
export {
  FEATURE_KINDS,
  FEATURE_SIZINGS,
  type FeatureSizing,
  type Feature,
  type FeatureEdge,
  type FeatureKind,
  isOnEdge,
} from './feature.ts';
export { lettersMissing, strokeText } from './stroke-letters.ts';
export { regularStations } from './stations.ts';
export { tabReach, tabRowOf } from './tabs.ts';
