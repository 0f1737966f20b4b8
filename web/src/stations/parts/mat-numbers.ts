import type { PartCommand } from '@grain-fold/core/editing';
import type { Point } from '@grain-fold/core/geometry';
import { lineTexts } from '@grain-fold/core/linecode';
import { drawnId, featureIdOf, type Part } from '@grain-fold/core/part';
import type { ResolvedPart } from '@grain-fold/core/resolve';
import type { LengthUnit } from '@grain-fold/core/units';

/** A number written on the mat that can be typed in place. */
export interface MatNumber {
  readonly at: Point;
  readonly word: string;
  readonly kind: 'length' | 'angle';
  readonly value: number;
  readonly commandFor: (value: number) => PartCommand;
}

/** Half a caption's height, and the half width of a letter, in pixels. */
const HALF_HEIGHT_PX = 10;
const HALF_LETTER_PX = 3.4;

/** The number whose caption lies under a place of the screen, or undefined. */
export function numberAt(
  part: Part,
  resolved: ResolvedPart,
  at: Point,
  toScreen: (p: Point) => Point,
  unit: LengthUnit,
): MatNumber | undefined {
  for (const mark of lineTexts(resolved, unit)) {
    const middle = toScreen(mark.at),
      turn = (mark.angleDegrees * Math.PI) / 180;
    const off = { x: at.x - middle.x, y: at.y - middle.y };
    const along = off.x * Math.cos(turn) - off.y * Math.sin(turn),
      across = off.x * Math.sin(turn) + off.y * Math.cos(turn);
    if (Math.abs(along) > mark.text.length * HALF_LETTER_PX + 6 || Math.abs(across) > HALF_HEIGHT_PX) continue;
    const found = mark.dimensionId
      ? dimensionNumber(resolved, mark.dimensionId)
      : mark.operationId
        ? operationNumber(part, mark.operationId)
        : undefined;
    if (found) return { ...found, at: middle };
  }
  return undefined;
}

type Unplaced = Omit<MatNumber, 'at'>;

function dimensionNumber(resolved: ResolvedPart, dimensionId: string): Unplaced | undefined {
  const dimension = resolved.dimensions.find(({ id }) => id === dimensionId);
  return (
    dimension && {
      word: 'Dimension',
      kind: 'length',
      value: dimension.valueMm,
      commandFor: (valueMm) => ({ name: 'setDimension', args: { dimensionId, valueMm } }),
    }
  );
}

function operationNumber(part: Part, id: string): Unplaced | undefined {
  if (featureIdOf(id)) return undefined;
  const operation = part.operations.find((one) => one.id === drawnId(id));
  const change =
    (key: string): Unplaced['commandFor'] =>
    (value) => ({ name: 'changeOperation', args: { operationId: operation!.id, changes: { [key]: value } } });
  switch (operation?.kind) {
    case 'groove':
    case 'crease':
      return { word: 'Folds to', kind: 'angle', value: operation.foldDegrees, commandFor: change('foldDegrees') };
    case 'slit':
      return { word: 'Opens by', kind: 'angle', value: operation.foldDegrees, commandFor: change('foldDegrees') };
    case 'bevel':
      return { word: 'Bevel', kind: 'angle', value: operation.bevelDegrees, commandFor: change('bevelDegrees') };
    case 'hinge':
      return {
        word: 'Deflects ±',
        kind: 'angle',
        value: operation.deflectionDegrees,
        commandFor: change('deflectionDegrees'),
      };
    case 'pocket':
      return { word: 'Depth', kind: 'length', value: operation.depthMm, commandFor: change('depthMm') };
    default:
      return undefined;
  }
}
