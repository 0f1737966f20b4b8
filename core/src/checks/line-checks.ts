import {
  boxIndex,
  curveBounds,
  curveLength,
  curveMeetings,
  curvePoint,
  distance,
  flattenClosedPath,
  insideOf,
  joinBounds,
  midpoint,
  pointIndex,
  type Bounds,
  type Point,
} from '../geometry/index.ts';
import { canFold, traitsOf, type Operation } from '../operations/index.ts';
import {
  findLine,
  holesOf,
  isMadeId,
  outlineOf,
  pathsOf,
  type Contour,
  type DrawnLine,
  type Part,
} from '../part/index.ts';
import { curveOf, curvesOf } from '../paths/index.ts';
import type { Fault } from './fault.ts';
import { lengthText } from '../units/index.ts';

/** Ends this near were meant to meet; edges this short are slips of the hand, in mm. */
const NEAR_MISS_MM = 0.5;
const TINY_MM = 0.2;
const SAME_PLACE_MM = 1e-3;
/** Boxes of curves that lie on each other differ by less: controls may differ further than curves do. */
const SAME_BOX_MM = 10 * SAME_PLACE_MM;

/** Slips of drafting: ends that nearly meet, edges too short to be meant, lines drawn twice, folds that cross. */
export const lineFaults = (part: Part): readonly Fault[] => [
  ...nearMisses(part),
  ...tinyEdges(part),
  ...doubled(part),
  ...crossingFolds(part),
];

function nearMisses(part: Part): readonly Fault[] {
  const open = part.lines.filter((line) => !line.closed && !isMadeId(line.id));
  const endsOf = ({ nodes }: DrawnLine) => [nodes[0]!, nodes.at(-1)!] as const;
  const endsNear = pointIndex(open.flatMap(endsOf));
  return open.flatMap((a, index) => {
    const others = new Set(endsOf(a).flatMap((p) => endsNear(p, NEAR_MISS_MM).map((at) => Math.floor(at / 2))));
    const later = [...others].filter((at) => at > index).sort((m, n) => m - n);
    return later.flatMap((at): readonly Fault[] => {
      const b = open[at]!;
      const pairs = endsOf(a).flatMap((p) => endsOf(b).map((q) => ({ p, q, gap: distance(p, q) })));
      const nearest = pairs.sort((m, n) => m.gap - n.gap)[0]!;
      if (nearest.gap <= SAME_PLACE_MM || nearest.gap > NEAR_MISS_MM) return [];
      return [
        {
          code: 'NEAR_MISS',
          partId: part.id,
          targetId: a.id,
          place: midpoint(nearest.p, nearest.q),
          title: `Two lines of ${part.name} nearly meet`,
          detail: `Their ends are ${lengthText(nearest.gap, 2)} apart.`,
          mend: {
            label: 'Bring the ends together',
            command: { name: 'meetNode', args: { nodeId: nearest.q.id, atNodeId: nearest.p.id } },
          },
        },
      ];
    });
  });
}

function tinyEdges(part: Part): readonly Fault[] {
  return pathsOf(part).flatMap((path) =>
    path.segments.flatMap((_, index): readonly Fault[] => {
      // What a form makes is worked out, not slipped.
      if (isMadeId(path.segments[index]!.id)) return [];
      const curve = curveOf(path, index);
      const length = curveLength(curve);
      if (length >= TINY_MM || path.nodes.length <= (path.closed ? 3 : 2)) return [];
      const node = path.nodes[(index + 1) % path.nodes.length]!;
      return [
        {
          code: 'EDGE_TINY',
          partId: part.id,
          targetId: path.id,
          place: curvePoint(curve, 0.5),
          title: `An edge of ${part.name} is only ${lengthText(length, 2)} long`,
          detail: `Edges under ${lengthText(TINY_MM)} are slips: no knife follows them.`,
          mend: { label: 'Take its point out', command: { name: 'removeNode', args: { nodeId: node.id } } },
        },
      ];
    }),
  );
}

/** The same line or hole drawn twice, either way round. */
function doubled(part: Part): readonly Fault[] {
  const paths = pathsOf(part),
    boxes = paths.map(boxOf),
    near = pointIndex(boxes.map(cornerOf));
  return paths.flatMap((a, index) =>
    near(cornerOf(boxes[index]!), SAME_BOX_MM).flatMap((at): readonly Fault[] => {
      const b = paths[at]!;
      if (at <= index || !isSameBox(boxes[index]!, boxes[at]!) || !isSame(a, b)) return [];
      const words = 'role' in b ? 'hole' : 'line';
      return [
        {
          code: 'DRAWN_TWICE',
          partId: part.id,
          targetId: b.id,
          place: midpoint(b.nodes[0]!, b.nodes[1]!),
          title: `A ${words} of ${part.name} is drawn twice`,
          detail: 'One lies exactly on the other and would be cut again.',
          mend: { label: 'Remove the second', command: { name: 'removePath', args: { pathId: b.id } } },
        },
      ];
    }),
  );
}
const boxOf = (path: Contour | DrawnLine): Bounds => joinBounds(curvesOf(path).map(curveBounds));
const cornerOf = ({ minX, minY }: Bounds): Point => ({ x: minX, y: minY });
const isSameBox = (a: Bounds, b: Bounds): boolean =>
  (['minX', 'minY', 'maxX', 'maxY'] as const).every((side) => Math.abs(a[side] - b[side]) < SAME_BOX_MM);
function isSame(a: Contour | DrawnLine, b: Contour | DrawnLine): boolean {
  if (a.closed !== b.closed || a.nodes.length !== b.nodes.length) return false;
  const middlesOf = (path: Contour | DrawnLine) => curvesOf(path).map((curve) => curvePoint(curve, 0.5));
  const isAmong = (points: readonly Point[], others: readonly Point[]): boolean => {
    const near = pointIndex(others);
    return points.every((p) => near(p, SAME_PLACE_MM).some((at) => distance(p, others[at]!) < SAME_PLACE_MM));
  };
  return isAmong(a.nodes, b.nodes) && isAmong(middlesOf(a), middlesOf(b));
}

/** Folds that cross on the part: the board cannot bend about both. */
function crossingFolds(part: Part): readonly Fault[] {
  const outline = outlineOf(part);
  if (!outline?.closed) return [];
  const isWithin = insideOf(flattenClosedPath(curvesOf(outline), 0.05)),
    inHole = holesOf(part)
      .filter((hole) => hole.closed)
      .map((hole) => insideOf(flattenClosedPath(curvesOf(hole), 0.05)));
  const folds = part.operations
    .filter((operation) => canFold(operation.kind))
    .flatMap((operation) => {
      const line = findLine(part, operation.on.pathId);
      return line ? [{ operation, line, box: boxOf(line) }] : [];
    });
  const others = boxIndex(folds.map(({ box }) => box));
  return folds.flatMap((a, index) =>
    others.touching(a.box).flatMap((other): readonly Fault[] => {
      const b = folds[other]!;
      if (other <= index || a.line.id === b.line.id) return [];
      const inner = (s: number, length: number): boolean =>
        s * length > NEAR_MISS_MM && (1 - s) * length > NEAR_MISS_MM;
      const at = curvesOf(a.line)
        .flatMap((p) =>
          curvesOf(b.line).flatMap((q) =>
            curveMeetings(p, q).filter(({ s, t }) => inner(s, curveLength(p)) && inner(t, curveLength(q))),
          ),
        )
        .find(({ point }) => isWithin(point) && !inHole.some((isIn) => isIn(point)));
      return at ? [crossingFault(part, a.operation, b.operation, at.point)] : [];
    }),
  );
}
const crossingFault = (
  part: Part,
  a: Operation,
  b: Operation,
  place: { readonly x: number; readonly y: number },
): Fault => ({
  code: 'FOLDS_CROSS',
  partId: part.id,
  targetId: b.id,
  place,
  title: `Two folds of ${part.name} cross`,
  detail: `A ${traitsOf(a.kind).word} and a ${traitsOf(b.kind).word} meet at x ${place.x.toFixed(1)}, y ${lengthText(place.y)}; flat board cannot bend about both.`,
  mend: {
    label: `Remove the ${traitsOf(b.kind).word}`,
    command: { name: 'removeOperation', args: { operationId: b.id } },
  },
});
