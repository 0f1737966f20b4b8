import type { Contour, Part, Sizing } from '../part.ts';
import { done, draftFault, IdSource, pathFromDraft, refused, type CommandResult, type PathDraft } from './command.ts';

/** Draws a hole through the part. */
export function drawHole(part: Part, args: { readonly draft: PathDraft; readonly sizing?: Sizing }): CommandResult {
  const fault = args.draft.closed ? draftFault(args.draft) : 'A hole must be closed: end it on its first point.';
  if (fault) return refused(fault);
  const ids = new IdSource(part);
  const hole: Contour = { ...pathFromDraft(args.draft, ids, 'c'), role: 'hole', sizing: args.sizing ?? 'scaled' };
  return done({ ...part, contours: [...part.contours, hole], lastId: ids.lastId }, 'Draw hole');
}
