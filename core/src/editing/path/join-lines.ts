import { distance, reversePath } from '../../geometry/index.ts';
import { type DrawnLine, type Part, withoutLostPlaces } from '../../part/index.ts';
import { curvesOf, type PathNode, segmentFrom } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Ends nearer than this are joined in one point, in mm. */
const NEAR_MISS_MM = 0.5;

/** Joins two open lines whose ends meet into one that keeps the first one's work; the second one's own work is dropped. */
export function joinLines(part: Part, args: { readonly pathIds: readonly [string, string] }): CommandResult {
  const [a, b] = args.pathIds.map((id) => part.lines.find((line) => line.id === id)) as [
    DrawnLine | undefined,
    DrawnLine | undefined,
  ];
  if (!a || !b || a === b) return refused('Choose two lines to join.');
  if (a.closed || b.closed) return refused('Only open lines can be joined.');
  const ends = [
    { gap: distance(a.nodes.at(-1)!, b.nodes[0]!), first: a, second: b },
    { gap: distance(a.nodes.at(-1)!, b.nodes.at(-1)!), first: a, second: reversed(b) },
    { gap: distance(a.nodes[0]!, b.nodes.at(-1)!), first: b, second: a },
    { gap: distance(a.nodes[0]!, b.nodes[0]!), first: reversed(b), second: a },
  ].sort((p, q) => p.gap - q.gap)[0]!;
  if (ends.gap > NEAR_MISS_MM)
    return refused(`Their nearest ends are ${ends.gap.toFixed(2)} mm apart: bring them within ${NEAR_MISS_MM} mm.`);
  const joined: DrawnLine = {
    ...a,
    nodes: [...ends.first.nodes, ...ends.second.nodes.slice(1)],
    segments: [...ends.first.segments, ...ends.second.segments],
  };
  return done(
    withoutLostPlaces({
      ...part,
      lines: part.lines.flatMap((line) => (line === a ? [joined] : line === b ? [] : [line])),
    }),
    'Join lines',
  );
}

function reversed(line: DrawnLine): DrawnLine {
  const curves = reversePath(curvesOf(line));
  const nodes: readonly PathNode[] = [...line.nodes].reverse();
  const segments = [...line.segments].reverse().map((segment, index) => segmentFrom(curves[index]!, segment.id));
  return { ...line, nodes, segments };
}
