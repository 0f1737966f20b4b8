import type { Ink } from '../ink/index.ts';
import type { LineMark } from '../marks/index.ts';
import { traitsOf } from '../operations/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';

/** Layers of the pages beside those of operations and variants, that a viewer can turn off. */
export const LAYERS = {
  outline: 'Outlines and holes',
  measures: 'Dimensions',
  names: 'Names and fold numbers',
  joins: 'Joining sheets',
  frame: 'Bars, title and legend',
} as const;

/** The layers that a mark of a part lies in: that of its operation, and of the variants that it is for alone. */
export function layersOf(part: ResolvedPart, { operationId, dimensionId }: LineMark): readonly string[] {
  if (dimensionId !== undefined) return [LAYERS.measures];
  const stroke = operationId === undefined ? undefined : part.strokes.find((one) => one.operationId === operationId);
  if (!stroke) return [LAYERS.outline];
  const { word } = traitsOf(stroke.kind);
  return [
    `${word[0]!.toUpperCase()}${word.slice(1)}`,
    ...(stroke.variants ? [`Only ${stroke.variants.join(', ')}`] : []),
  ];
}

/** Ink that lies in layers. */
export const inLayers = (layers: readonly string[], inks: readonly Ink[]): readonly Ink[] =>
  inks.map((ink) => ({ ...ink, layers }));
