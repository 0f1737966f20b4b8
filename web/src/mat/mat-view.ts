import type { LengthUnit } from '@grain-fold/core/units';

/** How the mat is looked at: pixels in a mm, where its origin lies, and its size in pixels. */
export interface MatView {
  readonly k: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Distances of grid lines in mm: fine ones, and labelled ones. */
export interface GridSteps {
  readonly fineMm: number;
  readonly labelledMm: number;
}

const METRIC: readonly (readonly [number, number])[] = [
  [0.1, 1],
  [0.5, 5],
  [1, 10],
  [5, 50],
  [10, 100],
  [50, 500],
  [100, 1000],
  [500, 5000],
  [1000, 10_000],
];
const INCH: readonly (readonly [number, number])[] = [
  [1 / 32, 1 / 4],
  [1 / 16, 1 / 2],
  [1 / 8, 1],
  [1 / 2, 2],
  [1, 6],
  [6, 24],
  [12, 60],
  [60, 240],
  [120, 600],
];
/** Fine lines are never closer than this on the screen. */
const CLOSEST_PX = 14;

/** Grid steps of the builder's unit that suit a zoom. */
export function gridSteps(unit: LengthUnit, pixelsPerMm: number): GridSteps {
  const [table, mm] = unit === 'mm' ? [METRIC, 1] : [INCH, 25.4];
  const [fine, labelled] = table.find(([step]) => step * mm * pixelsPerMm >= CLOSEST_PX) ?? table.at(-1)!;
  return { fineMm: fine * mm, labelledMm: labelled * mm };
}
