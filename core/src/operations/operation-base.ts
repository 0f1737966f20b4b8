/** Where an operation runs: a whole path, or some segments of it. */
export interface OperationPlace {
  readonly pathId: string;
  readonly segmentIds?: readonly string[];
}

/** The side of the board that is worked: the face that is printed and cut from, or the back. */
export type BoardFace = 'face' | 'back';

/** What holds the plates together at a fold: the skin that is left, or tape where the board is cut right through. */
export type HingeGround = 'skin' | 'tape';

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
