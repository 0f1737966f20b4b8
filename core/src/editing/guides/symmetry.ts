import { outlineOf, type Part, type Symmetry } from '../../part/index.ts';
import { offCentreLine } from '../../resolve/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { moveNodes } from '../path/move-nodes.ts';

/** Drafts the part symmetric about a centre line from now on, or takes what is drawn as the whole again. */
export function setSymmetry(part: Part, args: { readonly symmetry: Symmetry | null }): CommandResult {
  const { symmetry: _before, ...plain } = part;
  if (args.symmetry === null)
    return part.symmetry ? done(plain, 'Draft without a centre line') : refused(`${part.name} has no centre line.`);
  if (!Number.isFinite(args.symmetry.atMm)) return refused(`A centre line needs a place, got ${args.symmetry.atMm}.`);
  return done({ ...part, symmetry: args.symmetry }, part.symmetry ? 'Move centre line' : 'Draft about a centre line');
}

/** Brings the ends of an open half outline onto the centre line, square to it. */
export function meetCentreLine(part: Part, _args: Readonly<Record<string, never>>): CommandResult {
  const outline = outlineOf(part),
    { symmetry } = part;
  if (!symmetry || !outline || outline.closed)
    return refused('Only the open half of a symmetric outline is brought to its centre line.');
  let met: Part = part;
  for (const node of [outline.nodes[0]!, outline.nodes.at(-1)!]) {
    const off = offCentreLine(node, symmetry);
    const moved = moveNodes(met, {
      nodeIds: [node.id],
      by: symmetry.along === 'level' ? { x: 0, y: -off } : { x: -off, y: 0 },
    });
    if (!moved.ok) return moved;
    met = moved.part;
  }
  return done(met, 'Bring outline to the centre line');
}
