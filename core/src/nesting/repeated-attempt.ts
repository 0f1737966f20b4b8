import type { RandomSource } from '../units/index.ts';
import { Attempt, QUICK, type AttemptStart, type Manner, type Spot } from './attempt.ts';
import { disturbed } from './disturbed.ts';
import { FINE_ROWS } from './pose-set.ts';

/** Attempts at one goal before it is given up, by the least overlap that one of them came to, in mm: what is far off stays so. */
const ATTEMPTS = [
  { upToMm: 5, attempts: 20 },
  { upToMm: 20, attempts: 10 },
  { upToMm: 40, attempts: 4 },
  { upToMm: 80, attempts: 2 },
] as const;
const attemptsFor = (overlapMm: number): number => ATTEMPTS.find(({ upToMm }) => overlapMm <= upToMm)?.attempts ?? 1;

/** What comes so near is given a last touch on finer rows, in mm of overlap. */
const NEARLY_FREE_MM = 2.5;

/** How much a goal is worth trying for. */
export interface Worth {
  /** How many times as far from it an attempt may be and still be gone on with. */
  readonly patience: number;
  readonly manner: Manner;
}
const USUAL: Worth = { patience: 1, manner: QUICK };

/**
 * Attempts at one goal: each after the first starts from where one before it came near, with two large pieces exchanged. What nearly lies free
 * is moved on finer rows.
 */
export class RepeatedAttempt {
  private attempt: Attempt;
  /** The attempt on finer rows, while what nearly lies free is given its last touch. */
  private lastTouch: Attempt | undefined;
  /** Where attempts came nearest, the nearest first. */
  private readonly failed: { readonly overlapMm: number; readonly spots: readonly Spot[] }[] = [];
  /** Whether every piece lies free, or undefined while that is open. */
  isSolved: boolean | undefined;

  constructor(
    private readonly start: AttemptStart,
    private readonly random: RandomSource,
    private readonly worth: Worth = USUAL,
  ) {
    this.attempt = new Attempt(start, random, worth.manner);
  }

  /** Works for about so many moves. */
  run(moves: number): void {
    const under = this.lastTouch ?? this.attempt;
    under.run(moves);
    if (under.isSolved === undefined) return;
    const nearest = this.attempt.nearest();
    if (under.isSolved) this.isSolved = true;
    else if (!nearest) this.isSolved = false;
    else if (under === this.attempt && nearest.overlapMm < NEARLY_FREE_MM) this.lastTouch = this.touched(nearest.spots);
    else this.goOnFrom(nearest);
  }

  /** Where the pieces lie now. */
  spots(): readonly Spot[] {
    if (!this.lastTouch) return this.attempt.spots();
    return this.lastTouch.spots().map((spot) => ({ ...spot, row: spot.row / FINE_ROWS }));
  }

  private touched(spots: readonly Spot[]): Attempt {
    const { start, random } = this;
    const fine = spots.map((spot) => ({ ...spot, row: spot.row * FINE_ROWS }));
    return new Attempt({ ...start, poses: start.poses.finer(), spots: fine }, random);
  }

  private goOnFrom(nearest: NonNullable<ReturnType<Attempt['nearest']>>): void {
    const { failed, worth } = this;
    this.lastTouch = undefined;
    failed.push(nearest);
    failed.sort((a, b) => a.overlapMm - b.overlapMm);
    if (failed.length >= attemptsFor(failed[0]!.overlapMm / worth.patience)) this.isSolved = false;
    else this.attempt = this.nextAttempt();
  }

  /** Mostly from the nearest, seldom from the farthest. */
  private nextAttempt(): Attempt {
    const { start, random, failed, worth } = this;
    const { spots } = failed[Math.floor(random() * random() * failed.length)]!;
    return new Attempt({ ...start, spots: disturbed(start, spots, random) }, random, worth.manner);
  }
}
