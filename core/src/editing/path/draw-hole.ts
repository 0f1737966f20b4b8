import { type Contour, type Part, IdSource } from '../../part/index.ts';
import { type Sizing, draftFault, pathFromDraft, type PathDraft } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Draws a hole through the part. */
export function drawHole(part: Part, args: { readonly draft: PathDraft; readonly sizing?: Sizing }): CommandResult {
  const fault = args.draft.closed ? draftFault(args.draft) : 'A hole must be closed: end it on its first point.';
  if (fault) return refused(fault);
  const ids = new IdSource(part);
  const hole: Contour = { ...pathFromDraft(args.draft, ids, 'c'), role: 'hole', sizing: args.sizing ?? 'scaled' };
  return done({ ...part, contours: [...part.contours, hole], lastId: ids.lastId }, 'Draw hole');
}
