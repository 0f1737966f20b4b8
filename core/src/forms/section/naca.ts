import type { Point } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';

/** Mean line of a five-digit section: its digits, the place where its curvature ends (m) and its slope factor (k1). */
const FIVE_DIGIT_LINES: Readonly<Record<string, readonly [m: number, k1: number]>> = {
  '210': [0.058, 361.4],
  '220': [0.126, 51.64],
  '230': [0.2025, 15.957],
  '240': [0.29, 6.643],
  '250': [0.391, 3.23],
};

/** The mean line's height and slope at a place along a chord of 1. */
type MeanLine = (x: number) => { readonly y: number; readonly slope: number };

/** The least and the greatest thickness that a section may have, as a share of its chord. */
const THINNEST = 0.02;
const THICKEST = 0.4;

/** Why digits name no section, or undefined. */
export function nacaFault(digits: string): string | undefined {
  if (!/^\d{4,5}$/.test(digits)) return `A NACA section has four or five digits, got "${digits}".`;
  const thickness = Number(digits.slice(-2)) / 100;
  if (thickness < THINNEST || thickness > THICKEST)
    return `Its last two digits are the thickness in per cent, 02 to 40, got ${digits.slice(-2)}.`;
  if (digits.length === 5)
    return digits.slice(0, 3) in FIVE_DIGIT_LINES
      ? undefined
      : `Five digits begin with ${Object.keys(FIVE_DIGIT_LINES).join(', ')}, got ${digits.slice(0, 3)}.`;
  const [camber, at] = [Number(digits[0]), Number(digits[1])];
  return (camber === 0) === (at === 0) || camber === 0
    ? undefined
    : `A camber of ${camber} % needs a place: the second digit is its tenth of the chord, 1 to 9.`;
}

function meanLineOf(digits: string): MeanLine {
  if (digits.length === 5) {
    const [m, k1] = FIVE_DIGIT_LINES[digits.slice(0, 3)]!;
    return (x) =>
      x < m
        ? {
            y: (k1 / 6) * (x ** 3 - 3 * m * x ** 2 + m ** 2 * (3 - m) * x),
            slope: (k1 / 6) * (3 * x ** 2 - 6 * m * x + m ** 2 * (3 - m)),
          }
        : { y: ((k1 * m ** 3) / 6) * (1 - x), slope: (-k1 * m ** 3) / 6 };
  }
  const camber = Number(digits[0]) / 100,
    place = Number(digits[1]) / 10;
  if (camber === 0) return () => ({ y: 0, slope: 0 });
  return (x) => {
    const span = x < place ? place : 1 - place;
    return {
      y:
        x < place
          ? (camber / span ** 2) * (2 * place * x - x ** 2)
          : (camber / span ** 2) * (1 - 2 * place + 2 * place * x - x ** 2),
      slope: ((2 * camber) / span ** 2) * (place - x),
    };
  };
}

/** Half thickness of a section at a place along a chord of 1; its tail ends in a point when closed, else 0.21 % of the thickness high. */
const halfThickness = (x: number, thickness: number, isClosed: boolean): number =>
  5 *
  thickness *
  (0.2969 * Math.sqrt(x) - 0.126 * x - 0.3516 * x ** 2 + 0.2843 * x ** 3 - (isClosed ? 0.1036 : 0.1015) * x ** 4);

/**
 * The outer line of a NACA section of four or five digits on a chord of 1.
 * @param digits `2412`, `23012`
 * @param pointsASide points along each side, closer together at nose and tail
 * @param isClosed whether the tail ends in a point
 * @returns from the lower tail round the nose to the upper tail; the nose stands once
 * @source Jacobs, Ward, Pinkerton: NACA report 460 (four digits), Jacobs, Pinkerton: NACA report 537 (five digits); the closed tail by
 * -0.1036 for the last coefficient
 */
export function nacaOutline(digits: string, pointsASide: number, isClosed = true): readonly Point[] {
  const meanLine = meanLineOf(digits),
    thickness = Number(digits.slice(-2)) / 100;
  const side = (sign: 1 | -1): readonly Point[] =>
    Array.from({ length: pointsASide }, (_, index): Point => {
      const x = (1 - Math.cos((radians(180) * (index + 1)) / pointsASide)) / 2;
      const { y, slope } = meanLine(x),
        half = halfThickness(x, thickness, isClosed),
        lean = Math.atan(slope);
      return { x: x - sign * half * Math.sin(lean), y: y + sign * half * Math.cos(lean) };
    });
  return [...[...side(-1)].reverse(), { x: 0, y: 0 }, ...side(1)];
}
