import { CLOSED_MM, placedPoint, type PlateSolid } from '@grain-fold/core/folds';
import { interpolate3, roomiestPlace, type Point, type Point3 } from '@grain-fold/core/geometry';
import { memo } from '@grain-fold/core/units';
import type { SeamLines, ShownPlate } from './use-folding.ts';

/** Something written on the model: a plate's number, or the figure of a seam. */
export interface ModelLabel {
  readonly text: string;
  readonly tone: 'good' | 'bad' | 'plate';
  readonly x: number;
  readonly y: number;
}

/** Parts of more plates go without their numbers: they would cover each other. */
const MOST_NUMBERED = 14;
/** Where a plate's number stands on it: worked out once. */
const placeOf = memo(({ plate }: PlateSolid): Point => roomiestPlace(plate.outer, plate.holes, 2).place);

/**
 * What is written on the model: plates are numbered as faults and the report number them, while one part of few plates is shown.
 * @param onScreen a place in space as pixels
 */
export function labelsOf(
  plates: readonly ShownPlate[],
  seams: readonly SeamLines[],
  onScreen: (p: Point3) => { readonly x: number; readonly y: number },
): readonly ModelLabel[] {
  const boards = plates.filter(({ solid }) => solid.plate.kind === 'board');
  const isOnePart = new Set(plates.map(({ partId }) => partId)).size === 1;
  const numbered = isOnePart && boards.length > 1 && boards.length <= MOST_NUMBERED ? boards : [];
  return [
    ...numbered.map(({ solid, map }): ModelLabel => ({
      text: String(solid.plate.index + 1),
      tone: 'plate',
      ...onScreen(placedPoint(map, placeOf(solid), solid.thicknessMm / 2)),
    })),
    ...seams
      .filter(({ label }) => label !== '')
      .map(({ label, lines: [[a, b]], gapMm, isPressed }): ModelLabel => ({
        text: label,
        tone: gapMm <= CLOSED_MM && !isPressed ? 'good' : 'bad',
        ...onScreen(interpolate3(a, b, 0.5)),
      })),
  ];
}
