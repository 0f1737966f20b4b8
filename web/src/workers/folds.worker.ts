import { expose } from 'comlink';
import { foldView, type Airframe, type FoldExtent, type FoldView } from '@grain-fold/core/airframe';
import { worked, type Worked } from './worked.ts';

/** Folds parts off the interface's thread. */
const folder = {
  view: (airframe: Airframe, partId: string, extent: FoldExtent): Worked<FoldView | undefined> =>
    worked(() => foldView(airframe, partId, extent, airframe.settings.unit)),
};
export type Folder = typeof folder;

expose(folder);
