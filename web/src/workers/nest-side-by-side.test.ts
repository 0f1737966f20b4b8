import type { AirframeNest } from '@grain-fold/core/airframe';
import { nestSideBySide, type SeededSearch } from './nest-side-by-side.ts';
import type { NestProgress, NestResult } from './nest.worker.ts';

const result = (name: string, effectiveBoards: number, unplacedMm2 = 0): NestResult => ({
  nest: { readHash: name } as AirframeNest,
  tried: 10,
  score: { unplacedMm2, cost: 4, effectiveBoards },
  seconds: 2,
});
/** A search that tells the given states, some time later each, and ends with the last. */
const told =
  (states: readonly NestResult[], everyMs: number): SeededSearch =>
  async (_, onProgress) => {
    for (const state of states) {
      await new Promise((resolve) => {
        setTimeout(resolve, everyMs);
      });
      onProgress(state);
    }
    return states.at(-1)!;
  };

test('of searches side by side the best is kept, whichever ends first; what is told never gets worse', async () => {
  const heard: NestProgress[] = [];
  const found = await nestSideBySide(
    [
      told([result('a1', 3.5), result('a2', 2.8)], 9),
      told([result('b1', 2.9, 50), result('b2', 2.8)], 1),
      told([result('c1', 3.1), result('c2', 3)], 3),
    ],
    7,
    (progress) => heard.push(progress),
  );
  expect(found.nest.readHash).toBe('a2'); // as good as b2, and first of the searches
  expect(found.tried).toBe(30);
  const boards = heard
    .filter(({ nest }) => nest)
    .map(({ score }) => [score.unplacedMm2, score.effectiveBoards] as const);
  boards.slice(1).forEach(([unplaced, effective], at) => {
    const [unplacedBefore, before] = boards[at]!;
    expect(unplaced < unplacedBefore || (unplaced === unplacedBefore && effective < before)).toBe(true);
  });
});

test('a search that fails costs only its own nest; when all fail, it is told why', async () => {
  const fails: SeededSearch = async () => Promise.reject(new Error('out of memory'));
  const found = await nestSideBySide([fails, told([result('b', 2)], 1)], 1, () => undefined);
  expect(found.nest.readHash).toBe('b');
  await expect(nestSideBySide([fails, fails], 1, () => undefined)).rejects.toThrow('out of memory');
});

test('every search has a seed of its own, the same each time', async () => {
  const seeds: number[] = [];
  const search: SeededSearch = async (seed) => {
    seeds.push(seed);
    return Promise.resolve(result('x', 1));
  };
  await nestSideBySide([search, search, search], 4_294_967_295, () => undefined);
  await nestSideBySide([search, search, search], 4_294_967_295, () => undefined);
  expect(new Set(seeds.slice(0, 3)).size).toBe(3);
  expect(seeds.slice(3)).toEqual(seeds.slice(0, 3));
  expect(seeds.every((seed) => seed >= 0 && seed <= 4_294_967_295)).toBe(true);
});
