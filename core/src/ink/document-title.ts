import type { LengthUnit } from '../units/index.ts';

/** What every page of a document says about where it comes from. */
export interface DocumentTitle {
  readonly airframe: string;
  /** Number of the saved version; 0 for an airframe that comes from a file. */
  readonly version: number;
  readonly scale: number;
  readonly date: string;
  /** Unit that lengths are written in. */
  readonly unit: LengthUnit;
}

/** The version, when there is one, and the scale. */
export const stateWords = ({ version, scale }: DocumentTitle): string =>
  `${version > 0 ? `version ${version} · ` : ''}× ${scale.toFixed(3)}`;
