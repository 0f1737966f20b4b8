import { smoothCurve, type Path, type Point } from '../../geometry/index.ts';
import type { ReadResult } from '../drawing.ts';

const MOST_POINTS = 5000;
/** Ends this far apart are one, in chords. */
const SAME = 1e-9;

/** The two numbers of a line of text, or undefined. */
function pairIn(line: string): Point | undefined {
  const words = line.trim().split(/[\s,;]+/);
  if (words.length < 2) return undefined;
  const [x, y] = words.slice(0, 2).map(Number) as [number, number];
  return Number.isFinite(x) && Number.isFinite(y) ? { x, y } : undefined;
}

/**
 * Reads a wing section: a name, then points in one run round from the trailing edge, or in two lists from the nose, upper and lower side,
 * with their counts before them. The outline is the smooth curve through the points, a chord of 1 long.
 */
export function readSection(text: string): ReadResult {
  const lines = text.split(/\r?\n/);
  const name = pairIn(lines[0] ?? '') ? '' : lines[0]!.trim();
  const points: Point[] = [];
  for (let index = name === '' ? 0 : 1; index < lines.length; index++) {
    const words = lines[index]!.trim();
    const point = pairIn(words);
    if (point) points.push(point);
    else if (words !== '')
      return { ok: false, message: `Line ${index + 1}: "${words.slice(0, 20)}" is no point: two numbers.` };
    if (points.length > MOST_POINTS)
      return { ok: false, message: `It holds more than ${MOST_POINTS.toLocaleString('en')} points.` };
  }
  const run = oneRun(points);
  if (typeof run === 'string') return { ok: false, message: run };
  return {
    ok: true,
    drawing: {
      lines: [{ path: outlineThrough(run), isClosed: true, layer: name, colour: '#000000', width: 0, isDashed: false }],
      texts: name === '' ? [] : [{ at: { x: 0.4, y: 0 }, text: name.slice(0, 60), size: 0.02 }],
      unit: { word: 'chord', mmPerUnit: 200, isCertain: false },
      leftOut: [],
    },
  };
}

/** Points from the trailing edge over the upper side round the nose, each once; or why they are none. */
function oneRun(points: readonly Point[]): readonly Point[] | string {
  const [head, ...rest] = points;
  if (!head) return 'It holds no points.';
  const isCounted = head.x > 1.5 && head.y > 1.5 && Math.round(head.x) + Math.round(head.y) === rest.length;
  const upper = isCounted ? rest.slice(0, Math.round(head.x)) : [],
    lower = isCounted ? rest.slice(Math.round(head.x)) : [];
  const whole = isCounted ? [...[...upper].reverse(), ...lower] : points;
  const apart = whole.filter(
    (p, index) => index === 0 || Math.hypot(p.x - whole[index - 1]!.x, p.y - whole[index - 1]!.y) > SAME,
  );
  if (apart.length < 5) return `It holds ${apart.length} points; a section needs at least 5.`;
  const xs = apart.map(({ x }) => x);
  const chord = Math.max(...xs) - Math.min(...xs);
  if (chord < SAME) return 'All its points lie at one place along the chord.';
  return chord > 1.5 || chord < 0.5 ? apart.map(({ x, y }) => ({ x: x / chord, y: y / chord })) : apart;
}

function outlineThrough(run: readonly Point[]): Path {
  const first = run[0]!,
    last = run.at(-1)!;
  const round = smoothCurve(run);
  return Math.hypot(first.x - last.x, first.y - last.y) > SAME
    ? [...round, { kind: 'line', from: last, to: first }]
    : round;
}
