import { brokenInvariant } from '../invariants.ts';
import type { Part } from '../part.ts';
import { addOperation } from './add-operation.ts';
import { addFeature, centreFeature, changeFeature, moveFeature, removeFeature } from './features.ts';
import { addGuide, attachNode, changeGuide, detachNodes, removeGuide } from './guides.ts';
import { creaseSection } from './crease-section.ts';
import { foldStrip } from './fold-strip.ts';
import { stretchPart } from './stretch-part.ts';
import { rollCrease } from './roll-crease.ts';
import { pastePaths } from './paste-paths.ts';
import { groupPaths, ungroupPaths } from './path-groups.ts';
import { bevelEdge } from './bevel-edge.ts';
import { changeWork } from './change-work.ts';
import { lipsToFold } from './lips-to-fold.ts';
import { setFoldOrder } from './fold-order.ts';
import { addJoint, changeJoint, removeJoint, setPlace } from './joints.ts';
import { addSeam, moveEdge, openFold, removeSeam } from './seams.ts';
import { setVariants } from './set-variants.ts';
import { simplifyPath } from './simplify-path.ts';
import { meetCentreLine, setSymmetry } from './symmetry.ts';
import { settleGuides } from '../settle-guides.ts';
import { alignPaths } from './align-paths.ts';
import { arrangePaths } from './arrange-paths.ts';
import { combineOutline } from './combine-outline.ts';
import { pinDimension, removeDimension, setDimension } from './dimensions.ts';
import { divideSegment } from './divide-segment.ts';
import { extendLine } from './extend-line.ts';
import { joinLines } from './join-lines.ts';
import { offsetContour } from './offset-contour.ts';
import { shapeCorners } from './shape-corners.ts';
import { splitLine } from './split-line.ts';
import { trimLine } from './trim-line.ts';
import { bringHoleInside } from './bring-hole-inside.ts';
import { changeDetails } from './change-details.ts';
import { changeOperation } from './change-operation.ts';
import { changeSegment } from './change-segment.ts';
import { changeSizing } from './change-sizing.ts';
import { changeSlot } from './change-slot.ts';
import { closePath } from './close-path.ts';
import { refused, type CommandResult } from './command.ts';
import { drawHole } from './draw-hole.ts';
import { drawLine } from './draw-line.ts';
import { drawOutline } from './draw-outline.ts';
import { extendFold } from './extend-fold.ts';
import { insertNode } from './insert-node.ts';
import { meetNode } from './meet-node.ts';
import { mirrorPart } from './mirror-part.ts';
import { moveNodes } from './move-nodes.ts';
import { movePath } from './move-path.ts';
import { placeNode } from './place-node.ts';
import { removeNode } from './remove-node.ts';
import { removeOperation } from './remove-operation.ts';
import { removePath } from './remove-path.ts';
import { shapeRun } from './shape-run.ts';
import { straightenLine } from './straighten-line.ts';
import { uncrossOutline } from './uncross-outline.ts';

export type { CommandResult, DraftSegment, OperationDraft, PathDraft } from './command.ts';
export { findSegment, SIZING_WORDS } from './command.ts';
export { draftFault } from './command.ts';
export { foldReach } from './extend-fold.ts';
export type { Motion } from './arrange-paths.ts';
export type { Alignment } from './align-paths.ts';
export type { PartDetails } from './change-details.ts';
export type { GuideDraft } from './guides.ts';
export { copiedFrom, type CopiedPaths } from './paste-paths.ts';

/** Every editing command, by its name. */
export const COMMANDS = {
  addFeature,
  addGuide,
  addJoint,
  addOperation,
  addSeam,
  alignPaths,
  arrangePaths,
  attachNode,
  bevelEdge,
  bringHoleInside,
  centreFeature,
  changeDetails,
  changeFeature,
  changeGuide,
  changeJoint,
  changeOperation,
  changeSegment,
  changeSizing,
  changeSlot,
  changeWork,
  closePath,
  combineOutline,
  creaseSection,
  detachNodes,
  divideSegment,
  drawHole,
  drawLine,
  drawOutline,
  extendFold,
  extendLine,
  foldStrip,
  groupPaths,
  insertNode,
  joinLines,
  lipsToFold,
  meetCentreLine,
  meetNode,
  mirrorPart,
  moveEdge,
  moveFeature,
  moveNodes,
  movePath,
  offsetContour,
  openFold,
  pastePaths,
  pinDimension,
  placeNode,
  removeDimension,
  removeFeature,
  removeGuide,
  removeJoint,
  removeNode,
  removeOperation,
  removePath,
  removeSeam,
  rollCrease,
  setDimension,
  setFoldOrder,
  setPlace,
  setSymmetry,
  setVariants,
  shapeCorners,
  shapeRun,
  simplifyPath,
  splitLine,
  straightenLine,
  stretchPart,
  trimLine,
  uncrossOutline,
  ungroupPaths,
} as const;

export type CommandName = keyof typeof COMMANDS;
/** A command and its arguments as plain data: can be stored, sent and offered as a mend. */
export type PartCommand = {
  [N in CommandName]: { readonly name: N; readonly args: Parameters<(typeof COMMANDS)[N]>[1] };
}[CommandName];

/**
 * Runs an editing command. The given part is never changed, and a part that breaks its own rules is never returned.
 * @returns the new part with the name of the step, or a message that says why not
 */
export function applyCommand(part: Part, command: PartCommand): CommandResult {
  // The union above pairs each name with its own arguments; TypeScript cannot follow that through the lookup.
  const run = COMMANDS[command.name] as (part: Part, args: unknown) => CommandResult;
  const result = run(part, command.args);
  if (!result.ok) return result;
  const settled = settleGuides(part, result.part);
  const broken = brokenInvariant(settled);
  return broken ? refused(`That would break ${part.name}: ${broken.message}.`) : { ...result, part: settled };
}
