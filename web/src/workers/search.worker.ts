import { expose } from 'comlink';
import {
  nestAdvice,
  searchPages,
  solveScale,
  type NestAdviceStep,
  type PageSearch,
  type ScaleGoal,
  type ScaleSearch,
} from '@grain-fold/core/airframe';
import { AirframeKeeper, type AirframeChange } from './kept-airframe.ts';

const keeper = new AirframeKeeper();
/** The search that runs; a stop or a newer search ends the one before. */
let running = 0;

/** Runs a search step by step: each is told as it is found, and a stop keeps the best. */
async function told<Step>(search: Generator<Step, Step>, onProgress: (step: Step) => void): Promise<Step> {
  const own = ++running;
  for (;;) {
    const { value, done } = search.next();
    if (done || own !== running) return value;
    onProgress(value);
    await new Promise((resolve) => {
      setTimeout(resolve, 0);
    }); // lets a stop come through
  }
}

/** Searches that lay the airframe out many times over. */
const searcher = {
  solve: (change: AirframeChange, goal: ScaleGoal, onProgress: (search: ScaleSearch) => void): Promise<ScaleSearch> =>
    told(solveScale(keeper.take(change), goal), onProgress),
  pages: (change: AirframeChange, onProgress: (search: PageSearch) => void): Promise<PageSearch> =>
    told(searchPages(keeper.take(change)), onProgress),
  advice: (change: AirframeChange, seed: number, onProgress: (step: NestAdviceStep) => void): Promise<NestAdviceStep> =>
    told(nestAdvice(keeper.take(change), seed), onProgress),
  stop(): void {
    running += 1;
  },
};
export type Searcher = typeof searcher;

expose(searcher);
