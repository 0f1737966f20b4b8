import { slotWidth, STEEPEST_SLANT_DEGREES } from '../allowance/index.ts';
import type { FeatureTraits } from './feature-kind.ts';
import { roundedRectangle } from './shapes.ts';

/** Opening for a wire that goes through the board at a lean: as long as its slanted section and its drift through the board. */
export const wire: FeatureTraits<'wire'> = {
  kind: 'wire',
  word: 'wire hole',
  hint: 'Click where its middle goes',
  ground: 'place',
  defaults: { kind: 'wire', angleDegrees: 0, diameterMm: 2, fitMm: 1, leanDegrees: 0 },
  fields: [
    { key: 'diameterMm', word: 'Wire', kind: 'length', least: 0.2, most: 60 },
    { key: 'fitMm', word: 'Fit', kind: 'length', least: 0, most: 20 },
    {
      key: 'leanDegrees',
      word: 'Leans by',
      kind: 'angle',
      least: -STEEPEST_SLANT_DEGREES,
      most: STEEPEST_SLANT_DEGREES,
    },
    { key: 'angleDegrees', word: 'Leans towards', kind: 'angle' },
  ],
  draw: ({ at, angleDegrees, diameterMm, fitMm, leanDegrees }, { thicknessMm }) => {
    const widthMm = diameterMm + fitMm;
    return {
      holes: [
        {
          draft: roundedRectangle(
            at,
            slotWidth(diameterMm, leanDegrees, thicknessMm, fitMm),
            widthMm,
            widthMm / 2,
            angleDegrees,
          ),
          sizing: 'fixed',
        },
      ],
    };
  },
};
