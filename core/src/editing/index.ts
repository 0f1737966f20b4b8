export { type PartCommand, applyCommand } from './commands.ts';
export type { GuideDraft } from './guides/guides.ts';
export type { MadeIds } from './made-ids.ts';
export type { PartDetails } from './part/change-details.ts';
export type { Alignment } from './path/align-paths.ts';
export type { Motion } from './path/arrange-paths.ts';
export { type CopiedPaths, copiedFrom } from './path/paste-paths.ts';
export { foldReach } from './work/extend-fold.ts';
export { flatStripOf } from './work/fold-strip.ts';
