import type { Point } from '../../geometry/index.ts';

/** A length on a sheet that is known: its ends in the sheet's pixels, x to the right, y down. */
export interface KnownLength {
  readonly id: string;
  readonly name: string;
  readonly from: Point;
  readonly to: Point;
  readonly lengthMm: number;
}

/** How pixels of a sheet become millimetres: all views cropped from it take this one scale. */
export type SheetCalibration =
  /** Not known yet: as large as it was taken for when it came. */
  | { readonly kind: 'none'; readonly mmPerPx: number }
  | { readonly kind: 'one length'; readonly lengthId: string }
  /** Across each other: the sheet was stretched more one way than the other. */
  | { readonly kind: 'two lengths'; readonly lengthIds: readonly [string, string] }
  /** A rectangle seen at a slant. */
  | {
      readonly kind: 'four corners';
      readonly corners: readonly Point[];
      readonly widthMm: number;
      readonly heightMm: number;
    };

export const SHEET_KINDS = ['png', 'jpeg', 'svg', 'dxf', 'pdf'] as const;
export type SheetKind = (typeof SHEET_KINDS)[number];

/** A picture or drawing that views are traced from: the file is kept apart, by its hash. */
export interface PlanSheet {
  readonly id: string;
  readonly name: string;
  /** SHA-256 of the file, in hexadecimal digits. */
  readonly hash: string;
  readonly kind: SheetKind;
  /** Page of a PDF, from 1. */
  readonly page?: number;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly calibration: SheetCalibration;
  readonly lengths: readonly KnownLength[];
}
