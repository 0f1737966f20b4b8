import { expose } from 'comlink';
import { searchAirframeNest, type Airframe, type AirframeNest } from '@grain-fold/core/airframe';

/** How a search stands. */
export interface NestProgress {
  readonly nest: AirframeNest;
  readonly tried: number;
  readonly effectiveBoards: number;
  readonly seconds: number;
}

const TELL_EVERY_MS = 150;
let stopped = false;

/** Searches a nest until it has tried enough orders or is stopped; either way the best so far is the result. */
const nester = {
  async search(airframe: Airframe, seed: number, tries: number, onProgress: (progress: NestProgress) => void): Promise<NestProgress> {
    stopped = false;
    const start = performance.now();
    let told = -Infinity;
    for (const { nest, tried, effectiveBoards } of searchAirframeNest(airframe, seed)) {
      const now = performance.now();
      const progress = { nest, tried, effectiveBoards, seconds: (now - start) / 1000 };
      if (stopped || tried >= tries) return progress;
      if (now - told < TELL_EVERY_MS) continue;
      told = now;
      onProgress(progress);
      await new Promise((resolve) => { setTimeout(resolve, 0); }); // lets a stop come through
    }
    throw new Error('a search has no end of its own');
  },
  stop(): void {
    stopped = true;
  },
};
export type Nester = typeof nester;

expose(nester);
