import { interpolate } from '../../geometry/index.ts';
import { type Part, findSegment, withPath } from '../../part/index.ts';
import type { Segment, DraftSegment } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Makes a segment straight, an arc of a bulge, or a cubic; a cubic without handles starts along the run's thirds. */
export function changeSegment(
  part: Part,
  args: { readonly segmentId: string; readonly to: DraftSegment | { readonly kind: 'cubic' } },
): CommandResult {
  const found = findSegment(part, args.segmentId);
  if (!found) return refused(`There is no edge "${args.segmentId}" in ${part.name}.`);
  const { path, index } = found;
  const from = path.nodes[index]!,
    to = path.nodes[(index + 1) % path.nodes.length]!;
  const shaped = (): Segment => {
    if (args.to.kind === 'line') return { id: args.segmentId, kind: 'line' };
    if (args.to.kind === 'arc')
      return Math.abs(args.to.bulge) < 1e-9
        ? { id: args.segmentId, kind: 'line' }
        : { id: args.segmentId, kind: 'arc', bulge: args.to.bulge };
    const handles =
      'control1' in args.to
        ? args.to
        : { control1: interpolate(from, to, 1 / 3), control2: interpolate(from, to, 2 / 3) };
    return { id: args.segmentId, kind: 'cubic', control1: handles.control1, control2: handles.control2 };
  };
  const segment = shaped();
  const word = { line: 'Straighten edge', arc: 'Bend edge to an arc', cubic: 'Shape curve' }[segment.kind];
  return done(
    withPath(part, path.id, (one) => ({ ...one, segments: one.segments.with(index, segment) })),
    word,
  );
}
