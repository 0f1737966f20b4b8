import type { GrooveSchool, HingeRelief, TrenchFold } from '../allowance/index.ts';

/** Where an operation runs: a whole path, or some segments of it. */
export interface OperationPlace {
  readonly pathId: string;
  readonly segmentIds?: readonly string[];
}

/** The side of the board that is worked: the face that is printed and cut from, or the back. */
export type BoardFace = 'face' | 'back';

/** What holds the plates together at a fold: the skin that is left, or tape where the board is cut right through. */
export type HingeGround = 'skin' | 'tape';

interface OperationBase {
  readonly id: string;
  readonly on: OperationPlace;
  readonly face: BoardFace;
  readonly label: string;
  /** Variants in which it exists; always when undefined. */
  readonly variants?: readonly string[];
}

/** Cut right through the board. */
export interface ThroughCut extends OperationBase {
  readonly kind: 'through';
}
/** V groove of two bevels that folds toward its own face. */
export interface Groove extends OperationBase {
  readonly kind: 'groove';
  readonly foldDegrees: number;
  /** Width at the mouth in mm; auto follows the measured thickness. */
  readonly mouthMm: number | 'auto';
  /** How it is cut; as the airframe says when undefined. */
  readonly school?: GrooveSchool;
  /** Tilt of the bevel tool from the normal; as the airframe says when undefined. */
  readonly toolDegrees?: number;
  /** As the airframe says when undefined. */
  readonly hingeOn?: HingeGround;
}
/** Slanted edge: the face is cut back by t·tan β. On a line within the part it is one of the two lips of a groove. */
export interface Bevel extends OperationBase {
  readonly kind: 'bevel';
  readonly bevelDegrees: number;
}
/** The face is dented, nothing removed. */
export interface Crease extends OperationBase {
  readonly kind: 'crease';
  readonly foldDegrees: number;
}
/** Strip of foam removed, far skin kept. */
export interface Trench extends OperationBase {
  readonly kind: 'trench';
  readonly foldDegrees: TrenchFold;
  /** Width in mm; auto follows the measured thickness. */
  readonly widthMm: number | 'auto';
  /** Where the strip lies, looking along the line. */
  readonly side: 'centre' | 'left' | 'right';
  /** Boards that stand on it or that it wraps round; one when undefined. */
  readonly layers?: number;
}
/** Area cut away to a depth, far skin kept. */
export interface Pocket extends OperationBase {
  readonly kind: 'pocket';
  readonly depthMm: number;
}
/** Plain cut that opens: the board folds away from it. */
export interface Slit extends OperationBase {
  readonly kind: 'slit';
  readonly foldDegrees: number;
  /** Depth in mm; auto leaves the far skin. */
  readonly depthMm: number | 'auto';
  /** As the airframe says when undefined. */
  readonly hingeOn?: HingeGround;
}
/** Control hinge with foam bevelled away for its deflection. */
export interface Hinge extends OperationBase {
  readonly kind: 'hinge';
  readonly deflectionDegrees: number;
  /** Which edges are bevelled, looking along the line. */
  readonly relief: HingeRelief;
  /** As the airframe says when undefined. */
  readonly hingeOn?: HingeGround;
}
/** Line to align or glue to; nothing is cut. */
export interface Mark extends OperationBase {
  readonly kind: 'mark';
}
/** Line drawn into the skin with a pen or the tip of a blade. */
export interface Engraving extends OperationBase {
  readonly kind: 'engrave';
}

export type Operation = ThroughCut | Groove | Bevel | Crease | Trench | Pocket | Slit | Hinge | Mark | Engraving;
export type OperationKind = Operation['kind'];
export const OPERATION_KINDS: readonly OperationKind[] = [
  'through',
  'groove',
  'bevel',
  'crease',
  'trench',
  'pocket',
  'slit',
  'hinge',
  'mark',
  'engrave',
];

/** An operation without the ids that it gets when it is added. */
export type OperationDraft = {
  [K in OperationKind]: Omit<Extract<Operation, { kind: K }>, 'id' | 'on' | 'variants'>;
}[OperationKind];
