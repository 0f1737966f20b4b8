import { combineOutlines, pathSignedArea, type Combination } from '../../geometry/index.ts';
import {
  findPath,
  outlineOf,
  type Contour,
  type Part,
  IdSource,
  pathWord,
  withoutLostPlaces,
  withPath,
} from '../../part/index.ts';
import { curvesOf, rebuildPath, segmentFrom } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { overSplits } from './over-splits.ts';

const LABELS: Readonly<Record<Combination, string>> = {
  join: 'Join to outline',
  cutOut: 'Cut out of outline',
  common: 'Keep what both share',
};

/**
 * Combines the outline with another closed path of the part: joins it on, cuts it out, or keeps what both share. The other path is used
 * up with the work on it; holes that come of it become holes.
 */
export function combineOutline(
  part: Part,
  args: { readonly pathId: string; readonly how: Combination },
): CommandResult {
  const outline = outlineOf(part),
    other = findPath(part, args.pathId);
  if (!outline?.closed) return refused(`${part.name} needs a closed outline first.`);
  if (!other || other.id === outline.id)
    return refused('Choose another closed line or hole to combine the outline with.');
  if (!other.closed) return refused(`The ${pathWord(other)} is open: close it first.`);
  const loops = combineOutlines(curvesOf(outline), curvesOf(other), args.how);
  const outers = loops.filter((loop) => pathSignedArea(loop) > 0),
    inners = loops.filter((loop) => pathSignedArea(loop) < 0);
  if (outers.length === 0) return refused('Nothing would be left of the outline.');
  if (outers.length > 1) return refused(`The outline would fall into ${outers.length} pieces. A part is one piece.`);
  const ids = new IdSource(part);
  const rebuilt = rebuildPath(outline, outers[0]!, ids);
  const holes = inners.map((loop): Contour => {
    const nodes = loop.map(({ from }) => ({ id: ids.next('n'), x: from.x, y: from.y }));
    return {
      id: ids.next('c'),
      role: 'hole',
      sizing: 'scaled',
      closed: true,
      nodes,
      segments: loop.map((curve) => segmentFrom(curve, ids.next('s'))),
    };
  });
  const shaped = withPath(part, outline.id, (path) => ({ ...path, nodes: rebuilt.nodes, segments: rebuilt.segments }));
  const without = {
    ...shaped,
    contours: [...shaped.contours.filter(({ id }) => id !== other.id), ...holes],
    lines: shaped.lines.filter(({ id }) => id !== other.id),
    lastId: ids.lastId,
  };
  return done(withoutLostPlaces(overSplits(without, rebuilt.splits)), LABELS[args.how]);
}
