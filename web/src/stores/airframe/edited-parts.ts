import type { Airframe } from '@grain-fold/core/airframe';
import { applyCommand, type MadeIds, type PartCommand } from '@grain-fold/core/editing';

/** A command on a part. */
export interface PartEdit {
  readonly partId: string;
  readonly command: PartCommand;
}
/** An airframe after commands on its parts. */
export interface EditedParts {
  readonly ok: true;
  readonly airframe: Airframe;
  /** What the last command calls itself. */
  readonly label: string;
  /** What the last command made. */
  readonly made: MadeIds;
}

/** Runs commands on parts, one after the other: all of them, or none. @returns why not, when one of them is refused or its part is gone */
export function editedParts(
  airframe: Airframe,
  edits: readonly PartEdit[],
): EditedParts | { readonly ok: false; readonly message: string } {
  const parts = new Map(airframe.parts.map((part) => [part.id, part] as const));
  let [label, made]: [string, MadeIds] = ['', {} as MadeIds];
  for (const { partId, command } of edits) {
    const part = parts.get(partId);
    if (!part) return { ok: false, message: 'That part is gone.' };
    const result = applyCommand(part, command);
    if (!result.ok) return result;
    parts.set(partId, result.part);
    ({ label, made } = result);
  }
  return { ok: true, airframe: { ...airframe, parts: airframe.parts.map(({ id }) => parts.get(id)!) }, label, made };
}
