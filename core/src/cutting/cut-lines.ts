import { boundsOf, edgeDistanceOf, pathLength, type Path, type Point, type Polygon } from '../geometry/index.ts';
import { traitsOf, type BoardFace, type OperationKind, type Stroke } from '../operations/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { defined, degrees } from '../units/index.ts';
import { placeOf, type CutPlace } from './cut-place.ts';

/** A blade along a line: how it tilts from upright, and on which side of the line it takes foam away. */
export interface Blade {
  readonly side: 'left' | 'right' | 'above' | 'below' | 'each side' | 'inside';
  readonly tiltDegrees: number;
  /** How far from the line it comes out on the worked face, in mm. */
  readonly reachMm: number;
}

/** One line of work on a part. Lengths in mm, angles in degrees. */
export interface CutLine {
  readonly kind: OperationKind | 'outline' | 'hole';
  readonly words: string;
  readonly face: BoardFace | 'through';
  readonly place: CutPlace;
  readonly lengthMm: number;
  /** Width at the worked face: a groove's mouth, a trench, a bevel's run, a hinge's relief. */
  readonly widthMm?: number;
  /** Depth from the worked face; undefined for work that goes right through or takes nothing away. */
  readonly depthMm?: number;
  /** Fold, deflection or bevel. */
  readonly angleDegrees?: number;
  readonly blades: readonly Blade[];
  /** Glue that fills what a groove leaves open when it is folded, in ml. */
  readonly glueMl?: number;
}

/**
 * Every line of work on a part: the outline, its holes, then the work in the order in which it is done, each where it lies.
 * @param holeWords what each hole is for, in the order of the part's holes; plain holes when left out
 */
export function linesOf(part: ResolvedPart, holeWords: readonly string[] = []): readonly CutLine[] {
  const toEdge = edgeDistanceOf([part.outer, ...part.holeRings]);
  const place = (path: Path, closed: boolean): CutPlace => placeOf(path, closed, part.bounds, toEdge);
  const through = (kind: 'outline' | 'hole', words: string, path: Path): CutLine => ({
    kind,
    words,
    face: 'through',
    place: place(path, true),
    lengthMm: pathLength(path),
    blades: [],
  });
  const orderOf = ({ kind }: Stroke): number => traitsOf(kind).cutting.order;
  return [
    ...(part.outline ? [through('outline', 'outline', part.outline)] : []),
    ...part.holes.map((path, index) => through('hole', holeWords[index] ?? 'hole', path)),
    ...[...part.strokes]
      .sort((a, b) => orderOf(a) - orderOf(b) || (a.face < b.face ? 1 : -1))
      .flatMap((stroke) => stroke.paths.map((path) => lineOf(stroke, path, part, place(path, stroke.closed)))),
  ];
}

/** What a stroke is in words: `open slit, hatch`, `mark: former 2`, `mitre groove, 45° tool, cut through, taped`. */
function wordsOf({ kind, label, isTaped }: Stroke, details: string | undefined): string {
  const { words, wordsBeforeLabel } = traitsOf(kind).cutting;
  if (label && wordsBeforeLabel) return `${wordsBeforeLabel} ${label}`;
  return [words, label, details, isTaped ? 'cut through, taped' : ''].filter(Boolean).join(', ');
}

function lineOf(stroke: Stroke, path: Path, part: ResolvedPart, place: CutPlace): CutLine {
  const { cutting } = traitsOf(stroke.kind);
  const lengthMm = pathLength(path),
    share = stroke.lengthMm > 0 ? lengthMm / stroke.lengthMm : 1;
  const details = cutting.details?.(stroke, part.thicknessMm);
  return {
    kind: stroke.kind,
    words: wordsOf(stroke, details?.words),
    face: cutting.isThrough ? 'through' : stroke.face,
    place,
    lengthMm,
    blades: bladesOf(stroke, path, place, part.thicknessMm, details?.bladeDegrees),
    ...defined({
      widthMm: cutting.widthWord ? stroke.widthMm : undefined,
      depthMm: cutting.toSkin ? (stroke.isTaped ? undefined : part.thicknessMm) : stroke.depthMm,
      angleDegrees: stroke.angleDegrees,
      glueMl: details?.glueMl === undefined ? undefined : details.glueMl * share,
    }),
  };
}

/** Reaches less than this beside a line are none, in mm. */
const LEAST_REACH_MM = 0.05;

/** The blades of work that takes a strip of foam away along a line: along a straight one, from the strip that it takes on each side. */
function bladesOf(
  stroke: Stroke,
  path: Path,
  place: CutPlace,
  thicknessMm: number,
  tiltDegrees: number | undefined,
): readonly Blade[] {
  const { cutting } = traitsOf(stroke.kind);
  if (!cutting.blades) return [];
  const tilt = (reachMm: number): number =>
    cutting.blades === 'upright' ? 0 : (tiltDegrees ?? degrees(Math.atan2(reachMm, thicknessMm)));
  if (place.kind !== 'run') return [{ side: 'inside', tiltDegrees: tilt(stroke.widthMm), reachMm: stroke.widthMm }];
  const { left, right } = reachBeside(stroke.area, path[0]!.from, path.at(-1)!.to);
  if (left > LEAST_REACH_MM && Math.abs(left - right) < LEAST_REACH_MM)
    return [{ side: 'each side', tiltDegrees: tilt(left), reachMm: left }];
  const [leftWord, rightWord] = sideWords(path[0]!.from, path.at(-1)!.to);
  return [
    ...(left > LEAST_REACH_MM ? [{ side: leftWord, tiltDegrees: tilt(left), reachMm: left }] : []),
    ...(right > LEAST_REACH_MM ? [{ side: rightWord, tiltDegrees: tilt(right), reachMm: right }] : []),
  ];
}

/** How far a strip reaches to the left and to the right of a straight line, in mm. */
function reachBeside(
  area: readonly Polygon[],
  from: Point,
  to: Point,
): { readonly left: number; readonly right: number } {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const off = area.flat().map((p) => ((to.x - from.x) * (p.y - from.y) - (to.y - from.y) * (p.x - from.x)) / length);
  return { left: Math.max(0, ...off), right: Math.max(0, ...off.map((by) => -by)) };
}

/** What lies to the left and to the right of a line, as it is seen on the board: beside an upright line, above and below a level one. */
function sideWords(from: Point, to: Point): readonly [Blade['side'], Blade['side']] {
  const box = boundsOf([from, to]);
  if (box.maxX - box.minX >= box.maxY - box.minY) return to.x >= from.x ? ['above', 'below'] : ['below', 'above'];
  return to.y >= from.y ? ['left', 'right'] : ['right', 'left'];
}
