import type { Point } from '../../geometry/index.ts';
import type { DeckSection } from './parameters.ts';

/** The starboard half of a section as a curve |y/a|^n + |z/b|^n = 1: half its width, its rise, and how full it is. */
interface Oval {
  readonly a: number;
  readonly b: number;
  readonly n: number;
}

const ovalOf = ({ widthMm, riseMm, fullPercent }: DeckSection): Oval => ({
  a: widthMm / 2,
  b: riseMm,
  n: 2 ** (fullPercent / 50),
});

/**
 * The point of a section whose outward normal leans so far from upright, y to starboard and z over the sills.
 * @param lean in radians, from 0 at the top to π/2 at the sill
 * @source the normal of |y/a|^n + |z/b|^n = 1 is (y^(n-1)/a^n, z^(n-1)/b^n)
 */
export function pointLeaning(section: DeckSection, lean: number): Point {
  const { a, b, n } = ovalOf(section);
  if (lean <= 0) return { x: 0, y: b };
  if (lean >= Math.PI / 2) return { x: a, y: 0 };
  const ratio = (Math.tan(lean) * (a / b) ** n) ** (1 / (n - 1));
  const z = 1 / ((ratio / a) ** n + (1 / b) ** n) ** (1 / n);
  return { x: ratio * z, y: z };
}

/** Points along each section that leans are found from. */
const TABLE = 160;

/** Leans of normals at places that are spread evenly over a section. */
function leansOf(section: DeckSection): readonly number[] {
  const { a, b, n } = ovalOf(section);
  return Array.from({ length: TABLE - 1 }, (_, index) => {
    const angle = ((index + 1) / TABLE) * (Math.PI / 2),
      y = a * Math.sin(angle) ** (2 / n),
      z = b * Math.cos(angle) ** (2 / n);
    return Math.atan2(y ** (n - 1) / a ** n, z ** (n - 1) / b ** n);
  });
}

/**
 * Leans of normals that part two sections into strips of like length and turn, from beside the top to the sill: the first strip straddles the middle.
 * @param count strips of each half
 */
export function evenLeans(fore: DeckSection, aft: DeckSection, count: number): readonly number[] {
  const leans = [0, ...[...leansOf(fore), ...leansOf(aft)].sort((p, q) => p - q), Math.PI / 2];
  const run = (section: DeckSection): readonly number[] => {
    const points = leans.map((lean) => pointLeaning(section, lean));
    let sum = 0;
    return points.map((p, index) => {
      const before = points[Math.max(0, index - 1)]!;
      return (sum += Math.hypot(p.x - before.x, p.y - before.y));
    });
  };
  const [a, b] = [run(fore), run(aft)],
    // Half by length, half by turn: narrow strips where it is bent tightly.
    share = leans.map((lean, index) => (a[index]! / a.at(-1)! + b[index]! / b.at(-1)!) / 4 + lean / Math.PI);
  return Array.from({ length: count + 1 }, (_, step) => {
    if (step === count) return Math.PI / 2;
    const wanted = (step + 0.5) / (count + 0.5),
      at = Math.max(
        1,
        share.findIndex((one) => one >= wanted),
      );
    const [p, q] = [share[at - 1]!, share[at]!];
    return leans[at - 1]! + ((leans[at]! - leans[at - 1]!) * (wanted - p)) / Math.max(1e-12, q - p);
  });
}
