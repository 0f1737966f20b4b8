import { regionArea } from '../../geometry/index.ts';
import { formatLengthWithUnit } from '../../units/index.ts';
import { heightsBetween, SEAT_FIELDS } from '../body/index.ts';
import {
  blocking,
  boundFaults,
  numbersUnder,
  type FormContext,
  type FormFault,
  type FormNumber,
} from '../form/index.ts';
import { layerName } from './layer-parts.ts';
import type { LayeredSite } from './layered-site.ts';
import {
  LAYER_OPENING_FIELDS,
  LAYER_REACH_FIELDS,
  LAYERED_FIELDS,
  LAYERED_STATION_FIELDS,
  NOSE_PLATE_FIELDS,
  SLIT_FIELDS,
  type LayeredParameters,
} from './parameters.ts';

/** Stations stand at least so far apart, and a body is at least so high, in mm. */
const LEAST_BAY_MM = 5;
const LEAST_HIGH_MM = 6;
/** Foam that is left over or under a bay breaks below this, in mm. */
const LEAST_WEB_MM = 4;
/** A piece smaller than this that falls off is a scrap, in mm². */
const SCRAP_MM2 = 60;

/** Every number of a profile body by its path, with its bounds. */
export const layeredNumbers = (layered: LayeredParameters): readonly FormNumber[] => [
  ...numbersUnder('', LAYERED_FIELDS),
  ...layered.stations.flatMap((_, index) => numbersUnder(`stations.${index}.`, LAYERED_STATION_FIELDS)),
  ...layered.openings.flatMap((_, index) => numbersUnder(`openings.${index}.`, LAYER_OPENING_FIELDS)),
  ...layered.reaches.flatMap((_, index) => numbersUnder(`reaches.${index}.`, LAYER_REACH_FIELDS)),
  ...layered.slits.flatMap((_, index) => numbersUnder(`slits.${index}.`, SLIT_FIELDS)),
  ...layered.seats.flatMap((_, index) => numbersUnder(`seats.${index}.`, SEAT_FIELDS)),
  ...(layered.nosePlate ? numbersUnder('nosePlate.', NOSE_PLATE_FIELDS) : []),
];

/** What no profile body can be made with. */
export function layeredFaults(layered: LayeredParameters, context: FormContext): readonly FormFault[] {
  const bounds = boundFaults(layered, layeredNumbers(layered), context);
  if (bounds.length > 0) return bounds;
  const length = (mm: number): string => formatLengthWithUnit(mm, context.unit),
    { stations, reaches } = layered;
  if (stations.length < 2)
    return [
      {
        code: 'STATIONS_FEW',
        path: 'stations',
        title: `The body has ${stations.length} of its stations`,
        detail: 'It has one at its nose and one at its tail at least: add a station.',
        isBlocking: true,
      },
    ];
  const order = stations.flatMap(({ aftMm, topMm, bottomMm }, index): readonly FormFault[] => {
    const path = `stations.${index}.`,
      nearest = (stations[index - 1]?.aftMm ?? -Infinity) + LEAST_BAY_MM;
    return [
      ...(aftMm < nearest
        ? [
            blocking(
              'STATION_ORDER',
              `${path}aftMm`,
              `Station ${index + 1} stands at ${length(aftMm)}`,
              `Stations follow each other toward the tail, at least ${length(LEAST_BAY_MM)} apart.`,
              `Set ${length(nearest)}`,
              [{ path: `${path}aftMm`, value: nearest }],
            ),
          ]
        : []),
      ...(topMm - bottomMm < LEAST_HIGH_MM
        ? [
            blocking(
              'STATION_LOW',
              `${path}topMm`,
              `Station ${index + 1} is ${length(topMm - bottomMm)} high`,
              `At least ${length(LEAST_HIGH_MM)} hold together.`,
              `Raise its top to ${length(bottomMm + LEAST_HIGH_MM)}`,
              [{ path: `${path}topMm`, value: bottomMm + LEAST_HIGH_MM }],
            ),
          ]
        : []),
    ];
  });
  const [nose, tail] = [stations[0]!.aftMm, stations.at(-1)!.aftMm];
  const short = reaches.flatMap(({ layer, fromMm, toMm }, index): readonly FormFault[] =>
    Math.min(tail, toMm) - Math.max(nose, fromMm) < 2 * LEAST_BAY_MM
      ? [
          blocking(
            'REACH_SHORT',
            `reaches.${index}.toMm`,
            `Layer ${layer} reaches from ${length(fromMm)} to ${length(toMm)}`,
            `The body reaches from ${length(nose)} to ${length(tail)}: nothing of the layer is left.`,
            `Let it reach to ${length(tail)}`,
            [
              { path: `reaches.${index}.fromMm`, value: Math.min(fromMm, tail - 4 * LEAST_BAY_MM) },
              { path: `reaches.${index}.toMm`, value: tail },
            ],
          ),
        ]
      : [],
  );
  return [...order, ...short];
}

/** Layers that fall apart, with what parts them. */
export const partedFaults = ({ layers, layered }: LayeredSite): readonly FormFault[] =>
  layers.flatMap((layer): readonly FormFault[] => {
    const [, second] = layer.left;
    if (layer.left.length > 0 && (!second || regionArea([second]) < SCRAP_MM2)) return [];
    const at = layered.openings.findIndex(({ id }) => layer.removals.some(({ key }) => key === `opening-${id}`)),
      words = layer.removals.map(({ word }) => word);
    return [
      {
        code: 'LAYER_PARTED',
        path: at < 0 ? 'stations' : `openings.${at}.heightMm`,
        title: `${layerName(layer)} falls apart`.replace(/^./, (first) => first.toUpperCase()),
        detail: `What is cut out of it parts it: ${[...new Set(words)].join(', ')}. Make one of them less deep, or move it.`,
        isBlocking: true,
      },
    ];
  });

/** What is better otherwise, though a profile body can be made with it. */
export function layeredAdvice({ layered, lines, lostSeats, layers, unit }: LayeredSite): readonly FormFault[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit),
    deepest = Math.max(...layers.map(({ number }) => number));
  const advice = (code: string, path: string, title: string, detail: string): FormFault => ({
    code,
    path,
    title,
    detail,
    isBlocking: false,
  });
  return [
    ...layered.seats.flatMap(({ id }, index) =>
      lostSeats.includes(id)
        ? [
            advice(
              'SEAT_LOST',
              `seats.${index}.formId`,
              'What sits in it is gone or cannot be made',
              'Choose another wing or tail for the seat, or take the seat out.',
            ),
          ]
        : [],
    ),
    ...layered.openings.flatMap(({ name, kind, fromMm, lengthMm, upMm, heightMm, fromLayer, toLayer }, index) => {
      const path = `openings.${index}.`;
      if (fromLayer > toLayer || fromLayer > deepest)
        return [
          advice(
            'OPENING_NOWHERE',
            `${path}fromLayer`,
            `${name} goes through no layer`,
            `Counted from outside there are ${deepest} layers, and it goes from ${fromLayer} to ${toLayer}.`,
          ),
        ];
      if (kind !== 'bay') return [];
      const over = heightsBetween(lines.top, fromMm, fromMm + lengthMm).least - upMm - heightMm / 2,
        under = upMm - heightMm / 2 - heightsBetween(lines.bottom, fromMm, fromMm + lengthMm).most,
        least = Math.min(over, under);
      return least >= LEAST_WEB_MM
        ? []
        : [
            advice(
              'WEB_THIN',
              `${path}heightMm`,
              least <= 0
                ? `${name} breaks through the ${over < under ? 'top' : 'bottom'}`
                : `${name} leaves ${length(least)} ${over < under ? 'over' : 'under'} it`,
              `At least ${length(LEAST_WEB_MM)} hold: make it lower, move it, or make it a notch.`,
            ),
          ];
    }),
  ];
}
