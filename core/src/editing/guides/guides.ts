import { isFinitePoint, type Point } from '../../geometry/index.ts';
import {
  guideShape,
  type Guide,
  type GuideBase,
  FURTHEST_COORDINATE_MM,
  type Part,
  findNode,
  IdSource,
  withoutLostPlaces,
} from '../../part/index.ts';
import { lengthText } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** A guide before it has an id; without a name it is numbered. */
export type GuideDraft =
  | { readonly kind: 'line'; readonly at: Point; readonly angleDegrees: number; readonly name?: string }
  | { readonly kind: 'circle'; readonly at: Point; readonly radiusMm: number; readonly name?: string }
  | { readonly kind: 'beside'; readonly of: GuideBase; readonly byMm: number; readonly name?: string };

function guideFault(part: Part, guide: Guide): string | undefined {
  if (guide.name.trim() === '' || guide.name.length > 40) return 'A guide needs a name of 1 to 40 letters.';
  if (guide.kind === 'line' && !(isFinitePoint(guide.at) && Number.isFinite(guide.angleDegrees)))
    return 'A guide needs a place and an angle.';
  if (
    guide.kind === 'circle' &&
    !(isFinitePoint(guide.at) && guide.radiusMm > 0 && guide.radiusMm <= FURTHEST_COORDINATE_MM)
  )
    return `A round guide needs a radius of more than 0 and up to ${lengthText(FURTHEST_COORDINATE_MM, 0)}, got ${lengthText(guide.radiusMm)}.`;
  if (guide.kind === 'beside' && !(Math.abs(guide.byMm) <= FURTHEST_COORDINATE_MM))
    return `A guide stands up to ${lengthText(FURTHEST_COORDINATE_MM, 0)} beside an edge, got ${lengthText(guide.byMm)}.`;
  return guideShape(part, guide)
    ? undefined
    : 'A guide stands beside a straight edge, an arc or another guide, and inside no smaller circle.';
}

/** Adds a guide: at an angle through a place, round a centre, or beside an edge or another guide. */
export function addGuide(part: Part, args: { readonly guide: GuideDraft }): CommandResult {
  const ids = new IdSource(part);
  const name = args.guide.name ?? `Guide ${(part.guides?.length ?? 0) + 1}`;
  const guide: Guide = { ...args.guide, id: ids.next('g'), name };
  const fault = guideFault(part, guide);
  return fault
    ? refused(fault)
    : done({ ...part, guides: [...(part.guides ?? []), guide], lastId: ids.lastId }, `Add ${name}`);
}

/** Moves, turns or renames a guide; points attached to it go with it. */
export function changeGuide(
  part: Part,
  args: {
    readonly guideId: string;
    readonly changes: Partial<{ name: string; at: Point; angleDegrees: number; radiusMm: number; byMm: number }>;
  },
): CommandResult {
  const found = part.guides?.find(({ id }) => id === args.guideId);
  if (!found) return refused(`There is no guide "${args.guideId}" in ${part.name}.`);
  const strange = Object.keys(args.changes).find((key) => !(key in found));
  if (strange) return refused(`${found.name} has no ${strange} to change.`);
  const changed = { ...found, ...args.changes } as Guide;
  const fault = guideFault(part, changed);
  if (fault) return refused(fault);
  const label =
    changed.kind === 'beside' && 'byMm' in args.changes
      ? `Set ${changed.name} to ${lengthText(changed.byMm)}`
      : 'name' in args.changes
        ? `Name guide ${changed.name}`
        : `Move ${changed.name}`;
  return done({ ...part, guides: part.guides!.map((guide) => (guide === found ? changed : guide)) }, label);
}

/** Removes a guide and those that stand beside it; the points on it stay where they are. */
export function removeGuide(part: Part, args: { readonly guideId: string }): CommandResult {
  const found = part.guides?.find(({ id }) => id === args.guideId);
  if (!found) return refused(`There is no guide "${args.guideId}" in ${part.name}.`);
  return done(
    withoutLostPlaces({ ...part, guides: part.guides!.filter((guide) => guide !== found) }),
    `Remove ${found.name}`,
  );
}

/** Lets points go from their guides; they stay where they are. */
export function detachNodes(part: Part, args: { readonly nodeIds: readonly string[] }): CommandResult {
  const attachments = part.attachments?.filter(({ nodeId }) => !args.nodeIds.includes(nodeId)) ?? [];
  if (attachments.length === (part.attachments?.length ?? 0))
    return refused('None of these points is attached to a guide.');
  return done({ ...part, attachments }, 'Let go of guide');
}

/** Attaches a point to a guide that it lies on or is moved to. */
export function attachNode(part: Part, args: { readonly nodeId: string; readonly guideId: string }): CommandResult {
  const guide = part.guides?.find(({ id }) => id === args.guideId);
  if (!guide || !findNode(part, args.nodeId)) return refused('A point of this part is attached to a guide of it.');
  const rest = (part.attachments ?? []).filter(
    ({ nodeId, guideId }) => nodeId !== args.nodeId || guideId !== args.guideId,
  );
  if (rest.filter(({ nodeId }) => nodeId === args.nodeId).length >= 2)
    return refused('That point is attached to two guides already.');
  return done(
    { ...part, attachments: [...rest, { nodeId: args.nodeId, guideId: args.guideId }] },
    `Attach point to ${guide.name}`,
  );
}
