import { MM_PER_INCH, type LengthUnit } from '../../units/index.ts';
import type { TailParameters } from './parameters.ts';

/** The few numbers that a tail starts from. */
export interface TailStart {
  readonly spanMm: number;
  /** Of stabiliser and elevator together, in the middle. */
  readonly chordMm: number;
  readonly heightMm: number;
  readonly elevatorDegrees: number;
  readonly rudderDegrees: number;
  readonly material: string;
}

/** Numbers to begin with. */
export const usualTail = (unit: LengthUnit): Omit<TailStart, 'material'> =>
  unit === 'in'
    ? {
        spanMm: 16 * MM_PER_INCH,
        chordMm: 5.5 * MM_PER_INCH,
        heightMm: 6 * MM_PER_INCH,
        elevatorDegrees: 25,
        rudderDegrees: 30,
      }
    : { spanMm: 400, chordMm: 140, heightMm: 150, elevatorDegrees: 25, rudderDegrees: 30 };

/** What moves, as a share of the chord; and how much narrower tips are. */
const MOVES = 0.32;
const TIP = 0.75;
const rounded = (mm: number): number => Math.round(mm);

/** A tail of four plates: elevator in one piece, the fin on the middle with its rudder just over the elevator. */
export function tailFromNumbers({
  spanMm,
  chordMm,
  heightMm,
  elevatorDegrees,
  rudderDegrees,
  material,
}: TailStart): TailParameters {
  const moving = rounded(MOVES * chordMm),
    fixed = rounded(chordMm - moving),
    tip = rounded(TIP * fixed);
  return {
    material,
    // The hinge is straight: the tip's nose lies back by what its chord is less.
    stabiliser: { spanMm, rootMm: fixed, tipMm: tip, sweepMm: fixed - tip },
    elevator: {
      rootMm: moving,
      tipMm: rounded(TIP * moving),
      upDegrees: elevatorDegrees,
      downDegrees: elevatorDegrees,
      halves: 'one',
      tape: 'top',
      tabMm: 0,
      tabForeMm: 0,
      joinerMm: 1.5,
      hornMm: 20,
    },
    fin: {
      place: 'middle',
      aftMm: rounded(0.25 * fixed),
      heightMm,
      rootMm: rounded(0.75 * fixed),
      tipMm: rounded(0.4 * fixed),
      sweepMm: rounded(0.35 * fixed),
      belowMm: 0,
      hasTab: true,
    },
    rudder: {
      rootMm: rounded(1.1 * moving),
      tipMm: rounded(0.8 * moving),
      travelDegrees: rudderDegrees,
      footMm: 3,
      tabMm: 0,
      tabForeMm: 0,
      hornMm: rounded(0.25 * heightMm),
    },
    yields: 'elevator',
    gapMm: 1.5,
  };
}
