import type { PartCommand } from '../editing/index.ts';
import type { FeatureFault } from '../features/index.ts';
import type { Point } from '../geometry/index.ts';
import type { TurnStep } from '../stock/index.ts';
import type { OperationFault } from '../operations/index.ts';

/** Every fault that a part can have. */
export type FaultCode =
  | OperationFault['code']
  | FeatureFault['code']
  | 'OUTLINE_MISSING'
  | 'OUTLINE_OPEN'
  | 'OUTLINE_CROSSES'
  | 'HOLE_OPEN'
  | 'HOLE_OUTSIDE'
  | 'LINE_OPEN'
  | 'PLATE_MISSING'
  | 'NEAR_MISS'
  | 'EDGE_TINY'
  | 'DRAWN_TWICE'
  | 'FOLDS_CROSS'
  | 'FOLD_CURVED'
  | 'FOLD_SHORT'
  | 'WORK_SLANT'
  | 'PART_TOO_LARGE'
  | 'BOARD_MISSING'
  | 'WEB_NARROW'
  | 'SLOT_UNFIT'
  | 'SYMMETRY_APART'
  | 'VARIANT_OPEN'
  | 'PAIR_TWICE'
  | 'GRAIN_NOWHERE'
  | 'JOINT_STRAY'
  | 'JOINT_MANY'
  | 'SEAM_STRAY'
  | 'SEAM_APART'
  | 'LIP_ALONE'
  | 'PLATES_PRESS'
  | 'PARTS_PRESS'
  | 'PROPELLER_NEAR'
  | 'JOINT_OPEN'
  | 'SEAM_OPEN'
  | 'FOLD_BLOCKED'
  | 'PIECE_UNPLACED';

/** Something that only the airframe as a whole can mend. */
export type AirframeAction =
  | { readonly name: 'setScale'; readonly factor: number }
  | { readonly name: 'addBoard'; readonly material: string }
  | { readonly name: 'addBoardOf'; readonly material: string; readonly widthMm: number; readonly heightMm: number }
  | {
      readonly name: 'setNest';
      readonly turnStep?: TurnStep;
      readonly turnsFreely?: true;
      readonly edgeMarginMm?: number;
    }
  | { readonly name: 'removePart'; readonly partId: string }
  | { readonly name: 'splitPart'; readonly partId: string }
  | { readonly name: 'countBoards'; readonly boardId: string; readonly count: number }
  | { readonly name: 'seeFolded'; readonly partId: string }
  | { readonly name: 'startOutline' };

/** An edit of one of the airframe's parts. */
export interface PartEdit {
  readonly partId: string;
  readonly command: PartCommand;
}

/** What one click does about a fault: an edit of its part, edits of several parts as one step, or something of the whole airframe. */
export type Mend =
  | { readonly label: string; readonly edits: readonly PartEdit[] }
  | { readonly label: string; readonly command: PartCommand }
  | { readonly label: string; readonly action: AirframeAction };

/** A fault of a part: the thing, the number and the mend. */
export interface Fault {
  readonly code: FaultCode;
  readonly partId: string;
  /** Path or operation it belongs to. */
  readonly targetId?: string;
  readonly place?: Point;
  readonly title: string;
  readonly detail: string;
  readonly mend: Mend;
  /** Other ways to mend it, each with what it does. */
  readonly others?: readonly Mend[];
}
