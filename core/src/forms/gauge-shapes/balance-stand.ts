import type { MadeCorner, MadeHole } from '../form/index.ts';
import { gaugeCorner } from './gauge-marks.ts';

/** An upright with its point, the tab on its foot, and what the base has beyond both slots. */
const STAND_MM = { wide: 80, high: 130, point: 6, tab: 36, before: 12, beyond: 12 } as const;

/** One of two uprights: it ends in a point, and its tab goes into the base. */
export function standUpright(thicknessMm: number): readonly MadeCorner[] {
  const { wide, high, point, tab } = STAND_MM,
    middle = wide / 2;
  return [
    gaugeCorner(0, 0, 'foot-fore'),
    gaugeCorner(middle - tab / 2, 0, 'tab-fore'),
    gaugeCorner(middle - tab / 2, -thicknessMm, 'tab'),
    gaugeCorner(middle + tab / 2, -thicknessMm, 'tab-aft'),
    gaugeCorner(middle + tab / 2, 0, 'foot-aft'),
    gaugeCorner(wide, 0, 'aft'),
    gaugeCorner(middle + point / 2, high, 'point'),
    gaugeCorner(middle - point / 2, high, 'fore'),
  ];
}

/** The base that holds both uprights so far apart. */
export function standBase(
  thicknessMm: number,
  apartMm: number,
): { readonly outline: readonly MadeCorner[]; readonly holes: readonly MadeHole[] } {
  const { wide, tab, before, beyond } = STAND_MM,
    middle = wide / 2,
    long = apartMm + thicknessMm + before + beyond;
  const slot = (name: string, y: number): MadeHole => ({
    name,
    sizing: 'fixed',
    corners: [
      { x: middle - tab / 2, y },
      { x: middle + tab / 2, y },
      { x: middle + tab / 2, y: y + thicknessMm },
      { x: middle - tab / 2, y: y + thicknessMm },
    ],
  });
  return {
    outline: [
      gaugeCorner(0, 0, 'near'),
      gaugeCorner(wide, 0, 'aft'),
      gaugeCorner(wide, long, 'far'),
      gaugeCorner(0, long, 'fore'),
    ],
    holes: [slot('near', before), slot('far', before + apartMm)],
  };
}
