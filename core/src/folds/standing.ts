import type { Part } from '../part/index.ts';
import type { FoldedPlates } from './fold.ts';
import type { FoldedPart } from './folded-part.ts';

/** A part with what it folds to, to be stood with others. */
export interface StandingPart {
  readonly part: Part;
  /** The part made whole. */
  readonly whole: Part;
  readonly body: FoldedPart;
}

/** One piece where it stands. The starboard piece of a pair is the port piece seen in the airframe's middle plane. */
export interface StandingPiece {
  readonly partId: string;
  readonly side: 'single' | 'port' | 'starboard';
  /** The joint it stands by; undefined for one that has a place of its own. */
  readonly jointId?: string;
  readonly body: FoldedPart;
  /** For each plate the map from the flat part into the airframe. */
  readonly maps: FoldedPlates;
}
