import { MM_PER_INCH, type LengthUnit } from '../../units/index.ts';
import type { RoundParameters, RoundRing, RoundStation } from './parameters.ts';

/** The few numbers that a round starts from. */
export interface RoundStart {
  readonly lengthMm: number;
  /** Across, outside: where it is widest, at the nose, and at the tail. */
  readonly acrossMm: number;
  readonly noseMm: number;
  readonly tailMm: number;
  readonly frusta: number;
  readonly material: string;
}

/** Numbers to begin with: a pod of four frusta. */
export const usualRound = (unit: LengthUnit): Omit<RoundStart, 'material'> =>
  unit === 'in'
    ? {
        lengthMm: 14 * MM_PER_INCH,
        acrossMm: 4 * MM_PER_INCH,
        noseMm: 2.5 * MM_PER_INCH,
        tailMm: 2 * MM_PER_INCH,
        frusta: 4,
      }
    : { lengthMm: 360, acrossMm: 100, noseMm: 62, tailMm: 48, frusta: 4 };

/** Where along it a round is widest, as a share of its length. */
const WIDEST = 0.35;
const RIM_MM = 12;
const rounded = (mm: number): number => Math.round(mm * 10) / 10;

/** A pod: from its nose to the widest place and on to its tail along a smooth line, with a ring within either end. A tube where all are one. */
export function roundFromNumbers(
  { lengthMm, acrossMm, noseMm, tailMm, frusta, material }: RoundStart,
  boardMm: number,
): RoundParameters {
  const isTube = noseMm === acrossMm && tailMm === acrossMm;
  const station = (id: string, aftMm: number, across: number): RoundStation => ({
    id,
    aftMm: rounded(aftMm),
    acrossMm: rounded(across),
  });
  const rings = [0, lengthMm - boardMm].map((aftMm, index): RoundRing => ({
    id: `g${index + 1}`,
    aftMm: rounded(aftMm),
    rimMm: RIM_MM,
  }));
  const middle = WIDEST * lengthMm;
  return {
    material,
    stations: isTube
      ? [station('q1', 0, acrossMm), station('q2', lengthMm, acrossMm)]
      : [station('q1', 0, noseMm), station('q2', middle, acrossMm), station('q3', lengthMm, tailMm)],
    profile: isTube ? 'straight' : 'curved',
    frusta: isTube ? 1 : frusta,
    skins: 'outer',
    seam: 'below',
    rings,
  };
}
