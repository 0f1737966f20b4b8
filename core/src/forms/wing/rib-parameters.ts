import { lengthField, type FormField } from '../form/index.ts';

/** A tube that a joint is plugged on, straight across it: each panel takes half of the turn. */
export interface WingTube {
  /** The panel outboard of the joint; the first one's is the middle. */
  readonly panelId: string;
  /** Its axis, in per cent of the chord at the joint. */
  readonly atPercent: number;
  /** Outside of what stays in the panels. */
  readonly diameterMm: number;
  /** Into each panel. */
  readonly reachMm: number;
}

/** Ribs between the skins: at every panel's end, and between them no further apart than is said. */
export interface WingRibs {
  readonly spacingMm: number;
  readonly material: string;
  /** Of the ribs in the middle and at joints that are plugged. */
  readonly endMaterial: string;
  /** Windows are cut where a rib is deep enough. */
  readonly hasWindows: boolean;
  readonly tubes: readonly WingTube[];
}

export const RIB_FIELDS = {
  spacingMm: lengthField('Ribs apart by at most', 20, 1000),
} as const satisfies Partial<Record<keyof WingRibs, FormField>>;

export const TUBE_FIELDS = {
  atPercent: { word: 'Tube at', kind: 'percent', least: 5, most: 85 },
  diameterMm: lengthField('Outside of its sleeve', 1, 60),
  reachMm: lengthField('Into each panel', 15, 1500),
} as const satisfies Partial<Record<keyof WingTube, FormField>>;

/** Tubes of a wing, and ribs of a panel, at most. */
export const MOST_TUBES = 8;
export const MOST_RIBS = 24;
