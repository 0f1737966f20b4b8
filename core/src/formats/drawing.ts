import type { Path, Point } from '../geometry/index.ts';

/** One line of a drawing that was read, in the file's own unit, y up. */
export interface ReadLine {
  readonly path: Path;
  readonly isClosed: boolean;
  /** Name of its layer; nothing where the file has none. */
  readonly layer: string;
  /** As `#rrggbb`. */
  readonly colour: string;
  /** In the file's own unit; 0 where it is not said. */
  readonly width: number;
  readonly isDashed: boolean;
}

/** Words of a drawing: they are no lines, but may name a part. */
export interface ReadText {
  readonly at: Point;
  readonly text: string;
  /** Height of its letters in the file's own unit. */
  readonly size: number;
}

/** What of a file was not read, and how many of it. */
export interface LeftOut {
  readonly what: string;
  readonly count: number;
}

/** What the lengths of a file mean. */
export interface ReadUnit {
  readonly word: string;
  readonly mmPerUnit: number;
  /** Whether the file says so itself; else the builder is asked. */
  readonly isCertain: boolean;
}

/** A drawing as it was read: lines and words, what they measure, and what was left out. */
export interface ReadDrawing {
  readonly lines: readonly ReadLine[];
  readonly texts: readonly ReadText[];
  readonly unit: ReadUnit;
  readonly leftOut: readonly LeftOut[];
}

/** A drawing, or why there is none: a file that is broken is told with its place. */
export type ReadResult =
  { readonly ok: true; readonly drawing: ReadDrawing } | { readonly ok: false; readonly message: string };

/** Curves of a drawing, at most: more than any plan has, and what a browser can hold. */
export const MOST_CURVES = 150_000;
const BEYOND = `lines beyond ${MOST_CURVES.toLocaleString('en')} runs`;
/** Coordinates beyond this in the file's own unit are no drawing. */
const FURTHEST = 1e7;

/** Units that the builder may choose from, in mm. */
export const DRAWING_UNITS: readonly { readonly word: string; readonly mmPerUnit: number }[] = [
  { word: 'millimetre', mmPerUnit: 1 },
  { word: 'centimetre', mmPerUnit: 10 },
  { word: 'metre', mmPerUnit: 1000 },
  { word: 'inch', mmPerUnit: 25.4 },
  { word: 'foot', mmPerUnit: 304.8 },
  { word: 'dot', mmPerUnit: 25.4 / 96 },
  { word: 'point', mmPerUnit: 25.4 / 72 },
];

/** Areas of paper: backgrounds, and what hides a line under words. They bound nothing. */
export const PAPER_COLOUR = '#ffffff',
  PAPER_AREAS = 'white areas';

/** Counts what is left out of a file. */
export class LeftOutCount {
  private readonly counts = new Map<string, number>();
  add(what: string, count = 1): void {
    this.counts.set(what, (this.counts.get(what) ?? 0) + count);
  }
  get all(): readonly LeftOut[] {
    return [...this.counts].map(([what, count]) => ({ what, count }));
  }
}

/** Gathers the lines of a drawing within the bounds of one; what has no place on a mat is left out and counted. */
export class LineCollector {
  readonly lines: ReadLine[] = [];
  private curves = 0;
  constructor(readonly leftOut: LeftOutCount) {}

  /** Whether the drawing holds as many curves as it may. */
  get isFull(): boolean {
    return this.curves >= MOST_CURVES;
  }
  add(line: ReadLine): void {
    if (line.path.length === 0) return;
    if (this.isFull) return this.leftOut.add(BEYOND);
    if (!line.path.every(isOnMat))
      return this.leftOut.add('lines with a coordinate that is no number, or out of reach');
    const room = MOST_CURVES - this.curves;
    this.curves += Math.min(room, line.path.length);
    if (line.path.length <= room) this.lines.push(line);
    else {
      this.lines.push({ ...line, path: line.path.slice(0, room), isClosed: false });
      this.leftOut.add(BEYOND, 1);
    }
  }
}

const isWithin = (p: Point): boolean => Math.abs(p.x) <= FURTHEST && Math.abs(p.y) <= FURTHEST;
const isOnMat = (curve: Path[number]): boolean =>
  isWithin(curve.from) &&
  isWithin(curve.to) &&
  (curve.kind !== 'arc' || Number.isFinite(curve.bulge)) &&
  (curve.kind !== 'cubic' || (isWithin(curve.control1) && isWithin(curve.control2)));

/** Straight runs through points; none of them twice in a row. */
export function runsThrough(points: readonly Point[], isClosed: boolean): Path {
  const ends = isClosed && points.length > 1 ? [...points, points[0]!] : points;
  return ends.slice(1).flatMap((to, index) => {
    const from = ends[index]!;
    return from.x === to.x && from.y === to.y ? [] : [{ kind: 'line' as const, from, to }];
  });
}
