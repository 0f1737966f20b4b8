import { add, leftOf, times, unitVector } from '../geometry/index.ts';
import { polygonDraft } from '../paths/index.ts';
import type { FeatureSite, FeatureTraits } from './feature-kind.ts';
import type { Lap } from './feature.ts';
import { lengthText } from '../units/index.ts';

const ASSUMED_PLATE_MM = 5;
/** Skin and foam left under a lap that goes down to the skin, in mm. */
const SKIN_LEFT_MM = 0.5;

const widthOf = (feature: Lap, site: FeatureSite): number =>
  feature.widthMm === 'auto' ? (site.plateThicknesses[feature.material] ?? ASSUMED_PLATE_MM) : feature.widthMm;
const deepest = (site: FeatureSite): number => Math.max(0.1, site.thicknessMm - SKIN_LEFT_MM);

/** Foam taken away along a straight edge, down to the far skin, as wide as the plate that lies in it. */
export const lap: FeatureTraits<'lap'> = {
  kind: 'lap',
  word: 'lap',
  hint: 'Click the straight edge that the other plate lies in',
  ground: 'edge',
  defaults: { kind: 'lap', material: '', widthMm: 'auto', depthMm: 'auto' },
  fields: [
    { key: 'material', word: 'Takes a plate of', kind: 'material' },
    { key: 'widthMm', word: 'Width', kind: 'length', least: 0.5, most: 200, auto: true },
    { key: 'depthMm', word: 'Depth', kind: 'length', least: 0.1, most: 100, auto: true },
  ],
  draw: (feature, site) => {
    const { edge } = site;
    if (edge?.curve.kind !== 'line') return {};
    const { from, to } = edge.curve;
    const inward = times(leftOf(unitVector(from, to)), (edge.bodyIsLeft ? 1 : -1) * widthOf(feature, site));
    return {
      lines: [
        {
          draft: polygonDraft([from, to, add(to, inward), add(from, inward)]),
          works: [
            {
              operation: {
                kind: 'pocket',
                face: 'face',
                depthMm: feature.depthMm === 'auto' ? deepest(site) : feature.depthMm,
                label: feature.label || 'lap',
              },
            },
          ],
        },
      ],
    };
  },
  faults: (feature, site) => {
    if (site.edge?.curve.kind !== 'line')
      return [
        {
          code: 'FEATURE_EDGE',
          title: 'A lap runs along a curved edge',
          detail: 'A plate only lies against a straight edge. Straighten it, or remove the lap.',
        },
      ];
    if (feature.depthMm === 'auto' || feature.depthMm <= deepest(site) + 1e-9) return [];
    return [
      {
        code: 'LAP_DEEP',
        title: `Lap ${lengthText(feature.depthMm)} deep does not fit ${lengthText(site.thicknessMm)} board`,
        detail: `It may go down to ${lengthText(deepest(site))} and keep ${lengthText(SKIN_LEFT_MM)}.`,
        mend: { label: 'Let it follow the board', changes: { depthMm: 'auto' } },
      },
    ];
  },
};
