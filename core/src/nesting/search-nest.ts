import { defined, seededRandom } from '../units/index.ts';
import { isBetter, scored, type ScoredLayout } from './effective-boards.ts';
import type { NestInstance, NestLayout } from './instance.ts';
import { joinedInstance } from './joined-pairs.ts';
import { nestPiece } from './nest-piece.ts';
import { bestOfOrders, partAreas, usualPitch } from './order-search.ts';
import { searchParts, type SearchOptions, type SearchStep } from './search-parts.ts';

/**
 * Searches for a nest without end and yields the best so far after each step, never a worse one; the caller stops it. Pairs that are cut
 * side by side are laid as one. Where something has no place in the first whole nest pairs are given up for it: all pieces placed comes first.
 * A nest to start from counts where its pairs lie side by side.
 */
export function* searchNest(instance: NestInstance, options: SearchOptions): Generator<SearchStep, never> {
  const { sideBySide = [], ...single } = instance;
  if (sideBySide.length === 0) return yield* searchParts(single, options);
  const pitchMm = usualPitch(instance);
  const areas = partAreas(
    instance,
    instance.parts.map((part) => nestPiece(part, instance.clearance, pitchMm)),
  );
  let best: ScoredLayout | undefined,
    tried = 0,
    hasBegun = false;
  const step = (found: ScoredLayout | undefined, isGrowing: boolean): SearchStep => {
    const improved = found !== undefined && (!best || isBetter(found.score, best.score));
    if (improved) best = found;
    tried += 1;
    hasBegun ||= !isGrowing;
    return { tried, ...best!, improved, isGrowing: !hasBegun };
  };
  const { start, ...rest } = options;
  const apart = new Set<string>();
  let isSettled = false;
  for (;;) {
    const { instance: joined, pairs, parted, rejoined } = joinedInstance(instance, apart);
    const joinedStart = start && rejoined(start);
    for (const found of searchParts(joined, { ...rest, ...defined({ start: joinedStart }) })) {
      yield step(found.improved ? scored(instance, parted(found.layout), areas) : undefined, found.isGrowing);
      if (found.isGrowing || isSettled || pairs.size === 0) continue;
      const homeless = found.layout.unplaced.filter(({ partId }) => pairs.has(partId));
      for (const { partId } of homeless) apart.add(partId);
      if (homeless.length > 0) break;
      isSettled = true;
      if (found.layout.unplaced.length === 0) continue;
      // Something else has no place: perhaps it has one where pairs need not lie together.
      const freed = scored(instance, firstWhole(single, rest), areas);
      if (freed.score.unplacedMm2 >= best!.score.unplacedMm2) continue;
      yield step(freed, false);
      for (const id of pairs.keys()) apart.add(id);
      break;
    }
  }
}

function firstWhole(instance: NestInstance, options: SearchOptions): NestLayout {
  const search = searchParts(instance, options);
  let step = search.next().value;
  while (step.isGrowing) step = search.next().value;
  return step.layout;
}

/** Nests in a fixed number of orders and returns the best: quick, for what is nested in passing. Pairs are not minded. */
export function nest(instance: NestInstance, options: SearchOptions & { readonly steps: number }): ScoredLayout {
  return bestOfOrders(instance, options, seededRandom(options.seed));
}
