import { lengthField, type FormField } from '../form/index.ts';

/** How a foam core is cut between two templates with a hot wire, and what covers it. */
export interface WingCore {
  /** Thickness of what covers the core: the core is smaller than the section by it. */
  readonly coveringMm: number;
  /** How far the wire melts beyond the edge that it runs on: templates are larger by it. */
  readonly burnMm: number;
  /** Length of the ledges before the nose and behind the tail. */
  readonly leadMm: number;
  /** Equal parts of the run that are numbered, so that both ends keep pace. */
  readonly numbers: number;
  readonly kilogramsPerCubicMetre: number;
}

export const CORE_FIELDS = {
  coveringMm: lengthField('Covering, thick', 0, 10),
  burnMm: lengthField('Wire melts beyond its edge', 0, 3),
  leadMm: lengthField('Ledges at both ends', 5, 100),
  numbers: { word: 'Numbers along the run', kind: 'count', least: 4, most: 20 },
  kilogramsPerCubicMetre: { word: 'Foam, kg/m³', kind: 'count', least: 8, most: 200 },
} as const satisfies Record<keyof WingCore, FormField>;

export const USUAL_CORE: WingCore = {
  coveringMm: 0.4,
  burnMm: 0.6,
  leadMm: 25,
  numbers: 10,
  kilogramsPerCubicMetre: 20,
};
