import type { Point } from '../../geometry/index.ts';

/** Largest section file that is read, in characters, and how many points are kept. */
const LARGEST_FILE = 200_000;
const MOST_POINTS = 200;
const LEAST_POINTS = 10;

/** A section that was read: its name, and its points on a chord of 1 from the upper tail round the nose to the lower tail. */
export type ReadSection =
  | { readonly ok: true; readonly name: string; readonly points: readonly number[] }
  | { readonly ok: false; readonly message: string };

const refused = (message: string): ReadSection => ({ ok: false, message });

/**
 * Reads a section from its usual text file: a line of name, then `x y` a line, in one of two orders. Either one run from the upper tail
 * round the nose to the lower tail, or two runs from nose to tail, upper first, after a line with both counts.
 * @param text the file's text; hostile or cut-off files are refused with the line
 */
export function readSection(text: string): ReadSection {
  if (text.length > LARGEST_FILE) return refused('The file is longer than any section.');
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  const rows = lines.flatMap(
    (line, index): readonly { readonly at: number; readonly pair: readonly [number, number] }[] => {
      const words = line.trim().split(/[\s,;]+/);
      const numbers = words.map(Number);
      return words.length === 2 && words[0] !== '' && numbers.every(Number.isFinite)
        ? [{ at: index + 1, pair: [numbers[0]!, numbers[1]!] }]
        : [];
    },
  );
  const named = lines.find((line) => /[a-z]/i.test(line))?.trim() ?? '';
  const name = named.slice(0, 80) || 'Section';
  const counts = rows[0]?.pair;
  const isTwoRuns =
    counts !== undefined &&
    counts[0] > 1.5 &&
    counts.every((count) => Number.isInteger(Math.round(count))) &&
    Math.round(counts[0]) + Math.round(counts[1]) === rows.length - 1;
  const pairs = (isTwoRuns ? rows.slice(1) : rows).map(({ pair }): Point => ({ x: pair[0], y: pair[1] }));
  if (pairs.length < LEAST_POINTS)
    return refused(`A section has at least ${LEAST_POINTS} lines of two numbers, this file has ${pairs.length}.`);
  const round = isTwoRuns
    ? [...pairs.slice(0, Math.round(counts![0])).reverse(), ...pairs.slice(Math.round(counts![0]) + 1)]
    : pairs;
  const xs = round.map(({ x }) => x),
    [least, most] = [Math.min(...xs), Math.max(...xs)],
    chord = most - least;
  if (!(chord > 1e-6)) return refused('All of its points stand at one place along the chord.');
  const unit = round.map(({ x, y }): Point => ({ x: (x - least) / chord, y: y / chord }));
  const far = unit.findIndex(({ y }) => Math.abs(y) > 1);
  if (far >= 0) return refused(`Line ${rows[far]?.at ?? far + 1} lies further from the chord than the chord is long.`);
  const nose = unit.reduce((best, { x }, index) => (x < unit[best]!.x ? index : best), 0);
  if (nose === 0 || nose === unit.length - 1)
    return refused(
      'It does not run round a nose: points go from the upper tail forward, round, and back along the underside.',
    );
  const isOver = (side: readonly Point[]): number => side.reduce((sum, { y }) => sum + y, 0) / side.length;
  const upperFirst = isOver(unit.slice(0, nose)) >= isOver(unit.slice(nose + 1)) ? unit : [...unit].reverse();
  const kept = thinned(withoutTwice(upperFirst));
  return { ok: true, name, points: kept.flatMap(({ x, y }) => [round6(x), round6(y)]) };
}

const round6 = (value: number): number => Math.round(value * 1e6) / 1e6;
const withoutTwice = (points: readonly Point[]): readonly Point[] =>
  points.filter((p, index) => index === 0 || Math.hypot(p.x - points[index - 1]!.x, p.y - points[index - 1]!.y) > 1e-6);
const thinned = (points: readonly Point[]): readonly Point[] => {
  const every = Math.ceil(points.length / MOST_POINTS);
  const nose = points.reduce((best, { x }, index) => (x < points[best]!.x ? index : best), 0);
  return points.filter((_, index) => index % every === 0 || index === nose || index === points.length - 1);
};
