import { MEASURE_LINES, measureLine, type MeasureKey, type MeasuredModel } from './measured-model.ts';

/** A length that is the sum of others, some of them taken off. */
interface Sum {
  readonly whole: MeasureKey;
  readonly parts: readonly (readonly [key: MeasureKey, times: number])[];
}
const SUMS: readonly Sum[] = [
  {
    whole: 'wingToTail',
    parts: [
      ['rootChord', 1],
      ['wingEndToTail', 1],
    ],
  },
  {
    whole: 'overall',
    parts: [
      ['noseToWing', 1],
      ['wingToTail', 1],
      ['tailChord', 1],
      ['tailToEnd', 1],
    ],
  },
  {
    whole: 'overall',
    parts: [
      ['noseToWing', 1],
      ['rootChord', 1],
      ['wingEndToTail', 1],
      ['tailChord', 1],
      ['tailToEnd', 1],
    ],
  },
  { whole: 'span', parts: [['halfSpan', 2]] },
];

/** Lengths that do not add up. */
export interface Contradiction {
  readonly whole: MeasureKey;
  readonly parts: readonly MeasureKey[];
  readonly measuredMm: number;
  readonly addedMm: number;
  /** What a careful hand may be off in all of them together. */
  readonly toleranceMm: number;
  readonly told: 'sum' | 'order';
}

/** A length that would be right at another number: with it all sums would close that do not close now. */
export interface Suspect {
  readonly key: MeasureKey;
  readonly measuredMm: number;
  readonly fitsAtMm: number;
  /** Sums that it is in and that speak against it. */
  readonly against: number;
}

const sumsOf = (
  lengths: MeasuredModel['lengths'],
): readonly { readonly sum: Sum; readonly measured: number; readonly added: number; readonly tolerance: number }[] =>
  SUMS.flatMap((sum) => {
    const measured = lengths[sum.whole],
      parts = sum.parts.map(([key, times]) => ({ key, times, mm: lengths[key] }));
    if (measured === undefined || parts.some(({ mm }) => mm === undefined)) return [];
    const added = parts.reduce((total, { times, mm }) => total + times * mm!, 0);
    // Errors of independent measures add up by their squares.
    const tolerance = Math.hypot(
      measureLine(sum.whole).toleranceMm,
      ...parts.map(({ key, times }) => times * measureLine(key).toleranceMm),
    );
    return [{ sum, measured, added, tolerance }];
  });

/** Every sum that does not close within what hands may be off, and lengths that cannot be in the order that they are in. */
export function contradictions({ lengths }: MeasuredModel): readonly Contradiction[] {
  const sums = sumsOf(lengths)
    .filter(({ measured, added, tolerance }) => Math.abs(measured - added) > tolerance)
    .map(({ sum, measured, added, tolerance }): Contradiction => ({
      whole: sum.whole,
      parts: sum.parts.map(([key]) => key),
      measuredMm: measured,
      addedMm: added,
      toleranceMm: tolerance,
      told: 'sum',
    }));
  const bounds = (
    [
      ['overall', ['noseToWing', 'rootChord']],
      ['overall', ['noseToAxle']],
      ['span', ['bodyWidth']],
      ['span', ['track']],
    ] as const
  ).flatMap(([whole, parts]): readonly Contradiction[] => {
    const measured = lengths[whole],
      values = parts.map((key) => lengths[key]);
    if (measured === undefined || values.some((value) => value === undefined)) return [];
    const added = values.reduce<number>((total, value) => total + value!, 0);
    return added > measured
      ? [{ whole, parts, measuredMm: measured, addedMm: added, toleranceMm: 0, told: 'order' }]
      : [];
  });
  return [...sums, ...bounds];
}

/**
 * The lengths that may be wrong, the likeliest first: one that stands in every sum that does not close, and in none that does, and that
 * would close them all at one number.
 */
export function suspects({ lengths }: MeasuredModel): readonly Suspect[] {
  const sums = sumsOf(lengths),
    open = sums.filter(({ measured, added, tolerance }) => Math.abs(measured - added) > tolerance);
  if (open.length === 0) return [];
  const timesIn = (sum: Sum, key: MeasureKey): number =>
    sum.whole === key ? -1 : sum.parts.reduce((total, [one, times]) => total + (one === key ? times : 0), 0);
  return MEASURE_LINES.flatMap(({ key }): readonly Suspect[] => {
    const now = lengths[key];
    if (now === undefined) return [];
    const inOpen = open.filter(({ sum }) => timesIn(sum, key) !== 0),
      inClosed = sums.filter((one) => !open.includes(one) && timesIn(one.sum, key) !== 0);
    if (inOpen.length === 0 || inClosed.length > 0) return [];
    // What the length would have to be for each of the open sums.
    const wanted = inOpen.map(({ sum, measured, added }) => now + (measured - added) / timesIn(sum, key));
    const spread = Math.max(...wanted) - Math.min(...wanted),
      tolerance = Math.max(...inOpen.map((one) => one.tolerance));
    if (spread > 2 * tolerance) return [];
    const fitsAtMm = Math.round((wanted.reduce((total, one) => total + one, 0) / wanted.length) * 10) / 10;
    return [{ key, measuredMm: now, fitsAtMm, against: inOpen.length }];
  }).sort((a, b) => b.against - a.against);
}
