import { polar } from '../geometry/index.ts';
import { circleDraft } from '../paths/index.ts';
import type { FeatureTraits } from './feature-kind.ts';
import { roundedRectangle } from './shapes.ts';

/** Pilot holes of the screws, in mm. */
const SCREW_HOLE_MM = 1.5;

/** Opening for a servo's case with the pilot holes of its screws. */
export const servo: FeatureTraits<'servo'> = {
  kind: 'servo',
  word: 'servo opening',
  hint: 'Click where its middle goes',
  ground: 'place',
  defaults: { kind: 'servo', angleDegrees: 0, lengthMm: 23, widthMm: 12.5, fitMm: 0.5, screwsMm: 28 },
  fields: [
    { key: 'lengthMm', word: 'Case length', kind: 'length', least: 5, most: 100 },
    { key: 'widthMm', word: 'Case width', kind: 'length', least: 3, most: 60 },
    { key: 'fitMm', word: 'Fit', kind: 'length', least: -0.5, most: 5 },
    { key: 'screwsMm', word: 'Screws apart, 0 for none', kind: 'length', least: 0, most: 120 },
    { key: 'angleDegrees', word: 'Turned by', kind: 'angle' },
  ],
  draw: ({ at, angleDegrees, lengthMm, widthMm, fitMm, screwsMm }) => {
    const screws = screwsMm > 0 ? [polar(at, screwsMm / 2, angleDegrees), polar(at, -screwsMm / 2, angleDegrees)] : [];
    return {
      holes: [
        { draft: roundedRectangle(at, lengthMm + fitMm, widthMm + fitMm, 0, angleDegrees), sizing: 'fixed' },
        ...screws.map((screw) => ({ draft: circleDraft(screw, SCREW_HOLE_MM / 2), sizing: 'fixed' as const })),
      ],
    };
  },
};
