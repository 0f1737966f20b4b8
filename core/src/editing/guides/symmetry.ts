import { curvePoint, cutAt, type Curve, type Point } from '../../geometry/index.ts';
import { IdSource, outlineOf, withoutLostPlaces, withPath, type Part, type Symmetry } from '../../part/index.ts';
import { curvesOf, rebuildPath } from '../../paths/index.ts';
import { offCentreLine, ON_CENTRE_LINE_MM } from '../../resolve/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { moveNodes } from '../path/move-nodes.ts';
import { overSplits } from '../path/over-splits.ts';

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

/** The centre line is drawn this far out, in mm: beyond every drawing. */
const FAR_MM = 30_000;

/** Cuts a half outline off at its centre line: the side that reaches further from it stays, its ends on the line. */
export function cutAtCentreLine(part: Part, _args: Readonly<Record<string, never>>): CommandResult {
  const outline = outlineOf(part),
    { symmetry } = part;
  if (!symmetry || !outline) return refused(`${part.name} has no half outline to cut at a centre line.`);
  const offsets = outline.nodes.map((node) => offCentreLine(node, symmetry));
  const side = Math.max(...offsets) >= -Math.min(...offsets) ? 1 : -1;
  const at = (along: number): Point =>
    symmetry.along === 'level' ? { x: along, y: symmetry.atMm } : { x: symmetry.atMm, y: along };
  const pieces = cutAt(curvesOf(outline), [{ kind: 'line', from: at(-FAR_MM), to: at(FAR_MM) }]);
  const isKept = (curve: Curve): boolean => side * offCentreLine(curvePoint(curve, 0.5), symmetry) > ON_CENTRE_LINE_MM;
  // A closed outline is read from where it leaves the side that stays.
  const first = outline.closed
    ? pieces.findIndex((curve, index) => isKept(curve) && !isKept(pieces.at(index - 1)!))
    : 0;
  const inOrder = [...pieces.slice(Math.max(0, first)), ...pieces.slice(0, Math.max(0, first))];
  const kept = inOrder.filter(isKept),
    start = inOrder.indexOf(kept[0]!);
  if (
    kept.length === 0 ||
    kept.length === pieces.length ||
    kept.some((curve, index) => inOrder[start + index] !== curve)
  )
    return refused(`The half of ${part.name} would fall into pieces at its centre line.`);
  const ids = new IdSource(part),
    { nodes, segments, splits } = rebuildPath(outline, kept, ids);
  const end = kept.at(-1)!.to;
  const shaped = withPath(part, outline.id, (path) => ({
    ...path,
    closed: false,
    nodes: [...nodes, { id: ids.next('n'), x: end.x, y: end.y }],
    segments,
  }));
  return done(withoutLostPlaces(overSplits({ ...shaped, lastId: ids.lastId }, splits)), 'Cut off at the centre line');
}
