import { boundsCentre, pathBounds, type Bounds } from '../../geometry/index.ts';
import { pathsOf, type Part } from '../../part/index.ts';
import { curvesOf } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { moveNodes } from './move-nodes.ts';

/** What of the chosen lines is brought to one place, or spread evenly. */
export type Alignment = 'left' | 'centre' | 'right' | 'top' | 'middle' | 'bottom' | 'spreadAcross' | 'spreadUp';

const WORDS: Readonly<Record<Alignment, string>> = {
  left: 'Align left',
  centre: 'Align centres',
  right: 'Align right',
  top: 'Align top',
  middle: 'Align middles',
  bottom: 'Align bottom',
  spreadAcross: 'Spread across',
  spreadUp: 'Spread up',
};

/** Aligns lines and holes with the first one chosen, or spreads the middles of three or more evenly between the outermost two. */
export function alignPaths(
  part: Part,
  args: { readonly pathIds: readonly string[]; readonly to: Alignment },
): CommandResult {
  const boxes = args.pathIds.flatMap((id) => {
    const path = pathsOf(part).find((one) => one.id === id);
    return path ? [{ path, box: pathBounds(curvesOf(path)) }] : [];
  });
  const spreads = args.to === 'spreadAcross' || args.to === 'spreadUp';
  if (boxes.length < (spreads ? 3 : 2))
    return refused(`Choose ${spreads ? 'three' : 'two'} or more lines or holes first.`);
  const steps = spreads
    ? spreadSteps(
        boxes.map(({ box }) => box),
        args.to === 'spreadAcross' ? 'x' : 'y',
      )
    : boxes.map(({ box }) => alignStep(box, boxes[0]!.box, args.to));
  let aligned = part;
  for (const [index, { path }] of boxes.entries()) {
    const by = steps[index]!;
    if (by.x === 0 && by.y === 0) continue;
    const result = moveNodes(aligned, { nodeIds: path.nodes.map(({ id }) => id), by });
    if (!result.ok) return result;
    aligned = result.part;
  }
  return aligned === part ? refused('They lie so already.') : done(aligned, WORDS[args.to]);
}

function alignStep(box: Bounds, to: Bounds, how: Alignment): { readonly x: number; readonly y: number } {
  switch (how) {
    case 'left':
      return { x: to.minX - box.minX, y: 0 };
    case 'right':
      return { x: to.maxX - box.maxX, y: 0 };
    case 'centre':
      return { x: boundsCentre(to).x - boundsCentre(box).x, y: 0 };
    case 'top':
      return { x: 0, y: to.maxY - box.maxY };
    case 'bottom':
      return { x: 0, y: to.minY - box.minY };
    default:
      return { x: 0, y: boundsCentre(to).y - boundsCentre(box).y };
  }
}

function spreadSteps(boxes: readonly Bounds[], axis: 'x' | 'y'): readonly { readonly x: number; readonly y: number }[] {
  const order = boxes.map((box, index) => ({ index, at: boundsCentre(box)[axis] })).sort((a, b) => a.at - b.at);
  const [first, last] = [order[0]!.at, order.at(-1)!.at];
  const steps = boxes.map(() => ({ x: 0, y: 0 }));
  order.forEach(({ index, at }, place) => {
    steps[index] = { ...steps[index]!, [axis]: first + ((last - first) * place) / (order.length - 1) - at };
  });
  return steps;
}
