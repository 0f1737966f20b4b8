import type { Bounds, Path } from '../../geometry/index.ts';

/** A line that goes out, in mm, on a layer. */
export interface WrittenLine {
  readonly layer: string;
  readonly path: Path;
  readonly isClosed: boolean;
}

/** A drawing that goes out: true mm, y up, a layer for each kind of work. */
export interface WrittenDrawing {
  readonly title: string;
  readonly lines: readonly WrittenLine[];
  readonly bounds: Bounds;
}

/** The layers of a drawing in the order in which they are first drawn on. */
export const layersOf = ({ lines }: WrittenDrawing): readonly string[] => [...new Set(lines.map(({ layer }) => layer))];

/** How layers are coloured, so that they are told apart on a screen: the cut first. Numbers are those of the DXF palette. */
export const LAYER_COLOURS = [
  { index: 7, hex: '#000000' },
  { index: 5, hex: '#0000ff' },
  { index: 3, hex: '#008000' },
  { index: 6, hex: '#c000c0' },
  { index: 30, hex: '#e07000' },
  { index: 4, hex: '#008080' },
  { index: 8, hex: '#808080' },
  { index: 1, hex: '#d00000' },
] as const;
export const layerColour = (place: number): (typeof LAYER_COLOURS)[number] =>
  LAYER_COLOURS[place % LAYER_COLOURS.length]!;
