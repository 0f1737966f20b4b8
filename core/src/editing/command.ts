import type { Part } from '../part/index.ts';

/** A new part and what was done, or why it could not be done. */
export type CommandResult =
  { readonly ok: true; readonly part: Part; readonly label: string } | { readonly ok: false; readonly message: string };

export const done = (part: Part, label: string): CommandResult => ({ ok: true, part, label });
export const refused = (message: string): CommandResult => ({ ok: false, message });
