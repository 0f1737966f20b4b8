import { add, curveLength, leftOf, times, unitVector, type Point } from '../geometry/index.ts';
import type { FeatureSite, FeatureTraits, TabRow } from './feature-kind.ts';
import type { Tabs } from './feature.ts';
import { lengthText } from '../units/index.ts';

/** Thickness figured with for a plate of a material that is not in stock, in mm. */
const ASSUMED_PLATE_MM = 5;
/** Least run of edge left between tabs, in mm. */
const LEAST_GAP_MM = 2;

/** How far tabs stand out: as far as the plate that they go through is thick. */
export const tabReach = (feature: Tabs, site: Pick<FeatureSite, 'plateThicknesses'>): number =>
  feature.reachMm === 'auto' ? (site.plateThicknesses[feature.material] ?? ASSUMED_PLATE_MM) : feature.reachMm;

/** The row that slots in another part are cut to. */
export const tabRowOf = (feature: Tabs, edgeMm: number, thicknessMm: number): TabRow => ({
  count: feature.count,
  lengthMm: feature.lengthMm,
  pitchMm: edgeMm / feature.count,
  thicknessMm,
});

/** Tabs spread evenly along a straight edge: each in the middle of its share of the edge. */
export const tabs: FeatureTraits<'tabs'> = {
  kind: 'tabs',
  word: 'tab row',
  hint: 'Click the straight edge that bears the tabs',
  ground: 'edge',
  defaults: { kind: 'tabs', count: 2, lengthMm: 20, material: '', reachMm: 'auto' },
  fields: [
    { key: 'count', word: 'Tabs', kind: 'count', least: 1, most: 100 },
    { key: 'lengthMm', word: 'Each long', kind: 'length', least: 1, most: 500 },
    { key: 'material', word: 'Go through', kind: 'material' },
    { key: 'reachMm', word: 'Stand out', kind: 'length', least: 0.5, most: 200, auto: true },
  ],
  draw: (feature, site) => {
    const { edge } = site;
    if (edge?.curve.kind !== 'line' || isCrowded(feature, site)) return {};
    const { from, to } = edge.curve;
    const along = unitVector(from, to),
      out = times(leftOf(along), (edge.bodyIsLeft ? -1 : 1) * tabReach(feature, site));
    const pitchMm = curveLength(edge.curve) / feature.count;
    const points: Point[] = [],
      onEdge: boolean[] = [];
    for (let index = 0; index < feature.count; index++) {
      const start = add(from, times(along, (index + 0.5) * pitchMm - feature.lengthMm / 2)),
        end = add(start, times(along, feature.lengthMm));
      points.push(start, add(start, out), add(end, out), end);
      onEdge.push(true, false, false, false);
    }
    return { edge: { points, onEdge: [...onEdge, true] } };
  },
  faults: (feature, site) => {
    const { edge } = site;
    if (edge?.curve.kind !== 'line')
      return [
        {
          code: 'FEATURE_EDGE',
          title: 'A tab row stands on a curved edge',
          detail: 'Tabs need a straight edge. Straighten it, or remove the tabs.',
        },
      ];
    if (!isCrowded(feature, site)) return [];
    const roomMm = curveLength(edge.curve);
    const fits = Math.floor(roomMm / (feature.lengthMm + LEAST_GAP_MM));
    return [
      {
        code: 'TABS_CROWDED',
        title: `${feature.count} tabs of ${lengthText(feature.lengthMm)} do not fit on ${lengthText(roomMm)} of edge`,
        detail: `At least ${lengthText(LEAST_GAP_MM, 0)} must stay between them.`,
        mend:
          fits >= 1
            ? { label: `Make ${fits === 1 ? 'one tab' : `${fits} tabs`}`, changes: { count: fits } }
            : { label: 'Make one shorter tab', changes: { count: 1, lengthMm: Math.max(1, Math.floor(roomMm / 2)) } },
      },
    ];
  },
};

const isCrowded = (feature: Tabs, { edge }: FeatureSite): boolean =>
  edge !== undefined && curveLength(edge.curve) / feature.count < feature.lengthMm + LEAST_GAP_MM - 1e-9;
