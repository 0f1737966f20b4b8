import { searchAirframeNest, squared } from '@grain-fold/core/airframe';
import type { NestSearch, NestTold } from './nest-search.ts';

/** How often a search tells how it stands, in ms. */
const TELL_EVERY_MS = 500;

/**
 * Searches for so long or until it is to end, and yields how it stands a few times a second, and at the end.
 * @param isToEnd asked after each step
 */
export function* toldSearch(
  { airframe, seed, scope, seconds }: NestSearch,
  isToEnd: () => boolean,
): Generator<NestTold, void> {
  const start = performance.now();
  let told = -Infinity,
    isNews = false;
  for (const { nest, tried, score, improved } of searchAirframeNest(airframe, seed, scope)) {
    const now = performance.now();
    isNews ||= improved;
    const isLast = isToEnd() || now - start >= seconds * 1000;
    if (!isLast && now - told < TELL_EVERY_MS) continue;
    told = now;
    // At the end pieces are laid square where that costs nothing.
    const news = isLast ? { nest: squared(airframe, nest, scope.board) } : isNews ? { nest } : {};
    yield { ...news, tried, score, seconds: (now - start) / 1000 };
    isNews = false;
    if (isLast) return;
  }
}
