export { featureFigure } from './feature-figure.ts';
export type {
  FeatureContext,
  FeatureDrawing,
  FeatureFault,
  FeatureField,
  FeatureSite,
  TabRow,
} from './feature-kind.ts';
export {
  featureDrawing,
  featureFaults,
  featureMaterials,
  featureTraits,
  featureWord,
  scaledFeature,
} from './feature-kinds.ts';
export { FEATURE_KINDS, type Feature, type FeatureEdge, type FeatureKind, isOnEdge } from './feature.ts';
export { regularStations } from './stations.ts';
export { lettersMissing } from './stroke-letters.ts';
export { tabReach, tabRowOf } from './tabs.ts';
