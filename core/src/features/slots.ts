import { slotWidth, STEEPEST_SLANT_DEGREES } from '../allowance/index.ts';
import { polar } from '../geometry/index.ts';
import type { FeatureTraits } from './feature-kind.ts';
import { roundedRectangle } from './shapes.ts';

/** Row of slots for the tabs of another part: as many, as long and as far apart as they are now, as wide as their plate. */
export const slots: FeatureTraits<'slots'> = {
  kind: 'slots',
  word: 'slot row',
  hint: 'Click where the middle of the row goes',
  ground: 'place',
  defaults: { kind: 'slots', angleDegrees: 0, mate: '', slantDegrees: 0, fitMm: 0.2 },
  fields: [
    { key: 'mate', word: 'For the tabs of', kind: 'mate' },
    { key: 'angleDegrees', word: 'Row runs', kind: 'angle' },
    {
      key: 'slantDegrees',
      word: 'Plate leans',
      kind: 'angle',
      least: -STEEPEST_SLANT_DEGREES,
      most: STEEPEST_SLANT_DEGREES,
    },
    { key: 'fitMm', word: 'Fit', kind: 'length', least: -1, most: 5 },
  ],
  draw: ({ at, angleDegrees, mate, slantDegrees, fitMm }, { tabRows, thicknessMm }) => {
    const row = tabRows?.[mate];
    if (!row) return {};
    const widthMm = Math.max(0.3, slotWidth(row.thicknessMm, slantDegrees, thicknessMm, fitMm));
    return {
      holes: Array.from({ length: row.count }, (_, index) => ({
        draft: roundedRectangle(
          polar(at, (index + 0.5 - row.count / 2) * row.pitchMm, angleDegrees),
          row.lengthMm + Math.max(0, fitMm),
          widthMm,
          0,
          angleDegrees,
        ),
        sizing: 'fixed',
      })),
    };
  },
  faults: ({ mate }, { tabRows }) =>
    tabRows?.[mate]
      ? []
      : [
          {
            code: 'MATE_MISSING',
            title: 'A slot row has no tabs to fit',
            detail:
              mate === ''
                ? 'Choose the tab row that goes into it; its slots are cut to those tabs.'
                : 'The tab row it was cut to is gone, so no slots are cut. Choose another.',
          },
        ],
};
