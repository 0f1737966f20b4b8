import { brokenInvariant, outOfBounds, type Part } from '../part/index.ts';
import type { CommandResult } from './command.ts';
import { changeSlot } from './features/change-slot.ts';
import {
  addFeature,
  centreFeature,
  changeFeature,
  changeFeatureSizing,
  moveFeature,
  removeFeature,
} from './features/features.ts';
import { pinDimension, removeDimension, setDimension } from './guides/dimensions.ts';
import { addGuide, attachNode, changeGuide, detachNodes, removeGuide } from './guides/guides.ts';
import { settleGuides } from './guides/settle-guides.ts';
import { cutAtCentreLine, meetCentreLine, setSymmetry } from './guides/symmetry.ts';
import { madeFault, withOwnDetails } from './keep-made.ts';
import { madeIds, type MadeIds } from './made-ids.ts';
import { changeDetails } from './part/change-details.ts';
import { mirrorPart } from './part/mirror-part.ts';
import { setVariants } from './part/set-variants.ts';
import { stretchPart } from './part/stretch-part.ts';
import { alignPaths } from './path/align-paths.ts';
import { arrangePaths } from './path/arrange-paths.ts';
import { bringHoleInside } from './path/bring-hole-inside.ts';
import { changeSegment } from './path/change-segment.ts';
import { changeSizing } from './path/change-sizing.ts';
import { closePath } from './path/close-path.ts';
import { combineOutline } from './path/combine-outline.ts';
import { divideSegment } from './path/divide-segment.ts';
import { drawHole } from './path/draw-hole.ts';
import { drawLine } from './path/draw-line.ts';
import { drawOutline } from './path/draw-outline.ts';
import { extendLine } from './path/extend-line.ts';
import { insertNode } from './path/insert-node.ts';
import { joinLines } from './path/join-lines.ts';
import { meetNode } from './path/meet-node.ts';
import { moveNodes } from './path/move-nodes.ts';
import { movePath } from './path/move-path.ts';
import { offsetContour } from './path/offset-contour.ts';
import { pastePaths } from './path/paste-paths.ts';
import { groupPaths, ungroupPaths } from './path/path-groups.ts';
import { placeNode } from './path/place-node.ts';
import { removeNode } from './path/remove-node.ts';
import { removePath } from './path/remove-path.ts';
import { shapeCorners } from './path/shape-corners.ts';
import { shapeRun } from './path/shape-run.ts';
import { simplifyPath } from './path/simplify-path.ts';
import { splitLine } from './path/split-line.ts';
import { straightenLine } from './path/straighten-line.ts';
import { trimLine } from './path/trim-line.ts';
import { uncrossOutline } from './path/uncross-outline.ts';
import { addJoint, changeJoint, removeJoint, setPlace } from './standing/joints.ts';
import { addSeam, moveEdge, openFold, removeSeam } from './standing/seams.ts';
import { addOperation } from './operations/add-operation.ts';
import { bevelEdge } from './operations/bevel-edge.ts';
import { changeOperation } from './operations/change-operation.ts';
import { changeWork } from './operations/change-work.ts';
import { creaseSection } from './operations/crease-section.ts';
import { extendFold } from './operations/extend-fold.ts';
import { setFoldOrder } from './operations/fold-order.ts';
import { foldStrip } from './operations/fold-strip.ts';
import { lipsToFold } from './operations/lips-to-fold.ts';
import { removeOperation } from './operations/remove-operation.ts';
import { keepSize } from './operations/keep-size.ts';
import { rollCrease } from './operations/roll-crease.ts';

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
  changeFeatureSizing,
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
  cutAtCentreLine,
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
  keepSize,
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

/** What a command did: the new part, the name of the step and what it made; or why it could not be done. */
export type AppliedCommand =
  | { readonly ok: true; readonly part: Part; readonly label: string; readonly made: MadeIds }
  | { readonly ok: false; readonly message: string };

/**
 * Runs an editing command. The given part is never changed, and a part that breaks its own rules is never returned.
 * @returns the new part with the name of the step and the ids of what it made, or a message that says why not
 */
export function applyCommand(part: Part, command: PartCommand): AppliedCommand {
  // The union above pairs each name with its own arguments; TypeScript cannot follow that through the lookup.
  const run = COMMANDS[command.name] as (part: Part, args: unknown) => CommandResult;
  const result = run(part, command.args);
  if (!result.ok) return result;
  const settled = withOwnDetails(part, settleGuides(part, result.part));
  const made = madeFault(part, settled);
  if (made !== undefined) return { ok: false, message: made };
  const broken = brokenInvariant(settled)?.message ?? outOfBounds(settled);
  return broken !== undefined
    ? { ok: false, message: `That would break ${part.name}: ${broken.replace(/\.$/, '')}.` }
    : { ...result, part: settled, made: madeIds(part, settled) };
}
