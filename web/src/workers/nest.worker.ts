import { expose } from 'comlink';
import { searchAirframeNest, squared, type AirframeNest, type NestScope } from '@grain-fold/core/airframe';
import type { NestScore } from '@grain-fold/core/nesting';
import { AirframeKeeper, type AirframeChange } from './kept-airframe.ts';

/** How a search stands. */
export interface NestProgress {
  /** The best nest, told when it is better than the one told before. */
  readonly nest?: AirframeNest;
  readonly tried: number;
  readonly score: NestScore;
  readonly seconds: number;
}

/** How a search ended: always with its best nest. */
export interface NestResult extends NestProgress {
  readonly nest: AirframeNest;
}

const keeper = new AirframeKeeper();
const TELL_EVERY_MS = 150;
/** The search that runs; a stop or a newer search ends the one before. */
let running = 0;

/** Searches a nest for so many steps or until it is stopped; either way the best so far is the result. */
const nester = {
  async search(
    change: AirframeChange,
    seed: number,
    tries: number,
    scope: NestScope,
    onProgress: (progress: NestProgress) => void,
  ): Promise<NestResult> {
    const airframe = keeper.take(change);
    const own = ++running;
    const start = performance.now();
    let told = -Infinity;
    let isNews = false;
    for (const { nest, tried, score, improved, isGrowing } of searchAirframeNest(airframe, seed, scope)) {
      const now = performance.now();
      const figures = { tried, score, seconds: (now - start) / 1000 };
      isNews ||= improved;
      if (own !== running || (tried >= tries && !isGrowing))
        return { nest: squared(airframe, nest, scope.board), ...figures };
      if (now - told < TELL_EVERY_MS) continue;
      told = now;
      onProgress(isNews ? { nest, ...figures } : figures);
      isNews = false;
      await new Promise((resolve) => {
        setTimeout(resolve, 0);
      }); // lets a stop come through
    }
    throw new Error('a search has no end of its own');
  },
  stop(): void {
    running += 1;
  },
};
export type Nester = typeof nester;

expose(nester);
