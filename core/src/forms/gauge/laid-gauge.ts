import type { RigidMap } from '../../geometry/index.ts';
import type { MadeCorner, MadeEdgeWork, MadeHole, MadeLine } from '../form/index.ts';
import type { Gauge } from './parameters.ts';

/** One plate of a gauge. */
export interface GaugePlate {
  /** After the gauge's own in the role and the name; none for the gauge itself. */
  readonly suffix?: string;
  readonly outline: readonly MadeCorner[];
  readonly lines?: readonly MadeLine[];
  readonly holes?: readonly MadeHole[];
  readonly edgeWork?: readonly MadeEdgeWork[];
  readonly quantity?: number;
}

/** A gauge worked out: its plates, what it holds, and where. */
export interface LaidGauge {
  readonly gauge: Gauge;
  readonly plates: readonly GaugePlate[];
  /** What it holds, in words: `12°`, `34.5 mm`. */
  readonly figure: string;
  /** How it is held. */
  readonly notes: string;
  /** From its flat into the airframe, where it is held; undefined of one that is held nowhere in particular. */
  readonly map?: RigidMap;
  /** Of a profile with a level back: the incidence that it holds. */
  readonly incidenceDegrees?: number;
  /** How the figure comes about. */
  readonly formula: string;
}
