import type { GrooveCut } from '../allowance/index.ts';
import type { Path, Region } from '../geometry/index.ts';
import type { BoardFace } from './operation-base.ts';

/** One line of work on a part, at true size. */
export interface StrokeOf<Kind extends string> {
  readonly operationId: string;
  readonly kind: Kind;
  readonly face: BoardFace;
  /** Centre lines: one path a run of neighbouring segments. */
  readonly paths: readonly Path[];
  readonly closed: boolean;
  /** The worked area at its true width, clipped to the part. */
  readonly area: Region;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly angleDegrees?: number;
  readonly depthMm?: number;
  /** How a groove is cut. */
  readonly cut?: GrooveCut;
  /** How much more than half of the turn a doubled fold takes at the edge right of its line. */
  readonly leanDegrees?: number;
  /** How deep under the far skin a bent board keeps its length, in mm. */
  readonly neutralMm?: number;
  /** Tape holds it: the board is cut right through. */
  readonly isTaped?: boolean;
  readonly caption: string;
  readonly label: string;
  /** Variants in which it exists; always when undefined. */
  readonly variants?: readonly string[];
}
