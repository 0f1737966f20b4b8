import { partsInVariant, resolveIn, type Airframe } from '../../airframe/index.ts';
import { boundsHeight, boundsWidth } from '../../geometry/index.ts';
import { piecesOf } from '../../part/index.ts';
import { decimalLength, type LengthUnit } from '../../units/index.ts';
import { csv } from './csv.ts';

const SQUARE: Readonly<Record<LengthUnit, readonly [word: string, mm2: number]>> = {
  mm: ['cm2', 100],
  in: ['in2', 25.4 * 25.4],
};

const lengthIn = (unit: LengthUnit) => (mm: number) => decimalLength(mm, unit, unit === 'mm' ? 2 : 3);

/** The parts of an airframe at its scale and in its variant: one row each, one unit a column. */
export function partsCsv(airframe: Airframe): string {
  const { unit } = airframe.settings,
    length = lengthIn(unit),
    [areaWord, mm2] = SQUARE[unit];
  return csv(
    partsInVariant(airframe).map((part) => {
      const resolved = resolveIn(airframe, part);
      return {
        part: part.name,
        group: part.group,
        material: part.material,
        pieces: piecesOf(part),
        made: part.handed === 'pair' ? 'handed pair' : 'single',
        [`across ${unit}`]: length(boundsWidth(resolved.bounds)),
        [`up ${unit}`]: length(boundsHeight(resolved.bounds)),
        [`thickness ${unit}`]: length(resolved.thicknessMm),
        [`area ${areaWord}`]: (resolved.areaMm2 / mm2).toFixed(2),
        'foam each g': resolved.massG.toFixed(2),
        [`edge ${unit}`]: length(resolved.outlineLengthMm),
        notes: part.notes,
      };
    }),
  );
}
