import { outlineOf, type Contour, type Part, IdSource } from '../../part/index.ts';
import { draftFault, pathFromDraft, type PathDraft } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Draws the part's outline. A part has one; an open draft stays an open outline until it is closed. */
export function drawOutline(part: Part, args: { readonly draft: PathDraft }): CommandResult {
  if (outlineOf(part))
    return refused(`${part.name} has an outline already. Draw a hole or a line, or remove the outline first.`);
  const fault = draftFault(args.draft);
  if (fault) return refused(fault);
  const ids = new IdSource(part);
  const contour: Contour = { ...pathFromDraft(args.draft, ids, 'c'), role: 'outer', sizing: 'scaled' };
  return done({ ...part, contours: [contour, ...part.contours], lastId: ids.lastId }, 'Draw outline');
}
