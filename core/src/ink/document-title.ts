import type { LengthUnit } from '../units/index.ts';

/** What every page of a document says about where it comes from. */
export interface DocumentTitle {
  readonly airframe: string;
  /** Number of the saved version; 0 for an airframe that comes from a file. */
  readonly version: number;
  readonly scale: number;
  readonly date: string;
  /** The variant that it follows, or that it shows all of them; left out for an airframe that has none. */
  readonly variant?: string;
  /** Unit that lengths are written in. */
  readonly unit: LengthUnit;
  /** The printer that it is corrected for. */
  readonly printer?: string;
}

/** The version, when there is one, the scale, and the variant of an airframe that has several. */
export const stateWords = ({ version, scale, variant }: DocumentTitle): string =>
  [version > 0 ? `version ${version}` : [], `× ${scale.toFixed(3)}`, variant ?? []].flat().join(' · ');
