import { paletteColour, trueColour } from './colours.ts';
import type { DxfRecord } from './pairs.ts';

/** How the lines of a layer are drawn, where they do not say so themselves. */
export interface Layer {
  readonly colour: string;
  readonly lineType: string;
  readonly widthMm: number;
  readonly isOff: boolean;
}

/** Layers by name, and the line types that are dashed. */
export interface Tables {
  readonly layers: ReadonlyMap<string, Layer>;
  readonly dashedTypes: ReadonlySet<string>;
}

export function tablesOf(records: readonly DxfRecord[]): Tables {
  const layers = new Map<string, Layer>(),
    dashedTypes = new Set<string>();
  for (const record of records) {
    const name = record.text(2);
    if (name === undefined) continue;
    // A dash pattern has a count of lengths above none.
    if (record.kind === 'LTYPE' && record.number(73, 0) > 0) dashedTypes.add(name.toUpperCase());
    if (record.kind === 'LAYER') {
      const index = record.number(62, 7);
      layers.set(name, {
        colour: record.text(420) === undefined ? paletteColour(Math.abs(index)) : trueColour(record.number(420, 0)),
        lineType: (record.text(6) ?? '').toUpperCase(),
        widthMm: widthOf(record.number(370, -3)),
        // Switched off by a colour below none, or frozen.
        isOff: index < 0 || (record.number(70, 0) & 1) !== 0,
      });
    }
  }
  return { layers, dashedTypes };
}

const widthOf = (hundredths: number): number => (hundredths > 0 ? hundredths / 100 : 0);

/** How one entity is drawn. */
export interface Look {
  readonly layer: string;
  readonly colour: string;
  readonly widthMm: number;
  readonly isDashed: boolean;
  readonly isOff: boolean;
}

/** An entity's look: its own, else its layer's, else, within a block, that of the block. */
export function lookOf(entity: DxfRecord, { layers, dashedTypes }: Tables, block: Look | undefined): Look {
  const own = entity.text(8) ?? '0';
  const name = own === '0' && block ? block.layer : own;
  const layer = layers.get(name) ?? layers.get(own);
  const index = entity.number(62, 256),
    type = (entity.text(6) ?? 'BYLAYER').toUpperCase(),
    width = entity.number(370, -1);
  const lineType = type === 'BYLAYER' ? (layer?.lineType ?? '') : type;
  return {
    layer: name,
    colour:
      entity.text(420) !== undefined
        ? trueColour(entity.number(420, 0))
        : index === 0 && block
          ? block.colour
          : index > 0 && index < 256
            ? paletteColour(index)
            : (layer?.colour ?? '#000000'),
    widthMm: width === -2 && block ? block.widthMm : width === -1 ? (layer?.widthMm ?? 0) : widthOf(width),
    isDashed: type === 'BYBLOCK' && block ? block.isDashed : dashedTypes.has(lineType),
    isOff: (layer?.isOff ?? false) || entity.number(60, 0) === 1 || index < 0,
  };
}
