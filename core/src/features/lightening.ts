import type { FeatureTraits } from './feature-kind.ts';
import { roundedRectangle } from './shapes.ts';

/** Opening that saves mass. */
export const lightening: FeatureTraits<'lightening'> = {
  kind: 'lightening',
  word: 'lightening hole',
  hint: 'Click where its middle goes',
  ground: 'place',
  defaults: { kind: 'lightening', angleDegrees: 0, lengthMm: 40, widthMm: 25, cornerMm: 8 },
  fields: [
    { key: 'lengthMm', word: 'Length', kind: 'length', least: 1, most: 2000, grows: true },
    { key: 'widthMm', word: 'Width', kind: 'length', least: 1, most: 2000, grows: true },
    { key: 'cornerMm', word: 'Corner radius', kind: 'length', least: 0, most: 1000, grows: true },
    { key: 'angleDegrees', word: 'Turned by', kind: 'angle' },
  ],
  draw: ({ at, lengthMm, widthMm, cornerMm, angleDegrees }) => ({
    holes: [{ draft: roundedRectangle(at, lengthMm, widthMm, cornerMm, angleDegrees), sizing: 'scaled' }],
  }),
};
