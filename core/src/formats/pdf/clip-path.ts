import {
  boundsTouch,
  curveBounds,
  curveMeetings,
  curvePoint,
  splitCurve,
  type Bounds,
  type Curve,
  type Path,
} from '../../geometry/index.ts';

/** Runs that lie within this of the edge are inside, in mm: files know their places no better. */
const EDGE_MM = 0.02;

/** The pieces of a path that lie in a box, each from edge to edge; a path that is all inside is given back as it is. */
export function clippedToBox(path: Path, box: Bounds): readonly Path[] {
  if (path.every((curve) => isWithin(curveBounds(curve), box))) return [path];
  const pieces: Curve[][] = [];
  let open: Curve[] | undefined;
  for (const curve of path)
    for (const piece of cutAtEdges(curve, box)) {
      if (!isIn(piece, box)) {
        open = undefined;
        continue;
      }
      if (open) open.push(piece);
      else pieces.push((open = [piece]));
    }
  // A loop that begins inside was broken where it begins.
  const [first, last] = [pieces[0], pieces.at(-1)];
  if (first && last && first !== last && joins(last.at(-1)!, first[0]!) && first[0] === path[0])
    return [[...last, ...first], ...pieces.slice(1, -1)];
  return pieces;
}

const joins = (a: Curve, b: Curve): boolean => a.to.x === b.from.x && a.to.y === b.from.y;
const isWithin = (inner: Bounds, box: Bounds): boolean =>
  inner.minX >= box.minX - EDGE_MM &&
  inner.maxX <= box.maxX + EDGE_MM &&
  inner.minY >= box.minY - EDGE_MM &&
  inner.maxY <= box.maxY + EDGE_MM;

function isIn(curve: Curve, box: Bounds): boolean {
  const { x, y } = curvePoint(curve, 0.5);
  return isWithin({ minX: x, minY: y, maxX: x, maxY: y }, box);
}

/** A curve cut where it crosses the lines of a box's edges. */
function cutAtEdges(curve: Curve, box: Bounds): readonly Curve[] {
  const own = curveBounds(curve);
  if (isWithin(own, box)) return [curve];
  if (!boundsTouch(own, box)) return [];
  const { minX, minY, maxX, maxY } = box;
  const corners = [
    { x: minX, y: minY },
    { x: maxX, y: minY },
    { x: maxX, y: maxY },
    { x: minX, y: maxY },
  ];
  const places = corners
    .flatMap((from, index) => curveMeetings(curve, { kind: 'line', from, to: corners[(index + 1) % 4]! }))
    .map(({ s }) => s)
    .filter((t) => t > 1e-9 && t < 1 - 1e-9)
    .sort((a, b) => a - b);
  const pieces: Curve[] = [];
  let rest = curve,
    done = 0;
  for (const t of places) {
    if (t - done < 1e-9) continue;
    const [head, tail] = splitCurve(rest, (t - done) / (1 - done));
    pieces.push(head);
    rest = tail;
    done = t;
  }
  return [...pieces, rest];
}
