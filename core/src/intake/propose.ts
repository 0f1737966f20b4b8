import {
  boxIndex,
  boundsOf,
  curveBounds,
  distance,
  growBounds,
  nearestOnCurve,
  pointIndex,
  scaling,
  transformPath,
  type Curve,
  type Point,
} from '../geometry/index.ts';
import { workOfLayer, type ReadDrawing, type ReadLine } from '../formats/index.ts';
import { chainCurves } from './chain.ts';
import { drawnOnce, withoutCopies } from './merge-twice.ts';
import { withArcs } from './recover-arcs.ts';
import { classKey, lineClasses, type ClassWork, type ClassWorks } from './line-class.ts';

/** An end this close to a line ends on it, in mm at the size that the file says. */
const ON_MM = 0.6;

/**
 * What the lines of each class probably are: what a layer calls itself, in the words of this program; else by how they lie, never by their colour: dashes are marks; what closes loops is cut; straight lines
 * that run from edge to edge of what is cut are folds; the rest is marked.
 */
export function proposeWorks(drawing: ReadDrawing): ClassWorks {
  const { unit } = drawing,
    toMm = scaling(unit.mmPerUnit);
  const classes = lineClasses(drawing);
  const byClass = new Map<string, ReadLine[]>(classes.map(({ key }) => [key, []]));
  for (const line of drawing.lines) byClass.get(classKey(line, unit.mmPerUnit))!.push(line);
  const curvesOf = (key: string): readonly Curve[] =>
    byClass.get(key)!.flatMap(({ path }) => transformPath(toMm, path));
  const shapes = classes.map(({ key, isDashed }) => {
    const curves = withoutCopies(curvesOf(key));
    return { key, isDashed, curves, closedShare: isDashed ? 0 : meetingShare(curves) };
  });
  const cuts = shapes.filter(({ isDashed, closedShare }) => !isDashed && closedShare > 0.5);
  const bounds = onEdges(cuts.flatMap(({ curves }) => curves));
  const named = new Map(classes.map(({ key, layer }) => [key, workOfLayer(layer)]));
  const works = shapes.map(({ key, isDashed, curves, closedShare }): readonly [string, ClassWork] => {
    const own = named.get(key);
    if (own) return [key, own];
    if (!isDashed && closedShare > 0.5) return [key, { work: 'cut' }];
    const lines = isDashed
      ? []
      : chainCurves(drawnOnce(curves, MEET_MM).curves, MEET_MM).map((chain) => withArcs(chain, MEET_MM));
    const folds = lines.filter(
      ({ path }) => path.length === 1 && path[0]!.kind === 'line' && bounds(path[0]!.from) && bounds(path[0]!.to),
    );
    const areFolds = folds.length > 0 && folds.length * 2 >= lines.length;
    if (areFolds && !isDashed) return [key, { work: 'groove' }];
    return [key, { work: 'mark' }];
  });
  // Where nothing closes, the most is tried as what is cut: gaps may be all that is wrong.
  if (!works.some(([, { work }]) => work === 'cut')) {
    const first = shapes.findIndex(({ isDashed }) => !isDashed);
    if (first >= 0) works[first] = [shapes[first]!.key, { work: 'cut' }];
  }
  return Object.fromEntries(works);
}

/** Ends closer than this meet, in mm. */
const MEET_MM = 0.1;

/** The part of the curves, by their ends, that go on at another: drawn twice is no going on. */
function meetingShare(curves: readonly Curve[]): number {
  const ends = curves.flatMap(({ from, to }) => [from, to]);
  const near = pointIndex(ends);
  const isNear = (a: Point, b: Point): boolean => distance(a, b) <= MEET_MM;
  const goesOn = (end: number): boolean =>
    near(ends[end]!, MEET_MM).some((other) => {
      const own = end >> 1,
        another = other >> 1;
      if (other === end || !isNear(ends[other]!, ends[end]!)) return false;
      const isRound = curves[own]!.kind !== 'line' || own === another;
      return isRound || !isNear(ends[other ^ 1]!, ends[end ^ 1]!);
    });
  const meeting = ends.filter((_, index) => goesOn(index)).length;
  return ends.length === 0 ? 0 : meeting / ends.length;
}

/** Whether points lie on some curves. */
function onEdges(curves: readonly Curve[]): (p: Point) => boolean {
  const boxes = boxIndex(curves.map(curveBounds));
  return (p) =>
    boxes
      .touching(growBounds(boundsOf([p]), ON_MM))
      .some((index) => nearestOnCurve(curves[index]!, p).distance <= ON_MM);
}
