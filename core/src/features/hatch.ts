import type { OperationDraft } from '../operations/index.ts';
import type { FeatureTraits } from './feature-kind.ts';
import { roundedRectangle } from './shapes.ts';

const THROUGH: OperationDraft = { kind: 'through', face: 'face', label: 'hatch' };
/** A lid that folds opens away from the face on the skin of its upper long side. */
const FOLD: OperationDraft = { kind: 'slit', face: 'face', foldDegrees: 90, depthMm: 'auto', label: 'hatch' };

/** Lid cut from the board itself. */
export const hatch: FeatureTraits<'hatch'> = {
  kind: 'hatch',
  word: 'hatch',
  hint: 'Click where its middle goes',
  ground: 'place',
  defaults: { kind: 'hatch', angleDegrees: 0, lengthMm: 80, widthMm: 45, cornerMm: 5, opens: 'loose' },
  fields: [
    { key: 'lengthMm', word: 'Length', kind: 'length', least: 5, most: 1000, grows: true },
    { key: 'widthMm', word: 'Width', kind: 'length', least: 5, most: 1000, grows: true },
    { key: 'cornerMm', word: 'Corner radius', kind: 'length', least: 0, most: 200, grows: true },
    {
      key: 'opens',
      word: 'Lid',
      kind: 'choice',
      choices: [
        ['loose', 'comes out'],
        ['folds', 'folds on one long side'],
      ],
    },
    { key: 'angleDegrees', word: 'Turned by', kind: 'angle' },
  ],
  draw: ({ at, lengthMm, widthMm, cornerMm, opens, angleDegrees }) => {
    if (opens === 'loose')
      return {
        lines: [
          { draft: roundedRectangle(at, lengthMm, widthMm, cornerMm, angleDegrees), works: [{ operation: THROUGH }] },
        ],
      };
    const draft = roundedRectangle(at, lengthMm, widthMm, 0, angleDegrees);
    return {
      lines: [
        {
          draft,
          works: [
            { operation: THROUGH, segments: [3, 0, 1] },
            { operation: FOLD, segments: [2] },
          ],
        },
      ],
    };
  },
};
