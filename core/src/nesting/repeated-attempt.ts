import type { RandomSource } from '../units/index.ts';
import { Attempt, type AttemptStart, type Spot } from './attempt.ts';
import { disturbed } from './disturbed.ts';

/** Attempts at one goal before it is given up, by the least overlap that one of them came to, in mm: what is far off stays so. */
const ATTEMPTS = [
  { upToMm: 5, attempts: 20 },
  { upToMm: 20, attempts: 10 },
  { upToMm: 40, attempts: 4 },
  { upToMm: 80, attempts: 2 },
] as const;
const attemptsFor = (overlapMm: number): number => ATTEMPTS.find(({ upToMm }) => overlapMm <= upToMm)?.attempts ?? 1;

/** Attempts at one goal: each after the first starts from where one before it came near, with two large pieces exchanged. */
export class RepeatedAttempt {
  private attempt: Attempt;
  /** Where attempts came nearest, the nearest first. */
  private readonly failed: { readonly overlapMm: number; readonly spots: readonly Spot[] }[] = [];
  /** Whether every piece lies free, or undefined while that is open. */
  isSolved: boolean | undefined;

  constructor(
    private readonly start: AttemptStart,
    private readonly random: RandomSource,
    /** How many times as far from its goal it may be and still be gone on with: what saves a board is worth more patience. */
    private readonly patience = 1,
  ) {
    this.attempt = new Attempt(start, random);
  }

  /** Works for about so many moves. */
  run(moves: number): void {
    const { attempt } = this;
    attempt.run(moves);
    if (attempt.isSolved === undefined) return;
    const nearest = attempt.nearest();
    if (attempt.isSolved) this.isSolved = true;
    else if (!nearest) this.isSolved = false;
    else {
      this.failed.push(nearest);
      this.failed.sort((a, b) => a.overlapMm - b.overlapMm);
      if (this.failed.length >= attemptsFor(this.failed[0]!.overlapMm / this.patience)) this.isSolved = false;
      else this.attempt = this.nextAttempt();
    }
  }

  /** Where the pieces lie now. */
  spots(): readonly Spot[] {
    return this.attempt.spots();
  }

  /** Mostly from the nearest, seldom from the farthest. */
  private nextAttempt(): Attempt {
    const { start, random, failed } = this;
    const { spots } = failed[Math.floor(random() * random() * failed.length)]!;
    return new Attempt({ ...start, spots: disturbed(start, spots, random) }, random);
  }
}
