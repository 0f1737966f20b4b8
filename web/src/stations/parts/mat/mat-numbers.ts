import type { PartCommand } from '@grain-fold/core/editing';
import type { Point } from '@grain-fold/core/geometry';
import { traitsOf } from '@grain-fold/core/operations';
import { drawnId, featureIdOf, type Part } from '@grain-fold/core/part';
import type { ResolvedPart } from '@grain-fold/core/resolve';
import type { LengthUnit } from '@grain-fold/core/units';
import { CAPTION_HEIGHT_PX, screenCaptions, USUAL_SIZE_PX } from '../../../mat/screen-captions.ts';

/** A number written on the mat that can be typed in place. */
export interface MatNumber {
  readonly at: Point;
  readonly word: string;
  readonly kind: 'length' | 'angle';
  readonly value: number;
  readonly least?: number;
  readonly most?: number;
  readonly commandFor: (value: number) => PartCommand;
}

/** The number whose caption lies under a place of the screen, or undefined. */
export function numberAt(
  part: Part,
  resolved: ResolvedPart,
  at: Point,
  toScreen: (p: Point) => Point,
  unit: LengthUnit,
): MatNumber | undefined {
  for (const { mark, at: middle, width } of screenCaptions(resolved, unit, toScreen, USUAL_SIZE_PX)) {
    const turn = (mark.angleDegrees * Math.PI) / 180;
    const off = { x: at.x - middle.x, y: at.y - middle.y };
    const along = off.x * Math.cos(turn) - off.y * Math.sin(turn),
      across = off.x * Math.sin(turn) + off.y * Math.cos(turn);
    if (Math.abs(along) > width / 2 || Math.abs(across) > CAPTION_HEIGHT_PX / 2) continue;
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

/** The number of an operation that is written on its line. */
function operationNumber(part: Part, id: string): Unplaced | undefined {
  const operation = featureIdOf(id) ? undefined : part.operations.find((one) => one.id === drawnId(id));
  const field = operation && traitsOf(operation.kind).fields.find(({ isOnLine }) => isOnLine);
  if (!operation || !field) return undefined;
  const value = (operation as unknown as Record<string, unknown>)[field.key];
  if (typeof value !== 'number') return undefined;
  return {
    word: field.word,
    kind: field.kind === 'angle' ? 'angle' : 'length',
    value,
    least: field.least,
    most: field.most,
    commandFor: (number) => ({
      name: 'changeOperation',
      args: { operationId: operation.id, changes: { [field.key]: number } },
    }),
  };
}
