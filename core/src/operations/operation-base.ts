/** Where an operation runs: a whole path, or some segments of it. */
export interface OperationPlace {
  readonly pathId: string;
  readonly segmentIds?: readonly string[];
}

/** The side of the board that is worked: the face that is printed and cut from, or the back. */
export const BOARD_FACES = ['face', 'back'] as const;
export type BoardFace = (typeof BOARD_FACES)[number];

/** What holds the plates together at a fold: the skin that is left, or tape where the board is cut right through. */
export const HINGE_GROUNDS = ['skin', 'tape'] as const;
export type HingeGround = (typeof HINGE_GROUNDS)[number];

/** What every operation has. */
export interface OperationBase {
  readonly id: string;
  readonly kind: string;
  readonly on: OperationPlace;
  readonly face: BoardFace;
  readonly label: string;
  /** Variants in which it exists; always when undefined. */
  readonly variants?: readonly string[];
}
