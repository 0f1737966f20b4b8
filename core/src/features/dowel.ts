import { circleDraft } from '../paths/index.ts';
import type { FeatureTraits } from './feature-kind.ts';

/** Round hole for a dowel or a tube, as large as the wood whatever the scale. */
export const dowel: FeatureTraits<'dowel'> = {
  kind: 'dowel',
  word: 'dowel hole',
  hint: 'Click where its middle goes',
  ground: 'place',
  defaults: { kind: 'dowel', angleDegrees: 0, diameterMm: 6, fitMm: 0.1 },
  fields: [
    { key: 'diameterMm', word: 'Dowel', kind: 'length', least: 0.5, most: 100 },
    { key: 'fitMm', word: 'Fit', kind: 'length', least: -0.5, most: 5 },
  ],
  draw: ({ at, diameterMm, fitMm }) => ({
    holes: [{ draft: circleDraft(at, (diameterMm + fitMm) / 2), sizing: 'fixed' }],
  }),
};
