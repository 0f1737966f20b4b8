import { isBetter, scored, type ScoredLayout } from './effective-boards.ts';
import type { NestInstance, NestLayout } from './instance.ts';
import { nestPiece } from './nest-piece.ts';
import { partAreas, usualPitch } from './order-search.ts';
import { searchNest } from './search-nest.ts';
import type { SearchOptions, SearchStep } from './search-parts.ts';

/** Most sets that are laid out together to be repeated. */
const MOST_TOGETHER = 6;

/** An instance with every part so many times. */
const timesParts = (one: NestInstance, times: number): NestInstance => ({
  ...one,
  parts: one.parts.map((part) => ({ ...part, quantity: part.quantity * times })),
});

/** A nest laid out so many times over, board by board. */
const repeated = ({ boards, unplaced, seconds }: NestLayout, times: number): NestLayout => ({
  boards: boards.flatMap((board) => Array.from({ length: times }, () => board)),
  unplaced: unplaced.map(({ partId, quantity }) => ({ partId, quantity: quantity * times })),
  seconds,
});

/**
 * Searches for a nest of many sets that are alike, without end: all sets as one nest, and, turn about, a few sets laid out to be repeated over and
 * over, which are cut from the same drawing each time. A nest that repeats itself is preferred where it takes no more boards: of one that does
 * not, the rest of the last board counts for nothing, so that its effective boards are whole.
 * @param one what one set is; boards as many as there are for all of them
 * @param sets 2 or more
 */
export function* searchSets(one: NestInstance, sets: number, options: SearchOptions): Generator<SearchStep, never> {
  const all = timesParts(one, sets),
    pitchMm = usualPitch(all);
  const areas = partAreas(
    all,
    all.parts.map((part) => nestPiece(part, all.clearance, pitchMm)),
  );
  const whole = searchNest(all, options);
  const together = Array.from({ length: MOST_TOGETHER }, (_, index) => index + 1)
    .filter((count) => sets % count === 0 && count < sets)
    .flatMap((count) => {
      const boards = one.boards
        .map((board) => ({ ...board, count: Math.floor((board.count * count) / sets) }))
        .filter((board) => board.count > 0);
      if (boards.length === 0) return [];
      const { start: _start, ...fresh } = options;
      return [{ times: sets / count, search: searchNest({ ...timesParts(one, count), boards }, fresh) }];
    });
  let best: (ScoredLayout & Pick<SearchStep, 'isGrowing'>) | undefined;
  for (let tried = 1; ; tried++) {
    const { layout, score, isGrowing } = whole.next().value;
    const found = [{ layout, score: { ...score, effectiveBoards: layout.boards.length }, isGrowing }];
    const turn = together[tried % Math.max(1, together.length)];
    if (turn) {
      const few = turn.search.next().value;
      found.push({ ...scored(all, repeated(few.layout, turn.times), areas), isGrowing: few.isGrowing });
    }
    let improved = false;
    for (const next of found) {
      if (best && !isBetter(next.score, best.score)) continue;
      best = next;
      improved = true;
    }
    yield { tried, ...best!, improved };
  }
}
