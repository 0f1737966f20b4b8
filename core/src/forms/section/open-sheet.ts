import type { Point } from '../../geometry/index.ts';
import type { SectionPlate, SkinSection } from './section.ts';

/** Strips that a cambered plate is drawn as. */
const CAMBER_STRIPS = 12;

const open = (corners: readonly Point[], plates: readonly SectionPlate[]): SkinSection => ({
  corners,
  plates,
  tailBevels: { lowDegrees: 0, topDegrees: 0 },
  isOpen: true,
});

/** A flat plate: its underside from the tail to the nose. */
export const flatSheet = (chordMm: number): SkinSection =>
  open(
    [
      { x: chordMm, y: 0 },
      { x: 0, y: 0 },
    ],
    [{ role: 'bottom' }],
  );

/**
 * Height of a camber line on a chord of 1.
 * @param height greatest height, and where it lies, as shares of the chord
 * @source the mean line of the four-digit sections: two parabolas that meet level at the highest place
 */
export const camberAt = (height: number, at: number, x: number): number =>
  x < at ? (height / at ** 2) * (2 * at * x - x * x) : (height / (1 - at) ** 2) * (1 - 2 * at + 2 * at * x - x * x);

/**
 * A plate rolled to a camber: its underside from the tail to the nose, as fine strips whose corners lie on the camber line.
 * @param height and `at` as shares of the chord
 * @param flatTail share of the chord before the tail that is not rolled: a control lies there
 */
export function camberedSheet(chordMm: number, height: number, at: number, flatTail: number): SkinSection {
  const from = 1 - flatTail;
  const corners = Array.from({ length: CAMBER_STRIPS + 1 }, (_, index): Point => {
    const x = from * (1 - index / CAMBER_STRIPS);
    return { x: x * chordMm, y: camberAt(height, at, x) * chordMm };
  });
  const all = flatTail > 0 ? [{ x: chordMm, y: 0 }, ...corners] : corners;
  const plates = all
    .slice(1)
    .map((_, index): SectionPlate => ({ role: `low-${all.length - 1 - index}`, isBent: true }));
  return { ...open(all, plates), tightestMm: tightest(chordMm, height, at) };
}

/** Corners of a solid section on each of its sides: enough to see it by. */
const SOLID_CORNERS = 18;

/**
 * A section of foam all through, from the lower tail round the nose to the upper tail.
 * @param outline on a chord of 1, the same way round
 */
export function solidSection(outline: readonly Point[], chordMm: number): SkinSection {
  const step = Math.max(1, Math.floor(outline.length / (2 * SOLID_CORNERS))),
    nose = outline.reduce((best, p, index) => (p.x < outline[best]!.x ? index : best), 0);
  const kept = outline.filter((_, index) => index === outline.length - 1 || (index - nose) % step === 0 || index === 0);
  const at = kept.indexOf(outline[nose]!);
  return {
    corners: kept.map(({ x, y }) => ({ x: x * chordMm, y: y * chordMm })),
    plates: kept
      .slice(1)
      .map((_, index) => ({ role: index < at ? `low-${at - index}` : `top-${index - at + 1}`, isBent: true })),
    tailBevels: { lowDegrees: 0, topDegrees: 0 },
    isSolid: true,
  };
}

/** Smallest radius of a camber line: each parabola curves by 2·height/at² where it is level. */
const tightest = (chordMm: number, height: number, at: number): number =>
  (chordMm * Math.min(at, 1 - at) ** 2) / (2 * height);
