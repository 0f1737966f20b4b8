import { formatAngle, formatLengthWithUnit, type LengthUnit } from '../../units/index.ts';
import type { FormFault } from '../form/index.ts';
import { blocking } from '../form/index.ts';
import { MOST_LAYERS, type WingLayer } from './builds.ts';
import { controlChords } from './control-chords.ts';
import type { WingParameters } from './parameters.ts';

/** Least width of a layer, in per cent of the chord. */
const LEAST_LAYER_PERCENT = 5;
/** Least chord of a control, and what stays between its hinge and a layer, in mm. */
const LEAST_CONTROL_MM = 8;
const HINGE_OFF_MM = 1;

const percent = (value: number): string => `${Math.round(value * 10) / 10} %`;

/** What does not go together on the plate of a stepped wing. */
export function sheetFaults(wing: WingParameters, unit: LengthUnit): readonly FormFault[] {
  if (wing.build !== 'stepped') return [];
  const layers = wing.layers ?? [];
  if (layers.length > MOST_LAYERS)
    return [
      {
        code: 'LAYERS',
        path: 'layers',
        title: `A plate takes up to ${MOST_LAYERS} layers, this one has ${layers.length}`,
        detail: 'Take some out: each is a board thick.',
        isBlocking: true,
      },
    ];
  return [
    ...layers.flatMap((layer, index) => layerFault(layers, layer, index) ?? []),
    ...wing.panels.flatMap(({ washoutDegrees }, index) =>
      washoutDegrees === 0
        ? []
        : [
            blocking(
              'PLATE_TWISTS',
              `panels.${index}.washoutDegrees`,
              `Panel ${index + 1} has ${formatAngle(washoutDegrees)} of washout`,
              'Plates glued on each other stay flat: bend the elevons up instead.',
              'Set 0°',
              [{ path: `panels.${index}.washoutDegrees`, value: 0 }],
            ),
          ],
    ),
    ...controlUnderLayer(wing, unit),
  ];
}

/** A layer lies within the one that it is glued to. */
function layerFault(layers: readonly WingLayer[], layer: WingLayer, index: number): FormFault | undefined {
  const below = layers.slice(0, index).findLast(({ side }) => side === layer.side) ?? {
    fromPercent: 0,
    toPercent: 100,
  };
  const from = Math.min(Math.max(layer.fromPercent, below.fromPercent), below.toPercent - LEAST_LAYER_PERCENT),
    to = Math.min(below.toPercent, Math.max(layer.toPercent, from + LEAST_LAYER_PERCENT));
  if (from === layer.fromPercent && to === layer.toPercent) return undefined;
  return blocking(
    'LAYER',
    `layers.${index}.fromPercent`,
    `Layer ${index + 1} lies from ${percent(layer.fromPercent)} to ${percent(layer.toPercent)}`,
    `It is glued on what lies from ${percent(below.fromPercent)} to ${percent(below.toPercent)}, and is at least ${LEAST_LAYER_PERCENT} % wide.`,
    `Set ${percent(from)} to ${percent(to)}`,
    [
      { path: `layers.${index}.fromPercent`, value: from },
      { path: `layers.${index}.toPercent`, value: to },
    ],
  );
}

/** A control hinges behind every layer. */
function controlUnderLayer(wing: WingParameters, unit: LengthUnit): readonly FormFault[] {
  const layers = wing.layers ?? [];
  if (layers.length === 0) return [];
  const furthest = Math.max(...layers.map(({ toPercent }) => toPercent));
  return wing.controls.flatMap((control, at): readonly FormFault[] => {
    const index = wing.panels.findIndex(({ id }) => id === control.panelId),
      panel = wing.panels[index];
    if (!panel) return [];
    const root = index === 0 ? wing.rootChordMm : wing.panels[index - 1]!.tipChordMm;
    const share = Math.min(1, Math.max(control.fromMm, control.toMm) / panel.spanMm),
      narrow = Math.min(root, panel.tipChordMm, root + (panel.tipChordMm - root) * share);
    const free = (1 - furthest / 100) * narrow - HINGE_OFF_MM;
    if (controlChords(control).most <= free + 1e-9) return [];
    const constant = control.tipChordMm === undefined ? [] : [{ path: `controls.${at}.tipChordMm`, value: undefined }];
    const title = `The ${control.kind} of panel ${index + 1} reaches under a layer`,
      detail = `Behind ${percent(furthest)} of the chord ${formatLengthWithUnit(Math.max(0, free), unit)} are free where the panel is narrowest along it.`;
    const least = Math.floor(free * 10) / 10;
    if (least >= LEAST_CONTROL_MM)
      return [
        blocking(
          'CONTROL_UNDER_LAYER',
          `controls.${at}.chordMm`,
          title,
          detail,
          `Set chord ${formatLengthWithUnit(least, unit)}`,
          [{ path: `controls.${at}.chordMm`, value: least }, ...constant],
        ),
      ];
    const most = Math.max(5, Math.floor((1 - (LEAST_CONTROL_MM + HINGE_OFF_MM + 0.2) / narrow) * 100));
    return [
      blocking('CONTROL_UNDER_LAYER', `controls.${at}.chordMm`, title, detail, `End the layers at ${most} %`, [
        { path: `controls.${at}.chordMm`, value: LEAST_CONTROL_MM },
        ...constant,
        ...layers.flatMap(({ toPercent }, layer) =>
          toPercent > most ? [{ path: `layers.${layer}.toPercent`, value: most }] : [],
        ),
      ]),
    ];
  });
}
