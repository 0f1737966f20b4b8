import { expose } from 'comlink';
import { solveScale, type ScaleGoal, type ScaleSearch } from '@grain-fold/core/airframe';
import { AirframeKeeper, type AirframeChange } from './kept-airframe.ts';

const keeper = new AirframeKeeper();
/** The search that runs; a stop or a newer search ends the one before. */
let running = 0;

/** Searches factors: each is told as it is laid out, and a stop keeps the best. */
const scaler = {
  async solve(
    change: AirframeChange,
    goal: ScaleGoal,
    onProgress: (search: ScaleSearch) => void,
  ): Promise<ScaleSearch> {
    const airframe = keeper.take(change),
      own = ++running,
      search = solveScale(airframe, goal);
    for (;;) {
      const { value, done } = search.next();
      if (done || own !== running) return value;
      onProgress(value);
      await new Promise((resolve) => {
        setTimeout(resolve, 0);
      }); // lets a stop come through
    }
  },
  stop(): void {
    running += 1;
  },
};
export type Scaler = typeof scaler;

expose(scaler);
