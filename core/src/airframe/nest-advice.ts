import { isBetter, type NestScore } from '../nesting/index.ts';
import type { Part } from '../part/index.ts';
import { TURN_STEPS, type TurnStep } from '../stock/index.ts';
import type { Airframe, AirframeNest } from './airframe.ts';
import { piecesToNest } from './funnel.ts';
import { searchAirframeNest } from './nest-airframe.ts';

/** One thing that could be let go to save foam. */
export type NestChange =
  | { readonly kind: 'grain'; readonly partIds: readonly string[] }
  | { readonly kind: 'apart' }
  | { readonly kind: 'turns'; readonly turnStep: TurnStep }
  | { readonly kind: 'freely' }
  | { readonly kind: 'clearance'; readonly clearanceMm: number }
  | { readonly kind: 'margin'; readonly edgeMarginMm: number };

/** What a change was tried to come to, beside the nest as it is. */
export interface NestAdvice {
  readonly change: NestChange;
  readonly score: NestScore;
  /** Effective boards that it saves; none where it came to nothing better. */
  readonly savedBoards: number;
  /** The nest that was found with it. */
  readonly nest: AirframeNest;
}

/** How the trying stands. */
export interface NestAdviceStep {
  readonly tried: number;
  readonly of: number;
  /** What saves something, the most first. */
  readonly found: readonly NestAdvice[];
}

/** Steps that each change is tried for: as the nest it is held against, from nothing. */
const STEPS = 40;
/** Parts that a grain holds, the largest first, that are tried one by one. */
const MOST_PARTS = 5;
/** What saves less than this of a board is not worth a change. */
const LEAST_SAVED = 0.03;

/** An airframe with a change made. */
export function withChange(airframe: Airframe, change: NestChange): Airframe {
  const nestWith = (changes: Partial<Airframe['settings']['nest']>): Airframe => ({
    ...airframe,
    settings: { ...airframe.settings, nest: { ...airframe.settings.nest, ...changes } },
  });
  switch (change.kind) {
    case 'grain':
      return {
        ...airframe,
        parts: airframe.parts.map((part) => (change.partIds.includes(part.id) ? freed(part) : part)),
      };
    case 'apart': {
      const { sideBySide: _pairs, ...nest } = airframe.settings.nest;
      return { ...airframe, settings: { ...airframe.settings, nest } };
    }
    case 'turns':
      return nestWith({ turnStep: change.turnStep });
    case 'freely':
      return nestWith({ turnsFreely: true });
    case 'clearance':
      return nestWith({ clearanceMm: change.clearanceMm });
    case 'margin':
      return nestWith({ edgeMarginMm: change.edgeMarginMm });
  }
}

/** A part that may lie any way; one that a form makes keeps it so. */
function freed(part: Part): Part {
  const free: Part = { ...part, grain: { ...part.grain, rule: 'any' } };
  if (!part.source || part.source.own?.includes('grain')) return free;
  return { ...free, source: { ...part.source, own: [...(part.source.own ?? []), 'grain'] } };
}

const turnsToTry = ({ turnStep, turnsFreely }: Airframe['settings']['nest']): readonly NestChange[] => [
  ...TURN_STEPS.filter((step) => step < turnStep && step >= 30).map(
    (step) => ({ kind: 'turns', turnStep: step }) as const,
  ),
  ...(turnsFreely ? [] : [{ kind: 'freely' as const }]),
];

/** The changes that are worth trying on an airframe. */
function changesOf(airframe: Airframe): readonly NestChange[] {
  const { clearanceMm, edgeMarginMm, sideBySide } = airframe.settings.nest;
  const areas = new Map<string, number>();
  for (const { part, quantity } of piecesToNest(airframe))
    areas.set(part.id, (areas.get(part.id) ?? 0) + part.areaMm2 * quantity);
  const grained = airframe.boards.some(({ grain, count }) => grain !== 'none' && count > 0);
  const held = airframe.parts
    .filter(({ id, grain }) => grained && grain.rule !== 'any' && areas.has(id))
    .sort((a, b) => areas.get(b.id)! - areas.get(a.id)!)
    .map(({ id }) => id);
  const isAnyFree = !grained || airframe.parts.some(({ id, grain }) => grain.rule === 'any' && areas.has(id));
  return [
    ...held.slice(0, MOST_PARTS).map((id): NestChange => ({ kind: 'grain', partIds: [id] })),
    ...(held.length > 1 ? [{ kind: 'grain' as const, partIds: held }] : []),
    ...(sideBySide ? [{ kind: 'apart' as const }] : []),
    ...(isAnyFree ? turnsToTry(airframe.settings.nest) : []),
    ...(clearanceMm > 1 ? [{ kind: 'clearance' as const, clearanceMm: clearanceMm / 2 }] : []),
    ...(edgeMarginMm > 1 ? [{ kind: 'margin' as const, edgeMarginMm: edgeMarginMm / 2 }] : []),
  ];
}

/**
 * Finds out by trying what holds a nest back: each thing that could be let go is let go, and the airframe is nested with it from nothing. What
 * is told to save something does so beside the kept nest, not only beside a search as short.
 */
export function* nestAdvice(airframe: Airframe, seed: number): Generator<NestAdviceStep, NestAdviceStep> {
  const changes = changesOf(airframe);
  let kept = searched(airframe, seed).score;
  if (airframe.nest) {
    const { score } = searchAirframeNest(airframe, seed, {}).next().value;
    if (isBetter(score, kept)) kept = score;
  }
  let found: readonly NestAdvice[] = [];
  for (const [tried, change] of changes.entries()) {
    yield { tried, of: changes.length, found };
    const { score, nest } = searched(withChange(airframe, change), seed);
    const savedBoards = kept.effectiveBoards - score.effectiveBoards;
    const isSaving = isBetter(score, kept) && (score.unplacedMm2 < kept.unplacedMm2 || savedBoards >= LEAST_SAVED);
    if (isSaving) found = [...found, { change, score, savedBoards, nest }].sort(bySaving);
  }
  return { tried: changes.length, of: changes.length, found };
}

const bySaving = (a: NestAdvice, b: NestAdvice): number => (isBetter(a.score, b.score) ? -1 : 1);

function searched(airframe: Airframe, seed: number): { readonly score: NestScore; readonly nest: AirframeNest } {
  const search = searchAirframeNest(airframe, seed);
  let step = search.next().value;
  while (step.tried < STEPS || step.isGrowing) step = search.next().value;
  return step;
}
