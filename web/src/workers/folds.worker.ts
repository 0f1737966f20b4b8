import { expose } from 'comlink';
import {
  foldView,
  inOtherBoard,
  ringReport,
  thicknessBreaks,
  type FoldExtent,
  type FoldView,
  type InOtherBoard,
  type OtherBoard,
  type RingReport,
  type ThicknessBreaks,
} from '@grain-fold/core/airframe';
import { AirframeKeeper, type AirframeChange } from './kept-airframe.ts';
import { worked, type Worked } from './worked.ts';

const keeper = new AirframeKeeper();

/** Folds parts off the interface's thread. */
const folder = {
  view(change: AirframeChange, partId: string, extent: FoldExtent): Worked<FoldView | undefined> {
    const airframe = keeper.take(change);
    return worked(() => foldView(airframe, partId, extent, airframe.settings.unit));
  },
  thickness(change: AirframeChange, material: string, thicknessMm: number): Worked<ThicknessBreaks> {
    const airframe = keeper.take(change);
    return worked(() => thicknessBreaks(airframe, material, thicknessMm));
  },
  otherBoard(change: AirframeChange, material: string, to: OtherBoard): Worked<InOtherBoard> {
    const airframe = keeper.take(change);
    return worked(() => inOtherBoard(airframe, material, to));
  },
  ring(
    change: AirframeChange,
    partId: string,
    seam: Parameters<typeof ringReport>[2],
    freeIds: readonly string[] | undefined,
  ): Worked<RingReport | undefined> {
    const airframe = keeper.take(change);
    return worked(() => ringReport(airframe, partId, seam, freeIds));
  },
};
export type Folder = typeof folder;

expose(folder);
