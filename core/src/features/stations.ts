import {
  add,
  curveLength,
  curvePoint,
  curveTangent,
  leftOf,
  parameterAtLength,
  times,
  unitVector,
  type Point,
} from '../geometry/index.ts';
import { polylineDraft } from '../paths/index.ts';
import type { FeatureTraits } from './feature-kind.ts';
import type { Stations } from './feature.ts';
import { lengthText } from '../units/index.ts';

/** Marks are drawn this far to either side and worked only on the part, in mm. */
const REACH_MM = 2000;
const MOST_STATIONS = 100;

function directionOf(feature: Stations, tangent: Point): Point {
  if (feature.across === 'square') return leftOf(unitVector({ x: 0, y: 0 }, tangent));
  return feature.across === 'upright' ? { x: 0, y: 1 } : { x: 1, y: 0 };
}

/** Marks across the part at named places along an edge. */
export const stations: FeatureTraits<'stations'> = {
  kind: 'stations',
  word: 'station marks',
  hint: 'Click the edge that the stations are measured along',
  ground: 'edge',
  defaults: {
    kind: 'stations',
    across: 'square',
    places: [
      { atMm: 50, name: 'S1' },
      { atMm: 100, name: 'S2' },
    ],
  },
  fields: [
    {
      key: 'across',
      word: 'Run',
      kind: 'choice',
      choices: [
        ['square', 'square to the edge'],
        ['upright', 'upright'],
        ['level', 'level'],
      ],
    },
    { key: 'places', word: 'Stations', kind: 'places' },
  ],
  draw: (feature, { edge }) => {
    if (!edge) return {};
    const length = curveLength(edge.curve);
    return {
      lines: feature.places
        .filter(({ atMm }) => atMm >= 0 && atMm <= length + 1e-6)
        .map(({ atMm, name }) => {
          const t = parameterAtLength(edge.curve, atMm);
          const at = curvePoint(edge.curve, t),
            reach = times(directionOf(feature, curveTangent(edge.curve, t)), REACH_MM);
          return {
            draft: polylineDraft([add(at, times(reach, -1)), add(at, reach)]),
            works: [{ operation: { kind: 'mark', face: 'face', label: name } }],
          };
        }),
    };
  },
  scaled: (feature, factor) => ({
    ...feature,
    places: feature.places.map((place) => ({ ...place, atMm: place.atMm * factor })),
  }),
  faults: (feature, { edge }) => {
    const length = edge ? curveLength(edge.curve) : 0;
    const off = feature.places.filter(({ atMm }) => atMm > length + 1e-6);
    if (!edge || off.length === 0) return [];
    return [
      {
        code: 'STATION_OFF',
        title: `${off.length === 1 ? `Station ${off[0]!.name} lies` : `${off.length} stations lie`} past the end of the edge`,
        detail: `The edge is ${lengthText(length)} long.`,
        mend: {
          label: 'Leave out what lies past it',
          changes: { places: feature.places.filter(({ atMm }) => atMm <= length + 1e-6) },
        },
      },
    ];
  },
};

/** Regular stations: every pitch along an edge, numbered. */
export function regularStations(lengthMm: number, pitchMm: number, prefix: string): Stations['places'] {
  const count = Math.min(MOST_STATIONS, Math.floor(lengthMm / pitchMm + 1e-9));
  return Array.from({ length: count }, (_, index) => ({ atMm: (index + 1) * pitchMm, name: `${prefix}${index + 1}` }));
}
