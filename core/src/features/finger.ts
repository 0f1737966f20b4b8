import type { FeatureTraits } from './feature-kind.ts';
import { roundedRectangle } from './shapes.ts';

/** Opening for a finger: hands do not grow with the airframe. */
export const finger: FeatureTraits<'finger'> = {
  kind: 'finger',
  word: 'finger hole',
  hint: 'Click where its middle goes',
  ground: 'place',
  defaults: { kind: 'finger', angleDegrees: 0, lengthMm: 30, widthMm: 20 },
  fields: [
    { key: 'lengthMm', word: 'Length', kind: 'length', least: 5, most: 300 },
    { key: 'widthMm', word: 'Width', kind: 'length', least: 5, most: 100 },
    { key: 'angleDegrees', word: 'Turned by', kind: 'angle' },
  ],
  draw: ({ at, lengthMm, widthMm, angleDegrees }) => ({
    holes: [
      {
        draft: roundedRectangle(at, lengthMm, widthMm, Math.min(lengthMm, widthMm) / 2, angleDegrees),
        sizing: 'fixed',
      },
    ],
  }),
};
